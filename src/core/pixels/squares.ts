/**
 * Rings round what is covered, by marching squares (Lorensen & Cline 1987, in the plane). Pixels count at their middles, the
 * line runs where cover is one half; paper lies to the left of the way, so that outer rings turn clockwise.
 */
import type { Point } from '@/core/geometry/matrix';

/** Where each crossing of a side leads to. */
export type Ways = Map<number, { to: number; at: Point }>;

/** Rings round all cells of a field (row by row, 0 to 1) at one half or above; outside the field nothing is. */
export function ringsAround(field: ArrayLike<number>, width: number, height: number): Point[][] {
  const ways: Ways = new Map();
  const across = width + 2;
  // With a rim of nothing, so that every cell has its four corners.
  const rimmed = new Float32Array(across * (height + 2));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) rimmed[(y + 1) * across + x + 1] = field[y * width + x]!;
  for (let y = 0; y <= height; y++)
    for (let x = 0, i = y * across; x <= width; x++, i++) {
      const [a, b, c, d] = [rimmed[i]!, rimmed[i + 1]!, rimmed[i + across + 1]!, rimmed[i + across]!];
      const inside = a >= 0.5;
      // Most cells lie wholly within or without.
      if (b >= 0.5 === inside && c >= 0.5 === inside && d >= 0.5 === inside) continue;
      addCell(ways, x - 1, y - 1, across, a, b, c, d);
    }
  return ringsOf(ways);
}

const [TOP, RIGHT, BOTTOM, LEFT] = [0, 1, 2, 3];
/** From which side to which the line goes, by the corners inside (8 top left, 4 top right, 2 bottom right, 1 bottom left). */
const LINES: readonly (readonly number[])[] = [
  [],
  [LEFT, BOTTOM],
  [BOTTOM, RIGHT],
  [LEFT, RIGHT],
  [RIGHT, TOP],
  [RIGHT, TOP, LEFT, BOTTOM],
  [BOTTOM, TOP],
  [LEFT, TOP],
  [TOP, LEFT],
  [TOP, BOTTOM],
  [TOP, LEFT, BOTTOM, RIGHT],
  [TOP, RIGHT],
  [RIGHT, LEFT],
  [RIGHT, BOTTOM],
  [BOTTOM, LEFT],
  [],
];
/** Two corners that face each other, joined because the cell's middle is inside. */
const JOINED: Readonly<Record<number, readonly number[]>> = {
  5: [LEFT, TOP, RIGHT, BOTTOM],
  10: [BOTTOM, LEFT, TOP, RIGHT],
};

/** The line's way through one cell, its corners' covers given clockwise from the top left. */
export function addCell(
  way: Ways,
  x: number,
  y: number,
  across: number,
  a: number,
  b: number,
  c: number,
  d: number,
): void {
  const kind = (a >= 0.5 ? 8 : 0) | (b >= 0.5 ? 4 : 0) | (c >= 0.5 ? 2 : 0) | (d >= 0.5 ? 1 : 0);
  const lines = (a + b + c + d >= 2 && JOINED[kind]) || LINES[kind]!;
  // A side's number is that of the pair of pixels it lies between.
  const base = 2 * ((y + 1) * across + x + 1);
  for (let i = 0; i < lines.length; i += 2)
    way.set(sideId(lines[i]!, base, across), {
      to: sideId(lines[i + 1]!, base, across),
      at: crossed(lines[i]!, x + 0.5, y + 0.5, a, b, c, d),
    });
}

const sideId = (side: number, base: number, across: number): number =>
  side === TOP ? base : side === LEFT ? base + 1 : side === BOTTOM ? base + 2 * across : base + 3;

/** Where the line crosses a side; x, y is the middle of the top left pixel. */
function crossed(side: number, x: number, y: number, a: number, b: number, c: number, d: number): Point {
  switch (side) {
    case TOP:
      return { x: x + (0.5 - a) / (b - a), y };
    case LEFT:
      return { x, y: y + (0.5 - a) / (d - a) };
    case BOTTOM:
      return { x: x + (0.5 - d) / (c - d), y: y + 1 };
    default:
      return { x: x + 1, y: y + (0.5 - b) / (c - b) };
  }
}

export function ringsOf(way: Ways): Point[][] {
  const rings: Point[][] = [];
  for (const start of way.keys()) {
    const ring: Point[] = [];
    let step = way.get(start);
    for (let id = start; step; step = way.get(id)) {
      ring.push(step.at);
      way.delete(id);
      id = step.to;
    }
    if (ring.length > 2) rings.push(ring);
  }
  return rings;
}
