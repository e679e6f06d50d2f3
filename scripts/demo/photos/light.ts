/** A photograph in the making: linear light per pixel, then what a camera does to it. */
import { createCanvas, type Canvas, type SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { smooth } from '../../art/noise';

/** Red, green, blue of linear light; 1 is paper white. */
export type Light = [number, number, number];

export const fromHex = (hex: string): Light => {
  const v = Number.parseInt(hex.slice(1), 16);
  return [v >> 16, (v >> 8) & 255, v & 255].map((c) => (c / 255) ** 2.2) as Light;
};

export const blend = (a: Light, b: Light, t: number): Light => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];

export const dim = (a: Light, f: number): Light => [a[0] * f, a[1] * f, a[2] * f];

/** A canvas painted pixel by pixel; `at` writes linear light into `out` for x, y in pixels. */
export function expose(
  width: number,
  height: number,
  at: (x: number, y: number, out: Light) => void,
): Canvas {
  const canvas = createCanvas(width, height);
  const context = canvas.getContext('2d');
  const out: Light = [0, 0, 0];
  const rows = 200;
  for (let top = 0; top < height; top += rows) {
    const count = Math.min(rows, height - top);
    const image = context.createImageData(width, count);
    for (let y = 0, i = 0; y < count; y++)
      for (let x = 0; x < width; x++, i += 4) {
        at(x, y + top, out);
        image.data[i] = film(out[0]);
        image.data[i + 1] = film(out[1]);
        image.data[i + 2] = film(out[2]);
        image.data[i + 3] = 255;
      }
    context.putImageData(image, 0, top);
  }
  return canvas;
}

const FILM = Float32Array.from({ length: 4096 }, (_, i) => {
  // A gentle shoulder, so that bright skies roll off instead of clipping.
  const x = i / 1024;
  const y = (x * (1 + x / 6)) / (1 + x * 0.92);
  return 255 * Math.min(1, y * 1.12) ** (1 / 2.2);
});

const film = (light: number): number => FILM[Math.max(0, Math.min(4095, (light * 1024) | 0))]!;

/** Draws something on a layer of its own, out of focus by `blur` pixels. */
export function layer(canvas: Canvas, blur: number, draw: (context: SKRSContext2D) => void, alpha = 1): void {
  const over = createCanvas(canvas.width, canvas.height);
  draw(over.getContext('2d'));
  const context = canvas.getContext('2d');
  context.save();
  context.globalAlpha = alpha;
  if (blur > 0) context.filter = `blur(${blur}px)`;
  context.drawImage(over, 0, 0);
  context.restore();
}

const VIVID = 1.12;
/** A mild S-curve, as cameras give their pictures; the upper half of the table stands for negative values. */
const PRINT = Float32Array.from({ length: 512 }, (_, i) => {
  const v = i > 400 ? 0 : Math.min(1, i / 255);
  return 255 * (v - 0.055 * Math.sin(2 * Math.PI * v)) * (0.94 + 0.06 * v);
});

/** What lens and sensor add: light that spills, darker corners, a touch of softness, grain. */
export function develop(
  canvas: Canvas,
  seed: number,
  { bloom = 0.12, vignette = 0.16, grain = 7, warmth = 0 } = {},
): Canvas {
  const { width, height } = canvas;
  const context = canvas.getContext('2d');
  const eighth = createCanvas(width >> 3, height >> 3);
  const spill = eighth.getContext('2d');
  spill.filter = `blur(${Math.round(width / 400)}px)`;
  spill.drawImage(canvas, 0, 0, eighth.width, eighth.height);
  context.save();
  context.globalCompositeOperation = 'screen';
  context.globalAlpha = bloom;
  context.imageSmoothingQuality = 'high';
  context.drawImage(eighth, 0, 0, width, height);
  context.restore();
  const next = random(seed);
  const noiseSide = 1019;
  const noise = Float32Array.from({ length: noiseSide * noiseSide }, () => next() + next() + next() - 1.5);
  const rows = 200;
  for (let top = 0; top < height; top += rows) {
    const count = Math.min(rows, height - top);
    const image = context.getImageData(0, top, width, count);
    const { data } = image;
    for (let y = 0, i = 0; y < count; y++) {
      const v = (y + top) / height - 0.5;
      for (let x = 0; x < width; x++, i += 4) {
        const u = x / width - 0.5;
        const dark = 1 - vignette * smooth(0.18, 0.62, u * u + v * v);
        const at =
          ((y + top) % noiseSide) * noiseSide + ((x + (((y + top) / noiseSide) | 0) * 331) % noiseSide);
        const lum = data[i + 1]! / 255;
        const g = noise[at]! * grain * (1.15 - lum * 0.75);
        const c = noise[(at + 5003) % noise.length]! * grain * 0.35;
        const grey = (data[i]! + data[i + 1]! * 2 + data[i + 2]!) / 4;
        data[i] = PRINT[(grey + (data[i]! - grey) * VIVID) & 511]! * dark * (1 + warmth) + g + c;
        data[i + 1] = PRINT[(grey + (data[i + 1]! - grey) * VIVID) & 511]! * dark + g;
        data[i + 2] = PRINT[(grey + (data[i + 2]! - grey) * VIVID) & 511]! * dark * (1 - warmth) + g - c;
      }
    }
    context.putImageData(image, 0, top);
  }
  return canvas;
}
