import { meetingOn } from '@/core/page/meeting';
import type { DrawingTools } from '@/core/page/outlines';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { assetOf, inkPiece, quarters } from '../../../scripts/testing/samples';

const clear = assetOf(quarters(9, 6, 'image/png'), 900, 600, { cut: 'M0 0L900 0L450 600Z' });
const tools = { asset: () => clear } as unknown as DrawingTools;
const cell = (id: string, x: number, y = 0, width = 40, more: Partial<Piece> = {}): Piece => ({
  ...inkPiece(id, x, y, width, 40, { finish: finishOf(0) }),
  ...more,
});
const met = (...pile: Piece[]) =>
  Object.fromEntries(
    [...meetingOn(pile, tools)].map(([id, sides]) => [
      id,
      Object.entries(sides)
        .flatMap(([side, by]) => (by ? [side] : []))
        .join(),
    ]),
  );

test('the lower of two pieces goes on beneath the other, along a side that lies wholly at others', () => {
  expect(met(cell('a', 0), cell('b', 40))).toEqual({ a: 'right' });
  expect(met(cell('b', 40), cell('a', 0))).toEqual({ b: 'left' });
  expect(met(cell('a', 0), cell('b', 40), cell('c', 0, 40, 25), cell('d', 25, 40, 55))).toEqual({
    a: 'right,bottom',
    b: 'bottom',
    c: 'right',
  });
  // A gap, a side that is longer, and pieces that do not cover: they stay as they are.
  expect(met(cell('a', 0), cell('b', 40.5))).toEqual({});
  expect(met(cell('a', 0, 0, 40), cell('b', 0, 40, 39))).toEqual({});
  const turned = cell('b', 40);
  for (const other of [
    { ...turned, placement: { ...turned.placement, turn: 1 } },
    { ...turned, finish: { ...turned.finish, opacity: 0.5 } },
    { ...turned, outline: { kind: 'rectangle', radius: 3 } as const },
    { ...turned, material: { kind: 'photo', asset: clear.sha, window: WHOLE } as const },
    inkPiece('b', 40, 0, 40, 40),
  ])
    expect(met(cell('a', 0), other)).toEqual({});
});
