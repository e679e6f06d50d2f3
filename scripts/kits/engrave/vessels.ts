/** Pots, cups, jugs and bottles. */
import {
  ball,
  blade,
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
  wire,
} from './surface';

export const ABOVE = -16;

/** Steam that rises from `x`, `y`. */
export const steam = (x: number, y: number, high = 0.7): Surface[] =>
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

export const teapot = (): Surface[] => [
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

export const teacup = (): Surface[] => [...cup(), ...steam(0, -0.56, 0.8)];

export const jug = (): Surface[] => [
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

export const eggCup = (): Surface[] => [
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

export const kettle = (): Surface[] => [
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

export const milk = (): Surface[] =>
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
