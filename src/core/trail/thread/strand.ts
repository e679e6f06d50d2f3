/** One strand of thread as it lies: a round cord of twisted plies, lit from one side, that dips into the paper at its ends. */
import { mixed } from '@/core/color/hex';
import type { Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import { onRun, openRun, wayOn, type Run } from '@/core/geometry/runs';
import type { FillMark } from '@/core/picture/picture';

/** What a shade is mixed with: never black. */
const SHADE = '#2a1c14';

export interface Cord {
  /** Points. */
  width: number;
  /** One, or two that are twisted together. */
  colours: readonly string[];
  /** Where the light comes from: radians clockwise from the right, in the frame of the strand. */
  light: number;
  /** Its ends go down into the paper. */
  dips: boolean;
}

const fill = (rings: readonly (readonly Point[])[], colour: string): FillMark[] =>
  rings.length ? [{ mark: 'fill', path: pathOfRings(rings), colour }] : [];

/** How finely a bent strand is drawn, as a share of its width, and points at least. */
const FINE = 0.5;

/** A band along a run, `low` to `high` beside it (shares of half the width), round at its ends. */
function band(run: Run, half: number, centre: number, from = 0, to = run.length): Point[] {
  const steps = Math.max(1, Math.min(40, Math.ceil((to - from) / Math.max(0.6, 2 * half * FINE))));
  const at = (i: number, v: number) => onRun(run, from + ((to - from) * i) / steps, v);
  const straight = run.points.length === 2;
  const list = straight ? [0, steps] : Array.from({ length: steps + 1 }, (_, i) => i);
  const end = (s: number, way: 1 | -1): Point[] =>
    Array.from({ length: 5 }, (_, i) => {
      const angle = (Math.PI * (i + 1)) / 6;
      const { x, y } = onRun(run, s, centre + way * half * Math.cos(angle));
      const turned = wayOn(run, s);
      const out = way * half * Math.sin(angle);
      return { x: x + out * Math.cos(turned), y: y + out * Math.sin(turned) };
    });
  return [
    ...list.map((i) => at(i, centre + half)),
    ...end(to, 1),
    ...[...list].reverse().map((i) => at(i, centre - half)),
    ...end(from, -1),
  ];
}

/** The outline of a strand, its ends round. */
export const strandOutline = (points: readonly Point[], width: number): Point[] =>
  band(
    openRun(points),
    width / 2,
    0,
    0.5 * width,
    Math.max(0.5 * width, openRun(points).length - 0.5 * width),
  );

/** Where one ply lies over the next: slanted across the cord, `share` of the pitch wide, in an S as a twist shows it. */
function plies(
  run: Run,
  half: number,
  pitch: number,
  first: number,
  share: number,
  every: number,
): Point[][] {
  const found: Point[][] = [];
  const slant = 0.9 * half;
  for (let s = first * pitch; s < run.length + slant; s += every * pitch) {
    const wide = (share * pitch) / 2;
    const edge = (sign: 1 | -1): Point[] =>
      [-1, -0.5, 0, 0.5, 1].map((v) => {
        const along =
          s + slant * Math.sin((v * Math.PI) / 2) * -1 + sign * wide * Math.sqrt(1 - 0.75 * v * v);
        return onRun(run, Math.min(run.length, Math.max(0, along)), v * half);
      });
    found.push([...edge(-1), ...edge(1).reverse()]);
  }
  return found;
}

/** All that is drawn of a strand, the lowest first. */
export function strandMarks(points: readonly Point[], { width, colours, light, dips }: Cord): FillMark[] {
  const run = openRun(points);
  if (!(run.length > 0)) return [];
  const half = width / 2;
  const [one, two = one] = colours as [string, string?];
  // Which side of the cord the light falls on, and how much: along the cord it falls on neither.
  const turned = wayOn(run, run.length / 2);
  const lit = Math.sin(turned - light);
  const [from, to] = [Math.min(half, run.length / 2), Math.max(run.length - half, run.length / 2)];
  const dark = (colour: string, by: number) => mixed(colour, SHADE, by);
  const pitch = 0.92 * width;
  const inner = { from: from + 0.05 * width, to: to - 0.05 * width };
  const within = (list: Point[][]) => list;
  const cut = { ...run };
  return [
    ...fill([band(run, half, 0, from, to)], dark(one, 0.42)),
    ...fill([band(run, 0.86 * half, 0.1 * half * lit, inner.from, inner.to)], one),
    ...(two !== one ? fill(within(plies(cut, 0.86 * half, pitch, 0.25, 0.98, 2)), two) : []),
    // The side away from the light.
    ...fill([band(run, 0.3 * half, -0.58 * half * lit, inner.from, inner.to)], dark(one, 0.26)),
    ...fill(plies(cut, 0.9 * half, pitch, 0.75, 0.16, 1), dark(one, 0.42)),
    // Every ply has a light of its own on its back.
    ...fill(highlights(run, half, pitch, lit), mixed(one, '#ffffff', 0.46)),
    ...(dips ? fill(ends(run, half), dark(one, 0.5)) : []),
  ];
}

/** A small light on the back of every ply. */
function highlights(run: Run, half: number, pitch: number, lit: number): Point[][] {
  const found: Point[][] = [];
  for (let s = 0.3 * pitch; s < run.length - 0.2 * pitch; s += pitch) {
    const [length, high] = [0.52 * pitch, 0.15 * half];
    const v = (0.2 + 0.22 * Math.abs(lit)) * half * Math.sign(lit || 1);
    const at = (share: number, off: number) =>
      onRun(run, Math.min(run.length, Math.max(0, s + share * length - 0.35 * (v + off))), v + off);
    found.push([at(-0.5, 0), at(-0.2, high), at(0.25, high), at(0.5, 0), at(0.25, -high), at(-0.2, -high)]);
  }
  return found;
}

/** The ends, where the thread goes down. */
function ends(run: Run, half: number): Point[][] {
  const cap = (s: number, way: 1 | -1): Point[] => {
    const a = Array.from({ length: 7 }, (_, i) => {
      const angle = (Math.PI * i) / 6;
      const { x, y } = onRun(run, s, half * 0.92 * Math.cos(angle));
      const turned = wayOn(run, s);
      const out = way * half * 0.95 * Math.sin(angle);
      return { x: x + out * Math.cos(turned), y: y + out * Math.sin(turned) };
    });
    const middle = onRun(run, Math.min(run.length, Math.max(0, s + way * 0.28 * half)), 0);
    return [...a, middle];
  };
  return run.length > 2 * half ? [cap(half, -1), cap(run.length - half, 1)] : [];
}
