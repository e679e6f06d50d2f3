/** Brads, eyelets, clips and staples. */
import { Path2D, type Canvas } from '@napi-rs/canvas';
import { noise, smooth } from '../../art/noise';
import { inch, lit, pileUp, plate, rgb, rounded, scaled, trimmed } from '../relief';
import { PAD } from './pad';

export function brad(size: number, hex: string, seed: number, shape?: Path2D): Canvas {
  const d = inch(size);
  const c = d / 2 + PAD;
  const scratches = noise(seed);
  const base = rgb(hex);
  return lit({
    plate: plate(d + 2 * PAD, d + 2 * PAD, (g) => {
      if (shape) {
        g.translate(PAD, PAD);
        g.scale(d / 100, d / 100);
        g.fill(shape);
        g.lineWidth = 5;
        g.stroke(shape);
      } else {
        g.arc(c, c, d / 2, 0, 7);
        g.fill();
      }
    }),
    // A low dome over a turned rim.
    rise: (_, __, depth) =>
      rounded(depth, 3) + dome(Math.max(0, depth - 3) / (d / 2), shape ? 0.5 : 1) * d * 0.2,
    colour: (x, y, depth) =>
      scaled(
        base,
        1.04 - 0.2 * smooth(6, 3, depth) + 0.03 * scratches((x + y * 0.6) / 2, (y - x * 0.4) / 60),
      ),
    gloss: 0.62,
    polish: 34,
    mirror: 0.22,
  });
}
/** Height of a dome, 0 to 1, by how far in from its rim, 0 to `top`. */
const dome = (inwards: number, top: number): number =>
  Math.sqrt(Math.max(0, 1 - (1 - Math.min(1, inwards / top)) ** 2));
/** Wire of radius r (inches) along path data in a box of w x h inches. */
export function wire(
  w: number,
  h: number,
  data: string,
  r: number,
  hex: string,
  seed: number,
  gloss = 0.75,
): Canvas {
  const base = rgb(hex);
  const scratch = noise(seed);
  const radius = r * 300;
  const p = plate(inch(w) + 2 * PAD, inch(h) + 2 * PAD, (g) => {
    g.translate(PAD, PAD);
    g.scale(300, 300);
    g.lineWidth = 2 * r;
    g.stroke(new Path2D(data));
  });
  return trimmed(
    lit({
      plate: p,
      rise: (_, __, depth) => rounded(depth, radius),
      colour: (x, y) => scaled(base, 1 + 0.03 * scratch(x / 5, y / 5)),
      gloss: gloss * 0.6,
      polish: 40,
      mirror: 1,
    }),
  );
}
export const clip = (hex: string, seed: number): Canvas =>
  wire(
    0.5,
    1.35,
    'M0.13 0.42L0.13 1.02C0.13 1.3 0.42 1.3 0.42 1.02L0.42 0.24C0.42 0.0 0.06 0.0 0.06 0.24L0.06 1.0M0.13 0.42C0.13 0.2 0.32 0.2 0.32 0.42L0.32 0.98',
    0.021,
    hex,
    seed,
  );
export const staple = (hex: string, seed: number): Canvas =>
  wire(
    0.62,
    0.16,
    'M0.06 0.1C0.06 0.06 0.08 0.06 0.1 0.06L0.52 0.06C0.54 0.06 0.56 0.06 0.56 0.1',
    0.017,
    hex,
    seed,
    0.85,
  );
/** A pin that closes: its spring coiled, its point under a cap. */
export function safetyPin(hex: string, seed: number): Canvas {
  const bow = wire(
    1.7,
    0.5,
    'M1.5 0.12L0.26 0.1C0.08 0.1 0.06 0.34 0.22 0.34C0.36 0.34 0.34 0.16 0.22 0.18C0.12 0.2 0.14 0.4 0.3 0.4L1.46 0.36',
    0.019,
    hex,
    seed,
  );
  const base = rgb(hex);
  const cap = lit({
    plate: plate(inch(0.3) + 2 * PAD, inch(0.4) + 2 * PAD, (g) => {
      g.beginPath();
      g.roundRect(PAD, PAD, inch(0.24), inch(0.36), inch(0.11));
      g.fill();
    }),
    rise: (_, __, depth) => rounded(depth, inch(0.07)),
    colour: () => base,
    gloss: 0.4,
    polish: 50,
    mirror: 1,
  });
  return trimmed(
    pileUp(bow.width + 60, Math.max(bow.height, cap.height) + 30, [
      { of: bow, x: bow.width / 2 + 6, y: bow.height / 2 + 16, lift: 2 },
      { of: cap, x: bow.width - 6, y: bow.height / 2 + 16, lift: 4 },
    ]),
  );
}
/** A metal ring: an eyelet. */
export function eyelet(size: number, hex: string, seed: number): Canvas {
  const d = inch(size);
  const c = d / 2 + PAD;
  const base = rgb(hex);
  const scratch = noise(seed);
  return lit({
    plate: plate(d + 2 * PAD, d + 2 * PAD, (g) => {
      g.arc(c, c, d / 2, 0, 7);
      g.moveTo(c + d * 0.24, c);
      g.arc(c, c, d * 0.24, 0, 7, true);
      g.fill('evenodd');
    }),
    rise: (_, __, depth) => rounded(depth, d * 0.13),
    colour: (x, y) => scaled(base, 1 + 0.03 * scratch(x / 4, y / 4)),
    gloss: 0.45,
    polish: 50,
    mirror: 1,
  });
}
