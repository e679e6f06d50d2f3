/** Small things packed on paper, front and back, as poppler and qpdf find them. */
import { expect, test } from '@jest/globals';
import { NO_SIDES } from '@/core/geometry/sides';
import { packedSheets, plansOf, type TurnedOver } from '@/core/packing/sheets';
import { beginProduct, madeBy, waysOut } from '@/core/product';
import { sheetIn, type SheetProduct } from '@/core/product/sheet';
import { addPage, copyPage, movePage, removePage } from '@/core/project/edits/page';
import { changeProduct } from '@/core/project/edits/product';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, type History } from '@/core/project/history';
import { newProject, newSurface, type Project } from '@/core/project/model';
import { photoCards } from '@/core/packing/photo-cards';
import { photos } from '../../scripts/testing/books';
import { making } from '../../scripts/testing/making';
import { inkPiece, wordsOf } from '../../scripts/testing/samples';

const { tool, made } = making();
const begun = (): History =>
  startHistory(
    newProject(
      { id: 's', title: 'Cards', unit: 'in' },
      beginProduct('sheet', { width: 288, height: 216 }, 'letter'),
    ),
  );
const sheetOf = ({ product }: Project): SheetProduct => sheetIn(product)!;
const things = ({ product }: Project) => sheetOf({ product } as Project).things;

/** Six cards of 4 x 3 in with a back, a word near the upper left corner of each face. */
function six(turned: boolean): Project {
  const { project } = begun();
  const product: SheetProduct = {
    ...sheetOf(project),
    things: [
      { part: 'thing-1', width: turned ? 216 : 288, height: turned ? 288 : 216, count: 6, back: true },
    ],
    // Three rows of two, whichever way they were designed.
    lost: { top: 18, right: 18, bottom: 18, left: 18 },
  };
  const backed = perform(startHistory(project), changeProduct(product, 'six'), 0).project;
  const surfaces = backed.surfaces.map((surface, i) => ({
    ...surface,
    pile: [
      {
        ...wordsOf('w', i ? '22' : '11', 18, 60),
        placement: { ...wordsOf('', '').placement, x: 50, y: 40, width: 60, height: 24 },
      },
    ],
  }));
  return { ...backed, surfaces };
}

async function printed(of: Project, over: TurnedOver, off = { x: 0, y: 0 }) {
  const product = sheetOf(of);
  const { plans } = plansOf(product);
  const taken = madeBy(
    of,
    waysOut(of.product).find(({ packed }) => packed)!,
  );
  const parts = taken.map(({ surface }) => surface.part!);
  const sheets = { sheets: packedSheets(product, plans, parts, null, { over, off }), bleed: NO_SIDES };
  const options = { format: 'pdf' as const, withBleed: false, cropMarks: true, sheets };
  const file = await made(of, options, `packed-${over}-${product.things[0]!.width}.pdf`, of.surfaces);
  expect(tool('qpdf', '--check', file)).toMatch(/No syntax or stream encoding errors/);
  const pages = tool('pdftotext', '-bbox', file, '-').split('<page ').slice(1);
  return pages.map((page) => {
    const size = /width="([\d.]+)" height="([\d.]+)"/.exec(page)!.slice(1).map(Number);
    const words = [
      ...page.matchAll(/xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">(\w+)</g),
    ];
    const at = words.map(([, a, b, c, d, says]) => ({
      says,
      x: (Number(a) + Number(c)) / 2,
      y: (Number(b) + Number(d)) / 2,
      box: [Number(c) - Number(a), Number(d) - Number(b)] as const,
    }));
    return { size, at };
  });
}

test.each([
  ['sideways', false],
  ['over', false],
  ['sideways', true],
] as const)(
  'six cards on letter paper, turned %s; each back lies behind its front (turned cards: %s)',
  async (over, turned) => {
    const [front, back, ...more] = await printed(six(turned), over);
    expect(more).toEqual([]);
    expect([front!.size, back!.size]).toEqual([
      [612, 792],
      [612, 792],
    ]);
    expect([front!.at.map(({ says }) => says), back!.at.map(({ says }) => says)]).toEqual([
      Array(6).fill('11'),
      Array(6).fill('22'),
    ]);
    // Held to the light, the back's words are seen mirrored within the same cards, each at the card's other upper corner.
    const through = back!.at.map(({ x, y }) => (over === 'sideways' ? { x: 612 - x, y } : { x, y: 792 - y }));
    // The word begins 20 pt from the card's left on both faces: seen through the paper their middles are so far apart.
    for (const { x, y, box } of front!.at) {
      const apart = (turned ? 216 : 288) - 40 - box[turned ? 1 : 0];
      const off = turned ? [0, apart] : [apart, 0];
      const behind = through.filter(
        (each) =>
          Math.abs(Math.abs(each.x - x) - off[0]!) < 1.5 && Math.abs(Math.abs(each.y - y) - off[1]!) < 1.5,
      );
      expect(behind.length).toBeGreaterThan(0);
    }
  },
);

test.each([
  ['sideways', 1, -1],
  ['over', -1, 1],
] as const)(
  'a back that comes out off by so much, seen from the front, is laid as far the other way (paper turned %s)',
  async (over, across, down) => {
    const [, plain] = await printed(six(false), over);
    const [front, back] = await printed(six(false), over, { x: 5, y: 7 });
    expect(front!.at).toHaveLength(6);
    back!.at.forEach(({ x, y }, i) => {
      expect(x - plain!.at[i]!.x).toBeCloseTo(5 * across, 1);
      expect(y - plain!.at[i]!.y).toBeCloseTo(7 * down, 1);
    });
  },
);

test('each card has its own bleed, its back with it; on a magnet nothing is printed behind', async () => {
  const of = six(false);
  const product = sheetOf(of);
  const wished: SheetProduct = {
    ...product,
    stock: 'magnet',
    things: product.things.map((thing) => ({ ...thing, bleed: 20 })),
  };
  const changed = perform(startHistory(of), changeProduct(wished, 'magnets'), 0).project;
  expect(changed.surfaces.map(({ bleed }) => bleed.left)).toEqual([20, 20]);
  const read = readProject(writeProject(changed));
  expect([read.ok, read.mended]).toEqual([true, undefined]);
  expect(await printed(changed, 'sideways')).toHaveLength(1);
});

test('a card is copied with its back', () => {
  const of = six(false);
  const [face, back] = of.surfaces;
  const made = { ...newSurface('copy', 'Card 2', face!, 'in'), part: 'thing-2' };
  const copied = perform(
    startHistory(of),
    copyPage({ ...made, pile: [inkPiece('face')] }, face!.id, { ...back!, pile: [inkPiece('back')] }),
    0,
  ).project;
  expect(copied.surfaces.map(({ part, pile }) => [part, pile[0]?.id])).toEqual([
    ['thing-1', 'w'],
    ['thing-1-back', 'w'],
    ['thing-2', 'face'],
    ['thing-2-back', 'back'],
  ]);
});

test('photos become cards of 6 x 4 in, lying or standing as they are, covered to beyond their edge', () => {
  const { project } = begun();
  const given = photos(5, 3);
  const known = { ...project, assets: Object.fromEntries(given.map((asset) => [asset.sha, asset])) };
  const history = perform(
    startHistory(known),
    photoCards(
      given,
      given.map(({ sha }) => `p-${sha}`),
      'in',
    ),
    0,
  );
  // The card it was begun with, on which nothing lay, is the first of them.
  const made = history.project.surfaces;
  expect(made).toHaveLength(5);
  expect(made.map(({ width, height }) => width > height)).toEqual(
    given.map(({ width, height }) => width > height),
  );
  for (const { pile, width, height, bleed } of made)
    expect(pile[0]!.placement).toMatchObject({
      width: expect.closeTo(width + bleed.left + bleed.right, 6),
      height: expect.closeTo(height + bleed.top + bleed.bottom, 6),
    });
  expect(readProject(writeProject(history.project))).toEqual({ ok: true, value: history.project });
  expect(plansOf(sheetOf(history.project)).tooLarge).toEqual([]);
});

test('cards come, are copied, moved and taken away with their backs, and the file is read again', () => {
  const { project } = begun();
  const one = { ...sheetOf(project), things: [{ ...things(project)[0]!, back: true as const, count: 3 }] };
  let history = perform(startHistory(project), changeProduct(one, 'a back'), 0);
  const fresh = { ...newSurface('new', 'Page 2', history.project.surfaces[0]!, 'in'), part: 'thing-2' };
  history = perform(history, addPage(fresh, history.project.surfaces[0]!.id), 1);
  expect(history.project.surfaces.map(({ part, name }) => [part, name])).toEqual([
    ['thing-1', 'Card 1'],
    ['thing-1-back', 'Card 1, back'],
    ['thing-2', 'Card 2'],
    ['thing-2-back', 'Card 2, back'],
  ]);
  expect(things(history.project)[1]).toMatchObject({ width: 288, height: 216, count: 1, back: true });
  history = perform(history, movePage('new', 0), 2);
  expect(history.project.surfaces.map(({ part }) => part)).toEqual([
    ...['thing-2', 'thing-2-back', 'thing-1', 'thing-1-back'],
  ]);
  expect(readProject(writeProject(history.project))).toEqual({ ok: true, value: history.project });
  history = perform(history, removePage('new'), 3);
  expect(things(history.project).map(({ part }) => part)).toEqual(['thing-1']);
  expect(history.project.surfaces).toHaveLength(2);
  const narrow = { ...sheetOf(project), lost: { top: 0, right: 300, bottom: 0, left: 300 } };
  const read = readProject(writeProject({ ...project, product: narrow }));
  expect(read.ok && sheetIn(read.value.product)?.lost.left).not.toBe(300);
});
