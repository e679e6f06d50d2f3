/** What one sees at night, and in winter. */
import { random } from '@/core/random';
import { bothSides, wingOf } from './creatures';
import {
  ball,
  bead,
  blade,
  flat,
  leafAt,
  type Mark,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  type Surface,
  through,
  tube,
  type V3,
  whorl,
  wire,
} from './surface';

export const owl = (): Surface[] => {
  const feathers = Array.from({ length: 90 }, (_, i): Mark => {
    const row = Math.floor(i / 9);
    const u = 0.78 + ((i % 9) + (row % 2) * 0.5) * 0.047;
    return {
      at: (t) => [(u + 0.042 * t) % 1, 0.4 + 0.052 * row + 0.03 * Math.sin(Math.PI * t)],
      weight: 0.7,
    };
  });
  const wing = (s: number): Surface[] =>
    Array.from({ length: 7 }, (_, i) =>
      moved(
        [
          blade(
            {
              long: 0.9 - 0.07 * i,
              wide: 0.22,
              shape: (t) => Math.sin(Math.PI * (0.15 + 0.82 * t)) ** 0.6,
              fold: -0.2,
              slant: 0.25,
            },
            { tone: 0.3, marks: [{ at: (t) => [t * 0.96, 0.5], weight: 0.6 }] },
          ),
        ],
        { z: 180 - s * (4 + 4 * i), by: [s * (0.56 - 0.045 * i), -0.16 + 0.05 * i, 0.36 + 0.02 * i] },
      ),
    ).flat();
  return [
    revolved(profileOf([0.2, -0.5], [0.5, -0.3], [0.62, 0.1], [0.5, 0.7], [0.24, 1.0], [0.02, 1.04]), {
      along: 'v',
      tone: 0.1,
      marks: feathers,
      steps: [72, 48],
    }),
    ...wing(1),
    ...wing(-1),
    ball([0, -0.72, 0.06], [0.56, 0.44, 0.46], { tone: 0.12, along: 'v' }),
    ...[-1, 1].flatMap((s) => [
      ...moved(
        whorl(22, () =>
          blade(
            { long: 0.27, wide: 0.07, slant: 0.1 },
            { bare: true, edges: ['v0', 'v1'], contour: 0.5, marks: [], steps: [12, 6] },
          ),
        ),
        { by: [s * 0.23, -0.7, 0.5] },
      ),
      ball([s * 0.23, -0.7, 0.5], [0.14, 0.14, 0.06], { bare: true, steps: [24, 16] }),
      ball([s * 0.23, -0.7, 0.55], [0.08, 0.08, 0.05], { tone: 1, steps: [16, 12] }),
      tube(
        through([
          [s * 0.3, -1.02, 0.2],
          [s * 0.46, -1.2, 0.1],
          [s * 0.5, -1.36, 0.06],
        ]),
        ramp(0.14, 0.08, 0.01),
        { round: 12, tone: 0.35 },
      ),
      ...[0, 1, 2].map((k) =>
        tube(
          through([
            [s * 0.2 + 0.07 * (k - 1), 0.98, 0.2],
            [s * 0.2 + 0.08 * (k - 1), 1.06, 0.32],
            [s * 0.2 + 0.09 * (k - 1), 1.16, 0.26],
          ]),
          0.03,
          { round: 8, steps: [10, 8], tone: 0.4 },
        ),
      ),
    ]),
    tube(
      through([
        [0, -0.7, 0.55],
        [0, -0.6, 0.64],
        [0, -0.48, 0.56],
      ]),
      ramp(0.05, 0.06, 0.008),
      { round: 10, tone: 0.3 },
    ),
    tube(
      through([
        [-1.3, 1.18, 0.1],
        [-0.3, 1.1, 0.12],
        [0.5, 1.14, 0.12],
        [1.3, 0.98, 0.1],
      ]),
      ramp(0.06, 0.09, 0.08, 0.04),
      {
        round: 14,
        tone: 0.2,
        marks: [0.2, 0.34].map((v) => ({
          at: (t) => [t, v + 0.02 * Math.sin(18 * t)] as const,
          weight: 0.5,
        })),
      },
    ),
    ...leafAt(-1.0, 1.14, -28, 0.5, 0.26, { by: 0.1 }),
    ...leafAt(1.1, 1.02, 26, 0.5, 0.26, { by: 0.1 }),
  ];
};

export const moon = (): Surface[] => {
  const next = random(4);
  return [
    {
      at: (u, v) => {
        const a = -1.15 + 2.3 * u;
        const inner: V3 = [
          0.42 + 0.78 * Math.cos(Math.PI - a * 1.18),
          0.78 * Math.sin(Math.PI - a * 1.18) * -1,
          0,
        ];
        const outer: V3 = [Math.cos(Math.PI - a * 1.5), -Math.sin(Math.PI - a * 1.5), 0];
        const m = [0, 1].map((k) => outer[k]! + (inner[k]! - outer[k]!) * v);
        return [m[0]!, m[1]!, 0.22 * Math.sin(Math.PI * v)];
      },
      steps: [60, 20],
      along: 'u',
      edges: ['v0', 'v1'],
      tone: (_, v) => 0.25 * v,
      dense: 1.1,
    } satisfies Surface,
    ...Array.from({ length: 9 }, (_, i) =>
      starAt(0.25 + 1.2 * next(), -1 + 0.24 * i, 0.06 + 0.1 * next()),
    ).flat(),
  ];
};

function starAt(x: number, y: number, size: number): Surface[] {
  return Array.from({ length: 5 }, (_, i) => {
    const a = (72 * i * Math.PI) / 180;
    const p = (r: number, d: number): V3 => [x + r * Math.sin(a + d), y - r * Math.cos(a + d), 0];
    const w = Math.PI / 5;
    return [
      flat([[x, y, 0.4 * size], p(0.42 * size, -w), p(size, 0)], { bare: true, steps: [8, 8], contour: 0.7 }),
      flat([[x, y, 0.4 * size], p(size, 0), p(0.42 * size, w)], {
        tone: 0.8,
        steps: [8, 8],
        along: 'v',
        contour: 0.7,
      }),
    ];
  }).flat();
}

export const snowdrops = (): Surface[] => [
  ...[
    [-0.34, -0.7, -16],
    [0.28, -0.9, 10],
    [0.62, -0.35, 26],
  ].flatMap(([x, y, z], k) => [
    tube(
      through([
        [0.05 * (k - 1), 1.4, 0],
        [x! * 0.5, 0.2, 0],
        [x! - 0.16, y! - 0.42, 0],
        [x! + 0.05, y! - 0.5, 0.05],
        [x! + 0.1, y! - 0.24, 0.1],
      ]),
      ramp(0.035, 0.03, 0.025, 0.02, 0.02),
      { round: 8 },
    ),
    ...moved(
      [
        ball([0, 0, 0.1], [0.085, 0.1, 0.085], { tone: 0.3, steps: [16, 12] }),
        ...[-58, 0, 58].flatMap((a, i) =>
          moved(
            [
              blade(
                {
                  long: 0.62,
                  wide: 0.32,
                  shape: (t) => Math.sin(Math.PI * (0.05 + 0.9 * t)) ** 0.8,
                  fold: 0.35,
                  bend: -0.1,
                  slant: 0.1,
                },
                {
                  along: 'u',
                  tone: 0.06,
                  marks: [0.35, 0.5, 0.65].map((v) => ({
                    at: (t) => [0.1 + 0.8 * t, v] as const,
                    weight: 0.35,
                  })),
                },
              ),
            ],
            { z: 180 + a * 0.55, by: [0, 0.06, i === 1 ? 0.2 : 0.1] },
          ),
        ),
      ],
      { z: z! * 0.5, by: [x! + 0.1, y! - 0.16, 0] },
    ),
  ]),
  ...[
    [-22, 1.5],
    [16, 1.7],
    [-6, 1.2],
    [30, 1.1],
  ].flatMap(([z, long]) =>
    moved(
      [
        blade(
          {
            long: long!,
            wide: 0.17,
            shape: (t) => Math.sqrt(Math.max(0, 1 - t ** 4)),
            fold: 0.4,
            slant: 0.03,
            sway: z! / 80,
          },
          { along: 'u', tone: 0.18 },
        ),
      ],
      { z: z! * 0.6, by: [0, 1.42, 0.05] },
    ),
  ),
];

export const mothWing = (): Surface[] => {
  const tone = (u: number, v: number): number =>
    0.14 +
    0.5 * Math.abs(Math.sin(8.5 * v + 0.5 + 0.35 * Math.sin(9 * u))) ** 4 +
    (v > 0.92 ? 0.45 : 0) +
    0.3 * (1 - v) ** 2;
  const veins = [0.14, 0.26, 0.38, 0.5, 0.62, 0.74, 0.86];
  const half = [
    wingOf(
      [0.1, -0.22, 0],
      [
        [0.3, -0.48],
        [0.8, -0.84],
        [1.28, -1.0],
        [1.46, -0.9],
        [1.36, -0.5],
        [1.16, -0.08],
        [0.84, 0.14],
        [0.44, 0.08],
        [0.16, -0.04],
      ],
      { scallops: 0.4, veins, tone },
    ),
    wingOf(
      [0.1, 0.02, -0.08],
      [
        [0.26, 0],
        [0.72, 0.04],
        [1.0, 0.2],
        [1.02, 0.48],
        [0.84, 0.76],
        [0.56, 0.86],
        [0.32, 0.72],
        [0.14, 0.36],
      ],
      { scallops: 0.8, veins, tone },
    ),
    ring([0.78, -0.36, 0.14], 0.1, 0.022, 0, { bare: true }),
    bead(0.78, -0.36, 0.12, 0.05, { tone: 1 }),
  ];
  return [
    ...bothSides(half),
    tube((t) => [0, -0.36 + 1.1 * t, 0.14], ramp(0.06, 0.15, 0.16, 0.13, 0.1, 0.02), {
      tone: 0.45,
      dense: 1.2,
      marks: Array.from({ length: 8 }, (_, i) => ({
        at: (t: number) => [0.42 + 0.065 * i, t] as const,
        weight: 0.7,
      })),
    }),
    ...[-1, 1].flatMap((s) => [
      wire(
        through([
          [s * 0.04, -0.38, 0.16],
          [s * 0.2, -0.62, 0.16],
          [s * 0.44, -0.72, 0.16],
        ]),
        0.8,
      ),
      ...Array.from({ length: 7 }, (_, i) =>
        wire((t) => [s * (0.1 + 0.05 * i - 0.02 * t), -0.5 - 0.034 * i + 0.08 * t, 0.16], 0.4),
      ),
    ]),
  ];
};

export const bareBranch = (): Surface[] => {
  const out: Surface[] = [];
  const next = random(19);
  const grow = (x: number, y: number, a: number, long: number, thick: number, depth: number): void => {
    const bend = (next() - 0.5) * 0.7;
    const [x1, y1] = [x + long * Math.sin(a + bend / 2), y - long * Math.cos(a + bend / 2)];
    const mid: V3 = [x + 0.5 * long * Math.sin(a), y - 0.5 * long * Math.cos(a), 0.02 * depth];
    out.push(
      tube(
        through([[x, y, 0.02 * depth], mid, [x1, y1, 0.02 * depth]]),
        ramp(thick, thick * 0.8, thick * 0.66),
        { round: 10, steps: [20, 10], tone: 0.15 },
      ),
    );
    if (depth === 0) {
      out.push(
        ...moved([ball([0, -0.08, 0], [0.045, 0.1, 0.045], { along: 'v', tone: 0.3, steps: [14, 10] })], {
          z: ((a + bend) * 180) / Math.PI,
          by: [x1, y1, 0.05],
        }),
      );
      return;
    }
    grow(x1, y1, a + bend + 0.28, long * 0.78, thick * 0.66, depth - 1);
    grow(x1, y1, a + bend - 0.42, long * 0.66, thick * 0.6, depth - 1);
  };
  grow(0, 1.5, 0, 0.85, 0.1, 4);
  return out;
};
