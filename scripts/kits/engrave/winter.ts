/** Firs, berries, bells and gifts. */
import { starlet } from './fireworks';
import {
  ball,
  blade,
  corners,
  flat,
  type Mark,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  rope,
  type Surface,
  tube,
  type V3,
  wire,
} from './surface';

const loop = (s: number, rise: number, long: number): Surface => ({
  at: (u, v) => {
    const a = -0.2 + 6.4 * u;
    const k = Math.sin(Math.PI * u);
    return [
      s * long * k * (1 - 0.15 * Math.cos(a)),
      -rise * k * Math.sin(Math.PI * u * 0.98) - 0.2 * Math.sin(2 * Math.PI * u),
      0.16 * Math.cos(2 * Math.PI * u) + 0.2 * (v - 0.5),
    ];
  },
  steps: [40, 10],
  along: 'v',
  edges: ['v0', 'v1'],
  tone: 0.14,
});

export const gift = (): Surface[] => {
  const [w, h] = [0.78, 0.58];
  const band = (a: V3, b: V3, c: V3, d: V3): Surface => flat([a, b, c, d], { tone: 0.45, along: 'u' });
  return [
    ...moved(
      [
        flat(
          [
            [-w, -h, w],
            [-w, h, w],
            [w, h, w],
            [w, -h, w],
          ],
          { along: 'u', tone: 0.1 },
        ),
        flat(
          [
            [w, -h, w],
            [w, h, w],
            [w, h, -w],
            [w, -h, -w],
          ],
          { along: 'u', tone: 0.45 },
        ),
        flat(
          [
            [-w, -h, -w],
            [-w, -h, w],
            [w, -h, w],
            [w, -h, -w],
          ],
          { along: 'u', tone: -0.1 },
        ),
        band([-0.13, -h, w + 0.01], [-0.13, h, w + 0.01], [0.13, h, w + 0.01], [0.13, -h, w + 0.01]),
        band([w + 0.01, -h, 0.13], [w + 0.01, h, 0.13], [w + 0.01, h, -0.13], [w + 0.01, -h, -0.13]),
        band([-0.13, -h - 0.01, -w], [-0.13, -h - 0.01, w], [0.13, -h - 0.01, w], [0.13, -h - 0.01, -w]),
        band([-w, -h - 0.01, -0.13], [-w, -h - 0.01, 0.13], [w, -h - 0.01, 0.13], [w, -h - 0.01, -0.13]),
      ],
      { y: -32, x: -26 },
    ),
    ...moved(
      [
        loop(1, 0.5, 0.62),
        loop(-1, 0.5, 0.62),
        ...[-1, 1].map((s) =>
          flat(
            [
              [0, 0, 0],
              [s * 0.5, 0.26, 0.1],
              [s * 0.62, 0.1, 0.1],
              [s * 0.08, -0.06, 0],
            ],
            { tone: 0.25, bulge: 0.08 },
          ),
        ),
        ball([0, -0.02, 0.16], [0.14, 0.12, 0.12], { tone: 0.15 }),
      ],
      { by: [0, -0.62, 0.9] },
    ),
  ];
};

export const bell = (): Surface[] => [
  ...[-16, 18].flatMap((z, i) =>
    moved(
      [
        revolved(
          profileOf([0.06, -0.72], [0.28, -0.62], [0.4, -0.2], [0.48, 0.2], [0.72, 0.46], [0.74, 0.52]),
          {
            along: 'v',
            tone: 0.12,
            edges: ['v1'],
            steps: [72, 40],
            marks: [0.55, 0.6, 0.86].map((v) => ({ at: (t) => [t, v] as const, weight: 0.7 })),
          },
        ),
        revolved((t) => [0.7 * t, 0.5 + 0.02 * t], { tone: 0.75, steps: [48, 8] }),
        ball([0.1, 0.58, 0.1], 0.14, { tone: 0.2 }),
        ring([0, -0.78, 0], 0.09, 0.03),
      ],
      { z, x: 10, by: [i ? 0.62 : -0.56, i ? 0.1 : -0.02, i ? 0 : 0.5] },
    ),
  ),
  ...moved(
    [
      loop(1, 0.46, 0.66),
      loop(-1, 0.46, 0.66),
      ...[-1, 1].map((s) =>
        flat(
          [
            [0, 0, 0],
            [s * 0.3, 0.6, 0.1],
            [s * 0.5, 0.52, 0.1],
            [s * 0.1, -0.02, 0],
          ],
          { tone: 0.25, bulge: 0.06 },
        ),
      ),
      ball([0, 0, 0.2], 0.12, { tone: 0.2 }),
    ],
    { by: [0.04, -0.86, 0.9], size: 0.8 },
  ),
];

export const bauble = (): Surface[] => [
  ...moved(
    [
      ball([0, 0.1, 0], 0.78, {
        tone: (u, v) =>
          (Math.abs(v - 0.5) < 0.13 ? 0.22 : 0.06) - (u > 0.84 && u < 0.9 && v > 0.2 && v < 0.38 ? 0.8 : 0),
        along: 'u',
        steps: [64, 48],
        marks: [0.36, 0.64]
          .map((v): Mark => ({ at: (t) => [t, v], weight: 0.9 }))
          .concat(
            Array.from({ length: 16 }, (_, i): Mark => ({
              at: (t) => [(i + t) / 16, 0.5 + 0.1 * Math.sin(2 * Math.PI * t)],
              weight: 0.9,
            })),
          ),
      }),
      revolved((t) => [0.17, -0.84 + 0.18 * t], {
        tone: 0.3,
        along: 'v',
        edges: ['v0', 'v1'],
        marks: Array.from({ length: 12 }, (_, i) => ({
          at: (t: number) => [i / 12, t] as const,
          weight: 0.5,
        })),
      }),
    ],
    { x: 12 },
  ),
  ring([0, -0.96, 0.1], 0.1, 0.025),
  rope((t) => [0.02 * Math.sin(6 * t), -1.06 - 0.5 * t, 0.1], 0.022, 12),
];

const needles = (from: V3, to: V3, count: number, long: number): Surface[] =>
  Array.from({ length: count }, (_, i) => {
    const t = 0.04 + (0.96 * i) / count;
    const side = i % 2 ? 1 : -1;
    const way = Math.atan2(to[0] - from[0], -(to[1] - from[1]));
    const a = way + side * (0.62 - 0.2 * t);
    const [x, y] = [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t];
    const l = long * (1 - 0.3 * t);
    return wire(
      (k) => [
        x + l * k * Math.sin(a + 0.12 * side * k),
        y - l * k * Math.cos(a + 0.12 * side * k),
        0.03 * (i % 3),
      ],
      side > 0 ? 1.8 : 1.3,
    );
  });

export const pine = (): Surface[] => {
  const cone = (x: number, y: number, turn: number): Surface[] =>
    moved(
      Array.from({ length: 74 }, (_, i) => {
        const k = i / 74;
        const [a, r, h] = [
          (137.50776 * i * Math.PI) / 180,
          0.36 * Math.sin(Math.PI * (0.12 + 0.82 * k)) ** 0.8,
          -0.5 + 1.05 * k,
        ];
        return ball([r * Math.sin(a), h, r * Math.cos(a)], [0.115, 0.085, 0.1], {
          steps: [14, 10],
          tone: 0.3,
        });
      }),
      { z: turn, x: 12, by: [x, y, 0.4] },
    );
  const twigs: [V3, V3][] = [
    [
      [0, 0.1, 0],
      [-1.25, -0.75, 0],
    ],
    [
      [0, 0.1, 0],
      [1.3, -0.6, 0],
    ],
    [
      [-0.5, -0.24, 0],
      [-0.35, -1.25, 0],
    ],
    [
      [0.5, -0.2, 0],
      [0.55, -1.2, 0],
    ],
    [
      [0, 0.1, 0],
      [-1.35, 0.35, 0],
    ],
    [
      [0, 0.1, 0],
      [1.35, 0.45, 0],
    ],
  ];
  return [
    ...twigs.flatMap(([a, b]) => [
      tube(corners(a, b), ramp(0.035, 0.012), { round: 8, steps: [20, 8], tone: 0.3 }),
      ...needles(a, b, 46, 0.4),
    ]),
    ...cone(-0.24, 0.62, 14),
    ...cone(0.3, 0.72, -12),
  ];
};

export const holly = (): Surface[] => {
  const spiny = (t: number): number =>
    Math.max(
      0.02,
      Math.sin(Math.PI * t ** 0.9) ** 0.6 * (0.62 + 0.42 * Math.abs(Math.cos(3.5 * Math.PI * t)) ** 1.6),
    );
  return [
    ...[
      [-74, 1.35],
      [64, 1.4],
      [-14, 1.15],
    ].flatMap(([z, long]) =>
      moved(
        [
          blade(
            { long: long!, wide: 0.8, shape: spiny, veins: 5, fold: 0.2, bend: 0.1, slant: 0.1 },
            {
              steps: [60, 20],
              tone: (u, v) => 0.18 + 0.5 * Math.exp(-((2 * v - 1) ** 2) / 0.05) + (v > 0.5 ? 0.24 : 0),
            },
          ),
        ],
        { z: z!, by: [0, 0, 0] },
      ),
    ),
    ...[
      [-0.16, 0.1],
      [0.18, 0.06],
      [0.02, 0.34],
      [-0.02, -0.12],
    ].map(([x, y]) =>
      ball([x!, y!, 0.34], 0.2, {
        along: 'v',
        tone: (u, v) => 0.3 - (u > 0.84 && u < 0.93 && v > 0.25 && v < 0.45 ? 0.9 : 0),
        steps: [24, 18],
      }),
    ),
  ];
};

export const flake = (): Surface[] =>
  Array.from({ length: 6 }, (_, i) =>
    moved(
      [
        tube((t) => [0, -1.05 * t, 0.02], ramp(0.04, 0.035, 0.02), { round: 8, steps: [24, 8], tone: 0.1 }),
        ...[0.34, 0.56, 0.76].flatMap((y, k) =>
          [-1, 1].map((s) =>
            tube((t) => [s * (0.42 - 0.1 * k) * t, -y - (0.3 - 0.06 * k) * t, 0], ramp(0.03, 0.026, 0.012), {
              round: 8,
              steps: [12, 8],
              tone: s > 0 ? 0.4 : 0.05,
            }),
          ),
        ),
        ...moved([ball([0, -1.1, 0.02], [0.055, 0.09, 0.04], { steps: [12, 10] })], {}),
        flat(
          [
            [0, 0, 0.06],
            [-0.09, -0.16, 0.03],
            [0, -0.3, 0.03],
            [0.09, -0.16, 0.03],
          ],
          { tone: 0.2, steps: [10, 10] },
        ),
      ],
      { z: 60 * i },
    ),
  ).flat();

export const tree = (): Surface[] => {
  const out: Surface[] = [
    tube((t) => [0, -1.4 + 3 * t, -0.2], ramp(0.02, 0.06, 0.1, 0.13), { round: 12, tone: 0.3 }),
  ];
  for (let row = 0; row < 9; row++) {
    const y = -1.35 + 0.29 * row;
    const half = 0.22 + 0.125 * row;
    const count = 5 + row;
    for (let i = 0; i < count; i++) {
      const s = (2 * i) / (count - 1) - 1;
      const [from, to]: [V3, V3] = [
        [0.12 * s, y, 0.05 * row],
        [half * s, y + 0.3 + 0.06 * (1 - Math.abs(s)), 0.05 * row + 0.1 * (1 - Math.abs(s))],
      ];
      out.push(
        ...moved(
          [
            blade(
              {
                long: Math.hypot(to[0] - from[0], to[1] - from[1]) + 0.08,
                wide: 0.17,
                shape: (t) =>
                  (0.5 + 0.5 * Math.abs(Math.sin(16 * t))) * Math.sin(Math.PI * (0.12 + 0.84 * t)) ** 0.6,
                slant: 0.2,
              },
              { steps: [40, 8], tone: 0.2 + 0.22 * Math.max(0, s), marks: [] },
            ),
          ],
          {
            z: (Math.atan2(to[0] - from[0], -(to[1] - from[1])) * 180) / Math.PI,
            by: [from[0], from[1], from[2]],
          },
        ),
      );
    }
  }
  out.push(
    ...starlet(0, -1.62, 0.26),
    revolved(profileOf([0.3, 1.5], [0.26, 1.8], [0.22, 1.95]), { tone: 0.2, edges: ['v0', 'v1'] }),
  );
  return out;
};
