/** Cards on paper, front and back: each back behind its front, what is printed beyond them, their ticks; what is pinned; the printer. */
import fc from 'fast-check';
import { outset, overlaps, type Box } from '@/core/geometry/box';
import { pathBounds } from '@/core/geometry/path';
import { evenly } from '@/core/geometry/sides';
import { apply, type Matrix, type Point } from '@/core/geometry/matrix';
import { MOST_LOST, MOST_OFF, printerUsed, readPrinters, USUAL } from '@/core/packing/printer';
import { mayLie, packedSheets, plansOf, planSheets, type TurnedOver } from '@/core/packing/sheets';
import { testSheet } from '@/core/packing/test-sheet';
import type { PrintSheet } from '@/core/product/imposition';
import { beginProduct } from '@/core/product';
import {
  backOf,
  freshThing,
  isPrintable,
  MOST_THINGS,
  paperOf,
  printable,
  sheet as kind,
  sheetIn,
  withPinned,
  type SheetProduct,
  type Thing,
} from '@/core/product/sheet';
import { changeProduct } from '@/core/project/edits/product';
import { addPage, removePage } from '@/core/project/edits/page';
import { perform, startHistory, type History } from '@/core/project/history';
import { newProject, newSurface } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { nodeTypesetter } from '../../../scripts/node/platform';

const begin = (width = 288, height = 216) =>
  begun(newProject({ id: 's', title: 'Cards', unit: 'in' }, beginProduct('sheet', { width, height })));
const plain = sheetIn(begin().product)!;
const thing = (part: string, width: number, height: number, more: Partial<Thing> = {}): Thing => ({
  ...{ part, width, height, count: 1 },
  ...more,
});
const partsOf = ({ things }: SheetProduct) =>
  things.flatMap(({ part, back }) => (back ? [part, backOf(part)] : [part]));

/** The corners of what a page comes to on its sheet, in no order. */
const cornersOf = (map: Matrix, { width, height }: { width: number; height: number }): Point[] =>
  [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ].map((at) => apply(map, at));
const boxOf = ({ x, y, width, height }: Box): Box => ({ x, y, width, height });
const meet = (one: readonly Point[], other: readonly Point[]): boolean =>
  one.every((a) => other.some((b) => Math.hypot(a.x - b.x, a.y - b.y) < 0.01));

const anyProduct = fc
  .record({
    things: fc.array(
      fc.record({
        width: fc.integer({ min: 72, max: 320 }),
        height: fc.integer({ min: 72, max: 320 }),
        count: fc.integer({ min: 1, max: 4 }),
        back: fc.boolean(),
        upright: fc.boolean(),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    gap: fc.constantFrom(0, 4.5, 12),
    straight: fc.boolean(),
  })
  .map(({ things, ...rest }): SheetProduct => ({
    ...plain,
    ...rest,
    things: things.map(({ back, upright, ...each }, i) => ({
      ...{ ...each, part: `thing-${i + 1}` },
      ...(back ? { back: true as const } : {}),
      ...(upright ? { upright: true as const } : {}),
    })),
  }));

describe('printed on both sides', () => {
  test.each(['sideways', 'over'] as const)(
    'whatever lies where, turned %s each back comes out behind its front, however far off the printer is',
    (over: TurnedOver) => {
      fc.assert(
        fc.property(
          anyProduct,
          fc.record({
            x: fc.double({ min: -20, max: 20, noNaN: true }),
            y: fc.double({ min: -20, max: 20, noNaN: true }),
          }),
          (product, off) => {
            const parts = partsOf(product);
            const { plans } = plansOf(product);
            const sheets = packedSheets(product, plans, parts, null, { over, off });
            if (!product.things.some(({ back }) => back)) return expect(sheets).toHaveLength(plans.length);
            const { width, height } = product;
            // What the printer does: paper turned over, its back off by so much as seen from the front.
            const seen = ({ x, y }: { x: number; y: number }) =>
              over === 'sideways'
                ? { x: width - x + off.x, y: y + off.y }
                : { x: x + off.x, y: height - y + off.y };
            plans.forEach(({ laid }, i) => {
              const [front, back] = [sheets[2 * i]!, sheets[2 * i + 1]!];
              const backed = laid.filter(({ id }) => product.things.find(({ part }) => part === id)!.back);
              expect([front.placed.length, back.placed.length]).toEqual([laid.length, backed.length]);
              const of = (page: number) => parts[page - 1]!;
              for (const { page, map } of back.placed) {
                const own = product.things.find(({ part }) => backOf(part) === of(page))!;
                const behind = cornersOf(map, own).map(seen);
                const fronts = front.placed
                  .filter((each) => of(each.page) === own.part)
                  .map((each) => cornersOf(each.map, own));
                expect(fronts.filter((each) => meet(each, behind))).toHaveLength(1);
              }
            });
            return undefined;
          },
        ),
        { numRuns: 30 },
      );
    },
  );

  test('a back is read when its card is turned like a page; turned on the paper, its head is where the front’s is', () => {
    const product = { ...plain, things: [thing('thing-1', 288, 216, { back: true })] };
    const { plans } = plansOf(product);
    const [front, back] = packedSheets(product, plans, partsOf(product), null, { over: 'sideways' }) as [
      PrintSheet,
      PrintSheet,
    ];
    const head = ({ placed }: PrintSheet) => apply(placed[0]!.map, { x: 144, y: 0 });
    const left = ({ placed }: PrintSheet) => apply(placed[0]!.map, { x: 0, y: 108 });
    const mirrored = ({ x, y }: { x: number; y: number }) => ({ x: product.width - x, y });
    expect(mirrored(head(back))).toEqual(head(front));
    // Its left lies behind the front's right.
    expect(mirrored(left(back))).toEqual(apply(front.placed[0]!.map, { x: 288, y: 108 }));
  });

  test('magnets and stickers have no other side', () => {
    const product = {
      ...plain,
      stock: 'magnet' as const,
      things: [thing('thing-1', 288, 216, { back: true })],
    };
    expect(
      packedSheets(product, plansOf(product).plans, partsOf(product), null, { over: 'over' }),
    ).toHaveLength(1);
  });
});

describe('what is printed beyond a card', () => {
  test('any cards, any gap: half of the way to the next at the most, and no farther than is printed; ticks where nothing is', () => {
    fc.assert(
      fc.property(anyProduct, fc.constantFrom(0, 4, 18), (product, bleed) => {
        const { plans } = plansOf(product);
        const parts = partsOf(product);
        const sheets = packedSheets(
          product,
          plans,
          parts,
          parts.map(() => evenly(bleed)),
          { over: 'sideways' },
        );
        const { lost, width, height } = product;
        for (const [k, { placed, ticks = [] }] of sheets.entries()) {
          const at = Math.floor((k * plans.length) / sheets.length);
          if (sheets.length > plans.length && k % 2) continue;
          placed.forEach(({ seen }, i) => {
            expect(Math.min(seen.x - lost.left, seen.y - lost.top)).toBeGreaterThan(-0.02);
            expect(
              Math.max(seen.x + seen.width - width + lost.right, seen.y + seen.height - height + lost.bottom),
            ).toBeLessThan(0.02);
            // What lies upon another card leaves the card itself in sight, or that is laid again.
            const { laid } = plans[at]!;
            const over = laid.find(
              (card) => i < laid.length && card !== laid[i] && overlaps(seen, outset(card, -0.05)),
            );
            if (over) expect(placed.slice(laid.length).map((each) => each.seen)).toContainEqual(boxOf(over));
          });
          for (const [x1, y1, x2, y2] of ticks) {
            expect(x1 === x2 || y1 === y2).toBe(true);
            const long = Math.hypot(x2 - x1, y2 - y1);
            expect([long >= 3 - 1e-6, long <= 12 + 1e-6]).toEqual([true, true]);
            const line: Box = {
              x: Math.min(x1, x2),
              y: Math.min(y1, y2),
              width: Math.abs(x2 - x1),
              height: Math.abs(y2 - y1),
            };
            expect(placed.some(({ seen }) => overlaps(line, seen))).toBe(false);
          }
          expect(new Set(ticks.map(String)).size).toBe(ticks.length);
        }
      }),
      { numRuns: 30, includeErrorInReport: true },
    );
  });

  test('cards that lie aslant of each other: what goes beyond the one is printed beneath the other', () => {
    const pins = [
      { part: 'thing-1', sheet: 0, x: 100, y: 100 },
      { part: 'thing-1', sheet: 0, x: 244, y: 244 },
    ];
    const product = withPinned(
      { ...plain, things: [thing('thing-1', 144, 144, { count: 2, back: true })] },
      pins,
    );
    const parts = partsOf(product);
    const [front, back] = packedSheets(
      product,
      plansOf(product).plans,
      parts,
      parts.map(() => evenly(9)),
      { over: 'sideways' },
    );
    // Each with what goes beyond it, then each by itself upon that.
    expect(front!.placed.map(({ seen }) => seen)).toEqual([
      { x: 91, y: 91, width: 162, height: 162 },
      { x: 235, y: 235, width: 162, height: 162 },
      { x: 100, y: 100, width: 144, height: 144 },
      { x: 244, y: 244, width: 144, height: 144 },
    ]);
    expect(back!.placed.map(({ seen }) => product.width - seen.x - seen.width)).toEqual([91, 235, 100, 244]);
    const bare = packedSheets(product, plansOf(product).plans, parts, null, { over: 'sideways' });
    expect(bare.map(({ placed }) => placed.length)).toEqual([2, 2]);
  });

  test('one card in the open: as much on each side as is wished, eight ticks in line with its edges', () => {
    const product = {
      ...plain,
      things: [thing('thing-1', 144, 144)],
      pinned: [{ part: 'thing-1', sheet: 0, x: 200, y: 300 }],
    };
    const [sheet] = packedSheets(
      product,
      plansOf(product).plans,
      ['thing-1'],
      [{ left: 9, right: 4, top: 6, bottom: 0 }],
      { over: 'sideways' },
    );
    expect(sheet!.placed[0]!.seen).toEqual({ x: 191, y: 294, width: 157, height: 150 });
    expect(sheet!.ticks).toHaveLength(8);
    // Along its left edge, above what is printed.
    expect(sheet!.ticks).toContainEqual([200, 280, 200, 292]);
    expect(sheet!.ticks).toContainEqual([350, 300, 362, 300]);
  });

  test('plans of the cuts are pages of their own after the others', () => {
    const { plans } = plansOf({ ...plain, things: [thing('thing-1', 288, 216, { count: 9 })] });
    expect(planSheets(plain, plans, 3).map(({ placed: [only] }) => only!.page)).toEqual(
      plans.map((_, i) => 3 + i),
    );
  });
});

describe('pinned by hand', () => {
  const product: SheetProduct = {
    ...plain,
    things: [thing('thing-1', 144, 144, { count: 3 }), thing('thing-2', 72, 288)],
    pinned: [{ part: 'thing-1', sheet: 0, x: 100, y: 100 }],
  };
  const at = (x: number, y: number, more = {}) => ({ part: 'thing-1', sheet: 0, x, y, ...more });
  test.each([
    ['beside it', at(244, 100), true],
    ['over it', at(243, 100), false],
    ['on another sheet', at(100, 100, { sheet: 1 }), true],
    ['over what the printer loses', at(17, 300), false],
    ['at the edge of that', at(18, 300), true],
    ['beyond the lower edge', at(300, 792 - 18 - 143), false],
    ['another, over it', at(200, 20, { part: 'thing-2' }), false],
    ['another, clear of it', at(244, 20, { part: 'thing-2' }), true],
    ['what is no card', at(300, 300, { part: 'thing-9' }), false],
  ])('%s', (_, where, may) => {
    expect(mayLie(product, where, undefined)).toBe(may);
  });
  test('what is moved is not in its own way; another turned as it lies', () => {
    expect(mayLie(product, at(110, 110), 0)).toBe(true);
    const long = at(96, 250, { part: 'thing-2', turned: true });
    expect(mayLie(product, long, undefined)).toBe(true);
    expect(mayLie(product, { ...long, y: 240 }, undefined)).toBe(false);
  });
  test('pinned copies stay, the rest is packed; more pins than copies are not counted; what cannot lie any more is loose', () => {
    const { plans, loose } = plansOf(product);
    const pins = plans.flatMap(({ laid }) => laid.filter(({ pin }) => pin !== undefined));
    expect(pins.map(({ x, y, id }) => [x, y, id])).toEqual([[100, 100, 'thing-1']]);
    expect(plans.flatMap(({ laid }) => laid)).toHaveLength(4);
    expect(loose).toBe(0);
    const two = withPinned(product, [at(100, 100), at(120, 120)]);
    expect(plansOf(two).loose).toBe(1);
    const many = withPinned({ ...product, things: [thing('thing-1', 144, 144)] }, [at(20, 20), at(300, 300)]);
    expect(plansOf(many).plans.flatMap(({ laid }) => laid)).toHaveLength(1);
    expect('pinned' in withPinned(product, [])).toBe(false);
  });
  test('a card that is taken away takes its pins along: the next that has its name lies freely', () => {
    const done = (history: History, edit: Parameters<typeof perform>[1]) => perform(history, edit, 0);
    const page = () => newSurface(`p${Math.random()}`, 'Card', { width: 288, height: 216 }, 'in');
    const two = done(startHistory(begin()), addPage({ ...page(), part: 'thing-2' }));
    const pinned = done(
      two,
      changeProduct(
        withPinned(sheetIn(two.project.product)!, [{ part: 'thing-2', sheet: 0, x: 90, y: 400 }]),
        'pin',
      ),
    );
    expect(sheetIn(pinned.project.product)!.pinned).toHaveLength(1);
    const gone = done(pinned, removePage(pinned.project.surfaces[1]!.id));
    expect(sheetIn(gone.project.product)!.pinned).toBeUndefined();
    const again = done(gone, addPage({ ...page(), part: 'thing-2' }));
    const { plans } = plansOf(sheetIn(again.project.product)!);
    expect(plans.flatMap(({ laid }) => laid.filter(({ pin }) => pin !== undefined))).toEqual([]);
  });
});

describe('a sheet as a product', () => {
  test('papers are known by their size; what is left to print on; names for one more', () => {
    expect(paperOf({ width: 612, height: 792 })?.name).toMatch(/letter/i);
    expect(paperOf({ width: 595.3, height: 841.9 })?.name).toBe('A4');
    expect(paperOf({ width: 600, height: 800 })).toBeUndefined();
    expect(
      printable({ width: 612, height: 792, lost: { left: 10, right: 20, top: 30, bottom: 40 } }),
    ).toEqual({
      ...{ width: 582, height: 722 },
    });
    const narrow = (left: number) => isPrintable({ width: 144, height: 144, lost: { ...evenly(0), left } });
    expect([narrow(72), narrow(73), narrow(-1)]).toEqual([true, false, false]);
    expect([freshThing([]), freshThing(['thing-1', 'thing-7', 'thing-3'])]).toEqual(['thing-1', 'thing-8']);
  });
  test('it says how many cards on what; one more is like the last, wanted once, up to as many as there may be', () => {
    const many = { ...plain, things: [thing('thing-1', 288, 216, { count: 3, back: true })] };
    expect(kind.says(many, 'in', plain.things[0]!)).toBe('3 cards on letter paper');
    expect(kind.says({ ...plain, stock: 'magnet' }, 'in', plain.things[0]!)).toBe(
      '1 card on letter magnet sheet',
    );
    expect(kind.says({ ...plain, width: 600 }, 'in', plain.things[0]!)).toMatch(
      /^1 card on 8\.33 x 11 in paper$/,
    );
    const { withParts } = kind.rows!;
    expect(withParts(many, ['thing-1', 'thing-2']).things[1]).toEqual(
      thing('thing-2', 288, 216, { back: true }),
    );
    expect(
      withParts(
        many,
        Array.from({ length: 200 }, (_, i) => `thing-${i + 1}`),
      ).things,
    ).toHaveLength(MOST_THINGS);
  });
});

test('a printer is what was measured of it; what is none is refused', () => {
  const kept = {
    used: 'b',
    all: [USUAL, { ...USUAL, id: 'b', name: 'By the window', over: 'over', off: { x: 3, y: -2 } }],
  };
  expect(printerUsed(readPrinters(kept)).name).toBe('By the window');
  expect(printerUsed(readPrinters({ ...kept, used: 'gone' })).id).toBe('usual');
  const other = (change: object) => () => readPrinters({ ...kept, all: [{ ...USUAL, ...change }] });
  for (const change of [
    { off: { x: MOST_OFF + 1, y: 0 } },
    { lost: evenly(MOST_LOST + 1) },
    { lost: evenly(-1) },
    { over: 'inside out' },
    { name: '' },
    { name: 'x'.repeat(41) },
    { more: 1 },
  ])
    expect(other(change)).toThrow();
  expect(() => readPrinters({ used: 'b', all: [] })).toThrow();
  expect(() => readPrinters(null)).toThrow();
});

test('the sheet a printer is measured with: its stairs a millimetre apart from every edge, its back about the same middle', async () => {
  const size = { width: 612, height: 792 };
  const [front, back] = testSheet(size, await nodeTypesetter());
  expect([front.trim, back.trim]).toEqual([size, size]);
  const strokes = ({ pieces }: typeof front) =>
    pieces.flatMap(({ marks }) => marks.flatMap((mark) => ('path' in mark ? [pathBounds(mark.path)] : [])));
  // Stairs: at every edge one at each whole millimetre from it, to twenty.
  const mm = (points: number) => Math.round((points * 25.4) / 72);
  const far = strokes(front).flatMap((box) =>
    box.width > 8 && box.height < 1 ? [mm(box.y + box.height / 2)] : [],
  );
  for (let k = 1; k <= 20; k++) expect(far.filter((at) => at === k)).toHaveLength(1);
  // Either way over, a line of the back lies where the middle of a ruler of the front does.
  const middles = strokes(back)
    .filter((box) => box.height > 60)
    .map((box) => box.x + box.width / 2);
  expect(middles.every((x) => Math.abs(x - 306) < 0.5)).toBe(true);
});
