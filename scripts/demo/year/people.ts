/** People seen from the front and near by: drawn in light and shade, well enough that a detector finds the faces. */
import type { SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';

export interface Looks {
  skin: string;
  hair: string;
  eyes: string;
  coat: string;
  /** How the hair lies. */
  cut: 'short' | 'long' | 'bob' | 'cap' | 'grey';
  child?: true;
  beard?: true;
  glasses?: true;
}

/** The club: the same people all year. */
export const INES: Looks = {
  skin: '#d9a078',
  hair: '#3a241a',
  eyes: '#5b3a22',
  coat: '#c9503f',
  cut: 'long',
};
export const OLU: Looks = {
  skin: '#7a4b33',
  hair: '#1d1512',
  eyes: '#2c1a12',
  coat: '#e0a93b',
  cut: 'short',
  beard: true,
};
export const PIP: Looks = {
  skin: '#f0c4a2',
  hair: '#b4763c',
  eyes: '#47698a',
  coat: '#3f7f86',
  cut: 'bob',
  child: true,
};
export const WREN: Looks = {
  skin: '#e8b898',
  hair: '#cfc8c0',
  eyes: '#54707f',
  coat: '#7c4466',
  cut: 'grey',
  glasses: true,
};
export const TAM: Looks = { skin: '#c58d66', hair: '#251a15', eyes: '#3a2718', coat: '#4c6a46', cut: 'cap' };

type Rgb = [number, number, number];
const rgb = (hex: string): Rgb => {
  const v = Number.parseInt(hex.slice(1), 16);
  return [v >> 16, (v >> 8) & 255, v & 255];
};
/** Lighter above 1, darker below. */
export const lit = (hex: string, by: number, alpha = 1): string => {
  const [r, g, b] = rgb(hex).map((v) =>
    Math.max(0, Math.min(255, by > 1 ? v + (255 - v) * (by - 1) : v * by)),
  ) as Rgb;
  return `rgba(${r | 0},${g | 0},${b | 0},${alpha})`;
};

/** Head and shoulders, the head `size` pixels tall with its middle at (x, y); light comes from the left, or the right. */
export function portrait(
  c: SKRSContext2D,
  x: number,
  y: number,
  size: number,
  looks: Looks,
  { tilt = 0, smile = 0.6, from = -1 as -1 | 1 } = {},
): void {
  const s = size;
  c.save();
  c.translate(x, y);
  const turn = (tilt * Math.PI) / 180;
  c.save();
  c.rotate(turn);
  hairBehind(c, s, looks);
  c.restore();
  shoulders(c, s, looks, from);
  c.rotate(turn);
  locks(c, s, looks);
  head(c, s, looks, from);
  features(c, s, looks, smile, from);
  hairBefore(c, s, looks, from);
  c.restore();
}

function shoulders(c: SKRSContext2D, s: number, { coat, skin, child }: Looks, from: number): void {
  const wide = child ? 0.78 : 0.98;
  c.fillStyle = lit(skin, 0.78);
  c.beginPath();
  c.moveTo(-s * 0.2, s * 0.28);
  c.lineTo(-s * 0.22, s * 0.75);
  c.lineTo(s * 0.22, s * 0.75);
  c.lineTo(s * 0.2, s * 0.28);
  c.fill();
  const g = c.createLinearGradient(-s * wide * from, 0, s * wide * from, 0);
  g.addColorStop(0, lit(coat, 0.62));
  g.addColorStop(0.6, coat);
  g.addColorStop(1, lit(coat, 1.22));
  c.fillStyle = g;
  c.beginPath();
  c.moveTo(-s * wide, s * 1.9);
  c.bezierCurveTo(-s * wide, s * 0.95, -s * 0.72, s * 0.78, -s * 0.24, s * 0.62);
  c.quadraticCurveTo(0, s * 0.82, s * 0.24, s * 0.62);
  c.bezierCurveTo(s * 0.72, s * 0.78, s * wide, s * 0.95, s * wide, s * 1.9);
  c.fill();
  c.strokeStyle = lit(coat, 0.55, 0.8);
  c.lineWidth = s * 0.018;
  c.beginPath();
  c.moveTo(0, s * 0.78);
  c.lineTo(s * 0.01, s * 1.9);
  c.stroke();
  for (const side of [-1, 1]) {
    c.fillStyle = lit(coat, 0.82);
    c.beginPath();
    c.moveTo(side * s * 0.24, s * 0.6);
    c.quadraticCurveTo(side * s * 0.3, s * 0.84, side * s * 0.02, s * 0.98);
    c.quadraticCurveTo(side * s * 0.12, s * 0.76, side * s * 0.17, s * 0.62);
    c.fill();
  }
}

function hairBehind(c: SKRSContext2D, s: number, { hair, cut }: Looks): void {
  if (cut !== 'long' && cut !== 'bob' && cut !== 'grey') return;
  const low = cut === 'long' ? 0.86 : cut === 'bob' ? 0.42 : 0.3;
  c.fillStyle = lit(hair, 0.72);
  c.beginPath();
  c.moveTo(-s * 0.43, -s * 0.1);
  c.bezierCurveTo(-s * 0.56, s * 0.2, -s * 0.5, s * low * 0.8, -s * 0.36, s * low);
  c.lineTo(s * 0.36, s * low);
  c.bezierCurveTo(s * 0.5, s * low * 0.8, s * 0.56, s * 0.2, s * 0.43, -s * 0.1);
  c.fill();
}

/** Long hair falls before the shoulders, too, on both sides of the neck. */
function locks(c: SKRSContext2D, s: number, { hair, cut }: Looks): void {
  if (cut !== 'long') return;
  for (const side of [-1, 1]) {
    const g = c.createLinearGradient(side * s * 0.22, 0, side * s * 0.5, 0);
    g.addColorStop(0, lit(hair, 0.6));
    g.addColorStop(0.5, lit(hair, 1.15));
    g.addColorStop(1, lit(hair, 0.75));
    c.fillStyle = g;
    c.beginPath();
    c.moveTo(side * s * 0.33, -s * 0.1);
    c.bezierCurveTo(side * s * 0.56, s * 0.2, side * s * 0.5, s * 0.6, side * s * 0.44, s * 0.95);
    c.quadraticCurveTo(side * s * 0.3, s * 1.02, side * s * 0.3, s * 0.7);
    c.bezierCurveTo(side * s * 0.26, s * 0.45, side * s * 0.36, s * 0.25, side * s * 0.33, -s * 0.1);
    c.fill();
  }
}

function faceOutline(c: SKRSContext2D, s: number, child?: true): void {
  const chin = child ? 0.46 : 0.5;
  const jaw = child ? 0.31 : 0.29;
  c.beginPath();
  c.moveTo(0, -s * 0.5);
  c.bezierCurveTo(s * 0.3, -s * 0.5, s * 0.39, -s * 0.26, s * 0.375, -s * 0.02);
  c.bezierCurveTo(s * 0.365, s * 0.2, s * jaw, s * 0.36, s * 0.14, s * (chin - 0.02));
  c.quadraticCurveTo(0, s * (chin + 0.03), -s * 0.14, s * (chin - 0.02));
  c.bezierCurveTo(-s * jaw, s * 0.36, -s * 0.365, s * 0.2, -s * 0.375, -s * 0.02);
  c.bezierCurveTo(-s * 0.39, -s * 0.26, -s * 0.3, -s * 0.5, 0, -s * 0.5);
}

function head(c: SKRSContext2D, s: number, { skin, child }: Looks, from: number): void {
  for (const side of [-1, 1]) {
    c.fillStyle = lit(skin, side === from ? 0.95 : 0.78);
    c.beginPath();
    c.ellipse(side * s * 0.375, s * 0.02, s * 0.055, s * 0.1, side * 0.15, 0, 7);
    c.fill();
  }
  const g = c.createRadialGradient(from * s * 0.14, -s * 0.14, s * 0.05, 0, 0, s * 0.62);
  g.addColorStop(0, lit(skin, 1.24));
  g.addColorStop(0.5, skin);
  g.addColorStop(1, lit(skin, 0.62));
  c.fillStyle = g;
  faceOutline(c, s, child);
  c.fill();
  c.save();
  faceOutline(c, s, child);
  c.clip();
  // The far side and beneath the chin lie in shade, cheeks are warm.
  const shade = c.createLinearGradient(from * s * 0.4, 0, -from * s * 0.42, s * 0.1);
  shade.addColorStop(0.35, 'rgba(40,15,25,0)');
  shade.addColorStop(1, 'rgba(40,15,25,0.34)');
  c.fillStyle = shade;
  c.fillRect(-s, -s, 2 * s, 2 * s);
  for (const side of [-1, 1]) {
    const cheek = c.createRadialGradient(side * s * 0.2, s * 0.14, 0, side * s * 0.2, s * 0.14, s * 0.15);
    cheek.addColorStop(0, 'rgba(205,70,60,0.24)');
    cheek.addColorStop(1, 'rgba(205,70,60,0)');
    c.fillStyle = cheek;
    c.fillRect(-s, -s, 2 * s, 2 * s);
    // The eye's hollow.
    const hollow = c.createRadialGradient(
      side * s * 0.155,
      -s * 0.075,
      s * 0.02,
      side * s * 0.155,
      -s * 0.075,
      s * 0.13,
    );
    hollow.addColorStop(0, 'rgba(60,25,20,0.36)');
    hollow.addColorStop(1, 'rgba(60,25,20,0)');
    c.fillStyle = hollow;
    c.fillRect(-s, -s, 2 * s, 2 * s);
  }
  c.restore();
}

function features(c: SKRSContext2D, s: number, looks: Looks, smile: number, from: number): void {
  const { eyes, hair, skin, beard, glasses, child } = looks;
  const big = child ? 1.18 : 1;
  for (const side of [-1, 1]) {
    const [ex, ey] = [side * s * 0.155, -s * 0.06];
    c.fillStyle = '#f3ede6';
    c.beginPath();
    c.ellipse(ex, ey, s * 0.066 * big, s * 0.034 * big, side * 0.06, 0, 7);
    c.fill();
    c.fillStyle = eyes;
    c.beginPath();
    c.arc(ex, ey, s * 0.034 * big, 0, 7);
    c.fill();
    c.fillStyle = '#0d0a0a';
    c.beginPath();
    c.arc(ex, ey, s * 0.017 * big, 0, 7);
    c.fill();
    c.fillStyle = 'rgba(255,255,255,0.9)';
    c.beginPath();
    c.arc(ex + from * s * 0.012, ey - s * 0.012, s * 0.008, 0, 7);
    c.fill();
    c.strokeStyle = 'rgba(25,12,10,0.9)';
    c.lineWidth = s * 0.014;
    c.beginPath();
    c.moveTo(ex - s * 0.07 * big, ey + s * 0.004);
    c.quadraticCurveTo(ex, ey - s * 0.056 * big, ex + s * 0.07 * big, ey + s * 0.004);
    c.stroke();
    c.strokeStyle = lit(skin, 0.58, 0.6);
    c.lineWidth = s * 0.008;
    c.beginPath();
    c.arc(ex, ey + s * 0.01, s * 0.068, 0.35, Math.PI - 0.35);
    c.stroke();
    c.strokeStyle = lit(hair, looks.cut === 'grey' ? 0.62 : 0.9, 0.92);
    c.lineWidth = s * (child ? 0.02 : 0.03);
    c.lineCap = 'round';
    c.beginPath();
    c.moveTo(ex - side * s * 0.075, ey - s * 0.095);
    c.quadraticCurveTo(ex + side * s * 0.015, ey - s * 0.135, ex + side * s * 0.085, ey - s * 0.085);
    c.stroke();
  }
  // The nose: its shaded side, its tip, its wings.
  c.strokeStyle = lit(skin, 0.62, 0.55);
  c.lineWidth = s * 0.02;
  c.beginPath();
  c.moveTo(-from * s * 0.028, -s * 0.06);
  c.quadraticCurveTo(-from * s * 0.05, s * 0.06, -from * s * 0.055, s * 0.115);
  c.stroke();
  const tip = c.createRadialGradient(from * s * 0.012, s * 0.09, 0, 0, s * 0.1, s * 0.07);
  tip.addColorStop(0, lit(skin, 1.3, 0.9));
  tip.addColorStop(1, lit(skin, 1, 0));
  c.fillStyle = tip;
  c.beginPath();
  c.arc(0, s * 0.1, s * 0.07, 0, 7);
  c.fill();
  c.fillStyle = lit(skin, 0.42, 0.85);
  for (const side of [-1, 1]) {
    c.beginPath();
    c.ellipse(side * s * 0.03, s * 0.14, s * 0.017, s * 0.009, side * 0.4, 0, 7);
    c.fill();
  }
  if (beard) {
    c.save();
    faceOutline(c, s);
    c.clip();
    const g = c.createLinearGradient(0, s * 0.08, 0, s * 0.4);
    g.addColorStop(0, lit(hair, 1, 0));
    g.addColorStop(0.5, lit(hair, 1, 0.62));
    g.addColorStop(1, lit(hair, 1, 0.8));
    c.fillStyle = g;
    c.beginPath();
    c.moveTo(-s * 0.42, s * 0.02);
    c.quadraticCurveTo(-s * 0.28, s * 0.2, 0, s * 0.17);
    c.quadraticCurveTo(s * 0.28, s * 0.2, s * 0.42, s * 0.02);
    c.lineTo(s * 0.42, s * 0.6);
    c.lineTo(-s * 0.42, s * 0.6);
    c.fill();
    c.restore();
  }
  // The mouth: dark between the lips, teeth where it smiles.
  const wide = s * (0.105 + 0.045 * smile);
  const my = s * 0.265;
  c.fillStyle = lit('#b0564f', 0.95);
  c.beginPath();
  c.moveTo(-wide, my - s * 0.02 * smile);
  c.quadraticCurveTo(-s * 0.04, my - s * 0.045, 0, my - s * 0.026);
  c.quadraticCurveTo(s * 0.04, my - s * 0.045, wide, my - s * 0.02 * smile);
  c.quadraticCurveTo(0, my + s * (0.05 + 0.06 * smile), -wide, my - s * 0.02 * smile);
  c.fill();
  c.fillStyle = smile > 0.4 ? '#f2e9df' : '#6b2b2c';
  c.beginPath();
  c.moveTo(-wide * 0.8, my - s * 0.012 * smile);
  c.quadraticCurveTo(0, my - s * 0.008, wide * 0.8, my - s * 0.012 * smile);
  c.quadraticCurveTo(0, my + s * (0.012 + 0.052 * smile), -wide * 0.8, my - s * 0.012 * smile);
  c.fill();
  c.strokeStyle = lit(skin, 0.55, 0.5);
  c.lineWidth = s * 0.014;
  for (const side of [-1, 1]) {
    c.beginPath();
    c.moveTo(side * s * 0.085, s * 0.14);
    c.quadraticCurveTo(side * s * 0.16, s * 0.19, side * (wide + s * 0.03), my);
    c.stroke();
  }
  if (glasses) {
    c.strokeStyle = 'rgba(35,30,32,0.9)';
    c.lineWidth = s * 0.014;
    for (const side of [-1, 1]) {
      c.beginPath();
      c.ellipse(side * s * 0.155, -s * 0.05, s * 0.105, s * 0.085, 0, 0, 7);
      c.stroke();
    }
    c.beginPath();
    c.moveTo(-s * 0.05, -s * 0.06);
    c.quadraticCurveTo(0, -s * 0.085, s * 0.05, -s * 0.06);
    c.stroke();
  }
}

function hairBefore(c: SKRSContext2D, s: number, { hair, cut, coat }: Looks, from: number): void {
  if (cut === 'cap') {
    const g = c.createLinearGradient(from * s * 0.4, -s * 0.6, -from * s * 0.4, -s * 0.2);
    g.addColorStop(0, lit(coat, 1.25));
    g.addColorStop(1, lit(coat, 0.6));
    c.fillStyle = g;
    c.beginPath();
    c.moveTo(-s * 0.4, -s * 0.2);
    c.bezierCurveTo(-s * 0.46, -s * 0.66, s * 0.46, -s * 0.66, s * 0.4, -s * 0.2);
    c.quadraticCurveTo(0, -s * 0.33, -s * 0.4, -s * 0.2);
    c.fill();
    c.fillStyle = lit(coat, 0.75);
    c.beginPath();
    c.moveTo(-s * 0.41, -s * 0.19);
    c.quadraticCurveTo(0, -s * 0.34, s * 0.41, -s * 0.19);
    c.lineTo(s * 0.4, -s * 0.28);
    c.quadraticCurveTo(0, -s * 0.43, -s * 0.4, -s * 0.28);
    c.fill();
    return;
  }
  const g = c.createLinearGradient(from * s * 0.4, -s * 0.6, -from * s * 0.4, -s * 0.1);
  g.addColorStop(0, lit(hair, 1.22));
  g.addColorStop(0.5, hair);
  g.addColorStop(1, lit(hair, 0.65));
  c.fillStyle = g;
  c.beginPath();
  const side = cut === 'short' ? -0.12 : cut === 'grey' ? 0.04 : 0.14;
  c.moveTo(-s * 0.4, s * side);
  c.bezierCurveTo(-s * 0.52, -s * 0.5, -s * 0.2, -s * 0.66, s * 0.04, -s * 0.63);
  c.bezierCurveTo(s * 0.36, -s * 0.62, s * 0.5, -s * 0.36, s * 0.4, s * side);
  c.bezierCurveTo(s * 0.37, -s * 0.12, s * 0.34, -s * 0.22, s * 0.26, -s * 0.3);
  c.bezierCurveTo(s * 0.1, -s * 0.34, -s * 0.12, -s * (cut === 'bob' ? 0.22 : 0.36), -s * 0.24, -s * 0.3);
  c.bezierCurveTo(-s * 0.34, -s * 0.2, -s * 0.37, -s * 0.1, -s * 0.4, s * side);
  c.fill();
  const next = random(Math.round(s) + cut.length);
  c.lineWidth = s * 0.006;
  for (let i = 0; i < 46; i++) {
    const a = -Math.PI * (0.06 + 0.88 * next());
    c.strokeStyle = lit(hair, next() > 0.5 ? 1.35 : 0.6, 0.4);
    c.beginPath();
    c.moveTo(Math.cos(a) * s * 0.3, Math.sin(a) * s * 0.34 - s * 0.08);
    c.quadraticCurveTo(
      Math.cos(a) * s * 0.42,
      Math.sin(a) * s * 0.5 - s * 0.06,
      Math.cos(a + 0.2) * s * 0.41,
      Math.sin(a + 0.2) * s * 0.52 - s * 0.06,
    );
    c.stroke();
  }
}
