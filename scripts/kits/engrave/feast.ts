/** Hats, horns and bunting. */
import {
  ball,
  bead,
  blade,
  flat,
  moved,
  ramp,
  revolved,
  ring,
  rope,
  type Surface,
  through,
  tube,
  type V3,
  wire,
} from './surface';

export const hat = (): Surface[] =>
  moved(
    [
      revolved((t) => [0.02 + 0.62 * t, -1.1 + 1.8 * t], {
        along: 'v',
        edges: ['v1'],
        tone: (u, v) => ((((u * 5 + v * 2.4) % 1) + 1) % 1 < 0.42 ? 0.62 : 0.02),
        steps: [72, 44],
      }),
      ...Array.from({ length: 26 }, (_, i) => {
        const a = (2 * Math.PI * i) / 26;
        return ball([0.64 * Math.sin(a), 0.72, 0.64 * Math.cos(a)], [0.1, 0.1, 0.1], { steps: [12, 10] });
      }),
      ...Array.from({ length: 40 }, (_, i) => {
        const [a, b] = [2.4 * i, Math.acos(1 - (2 * (i + 0.5)) / 40)];
        return wire(
          (t) => [
            0.28 * t * Math.sin(b) * Math.cos(a),
            -1.16 - 0.28 * t * Math.cos(b),
            0.28 * t * Math.sin(b) * Math.sin(a) + 0.1,
          ],
          0.9,
        );
      }),
    ],
    { z: 14, x: -12 },
  );

export const horn = (): Surface[] =>
  moved(
    [
      tube(
        (t) => [-1.2 + 2.2 * t, 0.12 * Math.sin(3 * t), 0],
        (t) => 0.06 + 0.04 * t + 0.36 * t ** 7,
        { round: 24, steps: [70, 24], edges: ['u1'], tone: 0.06 },
      ),
      ...[0.18, 0.5, 0.74].map(
        (t) =>
          moved([ring([0, 0, 0], 0.09 + 0.05 * t, 0.026, 90)], {
            z: 90,
            by: [-1.2 + 2.2 * t, 0.12 * Math.sin(3 * t), 0],
          })[0]!,
      ),
      ball([-1.22, 0, 0], [0.06, 0.1, 0.1], { tone: 0.2 }),
      tube(
        through([
          [-0.5, 0.16, 0.1],
          [-0.4, 0.62, 0.1],
          [0.2, 0.66, 0.1],
          [0.26, 0.2, 0.1],
        ]),
        ramp(0.02, 0.03, 0.03, 0.02),
        { round: 8, tone: 0.2 },
      ),
      ...[-0.28, 0.12].flatMap((x) => [
        wire((t) => [x, 0.64 + 0.34 * t, 0.1], 0.8),
        ...Array.from({ length: 9 }, (_, i) =>
          wire((t) => [x + (i - 4) * 0.02 * (1 + t), 0.98 + 0.3 * t, 0.1], 0.7),
        ),
      ]),
    ],
    { z: -22 },
  );

export const drum = (): Surface[] => [
  ...moved(
    [
      revolved((t) => [0.82, -0.42 + 0.9 * t], { along: 'v', tone: 0.16, steps: [72, 16] }),
      ...[-0.46, 0.46].map((y) =>
        revolved((t) => [0.87, y - 0.09 + 0.18 * t], { tone: 0.4, edges: ['v0', 'v1'], steps: [72, 6] }),
      ),
      revolved((t) => [0.83 * t, -0.54], { tone: -0.1, along: 'v', edges: ['v1'] }),
      ...Array.from({ length: 12 }, (_, i) => {
        const [a, b] = [(2 * Math.PI * i) / 12, (2 * Math.PI * (i + 0.5)) / 12];
        const p = (k: number, y: number): V3 => [0.85 * Math.sin(k), y, 0.85 * Math.cos(k)];
        return [
          tube(
            (t) => {
              const k = a + (b - a) * t;
              return p(k, -0.38 + 0.76 * t);
            },
            0.018,
            { round: 6, steps: [14, 6] },
          ),
          tube(
            (t) => {
              const k = b + (b - a) * t;
              return p(k, 0.38 - 0.76 * t);
            },
            0.018,
            { round: 6, steps: [14, 6] },
          ),
        ];
      }).flat(),
    ],
    { x: -26 },
  ),
  ...[
    [-1, 34],
    [1, -30],
  ].flatMap(([s, z]) =>
    moved(
      [
        tube((t) => [0, -0.9 + 1.5 * t, 0], ramp(0.035, 0.045, 0.035), { round: 10, steps: [20, 10] }),
        bead(0, -0.95, 0, 0.09),
      ],
      { z: z!, by: [s! * 0.3, -0.95, 0.9] },
    ),
  ),
];

export const crown = (): Surface[] =>
  moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const peak = 0.5 * Math.abs(Math.cos(3.5 * a)) ** 1.4 + 0.32;
          const r = 0.72 + 0.16 * (1 - v);
          return [r * Math.sin(a), 0.4 - (1 - v) * (peak + 0.2), r * Math.cos(a)];
        },
        steps: [168, 20],
        along: 'v',
        edges: ['v0', 'v1'],
        tone: 0.1,
      } satisfies Surface,
      ...Array.from({ length: 7 }, (_, i) => {
        const a = (2 * Math.PI * i) / 7;
        return bead(0.88 * Math.sin(a), -0.68, 0.88 * Math.cos(a), 0.09, { tone: 0.15 });
      }),
      ...[0.3, 0.42].map((y) => ring([0, y, 0], 0.74, 0.035, 90, { steps: [72, 10] })),
      ...Array.from({ length: 14 }, (_, i) => {
        const a = (2 * Math.PI * (i + 0.5)) / 14;
        return ball([0.76 * Math.sin(a), 0.18, 0.76 * Math.cos(a)], [0.07, i % 2 ? 0.07 : 0.1, 0.05], {
          tone: i % 2 ? 0.5 : 0.1,
          steps: [14, 10],
        });
      }),
    ],
    { x: -16, z: -6 },
  );

export const mask = (): Surface[] => {
  const half = (s: number): Surface => ({
    at: (u, v) => {
      const x = 1.05 * u;
      const top = -0.34 - 0.24 * Math.sin(Math.PI * u) - 0.3 * u ** 3;
      const low = 0.36 - 0.12 * Math.cos(2.2 * Math.PI * u) - 0.42 * u ** 2;
      return [s * x, top + (low - top) * v, 0.35 * (1 - u * u) + 0.08 * Math.sin(Math.PI * v)];
    },
    steps: [48, 30],
    along: 'u',
    edges: ['v0', 'v1', 'u1'],
    tone: (u, v) => (s > 0 ? 0.14 : 0.02) + (Math.abs(v - 0.06) < 0.05 || v > 0.93 ? 0.5 : 0),
    hole: (u, v) => ((u - 0.46) / 0.2) ** 2 + ((v - 0.52) / 0.2) ** 2 < 1,
  });
  return [
    half(1),
    half(-1),
    ...[-1, 1].map((s) =>
      tube(
        (t) => {
          const a = 2 * Math.PI * t;
          const u = 0.46 + 0.21 * Math.cos(a);
          const v = 0.52 + 0.22 * Math.sin(a);
          const p = half(s).at(u, v);
          return [p[0], p[1], p[2] + 0.02];
        },
        0.028,
        { round: 8, steps: [60, 8], tone: 0.3 },
      ),
    ),
    ...[-1, 1].flatMap((s) =>
      [-18, 4, 26].flatMap((z, i) =>
        moved(
          [
            blade(
              {
                long: 0.95 - 0.12 * i,
                wide: 0.26,
                shape: (t) => Math.sin(Math.PI * (0.1 + 0.84 * t)) ** 0.7,
                slant: 0.4,
                fold: -0.15,
              },
              { tone: 0.2, dense: 1.1, marks: [{ at: (t) => [t * 0.97, 0.5], weight: 0.7 }] },
            ),
          ],
          { z: s * z, by: [s * 0.1, -0.42, 0.2 - 0.04 * i] },
        ),
      ),
    ),
    ball([0, -0.44, 0.5], [0.1, 0.13, 0.08], { tone: 0.3 }),
    tube((t) => [-1 - 0.1 * t, 0.0 + 1.5 * t, 0], ramp(0.03, 0.04), { round: 8, tone: 0.2, steps: [20, 8] }),
  ];
};

export const bunting = (): Surface[] => {
  const line = through([
    [-1.7, -0.3, 0],
    [-0.85, 0.16, 0],
    [0, 0.28, 0],
    [0.85, 0.16, 0],
    [1.7, -0.3, 0],
  ]);
  return [
    rope(line, 0.022, 70),
    ...Array.from({ length: 7 }, (_, i) => {
      const [p, q] = [line(0.05 + i * 0.136), line(0.05 + i * 0.136 + 0.1)];
      const m: V3 = [(p[0] + q[0]) / 2 - (q[1] - p[1]) * 0.4, (p[1] + q[1]) / 2 + 0.6, 0.06];
      const k = i % 3;
      return [
        flat([p, q, m], {
          along: 'u',
          bulge: 0.06,
          tone: k === 0 ? 0.5 : k === 1 ? 0.04 : (u) => ((u * 5) % 1 < 0.5 ? 0.55 : 0),
        }),
        ...(k === 1
          ? [0.25, 0.5, 0.75].map((t) =>
              bead(
                p[0] + (q[0] - p[0]) * t,
                p[1] + (q[1] - p[1]) * t + 0.16 - 0.1 * Math.abs(t - 0.5),
                0.08,
                0.035,
                { tone: 0.9, steps: [8, 6] },
              ),
            )
          : []),
      ];
    }).flat(),
    ...[-1, 1].flatMap((s) => [
      bead(s * 1.7, -0.32, 0, 0.06),
      wire(
        through([
          [s * 1.7, -0.3, 0],
          [s * 1.86, 0, 0],
          [s * 1.74, 0.3, 0],
        ]),
        1,
      ),
    ]),
  ];
};
