/** Umbels, ferns, ears and twigs. */
import { random } from '@/core/random';
import { GOLDEN, POINTED, ROUND } from './growth';
import {
  ball,
  bead,
  blade,
  LEAF,
  leafAt,
  moved,
  ramp,
  stem,
  type Surface,
  through,
  tube,
  type V3,
  whorl,
  wire,
} from './surface';

export const dahlia = (): Surface[] =>
  Array.from({ length: 96 }, (_, i) => {
    const k = i / 96;
    return moved(
      moved(
        [
          blade(
            {
              long: 0.16 + 0.44 * k,
              wide: 0.1 + 0.26 * k,
              shape: POINTED,
              bend: 0.1 - 0.16 * k,
              fold: 0.75 - 0.35 * k,
              slant: 0.1,
            },
            { along: 'u', tone: (u) => 0.55 * (1 - u) ** 1.4, steps: [18, 12], edges: ['v0', 'v1'] },
          ),
        ],
        { x: -82 + 78 * k ** 0.75, by: [0, -0.02 - 0.62 * k ** 1.1, 0] },
      ),
      { z: GOLDEN * i, by: [0, 0, 0.34 - 0.62 * k] },
    );
  })
    .flat()
    .concat(
      ...[-40, 40, 175].map((z) =>
        leafAt(0.9 * Math.sin((z * Math.PI) / 180), -0.9 * Math.cos((z * Math.PI) / 180), z, 0.8, 0.5, {
          by: -0.7,
        }),
      ),
    );

export const fern = (): Surface[] => {
  const rachis = through([
    [0.35, 1.6, 0],
    [0.1, 0.5, 0.1],
    [-0.05, -0.5, 0.12],
    [0.12, -1.3, 0.05],
    [0.42, -1.6, 0],
  ]);
  return [
    tube(rachis, ramp(0.035, 0.025, 0.012, 0.004), { round: 8 }),
    ...Array.from({ length: 23 }, (_, i) => {
      const t = 0.12 + (0.86 * i) / 22;
      const [p, q] = [rachis(t), rachis(Math.min(1, t + 0.01))];
      const way = (Math.atan2(q[0] - p[0], -(q[1] - p[1])) * 180) / Math.PI;
      const long = 0.92 * Math.sin(Math.PI * (0.14 + 0.84 * t) ** 0.8) ** 0.9 + 0.04;
      return [-1, 1].flatMap((side) =>
        moved(
          [
            blade(
              {
                long,
                wide: 0.13 + 0.1 * long,
                shape: (s) =>
                  (1 - s) ** 0.45 * (0.55 + 0.5 * Math.abs(Math.sin(3 * Math.PI * long * 3.2 * s))),
                bend: -0.08,
                fold: -0.15,
                sway: side * 0.12,
                slant: 0.12,
              },
              {
                steps: [44, 10],
                tone: side > 0 ? 0.35 : 0.12,
                marks: [{ at: (s) => [s * 0.98, 0.5], weight: 0.6 }],
              },
            ),
          ],
          { z: way + side * (74 - 22 * t), by: [p[0], p[1], p[2] - 0.02] },
        ),
      );
    }).flat(),
  ];
};

export const umbel = (): Surface[] => {
  const node: V3 = [0, -0.1, 0];
  const next = random(31);
  const spray = (x: number, y: number, z: number, size: number): Surface[] =>
    Array.from({ length: 7 }, (_, i) => {
      const [a, r] = [(GOLDEN * i * Math.PI) / 180, size * Math.sqrt(i / 7)];
      const [bx, by] = [x + r * Math.cos(a), y + 0.55 * r * Math.sin(a) - 0.09];
      return [
        wire((t) => [x + (bx - x) * t, y + (by - y) * t, z], 0.4),
        ...moved(
          whorl(
            5,
            () =>
              blade(
                { long: 0.062, wide: 0.055, shape: ROUND },
                { bare: true, steps: [8, 6], edges: ['u1', 'v0', 'v1'], contour: 0.7, marks: [] },
              ),
            { turn: next() * 72 },
          ),
          { by: [bx, by, z + 0.03], x: -30 },
        ),
        bead(bx, by, z + 0.05, 0.016, { tone: 0.7, steps: [6, 5] }),
      ];
    }).flat();
  const head = (at: V3, size: number): Surface[] =>
    Array.from({ length: 13 }, (_, i) => {
      const [a, r] = [(GOLDEN * i * Math.PI) / 180, Math.sqrt((i + 0.5) / 13)];
      const [x, y] = [
        at[0] + size * r * Math.cos(a),
        at[1] - size * (0.66 - 0.3 * r * r) + 0.16 * size * r * Math.sin(a),
      ];
      return [
        wire(
          through([
            at,
            [(at[0] + x) / 2 + 0.04 * (x - at[0]), (2 * at[1] + y) / 3, 0],
            [x, y, 0.1 * Math.sin(a)],
          ]),
          0.6,
        ),
        ...spray(x, y, 0.1 * Math.sin(a) + 0.1, 0.17 * size),
      ];
    }).flat();
  return [
    ...head(node, 1),
    ...head([0.95, 0.5, -0.1], 0.5),
    stem([node, [0.02, 0.8, -0.05], [-0.04, 1.9, -0.05]], 0.024, 0.042),
    stem(
      [
        [0.95, 0.5, -0.1],
        [0.5, 0.8, -0.1],
        [0, 1.2, -0.1],
      ],
      0.018,
      0.028,
    ),
    ...[-70, -50, -30].flatMap((z, i) =>
      leafAt(-0.02 - 0.03 * i, 1.3 - 0.04 * i, z, 0.7 - 0.1 * i, 0.24, {
        shape: (t) => LEAF(t) * (0.5 + 0.65 * Math.abs(Math.sin(9 * t))),
      }),
    ),
  ];
};

export const lavender = (): Surface[] =>
  [-0.42, 0, 0.4].flatMap((x, k) => {
    const line = through([
      [x * 0.3, 1.6, 0],
      [x * 0.6, 0.4, 0],
      [x * 1.5, -1.1 - 0.2 * (k % 2), 0],
    ]);
    return [
      tube(line, 0.02, { round: 8 }),
      ...Array.from({ length: 9 }, (_, i) => {
        const t = 0.62 + i * 0.046 + (i === 0 ? -0.07 : 0);
        const p = line(t);
        return [-60, -25, 10, 42, 74].flatMap((a, j) =>
          moved(
            [
              ball([0, -0.08, 0], [0.045, 0.1 - 0.004 * i, 0.045], {
                along: 'v',
                steps: [14, 12],
                tone: 0.2 + 0.1 * (j % 2),
                marks: [{ at: (s) => [0.02, s], weight: 0.4 }],
              }),
            ],
            { z: a * (1 - 0.06 * i) + x * 20, by: [p[0], p[1], 0.05 + 0.03 * (j % 3)] },
          ),
        );
      }).flat(),
      ...leafAt(x * 0.4, 1.2, x * 60 + 24, 0.8, 0.1, { veins: 0 }),
      ...leafAt(x * 0.4, 1.3, x * 60 - 28, 0.7, 0.1, { veins: 0 }),
    ];
  });

export const wheat = (): Surface[] =>
  [-0.3, 0.05, 0.38].flatMap((x, k) => {
    const line = through([
      [x * 0.25, 1.8, 0],
      [x * 0.6, 0.5, 0],
      [x * 1.8, -1.1 + 0.25 * (k % 2), 0],
    ]);
    return [
      tube(line, 0.022, { round: 8 }),
      ...Array.from({ length: 10 }, (_, i) => {
        const t = 0.62 + 0.038 * i;
        const p = line(t);
        return [-1, 1].flatMap((side) => [
          ...moved(
            [
              ball([0, -0.13, 0], [0.066, 0.15, 0.06], {
                along: 'v',
                steps: [18, 14],
                tone: side > 0 ? 0.3 : 0.06,
                marks: [{ at: (s) => [0.02, s], weight: 0.6 }],
              }),
            ],
            { z: side * 26 + x * 30, by: [p[0] + side * 0.045, p[1], 0.08 - 0.004 * i] },
          ),
          wire((s) => [p[0] + side * (0.12 + 0.3 * s) + x * 0.35 * s, p[1] - 0.22 - 0.62 * s, 0], 0.4),
        ]);
      }).flat(),
    ];
  });

export const sprig = (): Surface[] => {
  const line = through([
    [-0.25, 1.7, 0],
    [0.05, 0.6, 0],
    [0, -0.6, 0],
    [0.3, -1.6, 0],
  ]);
  return [
    tube(line, ramp(0.035, 0.028, 0.012), { round: 8 }),
    ...Array.from({ length: 9 }, (_, i) => {
      const t = 0.12 + 0.1 * i;
      const p = line(t);
      const long = 0.82 - 0.05 * i;
      return [-1, 1].flatMap((s) =>
        leafAt(p[0], p[1] + (s > 0 ? 0.06 : 0), s * (62 - 3 * i) + 6, long, long * 0.42, { veins: 5 }),
      );
    }).flat(),
    ...leafAt(0.3, -1.55, 14, 0.5, 0.2, { veins: 4 }),
  ];
};

export const ivy = (): Surface[] => {
  const line = through([
    [-1.5, 0.9, 0],
    [-0.9, 0.3, 0],
    [-0.2, 0.4, 0],
    [0.3, -0.2, 0],
    [1, -0.2, 0],
    [1.5, -0.9, 0],
  ]);
  return [
    tube(line, ramp(0.035, 0.02), { round: 8, steps: [80, 8] }),
    ...Array.from({ length: 9 }, (_, i) => {
      const t = 0.06 + i * 0.11;
      const [p, q] = [line(t), line(t + 0.01)];
      const side = i % 2 ? 1 : -1;
      const way = (Math.atan2(q[0] - p[0], -(q[1] - p[1])) * 180) / Math.PI + side * 62;
      const size = 0.8 - 0.03 * i;
      const [x, y] = [
        p[0] + 0.2 * Math.sin((way * Math.PI) / 180),
        p[1] - 0.2 * Math.cos((way * Math.PI) / 180),
      ];
      const lobe = (t: number): number =>
        t < 0.12
          ? 3 * t + 0.25
          : Math.max(0.02, (1 - t) ** 0.75 * (0.72 + 0.5 * Math.abs(Math.cos(2.6 * Math.PI * (t - 0.14)))));
      return [
        wire((s) => [p[0] + (x - p[0]) * s, p[1] + (y - p[1]) * s, 0.02], 1),
        ...moved(
          [
            blade(
              { long: size, wide: size * 1.05, shape: lobe, veins: 4, bend: -0.1, slant: 0.12 },
              { steps: [50, 20] },
            ),
          ],
          { z: way, by: [x, y, 0.06 + 0.02 * (i % 3)] },
        ),
      ];
    }).flat(),
  ];
};
