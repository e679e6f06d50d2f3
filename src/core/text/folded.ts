/** Words as they are compared: however they are typed. */

/** Letters that are no accents but are typed as others. */
const LETTERS: Record<string, string> = { ß: 'ss', æ: 'ae', œ: 'oe', ø: 'o', ł: 'l', đ: 'd', ı: 'i' };

/** Lower case, without accents. */
export const folded = (word: string): string =>
  word
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[ßæœøłđı]/g, (letter) => LETTERS[letter]!);
