/** What comes out, in a sentence: how many files of how many pages, how large, how fine. */
import type { Size } from '@/core/geometry/box';
import { tilesOf, type Tile } from '@/core/packing/tiles';
import type { Project } from '@/core/project/model';
import { ok, type Result } from '@/core/result';
import { formatLength, formatSize, type Unit } from '@/core/units/lengths';
import type { Choice } from '@/features/table/tasks/making/choices';
import type { Sheets } from '@/features/table/tasks/making/sheetsMade';
import { AROUND } from '@/output/pixels/desk';
import { FORMATS, inOneFile, ppiOf, type MakeOptions } from '@/output/formats';

interface ComesOut {
  choice: Choice;
  options: MakeOptions;
  sheets: Sheets | null;
  /** Of one page of it. */
  size: Size;
  /** What is left of that once it is trimmed. */
  trim: Size;
  unit: Project['unit'];
}

export function outInWords({ choice: { taken, only }, options, sheets, size, trim, unit }: ComesOut): string {
  const { format } = options;
  const ppi = ppiOf(options, size);
  // On a table some of it is seen all round.
  const around = options.desk ? AROUND : 0;
  const pixels = (side: number) =>
    Math.round((side / 72) * ppi * (1 - 2 * around)) + 2 * Math.round(around * (options.side ?? 0));
  const large = formatSize(size, unit);
  if (sheets) {
    const [before, after] = sheets.says(size);
    return `${before}${large}${after}.`;
  }
  const tiled = tilesSay(options, trim, taken.length, unit);
  if (tiled) return tiled.ok ? tiled.value : tiled.message;
  const each = alike(taken) ? 'each ' : 'of several sizes, the first ';
  const many =
    taken.length < 2
      ? ''
      : inOneFile(format, taken.length)
        ? `One file of ${taken.length} pages, ${each}`
        : `${taken.length} files in one .zip, ${each}`;
  if (only) return `${many}${large} at the most: trimmed to what shows, clear around it.`;
  const trimmed = size.width > trim.width ? `, trimmed to ${formatSize(trim, unit)}` : '';
  const fine = FORMATS[format].pixels
    ? `; ${pixels(size.width)} x ${pixels(size.height)} pixels${options.side ? '' : ` at ${ppi} ppi`}, ${options.wide ? 'Adobe RGB (1998)' : 'sRGB'}`
    : '';
  const inked = options.inks ? ', all colours as the press’s inks' : '';
  return `${many}${large}${trimmed}${fine}${inked}.`;
}

/** Whether all pages are of one size. */
const alike = (taken: Choice['taken']): boolean =>
  new Set(
    taken.map(({ surface, panel }) => {
      const { width, height } = panel?.box ?? surface;
      return `${width.toFixed(2)} ${height.toFixed(2)}`;
    }),
  ).size < 2;

/** What comes out in tiles, or why nothing does; null where it does not. */
export function tilesSay(
  { tiled }: MakeOptions,
  page: Size,
  pages: number,
  unit: Unit,
): Result<string> | null {
  if (!tiled) return null;
  const tiles = tilesOf(page, tiled);
  if (!tiles.ok) return tiles;
  const [{ paper, scale, part }] = tiles.value as [Tile];
  const each = pages > 1 ? ` for each of ${pages} pages` : '';
  const printed = 'print it at 100 %, without scaling';
  if (tiled.how === 'fit')
    return ok(
      `One sheet of ${formatSize(paper, unit)}${each}, ${scale < 1 ? `at ${Math.round(100 * scale)} % of its size: it comes to ${formatSize({ width: scale * page.width, height: scale * page.height }, unit)}` : 'true to size'}; ${printed} once more.`,
    );
  if (tiled.how === 'strip')
    return ok(
      `One sheet of ${formatSize(paper, unit)}${each}, with ${formatSize(part, unit)} from the middle of the page, true to size: to see its colours on your paper before the whole is printed.`,
    );
  const count = tiles.value.length;
  const sheets = `${count} ${count === 1 ? 'sheet' : 'sheets'} of ${formatSize(paper, unit)}`;
  const lay =
    count > 1
      ? ` Lay each over the one before, row by row from the top left: fine marks show where, and ${formatLength(tiled.overlap, unit, true)} is printed twice.`
      : '';
  return ok(`${sheets}${each}, true to size: ${printed}, trimmed to ${formatSize(page, unit)}.${lay}`);
}
