/**
 * Slicing trees: an area is cut right across, its parts again, until each holds one photo. With the photos’ own shapes kept,
 * the whole has just one shape; which one follows from the tree.
 */
import type { Box, Size } from '@/core/geometry/box';

/** A photo by its place in the list, or two parts beside each other (`row`) or one above the other. */
export type Slicing = number | { row: boolean; first: Slicing; second: Slicing };

/** How wide a part is for its height: width = rise · height + more. */
interface Shape {
  rise: number;
  more: number;
}

/**
 * The shape of each part whose photos keep theirs (width by height). Beside each other heights are equal and widths add up
 * with the gap; above each other it is the other way round. Both stay straight lines, so the shape of the whole is exact.
 */
function shapesIn(tree: Slicing, shapes: readonly number[], gap: number): (part: Slicing) => Shape {
  const known = new Map<Slicing, Shape>();
  const shapeOf = (part: Slicing): Shape => {
    if (typeof part === 'number') return { rise: shapes[part]!, more: 0 };
    const before = known.get(part);
    if (before) return before;
    const [a, b] = [shapeOf(part.first), shapeOf(part.second)];
    const rise = part.row ? a.rise + b.rise : 1 / (1 / a.rise + 1 / b.rise);
    const more = part.row ? a.more + b.more + gap : rise * (a.more / a.rise + b.more / b.rise - gap);
    known.set(part, { rise, more });
    return { rise, more };
  };
  shapeOf(tree);
  return shapeOf;
}

/** The boxes of all photos, nothing cropped, as large as the area allows and in its middle; null if the gaps leave no room. */
export function wholeBoxes(tree: Slicing, shapes: readonly number[], area: Size, gap: number): Box[] | null {
  const shapeOf = shapesIn(tree, shapes, gap);
  const { rise, more } = shapeOf(tree);
  const height = Math.min(area.height, (area.width - more) / rise);
  const width = rise * height + more;
  if (!(height > 0 && width > 0)) return null;
  const boxes: Box[] = [];
  const lay = (part: Slicing, box: Box): boolean => {
    if (box.width <= 0 || box.height <= 0) return false;
    if (typeof part === 'number') {
      boxes[part] = box;
      return true;
    }
    const first = shapeOf(part.first);
    const cut = part.row ? first.rise * box.height + first.more : (box.width - first.more) / first.rise;
    return both(part, box, cut, gap, lay);
  };
  const at = { x: (area.width - width) / 2, y: (area.height - height) / 2, width, height };
  return lay(tree, at) ? boxes : null;
}

/** The boxes when the area is filled to its edges: each part gives way in the same proportion, and photos are cropped. */
export function fullBoxes(tree: Slicing, shapes: readonly number[], area: Size, gap: number): Box[] | null {
  const shapeOf = shapesIn(tree, shapes, gap);
  const boxes: Box[] = [];
  const lay = (part: Slicing, box: Box): boolean => {
    if (box.width <= 0 || box.height <= 0) return false;
    if (typeof part === 'number') {
      boxes[part] = box;
      return true;
    }
    const wanted = [part.first, part.second].map((each) => {
      const { rise, more } = shapeOf(each);
      return part.row ? rise * box.height + more : (box.width - more) / rise;
    });
    const room = (part.row ? box.width : box.height) - gap;
    if (wanted.some((length) => length <= 0)) return false;
    return both(part, box, (room * wanted[0]!) / (wanted[0]! + wanted[1]!), gap, lay);
  };
  return lay(tree, { x: 0, y: 0, ...area }) ? boxes : null;
}

function both(
  { row, first, second }: Exclude<Slicing, number>,
  box: Box,
  cut: number,
  gap: number,
  lay: (part: Slicing, box: Box) => boolean,
): boolean {
  return row
    ? lay(first, { ...box, width: cut }) &&
        lay(second, { ...box, x: box.x + cut + gap, width: box.width - cut - gap })
    : lay(first, { ...box, height: cut }) &&
        lay(second, { ...box, y: box.y + cut + gap, height: box.height - cut - gap });
}

/** The same division for any photos: which way each cut goes, in order. */
export const divisionOf = (tree: Slicing): string =>
  typeof tree === 'number'
    ? '.'
    : `${tree.row ? 'r' : 'c'}(${divisionOf(tree.first)}${divisionOf(tree.second)})`;
