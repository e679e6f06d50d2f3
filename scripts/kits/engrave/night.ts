/** What is hung up, lit and given at a feast. */
import { random } from '@/core/random';
import {
  ball,
  bead,
  blade,
  corners,
  flat,
  leafAt,
  motif,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  rope,
  through,
  tube,
  wire,
  type Mark,
  type Motif,
  type Surface,
  type V3,
} from './surface';

const ribbed = (
  profile: (t: number) => readonly [number, number],
  ribs: number,
  deep: number,
  more: Partial<Surface> = {},
): Surface => ({
  at: (u, v) => {
    const [r0, y] = profile(v);
    const a = 2 * Math.PI * (u + 0.0137);
    const r = r0 * (1 - deep * Math.abs(Math.cos((ribs * a) / 2)) ** 3);
    return [r * Math.sin(a), y, r * Math.cos(a)];
  },
  steps: [ribs * 8, 40],
  along: 'v',
  marks: Array.from({ length: ribs }, (_, i) => ({
    at: (t: number) =>
      [(i + 0.5) / ribs > 1 ? 0 : (i + 0.5) / ribs - 0.0137 > 0 ? (i + 0.5) / ribs - 0.0137 : 0, t] as const,
    weight: 0.6,
  })),
  ...more,
});

const tassel = (y: number, long: number): Surface[] => [
  bead(0, y, 0.02, 0.07, { tone: 0.2 }),
  ...Array.from({ length: 15 }, (_, i) =>
    wire((t) => [(i - 7) * (0.008 + 0.012 * t), y + 0.06 + long * t, 0.02], 0.7),
  ),
];

const lantern = (): Surface[] => [
  ...moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const b = Math.PI * (0.13 + 0.74 * v);
          const k = 1 - 0.05 * Math.abs(Math.cos(11 * Math.PI * v)) ** 2;
          return [
            0.92 * k * Math.sin(b) * Math.sin(a),
            -0.8 * Math.cos(b),
            0.92 * k * Math.sin(b) * Math.cos(a),
          ];
        },
        steps: [72, 88],
        along: 'u',
        tone: (_, v) => 0.12 + 0.32 * Math.abs(Math.cos(11 * Math.PI * v)) ** 6,
      } satisfies Surface,
      ...[-0.76, 0.76].map((y) =>
        revolved((t) => [0.38 - 0.02 * t, y - 0.09 + 0.18 * t], {
          tone: 0.7,
          edges: ['v0', 'v1'],
          steps: [48, 8],
        }),
      ),
    ],
    { x: 10 },
  ),
  tube((t) => [0, -1.35 + 0.5 * t, 0], 0.018, { round: 6, steps: [10, 6] }),
  ring([0, -1.4, 0], 0.07, 0.02),
  ...tassel(0.95, 0.5),
];

const tallLantern = (): Surface[] => [
  ...moved(
    [
      ribbed(profileOf([0.4, -0.72], [0.52, -0.3], [0.54, 0.2], [0.44, 0.7]), 12, 0.05, {
        tone: (u, v) => 0.06 + (Math.abs(v - 0.5) < 0.04 ? 0.4 : 0),
      }),
      revolved(profileOf([0.06, -1.02], [0.3, -0.92], [0.62, -0.74], [0.66, -0.68]), {
        tone: 0.35,
        edges: ['v1'],
      }),
      revolved((t) => [0.5 - 0.08 * t, 0.7 + 0.12 * t], { tone: 0.6, edges: ['v0', 'v1'], steps: [48, 8] }),
      ring([0, -1.12, 0], 0.1, 0.025),
    ],
    { x: 10 },
  ),
  ...[-0.24, 0, 0.24].flatMap((x) => moved(tassel(0.92, 0.36), { by: [x, -0.02 * Math.abs(x), 0] })),
];

const starLantern = (): Surface[] => {
  const points = (z: number): V3[] =>
    Array.from({ length: 10 }, (_, i) => {
      const a = (Math.PI * i) / 5;
      const r = i % 2 ? 0.44 : 1.1;
      return [r * Math.sin(a), -r * Math.cos(a), z];
    });
  const p = points(0);
  return [
    ...p.map((at, i) =>
      flat([[0, 0, 0.42], at, p[(i + 1) % 10]!], { along: 'v', tone: i % 2 ? 0.5 : 0.02, steps: [20, 20] }),
    ),
    wire((t) => [0, -1.5 + 0.42 * t, 0], 1),
    ...moved(tassel(0, 0.44), { by: [0, 0.96, 0] }),
  ];
};

const lampion = (): Surface[] => [
  ...moved(
    [
      ...[0, 1, 2, 3].map((i) => {
        const a0 = (90 * i * Math.PI) / 180;
        const [x0, z0, x1, z1] = [
          0.5 * Math.sin(a0),
          0.5 * Math.cos(a0),
          0.5 * Math.sin(a0 + Math.PI / 2),
          0.5 * Math.cos(a0 + Math.PI / 2),
        ];
        return flat(
          [
            [x0, -0.6, z0],
            [x0, 0.6, z0],
            [x1, 0.6, z1],
            [x1, -0.6, z1],
          ],
          { along: 'u', tone: 0.06, bare: true },
        );
      }),
      ...[0, 1, 2, 3].map((i) => {
        const a = (90 * i * Math.PI) / 180;
        return tube((t) => [0.5 * Math.sin(a), -0.62 + 1.24 * t, 0.5 * Math.cos(a)], 0.045, {
          round: 10,
          steps: [20, 10],
          tone: 0.4,
        });
      }),
      ...[-0.62, 0.62].flatMap((y) =>
        [0, 1, 2, 3].map((i) => {
          const a = (90 * i * Math.PI) / 180;
          return tube(
            corners([0.5 * Math.sin(a), y, 0.5 * Math.cos(a)], [0.5 * Math.cos(a), y, -0.5 * Math.sin(a)]),
            0.055,
            { round: 10, steps: [14, 10], tone: 0.3 },
          );
        }),
      ),
      ...[0, 1, 2, 3].map((i) => {
        const a = (90 * i * Math.PI) / 180;
        return flat(
          [
            [0.56 * Math.sin(a), -0.64, 0.56 * Math.cos(a)],
            [0.56 * Math.cos(a), -0.64, -0.56 * Math.sin(a)],
            [0, -1.04, 0],
          ],
          { tone: 0.3 },
        );
      }),
      ring([0, -1.14, 0], 0.12, 0.03),
      revolved((t) => [0.13, -0.1 + 0.66 * t], { along: 'v', edges: ['v0'], steps: [24, 8] }),
      ball([0, -0.28, 0], [0.075, 0.17, 0.075], { bare: true, steps: [16, 12] }),
    ],
    { y: 26, x: -14 },
  ),
  ...Array.from({ length: 16 }, (_, i) => {
    const a = (Math.PI * i) / 8;
    return wire(
      (t) => [
        (0.2 + (i % 2 ? 0.08 : 0.16) * t) * Math.sin(a),
        -0.22 - (0.24 + (i % 2 ? 0.08 : 0.16) * t) * Math.cos(a),
        0.6,
      ],
      0.5,
    );
  }),
];

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
function starlet(x: number, y: number, size: number): Surface[] {
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
const fireworks = (): Surface[] => [
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

const rocket = (): Surface[] =>
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

const balloons = (): Surface[] => {
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
const gift = (): Surface[] => {
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

const bell = (): Surface[] => [
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

const bauble = (): Surface[] => [
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
const pine = (): Surface[] => {
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

const holly = (): Surface[] => {
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

const hat = (): Surface[] =>
  moved(
    [
      revolved((t) => [0.02 + 0.62 * t, -1.1 + 1.8 * t], {
        along: 'v',
        edges: ['v1'],
        tone: (u, v) => ((((u * 5 + v * 2.4) % 1) + 1) % 1 < 0.42 ? 0.62 : 0.02),
        steps: [72, 44],
      }),
      ...Array.from({ length: 26 }, (_, i) => {
        const a = (2 * Math.PI * i) / 26;
        return ball([0.64 * Math.sin(a), 0.72, 0.64 * Math.cos(a)], [0.1, 0.1, 0.1], { steps: [12, 10] });
      }),
      ...Array.from({ length: 40 }, (_, i) => {
        const [a, b] = [2.4 * i, Math.acos(1 - (2 * (i + 0.5)) / 40)];
        return wire(
          (t) => [
            0.28 * t * Math.sin(b) * Math.cos(a),
            -1.16 - 0.28 * t * Math.cos(b),
            0.28 * t * Math.sin(b) * Math.sin(a) + 0.1,
          ],
          0.9,
        );
      }),
    ],
    { z: 14, x: -12 },
  );

const horn = (): Surface[] =>
  moved(
    [
      tube(
        (t) => [-1.2 + 2.2 * t, 0.12 * Math.sin(3 * t), 0],
        (t) => 0.06 + 0.04 * t + 0.36 * t ** 7,
        { round: 24, steps: [70, 24], edges: ['u1'], tone: 0.06 },
      ),
      ...[0.18, 0.5, 0.74].map(
        (t) =>
          moved([ring([0, 0, 0], 0.09 + 0.05 * t, 0.026, 90)], {
            z: 90,
            by: [-1.2 + 2.2 * t, 0.12 * Math.sin(3 * t), 0],
          })[0]!,
      ),
      ball([-1.22, 0, 0], [0.06, 0.1, 0.1], { tone: 0.2 }),
      tube(
        through([
          [-0.5, 0.16, 0.1],
          [-0.4, 0.62, 0.1],
          [0.2, 0.66, 0.1],
          [0.26, 0.2, 0.1],
        ]),
        ramp(0.02, 0.03, 0.03, 0.02),
        { round: 8, tone: 0.2 },
      ),
      ...[-0.28, 0.12].flatMap((x) => [
        wire((t) => [x, 0.64 + 0.34 * t, 0.1], 0.8),
        ...Array.from({ length: 9 }, (_, i) =>
          wire((t) => [x + (i - 4) * 0.02 * (1 + t), 0.98 + 0.3 * t, 0.1], 0.7),
        ),
      ]),
    ],
    { z: -22 },
  );

const drum = (): Surface[] => [
  ...moved(
    [
      revolved((t) => [0.82, -0.42 + 0.9 * t], { along: 'v', tone: 0.16, steps: [72, 16] }),
      ...[-0.46, 0.46].map((y) =>
        revolved((t) => [0.87, y - 0.09 + 0.18 * t], { tone: 0.4, edges: ['v0', 'v1'], steps: [72, 6] }),
      ),
      revolved((t) => [0.83 * t, -0.54], { tone: -0.1, along: 'v', edges: ['v1'] }),
      ...Array.from({ length: 12 }, (_, i) => {
        const [a, b] = [(2 * Math.PI * i) / 12, (2 * Math.PI * (i + 0.5)) / 12];
        const p = (k: number, y: number): V3 => [0.85 * Math.sin(k), y, 0.85 * Math.cos(k)];
        return [
          tube(
            (t) => {
              const k = a + (b - a) * t;
              return p(k, -0.38 + 0.76 * t);
            },
            0.018,
            { round: 6, steps: [14, 6] },
          ),
          tube(
            (t) => {
              const k = b + (b - a) * t;
              return p(k, 0.38 - 0.76 * t);
            },
            0.018,
            { round: 6, steps: [14, 6] },
          ),
        ];
      }).flat(),
    ],
    { x: -26 },
  ),
  ...[
    [-1, 34],
    [1, -30],
  ].flatMap(([s, z]) =>
    moved(
      [
        tube((t) => [0, -0.9 + 1.5 * t, 0], ramp(0.035, 0.045, 0.035), { round: 10, steps: [20, 10] }),
        bead(0, -0.95, 0, 0.09),
      ],
      { z: z!, by: [s! * 0.3, -0.95, 0.9] },
    ),
  ),
];

const glasses = (): Surface[] => [
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

const flake = (): Surface[] =>
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

const tree = (): Surface[] => {
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

const crown = (): Surface[] =>
  moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const peak = 0.5 * Math.abs(Math.cos(3.5 * a)) ** 1.4 + 0.32;
          const r = 0.72 + 0.16 * (1 - v);
          return [r * Math.sin(a), 0.4 - (1 - v) * (peak + 0.2), r * Math.cos(a)];
        },
        steps: [168, 20],
        along: 'v',
        edges: ['v0', 'v1'],
        tone: 0.1,
      } satisfies Surface,
      ...Array.from({ length: 7 }, (_, i) => {
        const a = (2 * Math.PI * i) / 7;
        return bead(0.88 * Math.sin(a), -0.68, 0.88 * Math.cos(a), 0.09, { tone: 0.15 });
      }),
      ...[0.3, 0.42].map((y) => ring([0, y, 0], 0.74, 0.035, 90, { steps: [72, 10] })),
      ...Array.from({ length: 14 }, (_, i) => {
        const a = (2 * Math.PI * (i + 0.5)) / 14;
        return ball([0.76 * Math.sin(a), 0.18, 0.76 * Math.cos(a)], [0.07, i % 2 ? 0.07 : 0.1, 0.05], {
          tone: i % 2 ? 0.5 : 0.1,
          steps: [14, 10],
        });
      }),
    ],
    { x: -16, z: -6 },
  );

const mask = (): Surface[] => {
  const half = (s: number): Surface => ({
    at: (u, v) => {
      const x = 1.05 * u;
      const top = -0.34 - 0.24 * Math.sin(Math.PI * u) - 0.3 * u ** 3;
      const low = 0.36 - 0.12 * Math.cos(2.2 * Math.PI * u) - 0.42 * u ** 2;
      return [s * x, top + (low - top) * v, 0.35 * (1 - u * u) + 0.08 * Math.sin(Math.PI * v)];
    },
    steps: [48, 30],
    along: 'u',
    edges: ['v0', 'v1', 'u1'],
    tone: (u, v) => (s > 0 ? 0.14 : 0.02) + (Math.abs(v - 0.06) < 0.05 || v > 0.93 ? 0.5 : 0),
    hole: (u, v) => ((u - 0.46) / 0.2) ** 2 + ((v - 0.52) / 0.2) ** 2 < 1,
  });
  return [
    half(1),
    half(-1),
    ...[-1, 1].map((s) =>
      tube(
        (t) => {
          const a = 2 * Math.PI * t;
          const u = 0.46 + 0.21 * Math.cos(a);
          const v = 0.52 + 0.22 * Math.sin(a);
          const p = half(s).at(u, v);
          return [p[0], p[1], p[2] + 0.02];
        },
        0.028,
        { round: 8, steps: [60, 8], tone: 0.3 },
      ),
    ),
    ...[-1, 1].flatMap((s) =>
      [-18, 4, 26].flatMap((z, i) =>
        moved(
          [
            blade(
              {
                long: 0.95 - 0.12 * i,
                wide: 0.26,
                shape: (t) => Math.sin(Math.PI * (0.1 + 0.84 * t)) ** 0.7,
                slant: 0.4,
                fold: -0.15,
              },
              { tone: 0.2, dense: 1.1, marks: [{ at: (t) => [t * 0.97, 0.5], weight: 0.7 }] },
            ),
          ],
          { z: s * z, by: [s * 0.1, -0.42, 0.2 - 0.04 * i] },
        ),
      ),
    ),
    ball([0, -0.44, 0.5], [0.1, 0.13, 0.08], { tone: 0.3 }),
    tube((t) => [-1 - 0.1 * t, 0.0 + 1.5 * t, 0], ramp(0.03, 0.04), { round: 8, tone: 0.2, steps: [20, 8] }),
  ];
};

const bunting = (): Surface[] => {
  const line = through([
    [-1.7, -0.3, 0],
    [-0.85, 0.16, 0],
    [0, 0.28, 0],
    [0.85, 0.16, 0],
    [1.7, -0.3, 0],
  ]);
  return [
    rope(line, 0.022, 70),
    ...Array.from({ length: 7 }, (_, i) => {
      const [p, q] = [line(0.05 + i * 0.136), line(0.05 + i * 0.136 + 0.1)];
      const m: V3 = [(p[0] + q[0]) / 2 - (q[1] - p[1]) * 0.4, (p[1] + q[1]) / 2 + 0.6, 0.06];
      const k = i % 3;
      return [
        flat([p, q, m], {
          along: 'u',
          bulge: 0.06,
          tone: k === 0 ? 0.5 : k === 1 ? 0.04 : (u, v) => ((u * 5) % 1 < 0.5 ? 0.55 : 0),
        }),
        ...(k === 1
          ? [0.25, 0.5, 0.75].map((t) =>
              bead(
                p[0] + (q[0] - p[0]) * t,
                p[1] + (q[1] - p[1]) * t + 0.16 - 0.1 * Math.abs(t - 0.5),
                0.08,
                0.035,
                { tone: 0.9, steps: [8, 6] },
              ),
            )
          : []),
      ];
    }).flat(),
    ...[-1, 1].flatMap((s) => [
      bead(s * 1.7, -0.32, 0, 0.06),
      wire(
        through([
          [s * 1.7, -0.3, 0],
          [s * 1.86, 0, 0],
          [s * 1.74, 0.3, 0],
        ]),
        1,
      ),
    ]),
  ];
};

const sparkler = (): Surface[] => [
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

const cracker = (): Surface[] =>
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
      ...starlet(0, 0, 0).slice(0, 0),
    ],
    { z: -16 },
  );

export const NIGHT_STAMPS: readonly Motif[] = [
  motif('Paper lantern', 'lantern light evening', 2.4, lantern, true),
  motif('Ribbed lantern', 'lantern light evening', 2.4, tallLantern, true),
  motif('Candle lantern', 'lantern candle light', 2.2, lampion),
  motif('Star lantern', 'star lantern night', 2.4, starLantern, true),
  motif('Fireworks', 'firework night feast', 2.6, fireworks),
  motif('Rocket', 'rocket firework night', 2.2, rocket),
  motif('Sparkler', 'sparkler spark night', 2.2, sparkler),
  motif('Balloons', 'balloon party birthday', 2.6, balloons, true),
  motif('Gift', 'gift present birthday', 2, gift, true),
  motif('Bells', 'bell christmas wedding', 2.2, bell, true),
  motif('Bauble', 'bauble christmas tree', 1.9, bauble, true),
  motif('Pine and cones', 'pine cone winter', 2.6, pine),
  motif('Holly', 'holly berry winter', 2, holly, true),
  motif('Fir tree', 'fir tree winter', 2.8, tree),
  motif('Snow crystal', 'snow winter flake', 1.8, flake),
  motif('Party hat', 'hat party birthday', 1.9, hat),
  motif('Horn', 'horn music feast', 2.2, horn),
  motif('Drum', 'drum music feast', 2, drum),
  motif('Two glasses', 'glass toast feast', 2.2, glasses),
  motif('Cracker', 'cracker party table', 2.2, cracker),
  motif('Crown', 'crown birthday party', 1.8, crown),
  motif('Feathered mask', 'mask party feather', 2.2, mask, true),
  motif('Bunting', 'bunting flag party', 3, bunting),
];
