/** Photos of a page: which may be moved, what is free, and edits that move photos and nothing else. */
import fc from 'fast-check';
import { evenly } from '@/core/geometry/sides';
import { overlaps, type Box } from '@/core/geometry/box';
import { largestFree } from '@/core/page/free';
import { photoPiece, stripPiece } from '@/core/project/create';
import {
  arrangePhotos,
  emptyPlaces,
  fillPlaces,
  finishPhotos,
  swapPhotos,
} from '@/core/project/edits/photos';
import { gather } from '@/core/project/edits/gather';
import { changeNotes, putAway, setTaken, shiftTaken } from '@/core/project/edits/notes';
import { layPieces } from '@/core/project/edits/pile';
import { perform, startHistory, undo } from '@/core/project/history';
import { newLayout, newSurface, type Project } from '@/core/project/model';
import { levelled, WHOLE } from '@/core/piece/material/window';
import { isEmptyPlace } from '@/core/project/frames';
import { byTime, freeArea, inReading, photosOn, swapsFor, waitingPhotos } from '@/core/project/photos';
import type { Asset } from '@/core/picture/asset';

const asset = (sha: string, more: Partial<Asset> = {}): Asset => ({
  sha: sha.padEnd(64, '0'),
  type: 'image/jpeg',
  name: `${sha}.jpg`,
  bytes: 1,
  width: 3000,
  height: 2000,
  orientation: 1,
  ppi: 300,
  ...more,
});
const [a, b, c] = [asset('a', { focus: { x: 0.9, y: 0.2 } }), asset('b'), asset('c')];
const page = { width: 864, height: 864, bleed: evenly(9) };
const at = (x: number, y: number) => ({ x, y });
const start = () => {
  const layout = newLayout({ id: 'p', title: '', unit: 'in', width: 864, height: 864 });
  const pile = [
    stripPiece('strip', asset('d'), page, at(432, 700)),
    photoPiece('one', a, page, at(200, 200)),
    { ...photoPiece('cut', b, page, at(600, 200)), outline: { kind: 'ellipse' as const } },
    photoPiece('two', b, page, at(200, 600)),
  ];
  return perform(startHistory(layout), layPieces('p-1', pile, [a, b, c, asset('d')]), 0);
};
const pileOf = (project: Project) => project.surfaces[0]!.pile;
const find = (project: Project, id: string) => pileOf(project).find((piece) => piece.id === id)!;

test('an arrangement moves plain photos only; cut ones, papers and their cuts stay; undo goes back', () => {
  const history = start();
  const { project } = history;
  const { movable, staying } = photosOn(project.surfaces[0]!, project.assets);
  expect(movable.map(({ id }) => id)).toEqual(['one', 'two']);
  expect(staying.map(({ id }) => id)).toEqual(['cut']);
  const fresh = photoPiece('three', c, page, at(0, 0));
  const boxes: Box[] = [0, 1, 2].map((i) => ({ x: 36, y: 36 + 250 * i, width: 500, height: 200 }));
  const placed = [...movable, fresh].map((piece, i) => ({ piece, box: boxes[i]! }));
  const after = perform(history, arrangePhotos('p-1', placed, [c]), 5000);
  expect(find(after.project, 'strip')).toEqual(find(project, 'strip'));
  expect(find(after.project, 'cut')).toEqual(find(project, 'cut'));
  expect(find(after.project, 'one').placement).toMatchObject({ x: 286, y: 136, width: 500, height: 200 });
  // What matters was at the upper right; the crop is kept there.
  expect(find(after.project, 'one').material).toMatchObject({ window: { x: 0.9, y: 0.2, zoom: 1 } });
  expect(pileOf(after.project).at(-1)!.id).toBe('three');
  expect(after.project.photos).toContain(c.sha);
  expect(undo(after).project).toEqual(project);
});

test('photos change places, places are made and filled', () => {
  const history = start();
  const { project } = history;
  const swapped = perform(
    history,
    swapPhotos('p-1', [find(project, 'one'), find(project, 'cut')]),
    5000,
  ).project;
  expect(find(swapped, 'cut')).toMatchObject({
    name: 'a',
    outline: { kind: 'ellipse' },
    material: { asset: a.sha, window: { x: 0.9 } },
    placement: find(project, 'cut').placement,
  });
  expect(find(swapped, 'one')).toMatchObject({ name: 'b', material: { asset: b.sha } });
  // With an empty place: the photo goes there, and leaves one behind.
  const free = perform(history, emptyPlaces('p-1', [find(project, 'cut')]), 5000).project;
  const put = perform(
    startHistory(free),
    swapPhotos('p-1', [find(free, 'one'), find(free, 'cut')]),
    0,
  ).project;
  expect(find(put, 'cut')).toMatchObject({
    name: 'a',
    material: { asset: a.sha },
    outline: { kind: 'ellipse' },
  });
  expect(isEmptyPlace(find(put, 'one'))).toBe(true);
  // Only what is free to go, and none of other groups.
  const { surfaces } = history.project;
  expect(swapsFor(surfaces[0]!, find(project, 'one')).map(({ id }) => id)).toContain('cut');
  expect(swapsFor(surfaces[0]!, find(project, 'strip'))).toEqual([]);
  const grouped = {
    ...surfaces[0]!,
    pile: surfaces[0]!.pile.map((p) => (p.id === 'cut' ? { ...p, groups: ['g'] } : p)),
  };
  expect(swapsFor(grouped, find(project, 'one')).map(({ id }) => id)).not.toContain('cut');
  const emptied = perform(history, emptyPlaces('p-1', [find(project, 'cut')]), 5000).project;
  const [place, ...more] = photosOn(emptied.surfaces[0]!, emptied.assets).places;
  expect(more).toEqual([]);
  const filled = perform(startHistory(emptied), fillPlaces('p-1', [{ place: place!, asset: c }]), 0).project;
  expect(find(filled, 'cut')).toMatchObject({ outline: { kind: 'ellipse' }, material: { asset: c.sha } });
  expect(waitingPhotos({ ...filled, photos: [a.sha, c.sha] })).toEqual([]);
});

test('one photo’s finish is given to all others, of the page or of every page; framed and locked ones keep theirs', () => {
  const history = start();
  const one = find(history.project, 'one');
  const from = {
    ...one,
    finish: { ...one.finish, opacity: 0.5 },
    outline: { kind: 'rectangle' as const, radius: 9 },
  };
  const locked = {
    ...photoPiece('locked', b, page, at(300, 300)),
    placement: { ...one.placement, locked: true },
  };
  const second = newSurface('p-2', 'Page 2', page, 'in');
  const project = {
    ...history.project,
    surfaces: [
      { ...history.project.surfaces[0]!, pile: [...pileOf(history.project), locked] },
      { ...second, pile: [photoPiece('far', c, page, at(300, 300))] },
    ],
  };
  const opacities = (made: Project) =>
    made.surfaces
      .flatMap(({ pile }) => pile.filter(({ role }) => role === 'photo'))
      .map(({ finish }) => finish.opacity);
  expect(opacities(perform(startHistory(project), finishPhotos(from, 'p-1'), 0).project)).toEqual([
    1, 0.5, 0.5, 1, 1,
  ]);
  const all = perform(startHistory(project), finishPhotos(from, null), 0).project;
  expect(opacities(all)).toEqual([1, 0.5, 0.5, 1, 0.5]);
  expect(find(all, 'two').outline).toEqual({ kind: 'rectangle', radius: 9 });
  expect(find(all, 'cut').outline).toEqual({ kind: 'ellipse' });
});

test('a photo is levelled by a line along a synthetic horizon, to a fifth of a degree', () => {
  fc.assert(
    fc.property(fc.double({ min: -44, max: 44, noNaN: true }), fc.boolean(), (tilt, upright) => {
      // The horizon lies tilted in the picture; the hand draws along it with a pixel of tremble at 600 pixels' length.
      const angle = ((tilt + (upright ? 90 : 0)) * Math.PI) / 180;
      const to = { x: 600 * Math.cos(angle), y: 600 * Math.sin(angle) + (upright ? 0 : 1) };
      const { turn } = levelled(WHOLE, { x: 0, y: 0 }, to);
      expect(Math.abs(turn + tilt)).toBeLessThan(0.2);
      // Drawn the other way round it comes to the same.
      expect(levelled(WHOLE, to, { x: 0, y: 0 }).turn).toBeCloseTo(turn, 9);
    }),
  );
});

test('photos are read row by row, and by the time they were taken', () => {
  const spots = { upRight: at(600, 120), upLeft: at(200, 200), low: at(100, 700) };
  const pieces = Object.entries(spots).map(([id, spot]) => photoPiece(id, a, page, spot));
  expect(inReading(pieces).map(({ id }) => id)).toEqual(['upLeft', 'upRight', 'low']);
  const taken = (time?: string) => ({ ...a, taken: time });
  expect(
    byTime([taken(), taken('2026-05-16T09:00:00'), taken('2026-05-15T23:59:59')]).map((each) => each.taken),
  ).toEqual(['2026-05-15T23:59:59', '2026-05-16T09:00:00', undefined]);
});

describe('the largest free part', () => {
  test('by hand: beneath a band, beside a block, and what lies under all of it does not count', () => {
    const area = { width: 960, height: 960 };
    expect(largestFree(area, [])).toEqual({ x: 0, y: 0, ...area });
    expect(largestFree(area, [{ x: -5, y: 0, width: 2000, height: 200 }])).toEqual({
      x: 0,
      y: 200,
      width: 960,
      height: 760,
    });
    expect(
      largestFree(area, [
        { x: 0, y: 0, width: 400, height: 960 },
        { x: 400, y: 500, width: 560, height: 100 },
      ]),
    ).toEqual({ x: 400, y: 0, width: 560, height: 500 });
    expect(largestFree(area, [{ x: 0, y: 0, ...area }])).toBeNull();
    // The strip covers 613.6 to 786.4 of 864; photos do not count.
    const { project } = start();
    const free = freeArea(project.surfaces[0]!, 0, new Set(['one', 'two', 'cut']))!;
    expect(free.y).toBe(0);
    expect(free.height).toBeGreaterThan(600);
    expect(free.height).toBeLessThanOrEqual(613.6);
  });

  test('nothing lies on it, whatever lies there', () => {
    const boxes = fc.array(
      fc.record({
        x: fc.integer({ min: -100, max: 900 }),
        y: fc.integer({ min: -100, max: 900 }),
        width: fc.integer({ min: 1, max: 500 }),
        height: fc.integer({ min: 1, max: 500 }),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(boxes, (taken) => {
        const free = largestFree({ width: 864, height: 600 }, taken);
        if (!free) return;
        const inner = {
          x: free.x + 1e-6,
          y: free.y + 1e-6,
          width: free.width - 2e-6,
          height: free.height - 2e-6,
        };
        expect(taken.some((box) => overlaps(box, inner))).toBe(false);
      }),
    );
  });
});

describe('what is known of photos', () => {
  const known = (history: ReturnType<typeof start>, sha: string) => history.project.assets[sha]!;
  const gathered = () => perform(start(), gather('photos', [a, b, c]), 0);

  test('notes are changed for several at once, and leave nothing empty behind; undo brings them back', () => {
    const before = gathered();
    const named = perform(
      before,
      changeNotes([a.sha, b.sha], 'people', () => ['Ines', ' Olu ']),
      5000,
    );
    expect(known(named, a.sha).notes).toEqual({ people: ['Ines', 'Olu'] });
    const placed = perform(
      named,
      changeNotes([a.sha], 'place', () => 'North beach'),
      9000,
    );
    expect(known(placed, a.sha).notes).toEqual({ people: ['Ines', 'Olu'], place: 'North beach' });
    const cleared = perform(
      placed,
      changeNotes([b.sha], 'people', () => []),
      15_000,
    );
    expect('notes' in known(cleared, b.sha)).toBe(false);
    expect(undo(undo(undo(cleared))).project).toEqual(before.project);
    // Brought in once more, a photo keeps what was said of it.
    expect(known(perform(placed, gather('photos', [a]), 20_000), a.sha).notes?.place).toBe('North beach');
  });

  test('times are set, shifted over midnight and leap days, and never become what a file would refuse', () => {
    const set = perform(gathered(), setTaken(a.sha, '2028-02-28T23:30:00'), 0);
    expect(known(perform(set, shiftTaken([a.sha, b.sha], 3600), 1), a.sha).taken).toBe('2028-02-29T00:30:00');
    expect(known(perform(set, setTaken(a.sha, '12028-02-28T23:30:00'), 1), a.sha).taken).toBe(
      '2028-02-28T23:30:00',
    );
    // What no clock shows: such a time has no place in an order, and no words.
    for (const none of [
      '2028-13-01T10:00:00',
      '2028-00-10T10:00:00',
      '2028-01-00T10:00:00',
      '2028-01-32T10:00:00',
      '2028-01-01T24:00:00',
      '2028-01-01T10:60:00',
      '2028-01-01T10:00:60',
    ])
      expect(known(perform(set, setTaken(a.sha, none), 1), a.sha).taken).toBe('2028-02-28T23:30:00');
    const late = perform(set, setTaken(a.sha, '9999-12-31T23:30:00'), 1);
    expect(known(perform(late, shiftTaken([a.sha], 7200), 2), a.sha).taken).toBe('9999-12-31T23:30:00');
    expect('taken' in known(perform(set, setTaken(a.sha, null), 1), a.sha)).toBe(false);
  });

  test('only what lies on no page is put away', () => {
    const history = gathered();
    const { photos, assets } = perform(history, putAway([a.sha, c.sha]), 1).project;
    expect(photos).toContain(a.sha);
    expect(photos).not.toContain(c.sha);
    expect(c.sha in assets).toBe(false);
  });
});
