/** The house papers: patterns drawn by code, with the grain, weave and wash of real sheets. 12 x 12 in at 300 ppi. */
import { createCanvas, type Canvas, type SKRSContext2D } from '@napi-rs/canvas';
import { random } from '@/core/random';
import { fbm, mix, noise, smooth } from '../art/noise';

export const SIDE = 3600;

export interface HousePaper {
  id: string;
  name: string;
  draw(): Canvas;
}

type Rgb = readonly [number, number, number];
const rgb = (hex: string): Rgb => {
  const v = Number.parseInt(hex.slice(1), 16);
  return [v >> 16, (v >> 8) & 255, v & 255];
};

/** A sheet of one colour on which `pattern` draws before the texture goes over it. */
function sheet(ground: string, pattern: (context: SKRSContext2D) => void, texture: Texture): Canvas {
  const canvas = createCanvas(SIDE, SIDE);
  const context = canvas.getContext('2d');
  context.fillStyle = ground;
  context.fillRect(0, 0, SIDE, SIDE);
  pattern(context);
  texturise(context, texture);
  return canvas;
}

/** What a texture does to a pixel's light: a factor near 1. */
type Texture = (x: number, y: number) => number;

function texturise(context: SKRSContext2D, texture: Texture): void {
  const rows = 300;
  for (let top = 0; top < SIDE; top += rows) {
    const image = context.getImageData(0, top, SIDE, rows);
    const { data } = image;
    for (let y = 0, i = 0; y < rows; y++)
      for (let x = 0; x < SIDE; x++, i += 4) {
        const f = texture(x, y + top);
        data[i] = data[i]! * f;
        data[i + 1] = data[i + 1]! * f;
        data[i + 2] = data[i + 2]! * f;
      }
    context.putImageData(image, 0, top);
  }
}

/** A precomputed square of fine random grain, read at shifting places so that it never shows its period. */
function grain(seed: number, strength: number): Texture {
  const side = 1021;
  const next = random(seed);
  const values = Float32Array.from(
    { length: side * side },
    () => (next() + next() + next() - 1.5) * strength,
  );
  return (x, y) => values[(y % side) * side + ((x + Math.floor(y / side) * 377) % side)]!;
}

/** Card: fine tooth and a slow cloudiness, as pulp settles. */
function tooth(seed: number, strength = 0.03): Texture {
  const fine = grain(seed, strength);
  const medium = noise(seed + 1);
  const slow = fbm(seed + 2, 3);
  return (x, y) =>
    1 + fine(x, y) + (medium(x / 5, y / 5) - 0.5) * strength * 1.6 + (slow(x / 420, y / 420) - 0.5) * 0.05;
}

/** Long fibres pressed into the sheet, some dark, some light. */
function fibres(context: SKRSContext2D, seed: number, count: number, dark: string, light: string): void {
  const next = random(seed);
  for (let i = 0; i < count; i++) {
    const x = next() * SIDE;
    const y = next() * SIDE;
    const angle = next() * Math.PI * 2;
    const length = 8 + next() ** 3 * 90;
    const bend = (next() - 0.5) * 1.4;
    context.globalAlpha = 0.05 + next() * 0.2;
    context.strokeStyle = next() < 0.55 ? dark : light;
    context.lineWidth = 0.8 + next() * 1.7;
    context.beginPath();
    context.moveTo(x, y);
    context.quadraticCurveTo(
      x + Math.cos(angle + bend) * length * 0.5,
      y + Math.sin(angle + bend) * length * 0.5,
      x + Math.cos(angle) * length,
      y + Math.sin(angle) * length,
    );
    context.stroke();
  }
  context.globalAlpha = 1;
}

const kraft = (): Canvas => {
  const slow = fbm(31, 4);
  const press = noise(35);
  const card = tooth(33, 0.05);
  return sheet(
    '#c3a078',
    (c) => fibres(c, 32, 26_000, '#7d5a36', '#ead2ae'),
    (x, y) => {
      // Wood pulp lies along the machine: streaks are six times longer than wide.
      const streak = (slow(x / 260, y / 44) - 0.5) * 0.09 + (press(x / 30, y / 3.2) - 0.5) * 0.05;
      return card(x, y) + streak;
    },
  );
};

const linen = (): Canvas => {
  const warp = noise(41);
  const weft = noise(42);
  const card = tooth(43, 0.022);
  return sheet(
    '#ece4d4',
    () => {},
    (x, y) => {
      const across = Math.sin((x + (warp(x / 90, y / 700) - 0.5) * 14) * 0.62);
      const down = Math.sin((y + (weft(x / 700, y / 90) - 0.5) * 14) * 0.62);
      const slubX = warp(x / 4.2, y / 160) - 0.5;
      const slubY = weft(x / 160, y / 4.2) - 0.5;
      return (
        card(x, y) + across * 0.022 + down * 0.022 + slubX * 0.085 + slubY * 0.085 + across * down * 0.02
      );
    },
  );
};

const wash = (): Canvas => {
  const canvas = createCanvas(SIDE, SIDE);
  const context = canvas.getContext('2d');
  const flow = fbm(51, 5);
  const bend = fbm(52, 4);
  const tone = fbm(53, 3);
  const press = fbm(54, 3, 0.6);
  const fine = grain(55, 0.02);
  const white = rgb('#f8f5ee');
  const pale = rgb('#8fc0c4');
  const deep = rgb('#2f7885');
  const sand = rgb('#e6c79a');
  const rows = 300;
  for (let top = 0; top < SIDE; top += rows) {
    const image = context.createImageData(SIDE, rows);
    for (let y = 0, i = 0; y < rows; y++)
      for (let x = 0; x < SIDE; x++, i += 4) {
        const Y = y + top;
        const wx = x / 900 + (bend(x / 700, Y / 700) - 0.5) * 1.6;
        const wy = Y / 900 + (bend(x / 700 + 50, Y / 700) - 0.5) * 1.6;
        const f = flow(wx, wy) + (0.5 - Y / SIDE) * -0.22;
        // Pigment gathers where each pool dried: a darker rim along the level lines.
        const pool = smooth(0.36, 0.52, f);
        const rim =
          Math.exp(-(((f - 0.385) / 0.011) ** 2)) * 0.28 + Math.exp(-(((f - 0.545) / 0.012) ** 2)) * 0.16;
        const bead = press(x / 7, Y / 7) - 0.5;
        const density = Math.min(
          1,
          pool * (0.42 + 0.5 * tone(wx * 1.4, wy * 1.4)) + rim + pool * bead * 0.22,
        );
        const warm = smooth(0.56, 0.72, tone(x / 1100 + 9, Y / 1100)) * (1 - pool * 0.5) * 0.5;
        const light = 1 + fine(x, Y) + bead * 0.045;
        for (let k = 0; k < 3; k++) {
          const pigment = mix(pale[k]!, deep[k]!, smooth(0.55, 1, density));
          const dry = mix(white[k]!, sand[k]!, warm);
          image.data[i + k] = mix(dry, pigment, density) * light;
        }
        image.data[i + 3] = 255;
      }
    context.putImageData(image, 0, top);
  }
  return canvas;
};

/** A band of colour as woven or printed: a little uneven at its edges. */
function band(
  context: SKRSContext2D,
  colour: string,
  alpha: number,
  x: number,
  y: number,
  width: number,
  height: number,
): void {
  context.globalAlpha = alpha;
  context.fillStyle = colour;
  context.fillRect(x, y, width, height);
  context.globalAlpha = 1;
}

const gingham = (): Canvas => {
  const card = tooth(61, 0.022);
  const thread = noise(62);
  const step = SIDE / 24;
  return sheet(
    '#f6f1e4',
    (c) => {
      for (let i = 0; i < 24; i += 2) {
        band(c, '#4f9089', 0.62, i * step, 0, step, SIDE);
        band(c, '#4f9089', 0.62, 0, i * step, SIDE, step);
      }
    },
    (x, y) =>
      card(x, y) +
      Math.sin((x + y) * 0.9) * 0.012 +
      (thread(x / 2.2, y / 60) - 0.5) * 0.05 +
      (thread(x / 60, y / 2.2) - 0.5) * 0.05,
  );
};

const stripe = (): Canvas => {
  const card = tooth(71, 0.032);
  const width = SIDE / 12;
  return sheet(
    '#f7f1e3',
    (c) => {
      for (let i = 0; i < 12; i++) {
        band(c, '#2f5d7c', 0.92, i * width, 0, width * 0.36, SIDE);
        band(c, '#d9a441', 0.95, i * width + width * 0.46, 0, width * 0.07, SIDE);
        band(c, '#2f5d7c', 0.92, i * width + width * 0.9, 0, width * 0.02, SIDE);
      }
    },
    card,
  );
};

const dots = (): Canvas => {
  const card = tooth(81, 0.035);
  const next = random(82);
  const step = SIDE / 20;
  return sheet(
    '#dc7a5c',
    (c) => {
      c.fillStyle = '#fbeedd';
      for (let row = -1; row <= 40; row++)
        for (let column = -1; column <= 20; column++) {
          // Printed by hand: each dot a hair off its place and size.
          const x = (column + (row % 2 ? 0.5 : 0)) * step + (next() - 0.5) * 3;
          const y = (row * step) / 2 + (next() - 0.5) * 3;
          c.globalAlpha = 0.93 + next() * 0.07;
          c.beginPath();
          c.arc(x, y, step * 0.135 * (0.97 + next() * 0.06), 0, Math.PI * 2);
          c.fill();
        }
      c.globalAlpha = 1;
    },
    card,
  );
};

const herringbone = (): Canvas => {
  const card = tooth(91, 0.03);
  const column = SIDE / 24;
  const pitch = 60;
  return sheet(
    '#5d6f73',
    (c) => {
      c.lineWidth = pitch * 0.36;
      c.strokeStyle = '#cfd6cf';
      for (let i = 0; i < 24; i++) {
        c.save();
        c.beginPath();
        c.rect(i * column, 0, column, SIDE);
        c.clip();
        for (let y = -column; y < SIDE + column; y += pitch) {
          c.beginPath();
          const rise = i % 2 ? column : -column;
          c.moveTo(i * column, y);
          c.lineTo((i + 1) * column, y + rise);
          c.stroke();
        }
        c.restore();
      }
    },
    card,
  );
};

const wood = (): Canvas => {
  const canvas = createCanvas(SIDE, SIDE);
  const context = canvas.getContext('2d');
  const ring = fbm(101, 4);
  const vein = fbm(102, 3, 0.6);
  const pore = noise(103);
  const tone = random(104);
  const board = SIDE / 6;
  const boards = Array.from({ length: 6 }, () => ({
    shade: 0.9 + tone() * 0.16,
    shift: tone() * 200,
    knot: tone(),
  }));
  const light = rgb('#cdbfa9');
  const dark = rgb('#8d7a63');
  const rows = 300;
  for (let top = 0; top < SIDE; top += rows) {
    const image = context.createImageData(SIDE, rows);
    for (let y = 0, i = 0; y < rows; y++)
      for (let x = 0; x < SIDE; x++, i += 4) {
        const Y = y + top;
        const index = Math.min(5, Math.floor(Y / board));
        const { shade, shift, knot } = boards[index]!;
        const within = Y - index * board;
        const kx = (x - knot * SIDE) / 330;
        const ky = (within - board * (0.3 + 0.4 * knot)) / 90;
        // Grain flows round a knot: the rings are pushed aside near it.
        const near = Math.exp(-(kx * kx + ky * ky));
        const flow = ring(x / 1500 + shift, within / 120 + shift) + near * 0.55;
        const lines = 0.5 + 0.5 * Math.sin(flow * 46 + vein(x / 600, within / 30 + shift) * 5);
        const pores = smooth(0.66, 0.9, pore(x / 46, within / 2.4 + shift * 7)) * 0.22;
        const edge = Math.min(within, board - within);
        const gap = edge < 5 ? 0.28 : mix(0.84, 1, smooth(5, 20, edge));
        const knotDark = Math.exp(-(kx * kx + ky * ky) * 7) * 0.45;
        const depth = mix(0.1, 0.75, lines * 0.62 + vein(x / 900, within / 14 + shift) * 0.4);
        for (let k = 0; k < 3; k++)
          image.data[i + k] = mix(light[k]!, dark[k]!, depth) * shade * gap * (1 - pores) * (1 - knotDark);
        image.data[i + 3] = 255;
      }
    context.putImageData(image, 0, top);
  }
  texturise(context, (x, y) => 1 + fineWood(x, y));
  return canvas;
};
const fineWood = grain(105, 0.03);

const ledger = (): Canvas => {
  const card = tooth(111, 0.025);
  const age = fbm(112, 4);
  return sheet(
    '#f3e9d2',
    (c) => {
      const line = SIDE / 40;
      c.globalAlpha = 0.55;
      c.fillStyle = '#7fa5ac';
      for (let y = line * 3; y < SIDE; y += line) c.fillRect(0, y, SIDE, 3);
      c.globalAlpha = 0.6;
      c.fillStyle = '#b9524f';
      for (const x of [0.13, 0.137, 0.62, 0.78, 0.786, 0.92]) c.fillRect(SIDE * x, 0, 4, SIDE);
      c.fillRect(0, line * 3 - 12, SIDE, 4);
      c.fillRect(0, line * 3, SIDE, 4);
      c.globalAlpha = 1;
    },
    (x, y) => {
      const rim = Math.min(x, y, SIDE - x, SIDE - y) / SIDE;
      const stain = smooth(0.5, 0.75, age(x / 800, y / 800)) * 0.03 + (1 - smooth(0, 0.16, rim)) * 0.06;
      return card(x, y) - stain;
    },
  );
};

const cardstock = (): Canvas => {
  const card = tooth(121, 0.03);
  const felt = fbm(122, 3, 0.6);
  return sheet(
    '#f7f3ea',
    (c) => fibres(c, 123, 1500, '#c9bfa8', '#ffffff'),
    (x, y) => card(x, y) + (felt(x / 9, y / 9) - 0.5) * 0.05,
  );
};

/** In the order the workbox shows them. */
export const HOUSE_PAPERS: readonly HousePaper[] = [
  { id: 'dune-kraft', name: 'Dune kraft', draw: kraft },
  { id: 'sailcloth-linen', name: 'Sailcloth linen', draw: linen },
  { id: 'tide-wash', name: 'Tide wash', draw: wash },
  { id: 'picnic-gingham', name: 'Picnic gingham', draw: gingham },
  { id: 'windsock-stripe', name: 'Windsock stripe', draw: stripe },
  { id: 'buoy-dots', name: 'Buoy dots', draw: dots },
  { id: 'harbour-herringbone', name: 'Harbour herringbone', draw: herringbone },
  { id: 'boathouse-boards', name: 'Boathouse boards', draw: wood },
  { id: 'harbourmaster-ledger', name: 'Harbourmaster ledger', draw: ledger },
  { id: 'sailcloth-white', name: 'Sailcloth white', draw: cardstock },
];
