/** What can be said of photos on an area in numbers. */
import type { Box, Size } from '@/core/geometry/box';
import { facesCut } from '@/core/photos/faces';

/** Of each photo its faces, as shares of its width and height. */
export type FacesOf = readonly (readonly Box[] | undefined)[];

export interface Measures {
  /** The share of the photos’ area that is cropped away, 0 to 1: of each photo, weighted by the room it takes. */
  cropped: number;
  /** Faces that are not whole. */
  cut: number;
  /** How many times as large as the mean of the others the largest, or the focal photo is. */
  emphasis: number;
  /** The smallest photo’s area as a share of the mean. */
  smallest: number;
  /** The share of the area no photo lies on. */
  white: number;
  /** How far the photos’ common centre of gravity lies from the area’s middle, as a share of half its diagonal. */
  offBalance: number;
}

/** The share of a photo of `shape` (width by height) that a box covered by it leaves out. */
export const croppedOf = (shape: number, { width, height }: Size): number =>
  1 - Math.min(shape / (width / height), width / height / shape);

export function measure(
  boxes: readonly Box[],
  shapes: readonly number[],
  area: Size,
  focal: number | null,
  faces: FacesOf = [],
): Measures {
  const areas = boxes.map(({ width, height }) => width * height);
  const total = areas.reduce((sum, each) => sum + each, 0);
  const main = focal ?? areas.indexOf(Math.max(...areas));
  const others = boxes.length > 1 ? (total - areas[main]!) / (boxes.length - 1) : areas[main]!;
  const pull = (of: (box: Box) => number) =>
    boxes.reduce((sum, box, i) => sum + (of(box) * areas[i]!) / total, 0);
  const x = pull((box) => box.x + box.width / 2) - area.width / 2;
  const y = pull((box) => box.y + box.height / 2) - area.height / 2;
  return {
    cropped: boxes.reduce((sum, box, i) => sum + (croppedOf(shapes[i]!, box) * areas[i]!) / total, 0),
    cut: boxes.reduce((sum, box, i) => sum + facesCut(faces[i] ?? [], shapes[i]!, box), 0),
    emphasis: areas[main]! / others,
    smallest: Math.min(...areas) / (total / boxes.length),
    white: 1 - total / (area.width * area.height),
    offBalance: Math.hypot(x, y) / (Math.hypot(area.width, area.height) / 2),
  };
}
