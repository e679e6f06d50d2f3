/** Slide mounts, photo borders, stitched, torn, laced and padded frames. */
import type { Canvas, SKRSContext2D } from '@napi-rs/canvas';
import { fbm, noise, smooth } from '../../art/noise';
import { blend, inch, lit, plate, rgb, rounded, scaled, tooth, trimmed, type Rgb } from '../relief';
import { PAD } from './pad';
import type { Print } from './paper';

const CORE = rgb('#fbf8f0');

/** A plate with a hole in it. */
const holed = (
  W: number,
  H: number,
  outside: (g: SKRSContext2D) => void,
  inside: (g: SKRSContext2D) => void,
) =>
  plate(W + 2 * PAD, H + 2 * PAD, (g) => {
    g.translate(PAD, PAD);
    g.beginPath();
    outside(g);
    g.fill();
    g.globalCompositeOperation = 'destination-out';
    g.beginPath();
    inside(g);
    g.fill();
  });

/** Pixels from a box of W x H to the edge of an opening in it, within the frame. */
const toBox = (x: number, y: number, left: number, top: number, w: number, h: number): number =>
  Math.hypot(Math.max(left - x, 0, x - left - w), Math.max(top - y, 0, y - top - h));

/** A card slide mount: two boards pressed together about a rounded window, its maker's lines printed in an ink. */
export function slideMount(hex: string, ink: string, seed: number): Canvas {
  const s = inch(2.4);
  const [left, top, w, h] = [inch(0.42), inch(0.62), inch(1.56), inch(1.08)];
  const p = holed(
    s,
    s,
    (g) => g.roundRect(0, 0, s, s, inch(0.1)),
    (g) => g.roundRect(left, top, w, h, inch(0.09)),
  );
  const [a, b] = [rgb(hex), rgb(ink)];
  const face = tooth(seed, 0.07);
  const printed = (x: number, y: number): boolean => {
    const [u, v] = [x - PAD, y - PAD];
    const row = (at: number, from: number, to: number) => Math.abs(v - at) < 2 && u > from && u < to;
    const dot = Math.hypot(u - inch(0.42), v - s + inch(0.33)) < inch(0.075);
    return (
      row(inch(0.3), inch(0.42), s - inch(0.42)) ||
      row(s - inch(0.26), inch(0.7), s - inch(0.42)) ||
      row(s - inch(0.4), inch(0.7), s - inch(0.8)) ||
      dot
    );
  };
  return lit({
    plate: p,
    rise: (x, y, depth) => {
      const away = toBox(x - PAD, y - PAD, left, top, w, h);
      // The boards are pressed down about the window, where the film lies between them.
      return rounded(depth, 6) - 5 * smooth(inch(0.2), inch(0.17), away) + face(x, y) * 4;
    },
    colour: (x, y) => scaled(printed(x, y) ? b : a, 1 + face(x, y)),
  });
}

/** A photo's own border: glossy, its foot deep enough to write on, a line there to write along. */
export function photoBorder(hex: string, ink: string, seed: number): Canvas {
  const [W, H] = [inch(3.3), inch(4.3)];
  const [left, top, w, h] = [inch(0.24), inch(0.3), inch(2.82), inch(2.95)];
  const p = holed(
    W,
    H,
    (g) => {
      // Its upper corners are rounded far, its lower ones hardly.
      g.roundRect(0, 0, W, H, [inch(0.42), inch(0.42), inch(0.06), inch(0.06)]);
    },
    (g) => g.roundRect(left, top, w, h, [inch(0.26), inch(0.26), 4, 4]),
  );
  const [a, b] = [rgb(hex), rgb(ink)];
  const sheen = fbm(seed, 3);
  const ruled = (x: number, y: number): number =>
    Math.abs(y - PAD - inch(3.93)) < 1.6 && x - PAD > inch(0.5) && x - PAD < W - inch(0.5) ? 0.55 : 0;
  return lit({
    plate: p,
    rise: (x, y, depth) => rounded(depth, 5) + (sheen(x / 260, y / 260) - 0.5) * 5,
    colour: (x, y) => blend(a, b, ruled(x, y)),
    gloss: 0.07,
    polish: 9,
  });
}

/** A mat sewn round with thread: each stitch lies on the card and draws it in a little. */
export function stitchedMat(
  w: number,
  h: number,
  margin: number,
  hex: string,
  thread: string,
  seed: number,
): Canvas {
  const [W, H, m] = [inch(w), inch(h), inch(margin)];
  const p = holed(
    W,
    H,
    (g) => g.roundRect(0, 0, W, H, inch(0.16)),
    (g) => g.roundRect(m, m, W - 2 * m, H - 2 * m, inch(0.1)),
  );
  const [a, b] = [rgb(hex), rgb(thread)];
  const face = tooth(seed, 0.09);
  const [gap, length] = [34, 23];
  /** How far along a seam: across it -1 to 1, along a stitch 0 to 1; null between stitches. */
  const seam = (x: number, y: number): { across: number; along: number } | null => {
    const [u, v] = [x - PAD, y - PAD];
    for (const inset of [inch(0.14), m - inch(0.14)]) {
      const [right, bottom] = [W - inset, H - inset];
      if (u < inset - 6 || u > right + 6 || v < inset - 6 || v > bottom + 6) continue;
      const [dx, dy] = [
        Math.abs(u - inset) < Math.abs(u - right) ? u - inset : u - right,
        Math.abs(v - inset) < Math.abs(v - bottom) ? v - inset : v - bottom,
      ];
      const level = Math.abs(dy) < 4.5;
      if (!level && Math.abs(dx) >= 4.5) continue;
      // Whole stitches from corner to corner.
      const [from, whole, at] = level ? [inset, right - inset, u] : [inset, bottom - inset, v];
      const count = Math.max(1, Math.round(whole / gap));
      const along = ((at - from) / (whole / count)) % 1;
      const lies = (along - 0.5 * (1 - length / gap)) / (length / gap);
      if (lies >= 0 && lies <= 1) return { across: (level ? dy : dx) / 4.5, along: lies };
    }
    return null;
  };
  return lit({
    plate: p,
    rise: (x, y, depth) => {
      const on = seam(x, y);
      const thick = on
        ? 6 * Math.sqrt(Math.max(0, 1 - on.across ** 2)) * Math.sqrt(Math.sin(Math.PI * on.along))
        : 0;
      return rounded(depth, 7) + face(x, y) * 5 + thick;
    },
    colour: (x, y) => {
      const on = seam(x, y);
      return on
        ? scaled(b, 0.92 + 0.1 * Math.sin((on.along * 9 + on.across) * 3.1))
        : scaled(a, 1 + face(x, y));
    },
  });
}

/** A window torn through printed paper, its white core bared about the opening and along its rim. */
export function tornWindow(
  w: number,
  h: number,
  hex: string,
  print: string,
  pattern: Print,
  seed: number,
): Canvas {
  const [W, H] = [inch(w), inch(h)];
  const rough = fbm(seed, 5);
  const curl = fbm(seed + 2, 4);
  /** A box whose sides wander, as paper tears: out from the middle by `by` pixels. */
  const torn = (
    g: SKRSContext2D,
    left: number,
    top: number,
    bw: number,
    bh: number,
    by: number,
    at: number,
  ) => {
    const around = 2 * (bw + bh);
    const steps = Math.round(around / 7);
    for (let i = 0; i < steps; i++) {
      const s = (around * i) / steps;
      const [x, y, nx, ny] =
        s < bw
          ? [left + s, top, 0, -1]
          : s < bw + bh
            ? [left + bw, top + s - bw, 1, 0]
            : s < 2 * bw + bh
              ? [left + bw - (s - bw - bh), top + bh, 0, 1]
              : [left, top + bh - (s - 2 * bw - bh), -1, 0];
      const off = by * 2 * (rough(at + x / 60, at + y / 60) - 0.5);
      g.lineTo(x + nx * off, y + ny * off);
    }
    g.closePath();
  };
  const m = inch(0.78);
  const p = holed(
    W,
    H,
    (g) => torn(g, inch(0.16), inch(0.16), W - inch(0.32), H - inch(0.32), 22, 3),
    (g) => torn(g, m, m, W - 2 * m, H - 2 * m, 34, 40),
  );
  const [a, b] = [rgb(hex), rgb(print)];
  const face = tooth(seed + 1, 0.08);
  return trimmed(
    lit({
      plate: p,
      // About the opening the paper was bent back, so it stands up.
      rise: (x, y, depth) => {
        const away = toBox(x - PAD, y - PAD, m, m, W - 2 * m, H - 2 * m);
        return Math.min(5, depth * 0.3) + face(x, y) * 5 + 12 * smooth(inch(0.5), 0, away);
      },
      colour: (x, y, depth) =>
        scaled(depth < 5 + 26 * curl(x / 34, y / 34) ? CORE : blend(a, b, pattern(x, y)), 1 + face(x, y)),
    }),
  );
}

/** An oval of paper lace about an oval opening. */
export function laceOval(w: number, h: number, hex: string, seed: number): Canvas {
  const [W, H] = [inch(w), inch(h)];
  const [cx, cy] = [W / 2, H / 2];
  const [rx, ry] = [W / 2 - inch(0.2), H / 2 - inch(0.2)];
  const band = inch(0.72);
  const face = tooth(seed, 0.06);
  const base = rgb(hex);
  // Round an ellipse in steps of one length (Ramanujan's mean of its radii is near enough here).
  const count = Math.round((Math.PI * (rx + ry)) / inch(0.27));
  const place = (i: number, inwards: number): readonly [number, number, number] => {
    const [a, b] = [rx - inwards, ry - inwards];
    let [t, left] = [0, ((i + 0.5) / count) * ellipse(a, b)];
    for (const step = 0.002; left > 0; t += step) left -= Math.hypot(a * Math.sin(t), b * Math.cos(t)) * step;
    return [a * Math.cos(t), b * Math.sin(t), Math.atan2(b * Math.sin(t) * a, a * Math.cos(t) * b)];
  };
  const p = plate(W + 2 * PAD, H + 2 * PAD, (g) => {
    g.translate(PAD + cx, PAD + cy);
    const spot = (i: number, inwards: number, across: number, along: number) => {
      const [x, y, turn] = place(i, inwards);
      g.beginPath();
      g.ellipse(x, y, along, across, turn, 0, 7);
      g.fill();
    };
    for (let i = 0; i < count; i++) spot(i, 0, inch(0.14), inch(0.17));
    g.beginPath();
    g.ellipse(0, 0, rx, ry, 0, 0, 7);
    g.fill();
    g.globalCompositeOperation = 'destination-out';
    g.beginPath();
    g.ellipse(0, 0, rx - band, ry - band, 0, 0, 7);
    g.fill();
    for (let i = 0; i < count; i++) {
      spot(i, -inch(0.07), inch(0.045), inch(0.045));
      spot(i + 0.5, inch(0.16), inch(0.035), inch(0.1));
      spot(i, inch(0.29), inch(0.05), inch(0.04));
      if (i % 2) continue;
      spot(i + 0.5, inch(0.44), inch(0.07), inch(0.05));
      spot(i + 0.2, inch(0.42), inch(0.02), inch(0.045));
      spot(i + 0.8, inch(0.42), inch(0.02), inch(0.045));
    }
  });
  return trimmed(
    lit({
      plate: p,
      rise: (x, y, depth) => {
        const r = Math.hypot((x - PAD - cx) / rx, (y - PAD - cy) / ry);
        return rounded(depth, 3.5) + 3 * Math.exp(-(((r - 0.955) / 0.012) ** 2)) + face(x, y) * 4;
      },
      colour: (x, y) => scaled(base, 1 + face(x, y)),
    }),
  );
}

/** How long an ellipse is (Ramanujan 1914). */
const ellipse = (a: number, b: number): number =>
  Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));

/** A frame padded and covered with woven cloth, its corners drawn in. */
export function paddedCloth(
  w: number,
  h: number,
  margin: number,
  hex: string,
  second: string,
  seed: number,
): Canvas {
  const [W, H, m] = [inch(w), inch(h), inch(margin)];
  const p = holed(
    W,
    H,
    (g) => g.roundRect(0, 0, W, H, inch(0.36)),
    (g) => g.roundRect(m, m, W - 2 * m, H - 2 * m, inch(0.18)),
  );
  const [a, b] = [rgb(hex), rgb(second)];
  const fuzz = noise(seed);
  const slack = fbm(seed + 4, 3);
  const check = inch(0.16);
  const cloth = (x: number, y: number): Rgb => {
    // The weave bends where the cloth is drawn over the padding.
    const [u, v] = [x + 7 * slack(x / 80, y / 80), y + 7 * slack(40 + x / 80, y / 80)];
    const on = (Number(u % (2 * check) < check) + Number(v % (2 * check) < check)) / 2;
    const weave = Math.sin(u * 1.25) * Math.sin(v * 1.25);
    return scaled(blend(a, b, on), 0.96 + 0.08 * weave + 0.1 * (fuzz(x / 2, y / 2) - 0.5));
  };
  const half = m / 2;
  return lit({
    plate: p,
    rise: (x, y, depth) => {
      const corner = Math.min(
        ...[0, W].flatMap((cx) => [0, H].map((cy) => Math.hypot(x - PAD - cx, y - PAD - cy))),
      );
      const angle = Math.atan2(y - PAD - H / 2, x - PAD - W / 2);
      const pleats = Math.sin(angle * 70) * 5 * smooth(m * 1.9, m * 0.5, corner);
      return (
        rounded(depth, half) * 0.62 +
        Math.sin(x * 1.25) * Math.sin(y * 1.25) * 0.7 +
        (slack(x / 60, y / 60) - 0.5) * 12 +
        pleats
      );
    },
    colour: cloth,
  });
}
