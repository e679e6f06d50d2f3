/** What the sea and the shore have. */
import { random } from '@/core/random';
import { fbm } from '../../art/noise';
import {
  ball,
  bead,
  blade,
  corners,
  flat,
  LEAF,
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
  type Motif,
  type Surface,
  type V3,
} from './surface';

/** What a shell grows by (Raup 1966, Geometric analysis of shell coiling): W, D and T, and the shape of its mouth. */
export interface Raup {
  /** Whorl expansion: how many times larger it is after one turn. */
  W: number;
  /** Distance of the mouth from the axis, as a share of its far side. */
  D: number;
  /** Translation along the axis. */
  T: number;
  turns: number;
  /** Height of the mouth as a share of its width. */
  S?: number;
  /** Ribs a turn, and how high. */
  ribs?: readonly [number, number];
  /** Cords along it. */
  cords?: readonly [number, number];
  tone?: Surface['tone'];
}

/** A coiled shell, its apex up, its mouth open to the right; the mouth's outer side is 1 from the axis. */
export function shell({ W, D, T, turns, S = 1, ribs = [0, 0], cords = [0, 0], tone }: Raup): Surface {
  // In cylindrical coordinates r = r0 W^(θ/2π), y = y0 W^(θ/2π) + rc T (W^(θ/2π) - 1) (Raup 1966, p. 1180).
  const rc = (1 + D) / 2;
  const half = (1 - D) / 2;
  return {
    at: (u, v) => {
      const theta = 2 * Math.PI * turns * (u - 1);
      const grown = W ** (theta / (2 * Math.PI));
      const a = 2 * Math.PI * v;
      const rib = 1 + ribs[1] * Math.sin(ribs[0] * theta) + cords[1] * Math.cos(cords[0] * a);
      const r0 = rc + half * Math.cos(a) * rib;
      const y0 = half * S * Math.sin(a) * rib;
      const r = r0 * grown;
      const y = y0 * grown + rc * T * (grown - 1);
      return [r * Math.cos(theta), y, r * Math.sin(theta)] as V3;
    },
    steps: [Math.ceil(turns * 72), 40],
    along: 'v',
    tone,
    edges: ['u1'],
  };
}

const fan = (ribs: number, high: number, open: number): Surface => ({
  at: (u, v) => {
    const s = 2 * u - 1;
    const a = s * open;
    const rib = Math.cos(2 * Math.PI * ribs * u);
    const r = v ** 0.92 * (1 - 0.1 * s ** 4) * (1 + 0.012 * rib * v);
    return [
      1.08 * r * Math.sin(a),
      -r * Math.cos(a),
      0.42 * Math.sqrt(Math.max(0, 1 - r * r)) * v ** 0.5 + high * v * rib,
    ];
  },
  steps: [ribs * 8, 40],
  along: 'v',
  edges: ['v1', 'u0', 'u1'],
  // Rings of years.
  marks: [0.42, 0.66, 0.86].map((v) => ({ at: (t) => [t, v] as const, weight: 0.5 })),
  tone: (u, v) => 0.3 * (1 - v) + 0.18 * Math.max(0, Math.cos(2 * Math.PI * ribs * u + Math.PI)),
});

const scallop = (): Surface[] => [
  ...moved(
    [
      fan(13, 0.03, 1.15),
      flat(
        [
          [-0.02, 0.06, -0.1],
          [-0.42, 0.04, -0.1],
          [-0.3, -0.2, -0.06],
          [-0.02, -0.12, -0.06],
        ],
        { tone: 0.25 },
      ),
      flat(
        [
          [0.02, 0.06, -0.1],
          [0.42, 0.04, -0.1],
          [0.3, -0.2, -0.06],
          [0.02, -0.12, -0.06],
        ],
        { tone: 0.45 },
      ),
    ],
    { z: 8 },
  ),
];

const starfish = (): Surface[] => {
  const next = random(71);
  const arm = (k: number): Surface[] => {
    const bend = (next() - 0.5) * 0.5;
    const half = ramp(0.34, 0.25, 0.19, 0.14, 0.06, 0.004);
    const one: Surface = {
      at: (u, v) => {
        const s = 2 * v - 1;
        return [
          s * half(u) + bend * u * u * 0.5,
          -1.15 * u,
          0.2 * Math.sqrt(Math.max(0, 1 - s * s)) * (1 - 0.75 * u) + 0.02 * Math.sin(26 * u) * (1 - s * s),
        ];
      },
      steps: [40, 20],
      along: 'v',
      edges: ['v0', 'v1'],
    };
    const knobs = [0.16, 0.28, 0.4, 0.52, 0.64, 0.76, 0.87].flatMap((u, i) =>
      (i % 2 ? [0.5] : [0.3, 0.7]).map((v) => {
        const [x, y, z] = one.at(u, v);
        return bead(x, y, z, 0.034 * (1.15 - 0.6 * u));
      }),
    );
    return moved([one, ...knobs], { z: 72 * k + 6 });
  };
  return [0, 1, 2, 3, 4].flatMap(arm).concat(bead(0, 0, 0.2, 0.07));
};

const urchin = (): Surface[] => {
  const beads: Surface[] = [];
  for (let row = 0; row < 20; row++)
    for (let i = 1; i < 10; i++) {
      const b = (Math.PI * (i + (row % 2) * 0.5)) / 20;
      const a = (Math.PI * (row + 0.5)) / 10;
      const z = 0.62 * Math.cos(b);
      beads.push(
        bead(Math.sin(b) * Math.cos(a), Math.sin(b) * Math.sin(a), z, 0.018 + 0.034 * Math.sin(b) ** 2, {
          steps: [8, 6],
          bare: i % 3 > 0,
        }),
      );
    }
  return moved(
    [
      {
        at: (u, v) => {
          const [a, b] = [2 * Math.PI * u, (Math.PI / 2) * v];
          const groove = 1 - 0.02 * Math.abs(Math.cos(5 * a)) ** 12;
          return [
            Math.sin(b) * Math.cos(a) * groove,
            Math.sin(b) * Math.sin(a) * groove,
            0.62 * Math.cos(b) * groove,
          ];
        },
        steps: [120, 20],
        along: 'v',
        tone: (u) => 0.28 * Math.abs(Math.cos(10 * Math.PI * u)) ** 3,
      },
      ...beads,
    ],
    { x: -28, y: 16 },
  );
};

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

const ripples = (y: number, half: number, seed: number): Surface[] => {
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

const dinghy = (): Surface[] => [
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

const rowingBoat = (): Surface[] => [
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

const lighthouse = (): Surface[] => {
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

const bow = (x: number, y: number, z: number, turn: number, size: number): Surface[] =>
  moved(
    [
      ...[-1, 1].map((side) =>
        flat(
          [
            [0, 0, 0],
            [side, -0.55, 0.08],
            [side * 1.05, 0.5, 0],
            [0, 0, 0.02],
          ],
          { bulge: 0.2, tone: side > 0 ? 0.35 : 0.1, along: 'u' },
        ),
      ),
      bead(0, 0, 0.1, 0.2),
    ],
    { z: turn, size, by: [x, y, z] },
  );

const tail = (from: V3, steps: readonly V3[], bows: number, size: number): Surface[] => {
  const line = through([from, ...steps]);
  return [
    wire(line, 0.7),
    ...Array.from({ length: bows }, (_, i) => {
      const t = 0.2 + (0.78 * i) / (bows - 1);
      const [p, q] = [line(t), line(t + 0.01)];
      return bow(
        p[0],
        p[1],
        p[2] + 0.02,
        (Math.atan2(q[1] - p[1], q[0] - p[0]) * 180) / Math.PI + 90,
        size * (1 - 0.3 * t),
      );
    }).flat(),
  ];
};

const diamondKite = (): Surface[] => {
  const [top, left, right, foot, middle]: V3[] = [
    [0, -1, 0],
    [-0.78, -0.36, -0.16],
    [0.78, -0.36, -0.16],
    [0, 0.95, 0],
    [0, -0.36, 0.2],
  ];
  const panel = (a: V3, b: V3, tone: number): Surface =>
    flat([middle!, a, b], {
      bulge: 0.05,
      tone,
      along: 'v',
      steps: [24, 20],
      marks: [0.33, 0.66].map((v) => ({ at: (t) => [t, v] as const, weight: 0.35 })),
    });
  return [
    ...moved(
      [
        panel(top!, left!, 0.05),
        panel(right!, top!, 0.5),
        panel(left!, foot!, 0.4),
        panel(foot!, right!, 0.12),
        tube((t) => [0, -1.02 + 2 * t, 0.03 + 0.17 * Math.sin(Math.PI * Math.min(1, t * 1.5))], 0.016, {
          round: 8,
          steps: [30, 8],
        }),
      ],
      { z: 24 },
    ),
    ...tail(
      [-0.39, 0.86, 0],
      [
        [-0.62, 1.15, 0],
        [-0.3, 1.42, 0],
        [-0.66, 1.72, 0],
        [-0.4, 2.02, 0],
        [-0.6, 2.3, 0],
      ],
      6,
      0.12,
    ),
    wire(
      through([
        [0.14, -0.32, 0.3],
        [0.5, 0.5, 0.3],
        [1.1, 1.3, 0.3],
        [1.25, 2.2, 0.3],
      ]),
      0.45,
    ),
  ];
};

const boxKite = (): Surface[] => {
  const cell = (y: number): Surface[] => {
    const c: readonly (readonly [number, number])[] = [
      [-0.5, -0.5],
      [0.5, -0.5],
      [0.5, 0.5],
      [-0.5, 0.5],
    ];
    return c.map(([x, z], i) => {
      const [x1, z1] = c[(i + 1) % 4]!;
      return flat(
        [
          [x, y, z],
          [x, y + 0.52, z],
          [x1, y + 0.52, z1],
          [x1, y, z1],
        ],
        { tone: [0.5, 0.25, 0.02, 0.4][i]!, along: 'v', bulge: 0.03, steps: [24, 24] },
      );
    });
  };
  return [
    ...moved(
      [
        ...cell(-0.95),
        ...cell(0.35),
        ...[
          [-0.5, -0.5],
          [0.5, -0.5],
          [0.5, 0.5],
          [-0.5, 0.5],
        ].map(([x, z]) => tube((t) => [x!, -1.02 + 1.96 * t, z!], 0.022, { round: 8, steps: [24, 8] })),
      ],
      { y: 28, x: -22, z: -24 },
    ),
    wire(
      through([
        [-0.4, 0.5, 0.9],
        [-0.9, 0.9, 0.6],
        [-1.15, 1.5, 0.5],
      ]),
      0.5,
    ),
  ];
};

const FEATHER = (t: number): number => Math.min(1, 3.4 * t) ** 0.6 * (1 - t ** 3.2) ** 0.5;
const feather = (long: number, wide: number, bend: number, splits: readonly number[] = []): Surface[] => [
  blade(
    { long, wide, shape: FEATHER, bend: 0.2, fold: -0.25, sway: bend, slant: 0.34 },
    {
      dense: 1.25,
      steps: [60, 24],
      tone: (u, v) => 0.2 + (v > 0.5 ? 0.3 : 0.05) + 0.2 * (1 - u),
      hole: (u, v) =>
        splits.some(
          (at, i) => Math.abs(u - at) < 0.013 * Math.abs(2 * v - 1) ** 1.5 && (i % 2 ? v > 0.68 : v < 0.34),
        ),
    },
  ),
  tube(
    (t) => [
      bend * (t * 1.24 - 0.24) ** 2 * (t > 0.2 ? 1 : 0.2),
      -long * (1.24 * t - 0.24),
      0.03 + 0.2 * Math.max(0, t) ** 2,
    ],
    ramp(0.03, 0.03, 0.02, 0.006),
    { round: 8, steps: [50, 8] },
  ),
];

const gull = (): Surface[] => {
  const wing = (side: 1 | -1): Surface[] => {
    const arm = through([
      [0.12, -0.05, 0.1],
      [0.62, -0.42, 0.14],
      [1.15, -0.36, 0.1],
      [1.75, -0.02, 0],
    ]);
    const quill = (t: number, long: number, turn: number, wide: number): Surface[] =>
      moved(
        [
          blade(
            { long, wide, shape: FEATHER, fold: -0.2, slant: 0.3 },
            {
              tone: (u) => 0.08 + 0.5 * u ** 3 * (t > 0.7 ? 1.6 : 0.6),
              steps: [30, 12],
              marks: [{ at: (s) => [s, 0.5], weight: 0.5 }],
            },
          ),
        ],
        {
          z: turn,
          by: [arm(t)[0], arm(t)[1], arm(t)[2] - 0.05 - 0.012 * (1 - t)],
        },
      );
    const flight = Array.from({ length: 19 }, (_, i) => {
      const t = 1 - i / 19;
      return quill(t, 0.34 + 0.3 * t ** 2 + (i < 6 ? 0.1 : 0), 180 - 62 * t ** 2.2, 0.12 + 0.03 * (1 - t));
    }).flat();
    const coverts = Array.from({ length: 15 }, (_, i) => {
      const t = 0.96 - i / 16;
      return moved(quill(t, 0.24, 178 - 45 * t ** 2, 0.12), { by: [0, 0, 0.04] });
    }).flat();
    const edge = tube(arm, ramp(0.1, 0.075, 0.055, 0.012), { flat: 0.6, steps: [50, 14] });
    return [...flight, ...coverts, edge].map((one) => ({
      ...one,
      at: (u: number, v: number) => {
        const [x, y, z] = one.at(u, v);
        return [side * x, y, z] as V3;
      },
    }));
  };
  const tailFeathers = [-24, -12, 0, 12, 24].flatMap((a) =>
    moved([blade({ long: 0.42, wide: 0.15, shape: FEATHER, fold: -0.1 }, { tone: 0.1, steps: [24, 10] })], {
      z: 180 + a,
      by: [0, 0.42, -0.02],
    }),
  );
  return moved(
    [
      ...wing(1),
      ...wing(-1),
      ...tailFeathers,
      tube((t) => [0, -0.52 + 1.05 * t, 0.12], ramp(0.02, 0.12, 0.15, 0.19, 0.2, 0.17, 0.1, 0.02), {
        steps: [60, 24],
        tone: (u) => 0.1 * u,
      }),
      ball([0, -0.5, 0.14], [0.115, 0.13, 0.115], { steps: [24, 16] }),
      tube((t) => [0, -0.58 - 0.2 * t, 0.14 - 0.03 * t * t], ramp(0.05, 0.04, 0.008), {
        round: 10,
        steps: [16, 10],
        tone: 0.3,
      }),
      bead(0.075, -0.55, 0.2, 0.022, { tone: 1 }),
    ],
    { z: 28, x: -12, y: 10 },
  );
};

const anchor = (): Surface[] => {
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

const coil = (): Surface[] => [
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

const fish = (): Surface[] => {
  const high = ramp(0.05, 0.22, 0.34, 0.39, 0.36, 0.27, 0.16, 0.085);
  const list: NonNullable<Surface['marks']>[number][] = [];
  for (let i = 0; i < 17; i++)
    for (let j = 0; j < 9; j++) {
      const u = 0.3 + i * 0.039;
      const v = 0.03 + (j + (i % 2) * 0.5) * 0.052;
      list.push({ at: (t) => [u + 0.02 * Math.sin(Math.PI * t), v + 0.05 * t], weight: 0.45 });
    }
  const body: Surface = {
    at: (u, v) => {
      const a = 2 * Math.PI * v;
      return [-1.1 + 1.95 * u, 0.05 * Math.sin(3 * u) - high(u) * Math.cos(a), 0.55 * high(u) * Math.sin(a)];
    },
    steps: [64, 32],
    along: 'v',
    tone: (u, v) => (v < 0.18 && u > 0.2 ? 0.35 : 0) + (u < 0.24 ? 0 : 0.06),
    marks: [
      ...list,
      { at: (t) => [0.24 + 0.03 * Math.sin(Math.PI * t), 0.06 + 0.36 * t], weight: 1.1 },
      { at: (t) => [0.03 + 0.06 * t, 0.27], weight: 0.9 },
    ],
  };
  const fin = (x: number, y: number, long: number, wide: number, turn: number, z: number): Surface[] =>
    moved(
      [
        blade(
          { long, wide, shape: (t) => Math.min(1, 0.3 + t), slant: 0.1 },
          {
            tone: 0.2,
            edges: ['v0', 'v1', 'u1'],
            along: 'u',
            marks: [0.15, 0.3, 0.45, 0.6, 0.75, 0.9].map((v) => ({
              at: (t) => [t, v] as const,
              weight: 0.5,
            })),
          },
        ),
      ],
      { z: turn, by: [x, y, z] },
    );
  return moved(
    [
      body,
      bead(-0.86, -0.07, 0.13, 0.055, { tone: 0.3 }),
      bead(-0.865, -0.075, 0.175, 0.025, { tone: 1 }),
      ...fin(0.82, 0.05, 0.46, 0.42, 52, -0.02),
      ...fin(0.82, 0.1, 0.46, 0.42, 128, -0.02),
      ...fin(-0.15, -0.34, 0.26, 0.9, 12, -0.05),
      ...fin(0.1, 0.36, 0.22, 0.4, 160, -0.05),
      ...fin(-0.36, 0.14, 0.34, 0.2, 118, 0.24),
    ],
    { z: -8 },
  );
};

const compass = (): Surface[] => {
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

const bucket = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.52, -0.6], [0.48, -0.1], [0.42, 0.5]), {
        edges: ['v0', 'v1'],
        tone: (_, v) => (v > 0.3 && v < 0.55 ? 0.4 : 0),
      }),
      ring([0, -0.6, 0], 0.53, 0.035, 90, { steps: [64, 12] }),
      revolved((t) => [0.5 * t, -0.6 - 0.16 * (1 - t) ** 2], {
        tone: (u, v) => 0.1 + 0.12 * Math.sin(60 * u) * Math.cos(50 * v),
        steps: [48, 16],
      }),
      tube(
        through([
          [-0.53, -0.58, 0],
          [-0.5, -1.05, 0.25],
          [0, -1.3, 0.35],
          [0.5, -1.05, 0.25],
          [0.53, -0.58, 0],
        ]),
        0.022,
        { round: 8 },
      ),
    ],
    { x: -22, z: 4 },
  ),
  ...moved(
    [
      tube((t) => [0, -0.9 + 1.2 * t, 0], 0.04, {
        round: 12,
        steps: [30, 12],
        marks: [0.2, 0.35, 0.55].map((v) => ({ at: (t) => [t, v] as const, weight: 0.35 })),
      }),
      tube((t) => [-0.14 + 0.28 * t, -0.92, 0], 0.04, { round: 10, steps: [12, 10] }),
      blade(
        {
          long: 0.62,
          wide: 0.42,
          shape: (t) => Math.min(1, 0.75 + t) * (1 - Math.max(0, t - 0.6) ** 2 * 4.5),
          fold: 0.25,
        },
        { tone: 0.15, edges: ['u0', 'v0', 'v1', 'u1'] },
      ),
    ].map((one, i) => (i === 2 ? moved([one], { z: 180, by: [0, 0.28, 0.02] })[0]! : one)),
    { z: 24, by: [0.85, 0.02, 0.2] },
  ),
];

const bottle = (): Surface[] => [
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

const umbrella = (): Surface[] => [
  ...moved(
    [
      tube((t) => [0, -0.9 + 2.5 * t, 0], 0.03, { round: 8, steps: [40, 8] }),
      {
        at: (u, v) => {
          const a = 2 * Math.PI * u;
          const r = 1.15 * Math.sin(1.25 * v) * (1 - 0.045 * v * Math.abs(Math.sin(4 * a)));
          return [
            r * Math.cos(a),
            -0.86 + 0.72 * (1 - Math.cos(1.25 * v)) + 0.03 * v * Math.abs(Math.sin(4 * a)),
            r * Math.sin(a),
          ];
        },
        steps: [96, 24],
        along: 'v',
        edges: ['v1'],
        tone: (u) => (Math.floor(u * 8) % 2 ? 0.55 : 0),
        marks: Array.from({ length: 8 }, (_, i) => ({ at: (t: number) => [i / 8, t] as const, weight: 0.7 })),
      },
      bead(0, -0.92, 0, 0.06),
    ],
    { x: -24, z: 16 },
  ),
  ...ripples(1.5, 1.5, 31),
];

const pebbles = (): Surface[] => {
  const stone = (x: number, y: number, w: number, h: number, turn: number, tone: number): Surface[] =>
    moved(
      [
        ball([0, 0, 0], [w, h, 0.5 * w], {
          steps: [40, 26],
          tone,
          along: 'v',
          marks: [
            {
              at: (t) => [0.72 + 0.56 * t - (0.72 + 0.56 * t > 1 ? 1 : 0), 0.38 + 0.1 * t],
              weight: tone > 0.2 ? 0 : 0.5,
            },
          ],
        }),
      ],
      { z: turn, by: [x, y, 0] },
    );
  return [
    ...stone(0, 0.55, 0.78, 0.3, 2, 0.05),
    ...stone(-0.06, 0.06, 0.56, 0.24, -4, 0.3),
    ...stone(0.05, -0.34, 0.42, 0.19, 5, 0.02),
    ...stone(0.0, -0.64, 0.27, 0.14, -6, 0.25),
    ...stone(0.02, -0.86, 0.14, 0.1, 8, 0.05),
    ...ripples(0.86, 1.7, 44),
  ];
};

const crab = (): Surface[] => {
  const next = random(12);
  const leg = (side: 1 | -1, k: number): Surface[] => {
    const a = -0.1 + 0.36 * k;
    const knee: V3 = [side * (0.95 + 0.12 * (2 - Math.abs(k - 1))), -0.28 + a * 0.9, 0.3];
    const foot: V3 = [side * (1.25 - 0.1 * k), 0.2 + a, -0.05];
    return [
      tube(corners([side * 0.5, -0.05 + a * 0.45, 0], knee), ramp(0.075, 0.06), {
        round: 12,
        steps: [16, 12],
      }),
      tube(corners(knee, foot), ramp(0.06, 0.045, 0.006), { round: 12, steps: [16, 12] }),
      bead(...knee, 0.062),
    ];
  };
  const claw = (side: 1 | -1): Surface[] => [
    tube(corners([side * 0.5, -0.2, 0.05], [side * 0.95, -0.55, 0.15], [side * 0.72, -0.88, 0.2]), 0.085, {
      round: 12,
      steps: [24, 12],
    }),
    ...moved(
      [
        ball([0, -0.16, 0], [0.17, 0.24, 0.14], { steps: [28, 20] }),
        ...[-1, 1].map((s) =>
          tube(
            through([
              [s * 0.08, -0.3, 0],
              [s * 0.15, -0.46, 0],
              [s * 0.02, -0.62, 0],
            ]),
            ramp(0.075, 0.055, 0.006),
            { round: 12, steps: [20, 12] },
          ),
        ),
      ],
      { z: side * -24, by: [side * 0.7, -0.86, 0.2] },
    ),
  ];
  return [
    ...[1, -1].flatMap((s) => [0, 1, 2].flatMap((k) => leg(s as 1 | -1, k))),
    ...claw(1),
    ...claw(-1),
    {
      at: (u, v) => {
        const [a, b] = [2 * Math.PI * u, (Math.PI / 2) * v];
        const w = 0.74 * (1 + 0.03 * Math.cos(18 * a) * v * (Math.sin(a) < 0 ? 1 : 0));
        return [
          w * Math.sin(b) * Math.cos(a) * (1 - 0.16 * Math.sin(a)),
          0.5 * Math.sin(b) * Math.sin(a),
          0.3 * Math.cos(b) + 0.1,
        ];
      },
      steps: [72, 20],
      along: 'u',
      tone: 0.12,
      edges: ['v1'],
    } satisfies Surface,
    ...Array.from({ length: 16 }, () => {
      const [x, y] = [(next() - 0.5) * 0.9, (next() - 0.5) * 0.5];
      return bead(x, y, 0.36 - 0.3 * (x * x + 2 * y * y), 0.024 + 0.02 * next(), { steps: [10, 8] });
    }),
    ...[-1, 1].flatMap((s) => [
      tube(corners([s * 0.14, -0.42, 0.2], [s * 0.18, -0.6, 0.26]), 0.028, { round: 8, steps: [8, 8] }),
      bead(s * 0.18, -0.62, 0.27, 0.05, { tone: 0.9 }),
    ]),
  ];
};

const seaHolly = (): Surface[] => {
  const head = (x: number, y: number, size: number, turn: number): Surface[] =>
    moved(
      [
        ...Array.from({ length: 11 }, (_, i) =>
          moved(
            [
              blade(
                {
                  long: 0.62,
                  wide: 0.2,
                  shape: (t) => (1 - t) ** 0.6 * (0.75 + 0.5 * Math.abs(Math.sin(9 * t))),
                  bend: 0.06,
                  fold: 0.3,
                  veins: 3,
                },
                { steps: [40, 12] },
              ),
            ],
            { z: (360 * i) / 11, by: [0, 0, -0.1 - 0.01 * (i % 2)] },
          ),
        ).flat(),
        ...Array.from({ length: 70 }, (_, i) => {
          // Florets by the golden angle (Vogel 1979).
          const [a, r] = [2.39996 * i, 0.225 * Math.sqrt(i / 70)];
          return bead(r * Math.cos(a), r * Math.sin(a) * 0.9 - 0.05, 0.26 * (1 - (r / 0.26) ** 2), 0.027, {
            steps: [8, 6],
            tone: 0.15,
          });
        }),
      ],
      { size, z: turn, by: [x, y, 0.1] },
    );
  return [
    ...head(0, -0.8, 0.95, 0),
    ...head(-0.68, -0.05, 0.66, -24),
    ...head(0.6, -0.2, 0.72, 20),
    tube(
      through([
        [0, -0.7, -0.1],
        [0.04, 0.2, -0.1],
        [-0.02, 1.3, -0.1],
      ]),
      ramp(0.03, 0.038, 0.045),
      { round: 10 },
    ),
    tube(
      through([
        [-0.66, 0, -0.1],
        [-0.3, 0.5, -0.1],
        [0, 0.8, -0.1],
      ]),
      0.027,
      { round: 10 },
    ),
    tube(
      through([
        [0.58, -0.12, -0.1],
        [0.3, 0.35, -0.1],
        [0.03, 0.6, -0.1],
      ]),
      0.027,
      { round: 10 },
    ),
    ...[
      [0.02, 0.95, 64],
      [0, 0.9, -58],
      [0.02, 0.5, -80],
    ].flatMap(([x, y, z]) =>
      moved(
        [
          blade({
            long: 0.62,
            wide: 0.34,
            shape: (t) => LEAF(t) * (0.72 + 0.4 * Math.abs(Math.sin(8 * t))),
            veins: 4,
            bend: 0.1,
          }),
        ],
        { z: z!, by: [x!, y!, -0.05] },
      ),
    ),
  ];
};

export const SEA: readonly Motif[] = [
  motif('Kite', 'kite wind sky', 2.6, diamondKite, true),
  motif('Box kite', 'kite wind sky', 2, boxKite),
  motif('Lighthouse', 'lighthouse coast sea', 3.2, lighthouse, true),
  motif('Gull', 'gull bird sky', 3, gull, true),
  motif('Sailboat', 'boat sail sea', 2.4, dinghy, true),
  motif('Rowing boat', 'boat oar harbour', 2.2, rowingBoat),
  motif('Scallop shell', 'shell beach sea', 1.6, scallop, true),
  motif('Turret shell', 'shell spiral beach', 1.9, () =>
    moved([shell({ W: 1.35, D: 0.05, T: 4.2, turns: 8, ribs: [14, 0.05] })], { z: -35, x: 12 }),
  ),
  motif('Whelk', 'shell spiral beach', 2, () =>
    moved([shell({ W: 1.9, D: 0.02, T: 2.1, turns: 6, S: 1.35, cords: [7, 0.03], ribs: [9, 0.04] })], {
      z: -24,
      x: 14,
    }),
  ),
  motif(
    'Nautilus',
    'shell spiral sea',
    1.8,
    () =>
      moved(
        [
          shell({
            W: 3.2,
            D: 0.02,
            T: 0,
            turns: 3,
            S: 0.9,
            tone: (u) => (u > 0.62 ? 0.32 * Math.max(0, Math.sin(u * 70)) : 0.15),
          }),
        ],
        { x: 84 },
      ),
    true,
  ),
  motif('Starfish', 'starfish beach sea', 1.7, starfish, true),
  motif('Sea urchin', 'urchin beach sea', 1.5, urchin),
  motif('Anchor', 'anchor harbour rope', 2.2, anchor, true),
  motif('Coil of rope', 'rope harbour boat', 1.8, coil),
  motif('Fish', 'fish sea catch', 2.2, fish, true),
  motif('Compass rose', 'compass map journey', 2.4, compass),
  motif('Bucket and spade', 'bucket sand beach', 2, bucket),
  motif('Message in a bottle', 'bottle letter sea', 2.4, bottle),
  motif('Beach umbrella', 'umbrella beach summer', 2.4, umbrella),
  motif('Balanced pebbles', 'stone pebble beach', 1.7, pebbles),
  motif('Crab', 'crab beach sea', 2, crab, true),
  motif('Sea holly', 'flower thistle dune', 3, seaHolly),
  motif('Quill feather', 'feather gull quill', 2.6, () =>
    moved(feather(2.4, 0.62, 0.35, [0.35, 0.52, 0.74]), { z: 34 }),
  ),
];
