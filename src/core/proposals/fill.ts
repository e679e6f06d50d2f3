/** Which photo goes into which of the places that are there already. */
import { assign } from '@/core/assignment';
import type { Size } from '@/core/geometry/box';
import { facesCut } from '@/core/photos/faces';
import { croppedOf, type FacesOf } from '@/core/proposals/measures';

export const FILL_ORDERS = ['time', 'shape', 'stars'] as const;
export type FillOrder = (typeof FILL_ORDERS)[number];

/**
 * For each place the photo it gets, by its place in the list, or -1 where there are too few: in turn, or so that the least is
 * cropped in all (an optimal assignment of the shares cropped, faces whole before all; among equals the earlier photo comes first), or the photo with
 * the most stars into the largest place and so on. `shapes` are the photos’ width by height, `stars` how many each has.
 */
export function fill(
  places: readonly Size[],
  shapes: readonly number[],
  order: FillOrder,
  stars: readonly number[] = [],
  faces: FacesOf = [],
): number[] {
  if (order === 'stars') {
    const falling = (values: readonly number[]) =>
      values.map((_, i) => i).sort((a, b) => values[b]! - values[a]! || a - b);
    const photos = falling(shapes.map((_, s) => stars[s] ?? 0));
    const filled = new Array<number>(places.length).fill(-1);
    falling(places.map(({ width, height }) => width * height)).forEach(
      (p, i) => (filled[p] = photos[i] ?? -1),
    );
    return filled;
  }
  if (order === 'time') return places.map((_, p) => (p < shapes.length ? p : -1));
  const few = places.length <= shapes.length;
  const [rows, columns] = few ? [places.length, shapes.length] : [shapes.length, places.length];
  const costs = new Float64Array(rows * columns);
  places.forEach((place, p) =>
    shapes.forEach((shape, s) => {
      const [row, column] = few ? [p, s] : [s, p];
      costs[row * columns + column] =
        croppedOf(shape, place) + facesCut(faces[s] ?? [], shape, place) + 1e-6 * s * (p + 1);
    }),
  );
  const found = [...assign(costs, rows, columns)];
  return few ? found : places.map((_, p) => found.indexOf(p));
}

/** The share of the photos that is cropped away, weighted by the room each takes; of places that get none nothing counts. */
export function croppedIn(
  places: readonly Size[],
  shapes: readonly number[],
  filled: readonly number[],
): number {
  let [cropped, total] = [0, 0];
  places.forEach((place, p) => {
    const shape = shapes[filled[p]!];
    if (shape === undefined) return;
    const size = place.width * place.height;
    cropped += croppedOf(shape, place) * size;
    total += size;
  });
  return total ? cropped / total : 0;
}
