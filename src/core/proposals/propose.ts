/** Arrangements for a number of photos, computed: many ways to divide the area are tried, the best unlike ones are kept. */
import type { Box, Size } from '@/core/geometry/box';
import { measure, type FacesOf, type Measures } from '@/core/proposals/measures';
import { divisionOf, fullBoxes, wholeBoxes, type Slicing } from '@/core/proposals/slicing';
import { random } from '@/core/random';

export interface Wish {
  /** Width by height of each photo, upright, in the order they shall be read. */
  shapes: readonly number[];
  /** Their faces, where they are known. */
  faces?: FacesOf;
  /** Points. */
  area: Size;
  gap: number;
  /** The photo that matters most; null for all alike. */
  focal: number | null;
  /** How many times as large as the others the focal one shall be, 1 to 8. */
  emphasis: number;
  /** Another number tries other ways. */
  seed: number;
}

export interface Proposal {
  /** Where each photo goes, from the area’s top left corner, in the order of the photos. */
  boxes: Box[];
  measures: Measures;
  /** Lower is better. */
  cost: number;
}

export const MOST_PHOTOS = 20;
export const PROPOSALS = 12;

/** Ways tried. */
const TRIES = 1000;
/** What costs so much more than the best is no proposal. */
const WORSE = 1.2;
/** Two proposals differ by at least this: the mean difference of their boxes’ places and sizes, as a share of the area. */
const APART = 0.07;

/**
 * What a proposal costs; our own weights. A face cut costs as much as a photo of which a third is; cropping costs most, then a focal photo of another size than was wished (or, with
 * none, photos of unlike sizes), a photo too small to be seen, bare area and an arrangement that leans to one side.
 */
export function costOf(measures: Measures, { focal, emphasis }: Pick<Wish, 'focal' | 'emphasis'>): number {
  const { cropped, cut, white, offBalance, smallest } = measures;
  const size =
    focal === null
      ? 0.15 * Math.log(measures.emphasis)
      : 0.6 * Math.abs(Math.log(measures.emphasis / emphasis));
  return 3 * cropped + cut + size + 0.8 * white + 0.5 * offBalance + (smallest < 0.3 ? 0.3 - smallest : 0);
}

/** The best unlike proposals, best first; none for no photos. Throws RangeError for more than `MOST_PHOTOS`. */
export function propose(wish: Wish): Proposal[] {
  const { shapes, area, gap } = wish;
  if (shapes.length > MOST_PHOTOS) throw new RangeError(`Up to ${MOST_PHOTOS} photos are arranged at once.`);
  if (!shapes.length) return [];
  const found: Proposal[] = [];
  const seen = new Set<string>();
  for (const tree of trees(wish)) {
    const key = `${divisionOf(tree)} ${leaves(tree).join()}`;
    if (seen.has(key)) continue;
    seen.add(key);
    for (const boxes of [wholeBoxes(tree, shapes, area, gap), fullBoxes(tree, shapes, area, gap)]) {
      if (!boxes) continue;
      const measures = measure(boxes, shapes, area, wish.focal, wish.faces);
      found.push({ boxes, measures, cost: costOf(measures, wish) });
    }
  }
  const kept: Proposal[] = [];
  for (const next of found.sort((a, b) => a.cost - b.cost)) {
    if (kept.length && next.cost > kept[0]!.cost + WORSE) break;
    if (kept.every((other) => difference(other.boxes, next.boxes, area) > APART)) kept.push(next);
    if (kept.length === PROPOSALS) break;
  }
  return kept;
}

const leaves = (tree: Slicing): number[] =>
  typeof tree === 'number' ? [tree] : [...leaves(tree.first), ...leaves(tree.second)];

function* trees({ shapes, area, focal, emphasis, seed }: Wish): Generator<Slicing> {
  const chance = random(seed);
  const all = shapes.map((_, i) => i);
  const weight = (i: number) => (i === focal ? emphasis : 1);
  for (let i = 0; i < TRIES; i++) yield divide(inReading(all, focal, chance), area, weight, chance);
  for (let columns = 1; columns <= all.length; columns++) yield inRows(all, columns);
}

/** The photos in reading order; the focal one may come first or last instead of in its turn. */
function inReading(all: readonly number[], focal: number | null, chance: () => number): readonly number[] {
  const dice = chance();
  if (focal === null || dice < 0.34) return all;
  const others = all.filter((i) => i !== focal);
  return dice < 0.67 ? [focal, ...others] : [...others, focal];
}

/** Divides an area among photos by chance, so that no part comes out much too long. */
function divide(
  photos: readonly number[],
  area: Size,
  weight: (photo: number) => number,
  chance: () => number,
): Slicing {
  if (photos.length === 1) return photos[0]!;
  const at = 1 + Math.floor(chance() * (photos.length - 1));
  const [before, after] = [photos.slice(0, at), photos.slice(at)];
  const total = (some: readonly number[]) => some.reduce((sum, photo) => sum + weight(photo), 0);
  const share = total(before) / total(photos);
  // A wide area is mostly divided across, a tall one down.
  const row = chance() < 1 / (1 + (area.height / area.width) ** 2.5);
  const part = (of: number): Size =>
    row ? { ...area, width: area.width * of } : { ...area, height: area.height * of };
  return {
    row,
    first: divide(before, part(share), weight, chance),
    second: divide(after, part(1 - share), weight, chance),
  };
}

/** Plain rows of so many each. */
function inRows(all: readonly number[], columns: number): Slicing {
  const chain = (parts: readonly Slicing[], row: boolean): Slicing =>
    parts.length === 1 ? parts[0]! : { row, first: parts[0]!, second: chain(parts.slice(1), row) };
  const rows: Slicing[] = [];
  for (let i = 0; i < all.length; i += columns) rows.push(chain(all.slice(i, i + columns), true));
  return chain(rows, false);
}

/** How unlike two proposals look, whichever photo lies where. */
function difference(a: readonly Box[], b: readonly Box[], area: Size): number {
  const order = (boxes: readonly Box[]) => [...boxes].sort((p, q) => p.y - q.y || p.x - q.x);
  const [left, right] = [order(a), order(b)];
  const sum = left.reduce((total, box, i) => {
    const other = right[i]!;
    return (
      total +
      (Math.abs(box.x - other.x) + Math.abs(box.width - other.width)) / area.width +
      (Math.abs(box.y - other.y) + Math.abs(box.height - other.height)) / area.height
    );
  }, 0);
  return sum / (4 * a.length);
}
