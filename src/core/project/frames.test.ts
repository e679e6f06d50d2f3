import { exchanged } from '@/core/project/create';
import {
  freeOpening,
  isEmptyPlace,
  openingAt,
  openingsOf,
  photoBehind,
  sketchOf,
  sketchOn,
} from '@/core/project/frames';
import { evenly } from '@/core/geometry/sides';
import { unite } from '@/core/geometry/box';
import { AS_IT_IS, carry } from '@/core/calendar/carry';
import { copiesOf } from '@/core/project/copies';
import { layPieces } from '@/core/project/edits/pile';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { partsOf, readyMade, sheetOfPieces } from '@/core/project/keep';
import { extentOf } from '@/core/piece/placement/placement';
import type { Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { ownFamily } from '@/core/text/families';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../scripts/testing/samples';
import { shipped } from '../../../scripts/testing/shipped';

const HOLES = ['M60 60L260 60L260 240L60 240Z', 'M300 60L400 60L400 240L300 240Z'];
const frameAsset: Asset = { ...assetOf(quarters(450, 300, 'image/png'), 450, 300), holes: HOLES };
const photo = assetOf(quarters(90, 60), 900, 600);
const assets = { [frameAsset.sha]: frameAsset, [photo.sha]: photo };
const frame = (turn = 0): Piece => ({
  ...inkPiece('frame', 100, 80, 225, 150),
  role: 'frame',
  material: { kind: 'art', asset: frameAsset.sha },
  placement: { ...inkPiece('frame', 100, 80, 225, 150).placement, turn },
});

describe('a frame takes a photo', () => {
  test('the opening under a point is found, turned or not, and nowhere else', () => {
    // The large opening's middle is at (160, 150) of 450 x 300 pixels: (180, 155) on the page.
    expect(openingAt([frame()], assets, { x: 180, y: 155 })?.hole).toBe(HOLES[0]);
    expect(openingAt([frame()], assets, { x: 275, y: 155 })?.hole).toBe(HOLES[1]);
    expect(openingAt([frame()], assets, { x: 105, y: 85 })).toBeUndefined();
    expect(openingAt([frame(180)], assets, { x: 2 * 212.5 - 180, y: 155 })?.hole).toBe(HOLES[0]);
  });
  test('the photo fills it, reaches under its edge, turns with it and is not squashed', () => {
    const [opening] = openingsOf(frame(30), assets);
    const piece = photoBehind('p', photo, opening!);
    expect(piece.placement).toMatchObject({ width: 100 + 8, height: 90 + 8, turn: 30 });
    expect(piece.material).toMatchObject({ kind: 'photo', window: { zoom: 1 } });
    expect(openingAt([frame(30)], assets, piece.placement)?.hole).toBe(HOLES[0]);
  });
  test('the next photo goes to the next free opening', () => {
    const first = photoBehind('p', photo, freeOpening(frame(), [frame()], assets)!);
    expect(freeOpening(frame(), [first, frame()], assets)?.hole).toBe(HOLES[1]);
    const second = photoBehind('q', photo, freeOpening(frame(), [first, frame()], assets)!);
    expect(freeOpening(frame(), [first, second, frame()], assets)).toBeUndefined();
  });
});

describe('exchanging', () => {
  const place = { ...inkPiece('place', 20, 20, 90, 90, { role: 'photo', outline: { kind: 'ellipse' } }) };
  test('an empty place takes a photo and keeps its place, size and cut', () => {
    expect(isEmptyPlace(place)).toBe(true);
    const filled = exchanged(place, photo, 'photos');
    expect(filled).toMatchObject({
      id: 'place',
      role: 'photo',
      outline: { kind: 'ellipse' },
      placement: place.placement,
    });
    expect(isEmptyPlace(filled)).toBe(false);
  });
  test('a thing with an edge of its own fits the box and is not squashed', () => {
    const { placement } = exchanged(place, frameAsset, 'frames');
    expect(placement.width / placement.height).toBeCloseTo(1.5, 9);
    expect(Math.max(placement.width, placement.height)).toBeCloseTo(90, 9);
  });
});

test('a sketch fits any page, in the middle, nothing squashed, its places free', () => {
  const sketch = laid([
    photoOf('a', photo, { x: 36, y: 36, width: 72, height: 48 }),
    inkPiece('b', 200, 100, 50, 50, { role: 'photo' }),
  ]).surfaces[0]!;
  let count = 0;
  const pieces = sketchOn({ width: 864, height: 864 }, sketch, () => `n${(count += 1)}`);
  expect(pieces.map(({ id }) => id)).toEqual(['n1', 'n2']);
  const [a] = pieces;
  expect(a!.placement).toMatchObject({ width: 144, height: 96, x: 144, y: (864 - 576) / 2 + 120 });
});

test('a page’s photos and places make a sketch; laid again they are where they were, and empty', () => {
  const page = laid([
    inkPiece('strip'),
    {
      ...photoOf('a', photo, { x: 36, y: 36, width: 72, height: 48 }, { kind: 'ellipse' }),
      look: 'l',
      groups: ['g'],
    },
    inkPiece('b', 200, 100, 50, 50, { role: 'photo' }),
  ]).surfaces[0]!;
  const sketch = sketchOf(page);
  expect(sketch.pile.map(({ id }) => id)).toEqual(['a', 'b']);
  expect(sketch.pile.every(isEmptyPlace)).toBe(true);
  const [a] = sketchOn(page, sketch, () => 'n');
  expect(a).toMatchObject({ outline: { kind: 'ellipse' }, placement: page.pile[1]!.placement });
  expect([a!.look, a!.groups]).toEqual([undefined, undefined]);
});

test('pieces kept as a supply lie in a sheet as large as they are, with clear ground, one alone upright', () => {
  const { surfaces } = laid([inkPiece('a'), inkPiece('b', 200, 100, 60, 30)]);
  const turned = { ...inkPiece('a'), placement: { ...inkPiece('a').placement, turn: 40 } };
  const one = sheetOfPieces(surfaces[0]!, [turned]);
  expect(one).toMatchObject({ width: 60, height: 40, bleed: evenly(0), ground: 'transparent' });
  const two = sheetOfPieces(surfaces[0]!, surfaces[0]!.pile);
  for (const { placement } of two.pile) {
    const { x, y, width, height } = extentOf(placement);
    expect([x >= 0, y >= 0, x + width <= two.width, y + height <= two.height]).toEqual([
      true,
      true,
      true,
      true,
    ]);
  }
  expect(() => sheetOfPieces(surfaces[0]!, [])).toThrow(RangeError);
});

test('a page kept to begin from leaves no photo behind: places are free, frames are open, the rest is as it was', () => {
  const behind = photoBehind('b', photo, openingsOf(frame(), assets)[0]!);
  const page = laid(
    [
      { ...inkPiece('i'), look: 'l' },
      photoOf('p', photo, { x: 0, y: 0, width: 90, height: 60 }),
      behind,
      frame(),
    ],
    [photo, frameAsset],
  );
  const project: Project = { ...page, photos: [photo.sha], frames: [frameAsset.sha] };
  let ids = 0;
  const made = (photos: boolean) => readyMade(project, project.surfaces[0]!, () => `n${(ids += 1)}`, photos);
  const bare = made(false);
  expect(readProject(writeProject(bare))).toEqual({ ok: true, value: bare });
  expect(JSON.stringify(bare)).not.toContain(photo.sha);
  expect(bare.surfaces[0]!.pile.map(({ name }) => name)).toEqual(['i', 'Place for a photo', 'frame']);
  expect(bare.surfaces[0]!.pile.map(isEmptyPlace)).toEqual([false, true, false]);
  expect([bare.photos, bare.frames]).toEqual([[], [frameAsset.sha]]);
  const whole = made(true);
  expect(readProject(writeProject(whole))).toEqual({ ok: true, value: whole });
  expect(whole.surfaces[0]!.pile.map(({ material }) => material)).toEqual(
    project.surfaces[0]!.pile.map(({ material }) => material),
  );
});

test('what was carried from month to month in a ready-made calendar is carried anew from there; a copy by hand is nobody’s', () => {
  const calendar = shipped('calendar');
  const [from, ...months] = calendar.surfaces.filter(({ part }) => part?.startsWith('month'));
  const ball = { ...inkPiece('ball', 20, 20, 30, 30), role: 'embellishment' as const };
  const begun = {
    ...calendar,
    surfaces: calendar.surfaces.map((one) =>
      one.id === from!.id ? { ...one, pile: [...one.pile, ball] } : one,
    ),
  };
  let ids = 0;
  const newId = () => `n${(ids += 1)}`;
  const carriedOn = (of: Project, page: string, piece: string, to: readonly string[]) =>
    perform(startHistory(of), carry(of, page, [piece], to, { ...AS_IT_IS, over: true }, newId)!.edit, 0)
      .project;
  const balls = (of: Project) =>
    of.surfaces.map(({ pile }) => pile.filter(({ name }) => name === 'ball').length);
  const laidOn = carriedOn(
    begun,
    from!.id,
    'ball',
    months.map(({ id }) => id),
  );
  const made = readyMade(laidOn, laidOn.surfaces[0]!, newId, true);
  expect(balls(made)).toEqual(balls(laidOn));
  const sides = made.surfaces.filter(({ part }) => part?.startsWith('month'));
  const own = sides[0]!.pile.find(({ name }) => name === 'ball')!;
  const again = carriedOn(
    made,
    sides[0]!.id,
    own.id,
    sides.slice(1).map(({ id }) => id),
  );
  expect(balls(again)).toEqual(balls(made));
  // One that was laid beside it by hand stays when it is carried anew.
  const second = sides[1]!;
  const there = second.pile.filter(({ name }) => name === 'ball');
  const { pieces, groups } = copiesOf(there, second, newId, { x: 9, y: 9 });
  const more = perform(
    startHistory(made),
    layPieces(second.id, pieces, [], undefined, 'duplicate', groups),
    0,
  ).project;
  const anew = carriedOn(more, sides[0]!.id, own.id, [second.id]);
  expect(
    anew.surfaces.find(({ id }) => id === second.id)!.pile.filter(({ name }) => name === 'ball'),
  ).toHaveLength(2);
});

test('pieces kept as they were made pass the door and come back whole: pictures, groups, fonts, whatever is lettered', () => {
  const sha = 'f'.repeat(64);
  const dyed = photoOf('p', photo, { x: 0, y: 0, width: 90, height: 60 });
  const word = wordsOf('w', 'Kites');
  const lettered: Piece = {
    ...word,
    outline: { ...word.outline, family: ownFamily(sha) } as Piece['outline'],
  };
  const page = laid(
    [dyed, { ...lettered, groups: ['g'] }, { ...inkPiece('i'), groups: ['g'] }],
    [photo, frameAsset],
  );
  const project = {
    ...page,
    fonts: [sha, 'e'.repeat(64)].map((one) => ({ sha: one, name: 'Mine', bytes: 9 })),
    surfaces: [{ ...page.surfaces[0]!, groups: [{ id: 'g', name: 'Sign' }] }],
  };
  let ids = 0;
  const parts = partsOf(project, project.surfaces[0]!, project.surfaces[0]!.pile, () => `n${(ids += 1)}`);
  expect(readProject(writeProject(parts))).toEqual({ ok: true, value: parts });
  const { pile, groups, width, height } = parts.surfaces[0]!;
  expect(pile.map(({ material, outline }) => [material, outline])).toEqual(
    project.surfaces[0]!.pile.map(({ material, outline }) => [material, outline]),
  );
  expect(groups.map(({ name }) => name)).toEqual(['Sign']);
  expect([Object.keys(parts.assets), parts.fonts?.map((font) => font.sha)]).toEqual([[photo.sha], [sha]]);
  const whole = pile.map(({ placement }) => extentOf(placement)).reduce(unite);
  expect(whole.x + whole.width / 2).toBeCloseTo(width / 2);
  expect(whole.y + whole.height / 2).toBeCloseTo(height / 2);
  expect(() => partsOf(project, project.surfaces[0]!, [], () => '')).toThrow(RangeError);
});
