/** What grows in a garden, and who lives there. */
import { random } from '@/core/random';
import { shell } from './sea';
import {
  ball,
  bead,
  blade,
  corners,
  cupPetal,
  flat,
  LEAF,
  leafAt,
  motif,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  stem,
  through,
  tube,
  whorl,
  wire,
  type Motif,
  type Surface,
  type V3,
} from './surface';

/** The golden angle, degrees: what grows one after the other has most light so (Vogel 1979). */
const GOLDEN = 137.50776;
const ROUND = (t: number): number =>
  Math.min(1, 2.2 * t) ** 0.7 * Math.sqrt(Math.max(0, 1 - ((t - 0.45) / 0.56) ** 4));
const POINTED = (t: number): number => Math.sin(Math.PI * t ** 0.8) ** 0.7;

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
const rose = (n = 24): Surface[] =>
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

const roseStem = (): Surface[] => [
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

const poppy = (): Surface[] => [
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
const PETAL: Partial<Surface> = {
  tone: (u, v) => 0.6 * (1 - u) ** 3 + 0.05 * Math.sin(44 * v) + 0.06,
  edges: ['u1', 'v0', 'v1'],
  along: 'u',
  steps: [34, 34],
  dense: 1.15,
};

const disc = (radius: number, count: number, high: number, z: number, tone = 0.2): Surface[] =>
  Array.from({ length: count }, (_, i) => {
    const [a, r] = [(GOLDEN * i * Math.PI) / 180, radius * Math.sqrt((i + 0.5) / count)];
    return bead(
      r * Math.cos(a),
      r * Math.sin(a),
      z + high * (1 - (r / radius) ** 2),
      (0.92 * radius) / Math.sqrt(count),
      { steps: [9, 7], tone: tone + 0.3 * (1 - r / radius) },
    );
  });

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

const daisies = (): Surface[] => [
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

const sunflower = (): Surface[] => [
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

const dahlia = (): Surface[] =>
  Array.from({ length: 96 }, (_, i) => {
    const k = i / 96;
    return moved(
      moved(
        [
          blade(
            {
              long: 0.16 + 0.44 * k,
              wide: 0.1 + 0.26 * k,
              shape: POINTED,
              bend: 0.1 - 0.16 * k,
              fold: 0.75 - 0.35 * k,
              slant: 0.1,
            },
            { along: 'u', tone: (u) => 0.55 * (1 - u) ** 1.4, steps: [18, 12], edges: ['v0', 'v1'] },
          ),
        ],
        { x: -82 + 78 * k ** 0.75, by: [0, -0.02 - 0.62 * k ** 1.1, 0] },
      ),
      { z: GOLDEN * i, by: [0, 0, 0.34 - 0.62 * k] },
    );
  })
    .flat()
    .concat(
      ...[-40, 40, 175].map((z) =>
        leafAt(0.9 * Math.sin((z * Math.PI) / 180), -0.9 * Math.cos((z * Math.PI) / 180), z, 0.8, 0.5, {
          by: -0.7,
        }),
      ),
    );

const tulip = (): Surface[] => {
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

const fern = (): Surface[] => {
  const rachis = through([
    [0.35, 1.6, 0],
    [0.1, 0.5, 0.1],
    [-0.05, -0.5, 0.12],
    [0.12, -1.3, 0.05],
    [0.42, -1.6, 0],
  ]);
  return [
    tube(rachis, ramp(0.035, 0.025, 0.012, 0.004), { round: 8 }),
    ...Array.from({ length: 23 }, (_, i) => {
      const t = 0.12 + (0.86 * i) / 22;
      const [p, q] = [rachis(t), rachis(Math.min(1, t + 0.01))];
      const way = (Math.atan2(q[0] - p[0], -(q[1] - p[1])) * 180) / Math.PI;
      const long = 0.92 * Math.sin(Math.PI * (0.14 + 0.84 * t) ** 0.8) ** 0.9 + 0.04;
      return [-1, 1].flatMap((side) =>
        moved(
          [
            blade(
              {
                long,
                wide: 0.13 + 0.1 * long,
                shape: (s) =>
                  (1 - s) ** 0.45 * (0.55 + 0.5 * Math.abs(Math.sin(3 * Math.PI * long * 3.2 * s))),
                bend: -0.08,
                fold: -0.15,
                sway: side * 0.12,
                slant: 0.12,
              },
              {
                steps: [44, 10],
                tone: side > 0 ? 0.35 : 0.12,
                marks: [{ at: (s) => [s * 0.98, 0.5], weight: 0.6 }],
              },
            ),
          ],
          { z: way + side * (74 - 22 * t), by: [p[0], p[1], p[2] - 0.02] },
        ),
      );
    }).flat(),
  ];
};

const umbel = (): Surface[] => {
  const node: V3 = [0, -0.1, 0];
  const next = random(31);
  const spray = (x: number, y: number, z: number, size: number): Surface[] =>
    Array.from({ length: 7 }, (_, i) => {
      const [a, r] = [(GOLDEN * i * Math.PI) / 180, size * Math.sqrt(i / 7)];
      const [bx, by] = [x + r * Math.cos(a), y + 0.55 * r * Math.sin(a) - 0.09];
      return [
        wire((t) => [x + (bx - x) * t, y + (by - y) * t, z], 0.4),
        ...moved(
          whorl(
            5,
            () =>
              blade(
                { long: 0.062, wide: 0.055, shape: ROUND },
                { bare: true, steps: [8, 6], edges: ['u1', 'v0', 'v1'], contour: 0.7, marks: [] },
              ),
            { turn: next() * 72 },
          ),
          { by: [bx, by, z + 0.03], x: -30 },
        ),
        bead(bx, by, z + 0.05, 0.016, { tone: 0.7, steps: [6, 5] }),
      ];
    }).flat();
  const head = (at: V3, size: number): Surface[] =>
    Array.from({ length: 13 }, (_, i) => {
      const [a, r] = [(GOLDEN * i * Math.PI) / 180, Math.sqrt((i + 0.5) / 13)];
      const [x, y] = [
        at[0] + size * r * Math.cos(a),
        at[1] - size * (0.66 - 0.3 * r * r) + 0.16 * size * r * Math.sin(a),
      ];
      return [
        wire(
          through([
            at,
            [(at[0] + x) / 2 + 0.04 * (x - at[0]), (2 * at[1] + y) / 3, 0],
            [x, y, 0.1 * Math.sin(a)],
          ]),
          0.6,
        ),
        ...spray(x, y, 0.1 * Math.sin(a) + 0.1, 0.17 * size),
      ];
    }).flat();
  return [
    ...head(node, 1),
    ...head([0.95, 0.5, -0.1], 0.5),
    stem([node, [0.02, 0.8, -0.05], [-0.04, 1.9, -0.05]], 0.024, 0.042),
    stem(
      [
        [0.95, 0.5, -0.1],
        [0.5, 0.8, -0.1],
        [0, 1.2, -0.1],
      ],
      0.018,
      0.028,
    ),
    ...[-70, -50, -30].flatMap((z, i) =>
      leafAt(-0.02 - 0.03 * i, 1.3 - 0.04 * i, z, 0.7 - 0.1 * i, 0.24, {
        shape: (t) => LEAF(t) * (0.5 + 0.65 * Math.abs(Math.sin(9 * t))),
      }),
    ),
  ];
};

const lavender = (): Surface[] =>
  [-0.42, 0, 0.4].flatMap((x, k) => {
    const line = through([
      [x * 0.3, 1.6, 0],
      [x * 0.6, 0.4, 0],
      [x * 1.5, -1.1 - 0.2 * (k % 2), 0],
    ]);
    return [
      tube(line, 0.02, { round: 8 }),
      ...Array.from({ length: 9 }, (_, i) => {
        const t = 0.62 + i * 0.046 + (i === 0 ? -0.07 : 0);
        const p = line(t);
        return [-60, -25, 10, 42, 74].flatMap((a, j) =>
          moved(
            [
              ball([0, -0.08, 0], [0.045, 0.1 - 0.004 * i, 0.045], {
                along: 'v',
                steps: [14, 12],
                tone: 0.2 + 0.1 * (j % 2),
                marks: [{ at: (s) => [0.02, s], weight: 0.4 }],
              }),
            ],
            { z: a * (1 - 0.06 * i) + x * 20, by: [p[0], p[1], 0.05 + 0.03 * (j % 3)] },
          ),
        );
      }).flat(),
      ...leafAt(x * 0.4, 1.2, x * 60 + 24, 0.8, 0.1, { veins: 0 }),
      ...leafAt(x * 0.4, 1.3, x * 60 - 28, 0.7, 0.1, { veins: 0 }),
    ];
  });

const wheat = (): Surface[] =>
  [-0.3, 0.05, 0.38].flatMap((x, k) => {
    const line = through([
      [x * 0.25, 1.8, 0],
      [x * 0.6, 0.5, 0],
      [x * 1.8, -1.1 + 0.25 * (k % 2), 0],
    ]);
    return [
      tube(line, 0.022, { round: 8 }),
      ...Array.from({ length: 10 }, (_, i) => {
        const t = 0.62 + 0.038 * i;
        const p = line(t);
        return [-1, 1].flatMap((side) => [
          ...moved(
            [
              ball([0, -0.13, 0], [0.066, 0.15, 0.06], {
                along: 'v',
                steps: [18, 14],
                tone: side > 0 ? 0.3 : 0.06,
                marks: [{ at: (s) => [0.02, s], weight: 0.6 }],
              }),
            ],
            { z: side * 26 + x * 30, by: [p[0] + side * 0.045, p[1], 0.08 - 0.004 * i] },
          ),
          wire((s) => [p[0] + side * (0.12 + 0.3 * s) + x * 0.35 * s, p[1] - 0.22 - 0.62 * s, 0], 0.4),
        ]);
      }).flat(),
    ];
  });

const mushrooms = (): Surface[] => {
  const one = (x: number, y: number, size: number, tilt: number, spots: number): Surface[] =>
    moved(
      [
        revolved(profileOf([0.02, -0.52], [0.3, -0.47], [0.56, -0.24], [0.66, 0], [0.6, 0.05]), {
          tone: 0.1,
          edges: ['v1'],
          along: 'v',
        }),
        revolved((t) => [0.6 - 0.46 * t, 0.05 - 0.08 * t], {
          tone: 0.55,
          along: 'v',
          steps: [96, 8],
          dense: 1.4,
        }),
        revolved(profileOf([0.13, -0.02], [0.14, 0.4], [0.17, 0.75], [0.24, 0.92]), {
          along: 'v',
          tone: 0.05,
        }),
        revolved((t) => [0.15 + 0.14 * t, 0.2 + 0.1 * t + 0.02], {
          tone: 0.3,
          edges: ['v1'],
          steps: [48, 6],
        }),
        ...Array.from({ length: spots }, (_, i) => {
          const [a, b] = [(GOLDEN * i * Math.PI) / 180, 0.35 + 0.85 * ((i + 1) / spots)];
          return ball(
            [0.6 * Math.sin(b) * Math.sin(a), -0.52 * Math.cos(b), 0.6 * Math.sin(b) * Math.cos(a)],
            [0.075, 0.05, 0.05],
            { steps: [12, 8], bare: true },
          );
        }),
      ],
      { x: 10, z: tilt, size, by: [x, y, 0] },
    );
  return [
    ...one(-0.2, -0.1, 1.15, -4, 17),
    ...one(0.62, 0.42, 0.68, 10, 11),
    ...one(-0.85, 0.52, 0.5, -12, 0),
    ...Array.from({ length: 26 }, (_, i) =>
      wire(
        through([
          [-1.2 + 0.094 * i, 1.02, 0.3],
          [-1.2 + 0.094 * i + 0.05 * Math.sin(i * 2.3), 0.86 - 0.08 * Math.sin(i * 1.7), 0.3],
          [-1.2 + 0.094 * i + 0.13 * Math.sin(i * 2.3), 0.72 - 0.12 * Math.sin(i * 1.7), 0.3],
        ]),
        0.6,
      ),
    ),
  ];
};

const fruit = (points: readonly (readonly [number, number])[], lean: number, tone = 0.06): Surface[] =>
  moved(
    [
      revolved(profileOf(...points), {
        along: 'v',
        tone: (u, v) => tone + 0.3 * Math.exp(-((v - 0.02) ** 2) / 0.004) + 0.02 * Math.sin(40 * u),
        steps: [72, 56],
      }),
    ],
    { x: -16, z: lean },
  );

const pear = (): Surface[] => [
  ...fruit(
    [
      [0, -0.86],
      [0.12, -0.95],
      [0.3, -0.84],
      [0.36, -0.5],
      [0.52, -0.1],
      [0.72, 0.4],
      [0.58, 0.85],
      [0.14, 0.98],
      [0, 0.93],
    ],
    8,
  ),
  stem(
    [
      [0.08, -0.78, 0.3],
      [0.1, -1.1, 0.2],
      [0.24, -1.34, 0.2],
    ],
    0.04,
    0.05,
  ),
  ...leafAt(0.12, -1.08, -64, 0.95, 0.5),
];
const apple = (): Surface[] => [
  ...fruit(
    [
      [0.0, -0.5],
      [0.12, -0.66],
      [0.42, -0.76],
      [0.78, -0.5],
      [0.86, -0.02],
      [0.7, 0.52],
      [0.36, 0.78],
      [0.12, 0.74],
      [0, 0.68],
    ],
    -6,
  ),
  stem(
    [
      [0.02, -0.48, 0.3],
      [0.0, -0.8, 0.4],
      [0.12, -1.02, 0.4],
    ],
    0.03,
    0.04,
  ),
  ...leafAt(0.04, -0.82, 62, 0.8, 0.42, { by: 0.4 }),
];
const strawberry = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.05, -0.52], [0.5, -0.5], [0.66, -0.2], [0.5, 0.36], [0.18, 0.78], [0, 0.84]), {
        tone: 0.16,
        along: 'u',
        marks: Array.from({ length: 110 }, (_, i) => {
          const [u, v] = [0.985 * ((0.618034 * i) % 1), 0.06 + 0.84 * Math.sqrt(i / 110)];
          return { at: (t: number) => [u + 0.012 * Math.sin(Math.PI * t), v + 0.03 * t] as const, weight: 1 };
        }),
      }),
    ],
    { x: -14, z: -8 },
  ),
  ...whorl(9, () => blade({ long: 0.5, wide: 0.2, shape: POINTED, bend: -0.2, veins: 3 }, { tone: 0.2 }), {
    turn: 82,
    of: 218,
    z: 0.4,
  }).map((one) => moved([one], { by: [-0.04, -0.54, 0] })[0]!),
  stem(
    [
      [-0.04, -0.56, 0.42],
      [-0.02, -0.9, 0.3],
      [0.24, -1.2, 0.2],
    ],
    0.035,
  ),
];
const pumpkin = (): Surface[] => [
  ...moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const b = Math.PI * (0.04 + 0.92 * v);
          const k = 1 - 0.13 * Math.abs(Math.cos(6 * a)) ** 3;
          return [
            1.02 * k * Math.sin(b) * Math.sin(a),
            -0.72 * k * Math.cos(b) * (1 - 0.22 * Math.exp(-v * v * 40)),
            1.02 * k * Math.sin(b) * Math.cos(a),
          ];
        },
        steps: [144, 32],
        along: 'v',
        tone: (u) => 0.5 * Math.abs(Math.cos(12 * Math.PI * (u + 0.0137))) ** 8,
      } satisfies Surface,
      tube(
        through([
          [0, -0.6, 0],
          [0.02, -0.82, 0],
          [0.2, -1.02, 0.1],
        ]),
        ramp(0.17, 0.1, 0.12),
        {
          round: 14,
          edges: ['u1'],
          marks: [0.1, 0.3, 0.5, 0.7, 0.9].map((v) => ({ at: (t) => [t, v] as const, weight: 0.6 })),
        },
      ),
    ],
    { x: -20 },
  ),
  ...moved(
    [
      blade({
        long: 0.8,
        wide: 0.9,
        veins: 4,
        bend: -0.15,
        shape: (t) => LEAF(t) * (0.8 + 0.25 * Math.abs(Math.sin(7 * t))),
      }),
    ],
    { z: -78, by: [-0.1, -0.72, 0.3] },
  ),
  wire(
    through([
      [0.1, -0.7, 0.6],
      [0.6, -0.95, 0.6],
      [0.8, -0.7, 0.6],
      [0.66, -0.62, 0.6],
      [0.74, -0.82, 0.6],
      [1.1, -0.86, 0.6],
    ]),
    0.8,
  ),
];

const wateringCan = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.56, -0.5], [0.58, 0], [0.6, 0.62]), { tone: 0.08, edges: ['v0', 'v1'] }),
      ...[-0.44, -0.3, 0.5].map((y) => ring([0, y, 0], 0.585, 0.022, 90, { steps: [64, 8] })),
      revolved((t) => [0.56 * (1 - t) + 0.1, -0.5 - 0.12 * t], { tone: 0.15, steps: [64, 8] }),
      tube(
        through([
          [0.5, 0.4, 0],
          [0.95, 0.1, 0],
          [1.25, -0.36, 0],
          [1.52, -0.72, 0],
        ]),
        ramp(0.15, 0.1, 0.07, 0.06),
        { round: 14 },
      ),
      ...moved(
        [
          revolved((t) => [0.06 + 0.2 * t, -0.24 * t], { along: 'v', tone: 0.1, edges: ['v1'] }),
          revolved((t) => [0.26 * (1 - t), -0.24 - 0.05 * t], { tone: 0.2, edges: ['v0'] }),
          ...Array.from({ length: 26 }, (_, i) => {
            const [a, r] = [(GOLDEN * i * Math.PI) / 180, 0.21 * Math.sqrt(i / 26)];
            return bead(r * Math.sin(a), -0.285, r * Math.cos(a), 0.016, { tone: 1, steps: [6, 5] });
          }),
        ],
        { z: 42, x: 18, by: [1.52, -0.7, 0] },
      ),
      tube(
        through([
          [-0.5, -0.42, 0],
          [-0.62, -1.0, 0],
          [0, -1.24, 0],
          [0.45, -0.92, 0],
          [0.5, -0.52, 0],
        ]),
        0.042,
        { round: 12 },
      ),
      tube(
        through([
          [-0.56, -0.3, 0],
          [-1.0, -0.2, 0],
          [-1.0, 0.3, 0],
          [-0.58, 0.46, 0],
        ]),
        0.042,
        { round: 12 },
      ),
    ],
    { x: -14, y: -12 },
  ),
];

const pot = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.56, -0.18], [0.5, 0.2], [0.42, 0.72]), { tone: 0.12, edges: ['v1'] }),
      revolved((t) => [0.64 - 0.02 * t, -0.42 + 0.24 * t], { tone: 0.05, edges: ['v0', 'v1'] }),
      revolved((t) => [0.6 * t, -0.36 - 0.06 * (1 - t)], { tone: 0.75, along: 'v', edges: ['v1'] }),
    ],
    { x: -18 },
  ),
  stem(
    [
      [0, -0.3, 0.3],
      [0.04, -0.8, 0.3],
      [-0.02, -1.5, 0.3],
    ],
    0.035,
    0.022,
  ),
  ...[
    [-62, -0.62, 0.75],
    [58, -0.78, 0.72],
    [-52, -1.02, 0.6],
    [48, -1.16, 0.54],
    [-24, -1.42, 0.42],
    [26, -1.48, 0.4],
  ].flatMap(([z, y, long]) => leafAt(0.02, y!, z!, long!, long! * 0.52, { by: 0.32, bend: 0.2 })),
];

const butterfly = (): Surface[] => {
  const wing = (from: number, to: number, R: (u: number) => number, y: number, tone: number): Surface => ({
    at: (u, v) => {
      const a = ((from + (to - from) * u) * Math.PI) / 180;
      const r = R(u) * v;
      return [0.05 + r * Math.sin(a), y - r * Math.cos(a), 0.25 * v * v + 0.02 * Math.sin(18 * u)];
    },
    steps: [48, 40],
    along: 'v',
    edges: ['u0', 'u1', 'v1'],
    tone: (u, v) =>
      tone +
      (v > 0.86 ? 0.7 : v > 0.8 ? 0 : 0.25 * (1 - v)) +
      (v > 0.9 && Math.abs(((u * 7) % 1) - 0.5) < 0.22 ? -0.9 : 0),
    marks: [0.13, 0.27, 0.41, 0.55, 0.69, 0.84].map((k) => ({
      at: (t: number) => [k, 0.16 + 0.84 * t] as const,
      weight: 0.8,
    })),
  });
  const half = [
    wing(
      12,
      96,
      (u) => 1.32 * (0.86 + 0.2 * Math.cos(5.2 * (u - 0.12))) * (1 + 0.02 * Math.cos(44 * u)),
      -0.16,
      0.08,
    ),
    wing(
      92,
      168,
      (u) => 0.98 * (0.82 + 0.2 * Math.sin(Math.PI * u)) * (1 + 0.03 * Math.cos(38 * u)),
      0.0,
      0.16,
    ),
    ring([0.62, 0.42, 0.16], 0.12, 0.016, 0, { bare: true }),
    bead(0.62, 0.42, 0.14, 0.06, { tone: 1 }),
    bead(0.86, -0.72, 0.22, 0.07, { tone: 1 }),
  ];
  return moved(
    [
      ...half,
      ...half.map((one): Surface => ({
        ...one,
        at: (u, v) => {
          const [x, y, z] = one.at(u, v);
          return [-x, y, z];
        },
      })),
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

const bee = (): Surface[] => {
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

const robin = (): Surface[] => {
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

const nest = (): Surface[] => {
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

const snail = (): Surface[] => [
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

const acorns = (): Surface[] => {
  const one = (x: number, y: number, turn: number): Surface[] =>
    moved(
      [
        revolved(profileOf([0.27, -0.02], [0.28, 0.24], [0.2, 0.5], [0.04, 0.62], [0, 0.7]), {
          along: 'v',
          tone: 0.1,
        }),
        revolved(profileOf([0.03, -0.3], [0.22, -0.24], [0.33, -0.06], [0.31, 0.05]), {
          tone: 0.2,
          edges: ['v1'],
          marks: Array.from({ length: 60 }, (_, i) => {
            const row = Math.floor(i / 12);
            const u = ((i % 12) + (row % 2) * 0.5) / 12;
            return {
              at: (t: number) =>
                [(u + 0.083 * t) % 1, 0.2 + 0.16 * row + 0.12 * Math.sin(Math.PI * t)] as const,
              weight: 0.7,
            };
          }),
        }),
        tube((t) => [0.04 * t * t, -0.28 - 0.34 * t, 0], 0.03, { round: 8, steps: [12, 8] }),
      ],
      { z: turn, x: -12, by: [x, y, 0.25] },
    );
  const lobed = (t: number): number =>
    (0.2 + 0.8 * Math.sin(Math.PI * Math.min(1, t * 1.02)) ** 0.8) *
    (0.68 + 0.36 * Math.abs(Math.sin(4.6 * Math.PI * t)) ** 0.7) *
    (t > 0.96 ? 0.8 : 1);
  return [
    ...one(0.34, 0.24, -18),
    ...one(-0.3, 0.42, 16),
    ...[
      [-52, 1.7],
      [8, 1.85],
      [62, 1.6],
    ].flatMap(([z, long]) =>
      moved(
        [
          blade(
            { long: long!, wide: 0.78, shape: lobed, veins: 5, bend: 0.2, slant: 0.16 },
            { steps: [70, 20] },
          ),
        ],
        { z: z!, by: [0.04, 0.06, -0.1] },
      ),
    ),
  ];
};

const sprig = (): Surface[] => {
  const line = through([
    [-0.25, 1.7, 0],
    [0.05, 0.6, 0],
    [0, -0.6, 0],
    [0.3, -1.6, 0],
  ]);
  return [
    tube(line, ramp(0.035, 0.028, 0.012), { round: 8 }),
    ...Array.from({ length: 9 }, (_, i) => {
      const t = 0.12 + 0.1 * i;
      const p = line(t);
      const long = 0.82 - 0.05 * i;
      return [-1, 1].flatMap((s) =>
        leafAt(p[0], p[1] + (s > 0 ? 0.06 : 0), s * (62 - 3 * i) + 6, long, long * 0.42, { veins: 5 }),
      );
    }).flat(),
    ...leafAt(0.3, -1.55, 14, 0.5, 0.2, { veins: 4 }),
  ];
};

const ivy = (): Surface[] => {
  const line = through([
    [-1.5, 0.9, 0],
    [-0.9, 0.3, 0],
    [-0.2, 0.4, 0],
    [0.3, -0.2, 0],
    [1, -0.2, 0],
    [1.5, -0.9, 0],
  ]);
  return [
    tube(line, ramp(0.035, 0.02), { round: 8, steps: [80, 8] }),
    ...Array.from({ length: 9 }, (_, i) => {
      const t = 0.06 + i * 0.11;
      const [p, q] = [line(t), line(t + 0.01)];
      const side = i % 2 ? 1 : -1;
      const way = (Math.atan2(q[0] - p[0], -(q[1] - p[1])) * 180) / Math.PI + side * 62;
      const size = 0.8 - 0.03 * i;
      const [x, y] = [
        p[0] + 0.2 * Math.sin((way * Math.PI) / 180),
        p[1] - 0.2 * Math.cos((way * Math.PI) / 180),
      ];
      const lobe = (t: number): number =>
        t < 0.12
          ? 3 * t + 0.25
          : Math.max(0.02, (1 - t) ** 0.75 * (0.72 + 0.5 * Math.abs(Math.cos(2.6 * Math.PI * (t - 0.14)))));
      return [
        wire((s) => [p[0] + (x - p[0]) * s, p[1] + (y - p[1]) * s, 0.02], 1),
        ...moved(
          [
            blade(
              { long: size, wide: size * 1.05, shape: lobe, veins: 4, bend: -0.1, slant: 0.12 },
              { steps: [50, 20] },
            ),
          ],
          { z: way, by: [x, y, 0.06 + 0.02 * (i % 3)] },
        ),
      ];
    }).flat(),
  ];
};

const trowel = (): Surface[] => [
  ...moved(
    [
      tube((t) => [0, 0.2 + 1.1 * t, 0], ramp(0.075, 0.1, 0.12, 0.09, 0.11, 0.07), {
        round: 16,
        steps: [40, 16],
        edges: ['u1'],
        marks: [0.15, 0.28, 0.4].map((v) => ({
          at: (t) => [t, v + 0.01 * Math.sin(30 * t)] as const,
          weight: 0.4,
        })),
      }),
      tube((t) => [0, -0.2 + 0.46 * t, 0.02 * Math.sin(3 * t)], ramp(0.045, 0.05, 0.06), {
        round: 12,
        steps: [20, 12],
        tone: 0.2,
      }),
      ring([0, 0.24, 0], 0.085, 0.02, 90),
      blade(
        {
          long: 1.25,
          wide: 0.62,
          shape: (t) =>
            Math.min(1, 0.55 + 1.4 * t) * Math.max(0, 1 - Math.max(0, (t - 0.45) / 0.55) ** 2.2) ** 0.8,
          fold: 0.35,
          bend: 0.06,
          slant: 0.12,
        },
        { tone: (u, v) => 0.12 + 0.3 * Math.exp(-((2 * v - 1) ** 2) / 0.02) },
      ),
    ].map((one, i) => (i === 3 ? moved([one], { by: [0, -0.18, 0.02] })[0]! : one)),
    { z: 36 },
  ),
];

const bulb = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.05, -0.78], [0.13, -0.6], [0.3, -0.36], [0.5, 0.04], [0.42, 0.4], [0.14, 0.56]), {
        along: 'v',
        tone: 0.08,
        marks: Array.from({ length: 14 }, (_, i) => ({
          at: (t: number) => [(i + 0.3) / 14, 0.05 + 0.9 * t] as const,
          weight: 0.5,
        })),
      }),
    ],
    {},
  ),
  ...Array.from({ length: 22 }, (_, i) => {
    const x = (i / 21 - 0.5) * 0.4;
    return wire(
      through([
        [x * 0.5, 0.54, 0],
        [x * 1.4 + 0.05 * Math.sin(3 * i), 0.85, 0],
        [x * 2.2 + 0.12 * Math.sin(5 * i), 1.15 - 0.5 * Math.abs(x), 0],
      ]),
      0.6,
    );
  }),
  ...[
    [-14, 1.1],
    [4, 1.5],
    [18, 1.2],
  ].flatMap(([z, long]) =>
    moved(
      [
        blade(
          {
            long: long!,
            wide: 0.24,
            shape: (t) => Math.min(1, 0.5 + t) * Math.sqrt(Math.max(0, 1 - t ** 3)),
            bend: 0.1,
            fold: 0.5,
            slant: 0.04,
          },
          { along: 'u', tone: 0.12 },
        ),
      ],
      { z: z!, by: [0, -0.66, -0.04] },
    ),
  ),
];

export const GARDEN_STAMPS: readonly Motif[] = [
  motif('Rose', 'flower rose garden', 2.8, roseStem, true),
  motif('Open rose', 'flower rose petals', 1.8, () => moved(rose(28), { x: -8 }), true),
  motif('Poppy', 'flower poppy meadow', 2.8, poppy, true),
  motif('Daisies', 'flower daisy meadow', 2.4, daisies, true),
  motif('Sunflower', 'flower sunflower summer', 3, sunflower, true),
  motif('Dahlia', 'flower dahlia autumn', 2.2, dahlia, true),
  motif('Tulip', 'flower tulip spring', 2.4, tulip, true),
  motif('Fern', 'fern leaf wood', 3.2, fern),
  motif('Cow parsley', 'flower umbel meadow', 3.2, umbel),
  motif('Lavender', 'flower lavender herb', 2.4, lavender),
  motif('Wheat', 'wheat grain harvest', 2.6, wheat),
  motif('Leafy twig', 'leaf twig sprig', 2.8, sprig, true),
  motif('Ivy', 'ivy leaf trail', 2.8, ivy, true),
  motif('Oak and acorns', 'oak acorn autumn', 2.4, acorns, true),
  motif('Toadstools', 'mushroom wood autumn', 2, mushrooms, true),
  motif('Pear', 'fruit pear orchard', 1.8, pear, true),
  motif('Apple', 'fruit apple orchard', 1.6, apple, true),
  motif('Strawberry', 'fruit strawberry berry', 1.6, strawberry, true),
  motif('Pumpkin', 'pumpkin harvest autumn', 2, pumpkin, true),
  motif('Sprouting bulb', 'bulb onion spring', 2, bulb),
  motif('Watering can', 'watering can tool', 2.4, wateringCan, true),
  motif('Seedling in a pot', 'pot seedling plant', 2, pot, true),
  motif('Trowel', 'trowel tool dig', 2.2, trowel),
  motif('Butterfly', 'butterfly insect wing', 2, butterfly, true),
  motif('Bee', 'bee insect honey', 1.6, bee, true),
  motif('Robin', 'bird robin branch', 2.4, robin, true),
  motif('Nest', 'nest egg bird', 1.8, nest),
  motif('Snail', 'snail shell garden', 1.7, snail, true),
];
