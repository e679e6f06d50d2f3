/** Boats, and what belongs to them. */
import { random } from '@/core/random';
import { fbm } from '../../art/noise';
import {
  ball,
  bead,
  blade,
  flat,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  rope,
  type Surface,
  through,
  tube,
  type V3,
  wire,
} from './surface';

const hull = (long: number, deep: number, beam: number, more: Partial<Surface> = {}): Surface => ({
  // Lines of a clinker boat: stem at the left, transom at the right.
  at: (u, v) => {
    const sheer = -0.16 * (2 * u - 1) ** 2 - 0.06 * (1 - u);
    const half = beam * Math.sin(Math.PI * Math.min(1, u * 0.62 + 0.02)) ** 0.8;
    const down = deep * (0.9 + 0.1 * Math.sin(Math.PI * u)) * v;
    return [
      (u - 0.5) * long + 0.16 * long * v * (u < 0.5 ? 0.5 - u : -(u - 0.5) * 0.6),
      sheer + down,
      half * Math.cos((Math.PI / 2) * v ** 1.5),
    ];
  },
  steps: [60, 24],
  along: 'u',
  edges: ['v0', 'v1', 'u0', 'u1'],
  marks: [0.2, 0.4, 0.6, 0.8].map((v) => ({ at: (t) => [t, v] as const, weight: 0.7 })),
  tone: (_, v) => 0.22 * ((v * 5) % 1),
  ...more,
});

export const ripples = (y: number, half: number, seed: number): Surface[] => {
  const next = random(seed);
  return Array.from({ length: 9 }, (_, i) => {
    const w = half * (1 - i * 0.07) * (0.35 + 0.4 * next());
    const x = (next() - 0.5) * half * 1.1;
    const level = y + 0.05 * i + 0.03 * next();
    return wire((t) => [x + (t - 0.5) * w, level + 0.016 * Math.sin(9 * t + i), -0.4], 0.8);
  });
};

const sail = (a: V3, b: V3, c: V3, bulge: number, seams: number, tone = 0.1): Surface =>
  flat([a, b, c], {
    bulge,
    along: 'u',
    tone,
    marks: Array.from({ length: seams }, (_, i) => ({
      at: (t: number) => [(i + 1) / (seams + 1), t] as const,
      weight: 0.4,
    })),
  });

export const dinghy = (): Surface[] => [
  hull(2, 0.42, 0.4),
  tube((t) => [-0.22, -2.05 + 2 * t, 0.12], ramp(0.018, 0.03, 0.034), { round: 10, steps: [40, 10] }),
  tube((t) => [-0.24 + 1.12 * t, -0.36 + 0.03 * t, 0.16], 0.022, { round: 10, steps: [20, 10] }),
  sail([-0.19, -1.95, 0.2], [-0.19, -0.44, 0.2], [0.82, -0.4, 0.2], 0.16, 6),
  sail([-0.27, -1.7, 0.16], [-0.98, -0.32, 0.1], [-0.34, -0.34, 0.16], 0.14, 4, 0.2),
  flat(
    [
      [-0.22, -2.06, 0.14],
      [0.06, -2.02, 0.14],
      [0.12, -1.95, 0.14],
      [-0.22, -1.94, 0.14],
    ],
    { bulge: 0.04, tone: 0.5 },
  ),
  wire((t) => [-0.22 - 0.78 * t, -2 + 1.74 * t, 0.1], 0.45),
  wire((t) => [-0.22 + 1.14 * t, -2 + 1.7 * t, 0.05], 0.45),
  ...ripples(0.4, 1.7, 5),
];

export const rowingBoat = (): Surface[] => [
  ...moved(
    [
      hull(2.2, 0.5, 0.52),
      // The far side, seen over the near one.
      hull(2.2, 0.5, -0.52, {
        tone: 0.5,
        marks: [0.3, 0.6].map((v) => ({ at: (t) => [t, v] as const, weight: 0.5 })),
      }),
      ...[0.32, 0.55, 0.78].map((u) => {
        const half = 0.5 * Math.sin(Math.PI * (u * 0.62 + 0.02)) ** 0.8;
        const x = (u - 0.5) * 2.2;
        return flat(
          [
            [x - 0.07, 0, half],
            [x - 0.07, 0, -half],
            [x + 0.07, 0, -half],
            [x + 0.07, 0, half],
          ],
          { tone: 0.05 },
        );
      }),
    ],
    { x: -34, y: 12 },
  ),
  tube((t) => [-0.75 + 1.55 * t, 0.05 - 0.42 * t, 0.75], 0.022, { round: 10, steps: [20, 10] }),
  ...moved(
    [
      blade(
        { long: 0.46, wide: 0.16, shape: (t) => Math.min(1, 0.35 + 1.2 * t) * (t > 0.94 ? 0.85 : 1) },
        { tone: 0.15 },
      ),
    ],
    { z: -105, by: [-0.74, 0.05, 0.76] },
  ),
];

export const lighthouse = (): Surface[] => {
  const tower = profileOf([0.3, -1.5], [0.33, -0.9], [0.4, -0.2], [0.5, 0.6]);
  const band = (v: number) => (Math.floor(v * 5) % 2 ? 0.62 : 0);
  const rock = (x: number, y: number, z: number, r: number, seed: number): Surface => {
    const rough = fbm(seed, 4);
    return {
      at: (u, v) => {
        const [a, b] = [2 * Math.PI * u, Math.PI * v];
        const k =
          r * (0.75 + 0.5 * rough(3 + 2.2 * Math.cos(a) * Math.sin(b), 3 + 2.2 * Math.cos(b) + Math.sin(a)));
        return [
          x + 1.35 * k * Math.sin(b) * Math.sin(a),
          y - 0.8 * k * Math.cos(b),
          z + k * Math.sin(b) * Math.cos(a),
        ];
      },
      steps: [48, 28],
      along: 'v',
      tone: 0.12,
    };
  };
  return [
    ...moved(
      [
        revolved(tower, { tone: (_, v) => band(v), edges: ['v0', 'v1'] }),
        revolved((t) => [0.4 - 0.07 * Math.abs(2 * t - 1), -1.5 - 0.1 * (1 - t)], {
          steps: [64, 8],
          edges: ['v0', 'v1'],
          tone: 0.3,
        }),
        revolved((t) => [0.2, -1.95 + 0.36 * t], {
          steps: [64, 10],
          tone: 0.5,
          along: 'v',
          marks: Array.from({ length: 14 }, (_, i) => ({
            at: (t: number) => [i / 14, t] as const,
            weight: 0.9,
          })),
          edges: ['v0', 'v1'],
        }),
        revolved(profileOf([0.01, -2.32], [0.06, -2.2], [0.17, -2.08], [0.27, -1.94]), {
          edges: ['v1'],
          tone: 0.25,
        }),
        ball([0, -2.36, 0], 0.05, { steps: [16, 12] }),
        ...Array.from({ length: 24 }, (_, i) => {
          const a = (2 * Math.PI * i) / 24;
          return wire((t) => [0.385 * Math.sin(a), -1.6 - 0.16 * t, 0.385 * Math.cos(a)], 0.5);
        }),
        ring([0, -1.76, 0], 0.385, 0.012, 90, { bare: true, steps: [64, 8] }),
        ...[-1.15, -0.55, 0.05].map((y, i) =>
          flat(
            [
              [-0.05 + 0.1 * i, y, 0.42 + 0.06 * i],
              [-0.05 + 0.1 * i, y + 0.16, 0.43 + 0.06 * i],
              [0.05 + 0.1 * i, y + 0.16, 0.43 + 0.06 * i],
              [0.05 + 0.1 * i, y, 0.42 + 0.06 * i],
            ],
            { tone: 0.9 },
          ),
        ),
      ],
      { x: 9 },
    ),
    rock(-0.55, 0.72, 0.3, 0.36, 3),
    rock(0.15, 0.82, 0.5, 0.4, 8),
    rock(0.72, 0.74, 0.2, 0.32, 12),
    ...ripples(1.02, 2.1, 9),
  ];
};

export const anchor = (): Surface[] => {
  const arms = through([
    [-0.85, 0.45, 0],
    [-0.62, 0.86, 0],
    [0, 1.08, 0.02],
    [0.62, 0.86, 0],
    [0.85, 0.45, 0],
  ]);
  return [
    tube((t) => [0, -0.95 + 2 * t, 0.02], ramp(0.05, 0.06, 0.075, 0.085), { round: 16, steps: [40, 16] }),
    tube(arms, ramp(0.04, 0.07, 0.085, 0.07, 0.04), { round: 16 }),
    flat(
      [
        [-1.04, 0.62, 0.06],
        [-0.86, 0.2, 0.06],
        [-0.58, 0.5, 0.06],
        [-0.82, 0.56, 0.12],
      ],
      { tone: 0.1 },
    ),
    flat(
      [
        [1.04, 0.62, 0.06],
        [0.86, 0.2, 0.06],
        [0.58, 0.5, 0.06],
        [0.82, 0.56, 0.12],
      ],
      { tone: 0.4 },
    ),
    tube((t) => [-0.62 + 1.24 * t, -0.68, 0.1], ramp(0.04, 0.055, 0.06, 0.055, 0.04), {
      round: 14,
      steps: [30, 14],
    }),
    bead(-0.64, -0.68, 0.1, 0.08),
    bead(0.64, -0.68, 0.1, 0.08),
    ring([0, -1.12, 0.04], 0.16, 0.035),
    rope(
      through([
        [-0.02, -1.2, 0.12],
        [0.3, -1.12, 0.16],
        [0.34, -0.7, 0.22],
        [-0.2, -0.36, 0.24],
        [-0.24, 0.06, 0.02],
        [0.2, 0.3, 0.2],
        [0.22, 0.66, 0.1],
        [-0.24, 0.82, 0.2],
        [-0.5, 1.2, 0.1],
        [0.1, 1.36, 0.1],
        [0.6, 1.28, 0.1],
      ]),
      0.05,
      46,
    ),
  ];
};

export const coil = (): Surface[] => [
  ...moved(
    [
      rope(
        (t) => {
          const a = 2 * Math.PI * 6.2 * t;
          const r = 0.92 - 0.03 * Math.floor(6.2 * t);
          return [r * Math.cos(a), -0.125 * 6.2 * t, r * Math.sin(a)];
        },
        0.075,
        150,
      ),
      rope(
        through([
          [0.9, 0.02, 0.2],
          [1.15, 0.1, 0.7],
          [0.6, 0.12, 1.3],
          [1.3, 0.14, 1.7],
          [1.9, 0.14, 1.3],
        ]),
        0.075,
        34,
      ),
    ].map((one) => ({ ...one, steps: [320, 10] as const })),
    { x: -32, size: 0.82 },
  ),
];

export const compass = (): Surface[] => {
  const star = (count: number, long: number, short: number, turn: number, z: number): Surface[] =>
    Array.from({ length: count }, (_, i) => {
      const a = turn + (360 * i) / count;
      const p = (r: number, d: number): V3 => [
        r * Math.sin((d * Math.PI) / 180),
        -r * Math.cos((d * Math.PI) / 180),
        z,
      ];
      const mid: V3 = [0, 0, z];
      return [
        flat([mid, p(short, a - 180 / count), p(long, a)], { tone: 0, bare: true, steps: [12, 12] }),
        flat([mid, p(long, a), p(short, a + 180 / count)], { tone: 0.75, along: 'v', steps: [12, 12] }),
      ];
    }).flat();
  return [
    ...star(8, 0.82, 0.2, 22.5, 0),
    ...star(4, 1.02, 0.24, 45, 0.05),
    ...star(4, 1.32, 0.26, 0, 0.1),
    ring([0, 0, -0.2], 0.72, 0.028, 0, { steps: [120, 10] }),
    ring([0, 0, -0.2], 1.1, 0.012, 0, { steps: [120, 8], bare: true }),
    ring([0, 0, -0.2], 1.16, 0.012, 0, { steps: [120, 8], bare: true }),
    ...Array.from({ length: 64 }, (_, i) => {
      const a = (2 * Math.PI * i) / 64;
      return wire(
        (t) => [(1.1 + 0.06 * t) * Math.cos(a), (1.1 + 0.06 * t) * Math.sin(a), -0.2],
        i % 4 ? 0.5 : 1.2,
      );
    }),
    bead(0, 0, 0.12, 0.09),
  ];
};

export const bottle = (): Surface[] => [
  ...moved(
    [
      revolved(
        profileOf(
          [0.12, -1.28],
          [0.125, -1.0],
          [0.14, -0.82],
          [0.34, -0.5],
          [0.38, -0.2],
          [0.38, 0.5],
          [0.34, 0.72],
          [0.1, 0.74],
        ),
        { tone: (u, v) => 0.12 + (v > 0.3 && u > 0.08 && u < 0.13 ? -0.3 : 0), steps: [64, 64] },
      ),
      ring([0, -1.22, 0], 0.14, 0.03, 90),
      revolved((t) => [0.1 + 0.01 * t, -1.5 + 0.3 * t], { tone: 0.3, steps: [32, 8], edges: ['v0'] }),
      // A letter rolled up in it.
      ...[-0.08, 0.06].map((x, i) =>
        tube((t) => [x + 0.1 * t, 0.56 - 1 * t, 0.42 + 0.02 * i], 0.09, {
          round: 14,
          steps: [24, 14],
          edges: ['u0', 'u1'],
        }),
      ),
      rope(
        (t) => [
          0.0 + 0.18 * Math.cos(2 * Math.PI * t),
          0.06 + 0.03 * Math.sin(2 * Math.PI * t),
          0.5 + 0.03 * Math.sin(4 * Math.PI * t),
        ],
        0.016,
        12,
      ),
    ],
    { z: 62, x: 8 },
  ),
  ...ripples(0.5, 2.3, 21),
];
