/** What one meets on any day, out of doors; and who sleeps through it. */
import {
  add,
  ball,
  bead,
  between,
  blade,
  corners,
  flat,
  type Mark,
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

const TURN = 2 * Math.PI;

export const umbrella = (): Surface[] => {
  const ribs = 8;
  // Cloth hung between the ribs, drawn in at its rim.
  const gore = (i: number): Surface => ({
    at: (u, v) => {
      const a = (TURN * (i + v)) / ribs;
      const sag = 0.12 * Math.sin(Math.PI * v) * u * u;
      const r = 1.3 * Math.sin(1.42 * u) * (1 - 0.1 * Math.sin(Math.PI * v) * u);
      return [
        r * Math.sin(a),
        -0.86 * Math.cos(1.42 * u) + sag - 0.1 * Math.sin(Math.PI * v) * u * u,
        r * Math.cos(a),
      ];
    },
    steps: [24, 12],
    along: 'v',
    edges: ['v0', 'v1', 'u1'],
    tone: 0.1 + 0.16 * (i % 2),
  });
  return moved(
    [
      ...Array.from({ length: ribs }, (_, i) => gore(i)),
      tube((t) => [0, -1.12 + 0.3 * t, 0], ramp(0.012, 0.05, 0.05), {
        round: 10,
        steps: [12, 10],
        tone: 0.3,
      }),
      tube((t) => [0, -0.4 + 1.7 * t, 0], 0.035, { round: 10, steps: [40, 10], tone: 0.1 }),
      tube(
        through([
          [0, 1.2, 0],
          [0, 1.5, 0],
          [0.14, 1.68, 0],
          [0.32, 1.6, 0],
          [0.34, 1.42, 0],
        ]),
        ramp(0.06, 0.07, 0.07, 0.065),
        { round: 14, steps: [40, 14], tone: 0.3 },
      ),
    ],
    { x: 14, z: 20 },
  );
};

export const bicycle = (): Surface[] => {
  const wheel = (x: number): Surface[] => [
    ring([x, 0.5, 0], 0.72, 0.05, 0, { steps: [110, 12], tone: 0.45 }),
    ring([x, 0.5, 0], 0.64, 0.014, 0, { steps: [90, 6] }),
    ...Array.from({ length: 16 }, (_, i) => {
      const a = (TURN * i) / 16;
      return wire(
        (t) => [
          x + 0.06 * Math.cos(a + 1.4) + 0.6 * t * Math.cos(a),
          0.5 + 0.06 * Math.sin(a + 1.4) + 0.6 * t * Math.sin(a),
          0,
        ],
        0.32,
      );
    }),
    bead(x, 0.5, 0.05, 0.08, { tone: 0.3 }),
  ];
  const bar = (points: readonly V3[], thick = 0.05, tone = 0.14): Surface =>
    tube(points.length === 2 ? corners(...points) : through(points), thick, {
      round: 12,
      steps: [40, 12],
      tone,
    });
  return [
    ...wheel(-1.05),
    ...wheel(1.05),
    bar([
      [-1.05, 0.5, 0.1],
      [-0.45, -0.32, 0.1],
    ]),
    bar([
      [-1.05, 0.5, 0.1],
      [-0.22, 0.52, 0.1],
    ]),
    bar([
      [-0.52, -0.52, 0.1],
      [-0.22, 0.52, 0.1],
    ]),
    bar([
      [-0.45, -0.3, 0.1],
      [0.62, -0.36, 0.1],
    ]),
    bar([
      [-0.22, 0.52, 0.1],
      [0.66, -0.24, 0.1],
    ]),
    bar([
      [0.54, -0.66, 0.1],
      [0.7, -0.1, 0.1],
      [0.86, 0.28, 0.1],
      [1.05, 0.5, 0.1],
    ]),
    bar(
      [
        [0.54, -0.64, 0.1],
        [0.62, -0.84, 0.12],
        [0.34, -0.92, 0.2],
        [0.16, -0.8, 0.24],
      ],
      0.035,
    ),
    tube((t) => [0.1 + 0.16 * t, -0.77 - 0.07 * t, 0.26], 0.055, { round: 10, steps: [8, 10], tone: 0.7 }),
    // Its saddle: broad behind, narrow before.
    tube(
      through([
        [-0.86, -0.66, 0.1],
        [-0.62, -0.62, 0.12],
        [-0.36, -0.66, 0.12],
        [-0.22, -0.62, 0.1],
      ]),
      ramp(0.05, 0.11, 0.075, 0.03),
      { round: 14, steps: [30, 14], tone: 0.6 },
    ),
    ring([-0.22, 0.52, 0.14], 0.19, 0.03, 0, { steps: [48, 10], tone: 0.3 }),
    bar(
      [
        [-0.22, 0.52, 0.2],
        [-0.06, 0.82, 0.2],
      ],
      0.032,
    ),
    tube((t) => [-0.16 + 0.22 * t, 0.83, 0.24], 0.04, { round: 8, steps: [8, 8], tone: 0.6 }),
    // A basket with flowers, for the way home.
    ...moved(
      [
        revolved(profileOf([0.34, -0.24], [0.32, 0.0], [0.25, 0.24]), {
          tone: 0.1,
          edges: ['v0', 'v1'],
          marks: [
            ...[0.25, 0.5, 0.75].map((v): Mark => ({ at: (t) => [t, v], weight: 0.8 })),
            ...Array.from({ length: 20 }, (_, i): Mark => ({ at: (t) => [i / 20, t], weight: 0.5 })),
          ],
        }),
        ...[-0.2, -0.02, 0.18].flatMap((x, i) => [
          ball([x, -0.36 - 0.06 * (i % 2), 0.05], 0.13, { steps: [20, 12], tone: 0.1 }),
          ball([x + 0.05, -0.33, 0.12], 0.08, { steps: [16, 10], tone: 0.4 }),
        ]),
      ],
      { x: -12, by: [1.02, -0.56, 0.3] },
    ),
  ];
};

export const basket = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([1.0, -0.2], [0.94, 0.2], [0.72, 0.72], [0.66, 0.76]), {
        tone: (u, v) => 0.06 + 0.3 * Number((Math.floor(u * 36) + Math.floor(v * 8)) % 2),
        edges: ['v0', 'v1'],
        steps: [144, 48],
        marks: [
          ...Array.from({ length: 8 }, (_, i): Mark => ({ at: (t) => [t, i / 8], weight: 0.6 })),
          ...Array.from({ length: 36 }, (_, i): Mark => ({ at: (t) => [i / 36, t], weight: 0.5 })),
        ],
      }),
      ring([0, -0.2, 0], 1.0, 0.075, 90, { steps: [110, 12], tone: 0.14 }),
      revolved((t) => [0.96 * t, -0.1], { tone: 0.75, steps: [64, 8] }),
      tube(
        through([
          [-0.98, -0.2, 0],
          [-0.86, -1.0, 0],
          [0, -1.4, 0],
          [0.86, -1.0, 0],
          [0.98, -0.2, 0],
        ]),
        0.07,
        { round: 12, steps: [90, 12], tone: 0.14 },
      ),
    ],
    { x: -20 },
  ),
  // A long loaf, a leek and apples.
  ...moved(
    [
      tube((t) => [0, -1.0 + 1.3 * t, 0], ramp(0.02, 0.2, 0.22, 0.2), {
        round: 20,
        steps: [40, 20],
        tone: 0.04,
        marks: [0.25, 0.42, 0.59].map((u) => ({
          at: (t) => [u + 0.1 * t, 0.16 + 0.2 * t] as const,
          weight: 1.1,
        })),
      }),
    ],
    { z: 26, by: [0.22, -0.2, 0.1] },
  ),
  ...[-0.62, -0.46, -0.32, -0.2].flatMap((x, i) =>
    moved(
      [blade({ long: 0.95 - 0.1 * i, wide: 0.24, veins: 2, bend: 0.2 }, { tone: (u) => 0.15 + 0.25 * u })],
      { z: -32 + 16 * i, by: [x + 0.2, -0.2, 0.15 + 0.03 * i] },
    ),
  ),
  ...[
    [0.52, -0.26, 0.5],
    [0.24, -0.22, 0.66],
  ].flatMap(([x, y, z]) => [
    ball([x!, y!, z!], [0.24, 0.22, 0.22], { steps: [32, 20], tone: 0.08 }),
    tube((t) => [x! + 0.03 * t, y! - 0.2 - 0.12 * t, z!], 0.018, { round: 6, steps: [8, 6], tone: 0.7 }),
  ]),
];

export const paperPlane = (): Surface[] => [
  ...moved(
    [
      flat(
        [
          [1.5, -0.7, 0],
          [-1.4, -0.28, 0.3],
          [-0.55, 0.22, 0.1],
        ],
        { tone: 0.0, along: 'u' },
      ),
      flat(
        [
          [1.5, -0.7, 0],
          [-0.55, 0.22, 0.1],
          [-0.32, 0.74, -0.2],
        ],
        { tone: 0.7, along: 'u' },
      ),
      flat(
        [
          [1.5, -0.7, -0.05],
          [-0.1, 0.34, -0.1],
          [0.66, 0.82, 0.2],
        ],
        { tone: 0.16, along: 'u' },
      ),
    ],
    {},
  ),
  wire(
    through([
      [-0.5, 0.7, 0],
      [-0.9, 1.0, 0],
      [-1.3, 0.86, 0],
      [-1.2, 0.6, 0],
      [-1.5, 0.9, 0],
      [-2.0, 1.0, 0],
    ]),
    0.9,
  ),
];

const puff = (list: readonly (readonly [number, number, number])[]): Surface[] =>
  list.map(([x, y, r], i) =>
    ball([x, y, 0.04 * i], [r, r * 0.92, r * 0.8], { steps: [40, 24], tone: -0.08, along: 'u', dense: 0.9 }),
  );

export const rain = (): Surface[] => [
  ...puff([
    [-0.78, -0.16, 0.36],
    [0.78, -0.12, 0.38],
    [-0.3, -0.5, 0.48],
    [0.34, -0.46, 0.44],
    [0.02, -0.08, 0.5],
    [-0.4, 0.02, 0.36],
    [0.42, 0.04, 0.36],
  ]),
  ...Array.from({ length: 13 }, (_, i) => {
    const x = -0.92 + 0.155 * i;
    const y = 0.56 + 0.22 * ((i * 5) % 3);
    return moved(
      [
        revolved(profileOf([0.004, -0.16], [0.035, -0.02], [0.055, 0.06], [0.03, 0.11], [0, 0.12]), {
          steps: [16, 12],
          tone: 0.1,
        }),
      ],
      { z: 14, by: [x - 0.1, y, 0] },
    );
  }).flat(),
];

export const washing = (): Surface[] => {
  const line = through([
    [-1.7, -0.72, 0],
    [-0.6, -0.52, 0],
    [0.6, -0.5, 0],
    [1.7, -0.74, 0],
  ]);
  const at = (x: number): V3 => line((x + 1.7) / 3.4);
  const cloth = (
    left: number,
    right: number,
    down: number,
    folds: number,
    tone: number,
    stripes = 0,
  ): Surface => ({
    at: (u, v) => {
      const top = at(left + (right - left) * v);
      const sway = 0.08 * u * Math.sin(TURN * folds * v + 0.6);
      return add(top, [0.12 * u * u + 0.03 * sway, down * u, 0.1 + sway]);
    },
    steps: [30, 40],
    along: 'u',
    edges: ['u0', 'u1', 'v0', 'v1'],
    tone: (u) => tone + (stripes && Math.floor(u * stripes) % 2 ? 0.4 : 0),
  });
  const peg = (x: number): Surface =>
    tube((t) => add(at(x), [0, -0.16 + 0.34 * t, 0.24]), ramp(0.03, 0.045, 0.035), {
      round: 8,
      steps: [14, 8],
      tone: 0.15,
    });
  return [
    tube(line, 0.016, { round: 6, steps: [80, 6], tone: 0.4 }),
    cloth(-1.45, -0.6, 1.05, 2, 0.16, 9),
    // A shirt: its body, two sleeves.
    cloth(-0.32, 0.36, 1.15, 1.5, 0.2),
    ...[-1, 1].map((s) =>
      between(
        corners(at(0.02 + s * 0.34), add(at(0.02 + s * 0.34), [s * 0.34, 0.62, 0.05])),
        corners(
          add(at(0.02 + s * 0.34), [-s * 0.02, 0.36, 0.1]),
          add(at(0.02 + s * 0.34), [s * 0.12, 0.74, 0.1]),
        ),
        { tone: 0.14, bulge: 0.08 },
      ),
    ),
    cloth(0.66, 0.96, 0.74, 1, 0.5),
    cloth(1.06, 1.36, 0.7, 1, 0.5),
    ...[-1.36, -0.7, -0.24, 0.28, 0.74, 0.9, 1.14, 1.3].map(peg),
  ];
};

export const cat = (): Surface[] => {
  // Fur: short strokes that follow the body.
  const fur = (count: number): Mark[] =>
    Array.from({ length: count }, (_, i): Mark => {
      const [u, v] = [(i * 0.618034) % 1, 0.12 + 0.76 * ((i * 0.754878) % 1)];
      return { at: (t) => [u + 0.028 * t, v + 0.035 * t], weight: 0.55 };
    });
  return [
    ...moved([ball([0, 0, 0], [1.15, 0.66, 0.6], { marks: fur(150), tone: 0.06, steps: [72, 40] })], {
      z: -4,
      by: [0.1, 0.2, -0.2],
    }),
    ball([0.78, 0.34, 0.1], [0.52, 0.46, 0.5], { marks: fur(60), tone: 0.08 }),
    // The head on the paws, towards whoever looks.
    ball([-0.74, 0.34, 0.4], [0.44, 0.38, 0.36], { marks: fur(50), tone: 0.02, steps: [56, 36] }),
    ...[-1, 1].flatMap((s) => [
      ...moved(
        [blade({ long: 0.34, wide: 0.32, shape: (t) => 1 - t, fold: -0.3 }, { tone: 0.18, marks: [] })],
        { z: s * 24, by: [-0.74 + s * 0.25, 0.1, 0.52] },
      ),
      wire((t) => [-0.74 + s * (0.08 + 0.2 * t), 0.34 + 0.05 * Math.sin(Math.PI * t), 0.8], 1.5),
      ...[0, 1, 2].map((k) =>
        wire((t) => [-0.74 + s * (0.14 + 0.55 * t), 0.5 + (0.05 * k - 0.05) * (1 + 2 * t), 0.8], 0.4),
      ),
    ]),
    flat(
      [
        [-0.79, 0.44, 0.79],
        [-0.69, 0.44, 0.79],
        [-0.74, 0.5, 0.8],
      ],
      { tone: 0.9 },
    ),
    wire((t) => [-0.74, 0.5 + 0.06 * t, 0.8], 0.9),
    tube(
      through([
        [1.1, 0.5, 0.2],
        [1.0, 0.86, 0.5],
        [0.3, 0.9, 0.66],
        [-0.36, 0.84, 0.66],
      ]),
      ramp(0.2, 0.19, 0.16, 0.09),
      { round: 18, steps: [70, 18], tone: 0.12, marks: fur(50) },
    ),
    ball([-0.36, 0.72, 0.5], [0.32, 0.14, 0.2], { tone: 0.06, marks: fur(20) }),
    // Its cushion.
    ball([0.1, 0.92, -0.4], [1.5, 0.26, 0.7], { tone: 0.3, along: 'u', steps: [80, 20] }),
  ];
};
