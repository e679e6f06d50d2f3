/** One set of letters drawn by us as single lines; each kit gives them a body of its own. Baseline at 100, capitals from 0. */
import { Path2D, type Canvas } from '@napi-rs/canvas';
import { fbm, noise, smooth } from '../art/noise';
import { feltBody, sewn } from './bits/cloth';
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
  ';': ['M8 46V48M8 96C8 104 6 110 2 114', 14],
  '‘': ['M10 0C4 8 4 14 6 24', 14],
  '“': ['M10 0C4 8 4 14 6 24M36 0C30 8 30 14 32 24', 40],
  '”': ['M8 0C8 10 6 18 2 24M34 0C34 10 32 18 28 24', 40],
  '„': ['M8 92C8 102 6 110 2 116M34 92C34 102 32 110 28 116', 40],
  '(': ['M24 -6C-2 24 -2 82 24 112', 28],
  ')': ['M2 -6C28 24 28 82 2 112', 28],
  '*': ['M20 6V44M4 15L36 35M36 15L4 35', 40],
  '=': ['M4 40H52M4 70H52', 56],
  '#': ['M24 6L14 94M52 6L42 94M2 32H64M0 68H62', 66],
  '€': ['M66 16C50 -6 16 -4 16 50C16 104 50 106 66 84M0 36H50M0 64H46', 68],
  '£': ['M54 14C42 -8 12 -2 16 24C18 44 26 60 16 84C13 92 4 100 4 100H58M2 54H42', 60],
  '%': ['M20 2C0 2 0 40 20 40C40 40 40 2 20 2ZM76 60C56 60 56 98 76 98C96 98 96 60 76 60ZM78 2L18 98', 96],
  '…': ['M6 97V99M34 97V99M62 97V99', 68],
  '¡': ['M6 34V104M6 5V7', 12],
  '¿': ['M54 80C54 112 2 112 4 80C6 58 30 58 30 34M30 5V7', 58],
  '«': ['M26 38L6 62L26 86M64 38L44 62L64 86', 68],
  '»': ['M4 38L24 62L4 86M42 38L62 62L42 86', 68],
  Æ: ['M2 100L46 0H102M54 0V100H102M54 48H94M17 66H54', 104],
  æ: [
    'M48 38V100M48 52C36 28 2 34 4 68C6 104 40 106 48 82M48 66H98C99 26 48 26 48 68C48 106 88 108 97 86',
    102,
  ],
  Œ: ['M98 0H40C-8 0 -8 100 40 100H98M50 0V100M50 48H90', 100],
  œ: [
    'M30 36C-6 36 -6 102 30 102C54 102 54 36 30 36ZM52 66H102C103 26 52 26 52 68C52 106 92 108 101 86',
    104,
  ],
  Ø: ['M40 0C-8 0 -8 100 40 100C88 100 88 0 40 0ZM68 -6L12 106', 80],
  ø: ['M30 36C-6 36 -6 102 30 102C66 102 66 36 30 36ZM52 28L8 110', 60],
  Ł: ['M12 0V100H58M0 66L38 42', 60],
  ł: ['M14 0V84C14 100 22 102 28 98M0 62L30 40', 30],
  Đ: ['M12 0V100M12 0H32C86 0 86 100 32 100H12M0 50H42', 74],
  đ: ['M52 0V100M52 56C40 28 4 32 4 68C4 104 42 108 52 82M32 16H70', 70],
  ð: ['M52 66C52 30 4 34 4 68C4 104 54 106 52 66C50 34 34 12 16 2M12 28L42 6', 58],
  Þ: ['M6 0V100M6 22H34C66 22 66 74 34 74H6', 60],
  þ: ['M6 0V134M6 56C18 28 54 32 54 68C54 104 16 108 6 82', 58],
  ß: ['M6 100V28C6 -8 48 -8 48 20C48 36 32 38 32 48C32 60 56 60 56 80C56 102 32 104 24 94', 60],
  ı: ['M6 38V100', 12],
  '´': ['M4 22L24 4', 28],
  '`': ['M4 4L24 22', 28],
  ˆ: ['M2 22L20 4L38 22', 40],
  '¨': ['M6 8V10M36 8V10', 42],
  '˜': ['M2 18C8 2 18 4 23 11C28 18 38 20 44 4', 46],
  '˚': ['M18 2C2 2 2 32 18 32C34 32 34 2 18 2Z', 36],
  ˇ: ['M2 4L20 22L38 4', 40],
  '¸': ['M16 100V110C28 110 30 126 14 128C8 128 4 126 2 122', 30],
  '˛': ['M18 98C2 108 2 128 24 122', 28],
  '˝': ['M4 24L18 4M36 24L50 4', 54],
  '˙': ['M6 8V10', 12],
  '¯': ['M2 10H38', 40],
  '˘': ['M2 4C6 24 34 24 38 4', 40],
};

/** What letters are made of. */
interface Make {
  /** How thick its line is, of a capital's 100. */
  weight: number;
  /** Straight ends and pointed corners, as sawn. */
  sawn?: true;
  /** How wide its letters are, of what they are drawn. */
  wide?: number;
  /** Degrees to the right. */
  slant?: number;
  /** Bars at its ends, half as long as this. */
  slab?: number;
  /** Sewn down with a thread of the second colour, so far within its edge, a stitch every so many pixels. */
  sewn?: { seam: number; step: number };
  /** A broad nib instead of a round one: as broad as this, held at so many degrees. */
  nib?: { broad: number; held: number };
  body: (of: Given) => Omit<Parameters<typeof lit>[0], 'plate'>;
}

interface Given {
  /** Half the thickness of its line, pixels. */
  r: number;
  a: Rgb;
  b: Rgb;
  seed: number;
}

const MAKES = {
  wood: {
    weight: 21,
    sawn: true,
    body: ({ a, b, seed }) => {
      const plank = grain(seed);
      return {
        rise: (_, __, depth) => rounded(depth, 8),
        colour: (x, y, depth): Rgb =>
          blend(rgb('#5a3a20'), blend(b, a, plank(y, x)), Math.min(1, 0.2 + depth / 7)),
        gloss: 0.05,
        polish: 10,
      };
    },
  },
  icing: {
    weight: 19,
    body: ({ r, a, seed }) => {
      const cloud = fbm(seed, 3);
      return {
        rise: (x, y, depth) => rounded(depth, r) * 0.9 + cloud(x / 60, y / 60) * 5,
        colour: () => a,
        gloss: 0.4,
        polish: 22,
      };
    },
  },
  gilt: {
    weight: 15,
    body: ({ r, a, b, seed }) => {
      const [face, cloud] = [tooth(seed, 0.08), fbm(seed, 3)];
      return {
        rise: (x, y, depth) => rounded(depth, r * 0.8) + face(x, y) * 5,
        colour: (x, y): Rgb => blend(a, b, cloud(x / 46, y / 46) ** 2),
        gloss: 0.65,
        polish: 16,
      };
    },
  },
  yarn: {
    weight: 13,
    body: ({ r, a, seed }) => {
      const fibre = noise(seed);
      const twist = (x: number, y: number) => Math.sin((x - y * 0.9) / (r * 0.4));
      return {
        rise: (x, y, depth) => rounded(depth, r) * 0.85 + twist(x, y) * r * 0.15,
        colour: (x, y): Rgb => scaled(a, 0.85 + 0.18 * twist(x, y) + 0.25 * (fibre(x / 2, y / 2) - 0.5)),
      };
    },
  },
  // Fired on metal: a rim of the second colour, as where the glass is thin.
  enamel: {
    weight: 20,
    body: ({ r, a, b, seed }) => {
      const cloud = fbm(seed, 3);
      return {
        rise: (_, __, depth) =>
          rounded(depth, r * 0.17) -
          2.5 * smooth(-2, 1, depth - r * 0.34) +
          rounded(Math.max(0, depth - r * 0.34), r * 0.3) * 0.8,
        colour: (x, y, depth): Rgb =>
          blend(b, scaled(a, 0.96 + 0.08 * cloud(x / 60, y / 60)), smooth(-0.7, 0.7, depth - r * 0.34)),
        gloss: 0.55,
        polish: 30,
      };
    },
  },
  // Pressed bark: grains of several browns, a pit here and there.
  cork: {
    weight: 24,
    sawn: true,
    wide: 1.06,
    body: ({ a, b, seed }) => {
      const [crumb, pit, warm] = [noise(seed), fbm(seed + 2, 3), fbm(seed + 5, 3)];
      const holes = (x: number, y: number) => smooth(0.66, 0.74, pit(x / 12, y / 10));
      return {
        rise: (x, y, depth) => rounded(depth, 7) + crumb(x / 4, y / 4) * 1.8 - holes(x, y) * 4,
        colour: (x, y): Rgb =>
          scaled(
            blend(a, b, 0.7 * smooth(0.42, 0.66, warm(x / 11, y / 11)) + 0.2 * crumb(x / 3, y / 3)),
            1 - 0.3 * holes(x, y),
          ),
      };
    },
  },
  // Cut from felt, sewn down round its edge.
  felt: {
    weight: 25,
    wide: 1.06,
    sewn: { seam: 12, step: 25 },
    body: ({ a, seed }) => feltBody(a, seed),
  },
  // Soft and blown up, its seam pressed flat.
  puffy: {
    weight: 25,
    wide: 0.86,
    body: ({ r, a, b, seed }) => {
      const cloud = fbm(seed, 3);
      return {
        rise: (x, y, depth) =>
          2 + rounded(Math.max(0, depth - 6), r - 6) * 0.95 + cloud(x / 40, y / 40) * 3 * smooth(5, 8, depth),
        colour: (_, __, depth): Rgb => blend(b, a, smooth(5.3, 6.7, depth)),
        gloss: 0.3,
        polish: 14,
      };
    },
  },
  // Grey board with a printed face; the cut shows its core.
  chipboard: {
    weight: 18,
    sawn: true,
    wide: 1.04,
    slab: 15,
    body: ({ a, b, seed }) => {
      const face = tooth(seed, 0.09);
      const ticks = (x: number, y: number) => Math.hypot((x % 26) - 13, (y % 26) - 13) < 3.6;
      return {
        rise: (x, y, depth) => Math.min(9, depth * 1.4) + face(x, y) * 4,
        colour: (x, y, depth): Rgb =>
          scaled(blend(rgb('#d9cdb8'), ticks(x, y) ? b : a, smooth(4.3, 5.3, depth)), 1 + face(x, y)),
      };
    },
  },
  // One stroke of a wet brush: paler where water stood, darker where it dried last.
  watercolour: {
    weight: 8,
    slant: 9,
    nib: { broad: 15, held: 40 },
    body: ({ r, a, b, seed }) => {
      const [bloom, grit, edge] = [fbm(seed, 4), noise(seed + 3), noise(seed + 8)];
      return {
        rise: (x, y) => grit(x / 2, y / 2) * 1.2,
        colour: (x, y, depth): Rgb =>
          scaled(
            blend(a, b, smooth(0.35, 0.7, bloom(x / 46, y / 46))),
            1.08 - 0.3 * smooth(5, 1, depth + 1.6 * edge(x / 9, y / 9)),
          ),
        opacity: (x, y, depth) =>
          Math.min(
            1,
            (0.6 + 0.3 * bloom(x / 30, y / 30) + 0.25 * smooth(6, 0, depth)) *
              smooth(0, 2.4, depth + edge(x / 7, y / 7) * 2 - 0.8 * smooth(r, 0, depth)),
          ),
      };
    },
  },
} satisfies Record<string, Make>;

export type Body = keyof typeof MAKES;

/** An alphabet of a kit. */
export interface Alphabet {
  name: string;
  body: Body;
  hex: string;
  second: string;
  /** Inches that its capitals are high. */
  tall: number;
}

/** Characters with a dot: a round end gives it its body. */
const DOTTED = /[.!?:;ij¡¿…¨˙]/;
/** Heights at which letters end: on the lines of capitals, small letters and feet. */
const LINES = [0, 38, 100, 134];

/** Where bars go: at upright ends on the lines, in the drawing's units. */
function endsOf(data: string): [number, number][] {
  const ends: [number, number][] = [];
  for (const part of data.split(/(?=M)/)) {
    if (/Z/i.test(part)) continue;
    const last = /(?:V(-?[\d.]+)|L(-?[\d.]+) (-?[\d.]+))$/.exec(part.trim());
    const [, x, y] = /^M(-?[\d.]+) (-?[\d.]+)/.exec(part)!;
    const upright = /^M[-\d. ]+(V|L)/.test(part);
    if (upright && LINES.includes(Number(y))) ends.push([Number(x), Number(y)]);
    if (last?.[1] !== undefined && LINES.includes(Number(last[1]))) {
      const across = [...part.matchAll(/H(-?[\d.]+)/g)].at(-1)?.[1];
      ends.push([Number(across ?? x), Number(last[1])]);
    } else if (last && LINES.includes(Number(last[3]))) ends.push([Number(last[2]), Number(last[3])]);
  }
  return ends;
}

/** One letter. */
export function letter(character: string, { body, hex, second, tall }: Alphabet, seed: number): Canvas {
  const [data, width] = LETTERS[character]!;
  const { weight, sawn, wide = 1, slant = 0, slab, nib, sewn: by, body: made }: Make = MAKES[body];
  const k = (tall * 300) / 100;
  const broad = nib?.broad ?? 0;
  const lean = Math.tan((slant * Math.PI) / 180);
  const pad = (weight + broad + (slab ?? 0)) * k;
  const path = new Path2D();
  path.addPath(new Path2D(data), { a: wide, b: 0, c: -lean, d: 1, e: 100 * lean, f: 0 });
  if (slab && /\p{L}|1/u.test(character))
    for (const [x, y] of endsOf(data)) {
      path.moveTo(wide * x - slab, y);
      path.lineTo(wide * x + slab, y);
    }
  const across = Math.round((width * wide + 140 * lean) * k + 2 * pad);
  const p = plate(across, Math.round(140 * k + 2 * pad), (g) => {
    g.translate(pad, pad);
    g.scale(k, k);
    g.lineWidth = weight;
    if (sawn) g.lineJoin = 'miter';
    // Sharp corners are cut off: a point would stand out over the line.
    g.miterLimit = 2.4;
    if (sawn && !DOTTED.test(character)) g.lineCap = 'butt';
    // A nib drawn along the line covers what it does wherever it stands.
    const held = ((nib?.held ?? 0) * Math.PI) / 180;
    const steps = broad ? Math.ceil(broad / 2) : 0;
    for (let i = 0; i <= steps; i++) {
      const off = steps ? (i / steps - 0.5) * broad : 0;
      g.save();
      g.translate(off * Math.cos(held), -off * Math.sin(held));
      g.stroke(path);
      g.restore();
    }
  });
  const of = made({ r: ((weight + broad / 2) * k) / 2, a: rgb(hex), b: rgb(second), seed });
  return trimmed(by ? sewn(p, of, second, by.seam, by.step, seed) : lit({ plate: p, ...of }), 4);
}
