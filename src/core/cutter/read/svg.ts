/** SVG as outlines: every shape in it, whether filled or drawn along, at the size the file says it has. */
import { readDrawing } from '@/core/drawing/read';
import { runsOf } from '@/core/cutter/rings';
import { doingOf } from '@/core/cutter/read/doing';
import { tooMuch, type FileUnit, type ReadOutline, type ReadOutlines } from '@/core/cutter/read/outlines';
import { fail, ok, type Result } from '@/core/result';
import { pathData } from '@/core/geometry/path';

/** Curves become straight sides no further off than this, points. */
const FINE = 0.02;

export function readSvgOutlines(text: string): Result<ReadOutlines> {
  const read = readDrawing(text);
  if (!read.ok) return read;
  const { drawing, dropped } = read.value;
  const seen = new Set<string>();
  const outlines = drawing.parts.flatMap(({ path, layer = '', colour, line, at }): ReadOutline[] => {
    // What is printed for the cutter's eye is no line of it.
    if (/-print$/.test(layer)) return [];
    const data = `${pathData(path, 2)} ${at.map(({ x, y }) => `${x},${y}`).join(' ')}`;
    // A shape that is filled and drawn along is one outline.
    if (seen.has(data)) return [];
    seen.add(data);
    const doing = doingOf(layer);
    return at.flatMap(({ x, y }) =>
      runsOf(path, FINE).map(({ points, closed }) => ({
        points: points.map((p) => ({ x: p.x + x, y: p.y + y })),
        closed: closed || !line,
        doing,
        ...(doing === 'draw' ? { ink: colour } : {}),
      })),
    );
  });
  const { unit, said } = unitOf(text);
  const { width, height } = drawing;
  const size = { width, height };
  const why = tooMuch({ outlines, size });
  return why ? fail(why) : ok({ outlines, size, unit, said, dropped });
}

/** The unit of the drawing's width; CSS pixels, unsaid, where it has none or a percentage. */
function unitOf(text: string): { unit: FileUnit; said: boolean } {
  const [, , unit] =
    /<svg\b[^>]*?\swidth\s*=\s*["']\s*([\d.e+-]+)\s*(mm|cm|in|pt|px)\s*["']/i.exec(text) ?? [];
  return unit ? { unit: unit.toLowerCase() as FileUnit, said: true } : { unit: 'px', said: false };
}
