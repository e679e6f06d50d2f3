/** Outlines as files for cutters hold them, read back: SVG, DXF and HPGL. */
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { fail, type Result } from '@/core/result';
import { readDxf } from '@/core/cutter/read/dxf';
import { readHpgl } from '@/core/cutter/read/hpgl';
import { readSvgOutlines } from '@/core/cutter/read/svg';
import { MOST_OUTLINE_BYTES, type FileUnit, type ReadOutlines, PER_UNIT } from '@/core/cutter/read/outlines';
import { decodedText } from '@/core/text/decoded';

const READERS: Record<string, (text: string) => Result<ReadOutlines>> = {
  svg: readSvgOutlines,
  dxf: readDxf,
  plt: readHpgl,
  hpgl: readHpgl,
  hpg: readHpgl,
};
export const OUTLINE_ENDINGS = Object.keys(READERS);

/** Reads a file by its ending; says in a sentence what it is not. */
export function readOutlines(name: string, bytes: Uint8Array): Result<ReadOutlines> {
  const read = READERS[/\.(\w+)$/.exec(name)?.[1]?.toLowerCase() ?? ''];
  if (!read)
    return fail(`“${name}” is none of the files outlines are read from: ${OUTLINE_ENDINGS.join(', ')}.`);
  if (bytes.length > MOST_OUTLINE_BYTES)
    return fail(`“${name}” is larger than ${MOST_OUTLINE_BYTES / 2 ** 20} MB.`);
  const done = read(decodedText(bytes));
  return done.ok ? done : fail(`“${name}” ${done.message}.`);
}

/** The same in another unit than the file was read in. */
export function inUnit(read: ReadOutlines, unit: FileUnit): ReadOutlines {
  const by = PER_UNIT[unit] / PER_UNIT[read.unit];
  const size: Size = { width: read.size.width * by, height: read.size.height * by };
  const scaled = (points: readonly Point[]) => points.map(({ x, y }) => ({ x: x * by, y: y * by }));
  return {
    ...read,
    unit,
    size,
    outlines: read.outlines.map((line) => ({ ...line, points: scaled(line.points) })),
  };
}
