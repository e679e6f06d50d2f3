/** Frames of card, wood and felt. */
import { type Canvas } from '@napi-rs/canvas';
import { fbm } from '../../art/noise';
import { inch, lit, plate, rgb, rounded, scaled, tooth } from '../relief';
import { wood } from './hard';
import { PAD } from './pad';

export type FrameStyle = 'mat' | 'wood' | 'scallop' | 'felt' | 'perforated';
/** A frame of w x h inches with openings (inches, rectangles or ellipses). */
export function frame(
  w: number,
  h: number,
  openings: readonly { x: number; y: number; w: number; h: number; round?: boolean }[],
  style: FrameStyle,
  hex: string,
  second: string,
  seed: number,
): Canvas {
  const [W, H] = [inch(w), inch(h)];
  const p = plate(W + 2 * PAD, H + 2 * PAD, (g) => {
    g.translate(PAD, PAD);
    const edge = style === 'scallop' ? inch(0.12) : 0;
    g.beginPath();
    g.roundRect(edge, edge, W - 2 * edge, H - 2 * edge, style === 'felt' ? 40 : 3);
    g.fill();
    if (style === 'scallop' || style === 'perforated') {
      const across = Math.round((W - 2 * edge) / inch(0.25));
      const down = Math.round((H - 2 * edge) / inch(0.25));
      const r = style === 'scallop' ? inch(0.125) : inch(0.06);
      g.globalCompositeOperation = style === 'scallop' ? 'source-over' : 'destination-out';
      const spot = (x: number, y: number) => {
        g.beginPath();
        g.arc(x, y, r, 0, 7);
        g.fill();
      };
      const [iw, ih] = [W - 2 * edge, H - 2 * edge];
      for (let i = 0; i < across; i++)
        for (const y of [edge, H - edge]) spot(edge + ((i + 0.5) * iw) / across, y);
      for (let i = 0; i < down; i++)
        for (const x of [edge, W - edge]) spot(x, edge + ((i + 0.5) * ih) / down);
    }
    g.globalCompositeOperation = 'destination-out';
    for (const o of openings) {
      g.beginPath();
      if (o.round) g.ellipse(inch(o.x + o.w / 2), inch(o.y + o.h / 2), inch(o.w / 2), inch(o.h / 2), 0, 0, 7);
      else g.rect(inch(o.x), inch(o.y), inch(o.w), inch(o.h));
      g.fill();
    }
  });
  const [a, b, core] = [rgb(hex), rgb(second), rgb('#fffdf7')];
  const face = tooth(seed, 0.07);
  const along = wood(hex, second, seed);
  const upright = wood(hex, second, seed + 4);
  const fuzz = fbm(seed, 4);
  const margin = openings[0]!;
  const side = Math.min(margin.x, margin.y) * 300;
  return lit({
    plate: p,
    rise: (x, y, depth) => {
      switch (style) {
        case 'mat':
          return Math.min(11, depth) + face(x, y) * 4;
        case 'wood':
          return rounded(depth, 26) * 0.8 + Math.sin(depth / 9) * 1.2;
        case 'felt':
          return rounded(depth, 10) + fuzz(x / 5, y / 5) * 5;
        default:
          return rounded(depth, 4) + face(x, y) * 4;
      }
    },
    colour: (x, y, depth) => {
      switch (style) {
        case 'mat': {
          // The knife leaves the white core bare along the opening; a ruled line keeps the eye inside.
          const inside = x > side * 0.6 && y > side * 0.6 && x < W - side * 0.6 && y < H - side * 0.6;
          if (depth < 11 && inside) return core;
          return scaled(Math.abs(depth - 34) < 2.2 && inside ? b : a, 1 + face(x, y));
        }
        case 'wood': {
          const [u, v] = [Math.min(x - PAD, W + PAD - x), Math.min(y - PAD, H + PAD - y)];
          const mitre = Math.abs(u - v) < 1.6 && u < side * 1.05 ? 0.72 : 1;
          return scaled(u < v ? upright(y, x) : along(x, y), mitre);
        }
        case 'felt':
          return Math.abs(depth - 22) < 3.6 && Math.sin(x / 6 + y / 5) > -0.2
            ? b
            : scaled(a, 0.85 + 0.3 * fuzz(x / 3, y / 3));
        default:
          return scaled(Math.abs(depth - 30) < 2.2 ? b : a, 1 + face(x, y));
      }
    },
    gloss: style === 'wood' ? 0.12 : 0,
    polish: 10,
  });
}
