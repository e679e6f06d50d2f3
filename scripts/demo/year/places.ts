/** Food from above, and houses: what else is photographed in a year. */
import { createCanvas, type Canvas, type SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { fbm } from '../../art/noise';
import { blend, expose, fromHex } from '../photos/light';

/** A wooden table from above. */
export function table(width: number, height: number, seed: number, dark: string, light: string): Canvas {
  const grain = fbm(seed, 5, 0.55);
  const [a, b] = [fromHex(dark), fromHex(light)];
  const board = width / 4.2;
  return expose(width, height, (x, y, out) => {
    const plank = Math.floor(x / board);
    const seam = Math.min(1, Math.abs((x % board) - 2) / 5);
    const g = grain((x / width) * 26 + plank * 7.7, (y / height) * 2.4 + plank * 3.1);
    const fine = grain((x / width) * 190 + plank, (y / height) * 7);
    const wood = blend(a, b, Math.max(0, Math.min(1, 0.5 + 0.5 * g + 0.16 * fine)));
    const shade = (0.42 + 0.58 * seam) * (1.06 - 0.25 * (y / height));
    for (let k = 0; k < 3; k++) out[k as 0] = wood[k as 0] * shade;
  });
}

/** A round thing with a rim, lit from the upper left, and its shadow. */
function disc(
  c: SKRSContext2D,
  x: number,
  y: number,
  r: number,
  stops: readonly (readonly [number, string])[],
  lift = 0.08,
): void {
  c.save();
  c.shadowColor = 'rgba(25,12,8,0.55)';
  c.shadowBlur = r * lift * 2;
  c.shadowOffsetX = r * lift;
  c.shadowOffsetY = r * lift * 1.3;
  const g = c.createRadialGradient(x - r * 0.15, y - r * 0.2, 0, x, y, r);
  for (const [at, colour] of stops) g.addColorStop(at, colour);
  c.fillStyle = g;
  c.beginPath();
  c.arc(x, y, r, 0, 7);
  c.fill();
  c.restore();
}

export function plate(c: SKRSContext2D, x: number, y: number, r: number, colour = '#f4efe6'): void {
  disc(c, x, y, r, [
    [0, colour],
    [0.66, colour],
    [0.7, '#d9d2c6'],
    [0.74, '#fbf8f2'],
    [0.96, '#efe9de'],
    [1, '#bdb5a8'],
  ]);
}

export function soup(c: SKRSContext2D, x: number, y: number, r: number, colour: string, seed: number): void {
  plate(c, x, y, r * 1.1, '#33506b');
  disc(
    c,
    x,
    y,
    r * 0.78,
    [
      [0, colour],
      [0.85, colour],
      [1, '#6b3a1c'],
    ],
    0,
  );
  const next = random(seed);
  for (let i = 0; i < 26; i++) {
    const [a, d] = [next() * 6.3, Math.sqrt(next()) * r * 0.66];
    c.fillStyle = ['#5f8f3e', '#e7d9b8', '#d98a3a', '#7ba354'][i % 4]!;
    c.globalAlpha = 0.85;
    c.beginPath();
    c.ellipse(
      x + Math.cos(a) * d,
      y + Math.sin(a) * d,
      r * (0.03 + next() * 0.05),
      r * 0.03,
      next() * 3,
      0,
      7,
    );
    c.fill();
  }
  c.globalAlpha = 0.35;
  c.strokeStyle = '#fff6e0';
  c.lineWidth = r * 0.03;
  c.beginPath();
  c.arc(x, y, r * 0.6, 3.4, 4.6);
  c.stroke();
  c.globalAlpha = 1;
}

export function cake(c: SKRSContext2D, x: number, y: number, r: number, icing: string, seed: number): void {
  plate(c, x, y, r * 1.25);
  disc(
    c,
    x,
    y,
    r,
    [
      [0, '#fff5e8'],
      [0.82, icing],
      [1, '#a3683c'],
    ],
    0.14,
  );
  const next = random(seed);
  for (let i = 0; i < 12; i++) {
    const a = (i / 12) * Math.PI * 2;
    disc(
      c,
      x + Math.cos(a) * r * 0.74,
      y + Math.sin(a) * r * 0.74,
      r * 0.09,
      [
        [0, '#ff8a7a'],
        [0.6, '#c8303a'],
        [1, '#7c1522'],
      ],
      0.2,
    );
  }
  for (let i = 0; i < 60; i++) {
    c.fillStyle = ['#c9503f', '#e0a93b', '#3f7f86', '#7c4466'][i % 4]!;
    const [a, d] = [next() * 6.3, Math.sqrt(next()) * r * 0.6];
    c.fillRect(x + Math.cos(a) * d, y + Math.sin(a) * d, r * 0.04, r * 0.014);
  }
}

export function mug(
  c: SKRSContext2D,
  x: number,
  y: number,
  r: number,
  colour: string,
  drink = '#5b3520',
): void {
  c.strokeStyle = colour;
  c.lineWidth = r * 0.26;
  c.beginPath();
  c.arc(x + r * 1.05, y, r * 0.42, -1.5, 1.5);
  c.stroke();
  disc(
    c,
    x,
    y,
    r,
    [
      [0, colour],
      [0.8, colour],
      [0.9, '#fff7ea'],
      [1, colour],
    ],
    0.22,
  );
  disc(
    c,
    x,
    y,
    r * 0.78,
    [
      [0, '#8a5a34'],
      [0.8, drink],
      [1, '#2c1a10'],
    ],
    0,
  );
}

export function buns(c: SKRSContext2D, x: number, y: number, r: number, seed: number): void {
  plate(c, x, y, r * 1.2);
  const next = random(seed);
  for (let i = 0; i < 7; i++) {
    const a = (i / 6) * Math.PI * 2;
    const d = i === 6 ? 0 : r * 0.58;
    disc(
      c,
      x + Math.cos(a) * d,
      y + Math.sin(a) * d,
      r * 0.31,
      [
        [0, '#f0c98a'],
        [0.5, '#d39a50'],
        [0.85, '#a8662c'],
        [1, '#6d3d18'],
      ],
      0.16,
    );
    c.fillStyle = 'rgba(255,250,240,0.8)';
    for (let k = 0; k < 9; k++) {
      const [b, e] = [next() * 6.3, Math.sqrt(next()) * r * 0.2];
      c.fillRect(
        x + Math.cos(a) * d + Math.cos(b) * e,
        y + Math.sin(a) * d + Math.sin(b) * e,
        r * 0.03,
        r * 0.02,
      );
    }
  }
}

/** A row of cottages whose feet stand on y; windows are lit at night. */
export function cottages(
  c: SKRSContext2D,
  x: number,
  y: number,
  wide: number,
  seed: number,
  night = false,
): void {
  const next = random(seed);
  const walls = ['#efe6d2', '#d9b7a0', '#c9d3d2', '#e7d7a4', '#b9c4b2'];
  const roofs = ['#8a4a3a', '#5b5f66', '#74483a', '#4d5a57'];
  let at = x;
  for (let i = 0; at < x + wide; i++) {
    const w = wide * (0.13 + next() * 0.06);
    const h = w * (0.72 + next() * 0.4);
    const wall = walls[(i + seed) % walls.length]!;
    const g = c.createLinearGradient(at, 0, at + w, 0);
    g.addColorStop(0, wall);
    g.addColorStop(1, night ? '#4a4658' : '#b9ab95');
    c.fillStyle = g;
    c.fillRect(at, y - h, w, h);
    if (night) {
      c.fillStyle = 'rgba(20,24,52,0.68)';
      c.fillRect(at, y - h, w, h);
    }
    c.fillStyle = night ? '#1b1d2e' : roofs[(i + seed) % roofs.length]!;
    c.beginPath();
    c.moveTo(at - w * 0.06, y - h);
    c.lineTo(at + w * 0.14, y - h - w * 0.42);
    c.lineTo(at + w * 0.86, y - h - w * 0.42);
    c.lineTo(at + w * 1.06, y - h);
    c.fill();
    c.fillRect(at + w * 0.68, y - h - w * 0.62, w * 0.12, w * 0.3);
    for (const [wx, wy] of [
      [0.14, 0.82],
      [0.6, 0.82],
      [0.14, 0.42],
      [0.6, 0.42],
    ] as const) {
      const lit = night && next() > 0.25;
      c.fillStyle = '#f7f2e6';
      c.fillRect(at + w * wx - w * 0.015, y - h * wy - w * 0.015, w * 0.27, w * 0.27);
      c.fillStyle = lit ? '#ffc765' : night ? '#141a2c' : '#4d6879';
      c.fillRect(at + w * wx, y - h * wy, w * 0.24, w * 0.24);
      c.strokeStyle = '#f7f2e6';
      c.lineWidth = w * 0.014;
      c.strokeRect(at + w * wx + w * 0.12, y - h * wy, 0.1, w * 0.24);
    }
    c.fillStyle = ['#9e2b45', '#2f6f68', '#24506b'][i % 3]!;
    c.fillRect(at + w * 0.42, y - h * 0.36, w * 0.15, h * 0.36);
    at += w * 1.02;
  }
}

/** A canvas out of focus: what lies behind someone near by. */
export function far(canvas: Canvas, blur: number): Canvas {
  const out = createCanvas(canvas.width, canvas.height);
  const c = out.getContext('2d');
  c.filter = `blur(${blur}px)`;
  // Drawn a little larger, so that no edge grows pale.
  const by = blur * 2;
  c.drawImage(canvas, -by, -by, canvas.width + 2 * by, canvas.height + 2 * by);
  return out;
}
