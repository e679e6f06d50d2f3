/** Works out what goes to a cutter, writes its files, and tries them, beside the page. */
import { expose } from 'comlink';
import { lifted, type Lifted } from '@/core/cutter/machine/lift';
import { runOf, trailing, type Run } from '@/core/cutter/machine/run';
import type { Mat, Place } from '@/core/cutter/model';
import { forTool, prepare } from '@/core/cutter/prepare';
import { readOutlines } from '@/core/cutter/read/read';
import type { CutterSettings } from '@/core/cutter/settings';
import { ok, type Result } from '@/core/result';
import { CUT_FORMATS, type CutFormatName } from '@/output/cut/formats';
import { makeCut } from '@/output/cut/make';
import { openZip } from '@/workers/zipped';

export interface CutOrder {
  title: string;
  unit: 'in' | 'mm';
  mats: readonly Mat[];
  settings: CutterSettings;
  format: CutFormatName;
}

const written = ({ title, unit, settings, format }: CutOrder, mat: Mat, number: number) =>
  makeCut(
    {
      ...{ title, unit, number, size: mat.size, paper: mat.paper, marks: mat.marks },
      lines: forTool(mat.lines, settings),
    },
    format,
  );

/** A file for one mat; for several, one with all of theirs. */
async function filesOf(order: CutOrder): Promise<Blob> {
  const { mats, format, title } = order;
  const made = await Promise.all(mats.map((mat, i) => written(order, mat, i + 1)));
  const blobs = made.map((bytes) => new Blob([bytes as Uint8Array<ArrayBuffer>]));
  if (blobs.length === 1) return blobs[0]!;
  const zip = openZip();
  for (const [i, blob] of blobs.entries())
    await zip.add(`${title} mat ${i + 1}.${CUT_FORMATS[format].ending}`, blob);
  return zip.close();
}

export interface Tried {
  run: Run;
  lifted: Lifted;
  dropped: string[];
}

/** What a cutter makes of the file of one mat: it reads the file and knows nothing else. */
async function tried(order: CutOrder, mat: number): Promise<Result<Tried>> {
  const bytes = await written(order, order.mats[mat]!, mat + 1);
  const read = readOutlines(`${order.title}.${CUT_FORMATS[order.format].ending}`, bytes);
  if (!read.ok) return read;
  const { outlines, size, dropped } = read.value;
  const run = runOf(outlines, size);
  const tips = outlines
    .filter(({ doing }) => doing === 'cut')
    .map(({ points, closed }) => trailing(closed ? [...points, points[0]!] : points, order.settings.blade));
  return ok({ run, lifted: lifted(tips, size), dropped });
}

const cutter = {
  prepare: (places: readonly Place[], settings: CutterSettings) => prepare(places, settings),
  filesOf,
  tried,
};
export type CutterBench = typeof cutter;
expose(cutter);
