/** Several pieces at once in the panel: lined up, spaced out, set round, sized and turned by number. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { About } from '@/features/table/about/About';
import { groupPieces } from '@/core/project/edits/group';
import { lockPieces } from '@/core/project/edits/place';
import { seated } from '../../../../scripts/testing/room';
import { inkPiece, wordsOf } from '../../../../scripts/testing/samples';

/** Three buttons of an inch: at 1, 4 and 4.75 in from the left, none as high as another. */
const BUTTONS = [
  inkPiece('red', 36, 72, 72, 72),
  inkPiece('blue', 200, 100, 72, 72),
  inkPiece('green', 342, 60, 72, 72),
];
async function several(pieces = BUTTONS, chosen = pieces.map(({ id }) => id)) {
  const room = await seated(<About />, pieces, chosen);
  const places = (side: 'x' | 'y') =>
    BUTTONS.map(({ id }) => Math.round(room.piece(id).placement[side] * 100) / 100);
  return { ...room, places };
}

test('upper edges lie on one line; the air between is shared out, or given by a number that is worked out', async () => {
  const { press, places, undo, fill, field } = await several();
  screen.getByRole('heading', { name: '3 pieces' });
  await press('Upper edges');
  expect([places('y'), undo()]).toEqual([[96, 96, 96], 'align 3 pieces']);
  await press('Across');
  expect([places('x'), undo()]).toEqual([[72, 225, 378], 'space 3 pieces']);
  await fill('Gap', '1/2 + 0.25');
  expect(field('Gap').value).toBe('0.75');
  await press('Across with this gap');
  const [a, b, c] = places('x');
  expect([b! - a!, c! - b!]).toEqual([72 * 1.75, 72 * 1.75]);
  await press('Down with this gap');
  const [d, e, f] = [...places('y')].sort((one, other) => one - other);
  expect([e! - d!, f! - e!]).toEqual([72 * 1.75, 72 * 1.75]);
  await fill('Gap', 'wide');
  expect(undo()).toBe('space 3 pieces');
});

test('lined up with the page, and with its safe area; the middle of all of them comes to the middle', async () => {
  const { press, choose, places } = await several();
  await choose('With', 'the page');
  await press('Left edges');
  expect(places('x')).toEqual([36, 36, 36]);
  await press('Lower edges');
  expect(places('y')).toEqual([252, 252, 252]);
  await choose('With', 'the safe area');
  await press('Left edges');
  expect(places('x')[0]).toBeGreaterThan(36);
  await press('Centre across');
  await press('Centre down');
  expect([places('x'), places('y')]).toEqual([
    [216, 216, 216],
    [144, 144, 144],
  ]);
});

test('moved as one by number; of each the width, the height and the turn; what differs is shown as nothing', async () => {
  const pieces = BUTTONS.map((one, i) => ({
    ...one,
    placement: { ...one.placement, width: i === 1 ? 36 : 72 },
  }));
  const { field, fill, places, piece, undo } = await several(pieces);
  const before = places('x');
  expect([field('Width of each').value, field('Height of each').value, field('Turn of each').value]).toEqual([
    '',
    '1',
    '0',
  ]);
  await fill('All from left', '1');
  expect(places('x').map((x, i) => Math.round(x - before[i]!))).toEqual(Array(3).fill(Math.round(72 - 36)));
  await fill('Width of each', '1.5');
  expect(BUTTONS.map(({ id }) => piece(id).placement.width)).toEqual([108, 108, 108]);
  await fill('Turn of each', '-30');
  expect(BUTTONS.map(({ id }) => piece(id).placement.turn)).toEqual([-30, -30, -30]);
  const now = undo();
  for (const [name, text] of [
    ['Width of each', '0'],
    ['Height of each', '200'],
    ['All from top', 'high'],
    ['Turn of each', '9999'],
  ] as const)
    await fill(name, text);
  expect(undo()).toBe(now);
});

test('set round a circle each stands on it, turned with it or not; on an arc as wide as is said', async () => {
  const { press, fill, piece } = await several();
  await fill('Radius', '2');
  await press('Set round');
  const spots = () => BUTTONS.map(({ id }) => piece(id).placement);
  const [x, y] = ['x', 'y'].map((side) => spots().reduce((sum, at) => sum + at[side as 'x'], 0) / 3);
  for (const at of spots()) expect(Math.hypot(at.x - x!, at.y - y!)).toBeCloseTo(144, 3);
  expect(new Set(spots().map(({ turn }) => Math.round(turn))).size).toBe(3);
  await fill('Part of it', '0');
  await screen.findByText('From 1 to 360 degrees.');
  await fill('Part of it', '90');
  fireEvent.click(screen.getByRole('switch', { name: 'Turn with it' }));
  const before = spots().map(({ turn }) => turn);
  await press('Set round');
  expect(spots().map(({ turn }) => turn)).toEqual(before);
  const [first, , last] = spots();
  // The ends of a quarter of a circle lie as far apart as a side of the square in it.
  expect(Math.hypot(first!.x - last!.x, first!.y - last!.y)).toBeCloseTo(144 * Math.SQRT2, 3);
});

test('a group is one of them, and is spaced as one; what is locked stays and is said', async () => {
  const room = await several([...BUTTONS, wordsOf('w', 'tide')], ['red', 'blue', 'green']);
  room.does(() => {
    const { perform, surfaceId } = room.store.getState();
    const { pile } = room.project().surfaces[0]!;
    perform(groupPieces(surfaceId, pile.slice(0, 2), { id: 'g', name: 'Both' }, null));
  });
  room.chosen('red', 'blue', 'green');
  const apart = () => room.piece('blue').placement.x - room.piece('red').placement.x;
  const before = apart();
  await room.press('Upper edges');
  await room.press('Across with this gap');
  expect(apart()).toBe(before);
  room.does(() => {
    const { perform, surfaceId } = room.store.getState();
    perform(lockPieces(surfaceId, room.pile().slice(0, 3), true));
  });
  await screen.findByText('All of these are locked.');
  expect(screen.queryByRole('button', { name: 'Upper edges' })).toBeNull();
});
