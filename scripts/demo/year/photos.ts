/** The club's year in sixty photos: who, where, when, and how each is drawn. */
import { createCanvas, type Canvas, type SKRSContext2D } from '@napi-rs/canvas';
import type { PhotoNotes } from '@/core/photos/notes';
import { random } from '@/core/random';
import { tidePool, workshop } from '../photos/above';
import { develop, layer } from '../photos/light';
import { BLUE, COATS, GREEN, PLUM, RED_GOLD, TEAL } from '../photos/looks';
import { coast, dune, GRASS, MAY_NOON, type Weather } from '../photos/nature';
import { deltaKite, diamondKite, groundShadow, lantern, lighthouse, person } from '../photos/things';
import { dog, INES, OLU, PIP, portrait, TAM, WREN, type Looks } from './people';
import { buns, cake, cottages, far, gull, mug, soup, table } from './places';

export interface YearPhoto {
  file: string;
  /** Local time it was taken. */
  taken: string;
  notes?: PhotoNotes;
  draw(): Canvas;
}

/** Lying and standing, as a camera gives them, made smaller for a book. */
const [LONG, SHORT] = [2000, 1333];
const KITES = [RED_GOLD, TEAL, PLUM, BLUE, GREEN];

const JULY: Weather = {
  ...MAY_NOON,
  seed: 31,
  zenith: '#4a8fc4',
  horizon: '#dce9e4',
  cover: 0.3,
  sea: '#2d8087',
};
const DUSK: Weather = {
  ...MAY_NOON,
  ...{ seed: 41, zenith: '#4a5688', horizon: '#f0b48c', cloud: '#f6cfae', cloudShade: '#8a6f88', cover: 0.5 },
  ...{ sun: { x: 0.2, y: 0.5, glow: 1, colour: '#ffb070' }, sea: '#44607a', sand: '#b5926e' },
};
const NIGHT: Weather = {
  ...DUSK,
  ...{ seed: 120, zenith: '#0d1526', horizon: '#2c3a55', cloud: '#3a4560', cloudShade: '#18213a' },
  ...{ sun: { x: 0.5, y: 0.9, glow: 0.16, colour: '#ff9a50' }, sea: '#101a28', sand: '#4a3a30' },
};
const MARCH: Weather = {
  ...MAY_NOON,
  seed: 19,
  zenith: '#8297a6',
  horizon: '#d6dbd9',
  cover: 0.85,
  sea: '#5b7a7d',
  sand: '#bfae90',
};

interface Scene {
  weather: Weather;
  seed: number;
  /** Standing instead of lying. */
  tall?: true;
  line?: number;
  shore?: number;
}

const land = ({ weather, seed, tall, line = 0.55, shore = 0.35 }: Scene, scale = 1): Canvas => {
  const [w, h] = tall ? [SHORT, LONG] : [LONG, SHORT];
  return coast(Math.round(w * scale), Math.round(h * scale), { ...weather, seed }, line, shore);
};

/** A landscape with things drawn on it, in focus. */
const view = (
  scene: Scene,
  seed: number,
  draw: (c: SKRSContext2D, w: number, h: number) => void,
  how = {},
): Canvas => {
  const canvas = land(scene);
  layer(canvas, 0.8, (c) => draw(c, canvas.width, canvas.height));
  return develop(canvas, seed, how);
};

interface Sitter {
  looks: Looks;
  /** Shares of the width and height, and how tall the head is as a share of the height. */
  at: readonly [number, number, number];
  tilt?: number;
  smile?: number;
}

/** People near by before a landscape out of focus. */
const people = (
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
const inside = (
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
const meal = (
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
const again = (canvas: Canvas): Canvas => {
  const scale = LONG / Math.max(canvas.width, canvas.height);
  const out = createCanvas(Math.round(canvas.width * scale), Math.round(canvas.height * scale));
  const c = out.getContext('2d');
  c.imageSmoothingQuality = 'high';
  c.drawImage(canvas, 0, 0, out.width, out.height);
  return out;
};

const kitesOver = (c: SKRSContext2D, w: number, h: number, seed: number, count: number, low = 0.45): void => {
  const next = random(seed);
  for (let i = 0; i < count; i++) {
    const look = { ...KITES[(i + seed) % 5]!, seed: seed + i * 9, turn: next() * 36 - 18 };
    const [x, y, size] = [w * (0.06 + 0.88 * next()), h * (0.08 + low * next()), h * (0.07 + 0.12 * next())];
    if (i % 2) deltaKite(c, x, y, size, look);
    else diamondKite(c, x, y, size * 1.3, look);
  }
};
const crowd = (c: SKRSContext2D, w: number, h: number, seed: number, count: number): void => {
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
const lanterns = (
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

const sit = (looks: Looks, x: number, y: number, size: number, tilt = 0, smile = 0.7): Sitter => ({
  looks,
  at: [x, y, size],
  tilt,
  smile,
});

const HOUSE = 'The boathouse, Saltmarsh Bay';
const BEACH = 'North beach, Saltmarsh Bay';
const ROCKS = 'Lantern rocks, Saltmarsh Bay';
const HEAD = 'Gull Head, Saltmarsh Bay';
const QUAY = 'The quay, Saltmarsh Bay';

const photo = (file: string, taken: string, draw: () => Canvas, notes?: PhotoNotes): YearPhoto => ({
  ...{ file: `${file}.jpg`, taken, draw },
  ...(notes ? { notes } : {}),
});

export const YEAR_PHOTOS: readonly YearPhoto[] = [
  // March: a workshop.
  photo(
    'march-01-boathouse',
    '2026-03-14T09:42:10',
    () =>
      view({ weather: MARCH, seed: 3, line: 0.5, shore: 0.3 }, 1, (c, w, h) =>
        cottages(c, w * 0.2, h * 0.72, w * 0.5, 2),
      ),
    { place: HOUSE, caption: 'The boathouse opens at ten.' },
  ),
  photo('march-02-table', '2026-03-14T10:12:30', () => again(workshop()), {
    place: HOUSE,
    stars: 4,
    caption: 'Spars, silk and far too much glue.',
  }),
  photo('march-03-ines', '2026-03-14T10:25:04', () => inside(11, [sit(INES, 0.5, 0.42, 0.34, -4)], true), {
    place: HOUSE,
    people: ['Ines'],
    stars: 5,
  }),
  photo('march-04-olu', '2026-03-14T10:31:40', () => inside(12, [sit(OLU, 0.42, 0.5, 0.5, 5)]), {
    place: HOUSE,
    people: ['Olu'],
    caption: 'Olu measures twice.',
  }),
  photo(
    'march-05-pip-and-wren',
    '2026-03-14T10:58:12',
    () => inside(13, [sit(WREN, 0.36, 0.42, 0.42, 5), sit(PIP, 0.68, 0.6, 0.36, -6)]),
    { place: HOUSE, people: ['Pip', 'Wren'], stars: 3 },
  ),
  photo(
    'march-06-tea',
    '2026-03-14T11:20:33',
    () =>
      meal(14, (c, w, h) => {
        buns(c, w * 0.36, h * 0.52, h * 0.27, 4);
        mug(c, w * 0.7, h * 0.34, h * 0.13, '#3f7f86');
        mug(c, w * 0.8, h * 0.7, h * 0.13, '#c9503f');
      }),
    { place: HOUSE, caption: 'Wren brought buns.' },
  ),
  photo(
    'march-07-dog',
    '2026-03-14T11:44:02',
    () => inside(15, [], true, (c, w, h) => dog(c, w * 0.5, h * 0.92, h * 0.62, '#a97a48', 1)),
    { place: HOUSE, caption: 'Biscuit guards the string.' },
  ),
  photo('march-08-tam', '2026-03-14T12:02:45', () => inside(16, [sit(TAM, 0.55, 0.5, 0.48, -3, 0.4)]), {
    place: HOUSE,
    people: ['Tam'],
  }),
  photo(
    'march-09-first-kite',
    '2026-03-14T12:40:00',
    () =>
      view({ weather: MARCH, seed: 9, line: 0.8, shore: 1, tall: true }, 9, (c, w, h) =>
        diamondKite(c, w * 0.5, h * 0.4, w * 0.72, RED_GOLD),
      ),
    { place: HOUSE, stars: 4, caption: 'Done by lunch.' },
  ),
  photo(
    'march-10-pip',
    '2026-03-14T12:48:30',
    () =>
      people({ weather: MARCH, seed: 10 }, 10, [sit(PIP, 0.34, 0.54, 0.46, -4, 1)], (c, w, h) =>
        diamondKite(c, w * 0.74, h * 0.42, h * 0.66, RED_GOLD),
      ),
    { place: HOUSE, people: ['Pip'], stars: 3, caption: 'Can I fly it now?' },
  ),
  // May: the fly-in.
  photo(
    'may-01-morning',
    '2026-05-16T08:20:05',
    () => view({ weather: JULY, seed: 34, line: 0.46, shore: 0.6 }, 21, () => {}, { warmth: 0.02 }),
    { place: BEACH },
  ),
  photo(
    'may-02-setting-up',
    '2026-05-16T09:30:15',
    () => view({ weather: MAY_NOON, seed: 35 }, 22, (c, w, h) => crowd(c, w, h, 1, 6)),
    { place: BEACH, caption: 'The wind is where we left it.' },
  ),
  photo(
    'may-03-ines-and-olu',
    '2026-05-16T09:52:00',
    () =>
      people({ weather: MAY_NOON, seed: 36 }, 23, [
        sit(INES, 0.36, 0.5, 0.42, 6),
        sit(OLU, 0.64, 0.46, 0.44, -5),
      ]),
    { place: BEACH, people: ['Ines', 'Olu'], stars: 5, caption: 'Ines and Olu, before the first launch.' },
  ),
  photo(
    'may-04-first-launch',
    '2026-05-16T10:05:41',
    () =>
      view({ weather: MAY_NOON, seed: 37, line: 0.6, shore: 0.3 }, 24, (c, w, h) => {
        groundShadow(c, w * 0.24, h * 0.9, h * 0.26, -0.8);
        const hand = person(c, w * 0.24, h * 0.9, h * 0.26, COATS[0]);
        diamondKite(c, w * 0.66, h * 0.34, h * 0.38, RED_GOLD, hand);
      }),
    { place: BEACH, stars: 5, people: ['Ines'], caption: 'The red one goes up at the first try.' },
  ),
  photo(
    'may-05-all-up',
    '2026-05-16T10:38:02',
    () =>
      view({ weather: MAY_NOON, seed: 38, line: 0.8, shore: 0.42 }, 25, (c, w, h) => {
        kitesOver(c, w, h, 5, 13);
        crowd(c, w, h, 3, 9);
      }),
    { place: BEACH, stars: 4 },
  ),
  photo(
    'may-06-all-up-again',
    '2026-05-16T10:38:05',
    () =>
      view({ weather: MAY_NOON, seed: 38, line: 0.8, shore: 0.42 }, 26, (c, w, h) => {
        c.translate(14, 9);
        kitesOver(c, w, h, 5, 13);
        crowd(c, w, h, 3, 9);
      }),
    { place: BEACH },
  ),
  photo(
    'may-07-pip',
    '2026-05-16T11:02:11',
    () => people({ weather: MAY_NOON, seed: 39, tall: true }, 27, [sit(PIP, 0.5, 0.44, 0.34, -5, 1)]),
    { place: BEACH, people: ['Pip'], stars: 5, caption: 'Higher!' },
  ),
  photo(
    'may-08-high',
    '2026-05-16T11:24:30',
    () =>
      view({ weather: MAY_NOON, seed: 66, line: 1.12, shore: 1, tall: true }, 28, (c, w, h) => {
        diamondKite(c, w * 0.54, h * 0.34, w * 0.5, BLUE, { x: w * 0.1, y: h * 1.05 });
        deltaKite(c, w * 0.24, h * 0.82, w * 0.1, GREEN);
      }),
    { place: BEACH },
  ),
  photo(
    'may-09-panorama',
    '2026-05-16T11:40:50',
    () => {
      const wide = coast(3000, 860, { ...MAY_NOON, seed: 70 }, 0.62, 0.4);
      layer(wide, 0.8, (c) => {
        kitesOver(c, 3000, 860, 8, 16, 0.4);
        crowd(c, 3000, 860, 2, 14);
      });
      return develop(wide, 29);
    },
    { place: BEACH, stars: 4, caption: 'Sixteen at once: a record for the bay.' },
  ),
  photo(
    'may-10-plum',
    '2026-05-16T12:02:11',
    () =>
      view({ weather: MAY_NOON, seed: 25, line: 1.3, shore: 1 }, 30, (c, w, h) =>
        diamondKite(c, w * 0.5, h * 0.42, h * 0.8, PLUM),
      ),
    { place: BEACH },
  ),
  photo(
    'may-11-picnic',
    '2026-05-16T12:30:00',
    () =>
      meal(
        31,
        (c, w, h) => {
          cake(c, w * 0.4, h * 0.5, h * 0.28, '#e8b0a0', 3);
          mug(c, w * 0.76, h * 0.34, h * 0.12, '#e0a93b', '#c2572a');
          mug(c, w * 0.78, h * 0.72, h * 0.12, '#f3ead6', '#c2572a');
        },
        ['#7d8f86', '#cdd6cc'],
      ),
    { place: BEACH, caption: 'Cherry cake, sand included.' },
  ),
  photo(
    'may-12-wren',
    '2026-05-16T12:44:21',
    () => people({ weather: MAY_NOON, seed: 41 }, 33, [sit(WREN, 0.6, 0.48, 0.48, 4, 0.9)]),
    { place: BEACH, people: ['Wren'], stars: 3 },
  ),
  photo(
    'may-13-biscuit',
    '2026-05-16T13:15:47',
    () => {
      const canvas = far(land({ weather: MAY_NOON, seed: 42, line: 0.4, shore: 0.2 }), 7);
      layer(canvas, 1, (c) => {
        groundShadow(c, 1100, 1240, 700, 0.8);
        dog(c, 1100, 1240, 900, '#a97a48', -1);
      });
      return develop(canvas, 34);
    },
    { place: BEACH, stars: 4, caption: 'Biscuit has caught one.' },
  ),
  photo(
    'may-14-grass',
    '2026-05-16T13:40:55',
    () => {
      const canvas = land({ weather: JULY, seed: 58, line: 0.56, shore: 0.5 });
      layer(canvas, 8, (c) => diamondKite(c, 1400, 340, 360, TEAL));
      layer(canvas, 1, (c) =>
        dune(c, 22, (u) => 0.82 - 0.12 * u + 0.03 * Math.sin(u * 7), {
          sand: '#e3cfa4',
          shade: '#a98e60',
          blades: 7000,
          length: 0.2,
          greens: GRASS,
        }),
      );
      return develop(canvas, 35, { warmth: 0.03, bloom: 0.22 });
    },
    { place: BEACH },
  ),
  photo(
    'may-15-tam-and-kite',
    '2026-05-16T14:10:10',
    () =>
      people({ weather: MAY_NOON, seed: 44 }, 36, [sit(TAM, 0.33, 0.52, 0.44, 3)], (c, w, h) =>
        diamondKite(c, w * 0.74, h * 0.4, h * 0.6, GREEN),
      ),
    { place: BEACH, people: ['Tam'], stars: 4 },
  ),
  photo(
    'may-16-everyone',
    '2026-05-16T15:05:00',
    () =>
      people({ weather: MAY_NOON, seed: 45 }, 37, [
        sit(WREN, 0.24, 0.5, 0.3, 4),
        sit(OLU, 0.43, 0.46, 0.32),
        sit(INES, 0.61, 0.48, 0.31, -3),
        sit(TAM, 0.79, 0.48, 0.31, -5),
        sit(PIP, 0.52, 0.72, 0.26, 3, 1),
      ]),
    {
      place: BEACH,
      people: ['Ines', 'Olu', 'Pip', 'Tam', 'Wren'],
      stars: 5,
      caption: 'All of us, and nobody blinked.',
    },
  ),
  photo(
    'may-17-last-light',
    '2026-05-16T20:51:33',
    () =>
      view(
        { weather: DUSK, seed: 46, line: 0.62, shore: 0.46 },
        38,
        (c, w, h) => {
          const dark = { top: '#241d2a', legs: '#1d1822', hair: '#1a1418', arm: 1 } as const;
          const hand = person(c, w * 0.66, h * 0.92, h * 0.24, dark);
          person(c, w * 0.74, h * 0.92, h * 0.15, { ...dark, arm: 0 });
          diamondKite(c, w * 0.42, h * 0.26, h * 0.18, RED_GOLD, hand);
        },
        { bloom: 0.34, warmth: 0.05 },
      ),
    { place: BEACH, stars: 4, caption: 'One more, and then home.' },
  ),
  // July: tide pools.
  photo(
    'july-01-rocks',
    '2026-07-11T08:55:20',
    () =>
      view({ weather: JULY, seed: 51, line: 0.5, shore: 1 }, 41, (c, w, h) =>
        gull(c, w * 0.3, h * 0.62, h * 0.16),
      ),
    { place: ROCKS },
  ),
  photo('july-02-pool', '2026-07-11T09:31:20', () => again(tidePool()), {
    place: ROCKS,
    stars: 4,
    caption: 'Three stars and a crab that would not wait.',
  }),
  photo(
    'july-03-pip',
    '2026-07-11T09:40:02',
    () => people({ weather: JULY, seed: 53, line: 0.4 }, 42, [sit(PIP, 0.52, 0.54, 0.56, 7, 1)]),
    { place: ROCKS, people: ['Pip'], stars: 5, caption: 'Pip found it first.' },
  ),
  photo(
    'july-04-ines-and-pip',
    '2026-07-11T09:58:44',
    () =>
      people({ weather: JULY, seed: 54, tall: true }, 43, [
        sit(INES, 0.42, 0.36, 0.28, 5),
        sit(PIP, 0.62, 0.6, 0.25, -6, 1),
      ]),
    { place: ROCKS, people: ['Ines', 'Pip'], stars: 3 },
  ),
  photo(
    'july-05-sea',
    '2026-07-11T10:20:00',
    () => view({ weather: JULY, seed: 55, line: 0.36, shore: 1 }, 44, () => {}),
    { place: ROCKS },
  ),
  photo(
    'july-06-gull',
    '2026-07-11T10:41:15',
    () => {
      const canvas = far(land({ weather: JULY, seed: 56, line: 0.7, shore: 1, tall: true }), 8);
      layer(canvas, 0.8, (c) => gull(c, 620, 1420, 620));
      return develop(canvas, 45);
    },
    { place: ROCKS, caption: 'The owner of the place.' },
  ),
  photo(
    'july-07-lunch',
    '2026-07-11T12:15:00',
    () =>
      meal(
        46,
        (c, w, h) => {
          buns(c, w * 0.5, h * 0.34, w * 0.3, 9);
          mug(c, w * 0.32, h * 0.74, w * 0.13, '#3f7f86', '#e0a04a');
          mug(c, w * 0.68, h * 0.78, w * 0.13, '#7c4466', '#e0a04a');
        },
        ['#8f8577', '#d6cbb6'],
        true,
      ),
    { place: ROCKS },
  ),
  photo(
    'july-08-olu',
    '2026-07-11T12:40:31',
    () => people({ weather: JULY, seed: 57 }, 47, [sit(OLU, 0.4, 0.5, 0.5, -4, 0.9)]),
    { place: ROCKS, people: ['Olu'], caption: 'Olu lost a boot.' },
  ),
  photo(
    'july-09-walking-back',
    '2026-07-11T13:30:00',
    () => view({ weather: JULY, seed: 58, line: 0.5, shore: 0.3 }, 48, (c, w, h) => crowd(c, w, h, 4, 4)),
    { place: ROCKS },
  ),
  // September: to the lighthouse.
  photo(
    'september-01-cottages',
    '2026-09-19T15:20:00',
    () =>
      view({ weather: MAY_NOON, seed: 61, line: 0.5, shore: 0.2 }, 51, (c, w, h) =>
        cottages(c, w * 0.05, h * 0.76, w * 0.86, 5),
      ),
    { place: HEAD, caption: 'Through the village first.' },
  ),
  photo(
    'september-02-path',
    '2026-09-19T15:52:12',
    () => {
      const canvas = land({ weather: MAY_NOON, seed: 62, line: 0.5, shore: 0.6 });
      layer(canvas, 1, (c) =>
        dune(c, 30, (u) => 0.66 + 0.12 * Math.sin(u * 3), {
          sand: '#d9c49a',
          shade: '#8d7a52',
          blades: 8000,
          length: 0.12,
          greens: GRASS,
        }),
      );
      layer(canvas, 0.8, (c) => {
        for (const [x, s, k] of [
          [900, 210, 0],
          [1010, 150, 2],
          [1120, 190, 3],
        ] as const)
          person(c, x, 1000, s, COATS[k]);
      });
      return develop(canvas, 52);
    },
    { place: HEAD },
  ),
  photo(
    'september-03-tam',
    '2026-09-19T16:15:40',
    () => people({ weather: DUSK, seed: 63, tall: true }, 53, [sit(TAM, 0.5, 0.42, 0.34, 4)]),
    { place: HEAD, people: ['Tam'], stars: 3 },
  ),
  photo(
    'september-04-biscuit',
    '2026-09-19T16:30:00',
    () => {
      const canvas = far(land({ weather: MAY_NOON, seed: 64, line: 0.45, shore: 0.3, tall: true }), 7);
      layer(canvas, 1, (c) => {
        groundShadow(c, 660, 1830, 900, -0.6);
        dog(c, 660, 1830, 1150, '#a97a48');
      });
      return develop(canvas, 54, { warmth: 0.03 });
    },
    { place: HEAD, stars: 4, caption: 'Biscuit knows the way.' },
  ),
  photo(
    'september-05-lighthouse',
    '2026-09-19T18:40:00',
    () =>
      view(
        { weather: DUSK, seed: 88, line: 0.74, shore: 1, tall: true },
        55,
        (c, w, h) => {
          lighthouse(c, w * 0.56, h * 0.78, h * 0.56, '#ffe7a8');
          dune(c, 31, (u) => 0.775 - 0.035 * Math.sin(u * 3.3 + 0.2), {
            sand: '#8d7a66',
            shade: '#3d3540',
            blades: 5000,
            length: 0.05,
            greens: ['#4a4c33', '#65603c', '#37392b', '#7d7148'],
          });
        },
        { bloom: 0.3, warmth: 0.03 },
      ),
    { place: HEAD, stars: 5, caption: 'Lit as we came over the hill.' },
  ),
  photo(
    'september-06-wren-and-ines',
    '2026-09-19T18:47:09',
    () =>
      people(
        { weather: DUSK, seed: 66 },
        56,
        [sit(WREN, 0.36, 0.48, 0.42, 4), sit(INES, 0.64, 0.48, 0.42, -5)],
        undefined,
        { warmth: 0.04 },
      ),
    { place: HEAD, people: ['Wren', 'Ines'], stars: 4 },
  ),
  photo(
    'september-07-lighthouse-wide',
    '2026-09-19T18:55:00',
    () =>
      view(
        { weather: DUSK, seed: 67, line: 0.7, shore: 1 },
        57,
        (c, w, h) => {
          lighthouse(c, w * 0.72, h * 0.78, h * 0.5, '#ffe7a8');
          dune(c, 33, (u) => 0.78 - 0.04 * Math.sin(u * 2.3), {
            sand: '#8d7a66',
            shade: '#3d3540',
            blades: 5000,
            length: 0.06,
            greens: ['#4a4c33', '#65603c', '#37392b', '#7d7148'],
          });
        },
        { bloom: 0.28, warmth: 0.03 },
      ),
    { place: HEAD },
  ),
  photo(
    'september-08-soup',
    '2026-09-19T19:40:00',
    () =>
      meal(58, (c, w, h) => {
        soup(c, w * 0.32, h * 0.5, h * 0.3, '#c77b36', 3);
        soup(c, w * 0.72, h * 0.48, h * 0.26, '#c77b36', 8);
      }),
    { place: HEAD, caption: 'Pumpkin, at the keeper’s table.' },
  ),
  photo(
    'september-09-olu-and-tam',
    '2026-09-19T20:02:00',
    () => inside(59, [sit(OLU, 0.35, 0.5, 0.42, 4), sit(TAM, 0.66, 0.5, 0.42, -4)]),
    { place: HEAD, people: ['Olu', 'Tam'] },
  ),
  photo(
    'september-10-stars',
    '2026-09-19T21:10:00',
    () =>
      view(
        { weather: NIGHT, seed: 69, line: 0.7, shore: 1 },
        60,
        (c, w, h) => {
          lighthouse(c, w * 0.3, h * 0.78, h * 0.5, '#ffe7a8');
          dune(c, 35, (u) => 0.78 - 0.03 * Math.sin(u * 2), {
            sand: '#2b2a33',
            shade: '#14141c',
            blades: 4000,
            length: 0.05,
            greens: ['#1f2420', '#2a2e22'],
          });
        },
        { bloom: 0.4, grain: 11 },
      ),
    { place: HEAD, stars: 4, caption: 'We stayed for the beam.' },
  ),
  // November: lanterns.
  photo(
    'november-01-quay',
    '2026-11-07T16:50:00',
    () =>
      view(
        { weather: DUSK, seed: 71, line: 0.5, shore: 1 },
        61,
        (c, w, h) => cottages(c, w * 0.02, h * 0.66, w * 0.94, 7, true),
        { bloom: 0.3 },
      ),
    { place: QUAY },
  ),
  photo(
    'november-02-making',
    '2026-11-07T17:10:20',
    () => inside(62, [sit(PIP, 0.4, 0.54, 0.44, 5), sit(INES, 0.68, 0.46, 0.42, -4)]),
    { place: QUAY, people: ['Pip', 'Ines'], stars: 3 },
  ),
  photo(
    'november-03-paper',
    '2026-11-07T17:22:41',
    () =>
      meal(63, (c, w, h) => {
        for (const [x, y, s, k] of [
          [0.3, 0.44, 0.2, '#e8812f'],
          [0.56, 0.6, 0.24, '#d8433a'],
          [0.78, 0.4, 0.17, '#efa545'],
        ] as const)
          lantern(c, w * x, h * y, h * s, k);
      }),
    { place: QUAY, caption: 'Paper, wire, and one candle each.' },
  ),
  photo(
    'november-04-olu',
    '2026-11-07T17:40:00',
    () =>
      people(
        { weather: NIGHT, seed: 74, tall: true },
        64,
        [sit(OLU, 0.5, 0.44, 0.34, -3, 0.9)],
        (c, w, h) => lanterns(c, w, h, 5, 9, h * 0.06),
        { bloom: 0.3, warmth: 0.05 },
      ),
    { place: QUAY, people: ['Olu'], stars: 4 },
  ),
  photo(
    'november-05-lit',
    '2026-11-07T18:05:33',
    () =>
      view(
        { weather: NIGHT, seed: 75, line: 0.6, shore: 0.4 },
        65,
        (c, w, h) => {
          lanterns(c, w, h, 6, 26, h * 0.05);
          lantern(c, w * 0.35, h * 0.46, h * 0.18, '#e8812f');
          person(c, w * 0.3, h * 0.97, h * 0.36, {
            top: '#4a2a26',
            legs: '#120d12',
            hair: '#0e0a0c',
            arm: 1,
          });
        },
        { bloom: 0.42, grain: 11, vignette: 0.3 },
      ),
    { place: QUAY, stars: 5, caption: 'Forty lanterns, no wind at all.' },
  ),
  photo(
    'november-06-pip',
    '2026-11-07T18:12:00',
    () =>
      people(
        { weather: NIGHT, seed: 76 },
        66,
        [sit(PIP, 0.44, 0.52, 0.52, 4, 1)],
        (c, w, h) => lanterns(c, w, h, 8, 12, h * 0.07),
        { bloom: 0.3, warmth: 0.06 },
      ),
    { place: QUAY, people: ['Pip'], stars: 5 },
  ),
  photo(
    'november-07-parade',
    '2026-11-07T18:30:18',
    () =>
      view(
        { weather: NIGHT, seed: 77, line: 0.55, shore: 0.3 },
        67,
        (c, w, h) => {
          lanterns(c, w, h, 9, 34, h * 0.045);
          crowd(c, w, h, 6, 9);
        },
        { bloom: 0.4, grain: 11, vignette: 0.3 },
      ),
    { place: QUAY, stars: 4 },
  ),
  photo(
    'november-08-parade-again',
    '2026-11-07T18:30:21',
    () =>
      view(
        { weather: NIGHT, seed: 77, line: 0.55, shore: 0.3 },
        68,
        (c, w, h) => {
          c.translate(-12, 6);
          lanterns(c, w, h, 9, 34, h * 0.045);
          crowd(c, w, h, 6, 9);
        },
        { bloom: 0.4, grain: 11, vignette: 0.3 },
      ),
    { place: QUAY },
  ),
  photo(
    'november-09-wren',
    '2026-11-07T18:44:00',
    () =>
      people(
        { weather: NIGHT, seed: 79 },
        69,
        [sit(WREN, 0.58, 0.5, 0.48, -4)],
        (c, w, h) => lanterns(c, w, h, 11, 10, h * 0.08),
        { bloom: 0.3, warmth: 0.05 },
      ),
    { place: QUAY, people: ['Wren'] },
  ),
  photo(
    'november-10-houses',
    '2026-11-07T19:02:10',
    () =>
      view(
        { weather: NIGHT, seed: 80, line: 0.5, shore: 1 },
        70,
        (c, w, h) => cottages(c, w * 0.04, h * 0.74, w * 0.9, 9, true),
        { bloom: 0.42, grain: 11 },
      ),
    { place: QUAY },
  ),
  photo(
    'november-11-soup',
    '2026-11-07T19:20:00',
    () =>
      meal(
        71,
        (c, w, h) => {
          soup(c, w * 0.5, h * 0.3, w * 0.3, '#a8452c', 5);
          mug(c, w * 0.34, h * 0.7, w * 0.14, '#c9503f', '#7a3d1c');
          mug(c, w * 0.68, h * 0.76, w * 0.14, '#24506b', '#7a3d1c');
        },
        ['#3c2a1f', '#7a573a'],
        true,
      ),
    { place: QUAY },
  ),
  photo(
    'november-12-tam-and-ines',
    '2026-11-07T19:31:00',
    () =>
      people(
        { weather: NIGHT, seed: 82 },
        72,
        [sit(TAM, 0.35, 0.48, 0.44, 4), sit(INES, 0.65, 0.5, 0.42, -4)],
        (c, w, h) => lanterns(c, w, h, 13, 12, h * 0.06),
        { bloom: 0.3, warmth: 0.05 },
      ),
    { place: QUAY, people: ['Tam', 'Ines'], stars: 4, caption: 'See you in March.' },
  ),
  photo(
    'november-13-one-left',
    '2026-11-07T19:45:05',
    () =>
      view(
        { weather: NIGHT, seed: 83, line: 0.5, shore: 1, tall: true },
        73,
        (c, w, h) => lantern(c, w * 0.5, h * 0.36, w * 0.34, '#e8812f'),
        { bloom: 0.5, grain: 11, vignette: 0.36 },
      ),
    { place: QUAY, stars: 4, caption: 'The last one over the water.' },
  ),
  photo(
    'november-14-biscuit',
    '2026-11-07T20:00:00',
    () => inside(74, [], false, (c, w, h) => dog(c, w * 0.5, h * 0.96, h * 0.86, '#a97a48', 1)),
    { place: QUAY, caption: 'Asleep before the kettle boiled.' },
  ),
];
