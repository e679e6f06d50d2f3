/** Buttons, sawn wood, enamel, leaves and paint. */
import { Path2D, type Canvas } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { fbm } from '../../art/noise';
import { blend, grain, inch, lit, pileUp, plate, rgb, rounded, scaled, trimmed, type Rgb } from '../relief';
import { stitch } from './cloth';
import { PAD } from './pad';

export const wood = (light: string, dark: string, seed: number) => {
  const [a, b] = [rgb(dark), rgb(light)];
  const at = grain(seed);
  return (x: number, y: number): Rgb => blend(a, b, at(x, y));
};
export function button(
  size: number,
  hex: string,
  seed: number,
  holes: 2 | 4 = 4,
  of: 'plastic' | 'wood' = 'plastic',
  thread?: string,
): Canvas {
  const d = inch(size);
  const c = d / 2 + PAD;
  const R = d / 2;
  const gap = R * 0.24;
  const spots =
    holes === 4
      ? [
          [-gap, -gap],
          [gap, -gap],
          [-gap, gap],
          [gap, gap],
        ]
      : [
          [-gap * 1.2, 0],
          [gap * 1.2, 0],
        ];
  const hole = R * 0.105;
  const disc = plate(d + 2 * PAD, d + 2 * PAD, (g) => {
    g.beginPath();
    g.arc(c, c, R, 0, 7);
    for (const [x, y] of spots) {
      g.moveTo(c + x! + hole, c + y!);
      g.arc(c + x!, c + y!, hole, 0, 7, true);
    }
    g.fill('evenodd');
  });
  const base = rgb(hex);
  const cloud = fbm(seed, 4);
  const timber = wood(hex, '#6d4526', seed);
  const body = lit({
    plate: disc,
    rise: (x, y, depth) => {
      const r = Math.hypot(x - c, y - c) / R;
      const rim = Math.exp(-(((r - 0.86) / 0.11) ** 2)) * R * 0.16;
      const dish = r < 0.74 ? -Math.sqrt(Math.max(0, 1 - (r / 0.76) ** 2)) * R * 0.07 : 0;
      return rounded(depth, R * 0.07) + rim + dish + R * 0.12;
    },
    colour: (x, y) =>
      of === 'wood'
        ? timber(x, y)
        : scaled(base, 0.9 + 0.22 * cloud(x / 70 + cloud(y / 50, 3) * 1.5, y / 70)),
    gloss: of === 'wood' ? 0.1 : 0.55,
    polish: of === 'wood' ? 12 : 38,
  });
  if (!thread) return body;
  const twine = stitch(inch(size) * 0.36, thread, seed + 5);
  const middle = (d + 2 * PAD) / 2;
  return pileUp(d + 2 * PAD, d + 2 * PAD, [
    { of: body, x: middle, y: middle },
    ...(holes === 4
      ? [
          { of: twine, x: middle, y: middle, turn: 45, lift: 2 },
          { of: twine, x: middle, y: middle, turn: -45, lift: 2 },
        ]
      : [{ of: twine, x: middle, y: middle, lift: 2 }]),
  ]);
}
/** A leaf with its veins, curled a little. */
export function leaf(length: number, hex: string, vein: string, seed: number, lobes = 0): Canvas {
  const L = inch(length);
  const W = L * 0.46;
  const m = W / 2 + PAD;
  const p = plate(Math.round(L + 2 * PAD), Math.round(W + 2 * PAD), (g) => {
    g.beginPath();
    const half = (side: 1 | -1, from: number, to: number) => {
      for (let i = 0; i <= 60; i++) {
        const t = from + ((to - from) * i) / 60;
        const bulge =
          Math.sin(Math.PI * t ** 0.8) ** 0.9 * (1 - 0.13 * Math.abs(Math.sin(t * Math.PI * lobes)));
        g.lineTo(PAD + L * (0.14 + 0.86 * t), m - side * (W / 2) * bulge);
      }
    };
    half(1, 0, 1);
    half(-1, 1, 0);
    g.fill();
    g.lineWidth = L * 0.018;
    g.beginPath();
    g.moveTo(PAD + 3, m + 4);
    g.quadraticCurveTo(PAD + L * 0.08, m + 2, PAD + L * 0.2, m);
    g.stroke();
  });
  const [a, b] = [rgb(hex), rgb(vein)];
  const cloud = fbm(seed, 4);
  const veinAt = (x: number, y: number) => {
    const u = (x - PAD) / L;
    const off = Math.abs(y - m) / (W / 2);
    const rib = Math.exp(-((off / 0.035) ** 2));
    const side =
      Math.exp(-((Math.sin((u * 1.15 - off * 0.22) * Math.PI * 9) / 0.16) ** 2)) * (off < 0.92 ? 0.65 : 0);
    return Math.max(rib, side);
  };
  return trimmed(
    lit({
      plate: p,
      rise: (x, y, depth) => {
        const off = (y - m) / (W / 2);
        return (
          rounded(depth, 5) +
          (1 - off * off) * W * 0.05 +
          Math.sin((x - PAD) / L / 0.16 - Math.abs(off) * 2) * 2.2 -
          veinAt(x, y) * 3.2
        );
      },
      colour: (x, y) => scaled(blend(a, b, veinAt(x, y) * 0.6), 0.82 + 0.34 * cloud(x / 80, y / 60)),
      gloss: 0.1,
      polish: 8,
    }),
  );
}
/** Paint that splashed: drops that ran together, darker at their rims as a wash dries. */
export function splatter(size: number, hex: string, seed: number): Canvas {
  const s = inch(size);
  const next = random(seed);
  const p = plate(s, s, (g) => {
    for (let i = 0; i < 110; i++) {
      const far = next() ** 1.7 * s * 0.46;
      const a = next() * 7;
      const r = (s * 0.075 * (1 - far / (s * 0.6)) + 2) * next() ** 1.5 + 1.5;
      g.beginPath();
      g.ellipse(s / 2 + Math.cos(a) * far, s / 2 + Math.sin(a) * far, r * (1 + next() * 0.7), r, a, 0, 7);
      g.fill();
    }
    g.beginPath();
    g.ellipse(s / 2, s / 2, s * 0.13, s * 0.1, next() * 3, 0, 7);
    g.fill();
  });
  const base = rgb(hex);
  const bloom = fbm(seed, 4);
  return trimmed(
    lit({
      plate: p,
      rise: () => 0,
      colour: (x, y, depth) =>
        scaled(base, 0.86 + 0.2 * bloom(x / 40, y / 40) + Math.min(0.2, depth / 90) - (depth < 3 ? 0.16 : 0)),
      opacity: 0.93,
    }),
  );
}

/** What a wet cup left: a ring that dried from its rims, thin where the cup stood dry, and a drop or two. */
export function cupRing(size: number, hex: string, seed: number): Canvas {
  const s = inch(size);
  const next = random(seed);
  const wet = fbm(seed, 3);
  const p = plate(s, s, (g) => {
    const radius = s * 0.4;
    // Where the rim stood, and once more where it was set down a hair aside.
    for (const [aside, wide, dry] of [
      [0, 0.05, 0.34],
      [0.016, 0.016, 0.42],
    ] as const)
      for (let i = 0; i < 1400; i++) {
        const a = (2 * Math.PI * i) / 1400;
        const [cos, sin] = [Math.cos(a), Math.sin(a)];
        const here = wet(3 + 40 * aside + 1.6 * cos, 3 + 1.6 * sin);
        const fine = wet(9 + 14 * cos, 9 + 14 * sin) - 0.5;
        if (here < dry) continue;
        const w = s * (0.004 + wide * (here - 0.3) * (1 + 0.9 * fine));
        const r = radius + s * 0.008 * fine;
        g.beginPath();
        g.arc(s * (0.5 + aside) + r * cos, s * (0.5 - aside) + r * sin, Math.max(1, w), 0, 7);
        g.fill();
      }
    for (let i = 0; i < 4; i++) {
      const [a, far] = [next() * 7, s * (0.3 + 0.17 * next())];
      g.beginPath();
      g.arc(s / 2 + far * Math.cos(a), s / 2 + far * Math.sin(a), s * (0.006 + 0.014 * next()), 0, 7);
      g.fill();
    }
  });
  const base = rgb(hex);
  const bloom = fbm(seed + 1, 4);
  return trimmed(
    lit({
      plate: p,
      rise: () => 0,
      // Pigment gathers where it dries first: at the rims.
      colour: (x, y, depth) =>
        scaled(base, 1.02 + 0.16 * bloom(x / 30, y / 30) - (depth < 4 ? 0.26 : depth < 8 ? 0.1 : 0)),
      opacity: 0.72,
    }),
  );
}

/** A shape sawn from thin wood: grain on its face, its edge browned by the cut. */
export function woodShape(size: number, shape: Path2D, light: string, dark: string, seed: number): Canvas {
  const s = inch(size);
  const face = wood(light, dark, seed);
  const burnt = rgb('#5a3a20');
  return trimmed(
    lit({
      plate: plate(s + 2 * PAD, s + 2 * PAD, (g) => {
        g.translate(PAD, PAD);
        g.scale(s / 100, s / 100);
        g.fill(shape, 'evenodd');
      }),
      rise: (x, y, depth) => rounded(depth, 9) * 0.9,
      colour: (x, y, depth) => blend(burnt, face(x, y), Math.min(1, 0.15 + depth / 8)),
      gloss: 0.06,
      polish: 10,
    }),
  );
}
/** Drops of enamel, high and glossy. */
export function dots(hexes: readonly string[], seed: number): Canvas {
  const sizes = [0.32, 0.26, 0.2, 0.15];
  const made = hexes.slice(0, 4).map((hex, i) => {
    const d = inch(sizes[i]!);
    return lit({
      plate: plate(d + 2 * PAD, d + 2 * PAD, (g) => {
        g.arc(d / 2 + PAD, d / 2 + PAD, d / 2, 0, 7);
        g.fill();
      }),
      rise: (_, __, depth) => rounded(depth, d * 0.3) * 0.85,
      colour: () => rgb(hex),
      gloss: 0.85,
      polish: 60,
    });
  });
  const next = random(seed);
  let x = 0;
  return trimmed(
    pileUp(
      inch(1.5),
      inch(0.6),
      made.map((of) => {
        x += of.width / 2 + 8;
        const at = { of, x, y: inch(0.3) + (next() - 0.5) * 26 };
        x += of.width / 2;
        return at;
      }),
    ),
  );
}
