/** What lies about on any day, indoors. */
import { box } from './reading';
import {
  ball,
  bead,
  blade,
  flat,
  type Mark,
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

const TURN = 2 * Math.PI;

export const camera = (): Surface[] =>
  moved(
    [
      ...box(
        1.25,
        0.78,
        0.3,
        [0.62, 0.4, 0.04],
        // Grained leather between two bright rails.
        [0.16, 0.84].map((u): Mark => ({ at: (t) => [u, t], weight: 1.1 })),
      ),
      ...moved(box(0.42, 0.16, 0.26, [0.05, 0.3, 0.02]), { by: [-0.1, -0.93, 0] }),
      ...moved(box(0.14, 0.09, 0.04, [0.9, 0.4, 0.1]), { by: [-0.1, -0.92, 0.27] }),
      ...[
        [-0.9, 0.2],
        [0.82, 0.17],
      ].flatMap(([x, r]) =>
        moved(
          [
            revolved((t) => [r! + 0.012 * Math.cos(40 * t), -0.1 + 0.2 * t], {
              along: 'v',
              edges: ['v0', 'v1'],
              tone: 0.12,
            }),
            revolved((t) => [r! * t, -0.1], { tone: 0.02 }),
          ],
          { by: [x!, -0.88, 0] },
        ),
      ),
      // The lens, its rings towards whoever looks.
      ...moved(
        [
          revolved(profileOf([0.62, 0.0], [0.62, -0.14], [0.56, -0.16], [0.56, -0.34], [0.5, -0.36]), {
            along: 'u',
            edges: ['v0', 'v1'],
            tone: (_, v) => (v > 0.45 && v < 0.85 ? 0.34 : 0.04),
            steps: [96, 30],
          }),
          revolved(profileOf([0.5, -0.36], [0.42, -0.3], [0.36, -0.2]), {
            tone: 0.5,
            edges: ['v1'],
            steps: [72, 12],
          }),
          revolved((t) => [0.36 * t, -0.2 - 0.07 * Math.cos((Math.PI / 2) * t)], {
            tone: (u, v) => (Math.abs(u - 0.62) < 0.08 && v > 0.35 && v < 0.8 ? -0.6 : 0.72),
            edges: ['v1'],
            steps: [72, 20],
          }),
        ],
        { x: -90, by: [-0.1, 0.08, 0.3] },
      ),
      // Its strap.
      tube(
        through([
          [-1.25, -0.5, 0.1],
          [-1.75, 0.1, 0.2],
          [-1.3, 1.1, 0.4],
          [0.2, 1.25, 0.5],
          [1.5, 0.95, 0.3],
          [1.7, 0.1, 0.2],
          [1.25, -0.5, 0.1],
        ]),
        0.07,
        { flat: 0.3, round: 12, tone: 0.24, steps: [110, 12] },
      ),
    ],
    { x: 12, y: -16, z: -6 },
  );

export const alarmClock = (): Surface[] => [
  ...moved(
    [
      ...[-1, 1].flatMap((s) => [
        ...moved(
          [
            revolved(profileOf([0.04, -0.3], [0.26, -0.22], [0.36, 0.02], [0.37, 0.06]), {
              edges: ['v1'],
              tone: 0.04,
            }),
            bead(0, -0.34, 0, 0.06),
          ],
          { z: 34 * s, by: [0.6 * s, -0.92, 0] },
        ),
        tube((t) => [s * (0.5 + 0.18 * t), 0.72 + 0.42 * t, 0], ramp(0.1, 0.06, 0.075), {
          round: 12,
          steps: [16, 12],
          tone: 0.2,
          edges: ['u1'],
        }),
      ]),
      tube((t) => [0, -0.86 - 0.22 * t, 0], 0.035, { round: 8, steps: [10, 8] }),
      bead(0, -1.14, 0.02, 0.09, { tone: 0.25 }),
      ring([0, 0, 0], 0.9, 0.14, 0, { steps: [110, 18], tone: 0.06 }),
      {
        at: (u, v) => [0.82 * v * Math.cos(TURN * u), 0.82 * v * Math.sin(TURN * u), 0.02],
        steps: [72, 6],
        along: 'u',
        bare: true,
      } satisfies Surface,
      ...Array.from({ length: 60 }, (_, i) => {
        const a = (TURN * i) / 60;
        const from = i % 15 === 0 ? 0.55 : i % 5 === 0 ? 0.6 : 0.68;
        return wire(
          (t) => [(from + (0.72 - from) * t) * Math.sin(a), -(from + (0.72 - from) * t) * Math.cos(a), 0.06],
          i % 5 ? 0.5 : 1.5,
        );
      }),
      ...[
        [-58, 0.42, 0.06],
        [52, 0.6, 0.05],
        [180, 0.34, 0.025],
      ].map(([a, long, w]) => {
        const k = (a! / 360) * TURN;
        return tube(
          (t) => [long! * t * Math.sin(k), -long! * t * Math.cos(k), 0.12],
          ramp(0.012, w!, 0.004),
          { round: 6, tone: 0.95 },
        );
      }),
      bead(0, 0, 0.14, 0.06, { tone: 0.4 }),
    ],
    { y: -12, z: 4 },
  ),
];

export const pencil = (): Surface[] =>
  moved(
    [
      // Six faces, each its own light.
      ...Array.from({ length: 6 }, (_, i): Surface => {
        const [a, b] = [(TURN * i) / 6, (TURN * (i + 1)) / 6];
        return {
          at: (u, v) => {
            const at = (angle: number) => [0.17 * Math.cos(angle), 0.17 * Math.sin(angle)] as const;
            const [p, q] = [at(a), at(b)];
            return [-1.3 + 2.1 * u, p[0] + (q[0] - p[0]) * v, p[1] + (q[1] - p[1]) * v];
          },
          steps: [40, 4],
          along: 'u',
          edges: ['v0', 'v1'],
          tone: 0.2 + 0.12 * (i % 2),
        };
      }),
      tube((t) => [0.8 + 0.46 * t, 0, 0], ramp(0.17, 0.1, 0.045), {
        round: 18,
        tone: -0.05,
        edges: ['u0'],
        marks: [0.1, 0.3, 0.5, 0.7, 0.9].map((v) => ({
          at: (t) => [0.1 + 0.3 * t, v] as const,
          weight: 0.5,
        })),
      }),
      tube((t) => [1.24 + 0.16 * t, 0, 0], ramp(0.05, 0.03, 0.004), {
        round: 12,
        tone: 0.85,
        steps: [10, 12],
      }),
      tube((t) => [-1.56 + 0.28 * t, 0, 0], ramp(0.18, 0.17, 0.185, 0.17, 0.18), {
        round: 18,
        tone: 0.1,
        edges: ['u0', 'u1'],
        marks: [0.25, 0.5, 0.75].map((u) => ({ at: (t) => [u, t] as const, weight: 0.8 })),
      }),
      tube((t) => [-1.86 + 0.3 * t, 0, 0], ramp(0.06, 0.16, 0.17), { round: 18, tone: 0.12 }),
    ],
    { z: -32 },
  ).concat(
    wire(
      through([
        [1.22, -0.86, 0],
        [0.9, -1.2, 0],
        [0.5, -0.9, 0],
        [0.1, -1.2, 0],
        [-0.4, -0.92, 0],
        [-0.8, -1.1, 0],
      ]),
      1.1,
    ),
  );

export const notebook = (): Surface[] =>
  moved(
    [
      ...box(
        0.95,
        1.2,
        0.14,
        [0.58, 0.02, 0.02],
        [],
        [0.2, 0.4, 0.6, 0.8].map((v) => ({
          at: (t: number) => [t, v] as const,
          weight: 0.4,
        })),
      ),
      flat(
        [
          [-0.42, -0.72, 0.15],
          [-0.42, -0.22, 0.15],
          [0.56, -0.22, 0.15],
          [0.56, -0.72, 0.15],
        ],
        {
          along: 'u',
          tone: -0.2,
          marks: [0.35, 0.65].map((u) => ({ at: (t) => [u, 0.12 + 0.7 * t] as const, weight: 0.7 })),
        },
      ),
      ...Array.from({ length: 11 }, (_, i) =>
        moved([ring([0, 0, 0], 0.13, 0.026, 0, { steps: [30, 8] })], {
          x: 84,
          by: [-0.93, -1.05 + 0.21 * i, 0.06],
        }),
      ).flat(),
      // A band that keeps it shut, and a ribbon to find the page.
      flat(
        [
          [0.66, -1.2, 0.16],
          [0.66, 1.2, 0.16],
          [0.74, 1.2, 0.16],
          [0.74, -1.2, 0.16],
        ],
        { along: 'u', tone: 0.7 },
      ),
      tube(
        through([
          [0.3, 1.18, 0.05],
          [0.34, 1.42, 0.1],
          [0.26, 1.62, 0.05],
        ]),
        0.05,
        { flat: 0.25, round: 10, tone: 0.5 },
      ),
    ],
    { x: 14, y: 20, z: -10 },
  );

export const scissors = (): Surface[] => {
  const half = (s: 1 | -1): Surface[] =>
    moved(
      [
        blade(
          {
            long: 1.5,
            wide: 0.3,
            shape: (t) => Math.max(0.02, 1 - t) ** 0.55,
            fold: 0.12,
          },
          { marks: [{ at: (t) => [0.95 * t, 0.5 + s * 0.2], weight: 0.6 }], tone: (_, v) => 0.06 + 0.3 * v },
        ),
        tube((t) => [s * 0.1 * t, 0.6 * t, 0], ramp(0.12, 0.09, 0.08), { round: 12, tone: 0.2 }),
        ...moved([ring([0, 0, 0], 0.36, 0.075, 0, { steps: [72, 14] })], {
          z: s * 16,
          by: [s * 0.3, 0.92, 0],
        }),
      ],
      { z: -s * 17, by: [0, 0, 0.06 * s] },
    );
  return moved([...half(1), ...half(-1), bead(0, 0, 0.16, 0.085, { tone: 0.2 })], { z: 28 });
};

export const bulb = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.02, -0.92], [0.4, -0.82], [0.66, -0.4], [0.58, 0.0], [0.32, 0.36], [0.27, 0.5]), {
        tone: (_, v) => -0.06 + 0.1 * v,
        dense: 0.8,
        steps: [72, 48],
      }),
      // Its screw.
      revolved((t) => [0.27 + 0.035 * Math.sin(24 * t), 0.5 + 0.42 * t], {
        tone: 0.2,
        edges: ['v0', 'v1'],
        steps: [72, 48],
      }),
      revolved(profileOf([0.26, 0.92], [0.18, 1.0], [0.08, 1.06]), { tone: 0.7, edges: ['v1'] }),
      wire(
        through([
          [-0.1, 0.42, 0.7],
          [-0.16, -0.02, 0.7],
          [-0.24, -0.3, 0.7],
          [-0.12, -0.16, 0.7],
          [0, -0.34, 0.7],
          [0.12, -0.16, 0.7],
          [0.24, -0.3, 0.7],
          [0.16, -0.02, 0.7],
          [0.1, 0.42, 0.7],
        ]),
        1,
      ),
    ],
    { x: -6, z: 8 },
  ),
  ...Array.from({ length: 9 }, (_, i) => {
    const a = -Math.PI * (0.06 + 0.11 * i);
    const [from, to] = i % 2 ? [0.95, 1.2] : [0.95, 1.36];
    return wire(
      (t) => [
        0.03 + (from + (to - from) * t) * Math.cos(a),
        -0.3 + (from + (to - from) * t) * Math.sin(a),
        0,
      ],
      1.2,
    );
  }),
];

export const headphones = (): Surface[] =>
  moved(
    [
      tube(
        through([
          [-0.95, 0.3, 0],
          [-1.0, -0.4, 0],
          [-0.6, -1.05, 0],
          [0, -1.25, 0],
          [0.6, -1.05, 0],
          [1.0, -0.4, 0],
          [0.95, 0.3, 0],
        ]),
        (t) => (Math.abs(t - 0.5) < 0.2 ? 0.12 : 0.055),
        { round: 16, steps: [110, 16], tone: 0.16 },
      ),
      ...[-1, 1].flatMap((s) =>
        moved(
          [
            ball([0, 0, 0], [0.26, 0.5, 0.46], { tone: 0.3 }),
            ball([s * -0.2, 0, 0], [0.22, 0.42, 0.38], { tone: 0.75 }),
            ...moved([ring([0, 0, 0], 0.3, 0.04, 0, { steps: [48, 10] })], { y: 90, by: [s * 0.22, 0, 0] }),
          ],
          { y: -24, by: [s * 0.9, 0.5, 0] },
        ),
      ),
      tube(
        through([
          [-0.9, 0.98, 0],
          [-0.7, 1.4, 0],
          [0.1, 1.3, 0],
          [0.6, 1.55, 0],
          [1.3, 1.35, 0],
        ]),
        0.028,
        { round: 8, steps: [90, 8], tone: 0.5 },
      ),
    ],
    { z: -5 },
  );
