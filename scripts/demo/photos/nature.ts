/** Sky, sea, sand and dune grass of Saltmarsh Bay. */
import type { Canvas, SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { fbm, mix, noise, smooth } from '../../art/noise';
import { blend, dim, expose, fromHex, type Light } from './light';

export interface Weather {
  seed: number;
  zenith: string;
  horizon: string;
  cloud: string;
  cloudShade: string;
  /** 0 clear, 1 overcast. */
  cover: number;
  /** Sun as shares of width and height; may lie out of the frame. */
  sun: { x: number; y: number; glow: number; colour: string };
  sea: string;
  sand: string;
}

export const MAY_NOON: Weather = {
  seed: 5,
  zenith: '#3f7fb8',
  horizon: '#cfe1e6',
  cloud: '#fbf9f4',
  cloudShade: '#9fb2c2',
  cover: 0.5,
  sun: { x: 0.85, y: -0.3, glow: 0.25, colour: '#fff3d8' },
  sea: '#2f7480',
  sand: '#d8bf93',
};

/** A landscape with its horizon at a share `line` of the height and the waterline at `shore` (1 for none). */
export function coast(width: number, height: number, weather: Weather, line: number, shore: number): Canvas {
  const { seed, sun } = weather;
  const zenith = fromHex(weather.zenith);
  const horizon = fromHex(weather.horizon);
  const cloud = fromHex(weather.cloud);
  const shade = fromHex(weather.cloudShade);
  const glow = fromHex(sun.colour);
  const deep = fromHex(weather.sea);
  const drySand = fromHex(weather.sand);
  const clouds = fbm(seed, 6, 0.52);
  const warp = fbm(seed + 1, 3);
  const wave = fbm(seed + 2, 4, 0.55);
  const chop = noise(seed + 3);
  const grainy = fbm(seed + 4, 4, 0.6);
  const foam = fbm(seed + 5, 4);
  const skyline = line * height;

  function sky(u: number, v: number, out: Light): void {
    // u across, v from 0 at the zenith to 1 at the horizon.
    const lift = Math.min(1, Math.max(0, v)) ** 0.75;
    let base = blend(zenith, horizon, lift);
    const dx = (u - sun.x) * (width / height);
    const dy = v * line - sun.y;
    const near = Math.exp(-(dx * dx + dy * dy) * 5);
    base = [
      base[0] + glow[0] * near * sun.glow,
      base[1] + glow[1] * near * sun.glow,
      base[2] + glow[2] * near * sun.glow,
    ];
    // Clouds lie on a plane overhead: towards the horizon they crowd together.
    const depth = 0.35 / (1.12 - Math.min(1.05, v));
    const px = (u - 0.5) * depth * 5.2 + seed;
    const py = depth * 3.1;
    const bend = warp(px * 0.8, py * 0.8) - 0.5;
    const body = clouds(px + bend, py + bend * 0.6);
    const from = 0.66 - weather.cover * 0.34;
    const cover = smooth(from, from + 0.17, body);
    if (cover > 0) {
      const lit = clouds(px + bend + (sun.x - u) * 0.22, py + bend * 0.6 - 0.16);
      const light = smooth(-0.09, 0.12, body - lit + 0.02);
      const tone = blend(shade, cloud, Math.min(1, light * 0.75 + (1 - cover) * 0.6));
      const warm = near * sun.glow * 1.2;
      const veil = cover * (1 - smooth(0.8, 1.02, v) * 0.75);
      base = blend(
        base,
        [tone[0] + glow[0] * warm, tone[1] + glow[1] * warm, tone[2] + glow[2] * warm],
        veil,
      );
    }
    out[0] = base[0];
    out[1] = base[1];
    out[2] = base[2];
  }

  const mirrorSky: Light = [0, 0, 0];
  return expose(width, height, (x, y, out) => {
    const u = x / width;
    if (y < skyline) return sky(u, y / skyline, out);
    const down = (y - skyline) / (height - skyline);
    const distance = 1 / (down + 0.012);
    const wx = (u - 0.5) * distance * 9;
    const wobble = (foam(wx * 0.35 + 3, 7) - 0.5) * 0.06 + Math.sin(u * 5 + seed) * 0.012;
    const edge = shore + wobble * (0.4 + shore);
    if (down < edge) {
      const swell = wave(wx * 0.5, distance * 3.4);
      const ripple = chop(wx * 2.6, distance * 16);
      const slope = (swell - 0.5) * 0.9 + (ripple - 0.5) * 0.5;
      const fresnel = Math.min(0.9, 0.3 + 0.55 * (1 - down) ** 5 + slope * 0.5);
      sky(u + slope * 0.03, Math.max(0, 0.97 - Math.abs(slope) * 0.9 - down * 0.7), mirrorSky);
      const shallow = smooth(0.35, 1, down / edge) * (shore < 1 ? 1 : 0);
      const body = blend(dim(deep, 0.85 + swell * 0.35), drySand, shallow * 0.38);
      const dx = (u - sun.x) * (width / height);
      const path = Math.exp(-dx * dx * 26) * sun.glow;
      const glitter = smooth(0.68, 0.86, ripple * 0.62 + swell * 0.46) * (0.14 + path * 5);
      const nearShore = edge - down;
      const breaker =
        smooth(0.62, 0.74, foam(wx * 0.5 + 9, distance * 1.1 + nearShore * 24)) *
        smooth(0.2, 0.02, nearShore) *
        (shore < 1 ? 1 : 0.0);
      const lace =
        smooth(0.45, 0.6, grainy(wx * 3, distance * 9)) * smooth(0.05, 0.0, nearShore) * (shore < 1 ? 1 : 0);
      const white = Math.min(1, breaker * 0.85 + lace * 0.9);
      for (let k = 0; k < 3; k++) {
        const water = mix(body[k]!, mirrorSky[k]!, Math.max(0.05, fresnel)) + glow[k]! * glitter;
        out[k] = mix(water, cloud[k]! * 0.95, white);
      }
      return;
    }
    const past = down - edge;
    const wet = smooth(0.16, 0.0, past);
    const px = wx * 5;
    const py = distance * 30;
    const bumps = grainy(px, py) - 0.5;
    const dunes = grainy(wx * 0.9 + 40, distance * 4.5) - 0.5;
    const fineGrain = chop(x * 0.55, y * 0.55) - 0.5;
    const light = 1 + bumps * 0.34 * (1 - wet * 0.7) + dunes * 0.3 + fineGrain * 0.09 * smooth(0, 0.5, down);
    sky(u, Math.max(0, 0.92 - past * 3), mirrorSky);
    for (let k = 0; k < 3; k++) {
      const dry = drySand[k]! * light * 0.94;
      out[k] = mix(dry, dry * 0.42 + mirrorSky[k]! * 0.3, wet * 0.85);
    }
  });
}

/** A grassy dune crest from left to right: sand below, marram grass above it, lit from `fromLeft`. */
export function dune(
  context: SKRSContext2D,
  seed: number,
  crest: (u: number) => number,
  options: { sand: string; shade: string; blades: number; length: number; greens: readonly string[] },
): void {
  const { width, height } = context.canvas;
  const next = random(seed);
  const hills = fbm(seed, 4);
  const top = (u: number) => (crest(u) + (hills(u * 5, 1) - 0.5) * 0.03) * height;
  const ground = context.createLinearGradient(0, height * 0.5, 0, height);
  ground.addColorStop(0, options.sand);
  ground.addColorStop(1, options.shade);
  context.fillStyle = ground;
  context.beginPath();
  context.moveTo(0, height);
  for (let i = 0; i <= 120; i++) context.lineTo((i / 120) * width, top(i / 120));
  context.lineTo(width, height);
  context.fill();
  const tufts = Array.from({ length: Math.ceil(options.blades / 45) }, () => ({
    u: next() * 1.06 - 0.03,
    drop: next() ** 2 * 0.32,
    size: 0.5 + next(),
  }));
  tufts.sort((a, b) => a.drop - b.drop);
  for (const { u, drop, size } of tufts) {
    const y0 = top(Math.min(1, Math.max(0, u))) + drop * height;
    const near = 0.7 + drop * 2;
    for (let i = 0; i < 45; i++) {
      const x = u * width + (next() - 0.5) * width * 0.035 * near;
      const y = y0 + (next() - 0.3) * height * 0.012;
      const length = options.length * height * (0.35 + next() * 0.65) * size * near;
      const lean = (next() - 0.35) * 0.9;
      const tipX = x + lean * length * 0.8;
      const tipY = y - length;
      const half = width * 0.00055 * near * (0.7 + next() * 0.6);
      context.fillStyle = options.greens[Math.floor(next() * options.greens.length)]!;
      context.globalAlpha = 0.75 + next() * 0.25;
      context.beginPath();
      context.moveTo(x - half, y);
      context.quadraticCurveTo(x + lean * length * 0.1 - half, y - length * 0.6, tipX, tipY);
      context.quadraticCurveTo(x + lean * length * 0.14 + half, y - length * 0.6, x + half, y);
      context.fill();
    }
  }
  context.globalAlpha = 1;
}

export const GRASS = ['#6f7a3d', '#8a8d4c', '#a9a463', '#5a6633', '#c2b878', '#4c5730'] as const;
