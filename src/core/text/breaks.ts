/** Where lines may end: between words (Unicode Standard Annex #14, by linebreak), within them, and between letters. */
import LineBreaker from 'linebreak';
import createHyphenator, { type Patterns } from 'hyphen';
import type { Language } from '@/core/text/style';

/** Divides words of one language: the places, as indexes into the word. */
export type Divide = (word: string) => number[];

const SOFT_HYPHEN = '\u00ad';

/** Words of four letters and less stay whole. */
const LEAST_DIVIDED = 5;

/** Liang's method with the patterns of TeX for that language. */
export function dividing(patterns: Patterns): Divide {
  const hyphenate = createHyphenator(patterns, { hyphenChar: SOFT_HYPHEN, minWordLength: LEAST_DIVIDED });
  return (word) => {
    const places: number[] = [];
    let at = 0;
    for (const character of hyphenate(word)) {
      if (character === SOFT_HYPHEN) places.push(at);
      else at += character.length;
    }
    return places;
  };
}

const PATTERNS: Record<Language, () => Promise<{ default: Patterns }>> = {
  en: () => import('hyphen/patterns/en-gb.js'),
  de: () => import('hyphen/patterns/de-1996.js'),
  fr: () => import('hyphen/patterns/fr.js'),
  es: () => import('hyphen/patterns/es.js'),
};

/** How a language divides its words; the patterns are fetched when they are first wanted. */
export const openDivide = async (language: Language): Promise<Divide> =>
  dividing((await PATTERNS[language]()).default);

/** Places after which a paragraph's line may end, the paragraph's own end included; spaces lie before them. */
export function opportunities(paragraph: string): number[] {
  const breaker = new LineBreaker(paragraph);
  const places: number[] = [];
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) places.push(next.position);
  return places;
}
