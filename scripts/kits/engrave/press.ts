/** Forms in relief engraved: lines along them that swell with the dark, cross-hatching where it is deepest, contours where they turn away, all hidden by what lies in front. */
import { trace } from '@/core/pixels/trace';
import { Field, fieldOf, FINE } from './field';
import { darkness, LAMP, Sheet } from './lit';
import { dot, type Mark, type Surface, unit } from './surface';

/** Inches between lines, at the least; and of a plain contour. */
const APART = 0.021;

const CONTOUR = 0.0155;

/** Thinnest line that is still cut, inches. */
const THINNEST = 0.0034;

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
  /** What is seen of it. */
  field: Field;
  width: number;
  height: number;
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
