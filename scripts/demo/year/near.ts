/** What is photographed from near by: flowers, a hand. */
import type { SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { lit } from './people';

/** A head of thrift of radius r: florets set about a ball by the golden angle, nearer ones last. */
function thrift(c: SKRSContext2D, x: number, y: number, r: number, pink: string, seed: number): void {
  const next = random(seed);
  const florets = Array.from({ length: 95 }, (_, k) => {
    const z = 1 - (1.55 * (k + 0.5)) / 95;
    const a = k * 2.39996 + seed;
    const s = Math.sqrt(1 - z * z);
    return { dx: s * Math.cos(a), dy: s * Math.sin(a) * 0.86 - 0.06, z, turn: 6.28 * next() };
  }).sort((a, b) => a.z - b.z);
  for (const { dx, dy, z, turn } of florets) {
    const light = 0.72 + 0.3 * z - 0.22 * (dx * 0.5 + dy * 0.8);
    const size = r * (0.16 + 0.08 * Math.max(0, z));
    c.save();
    c.translate(x + dx * r, y + dy * r);
    c.rotate(turn);
    c.scale(1, 0.55 + 0.45 * Math.max(0.2, z));
    for (let petal = 0; petal < 5; petal++) {
      c.rotate(1.2566);
      const g = c.createLinearGradient(0, 0, size * 1.1, 0);
      g.addColorStop(0, lit(pink, light * 0.72));
      g.addColorStop(1, lit(pink, light * 1.16));
      c.fillStyle = g;
      c.beginPath();
      c.moveTo(0, 0);
      c.bezierCurveTo(size * 0.3, -size * 0.42, size, -size * 0.5, size * 1.05, -size * 0.06);
      c.bezierCurveTo(size, size * 0.5, size * 0.3, size * 0.42, 0, 0);
      c.fill();
    }
    c.fillStyle = lit('#f4e2b0', light);
    c.beginPath();
    c.arc(0, 0, size * 0.13, 0, 7);
    c.fill();
    c.restore();
  }
}

/** A cushion of thrift: stems out of a tuft of needles, a head on each; sizes and places are shares of the height. */
export function thrifts(
  c: SKRSContext2D,
  w: number,
  h: number,
  seed: number,
  count: number,
  size: number,
): void {
  const next = random(seed);
  const heads = Array.from({ length: count }, (_, i) => ({
    x: w * (0.06 + (0.88 * (i + 0.2 + 0.6 * next())) / count),
    y: h * (0.26 + 0.34 * next()),
    r: h * size * (0.8 + 0.4 * next()),
  }));
  const foot = h * 1.08;
  for (const { x, y, r } of heads) {
    const g = c.createLinearGradient(x, y, x, foot);
    g.addColorStop(0, '#8a9a6a');
    g.addColorStop(1, '#4e6540');
    c.strokeStyle = g;
    c.lineWidth = r * 0.12;
    c.lineCap = 'round';
    c.beginPath();
    c.moveTo(x, y);
    c.quadraticCurveTo(x + r * (next() - 0.5), (y + foot) / 2, x + r * 1.6 * (next() - 0.5), foot);
    c.stroke();
  }
  for (let i = 0; i < 90 * count; i++) {
    const [x, high] = [w * next() * 1.1 - w * 0.05, h * (0.1 + 0.16 * next())];
    c.strokeStyle = lit(['#5f7f4a', '#7d9a5c', '#48663c'][i % 3]!, 0.8 + 0.4 * next(), 0.9);
    c.lineWidth = h * 0.004;
    c.beginPath();
    c.moveTo(x, h * 1.02);
    c.quadraticCurveTo(x, h - high * 0.6, x + (next() - 0.5) * h * 0.14, h - high);
    c.stroke();
  }
  heads
    .sort((a, b) => a.r - b.r)
    .forEach(({ x, y, r }, i) => thrift(c, x, y, r, ['#d97fa6', '#c9638f', '#e59fbb'][i % 3]!, seed + i));
}

/** A rounded thing lit from the upper left: a finger, an arm. */
function roll(
  c: SKRSContext2D,
  from: readonly [number, number],
  to: readonly [number, number],
  r: number,
  hex: string,
): void {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const long = Math.hypot(dx, dy) || 1;
  const [nx, ny] = [(-dy / long) * r, (dx / long) * r];
  // Across it, from the side that looks up to the one that looks down.
  const up = ny < 0 || (ny === 0 && nx < 0) ? 1 : -1;
  const g = c.createLinearGradient(
    from[0] + nx * up,
    from[1] + ny * up,
    from[0] - nx * up,
    from[1] - ny * up,
  );
  g.addColorStop(0, lit(hex, 0.98));
  g.addColorStop(0.25, lit(hex, 1.16));
  g.addColorStop(0.62, lit(hex, 0.92));
  g.addColorStop(1, lit(hex, 0.58));
  c.strokeStyle = g;
  c.lineCap = 'round';
  c.lineWidth = 2 * r;
  c.beginPath();
  c.moveTo(...from);
  c.lineTo(...to);
  c.stroke();
}

/** A hand closed about an upright winder of wood on which a kite's line is wound; s is its breadth over the knuckles in pixels. */
export function handWithWinder(
  c: SKRSContext2D,
  x: number,
  y: number,
  s: number,
  skin: string,
  coat: string,
): void {
  c.save();
  c.translate(x, y);
  c.scale(s / 100, s / 100);
  // The arm comes from below on the right, in its sleeve.
  roll(c, [52, 34], [140, 170], 33, skin);
  roll(c, [86, 92], [190, 250], 50, coat);
  c.strokeStyle = lit(coat, 0.62, 0.8);
  c.lineWidth = 3;
  for (const k of [0, 1]) {
    c.beginPath();
    c.moveTo(48 + 10 * k, 112 + 14 * k);
    c.quadraticCurveTo(82 + 10 * k, 106 + 12 * k, 124 + 8 * k, 66 + 14 * k);
    c.stroke();
  }
  // The back of the hand, behind the winder.
  const back = c.createRadialGradient(10, -20, 10, 30, 20, 95);
  back.addColorStop(0, lit(skin, 1.06));
  back.addColorStop(0.6, lit(skin, 0.86));
  back.addColorStop(1, lit(skin, 0.6));
  c.fillStyle = back;
  c.beginPath();
  c.moveTo(-26, -48);
  c.bezierCurveTo(10, -62, 56, -52, 66, -18);
  c.bezierCurveTo(74, 10, 72, 40, 58, 58);
  c.bezierCurveTo(30, 70, -12, 64, -28, 48);
  c.closePath();
  c.fill();
  // The winder: a staff between two cross-bars, the line wound over and over between them.
  const wood = c.createLinearGradient(-22, 0, 14, 0);
  wood.addColorStop(0, '#e2bf8d');
  wood.addColorStop(0.5, '#b98752');
  wood.addColorStop(1, '#74502d');
  c.fillStyle = wood;
  c.beginPath();
  c.roundRect(-20, -176, 32, 262, 14);
  c.fill();
  for (const [at, wide] of [
    [-178, 118],
    [-92, 118],
  ] as const) {
    c.save();
    c.shadowColor = 'rgba(30,18,10,0.45)';
    c.shadowBlur = 9;
    c.shadowOffsetY = 5;
    const bar = c.createLinearGradient(0, at - 10, 0, at + 14);
    bar.addColorStop(0, '#e9c999');
    bar.addColorStop(1, '#93683c');
    c.fillStyle = bar;
    c.beginPath();
    c.roundRect(-4 - wide / 2, at - 10, wide, 24, 11);
    c.fill();
    c.restore();
  }
  const next = random(7);
  for (let k = 0; k < 46; k++) {
    const [px, lean] = [-44 + 80 * next(), 10 * (next() - 0.5)];
    c.strokeStyle = lit(['#f3ead8', '#d9ccb2', '#bfae90'][k % 3]!, 1, 0.95);
    c.lineWidth = 2.1;
    c.beginPath();
    c.moveTo(px, -164);
    c.quadraticCurveTo(px + lean, -130, px - lean * 0.6, -94);
    c.stroke();
  }
  // The line goes up to the kite.
  c.strokeStyle = 'rgba(250,244,230,0.9)';
  c.lineWidth = 1.8;
  c.beginPath();
  c.moveTo(-36, -160);
  c.quadraticCurveTo(-150, -330, -330, -440);
  c.stroke();
  // Fingers close over it, one below the other, each a little shorter; the thumb lies across the first.
  for (const [at, reach, r] of [
    [50, -24, 15],
    [22, -33, 17],
    [-8, -36, 18],
    [-38, -32, 17.5],
  ] as const) {
    c.save();
    c.shadowColor = 'rgba(60,24,10,0.4)';
    c.shadowBlur = 7;
    c.shadowOffsetY = 5;
    roll(c, [40, at + 3], [reach, at], r, skin);
    c.restore();
    // The joint in the middle, and the end that turns in again towards the palm.
    c.strokeStyle = lit(skin, 0.62, 0.5);
    c.lineWidth = 1.6;
    for (const fold of [0, 4]) {
      c.beginPath();
      c.moveTo(reach + 20 + fold, at - r * 0.62);
      c.quadraticCurveTo(reach + 17 + fold, at, reach + 21 + fold, at + r * 0.62);
      c.stroke();
    }
  }
  c.save();
  c.shadowColor = 'rgba(60,24,10,0.45)';
  c.shadowBlur = 9;
  c.shadowOffsetY = 6;
  roll(c, [58, -40], [30, -62], 19, skin);
  roll(c, [30, -62], [-14, -66], 16.5, skin);
  c.restore();
  c.fillStyle = lit(skin, 1.42);
  c.beginPath();
  c.ellipse(-17, -70, 11, 7, 0.06, 0, 7);
  c.fill();
  c.strokeStyle = lit(skin, 0.7, 0.6);
  c.lineWidth = 1.2;
  c.stroke();
  c.restore();
}
