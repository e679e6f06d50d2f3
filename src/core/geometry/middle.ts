/** The middle lines of an outline: of letters, how a pen would write them. Thinned by Zhang & Suen (1984), then followed. */
import { steadied } from '@/core/geometry/freehand';
import type { Point } from '@/core/geometry/matrix';
import { areaOf, polygons } from '@/core/geometry/offset';
import { pathBounds, type Path } from '@/core/geometry/path';

export interface MiddleLine {
  points: Point[];
  closed: boolean;
}

/** Pixels across a stroke of the outline, and most of them in all. */
const ACROSS = 9;
const MOST_PIXELS = 3e6;

/** Lines along the middle of whatever is long and narrow in an outline; the longest first. */
export function middleLines(path: Path): MiddleLine[] {
  const rings = polygons(path);
  const round = rings.reduce((sum, ring) => sum + lengthOf(ring), 0);
  const box = pathBounds(path);
  if (!(round > 0) || !(box.width > 0) || !(box.height > 0)) return [];
  // A long strip is as wide as its area divided by half of its edge.
  const wide = (2 * Math.abs(areaOf(path))) / round;
  const pixel = Math.max(wide / ACROSS, Math.sqrt((box.width * box.height) / MOST_PIXELS));
  const [width, height] = [Math.ceil(box.width / pixel) + 4, Math.ceil(box.height / pixel) + 4];
  const at = ({ x, y }: Point): Point => ({ x: (x - box.x) / pixel + 2, y: (y - box.y) / pixel + 2 });
  const cells = filled(
    rings.map((ring) => ring.map(at)),
    width,
    height,
  );
  thin(cells, width, height);
  const spur = (0.7 * wide) / pixel;
  return followed(cells, width, height, spur)
    .map(({ points, closed }) => ({
      closed,
      points: steadied(points, 0.35 * ACROSS, closed).map(({ x, y }) => ({
        x: (x - 2 + 0.5) * pixel + box.x,
        y: (y - 2 + 0.5) * pixel + box.y,
      })),
    }))
    .sort((a, b) => lengthOf(b.points) - lengthOf(a.points));
}

const lengthOf = (points: readonly Point[]): number =>
  points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length]!;
    return sum + Math.hypot(q.x - p.x, q.y - p.y);
  }, 0);

/** Cells whose middle lies within the rings, by the non-zero rule. */
function filled(rings: readonly (readonly Point[])[], width: number, height: number): Uint8Array {
  const cells = new Uint8Array(width * height);
  for (let row = 0; row < height; row++) {
    const y = row + 0.5;
    const crossings: { x: number; by: number }[] = [];
    for (const ring of rings)
      ring.forEach((a, i) => {
        const b = ring[(i + 1) % ring.length]!;
        if (a.y <= y === b.y <= y) return;
        crossings.push({ x: a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x), by: a.y <= y ? 1 : -1 });
      });
    crossings.sort((a, b) => a.x - b.x);
    let winding = 0;
    crossings.forEach(({ x, by }, i) => {
      winding += by;
      const next = crossings[i + 1];
      if (winding && next) cells.fill(1, row * width + Math.round(x), row * width + Math.round(next.x));
    });
  }
  return cells;
}

/** Takes away the rim of what is set, again and again, until lines a cell wide are left. */
function thin(cells: Uint8Array, width: number, height: number): void {
  const around = [-width, -width + 1, 1, width + 1, width, width - 1, -1, -width - 1];
  let rim: number[] = [];
  for (let i = width + 1; i < width * (height - 1) - 1; i++) if (cells[i]) rim.push(i);
  for (let changed = true; changed;) {
    changed = false;
    for (const second of [false, true]) {
      const gone: number[] = [];
      for (const i of rim) {
        const p = around.map((by) => cells[i + by]!) as number[];
        const set = p.reduce((sum, v) => sum + v, 0);
        if (set < 2 || set > 6) continue;
        let turns = 0;
        for (let k = 0; k < 8; k++) if (!p[k] && p[(k + 1) % 8]) turns++;
        if (turns !== 1) continue;
        const [n, , e, , s, , w] = p as [number, number, number, number, number, number, number];
        if (second ? n * e * w || n * s * w : n * e * s || e * s * w) continue;
        gone.push(i);
      }
      for (const i of gone) cells[i] = 0;
      if (gone.length) {
        changed = true;
        rim = rim.filter((i) => cells[i]);
      }
    }
  }
}

interface Branch {
  cells: number[];
  /** The cells where it meets others; its own ends where it meets none. */
  from: number;
  to: number;
}

/** Lines a cell wide as lists of points: short spurs left out, at crossings straight on. */
function followed(cells: Uint8Array, width: number, height: number, spur: number): MiddleLine[] {
  const steps = [1, -1, width, -width, width + 1, width - 1, -width + 1, -width - 1];
  const near = (i: number): number[] => {
    const found = steps.map((by) => i + by).filter((j) => cells[j]);
    // Of two that touch each other, the one straight beside is the way.
    return found.filter((j) => {
      const by = j - i;
      const diagonal = Math.abs(by) !== 1 && Math.abs(by) !== width;
      return !diagonal || !found.some((k) => k !== j && isBeside(j, k, width) && !isDiagonal(k - i, width));
    });
  };
  const set: number[] = [];
  for (let i = width; i < width * (height - 1); i++) if (cells[i]) set.push(i);
  const degree = new Map(set.map((i) => [i, near(i).length]));
  const nodes = set.filter((i) => degree.get(i) !== 2);
  const seen = new Set<string>();
  let branches: Branch[] = [];
  for (const from of nodes)
    for (const first of near(from)) {
      if (seen.has(`${from} ${first}`)) continue;
      const list = [from, first];
      let [last, here] = [from, first];
      while (degree.get(here) === 2) {
        const next = near(here).find((j) => j !== last);
        if (next === undefined) break;
        list.push(next);
        [last, here] = [here, next];
      }
      seen.add(`${from} ${first}`);
      seen.add(`${here} ${last}`);
      branches.push({ cells: list, from, to: here });
    }
  branches = branches.filter(
    ({ cells: list, from, to }) =>
      list.length > spur || (degree.get(from)! > 1 && degree.get(to)! > 1 && list.length > 2),
  );
  const used = new Set(branches.flatMap((branch) => branch.cells));
  const point = (i: number): Point => ({ x: i % width, y: Math.floor(i / width) });
  const lines = joinedStraight(
    branches.map((branch) => branch.cells.map(point)),
    spur,
  );
  // A dot becomes a short line.
  for (const dot of nodes)
    if (!degree.get(dot)) {
      const { x, y } = point(dot);
      lines.push({
        points: [x - spur / 2, x, x + spur / 2].map((across) => ({ x: across, y })),
        closed: false,
      });
    }
  // What never meets anything goes round.
  const rings: MiddleLine[] = [];
  for (const start of set) {
    if (used.has(start) || degree.get(start) !== 2) continue;
    const ring = [start];
    used.add(start);
    for (
      let here = near(start).find((j) => !used.has(j));
      here !== undefined;
      here = near(here).find((j) => !used.has(j))
    ) {
      used.add(here);
      ring.push(here);
    }
    if (ring.length > 2 * spur) rings.push({ points: ring.map(point), closed: true });
  }
  return [...rings, ...lines];
}

const isDiagonal = (by: number, width: number) => Math.abs(by) !== 1 && Math.abs(by) !== width;
const isBeside = (a: number, b: number, width: number) => Math.abs(a - b) === 1 || Math.abs(a - b) === width;

/** Branches that meet and go straight on become one line. */
function joinedStraight(branches: Point[][], reach: number): MiddleLine[] {
  const lines = [...branches];
  const way = (line: readonly Point[], end: 0 | 1): Point => {
    const far = Math.min(line.length - 1, Math.max(3, Math.round(reach)));
    const [a, b] = end ? [line[line.length - 1 - far]!, line[line.length - 1]!] : [line[far]!, line[0]!];
    const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
  };
  const tip = (line: readonly Point[], end: 0 | 1) => line[end ? line.length - 1 : 0]!;
  for (;;) {
    let best: { i: number; j: number; ei: 0 | 1; ej: 0 | 1; straight: number } | null = null;
    for (let i = 0; i < lines.length; i++)
      for (let j = i + 1; j < lines.length; j++)
        for (const ei of [0, 1] as const)
          for (const ej of [0, 1] as const) {
            const [p, q] = [tip(lines[i]!, ei), tip(lines[j]!, ej)];
            if (Math.hypot(p.x - q.x, p.y - q.y) > 3) continue;
            const [a, b] = [way(lines[i]!, ei), way(lines[j]!, ej)];
            const straight = -(a.x * b.x + a.y * b.y);
            if (straight > 0.6 && (!best || straight > best.straight)) best = { i, j, ei, ej, straight };
          }
    if (!best) break;
    const { i, j, ei, ej } = best;
    const first = ei ? lines[i]! : [...lines[i]!].reverse();
    const second = ej ? [...lines[j]!].reverse() : lines[j]!;
    lines[i] = [...first, ...second];
    lines.splice(j, 1);
  }
  return lines.map((points) => {
    const [a, b] = [points[0]!, points[points.length - 1]!];
    const closed = points.length > 8 && Math.hypot(a.x - b.x, a.y - b.y) <= 3;
    return { points: closed ? points.slice(0, -1) : points, closed };
  });
}
