/**
 * Parts laid on cutting mats by their outlines: turned, close together, and into each other's holes. Outlines are drawn into a
 * grid of cells, every cell they touch taken; a part goes to the first free place from the top. So nothing ever overlaps,
 * whatever the outlines are, and no place closer than a cell is missed.
 */
import { boxOfPoints, type Box, type Size } from '@/core/geometry/box';
import { apply, compose, rotation, translation, type Matrix, type Point } from '@/core/geometry/matrix';
import { EndType, inflatePathsD, JoinType, type PathsD } from 'clipper2-ts';
import type { Part } from '@/core/cutter/model';
import type { Ring } from '@/core/cutter/rings';
import type { Turning } from '@/core/cutter/settings';
import { toPoints } from '@/core/units/lengths';

/** How large a cell is. */
const CELL = toPoints(1, 'mm');
/** Orders are tried for so many parts at most. */
const FEW = 60;

export interface Bed extends Size {
  gap: number;
  edge: number;
  turning: Turning;
}

export interface Nested {
  /** For each mat, which part lies how. */
  mats: { part: Part; map: Matrix }[][];
  /** What is larger than a mat however it is turned. */
  tooLarge: Part[];
}

/** A part drawn into cells, turned by some angle. */
interface Stamp {
  part: Part;
  map: Matrix;
  columns: number;
  rows: number;
  /** Words of 32 cells, row by row, moved by 0 to 31 cells. */
  shifted: (Uint32Array | undefined)[];
  bits: Uint32Array;
  words: number;
}

const ANGLES: Record<Turning, readonly number[]> = {
  none: [0],
  quarter: [0, 90, 180, 270],
  any: [0, 90, 180, 270, 45, 135, 225, 315],
};

/** By outline, on as few mats as are found, and then as far up as they go. */
export function nest(parts: readonly Part[], bed: Bed): Nested {
  const [columns, rows] = [
    Math.floor((bed.width - 2 * bed.edge + bed.gap) / CELL),
    Math.floor((bed.height - 2 * bed.edge + bed.gap) / CELL),
  ];
  const stamps = parts.map((part) => ({ part, ways: waysFor(part, bed, parts.length <= FEW) }));
  const fits = ({ columns: w, rows: h }: Stamp) => w <= columns && h <= rows;
  const tooLarge = stamps.filter(({ ways }) => !ways.some(fits)).map(({ part }) => part);
  const wanted = stamps
    .map(({ part, ways }) => ({ part, ways: ways.filter(fits) }))
    .filter(({ ways }) => ways.length);
  const sizes = new Map(wanted.map(({ part, ways }) => [part, sizeOf(ways[0]!)]));
  const sorts: ((a: Part, b: Part) => number)[] = [
    (a, b) => sizes.get(b)!.area - sizes.get(a)!.area,
    (a, b) => sizes.get(b)!.long - sizes.get(a)!.long,
    (a, b) => sizes.get(b)!.tall - sizes.get(a)!.tall,
  ];
  let best: { mats: Nested['mats']; cost: number } | undefined;
  for (const sort of parts.length <= FEW ? sorts : sorts.slice(0, 1)) {
    const mats = filled(
      [...wanted].sort((a, b) => sort(a.part, b.part)),
      columns,
      rows,
      bed,
    );
    const cost = mats.length + (mats.length ? deepOf(mats.at(-1)!) / (bed.height + 1) : 0);
    if (!best || cost < best.cost - 1e-9) best = { mats, cost };
  }
  return { mats: best?.mats ?? [], tooLarge };
}

const deepOf = (laid: readonly { part: Part; map: Matrix }[]): number =>
  Math.max(0, ...laid.flatMap(({ part, map }) => part.rings[0]!.map((p) => apply(map, p).y)));

function sizeOf({ bits, columns, rows }: Stamp): { area: number; long: number; tall: number } {
  let area = 0;
  for (const word of bits) for (let rest = word; rest; rest &= rest - 1) area++;
  return { area, long: Math.max(columns, rows), tall: rows };
}

function filled(
  order: readonly { part: Part; ways: readonly Stamp[] }[],
  columns: number,
  rows: number,
  { gap, edge }: Bed,
): Nested['mats'] {
  // One word more, so that what is moved over a word's end never leaves its row.
  const words = Math.ceil(columns / 32) + 1;
  const beds: { taken: Uint32Array; laid: { part: Part; map: Matrix }[] }[] = [];
  for (const { part, ways } of order) {
    for (let at = 0; ; at++) {
      const bed = (beds[at] ??= { taken: new Uint32Array(words * rows), laid: [] });
      let best: { stamp: Stamp; x: number; y: number } | undefined;
      for (const stamp of ways) {
        const most = best
          ? Math.min(rows - stamp.rows, best.y + best.stamp.rows - stamp.rows)
          : rows - stamp.rows;
        const found = firstFree(bed.taken, words, columns, most, stamp);
        if (!found) continue;
        if (
          !best ||
          found.y + stamp.rows < best.y + best.stamp.rows ||
          found.x + stamp.columns < best.x + best.stamp.columns
        )
          best = { stamp, ...found };
      }
      if (!best) continue;
      const { stamp, x, y } = best;
      take(bed.taken, words, stamp, x, y);
      // A cell's corner lies half a gap beside what is drawn in it.
      const [dx, dy] = [x * CELL + edge - gap / 2, y * CELL + edge - gap / 2];
      bed.laid.push({ part, map: compose(translation(dx, dy), stamp.map) });
      break;
    }
  }
  return beds.filter(({ laid }) => laid.length).map(({ laid }) => laid);
}

/** The stamp moved by so many cells within its first word. */
function shiftedBy(stamp: Stamp, by: number): Uint32Array {
  const known = stamp.shifted[by];
  if (known) return known;
  const { bits, words, rows } = stamp;
  const moved = new Uint32Array((words + 1) * rows);
  for (let r = 0; r < rows; r++)
    for (let w = 0; w < words; w++) {
      const word = bits[r * words + w]!;
      const to = r * (words + 1) + w;
      moved[to] = moved[to]! | (word << by);
      if (by) moved[to + 1] = moved[to + 1]! | (word >>> (32 - by));
    }
  return (stamp.shifted[by] = moved);
}

/** The uppermost, then the leftmost free place, no lower than `most`. */
function firstFree(
  taken: Uint32Array,
  words: number,
  columns: number,
  most: number,
  stamp: Stamp,
): { x: number; y: number } | null {
  const { rows, words: own } = stamp;
  for (let y = 0; y <= most; y++)
    for (let x = 0; x + stamp.columns <= columns; x++) {
      const moved = shiftedBy(stamp, x & 31);
      const base = x >> 5;
      let free = true;
      for (let r = 0; r < rows && free; r++) {
        const row = (y + r) * words + base;
        const mine = r * (own + 1);
        for (let w = 0; w <= own && base + w < words; w++)
          if (taken[row + w]! & moved[mine + w]!) {
            free = false;
            break;
          }
      }
      if (free) return { x, y };
    }
  return null;
}

function take(taken: Uint32Array, words: number, stamp: Stamp, x: number, y: number): void {
  const moved = shiftedBy(stamp, x & 31);
  const base = x >> 5;
  for (let r = 0; r < stamp.rows; r++)
    for (let w = 0; w <= stamp.words && base + w < words; w++) {
      const at = (y + r) * words + base + w;
      taken[at] = taken[at]! | moved[r * (stamp.words + 1) + w]!;
    }
}

/** A part in every way it may lie. */
function waysFor(part: Part, { turning, gap }: Bed, few: boolean): Stamp[] {
  const own = turning === 'any' ? alongSides(part.rings[0]!) : [];
  const angles = [...ANGLES[turning === 'any' && !few ? 'quarter' : turning], ...own];
  return [...new Set(angles)].map((angle) => stampOf(part, angle, gap));
}

/** The turns at which the part takes the least box: one of its hull's sides is level then (Freeman and Shapira, 1975). */
function alongSides(ring: Ring): number[] {
  let best = { area: Infinity, angle: 0 };
  const step = Math.max(1, Math.floor(ring.length / 60));
  for (let i = 0; i < ring.length; i += step) {
    const [a, b] = [ring[i]!, ring[(i + step) % ring.length]!];
    const angle = (-Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
    const turned = rotation(angle);
    const { width, height } = boxOfPoints(ring.map((p) => apply(turned, p)));
    if (width * height < best.area - 1e-6) best = { area: width * height, angle };
  }
  return [best.angle, best.angle + 90];
}

function stampOf(part: Part, angle: number, gap: number): Stamp {
  const turned = rotation(angle);
  const rings = part.rings.map((ring) => ring.map((p) => apply(turned, p)));
  const wide =
    gap > 0 ? inflatePathsD(rings as PathsD, gap / 2, JoinType.Round, EndType.Polygon, 2, 4, 0.1) : rings;
  const box = boxOfPoints(wide.flat());
  const map = compose(translation(-box.x, -box.y), turned);
  const moved = wide.map((ring) =>
    ring.map(({ x, y }) => ({ x: (x - box.x) / CELL, y: (y - box.y) / CELL })),
  );
  return { part, map, shifted: [], ...drawn(moved, box) };
}

/** Every cell that rings touch or enclose. */
function drawn(
  rings: readonly (readonly Point[])[],
  box: Box,
): Pick<Stamp, 'bits' | 'columns' | 'rows' | 'words'> {
  const [columns, rows] = [
    Math.max(1, Math.ceil(box.width / CELL)),
    Math.max(1, Math.ceil(box.height / CELL)),
  ];
  const words = Math.ceil(columns / 32);
  const bits = new Uint32Array(words * rows);
  const fill = (row: number, from: number, to: number) => {
    const [first, last] = [Math.max(0, Math.floor(from)), Math.min(columns - 1, Math.floor(to))];
    for (let x = first; x <= last; x++) {
      const at = row * words + (x >> 5);
      bits[at] = bits[at]! | (1 << (x & 31));
    }
  };
  const crossed: number[][] = Array.from({ length: rows }, () => []);
  for (const ring of rings)
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const [top, foot] = a.y < b.y ? [a, b] : [b, a];
      const xAt = (y: number) =>
        foot.y === top.y ? top.x : top.x + ((y - top.y) / (foot.y - top.y)) * (foot.x - top.x);
      for (let row = Math.max(0, Math.floor(top.y)); row <= Math.min(rows - 1, Math.floor(foot.y)); row++) {
        const [u, v] = [xAt(Math.max(top.y, row)), xAt(Math.min(foot.y, row + 1))];
        if (foot.y === top.y) fill(row, Math.min(a.x, b.x), Math.max(a.x, b.x));
        else fill(row, Math.min(u, v), Math.max(u, v));
        const middle = row + 0.5;
        if (top.y <= middle && middle < foot.y) crossed[row]!.push(xAt(middle));
      }
    });
  crossed.forEach((xs, row) => {
    xs.sort((a, b) => a - b);
    for (let i = 0; i + 1 < xs.length; i += 2) fill(row, xs[i]!, xs[i + 1]!);
  });
  return { bits, columns, rows, words };
}
