/** What the photos of the year are made of: weather, light, people before a landscape, a table from above. */
import { createCanvas, type Canvas, type SKRSContext2D } from '@napi-rs/canvas';
import type { PhotoNotes } from '@/core/photos/notes';
import { random } from '@/core/random';
import { develop, layer } from '../photos/light';
import { BLUE, COATS, GREEN, PLUM, RED_GOLD, TEAL } from '../photos/looks';
import { coast, MAY_NOON, type Weather } from '../photos/nature';
import { deltaKite, diamondKite, groundShadow, lantern, person } from '../photos/things';
import { portrait, type Looks } from './people';
import { far, table } from './places';

export interface YearPhoto {
  file: string;
  /** Local time it was taken. */
  taken: string;
  notes?: PhotoNotes;
  draw(): Canvas;
}

/** Lying and standing, as a camera gives them, made smaller for a book. */
const [LONG, SHORT] = [2000, 1333];
export const KITES = [RED_GOLD, TEAL, PLUM, BLUE, GREEN];

export const JULY: Weather = {
  ...MAY_NOON,
  seed: 31,
  zenith: '#4a8fc4',
  horizon: '#dce9e4',
  cover: 0.3,
  sea: '#2d8087',
};
export const DUSK: Weather = {
  ...MAY_NOON,
  ...{ seed: 41, zenith: '#4a5688', horizon: '#f0b48c', cloud: '#f6cfae', cloudShade: '#8a6f88', cover: 0.5 },
  ...{ sun: { x: 0.2, y: 0.5, glow: 1, colour: '#ffb070' }, sea: '#44607a', sand: '#b5926e' },
};
export const NIGHT: Weather = {
  ...DUSK,
  ...{ seed: 120, zenith: '#0d1526', horizon: '#2c3a55', cloud: '#3a4560', cloudShade: '#18213a' },
  ...{ sun: { x: 0.5, y: 0.9, glow: 0.16, colour: '#ff9a50' }, sea: '#101a28', sand: '#4a3a30' },
};
export const MARCH: Weather = {
  ...MAY_NOON,
  seed: 19,
  zenith: '#8297a6',
  horizon: '#d6dbd9',
  cover: 0.85,
  sea: '#5b7a7d',
  sand: '#bfae90',
};

export interface Scene {
  weather: Weather;
  seed: number;
  /** Standing instead of lying. */
  tall?: true;
  line?: number;
  shore?: number;
}

export const land = ({ weather, seed, tall, line = 0.55, shore = 0.35 }: Scene, scale = 1): Canvas => {
  const [w, h] = tall ? [SHORT, LONG] : [LONG, SHORT];
  return coast(Math.round(w * scale), Math.round(h * scale), { ...weather, seed }, line, shore);
};

/** A landscape with things drawn on it, in focus. */
export const view = (
  scene: Scene,
  seed: number,
  draw: (c: SKRSContext2D, w: number, h: number) => void,
  how = {},
): Canvas => {
  const canvas = land(scene);
  layer(canvas, 0.8, (c) => draw(c, canvas.width, canvas.height));
  return develop(canvas, seed, how);
};

export interface Sitter {
  looks: Looks;
  /** Shares of the width and height, and how tall the head is as a share of the height. */
  at: readonly [number, number, number];
  tilt?: number;
  smile?: number;
}

/** People near by before a landscape out of focus. */
export const people = (
  scene: Scene,
  seed: number,
  sitters: readonly Sitter[],
  also: (c: SKRSContext2D, w: number, h: number) => void = () => {},
  how = {},
): Canvas => {
  const canvas = far(land(scene), 9);
  const { width, height } = canvas;
  layer(canvas, 1.2, (c) => {
    also(c, width, height);
    for (const { looks, at, tilt, smile } of sitters)
      portrait(c, at[0] * width, at[1] * height, at[2] * height, looks, {
        ...{ tilt: tilt ?? 0, smile: smile ?? 0.7, from: seed % 2 ? 1 : -1 },
      });
  });
  return develop(canvas, seed, { grain: 5, ...how });
};

/** Inside the boathouse: boards out of focus, a window's light. */
export const inside = (
  seed: number,
  sitters: readonly Sitter[],
  tall = false,
  also: (c: SKRSContext2D, w: number, h: number) => void = () => {},
): Canvas => {
  const [w, h] = tall ? [SHORT, LONG] : [LONG, SHORT];
  const canvas = far(table(w, h, seed, '#5b4330', '#9c7c58'), 12);
  layer(canvas, 30, (c) => {
    const light = c.createLinearGradient(0, 0, w, h * 0.6);
    light.addColorStop(0, 'rgba(255,240,205,0.75)');
    light.addColorStop(0.5, 'rgba(255,240,205,0.05)');
    c.fillStyle = light;
    c.fillRect(0, 0, w, h);
    KITES.forEach(({ colours }, i) => {
      c.fillStyle = colours[0]!;
      c.fillRect(w * (0.08 + i * 0.19), h * 0.08, w * 0.12, h * (0.2 + 0.05 * (i % 3)));
    });
  });
  layer(canvas, 1.2, (c) => {
    also(c, w, h);
    for (const { looks, at, tilt = 0, smile = 0.7 } of sitters)
      portrait(c, at[0] * w, at[1] * h, at[2] * h, looks, { tilt, smile });
  });
  return develop(canvas, seed, { grain: 6, warmth: 0.03 });
};

/** A table from above with something on it. */
export const meal = (
  seed: number,
  draw: (c: SKRSContext2D, w: number, h: number) => void,
  [dark, light] = ['#6b4a31', '#b98f63'],
  tall = false,
): Canvas => {
  const canvas = tall ? table(SHORT, LONG, seed, dark!, light!) : table(LONG, SHORT, seed, dark!, light!);
  layer(canvas, 0.7, (c) => draw(c, canvas.width, canvas.height));
  return develop(canvas, seed, { grain: 5, warmth: 0.02 });
};

/** What was drawn before for another page, smaller. */
export const again = (canvas: Canvas): Canvas => {
  const scale = LONG / Math.max(canvas.width, canvas.height);
  const out = createCanvas(Math.round(canvas.width * scale), Math.round(canvas.height * scale));
  const c = out.getContext('2d');
  c.imageSmoothingQuality = 'high';
  c.drawImage(canvas, 0, 0, out.width, out.height);
  return out;
};

export const kitesOver = (
  c: SKRSContext2D,
  w: number,
  h: number,
  seed: number,
  count: number,
  low = 0.45,
): void => {
  const next = random(seed);
  for (let i = 0; i < count; i++) {
    const look = { ...KITES[(i + seed) % 5]!, seed: seed + i * 9, turn: next() * 36 - 18 };
    const [x, y, size] = [w * (0.06 + 0.88 * next()), h * (0.08 + low * next()), h * (0.07 + 0.12 * next())];
    if (i % 2) deltaKite(c, x, y, size, look);
    else diamondKite(c, x, y, size * 1.3, look);
  }
};
export const crowd = (c: SKRSContext2D, w: number, h: number, seed: number, count: number): void => {
  const next = random(seed);
  for (let i = 0; i < count; i++) {
    const [x, y, size] = [
      w * (0.08 + (0.84 * (i + next() * 0.6)) / count),
      h * (0.93 + 0.03 * next()),
      h * (0.13 + 0.05 * next()),
    ];
    groundShadow(c, x, y, size, -0.7);
    person(c, x, y, size, COATS[(i + seed) % 5]!);
  }
};
export const lanterns = (
  c: SKRSContext2D,
  w: number,
  h: number,
  seed: number,
  count: number,
  size: number,
): void => {
  const next = random(seed);
  for (let i = 0; i < count; i++)
    lantern(
      c,
      next() * w,
      h * (0.14 + 0.5 * next()),
      size * (0.6 + 0.8 * next()),
      ['#e8812f', '#d8433a', '#efa545'][i % 3]!,
    );
};

export const sit = (looks: Looks, x: number, y: number, size: number, tilt = 0, smile = 0.7): Sitter => ({
  looks,
  at: [x, y, size],
  tilt,
  smile,
});

export const HOUSE = 'The boathouse, Saltmarsh Bay';
export const BEACH = 'North beach, Saltmarsh Bay';
export const ROCKS = 'Lantern rocks, Saltmarsh Bay';
export const HEAD = 'Gull Head, Saltmarsh Bay';
export const QUAY = 'The quay, Saltmarsh Bay';

export const photo = (file: string, taken: string, draw: () => Canvas, notes?: PhotoNotes): YearPhoto => ({
  ...{ file: `${file}.jpg`, taken, draw },
  ...(notes ? { notes } : {}),
});
