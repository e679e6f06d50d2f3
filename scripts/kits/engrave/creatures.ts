/** Who lives in a garden. */
import { random } from '@/core/random';
import { ROUND } from './growth';
import { shell } from './shells';
import {
  ball,
  bead,
  blade,
  corners,
  leafAt,
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

/** A wing from its root out to a margin that runs from its leading edge round to its hind one; veins go out like rays. */
export const wingOf = (
  root: V3,
  margin: readonly (readonly [x: number, y: number])[],
  { scallops = 0, veins, tone }: { scallops?: number; veins: readonly number[]; tone: Surface['tone'] },
): Surface => {
  const rim = through(margin.map(([x, y]): V3 => [x, y, 0]));
  return {
    at: (u, v) => {
      const [x, y] = rim(u);
      const far = v * (1 + 0.03 * scallops * Math.cos(2 * Math.PI * 9 * u) * Math.sin(Math.PI * u) ** 2 * v);
      // Rays bow towards the leading edge, as veins do.
      const bow = 0.12 * v * (1 - v) * (u - 0.5);
      return [
        root[0] + far * (x - root[0]) + bow * (y - root[1]),
        root[1] + far * (y - root[1]) - bow * (x - root[0]),
        root[2] + 0.2 * v * v + 0.015 * Math.sin(22 * u) * v,
      ];
    },
    steps: [72, 40],
    along: 'v',
    edges: ['v1'],
    tone,
    marks: veins.map((u) => ({ at: (t: number) => [u, 0.08 + 0.9 * t] as const, weight: 0.7 })),
  };
};

/** What lies on one side, on the other as well. */
export const bothSides = (half: readonly Surface[]): Surface[] => [
  ...half,
  ...half.map((one): Surface => ({
    ...one,
    at: (u, v) => {
      const [x, y, z] = one.at(u, v);
      return [-x, y, z];
    },
  })),
];

export const butterfly = (): Surface[] => {
  const tone =
    (own: number) =>
    (u: number, v: number): number =>
      own +
      (v > 0.85 ? 0.72 : 0.3 * (1 - v)) +
      (v > 0.9 && v < 0.96 && Math.abs(((u * 11) % 1) - 0.5) < 0.2 ? -0.9 : 0);
  const veins = [0.12, 0.22, 0.32, 0.42, 0.52, 0.62, 0.73, 0.85];
  const half = [
    wingOf(
      [0.05, -0.2, 0],
      [
        [0.16, -0.5],
        [0.5, -1.0],
        [0.92, -1.28],
        [1.22, -1.3],
        [1.3, -1.08],
        [1.2, -0.68],
        [1.1, -0.32],
        [0.86, -0.1],
        [0.46, -0.06],
        [0.14, -0.12],
      ],
      { scallops: 0.6, veins, tone: tone(0.08) },
    ),
    wingOf(
      [0.05, 0.02, -0.06],
      [
        [0.2, -0.08],
        [0.62, -0.12],
        [0.96, 0.06],
        [1.04, 0.36],
        [0.9, 0.64],
        [0.72, 0.84],
        [0.62, 1.06],
        [0.5, 0.88],
        [0.3, 0.72],
        [0.1, 0.34],
      ],
      { scallops: 1, veins, tone: tone(0.16) },
    ),
    ring([0.62, 0.4, 0.14], 0.12, 0.016, 0, { bare: true }),
    bead(0.62, 0.4, 0.12, 0.06, { tone: 1 }),
    bead(0.8, -0.78, 0.12, 0.065, { tone: 1 }),
  ];
  return moved(
    [
      ...bothSides(half),
      tube((t) => [0, -0.42 + 1.1 * t, 0.12], ramp(0.02, 0.075, 0.085, 0.06, 0.07, 0.06, 0.045, 0.01), {
        tone: 0.3,
        marks: Array.from({ length: 9 }, (_, i) => ({
          at: (t: number) => [0.48 + 0.052 * i, t] as const,
          weight: 0.6,
        })),
      }),
      ball([0, -0.46, 0.12], 0.07, { tone: 0.3, steps: [16, 12] }),
      ...[-1, 1].flatMap((s) => [
        wire(
          through([
            [s * 0.03, -0.5, 0.14],
            [s * 0.16, -0.8, 0.14],
            [s * 0.36, -1.02, 0.14],
          ]),
          0.6,
        ),
        bead(s * 0.37, -1.03, 0.14, 0.026, { tone: 0.9 }),
      ]),
    ],
    { z: 14 },
  );
};

export const bee = (): Surface[] => {
  const wing = (long: number, wide: number, z: number, y: number): Surface[] =>
    [1, -1].flatMap((s) =>
      moved(
        [
          blade(
            { long, wide, shape: ROUND, slant: 0.1 },
            {
              bare: true,
              edges: ['u1', 'v0', 'v1'],
              marks: [0.25, 0.45, 0.65]
                .flatMap((v) => [{ at: (t: number) => [t * 0.9, v] as const, weight: 0.4 }])
                .concat(
                  [0.45, 0.7].map((u) => ({ at: (t: number) => [u, 0.15 + 0.7 * t] as const, weight: 0.4 })),
                ),
            },
          ),
        ],
        { z: s * z, by: [s * 0.12, y, 0.3] },
      ),
    );
  const hairs = (y0: number, y1: number, w: number, count: number): Surface[] =>
    Array.from({ length: count }, (_, i) => {
      const t = i / count;
      const s = i % 2 ? 1 : -1;
      const y = y0 + (y1 - y0) * t;
      const x = s * w * Math.sin(Math.PI * (0.15 + 0.7 * t));
      return wire((k) => [x * (1 + 0.22 * k), y + 0.05 * k, 0.1], 0.5);
    });
  return moved(
    [
      ...wing(1.05, 0.46, 72, -0.16),
      ...wing(0.72, 0.34, 104, 0.02),
      tube((t) => [0, 0.02 + 0.95 * t, 0.1], ramp(0.2, 0.34, 0.37, 0.33, 0.2, 0.01), {
        steps: [60, 28],
        dense: 1.2,
        tone: (u) => (Math.floor(u * 7.5) % 2 ? 0.75 : 0.02),
      }),
      ball([0, -0.16, 0.14], [0.31, 0.3, 0.28], { tone: 0.35, along: 'v', dense: 1.3 }),
      ball([0, -0.52, 0.1], [0.2, 0.15, 0.17], { tone: 0.4 }),
      ...[-1, 1].flatMap((s) => [
        ball([s * 0.14, -0.54, 0.18], [0.07, 0.1, 0.06], { tone: 1, steps: [12, 10] }),
        wire(
          through([
            [s * 0.06, -0.64, 0.2],
            [s * 0.16, -0.84, 0.2],
            [s * 0.3, -0.92, 0.2],
          ]),
          0.9,
        ),
        ...[
          [-0.3, -0.42, 0.5],
          [0, 0.02, 0.62],
          [0.2, 0.5, 0.72],
        ].map(([y, y1, x]) =>
          tube(
            through([
              [s * 0.2, y!, 0],
              [s * x! * 0.7, (y! + y1!) / 2 - 0.12, 0.05],
              [s * x!, y1!, 0],
            ]),
            ramp(0.03, 0.026, 0.012),
            { round: 8, tone: 0.5 },
          ),
        ),
      ]),
      ...hairs(-0.42, 0.1, 0.3, 44),
      ...hairs(0.1, 0.8, 0.35, 30),
    ],
    { z: 32 },
  );
};

export const robin = (): Surface[] => {
  const body = through([
    [-0.62, -0.62, 0],
    [-0.42, -0.5, 0.05],
    [-0.12, -0.12, 0.1],
    [0.14, 0.2, 0.1],
    [0.42, 0.4, 0.05],
    [0.72, 0.5, 0],
  ]);
  const plumage = Array.from({ length: 84 }, (_, i) => {
    const [u, v] = [0.16 + 0.6 * ((i * 0.618034) % 1), 0.06 + 0.4 * ((i * 0.324718) % 1)];
    return { at: (t: number) => [u + 0.035 * t, v + 0.012 * Math.sin(Math.PI * t)] as const, weight: 0.6 };
  });
  const quills = (
    count: number,
    long: number,
    x: number,
    y: number,
    z0: number,
    z1: number,
    lift: number,
  ): Surface[] =>
    Array.from({ length: count }, (_, i) =>
      moved(
        [
          blade(
            { long: long * (0.7 + (0.5 * i) / count), wide: 0.15, shape: ROUND, fold: -0.15, slant: 0.25 },
            { tone: 0.25, steps: [26, 10], marks: [{ at: (s) => [s * 0.96, 0.5], weight: 0.6 }] },
          ),
        ],
        { z: z0 + ((z1 - z0) * i) / count, by: [x + 0.025 * i, y + 0.018 * i, lift - 0.014 * i] },
      ),
    ).flat();
  return [
    tube(body, ramp(0.12, 0.3, 0.43, 0.41, 0.24, 0.06), {
      steps: [64, 36],
      marks: plumage,
      tone: (u, v) => (v < 0.5 && u < 0.6 ? 0.12 : 0.2),
    }),
    ball([-0.58, -0.66, 0.08], [0.27, 0.25, 0.25], { tone: 0.12, along: 'v' }),
    tube((t) => [-0.8 - 0.2 * t, -0.66 + 0.04 * t, 0.1], ramp(0.06, 0.045, 0.006), {
      round: 10,
      tone: 0.6,
      steps: [14, 10],
    }),
    bead(-0.68, -0.72, 0.3, 0.048, { tone: 1 }),
    ring([-0.68, -0.72, 0.32], 0.06, 0.008, 0, { bare: true }),
    ...quills(8, 0.66, 0.0, -0.1, 118, 142, 0.5),
    ...quills(6, 0.36, -0.1, -0.14, 112, 150, 0.56),
    ...[0, 1, 2, 3].flatMap((i) =>
      moved(
        [
          blade(
            { long: 0.75, wide: 0.13, shape: (t) => Math.min(1, 0.5 + t) * (t > 0.96 ? 0.7 : 1), slant: 0.2 },
            { tone: 0.35 },
          ),
        ],
        { z: 116 + 5 * i, by: [0.6, 0.42, -0.02 - 0.01 * i] },
      ),
    ),
    ...[-0.02, 0.22].flatMap((x) => [
      tube(corners([x, 0.42, 0.1], [x + 0.02, 0.78, 0.2]), 0.022, { round: 8, steps: [12, 8], tone: 0.5 }),
      ...[-0.12, 0, 0.12].map((d) =>
        tube(
          through([
            [x + 0.02, 0.78, 0.2],
            [x + 0.02 + d * 0.7, 0.82, 0.28],
            [x + 0.02 + d, 0.9, 0.26],
          ]),
          0.018,
          { round: 8, steps: [12, 8], tone: 0.5 },
        ),
      ),
    ]),
    tube(
      through([
        [-1.3, 1.06, 0],
        [-0.4, 0.92, 0],
        [0.5, 0.94, 0],
        [1.4, 0.74, 0],
      ]),
      ramp(0.05, 0.075, 0.07, 0.04),
      {
        round: 14,
        tone: 0.15,
        marks: [0.2, 0.34, 0.45].map((v) => ({
          at: (t) => [t, v + 0.02 * Math.sin(20 * t)] as const,
          weight: 0.5,
        })),
      },
    ),
    ...leafAt(-0.9, 0.98, -32, 0.56, 0.3),
    ...leafAt(-0.95, 1.02, -150, 0.5, 0.28),
    ...leafAt(1.05, 0.84, 34, 0.52, 0.28),
    ...leafAt(1.1, 0.84, 128, 0.46, 0.26),
  ];
};

export const nest = (): Surface[] => {
  const next = random(8);
  const straw = Array.from({ length: 150 }, () => {
    const [a0, da, r, h] = [
      2 * Math.PI * next(),
      0.5 + 0.7 * next(),
      0.72 + 0.34 * next(),
      (next() - 0.5) * 0.5,
    ];
    const drop = (r - 0.9) * 0.6;
    return tube(
      (t) => {
        const a = a0 + da * (t - 0.5);
        return [
          r * Math.cos(a) * 1.12,
          h * 0.7 + drop + 0.42 * r * Math.sin(a),
          0.3 + 0.5 * r * Math.sin(a) - 0.3 * (r - 0.75),
        ];
      },
      0.017,
      { round: 6, steps: [16, 6], tone: 0.12 + 0.5 * (h > 0 ? h : 0) },
    );
  });
  const egg = (x: number, y: number, z: number, turn: number): Surface[] =>
    moved(
      [
        revolved(profileOf([0, -0.34], [0.17, -0.26], [0.25, 0.02], [0.18, 0.24], [0, 0.31]), {
          along: 'u',
          marks: Array.from({ length: 26 }, (_, i) => {
            const [u, v] = [(i * 0.618) % 1, 0.12 + 0.76 * ((i * 0.3247) % 1)];
            return { at: (t: number) => [u + 0.012 * t, v + 0.012 * Math.sin(5 * t)] as const, weight: 1 };
          }),
        }),
      ],
      { z: turn, x: -30, by: [x, y, z] },
    );
  return [
    ...straw,
    ...egg(-0.28, -0.02, 0.3, -24),
    ...egg(0.26, -0.04, 0.32, 30),
    ...egg(0, 0.12, 0.52, 84),
    {
      at: (u, v) => [0.86 * v * Math.cos(2 * Math.PI * u), 0.08 + 0.34 * v * Math.sin(2 * Math.PI * u), -0.2],
      steps: [48, 8],
      along: 'u',
      tone: 0.85,
    } satisfies Surface,
  ];
};

export const snail = (): Surface[] => [
  ...moved(
    [
      shell({
        W: 2.1,
        D: 0.04,
        T: 0.28,
        turns: 4,
        ribs: [40, 0.012],
        tone: (u) => 0.1 + 0.22 * Math.max(0, Math.sin(60 * u)),
      }),
    ],
    { x: 84, z: 200, size: 0.66, by: [0.12, -0.3, 0.3] },
  ),
  tube(
    through([
      [1.25, 0.42, 0],
      [0.6, 0.3, 0],
      [-0.2, 0.26, 0],
      [-0.75, 0.12, 0.05],
      [-1.05, -0.22, 0.05],
    ]),
    ramp(0.02, 0.14, 0.22, 0.19, 0.13),
    {
      steps: [70, 22],
      flat: 0.8,
      tone: 0.05,
      marks: Array.from({ length: 40 }, (_, i) => ({
        at: (t: number) => [0.06 + 0.021 * i, 0.1 + 0.28 * ((i * 0.618) % 1) + 0.08 * t] as const,
        weight: 0.4,
      })),
    },
  ),
  ball([-1.06, -0.24, 0.05], [0.14, 0.15, 0.13], { steps: [20, 14] }),
  ...[
    [-1.3, -0.72, 0.1],
    [-0.98, -0.74, 0.0],
  ].flatMap(([x, y, z]) => [
    tube(
      through([
        [-1.08, -0.32, 0.1],
        [(x! - 1.08) / 2, -0.55, z!],
        [x!, y!, z!],
      ]),
      ramp(0.035, 0.025, 0.02),
      { round: 8, steps: [16, 8] },
    ),
    bead(x!, y!, z!, 0.035, { tone: 0.8 }),
  ]),
];
