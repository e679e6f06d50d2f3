/** What lies about in quiet hours: paper, ink, lamps and keepsakes. */
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
  stem,
  through,
  tube,
  whorl,
  wire,
  type Mark,
  type Motif,
  type Surface,
  type V3,
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

const candle = (): Surface[] => [
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
const book = (): Surface[] => [
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

const box = (
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
const books = (): Surface[] => [
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

const spectacles = (): Surface[] =>
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

const ink = (): Surface[] => [
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

const key = (): Surface[] =>
  moved(
    [
      tube((t) => [0, -0.4 + 1.5 * t, 0], ramp(0.075, 0.07, 0.065, 0.07), {
        round: 14,
        steps: [40, 14],
        edges: ['u1'],
      }),
      ...[-0.42, -0.26, 0.98].map((y) => ring([0, y, 0], 0.075, 0.035, 90)),
      ...[0, 120, 240].map((a) => {
        const r = (a * Math.PI) / 180;
        return ring([0.22 * Math.sin(r), -0.78 - 0.22 * Math.cos(r), 0], 0.19, 0.05);
      }),
      bead(0, -0.78, 0.04, 0.07),
      flat(
        [
          [0.04, 0.66, 0.06],
          [0.42, 0.66, 0.06],
          [0.42, 1.0, 0.06],
          [0.04, 1.0, 0.06],
        ],
        { tone: 0.25, hole: (u, v) => v > 0.45 && (Math.abs(u - 0.32) < 0.09 || Math.abs(u - 0.7) < 0.08) },
      ),
      tube(
        through([
          [-0.1, -1.1, 0.1],
          [-0.5, -1.4, 0.1],
          [-0.9, -1.0, 0.1],
          [-0.62, -0.5, 0.1],
          [-0.86, 0, 0.1],
        ]),
        0.02,
        { round: 8, tone: 0.2 },
      ),
    ],
    { z: 30 },
  );

const hourglass = (): Surface[] =>
  moved(
    [
      revolved(
        profileOf([0.46, -0.78], [0.5, -0.5], [0.3, -0.16], [0.06, 0], [0.3, 0.16], [0.5, 0.5], [0.46, 0.78]),
        { tone: (_, v) => (v > 0.3 && v < 0.47 ? 0.45 : v > 0.78 ? 0.5 : -0.02), steps: [64, 64] },
      ),
      ...[-0.86, 0.86].flatMap((y) => [
        revolved((t) => [0.66 * Math.sin(Math.PI * (0.2 + 0.6 * t)) ** 0.2, y - 0.08 + 0.16 * t], {
          edges: ['v0', 'v1'],
          tone: 0.15,
        }),
        revolved((t) => [0.63 * t, y - 0.08], { tone: 0.02, along: 'v' }),
      ]),
      ...[20, 140, 260].map((a) => {
        const r = (a * Math.PI) / 180;
        return tube(
          (t) => [0.56 * Math.sin(r), -0.8 + 1.6 * t, 0.56 * Math.cos(r)],
          ramp(0.05, 0.07, 0.04, 0.035, 0.04, 0.07, 0.05),
          { round: 12, steps: [40, 12] },
        );
      }),
    ],
    { x: -14, z: 5 },
  );

const lamp = (): Surface[] =>
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

const owl = (): Surface[] => {
  const feathers = Array.from({ length: 90 }, (_, i): Mark => {
    const row = Math.floor(i / 9);
    const u = 0.78 + ((i % 9) + (row % 2) * 0.5) * 0.047;
    return {
      at: (t) => [(u + 0.042 * t) % 1, 0.4 + 0.052 * row + 0.03 * Math.sin(Math.PI * t)],
      weight: 0.7,
    };
  });
  const wing = (s: number): Surface[] =>
    Array.from({ length: 7 }, (_, i) =>
      moved(
        [
          blade(
            {
              long: 0.9 - 0.07 * i,
              wide: 0.22,
              shape: (t) => Math.sin(Math.PI * (0.15 + 0.82 * t)) ** 0.6,
              fold: -0.2,
              slant: 0.25,
            },
            { tone: 0.3, marks: [{ at: (t) => [t * 0.96, 0.5], weight: 0.6 }] },
          ),
        ],
        { z: 180 - s * (4 + 4 * i), by: [s * (0.56 - 0.045 * i), -0.16 + 0.05 * i, 0.36 + 0.02 * i] },
      ),
    ).flat();
  return [
    revolved(profileOf([0.2, -0.5], [0.5, -0.3], [0.62, 0.1], [0.5, 0.7], [0.24, 1.0], [0.02, 1.04]), {
      along: 'v',
      tone: 0.1,
      marks: feathers,
      steps: [72, 48],
    }),
    ...wing(1),
    ...wing(-1),
    ball([0, -0.72, 0.06], [0.56, 0.44, 0.46], { tone: 0.12, along: 'v' }),
    ...[-1, 1].flatMap((s) => [
      ...moved(
        whorl(22, () =>
          blade(
            { long: 0.27, wide: 0.07, slant: 0.1 },
            { bare: true, edges: ['v0', 'v1'], contour: 0.5, marks: [], steps: [12, 6] },
          ),
        ),
        { by: [s * 0.23, -0.7, 0.5] },
      ),
      ball([s * 0.23, -0.7, 0.5], [0.14, 0.14, 0.06], { bare: true, steps: [24, 16] }),
      ball([s * 0.23, -0.7, 0.55], [0.08, 0.08, 0.05], { tone: 1, steps: [16, 12] }),
      tube(
        through([
          [s * 0.3, -1.02, 0.2],
          [s * 0.46, -1.2, 0.1],
          [s * 0.5, -1.36, 0.06],
        ]),
        ramp(0.14, 0.08, 0.01),
        { round: 12, tone: 0.35 },
      ),
      ...[0, 1, 2].map((k) =>
        tube(
          through([
            [s * 0.2 + 0.07 * (k - 1), 0.98, 0.2],
            [s * 0.2 + 0.08 * (k - 1), 1.06, 0.32],
            [s * 0.2 + 0.09 * (k - 1), 1.16, 0.26],
          ]),
          0.03,
          { round: 8, steps: [10, 8], tone: 0.4 },
        ),
      ),
    ]),
    tube(
      through([
        [0, -0.7, 0.55],
        [0, -0.6, 0.64],
        [0, -0.48, 0.56],
      ]),
      ramp(0.05, 0.06, 0.008),
      { round: 10, tone: 0.3 },
    ),
    tube(
      through([
        [-1.3, 1.18, 0.1],
        [-0.3, 1.1, 0.12],
        [0.5, 1.14, 0.12],
        [1.3, 0.98, 0.1],
      ]),
      ramp(0.06, 0.09, 0.08, 0.04),
      {
        round: 14,
        tone: 0.2,
        marks: [0.2, 0.34].map((v) => ({
          at: (t) => [t, v + 0.02 * Math.sin(18 * t)] as const,
          weight: 0.5,
        })),
      },
    ),
    ...leafAt(-1.0, 1.14, -28, 0.5, 0.26, { by: 0.1 }),
    ...leafAt(1.1, 1.02, 26, 0.5, 0.26, { by: 0.1 }),
  ];
};

const moon = (): Surface[] => {
  const next = random(4);
  return [
    {
      at: (u, v) => {
        const a = -1.15 + 2.3 * u;
        const s = 2 * v - 1;
        const r = 1 - 0.0 * s;
        const inner: V3 = [
          0.42 + 0.78 * Math.cos(Math.PI - a * 1.18),
          0.78 * Math.sin(Math.PI - a * 1.18) * -1,
          0,
        ];
        const outer: V3 = [r * Math.cos(Math.PI - a * 1.5), -r * Math.sin(Math.PI - a * 1.5), 0];
        const m = [0, 1].map((k) => outer[k]! + (inner[k]! - outer[k]!) * v);
        return [m[0]!, m[1]!, 0.22 * Math.sin(Math.PI * v)];
      },
      steps: [60, 20],
      along: 'u',
      edges: ['v0', 'v1'],
      tone: (_, v) => 0.25 * v,
      dense: 1.1,
    } satisfies Surface,
    ...Array.from({ length: 9 }, (_, i) =>
      starAt(0.25 + 1.2 * next(), -1 + 0.24 * i, 0.06 + 0.1 * next()),
    ).flat(),
  ];
};
function starAt(x: number, y: number, size: number): Surface[] {
  return Array.from({ length: 5 }, (_, i) => {
    const a = (72 * i * Math.PI) / 180;
    const p = (r: number, d: number): V3 => [x + r * Math.sin(a + d), y - r * Math.cos(a + d), 0];
    const w = Math.PI / 5;
    return [
      flat([[x, y, 0.4 * size], p(0.42 * size, -w), p(size, 0)], { bare: true, steps: [8, 8], contour: 0.7 }),
      flat([[x, y, 0.4 * size], p(size, 0), p(0.42 * size, w)], {
        tone: 0.8,
        steps: [8, 8],
        along: 'v',
        contour: 0.7,
      }),
    ];
  }).flat();
}

const yarn = (): Surface[] => {
  const wound = (tilt: number, turn: number, from: number, count: number): Surface[] =>
    Array.from({ length: count }, (_, i) => {
      const h = -0.62 + (1.24 * (i + 0.5)) / count;
      const r = Math.sqrt(Math.max(0.02, 0.78 - h * h));
      return moved(
        [
          tube((t) => [r * Math.cos(Math.PI * t), h, r * Math.sin(Math.PI * t)], 0.06, {
            round: 8,
            steps: [36, 8],
            tone: 0.05,
            edges: [],
          }),
        ],
        { x: tilt, z: turn, size: from },
      );
    }).flat();
  return [
    ...moved(wound(-10, 34, 1, 12), {}),
    ...moved(wound(14, -48, 1.045, 7), {}),
    rope(
      through([
        [0.6, 0.6, 0.3],
        [1.0, 0.86, 0.3],
        [1.4, 0.6, 0.3],
        [1.9, 0.86, 0.3],
      ]),
      0.05,
      26,
    ),
    ...moved(
      [
        tube((t) => [0, -1.3 + 2.5 * t, 0], ramp(0.045, 0.045, 0.04, 0.01), {
          round: 10,
          steps: [30, 10],
          tone: 0.1,
        }),
        bead(0, -1.34, 0, 0.1, { tone: 0.2 }),
      ],
      { z: 42, by: [0.1, -0.1, -0.5] },
    ),
    ...moved(
      [
        tube((t) => [0, -1.3 + 2.5 * t, 0], ramp(0.045, 0.045, 0.04, 0.01), {
          round: 10,
          steps: [30, 10],
          tone: 0.1,
        }),
        bead(0, -1.34, 0, 0.1, { tone: 0.2 }),
      ],
      { z: -38, by: [-0.1, -0.1, -0.6] },
    ),
  ];
};

const watch = (): Surface[] => [
  ...moved(
    [
      ball([0, 0.2, -0.08], [0.82, 0.82, 0.16], { tone: 0.1, steps: [72, 24] }),
      ring([0, 0.2, 0], 0.74, 0.07, 0, { steps: [96, 14] }),
      {
        at: (u, v) => [0.7 * v * Math.cos(2 * Math.PI * u), 0.2 + 0.7 * v * Math.sin(2 * Math.PI * u), 0.14],
        steps: [64, 6],
        along: 'u',
        bare: true,
      } satisfies Surface,
      ...Array.from({ length: 60 }, (_, i) => {
        const a = (Math.PI * i) / 30;
        const [r0, r1] = i % 5 ? [0.6, 0.64] : [0.52, 0.64];
        return wire(
          (t) => [(r0 + (r1 - r0) * t) * Math.sin(a), 0.2 - (r0 + (r1 - r0) * t) * Math.cos(a), 0.16],
          i % 5 ? 0.5 : 1.3,
        );
      }),
      ...[
        [-52, 0.32, 0.05],
        [48, 0.48, 0.04],
      ].map(([a, r, w]) => {
        const k = (a! * Math.PI) / 180;
        return tube((t) => [r! * t * Math.sin(k), 0.2 - r! * t * Math.cos(k), 0.2], ramp(0.01, w!, 0.004), {
          round: 6,
          tone: 0.9,
        });
      }),
      bead(0, 0.2, 0.2, 0.05, { tone: 0.3 }),
      ring([0, -0.78, -0.02], 0.17, 0.035),
      tube((t) => [0, -0.68 + 0.1 * t, -0.02], 0.09, { round: 14, steps: [8, 14], edges: ['u0'] }),
    ],
    { z: 12 },
  ),
  ...Array.from({ length: 9 }, (_, i) => {
    const t = i / 8;
    return moved([ring([0, 0, 0], 0.075, 0.02, 0, { steps: [28, 8] })], {
      x: i % 2 ? 62 : 0,
      y: i % 2 ? 0 : 20,
      z: -40 + 20 * t,
      by: [0.24 + 0.95 * t, -0.92 + 0.36 * Math.sin(3 * t), 0.02 * (i % 2)],
    });
  }).flat(),
];

const snowdrops = (): Surface[] => [
  ...[
    [-0.34, -0.7, -16],
    [0.28, -0.9, 10],
    [0.62, -0.35, 26],
  ].flatMap(([x, y, z], k) => [
    tube(
      through([
        [0.05 * (k - 1), 1.4, 0],
        [x! * 0.5, 0.2, 0],
        [x! - 0.16, y! - 0.42, 0],
        [x! + 0.05, y! - 0.5, 0.05],
        [x! + 0.1, y! - 0.24, 0.1],
      ]),
      ramp(0.035, 0.03, 0.025, 0.02, 0.02),
      { round: 8 },
    ),
    ...moved(
      [
        ball([0, 0, 0.1], [0.085, 0.1, 0.085], { tone: 0.3, steps: [16, 12] }),
        ...[-58, 0, 58].flatMap((a, i) =>
          moved(
            [
              blade(
                {
                  long: 0.62,
                  wide: 0.32,
                  shape: (t) => Math.sin(Math.PI * (0.05 + 0.9 * t)) ** 0.8,
                  fold: 0.35,
                  bend: -0.1,
                  slant: 0.1,
                },
                {
                  along: 'u',
                  tone: 0.06,
                  marks: [0.35, 0.5, 0.65].map((v) => ({
                    at: (t) => [0.1 + 0.8 * t, v] as const,
                    weight: 0.35,
                  })),
                },
              ),
            ],
            { z: 180 + a * 0.55, by: [0, 0.06, i === 1 ? 0.2 : 0.1] },
          ),
        ),
      ],
      { z: z! * 0.5, by: [x! + 0.1, y! - 0.16, 0] },
    ),
  ]),
  ...[
    [-22, 1.5],
    [16, 1.7],
    [-6, 1.2],
    [30, 1.1],
  ].flatMap(([z, long]) =>
    moved(
      [
        blade(
          {
            long: long!,
            wide: 0.17,
            shape: (t) => Math.sqrt(Math.max(0, 1 - t ** 4)),
            fold: 0.4,
            slant: 0.03,
            sway: z! / 80,
          },
          { along: 'u', tone: 0.18 },
        ),
      ],
      { z: z! * 0.6, by: [0, 1.42, 0.05] },
    ),
  ),
];

const chair = (): Surface[] => {
  const leg = (x: number, z: number, y0: number, y1: number): Surface =>
    tube((t) => [x, y0 + (y1 - y0) * t, z], ramp(0.05, 0.06, 0.05, 0.065, 0.04), {
      round: 10,
      steps: [24, 10],
      tone: 0.15,
    });
  return moved(
    [
      ...[
        [-0.5, -0.5],
        [0.5, -0.5],
      ].map(([x, z]) => leg(x!, z!, -1.3, 1.1)),
      ...[
        [-0.55, 0.5],
        [0.55, 0.5],
      ].map(([x, z]) => leg(x!, z!, 0.1, 1.1)),
      ...moved(box(0.62, 0.07, 0.6, [0.2, 0.5, 0.06]), { by: [0, 0.08, 0] }),
      ...[-1.2, -0.9, -0.58].map((y) =>
        tube(
          through([
            [-0.5, y, -0.5],
            [0, y - 0.05, -0.58],
            [0.5, y, -0.5],
          ]),
          0.08,
          { round: 12, flat: 0.4, steps: [24, 12], tone: 0.1 },
        ),
      ),
      ...[0.55, 0.8].flatMap((y) => [
        tube((t) => [-0.52 + 1.04 * t, y, 0.5], 0.03, { round: 8, steps: [16, 8] }),
        tube((t) => [0.52, y, -0.5 + t], 0.03, { round: 8, steps: [16, 8] }),
      ]),
      ball([0, -0.1, 0.0], [0.46, 0.16, 0.44], { tone: 0.14, along: 'v' }),
    ],
    { y: -30, x: -18 },
  );
};

const mothWing = (): Surface[] => {
  const wing = (from: number, to: number, R: (u: number) => number, y: number): Surface => ({
    at: (u, v) => {
      const a = ((from + (to - from) * u) * Math.PI) / 180;
      const r = R(u) * v;
      return [0.06 + r * Math.sin(a), y - r * Math.cos(a), 0.12 * v];
    },
    steps: [40, 40],
    along: 'v',
    edges: ['u0', 'u1', 'v1'],
    tone: (_, v) => 0.1 + 0.45 * Math.abs(Math.sin(9 * v + 0.6)) ** 3 + (v > 0.93 ? 0.3 : 0),
  });
  const half = [
    wing(58, 128, (u) => 1.3 * (0.95 + 0.08 * Math.sin(4 * u)), -0.2),
    wing(118, 172, (u) => 0.92 * (0.9 + 0.12 * Math.sin(Math.PI * u)), 0),
    ring([0.66, -0.02, 0.14], 0.09, 0.016, 0, { bare: true }),
    bead(0.66, -0.02, 0.1, 0.05, { tone: 1 }),
  ];
  return [
    ...half,
    ...half.map((one): Surface => ({
      ...one,
      at: (u, v) => {
        const [x, y, z] = one.at(u, v);
        return [-x, y, z];
      },
    })),
    tube((t) => [0, -0.36 + 1.1 * t, 0.14], ramp(0.06, 0.15, 0.16, 0.13, 0.1, 0.02), {
      tone: 0.3,
      dense: 1.2,
      marks: Array.from({ length: 8 }, (_, i) => ({
        at: (t: number) => [0.42 + 0.065 * i, t] as const,
        weight: 0.7,
      })),
    }),
    ...[-1, 1].flatMap((s) => [
      wire(
        through([
          [s * 0.04, -0.38, 0.16],
          [s * 0.2, -0.62, 0.16],
          [s * 0.44, -0.72, 0.16],
        ]),
        0.8,
      ),
      ...Array.from({ length: 7 }, (_, i) =>
        wire((t) => [s * (0.1 + 0.05 * i - 0.02 * t), -0.5 - 0.034 * i + 0.08 * t, 0.16], 0.4),
      ),
    ]),
  ];
};

const bareBranch = (): Surface[] => {
  const out: Surface[] = [];
  const next = random(19);
  const grow = (x: number, y: number, a: number, long: number, thick: number, depth: number): void => {
    const bend = (next() - 0.5) * 0.7;
    const [x1, y1] = [x + long * Math.sin(a + bend / 2), y - long * Math.cos(a + bend / 2)];
    const mid: V3 = [x + 0.5 * long * Math.sin(a), y - 0.5 * long * Math.cos(a), 0.02 * depth];
    out.push(
      tube(
        through([[x, y, 0.02 * depth], mid, [x1, y1, 0.02 * depth]]),
        ramp(thick, thick * 0.8, thick * 0.66),
        { round: 10, steps: [20, 10], tone: 0.15 },
      ),
    );
    if (depth === 0) {
      out.push(
        ...moved([ball([0, -0.08, 0], [0.045, 0.1, 0.045], { along: 'v', tone: 0.3, steps: [14, 10] })], {
          z: ((a + bend) * 180) / Math.PI,
          by: [x1, y1, 0.05],
        }),
      );
      return;
    }
    grow(x1, y1, a + bend + 0.28, long * 0.78, thick * 0.66, depth - 1);
    grow(x1, y1, a + bend - 0.42, long * 0.66, thick * 0.6, depth - 1);
  };
  grow(0, 1.5, 0, 0.85, 0.1, 4);
  return out;
};

const window_ = (): Surface[] => [
  ...box(0.92, 1.12, 0.08, [0.0, 0.5, 0.0])
    .slice(0, 1)
    .map((one) => ({ ...one, bare: true })),
  ...[
    [-0.44, -0.56],
    [0.44, -0.56],
    [-0.44, 0.06],
    [0.44, 0.06],
    [-0.44, 0.68],
    [0.44, 0.68],
  ].flatMap(([x, y], i) => [
    flat(
      [
        [x! - 0.36, y! - 0.26, 0.1],
        [x! - 0.36, y! + 0.26, 0.1],
        [x! + 0.36, y! + 0.26, 0.1],
        [x! + 0.36, y! - 0.26, 0.1],
      ],
      { along: 'u', tone: (u, v) => 0.34 + 0.3 * Math.sin(2.2 * (u + v) + i) ** 2 },
    ),
  ]),
  ...moved(box(1.06, 0.07, 0.3, [0.1, 0.5, 0.0]), { by: [0, 1.2, 0.2] }),
  ...[-1, 1].flatMap((s) =>
    [0, 1, 2, 3].map((k) =>
      tube(
        through([
          [s * (0.98 - 0.13 * k), -1.24, 0.3],
          [s * (0.95 - 0.1 * k), -0.3, 0.3],
          [s * (1.06 - 0.03 * k), 0.36, 0.34],
          [s * (1.08 - 0.06 * k), 1.1, 0.3],
        ]),
        ramp(0.1, 0.09, 0.06, 0.1),
        { round: 14, tone: 0.12 },
      ),
    ),
  ),
  tube((t) => [-1.3 + 2.6 * t, -1.3, 0.4], 0.045, { round: 10, steps: [30, 10], tone: 0.2 }),
  bead(-1.34, -1.3, 0.4, 0.09),
  bead(1.34, -1.3, 0.4, 0.09),
  ...moved(
    [
      revolved(profileOf([0.2, -0.14], [0.17, 0.1], [0.13, 0.24]), { tone: 0.2, edges: ['v0', 'v1'] }),
      ...[-40, -14, 12, 38].flatMap((z) =>
        moved([blade({ long: 0.5, wide: 0.2, veins: 3 })], { z, by: [0, -0.1, 0.1] }),
      ),
    ],
    { by: [0.4, 0.92, 0.5] },
  ),
];

export const QUIET_STAMPS: readonly Motif[] = [
  motif('Candle', 'candle light evening', 2, candle, true),
  motif('Open book', 'book read page', 2.4, book, true),
  motif('Books and cup', 'book read cup', 2.2, books, true),
  motif('Spectacles', 'glasses read old', 2, spectacles),
  motif('Ink and quill', 'ink quill write', 2.4, ink, true),
  motif('Key', 'key secret old', 2, key),
  motif('Hourglass', 'hourglass time sand', 2, hourglass),
  motif('Oil lamp', 'lamp light evening', 2.2, lamp, true),
  motif('Owl', 'owl bird night', 2.4, owl, true),
  motif('Moon and stars', 'moon star night', 1.8, moon),
  motif('Ball of wool', 'wool yarn knit', 2.2, yarn, true),
  motif('Pocket watch', 'watch time clock', 2, watch),
  motif('Snowdrops', 'flower snowdrop winter', 2.4, snowdrops),
  motif('Chair', 'chair rest home', 2.2, chair),
  motif('Moth', 'moth insect night', 1.8, mothWing),
  motif('Bare branch', 'branch tree winter', 2.4, bareBranch),
  motif('Window', 'window home curtain', 2.4, window_, true),
];
