/** What one takes to a beach, and finds there. */
import { ripples } from './boats';
import {
  ball,
  bead,
  blade,
  LEAF,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  type Surface,
  through,
  tube,
} from './surface';

export const bucket = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.52, -0.6], [0.48, -0.1], [0.42, 0.5]), {
        edges: ['v0', 'v1'],
        tone: (_, v) => (v > 0.3 && v < 0.55 ? 0.4 : 0),
      }),
      ring([0, -0.6, 0], 0.53, 0.035, 90, { steps: [64, 12] }),
      revolved((t) => [0.5 * t, -0.6 - 0.16 * (1 - t) ** 2], {
        tone: (u, v) => 0.1 + 0.12 * Math.sin(60 * u) * Math.cos(50 * v),
        steps: [48, 16],
      }),
      tube(
        through([
          [-0.53, -0.58, 0],
          [-0.5, -1.05, 0.25],
          [0, -1.3, 0.35],
          [0.5, -1.05, 0.25],
          [0.53, -0.58, 0],
        ]),
        0.022,
        { round: 8 },
      ),
    ],
    { x: -22, z: 4 },
  ),
  ...moved(
    [
      tube((t) => [0, -0.9 + 1.2 * t, 0], 0.04, {
        round: 12,
        steps: [30, 12],
        marks: [0.2, 0.35, 0.55].map((v) => ({ at: (t) => [t, v] as const, weight: 0.35 })),
      }),
      tube((t) => [-0.14 + 0.28 * t, -0.92, 0], 0.04, { round: 10, steps: [12, 10] }),
      blade(
        {
          long: 0.62,
          wide: 0.42,
          shape: (t) => Math.min(1, 0.75 + t) * (1 - Math.max(0, t - 0.6) ** 2 * 4.5),
          fold: 0.25,
        },
        { tone: 0.15, edges: ['u0', 'v0', 'v1', 'u1'] },
      ),
    ].map((one, i) => (i === 2 ? moved([one], { z: 180, by: [0, 0.28, 0.02] })[0]! : one)),
    { z: 24, by: [0.85, 0.02, 0.2] },
  ),
];

export const umbrella = (): Surface[] => [
  ...moved(
    [
      tube((t) => [0, -0.9 + 2.5 * t, 0], ramp(0.06, 0.06, 0.055, 0.02), {
        round: 14,
        steps: [60, 14],
        tone: 0.25,
      }),
      {
        at: (u, v) => {
          const a = 2 * Math.PI * u;
          const r = 1.15 * Math.sin(1.25 * v) * (1 - 0.045 * v * Math.abs(Math.sin(4 * a)));
          return [
            r * Math.cos(a),
            -0.86 + 0.72 * (1 - Math.cos(1.25 * v)) + 0.03 * v * Math.abs(Math.sin(4 * a)),
            r * Math.sin(a),
          ];
        },
        steps: [96, 24],
        along: 'v',
        edges: ['v1'],
        tone: (u) => (Math.floor(u * 8) % 2 ? 0.55 : 0),
        marks: Array.from({ length: 8 }, (_, i) => ({ at: (t: number) => [i / 8, t] as const, weight: 0.7 })),
      },
      bead(0, -0.92, 0, 0.06),
    ],
    { x: -24, z: 16 },
  ),
  ...ripples(1.5, 1.5, 31),
];

export const pebbles = (): Surface[] => {
  const stone = (x: number, y: number, w: number, h: number, turn: number, tone: number): Surface[] =>
    moved(
      [
        ball([0, 0, 0], [w, h, 0.5 * w], {
          steps: [40, 26],
          tone,
          along: 'v',
          marks: [
            {
              at: (t) => [0.72 + 0.56 * t - (0.72 + 0.56 * t > 1 ? 1 : 0), 0.38 + 0.1 * t],
              weight: tone > 0.2 ? 0 : 0.5,
            },
          ],
        }),
      ],
      { z: turn, by: [x, y, 0] },
    );
  return [
    ...stone(0, 0.55, 0.78, 0.3, 2, 0.05),
    ...stone(-0.06, 0.06, 0.56, 0.24, -4, 0.3),
    ...stone(0.05, -0.34, 0.42, 0.19, 5, 0.02),
    ...stone(0.0, -0.64, 0.27, 0.14, -6, 0.25),
    ...stone(0.02, -0.86, 0.14, 0.1, 8, 0.05),
    ...ripples(0.86, 1.7, 44),
  ];
};

export const seaHolly = (): Surface[] => {
  const head = (x: number, y: number, size: number, turn: number): Surface[] =>
    moved(
      [
        ...Array.from({ length: 11 }, (_, i) =>
          moved(
            [
              blade(
                {
                  long: 0.62,
                  wide: 0.2,
                  shape: (t) => (1 - t) ** 0.6 * (0.75 + 0.5 * Math.abs(Math.sin(9 * t))),
                  bend: 0.06,
                  fold: 0.3,
                  veins: 3,
                },
                { steps: [40, 12] },
              ),
            ],
            { z: (360 * i) / 11, by: [0, 0, -0.1 - 0.01 * (i % 2)] },
          ),
        ).flat(),
        ...Array.from({ length: 70 }, (_, i) => {
          // Florets by the golden angle (Vogel 1979).
          const [a, r] = [2.39996 * i, 0.225 * Math.sqrt(i / 70)];
          return bead(r * Math.cos(a), r * Math.sin(a) * 0.9 - 0.05, 0.26 * (1 - (r / 0.26) ** 2), 0.027, {
            steps: [8, 6],
            tone: 0.15,
          });
        }),
      ],
      { size, z: turn, by: [x, y, 0.1] },
    );
  return [
    ...head(0, -0.8, 0.95, 0),
    ...head(-0.68, -0.05, 0.66, -24),
    ...head(0.6, -0.2, 0.72, 20),
    tube(
      through([
        [0, -0.7, -0.1],
        [0.04, 0.2, -0.1],
        [-0.02, 1.3, -0.1],
      ]),
      ramp(0.045, 0.055, 0.06),
      { round: 14, tone: 0.3 },
    ),
    tube(
      through([
        [-0.66, 0, -0.1],
        [-0.3, 0.5, -0.1],
        [0, 0.8, -0.1],
      ]),
      0.042,
      { round: 14, tone: 0.3 },
    ),
    tube(
      through([
        [0.58, -0.12, -0.1],
        [0.3, 0.35, -0.1],
        [0.03, 0.6, -0.1],
      ]),
      0.042,
      { round: 14, tone: 0.3 },
    ),
    ...[
      [0.02, 0.95, 64],
      [0, 0.9, -58],
      [0.02, 0.5, -80],
    ].flatMap(([x, y, z]) =>
      moved(
        [
          blade({
            long: 0.62,
            wide: 0.34,
            shape: (t) => LEAF(t) * (0.72 + 0.4 * Math.abs(Math.sin(8 * t))),
            veins: 4,
            bend: 0.1,
          }),
        ],
        { z: z!, by: [x!, y!, -0.05] },
      ),
    ),
  ];
};
