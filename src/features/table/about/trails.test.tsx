/** What runs along an edge: sewn, strung and painted in its panel, each setting as a person makes it. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { MOST_TRAILS } from '@/core/piece/finish/trails';
import type { Piece } from '@/core/piece/piece';
import { toPoints } from '@/core/units/lengths';
import { TrailsControls } from '@/features/table/about/TrailsControls';
import { useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import type { GarlandTrail } from '@/core/trail/garland';
import { seated, seatedAt, type Seated } from '../../../../scripts/testing/room';
import { assetOf, inkPiece, laid, quarters } from '../../../../scripts/testing/samples';

const Edge = () => <TrailsControls pieces={useSession((session) => shownSurface(session).pile)} unit="in" />;
const along = (room: Seated, id = 'a') => room.piece(id).finish.trails ?? [];
const trail = (room: Seated) => along(room)[0]!.trail;
const dark: Piece = inkPiece('b', 200, 0, 100, 60, { material: { kind: 'ink', colour: '#101820' } });

test('a seam begins in an ink that stands off, in another stitch it is whole on each side, inside the edge as far as is said', async () => {
  const room = await seated(<Edge />, [inkPiece('a', 0, 0, 144, 72), dark]);
  await room.press('Sew');
  expect(room.undo()).toMatch(/^sew|^lay|^change|^begin/);
  // All that are selected get it, in the ink of the first.
  expect(['a', 'b'].map((id) => along(room, id).map((one) => one.trail.kind))).toEqual([
    ['thread'],
    ['thread'],
  ]);
  const layer = within(screen.getByRole('group', { name: 'Thread 1' }));
  layer.getByText(/^\d+ stitches, whole on each side\.$/);
  const stitches = within(layer.getByRole('group', { name: 'Stitch' }));
  const pressed = () =>
    stitches.getAllByRole('button', { pressed: true }).map(({ textContent }) => textContent);
  expect(pressed()).toHaveLength(1);
  fireEvent.click(stitches.getByRole('button', { name: /^Back/ }));
  expect(trail(room)).toMatchObject({ kind: 'thread', stitch: 'back' });
  expect(pressed()[0]).toMatch(/^Back/);
  // What lies on the edge is no way from it.
  await room.choose('Side', 'On the edge');
  expect(room.field('From the edge').disabled).toBe(true);
  await room.choose('Side', 'Inside');
  await room.fill('From the edge', '1/8');
  expect(along(room)[0]).toMatchObject({ side: 'inside', from: toPoints(0.125, 'in') });
  await room.fill('Length of a stitch', '40');
  await screen.findByText(/^At most/);
  fireEvent.click(screen.getByRole('switch', { name: 'Twisted with a second colour' }));
  expect(trail(room)).toMatchObject({ colours: { length: 2 } });
  expect(screen.getByRole('button', { name: /^Second colour/ })).toBeTruthy();
  fireEvent.click(screen.getByRole('switch', { name: 'Twisted with a second colour' }));
  expect(trail(room)).toMatchObject({ colours: { length: 1 } });
});

test('on what is dark a seam is light', async () => {
  const room = await seated(<Edge />, [dark]);
  await room.press('Sew');
  const { colours } = along(room, 'b')[0]!.trail as { colours: string[] };
  expect(Number.parseInt(colours[0]!.slice(1, 3), 16)).toBeGreaterThan(0xc0);
});

test('beads take colours in turn, one more and one less; the last stays', async () => {
  const room = await seated(<Edge />, [inkPiece('a', 0, 0, 144, 72)]);
  await room.press('Beads');
  const count = () => (trail(room) as { colours: string[] }).colours.length;
  const before = count();
  await room.press('One more colour');
  expect(count()).toBe(before + 1);
  for (let left = count(); left > 1; left--) await room.press('Take colour 1 away');
  expect(count()).toBe(1);
  expect(screen.queryByRole('button', { name: 'Take colour 1 away' })).toBeNull();
  await room.fill('Size of each', '0.25');
  await room.fill('Gap', '0');
  expect(trail(room)).toMatchObject({ kind: 'strung', width: 18, gap: 0 });
});

test('stamps and garlands want something to stamp with, and say where that lies; six run along an edge at the most', async () => {
  const room = await seated(<Edge />, [inkPiece('a', 0, 0, 144, 72)]);
  for (const name of ['Stamps', 'Garland']) {
    await room.press(name);
    expect([name, along(room)]).toEqual([name, []]);
    expect(room.store.getState().refused?.why).toMatch(/^There is nothing to stamp yet/);
  }
  for (let i = 0; i < MOST_TRAILS; i++) await room.press(['Ribbon', 'Paint', 'Twine'][i % 3]!);
  expect(along(room).map((one) => one.trail.kind)).toEqual(
    Array.from({ length: MOST_TRAILS }, (_, i) => ['ribbon', 'paint', 'cord'][i % 3]),
  );
  for (const name of ['Sew', 'Beads', 'Ribbon'])
    expect([name, screen.getByRole<HTMLButtonElement>('button', { name }).disabled]).toEqual([name, true]);
  await room.press('Take ribbon 1 away');
  expect(along(room)).toHaveLength(MOST_TRAILS - 1);
});

test('a garland grows of what is gathered, in the order it was taken; the last picture stays', async () => {
  const pictures = ['sprig', 'fern', 'bud'].map((name, i) =>
    assetOf(quarters(40 + i, 60), 40 + i, 60, { name: `${name}.png` }),
  );
  const room = await seatedAt(<Edge />, {
    ...laid([inkPiece('a', 0, 0, 144, 72)], pictures),
    stamps: pictures.map(({ sha }) => sha),
  });
  await room.press('Garland');
  const garland = () => trail(room) as GarlandTrail;
  const names = (of: 'leaves' | 'flowers') =>
    garland()[of].map(({ asset }) => pictures.find(({ sha }) => sha === asset)!.name.split('.')[0]);
  const layer = within(screen.getByRole('group', { name: 'Garland 1' }));
  const toggle = (of: string, name: string) =>
    fireEvent.click(within(layer.getByRole('group', { name: of })).getByRole('button', { name }));
  const begun = names('leaves');
  expect(begun.length + names('flowers').length).toBeGreaterThan(0);
  for (const name of ['sprig', 'fern', 'bud']) if (!begun.includes(name)) toggle('Leaves', name);
  expect([...names('leaves')].sort()).toEqual(['bud', 'fern', 'sprig']);
  toggle('Leaves', 'fern');
  toggle('Leaves', 'fern');
  expect(names('leaves').at(-1)).toBe('fern');
  // Flowers come in among the leaves as soon as there are some.
  toggle('Flowers', 'bud');
  expect(names('flowers')).toContain('bud');
  expect(garland().bloom).toBeGreaterThan(0);
  for (const name of names('leaves')) toggle('Leaves', name!);
  expect(names('leaves')).toEqual([]);
  for (const name of names('flowers').slice(1)) toggle('Flowers', name!);
  toggle('Flowers', names('flowers')[0]!);
  expect(names('flowers')).toHaveLength(1);
  const stays = 'This one stays until another is chosen: a garland grows of something.';
  layer.getByText(stays);
  toggle('Flowers', 'sprig');
  expect(layer.queryByText(stays)).toBeNull();
  toggle('Flowers', 'sprig');
  const { seed } = garland();
  await room.press('Grow anew');
  expect(garland().seed).not.toBe(seed);
  await room.choose('Leaves grow', 'To the left');
  expect(garland().sides).toBe('left');
  for (const [name, field] of [
    ['Mirrored on one side', 'mirrored'],
    ['Leaves in one ink', 'colour'],
    ['A stem', 'stem'],
  ] as const) {
    const was = field in garland();
    for (const is of [!was, was]) {
      fireEvent.click(layer.getByRole('switch', { name }));
      expect([name, field in garland()]).toEqual([name, is]);
    }
  }
});
