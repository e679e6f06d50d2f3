/** What a child is given to hold. */
import { box } from './reading';
import {
  ball,
  bead,
  corners,
  flat,
  type Mark,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  type Surface,
  through,
  tube,
  type V3,
  wire,
} from './surface';

const TURN = 2 * Math.PI;
/** Plush: short strokes all over it. */
const plush = (count: number): Mark[] =>
  Array.from({ length: count }, (_, i): Mark => {
    const [u, v] = [(i * 0.618034) % 1, 0.1 + 0.8 * ((i * 0.754878) % 1)];
    return { at: (t) => [u + 0.018 * t, v + 0.03 * t], weight: 0.5 };
  });
const limb = (points: readonly V3[], from: number, to: number, fur = 30): Surface =>
  tube(through(points), ramp(0.6 * from, from, (from + to) / 2, to, 0.7 * to), {
    round: 18,
    steps: [40, 18],
    marks: plush(fur),
    tone: 0.06,
  });
/** Two eyes, a nose and a mouth, about a place on the front of a face. */
const face = (x: number, y: number, z: number, size = 1): Surface[] => [
  ...[-1, 1].map((s) =>
    ball([x + s * 0.17 * size, y - 0.1 * size, z], 0.045 * size, { tone: 1, steps: [16, 10] }),
  ),
  ball([x, y + 0.05 * size, z + 0.08], [0.08 * size, 0.055 * size, 0.05], { tone: 0.95, steps: [20, 12] }),
  wire((t) => [x, y + (0.1 + 0.08 * t) * size, z + 0.09], 1),
  ...[-1, 1].map((s) =>
    wire((t) => [x + s * 0.14 * t * size, y + (0.18 + 0.05 * Math.sin(Math.PI * t)) * size, z + 0.09], 0.9),
  ),
];

export const bear = (): Surface[] => [
  ball([0, 0.5, 0], [0.58, 0.66, 0.5], { marks: plush(110), tone: 0.06, steps: [60, 40] }),
  ball([0, 0.52, 0.3], [0.34, 0.4, 0.3], { tone: -0.1 }),
  ball([0, -0.5, 0.16], [0.54, 0.48, 0.46], { marks: plush(90), tone: 0.04, steps: [60, 40] }),
  ...[-1, 1].flatMap((s) => [
    ball([s * 0.44, -0.88, 0.02], [0.2, 0.2, 0.12], { marks: plush(20), tone: 0.1 }),
    ball([s * 0.44, -0.87, 0.11], [0.1, 0.1, 0.06], { tone: 0.35 }),
    limb(
      [
        [s * 0.4, 0.12, 0.1],
        [s * 0.82, 0.3, 0.3],
        [s * 0.86, 0.62, 0.4],
      ],
      0.2,
      0.2,
    ),
    limb(
      [
        [s * 0.32, 0.9, 0.1],
        [s * 0.6, 1.04, 0.4],
        [s * 0.78, 1.0, 0.66],
      ],
      0.26,
      0.26,
    ),
    ball([s * 0.8, 1.0, 0.84], [0.2, 0.22, 0.08], { tone: 0.28 }),
  ]),
  ball([0, -0.36, 0.52], [0.24, 0.19, 0.16], { tone: -0.1 }),
  ...face(0, -0.46, 0.62),
  // A bow at its neck.
  ...[-1, 1].map((s) => ball([s * 0.2, -0.04, 0.52], [0.19, 0.11, 0.07], { tone: 0.55, along: 'v' })),
  bead(0, -0.04, 0.58, 0.08, { tone: 0.6 }),
];

export const rabbit = (): Surface[] => [
  ball([0, 0.55, 0], [0.48, 0.58, 0.42], { marks: plush(80), tone: 0.04, steps: [56, 36] }),
  ball([0, -0.28, 0.1], [0.42, 0.4, 0.38], { marks: plush(60), tone: 0.02, steps: [56, 36] }),
  ...[-1, 1].flatMap((s) => [
    // Long ears, one of them bent.
    ...(s < 0
      ? [
          limb(
            [
              [-0.16, -0.52, 0.05],
              [-0.28, -1.0, 0.05],
              [-0.3, -1.46, 0.1],
            ],
            0.16,
            0.13,
          ),
        ]
      : [
          limb(
            [
              [0.16, -0.52, 0.05],
              [0.3, -1.0, 0.05],
              [0.56, -1.2, 0.12],
              [0.82, -0.94, 0.2],
            ],
            0.16,
            0.13,
          ),
        ]),
    limb(
      [
        [s * 0.32, 0.24, 0.1],
        [s * 0.62, 0.4, 0.2],
        [s * 0.64, 0.74, 0.3],
      ],
      0.15,
      0.15,
    ),
    limb(
      [
        [s * 0.24, 0.95, 0.1],
        [s * 0.4, 1.12, 0.4],
        [s * 0.48, 1.1, 0.66],
      ],
      0.2,
      0.22,
    ),
  ]),
  ...face(0, -0.24, 0.46, 0.85),
  flat(
    [
      [-0.3, 0.44, 0.46],
      [-0.34, 1.0, 0.4],
      [0.34, 1.0, 0.4],
      [0.3, 0.44, 0.46],
    ],
    {
      tone: (u, v) => ((Math.floor(u * 6) + Math.floor(v * 6)) % 2 ? 0.6 : 0.0),
      along: 'u',
      bulge: 0.1,
    },
  ),
];

const letterOn = (strokes: readonly (readonly V3[])[], x: number, y: number, z: number): Surface[] =>
  strokes.map((points) =>
    wire((t) => {
      const p = corners(...points)(t);
      return [x + p[0], y + p[1], z];
    }, 3),
  );

export const blocks = (): Surface[] => {
  const frame = [0.1, 0.9].flatMap((at): Mark[] => [
    { at: (t) => [at, 0.1 + 0.8 * t], weight: 0.8 },
    { at: (t) => [0.1 + 0.8 * t, at], weight: 0.8 },
  ]);
  const one = (
    y: number,
    x: number,
    turn: number,
    tones: readonly [number, number, number],
    letter: Surface[],
  ) => moved([...box(0.52, 0.52, 0.52, tones, frame, frame), ...letter], { y: turn, x: -18, by: [x, y, 0] });
  return [
    ...one(
      0.62,
      -0.62,
      22,
      [0.1, 0.5, 0.02],
      letterOn(
        [
          [
            [-0.22, 0.26, 0],
            [0, -0.28, 0],
            [0.22, 0.26, 0],
          ],
          [
            [-0.13, 0.08, 0],
            [0.13, 0.08, 0],
          ],
        ],
        0,
        0,
        0.54,
      ),
    ),
    ...one(
      0.66,
      0.66,
      -26,
      [0.34, 0.1, 0.05],
      letterOn(
        [
          [
            [-0.16, -0.27, 0],
            [-0.16, 0.27, 0],
            [0.12, 0.24, 0],
            [0.18, 0.12, 0],
            [0.1, 0, 0],
            [-0.16, -0.02, 0],
          ],
          [
            [0.08, -0.02, 0],
            [0.16, -0.12, 0],
            [0.1, -0.25, 0],
            [-0.16, -0.27, 0],
          ],
        ],
        0,
        0,
        0.54,
      ),
    ),
    ...one(
      -0.4,
      0.02,
      8,
      [0.02, 0.44, 0.02],
      letterOn(
        [
          [
            [0.2, -0.18, 0],
            [0.04, -0.28, 0],
            [-0.16, -0.18, 0],
            [-0.22, 0, 0],
            [-0.16, 0.18, 0],
            [0.04, 0.28, 0],
            [0.2, 0.18, 0],
          ],
        ],
        0,
        0,
        0.54,
      ),
    ),
  ];
};

export const duck = (): Surface[] => [
  ball([0.1, 0.42, 0], [1.0, 0.56, 0.6], { tone: 0.02, steps: [72, 40] }),
  tube(
    through([
      [0.7, 0.2, 0],
      [1.05, -0.05, 0],
      [1.3, -0.32, 0],
    ]),
    ramp(0.36, 0.24, 0.05),
    { round: 20, tone: 0.04 },
  ),
  ball([-0.56, -0.42, 0.05], [0.5, 0.48, 0.46], { tone: -0.02, steps: [60, 40] }),
  ...[-0.06, 0.08].map((dy, i) =>
    ball([-1.06, -0.34 + dy, 0.1], [0.24 - 0.04 * i, 0.075, 0.2], { tone: 0.4 + 0.2 * i, steps: [32, 14] }),
  ),
  ball([-0.72, -0.52, 0.5], [0.085, 0.1, 0.07], { tone: 1, steps: [20, 12] }),
  // The wing, its feathers ruled.
  ball([0.32, 0.36, 0.42], [0.52, 0.3, 0.26], {
    tone: 0.12,
    along: 'v',
    marks: [0.3, 0.42, 0.54].map((v): Mark => ({ at: (t) => [0.02 + 0.22 * t, v + 0.05 * t], weight: 0.9 })),
  }),
  ...[0, 1, 2].map((k) =>
    wire(
      (t) => [-1.3 + 0.2 * k + (2.7 - 0.4 * k) * t, 0.92 + 0.12 * k + 0.03 * Math.sin(18 * t + k), 0.1],
      0.9,
    ),
  ),
];

export const rings = (): Surface[] =>
  moved(
    [
      ...[0.72, 0.62, 0.52, 0.42, 0.32].map((r, i) =>
        ring([0, 0.72 - 0.34 * i, 0], r, 0.2, 90, {
          steps: [96, 20],
          tone: [0.08, 0.4, 0.1, 0.55, 0.16][i]!,
        }),
      ),
      ball([0, -0.98, 0], 0.26, { tone: 0.3 }),
      revolved(profileOf([0.86, 0.92], [0.9, 1.02], [0.84, 1.1]), { edges: ['v0', 'v1'], tone: 0.16 }),
      revolved((t) => [0.86 * t, 0.92], { tone: 0.04, steps: [64, 8] }),
    ],
    { x: -22 },
  );

export const rattle = (): Surface[] =>
  moved(
    [
      ball([0, -0.75, 0], 0.52, {
        steps: [60, 40],
        tone: (_, v) => (Math.abs(v - 0.5) < 0.1 ? 0.6 : 0.04),
        marks: Array.from({ length: 14 }, (_, i): Mark => ({
          at: (t) => [i / 14 + 0.02 * Math.cos(TURN * t), 0.28 + 0.035 * Math.sin(TURN * t)],
          weight: 0.9,
        })),
      }),
      tube((t) => [0, -0.28 + 1.1 * t, 0], ramp(0.13, 0.075, 0.085, 0.075, 0.1), {
        round: 16,
        steps: [40, 16],
        tone: 0.12,
      }),
      ring([0, 1.04, 0], 0.26, 0.07, 0, { steps: [56, 14] }),
      // A ribbon tied to it.
      ...[-1, 1].flatMap((s) => [
        ball([s * 0.22, -0.16, 0.14], [0.21, 0.12, 0.07], { tone: 0.45, along: 'v' }),
        tube(
          through([
            [s * 0.05, -0.12, 0.14],
            [s * 0.3, 0.2, 0.2],
            [s * 0.22, 0.5, 0.14],
          ]),
          ramp(0.04, 0.08, 0.07),
          { flat: 0.25, round: 10, tone: 0.35, edges: ['u1'] },
        ),
      ]),
      bead(0, -0.16, 0.18, 0.08, { tone: 0.5 }),
    ],
    { z: 30 },
  );

export const top_ = (): Surface[] =>
  moved(
    [
      revolved(
        profileOf(
          [0.05, -0.5],
          [0.5, -0.42],
          [0.95, -0.12],
          [0.95, 0.04],
          [0.5, 0.5],
          [0.09, 0.86],
          [0.02, 1.0],
        ),
        {
          tone: (_, v) => [0.02, 0.5, 0.04, 0.6, 0.08, 0.5, 0.1][Math.min(6, Math.floor(v * 7))]!,
          steps: [96, 70],
          marks: [1, 2, 3, 4, 5, 6].map((k): Mark => ({ at: (t) => [t, k / 7], weight: 0.7 })),
        },
      ),
      tube((t) => [0, -1.02 + 0.56 * t, 0], ramp(0.06, 0.075, 0.06, 0.1), {
        round: 14,
        tone: 0.14,
        edges: ['u0'],
      }),
      bead(0, -1.06, 0, 0.12, { tone: 0.2 }),
    ],
    { x: -14, z: 16 },
  ).concat(
    [0, 1].map((k) =>
      wire(
        (t) => [
          -0.3 + (0.55 + 0.25 * k) * Math.cos(2.6 + 3.0 * t),
          1.0 + (0.1 + 0.05 * k) * Math.sin(2.6 + 3.0 * t),
          0,
        ],
        0.9,
      ),
    ),
  );

export const drum = (): Surface[] => [
  ...moved(
    [
      revolved((t) => [0.92, -0.36 + 0.9 * t], { tone: 0.3, steps: [96, 24] }),
      ...[-0.36, 0.54].flatMap((y) => [
        revolved((t) => [0.98, y - 0.08 + 0.16 * t], { tone: 0.03, edges: ['v0', 'v1'], steps: [96, 8] }),
      ]),
      revolved((t) => [0.97 * t, -0.44], { tone: -0.1, edges: ['v1'], steps: [96, 10] }),
      // Cords from rim to rim.
      ...Array.from({ length: 24 }, (_, i) =>
        tube(
          (t) => {
            const a = (TURN * (i + (i % 2 ? 1 - t : t))) / 24;
            return [0.97 * Math.sin(a), -0.28 + 0.74 * t, 0.97 * Math.cos(a)];
          },
          0.024,
          { round: 8, steps: [16, 8] },
        ),
      ),
    ],
    { x: -24 },
  ),
  ...[
    [-52, -0.35],
    [44, 0.4],
  ].flatMap(([z, x]) =>
    moved(
      [
        tube((t) => [0, -1.2 + 1.3 * t, 0], ramp(0.05, 0.055, 0.03), {
          round: 10,
          steps: [30, 10],
          tone: 0.08,
        }),
        ball([0, 0.16, 0], 0.1, { tone: 0.14 }),
      ],
      { z: z!, by: [x!, -0.62, 0.7] },
    ),
  ),
];
