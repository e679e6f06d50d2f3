/** One set of letters drawn by us as single lines; each kit gives them a body of its own. Baseline at 100, capitals from 0. */
import { Path2D, type Canvas } from '@napi-rs/canvas';
import { fbm, noise } from '../art/noise';
import { blend, lit, plate, rgb, rounded, scaled, tooth, trimmed, grain, type Rgb } from './relief';

/** Line and advance width of each character. */
export const LETTERS: Record<string, readonly [string, number]> = {
  A: ['M2 100L34 0L66 100M14 66H54', 68],
  B: ['M6 0V100M6 0H34C60 0 60 48 34 48H6M34 48C66 48 66 100 34 100H6', 60],
  C: ['M66 18C50 -6 4 -4 4 50C4 104 50 106 66 82', 68],
  D: ['M6 0V100M6 0H26C80 0 80 100 26 100H6', 68],
  E: ['M54 0H6V100H54M6 48H46', 56],
  F: ['M54 0H6V100M6 48H46', 54],
  G: ['M66 18C50 -6 4 -4 4 50C4 104 54 106 68 78V56H42', 70],
  H: ['M6 0V100M62 0V100M6 48H62', 68],
  I: ['M6 0V100', 12],
  J: ['M44 0V68C44 110 4 108 4 74', 48],
  K: ['M6 0V100M60 0L6 60M26 42L62 100', 64],
  L: ['M6 0V100H52', 54],
  M: ['M6 100V0L44 70L82 0V100', 88],
  N: ['M6 100V0L62 100V0', 68],
  O: ['M40 0C-8 0 -8 100 40 100C88 100 88 0 40 0Z', 80],
  P: ['M6 100V0H34C66 0 66 54 34 54H6', 60],
  Q: ['M40 0C-8 0 -8 100 40 100C88 100 88 0 40 0ZM50 72L76 104', 82],
  R: ['M6 100V0H34C64 0 64 52 34 52H6M32 52L60 100', 62],
  S: ['M54 14C40 -8 4 -2 8 26C12 50 56 46 56 74C56 106 14 108 2 84', 58],
  T: ['M2 0H66M34 0V100', 68],
  U: ['M6 0V62C6 112 62 112 62 62V0', 68],
  V: ['M2 0L34 100L66 0', 68],
  W: ['M2 0L26 100L50 20L74 100L98 0', 100],
  X: ['M4 0L62 100M62 0L4 100', 66],
  Y: ['M2 0L34 50L66 0M34 50V100', 68],
  Z: ['M6 0H60L4 100H62', 64],
  a: ['M48 38V100M48 52C36 28 2 34 4 68C6 104 40 106 48 82', 54],
  b: ['M6 0V100M6 56C18 28 54 32 54 68C54 104 16 108 6 82', 58],
  c: ['M50 48C38 28 4 32 4 68C4 104 38 108 50 88', 52],
  d: ['M52 0V100M52 56C40 28 4 32 4 68C4 104 42 108 52 82', 58],
  e: ['M5 66H53C54 26 4 26 4 68C4 106 42 108 52 86', 56],
  f: ['M40 4C24 -4 18 8 18 24V100M4 40H36', 40],
  g: ['M52 38V108C52 138 14 136 6 122M52 56C40 28 4 32 4 66C4 102 42 104 52 80', 58],
  h: ['M6 0V100M6 62C14 32 50 28 50 62V100', 56],
  i: ['M6 38V100M6 10V13', 12],
  j: ['M22 38V112C22 132 6 132 0 126M22 10V13', 28],
  k: ['M6 0V100M46 38L6 74M22 60L50 100', 52],
  l: ['M6 0V84C6 100 14 102 20 98', 22],
  m: ['M6 38V100M6 60C12 30 44 28 44 60V100M44 60C50 30 82 28 82 60V100', 88],
  n: ['M6 38V100M6 62C14 32 50 28 50 62V100', 56],
  o: ['M30 36C-6 36 -6 102 30 102C66 102 66 36 30 36Z', 60],
  p: ['M6 38V134M6 56C18 28 54 32 54 68C54 104 16 108 6 82', 58],
  q: ['M52 38V134M52 56C40 28 4 32 4 68C4 104 42 108 52 82', 58],
  r: ['M6 38V100M6 64C10 40 26 34 38 40', 40],
  s: ['M42 46C32 30 4 34 8 54C12 70 44 66 44 84C44 106 12 106 2 90', 46],
  t: ['M18 12V82C18 100 28 104 38 98M4 40H36', 40],
  u: ['M6 38V76C6 110 42 108 50 78M50 38V100', 56],
  v: ['M2 38L26 100L50 38', 52],
  w: ['M2 38L20 100L40 52L60 100L78 38', 80],
  x: ['M4 38L46 100M46 38L4 100', 50],
  y: ['M4 38L28 96M52 38L22 116C16 132 8 134 2 130', 54],
  z: ['M4 38H46L4 100H48', 50],
  '0': ['M32 0C-6 0 -6 100 32 100C70 100 70 0 32 0Z', 64],
  '1': ['M4 22L26 0V100', 30],
  '2': ['M4 26C4 -8 58 -10 58 26C58 52 20 68 4 100H60', 62],
  '3': ['M4 12C16 -8 54 -4 54 24C54 46 34 48 24 48C38 48 58 52 58 74C58 106 14 108 2 84', 60],
  '4': ['M46 100V0L2 68H62', 64],
  '5': ['M54 0H12L8 46C26 32 58 38 58 68C58 106 14 108 2 86', 60],
  '6': ['M50 6C20 -2 4 32 4 66C4 112 60 112 60 68C60 30 12 32 5 62', 62],
  '7': ['M4 0H58L22 100', 60],
  '8': ['M32 48C2 48 2 0 32 0C62 0 62 48 32 48ZM32 48C-6 48 -6 100 32 100C70 100 70 48 32 48Z', 64],
  '9': ['M12 94C42 102 58 68 58 34C58 -12 2 -12 2 32C2 70 50 68 57 38', 62],
  '.': ['M6 97V99', 12],
  ',': ['M8 96C8 104 6 110 2 114', 14],
  '!': ['M6 0V70M6 97V99', 12],
  '?': ['M4 24C4 -8 56 -8 54 24C52 46 28 46 28 70M28 97V99', 58],
  '&': ['M66 100L18 34C4 12 18 0 30 0C46 0 50 22 34 34L18 46C-4 64 2 100 30 100C52 100 62 82 66 60', 70],
  '-': ['M4 58H40', 44],
  '’': ['M8 0C8 10 6 18 2 24', 12],
  '+': ['M4 54H52M28 30V78', 56],
  ':': ['M6 50V52M6 97V99', 12],
  '/': ['M44 -4L4 104', 48],
};

export type Body = 'wood' | 'icing' | 'gilt' | 'yarn';

/** One letter, capitals `tall` inches high. */
export function letter(
  character: string,
  body: Body,
  hex: string,
  second: string,
  tall: number,
  seed: number,
): Canvas {
  const [data, width] = LETTERS[character]!;
  const k = (tall * 300) / 100;
  const weight = { wood: 21, icing: 19, gilt: 15, yarn: 13 }[body];
  const pad = weight * k;
  const p = plate(Math.round(width * k + 2 * pad), Math.round(140 * k + 2 * pad), (g) => {
    g.translate(pad, pad);
    g.scale(k, k);
    g.lineWidth = weight;
    if (body === 'wood') g.lineJoin = 'miter';
    if (body === 'wood') g.lineCap = 'butt';
    const path = new Path2D(data);
    // Dots are points: a round end gives them their body.
    if (/[.!?:i j]/.test(character)) g.lineCap = 'round';
    g.stroke(path);
  });
  const r = (weight * k) / 2;
  const [a, b] = [rgb(hex), rgb(second)];
  const face = tooth(seed, 0.08);
  const cloud = fbm(seed, 3);
  const fibre = noise(seed);
  const plank = grain(seed);
  const bodies: Record<Body, Parameters<typeof lit>[0]> = {
    wood: {
      plate: p,
      rise: (_, __, depth) => rounded(depth, 8),
      colour: (x, y, depth): Rgb =>
        blend(rgb('#5a3a20'), blend(b, a, plank(y, x)), Math.min(1, 0.2 + depth / 7)),
      gloss: 0.05,
      polish: 10,
    },
    icing: {
      plate: p,
      rise: (x, y, depth) => rounded(depth, r) * 0.9 + cloud(x / 60, y / 60) * 5,
      colour: () => a,
      gloss: 0.4,
      polish: 22,
    },
    gilt: {
      plate: p,
      rise: (x, y, depth) => rounded(depth, r * 0.8) + face(x, y) * 5,
      colour: (x, y): Rgb => blend(a, b, cloud(x / 46, y / 46) ** 2),
      gloss: 0.65,
      polish: 16,
    },
    yarn: {
      plate: p,
      rise: (x, y, depth) => rounded(depth, r) * 0.85 + Math.sin((x - y * 0.9) / (r * 0.4)) * r * 0.15,
      colour: (x, y): Rgb =>
        scaled(a, 0.85 + 0.18 * Math.sin((x - y * 0.9) / (r * 0.4)) + 0.25 * (fibre(x / 2, y / 2) - 0.5)),
    },
  };
  return trimmed(lit(bodies[body]), 4);
}
