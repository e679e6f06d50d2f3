/** Things with a body: a mask, a height over every pixel, a colour and a shine, lit as the page is, from the upper left. */
import { createCanvas, type Canvas, type SKRSContext2D } from '@napi-rs/canvas';
import { fbm, noise } from '../art/noise';

export const PPI = 300;
/** Inches to pixels. */
export const inch = (inches: number): number => Math.round(inches * PPI);

export type Rgb = readonly [number, number, number];
export const rgb = (hex: string): Rgb => {
  const v = Number.parseInt(hex.slice(1), 16);
  return [v >> 16, (v >> 8) & 255, v & 255];
};
export const scaled = ([r, g, b]: Rgb, f: number): Rgb => [r * f, g * f, b * f];
export const blend = (a: Rgb, b: Rgb, t: number): Rgb => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];

/** A shape in pixels: how much of each is covered, and how far inside it lies. */
export interface Plate {
  width: number;
  height: number;
  /** 0 to 1. */
  cover: Float32Array;
  /** Pixels to the nearest edge; 0 outside. */
  depth: Float32Array;
}

export function plate(width: number, height: number, draw: (context: SKRSContext2D) => void): Plate {
  const canvas = createCanvas(width, height);
  const context = canvas.getContext('2d');
  context.fillStyle = '#000';
  context.strokeStyle = '#000';
  context.lineCap = 'round';
  context.lineJoin = 'round';
  draw(context);
  const { data } = context.getImageData(0, 0, width, height);
  const cover = new Float32Array(width * height);
  for (let i = 0; i < cover.length; i++) cover[i] = data[4 * i + 3]! / 255;
  const depth = depthOf(cover, width, height);
  // Measured from whole pixels, an edge aslant has steps; its slope shall have none.
  smoothed(depth, cover, width, height, 1);
  return { width, height, cover, depth };
}

/** Exact Euclidean distance to the nearest uncovered pixel (Felzenszwalb & Huttenlocher 2012). */
function depthOf(cover: Float32Array, width: number, height: number): Float32Array {
  const far = 1e12;
  const squared = new Float64Array(cover.length);
  for (let i = 0; i < cover.length; i++) squared[i] = cover[i]! > 0.5 ? far : 0;
  const most = Math.max(width, height);
  const f = new Float64Array(most);
  const v = new Int32Array(most);
  const z = new Float64Array(most + 1);
  const line = (start: number, step: number, count: number) => {
    for (let i = 0; i < count; i++) f[i] = squared[start + i * step]!;
    let k = 0;
    v[0] = 0;
    z[0] = -Infinity;
    z[1] = Infinity;
    for (let q = 1; q < count; q++) {
      const fq = f[q]! + q * q;
      let p = v[k]!;
      let s = (fq - (f[p]! + p * p)) / (2 * q - 2 * p);
      while (s <= z[k]!) {
        k -= 1;
        p = v[k]!;
        s = (fq - (f[p]! + p * p)) / (2 * q - 2 * p);
      }
      k += 1;
      v[k] = q;
      z[k] = s;
      z[k + 1] = Infinity;
    }
    k = 0;
    for (let q = 0; q < count; q++) {
      while (z[k + 1]! < q) k += 1;
      const p = v[k]!;
      squared[start + q * step] = (q - p) * (q - p) + f[p]!;
    }
  };
  for (let x = 0; x < width; x++) line(x, width, height);
  for (let y = 0; y < height; y++) line(y * width, 1, width);
  const depth = new Float32Array(cover.length);
  for (let i = 0; i < depth.length; i++) depth[i] = Math.sqrt(Math.min(squared[i]!, 1e8));
  return depth;
}

export interface Body {
  plate: Plate;
  /** Height in pixels above the page. */
  rise: (x: number, y: number, depth: number) => number;
  /** Its own colour. */
  colour: (x: number, y: number, depth: number) => Rgb;
  /** 0 dull, 1 polished. */
  gloss?: number;
  /** How tight the shine is. */
  polish?: number;
  /** How much of it one cannot see through, 0 to 1, everywhere or by place. */
  opacity?: number | ((x: number, y: number, depth: number) => number);
  /** How much it shows of the room about it, a window above and a dark table below: 1 polished metal. */
  mirror?: number;
}

const unit = ([x, y, z]: Rgb): Rgb => {
  const l = Math.hypot(x, y, z);
  return [x / l, y / l, z / l];
};
const LAMP = unit([-0.52, -0.66, 0.86]);
const HALF = unit([LAMP[0], LAMP[1], LAMP[2] + 1]);

/** What a polished face that leans by (nx, ny) shows of the room, 0 dark to 1.3 bright. */
function roomIn(nx: number, ny: number, nz: number): number {
  // Where a look from straight above is thrown back to.
  const [rx, ry] = [2 * nz * nx, 2 * nz * ny];
  const up = -ry * 0.8 - rx * 0.6;
  const window_ = Math.exp(-(((up - 0.62) / 0.2) ** 2));
  const horizon = 0.42 * Math.exp(-(((up + 0.12) / 0.1) ** 2));
  const floor = 0.2 * Math.exp(-(((up + 0.78) / 0.2) ** 2));
  return Math.min(1.35, 0.6 + 0.16 * up + 0.8 * window_ + floor - horizon);
}

/** The body as one sees it: diffuse light, a shine, and darkness in its hollows. */
export function lit({
  plate: p,
  rise,
  colour,
  gloss = 0,
  polish = 24,
  opacity = 1,
  mirror = 0,
}: Body): Canvas {
  const solid = typeof opacity === 'number' ? () => opacity : opacity;
  const { width, height, cover, depth } = p;
  const heights = new Float32Array(width * height);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) heights[i] = cover[i]! > 0.02 ? rise(x, y, depth[i]!) : 0;
  if (mirror) smoothed(heights, cover, width, height, 2);
  const around = softened(heights, width, height, Math.max(3, Math.round(width / 90)));
  const canvas = createCanvas(width, height);
  const context = canvas.getContext('2d');
  const image = context.createImageData(width, height);
  const { data } = image;
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (cover[i] === 0) continue;
      const h = heights[i]!;
      const left = x > 0 && cover[i - 1]! >= 0.5 ? heights[i - 1]! : h;
      const right = x < width - 1 && cover[i + 1]! >= 0.5 ? heights[i + 1]! : h;
      const above = y > 0 && cover[i - width]! >= 0.5 ? heights[i - width]! : h;
      const below = y < height - 1 && cover[i + width]! >= 0.5 ? heights[i + width]! : h;
      const nx = (left - right) / 2;
      const ny = (above - below) / 2;
      const l = Math.hypot(nx, ny, 1);
      const diffuse = Math.max(0, (nx * LAMP[0] + ny * LAMP[1] + LAMP[2]) / l) / LAMP[2];
      const shine =
        gloss > 0 ? gloss * Math.max(0, (nx * HALF[0] + ny * HALF[1] + HALF[2]) / l) ** polish : 0;
      const hollow = Math.max(0.55, 1 - Math.max(0, around[i]! - h) * 0.05);
      const light =
        ((1 - mirror) * (0.42 + 0.58 * diffuse) + (mirror && mirror * roomIn(nx / l, ny / l, 1 / l))) *
        hollow;
      const [r, g, b] = colour(x, y, depth[i]!);
      data[4 * i] = Math.min(255, r * light + 255 * shine);
      data[4 * i + 1] = Math.min(255, g * light + 255 * shine);
      data[4 * i + 2] = Math.min(255, b * light + 255 * shine);
      data[4 * i + 3] = 255 * cover[i]! * solid(x, y, depth[i]!);
    }
  context.putImageData(image, 0, 0);
  return canvas;
}

/** Heights blurred within what is covered, in place. */
function smoothed(
  heights: Float32Array,
  cover: Float32Array,
  width: number,
  height: number,
  radius: number,
): void {
  const whole = heights.map((h, i) => (cover[i]! >= 0.5 ? h : 0));
  const [sum, weight] = [
    softened(whole, width, height, radius),
    softened(
      cover.map((c) => (c >= 0.5 ? 1 : 0)),
      width,
      height,
      radius,
    ),
  ];
  for (let i = 0; i < heights.length; i++) if (weight[i]! > 0.01) heights[i] = sum[i]! / weight[i]!;
}

/** A box blur, twice. */
function softened(values: Float32Array, width: number, height: number, radius: number): Float32Array {
  let from = values;
  for (let pass = 0; pass < 2; pass++)
    for (const [step, lines, count, stride] of [
      [1, height, width, width],
      [width, width, height, 1],
    ] as const) {
      const to = new Float32Array(from.length);
      for (let line = 0; line < lines; line++) {
        const start = line * stride;
        let sum = from[start]! * (radius + 1);
        for (let i = 1; i <= radius; i++) sum += from[start + Math.min(count - 1, i) * step]!;
        for (let i = 0; i < count; i++) {
          to[start + i * step] = sum / (2 * radius + 1);
          const gone = i - radius < 0 ? 0 : i - radius;
          const next = i + radius + 1 >= count ? count - 1 : i + radius + 1;
          sum += from[start + next * step]! - from[start + gone * step]!;
        }
      }
      from = to;
    }
  return from;
}

/** Rounded over at the edge: a quarter circle of radius r, then level. */
export const rounded = (depth: number, r: number): number =>
  depth >= r ? r : Math.sqrt(Math.max(0, r * r - (r - depth) ** 2));

/** Card and paper: a fine tooth. */
export function tooth(seed: number, strength: number): (x: number, y: number) => number {
  const fine = noise(seed);
  const coarse = fbm(seed + 1, 3);
  return (x, y) => (fine(x / 1.7, y / 1.7) - 0.5) * strength + (coarse(x / 9, y / 9) - 0.5) * strength;
}

/** Long grain of wood along x: 0 dark to 1 light. */
export function grain(seed: number): (x: number, y: number) => number {
  const bands = fbm(seed, 4);
  const pores = noise(seed + 3);
  return (x, y) => {
    const swirl = bands(x / 640, y / 90) * 8;
    const ring = 0.5 + 0.5 * Math.sin(swirl * 5 + y / 14);
    return 0.62 * ring + 0.2 * bands(x / 60, y / 7) + 0.18 * pores(x / 26, y / 1.6);
  };
}

/** Things laid over each other on one sheet, each throwing a small shadow on those beneath. */
export function pileUp(
  width: number,
  height: number,
  things: readonly { of: Canvas; x: number; y: number; turn?: number; lift?: number }[],
): Canvas {
  const canvas = createCanvas(width, height);
  const context = canvas.getContext('2d');
  for (const { of, x, y, turn = 0, lift = 4 } of things) {
    // A shadow belongs only on what lies beneath: the page throws its own.
    const shade = createCanvas(width, height);
    const under = shade.getContext('2d');
    const put = (on: SKRSContext2D, dx: number, dy: number) => {
      on.save();
      on.translate(x + dx, y + dy);
      on.rotate((turn * Math.PI) / 180);
      on.drawImage(of, -of.width / 2, -of.height / 2);
      on.restore();
    };
    under.filter = `blur(${lift * 0.8}px) brightness(0)`;
    put(under, lift * 0.7, lift * 0.9);
    under.filter = 'none';
    under.globalCompositeOperation = 'destination-in';
    under.drawImage(canvas, 0, 0);
    context.globalAlpha = 0.45;
    context.drawImage(shade, 0, 0);
    context.globalAlpha = 1;
    put(context, 0, 0);
  }
  return canvas;
}

/** Cut down to what is not clear, with a small margin. */
export function trimmed(canvas: Canvas, margin = 6): Canvas {
  const { width, height } = canvas;
  const { data } = canvas.getContext('2d').getImageData(0, 0, width, height);
  let [left, top, right, bottom] = [width, height, 0, 0];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (data[4 * (y * width + x) + 3]! > 8) {
        left = Math.min(left, x);
        right = Math.max(right, x);
        top = Math.min(top, y);
        bottom = Math.max(bottom, y);
      }
  const w = right - left + 1 + 2 * margin;
  const h = bottom - top + 1 + 2 * margin;
  const out = createCanvas(w, h);
  out.getContext('2d').drawImage(canvas, margin - left, margin - top);
  return out;
}
