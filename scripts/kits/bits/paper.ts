/** Washi tape, tags, scraps, chipboard, doilies, bunting and paper flowers. */
import { Path2D, type Canvas } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { fbm, smooth } from '../../art/noise';
import { blend, inch, lit, pileUp, plate, rgb, rounded, scaled, tooth, trimmed } from '../relief';
import { twine } from './cloth';
import { eyelet } from './metal';
import { PAD } from './pad';

/** What is printed on tape, scraps and tags: 0 ground, 1 print. */
export type Print = (x: number, y: number) => number;
export const PRINTS: Record<string, Print> = {
  plain: () => 0,
  stripe: (x) => Number(x % 46 < 20),
  slant: (x, y) => Number((x + y) % 60 < 24),
  dots: (x, y) => {
    const row = Math.floor(y / 40);
    return Number(Math.hypot(((x + (row % 2) * 24) % 48) - 24, (y % 40) - 20) < 10);
  },
  check: (x, y) => (Number(x % 56 < 28) + Number(y % 56 < 28)) / 2,
  grid: (x, y) => Number(x % 44 < 3 || y % 44 < 3),
  ticks: (x, y) => Number(y % 36 < 5 && (x + Math.floor(y / 36) * 20) % 40 < 24),
};
/** Washi tape with torn ends; one can see a little through it. */
export function washi(
  length: number,
  width: number,
  ground: string,
  print: string,
  pattern: Print,
  seed: number,
): Canvas {
  const [w, h] = [inch(length), inch(width)];
  const next = random(seed);
  const jag = (x: number) => {
    const edge: [number, number][] = [];
    for (let y = 0; y <= h; y += 5 + next() * 7) edge.push([x + (next() - 0.5) * 16, Math.min(y, h)]);
    return edge;
  };
  const p = plate(w + 2 * PAD, h + 2 * PAD, (g) => {
    g.translate(PAD, PAD);
    g.beginPath();
    g.moveTo(8, 0);
    g.lineTo(w - 8, 0);
    for (const [x, y] of jag(w - 8)) g.lineTo(x, y);
    g.lineTo(w - 8, h);
    g.lineTo(8, h);
    for (const [x, y] of jag(8).reverse()) g.lineTo(x, y);
    g.fill();
  });
  const [a, b] = [rgb(ground), rgb(print)];
  const fibre = fbm(seed, 3);
  return lit({
    plate: p,
    rise: (x, y) => fibre(x / 16, y / 5) * 1.6,
    colour: (x, y) => scaled(blend(a, b, pattern(x, y - PAD)), 0.96 + 0.09 * fibre(x / 30, y / 4)),
    opacity: 0.9,
  });
}
/** A tag of card with an eyelet and a loop of string. */
export function tag(
  w: number,
  h: number,
  hex: string,
  print: string,
  pattern: Print,
  metal: string,
  string: string,
  seed: number,
): Canvas {
  const [tw, th] = [inch(w), inch(h)];
  const cut = tw * 0.24;
  const [ex, ey] = [tw / 2, th * 0.12];
  const eye = inch(0.075);
  const p = plate(tw + 2 * PAD, th + 2 * PAD, (g) => {
    g.translate(PAD, PAD);
    g.beginPath();
    g.moveTo(cut, 0);
    for (const [x, y] of [
      [tw - cut, 0],
      [tw, cut],
      [tw, th],
      [0, th],
      [0, cut],
    ])
      g.lineTo(x!, y!);
    g.closePath();
    g.moveTo(ex + eye, ey);
    g.arc(ex, ey, eye, 0, 7, true);
    g.fill('evenodd');
  });
  const [a, b] = [rgb(hex), rgb(print)];
  const face = tooth(seed, 0.09);
  const inner = inch(0.07);
  const board = lit({
    plate: p,
    rise: (x, y, depth) => rounded(depth, 4) + face(x, y) * 5,
    colour: (x, y, depth) => {
      const line = depth > inner && depth < inner + 4 && y > th * 0.24;
      const printed = y > th * 0.24 && depth > inner + 9 ? pattern(x, y) * 0.55 : 0;
      return scaled(blend(a, b, line ? 0.85 : printed), 1 + face(x, y));
    },
  });
  const ring = eyelet(0.24, metal, seed);
  const loop = twine(
    0.9,
    1.2,
    'M0.45 1.12C0.2 0.9 0.12 0.4 0.3 0.18C0.42 0.04 0.6 0.12 0.62 0.34C0.66 0.7 0.52 0.9 0.45 1.12',
    string,
    seed + 3,
    0.02,
  );
  const W = tw + 2 * PAD;
  const H = th + inch(1.05);
  return trimmed(
    pileUp(W, H, [
      { of: board, x: W / 2, y: inch(1.0) + th / 2, lift: 4 },
      { of: ring, x: W / 2, y: inch(1.0) + ey, lift: 2 },
      { of: loop, x: W / 2 + 6, y: inch(0.56), turn: 4, lift: 4 },
    ]),
  );
}
/** Layered paper petals round a middle. */
export function flower(
  size: number,
  hex: string,
  second: string,
  middle: Canvas,
  petals: number,
  seed: number,
): Canvas {
  const s = inch(size);
  const layer = (
    d: number,
    colour: string,
    turn: number,
    n: number,
  ): { of: Canvas; x: number; y: number; turn: number; lift: number } => {
    const p = plate(Math.round(d + 2 * PAD), Math.round(d + 2 * PAD), (g) => {
      g.translate(d / 2 + PAD, d / 2 + PAD);
      for (let i = 0; i < n; i++) {
        g.save();
        g.rotate((2 * Math.PI * i) / n);
        g.beginPath();
        g.moveTo(0, 0);
        g.bezierCurveTo(-d * 0.26, -d * 0.16, -d * 0.2, -d * 0.5, 0, -d * 0.49);
        g.bezierCurveTo(d * 0.2, -d * 0.5, d * 0.26, -d * 0.16, 0, 0);
        g.fill();
        g.restore();
      }
    });
    const base = rgb(colour);
    const face = tooth(seed, 0.08);
    const c = d / 2 + PAD;
    const of = lit({
      plate: p,
      rise: (x, y, depth) => {
        const r = Math.hypot(x - c, y - c) / (d / 2);
        const a = Math.atan2(y - c, x - c) + Math.PI / 2;
        return r * r * d * 0.1 + Math.cos(a * n) * r * d * 0.028 + rounded(depth, 3);
      },
      colour: (x, y) => {
        const r = Math.hypot(x - c, y - c) / (d / 2);
        return scaled(base, (0.8 + 0.26 * r) * (1 + face(x, y)));
      },
    });
    return { of, x: s / 2 + PAD, y: s / 2 + PAD, turn, lift: 7 };
  };
  return trimmed(
    pileUp(s + 2 * PAD, s + 2 * PAD, [
      layer(s, hex, 0, petals),
      layer(s * 0.76, second, 180 / petals, petals),
      layer(s * 0.5, hex, 8, petals),
      { of: middle, x: s / 2 + PAD, y: s / 2 + PAD, turn: 0, lift: 5 },
    ]),
  );
}
/** What a die-cut is cut from: its shape in a square of 100 x 100, and its face. */
export interface Cut {
  shape: Path2D;
  hex: string;
  print?: string;
  pattern?: Print;
}
/** Chipboard with a printed face and a pale, cut edge, on a square of its size. */
function board(size: number, { shape, hex, print = hex, pattern = () => 0 }: Cut, seed: number): Canvas {
  const s = inch(size);
  const [a, b, core] = [rgb(hex), rgb(print), rgb('#d9cdb8')];
  const face = tooth(seed, 0.09);
  return lit({
    plate: plate(s + 2 * PAD, s + 2 * PAD, (g) => {
      g.translate(PAD, PAD);
      g.scale(s / 100, s / 100);
      g.fill(shape, 'evenodd');
    }),
    rise: (x, y, depth) => Math.min(8, depth * 1.4) + face(x, y) * 4,
    colour: (x, y, depth) =>
      scaled(blend(core, blend(a, b, pattern(x, y)), smooth(4.3, 5.3, depth)), 1 + face(x, y)),
  });
}
export const chipboard = (
  size: number,
  shape: Path2D,
  hex: string,
  print: string,
  pattern: Print,
  seed: number,
): Canvas => trimmed(board(size, { shape, hex, print, pattern }, seed));

/** Die-cuts glued over each other, the first at the bottom. */
export function layered(
  size: number,
  cuts: readonly (Omit<Cut, 'shape'> & { path: string })[],
  seed: number,
): Canvas {
  const s = inch(size) + 2 * PAD;
  return trimmed(
    pileUp(
      s,
      s,
      cuts.map(({ path, ...cut }, i) => ({
        of: board(size, { ...cut, shape: new Path2D(path) }, seed + i),
        x: s / 2,
        y: s / 2,
        lift: 6,
      })),
    ),
  );
}
/** A scrap torn from printed paper: its core shows white along the tear. */
export function scrap(
  w: number,
  h: number,
  hex: string,
  print: string,
  pattern: Print,
  seed: number,
): Canvas {
  const [sw, sh] = [inch(w), inch(h)];
  const rough = fbm(seed, 5);
  const p = plate(sw + 2 * PAD, sh + 2 * PAD, (g) => {
    g.beginPath();
    const steps = Math.round((sw + sh) / 3);
    for (let i = 0; i < steps; i++) {
      const a = (2 * Math.PI * i) / steps;
      const k = Math.max(Math.abs(Math.cos(a)), Math.abs(Math.sin(a)));
      // As deep a tear at a long side as at a short one.
      const [px, py] = [(Math.cos(a) / k) * (sw / 2), (Math.sin(a) / k) * (sh / 2)];
      const bite = 6 + 0.3 * inch(Math.min(0.5, h / 3, w / 3)) * rough(6 + px / 60, 6 + py / 60);
      g.lineTo(sw / 2 + PAD + px * (1 - (2 * bite) / sw), sh / 2 + PAD + py * (1 - (2 * bite) / sh));
    }
    g.fill();
  });
  const [a, b, core] = [rgb(hex), rgb(print), rgb('#fbf8f0')];
  const face = tooth(seed + 1, 0.08);
  const lip = fbm(seed + 2, 4);
  return trimmed(
    lit({
      plate: p,
      rise: (x, y, depth) => Math.min(4, depth * 0.3) + face(x, y) * 5,
      colour: (x, y, depth) =>
        scaled(depth < 4 + 22 * lip(x / 34, y / 34) ? core : blend(a, b, pattern(x, y)), 1 + face(x, y)),
    }),
  );
}
/** A round of paper lace. */
export function doily(size: number, hex: string, seed: number): Canvas {
  const s = inch(size);
  const c = s / 2 + PAD;
  const n = 20;
  const face = tooth(seed, 0.06);
  const base = rgb(hex);
  return lit({
    plate: plate(s + 2 * PAD, s + 2 * PAD, (g) => {
      g.translate(c, c);
      for (let i = 0; i < n; i++) {
        const a = (2 * Math.PI * i) / n;
        g.beginPath();
        g.arc(Math.cos(a) * s * 0.43, Math.sin(a) * s * 0.43, s * 0.07, 0, 7);
        g.fill();
      }
      g.beginPath();
      g.arc(0, 0, s * 0.445, 0, 7);
      g.fill();
      g.globalCompositeOperation = 'destination-out';
      const ring = (count: number, r: number, w: number, h: number, shift: number) => {
        for (let i = 0; i < count; i++) {
          const a = (2 * Math.PI * (i + shift)) / count;
          g.save();
          g.rotate(a);
          g.beginPath();
          g.ellipse(0, -s * r, s * w, s * h, 0, 0, 7);
          g.fill();
          g.restore();
        }
      };
      ring(n, 0.455, 0.018, 0.018, 0);
      ring(n, 0.395, 0.014, 0.034, 0.5);
      ring(n, 0.345, 0.02, 0.014, 0);
      ring(n * 2, 0.305, 0.007, 0.016, 0);
      ring(n, 0.265, 0.012, 0.012, 0.5);
    }),
    rise: (x, y, depth) => {
      const r = Math.hypot(x - c, y - c) / s;
      return rounded(depth, 3) + 2.5 * Math.sin(r * 90) * Number(r > 0.22) + face(x, y) * 4;
    },
    colour: (x, y) => scaled(base, 1 + face(x, y)),
  });
}
/** Small flags on a string. */
export function bunting(
  w: number,
  hexes: readonly string[],
  patterns: readonly Print[],
  string: string,
  seed: number,
): Canvas {
  const flags = 6;
  const fw = inch(w / (flags + 0.6));
  const things = Array.from({ length: flags }, (_, i) => {
    const t = (i + 0.5) / flags;
    const sag = Math.sin(Math.PI * t) * 0.22;
    const hex = hexes[i % hexes.length]!;
    const of = chipboard(
      (fw / 300) * 0.92,
      new Path2D('M2 0L98 0L50 100Z'),
      hex,
      blendHex(hex, '#ffffff', 0.6),
      patterns[i % patterns.length]!,
      seed + i,
    );
    return {
      of,
      x: inch(0.3) + t * inch(w - 0.6),
      y: inch(0.2 + sag) + fw * 0.46,
      turn: Math.cos(Math.PI * t) * 7,
      lift: 4,
    };
  });
  const line = twine(
    w,
    0.7,
    `M0.05 0.12C${w * 0.3} 0.46 ${w * 0.7} 0.46 ${w - 0.05} 0.12`,
    string,
    seed,
    0.022,
  );
  return trimmed(
    pileUp(inch(w) + 2 * PAD, inch(1.9), [
      ...things,
      { of: line, x: inch(w / 2) + PAD, y: inch(0.34), lift: 3 },
    ]),
  );
}
export const blendHex = (a: string, b: string, t: number): string =>
  `#${blend(rgb(a), rgb(b), t)
    .map((v) => Math.round(v).toString(16).padStart(2, '0'))
    .join('')}`;
