/** Letters laid along the runs of an outline, one after the other. */
import { onRun, type Run } from '@/core/geometry/runs';
import type { Way } from '@/core/piece/outline/way';
import type { GlyphRun, PlacedGlyph } from '@/core/text/typesetter';

/** A letter with all its glyphs, on a line of its own; widths in points. */
export interface Letter {
  font: string;
  width: number;
  glyphs: PlacedGlyph[];
  text: string;
  /** It ends a word. */
  space: boolean;
}

/** Where a letter begins on its line, points in the piece's own frame; degrees clockwise it is turned. */
export interface Start {
  x: number;
  y: number;
  turn: number;
  width: number;
  /** The characters it stands for. */
  text: string;
}

export interface Along {
  runs: GlyphRun[];
  /** Of every letter that found room, in reading order. */
  starts: Start[];
  /** Characters that found none. */
  over: number;
}

/** How far letters may be pushed together, as a share of their size, before a word is parted at a corner. */
const CROWDED = 0.06;

/** Lays letters on runs: all of the length is filled where they meet themselves, each run by the letters that fall on it. */
export function along(
  letters: readonly Letter[],
  way: readonly Run[],
  { corners }: Way,
  full: boolean,
  size: number,
): Along {
  const whole = corners === 'break';
  const words = full ? dealt(letters, way, whole) : poured(letters, way, whole);
  // Words too long for a short side are parted all the same, before their letters would lie over each other.
  const crowded = full && words.some((own, i) => wide(own) - way[i]!.length > own.length * size * CROWDED);
  const shares = crowded ? dealt(letters, way, false) : words;
  const glyphs: { font: string; glyph: PlacedGlyph }[] = [];
  const starts: Start[] = [];
  let used = 0;
  way.forEach((run, i) => {
    const own = shares[i]!;
    used += own.length;
    const closed = run.before === null && way.length === 1;
    // Spaces at a corner take no room.
    const [from, to] = closed ? [0, own.length] : trimmedSpaces(own);
    const shown = own.slice(from, to);
    const natural = shown.reduce((sum, { width }) => sum + width, 0);
    const extra =
      full && shown.length
        ? (run.length - natural) / (closed ? shown.length : Math.max(1, shown.length - 1))
        : 0;
    let s = full && !closed && shown.length === 1 ? (run.length - natural) / 2 : 0;
    for (const [at, letter] of own.entries()) {
      const seen = at >= from && at < to;
      // Spaces that are not shown stand, without width, where the next letter does.
      const width = seen ? letter.width : 0;
      const middle = s + width / 2;
      const point = onRun(run, middle, 0);
      const out = onRun(run, middle, 1);
      const [nx, ny] = [out.x - point.x, out.y - point.y];
      // The way of reading has the letters' heads to its left.
      const turn = (Math.atan2(nx, -ny) * 180) / Math.PI;
      const [tx, ty] = [-ny, nx];
      const beside = (by: number) => ({ x: point.x + tx * by, y: point.y + ty * by });
      starts.push({ ...beside(-width / 2), turn, width, text: letter.text });
      if (!seen) continue;
      for (const glyph of letter.glyphs)
        glyphs.push({ font: letter.font, glyph: { ...glyph, ...beside(glyph.x - width / 2), turn } });
      s += width + extra;
    }
  });
  const runs: GlyphRun[] = [];
  for (const { font, glyph } of glyphs) {
    const last = runs.at(-1);
    if (last?.font === font) (last.glyphs as PlacedGlyph[]).push(glyph);
    else runs.push({ font, size, glyphs: [glyph] });
  }
  return { runs, starts, over: letters.slice(used).reduce((sum, { text }) => sum + text.length, 0) };
}

/** The letters between the spaces at either end: the first, and one past the last. */
function trimmedSpaces(letters: readonly Letter[]): [number, number] {
  let from = 0;
  let to = letters.length;
  while (from < to && letters[from]!.space) from++;
  while (to > from && letters[to - 1]!.space) to--;
  return [from, to];
}

/** What is not parted at a corner: words, or letters. */
function parcels(letters: readonly Letter[], whole: boolean): Letter[][] {
  const found: Letter[][] = [];
  letters.forEach((letter, i) => {
    if (whole && i > 0 && !letters[i - 1]!.space) found.at(-1)!.push(letter);
    else found.push([letter]);
  });
  return found;
}

export const wide = (letters: readonly Letter[]): number =>
  letters.reduce((sum, { width }) => sum + width, 0);

/** All letters dealt out to the runs in the measure of their lengths. */
function dealt(letters: readonly Letter[], way: readonly Run[], whole: boolean): Letter[][] {
  const length = way.reduce((sum, run) => sum + run.length, 0);
  const scale = length / wide(letters);
  const shares: Letter[][] = way.map(() => []);
  let at = 0;
  let run = 0;
  let end = way[0]?.length ?? 0;
  for (const parcel of parcels(letters, whole)) {
    const long = wide(parcel) * scale;
    while (run < way.length - 1 && at + long / 2 > end) end += way[++run]!.length;
    shares[run]?.push(...parcel);
    at += long;
  }
  return shares;
}

/** Letters one after the other as far as there is room. */
function poured(letters: readonly Letter[], way: readonly Run[], whole: boolean): Letter[][] {
  const shares: Letter[][] = way.map(() => []);
  let run = 0;
  let room = way[0]?.length ?? 0;
  for (const parcel of parcels(letters, whole)) {
    const long = wide(parcel.slice(...trimmedSpaces(parcel)));
    while (run < way.length && long > room + 1e-6) room = way[++run]?.length ?? 0;
    if (run >= way.length) break;
    shares[run]!.push(...parcel);
    room -= wide(parcel);
  }
  return shares;
}
