/** Letters as they are seen, with all their marks: grapheme clusters (Unicode Standard Annex #29). Places are UTF-16 units. */
let segmenter: Intl.Segmenter | undefined;
const segmented = (text: string): Intl.Segments =>
  (segmenter ??= new Intl.Segmenter(undefined, { granularity: 'grapheme' })).segment(text);

export const lettersIn = (text: string): string[] => [...segmented(text)].map(({ segment }) => segment);

/** Where the letters of a text end. */
export const letterEnds = (text: string): number[] =>
  [...segmented(text)].map(({ index, segment }) => index + segment.length);

/** The letter that a place lies within, from its beginning to before its end; the place alone between two letters. */
export function letterRound(text: string, at: number): [number, number] {
  const letter = at > 0 && at < text.length ? segmented(text).containing(at) : undefined;
  return letter && letter.index < at ? [letter.index, letter.index + letter.segment.length] : [at, at];
}
