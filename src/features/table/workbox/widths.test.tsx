/** How wide the compartments are: by what lies in them, then as they were drawn, never so narrow that nothing is seen. */
import { expect, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import { COMPARTMENTS, type Compartment } from '@/core/project/model';
import { useWidths } from '@/features/table/workbox/useWidths';

const KEY = 'bellagraph workbox widths';
const widths = (count: (name: Compartment) => number = () => 0) => renderHook(() => useWidths(count)).result;
const sum = (all: Record<Compartment, number>) => COMPARTMENTS.reduce((total, name) => total + all[name], 0);
const [LEFT, RIGHT] = COMPARTMENTS;
beforeEach(() => localStorage.clear());

test('photos and papers have room from the start; the rest grows with what it holds, to an end', () => {
  const bare = widths().current.widths;
  expect([bare.photos, bare.papers]).toEqual([3.4, 2]);
  const [other] = COMPARTMENTS.filter((name) => name !== 'photos' && name !== 'papers') as [Compartment];
  const full = (many: number) => widths(() => many).current.widths[other];
  expect(full(0)).toBeLessThan(full(1));
  expect(full(1)).toBeLessThan(full(3));
  expect(full(400)).toBe(full(9));
});

test('a slat that is drawn gives to one what it takes of the other, and is where it was left the next time', () => {
  const all = widths();
  const before = all.current.widths;
  act(() => all.current.drag(LEFT, RIGHT, 55));
  expect(all.current.widths[LEFT]).toBeCloseTo(before[LEFT] + 0.5, 9);
  expect(all.current.widths[RIGHT]).toBeCloseTo(before[RIGHT] - 0.5, 9);
  expect(sum(all.current.widths)).toBeCloseTo(sum(before), 9);
  // What lies in them does not move it any more.
  expect(widths(() => 9).current.widths).toEqual(all.current.widths);
});

test.each([-1e6, 1e6])(
  'however far it is drawn (%d), neither becomes so narrow that nothing is seen',
  (pixels) => {
    const all = widths();
    const before = sum(all.current.widths);
    act(() => all.current.drag(LEFT, RIGHT, pixels));
    for (const name of COMPARTMENTS) expect(all.current.widths[name]).toBeGreaterThanOrEqual(0.35 - 1e-9);
    expect(sum(all.current.widths)).toBeCloseTo(before, 9);
  },
);

test.each([
  ['', 'null', '{', '[]', '{"photos":3}'],
  [JSON.stringify(Object.fromEntries(COMPARTMENTS.map((name) => [name, 0.1])))],
  [JSON.stringify(Object.fromEntries(COMPARTMENTS.map((name) => [name, 'wide'])))],
])('what was kept and is no good is forgotten: %s', (...kept) => {
  for (const each of kept) {
    localStorage.setItem(KEY, each);
    expect(widths().current.widths.photos).toBe(3.4);
  }
});
