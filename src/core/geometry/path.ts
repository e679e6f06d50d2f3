/** Outlines as lists of straight lines and cubic curves. Filled by the non-zero rule. */
import { apply, type Matrix, type Point } from '@/core/geometry/matrix';
import { boxOfPoints, type Box } from '@/core/geometry/box';

export type Segment =
  | readonly ['M', number, number]
  | readonly ['L', number, number]
  | readonly ['C', number, number, number, number, number, number]
  | readonly ['Z'];
export type Path = readonly Segment[];

/** Distance of a quarter circle's control points for radius 1: error below 0.028 % of the radius (4/3·(√2−1)). */
const KAPPA = (4 / 3) * (Math.SQRT2 - 1);

export function rectanglePath({ x, y, width, height }: Box, radius = 0): Path {
  const r = Math.min(radius, width / 2, height / 2);
  const right = x + width;
  const bottom = y + height;
  if (r <= 0) return [['M', x, y], ['L', right, y], ['L', right, bottom], ['L', x, bottom], ['Z']];
  const k = r * (1 - KAPPA);
  return [
    ['M', x + r, y],
    ['L', right - r, y],
    ['C', right - k, y, right, y + k, right, y + r],
    ['L', right, bottom - r],
    ['C', right, bottom - k, right - k, bottom, right - r, bottom],
    ['L', x + r, bottom],
    ['C', x + k, bottom, x, bottom - k, x, bottom - r],
    ['L', x, y + r],
    ['C', x, y + k, x + k, y, x + r, y],
    ['Z'],
  ];
}

export function ellipsePath({ x, y, width, height }: Box): Path {
  const rx = width / 2;
  const ry = height / 2;
  const cx = x + rx;
  const cy = y + ry;
  const kx = rx * KAPPA;
  const ky = ry * KAPPA;
  return [
    ['M', cx, y],
    ['C', cx + kx, y, cx + rx, cy - ky, cx + rx, cy],
    ['C', cx + rx, cy + ky, cx + kx, y + height, cx, y + height],
    ['C', cx - kx, y + height, x, cy + ky, x, cy],
    ['C', x, cy - ky, cx - kx, y, cx, y],
    ['Z'],
  ];
}

/** The path seen through `map`. */
export function transformPath(map: Matrix, path: Path): Path {
  const at = (x: number, y: number) => apply(map, { x, y });
  return path.map((segment): Segment => {
    switch (segment[0]) {
      case 'Z':
        return segment;
      case 'C': {
        const a = at(segment[1], segment[2]);
        const b = at(segment[3], segment[4]);
        const end = at(segment[5], segment[6]);
        return ['C', a.x, a.y, b.x, b.y, end.x, end.y];
      }
      default: {
        const end = at(segment[1], segment[2]);
        return [segment[0], end.x, end.y];
      }
    }
  });
}

/** SVG path data; coordinates rounded to `decimals` places. */
export function pathData(path: Path, decimals = 4): string {
  const unit = 10 ** decimals;
  // Added up, not mapped and joined: a third of the time, and a page is drawn from much of it.
  let data = '';
  for (const segment of path) {
    data += segment[0];
    for (let i = 1; i < segment.length; i++)
      data += (i > 1 ? ' ' : '') + Math.round((segment[i] as number) * unit) / unit;
  }
  return data;
}

const COUNTS: Record<string, number> = { M: 2, L: 2, H: 1, V: 1, C: 6, S: 4, Q: 4, T: 2, Z: 0 };

const isDigit = (code: number): boolean => code >= 48 && code <= 57;
const isLetter = (code: number): boolean => (code >= 65 && code <= 90) || (code >= 97 && code <= 122);
const [PLUS, MINUS, DOT] = [43, 45, 46];

/** Path data letter by letter and number by number; whatever else stands between is passed over. */
class Scanner {
  private at = 0;

  constructor(private readonly data: string) {}

  /** The next command's letter, or null where a number is next, or undefined at the end. */
  command(): string | null | undefined {
    this.skip();
    if (this.at >= this.data.length) return undefined;
    return isLetter(this.data.charCodeAt(this.at)) ? this.data[this.at++]! : null;
  }

  /** The next number; NaN where there is none. */
  number(): number {
    const { data } = this;
    this.skip();
    const from = this.at;
    let to = from;
    if (to >= data.length || isLetter(data.charCodeAt(to))) return NaN;
    const sign = data.charCodeAt(to);
    if (sign === PLUS || sign === MINUS) to++;
    to = this.digits(to);
    if (data.charCodeAt(to) === DOT) to = this.digits(to + 1);
    if ((data.charCodeAt(to) | 32) === 101) {
      const signed = data.charCodeAt(to + 1);
      const first = signed === PLUS || signed === MINUS ? to + 2 : to + 1;
      if (isDigit(data.charCodeAt(first))) to = this.digits(first);
    }
    this.at = to;
    return Number(data.slice(from, to));
  }

  private digits(from: number): number {
    let to = from;
    while (isDigit(this.data.charCodeAt(to))) to++;
    return to;
  }

  private skip(): void {
    const { data } = this;
    for (; this.at < data.length; this.at++) {
      const code = data.charCodeAt(this.at);
      if (isDigit(code) || isLetter(code)) return;
      const signed = code === PLUS || code === MINUS;
      if (!signed && code !== DOT) continue;
      const next = data.charCodeAt(this.at + 1);
      if (isDigit(next) || (signed && next === DOT && isDigit(data.charCodeAt(this.at + 2)))) return;
    }
  }
}

/**
 * Reads SVG path data (all commands but arcs, absolute and relative). Quadratic curves become cubic ones.
 * Throws SyntaxError for anything else.
 */
export function parsePath(data: string): Path {
  const scanner = new Scanner(data);
  const path: Segment[] = [];
  const n = [0, 0, 0, 0, 0, 0] as [number, number, number, number, number, number];
  let [x, y, startX, startY] = [0, 0, 0, 0];
  // The last control point, which S and T mirror; none after anything but a curve.
  let handle: Point | null = null;
  let command = '';
  const curve = (ax: number, ay: number, bx: number, by: number, toX: number, toY: number) => {
    path.push(['C', ax, ay, bx, by, toX, toY]);
    [x, y] = [toX, toY];
  };
  const quadratic = (cx: number, cy: number, toX: number, toY: number) => {
    const toward = (from: number, to: number) => from + (2 / 3) * (to - from);
    curve(toward(x, cx), toward(y, cy), toward(toX, cx), toward(toY, cy), toX, toY);
    handle = { x: cx, y: cy };
  };
  for (let letter = scanner.command(); letter !== undefined; letter = scanner.command()) {
    if (letter === null && command === 'Z') throw new SyntaxError('Numbers after a closed path.');
    command = letter ?? command;
    const kind = command.toUpperCase();
    const count = COUNTS[kind];
    if (count === undefined) throw new SyntaxError(`Unreadable path near “${command}”.`);
    // A command without its letter: its first number is the next one.
    for (let i = 0; i < count; i++) {
      n[i] = scanner.number();
      if (!Number.isFinite(n[i])) throw new SyntaxError(`Unreadable path near “${command}”.`);
    }
    if (command !== kind && kind !== 'V') for (let i = 0; i < count; i += kind === 'H' ? 1 : 2) n[i]! += x;
    if (command !== kind && kind !== 'H') for (let i = kind === 'V' ? 0 : 1; i < count; i += 2) n[i]! += y;
    const before = handle as Point | null;
    const [mirrorX, mirrorY] = before ? [2 * x - before.x, 2 * y - before.y] : [x, y];
    handle = null;
    switch (kind) {
      case 'M':
        [x, y, startX, startY] = [n[0], n[1], n[0], n[1]];
        path.push(['M', x, y]);
        command = command === 'M' ? 'L' : 'l';
        break;
      case 'C':
        handle = { x: n[2], y: n[3] };
        curve(...n);
        break;
      case 'S':
        handle = { x: n[0], y: n[1] };
        curve(mirrorX, mirrorY, n[0], n[1], n[2], n[3]);
        break;
      case 'Q':
        quadratic(n[0], n[1], n[2], n[3]);
        break;
      case 'T':
        quadratic(mirrorX, mirrorY, n[0], n[1]);
        break;
      case 'Z':
        path.push(['Z']);
        [x, y] = [startX, startY];
        command = 'Z';
        break;
      default:
        if (kind !== 'V') x = n[0];
        if (kind !== 'H') y = kind === 'V' ? n[0] : n[1];
        path.push(['L', x, y]);
    }
  }
  return path;
}

const cubic = (a: number, b: number, c: number, d: number, t: number): number => {
  const s = 1 - t;
  return s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
};

/** Where along a cubic one coordinate turns back: roots of its derivative in (0, 1). */
function turningPoints(a: number, b: number, c: number, d: number): number[] {
  const p = 3 * (-a + 3 * b - 3 * c + d);
  const q = 6 * (a - 2 * b + c);
  const r = 3 * (b - a);
  if (Math.abs(p) < 1e-12) return Math.abs(q) < 1e-12 ? [] : [-r / q].filter((t) => t > 0 && t < 1);
  const root = q * q - 4 * p * r;
  if (root < 0) return [];
  return [(-q + Math.sqrt(root)) / (2 * p), (-q - Math.sqrt(root)) / (2 * p)].filter((t) => t > 0 && t < 1);
}

/** The smallest upright box that holds the drawn path, curves' bulges included; an empty box for no path. */
export function pathBounds(path: Path): Box {
  const points: Point[] = [];
  let here: Point = { x: 0, y: 0 };
  for (const segment of path) {
    if (segment[0] === 'Z') continue;
    if (segment[0] === 'C') {
      const [, ax, ay, bx, by, x, y] = segment;
      for (const t of [...turningPoints(here.x, ax, bx, x), ...turningPoints(here.y, ay, by, y)])
        points.push({ x: cubic(here.x, ax, bx, x, t), y: cubic(here.y, ay, by, y, t) });
      here = { x, y };
    } else here = { x: segment[1], y: segment[2] };
    points.push(here);
  }
  return points.length ? boxOfPoints(points) : { x: 0, y: 0, width: 0, height: 0 };
}

/**
 * The same path, its curves in straight parts that leave them by `tolerance` at most, or in `most` of them; what is open stays
 * open. A part of 1/n is off by at most max|B″|/8n², and B″ is at most six times the larger second difference of the controls.
 */
export function straightened(path: Path, tolerance: number, most: number): Path {
  let from: Point = { x: 0, y: 0 };
  return path.flatMap((segment): Path => {
    if (segment[0] === 'Z') return [segment];
    if (segment[0] !== 'C') {
      from = { x: segment[1], y: segment[2] };
      return [segment];
    }
    const { x: fromX, y: fromY } = from;
    const [, ax, ay, bx, by, x, y] = segment;
    from = { x, y };
    const bend = Math.max(
      Math.hypot(fromX - 2 * ax + bx, fromY - 2 * ay + by),
      Math.hypot(ax - 2 * bx + x, ay - 2 * by + y),
    );
    const steps = Math.max(1, Math.min(most, Math.ceil(Math.sqrt((6 * bend) / (8 * tolerance)))));
    return Array.from({ length: steps }, (_, i): Segment => {
      const t = (i + 1) / steps;
      return i + 1 === steps ? ['L', x, y] : ['L', cubic(fromX, ax, bx, x, t), cubic(fromY, ay, by, y, t)];
    });
  });
}

/** The path as closed polygons, each curve in `steps` straight parts. */
export function flatten(path: Path, steps = 12): Point[][] {
  const rings: Point[][] = [];
  let ring: Point[] = [];
  for (const segment of path) {
    if (segment[0] === 'M') {
      ring = [{ x: segment[1], y: segment[2] }];
      rings.push(ring);
    } else if (segment[0] === 'L') ring.push({ x: segment[1], y: segment[2] });
    else if (segment[0] === 'C') {
      const from = ring[ring.length - 1]!;
      const [, ax, ay, bx, by, x, y] = segment;
      for (let i = 1; i <= steps; i++)
        ring.push({ x: cubic(from.x, ax, bx, x, i / steps), y: cubic(from.y, ay, by, y, i / steps) });
    }
  }
  return rings;
}

/** Whether the point lies in the filled path (winding number not zero), or within `tolerance` of its edge. */
export function contains(path: Path, point: Point, tolerance = 0): boolean {
  let winding = 0;
  for (const ring of flatten(path)) {
    for (let i = 0; i < ring.length; i++) {
      const a = ring[i]!;
      const b = ring[(i + 1) % ring.length]!;
      if (tolerance > 0 && distanceToSide(point, a, b) <= tolerance) return true;
      const side = (b.x - a.x) * (point.y - a.y) - (b.y - a.y) * (point.x - a.x);
      if (a.y <= point.y && b.y > point.y && side > 0) winding++;
      else if (a.y > point.y && b.y <= point.y && side < 0) winding--;
    }
  }
  return winding !== 0;
}

/** From a point to the nearest of a straight side. */
export function distanceToSide(p: Point, a: Point, b: Point): number {
  const length2 = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  const along = length2 === 0 ? 0 : ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / length2;
  const t = Math.max(0, Math.min(1, along));
  return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
}

/** How far a point lies from the edge of a path, inside or out, same unit; its curves as polygons. */
export const distanceToEdge = (path: Path, point: Point): number =>
  flatten(path).reduce(
    (least, ring) =>
      ring.reduce(
        (near, a, i) => Math.min(near, distanceToSide(point, a, ring[(i + 1) % ring.length]!)),
        least,
      ),
    Infinity,
  );
