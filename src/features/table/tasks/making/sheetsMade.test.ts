/** What is said of the sheets that come out is what comes out: folded, packed, several pages on one. */
import { NO_SIDES, withBleed } from '@/core/geometry/sides';
import type { PaperWishes } from '@/core/packing/on-paper';
import { SEVERAL } from '@/core/packing/several';
import { plansOf } from '@/core/packing/sheets';
import { MOST_FOLDS, pagesOfSheet } from '@/core/product/imposition';
import { beginProduct } from '@/core/product';
import { sheetIn } from '@/core/product/sheet';
import { changeProduct } from '@/core/project/edits/product';
import { perform, startHistory } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import { choicesFor } from '@/features/table/tasks/making/choices';
import { onSeveral, sheetsFor, SIXTEEN, type Sheets } from '@/features/table/tasks/making/sheetsMade';
import { book } from '../../../../../scripts/testing/books';
import { calendar } from '../../../../../scripts/testing/calendars';
import { inkPiece, laid } from '../../../../../scripts/testing/samples';

const PLAIN: PaperWishes = { plan: false, over: 'sideways' };
const says = (sheets: Sheets) => sheets.says(sheets.size(false)).join('…');
const numberIn = (text: string, pattern: RegExp) => Number(pattern.exec(text)![1]);
const choice = (project: Project, is: 'folded' | 'packed') =>
  choicesFor(project, project.surfaces[0]!, []).find((one) => one[is])!;

describe('folded', () => {
  const ways = ['hard', 'booklet'].flatMap((way) =>
    Array.from({ length: MOST_FOLDS }, (_, i) => [way, i + 1] as const),
  );
  test.each(ways)(
    'a %s book, its sheets folded %i times: sheets, signatures, blank pages and their size',
    (way, folds) => {
      const project = book(way);
      const folded = choice(project, 'folded');
      for (const nested of [1, 3, 4]) {
        const sheets = sheetsFor(project, folded, { folds, nested }, PLAIN, [])!;
        const { sheets: made } = sheets.made(false);
        const said = says(sheets);
        const count = numberIn(said, /^(\d+) sheets? in/);
        expect(made).toHaveLength(2 * count);
        expect(numberIn(said, /One file of (\d+) pages/)).toBe(made.length);
        const signatures = /in one signature/.test(said) ? 1 : numberIn(said, /in (\d+) signatures/);
        expect(signatures).toBe(way === 'booklet' ? 1 : Math.ceil(count / nested));
        // Every page once, and what is left of the last sheets is blank.
        const placed = made.flatMap(({ placed }) => placed.map(({ page }) => page));
        expect([...placed].sort((a, b) => a - b)).toEqual(folded.taken.map((_, i) => i + 1));
        const blank = count * pagesOfSheet(folds) - placed.length;
        expect(blank ? numberIn(said, /(\d+) pages? stays? blank/) : !/blank/.test(said)).toBe(blank || true);
        for (const bleeds of [false, true]) {
          const { sheets: all, bleed } = sheets.made(bleeds);
          for (const { trim } of all) expect(withBleed({ ...trim, bleed })).toEqual(sheets.size(bleeds));
        }
        const { width, height } = sheets.size(false);
        expect(said).toContain(`on the ${width > height ? 'short' : 'long'} edge`);
      }
    },
  );

  test('backs that come out beside where they should are made good: fronts stay, backs move against it', () => {
    const project = book('booklet');
    const folded = choice(project, 'folded');
    const maps = (off?: { x: number; y: number }) =>
      sheetsFor(project, folded, SIXTEEN, { ...PLAIN, ...(off ? { off } : {}) }, [])!
        .made(false)
        .sheets.map(({ placed }) => placed[0]!.map);
    const [straight, moved] = [maps(), maps({ x: 2, y: 3 })];
    moved.forEach((map, i) => {
      const by = i % 2 ? [2, -3] : [0, 0];
      expect([map[4] - straight[i]![4], map[5] - straight[i]![5]]).toEqual([
        expect.closeTo(by[0]!, 9),
        expect.closeTo(by[1]!, 9),
      ]);
    });
  });

  test('what does not lie on sheets has none', () => {
    const project = laid([inkPiece('a')]);
    for (const one of choicesFor(project, project.surfaces[0]!, ['a']))
      expect(sheetsFor(project, one, SIXTEEN, PLAIN, [])).toBeNull();
  });
});

describe('packed', () => {
  const begun = newProject(
    { id: 's', title: 'Cards', unit: 'in' },
    beginProduct('sheet', { width: 288, height: 216 }, 'letter'),
  );
  /** With so many of its one thing, and their back. */
  function sheetOf(count: number, back = false): Project {
    const product = sheetIn(begun.product)!;
    const things = product.things.map((thing) => ({
      ...thing,
      count,
      ...(back ? { back: true as const } : {}),
    }));
    return perform(startHistory(begun), changeProduct({ ...product, things }, 'set'), 0).project;
  }
  const packed = (project: Project, wishes = PLAIN) =>
    sheetsFor(project, choice(project, 'packed'), SIXTEEN, wishes, plansOf(sheetIn(project.product)!).plans)!;

  test.each([1, 2, 5, 9])(
    '%i cards: as many as are wanted, on as many sheets as are said, each as large as the paper',
    (count) => {
      const sheets = packed(sheetOf(count));
      const { sheets: made } = sheets.made(true);
      const said = says(sheets);
      expect(numberIn(said, /^(\d+) cards? on/)).toBe(count);
      expect(made.flatMap(({ placed }) => placed)).toHaveLength(count);
      expect(numberIn(said, /on (\d+) sheets? of paper/)).toBe(made.length);
      expect(said).toContain(made.length === 1 ? 'One page, …' : `One file of ${made.length} pages, each …`);
      for (const { trim } of made) expect(trim).toEqual(sheets.size(true));
      expect(sheets.none).toBeUndefined();
    },
  );

  test('backs take a page more for each sheet, and a plan of the cuts one more', () => {
    const both = packed(sheetOf(4, true));
    expect(says(both)).toContain('printed on both sides');
    const fronts = packed(sheetOf(4)).made(false).sheets.length;
    expect(both.made(false).sheets).toHaveLength(2 * fronts);
    const planned = packed(sheetOf(4), { ...PLAIN, plan: true });
    expect(says(planned)).toContain('with a plan of its cuts');
    expect(planned.made(false).sheets).toHaveLength(2 * fronts);
    expect(planned.made(false).plans!.plans).toHaveLength(fronts);
  });

  test('with no card wanted nothing comes out, and why is said', () => {
    expect(packed(sheetOf(0)).none).toMatch(/^No card is wanted/);
  });
});

describe('several on a sheet', () => {
  const project = calendar('month', { width: 612, height: 792 });
  const all = choicesFor(project, project.surfaces[0]!, []).find(({ taken }) => taken.length > 9)!;
  const paper = { width: 612, height: 792 };

  test.each(SEVERAL)(
    '%i to a sheet: all pages in order, each as large as is said, none beyond what is printed',
    (count) => {
      const lost = { top: 18, right: 12, bottom: 18, left: 12 };
      const sheets = onSeveral(project, all, count, { paper, lost, overlap: 0 });
      const { sheets: made, bleed } = sheets.made(true);
      expect([sheets.plain, bleed]).toEqual([true, NO_SIDES]);
      expect(made.flatMap(({ placed }) => placed.map(({ page }) => page))).toEqual(
        all.taken.map((_, i) => i + 1),
      );
      const said = says(sheets);
      expect(numberIn(said, /% of their size: (\d+) sheets? of/)).toBe(made.length);
      const share = numberIn(said, /at (\d+) % of/) / 100;
      const { width, height } = sheets.size(false);
      for (const { placed } of made)
        for (const { page, map } of placed) {
          const { surface } = all.taken[page - 1]!;
          expect(map[0]).toBeCloseTo(share, 1);
          expect(map[4]).toBeGreaterThanOrEqual(12);
          expect(map[5]).toBeGreaterThanOrEqual(12);
          expect(map[4] + map[0] * surface.width).toBeLessThanOrEqual(width - 12 + 1e-6);
          expect(map[5] + map[3] * surface.height).toBeLessThanOrEqual(height - 12 + 1e-6);
        }
    },
  );

  test('on paper that is lost to the printer’s edges nothing comes out, and why is said', () => {
    const lost = { top: 320, right: 320, bottom: 320, left: 320 };
    const sheets = onSeveral(project, all, 4, { paper, lost, overlap: 0 });
    expect(sheets.none).toBe('There is no room for 4 pages on this paper.');
    expect(sheets.made(false).sheets).toEqual([]);
  });
});
