/** What waits at home, and who sleeps there. */
import { leafAt, moved, profileOf, revolved, stem, type Surface } from './surface';

const TURN = 2 * Math.PI;

export const pottedPlant = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.62, 0.2], [0.6, 0.32], [0.5, 0.36]), { tone: 0.05, edges: ['v0', 'v1'] }),
      revolved(profileOf([0.52, 0.36], [0.46, 0.8], [0.36, 1.2]), { tone: 0.14, edges: ['v0', 'v1'] }),
      revolved((t) => [0.58 * t, 0.26], { tone: 0.85, steps: [48, 8] }),
    ],
    { x: -14 },
  ),
  ...(
    [
      [-62, 1.25, 0.52, 0.5],
      [-38, 1.6, 0.6, 0.2],
      [-14, 1.75, 0.62, 0.0],
      [12, 1.6, 0.6, 0.25],
      [36, 1.75, 0.6, 0.1],
      [64, 1.3, 0.52, 0.55],
      [-2, 1.15, 0.5, 0.7],
    ] as const
  ).flatMap(([z, long, wide, by]) => [
    ...moved(
      [
        stem(
          [
            [0, 0, 0],
            [0, -0.28 * long, 0.04],
          ],
          0.03,
          0.022,
        ),
      ],
      { z, by: [0.004 * z, 0.2, by - 0.3] },
    ),
    ...leafAt(
      0.004 * z + 0.26 * long * Math.sin((z / 360) * TURN),
      0.2 - 0.26 * long * Math.cos((z / 360) * TURN),
      z,
      0.76 * long,
      wide,
      {
        by,
        veins: 6,
        bend: 0.3,
      },
    ),
  ]),
];
