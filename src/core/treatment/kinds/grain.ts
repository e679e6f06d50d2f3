/** What a sheet is made of, felt by light across it: the tooth of paper, the weave of cloth. */
import { clouds, hash } from '@/core/geometry/noise';
import { light } from '@/core/treatment/relief';
import type { Field } from '@/core/treatment/field';
import type { TreatmentKind } from '@/core/treatment/treatment';

function heightsOf({ width, height, scale, x: left, y: top }: Field, at: (x: number, y: number) => number) {
  const heights = new Float32Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      heights[y * width + x] = at(left + (x + 0.5) / scale, top + (y + 0.5) / scale);
  return heights;
}

export const paperGrain: TreatmentKind = {
  name: 'Paper grain',
  chance: true,
  settings: [
    { id: 'size', name: 'Size of the grain', unit: 'length', least: 0.5, most: 18, first: 2.2 },
    { id: 'strength', name: 'Strength', unit: 'share', least: 0, most: 1, first: 0.3 },
  ],
  paint(field, { value, seed }, toward, out) {
    const size = value('size');
    const heights = heightsOf(field, (x, y) => size * 0.5 * clouds(x / size, y / size, 3, seed));
    light(field, heights, toward, value('strength'), out);
  },
};

export const fabric: TreatmentKind = {
  name: 'Fabric',
  chance: true,
  settings: [
    { id: 'size', name: 'Width of a thread', unit: 'length', least: 0.5, most: 18, first: 2 },
    { id: 'strength', name: 'Strength', unit: 'share', least: 0, most: 1, first: 0.5 },
  ],
  paint(field, { value, seed }, toward, out) {
    const size = value('size');
    // Plain weave: warp and weft lie on top by turns; no two threads are quite alike.
    const heights = heightsOf(field, (x, y) => {
      const [u, v] = [x / size, y / size];
      const [i, j] = [Math.floor(u), Math.floor(v)];
      const over = (i + j) % 2 === 0;
      const across = Math.sin(Math.PI * (u - i));
      const along = Math.sin(Math.PI * (v - j));
      const round = over
        ? Math.sqrt(across) * (0.55 + 0.45 * along)
        : Math.sqrt(along) * (0.55 + 0.45 * across);
      const thread = over ? hash(i, seed) : hash(j, seed + 1);
      return size * 0.42 * round * (0.75 + 0.5 * thread);
    });
    light(field, heights, toward, 0.8 * value('strength'), out);
  },
};
