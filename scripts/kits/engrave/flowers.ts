/** Flowers of a border. */
import { disc, GOLDEN, PETAL, POINTED, ROUND } from './growth';
import {
  ball,
  bead,
  blade,
  cupPetal,
  LEAF,
  leafAt,
  moved,
  profileOf,
  revolved,
  stem,
  type Surface,
  tube,
  type V3,
  whorl,
  wire,
} from './surface';

/** The innermost petals, rolled. */
const rosebud: Surface = {
  at: (u, v) => {
    const [a, r] = [2 * Math.PI * u, 0.2 * v];
    return [r * Math.cos(a), r * Math.sin(a), 0.3 * (1 - v * v) + 0.12];
  },
  steps: [40, 12],
  along: 'u',
  edges: ['v1'],
  tone: (_, v) => 0.55 - 0.4 * v,
  marks: [
    { at: (t) => [(0.1 + 2.3 * t) % 1, 0.12 + 0.85 * t], weight: 0.9 },
    { at: (t) => [(0.6 + 1.2 * t) % 1, 0.4 + 0.58 * t], weight: 0.7 },
  ],
};

export const rose = (n = 24): Surface[] =>
  Array.from({ length: n }, (_, i): Surface[] => {
    if (i === 0) return [rosebud];
    const k = 0.16 + (0.84 * i) / n;
    const petal = blade(
      {
        long: 0.3 + 0.72 * k,
        wide: 0.34 + 0.95 * k,
        shape: ROUND,
        bend: 0.22 - 0.42 * k,
        fold: 0.75 - 0.5 * k,
        ruffle: [1.5, 0.03 * k],
        slant: 0.12,
      },
      { tone: (u) => 0.62 * (1 - u) ** 2.2 + 0.05, edges: ['u1', 'v0', 'v1'], steps: [30, 26], contour: 1.1 },
    );
    return moved([petal], { x: -84 + 74 * k ** 0.8, by: [0, -0.04 - 0.05 * k, 0] }).map(
      (one) => moved([one], { z: GOLDEN * i, by: [0, 0, -0.35 * k] })[0]!,
    );
  }).flat();

export const roseStem = (): Surface[] => [
  ...moved(rose(), { x: -24, by: [0, -0.9, 0.2] }),
  stem(
    [
      [0, -0.6, -0.4],
      [0.05, 0.4, -0.4],
      [-0.05, 1.7, -0.4],
    ],
    0.04,
    0.05,
  ),
  ...whorl(5, () => blade({ long: 0.5, wide: 0.16, shape: POINTED, bend: -0.1 }, { tone: 0.4 }), {
    turn: 108,
    of: 144,
    z: -0.5,
    from: 0.2,
  }).map((one) => moved([one], { by: [0, -0.75, 0] })[0]!),
  ...[
    [-1, 0.35],
    [1, 0.75],
  ].flatMap(([side, y]) => {
    const at = (t: number): V3 => [side! * 0.85 * t, y! - 0.28 * t, -0.3];
    return [
      tube(at, 0.024, { round: 8, steps: [20, 8] }),
      ...leafAt(at(1)[0], at(1)[1], side! * 62, 0.62, 0.42),
      ...[0.45, 0.75].flatMap((t) =>
        [18, 118].flatMap((a) => leafAt(at(t)[0], at(t)[1], side! * a, 0.46, 0.32)),
      ),
    ];
  }),
];

export const poppy = (): Surface[] => [
  ...moved(
    [
      ...whorl(
        5,
        () =>
          blade(
            { long: 0.98, wide: 1.2, shape: ROUND, bend: 0.12, fold: 0.1, ruffle: [2.5, 0.05], slant: 0.1 },
            PETAL,
          ),
        { lift: 10, turn: 30 },
      ),
      moved(
        [
          revolved(profileOf([0.01, -0.3], [0.19, -0.28], [0.15, -0.2], [0.17, -0.06], [0.1, 0.1]), {
            tone: 0.2,
            marks: Array.from({ length: 10 }, (_, i) => ({ at: (t: number) => [i / 10, 0.3 * t] as const })),
          }),
        ],
        { x: -90, by: [0, 0, 0.1] },
      )[0]!,
      ...Array.from({ length: 46 }, (_, i) => {
        const a = (GOLDEN * i * Math.PI) / 180;
        const r = 0.26 + (0.12 * ((i * 7) % 10)) / 10;
        return [
          wire((t) => [r * t * Math.cos(a), r * t * Math.sin(a), 0.16 + 0.14 * t], 0.45),
          bead(r * Math.cos(a), r * Math.sin(a), 0.31, 0.026, { tone: 0.8, steps: [8, 6] }),
        ];
      }).flat(),
    ],
    { x: -16, z: -14, by: [0, -0.7, 0] },
  ),
  stem(
    [
      [0, -0.5, -0.3],
      [0.06, 0.5, -0.3],
      [-0.04, 1.7, -0.3],
    ],
    0.03,
    0.035,
  ),
  stem(
    [
      [-0.02, 1.2, -0.32],
      [-0.5, 0.6, -0.3],
      [-0.78, 0.1, -0.3],
      [-0.9, 0.2, -0.3],
    ],
    0.024,
    0.022,
  ),
  ...moved(
    [ball([0, 0, 0], [0.14, 0.22, 0.14], { along: 'v', tone: 0.2, marks: [{ at: (t) => [0.1, t] }] })],
    { z: -20, by: [-0.92, 0.36, -0.3] },
  ),
  ...leafAt(0, 1.1, 58, 0.9, 0.46, {
    shape: (t) => LEAF(t) * (0.55 + 0.6 * Math.abs(Math.sin(7 * t))),
    by: -0.2,
  }),
  ...leafAt(0, 1.4, -64, 0.7, 0.4, {
    shape: (t) => LEAF(t) * (0.55 + 0.6 * Math.abs(Math.sin(7 * t))),
    by: -0.2,
  }),
];

const daisy = (size: number, petals: number): Surface[] =>
  moved(
    [
      ...whorl(
        petals,
        () =>
          blade(
            { long: 0.78, wide: 0.21, shape: ROUND, bend: -0.06, fold: 0.12, slant: 0.1 },
            {
              along: 'u',
              tone: (u) => 0.4 * (1 - u) ** 2,
              edges: ['u1', 'v0', 'v1'],
              steps: [24, 10],
              marks: [0.35, 0.65].map((v) => ({ at: (t) => [0.15 + 0.7 * t, v] as const, weight: 0.35 })),
            },
          ),
        { from: 0.2, lift: 8 },
      ),
      ...whorl(
        petals - 4,
        () =>
          blade(
            { long: 0.6, wide: 0.2, shape: ROUND, bend: -0.04, fold: 0.14, slant: 0.1 },
            { along: 'u', tone: (u) => 0.4 * (1 - u) ** 2, edges: ['u1', 'v0', 'v1'], steps: [24, 10] },
          ),
        { from: 0.2, lift: 18, turn: 8, z: 0.04 },
      ),
      ...disc(0.28, 62, 0.12, 0.08),
    ],
    { size },
  );

export const daisies = (): Surface[] => [
  ...moved(daisy(0.82, 21), { x: -22, z: 10, by: [-0.1, -0.9, 0.2] }),
  ...moved(daisy(0.56, 19), { x: -40, z: -30, by: [0.85, -0.2, 0.1] }),
  stem(
    [
      [-0.1, -0.8, -0.2],
      [0.0, 0.3, -0.2],
      [0.02, 1.5, -0.2],
    ],
    0.03,
  ),
  stem(
    [
      [0.84, -0.1, -0.2],
      [0.4, 0.5, -0.2],
      [0.05, 1.1, -0.2],
    ],
    0.026,
  ),
  ...leafAt(0.02, 1.2, -58, 0.72, 0.24),
  ...leafAt(0.02, 0.7, -46, 0.6, 0.2),
  ...leafAt(0.02, 1.3, 66, 0.6, 0.22),
];

export const sunflower = (): Surface[] => [
  ...moved(
    [
      ...whorl(
        21,
        () =>
          blade(
            { long: 0.82, wide: 0.34, shape: POINTED, bend: -0.12, fold: 0.2 },
            {
              along: 'u',
              tone: (u) => 0.3 + 0.2 * (1 - u),
              marks: [0.5].map((v) => ({ at: (t) => [0.05 + 0.85 * t, v] as const, weight: 0.4 })),
            },
          ),
        { from: 0.46 },
      ),
      ...whorl(
        21,
        () =>
          blade(
            { long: 0.7, wide: 0.32, shape: POINTED, bend: 0.02, fold: 0.22 },
            {
              along: 'u',
              tone: (u) => 0.05 + 0.4 * (1 - u) ** 2,
              marks: [0.5].map((v) => ({ at: (t) => [0.05 + 0.85 * t, v] as const, weight: 0.4 })),
            },
          ),
        { from: 0.46, lift: 14, turn: 9, z: 0.06 },
      ),
      ...disc(0.56, 110, 0.1, 0.1, 0.35),
    ],
    { x: -16, by: [0, -0.8, 0.3] },
  ),
  stem(
    [
      [0, -0.4, -0.2],
      [0.08, 0.6, -0.2],
      [0, 1.9, -0.2],
    ],
    0.06,
    0.075,
  ),
  ...leafAt(0.05, 1.1, 66, 1.05, 0.85, { veins: 6, bend: -0.2 }),
  ...leafAt(0.03, 0.8, -62, 0.95, 0.76, { veins: 6, bend: -0.2 }),
];

export const tulip = (): Surface[] => {
  const out = profileOf([0.04, 0], [0.36, -0.14], [0.46, -0.5], [0.36, -0.9], [0.3, -1.12]);
  const shape = (t: number): number =>
    Math.sin(Math.PI * Math.min(0.96, 0.2 + 0.78 * t)) ** 0.75 * (t > 0.97 ? 0.4 : 1);
  const cup = [0, 120, 240].flatMap((a) => [
    cupPetal((t) => [out(t)[0] * 0.9, out(t)[1] * 1.02], a + 60, 62, shape, { tone: 0.3 }),
    cupPetal(out, a, 64, shape, { tone: (u, v) => 0.3 * (1 - u) + 0.25 * (2 * v - 1) ** 4 }),
  ]);
  return [
    ...moved(cup, { x: -10, y: 18, by: [0, -0.6, 0.2] }),
    stem(
      [
        [0, -0.6, 0],
        [0.05, 0.5, 0],
        [0, 1.6, 0],
      ],
      0.05,
    ),
    ...moved(
      [
        blade(
          {
            long: 1.7,
            wide: 0.5,
            shape: (t) => Math.sin(Math.PI * (0.2 + 0.8 * t)) ** 0.8,
            bend: -0.4,
            fold: 0.5,
            sway: -0.3,
            slant: 0.05,
          },
          {
            along: 'u',
            tone: 0.15,
            marks: [0.2, 0.35, 0.65, 0.8].map((v) => ({ at: (t) => [t * 0.95, v] as const, weight: 0.4 })),
          },
        ),
      ],
      { z: -16, by: [-0.02, 1.5, 0.1] },
    ),
    ...moved(
      [
        blade(
          {
            long: 1.4,
            wide: 0.46,
            shape: (t) => Math.sin(Math.PI * (0.2 + 0.8 * t)) ** 0.8,
            bend: -0.5,
            fold: 0.5,
            sway: 0.4,
            slant: 0.05,
          },
          {
            along: 'u',
            tone: 0.3,
            marks: [0.2, 0.35, 0.65, 0.8].map((v) => ({ at: (t) => [t * 0.95, v] as const, weight: 0.4 })),
          },
        ),
      ],
      { z: 22, by: [0.02, 1.5, 0.05] },
    ),
  ];
};
