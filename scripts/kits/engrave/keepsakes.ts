/** Old things that are kept. */
import { box } from './reading';
import {
  ball,
  bead,
  blade,
  flat,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  rope,
  type Surface,
  through,
  tube,
  wire,
} from './surface';

export const key = (): Surface[] =>
  moved(
    [
      tube((t) => [0, -0.5 + 1.62 * t, 0], ramp(0.12, 0.1, 0.095, 0.095, 0.1), {
        round: 18,
        steps: [60, 18],
        tone: 0.12,
        edges: ['u1'],
      }),
      ...[-0.5, -0.32, 0.5].map((y) => ring([0, y, 0], 0.12, 0.06, 90, { steps: [60, 14], tone: 0.1 })),
      ...[0, 120, 240].map((a) => {
        const r = (a * Math.PI) / 180;
        return ring([0.33 * Math.sin(r), -1.0 - 0.33 * Math.cos(r), 0.02], 0.25, 0.085, 0, {
          steps: [96, 16],
          tone: 0.1,
        });
      }),
      bead(0, -1.0, 0.08, 0.15, { steps: [30, 20], tone: 0.12 }),
      ...[
        [0.24, 0.68, 0.24, 0.065],
        [0.42, 0.84, 0.065, 0.22],
        [0.24, 1.0, 0.24, 0.065],
        [0.2, 0.84, 0.14, 0.05],
      ].flatMap(([x, y, w, h]) => moved(box(w!, h!, 0.06, [0.25, 0.55, 0.1]), { by: [x!, y!, 0.02] })),
    ],
    { x: -6, y: 14, z: 34 },
  );

export const hourglass = (): Surface[] =>
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

export const yarn = (): Surface[] => {
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

export const watch = (): Surface[] => [
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

export const chair = (): Surface[] => {
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

export const window_ = (): Surface[] => [
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
