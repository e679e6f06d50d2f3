/** A dog and a gull. */
import type { SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { lit } from './people';

/** A dog sitting, seen from the front; `size` pixels tall, its paws at (x, y). */
export function dog(c: SKRSContext2D, x: number, y: number, size: number, coat: string, lookAside = 0): void {
  const s = size;
  c.save();
  c.translate(x, y);
  const fur = (by: number) => lit(coat, by);
  const blob = (cx: number, cy: number, rx: number, ry: number, turn: number, by: number) => {
    const g = c.createRadialGradient(
      (cx - rx * 0.3) * s,
      (cy - ry * 0.4) * s,
      0,
      cx * s,
      cy * s,
      Math.max(rx, ry) * s,
    );
    g.addColorStop(0, fur(by * 1.22));
    g.addColorStop(1, fur(by * 0.62));
    c.fillStyle = g;
    c.beginPath();
    c.ellipse(cx * s, cy * s, rx * s, ry * s, turn, 0, 7);
    c.fill();
  };
  blob(0.24, -0.1, 0.2, 0.13, 0.2, 0.8);
  blob(-0.24, -0.1, 0.2, 0.13, -0.2, 0.8);
  blob(0, -0.32, 0.27, 0.33, 0, 0.95);
  blob(0, -0.34, 0.15, 0.26, 0, 1.16);
  for (const side of [-1, 1]) {
    blob(side * 0.11, -0.16, 0.065, 0.18, 0, 1.05);
    blob(side * 0.11, -0.025, 0.085, 0.045, 0, 1.1);
  }
  c.translate(lookAside * s * 0.05, 0);
  for (const side of [-1, 1]) blob(side * 0.21, -0.72, 0.075, 0.17, side * -0.35, 0.68);
  blob(0, -0.74, 0.2, 0.19, 0, 1.02);
  blob(lookAside * 0.03, -0.65, 0.105, 0.095, 0, 1.24);
  c.fillStyle = '#1c1412';
  c.beginPath();
  c.ellipse(lookAside * s * 0.04, -s * 0.69, s * 0.042, s * 0.03, 0, 0, 7);
  c.fill();
  for (const side of [-1, 1]) {
    c.fillStyle = '#1a100c';
    c.beginPath();
    c.arc(side * s * 0.085 + lookAside * s * 0.02, -s * 0.785, s * 0.024, 0, 7);
    c.fill();
    c.fillStyle = 'rgba(255,255,255,0.85)';
    c.beginPath();
    c.arc(side * s * 0.085 - s * 0.008 + lookAside * s * 0.02, -s * 0.793, s * 0.007, 0, 7);
    c.fill();
  }
  c.fillStyle = '#d0656b';
  c.beginPath();
  c.ellipse(lookAside * s * 0.04 + s * 0.01, -s * 0.585, s * 0.03, s * 0.045, 0, 0, 7);
  c.fill();
  const next = random(7);
  c.lineWidth = Math.max(1, s * 0.004);
  for (let i = 0; i < 420; i++) {
    const [a, r] = [next() * 6.3, Math.sqrt(next())];
    const onHead = next() > 0.62;
    const [px, py] = onHead
      ? [Math.cos(a) * r * 0.19, -0.74 + Math.sin(a) * r * 0.17]
      : [Math.cos(a) * r * 0.26, -0.32 + Math.sin(a) * r * 0.31];
    c.strokeStyle = lit(coat, next() > 0.5 ? 1.4 : 0.55, 0.25);
    c.beginPath();
    c.moveTo(px * s, py * s);
    c.lineTo((px + (next() - 0.5) * 0.02) * s, (py + 0.03) * s);
    c.stroke();
  }
  c.restore();
}

/** A gull on a post, seen from its side. */
export function gull(c: SKRSContext2D, x: number, y: number, s: number): void {
  const g = c.createLinearGradient(0, y - s, 0, y);
  g.addColorStop(0, '#ffffff');
  g.addColorStop(1, '#cfd3d6');
  const post = c.createLinearGradient(x - s * 0.14, 0, x + s * 0.14, 0);
  post.addColorStop(0, '#8a755c');
  post.addColorStop(1, '#43372c');
  c.fillStyle = post;
  c.fillRect(x - s * 0.14, y, s * 0.28, s * 3);
  c.strokeStyle = '#d99a4a';
  c.lineWidth = s * 0.035;
  for (const dx of [-0.03, 0.07]) {
    c.beginPath();
    c.moveTo(x + dx * s, y - s * 0.2);
    c.lineTo(x + dx * s, y);
    c.stroke();
  }
  c.fillStyle = g;
  c.beginPath();
  c.ellipse(x, y - s * 0.4, s * 0.46, s * 0.22, -0.18, 0, 7);
  c.fill();
  c.beginPath();
  c.moveTo(x + s * 0.2, y - s * 0.5);
  c.quadraticCurveTo(x + s * 0.34, y - s * 0.78, x + s * 0.4, y - s * 0.86);
  c.quadraticCurveTo(x + s * 0.56, y - s * 0.8, x + s * 0.42, y - s * 0.4);
  c.fill();
  c.beginPath();
  c.arc(x + s * 0.43, y - s * 0.82, s * 0.13, 0, 7);
  c.fill();
  c.fillStyle = '#9aa4ad';
  c.beginPath();
  c.moveTo(x + s * 0.24, y - s * 0.52);
  c.quadraticCurveTo(x - s * 0.1, y - s * 0.66, x - s * 0.72, y - s * 0.28);
  c.quadraticCurveTo(x - s * 0.1, y - s * 0.2, x + s * 0.24, y - s * 0.52);
  c.fill();
  c.fillStyle = '#2b2f35';
  c.beginPath();
  c.moveTo(x - s * 0.44, y - s * 0.42);
  c.lineTo(x - s * 0.8, y - s * 0.24);
  c.lineTo(x - s * 0.4, y - s * 0.26);
  c.fill();
  c.fillStyle = '#e8b13c';
  c.beginPath();
  c.moveTo(x + s * 0.54, y - s * 0.86);
  c.quadraticCurveTo(x + s * 0.72, y - s * 0.84, x + s * 0.73, y - s * 0.76);
  c.lineTo(x + s * 0.55, y - s * 0.78);
  c.fill();
  c.fillStyle = '#17181b';
  c.beginPath();
  c.arc(x + s * 0.47, y - s * 0.85, s * 0.022, 0, 7);
  c.fill();
}
