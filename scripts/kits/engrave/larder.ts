/** What a larder keeps. */
import {
  ball,
  bead,
  blade,
  leafAt,
  type Mark,
  moved,
  profileOf,
  ramp,
  revolved,
  rope,
  type Surface,
  through,
  tube,
} from './surface';
import { ABOVE } from './vessels';

export const jar = (): Surface[] => [
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

export const honey = (): Surface[] => [
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

export const lemon = (): Surface[] => {
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

export const cherries = (): Surface[] => [
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
