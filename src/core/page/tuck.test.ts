/** Tucks: found areas against areas done by hand; true after moves; what is hidden, picked and shadowed. */
import { areaOf } from '@/core/geometry/offset';
import { pathBounds } from '@/core/geometry/path';
import type { ShadowMark } from '@/core/picture/picture';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { piecesAt } from '@/core/page/pick';
import { crossingsOf, slitAt, slitOnPage, slitsApart, slitWithOut, tuckAt, tuckedOn } from '@/core/page/tuck';
import type { Piece } from '@/core/piece/piece';
import { movePieces } from '@/core/project/edits/place';
import { removePieces, setTucks } from '@/core/project/edits/pile';
import { copiesOf } from '@/core/project/copies';
import { perform, startHistory } from '@/core/project/history';
import type { Typesetter } from '@/core/text/typesetter';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { inkPiece, laid } from '../../../scripts/testing/samples';

let typesetter: Typesetter;
beforeAll(async () => {
  typesetter = await nodeTypesetter();
});

// Two clouds, 80 x 60, beneath a string 300 x 10 that runs across both.
const clouds = [inkPiece('near', 60, 60, 80, 60), inkPiece('far', 200, 60, 80, 60)];
const string = inkPiece('string', 20, 80, 300, 10);
const start = () => startHistory(laid([...clouds, string], []));
const pile = (history: ReturnType<typeof start>) => history.project.surfaces[0]!.pile;
const tools = () => toolsFor(laid([], []), typesetter);

function tucked() {
  const history = start();
  const { id } = history.project.surfaces[0]!;
  const [, far] = crossingsOf(pile(history), 'string', tools());
  return { id, history: perform(history, setTucks(id, pile(history)[2]!, [tuckAt(far!)]), 0) };
}

test('every crossing is found, with the area the two have in common', () => {
  const found = crossingsOf(pile(start()), 'string', tools());
  expect(found.map(({ lower, area }) => [lower.id, Math.round(areaOf(area))])).toEqual([
    ['near', 800],
    ['far', 800],
  ]);
  expect(crossingsOf(pile(start()), 'near', tools())).toHaveLength(1);
});

test('the string goes under the far cloud alone; it is hidden there, the cloud is touched and throws its shadow on it', () => {
  const { history } = tucked();
  const page = history.project.surfaces[0]!;
  const hidden = tuckedOn(page.pile, page.light, tools()).get('string')!;
  expect(hidden.areas.map((area) => Math.round(areaOf(area)))).toEqual([800]);
  expect(hidden.shadows).toHaveLength(2);
  const touched = (x: number) => piecesAt(page.pile, { x, y: 85 }, 0, tools()).map(({ id }) => id);
  expect(touched(100)).toEqual(['string', 'near']);
  expect(touched(240)).toEqual(['far', 'string']);
  const drawn = drawSurface(page, tools()).pieces.find(({ id }) => id === 'string')!;
  expect(drawn.marks.every(({ within }) => within)).toBe(true);
});

test('it stays true when either is moved, and is no more when they part; undone, all is as before', () => {
  const { id, history } = tucked();
  const moved = perform(history, movePieces(id, [clouds[1]!], 30, 8), 5000);
  const areas = (h: typeof history) => {
    const page = h.project.surfaces[0]!;
    return (tuckedOn(page.pile, page.light, tools()).get('string')?.areas ?? []).map((area) =>
      Math.round(areaOf(area)),
    );
  };
  expect(areas(moved)).toEqual([800]);
  const up = perform(moved, movePieces(id, [string], -5, -3), 9000);
  expect(areas(up)).toEqual([800]);
  const parted = perform(up, movePieces(id, [clouds[1]!], 0, 100), 13_000);
  expect(areas(parted)).toEqual([]);
  expect(areas(perform(parted, movePieces(id, [clouds[1]!], 0, -100), 17_000))).toEqual([800]);
  expect(areas(perform(up, removePieces(id, [clouds[1]!]), 21_000))).toEqual([]);
});

test('copied together, the copy of the string goes under the copy of the cloud', () => {
  const { history } = tucked();
  const page = history.project.surfaces[0]!;
  let next = 0;
  const { pieces } = copiesOf(page.pile, page, () => `copy-${++next}`);
  const string = pieces[2] as Piece;
  expect(string.tucks).toEqual([expect.objectContaining({ under: pieces[1]!.id })]);
});

test('through a slit one side is hidden, wherever paper and photo are moved, with the cut to be seen', () => {
  // A photo 60 x 80 on a paper 200 x 150; the slit lies level, 100 from the paper's left, 120 down the page.
  const paper = inkPiece('paper', 40, 40, 200, 150);
  const photo = inkPiece('photo', 110, 60, 60, 80);
  const history = startHistory(laid([paper, photo], []));
  const { id } = history.project.surfaces[0]!;
  const [crossing] = crossingsOf(pile(history), 'photo', tools());
  const slit = slitAt(paper, { x: 90, y: 120 }, { x: 190, y: 120 });
  expect(slitOnPage(slit, paper)[0].y).toBeCloseTo(120);
  // However far it is dragged, a file takes it.
  expect(slitAt(paper, { x: -1e6, y: 0 }, { x: 1e6, y: 0 })).toMatchObject({ ax: -100, bx: 100 });
  const slipped = perform(history, setTucks(id, photo, [{ ...tuckAt(crossing!), slit }]), 0);
  const hidden = (h: typeof history) => {
    const page = h.project.surfaces[0]!;
    return tuckedOn(page.pile, page.light, tools()).get('photo');
  };
  const area = (h: typeof history) => (hidden(h)?.areas ?? []).reduce((sum, each) => sum + areaOf(each), 0);
  // Of its 80 points 20 lie below the slit.
  expect(area(slipped)).toBeCloseTo(60 * 20, 0);
  expect(area(perform(slipped, movePieces(id, [photo], 0, 15), 5000))).toBeCloseTo(60 * 35, 0);
  expect(area(perform(slipped, movePieces(id, [paper], 0, 5), 5000))).toBeCloseTo(60 * 15, 0);
  // Two shadows of the flap, and the cut.
  const { shadows } = hidden(slipped)!;
  expect(shadows.filter(({ within }) => within)).toHaveLength(2);
  const [cut] = shadows.filter(({ within }) => !within);
  expect(pathBounds((cut as ShadowMark).path).width).toBeCloseTo(70, 0);
  const { pile: pieces } = slipped.project.surfaces[0]!;
  expect(piecesAt(pieces, { x: 140, y: 130 }, 0, tools()).map((piece) => piece.id)).toEqual([
    'paper',
    'photo',
  ]);
  expect(piecesAt(pieces, { x: 140, y: 100 }, 0, tools())[0]!.id).toBe('photo');
  // Out again through a second slit 12 points further down; half as high a paper brings them half as near.
  const woven = slitWithOut(slit, paper, 12);
  expect(slitsApart(woven, paper)).toBeCloseTo(12);
  expect(slitsApart(woven, { ...paper, placement: { ...paper.placement, height: 150 / 4 } })).toBeCloseTo(6);
  const out = perform(history, setTucks(id, photo, [{ ...tuckAt(crossing!), slit: woven }]), 0);
  expect(area(out)).toBeCloseTo(60 * 12, 0);
  expect(hidden(out)!.shadows.filter(({ within }) => !within)).toHaveLength(2);
  expect(piecesAt(pile(out), { x: 140, y: 126 }, 0, tools())[0]!.id).toBe('paper');
  expect(piecesAt(pile(out), { x: 140, y: 136 }, 0, tools())[0]!.id).toBe('photo');
});
