/** Outlines drawn by a hand on the page: boxes and rounds as they are pulled, with Shift as wide as high. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { pathBounds } from '@/core/geometry/path';
import * as act from '@/features/table/acts';
import { Draw } from '@/features/table/tasks/cutting/Draw';
import { drawnPath } from '@/features/table/session/drawn';
import { seated } from '../../../../../scripts/testing/room';

test.each(['box', 'round'] as const)('a %s is as large as it is pulled', async (way) => {
  Element.prototype.setPointerCapture ??= () => {};
  const room = await seated(
    <svg>
      <Draw />
    </svg>,
    [],
  );
  room.does(() => act.setDrawing(room.store, { way }));
  const { view } = room.store.getState();
  const area = screen.getByTestId('drawing').querySelector('rect')!;
  const at = (x: number, y: number) => ({
    ...{ clientX: view.x + x * view.zoom, clientY: view.y + y * view.zoom },
    ...{ button: 0, isPrimary: true, pointerId: 1 },
  });
  const pulled = (more: object = {}) => {
    fireEvent.pointerDown(area, at(30, 40));
    fireEvent.pointerMove(area, { ...at(174, 112), ...more });
    fireEvent.pointerUp(area, at(174, 112));
    return drawnPath(room.store.getState().drawing)!;
  };
  const free = pulled();
  const bounds = pathBounds(free);
  for (const [name, value] of Object.entries({ x: 30, y: 40, width: 144, height: 72 }))
    expect([name, Math.round(bounds[name as 'x'] * 100) / 100]).toEqual([name, value]);
  expect(free.some(([kind]) => kind === 'C')).toBe(way === 'round');
  const even = pathBounds(pulled({ shiftKey: true }));
  expect([even.width, even.height].map(Math.round)).toEqual([144, 144]);
});
