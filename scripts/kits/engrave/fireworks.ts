/** What flies, sparkles and bursts. */
import { random } from '@/core/random';
import {
  bead,
  flat,
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

const burst = (x: number, y: number, r: number, seed: number, rays: number): Surface[] => {
  const next = random(seed);
  return Array.from({ length: rays }, (_, i) => {
    const a = (2 * Math.PI * (i + 0.4 * next())) / rays;
    const long = r * (0.66 + 0.36 * next());
    const droop = 0.22 * r;
    const at = (t: number): V3 => {
      const k = 0.16 + 0.84 * t;
      return [x + long * k * Math.cos(a), y + long * k * Math.sin(a) + droop * k * k, 0];
    };
    return [
      wire(at, 1.9),
      ...(i % 2
        ? starlet(at(1.12)[0], at(1.12)[1], 0.05)
        : [bead(at(1.08)[0], at(1.08)[1], 0, 0.022, { tone: 1, steps: [8, 6] })]),
    ];
  }).flat();
};

export function starlet(x: number, y: number, size: number): Surface[] {
  return [0, 45, 90, 135].map((d) => {
    const a = (d * Math.PI) / 180;
    const s = d % 90 ? 0.5 * size : size;
    return tube(
      (t) => [x + s * (2 * t - 1) * Math.cos(a), y + s * (2 * t - 1) * Math.sin(a), 0],
      ramp(0.002, 0.01, 0.002),
      { round: 6, steps: [8, 6], tone: 1 },
    );
  });
}

export const fireworks = (): Surface[] => [
  ...burst(0, -0.5, 1.05, 5, 34),
  ...burst(0, -0.5, 0.5, 6, 16),
  ...burst(1.1, 0.5, 0.62, 8, 24),
  ...burst(-1.0, 0.62, 0.5, 9, 20),
  wire(
    through([
      [0.02, 0.7, 0],
      [-0.05, 1.3, 0],
      [0.1, 1.9, 0],
    ]),
    0.8,
  ),
];

export const rocket = (): Surface[] =>
  moved(
    [
      tube((t) => [0.1, -0.2 + 2 * t, -0.1], 0.028, { round: 8, steps: [20, 8] }),
      tube((t) => [0, -0.6 + 1.1 * t, 0.1], 0.2, {
        round: 24,
        steps: [20, 24],
        edges: ['u0', 'u1'],
        tone: (u, v) => ((u * 6 + v * 2) % 1 < 0.5 ? 0.6 : 0),
      }),
      revolved((t) => [0.01 + 0.26 * t, -1.06 + 0.46 * t], { along: 'v', tone: 0.2, edges: ['v1'] }),
      wire(
        through([
          [0, 0.5, 0.1],
          [0.02, 0.7, 0.1],
          [-0.1, 0.84, 0.1],
        ]),
        0.9,
      ),
      ...starlet(-0.12, 0.92, 0.14),
    ].map((one, i) => (i === 2 ? moved([one], { by: [0, 0, 0.1] })[0]! : one)),
    { z: 28 },
  );

export const balloons = (): Surface[] => {
  const one = (x: number, y: number, z: number, size: number, turn: number): Surface[] =>
    moved(
      [
        revolved(profileOf([0, -0.62], [0.34, -0.5], [0.52, -0.12], [0.38, 0.34], [0.08, 0.6], [0, 0.62]), {
          along: 'v',
          tone: (u, v) => 0.14 - (u > 0.86 && u < 0.92 && v > 0.16 && v < 0.4 ? 0.8 : 0),
        }),
        flat(
          [
            [0, 0.58, 0.02],
            [-0.08, 0.72, 0.02],
            [0.08, 0.72, 0.02],
          ],
          { tone: 0.4 },
        ),
      ],
      { size, z: turn, by: [x, y, z] },
    );
  const knot: V3 = [0.06, 1.2, 0];
  return [
    ...one(-0.5, -0.5, 0.1, 0.95, -14),
    ...one(0.46, -0.66, 0.0, 1, 12),
    ...one(0.02, -0.1, 0.5, 0.88, 0),
    ...(
      [
        [-0.34, 0.18],
        [0.32, 0.06],
        [0.02, 0.54],
      ] as const
    ).map(([x, y]) => wire(through([[x, y, 0], [x * 0.6, 0.7, 0], knot]), 0.7)),
    wire(through([knot, [0, 1.5, 0], [0.14, 1.8, 0], [0.02, 2.1, 0]]), 0.7),
    ...[-1, 1].flatMap((s) => [
      tube(through([knot, [s * 0.24 + 0.06, 1.08, 0.05], [s * 0.26 + 0.06, 1.26, 0.05], knot]), 0.022, {
        round: 6,
      }),
    ]),
  ];
};

export const glasses = (): Surface[] => [
  ...[-1, 1].flatMap((s) =>
    moved(
      [
        revolved(
          profileOf(
            [0.3, -1.0],
            [0.34, -0.7],
            [0.28, -0.2],
            [0.05, 0.06],
            [0.035, 0.4],
            [0.05, 0.7],
            [0.3, 0.84],
            [0.34, 0.88],
          ),
          {
            along: 'v',
            tone: (_, v) => (v > 0.12 && v < 0.34 ? 0.18 : -0.05),
            edges: ['v0', 'v1'],
            steps: [48, 70],
          },
        ),
        revolved((t) => [0.31 * t, -0.72], { tone: 0.1, along: 'v', edges: ['v1'] }),
        ...Array.from({ length: 9 }, (_, i) =>
          ring([0.16 * Math.sin(5 * i), -0.6 + 0.055 * i, 0.3], 0.022, 0.006, 0, {
            bare: true,
            steps: [14, 6],
          }),
        ),
      ],
      { x: -14, z: -s * 15, by: [s * 0.5, 0, s * 0.1] },
    ),
  ),
  ...starlet(0.0, -1.3, 0.2),
  ...starlet(0.3, -1.45, 0.1),
  ...starlet(-0.32, -1.42, 0.12),
];

export const sparkler = (): Surface[] => [
  tube((t) => [-0.5 + 1.1 * t, 1.5 - 2.1 * t, 0], 0.018, { round: 6, steps: [20, 6] }),
  tube((t) => [0.18 + 0.42 * t, 0.2 - 0.8 * t, 0], ramp(0.03, 0.035, 0.03), {
    round: 8,
    steps: [20, 8],
    tone: 0.6,
  }),
  ...Array.from({ length: 64 }, (_, i) => {
    const next = random(i + 50);
    const a = 2.39996 * i;
    const r = 0.3 + 0.75 * next();
    return [
      wire(
        (t) => [0.6 + r * (0.12 + 0.88 * t) * Math.cos(a), -0.62 + r * (0.12 + 0.88 * t) * Math.sin(a), 0],
        0.55,
      ),
      ...(i % 3 === 0 ? starlet(0.6 + r * 1.08 * Math.cos(a), -0.62 + r * 1.08 * Math.sin(a), 0.07) : []),
    ];
  }).flat(),
];

export const cracker = (): Surface[] =>
  moved(
    [
      tube(
        (t) => [-1.2 + 2.4 * t, 0, 0],
        (t) => {
          const d = Math.abs(t - 0.5);
          return d < 0.26 ? 0.3 : d < 0.31 ? 0.3 - (d - 0.26) * 3.4 : 0.13 + (d - 0.31) * 1.15;
        },
        {
          round: 30,
          steps: [110, 30],
          edges: ['u0', 'u1'],
          tone: (u, v) => {
            const d = Math.abs(u - 0.5);
            return d < 0.26 ? ((u * 11 + v) % 1 < 0.4 ? 0.5 : 0.02) : 0.14 + 0.2 * Math.abs(Math.sin(30 * v));
          },
        },
      ),
      ...[-0.7, 0.7].map((x) => moved([ring([0, 0, 0], 0.15, 0.035, 90)], { z: 90, by: [x, 0, 0] })[0]!),
      flat(
        [
          [-0.26, -0.16, 0.34],
          [-0.26, 0.16, 0.34],
          [0.26, 0.16, 0.34],
          [0.26, -0.16, 0.34],
        ],
        { bare: true },
      ),
    ],
    { z: -16 },
  );
