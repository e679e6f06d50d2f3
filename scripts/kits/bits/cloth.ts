/** Ribbon, bows, thread, twine and felt. */
import type { Point } from '@/core/geometry/matrix';
import { ringsAround } from '@/core/pixels/squares';
import { Path2D, type Canvas } from '@napi-rs/canvas';
import { fbm, noise } from '../../art/noise';
import {
  blend,
  inch,
  lit,
  pileUp,
  plate,
  rgb,
  rounded,
  scaled,
  trimmed,
  type Body,
  type Plate,
  type Rgb,
} from '../relief';
import { PAD } from './pad';

/** A few strands of thread lying side by side, seen from above. */
export function stitch(length: number, hex: string, seed: number): Canvas {
  const r = Math.max(4, length * 0.075);
  const w = Math.round(length + 4 * r);
  const h = Math.round(8 * r);
  const strands = [-1, 1].map((side) =>
    plate(w, h, (g) => {
      g.lineWidth = 2 * r;
      g.beginPath();
      g.moveTo(2 * r, h / 2 + side * r * 0.8);
      g.quadraticCurveTo(w / 2, h / 2 + side * r * 1.1, w - 2 * r, h / 2 + side * r * 0.8);
      g.stroke();
    }),
  );
  return pileUp(
    w,
    h,
    strands.map((p) => ({ of: yarn(p, r, hex, seed), x: w / 2, y: h / 2, lift: 2 })),
  );
}
/** Twisted fibre over a rope-like shape of radius r. */
export function yarn(p: ReturnType<typeof plate>, r: number, hex: string, seed: number): Canvas {
  const base = rgb(hex);
  const fuzz = noise(seed);
  return lit({
    plate: p,
    rise: (x, y, depth) => rounded(depth, r) * 0.9 + Math.sin((x - y * 0.9) / (r * 0.42)) * r * 0.13,
    colour: (x, y) =>
      scaled(base, 0.86 + 0.16 * Math.sin((x - y * 0.9) / (r * 0.42)) + 0.18 * (fuzz(x / 2, y / 2) - 0.5)),
    gloss: 0.05,
  });
}
/** Twine or thread that wanders along path data (inches). */
export function twine(w: number, h: number, data: string, hex: string, seed: number, r = 0.028): Canvas {
  const p = plate(inch(w) + 2 * PAD, inch(h) + 2 * PAD, (g) => {
    g.translate(PAD, PAD);
    g.scale(300, 300);
    g.lineWidth = 2 * r;
    g.stroke(new Path2D(data));
  });
  return trimmed(yarn(p, r * 300, hex, seed));
}
export type Weave = 'satin' | 'grosgrain' | 'gingham' | 'stitched' | 'dots';
/** Ribbon lying with a little wave, its ends cut to a notch or straight. */
export function ribbon(
  length: number,
  width: number,
  hex: string,
  second: string,
  weave: Weave,
  seed: number,
  ends: 'notch' | 'plain' = 'notch',
): Canvas {
  const [w, h] = [inch(length), inch(width)];
  const p = plate(w + 2 * PAD, h + 2 * PAD, (g) => {
    const v = ends === 'notch' ? h * 0.42 : 0;
    g.translate(PAD, PAD);
    g.beginPath();
    g.moveTo(0, 0);
    for (const [x, y] of [
      [w, 0],
      [w - v, h / 2],
      [w, h],
      [0, h],
      [v, h / 2],
    ])
      g.lineTo(x!, y!);
    g.fill();
  });
  return lit(clothBody(p, h, hex, second, weave, seed));
}
export function clothBody(
  p: ReturnType<typeof plate>,
  h: number,
  hex: string,
  second: string,
  weave: Weave,
  seed: number,
) {
  const [a, b] = [rgb(hex), rgb(second)];
  const slow = fbm(seed, 2);
  const fine = noise(seed + 2);
  const colour = (x: number, y: number, depth: number): Rgb => {
    const across = (y - PAD) / h;
    let base = a;
    if (weave === 'gingham') {
      const n = h / 6;
      const on = Number(Math.floor(x / n) % 2 === 0) + Number(Math.floor((y - PAD) / n) % 2 === 0);
      base = blend(b, a, on / 2);
    } else if (weave === 'stitched' && Math.abs(Math.abs(across - 0.5) - 0.38) < 0.03 && x % 26 < 16)
      base = b;
    else if (weave === 'dots') {
      const n = h * 0.62;
      const row = Math.floor((y - PAD) / (n * 0.62));
      const dx = ((x + (row % 2) * (n / 2)) % n) - n / 2;
      const dy = ((y - PAD) % (n * 0.62)) - n * 0.31;
      if (dx * dx + dy * dy < (n * 0.17) ** 2) base = b;
    }
    const rib =
      weave === 'grosgrain'
        ? 0.1 * Math.sin(x / 1.9)
        : weave === 'satin'
          ? 0
          : 0.06 * Math.sin(x / 1.1) * Math.sin(y / 1.1);
    const edge = depth < 5 ? -0.08 : 0;
    return scaled(base, 1 + rib + edge + 0.08 * (fine(x / 2, y / (weave === 'satin' ? 14 : 2)) - 0.5));
  };
  return {
    plate: p,
    rise: (x: number, y: number, depth: number) =>
      (slow(x / 190, 0.5) - 0.5) * 26 +
      (slow(x / 70, y / 400) - 0.5) * 4 +
      rounded(depth, 3) +
      (weave === 'grosgrain' ? Math.sin(x / 1.9) * 0.5 : 0),
    colour,
    gloss: weave === 'satin' ? 0.22 : 0.03,
    polish: 9,
  };
}
/** A tied bow: two loops, two tails, a knot. */
export function bow(size: number, hex: string, second: string, weave: Weave, seed: number): Canvas {
  const s = inch(size);
  const h = s * 0.2;
  const loop = (side: 1 | -1): Canvas => {
    const p = plate(Math.round(s * 0.62), Math.round(s * 0.5), (g) => {
      g.translate(s * 0.31, s * 0.25);
      g.scale(side, 1);
      g.beginPath();
      g.moveTo(-s * 0.27, 0);
      g.bezierCurveTo(-s * 0.1, -s * 0.3, s * 0.3, -s * 0.27, s * 0.27, 0.01 * s);
      g.bezierCurveTo(s * 0.25, s * 0.2, -s * 0.1, s * 0.16, -s * 0.27, 0);
      g.fill();
    });
    const base = clothBody(p, h, hex, second, weave, seed + side);
    const crease = noise(seed + 9 + side);
    return lit({
      ...base,
      rise: (x, y, depth) => {
        const u = side === 1 ? x / (s * 0.62) : 1 - x / (s * 0.62);
        const angle = Math.atan2(y - s * 0.25, (u - 0.06) * s * 0.62);
        const pleats = (1 - u) ** 1.4 * (crease(angle * 5 + 20, 3) - 0.5) * s * 0.12;
        return rounded(depth, s * 0.13) * 0.75 + pleats;
      },
    });
  };
  const tail = (side: 1 | -1): Canvas => {
    const p = plate(Math.round(s * 0.4), Math.round(s * 0.62), (g) => {
      g.translate(s * 0.2, s * 0.02);
      g.scale(side, 1);
      g.beginPath();
      g.moveTo(-s * 0.06, 0);
      g.bezierCurveTo(0, s * 0.2, 0, s * 0.4, -s * 0.06 + s * 0.1, s * 0.58);
      g.lineTo(s * 0.1, s * 0.49);
      g.lineTo(s * 0.19, s * 0.54);
      g.bezierCurveTo(s * 0.13, s * 0.36, s * 0.1, s * 0.16, s * 0.05, 0);
      g.fill();
    });
    const base = clothBody(p, h, hex, second, weave, seed + 4 + side);
    return lit({
      ...base,
      rise: (x, y, depth) => rounded(depth, s * 0.03) + Math.sin(y / (s * 0.07) + side) * s * 0.012,
    });
  };
  const knot = lit({
    ...clothBody(
      plate(Math.round(s * 0.22), Math.round(s * 0.24), (g) => {
        g.beginPath();
        g.roundRect(s * 0.03, s * 0.02, s * 0.16, s * 0.2, s * 0.06);
        g.fill();
      }),
      h,
      hex,
      second,
      weave,
      seed + 7,
    ),
    rise: (x, _, depth) => rounded(depth, s * 0.08) + Math.sin(x / (s * 0.02)) * s * 0.006,
  });
  const m = s * 0.6;
  return trimmed(
    pileUp(Math.round(s * 1.3), Math.round(s * 1.1), [
      { of: tail(1), x: m + s * 0.12, y: s * 0.68, turn: -14, lift: 5 },
      { of: tail(-1), x: m - s * 0.12, y: s * 0.68, turn: 14, lift: 5 },
      { of: loop(1), x: m + s * 0.3, y: s * 0.36, turn: -6, lift: 7 },
      { of: loop(-1), x: m - s * 0.3, y: s * 0.36, turn: 6, lift: 7 },
      { of: knot, x: m, y: s * 0.38, lift: 7 },
    ]),
  );
}
/** Felt: soft over its edge, its fibres lying every way. */
export function feltBody(base: Rgb, seed: number): Pick<Body, 'rise' | 'colour'> {
  const fuzz = fbm(seed, 4);
  const hair = noise(seed + 5);
  const fibre = (x: number, y: number) =>
    hair((x + 9 * fuzz(x / 40, y / 40)) / 1.6, y / 4.5) * 0.5 +
    hair(x / 5, (y + 9 * fuzz(y / 40, x / 40)) / 1.6) * 0.5;
  return {
    rise: (x, y, depth) => rounded(depth, 11) * 0.8 + fibre(x, y) * 2.1 + fuzz(x / 22, y / 22) * 4,
    colour: (x, y) => scaled(base, 0.88 + 0.26 * fibre(x, y)),
  };
}

/** Cloth sewn down with a running stitch `seam` pixels within its edge, one beginning every `step` pixels. */
export function sewn(
  p: Plate,
  { rise, colour }: Pick<Body, 'rise' | 'colour'>,
  thread: string,
  seam: number,
  step: number,
  seed: number,
): Canvas {
  const cloth = lit({
    plate: p,
    rise: (x, y, depth) => rise(x, y, depth) - 3 * Math.exp(-(((depth - seam) / (0.4 * seam)) ** 2)),
    colour,
  });
  const [thick, long] = [step * 0.2, step * 0.6];
  const one = yarn(
    plate(Math.ceil(long + 2 * thick), Math.ceil(2 * thick), (g) => {
      g.lineWidth = thick;
      g.moveTo(thick, thick);
      g.lineTo(long + thick, thick);
      g.stroke();
    }),
    thick / 1.9,
    thread,
    seed,
  );
  const inner = Float32Array.from(p.depth, (depth) => 0.5 + (depth - seam) / (2 * seam));
  const stitches = ringsAround(inner, p.width, p.height).flatMap((ring) => along(ring, step));
  return pileUp(p.width, p.height, [
    { of: cloth, x: p.width / 2, y: p.height / 2 },
    ...stitches.map((at) => ({ of: one, ...at, lift: 2 })),
  ]);
}

/** A patch of felt sewn round its edge. */
export function felt(size: number, shape: Path2D, hex: string, thread: string, seed: number): Canvas {
  const s = inch(size);
  const p = plate(s + 2 * PAD, s + 2 * PAD, (g) => {
    g.translate(PAD, PAD);
    g.scale(s / 100, s / 100);
    g.fill(shape, 'evenodd');
  });
  return trimmed(sewn(p, feltBody(rgb(hex), seed), thread, 17, 34, seed));
}
/** Places about `step` apart along a ring, each with its direction in degrees; none for a ring too short to sew. */
function along(ring: readonly Point[], step: number): { x: number; y: number; turn: number }[] {
  const lengths = ring.map((p, i) => Math.hypot(p.x - ring.at(i - 1)!.x, p.y - ring.at(i - 1)!.y));
  const whole = lengths.reduce((sum, length) => sum + length, 0);
  const count = Math.round(whole / step);
  if (count < 6) return [];
  const at = (s: number): Point => {
    let left = ((s % whole) + whole) % whole;
    const i = lengths.findIndex((length) => (left -= length) <= 0);
    const [to, from] = [ring.at(i)!, ring.at(i - 1)!];
    const t = 1 + left / (lengths.at(i) || 1);
    return { x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t };
  };
  return Array.from({ length: count }, (_, i) => {
    const s = (i * whole) / count;
    const [a, b] = [at(s - 8), at(s + 8)];
    return {
      x: (a.x + b.x) / 2,
      y: (a.y + b.y) / 2,
      turn: (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI,
    };
  });
}
