/** Fruit, roots, nuts and mushrooms. */
import { GOLDEN, POINTED } from './growth';
import {
  ball,
  blade,
  LEAF,
  leafAt,
  moved,
  profileOf,
  ramp,
  revolved,
  stem,
  type Surface,
  through,
  tube,
  whorl,
  wire,
} from './surface';

export const mushrooms = (): Surface[] => {
  const one = (x: number, y: number, size: number, tilt: number, spots: number): Surface[] =>
    moved(
      [
        revolved(profileOf([0.02, -0.52], [0.3, -0.47], [0.56, -0.24], [0.66, 0], [0.6, 0.05]), {
          tone: 0.1,
          edges: ['v1'],
          along: 'v',
        }),
        revolved((t) => [0.6 - 0.46 * t, 0.05 - 0.08 * t], {
          tone: 0.55,
          along: 'v',
          steps: [96, 8],
          dense: 1.4,
        }),
        revolved(profileOf([0.13, -0.02], [0.14, 0.4], [0.17, 0.75], [0.24, 0.92]), {
          along: 'v',
          tone: 0.05,
        }),
        revolved((t) => [0.15 + 0.14 * t, 0.2 + 0.1 * t + 0.02], {
          tone: 0.3,
          edges: ['v1'],
          steps: [48, 6],
        }),
        ...Array.from({ length: spots }, (_, i) => {
          const [a, b] = [(GOLDEN * i * Math.PI) / 180, 0.35 + 0.85 * ((i + 1) / spots)];
          return ball(
            [0.6 * Math.sin(b) * Math.sin(a), -0.52 * Math.cos(b), 0.6 * Math.sin(b) * Math.cos(a)],
            [0.075, 0.05, 0.05],
            { steps: [12, 8], bare: true },
          );
        }),
      ],
      { x: 10, z: tilt, size, by: [x, y, 0] },
    );
  return [
    ...one(-0.2, -0.1, 1.15, -4, 17),
    ...one(0.62, 0.42, 0.68, 10, 11),
    ...one(-0.85, 0.52, 0.5, -12, 0),
    ...Array.from({ length: 26 }, (_, i) =>
      wire(
        through([
          [-1.2 + 0.094 * i, 1.02, 0.3],
          [-1.2 + 0.094 * i + 0.05 * Math.sin(i * 2.3), 0.86 - 0.08 * Math.sin(i * 1.7), 0.3],
          [-1.2 + 0.094 * i + 0.13 * Math.sin(i * 2.3), 0.72 - 0.12 * Math.sin(i * 1.7), 0.3],
        ]),
        0.6,
      ),
    ),
  ];
};

const fruit = (points: readonly (readonly [number, number])[], lean: number, tone = 0.06): Surface[] =>
  moved(
    [
      revolved(profileOf(...points), {
        along: 'v',
        tone: (u, v) => tone + 0.3 * Math.exp(-((v - 0.02) ** 2) / 0.004) + 0.02 * Math.sin(40 * u),
        steps: [72, 56],
      }),
    ],
    { x: -16, z: lean },
  );

export const pear = (): Surface[] => [
  ...fruit(
    [
      [0, -0.86],
      [0.12, -0.95],
      [0.3, -0.84],
      [0.36, -0.5],
      [0.52, -0.1],
      [0.72, 0.4],
      [0.58, 0.85],
      [0.14, 0.98],
      [0, 0.93],
    ],
    8,
  ),
  stem(
    [
      [0.08, -0.78, 0.3],
      [0.1, -1.1, 0.2],
      [0.24, -1.34, 0.2],
    ],
    0.04,
    0.05,
  ),
  ...leafAt(0.12, -1.08, -64, 0.95, 0.5),
];

export const apple = (): Surface[] => [
  ...fruit(
    [
      [0.0, -0.5],
      [0.12, -0.66],
      [0.42, -0.76],
      [0.78, -0.5],
      [0.86, -0.02],
      [0.7, 0.52],
      [0.36, 0.78],
      [0.12, 0.74],
      [0, 0.68],
    ],
    -6,
  ),
  stem(
    [
      [0.02, -0.48, 0.3],
      [0.0, -0.8, 0.4],
      [0.12, -1.02, 0.4],
    ],
    0.03,
    0.04,
  ),
  ...leafAt(0.04, -0.82, 62, 0.8, 0.42, { by: 0.4 }),
];

export const strawberry = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.05, -0.52], [0.5, -0.5], [0.66, -0.2], [0.5, 0.36], [0.18, 0.78], [0, 0.84]), {
        tone: 0.16,
        along: 'u',
        marks: Array.from({ length: 110 }, (_, i) => {
          const [u, v] = [0.985 * ((0.618034 * i) % 1), 0.06 + 0.84 * Math.sqrt(i / 110)];
          return { at: (t: number) => [u + 0.012 * Math.sin(Math.PI * t), v + 0.03 * t] as const, weight: 1 };
        }),
      }),
    ],
    { x: -14, z: -8 },
  ),
  ...whorl(9, () => blade({ long: 0.5, wide: 0.2, shape: POINTED, bend: -0.2, veins: 3 }, { tone: 0.2 }), {
    turn: 82,
    of: 218,
    z: 0.4,
  }).map((one) => moved([one], { by: [-0.04, -0.54, 0] })[0]!),
  stem(
    [
      [-0.04, -0.56, 0.42],
      [-0.02, -0.9, 0.3],
      [0.24, -1.2, 0.2],
    ],
    0.035,
  ),
];

export const pumpkin = (): Surface[] => [
  ...moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const b = Math.PI * (0.04 + 0.92 * v);
          const k = 1 - 0.13 * Math.abs(Math.cos(6 * a)) ** 3;
          return [
            1.02 * k * Math.sin(b) * Math.sin(a),
            -0.72 * k * Math.cos(b) * (1 - 0.22 * Math.exp(-v * v * 40)),
            1.02 * k * Math.sin(b) * Math.cos(a),
          ];
        },
        steps: [144, 32],
        along: 'v',
        tone: (u) => 0.5 * Math.abs(Math.cos(12 * Math.PI * (u + 0.0137))) ** 8,
      } satisfies Surface,
      tube(
        through([
          [0, -0.6, 0],
          [0.02, -0.82, 0],
          [0.2, -1.02, 0.1],
        ]),
        ramp(0.17, 0.1, 0.12),
        {
          round: 14,
          edges: ['u1'],
          marks: [0.1, 0.3, 0.5, 0.7, 0.9].map((v) => ({ at: (t) => [t, v] as const, weight: 0.6 })),
        },
      ),
    ],
    { x: -20 },
  ),
  ...moved(
    [
      blade({
        long: 0.8,
        wide: 0.9,
        veins: 4,
        bend: -0.15,
        shape: (t) => LEAF(t) * (0.8 + 0.25 * Math.abs(Math.sin(7 * t))),
      }),
    ],
    { z: -78, by: [-0.1, -0.72, 0.3] },
  ),
  wire(
    through([
      [0.1, -0.7, 0.6],
      [0.6, -0.95, 0.6],
      [0.8, -0.7, 0.6],
      [0.66, -0.62, 0.6],
      [0.74, -0.82, 0.6],
      [1.1, -0.86, 0.6],
    ]),
    0.8,
  ),
];

export const acorns = (): Surface[] => {
  const one = (x: number, y: number, turn: number): Surface[] =>
    moved(
      [
        revolved(profileOf([0.27, -0.02], [0.28, 0.24], [0.2, 0.5], [0.04, 0.62], [0, 0.7]), {
          along: 'v',
          tone: 0.1,
        }),
        revolved(profileOf([0.03, -0.3], [0.22, -0.24], [0.33, -0.06], [0.31, 0.05]), {
          tone: 0.2,
          edges: ['v1'],
          marks: Array.from({ length: 60 }, (_, i) => {
            const row = Math.floor(i / 12);
            const u = ((i % 12) + (row % 2) * 0.5) / 12;
            return {
              at: (t: number) =>
                [(u + 0.083 * t) % 1, 0.2 + 0.16 * row + 0.12 * Math.sin(Math.PI * t)] as const,
              weight: 0.7,
            };
          }),
        }),
        tube((t) => [0.04 * t * t, -0.28 - 0.34 * t, 0], 0.03, { round: 8, steps: [12, 8] }),
      ],
      { z: turn, x: -12, by: [x, y, 0.25] },
    );
  const lobed = (t: number): number =>
    (0.2 + 0.8 * Math.sin(Math.PI * Math.min(1, t * 1.02)) ** 0.8) *
    (0.68 + 0.36 * Math.abs(Math.sin(4.6 * Math.PI * t)) ** 0.7) *
    (t > 0.96 ? 0.8 : 1);
  return [
    ...one(0.34, 0.24, -18),
    ...one(-0.3, 0.42, 16),
    ...[
      [-52, 1.7],
      [8, 1.85],
      [62, 1.6],
    ].flatMap(([z, long]) =>
      moved(
        [
          blade(
            { long: long!, wide: 0.78, shape: lobed, veins: 5, bend: 0.2, slant: 0.16 },
            { steps: [70, 20] },
          ),
        ],
        { z: z!, by: [0.04, 0.06, -0.1] },
      ),
    ),
  ];
};

export const bulb = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.05, -0.78], [0.13, -0.6], [0.3, -0.36], [0.5, 0.04], [0.42, 0.4], [0.14, 0.56]), {
        along: 'v',
        tone: 0.08,
        marks: Array.from({ length: 14 }, (_, i) => ({
          at: (t: number) => [(i + 0.3) / 14, 0.05 + 0.9 * t] as const,
          weight: 0.5,
        })),
      }),
    ],
    {},
  ),
  ...Array.from({ length: 22 }, (_, i) => {
    const x = (i / 21 - 0.5) * 0.4;
    return wire(
      through([
        [x * 0.5, 0.54, 0],
        [x * 1.4 + 0.05 * Math.sin(3 * i), 0.85, 0],
        [x * 2.2 + 0.12 * Math.sin(5 * i), 1.15 - 0.5 * Math.abs(x), 0],
      ]),
      0.6,
    );
  }),
  ...[
    [-14, 1.1],
    [4, 1.5],
    [18, 1.2],
  ].flatMap(([z, long]) =>
    moved(
      [
        blade(
          {
            long: long!,
            wide: 0.24,
            shape: (t) => Math.min(1, 0.5 + t) * Math.sqrt(Math.max(0, 1 - t ** 3)),
            bend: 0.1,
            fold: 0.5,
            slant: 0.04,
          },
          { along: 'u', tone: 0.12 },
        ),
      ],
      { z: z!, by: [0, -0.66, -0.04] },
    ),
  ),
];
