/** A printer to try things with: it knows a finished PDF and nothing else, and does to it what printers at home do. */
import { readFile } from 'node:fs/promises';
import { conditionOf, type ConditionId } from '@/core/press/conditions';
import type { OpenLcms } from '@/core/press/lcms';
import { openPress, type Press } from '@/core/press/press';
import { toPoints } from '@/core/units/lengths';
import { asJpeg, paintPage, pagesIn, type PagePixels } from '@/standins/paper';

/** What it leaves white at each edge, and how far the other side comes out from where it should; mm. Like many (no source). */
export const LOST = { top: 4, right: 4, bottom: 13, left: 4 };
export const OFF = { x: 2, y: -1 };
/** Dots of what is shown of a sheet. */
const PPI = 96;

/** What it prints with on each paper: no paper at home is a press's, but its white and its blacks are alike. */
const PAPERS: Record<string, ConditionId> = { plain: 'uncoated', photo: 'coated' };
export const isPaper = (name: string): boolean => Object.hasOwn(PAPERS, name);

export interface Sheet {
  pdf: Uint8Array;
  /** Counted from 1; even ones are the backs where both sides are printed. */
  page: number;
  paper: string;
  both: boolean;
}

const presses = new Map<ConditionId, Promise<Press>>();

const pressFor = (id: ConditionId, folder: string, openLcms: OpenLcms): Promise<Press> => {
  const opened =
    presses.get(id) ??
    readFile(`${folder}/${conditionOf(id).file}`).then(async (profile) => {
      const press = await openPress(new Uint8Array(profile), openLcms);
      if (!press.ok) throw new Error(press.message);
      return press.value;
    });
  presses.set(id, opened);
  return opened;
};

export const sheetsIn = pagesIn;

/** One side of a sheet as it comes out, as a JPEG. */
export async function sheetOut({ pdf, page, paper, both }: Sheet, folder: string, openLcms: OpenLcms) {
  const painted = await paintPage(pdf, page, { ppi: PPI });
  const press = await pressFor(PAPERS[paper]!, folder, openLcms);
  const back = both && page % 2 === 0;
  const laid = onPaper(painted, back);
  const { pixels } = press.printed(laid.data, { intent: 'relative', blackPoint: true, paper: true });
  return asJpeg({ ...laid, data: pixels });
}

const dots = (mm: number): number => Math.round((toPoints(mm, 'mm') * PPI) / 72);

/** White where it prints nothing; a back lies where it comes out. */
function onPaper({ data, width, height }: PagePixels, back: boolean): PagePixels {
  const laid = new Uint8ClampedArray(data.length).fill(255);
  // Seen from the back, right is left.
  const [dx, dy] = back ? [-dots(OFF.x), dots(OFF.y)] : [0, 0];
  const [left, right] = [dots(LOST.left), width - dots(LOST.right)];
  const source = new Uint32Array(data.buffer);
  const target = new Uint32Array(laid.buffer);
  for (let y = dots(LOST.top); y < height - dots(LOST.bottom); y++) {
    const from = y - dy;
    if (from < 0 || from >= height) continue;
    for (let x = left; x < right; x++) {
      const at = x - dx;
      if (at >= 0 && at < width) target[y * width + x] = source[from * width + at]!;
    }
  }
  return { data: laid, width, height };
}
