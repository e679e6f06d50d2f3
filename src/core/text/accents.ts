/** Accented characters taken apart: the letter beneath, and the marks that go with it (Unicode Standard Annex 15, form D). */

/** Combining marks to the characters that stand for them alone. */
const ALONE: Record<string, string> = {
  '\u0300': '`',
  '\u0301': '´',
  '\u0302': 'ˆ',
  '\u0303': '˜',
  '\u0304': '¯',
  '\u0306': '˘',
  '\u0307': '˙',
  '\u0308': '¨',
  '\u030a': '˚',
  '\u030b': '˝',
  '\u030c': 'ˇ',
  '\u0326': ',',
  '\u0327': '¸',
  '\u0328': '˛',
};
/** Marks that stand above a letter when they are used for one. */
export const MARKS = '`´ˆ˜¯˘˙¨˚˝ˇ¸˛';

/** Where a mark goes: over the letter, under its middle, from its right foot, beside its head. */
export type Seat = 'above' | 'below' | 'foot' | 'beside';

export interface Apart {
  base: string;
  marks: { character: string; seat: Seat }[];
}

/** Letters too tall for a caron: it stands beside them as an apostrophe (usual in Czech and Slovak type, from memory). */
const TALL = /[dtlL]/;
const SEATS: Record<string, Seat> = { ',': 'below', '¸': 'below', '˛': 'foot' };

/** A letter and its marks; null for what is no accented letter, or has a mark that has no picture of its own. */
export function apart(character: string): Apart | null {
  const [base, ...combined] = [...character.normalize('NFD')];
  if (!base || !combined.length) return null;
  const marks = combined.map((mark) => {
    const alone = ALONE[mark];
    if (!alone) return null;
    if (alone === 'ˇ' && TALL.test(base)) return { character: '’', seat: 'beside' as const };
    return { character: alone, seat: SEATS[alone] ?? ('above' as const) };
  });
  return marks.every((mark) => mark !== null) ? { base, marks } : null;
}
