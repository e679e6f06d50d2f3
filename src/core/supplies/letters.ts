/** Which character a picture of a letter stands for, by its file's name. */
import { lettersIn } from '@/core/text/letters';

const NAMED: Record<string, string> = {
  comma: ',',
  period: '.',
  dot: '.',
  fullstop: '.',
  question: '?',
  questionmark: '?',
  exclamation: '!',
  exclamationmark: '!',
  ampersand: '&',
  and: '&',
  at: '@',
  apostrophe: '’',
  quote: '”',
  quotes: '”',
  hyphen: '-',
  dash: '-',
  minus: '-',
  plus: '+',
  equals: '=',
  colon: ':',
  semicolon: ';',
  hash: '#',
  percent: '%',
  dollar: '$',
  euro: '€',
  pound: '£',
  slash: '/',
  asterisk: '*',
  zero: '0',
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
};

const LOWER = /^(lower|lowercase|lc|small|sm|l)$/i;
const UPPER = /^(upper|uppercase|uc|capital|cap|caps|big|u)$/i;

/**
 * The character of `alpha_A.png`, `button-b-lower.png`, `LC k.png`, `comma 2.png`; undefined if the name states none. A number
 * after the character only tells several drawings of it apart. An upper-case letter stays one unless the name says lower.
 */
export function characterOf(path: string): string | undefined {
  // Some systems store an accent apart from its letter.
  const parts = path.normalize('NFC').split('/');
  const words = parts
    .pop()!
    .replace(/\.[a-z0-9]{2,5}$/i, '')
    .split(/[\s_\-.()[\]]+/)
    .filter(Boolean);
  const folders = parts.flatMap((part) => part.split(/[\s_\-.]+/));
  const lower = [...words, ...folders].some((word) => LOWER.test(word) && word.length > 1);
  const upper = [...words, ...folders].some((word) => UPPER.test(word) && word.length > 1);
  const counted = words.length > 1 && /^\d{1,2}$/.test(words.at(-1)!) ? words.slice(0, -1) : words;
  const singleIn = (list: readonly string[]) =>
    list.find((word) => lettersIn(word).length === 1 && /[\p{L}\p{N}\p{P}\p{S}]/u.test(word));
  const calledSo = (word: string) => Object.hasOwn(NAMED, word.toLowerCase());
  const named = (counted === words ? words : counted.slice(-1)).find(calledSo);
  // A figure by itself is one, if it does not only count.
  const single = singleIn(counted) ?? (counted !== words && named ? undefined : singleIn(words));
  if (single !== undefined) {
    const cased = lower ? single.toLowerCase() : upper ? single.toUpperCase() : single;
    // A capital ß is written in two letters, and drawn in one.
    return lettersIn(cased).length === 1 ? cased : single;
  }
  return named && NAMED[named.toLowerCase()];
}

/** What most titles are spelled with. */
export const USUAL_LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789.,!?&';

/** The usual characters an alphabet lacks; small letters count as there if it has capitals only, and the other way round. */
export function missingLetters(has: ReadonlySet<string>): string[] {
  const any = (characters: string) => [...characters].some((character) => has.has(character));
  const capitals = any('ABCDEFGHIJKLMNOPQRSTUVWXYZ');
  const small = any('abcdefghijklmnopqrstuvwxyz');
  return [...USUAL_LETTERS].filter((character) => {
    if (has.has(character)) return false;
    if (/[a-z]/.test(character)) return small;
    if (/[A-Z]/.test(character)) return capitals;
    return true;
  });
}
