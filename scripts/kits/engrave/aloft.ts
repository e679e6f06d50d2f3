/** Kites, gulls and feathers. */
import { ball, bead, blade, flat, moved, ramp, type Surface, through, tube, type V3, wire } from './surface';

const bow = (x: number, y: number, z: number, turn: number, size: number): Surface[] =>
  moved(
    [
      ...[-1, 1].map((side) =>
        flat(
          [
            [0, 0, 0],
            [side, -0.55, 0.08],
            [side * 1.05, 0.5, 0],
            [0, 0, 0.02],
          ],
          { bulge: 0.2, tone: side > 0 ? 0.35 : 0.1, along: 'u' },
        ),
      ),
      bead(0, 0, 0.1, 0.2),
    ],
    { z: turn, size, by: [x, y, z] },
  );

const tail = (from: V3, steps: readonly V3[], bows: number, size: number): Surface[] => {
  const line = through([from, ...steps]);
  return [
    wire(line, 0.7),
    ...Array.from({ length: bows }, (_, i) => {
      const t = 0.2 + (0.78 * i) / (bows - 1);
      const [p, q] = [line(t), line(t + 0.01)];
      return bow(
        p[0],
        p[1],
        p[2] + 0.02,
        (Math.atan2(q[1] - p[1], q[0] - p[0]) * 180) / Math.PI + 90,
        size * (1 - 0.3 * t),
      );
    }).flat(),
  ];
};

export const diamondKite = (): Surface[] => {
  const [top, left, right, foot, middle]: V3[] = [
    [0, -1, 0],
    [-0.78, -0.36, -0.16],
    [0.78, -0.36, -0.16],
    [0, 0.95, 0],
    [0, -0.36, 0.2],
  ];
  const panel = (a: V3, b: V3, tone: number): Surface =>
    flat([middle!, a, b], {
      bulge: 0.05,
      tone,
      along: 'v',
      steps: [24, 20],
      marks: [0.33, 0.66].map((v) => ({ at: (t) => [t, v] as const, weight: 0.35 })),
    });
  return [
    ...moved(
      [
        panel(top!, left!, 0.05),
        panel(right!, top!, 0.5),
        panel(left!, foot!, 0.4),
        panel(foot!, right!, 0.12),
        tube((t) => [0, -1.02 + 2 * t, 0.03 + 0.17 * Math.sin(Math.PI * Math.min(1, t * 1.5))], 0.016, {
          round: 8,
          steps: [30, 8],
        }),
      ],
      { z: 24 },
    ),
    ...tail(
      [-0.39, 0.86, 0],
      [
        [-0.62, 1.15, 0],
        [-0.3, 1.42, 0],
        [-0.66, 1.72, 0],
        [-0.4, 2.02, 0],
        [-0.6, 2.3, 0],
      ],
      6,
      0.12,
    ),
    wire(
      through([
        [0.14, -0.32, 0.3],
        [0.5, 0.5, 0.3],
        [1.1, 1.3, 0.3],
        [1.25, 2.2, 0.3],
      ]),
      0.45,
    ),
  ];
};

export const boxKite = (): Surface[] => {
  const cell = (y: number): Surface[] => {
    const c: readonly (readonly [number, number])[] = [
      [-0.5, -0.5],
      [0.5, -0.5],
      [0.5, 0.5],
      [-0.5, 0.5],
    ];
    return c.map(([x, z], i) => {
      const [x1, z1] = c[(i + 1) % 4]!;
      return flat(
        [
          [x, y, z],
          [x, y + 0.52, z],
          [x1, y + 0.52, z1],
          [x1, y, z1],
        ],
        { tone: [0.5, 0.25, 0.02, 0.4][i]!, along: 'v', bulge: 0.03, steps: [24, 24] },
      );
    });
  };
  return [
    ...moved(
      [
        ...cell(-0.95),
        ...cell(0.35),
        ...[
          [-0.5, -0.5],
          [0.5, -0.5],
          [0.5, 0.5],
          [-0.5, 0.5],
        ].map(([x, z]) => tube((t) => [x!, -1.02 + 1.96 * t, z!], 0.022, { round: 8, steps: [24, 8] })),
      ],
      { y: 28, x: -22, z: -24 },
    ),
    wire(
      through([
        [-0.4, 0.5, 0.9],
        [-0.9, 0.9, 0.6],
        [-1.15, 1.5, 0.5],
      ]),
      0.5,
    ),
  ];
};

const FEATHER = (t: number): number => Math.min(1, 3.4 * t) ** 0.6 * (1 - t ** 3.2) ** 0.5;

export const feather = (
  long: number,
  wide: number,
  bend: number,
  splits: readonly number[] = [],
): Surface[] => [
  blade(
    { long, wide, shape: FEATHER, bend: 0.2, fold: -0.25, sway: bend, slant: 0.34 },
    {
      dense: 1.25,
      steps: [60, 24],
      tone: (u, v) => 0.2 + (v > 0.5 ? 0.3 : 0.05) + 0.2 * (1 - u),
      hole: (u, v) =>
        splits.some(
          (at, i) => Math.abs(u - at) < 0.013 * Math.abs(2 * v - 1) ** 1.5 && (i % 2 ? v > 0.68 : v < 0.34),
        ),
    },
  ),
  tube(
    (t) => [
      bend * (t * 1.24 - 0.24) ** 2 * (t > 0.2 ? 1 : 0.2),
      -long * (1.24 * t - 0.24),
      0.03 + 0.2 * Math.max(0, t) ** 2,
    ],
    ramp(0.03, 0.03, 0.02, 0.006),
    { round: 8, steps: [50, 8] },
  ),
];

export const gull = (): Surface[] => {
  const wing = (side: 1 | -1): Surface[] => {
    const arm = through([
      [0.12, -0.05, 0.1],
      [0.62, -0.42, 0.14],
      [1.15, -0.36, 0.1],
      [1.75, -0.02, 0],
    ]);
    const quill = (t: number, long: number, turn: number, wide: number): Surface[] =>
      moved(
        [
          blade(
            { long, wide, shape: FEATHER, fold: -0.2, slant: 0.3 },
            {
              tone: (u) => 0.08 + 0.5 * u ** 3 * (t > 0.7 ? 1.6 : 0.6),
              steps: [30, 12],
              marks: [{ at: (s) => [s, 0.5], weight: 0.5 }],
            },
          ),
        ],
        {
          z: turn,
          by: [arm(t)[0], arm(t)[1], arm(t)[2] - 0.05 - 0.012 * (1 - t)],
        },
      );
    const flight = Array.from({ length: 19 }, (_, i) => {
      const t = 1 - i / 19;
      return quill(t, 0.34 + 0.3 * t ** 2 + (i < 6 ? 0.1 : 0), 180 - 62 * t ** 2.2, 0.12 + 0.03 * (1 - t));
    }).flat();
    const coverts = Array.from({ length: 15 }, (_, i) => {
      const t = 0.96 - i / 16;
      return moved(quill(t, 0.24, 178 - 45 * t ** 2, 0.12), { by: [0, 0, 0.04] });
    }).flat();
    const edge = tube(arm, ramp(0.1, 0.075, 0.055, 0.012), { flat: 0.6, steps: [50, 14] });
    return [...flight, ...coverts, edge].map((one) => ({
      ...one,
      at: (u: number, v: number) => {
        const [x, y, z] = one.at(u, v);
        return [side * x, y, z] as V3;
      },
    }));
  };
  const tailFeathers = [-24, -12, 0, 12, 24].flatMap((a) =>
    moved([blade({ long: 0.42, wide: 0.15, shape: FEATHER, fold: -0.1 }, { tone: 0.1, steps: [24, 10] })], {
      z: 180 + a,
      by: [0, 0.42, -0.02],
    }),
  );
  return moved(
    [
      ...wing(1),
      ...wing(-1),
      ...tailFeathers,
      tube((t) => [0, -0.52 + 1.05 * t, 0.12], ramp(0.02, 0.12, 0.15, 0.19, 0.2, 0.17, 0.1, 0.02), {
        steps: [60, 24],
        tone: (u) => 0.1 * u,
      }),
      ball([0, -0.5, 0.14], [0.115, 0.13, 0.115], { steps: [24, 16] }),
      tube((t) => [0, -0.58 - 0.2 * t, 0.14 - 0.03 * t * t], ramp(0.05, 0.04, 0.008), {
        round: 10,
        steps: [16, 10],
        tone: 0.3,
      }),
      bead(0.075, -0.55, 0.2, 0.022, { tone: 1 }),
    ],
    { z: 28, x: -12, y: 10 },
  );
};
