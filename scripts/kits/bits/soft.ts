/** Cloth, pearls, sequins, tape and paint. */
import { random } from '@/core/random';
import type { Canvas } from '@napi-rs/canvas';
import { fbm, noise, smooth } from '../../art/noise';
import { blend, inch, lit, pileUp, plate, rgb, rounded, scaled, trimmed } from '../relief';
import { PAD } from './pad';

/** A piece of cloth: woven, its edges frayed to threads, held by a running stitch. */
export function patch(
  w: number,
  h: number,
  hex: string,
  second: string,
  thread: string,
  check: boolean,
  seed: number,
): Canvas {
  const [W, H] = [inch(w), inch(h)];
  const fray = 20;
  const next = random(seed);
  const [sw, sh] = [W + 2 * PAD + 2 * fray, H + 2 * PAD + 2 * fray];
  const o = PAD + fray;
  const p = plate(sw, sh, (g) => {
    g.fillRect(o, o, W, H);
    g.lineWidth = 1.7;
    const hair = (x: number, y: number, dx: number, dy: number) => {
      g.beginPath();
      g.moveTo(x, y);
      g.quadraticCurveTo(
        x + dx * 0.6 + (next() - 0.5) * 5,
        y + dy * 0.6 + (next() - 0.5) * 5,
        x + dx + (next() - 0.5) * 6,
        y + dy + (next() - 0.5) * 6,
      );
      g.stroke();
    };
    for (let x = 1; x < W; x += 3.2) {
      hair(o + x, o + 1, 0, -6 - fray * 0.7 * next());
      hair(o + x, o + H - 1, 0, 6 + fray * 0.7 * next());
    }
    for (let y = 1; y < H; y += 3.2) {
      hair(o + 1, o + y, -6 - fray * 0.7 * next(), 0);
      hair(o + W - 1, o + y, 6 + fray * 0.7 * next(), 0);
    }
  });
  const [a, b, t] = [rgb(hex), rgb(second), rgb(thread)];
  const fuzz = noise(seed);
  const slow = fbm(seed + 3, 3);
  const sewn = (x: number, y: number): boolean => {
    const [u, v] = [x - o, y - o];
    const edge = 24;
    const along = (s: number) => s % 34 < 21;
    return (
      (Math.abs(v - edge) < 3.4 && u > edge && u < W - edge && along(u)) ||
      (Math.abs(v - H + edge) < 3.4 && u > edge && u < W - edge && along(u)) ||
      (Math.abs(u - edge) < 3.4 && v > edge && v < H - edge && along(v)) ||
      (Math.abs(u - W + edge) < 3.4 && v > edge && v < H - edge && along(v))
    );
  };
  return trimmed(
    lit({
      plate: p,
      rise: (x, y) =>
        2 +
        (slow(x / 90, y / 90) - 0.5) * 14 +
        Math.sin(x * 1.2) * Math.sin(y * 1.2) * 0.9 +
        (sewn(x, y) ? 4 : 0),
      colour: (x, y) => {
        if (sewn(x, y)) return scaled(t, 0.95 + 0.12 * Math.sin((x + y) / 2.4));
        const on = check ? (Number((x - o + 4000) % 76 < 38) + Number((y - o + 4000) % 76 < 38)) / 2 : 0;
        return scaled(
          blend(a, b, on),
          0.95 + 0.09 * Math.sin(x * 1.2) * Math.sin(y * 1.2) + 0.12 * (fuzz(x / 2, y / 2) - 0.5),
        );
      },
    }),
  );
}

/** Half pearls in a row, from large to small. */
export function pearls(hex: string, seed: number): Canvas {
  const sizes = [0.34, 0.3, 0.26, 0.22, 0.18, 0.15, 0.12];
  const whole = sizes.reduce((sum, s) => sum + s + 0.08, 0.1);
  const [sw, sh] = [inch(whole) + 2 * PAD, inch(0.4) + 2 * PAD];
  const base = rgb(hex);
  const spots: { x: number; r: number }[] = [];
  let at = PAD + inch(0.04);
  for (const s of sizes) {
    spots.push({ x: at + inch(s / 2), r: inch(s / 2) });
    at += inch(s + 0.08);
  }
  const c = sh / 2;
  const sheen = noise(seed);
  return lit({
    plate: plate(sw, sh, (g) => {
      for (const { x, r } of spots) {
        g.beginPath();
        g.arc(x, c, r, 0, 7);
        g.fill();
      }
    }),
    rise: (x, y) => {
      const one = spots.find((s) => Math.hypot(x - s.x, y - c) <= s.r + 1);
      return one ? Math.sqrt(Math.max(0, one.r ** 2 - (x - one.x) ** 2 - (y - c) ** 2)) * 0.85 : 0;
    },
    colour: (x, y, depth) => {
      // Pearl turns rosy and green towards its rim.
      const rim = smooth(14, 2, depth);
      return blend(scaled(base, 1.02 + 0.02 * sheen(x / 9, y / 9)), [232, 206, 214], 0.35 * rim);
    },
    gloss: 0.75,
    polish: 26,
  });
}

/** Sequins that lie as they fell, each with its hole. */
export function sequins(hexes: readonly string[], seed: number): Canvas {
  const next = random(seed);
  const side = inch(1.5);
  const one = (hex: string, size: number, lean: number): Canvas => {
    const d = inch(size);
    const c = d / 2 + PAD;
    const base = rgb(hex);
    return lit({
      plate: plate(d + 2 * PAD, d + 2 * PAD, (g) => {
        g.arc(c, c, d / 2, 0, 7);
        g.moveTo(c + d * 0.09, c);
        g.arc(c, c, d * 0.09, 0, 7, true);
        g.fill('evenodd');
      }),
      // A shallow cup, pressed from foil: its light runs from the middle in two fans.
      rise: (x, y, depth) => rounded(depth, 2) - 0.1 * d * (1 - (Math.hypot(x - c, y - c) / (d / 2)) ** 2),
      colour: (x, y) => {
        const fan = Math.abs(Math.cos(Math.atan2(y - c, x - c) - lean)) ** 5;
        const ring = smooth(0.03, 0, Math.abs(Math.hypot(x - c, y - c) / d - 0.2));
        return blend(scaled(base, 0.74 + 0.5 * fan), [255, 255, 255], 0.42 * fan ** 3 + 0.12 * ring);
      },
      gloss: 0.3,
      polish: 20,
    });
  };
  return trimmed(
    pileUp(
      side + 120,
      side + 120,
      Array.from({ length: 17 }, (_, i) => {
        const a = 2.39996 * i;
        const r = side * 0.44 * Math.sqrt((i + 0.4) / 17);
        return {
          of: one(hexes[i % hexes.length]!, 0.2 + 0.1 * next(), 3 * next()),
          x: side / 2 + 60 + r * Math.cos(a) + 12 * (next() - 0.5),
          y: side / 2 + 60 + r * Math.sin(a) + 12 * (next() - 0.5),
          turn: 360 * next(),
          lift: 3,
        };
      }),
    ),
  );
}

/** Clear tape, a little yellow, with the teeth of its cutter at both ends. */
export function clearTape(length: number, width: number, hex: string, seed: number): Canvas {
  const [w, h] = [inch(length), inch(width)];
  const base = rgb(hex);
  const bubbles = fbm(seed, 4);
  const streaks = noise(seed + 1);
  const glare = (x: number, y: number) => {
    const along = (x - 0.5 * y) / w + 0.03 * bubbles(x / 90, y / 90);
    return (
      0.5 * smooth(0.07, 0.03, Math.abs(along - 0.26)) + 0.3 * smooth(0.03, 0.01, Math.abs(along - 0.39))
    );
  };
  return lit({
    plate: plate(w + 2 * PAD, h + 2 * PAD, (g) => {
      g.beginPath();
      const teeth = Math.round(h / 13);
      g.moveTo(PAD, PAD);
      g.lineTo(PAD + w, PAD);
      for (let i = 0; i < teeth; i++) {
        g.lineTo(PAD + w - 8, PAD + ((i + 0.5) * h) / teeth);
        g.lineTo(PAD + w, PAD + ((i + 1) * h) / teeth);
      }
      g.lineTo(PAD, PAD + h);
      for (let i = teeth; i > 0; i--) {
        g.lineTo(PAD + 8, PAD + ((i - 0.5) * h) / teeth);
        g.lineTo(PAD, PAD + ((i - 1) * h) / teeth);
      }
      g.fill();
    }),
    rise: (x, y) => (bubbles(x / 180, y / 70) - 0.5) * 9,
    // Light lies on it in two soft bands aslant; where air is caught beneath it stays pale.
    colour: (x, y) => blend(scaled(base, 0.97 + 0.03 * streaks(x / 90, y / 2)), [255, 255, 255], glare(x, y)),
    opacity: (x, y, depth) =>
      0.3 +
      0.2 * smooth(3, 0, depth) +
      0.3 * glare(x, y) +
      0.12 * smooth(0.62, 0.66, bubbles(x / 60, y / 26)),
  });
}

/** One stroke of a broad brush: bristles that part, paint that gathers along its rim. */
export function brushed(length: number, width: number, hex: string, seed: number): Canvas {
  const [w, h] = [inch(length), inch(width)];
  const bristles = noise(seed);
  const wet = fbm(seed + 1, 4);
  const base = rgb(hex);
  const path = (x: number) => Math.sin((x / w) * 2.4 + seed) * h * 0.06;
  const inside = (x: number, y: number): number => {
    const [u, v] = [(x - PAD) / w, (y - PAD - h / 2 - path(x - PAD)) / (h / 2)];
    const row = bristles(0.5, y / 3.2);
    const start = 0.02 + 0.05 * row;
    const end = 0.8 + 0.2 * bristles(7.5, y / 2.6) - 0.05 * Math.abs(v);
    const rim = 1 - 0.14 * wet(x / 60, 3) - Math.abs(v);
    const dry = smooth(0.45, 1, u) * 1.05;
    const streak = bristles(x / 190, y / 2.4) + 0.25 * wet(x / 14, y / 14);
    if (u < start || u > end || rim < 0) return 0;
    return (
      smooth(0, 0.03, rim) *
      smooth(dry - 0.55, dry - 0.25, streak + 0.05) *
      smooth(0, 0.015, u - start) *
      smooth(0, 0.02, end - u)
    );
  };
  return trimmed(
    lit({
      plate: plate(w + 2 * PAD, h + 2 * PAD, (g) => g.fillRect(0, 0, w + 2 * PAD, h + 2 * PAD)),
      rise: (x, y) => 3.2 * bristles(x / 160, y / 2.6) + 1.6 * wet(x / 20, y / 20),
      colour: (x, y) => {
        const v = Math.abs((y - PAD - h / 2 - path(x - PAD)) / (h / 2));
        return scaled(base, 1.02 - 0.14 * smooth(0.7, 0.95, v) + 0.1 * (bristles(x / 160, y / 2.6) - 0.5));
      },
      gloss: 0.12,
      polish: 10,
      opacity: (x, y) => inside(x, y),
    }),
  );
}
