/** A cottage's door, as one passes it. */
import type { SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { fbm } from '../../art/noise';
import { lit } from './people';

/** A cottage's door in its wall, roses climbing beside it. */
export function door(c: SKRSContext2D, w: number, h: number, paint: string, seed: number): void {
  const next = random(seed);
  const [left, right, top, foot] = [w * 0.27, w * 0.75, h * 0.14, h * 0.88];
  wall(c, w, h, fbm(seed, 4), next);
  surround(c, w, h, [left, right, top, foot], next);
  leaf(c, w, h, paint, [left, right, top, foot], next);
  roses(c, w, h, next);
}

type Opening = readonly [left: number, right: number, top: number, foot: number];

/** Lime wash over stones that one feels rather than sees. */
function wall(
  c: SKRSContext2D,
  w: number,
  h: number,
  rough: (x: number, y: number) => number,
  next: () => number,
): void {
  c.fillStyle = '#ece4d6';
  c.fillRect(0, 0, w, h);
  for (let row = 0; row < 15; row++)
    for (let k = -1; k < 8; k++) {
      const [x, y] = [((k + (row % 2) / 2 + 0.2 * next()) * w) / 7, (row * h) / 15];
      c.fillStyle = lit('#e3d8c5', 0.88 + 0.22 * rough(k * 1.7, row * 1.3), 0.55);
      c.beginPath();
      c.roundRect(x + 6, y + 6, (w / 7) * 0.94, (h / 15) * 0.9, 26);
      c.fill();
    }
  const light = c.createLinearGradient(0, 0, w, h);
  light.addColorStop(0, 'rgba(255,240,200,0.35)');
  light.addColorStop(1, 'rgba(80,70,90,0.35)');
  c.fillStyle = light;
  c.fillRect(0, 0, w, h);
}

/** Lintel and jambs of granite, and the step. */
function surround(
  c: SKRSContext2D,
  w: number,
  h: number,
  [left, right, top, foot]: Opening,
  next: () => number,
): void {
  const stone = (x: number, y: number, sw: number, sh: number): void => {
    const g = c.createLinearGradient(x, y, x + sw, y + sh);
    const base = ['#a8a29a', '#b5aea3', '#989289'][Math.floor(next() * 3)]!;
    g.addColorStop(0, lit(base, 1.16));
    g.addColorStop(1, lit(base, 0.82));
    c.fillStyle = g;
    c.beginPath();
    c.roundRect(x + 2, y + 2, sw - 4, sh - 4, 9);
    c.fill();
  };
  const jamb = w * 0.075;
  for (let k = 0; k < 7; k++) {
    const [y, sh] = [top + (k * (foot - top)) / 7, (foot - top) / 7];
    stone(left - jamb * (k % 2 ? 1 : 1.25), y, jamb * (k % 2 ? 1 : 1.25), sh);
    stone(right, y, jamb * (k % 2 ? 1.25 : 1), sh);
  }
  stone(left - jamb * 1.5, top - h * 0.065, right - left + jamb * 3, h * 0.068);
  c.fillStyle = lit('#8f897f', 0.9);
  c.fillRect(0, foot + h * 0.05, w, h);
  stone(left - jamb * 1.4, foot, right - left + jamb * 2.8, h * 0.07);
}

/** Boards of painted wood in the shade of the reveal, a small pane that shows the sky, a letter box and a knob. */
function leaf(
  c: SKRSContext2D,
  w: number,
  h: number,
  paint: string,
  [left, right, top, foot]: Opening,
  next: () => number,
): void {
  c.fillStyle = '#2b2622';
  c.fillRect(left, top, right - left, foot - top);
  const [dl, dr, dt] = [left + 12, right - 8, top + 14];
  const boards = 5;
  for (let k = 0; k < boards; k++) {
    const [x, bw] = [dl + (k * (dr - dl)) / boards, (dr - dl) / boards];
    const g = c.createLinearGradient(x, 0, x + bw, 0);
    g.addColorStop(0, lit(paint, 0.6));
    g.addColorStop(0.08, lit(paint, 1.1));
    g.addColorStop(0.9, lit(paint, 0.94 + 0.08 * next()));
    g.addColorStop(1, lit(paint, 0.5));
    c.fillStyle = g;
    c.fillRect(x, dt, bw, foot - dt);
    c.strokeStyle = lit(paint, 0.75, 0.35);
    c.lineWidth = 2;
    for (let line = 0; line < 7; line++) {
      const gx = x + bw * (0.1 + 0.8 * next());
      c.beginPath();
      c.moveTo(gx, dt);
      c.bezierCurveTo(gx + 8 * next(), dt + h * 0.2, gx - 8 * next(), dt + h * 0.5, gx, foot);
      c.stroke();
    }
  }
  const shade = c.createLinearGradient(0, dt, 0, dt + h * 0.12);
  shade.addColorStop(0, 'rgba(10,8,14,0.6)');
  shade.addColorStop(1, 'rgba(10,8,14,0)');
  c.fillStyle = shade;
  c.fillRect(left, dt, right - left, h * 0.12);
  const [px, py, ps] = [(dl + dr) / 2 - w * 0.09, dt + h * 0.1, w * 0.18];
  c.fillStyle = lit(paint, 0.55);
  c.fillRect(px - 14, py - 14, ps + 28, ps + 28);
  const sky = c.createLinearGradient(px, py, px + ps, py + ps);
  sky.addColorStop(0, '#cfe2ea');
  sky.addColorStop(0.45, '#7f9db0');
  sky.addColorStop(0.5, '#b9d0da');
  sky.addColorStop(1, '#4b6272');
  c.fillStyle = sky;
  c.fillRect(px, py, ps, ps);
  c.strokeStyle = lit(paint, 0.8);
  c.lineWidth = 12;
  c.strokeRect(px, py, ps, ps);
  c.beginPath();
  c.moveTo(px + ps / 2, py);
  c.lineTo(px + ps / 2, py + ps);
  c.moveTo(px, py + ps / 2);
  c.lineTo(px + ps, py + ps / 2);
  c.stroke();
  const brass = (x: number, y: number, r: number) => {
    const g = c.createRadialGradient(x - r * 0.4, y - r * 0.5, r * 0.1, x, y, r * 1.2);
    g.addColorStop(0, '#fff3c4');
    g.addColorStop(0.4, '#cf9f45');
    g.addColorStop(1, '#5f3f12');
    return g;
  };
  c.save();
  c.shadowColor = 'rgba(0,0,0,0.5)';
  c.shadowBlur = 12;
  c.shadowOffsetX = 6;
  c.shadowOffsetY = 9;
  const [mx, my] = [(dl + dr) / 2, dt + h * 0.37];
  c.fillStyle = brass(mx, my, w * 0.08);
  c.beginPath();
  c.roundRect(mx - w * 0.075, my, w * 0.15, h * 0.028, 8);
  c.fill();
  const [kx, ky] = [dl + w * 0.05, dt + h * 0.42];
  c.fillStyle = brass(kx, ky, w * 0.024);
  c.beginPath();
  c.arc(kx, ky, w * 0.024, 0, 7);
  c.fill();
  c.restore();
}

/** Roses that climb the wall on the left and over the lintel. */
function roses(c: SKRSContext2D, w: number, h: number, next: () => number): void {
  const spray = Array.from({ length: 560 }, (_, k) => {
    const t = next();
    const on =
      k % 3
        ? [w * (0.1 + 0.05 * Math.sin(t * 9)), h * (1 - t)]
        : [w * (0.1 + 0.72 * t), h * (0.05 + 0.02 * Math.sin(t * 14))];
    const far = w * 0.1 * Math.sqrt(-2 * Math.log(1 - 0.92 * next())) * 0.7;
    const a = 6.28 * next();
    return [on[0]! + far * Math.cos(a), on[1]! + far * Math.sin(a) * 0.8, a] as const;
  });
  for (const [x, y, a] of spray) {
    const r = w * (0.013 + 0.012 * next());
    c.fillStyle = lit(
      ['#4d6b3a', '#6b8a4a', '#3b562e', '#86a05f'][Math.floor(next() * 4)]!,
      0.85 + 0.3 * next(),
    );
    c.save();
    c.translate(x, y);
    c.rotate(a);
    c.beginPath();
    c.moveTo(-r, 0);
    c.quadraticCurveTo(0, -r * 0.9, r * 1.4, 0);
    c.quadraticCurveTo(0, r * 0.9, -r, 0);
    c.fill();
    c.restore();
  }
  for (const [x, y, a] of spray.filter((_, k) => k % 11 === 0)) {
    const r = w * (0.019 + 0.014 * next());
    const pink = ['#e8a3a6', '#d97b86', '#f1c3bb'][Math.floor(next() * 3)]!;
    for (let ring = 4; ring >= 0; ring--)
      for (let petal = 0; petal < 5; petal++) {
        const b = a + petal * 1.2566 + ring * 0.7;
        const d = r * ring * 0.17;
        c.fillStyle = lit(pink, 0.78 + 0.1 * (4 - ring) - 0.14 * Math.sin(b - 0.6), 1);
        c.beginPath();
        c.ellipse(
          x + d * Math.cos(b),
          y + d * Math.sin(b),
          r * (0.28 + 0.07 * ring),
          r * (0.22 + 0.06 * ring),
          b,
          0,
          7,
        );
        c.fill();
      }
  }
}
