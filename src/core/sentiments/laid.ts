/** Sentiments as pieces of words: their blanks filled, their lines in a designed arrangement. */
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Sentiment } from '@/core/sentiments/collection';
import { folded } from '@/core/text/folded';
import type { Span } from '@/core/text/style';

/** Two families, one of them larger, in two inks. */
export interface Arrangement {
  id: string;
  name: string;
  small: string;
  large: string;
  /** Size of the large letters over that of the small ones. */
  scale: number;
  tracking?: number;
  leading: number;
  align: 'left' | 'centre';
  ink: string;
  accent: string;
}

export const ARRANGEMENTS: readonly Arrangement[] = [
  {
    id: 'flourish',
    name: 'Flourish',
    small: 'zilla-slab',
    large: 'great-vibes',
    scale: 2.3,
    tracking: 0.06,
    leading: 1.05,
    align: 'centre',
    ink: '#2f3a3c',
    accent: '#9e2b45',
  },
  {
    id: 'letterpress',
    name: 'Letterpress',
    small: 'special-elite',
    large: 'alfa-slab-one',
    scale: 1.7,
    leading: 1.12,
    align: 'centre',
    ink: '#3a3330',
    accent: '#2f6f68',
  },
  {
    id: 'notebook',
    name: 'Notebook',
    small: 'patrick-hand',
    large: 'caveat',
    scale: 1.8,
    leading: 1,
    align: 'left',
    ink: '#2b3350',
    accent: '#b4532a',
  },
  {
    id: 'gallery',
    name: 'Gallery',
    small: 'nunito-sans',
    large: 'abril-fatface',
    scale: 1.9,
    tracking: 0.1,
    leading: 1.1,
    align: 'left',
    ink: '#4b464d',
    accent: '#1f3f5b',
  },
  {
    id: 'playful',
    name: 'Playful',
    small: 'fredoka',
    large: 'pacifico',
    scale: 1.75,
    leading: 1.1,
    align: 'centre',
    ink: '#35605a',
    accent: '#c4456a',
  },
  {
    id: 'matinee',
    name: 'Matinée',
    small: 'cutive-mono',
    large: 'limelight',
    scale: 1.8,
    leading: 1.15,
    align: 'centre',
    ink: '#3b3440',
    accent: '#7a4b12',
  },
];

const BLANK = /\{([a-z]+)\}/g;

/** What is to be filled in, each once. */
export const blanksIn = (text: string): string[] => [
  ...new Set([...text.matchAll(BLANK)].map(([, name]) => name!)),
];

/** The text with its blanks filled; those nothing is known for stay as a line to write on. */
export const filledIn = (text: string, blanks: Readonly<Record<string, string>>): string =>
  text.replace(BLANK, (_, name: string) => blanks[name]?.trim() || '____');

/** The words alone, as they are searched and listed. */
export const plainWords = (text: string): string => text.replaceAll('*', '').replace(/\s+/g, ' ');

/** Words in an arrangement; `size` is that of the small letters, points. */
export function arranged(
  text: string,
  how: Arrangement,
  size: number,
): { outline: GlyphsOutline; ink: string } {
  const spans: Span[] = [];
  let plain = '';
  text.split('*').forEach((part, i) => {
    const start = plain.length;
    plain += part;
    if (i % 2 && part)
      spans.push({
        start,
        end: plain.length,
        family: how.large,
        scale: how.scale,
        ink: how.accent,
        ...(how.tracking ? { tracking: 0 } : {}),
      });
  });
  return {
    outline: {
      kind: 'glyphs',
      text: plain,
      family: how.small,
      size,
      ...(how.tracking ? { tracking: how.tracking } : {}),
      align: how.align,
      leading: how.leading,
      wrap: false,
      ...(spans.length ? { spans } : {}),
    },
    ink: how.ink,
  };
}

/** Those whose words hold all that is sought, and of one occasion if asked. */
export function foundSentiments(
  all: readonly Sentiment[],
  sought: string,
  occasion: string | null,
): readonly Sentiment[] {
  const words = compared(sought).split(/\s+/).filter(Boolean);
  return all.filter(
    (one) =>
      (!occasion || one.occasion === occasion) &&
      words.every((word) => compared(plainWords(one.text)).includes(word)),
  );
}

/** However it is typed: without accents, and with the apostrophe that keyboards have. */
const compared = (text: string): string => folded(text).replaceAll('’', "'");

/** The same words in another arrangement: what was written larger stays so, and what lives goes on living. */
export function rearranged(
  outline: GlyphsOutline,
  how: Arrangement,
): { to: Partial<GlyphsOutline>; ink: string } {
  const marked = (outline.spans ?? [])
    .filter(({ scale = 1, family, field }) => scale > 1 || family || field)
    .map(({ start, end, scale = 1, family, field }): Span => ({
      ...{ start, end },
      ...(scale > 1 || family
        ? {
            ...{ family: how.large, scale: how.scale, ink: how.accent },
            ...(how.tracking ? { tracking: 0 } : {}),
          }
        : {}),
      ...(field ? { field } : {}),
    }));
  return {
    to: {
      family: how.small,
      tracking: how.tracking,
      features: undefined,
      align: how.align,
      leading: how.leading,
      style: undefined,
      spans: marked.length ? marked : undefined,
    },
    ink: how.ink,
  };
}
