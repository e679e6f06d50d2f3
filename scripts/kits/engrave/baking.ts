/** What is baked, and what with. */
import {
  ball,
  bead,
  between,
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
import { ABOVE, steam } from './vessels';

export const bowl = (): Surface[] => [
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

export function whisk(): Surface[] {
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

export const rollingPin = (): Surface[] =>
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

export const loaf = (): Surface[] => [
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

export const cupcake = (): Surface[] => {
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

export const cakeStand = (): Surface[] => [
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

export const croissant = (): Surface[] => {
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

export const pretzel = (): Surface[] => [
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
];

export const pie = (): Surface[] => [
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
