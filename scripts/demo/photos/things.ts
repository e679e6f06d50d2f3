/** Kites, people, a lighthouse and lanterns, as a lens sees them. */
import type { SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';

interface At {
  x: number;
  y: number;
}

const lerp = (a: At, b: At, t: number): At => ({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });

/** A cloth panel: lit from one side, darker towards its spars, with soft folds that run to `gather`. */
function panel(
  c: SKRSContext2D,
  points: readonly At[],
  colour: string,
  light: number,
  gather: At,
  seed: number,
): void {
  const next = random(seed);
  c.save();
  c.beginPath();
  points.forEach((p, i) => (i ? c.lineTo(p.x, p.y) : c.moveTo(p.x, p.y)));
  c.closePath();
  c.clip();
  c.fillStyle = colour;
  c.fill();
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const span = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
  const glow = c.createLinearGradient(Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys));
  glow.addColorStop(0, `rgba(255,246,220,${0.34 * light})`);
  glow.addColorStop(0.55, 'rgba(255,246,220,0)');
  glow.addColorStop(1, `rgba(30,10,30,${0.38 - 0.2 * light})`);
  c.fillStyle = glow;
  c.fillRect(Math.min(...xs), Math.min(...ys), span * 2, span * 2);
  c.filter = `blur(${Math.max(1, span * 0.012)}px)`;
  for (let i = 0; i < 7; i++) {
    const a = points[1 + (i % (points.length - 1))]!;
    const b = points[(2 + i) % points.length]!;
    const end = lerp(a, b, 0.15 + next() * 0.7);
    const bright = i % 2 === 0;
    c.strokeStyle = bright
      ? `rgba(255,250,235,${0.1 + next() * 0.14})`
      : `rgba(40,10,20,${0.08 + next() * 0.13})`;
    c.lineWidth = span * (0.012 + next() * 0.022);
    c.beginPath();
    c.moveTo(gather.x, gather.y);
    c.quadraticCurveTo(
      (gather.x + end.x) / 2 + (next() - 0.5) * span * 0.12,
      (gather.y + end.y) / 2 + (next() - 0.5) * span * 0.12,
      end.x,
      end.y,
    );
    c.stroke();
  }
  c.restore();
}

export interface KiteLook {
  colours: readonly [string, string, string, string];
  tail: readonly string[];
  turn: number;
  seed: number;
}

/** A diamond kite, `size` pixels tall at (x, y), with a bowed tail and a line to (lineX, lineY). */
export function diamondKite(
  c: SKRSContext2D,
  x: number,
  y: number,
  size: number,
  look: KiteLook,
  line?: At,
): void {
  const next = random(look.seed);
  const turned = (px: number, py: number): At => {
    const r = (look.turn * Math.PI) / 180;
    return {
      x: x + size * (px * Math.cos(r) - py * Math.sin(r)),
      y: y + size * (px * Math.sin(r) + py * Math.cos(r)),
    };
  };
  const top = turned(0, -0.42);
  const bottom = turned(0, 0.58);
  const left = turned(-0.39, -0.1);
  const right = turned(0.39, -0.1);
  const middle = turned(0.012, -0.1);
  tail(c, bottom, size, look, next);
  if (line) {
    c.strokeStyle = 'rgba(240,238,230,0.75)';
    c.lineWidth = Math.max(1.2, size * 0.0035);
    c.beginPath();
    c.moveTo(middle.x, middle.y);
    c.quadraticCurveTo(
      middle.x + (line.x - middle.x) * 0.35,
      middle.y + (line.y - middle.y) * 0.72,
      line.x,
      line.y,
    );
    c.stroke();
  }
  panel(c, [middle, top, left], look.colours[0], 0.9, middle, look.seed + 1);
  panel(c, [middle, top, right], look.colours[1], 0.55, middle, look.seed + 2);
  panel(c, [middle, left, bottom], look.colours[2], 0.5, middle, look.seed + 3);
  panel(c, [middle, right, bottom], look.colours[3], 0.15, middle, look.seed + 4);
  c.lineCap = 'round';
  for (const [a, b, wide] of [
    [top, bottom, 0.009],
    [left, right, 0.008],
  ] as const) {
    c.strokeStyle = 'rgba(58,36,22,0.85)';
    c.lineWidth = size * wide;
    c.beginPath();
    c.moveTo(a.x, a.y);
    c.quadraticCurveTo(middle.x, middle.y, b.x, b.y);
    c.stroke();
    c.strokeStyle = 'rgba(255,235,200,0.4)';
    c.lineWidth = size * wide * 0.35;
    c.stroke();
  }
  c.strokeStyle = 'rgba(255,250,240,0.5)';
  c.lineWidth = size * 0.005;
  c.beginPath();
  for (const [i, p] of [top, left, bottom, right].entries())
    if (i) c.lineTo(p.x, p.y);
    else c.moveTo(p.x, p.y);
  c.closePath();
  c.stroke();
}

function tail(
  c: SKRSContext2D,
  from: At,
  size: number,
  { tail: colours, turn }: KiteLook,
  next: () => number,
): void {
  const sway = next() * 6;
  const at = (t: number): At => ({
    x: from.x + Math.sin(t * 5.2 + sway) * size * 0.16 * (0.25 + t) - turn * size * 0.006 * t,
    y: from.y + t * size * 1.25,
  });
  c.strokeStyle = 'rgba(90,60,45,0.85)';
  c.lineWidth = Math.max(1.2, size * 0.006);
  c.beginPath();
  c.moveTo(from.x, from.y);
  for (let i = 1; i <= 40; i++) c.lineTo(at(i / 40).x, at(i / 40).y);
  c.stroke();
  for (let i = 1; i <= 6; i++) {
    const p = at(i / 6.2);
    const q = at(i / 6.2 + 0.02);
    const along = Math.atan2(q.y - p.y, q.x - p.x);
    const colour = colours[i % colours.length]!;
    for (const sign of [-1, 1]) {
      c.save();
      c.translate(p.x, p.y);
      c.rotate(along + (next() - 0.5) * 0.5);
      c.fillStyle = colour;
      c.beginPath();
      c.moveTo(0, 0);
      c.bezierCurveTo(
        size * 0.02,
        sign * size * 0.05,
        -size * 0.01,
        sign * size * 0.085,
        -size * 0.035,
        sign * size * 0.08,
      );
      c.bezierCurveTo(0, sign * size * 0.07, size * 0.06, sign * size * 0.1, size * 0.05, sign * size * 0.06);
      c.closePath();
      c.fill();
      c.fillStyle = sign < 0 ? 'rgba(255,255,255,0.22)' : 'rgba(20,0,10,0.22)';
      c.fill();
      c.restore();
    }
  }
}

/** A delta kite seen from below, `size` pixels wide. */
export function deltaKite(c: SKRSContext2D, x: number, y: number, size: number, look: KiteLook): void {
  const r = (look.turn * Math.PI) / 180;
  const turned = (px: number, py: number): At => ({
    x: x + size * (px * Math.cos(r) - py * Math.sin(r)),
    y: y + size * (px * Math.sin(r) + py * Math.cos(r)),
  });
  const nose = turned(0, -0.22);
  const keel = turned(0, 0.2);
  tail(c, keel, size * 0.7, look, random(look.seed));
  panel(c, [nose, turned(-0.5, 0.16), turned(-0.16, 0.13), keel], look.colours[0], 0.9, nose, look.seed + 1);
  panel(c, [nose, turned(0.5, 0.16), turned(0.16, 0.13), keel], look.colours[1], 0.3, nose, look.seed + 2);
  panel(c, [nose, turned(-0.17, 0.05), keel], look.colours[2], 0.7, nose, look.seed + 3);
  panel(c, [nose, turned(0.17, 0.05), keel], look.colours[3], 0.2, nose, look.seed + 4);
}

export interface Coat {
  top: string;
  legs: string;
  hair: string;
  /** Arm stretched up to a line, -1 left, 1 right, 0 none. */
  arm: -1 | 0 | 1;
}

/** Someone seen from behind, `size` pixels tall with the feet at (x, y). Returns where the raised hand is. */
export function person(
  c: SKRSContext2D,
  x: number,
  y: number,
  size: number,
  coat: Coat,
  lit: -1 | 1 = 1,
): At {
  c.save();
  c.translate(x, y);
  c.scale(0.74, 1);
  const hand = figure(c, size, coat, lit);
  c.restore();
  return { x: x + hand.x * 0.74, y: y + hand.y };
}

function figure(c: SKRSContext2D, s: number, coat: Coat, lit: -1 | 1): At {
  const x = 0;
  const y = 0;
  const shape = (colour: string, draw: () => void) => {
    c.fillStyle = colour;
    c.beginPath();
    draw();
    c.fill();
    const below = c.createLinearGradient(0, -s * 0.8, 0, 0);
    below.addColorStop(0, 'rgba(20,15,35,0)');
    below.addColorStop(1, 'rgba(20,15,35,0.4)');
    c.fillStyle = below;
    c.fill();
    const shade = c.createLinearGradient(x - s * 0.16, 0, x + s * 0.16, 0);
    shade.addColorStop(lit > 0 ? 1 : 0, 'rgba(255,238,205,0.32)');
    shade.addColorStop(0.5, 'rgba(0,0,0,0)');
    shade.addColorStop(lit > 0 ? 0 : 1, 'rgba(15,10,30,0.42)');
    c.fillStyle = shade;
    c.fill();
  };
  for (const side of [-1, 1])
    shape(coat.legs, () => {
      c.moveTo(x + side * s * 0.015, y - s * 0.46);
      c.bezierCurveTo(
        x + side * s * 0.13,
        y - s * 0.46,
        x + side * s * 0.1,
        y - s * 0.2,
        x + side * s * 0.095,
        y,
      );
      c.bezierCurveTo(
        x + side * s * 0.13,
        y + s * 0.012,
        x + side * s * 0.04,
        y + s * 0.016,
        x + side * s * 0.035,
        y - s * 0.01,
      );
      c.bezierCurveTo(
        x + side * s * 0.03,
        y - s * 0.2,
        x + side * s * 0.02,
        y - s * 0.3,
        x + side * s * 0.005,
        y - s * 0.42,
      );
    });
  shape(coat.top, () => {
    c.moveTo(x - s * 0.125, y - s * 0.42);
    c.bezierCurveTo(x - s * 0.14, y - s * 0.6, x - s * 0.16, y - s * 0.76, x - s * 0.1, y - s * 0.8);
    c.bezierCurveTo(x - s * 0.04, y - s * 0.84, x + s * 0.04, y - s * 0.84, x + s * 0.1, y - s * 0.8);
    c.bezierCurveTo(x + s * 0.16, y - s * 0.76, x + s * 0.14, y - s * 0.6, x + s * 0.125, y - s * 0.42);
    c.bezierCurveTo(x + s * 0.05, y - s * 0.39, x - s * 0.05, y - s * 0.39, x - s * 0.125, y - s * 0.42);
  });
  const hand = coat.arm
    ? { x: x + coat.arm * s * 0.24, y: y - s * 1.0 }
    : { x: x + s * 0.17, y: y - s * 0.47 };
  c.lineCap = 'round';
  c.strokeStyle = coat.top;
  c.lineWidth = s * 0.07;
  c.beginPath();
  c.moveTo(x + (coat.arm || 1) * s * 0.11, y - s * 0.75);
  c.quadraticCurveTo(x + (coat.arm || 1) * s * 0.21, y - s * (coat.arm ? 0.8 : 0.6), hand.x, hand.y);
  c.stroke();
  c.beginPath();
  c.moveTo(x - (coat.arm || 1) * s * 0.11, y - s * 0.75);
  c.quadraticCurveTo(
    x - (coat.arm || 1) * s * 0.19,
    y - s * 0.62,
    x - (coat.arm || 1) * s * 0.15,
    y - s * 0.47,
  );
  c.stroke();
  shape('#c89a78', () => c.ellipse(x, y - s * 0.875, s * 0.056, s * 0.062, 0, 0, Math.PI * 2));
  shape(coat.hair, () => c.ellipse(x, y - s * 0.915, s * 0.074, s * 0.066, 0, 0, Math.PI * 2));
  return hand;
}

/** The dark patch someone throws on the ground, stretched by the light. */
export function groundShadow(c: SKRSContext2D, x: number, y: number, size: number, slant: number): void {
  c.save();
  c.filter = `blur(${Math.max(1, size * 0.02)}px)`;
  c.fillStyle = 'rgba(40,25,20,0.42)';
  c.beginPath();
  c.moveTo(x - size * 0.09, y);
  c.quadraticCurveTo(x + slant * size * 0.5, y + size * 0.02, x + slant * size, y + size * 0.16);
  c.quadraticCurveTo(x + slant * size * 0.6, y + size * 0.13, x + size * 0.1, y + size * 0.02);
  c.fill();
  c.restore();
}

/** A white and red tower with its lamp lit, `size` pixels tall with the foot at (x, y). */
export function lighthouse(c: SKRSContext2D, x: number, y: number, size: number, warm: string): void {
  const s = size;
  const half = (t: number) => s * (0.105 - 0.042 * t);
  const bands = 5;
  for (let i = 0; i < bands; i++) {
    const t0 = (i / bands) * 0.8;
    const t1 = ((i + 1) / bands) * 0.8;
    c.fillStyle = i % 2 ? '#b3423a' : '#efe8dc';
    c.beginPath();
    c.moveTo(x - half(t0), y - t0 * s);
    c.quadraticCurveTo(x, y - t0 * s + s * 0.012, x + half(t0), y - t0 * s);
    c.lineTo(x + half(t1), y - t1 * s);
    c.quadraticCurveTo(x, y - t1 * s + s * 0.012, x - half(t1), y - t1 * s);
    c.fill();
  }
  const round = c.createLinearGradient(x - s * 0.11, 0, x + s * 0.11, 0);
  round.addColorStop(0, 'rgba(255,214,170,0.35)');
  round.addColorStop(0.3, 'rgba(255,240,220,0.1)');
  round.addColorStop(1, 'rgba(25,20,50,0.62)');
  c.fillStyle = round;
  c.beginPath();
  c.moveTo(x - half(0), y);
  c.lineTo(x + half(0), y);
  c.lineTo(x + half(0.8), y - 0.8 * s);
  c.lineTo(x - half(0.8), y - 0.8 * s);
  c.fill();
  c.fillStyle = '#3a3540';
  c.fillRect(x - s * 0.088, y - s * 0.825, s * 0.176, s * 0.026);
  for (let i = 0; i <= 8; i++)
    c.fillRect(x - s * 0.086 + (i * s * 0.172) / 8, y - s * 0.865, s * 0.004, s * 0.042);
  c.fillRect(x - s * 0.086, y - s * 0.868, s * 0.172, s * 0.006);
  c.fillStyle = warm;
  c.fillRect(x - s * 0.045, y - s * 0.91, s * 0.09, s * 0.085);
  c.fillStyle = '#3a3540';
  for (const dx of [-0.045, -0.015, 0.012, 0.041]) c.fillRect(x + s * dx, y - s * 0.91, s * 0.005, s * 0.085);
  c.beginPath();
  c.moveTo(x - s * 0.06, y - s * 0.908);
  c.quadraticCurveTo(x - s * 0.04, y - s * 0.968, x, y - s * 0.975);
  c.quadraticCurveTo(x + s * 0.04, y - s * 0.968, x + s * 0.06, y - s * 0.908);
  c.fill();
  c.fillStyle = '#54424a';
  for (const t of [0.2, 0.42, 0.63]) c.fillRect(x - s * 0.012, y - t * s - s * 0.02, s * 0.02, s * 0.034);
}

/** A paper lantern lit from within, `size` pixels wide. */
export function lantern(c: SKRSContext2D, x: number, y: number, size: number, colour: string): void {
  c.save();
  c.globalCompositeOperation = 'lighter';
  const halo = c.createRadialGradient(x, y, size * 0.2, x, y, size * 2.6);
  halo.addColorStop(0, 'rgba(255,170,80,0.42)');
  halo.addColorStop(0.35, 'rgba(255,130,50,0.12)');
  halo.addColorStop(1, 'rgba(255,120,40,0)');
  c.fillStyle = halo;
  c.fillRect(x - size * 3, y - size * 3, size * 6, size * 6);
  c.restore();
  const body = c.createRadialGradient(x, y + size * 0.12, size * 0.05, x, y, size * 0.62);
  body.addColorStop(0, '#fff6d2');
  body.addColorStop(0.4, '#ffd98a');
  body.addColorStop(0.8, colour);
  body.addColorStop(1, '#7c2f1e');
  c.fillStyle = body;
  c.beginPath();
  c.ellipse(x, y, size * 0.5, size * 0.56, 0, 0, Math.PI * 2);
  c.fill();
  c.strokeStyle = 'rgba(110,40,20,0.34)';
  c.lineWidth = Math.max(1, size * 0.012);
  for (let i = -4; i <= 4; i++) {
    const h = (i / 4.6) * size * 0.56;
    const w = size * 0.5 * Math.sqrt(1 - (i / 4.6) ** 2);
    c.beginPath();
    c.ellipse(x, y + h, w, w * 0.13, 0, 0, Math.PI);
    c.stroke();
  }
  c.fillStyle = '#2b1a16';
  c.fillRect(x - size * 0.13, y - size * 0.6, size * 0.26, size * 0.07);
  c.fillRect(x - size * 0.11, y + size * 0.54, size * 0.22, size * 0.05);
}
