/** The kite club's photos: invented people and places, made here from light and noise at real camera sizes. */
import { createCanvas, type Canvas } from '@napi-rs/canvas';
import type { PhotoNotes } from '@/core/photos/notes';
import { random } from '@/core/random';
import { tidePool, workshop } from './above';
import { develop, layer } from './light';
import { BLUE, COATS, GREEN, PLUM, RED_GOLD, TEAL } from './looks';
import { coast, dune, GRASS, MAY_NOON, type Weather } from './nature';
import { deltaKite, diamondKite, groundShadow, lantern, lighthouse, person } from './things';

export interface DemoPhoto {
  file: string;
  /** Local time it was taken. */
  taken: string;
  /** Exif orientation the file carries; the pixels are stored turned to match. */
  orientation?: number;
  /** What the club wrote to it. */
  notes?: PhotoNotes;
  draw(): Canvas;
}

const EVENING: Weather = {
  ...MAY_NOON,
  seed: 41,
  zenith: '#39507f',
  horizon: '#f3b98a',
  cloud: '#fbd9b6',
  cloudShade: '#8a6f88',
  cover: 0.55,
  sun: { x: 0.3, y: 0.49, glow: 1.15, colour: '#ffb562' },
  sea: '#3c5a72',
  sand: '#b5926e',
};
const MORNING: Weather = {
  ...MAY_NOON,
  seed: 77,
  zenith: '#5f9bc4',
  horizon: '#e9e4d6',
  cover: 0.34,
  sun: { x: 0.15, y: 0.1, glow: 0.5, colour: '#ffe6bd' },
  sea: '#3d8a8c',
};
const GREY: Weather = {
  ...MAY_NOON,
  seed: 19,
  zenith: '#8297a6',
  horizon: '#d6dbd9',
  cloud: '#eef0ee',
  cloudShade: '#8b99a3',
  cover: 0.9,
  sun: { x: 0.5, y: -0.4, glow: 0.1, colour: '#ffffff' },
  sea: '#5b7a7d',
  sand: '#bfae90',
};

function firstLaunch(): Canvas {
  const canvas = coast(3600, 2400, MAY_NOON, 0.6, 0.3);
  layer(canvas, 3, (c) => {
    for (const [x, size, look] of [
      [520, 130, PLUM],
      [960, 90, GREEN],
      [3200, 110, BLUE],
    ] as const)
      diamondKite(c, x, 420 + size * 3, size, look);
  });
  layer(canvas, 0.8, (c) => {
    groundShadow(c, 820, 2130, 620, -0.8);
    groundShadow(c, 1160, 2080, 430, -0.8);
    const hand = person(c, 820, 2130, 620, COATS[0]);
    person(c, 1160, 2080, 430, COATS[2]);
    diamondKite(c, 2340, 820, 900, RED_GOLD, hand);
  });
  return develop(canvas, 1, { warmth: 0.015 });
}

function skyFull(): Canvas {
  const canvas = coast(3000, 2000, { ...MAY_NOON, seed: 12, cover: 0.62 }, 0.8, 0.42);
  const looks = [RED_GOLD, TEAL, PLUM, BLUE, GREEN];
  const next = random(90);
  layer(canvas, 2.4, (c) => {
    for (let i = 0; i < 13; i++)
      deltaKite(c, 150 + next() * 2700, 180 + next() * 900, 70 + next() * 80, {
        ...looks[i % 5]!,
        seed: i * 9,
        turn: next() * 40 - 20,
      });
  });
  layer(canvas, 0.9, (c) => {
    diamondKite(c, 640, 560, 380, { ...TEAL, seed: 31 });
    deltaKite(c, 1610, 470, 620, { ...PLUM, turn: -8 });
    diamondKite(c, 2420, 700, 330, { ...BLUE, seed: 37, turn: 14 });
    for (let i = 0; i < 9; i++)
      person(c, 330 + i * 270 + next() * 120, 1850 + next() * 40, 150 + next() * 36, COATS[i % 5]!);
  });
  return develop(canvas, 2);
}

function throughGrass(): Canvas {
  const canvas = coast(3600, 2400, { ...MORNING, seed: 58 }, 0.56, 0.5);
  layer(canvas, 14, (c) => diamondKite(c, 2520, 620, 640, TEAL));
  layer(canvas, 9, (c) =>
    dune(c, 21, (u) => 0.68 - 0.07 * Math.sin(u * 3.4), {
      sand: '#d9c49a',
      shade: '#9c8258',
      blades: 4200,
      length: 0.075,
      greens: GRASS,
    }),
  );
  layer(canvas, 1.2, (c) =>
    dune(c, 22, (u) => 0.87 - 0.12 * u + 0.03 * Math.sin(u * 7), {
      sand: '#e3cfa4',
      shade: '#a98e60',
      blades: 9000,
      length: 0.2,
      greens: GRASS,
    }),
  );
  return develop(canvas, 3, { warmth: 0.03, bloom: 0.24 });
}

/** Portrait: straight up at a kite with its long tail. */
function highUp(): Canvas {
  const canvas = coast(2400, 3600, { ...MAY_NOON, seed: 66, cover: 0.36 }, 1.12, 1);
  layer(canvas, 2.2, (c) => deltaKite(c, 560, 2900, 190, { ...GREEN, turn: 14 }));
  layer(canvas, 0.8, (c) =>
    diamondKite(c, 1290, 1180, 1180, { ...BLUE, turn: -14, seed: 71 }, { x: 300, y: 3700 }),
  );
  return develop(canvas, 4);
}

/** Square: cloth, spars and stitching from near by. */
function closeUp(): Canvas {
  const canvas = coast(3000, 3000, { ...MAY_NOON, seed: 25, cover: 0.7 }, 1.3, 1);
  layer(canvas, 46, (c) => deltaKite(c, 600, 2500, 900, GREEN));
  layer(canvas, 1, (c) => diamondKite(c, 1500, 1440, 2300, { ...PLUM, turn: 18, seed: 52 }));
  return develop(canvas, 5, { bloom: 0.2 });
}

function horizonLine(): Canvas {
  const canvas = coast(4000, 2250, { ...MORNING, seed: 34, cover: 0.45 }, 0.46, 0.62);
  layer(canvas, 1, (c) => {
    // A sail far out.
    c.fillStyle = '#f4efe6';
    c.beginPath();
    c.moveTo(3010, 1020);
    c.quadraticCurveTo(3075, 960, 3020, 880);
    c.fill();
    c.fillStyle = '#51606b';
    c.fillRect(2990, 1022, 66, 9);
  });
  return develop(canvas, 6, { warmth: 0.02 });
}

function twoOnTheSand(): Canvas {
  const canvas = coast(3600, 2400, { ...MORNING, seed: 9 }, 0.42, 0.26);
  layer(canvas, 1, (c) => {
    groundShadow(c, 1500, 2060, 720, 0.9);
    groundShadow(c, 1830, 2110, 520, 0.9);
    person(c, 1500, 2060, 720, COATS[3], -1);
    const hand = person(c, 1830, 2110, 520, COATS[4], -1);
    diamondKite(c, 2820, 520, 420, { ...GREEN, turn: 22, seed: 81 }, hand);
  });
  return develop(canvas, 7, { warmth: 0.025 });
}

function goldenEvening(): Canvas {
  const canvas = coast(3600, 2400, EVENING, 0.62, 0.46);
  layer(canvas, 1, (c) => {
    const dark = { top: '#241d2a', legs: '#1d1822', hair: '#1a1418', arm: 1 } as const;
    const hand = person(c, 2350, 2190, 560, dark);
    person(c, 2620, 2200, 360, { ...dark, arm: 0 });
    diamondKite(
      c,
      1480,
      560,
      420,
      { ...RED_GOLD, colours: ['#8c2f33', '#6a2430', '#c4762e', '#9c5a26'], turn: -20, seed: 15 },
      hand,
    );
  });
  return develop(canvas, 8, { bloom: 0.34, warmth: 0.05 });
}

/** Portrait: the lighthouse at dusk. */
function lighthouseWalk(): Canvas {
  const canvas = coast(
    2400,
    3600,
    { ...EVENING, seed: 88, sun: { x: -0.15, y: 0.62, glow: 0.8, colour: '#ffb27a' }, cover: 0.42 },
    0.74,
    1,
  );
  layer(canvas, 30, (c) => {
    const beam = c.createLinearGradient(1420, 0, 2500, 0);
    beam.addColorStop(0, 'rgba(255,240,200,0.5)');
    beam.addColorStop(1, 'rgba(255,240,200,0)');
    c.fillStyle = beam;
    c.beginPath();
    c.moveTo(1420, 1000);
    c.lineTo(2500, 700);
    c.lineTo(2500, 1120);
    c.fill();
  });
  layer(canvas, 1.2, (c) => {
    lighthouse(c, 1420, 2760, 2000, '#ffe7a8');
    dune(c, 31, (u) => 0.775 - 0.035 * Math.sin(u * 3.3 + 0.2), {
      sand: '#8d7a66',
      shade: '#3d3540',
      blades: 7000,
      length: 0.05,
      greens: ['#4a4c33', '#65603c', '#37392b', '#7d7148'],
    });
  });
  layer(canvas, 2, (c) => {
    const dusk = { top: '#3b3446', legs: '#26222e', hair: '#2a2026', arm: 0 } as const;
    for (const [x, size] of [
      [500, 230],
      [640, 300],
      [760, 200],
    ] as const)
      person(c, x, 2960 + size * 0.3, size, { ...dusk, top: size > 250 ? '#7c4450' : '#3b4a5a' }, -1);
  });
  return develop(canvas, 10, { bloom: 0.3, warmth: 0.03 });
}

function lanternNight(): Canvas {
  const night: Weather = {
    ...EVENING,
    seed: 120,
    zenith: '#0d1526',
    horizon: '#2c3a55',
    cloud: '#3a4560',
    cloudShade: '#18213a',
    cover: 0.5,
    sun: { x: 0.5, y: 0.9, glow: 0.16, colour: '#ff9a50' },
    sea: '#101a28',
    sand: '#4a3a30',
  };
  const canvas = coast(3600, 2400, night, 0.6, 0.4);
  const next = random(44);
  layer(canvas, 20, (c) => {
    for (let i = 0; i < 46; i++)
      lantern(
        c,
        next() * 3600,
        900 + next() * 640,
        36 + next() * 54,
        ['#e8812f', '#e0632f', '#efa545'][i % 3]!,
      );
  });
  layer(canvas, 5, (c) => {
    for (let i = 0; i < 8; i++)
      lantern(
        c,
        200 + i * 450 + next() * 200,
        620 + next() * 560,
        110 + next() * 60,
        ['#e8812f', '#d8433a', '#efa545'][i % 3]!,
      );
  });
  layer(canvas, 1, (c) => {
    const dark = { top: '#1a1216', legs: '#120d12', hair: '#0e0a0c', arm: 1 } as const;
    lantern(c, 1240, 1180, 420, '#e8812f');
    lantern(c, 2330, 1010, 330, '#d8563a');
    person(c, 1080, 2360, 900, { ...dark, top: '#4a2a26' });
    person(c, 2210, 2340, 760, { ...dark, top: '#3a2430' });
    person(c, 2760, 2350, 560, { ...dark, arm: 0, top: '#2e2630' });
  });
  return develop(canvas, 11, { bloom: 0.42, grain: 13, vignette: 0.34 });
}

/** The one small picture: sent on from somebody's first telephone. */
function oldPhone(): Canvas {
  const canvas = coast(800, 600, { ...GREY, seed: 61 }, 0.55, 0.3);
  layer(canvas, 0.9, (c) => {
    groundShadow(c, 300, 540, 150, 0.4);
    const hand = person(c, 300, 540, 150, COATS[1]);
    deltaKite(c, 520, 150, 150, { ...RED_GOLD, turn: 10 });
    c.strokeStyle = 'rgba(240,240,235,0.6)';
    c.beginPath();
    c.moveTo(520, 160);
    c.quadraticCurveTo(380, 320, hand.x, hand.y);
    c.stroke();
  });
  return develop(canvas, 13, { grain: 15, bloom: 0.3 });
}

/** The same a moment later: the camera has moved a little, and was not always held still. */
function aMomentLater(first: Canvas, shift: number, shaken: number): Canvas {
  const canvas = createCanvas(first.width, first.height);
  const context = canvas.getContext('2d');
  if (shaken) context.filter = `blur(${shaken}px)`;
  // Drawn a little larger, so that the shift leaves no bare edge.
  const grown = 1 + (2 * shift) / first.height;
  context.drawImage(first, -2 * shift, -1.4 * shift, first.width * grown, first.height * grown);
  return canvas;
}

const BEACH = 'North beach, Saltmarsh Bay';

export const DEMO_PHOTOS: readonly DemoPhoto[] = [
  {
    file: 'workshop-table.jpg',
    taken: '2026-03-14T10:42:18',
    notes: { place: 'The boathouse, Saltmarsh Bay', caption: 'Spars, silk and far too much glue.' },
    draw: workshop,
  },
  {
    file: 'fly-in-first-launch.jpg',
    taken: '2026-05-16T11:05:41',
    notes: {
      place: BEACH,
      people: ['Ines', 'Olu'],
      stars: 5,
      caption: 'The red one goes up at the first try.',
    },
    draw: firstLaunch,
  },
  {
    file: 'fly-in-first-launch-again.jpg',
    taken: '2026-05-16T11:05:44',
    notes: { place: BEACH },
    draw: () => aMomentLater(firstLaunch(), 26, 0),
  },
  {
    file: 'fly-in-all-up.jpg',
    taken: '2026-05-16T11:38:02',
    notes: { place: BEACH, stars: 4 },
    draw: skyFull,
  },
  {
    file: 'fly-in-all-up-shaken.jpg',
    taken: '2026-05-16T11:38:05',
    notes: { place: BEACH },
    draw: () => aMomentLater(skyFull(), 18, 11),
  },
  { file: 'fly-in-through-the-grass.jpg', taken: '2026-05-16T12:10:55', draw: throughGrass },
  { file: 'fly-in-high.jpg', taken: '2026-05-16T12:24:30', orientation: 6, draw: highUp },
  { file: 'fly-in-plum-kite.jpg', taken: '2026-05-16T13:02:11', draw: closeUp },
  {
    file: 'fly-in-ines-and-olu.jpg',
    taken: '2026-05-16T13:15:47',
    notes: { place: BEACH, people: ['Ines', 'Olu'], stars: 5 },
    draw: twoOnTheSand,
  },
  { file: 'fly-in-horizon.jpg', taken: '2026-05-16T08:20:05', draw: horizonLine },
  { file: 'fly-in-last-light.jpg', taken: '2026-05-16T20:51:33', draw: goldenEvening },
  {
    file: 'tide-pools.jpg',
    taken: '2026-07-11T09:31:20',
    notes: { place: 'Lantern rocks, Saltmarsh Bay', people: ['Pip'], stars: 3 },
    draw: tidePool,
  },
  { file: 'lighthouse-walk.jpg', taken: '2026-09-19T18:47:09', orientation: 8, draw: lighthouseWalk },
  { file: 'lantern-night.jpg', taken: '2026-11-07T19:12:50', draw: lanternNight },
  { file: 'from-olus-old-phone.jpg', taken: '2026-05-16T11:52:00', draw: oldPhone },
];
