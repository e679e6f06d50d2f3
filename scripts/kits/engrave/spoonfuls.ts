/** Spoons, mills and letters of a kitchen. */
import { whisk } from './baking';
import {
  ball,
  bead,
  flat,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  type Surface,
  through,
  tube,
  type V3,
  wire,
} from './surface';
import { ABOVE } from './vessels';

export const garlic = (): Surface[] =>
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

export const pepperMill = (): Surface[] =>
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

export const grinder = (): Surface[] => {
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

export const spoons = (): Surface[] => [
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

export const envelope = (): Surface[] =>
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
