/** Books, ink and lamps. */
import {
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

const LINES = (from: number, to: number, count: number): Mark[] =>
  Array.from({ length: count }, (_, i): Mark => {
    const u = from + ((to - from) * i) / (count - 1);
    const end = i % 5 === 4 ? 0.5 : 0.88;
    return { at: (t) => [u, 0.12 + (end - 0.12) * t], weight: 0.5 };
  });

const flame = (x: number, y: number, z: number, size = 1): Surface[] =>
  moved(
    [
      revolved(profileOf([0.0, -0.42], [0.06, -0.24], [0.12, -0.04], [0.08, 0.1], [0, 0.13]), {
        along: 'v',
        tone: (_, v) => -0.1 + 0.5 * v ** 3,
      }),
      wire((t) => [0, 0.2 - 0.14 * t, 0.1], 1.2),
    ],
    { size, by: [x, y, z] },
  );

export const candle = (): Surface[] => [
  ...moved(
    [
      revolved((t) => [0.2 + 0.012 * Math.sin(12 * t), -0.9 + 1.2 * t], {
        along: 'v',
        edges: ['v0'],
        tone: 0.02,
      }),
      revolved((t) => [0.2 * t, -0.9 + 0.04 * (1 - t)], { tone: 0.25, steps: [32, 6] }),
      ...[-0.12, 0.06, 0.15].map((x, i) =>
        tube((t) => [x, -0.9 + (0.5 + 0.2 * i) * t, 0.19 - x * x * 2], ramp(0.05, 0.035, 0.05, 0.02), {
          round: 10,
          steps: [16, 10],
        }),
      ),
      revolved(
        profileOf(
          [0.24, 0.2],
          [0.25, 0.36],
          [0.14, 0.44],
          [0.14, 0.52],
          [0.5, 0.6],
          [0.86, 0.52],
          [0.92, 0.46],
        ),
        { tone: 0.16, edges: ['v0', 'v1'], steps: [80, 40] },
      ),
      revolved(profileOf([0.92, 0.47], [0.84, 0.6], [0.5, 0.7]), {
        tone: 0.3,
        edges: ['v1'],
        steps: [80, 12],
      }),
      ring([0.98, 0.5, 0.1], 0.2, 0.045),
    ],
    { x: -18 },
  ),
  ...flame(0, -1.14, 0.3, 1.25),
];

const page = (side: 1 | -1, lift: number, marks: readonly Mark[], more: Partial<Surface> = {}): Surface => ({
  at: (u, v) => {
    const x = side * v * 1.12;
    const curve = 0.22 * Math.sin(Math.PI * Math.min(1, v * 0.9)) * (1 - 0.35 * v) + lift * v;
    return [x, -0.72 + 1.44 * u - 0.4 * curve, curve];
  },
  steps: [20, 30],
  along: 'u',
  edges: ['u0', 'u1', 'v1'],
  marks,
  tone: (_, v) => 0.55 * Math.exp(-v * 9) + 0.14 * v ** 3,
  ...more,
});

export const book = (): Surface[] => [
  ...moved(
    [
      ...[1, -1].flatMap((s) => [
        ...[0, 1, 2, 3]
          .map((i) => page(s as 1 | -1, -0.02 * i, [], { bare: true, contour: 0.6 }))
          .map((one, i) => moved([one], { by: [s * 0.02 * i, 0.028 * i + 0.02, -0.06 * (i + 1)] })[0]!),
        page(s as 1 | -1, 0, LINES(0.14, 0.86, 13)),
        flat(
          [
            [s * 0.02, -0.78, -0.36],
            [s * 0.02, 0.86, -0.36],
            [s * 1.26, 0.86, -0.36],
            [s * 1.26, -0.78, -0.36],
          ],
          { tone: 0.55 },
        ),
      ]),
      flat(
        [
          [-0.05, -0.74, 0.12],
          [-0.09, 1.1, 0.12],
          [0.0, 1.2, 0.12],
          [0.05, -0.74, 0.12],
        ],
        { tone: 0.4, along: 'u' },
      ),
    ],
    { x: -34, z: -6 },
  ),
];

export const box = (
  w: number,
  h: number,
  d: number,
  tones: readonly [number, number, number],
  front: readonly Mark[] = [],
  side: readonly Mark[] = [],
): Surface[] => [
  flat(
    [
      [-w, -h, d],
      [-w, h, d],
      [w, h, d],
      [w, -h, d],
    ],
    { along: 'u', tone: tones[0], marks: front },
  ),
  flat(
    [
      [w, -h, d],
      [w, h, d],
      [w, h, -d],
      [w, -h, -d],
    ],
    { along: 'u', tone: tones[1], marks: side },
  ),
  flat(
    [
      [-w, -h, -d],
      [-w, -h, d],
      [w, -h, d],
      [w, -h, -d],
    ],
    { along: 'u', tone: tones[2] },
  ),
];

export const books = (): Surface[] => [
  ...[
    [0, 0.62, 1.05, 0.2, -4, 0.4],
    [0.08, 0.22, 0.95, 0.17, 5, 0.05],
    [-0.08, -0.12, 0.86, 0.15, -7, 0.6],
    [0.04, -0.42, 0.74, 0.13, 8, 0.2],
  ].flatMap(([x, y, w, h, turn, tone]) =>
    moved(
      box(
        w!,
        h!,
        0.62,
        [tone!, 0.1, 0.0],
        [0.12, 0.18, 0.82, 0.88].map((v) => ({ at: (t) => [t, v] as const, weight: 0.9 })),
        [0.15, 0.35, 0.55, 0.75].map((u) => ({ at: (t) => [u, t] as const, weight: 0.5 })),
      ),
      { y: -26 + turn!, x: -16, by: [x!, y!, 0] },
    ),
  ),
  ...moved(cupOf(), { size: 0.42, by: [0.02, -0.76, 0.2] }),
];

function cupOf(): Surface[] {
  return moved(
    [
      revolved(profileOf([0.6, -0.4], [0.56, 0], [0.4, 0.32], [0.24, 0.4]), { edges: ['v0'], tone: 0.06 }),
      revolved((t) => [0.58 * t, -0.3], { tone: 0.6, along: 'v', edges: ['v1'] }),
      tube(
        through([
          [0.55, -0.22, 0],
          [0.95, -0.3, 0],
          [0.92, 0.1, 0],
          [0.46, 0.2, 0],
        ]),
        0.06,
        { round: 12 },
      ),
    ],
    { x: -22 },
  );
}

export const spectacles = (): Surface[] =>
  moved(
    [
      ring([-0.62, 0, 0], 0.46, 0.04, 0, { steps: [72, 12] }),
      ring([0.62, 0, 0], 0.46, 0.04, 0, { steps: [72, 12] }),
      tube(
        through([
          [-0.2, -0.1, 0.02],
          [-0.1, -0.24, 0.1],
          [0.1, -0.24, 0.1],
          [0.2, -0.1, 0.02],
        ]),
        0.035,
        { round: 10 },
      ),
      ...[-1, 1].flatMap((s) => [
        tube(
          through([
            [s * 1.08, -0.06, 0],
            [s * 1.2, -0.1, -0.1],
            [s * 1.02, -0.42, -1.1],
            [s * 0.94, -0.3, -1.5],
          ]),
          0.028,
          { round: 8 },
        ),
        ...[0, 1, 2].map((i) =>
          wire((t) => [s * 0.62 - 0.24 + 0.16 * i + 0.14 * t, 0.16 - 0.36 * t, 0], 0.5),
        ),
      ]),
    ],
    { x: -30, z: -8 },
  );

export const ink = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.16, -0.5], [0.17, -0.3], [0.46, -0.12], [0.52, 0.0], [0.5, 0.46], [0.44, 0.52]), {
        tone: (_, v) => (v > 0.5 ? 0.55 : 0.05),
        edges: ['v1'],
      }),
      ring([0, -0.46, 0], 0.18, 0.05, 90),
      revolved((t) => [0.16 * t, -0.48], { tone: 1, steps: [32, 4] }),
    ],
    { x: -20, by: [-0.4, 0.5, 0] },
  ),
  ...moved(
    [
      blade(
        {
          long: 2.3,
          wide: 0.62,
          shape: (t) => Math.min(1, 3 * Math.max(0, t - 0.16)) ** 0.6 * (1 - t ** 3) ** 0.5 + 0.01,
          fold: -0.2,
          sway: 0.5,
          slant: 0.32,
          bend: 0.1,
        },
        {
          dense: 1.2,
          steps: [70, 24],
          tone: (u, v) => 0.12 + (v > 0.5 ? 0.28 : 0.02) + 0.2 * (1 - u),
          hole: (u, v) =>
            [0.4, 0.58, 0.76].some(
              (at, i) => Math.abs(u - at) < 0.012 * Math.abs(2 * v - 1) && (i % 2 ? v > 0.7 : v < 0.32),
            ),
        },
      ),
      tube(
        (t) => [0.5 * Math.max(0, t) ** 2, -2.3 * t + 0.15, 0.06 + 0.1 * t * t],
        ramp(0.012, 0.035, 0.03, 0.006),
        { round: 8 },
      ),
    ],
    { z: 24, by: [-0.4, 0.14, 0.4] },
  ),
  ...Array.from({ length: 3 }, (_, i) =>
    wire((t) => [0.3 + 1 * t, 0.72 + 0.16 * i + 0.035 * Math.sin(26 * t + i), 0], 0.8),
  ),
];

export const lamp = (): Surface[] =>
  moved(
    [
      revolved(profileOf([0.16, -0.6], [0.3, -0.5], [0.36, -0.24], [0.22, 0.1], [0.24, 0.14]), {
        tone: 0.0,
        along: 'v',
        edges: ['v0'],
        steps: [64, 30],
      }),
      ring([0, -0.6, 0], 0.17, 0.022, 90),
      revolved(
        profileOf(
          [0.26, 0.14],
          [0.28, 0.22],
          [0.16, 0.3],
          [0.46, 0.46],
          [0.52, 0.66],
          [0.36, 0.84],
          [0.16, 0.9],
          [0.2, 1.0],
          [0.46, 1.1],
          [0.5, 1.14],
        ),
        {
          tone: 0.18,
          edges: ['v1'],
          steps: [64, 60],
          marks: Array.from({ length: 12 }, (_, i) => ({
            at: (t: number) => [i / 12, 0.42 + 0.16 * t] as const,
            weight: 0.6,
          })),
        },
      ),
      tube((t) => [0.28 + 0.22 * t, 0.24, 0.1], 0.022, { round: 8, steps: [8, 8] }),
      ring([0.56, 0.24, 0.1], 0.08, 0.026),
      tube(
        through([
          [0.5, 0.62, 0],
          [0.96, 0.5, 0],
          [0.96, 0.9, 0],
          [0.5, 0.84, 0],
        ]),
        0.035,
        { round: 10 },
      ),
      ...flame(0, -0.02, 0.3, 0.7),
    ],
    { x: -12 },
  );
