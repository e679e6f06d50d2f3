/** What stands and hangs in a nursery, and who is dreamt of there. */
import {
  ball,
  bead,
  blade,
  corners,
  type Mark,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  type Surface,
  through,
  tube,
  wire,
} from './surface';

const TURN = 2 * Math.PI;

/** A star of five points, folded along each. */
const star = (size: number): Surface[] =>
  Array.from({ length: 5 }, (_, i) =>
    moved(
      [
        blade(
          { long: size, wide: 0.72 * size, shape: (t) => 1 - t, fold: -0.3 },
          { marks: [{ at: (t) => [t, 0.5], weight: 0.6 }] },
        ),
      ],
      { z: 72 * i },
    ),
  ).flat();

export const balloons = (): Surface[] => {
  const one = (x: number, y: number, size: number, tone: number, hang: number): Surface[] => [
    ...moved(
      [
        revolved(
          profileOf([0, -0.62], [0.36, -0.48], [0.5, -0.1], [0.34, 0.34], [0.06, 0.62], [0.05, 0.64]),
          {
            tone: (u, v) => tone + (v > 0.2 && v < 0.34 && Math.abs(u - 0.93) < 0.03 ? -0.8 : 0),
            steps: [64, 48],
          },
        ),
        revolved(profileOf([0.04, 0.63], [0.1, 0.72]), { tone: 0.4, edges: ['v1'], steps: [32, 6] }),
      ],
      { size, by: [x, y, 0], z: -14 * x },
    ),
    wire(
      through([
        [x * 1.16, y + 0.72 * size, 0],
        [x * 0.7 + 0.06, y + 1.1, 0],
        [x * 0.3, 1.1, 0],
        [0, hang, 0],
      ]),
      0.7,
    ),
  ];
  return [
    ...one(-0.62, -0.52, 0.92, 0.04, 1.7),
    ...moved(one(0.6, -0.62, 0.9, 0.42, 1.7), { by: [0, 0, -0.2] }),
    ...moved(one(0.02, -1.0, 1.0, 0.18, 1.7), { by: [0, 0, -0.5] }),
    ...moved(one(0.04, -0.1, 0.8, 0.08, 1.7), { by: [0, 0, 0.5] }),
    ...[-1, 1].map((s) => ball([s * 0.13, 1.66, 0.1], [0.13, 0.08, 0.05], { tone: 0.3, along: 'v' })),
    wire(
      through([
        [0, 1.7, 0],
        [-0.1, 1.9, 0],
        [-0.02, 2.1, 0],
      ]),
      0.8,
    ),
  ];
};

export const bottle = (): Surface[] =>
  moved(
    [
      revolved(profileOf([0.03, -1.34], [0.1, -1.26], [0.1, -1.08], [0.26, -0.92], [0.36, -0.86]), {
        tone: 0.24,
      }),
      revolved((t) => [0.4 + 0.014 * Math.cos(60 * t), -0.86 + 0.26 * t], {
        tone: 0.1,
        along: 'v',
        edges: ['v0', 'v1'],
        steps: [96, 16],
        marks: Array.from({ length: 36 }, (_, i): Mark => ({ at: (t) => [i / 36, t], weight: 0.5 })),
      }),
      revolved(profileOf([0.38, -0.6], [0.46, -0.4], [0.42, 0.2], [0.46, 0.84], [0.4, 0.94]), {
        tone: (_, v) => (v > 0.3 ? 0.12 : -0.1),
        edges: ['v1'],
        steps: [72, 48],
        marks: Array.from({ length: 9 }, (_, i): Mark => ({
          at: (t) => [0.06 + (i % 2 ? 0.05 : 0.09) * t, 0.36 + 0.06 * i],
          weight: 1,
        })),
      }),
    ],
    { x: -10, z: 16 },
  );

export const bootee = (): Surface[] => {
  // Knitted: rows and ribs.
  const knit: Mark[] = [
    ...Array.from({ length: 12 }, (_, i): Mark => ({ at: (t) => [t, 0.08 + 0.075 * i], weight: 0.6 })),
  ];
  const one = (): Surface[] => [
    ball([-0.34, 0.42, 0], [0.66, 0.36, 0.38], { marks: knit, tone: 0.02, steps: [60, 30] }),
    tube((t) => [0.14, 0.3 - 0.75 * t, 0], ramp(0.42, 0.36, 0.35, 0.38), {
      round: 24,
      edges: ['u1'],
      tone: 0.06,
      marks: Array.from({ length: 22 }, (_, i): Mark => ({
        at: (t) => [0.3 + 0.7 * t, i / 22],
        weight: 0.7,
      })),
    }),
    ring([0.14, -0.46, 0], 0.37, 0.07, 90, { tone: 0.12 }),
    revolvedAt(0.14, -0.45, 0.34),
    ...[-1, 1].map((s) =>
      ball([-0.14 + 0.16 * s, -0.06 + 0.04 * s, 0.42], [0.17, 0.1, 0.05], { tone: 0.5, along: 'v' }),
    ),
    bead(-0.14, -0.06, 0.46, 0.06, { tone: 0.6 }),
  ];
  return [
    ...moved(one(), { y: 18, x: -16, by: [-0.3, 0.26, 0.5] }),
    ...moved(one(), { y: -20, x: -16, by: [0.52, -0.22, -0.3] }),
  ];
};
const revolvedAt = (x: number, y: number, r: number): Surface =>
  moved([revolved((t) => [r * t, 0], { tone: 0.8, steps: [40, 6] })], { by: [x, y, 0] })[0]!;

export const mobile = (): Surface[] => {
  const hung = (x: number, y: number, of: Surface[]): Surface[] => [
    wire((t) => [x, -0.72 + 0.1 * Math.abs(x) + (y + 0.55 - 0.1 * Math.abs(x)) * t, 0], 0.7),
    ...moved(of, { by: [x, y, 0.1] }),
  ];
  return [
    ring([0, -1.3, 0], 0.12, 0.03),
    wire((t) => [0, -1.2 + 0.3 * t, 0], 0.9),
    ...[-26, 26]
      .map((y) =>
        moved(
          [
            tube(
              through([
                [-1.3, 0.2, 0],
                [-0.6, -0.12, 0],
                [0, -0.18, 0],
                [0.6, -0.12, 0],
                [1.3, 0.2, 0],
              ]),
              0.05,
              { round: 12, steps: [60, 12], tone: 0.16 },
            ),
          ],
          { y, by: [0, -0.72, 0] },
        ),
      )
      .flat(),
    bead(0, -0.9, 0.1, 0.1, { tone: 0.3 }),
    ...hung(-1.12, 0.1, star(0.34)),
    ...hung(1.12, 0.16, star(0.32)),
    // A moon in profile: a ball with a bite taken.
    ...hung(-0.42, 0.56, [
      tube(
        (t) => {
          const a = 0.7 + (TURN - 1.4) * t;
          return [0.3 * Math.cos(a), 0.3 * Math.sin(a), 0];
        },
        ramp(0.01, 0.12, 0.16, 0.12, 0.01),
        { round: 16, steps: [60, 16], tone: 0.02 },
      ),
    ]),
    ...hung(0.42, 0.7, [
      ball([-0.12, 0, 0], [0.2, 0.17, 0.12], { tone: -0.05, steps: [28, 18] }),
      ball([0.16, 0.02, 0], [0.19, 0.15, 0.12], { tone: -0.05, steps: [28, 18] }),
      ball([0.0, -0.1, 0.04], [0.2, 0.17, 0.12], { tone: -0.05, steps: [28, 18] }),
      ball([0.02, 0.08, 0.08], [0.3, 0.13, 0.1], { tone: -0.05, steps: [28, 18] }),
    ]),
  ];
};

export const pram = (): Surface[] => {
  const wheel = (x: number, r: number): Surface[] => [
    ring([x, 1.02, 0.5], r, 0.045, 0, { steps: [80, 12], tone: 0.4 }),
    ...Array.from({ length: 12 }, (_, i) => {
      const a = (TURN * i) / 12;
      return wire((t) => [x + r * t * Math.cos(a), 1.02 + r * t * Math.sin(a), 0.5], 0.5);
    }),
    bead(x, 1.02, 0.54, 0.07, { tone: 0.3 }),
  ];
  // Body and hood are halves of one ball, the hood in folds.
  const part = (from: number, to: number, folds: number, tone: number): Surface => ({
    at: (u, v) => {
      const a = from + (to - from) * u;
      const b = Math.PI * v;
      const r = 1.05 * (1 - (folds ? 0.045 * Math.abs(Math.sin(folds * Math.PI * u)) : 0));
      return [
        -r * Math.cos(a) * Math.sin(b),
        -0.02 - 0.86 * r * Math.sin(a) * Math.sin(b),
        -0.66 * Math.cos(b),
      ];
    },
    steps: [64, 28],
    along: 'v',
    edges: ['u0', 'u1'],
    tone,
    marks: folds
      ? Array.from({ length: folds - 1 }, (_, i): Mark => ({ at: (t) => [(i + 1) / folds, t], weight: 1 }))
      : [],
  });
  return [
    part(0, -Math.PI, 0, 0.12),
    part(Math.PI, 1.62, 5, 0.3),
    ...[-1, 1].map((s) =>
      tube(
        through([
          [0.95, -0.12, 0.5 * s],
          [1.36, -0.5, 0.5 * s],
          [1.7, -0.66, 0.5 * s],
        ]),
        0.045,
        { round: 10, tone: 0.2 },
      ),
    ),
    tube((t) => [1.7, -0.66, -0.52 + 1.04 * t], 0.07, { round: 12, tone: 0.4 }),
    tube(
      through([
        [-0.62, 1.02, 0.46],
        [-0.4, 0.78, 0.46],
        [0.4, 0.78, 0.46],
        [0.62, 1.02, 0.46],
      ]),
      0.045,
      { round: 10, tone: 0.2 },
    ),
    ...wheel(-0.64, 0.4),
    ...wheel(0.64, 0.4),
    // Lace along the rim.
    ...Array.from({ length: 17 }, (_, i) =>
      ball(
        [-1.0 + 0.125 * i, 0.05, 0.66 * Math.sqrt(Math.max(0.02, 1 - ((-1 + 0.125 * i) / 1.06) ** 2))],
        0.08,
        {
          steps: [16, 10],
          tone: -0.1,
        },
      ),
    ),
    tube(corners([1.04, 0, 0.02], [-1.04, 0, 0.02]), 0.03, { round: 8, tone: 0.1 }),
  ];
};

export const airship = (): Surface[] => {
  const gores = 12;
  return [
    revolved(profileOf([0, -1.3], [0.62, -1.12], [0.98, -0.52], [0.8, 0.1], [0.36, 0.6], [0.26, 0.66]), {
      tone: (u) => (Math.floor(u * gores) % 2 ? 0.42 : 0.0),
      along: 'u',
      steps: [96, 60],
      edges: ['v1'],
      marks: Array.from({ length: gores }, (_, i): Mark => ({ at: (t) => [i / gores, t], weight: 0.8 })),
    }),
    ...[-0.24, -0.09, 0.09, 0.24].map((x) => wire((t) => [x * (1 - 0.2 * t), 0.66 + 0.4 * t, 0.1], 0.7)),
    ...moved(
      [
        revolved(profileOf([0.24, -0.18], [0.24, 0.05], [0.19, 0.22]), {
          tone: 0.2,
          edges: ['v0', 'v1'],
          marks: [0.3, 0.6].map((v): Mark => ({ at: (t) => [t, v], weight: 0.8 })),
        }),
        ring([0, -0.18, 0], 0.24, 0.04, 90),
      ],
      { x: -14, by: [0, 1.22, 0] },
    ),
    ...[
      [-1.35, 0.35, 0.28],
      [1.3, -0.5, 0.24],
    ].flatMap(([x, y, r]) =>
      [-1, 0, 1].map((k) =>
        ball([x! + k * 0.7 * r!, y! - (k ? 0 : 0.4 * r!), -0.6 + 0.05 * k], [r!, 0.7 * r!, 0.5 * r!], {
          tone: -0.1,
          steps: [30, 18],
        }),
      ),
    ),
  ];
};

export const sleepy = (): Surface[] => [
  // A crescent with a nightcap and a star on its tassel.
  tube(
    (t) => {
      const a = 0.95 + (TURN - 1.9) * t;
      return [0.78 * Math.cos(a), 0.78 * Math.sin(a), 0];
    },
    ramp(0.02, 0.26, 0.36, 0.26, 0.02),
    { round: 24, steps: [90, 24], tone: 0.02 },
  ),
  wire((t) => [-0.72 + 0.16 * t, -0.12 + 0.05 * Math.sin(Math.PI * t), 0.5], 1.2),
  wire((t) => [-0.62 + 0.2 * t, 0.24 + 0.06 * Math.sin(Math.PI * t), 0.5], 1.2),
  tube(
    through([
      [-0.2, -0.78, 0.1],
      [-0.05, -1.14, 0.1],
      [0.42, -1.2, 0.1],
      [0.72, -0.84, 0.1],
    ]),
    ramp(0.3, 0.22, 0.12, 0.04),
    { round: 20, tone: 0.3, marks: [0.3, 0.5, 0.7].map((u): Mark => ({ at: (t) => [u, t], weight: 0.9 })) },
  ),
  bead(0.76, -0.76, 0.15, 0.12, { tone: 0.05 }),
  ...[
    [0.3, 0.1, 0.16],
    [0.72, 0.42, 0.11],
    [0.36, 0.62, 0.08],
  ].flatMap(([x, y, r]) => moved(star(r!), { by: [x!, y!, 0] })),
];
