import type { GlyphRun } from '@/core/text/typesetter';

/** Set words letter by letter: the glyphs of each, spaces left out. */
export function lettersOf(runs: readonly GlyphRun[]): GlyphRun[][] {
  const letters: GlyphRun[][] = [];
  for (const run of runs)
    for (const glyph of run.glyphs) {
      if (glyph.text || !letters.length) letters.push([]);
      letters.at(-1)!.push({ ...run, glyphs: [glyph] });
    }
  return letters.filter((own) => own.some(({ glyphs }) => glyphs.some(({ text }) => text.trim())));
}
