/** Windward’s stamps. */
import { boxKite, diamondKite, feather, gull } from './aloft';
import { bucket, pebbles, seaHolly, umbrella } from './beach';
import { anchor, bottle, coil, compass, dinghy, lighthouse, rowingBoat } from './boats';
import { crab, fish, scallop, shell, starfish, urchin } from './shells';
import { motif, type Motif, moved } from './surface';

export const SEA: readonly Motif[] = [
  motif('Kite', 'kite wind sky', 2.6, diamondKite, true),
  motif('Box kite', 'kite wind sky', 2, boxKite),
  motif('Lighthouse', 'lighthouse coast sea', 3.2, lighthouse, true),
  motif('Gull', 'gull bird sky', 3, gull, true),
  motif('Sailboat', 'boat sail sea', 2.4, dinghy, true),
  motif('Rowing boat', 'boat oar harbour', 2.2, rowingBoat),
  motif('Scallop shell', 'shell beach sea', 1.6, scallop, true),
  motif('Turret shell', 'shell spiral beach', 1.9, () =>
    moved([shell({ W: 1.35, D: 0.05, T: 4.2, turns: 8, ribs: [14, 0.05] })], { z: -35, x: 12 }),
  ),
  motif('Whelk', 'shell spiral beach', 2, () =>
    moved([shell({ W: 1.9, D: 0.02, T: 2.1, turns: 6, S: 1.35, cords: [7, 0.03], ribs: [9, 0.04] })], {
      z: -24,
      x: 14,
    }),
  ),
  motif(
    'Nautilus',
    'shell spiral sea',
    1.8,
    () =>
      moved(
        [
          shell({
            W: 3.2,
            D: 0.02,
            T: 0,
            turns: 3,
            S: 0.9,
            tone: (u) => (u > 0.62 ? 0.32 * Math.max(0, Math.sin(u * 70)) : 0.15),
          }),
        ],
        { x: 84 },
      ),
    true,
  ),
  motif('Starfish', 'starfish beach sea', 1.7, starfish, true),
  motif('Sea urchin', 'urchin beach sea', 1.5, urchin),
  motif('Anchor', 'anchor harbour rope', 2.2, anchor, true),
  motif('Coil of rope', 'rope harbour boat', 1.8, coil),
  motif('Fish', 'fish sea catch', 2.2, fish, true),
  motif('Compass rose', 'compass map journey', 2.4, compass),
  motif('Bucket and spade', 'bucket sand beach', 2, bucket),
  motif('Message in a bottle', 'bottle letter sea', 2.4, bottle),
  motif('Beach umbrella', 'umbrella beach summer', 2.4, umbrella),
  motif('Balanced pebbles', 'stone pebble beach', 1.7, pebbles),
  motif('Crab', 'crab beach sea', 2, crab, true),
  motif('Sea holly', 'flower thistle dune', 3, seaHolly),
  motif('Quill feather', 'feather gull quill', 2.6, () =>
    moved(feather(2.4, 0.62, 0.35, [0.35, 0.52, 0.74]), { z: 34 }),
  ),
];
