/** What stands on a kitchen table. */
import { random } from '@/core/random';
import {
  ball,
  bead,
  blade,
  between,
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
  stem,
  through,
  tube,
  wire,
  type Mark,
  type Motif,
  type Surface,
  type V3,
} from './surface';

const ABOVE = -16;
/** Steam that rises from `x`, `y`. */
const steam = (x: number, y: number, high = 0.7): Surface[] =>
  [-0.16, 0.02, 0.18].map((dx, i) =>
    wire(
      through([
        [x + dx, y, 0.4],
        [x + dx + 0.1, y - 0.3 * high, 0.4],
        [x + dx - 0.06, y - 0.62 * high, 0.4],
        [x + dx + 0.05, y - high * (0.9 + 0.1 * i), 0.4],
      ]),
      0.8,
    ),
  );
/** A band of small flowers painted round a vessel. */
const painted = (v: number, count: number): Mark[] =>
  Array.from({ length: count }, (_, i) =>
    [0, 1, 2, 3, 4].map((k): Mark => {
      const [u0, a] = [(i + 0.5) / count, (2 * Math.PI * k) / 5];
      return {
        at: (t) => [
          u0 + (0.011 + 0.011 * t) * Math.cos(a + 3 * (t - 0.5)),
          v + (0.026 + 0.03 * t) * Math.sin(a + 3 * (t - 0.5)),
        ],
        weight: 0.7,
      };
    }),
  ).flat();

const teapot = (): Surface[] => [
  ...moved(
    [
      revolved(
        profileOf([0.34, -0.56], [0.72, -0.36], [0.9, 0.06], [0.74, 0.44], [0.42, 0.58], [0.44, 0.66]),
        { tone: 0.06, marks: painted(0.42, 12), steps: [72, 48] },
      ),
      revolved(profileOf([0.02, -0.86], [0.16, -0.8], [0.36, -0.6], [0.38, -0.54]), {
        edges: ['v1'],
        tone: 0.1,
      }),
      ball([0, -0.93, 0], 0.1, { tone: 0.1, steps: [24, 16] }),
      tube(
        through([
          [0.7, 0.26, 0],
          [1.1, 0.06, 0],
          [1.18, -0.3, 0],
          [1.42, -0.56, 0],
        ]),
        ramp(0.22, 0.15, 0.1, 0.085),
        { round: 20, edges: ['u1'] },
      ),
      tube(
        through([
          [-0.72, -0.28, 0],
          [-1.16, -0.42, 0],
          [-1.3, 0.0, 0],
          [-1.0, 0.36, 0],
          [-0.72, 0.38, 0],
        ]),
        ramp(0.075, 0.085, 0.075, 0.06),
        { round: 16 },
      ),
    ],
    { x: ABOVE },
  ),
  ...steam(1.5, -0.66, 0.6),
];

const cup = (x = 0, y = 0, size = 1): Surface[] =>
  moved(
    [
      revolved(profileOf([0.66, -0.4], [0.6, -0.06], [0.42, 0.28], [0.24, 0.4]), {
        marks: painted(0.34, 11),
        tone: 0.05,
        edges: ['v0'],
        steps: [72, 40],
      }),
      revolved((t) => [0.65 - 0.06 * t, -0.4 + 0.14 * t], { tone: 0.3, steps: [72, 10] }),
      revolved((t) => [0.6 * t, -0.27], {
        tone: (_, v) => 0.55 + 0.2 * v,
        along: 'v',
        edges: ['v1'],
        steps: [72, 12],
      }),
      tube(
        through([
          [0.6, -0.22, 0],
          [0.98, -0.34, 0],
          [0.98, 0.06, 0],
          [0.5, 0.2, 0],
        ]),
        0.055,
        { round: 14 },
      ),
      revolved(profileOf([0.24, 0.44], [0.66, 0.44], [1.02, 0.34], [1.06, 0.32]), {
        tone: 0.12,
        edges: ['v1'],
        steps: [96, 24],
      }),
      revolved(profileOf([1.06, 0.33], [0.9, 0.44], [0.5, 0.54]), {
        tone: 0.3,
        edges: ['v1'],
        steps: [96, 16],
      }),
    ],
    { x: -24, size, by: [x, y, 0] },
  );
const teacup = (): Surface[] => [...cup(), ...steam(0, -0.56, 0.8)];

const jug = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.42, -0.85], [0.36, -0.6], [0.5, -0.1], [0.62, 0.4], [0.5, 0.8], [0.4, 0.86]), {
        tone: (_, v) => (v > 0.52 && v < 0.56 ? 0.9 : v > 0.6 && v < 0.63 ? 0.9 : 0.04),
        edges: ['v0', 'v1'],
      }),
      revolved((t) => [0.42 - 0.05 * t, -0.85 + 0.2 * t], { tone: 0.5, steps: [64, 8] }),
      cupLip(),
      tube(
        through([
          [-0.38, -0.72, 0],
          [-0.82, -0.72, 0],
          [-0.86, -0.1, 0],
          [-0.56, 0.16, 0],
        ]),
        0.07,
        { round: 14 },
      ),
    ],
    { x: ABOVE },
  ),
  ...[
    [-12, 1.15],
    [8, 1.3],
    [30, 1.05],
    [-34, 0.9],
  ].flatMap(([z, long], i) => [
    ...moved(
      [wire((t) => [0, -long! * t, 0], 1), ...moved(bloom(0.28 + 0.03 * i), { by: [0, -long!, 0.1] })],
      { z: z!, by: [0.02, -0.72, -0.3] },
    ),
  ]),
];
function cupLip(): Surface {
  return flat(
    [
      [0.3, -0.84, 0.2],
      [0.62, -0.94, 0],
      [0.34, -0.56, 0.24],
      [0.3, -0.6, 0.2],
    ],
    { bulge: 0.06, tone: 0.15 },
  );
}
function bloom(size: number): Surface[] {
  return [
    ...Array.from({ length: 8 }, (_, i) =>
      moved(
        [
          blade(
            {
              long: size,
              wide: size * 0.62,
              shape: (t) => Math.sqrt(Math.min(1, 2.5 * t)) * Math.sqrt(Math.max(0, 1 - t ** 5)),
              fold: 0.15,
            },
            {
              along: 'u',
              tone: (u) => 0.5 * (1 - u) ** 2,
              edges: ['v0', 'v1', 'u1'],
              steps: [18, 10],
              marks: [],
            },
          ),
        ],
        { z: 45 * i + 10, by: [0, 0, -0.006 * (i % 2)] },
      ),
    ).flat(),
    ball([0, 0, 0.05], 0.28 * size, { tone: 0.5, steps: [14, 10] }),
  ];
}

const bowl = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([1.05, -0.44], [0.98, -0.1], [0.72, 0.3], [0.42, 0.46], [0.42, 0.52]), {
        tone: (_, v) => (v > 0.1 && v < 0.2 ? 0.5 : v > 0.24 && v < 0.28 ? 0.5 : 0.04),
        edges: ['v1'],
        steps: [96, 48],
      }),
      ring([0, -0.44, 0], 1.05, 0.04, 90, { steps: [96, 10] }),
      revolved(profileOf([1.02, -0.42], [0.95, -0.16], [0.8, 0.02]), { tone: 0.35, steps: [96, 16] }),
      revolved((t) => [0.9 * t, -0.1 - 0.08 * Math.cos(5 * t)], { tone: 0.12, along: 'u', steps: [96, 24] }),
    ],
    { x: -26 },
  ),
  ...moved(whisk(), { z: 38, size: 0.8, by: [0.26, -0.55, 0.6] }),
];
function whisk(): Surface[] {
  return [
    ...Array.from({ length: 7 }, (_, i) => {
      const a = (Math.PI * i) / 7;
      return tube(
        through([
          [0, -0.1, 0],
          [0.2 * Math.cos(a), 0.25, 0.2 * Math.sin(a)],
          [0.27 * Math.cos(a), 0.62, 0.27 * Math.sin(a)],
          [0, 0.95, 0],
          [-0.27 * Math.cos(a), 0.62, -0.27 * Math.sin(a)],
          [-0.2 * Math.cos(a), 0.25, -0.2 * Math.sin(a)],
          [0, -0.1, 0],
        ]),
        0.016,
        { round: 6, steps: [60, 6], bare: true },
      );
    }),
    tube((t) => [0, -1.1 + 1.05 * t, 0], ramp(0.06, 0.085, 0.075, 0.085, 0.07), {
      round: 14,
      steps: [30, 14],
      edges: ['u0'],
      tone: 0.1,
    }),
    ring([0, -0.1, 0], 0.085, 0.028, 90),
    ring([0, -1.16, 0], 0.07, 0.016),
  ];
}

const rollingPin = (): Surface[] =>
  moved(
    [
      tube((t) => [-0.95 + 1.9 * t, 0, 0], ramp(0.24, 0.25, 0.25, 0.25, 0.24), {
        round: 30,
        steps: [40, 30],
        edges: ['u0', 'u1'],
        marks: [0.14, 0.22, 0.3, 0.38, 0.45].map((v, i) => ({
          at: (t) => [0.04 + 0.9 * t, v + 0.012 * Math.sin(9 * t + i)] as const,
          weight: 0.4,
        })),
      }),
      ...[-1, 1].flatMap((s) => [
        tube((t) => [s * (0.95 + 0.1 * t), 0, 0], 0.1, { round: 14, steps: [8, 14], edges: ['u1'] }),
        tube((t) => [s * (1.05 + 0.48 * t), 0, 0], ramp(0.08, 0.12, 0.13, 0.1, 0.03), {
          round: 16,
          steps: [24, 16],
        }),
      ]),
    ],
    { z: -24, y: 10 },
  );

const loaf = (): Surface[] => [
  ...moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const b = Math.PI * v;
          return [
            -1.15 * Math.cos(b),
            -0.48 * Math.sin(b) ** 0.75 * Math.cos(a) * (Math.cos(a) < 0 ? 0.62 : 1),
            0.55 * Math.sin(b) ** 0.75 * Math.sin(a),
          ];
        },
        steps: [60, 64],
        along: 'u',
        tone: (u, v) => 0.16 + 0.1 * Math.sin(90 * v + 8 * Math.sin(11 * u)),
      },
      ...[-0.66, -0.3, 0.08, 0.46, 0.8].map((x): Surface => ({
        at: (u, v) => {
          const s = 2 * v - 1;
          const p = x + 0.24 * (u - 0.5) + 0.1 * s * Math.sin(Math.PI * u);
          const top = 0.52 * Math.sqrt(Math.max(0, 1 - (p / 1.2) ** 2));
          const a = -0.95 + 1.5 * u;
          return [p, -top * Math.cos(a * 0.9) * 0.98, 0.06 + top * Math.sin(a * 0.9) * 1.1 + 0.05];
        },
        steps: [24, 10],
        along: 'v',
        tone: (u) => 0.02 * u,
        edges: ['v0', 'v1'],
      })),
    ],
    { x: -20, z: -8 },
  ),
];

const cupcake = (): Surface[] => {
  const cream = Array.from({ length: 4 }, (_, i) => {
    const r = 0.52 - 0.13 * i;
    return tube(
      (t) => {
        const a = 2 * Math.PI * t;
        return [r * Math.cos(a), -0.2 - 0.24 * i - 0.2 * t, r * Math.sin(a)];
      },
      0.2 - 0.022 * i,
      { round: 20, steps: [60, 20], tone: 0.02 },
    );
  });
  return moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const r = (0.66 - 0.16 * v) * (1 + 0.035 * Math.cos(26 * a));
          return [r * Math.sin(a), -0.1 + 0.74 * v, r * Math.cos(a)];
        },
        steps: [208, 16],
        along: 'v',
        edges: ['v0', 'v1'],
        tone: (u) => 0.4 * Math.max(0, Math.cos(26 * 2 * Math.PI * (u + 0.0137) + Math.PI)),
      } satisfies Surface,
      ...cream,
      ball([0, -1.16, 0], 0.17, { tone: 0.35 }),
      wire(
        through([
          [0.02, -1.3, 0.1],
          [0.1, -1.5, 0.1],
          [0.3, -1.62, 0.1],
        ]),
        1,
      ),
      ...Array.from({ length: 18 }, (_, i) => {
        const a = 2.4 * i;
        const y = -0.3 - 0.04 * i;
        const r = 0.6 - 0.024 * i;
        return tube(
          (t) => [
            r * Math.sin(a) + 0.1 * (t - 0.5) * Math.cos(i),
            y + 0.08 * (t - 0.5) * Math.sin(i),
            r * Math.cos(a) + 0.12,
          ],
          0.022,
          { round: 6, steps: [6, 6], tone: 0.5 },
        );
      }),
    ],
    { x: ABOVE },
  );
};

const cakeStand = (): Surface[] => [
  ...moved(
    [
      revolved(
        profileOf(
          [0.92, -0.02],
          [0.98, 0],
          [0.92, 0.06],
          [0.3, 0.12],
          [0.12, 0.22],
          [0.1, 0.5],
          [0.16, 0.66],
          [0.5, 0.78],
          [0.52, 0.82],
        ),
        { tone: 0.08, edges: ['v0'], steps: [96, 56] },
      ),
      ...Array.from({ length: 36 }, (_, i) => {
        const a = (2 * Math.PI * i) / 36;
        return ball([0.96 * Math.sin(a), 0.06, 0.96 * Math.cos(a)], [0.07, 0.085, 0.07], {
          steps: [10, 8],
          bare: true,
        });
      }),
      revolved((t) => [0.72, -0.62 + 0.58 * t], {
        steps: [96, 20],
        edges: ['v0', 'v1'],
        tone: (_, v) => (Math.abs(v - 0.5) < 0.07 ? 0.7 : 0.02),
      }),
      revolved((t) => [0.72 * t, -0.62 - 0.02 * (1 - t)], { along: 'v', tone: -0.2, steps: [96, 12] }),
      ...Array.from({ length: 16 }, (_, i) => {
        const a = (2 * Math.PI * (i + 0.5)) / 16;
        return [
          ball([0.6 * Math.sin(a), -0.68, 0.6 * Math.cos(a)], [0.1, 0.08, 0.1], { steps: [14, 10] }),
          bead(0.6 * Math.sin(a), -0.78, 0.6 * Math.cos(a), 0.055, { tone: 0.4 }),
        ];
      }).flat(),
      // Icing that runs down.
      ...Array.from({ length: 16 }, (_, i) => {
        const a = (2 * Math.PI * i) / 16;
        const long = 0.14 + 0.12 * Math.abs(Math.sin(i * 2.3));
        return tube(
          (t) => [0.73 * Math.sin(a), -0.6 + long * t, 0.73 * Math.cos(a)],
          ramp(0.09, 0.075, 0.08, 0.02),
          { round: 12, steps: [14, 12] },
        );
      }),
    ],
    { x: -20 },
  ),
];

const jar = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.44, -0.52], [0.5, -0.4], [0.6, -0.2], [0.6, 0.6], [0.5, 0.76]), {
        tone: (_, v) => (v > 0.25 ? 0.22 : 0),
        along: 'v',
        edges: ['v1'],
        steps: [72, 40],
      }),
      // A cloth tied over the lid.
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const skirt = Math.max(0, v - 0.62) / 0.38;
          const r =
            v < 0.62
              ? 0.5 * Math.sin((v / 0.62) * (Math.PI / 2))
              : 0.5 - 0.05 * Math.sin(Math.PI * skirt) + 0.24 * skirt ** 1.3 * (1 + 0.22 * Math.sin(11 * a));
          const y =
            v < 0.62 ? -0.72 - 0.05 * Math.cos((v / 0.62) * (Math.PI / 2)) + 0.02 * v : -0.7 + 0.34 * skirt;
          return [r * Math.sin(a), y, r * Math.cos(a)];
        },
        steps: [132, 30],
        along: 'v',
        edges: ['v1'],
        tone: (u, v) => ((((Math.floor(u * 28) + Math.floor(v * 9)) % 2) + 2) % 2 ? 0.42 : 0.02),
      } satisfies Surface,
      rope((t) => [0.475 * Math.cos(2 * Math.PI * t), -0.62, 0.475 * Math.sin(2 * Math.PI * t)], 0.03, 40),
      flatLabel(),
    ],
    { x: ABOVE },
  ),
  ...moved(bow(), { by: [0.06, -0.56, 0.7], size: 0.34 }),
];
function flatLabel(): Surface {
  return {
    at: (u, v) => {
      const a = -0.62 + 1.24 * u;
      return [0.615 * Math.sin(a), -0.02 + 0.42 * v, 0.615 * Math.cos(a)];
    },
    steps: [24, 12],
    along: 'u',
    bare: true,
    edges: ['u0', 'u1', 'v0', 'v1'],
    marks: [
      ...[0.08, 0.92].map((v): Mark => ({ at: (t) => [0.05 + 0.9 * t, v], weight: 0.5 })),
      ...[0.36, 0.56, 0.74].map((v, i): Mark => ({
        at: (t) => [0.2 + 0.1 * i + (0.6 - 0.2 * i) * t, v + 0.02 * Math.sin(26 * t)],
        weight: 0.6,
      })),
    ],
  };
}
function bow(): Surface[] {
  return [
    ...[-1, 1].flatMap((s) => [
      tube(
        through([
          [0, 0, 0],
          [s * 0.6, -0.5, 0.1],
          [s * 0.95, -0.05, 0.1],
          [s * 0.4, 0.16, 0.06],
          [0, 0.02, 0],
        ]),
        0.075,
        { round: 8, tone: 0.1 },
      ),
      tube(
        through([
          [0, 0, 0.02],
          [s * 0.3, 0.5, 0],
          [s * 0.26, 1, 0],
        ]),
        0.07,
        { round: 8, tone: 0.1, edges: ['u1'] },
      ),
    ]),
    bead(0, 0, 0.1, 0.14),
  ];
}

const honey = (): Surface[] => [
  ...moved(
    [
      ...Array.from({ length: 7 }, (_, i) =>
        revolved(
          (t) => {
            const b = Math.PI * t;
            const r = [0.2, 0.29, 0.34, 0.36, 0.34, 0.29, 0.2][i]!;
            return [r * (0.72 + 0.28 * Math.sin(b)), -0.42 + 0.13 * i + 0.1 * t];
          },
          { steps: [48, 14], tone: 0.1 },
        ),
      ),
      tube((t) => [0, -2.1 + 1.7 * t, 0], ramp(0.085, 0.06, 0.06, 0.07), {
        round: 14,
        steps: [30, 14],
        edges: ['u0'],
        marks: [0.2, 0.35].map((v) => ({
          at: (t) => [t, v + 0.01 * Math.sin(12 * t)] as const,
          weight: 0.4,
        })),
      }),
    ],
    { z: 38, by: [-0.1, 0, 0] },
  ),
  tube(
    through([
      [-0.2, 0.4, 0.05],
      [-0.24, 0.8, 0.05],
      [-0.2, 1.1, 0.05],
      [-0.22, 1.32, 0.05],
    ]),
    ramp(0.13, 0.055, 0.045, 0.05, 0.12),
    { round: 14 },
  ),
  revolvedPool(),
];
function revolvedPool(): Surface {
  return {
    at: (u, v) => [
      -0.2 + (0.72 + 0.06 * Math.sin(8 * Math.PI * u)) * v * Math.cos(2 * Math.PI * u),
      1.42 + 0.2 * v * Math.sin(2 * Math.PI * u),
      0.05 * (1 - v * v),
    ],
    steps: [64, 10],
    along: 'u',
    tone: 0.12,
    edges: ['v1'],
  };
}

const eggCup = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0, -0.98], [0.22, -0.88], [0.4, -0.52], [0.42, -0.2]), { tone: 0.02 }),
      revolved(
        profileOf(
          [0.48, -0.3],
          [0.44, 0.0],
          [0.2, 0.26],
          [0.09, 0.36],
          [0.12, 0.52],
          [0.36, 0.66],
          [0.38, 0.7],
        ),
        { tone: (_, v) => (v < 0.12 ? 0.6 : 0.12), edges: ['v0', 'v1'] },
      ),
    ],
    { x: ABOVE },
  ),
  ...moved(
    [
      tube((t) => [0, -0.1 + 1.1 * t, 0], ramp(0.035, 0.03, 0.05), { round: 10, steps: [20, 10] }),
      ball([0, -0.3, 0], [0.15, 0.23, 0.06], { tone: 0.15 }),
    ],
    { z: -28, by: [0.86, 0.1, 0] },
  ),
];

const lemon = (): Surface[] => {
  const slice: Surface[] = [
    {
      at: (u, v) => [0.66 * v * Math.cos(2 * Math.PI * u), 0.66 * v * Math.sin(2 * Math.PI * u), 0.3],
      steps: [64, 8],
      along: 'u',
      bare: true,
      edges: ['v1'],
      contour: 1.3,
    },
    {
      at: (u, v) => [0.58 * v * Math.cos(2 * Math.PI * u), 0.58 * v * Math.sin(2 * Math.PI * u), 0.31],
      steps: [64, 8],
      along: 'u',
      bare: true,
      edges: ['v1'],
      contour: 0.6,
    },
    ...Array.from({ length: 9 }, (_, i) =>
      moved(
        [
          blade(
            {
              long: 0.47,
              wide: 0.34,
              shape: (t) => Math.min(1, 1.2 * t + 0.04) * Math.sqrt(Math.max(0, 1 - t ** 9)),
              slant: 0,
            },
            { along: 'u', tone: (u) => 0.32 + 0.3 * (1 - u), edges: ['v0', 'v1', 'u1'], marks: [] },
          ),
        ],
        {
          z: 40 * i + 8,
          by: [
            0.07 * Math.sin(((40 * i + 8) * Math.PI) / 180),
            -0.07 * Math.cos(((40 * i + 8) * Math.PI) / 180),
            0.33,
          ],
        },
      ),
    ).flat(),
  ];
  return [
    ...moved(
      [
        revolved(
          profileOf(
            [0, -0.95],
            [0.1, -0.86],
            [0.42, -0.6],
            [0.64, -0.08],
            [0.56, 0.42],
            [0.2, 0.72],
            [0.08, 0.84],
            [0, 0.86],
          ),
          { along: 'v', tone: (u, v) => 0.06 + 0.1 * Math.max(0, Math.sin(170 * u) * Math.sin(80 * v)) },
        ),
      ],
      { z: 62, x: -10, by: [-0.42, -0.28, 0] },
    ),
    ...moved(slice, { z: 12, x: -14, by: [0.52, 0.38, 0.2] }),
    ...leafAt(-1.1, -0.66, 40, 0.8, 0.38, { by: 0.1 }),
    ...leafAt(-1.1, -0.66, 96, 0.7, 0.34, { by: 0.06 }),
  ];
};

const cherries = (): Surface[] => [
  ...[
    [-0.5, 0.5, 0.42],
    [0.42, 0.7, 0.46],
  ].flatMap(([x, y, r]) => [
    ball([x!, y!, 0.2], [r!, r! * 0.94, r!], {
      along: 'v',
      tone: (u, v) =>
        0.3 + 0.3 * Math.exp(-(v ** 2) / 0.02) - (u > 0.84 && u < 0.92 && v > 0.22 && v < 0.4 ? 0.9 : 0),
      dense: 1.15,
    }),
    tube(
      through([
        [x!, y! - r! + 0.08, 0.3],
        [x! * 0.7, -0.3, 0.2],
        [0.1, -1.1, 0.2],
      ]),
      ramp(0.022, 0.022, 0.035),
      { round: 8 },
    ),
  ]),
  ...leafAt(0.1, -1.06, -68, 0.95, 0.5, { by: 0.25 }),
  ...leafAt(0.1, -1.08, 74, 0.8, 0.42, { by: 0.22 }),
];

const garlic = (): Surface[] =>
  moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const [r, y] = profileOf(
            [0.05, -0.9],
            [0.1, -0.62],
            [0.24, -0.42],
            [0.62, -0.02],
            [0.66, 0.3],
            [0.3, 0.56],
            [0.1, 0.58],
          )(v);
          const k = 1 - 0.14 * Math.abs(Math.cos(4 * a)) ** 4 * Math.min(1, r * 2);
          return [r * k * Math.sin(a), y, r * k * Math.cos(a)];
        },
        steps: [120, 44],
        along: 'v',
        tone: (u) => 0.06 + 0.3 * Math.abs(Math.cos(8 * Math.PI * (u + 0.0137))) ** 10,
        marks: Array.from({ length: 24 }, (_, i) => ({
          at: (t: number) => [i / 24, 0.02 + 0.9 * t] as const,
          weight: 0.3,
        })),
      } satisfies Surface,
      ...Array.from({ length: 18 }, (_, i) =>
        wire(
          through([
            [(i - 9) * 0.02, 0.55, 0],
            [(i - 9) * 0.05, 0.68, 0],
            [(i - 9) * 0.065 + 0.03 * Math.sin(4 * i), 0.78, 0],
          ]),
          0.5,
        ),
      ),
    ],
    { x: -8, z: 10 },
  );

const pepperMill = (): Surface[] =>
  moved(
    [
      revolved(
        profileOf(
          [0.02, -1.28],
          [0.14, -1.22],
          [0.17, -1.1],
          [0.07, -1.0],
          [0.26, -0.9],
          [0.34, -0.72],
          [0.2, -0.56],
          [0.16, -0.5],
          [0.3, -0.42],
          [0.2, -0.2],
          [0.17, 0.1],
          [0.3, 0.5],
          [0.36, 0.74],
          [0.34, 0.8],
        ),
        {
          steps: [64, 96],
          edges: ['v1'],
          tone: 0.1,
          marks: [0.93, 0.55, 0.31].map((v) => ({ at: (t) => [t, v] as const })),
        },
      ),
      ...Array.from({ length: 9 }, (_, i) =>
        bead(-0.9 + 0.12 * i + 0.05 * Math.sin(5 * i), 0.8 + 0.06 * Math.cos(7 * i), 0.3, 0.045, {
          tone: 0.4,
        }),
      ),
    ],
    { x: ABOVE },
  );

const kettle = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.4, -0.5], [0.68, -0.34], [0.82, 0.1], [0.8, 0.5], [0.74, 0.58]), {
        tone: 0.14,
        edges: ['v1'],
        steps: [72, 48],
        along: 'u',
      }),
      revolved(profileOf([0.03, -0.7], [0.2, -0.66], [0.42, -0.5]), { tone: 0.1, edges: ['v1'] }),
      ball([0, -0.78, 0], [0.09, 0.1, 0.09], { tone: 0.5 }),
      tube(
        through([
          [0.72, 0.3, 0],
          [1.02, 0.12, 0],
          [1.12, -0.22, 0],
          [1.38, -0.38, 0],
        ]),
        ramp(0.18, 0.12, 0.085, 0.07),
        { round: 16, edges: ['u1'] },
      ),
      tube(
        through([
          [-0.56, -0.42, 0],
          [-0.66, -1.0, 0],
          [0, -1.32, 0],
          [0.66, -1.0, 0],
          [0.56, -0.42, 0],
        ]),
        (t) => (Math.abs(t - 0.5) < 0.17 ? 0.075 : 0.035),
        { round: 14, steps: [90, 14] },
      ),
    ],
    { x: -13 },
  ),
  ...steam(1.46, -0.5, 0.6),
];

const grinder = (): Surface[] => {
  const box = (a: V3, b: V3, tone: readonly number[]): Surface[] => {
    const [x0, y0, z0] = a;
    const [x1, y1, z1] = b;
    return [
      flat(
        [
          [x0, y0, z1],
          [x0, y1, z1],
          [x1, y1, z1],
          [x1, y0, z1],
        ],
        { along: 'u', tone: tone[0]! },
      ),
      flat(
        [
          [x1, y0, z1],
          [x1, y1, z1],
          [x1, y1, z0],
          [x1, y0, z0],
        ],
        { along: 'u', tone: tone[1]! },
      ),
      flat(
        [
          [x0, y0, z0],
          [x0, y0, z1],
          [x1, y0, z1],
          [x1, y0, z0],
        ],
        { along: 'u', tone: tone[2]! },
      ),
    ];
  };
  return moved(
    [
      ...box([-0.6, 0.0, -0.6], [0.6, 0.86, 0.6], [0.22, 0.62, 0.02]),
      ...box([-0.68, 0.86, -0.68], [0.68, 0.98, 0.68], [0.2, 0.6, 0.02]),
      ...box([-0.66, -0.08, -0.66], [0.66, 0.0, 0.66], [0.2, 0.6, 0.02]),
      flat(
        [
          [-0.4, 0.34, 0.62],
          [-0.4, 0.72, 0.62],
          [0.4, 0.72, 0.62],
          [0.4, 0.34, 0.62],
        ],
        { along: 'u', tone: 0.1 },
      ),
      bead(0, 0.52, 0.68, 0.07, { tone: 0.2 }),
      revolved(profileOf([0.5, -0.42], [0.46, -0.24], [0.2, -0.08]), { edges: ['v0'], tone: 0.2 }),
      revolved((t) => [0.48 * t, -0.42 - 0.16 * Math.sqrt(1 - t * t)], { tone: 0.05 }),
      tube((t) => [0, -0.58 - 0.24 * t, 0], 0.04, { round: 10, steps: [10, 10] }),
      tube(
        through([
          [0, -0.82, 0],
          [0.4, -0.86, 0.1],
          [0.8, -0.8, 0.2],
        ]),
        0.035,
        { round: 10 },
      ),
      tube((t) => [0.8, -0.8 - 0.3 * t, 0.2], ramp(0.05, 0.11, 0.13, 0.06), {
        round: 14,
        steps: [20, 14],
        edges: ['u1'],
      }),
    ],
    { y: -24, x: -16 },
  );
};

const spoons = (): Surface[] => [
  ...moved(
    [
      tube((t) => [0, -0.4 + 1.9 * t, 0], ramp(0.05, 0.05, 0.06, 0.065), {
        round: 12,
        steps: [30, 12],
        edges: ['u1'],
        marks: [0.2, 0.33].map((v) => ({ at: (t) => [t, v] as const, weight: 0.4 })),
      }),
      ball([0, -0.78, 0], [0.28, 0.42, 0.1], { tone: 0.05, along: 'v' }),
      ball([0, -0.8, 0.09], [0.2, 0.32, 0.02], { tone: 0.35, along: 'v' }),
    ],
    { z: -24 },
  ),
  ...moved(
    [
      tube((t) => [0, -0.5 + 2 * t, 0.2], ramp(0.045, 0.05, 0.06), {
        round: 12,
        steps: [30, 12],
        edges: ['u1'],
      }),
      flat(
        [
          [-0.14, -0.45, 0.24],
          [-0.25, -1.25, 0.24],
          [0.25, -1.25, 0.24],
          [0.14, -0.45, 0.24],
        ],
        { along: 'u', tone: 0.12, bulge: 0.03 },
      ),
      ...[-0.1, 0, 0.1].map((x) =>
        flat(
          [
            [x - 0.02, -0.65, 0.3],
            [x - 0.03, -1.1, 0.3],
            [x + 0.03, -1.1, 0.3],
            [x + 0.02, -0.65, 0.3],
          ],
          { tone: 1 },
        ),
      ),
    ],
    { z: 20 },
  ),
  ...moved(whisk(), { z: 180, by: [0, 0.1, 0.5], size: 0.9 }),
];

const croissant = (): Surface[] => {
  const line = through([
    [-1.05, 0.5, 0],
    [-0.86, -0.1, 0.1],
    [-0.34, -0.42, 0.16],
    [0.34, -0.42, 0.16],
    [0.86, -0.1, 0.1],
    [1.05, 0.5, 0],
  ]);
  const r = ramp(0.02, 0.24, 0.36, 0.4, 0.36, 0.24, 0.02);
  const step = (t: number): number => 1 + 0.13 * (((t * 9) % 1) - 0.5);
  return [
    tube(line, (t) => r(t) * step(t), {
      steps: [140, 28],
      tone: (u, v) => 0.12 + 0.28 * (1 - ((u * 9) % 1)) ** 3 + 0.05 * Math.sin(70 * v),
      marks: Array.from({ length: 8 }, (_, i) => ({
        at: (t: number) => [(i + 1) / 9, t * 0.5] as const,
        weight: 1.1,
      })),
    }),
  ];
};

const pretzel = (): Surface[] => [
  tube(
    through([
      [-0.35, 0.62, 0.25],
      [-0.72, 0.1, 0.1],
      [-0.95, -0.4, 0],
      [-0.5, -0.85, 0],
      [0.1, -0.35, 0.1],
      [0.3, 0.35, 0.3],
      [0, 0.75, 0.2],
      [-0.3, 0.35, 0.1],
      [-0.1, -0.35, 0.3],
      [0.5, -0.85, 0.05],
      [0.95, -0.4, 0],
      [0.72, 0.1, 0.1],
      [0.35, 0.62, 0.32],
    ]),
    ramp(0.06, 0.1, 0.14, 0.16, 0.15, 0.13, 0.13, 0.13, 0.15, 0.16, 0.14, 0.1, 0.06),
    { steps: [200, 22], tone: 0.12 },
  ),
  ...Array.from({ length: 26 }, (_, i) => {
    const next = random(i + 3);
    return bead((next() - 0.5) * 1.7, -0.62 + 0.3 * (next() - 0.5), 0.16, 0.03, { steps: [8, 6] });
  }).filter((_, i) => i < 0),
];

const envelope = (): Surface[] =>
  moved(
    [
      flat(
        [
          [-1.1, -0.62, 0],
          [-1.1, 0.72, 0],
          [1.1, 0.72, 0],
          [1.1, -0.62, 0],
        ],
        { along: 'u', tone: 0.02, bare: true },
      ),
      flat(
        [
          [-1.1, 0.72, 0.02],
          [0, -0.08, 0.05],
          [1.1, 0.72, 0.02],
        ],
        { tone: 0.1 },
      ),
      flat(
        [
          [-1.1, -0.62, 0.03],
          [1.1, -0.62, 0.03],
          [0, 0.22, 0.12],
        ],
        { tone: 0.22, bulge: 0.04 },
      ),
      flat(
        [
          [-0.92, -0.62, -0.1],
          [-0.92, -1.2, -0.1],
          [0.92, -1.2, -0.1],
          [0.92, -0.62, -0.1],
        ],
        {
          bare: true,
          marks: [0.2, 0.36, 0.52, 0.68].map((u, i) => ({
            at: (t) => [1 - u, 0.1 + (0.78 - 0.1 * i) * t] as const,
            weight: 0.6,
          })),
        },
      ),
      ball([0, 0.14, 0.12], [0.2, 0.2, 0.07], { tone: 0.35 }),
      ring([0, 0.14, 0.16], 0.13, 0.016, 0, { bare: true }),
      ...[0, 60, 120].map((a) =>
        wire(
          (t) => [
            0.09 * (2 * t - 1) * Math.cos((a * Math.PI) / 180),
            0.14 + 0.09 * (2 * t - 1) * Math.sin((a * Math.PI) / 180),
            0.25,
          ],
          0.9,
        ),
      ),
    ],
    { z: -7 },
  );

const milk = (): Surface[] =>
  moved(
    [
      revolved(
        profileOf(
          [0.2, -1.02],
          [0.19, -0.8],
          [0.22, -0.56],
          [0.42, -0.2],
          [0.44, 0.1],
          [0.44, 0.86],
          [0.4, 0.92],
        ),
        { along: 'v', tone: (_, v) => (v < 0.22 ? 0.0 : 0.04), edges: ['v1'], steps: [72, 48] },
      ),
      ring([0, -0.98, 0], 0.22, 0.04, 90),
      revolved((t) => [0.24, -1.12 + 0.1 * t], { tone: 0.35, edges: ['v0'], steps: [48, 6] }),
      revolved((t) => [0.24 * t, -1.12], { tone: 0.1, steps: [48, 6] }),
      {
        at: (u, v) => {
          const a = -0.7 + 1.4 * u;
          return [0.452 * Math.sin(a), 0.2 + 0.36 * v, 0.452 * Math.cos(a)];
        },
        steps: [20, 10],
        along: 'u',
        bare: true,
        edges: ['u0', 'u1', 'v0', 'v1'],
        marks: [0.3, 0.6].map((v) => ({
          at: (t) => [0.15 + 0.7 * t, v + 0.05 * Math.sin(20 * t)] as const,
          weight: 0.7,
        })),
      } satisfies Surface,
      ...moved(cupless(), { by: [0.95, 0.34, 0.2] }),
    ],
    { x: ABOVE },
  );
function cupless(): Surface[] {
  return [
    revolved(profileOf([0.36, -0.36], [0.33, 0.1], [0.28, 0.56]), {
      along: 'v',
      edges: ['v0', 'v1'],
      tone: 0.03,
    }),
    revolved((t) => [0.34 * t, -0.18], { tone: 0.02, edges: ['v1'] }),
  ];
}

const pie = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([1.0, -0.1], [0.86, 0.26], [0.8, 0.3]), {
        tone: 0.22,
        edges: ['v1'],
        along: 'v',
        steps: [96, 14],
      }),
      ...Array.from({ length: 40 }, (_, i) => {
        const a = (2 * Math.PI * i) / 40;
        return ball([1.0 * Math.sin(a), -0.12, 1.0 * Math.cos(a)], [0.09, 0.07, 0.09], { steps: [12, 8] });
      }),
      revolved((t) => [0.96 * t, -0.12 - 0.12 * (1 - t * t)], { tone: 0.7, along: 'u', steps: [72, 16] }),
      ...[-0.66, -0.33, 0, 0.33, 0.66].flatMap((x, i) => {
        const half = Math.sqrt(0.92 - x * x);
        const band = (way: 0 | 1): Surface =>
          between(
            (t) => {
              const s = (2 * t - 1) * half;
              const y =
                -0.22 -
                0.1 * (1 - x * x - s * s) -
                0.022 * Math.cos((s / 0.33) * Math.PI + (way + i) * Math.PI);
              return way ? [s, y, x - 0.09] : [x - 0.09, y, s];
            },
            (t) => {
              const s = (2 * t - 1) * half;
              const y =
                -0.22 -
                0.1 * (1 - x * x - s * s) -
                0.022 * Math.cos((s / 0.33) * Math.PI + (way + i) * Math.PI);
              return way ? [s, y, x + 0.09] : [x + 0.09, y, s];
            },
            { steps: [50, 8], tone: 0.05, edges: ['v0', 'v1'] },
          );
        return [band(0), band(1)];
      }),
    ],
    { x: -38, y: 8 },
  ),
  ...steam(0, -0.86, 0.6),
];

export const KITCHEN_STAMPS: readonly Motif[] = [
  motif('Teapot', 'tea pot kitchen', 2.4, teapot, true),
  motif('Teacup', 'tea cup saucer', 1.9, teacup, true),
  motif('Jug of flowers', 'jug flower table', 2.4, jug, true),
  motif('Mixing bowl', 'bowl whisk baking', 2.2, bowl),
  motif('Whisk', 'whisk baking tool', 2, () => moved(whisk(), { z: 28 })),
  motif('Rolling pin', 'rolling pin baking', 2.4, rollingPin),
  motif('Loaf', 'bread loaf baking', 2.2, loaf, true),
  motif('Croissant', 'croissant bread breakfast', 1.9, croissant),
  motif('Pretzel', 'pretzel bread snack', 1.8, pretzel),
  motif('Cupcake', 'cupcake cake birthday', 1.8, cupcake, true),
  motif('Cake on a stand', 'cake birthday party', 2.4, cakeStand, true),
  motif('Pie', 'pie baking sunday', 2.2, pie),
  motif('Jam jar', 'jam jar preserve', 1.9, jar, true),
  motif('Honey dipper', 'honey sweet spoon', 2.2, honey),
  motif('Egg in a cup', 'egg breakfast cup', 1.8, eggCup),
  motif('Lemon', 'lemon fruit slice', 2, lemon, true),
  motif('Cherries', 'cherry fruit summer', 1.8, cherries, true),
  motif('Garlic', 'garlic herb cook', 1.5, garlic),
  motif('Pepper mill', 'pepper mill spice', 2, pepperMill),
  motif('Kettle', 'kettle tea stove', 2.2, kettle),
  motif('Coffee grinder', 'coffee grinder mill', 2, grinder),
  motif('Spoons', 'spoon whisk tool', 2.4, spoons),
  motif('Letter', 'letter envelope post', 2, envelope, true),
  motif('Milk bottle', 'milk bottle glass', 2, milk),
];
