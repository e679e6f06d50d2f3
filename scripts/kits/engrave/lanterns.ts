/** Lanterns of paper. */
import {
  ball,
  bead,
  corners,
  flat,
  moved,
  profileOf,
  revolved,
  ring,
  type Surface,
  tube,
  type V3,
  wire,
} from './surface';

const ribbed = (
  profile: (t: number) => readonly [number, number],
  ribs: number,
  deep: number,
  more: Partial<Surface> = {},
): Surface => ({
  at: (u, v) => {
    const [r0, y] = profile(v);
    const a = 2 * Math.PI * (u + 0.0137);
    const r = r0 * (1 - deep * Math.abs(Math.cos((ribs * a) / 2)) ** 3);
    return [r * Math.sin(a), y, r * Math.cos(a)];
  },
  steps: [ribs * 8, 40],
  along: 'v',
  marks: Array.from({ length: ribs }, (_, i) => ({
    at: (t: number) =>
      [(i + 0.5) / ribs > 1 ? 0 : (i + 0.5) / ribs - 0.0137 > 0 ? (i + 0.5) / ribs - 0.0137 : 0, t] as const,
    weight: 0.6,
  })),
  ...more,
});

const tassel = (y: number, long: number): Surface[] => [
  bead(0, y, 0.02, 0.07, { tone: 0.2 }),
  ...Array.from({ length: 15 }, (_, i) =>
    wire((t) => [(i - 7) * (0.008 + 0.012 * t), y + 0.06 + long * t, 0.02], 0.7),
  ),
];

export const lantern = (): Surface[] => [
  ...moved(
    [
      {
        at: (u, v) => {
          const a = 2 * Math.PI * (u + 0.0137);
          const b = Math.PI * (0.13 + 0.74 * v);
          const k = 1 - 0.05 * Math.abs(Math.cos(11 * Math.PI * v)) ** 2;
          return [
            0.92 * k * Math.sin(b) * Math.sin(a),
            -0.8 * Math.cos(b),
            0.92 * k * Math.sin(b) * Math.cos(a),
          ];
        },
        steps: [72, 88],
        along: 'u',
        tone: (_, v) => 0.12 + 0.32 * Math.abs(Math.cos(11 * Math.PI * v)) ** 6,
      } satisfies Surface,
      ...[-0.76, 0.76].map((y) =>
        revolved((t) => [0.38 - 0.02 * t, y - 0.09 + 0.18 * t], {
          tone: 0.7,
          edges: ['v0', 'v1'],
          steps: [48, 8],
        }),
      ),
    ],
    { x: 10 },
  ),
  tube((t) => [0, -1.35 + 0.5 * t, 0], 0.018, { round: 6, steps: [10, 6] }),
  ring([0, -1.4, 0], 0.07, 0.02),
  ...tassel(0.95, 0.5),
];

export const tallLantern = (): Surface[] => [
  ...moved(
    [
      ribbed(profileOf([0.4, -0.72], [0.52, -0.3], [0.54, 0.2], [0.44, 0.7]), 12, 0.05, {
        tone: (u, v) => 0.06 + (Math.abs(v - 0.5) < 0.04 ? 0.4 : 0),
      }),
      revolved(profileOf([0.06, -1.02], [0.3, -0.92], [0.62, -0.74], [0.66, -0.68]), {
        tone: 0.35,
        edges: ['v1'],
      }),
      revolved((t) => [0.5 - 0.08 * t, 0.7 + 0.12 * t], { tone: 0.6, edges: ['v0', 'v1'], steps: [48, 8] }),
      ring([0, -1.12, 0], 0.1, 0.025),
    ],
    { x: 10 },
  ),
  ...[-0.24, 0, 0.24].flatMap((x) => moved(tassel(0.92, 0.36), { by: [x, -0.02 * Math.abs(x), 0] })),
];

export const starLantern = (): Surface[] => {
  const points = (z: number): V3[] =>
    Array.from({ length: 10 }, (_, i) => {
      const a = (Math.PI * i) / 5;
      const r = i % 2 ? 0.44 : 1.1;
      return [r * Math.sin(a), -r * Math.cos(a), z];
    });
  const p = points(0);
  return [
    ...p.map((at, i) =>
      flat([[0, 0, 0.42], at, p[(i + 1) % 10]!], { along: 'v', tone: i % 2 ? 0.5 : 0.02, steps: [20, 20] }),
    ),
    wire((t) => [0, -1.5 + 0.42 * t, 0], 1),
    ...moved(tassel(0, 0.44), { by: [0, 0.96, 0] }),
  ];
};

export const lampion = (): Surface[] => [
  ...moved(
    [
      ...[0, 1, 2, 3].map((i) => {
        const a0 = (90 * i * Math.PI) / 180;
        const [x0, z0, x1, z1] = [
          0.5 * Math.sin(a0),
          0.5 * Math.cos(a0),
          0.5 * Math.sin(a0 + Math.PI / 2),
          0.5 * Math.cos(a0 + Math.PI / 2),
        ];
        return flat(
          [
            [x0, -0.6, z0],
            [x0, 0.6, z0],
            [x1, 0.6, z1],
            [x1, -0.6, z1],
          ],
          { along: 'u', tone: 0.06, bare: true },
        );
      }),
      ...[0, 1, 2, 3].map((i) => {
        const a = (90 * i * Math.PI) / 180;
        return tube((t) => [0.5 * Math.sin(a), -0.62 + 1.24 * t, 0.5 * Math.cos(a)], 0.045, {
          round: 10,
          steps: [20, 10],
          tone: 0.4,
        });
      }),
      ...[-0.62, 0.62].flatMap((y) =>
        [0, 1, 2, 3].map((i) => {
          const a = (90 * i * Math.PI) / 180;
          return tube(
            corners([0.5 * Math.sin(a), y, 0.5 * Math.cos(a)], [0.5 * Math.cos(a), y, -0.5 * Math.sin(a)]),
            0.055,
            { round: 10, steps: [14, 10], tone: 0.3 },
          );
        }),
      ),
      ...[0, 1, 2, 3].map((i) => {
        const a = (90 * i * Math.PI) / 180;
        return flat(
          [
            [0.56 * Math.sin(a), -0.64, 0.56 * Math.cos(a)],
            [0.56 * Math.cos(a), -0.64, -0.56 * Math.sin(a)],
            [0, -1.04, 0],
          ],
          { tone: 0.3 },
        );
      }),
      ring([0, -1.14, 0], 0.12, 0.03),
      revolved((t) => [0.13, -0.1 + 0.66 * t], { along: 'v', edges: ['v0'], steps: [24, 8] }),
      ball([0, -0.28, 0], [0.075, 0.17, 0.075], { bare: true, steps: [16, 12] }),
    ],
    { y: 26, x: -14 },
  ),
  ...Array.from({ length: 16 }, (_, i) => {
    const a = (Math.PI * i) / 8;
    return wire(
      (t) => [
        (0.2 + (i % 2 ? 0.08 : 0.16) * t) * Math.sin(a),
        -0.22 - (0.24 + (i % 2 ? 0.08 : 0.16) * t) * Math.cos(a),
        0.6,
      ],
      0.5,
    );
  }),
];
