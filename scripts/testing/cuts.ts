/** Things to be cut: items as they are gathered from pages, and shapes made by hand and by chance. */
import type { Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import type { Item, Place } from '@/core/cutter/model';

export const RED = { key: '#b3262e', name: 'Red card', colour: '#b3262e' };
export const BLUE = { key: '#2a4b9b', name: 'Blue card', colour: '#2a4b9b' };

export const itemOf = (id: string, path: Path, change: Partial<Item> = {}): Item => ({
  ...{ id, name: id, piece: id, as: 'cut', paper: RED, path, wishes: {} },
  ...change,
});
export const placeWith = (items: readonly Item[], side = 864): Place => ({
  name: 'Page',
  size: { width: side, height: side },
  items,
  printed: [],
});

export const polygon = (...points: readonly (readonly [number, number])[]): Path =>
  pathOfRings([points.map(([x, y]) => ({ x, y }))]);

/** A star about a point, irregular: its corners at `reach` and shares of it by `chance`. */
export const starAt = ({ x, y }: Point, reach: number, chance: () => number): Path => {
  const count = 5 + Math.floor(chance() * 9);
  return pathOfRings([
    Array.from({ length: count }, (_, i) => {
      const [turn, far] = [(2 * Math.PI * i) / count, reach * (0.45 + 0.55 * chance())];
      return { x: x + far * Math.cos(turn), y: y + far * Math.sin(turn) };
    }),
  ]);
};
