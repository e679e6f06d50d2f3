/**
 * Forms in relief engraved: lines along them that swell with the dark, cross-hatching where it is deepest, contours where they turn
 * away, all hidden by what lies in front.
 */
import { trace } from '@/core/pixels/trace';
import { cross, dot, moved, scale, sub, unit, type Mark, type Surface, type V3 } from './surface';

/** Pixels an inch of the field in which it is found what lies in front. */
const FINE = 320;
/** Inches between lines, at the least; and of a plain contour. */
const APART = 0.021;
const CONTOUR = 0.0155;
/** Thinnest line that is still cut, inches. */
const THINNEST = 0.0034;
const LAMP = unit([-0.5, -0.62, 0.72]);
/** Light from the other side, so that the dark is never flat. */
const BACK = unit([0.7, 0.35, 0.5]);

interface P {
  x: number;
  y: number;
  /** Half its width. */
  w: number;
}

export interface Engraving {
  /** Path data, filled by the non-zero rule, in `units` an inch. */
  line: string;
  units: number;
  /** What of it is covered, for each part, in the same units. */
  field: Field;
  width: number;
  height: number;
}

/** What is seen at each pixel. */
export class Field {
  readonly depth: Float32Array;
  readonly id: Int16Array;
  constructor(
    readonly left: number,
    readonly top: number,
    readonly columns: number,
    readonly rows: number,
  ) {
    this.depth = new Float32Array(columns * rows).fill(-1e9);
    this.id = new Int16Array(columns * rows).fill(-1);
  }
  private at(x: number, y: number): number {
    const i = Math.round((x - this.left) * FINE);
    const j = Math.round((y - this.top) * FINE);
    return i < 0 || j < 0 || i >= this.columns || j >= this.rows ? -1 : j * this.columns + i;
  }
  depthAt(x: number, y: number): number {
    const k = this.at(x, y);
    return k < 0 ? -1e9 : this.depth[k]!;
  }
  /** Whether a place of a surface is in sight. */
  sees([x, y, z]: V3, id: number, slack: number): boolean {
    for (const [dx, dy] of NEAR) {
      const k = this.at(x + dx / FINE, y + dy / FINE);
      if (k < 0) continue;
      if (z >= this.depth[k]! - (this.id[k] === id ? slack : slack * 0.25)) return true;
    }
    return false;
  }
  triangle(a: V3, b: V3, c: V3, id: number): void {
    const [ax, ay] = [(a[0] - this.left) * FINE, (a[1] - this.top) * FINE];
    const [bx, by] = [(b[0] - this.left) * FINE, (b[1] - this.top) * FINE];
    const [cx, cy] = [(c[0] - this.left) * FINE, (c[1] - this.top) * FINE];
    const area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
    if (Math.abs(area) < 1e-9) return;
    const x0 = Math.max(0, Math.ceil(Math.min(ax, bx, cx)));
    const x1 = Math.min(this.columns - 1, Math.floor(Math.max(ax, bx, cx)));
    const y0 = Math.max(0, Math.ceil(Math.min(ay, by, cy)));
    const y1 = Math.min(this.rows - 1, Math.floor(Math.max(ay, by, cy)));
    for (let y = y0; y <= y1; y++)
      for (let x = x0; x <= x1; x++) {
        const q = ((x - ax) * (cy - ay) - (y - ay) * (cx - ax)) / area;
        const r = ((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / area;
        if (q < -1e-6 || r < -1e-6 || q + r > 1 + 1e-6) continue;
        const z = a[2] + q * (b[2] - a[2]) + r * (c[2] - a[2]);
        const k = y * this.columns + x;
        if (z > this.depth[k]!) {
          this.depth[k] = z;
          this.id[k] = id;
        }
      }
  }
}
const NEAR = [
  [0, 0],
  [1.6, 0],
  [-1.6, 0],
  [0, 1.6],
  [0, -1.6],
] as const;

const MARGIN = 0.05;

/** What is seen of some forms, from straight above. */
export function fieldOf(surfaces: readonly Surface[]): Field {
  const grids = surfaces.map(gridOf);
  const all = grids.flatMap(({ points }) => points);
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  const least = (of: readonly number[]) => of.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (of: readonly number[]) => of.reduce((a, b) => Math.max(a, b), -Infinity);
  const [left, top] = [least(xs) - MARGIN, least(ys) - MARGIN];
  const field = new Field(
    left,
    top,
    Math.ceil((most(xs) + MARGIN - left) * FINE),
    Math.ceil((most(ys) + MARGIN - top) * FINE),
  );
  grids.forEach(({ points, nu, nv, hole }, id) => {
    for (let i = 0; i < nu; i++)
      for (let j = 0; j < nv; j++) {
        if (hole((i + 0.5) / nu, (j + 0.5) / nv)) continue;
        const at = (di: number, dj: number) => points[(i + di) * (nv + 1) + j + dj]!;
        field.triangle(at(0, 0), at(1, 0), at(0, 1), id);
        field.triangle(at(1, 1), at(0, 1), at(1, 0), id);
      }
  });
  return field;
}

function gridOf({ at, steps: [nu, nv], hole = () => false }: Surface) {
  const points: V3[] = [];
  for (let i = 0; i <= nu; i++) for (let j = 0; j <= nv; j++) points.push(at(i / nu, j / nv));
  return { points, nu, nv, hole };
}

/** How many times finer lines are drawn than it is found what hides them. */
const FINER = 3;

interface Spot {
  p: V3;
  du: V3;
  dv: V3;
  /** Towards the viewer. */
  n: V3;
}

/** A surface as lines are drawn on it: its places and their slopes, sampled once. */
class Sheet {
  readonly nu: number;
  readonly nv: number;
  /** Place, slope along u, slope along v: nine numbers a node. */
  private readonly nodes: Float64Array;
  constructor(
    readonly surface: Surface,
    readonly id: number,
  ) {
    const [nu, nv] = ([this.nu, this.nv] = [surface.steps[0] * FINER, surface.steps[1] * FINER]);
    const n = (this.nodes = new Float64Array(9 * (nu + 1) * (nv + 1)));
    const k = (i: number, j: number) => 9 * (i * (nv + 1) + j);
    for (let i = 0; i <= nu; i++) for (let j = 0; j <= nv; j++) n.set(surface.at(i / nu, j / nv), k(i, j));
    for (let i = 0; i <= nu; i++)
      for (let j = 0; j <= nv; j++) {
        const [i0, i1, j0, j1] = [
          Math.max(0, i - 1),
          Math.min(nu, i + 1),
          Math.max(0, j - 1),
          Math.min(nv, j + 1),
        ];
        for (let c = 0; c < 3; c++) {
          n[k(i, j) + 3 + c] = ((n[k(i1, j) + c]! - n[k(i0, j) + c]!) * nu) / (i1 - i0);
          n[k(i, j) + 6 + c] = ((n[k(i, j1) + c]! - n[k(i, j0) + c]!) * nv) / (j1 - j0);
        }
      }
  }
  /** The z of the cross product of the slopes at a node: its sign says which way it faces. */
  facing(i: number, j: number): number {
    const k = 9 * (i * (this.nv + 1) + j);
    const n = this.nodes;
    return n[k + 3]! * n[k + 7]! - n[k + 4]! * n[k + 6]!;
  }
  private between(u: number, v: number, from: number): V3 {
    const { nu, nv, nodes: n } = this;
    const i = Math.min(nu - 1, Math.floor(u * nu));
    const j = Math.min(nv - 1, Math.floor(v * nv));
    const [f, g] = [u * nu - i, v * nv - j];
    const k = 9 * (i * (nv + 1) + j) + from;
    const [kb, kc, kd] = [k + 9 * (nv + 1), k + 9, k + 9 * (nv + 2)];
    const [wa, wb, wc, wd] = [(1 - f) * (1 - g), f * (1 - g), (1 - f) * g, f * g];
    return [
      n[k]! * wa + n[kb]! * wb + n[kc]! * wc + n[kd]! * wd,
      n[k + 1]! * wa + n[kb + 1]! * wb + n[kc + 1]! * wc + n[kd + 1]! * wd,
      n[k + 2]! * wa + n[kb + 2]! * wb + n[kc + 2]! * wc + n[kd + 2]! * wd,
    ];
  }
  at(u: number, v: number): V3 {
    return this.between(u, v, 0);
  }
  spot(u: number, v: number): Spot {
    const [du, dv] = [this.between(u, v, 3), this.between(u, v, 6)];
    const n = unit(cross(du, dv));
    return { p: this.at(u, v), du, dv, n: n[2] < 0 ? scale(n, -1) : n };
  }
  gone(u: number, v: number): boolean {
    return this.surface.hole?.(u, v) ?? false;
  }
}

/** How dark a place is, 0 to 1: what the lamp leaves, what stands in its way, and its own tone. */
function darkness(surface: Surface, u: number, v: number, p: V3, n: V3, field: Field): number {
  const tone = typeof surface.tone === 'function' ? surface.tone(u, v) : (surface.tone ?? 0);
  const lit = Math.max(0, dot(n, LAMP));
  const back = 0.28 * Math.max(0, dot(n, BACK));
  let cast = 0;
  // Whatever rises above the way to the lamp throws its shade.
  for (let s = 0.02; s < 0.3; s += 0.02) {
    const over = field.depthAt(p[0] + LAMP[0] * s, p[1] + LAMP[1] * s) - (p[2] + LAMP[2] * s + 0.012);
    if (over > 0) {
      cast = 0.5 * (1 - s / 0.36);
      break;
    }
  }
  const dark = 1 - Math.min(1, (lit * 1.12 + back) * (1 - 0.55 * cast)) + 0.75 * tone + 0.35 * cast;
  return Math.min(1, Math.max(0, dark));
}

const zeros = (i: number): number => (i === 0 ? 30 : 31 - Math.clz32(i & -i));

/** Lines along one parameter, as fine as they may be. */
function hatching(sheet: Sheet, field: Field, along: 'u' | 'v', from: number, coarse: number): P[][] {
  const { surface, id } = sheet;
  const out: P[][] = [];
  const apart = (coarse * APART) / (surface.dense ?? 1);
  const place = (t: number, s: number): [number, number] => (along === 'u' ? [t, s] : [s, t]);
  // How many lines the widest place wants; elsewhere some of them rest.
  let widest = 0;
  for (let i = 0; i <= 12; i++)
    for (let j = 0; j < 12; j++) {
      const [a, b] = [sheet.at(...place(i / 12, j / 12)), sheet.at(...place(i / 12, (j + 1) / 12))];
      widest = Math.max(widest, 12 * Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]));
    }
  const count = Math.max(2, 2 ** Math.ceil(Math.log2(widest / apart)));
  let longest = 0;
  for (let j = 0; j <= 8; j++) {
    let long = 0;
    for (let i = 0; i < 24; i++) {
      const [a, b] = [sheet.at(...place(i / 24, j / 8)), sheet.at(...place((i + 1) / 24, j / 8))];
      long += Math.hypot(a[0] - b[0], a[1] - b[1]);
    }
    longest = Math.max(longest, long);
  }
  const samples = Math.max(8, Math.ceil(longest * 110));
  for (let k = 0; k < count; k++) {
    const s = (k + 0.5) / count;
    let run: P[] = [];
    const end = () => {
      if (run.length > 4) out.push(run);
      run = [];
    };
    for (let i = 0; i <= samples; i++) {
      const [u, v] = place(i / samples, s);
      if (sheet.gone(u, v)) {
        end();
        continue;
      }
      const { p, du, dv, n } = sheet.spot(u, v);
      const [way, over] = along === 'u' ? [du, dv] : [dv, du];
      const length = Math.hypot(way[0], way[1]) || 1e-9;
      // What lies between this line and the next, across it, on the paper.
      const gap = Math.abs(way[0] * over[1] - way[1] * over[0]) / length / count;
      const step = Math.max(0, Math.ceil(Math.log2((0.75 * apart) / Math.max(1e-6, gap))));
      // Every 2^step-th line is cut here.
      if (zeros(k + 1) < step && step > 0) {
        end();
        continue;
      }
      const steep = Math.hypot(n[0], n[1]) / Math.max(0.12, n[2]);
      if (!field.sees(p, id, 0.012 + (1.6 * steep) / FINE)) {
        end();
        continue;
      }
      const dark = darkness(surface, u, v, p, n, field);
      const deep = Math.max(0, dark - from) / (1 - from);
      const w = gap * 2 ** step * Math.min(0.7, 0.07 + 0.68 * deep ** 1.2);
      if (deep < 0.03 || w < THINNEST) {
        end();
        continue;
      }
      run.push({ x: p[0], y: p[1], w: w / 2 });
    }
    end();
  }
  return out.map(tapered);
}

/** A line begins and ends as a graver does: thin. */
function tapered(run: P[]): P[] {
  const n = Math.min(14, Math.floor(run.length / 3));
  return run.map((p, i) => {
    const k = Math.min(1, (i + 0.6) / (n + 1), (run.length - i - 0.4) / (n + 1));
    return { ...p, w: p.w * k };
  });
}

/** A pen line on a surface, where it is in sight. */
function penned(sheet: Sheet, field: Field, { at, weight = 1 }: Mark, swell: boolean): P[][] {
  const out: P[][] = [];
  let run: P[] = [];
  const end = () => {
    if (run.length > 2) out.push(run);
    run = [];
  };
  let long = 0;
  for (let i = 0; i < 24; i++) {
    const [a, b] = [sheet.at(...at(i / 24)), sheet.at(...at((i + 1) / 24))];
    long += Math.hypot(a[0] - b[0], a[1] - b[1]);
  }
  const samples = Math.max(6, Math.ceil(long * 110));
  for (let i = 0; i <= samples; i++) {
    const [u, v] = at(i / samples);
    const { p, n } = sheet.spot(u, v);
    if (sheet.gone(u, v) || !field.sees(p, sheet.id, 0.03)) {
      end();
      continue;
    }
    // The side away from the lamp has the heavier line.
    const dark = swell ? Math.min(1, Math.max(0, 1 - dot(n, LAMP))) : 0.5;
    run.push({ x: p[0], y: p[1], w: (CONTOUR * weight * (0.55 + 0.9 * dark)) / 2 });
  }
  end();
  return out.map(tapered);
}

/** Where a smooth surface turns away from whoever looks: the zero line of its normal's z over the grid, joined to runs. */
function turning(sheet: Sheet, field: Field): P[][] {
  const { surface, id, nu, nv } = sheet;
  const facing = new Float32Array((nu + 1) * (nv + 1));
  for (let i = 0; i <= nu; i++) for (let j = 0; j <= nv; j++) facing[i * (nv + 1) + j] = sheet.facing(i, j);
  /** Crossings by the edge they lie on. */
  const links = new Map<string, string[]>();
  const places = new Map<string, readonly [number, number]>();
  const crossing = (i0: number, j0: number, i1: number, j1: number): string | null => {
    const [a, b] = [facing[i0 * (nv + 1) + j0]!, facing[i1 * (nv + 1) + j1]!];
    if (a < 0 === b < 0) return null;
    const key = `${i0} ${j0} ${i1} ${j1}`;
    const t = a / (a - b);
    places.set(key, [(i0 + t * (i1 - i0)) / nu, (j0 + t * (j1 - j0)) / nv]);
    return key;
  };
  for (let i = 0; i < nu; i++)
    for (let j = 0; j < nv; j++) {
      if (sheet.gone((i + 0.5) / nu, (j + 0.5) / nv)) continue;
      const found = [
        crossing(i, j, i + 1, j),
        crossing(i, j, i, j + 1),
        crossing(i + 1, j, i + 1, j + 1),
        crossing(i, j + 1, i + 1, j + 1),
      ].filter((key) => key !== null);
      for (let k = 0; k + 1 < found.length; k += 2) {
        const [a, b] = [found[k]!, found[k + 1]!];
        links.set(a, [...(links.get(a) ?? []), b]);
        links.set(b, [...(links.get(b) ?? []), a]);
      }
    }
  const runs: (readonly [number, number])[][] = [];
  const done = new Set<string>();
  const starts = [...links.keys()].sort((a, b) => links.get(a)!.length - links.get(b)!.length);
  for (const start of starts) {
    if (done.has(start)) continue;
    const run: (readonly [number, number])[] = [];
    let key: string | undefined = start;
    while (key !== undefined && !done.has(key)) {
      done.add(key);
      run.push(places.get(key)!);
      key = links.get(key)!.find((next) => !done.has(next));
    }
    if (run.length > 2) runs.push(run);
  }
  return runs.flatMap((run) => {
    const out: P[][] = [];
    let now: P[] = [];
    for (const [u, v] of run) {
      const { p, n } = sheet.spot(u, v);
      if (!field.sees(p, id, 0.07)) {
        if (now.length > 2) out.push(now);
        now = [];
        continue;
      }
      const away = 0.5 - 0.5 * dot(unit([n[0], n[1], 0]), unit([LAMP[0], LAMP[1], 0]));
      now.push({ x: p[0], y: p[1], w: (CONTOUR * (surface.contour ?? 1) * (0.6 + 0.95 * away)) / 2 });
    }
    if (now.length > 2) out.push(now);
    return out.map(tapered);
  });
}

const SIDES: Record<string, (t: number) => readonly [number, number]> = {
  u0: (t) => [0, t],
  u1: (t) => [1, t],
  v0: (t) => [t, 0],
  v1: (t) => [t, 1],
};

/** The fewest points that stay within `off` of all (Ramer 1972, Douglas & Peucker 1973), widths among them. */
function thinned(run: readonly P[], off: number): P[] {
  if (run.length < 3) return [...run];
  const [a, b] = [run[0]!, run.at(-1)!];
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1e-9;
  let [worst, at] = [0, 0];
  for (let i = 1; i < run.length - 1; i++) {
    const p = run[i]!;
    const t = Math.max(
      0,
      Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / (length * length)),
    );
    const far =
      Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y)) +
      Math.abs(p.w - a.w - t * (b.w - a.w));
    if (far > worst) [worst, at] = [far, i];
  }
  if (worst <= off) return [a, b];
  return [...thinned(run.slice(0, at + 1), off).slice(0, -1), ...thinned(run.slice(at), off)];
}

/** Units an inch in which an engraving is written. */
const unitsOf = (coarse: number): number => Math.round(1000 / coarse);

/** A line with its width, as an outline: curves through the middles of its sides. */
function ribbon(run: readonly P[], x0: number, y0: number, coarse: number): string {
  const units = unitsOf(coarse);
  const points = thinned(run, 0.0014 * coarse ** 1.4);
  const left: [number, number][] = [];
  const right: [number, number][] = [];
  points.forEach((p, i) => {
    const [a, b] = [points[Math.max(0, i - 1)]!, points[Math.min(points.length - 1, i + 1)]!];
    const l = Math.hypot(b.x - a.x, b.y - a.y) || 1e-9;
    const [nx, ny] = [(-(b.y - a.y) / l) * p.w, ((b.x - a.x) / l) * p.w];
    left.push([p.x + nx - x0, p.y + ny - y0]);
    right.push([p.x - nx - x0, p.y - ny - y0]);
  });
  const whole = [...left, ...right.reverse()].map(
    ([x, y]) => [Math.round(x * units), Math.round(y * units)] as const,
  );
  return smoothed(whole, [0, left.length - 1, left.length, whole.length - 1]);
}

/** Quadratic curves with the points as their controls; those at `sharp` stay corners. Relative, so that it is short. */
function smoothed(points: readonly (readonly [number, number])[], sharp: readonly number[]): string {
  let [px, py] = points[0]!;
  let d = `M${px} ${py}`;
  const pair = (x: number, y: number) => {
    const text = `${x - px}${y - py < 0 ? '' : ' '}${y - py}`;
    return text;
  };
  for (let i = 1; i < points.length; i++) {
    const [x, y] = points[i]!;
    if (sharp.includes(i)) {
      d += `l${pair(x, y)}`;
      [px, py] = [x, y];
      continue;
    }
    const next = points[i + 1] ?? points[0]!;
    const end = sharp.includes(i + 1)
      ? next
      : ([Math.round((x + next[0]) / 2), Math.round((y + next[1]) / 2)] as const);
    d += `q${pair(x, y)} ${pair(end[0], end[1])}`;
    [px, py] = end;
    if (end === next) i++;
  }
  return `${d}z`;
}

/** Forms as large as they are wished: `size` inches along their longer side. */
export function sized(surfaces: readonly Surface[], size: number): Surface[] {
  const all = surfaces.flatMap((one) => gridOf(one).points);
  const span = (k: 0 | 1): number => {
    const [least, most] = all.reduce<[number, number]>(
      ([a, b], p) => [Math.min(a, p[k]), Math.max(b, p[k])],
      [Infinity, -Infinity],
    );
    return most - least;
  };
  return moved(surfaces, { size: (size - 2 * MARGIN) / Math.max(span(0), span(1)) });
}

/** Engraves some forms. Its size is what they take, inches; `coarse` is how many times farther apart its lines are than a stamp's. */
export function engrave(surfaces: readonly Surface[], coarse = 1): Engraving {
  const field = fieldOf(surfaces);
  const runs: P[][] = [];
  surfaces.forEach((surface, id) => {
    const sheet = new Sheet(surface, id);
    const { along, bare, edges = [], marks = [], contour: weight = 1 } = surface;
    if (!bare) {
      runs.push(...hatching(sheet, field, along, 0.2, coarse));
      runs.push(...hatching(sheet, field, along === 'u' ? 'v' : 'u', 0.78, coarse));
    }
    for (const side of edges) runs.push(...penned(sheet, field, { at: SIDES[side]!, weight }, true));
    for (const mark of marks) runs.push(...penned(sheet, field, mark, false));
    runs.push(...turning(sheet, field));
  });
  return {
    line: runs.map((run) => ribbon(run, field.left, field.top, coarse)).join(''),
    units: unitsOf(coarse),
    field,
    width: field.columns / FINE,
    height: field.rows / FINE,
  };
}

/** Pixels an inch in which a tone is looked for. */
const COARSE = FINE / 2;
/** What is lit more than this is left out of a tone: a highlight. */
const BRIGHTEST = 0.965;

/** The ground beneath an engraving in one tone, with its highlights left out: path data in the same units. */
export function toneOf({ field, units }: Engraving): string {
  const [w, h] = [Math.floor(field.columns / 2), Math.floor(field.rows / 2)];
  const at = (x: number, y: number): number =>
    2 * Math.max(0, Math.min(h - 1, y)) * field.columns + 2 * Math.max(0, Math.min(w - 1, x));
  let values = new Float32Array(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      if (field.id[at(x, y)]! < 0) continue;
      const slope = (dx: number, dy: number): number => {
        const [a, b] = [at(x - dx, y - dy), at(x + dx, y + dy)];
        const rise = field.depth[b]! - field.depth[a]!;
        return field.id[a] === field.id[b] && Math.abs(rise) < 0.4 ? (rise * COARSE) / 6 : NaN;
      };
      const n = unit([-slope(3, 0), -slope(0, 3), 1]);
      values[y * w + x] = dot(n, LAMP) > BRIGHTEST ? 0 : 255;
    }
  for (let pass = 0; pass < 2; pass++) {
    const from = values;
    const get = (x: number, y: number): number => (x < 0 || y < 0 || x >= w || y >= h ? 0 : from[y * w + x]!);
    values = from.map((_, i) => {
      const [x, y] = [i % w, Math.floor(i / w)];
      let sum = 0;
      for (let dy = -1; dy <= 1; dy++) for (let dx = -1; dx <= 1; dx++) sum += get(x + dx, y + dy);
      return sum / 9;
    });
  }
  return trace({ values, width: w, height: h }, 128, units / COARSE);
}

/** An engraving, or its tone, as a drawing. */
export const drawn = ({ line, units, width, height }: Engraving): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(3)}in" height="${height.toFixed(3)}in" viewBox="0 0 ${Math.round(width * units)} ${Math.round(height * units)}"><path d="${line}" fill="#000000"/></svg>\n`;
