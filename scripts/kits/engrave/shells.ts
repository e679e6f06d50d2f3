/** Shells by Raup’s coiling, and what lives among them. */
import { random } from '@/core/random';
import {
  ball,
  bead,
  blade,
  corners,
  flat,
  moved,
  ramp,
  type Surface,
  through,
  tube,
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

export const scallop = (): Surface[] => [
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

export const starfish = (): Surface[] => {
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

export const urchin = (): Surface[] => {
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

export const fish = (): Surface[] => {
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

export const crab = (): Surface[] => {
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
