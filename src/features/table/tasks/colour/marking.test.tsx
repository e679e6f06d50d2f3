/** A hand marks parts of pictures on the page, by pointer and by keys: what they come to, seen as the page is painted. */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import sharp from 'sharp';
import { SEASIDE } from '../../../../../scripts/kits/icons/seaside';
import { byHand } from '../../../../../scripts/kits/icons/pen';
import type { Asset } from '@/core/picture/asset';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { readArea } from '@/core/dye/area';
import type { Marked } from '@/core/dye/dye';
import { dyesOf } from '@/core/project/edits/dyes';
import { Marking } from '@/features/table/tasks/colour/Marking';
import { Sheets } from '@/features/table/tasks/Sheets';
import { boat } from '../../../../../scripts/testing/boat';
import { seated, shelve } from '../../../../../scripts/testing/room';
import { assetOf, inkPiece, photoOf } from '../../../../../scripts/testing/samples';

beforeEach(() => {
  Element.prototype.setPointerCapture ??= () => {};
});

const SIDE = 240;
type Share = readonly [x: number, y: number];

/** One picture as a piece of 240 points at the top left, with a sheet open beside it. */
async function opened(
  sheet: 'recolour' | 'colourIn',
  asset: Asset,
  bytes: Uint8Array,
  piece: (asset: Asset) => Piece,
) {
  await shelve(asset, bytes);
  const room = await seated(
    <>
      <Sheets />
      <Marking />
    </>,
    [piece(asset)],
    ['it'],
    [asset],
  );
  room.does(() => room.store.getState().openSheet(sheet));
  await screen.findByRole('dialog');
  const area = () => screen.getByTestId('marking');
  const at = ([x, y]: Share) => {
    const { view } = room.store.getState();
    return {
      ...{ clientX: view.x + x * SIDE * view.zoom, clientY: view.y + y * SIDE * view.zoom },
      ...{ button: 0, pointerId: 1, isPrimary: true },
    };
  };
  return {
    ...room,
    area,
    async stroke(...shares: Share[]) {
      await screen.findByTestId('marking');
      fireEvent.pointerDown(area(), at(shares[0]!));
      for (const share of shares) fireEvent.pointerMove(area(), at(share));
      fireEvent.pointerUp(area(), at(shares.at(-1)!));
    },
    hover: (share: Share) => fireEvent.pointerMove(area(), at(share)),
    key: (key: string, times = 1, more: object = {}) => {
      for (let i = 0; i < times; i++) fireEvent.keyDown(area(), { key, ...more });
    },
    /** What the page shows at a share of the picture. */
    shows: (x: number, y: number) => room.seen(x * SIDE, y * SIDE).slice(0, 3) as [number, number, number],
    dyes: () => dyesOf(room.piece('it')),
  };
}

const onWater = async () => {
  const bytes = new Uint8Array(await sharp(boat(600)).png().toBuffer());
  return opened('recolour', assetOf(bytes, 600, 600, { name: 'boat.png' }), bytes, (asset) =>
    photoOf('it', asset, { x: 0, y: 0, width: SIDE, height: SIDE }),
  );
};
const [SKY, MAST, HULL, SAIL] = [
  [0.2, 0.2],
  [0.498, 0.3],
  [0.5, 0.7],
  [0.58, 0.5],
] as const;

test('a rough stroke takes the hull, keys alone the sail; sky and mast stay; what is protected no dye reaches', async () => {
  const room = await onWater();
  const [sky, mast] = [room.shows(...SKY), room.shows(...MAST)];
  await room.press('Mark a part');
  await room.stroke([0.3, 0.68], [0.5, 0.7], [0.7, 0.68]);
  await screen.findByText(/^1 stroke\. Draw on/);
  await room.fill('Ink', '#b3262e');
  const [red, green, blue] = room.shows(...HULL);
  expect(red).toBeGreaterThan(Math.max(green, blue) + 60);
  expect([room.shows(...SKY), room.shows(...MAST)]).toEqual([sky, mast]);
  room.key('Escape');
  expect(screen.queryByTestId('marking')).toBeNull();
  await room.fill('Its name', 'Hull');
  // What a press would take in is said before it is done.
  await room.press('Mark a part');
  await screen.findByTestId('marking');
  room.key('ArrowRight', 8);
  await within(room.area()).findByText(/^takes in \d+ % of the picture$/);
  room.key('Enter');
  room.key('Escape');
  await room.fill('Ink', '#f2e2b8');
  const sail = room.shows(...SAIL);
  expect(sail[0] - sail[2]).toBeGreaterThan(20);
  expect([room.shows(...SKY), room.shows(...MAST)]).toEqual([sky, mast]);
  expect(room.dyes().map(({ name }) => name)).toEqual(['Hull', 'Part 1']);
  // The mast is kept from a dye of the whole, whichever was first.
  await room.press('As it was');
  expect(room.dyes()).toEqual([]);
  await room.press('All of it');
  await room.fill('Ink', '#1f5f7a');
  await room.press('Protect a part');
  await room.stroke([0.498, 0.2], [0.498, 0.5]);
  await room.when(() => room.dyes()[1]!.where);
  expect(room.shows(...MAST)).toEqual(mast);
  expect(room.shows(...HULL)[2]).toBeGreaterThan(room.shows(...HULL)[0] + 20);
});

test('strokes are taken back one by one, and take away what others took in; all but the part; edges, holes and strength', async () => {
  const room = await onWater();
  await room.press('Mark a part');
  const marked = () => {
    const area = readArea((room.dyes()[0]!.where as Marked).area);
    return area ? area.cells.reduce((sum, cell) => sum + Number(cell > 0), 0) / area.cells.length : 0;
  };
  await room.stroke(HULL);
  const hull = marked();
  expect(hull).toBeGreaterThan(0.03);
  await room.stroke(SAIL);
  expect(marked()).toBeGreaterThan(hull + 0.03);
  await room.press('Last stroke back');
  expect(marked()).toBeCloseTo(hull, 5);
  // A stroke that takes away takes just what it is drawn over.
  await room.press('Take away');
  await room.stroke([0.45, 0.7], [0.55, 0.7]);
  expect(marked()).toBeLessThan(hull);
  expect(marked()).toBeGreaterThan(hull / 2);
  await room.press('Last stroke back');
  const before = [room.shows(...HULL), room.shows(...SKY)];
  fireEvent.click(screen.getByRole('switch', { name: 'All but this part' }));
  expect([room.shows(...HULL), room.shows(...SKY)].map((one, i) => one.join() === before[i]!.join())).toEqual(
    [false, false],
  );
  fireEvent.click(screen.getByRole('switch', { name: 'Holes filled' }));
  expect(room.dyes()[0]!.where).toMatchObject({ filled: true });
  fireEvent.click(screen.getByRole('switch', { name: 'Holes filled' }));
  expect(room.dyes()[0]!.where).not.toHaveProperty('filled');
  // Another way to recolour begins as it was.
  await room.press('By hue and light');
  expect(room.dyes()[0]!.change).toEqual({ how: 'shift', hue: 0, saturation: 0, lightness: 0 });
  expect(room.shows(...SKY)).toEqual(before[1]);
  // A drag that is lost marks nothing.
  const strokes = (room.dyes()[0]!.where as Marked).strokes.length;
  fireEvent.pointerDown(room.area(), { clientX: 300, clientY: 300, button: 0, pointerId: 1 });
  fireEvent.pointerCancel(room.area());
  fireEvent.pointerUp(room.area(), { clientX: 300, clientY: 300, pointerId: 1 });
  expect((room.dyes()[0]!.where as Marked).strokes).toHaveLength(strokes);
});

test('parts of one picture are put in order, hidden and taken away', async () => {
  const room = await onWater();
  const grey = room.shows(...SKY);
  for (const ink of ['#b3262e', '#1f5f7a']) {
    fireEvent.click(screen.getAllByRole('button', { name: 'All of it' }).at(-1)!);
    await room.fill('Ink', ink);
  }
  const blue = room.shows(...SKY);
  // Both are called the same: each is moved, hidden and taken away by itself.
  const row = (i: number) => within(screen.getAllByRole('listitem')[i]!);
  fireEvent.click(row(1).getByRole('button', { name: 'Move All of it up' }));
  expect(room.undo()).toBe('move a part');
  const red = room.shows(...SKY);
  expect(red[0]).toBeGreaterThan(red[2]);
  expect(blue[2]).toBeGreaterThan(blue[0]);
  fireEvent.click(row(1).getByRole('button', { name: 'Hide All of it' }));
  expect(room.shows(...SKY)[2]).toBeGreaterThan(room.shows(...SKY)[0]);
  fireEvent.click(row(0).getByRole('button', { name: 'Hide All of it' }));
  expect(room.shows(...SKY)).toEqual(grey);
  fireEvent.click(row(0).getByRole('button', { name: 'Show All of it' }));
  fireEvent.click(row(1).getByRole('button', { name: 'Take All of it away' }));
  expect(room.dyes()).toHaveLength(1);
  expect(room.dyes()[0]).not.toHaveProperty('off');
});

test('a drawing is recoloured by its painted parts: pressed they are chosen, pressed again left', async () => {
  const stripes = `<svg xmlns="http://www.w3.org/2000/svg" width="200" height="200"><rect width="200" height="200" fill="#f4efe4"/>${[0, 50, 100, 150].map((x) => `<rect x="${x}" width="25" height="200" fill="#24506b"/>`).join('')}<circle cx="187" cy="100" r="8" fill="#9e2b45"/></svg>`;
  const bytes = new TextEncoder().encode(stripes);
  const asset = assetOf(bytes, 200, 200, { type: 'image/svg+xml', name: 'stripes' });
  const room = await opened('recolour', asset, bytes, (one) => ({
    ...photoOf('it', one, { x: 0, y: 0, width: SIDE, height: SIDE }),
    material: { kind: 'art', asset: one.sha },
  }));
  const [blue, cream] = [room.shows(0.05, 0.5), room.shows(0.2, 0.5)];
  await room.press('Mark a part');
  await room.stroke([0.05, 0.5]);
  screen.getByText(/4 of 6 painted parts chosen/);
  await room.fill('Ink', '#5a2a7a');
  for (const x of [0.05, 0.3, 0.55, 0.8]) expect(room.shows(x, 0.5)).not.toEqual(blue);
  expect(room.shows(0.2, 0.5)).toEqual(cream);
  // One of them alone.
  fireEvent.click(screen.getByRole('switch', { name: 'All of the same colour' }));
  await room.stroke([0.3, 0.5]);
  screen.getByText(/3 of 6 painted parts chosen/);
  expect(room.shows(0.3, 0.5)).toEqual(blue);
  expect(room.shows(0.55, 0.5)).not.toEqual(blue);
  // Beside the picture nothing is pressed.
  await room.stroke([1.2, 0.5]);
  screen.getByText(/3 of 6 painted parts chosen/);
});

test('a stamp is coloured in area by area, by brush and by keys, always beneath its lines', async () => {
  const { line } = SEASIDE.find(({ name }) => name === 'Sailboat')!;
  const bytes = new TextEncoder().encode(
    `<svg xmlns="http://www.w3.org/2000/svg" width="432" height="432" viewBox="-4 -4 108 108"><path d="${byHand(line, 35)}" fill="none" stroke="#000000" stroke-width="2.6" stroke-linecap="round" stroke-linejoin="round"/></svg>`,
  );
  const asset = assetOf(bytes, 432, 432, { type: 'image/svg+xml', name: 'boat stamp' });
  const room = await opened('colourIn', asset, bytes, (one) => ({
    ...inkPiece('it', 0, 0, SIDE, SIDE),
    finish: finishOf(0),
    material: { kind: 'art', asset: one.sha, ink: '#000000' },
  }));
  const stamped = room.shows(0.481, 0.4);
  expect(Math.max(...stamped)).toBeLessThan(60);
  await screen.findByText('Press an area on the page. 3 areas between its lines.');
  await room.fill('Ink', '#b3262e');
  await room.stroke([0.5, 0.8]);
  expect(room.undo()).toBe('colour embellishment in');
  const hull = room.shows(0.5, 0.8);
  expect(hull[0] - hull[1]).toBeGreaterThan(60);
  // No lines round the sea.
  await room.stroke([0.1, 0.9]);
  await screen.findByText(/^No lines enclose this spot/);
  expect(room.seen(0.1 * SIDE, 0.9 * SIDE)[3]).toBe(0);
  await room.press('Watercolour');
  await room.fill('Ink', '#e8c66a');
  room.hover([0.6, 0.5]);
  room.key('Enter');
  const sail = room.shows(0.6, 0.5);
  expect(sail[0] - sail[2]).toBeGreaterThan(40);
  // Over the mast and back: the brush does not leave the sail it began in.
  await room.press('Brush');
  await room.fill('Ink', '#3f7f9f');
  await room.stroke([0.4, 0.55], [0.6, 0.5], [0.42, 0.45], [0.6, 0.4], [0.45, 0.35]);
  const other = room.shows(0.44, 0.54);
  expect(other[2] - other[0]).toBeGreaterThan(20);
  expect(room.shows(0.6, 0.5)).toEqual(sail);
  expect(room.shows(0.481, 0.4)).toEqual(stamped);
  await room.press('Take away');
  await room.stroke([0.5, 0.8]);
  expect(room.seen(0.5 * SIDE, 0.8 * SIDE)[3]).toBe(0);
  await room.press('Take all colour away');
  expect(room.piece('it').material).not.toHaveProperty('fills');
});
