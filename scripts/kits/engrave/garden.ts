/** Garden Year’s stamps, with its tools. */
import { bee, butterfly, nest, robin, snail } from './creatures';
import { daisies, poppy, rose, roseStem, sunflower, tulip } from './flowers';
import { GOLDEN } from './growth';
import { acorns, apple, bulb, mushrooms, pear, pumpkin, strawberry } from './harvest';
import { dahlia, fern, ivy, lavender, sprig, umbel, wheat } from './meadow';
import {
  bead,
  blade,
  leafAt,
  motif,
  type Motif,
  moved,
  profileOf,
  ramp,
  revolved,
  ring,
  stem,
  type Surface,
  through,
  tube,
} from './surface';

const wateringCan = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.56, -0.5], [0.58, 0], [0.6, 0.62]), { tone: 0.08, edges: ['v0', 'v1'] }),
      ...[-0.44, -0.3, 0.5].map((y) => ring([0, y, 0], 0.585, 0.022, 90, { steps: [64, 8] })),
      revolved((t) => [0.56 * (1 - t) + 0.1, -0.5 - 0.12 * t], { tone: 0.15, steps: [64, 8] }),
      tube(
        through([
          [0.5, 0.4, 0],
          [0.95, 0.1, 0],
          [1.25, -0.36, 0],
          [1.52, -0.72, 0],
        ]),
        ramp(0.15, 0.1, 0.07, 0.06),
        { round: 14 },
      ),
      ...moved(
        [
          revolved((t) => [0.06 + 0.2 * t, -0.24 * t], { along: 'v', tone: 0.1, edges: ['v1'] }),
          revolved((t) => [0.26 * (1 - t), -0.24 - 0.05 * t], { tone: 0.2, edges: ['v0'] }),
          ...Array.from({ length: 26 }, (_, i) => {
            const [a, r] = [(GOLDEN * i * Math.PI) / 180, 0.21 * Math.sqrt(i / 26)];
            return bead(r * Math.sin(a), -0.285, r * Math.cos(a), 0.016, { tone: 1, steps: [6, 5] });
          }),
        ],
        { z: 42, x: 18, by: [1.52, -0.7, 0] },
      ),
      tube(
        through([
          [-0.5, -0.42, 0],
          [-0.62, -1.0, 0],
          [0, -1.24, 0],
          [0.45, -0.92, 0],
          [0.5, -0.52, 0],
        ]),
        0.042,
        { round: 12 },
      ),
      tube(
        through([
          [-0.56, -0.3, 0],
          [-1.0, -0.2, 0],
          [-1.0, 0.3, 0],
          [-0.58, 0.46, 0],
        ]),
        0.042,
        { round: 12 },
      ),
    ],
    { x: -14, y: -12 },
  ),
];

const pot = (): Surface[] => [
  ...moved(
    [
      revolved(profileOf([0.56, -0.18], [0.5, 0.2], [0.42, 0.72]), { tone: 0.12, edges: ['v1'] }),
      revolved((t) => [0.64 - 0.02 * t, -0.42 + 0.24 * t], { tone: 0.05, edges: ['v0', 'v1'] }),
      revolved((t) => [0.6 * t, -0.36 - 0.06 * (1 - t)], { tone: 0.75, along: 'v', edges: ['v1'] }),
    ],
    { x: -18 },
  ),
  stem(
    [
      [0, -0.3, 0.3],
      [0.04, -0.8, 0.3],
      [-0.02, -1.5, 0.3],
    ],
    0.035,
    0.022,
  ),
  ...[
    [-62, -0.62, 0.75],
    [58, -0.78, 0.72],
    [-52, -1.02, 0.6],
    [48, -1.16, 0.54],
    [-24, -1.42, 0.42],
    [26, -1.48, 0.4],
  ].flatMap(([z, y, long]) => leafAt(0.02, y!, z!, long!, long! * 0.52, { by: 0.32, bend: 0.2 })),
];

const trowel = (): Surface[] => [
  ...moved(
    [
      tube((t) => [0, 0.2 + 1.1 * t, 0], ramp(0.075, 0.1, 0.12, 0.09, 0.11, 0.07), {
        round: 16,
        steps: [40, 16],
        edges: ['u1'],
        marks: [0.15, 0.28, 0.4].map((v) => ({
          at: (t) => [t, v + 0.01 * Math.sin(30 * t)] as const,
          weight: 0.4,
        })),
      }),
      tube((t) => [0, -0.2 + 0.46 * t, 0.02 * Math.sin(3 * t)], ramp(0.045, 0.05, 0.06), {
        round: 12,
        steps: [20, 12],
        tone: 0.2,
      }),
      ring([0, 0.24, 0], 0.085, 0.02, 90),
      blade(
        {
          long: 1.25,
          wide: 0.62,
          shape: (t) =>
            Math.min(1, 0.55 + 1.4 * t) * Math.max(0, 1 - Math.max(0, (t - 0.45) / 0.55) ** 2.2) ** 0.8,
          fold: 0.35,
          bend: 0.06,
          slant: 0.12,
        },
        { tone: (u, v) => 0.12 + 0.3 * Math.exp(-((2 * v - 1) ** 2) / 0.02) },
      ),
    ].map((one, i) => (i === 3 ? moved([one], { by: [0, -0.18, 0.02] })[0]! : one)),
    { z: 36 },
  ),
];

export const GARDEN_STAMPS: readonly Motif[] = [
  motif('Rose', 'flower rose garden', 2.8, roseStem, true),
  motif('Open rose', 'flower rose petals', 1.8, () => moved(rose(28), { x: -8 }), true),
  motif('Poppy', 'flower poppy meadow', 2.8, poppy, true),
  motif('Daisies', 'flower daisy meadow', 2.4, daisies, true),
  motif('Sunflower', 'flower sunflower summer', 3, sunflower, true),
  motif('Dahlia', 'flower dahlia autumn', 2.2, dahlia, true),
  motif('Tulip', 'flower tulip spring', 2.4, tulip, true),
  motif('Fern', 'fern leaf wood', 3.2, fern),
  motif('Cow parsley', 'flower umbel meadow', 3.2, umbel),
  motif('Lavender', 'flower lavender herb', 2.4, lavender),
  motif('Wheat', 'wheat grain harvest', 2.6, wheat),
  motif('Leafy twig', 'leaf twig sprig', 2.8, sprig, true),
  motif('Ivy', 'ivy leaf trail', 2.8, ivy, true),
  motif('Oak and acorns', 'oak acorn autumn', 2.4, acorns, true),
  motif('Toadstools', 'mushroom wood autumn', 2, mushrooms, true),
  motif('Pear', 'fruit pear orchard', 1.8, pear, true),
  motif('Apple', 'fruit apple orchard', 1.6, apple, true),
  motif('Strawberry', 'fruit strawberry berry', 1.6, strawberry, true),
  motif('Pumpkin', 'pumpkin harvest autumn', 2, pumpkin, true),
  motif('Sprouting bulb', 'bulb onion spring', 2, bulb),
  motif('Watering can', 'watering can tool', 2.4, wateringCan, true),
  motif('Seedling in a pot', 'pot seedling plant', 2, pot, true),
  motif('Trowel', 'trowel tool dig', 2.2, trowel),
  motif('Butterfly', 'butterfly insect wing', 2, butterfly, true),
  motif('Bee', 'bee insect honey', 1.6, bee, true),
  motif('Robin', 'bird robin branch', 2.4, robin, true),
  motif('Nest', 'nest egg bird', 1.8, nest),
  motif('Snail', 'snail shell garden', 1.7, snail, true),
];
