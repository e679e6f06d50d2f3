/** Animals that a child is told of. */
import { ball, blade, type Mark, moved, ramp, type Surface, through, tube, wire } from './surface';

const TURN = 2 * Math.PI;

export const whale = (): Surface[] => [
  {
    at: (u, v) => {
      const a = TURN * (v + 0.0137);
      // From the brow to where the flukes begin.
      const r =
        0.72 *
          Math.sin(Math.PI * (0.06 + 0.9 * u) ** 0.62) ** 0.8 *
          (1 - 0.5 * u) *
          Math.sqrt(Math.min(1, 9 * u)) +
        0.06 * Math.min(1, 9 * u);
      return [-1.3 + 2.5 * u, 0.16 - 0.62 * u ** 3 + r * Math.sin(a), r * Math.cos(a) * 0.9];
    },
    steps: [90, 40],
    along: 'v',
    tone: (_, v) => (v > 0.06 && v < 0.42 ? -0.2 : 0.18),
    marks: Array.from({ length: 7 }, (_, i): Mark => ({
      at: (t) => [0.03 + (0.5 - 0.03 * i) * t, 0.1 + 0.045 * i],
      weight: 0.7,
    })),
  } satisfies Surface,
  ...[-58, 40].flatMap((z) =>
    moved([blade({ long: 0.72, wide: 0.42, bend: 0.2, veins: 0 }, { tone: 0.24, marks: [] })], {
      z,
      by: [1.16, -0.42, 0.1],
    }),
  ),
  ...moved([blade({ long: 0.66, wide: 0.3, bend: 0.3 }, { tone: 0.3, marks: [] })], {
    z: 140,
    by: [-0.42, 0.5, 0.62],
  }),
  ball([-0.84, 0.14, 0.62], 0.06, { tone: 1, steps: [16, 10] }),
  wire((t) => [-1.22 + 0.42 * t, 0.36 + 0.08 * Math.sin(2.4 * t), 0.6], 1.2),
  // It blows.
  ...[-0.42, -0.16, 0.16, 0.42].map((x) =>
    wire(
      through([
        [-0.6, -0.58, 0],
        [-0.6 + 0.4 * x, -1.0, 0],
        [-0.6 + x, -1.14, 0],
        [-0.6 + 1.25 * x, -0.94, 0],
      ]),
      1,
    ),
  ),
];

export const elephant = (): Surface[] => [
  ball([0.3, 0, 0], [0.92, 0.72, 0.6], { tone: 0.06, steps: [72, 40] }),
  ...[
    [-0.22, 0.3],
    [0.28, -0.3],
    [0.7, 0.3],
    [0.98, -0.3],
  ].map(([x, z]) =>
    tube((t) => [x!, 0.3 + 0.85 * t, z!], ramp(0.26, 0.22, 0.22, 0.25), {
      round: 20,
      edges: ['u1'],
      tone: z! < 0 ? 0.4 : 0.08,
    }),
  ),
  ball([-0.66, -0.3, 0.12], [0.52, 0.5, 0.48], { tone: 0.02, steps: [60, 40] }),
  // The trunk, ringed and raised.
  tube(
    through([
      [-1.0, -0.2, 0.2],
      [-1.28, 0.22, 0.2],
      [-1.62, 0.3, 0.2],
      [-1.84, -0.02, 0.2],
      [-1.76, -0.34, 0.2],
    ]),
    ramp(0.25, 0.2, 0.15, 0.12, 0.1),
    {
      round: 18,
      steps: [70, 18],
      edges: ['u1'],
      tone: 0.06,
      marks: Array.from({ length: 12 }, (_, i): Mark => ({
        at: (t) => [0.12 + 0.07 * i, 0.1 + 0.35 * t],
        weight: 0.6,
      })),
    },
  ),
  ...moved(
    [
      ball([0, 0, 0], [0.46, 0.52, 0.1], { tone: 0.22, along: 'v', steps: [50, 30] }),
      ball([0.02, 0.02, 0.06], [0.32, 0.38, 0.08], { tone: 0.02, steps: [40, 24] }),
    ],
    { y: 28, by: [-0.24, -0.26, 0.52] },
  ),
  ball([-0.92, -0.4, 0.56], 0.055, { tone: 1, steps: [16, 10] }),
  tube(
    through([
      [1.18, -0.1, 0],
      [1.4, 0.1, 0],
      [1.42, 0.4, 0],
    ]),
    ramp(0.05, 0.035, 0.06),
    { round: 10, tone: 0.2 },
  ),
  // A blanket over its back, a little farther out than the body.
  {
    at: (u, v) => {
      const [a, b] = [-0.5 + 1.06 * v, -0.6 + 1.75 * u];
      return [0.3 + 0.97 * Math.sin(a), -0.77 * Math.cos(a) * Math.cos(b), 0.65 * Math.cos(a) * Math.sin(b)];
    },
    steps: [40, 30],
    along: 'u',
    edges: ['u0', 'u1', 'v0', 'v1'],
    tone: (u, v) => ((Math.floor(u * 7) + Math.floor(v * 6)) % 2 ? 0.5 : 0.05),
  } satisfies Surface,
];
