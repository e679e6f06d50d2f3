/** Seals, stamps of post, tickets, pegs, corners, envelopes and pockets. */
import { random } from '@/core/random';
import { type Canvas, Path2D } from '@napi-rs/canvas';
import { fbm, noise, smooth } from '../../art/noise';
import { sized } from '../engrave/field';
import { engrave } from '../engrave/press';
import type { Motif } from '../engrave/surface';
import { blend, inch, lit, pileUp, plate, rgb, type Rgb, rounded, scaled, tooth, trimmed } from '../relief';
import { wood } from './hard';
import { wire } from './metal';
import { PAD } from './pad';

/** An engraving as it lies in a box, pixels: its path and the scale that brings it there. */
function engraved(motif: Motif, box: { x: number; y: number; w: number; h: number }, coarse: number) {
  const cut = engrave(sized(motif.forms(), motif.size), coarse);
  const scale = Math.min(box.w / cut.width, box.h / cut.height);
  return {
    path: new Path2D(cut.line),
    by: scale / cut.units,
    x: box.x + (box.w - cut.width * scale) / 2,
    y: box.y + (box.h - cut.height * scale) / 2,
  };
}

/** How much of each pixel an engraving covers, as a plate of its own. */
const printed = (w: number, h: number, { path, by, x, y }: ReturnType<typeof engraved>) =>
  plate(w, h, (g) => {
    g.translate(x, y);
    g.scale(by, by);
    g.fill(path);
  });

/** Wax that ran out under a seal, with the seal's picture in it. */
export function waxSeal(size: number, hex: string, motif: Motif, seed: number): Canvas {
  const d = inch(size);
  const side = d + 2 * PAD;
  const [c, R] = [side / 2, d / 2];
  const rough = fbm(seed, 3);
  const picture = printed(
    side,
    side,
    engraved(motif, { x: c - R * 0.46, y: c - R * 0.46, w: R * 0.92, h: R * 0.92 }, 2.6),
  );
  const base = rgb(hex);
  const clouds = fbm(seed + 2, 3);
  return lit({
    plate: plate(side, side, (g) => {
      g.beginPath();
      for (let i = 0; i < 160; i++) {
        const a = (2 * Math.PI * i) / 160;
        const r = R * (0.84 + 0.3 * (rough(5 + 1.3 * Math.cos(a), 5 + 1.3 * Math.sin(a)) - 0.35));
        g.lineTo(c + r * Math.cos(a), c + r * Math.sin(a));
      }
      g.fill();
    }),
    rise: (x, y, depth) => {
      const r = Math.hypot(x - c, y - c) / R;
      const pressed = smooth(0.72, 0.62, r);
      const lip = 7 * Math.exp(-(((r - 0.73) / 0.05) ** 2));
      const ring = 3 * Math.exp(-(((r - 0.56) / 0.018) ** 2)) * pressed;
      return (
        rounded(depth, R * 0.2) * (1 - 0.5 * pressed) +
        lip +
        ring +
        5 * picture.cover[y * side + x]! * pressed
      );
    },
    colour: (x, y) => scaled(base, 0.92 + 0.16 * clouds(x / 40, y / 40)),
    gloss: 0.34,
    polish: 16,
  });
}

/** A stamp of post: a picture in its ink, a line about it, its edge torn along the holes. */
export function postStamp(
  w: number,
  h: number,
  paper: string,
  ink: string,
  motif: Motif,
  seed: number,
  cancelled = false,
): Canvas {
  const [W, H] = [inch(w), inch(h)];
  const [sw, sh] = [W + 2 * PAD, H + 2 * PAD];
  const [nx, ny] = [Math.round(W / 19), Math.round(H / 19)];
  const p = plate(sw, sh, (g) => {
    g.fillRect(PAD, PAD, W, H);
    g.globalCompositeOperation = 'destination-out';
    const spot = (x: number, y: number) => {
      g.beginPath();
      g.arc(PAD + x, PAD + y, 5.2, 0, 7);
      g.fill();
    };
    for (let i = 0; i <= nx; i++) for (const y of [0, H]) spot((i * W) / nx, y);
    for (let i = 0; i <= ny; i++) for (const x of [0, W]) spot(x, (i * H) / ny);
  });
  const inset = 26;
  const picture = printed(
    sw,
    sh,
    engraved(
      motif,
      { x: PAD + inset + 8, y: PAD + inset + 8, w: W - 2 * inset - 16, h: H - 2 * inset - 16 },
      1.5,
    ),
  );
  const lines = plate(sw, sh, (g) => {
    g.lineWidth = 2.2;
    g.strokeRect(PAD + inset - 6, PAD + inset - 6, W - 2 * inset + 12, H - 2 * inset + 12);
    g.lineWidth = 1;
    g.strokeRect(PAD + inset - 1, PAD + inset - 1, W - 2 * inset + 2, H - 2 * inset + 2);
  });
  const waves = cancelled
    ? plate(sw, sh, (g) => {
        g.lineWidth = 3;
        g.rotate(-0.16);
        for (let i = 0; i < 5; i++) {
          g.beginPath();
          for (let x = -20; x < sw + 60; x += 6)
            g.lineTo(x, sh * 0.62 + i * 15 + 5 * Math.sin(x / 17) + sh * 0.12);
          g.stroke();
        }
      })
    : null;
  const [a, b, black] = [rgb(paper), rgb(ink), rgb('#3a3a3c')];
  const face = tooth(seed, 0.05);
  const worn = noise(seed + 4);
  return lit({
    plate: p,
    rise: (x, y, depth) => Math.min(3, depth * 0.6) + face(x, y) * 3,
    colour: (x, y) => {
      const i = y * sw + x;
      const inside =
        x > PAD + inset - 6 && x < PAD + W - inset + 6 && y > PAD + inset - 6 && y < PAD + H - inset + 6;
      const ground = inside ? blend(a, b, 0.14) : a;
      const one = blend(
        ground,
        b,
        Math.max(picture.cover[i]!, lines.cover[i]!) * (0.86 + 0.14 * worn(x / 2, y / 2)),
      );
      const two = waves
        ? blend(one, black, 0.72 * waves.cover[i]! * smooth(0.25, 0.5, worn(x / 5, y / 5)))
        : one;
      return scaled(two, 1 + face(x, y));
    },
  });
}

/** A ticket torn off along its line, with rounded bites at its ends. */
export function ticket(w: number, h: number, hex: string, ink: string, motif: Motif, seed: number): Canvas {
  const [W, H] = [inch(w), inch(h)];
  const [sw, sh] = [W + 2 * PAD, H + 2 * PAD];
  const bite = H * 0.17;
  const p = plate(sw, sh, (g) => {
    g.fillRect(PAD, PAD, W, H);
    g.globalCompositeOperation = 'destination-out';
    for (const x of [0, W])
      for (const y of [0, H]) {
        g.beginPath();
        g.arc(PAD + x, PAD + y, bite, 0, 7);
        g.fill();
      }
    for (let y = 14; y < H; y += 18) {
      g.beginPath();
      g.arc(PAD + W * 0.76, PAD + y, 3, 0, 7);
      g.fill();
    }
  });
  const picture = printed(
    sw,
    sh,
    engraved(motif, { x: PAD + W * 0.06, y: PAD + H * 0.16, w: W * 0.22, h: H * 0.68 }, 1.9),
  );
  const lines = plate(sw, sh, (g) => {
    g.lineWidth = 3;
    g.strokeRect(PAD + W * 0.035, PAD + H * 0.11, W * 0.69, H * 0.78);
    g.lineWidth = 2;
    for (const [y, from, to] of [
      [0.3, 0.34, 0.68],
      [0.46, 0.34, 0.62],
      [0.58, 0.34, 0.66],
      [0.7, 0.34, 0.52],
    ] as const) {
      g.fillRect(PAD + W * from, PAD + H * y, W * (to - from), y === 0.3 ? 11 : 3.4);
    }
    const next = random(seed);
    for (let x = 0.81; x < 0.95; x += 0.012 + 0.012 * next())
      g.fillRect(PAD + W * x, PAD + H * 0.2, 2 + 5 * next(), H * 0.6);
  });
  const [a, b] = [rgb(hex), rgb(ink)];
  const face = tooth(seed, 0.07);
  const spots = fbm(seed + 1, 4);
  return lit({
    plate: p,
    rise: (x, y, depth) => Math.min(4, depth) + face(x, y) * 4,
    colour: (x, y) => {
      const i = y * sw + x;
      return scaled(
        blend(a, b, 0.92 * Math.max(picture.cover[i]!, lines.cover[i]!)),
        1 + face(x, y) - 0.1 * spots(x / 60, y / 60),
      );
    },
  });
}

/** A clothes-peg: two halves of wood, held by a spring. */
export function peg(light: string, dark: string, metal: string, seed: number): Canvas {
  const [w, h] = [inch(0.3), inch(1.5)];
  const timber = wood(light, dark, seed);
  const half = (side: 1 | -1): Canvas =>
    lit({
      plate: plate(w / 2 + 2 * PAD, h + 2 * PAD, (g) => {
        g.translate(PAD, PAD);
        g.beginPath();
        const x = (v: number) => (side > 0 ? v : w / 2 - v);
        g.moveTo(x(0), 6);
        g.quadraticCurveTo(x(0), 0, x(w * 0.3), 0);
        g.lineTo(x(w * 0.46), h * 0.3);
        g.lineTo(x(w * 0.5), h * 0.92);
        g.quadraticCurveTo(x(w * 0.5), h, x(w * 0.34), h);
        g.lineTo(x(0), h * 0.96);
        g.lineTo(x(0), h * 0.45);
        g.quadraticCurveTo(x(w * 0.16), h * 0.4, x(0), h * 0.35);
        g.closePath();
        g.fill();
      }),
      rise: (_, __, depth) => rounded(depth, 9),
      colour: (x, y) => timber(y, x * 2.4),
      gloss: 0.05,
    });
  const spring = wire(0.42, 0.16, 'M0.03 0.04H0.39M0.03 0.08H0.39M0.03 0.12H0.39', 0.017, metal, seed);
  return trimmed(
    pileUp(w + 90, h + 2 * PAD + 10, [
      { of: half(-1), x: 40 + w * 0.25, y: h / 2 + PAD, lift: 2 },
      { of: half(1), x: 44 + w * 0.77, y: h / 2 + PAD, lift: 2 },
      { of: spring, x: 42 + w * 0.5, y: h * 0.42 + PAD, lift: 3 },
    ]),
  );
}

/** A corner that holds a photo, folded of card, with a ruled edge. */
export function corner(hex: string, second: string, seed: number): Canvas {
  const d = inch(0.8);
  const side = d + 2 * PAD;
  const [a, b] = [rgb(hex), rgb(second)];
  const face = tooth(seed, 0.07);
  return lit({
    plate: plate(side, side, (g) => {
      g.beginPath();
      g.moveTo(PAD, PAD);
      g.lineTo(PAD + d, PAD);
      g.lineTo(PAD, PAD + d);
      g.closePath();
      g.fill();
    }),
    rise: (x, y, depth) => rounded(depth, 5) + face(x, y) * 4 + 3 * smooth(0.55, 1, (x + y - 2 * PAD) / d),
    colour: (x, y) => {
      const t = (x + y - 2 * PAD) / d;
      return scaled(Math.abs(t - 0.86) < 0.018 ? b : a, 1 + face(x, y));
    },
  });
}

/** A small envelope, its flap up, lined with a printed paper. */
export function envelope(
  w: number,
  h: number,
  hex: string,
  liner: string,
  print: (x: number, y: number) => number,
  seed: number,
): Canvas {
  const [W, H] = [inch(w), inch(h)];
  const flap = Math.round(H * 0.62);
  const [a, l] = [rgb(hex), rgb(liner)];
  const face = tooth(seed, 0.06);
  const sheet = (
    draw: (g: Parameters<Parameters<typeof plate>[2]>[0]) => void,
    tone: number,
    lined = false,
  ): Canvas =>
    lit({
      plate: plate(W + 2 * PAD, H + flap + 2 * PAD, (g) => {
        g.translate(PAD, PAD + flap);
        g.beginPath();
        draw(g);
        g.closePath();
        g.fill();
      }),
      rise: (x, y, depth) => rounded(depth, 3) + face(x, y) * 3,
      colour: (x, y, depth) =>
        scaled(lined && depth > 20 ? blend(l, a, 0.85 * print(x, y)) : a, tone + face(x, y)),
    });
  const at = { x: W / 2 + PAD, y: (H + flap) / 2 + PAD };
  return trimmed(
    pileUp(W + 2 * PAD, H + flap + 2 * PAD, [
      {
        of: sheet(
          (g) => {
            g.moveTo(0, H);
            g.lineTo(0, 0);
            g.quadraticCurveTo(W * 0.42, -flap * 1.04, W / 2, -flap * 0.98);
            g.quadraticCurveTo(W * 0.58, -flap * 1.04, W, 0);
            g.lineTo(W, H);
          },
          0.95,
          true,
        ),
        ...at,
        lift: 1,
      },
      {
        of: sheet((g) => {
          g.moveTo(0, 0);
          g.lineTo(W * 0.52, H * 0.55);
          g.lineTo(0, H);
        }, 0.98),
        ...at,
        lift: 2,
      },
      {
        of: sheet((g) => {
          g.moveTo(W, 0);
          g.lineTo(W * 0.48, H * 0.55);
          g.lineTo(W, H);
        }, 0.98),
        ...at,
        lift: 2,
      },
      {
        of: sheet((g) => {
          g.moveTo(0, H);
          g.lineTo(W * 0.46, H * 0.42);
          g.quadraticCurveTo(W * 0.5, H * 0.39, W * 0.54, H * 0.42);
          g.lineTo(W, H);
        }, 1.03),
        ...at,
        lift: 3,
      },
    ]),
  );
}

/** A pocket of card for cards: a thumb's bite in its mouth, stitched down three sides. */
export function pocket(
  w: number,
  h: number,
  hex: string,
  band: string,
  thread: string,
  motif: Motif,
  seed: number,
): Canvas {
  const [W, H] = [inch(w), inch(h)];
  const [sw, sh] = [W + 2 * PAD, H + 2 * PAD];
  const p = plate(sw, sh, (g) => {
    g.beginPath();
    g.roundRect(PAD, PAD, W, H, 10);
    g.fill();
    g.globalCompositeOperation = 'destination-out';
    g.beginPath();
    g.arc(PAD + W / 2, PAD, W * 0.13, 0, 7);
    g.fill();
  });
  const picture = printed(
    sw,
    sh,
    engraved(motif, { x: PAD + W * 0.3, y: PAD + H * 0.4, w: W * 0.4, h: H * 0.44 }, 1.6),
  );
  const [a, b, t] = [rgb(hex), rgb(band), rgb(thread)];
  const face = tooth(seed, 0.07);
  const sewn = (x: number, y: number): boolean => {
    const [u, v] = [x - PAD, y - PAD];
    const e = 15;
    return (
      ((Math.abs(u - e) < 3 || Math.abs(u - W + e) < 3) && v > e && v < H - e && v % 30 < 19) ||
      (Math.abs(v - H + e) < 3 && u > e && u < W - e && u % 30 < 19)
    );
  };
  return lit({
    plate: p,
    rise: (x, y, depth) => rounded(depth, 5) + face(x, y) * 4 + (sewn(x, y) ? 3.5 : 0),
    colour: (x, y): Rgb => {
      if (sewn(x, y)) return t;
      const v = (y - PAD) / H;
      const ground = v > 0.2 && v < 0.3 ? b : a;
      return scaled(blend(ground, b, 0.9 * picture.cover[y * sw + x]!), 1 + face(x, y));
    },
  });
}
