import { at, icon, ring, spokes, starPath, type Icon } from './pen';

export const QUIET: readonly Icon[] = [
  icon(
    'Feather',
    'feather light soft',
    'M14 94C26 70 40 52 84 8C92 30 86 56 64 72C52 80 38 80 26 78M84 8C60 14 40 30 34 50C30 62 30 70 26 78M40 66L62 62M48 56L72 48M56 46L80 34M46 58L44 38M56 46L56 26',
    'M10 96C22 72 28 66 30 56C34 32 56 12 90 4C98 30 90 60 66 76C54 83 40 83 28 82L16 98Z',
  ),
  icon(
    'Arrow',
    'arrow direction mark',
    'M6 54C30 34 56 34 92 48M92 48L74 34M92 48L72 60',
    'M4 56C28 34 54 30 80 40L72 26L98 48L70 66L76 51C54 42 32 44 8 62Z',
  ),
  icon(
    'Laurel',
    'laurel wreath leaf',
    [0, 1]
      .map((s) =>
        Array.from({ length: 7 }, (_, k) => {
          const a = (s ? 1 : -1) * (170 - k * 24);
          const b = a + (s ? -13 : 13);
          return `M${at(50, 50, 38, a)}C${at(50, 50, 52, (a + b) / 2)} ${at(50, 50, 50, b)} ${at(50, 50, 46, b)}C${at(50, 50, 36, b)} ${at(50, 50, 34, (a + b) / 2)} ${at(50, 50, 38, a)}`;
        }).join(''),
      )
      .join('') + 'M50 90A40 40 0 0 1 24 22M50 90A40 40 0 0 0 76 22',
  ),
  icon(
    'Thread spool',
    'thread sewing spool',
    'M22 10H78V24H22ZM22 78H78V92H22ZM30 24V78M70 24V78M30 32L70 28M30 42L70 38M30 52L70 48M30 62L70 58M30 72L70 68M70 74C84 74 90 62 96 66',
  ),
  icon(
    'Needle',
    'needle sewing thread',
    'M88 10C92 14 90 18 88 20L14 90L10 88L80 12C82 9 85 8 88 10ZM84 14L76 24M82 18C60 6 46 30 58 44C70 58 40 80 26 60C18 46 34 36 44 46',
  ),
  icon(
    'Safety pin',
    'pin sewing metal',
    `M86 30A14 14 0 1 0 74 44L24 78A10 10 0 1 1 14 62L78 28${ring(19, 71, 4)}`,
  ),
  icon(
    'Compass',
    'compass travel way',
    `${ring(50, 50, 44)}${ring(50, 50, 38)}${starPath(50, 50, 34, 8, 4)}${spokes(50, 50, 38, 44, 16)}`,
    starPath(50, 50, 48, 10, 4),
  ),
  icon(
    'Camera',
    'camera photo memory',
    `M8 30H30L36 18H64L70 30H92V84H8Z${ring(50, 56, 20)}${ring(50, 56, 12)}M78 40H84`,
    `M6 28H28L34 14H66L72 28H94V88H6Z${ring(50, 57, 20)}`,
  ),
  icon(
    'Calendar leaf',
    'calendar date day',
    'M12 18H88V92H12ZM12 38H88M30 10V26M70 10V26M26 52H38V62H26ZM46 52H58V62H46ZM66 52H78V62H66ZM26 72H38V82H26ZM46 72H58V82H46Z',
  ),
  icon(
    'Bracket',
    'frame bracket mark',
    'M18 8C6 8 12 44 4 50C12 56 6 92 18 92M82 8C94 8 88 44 96 50C88 56 94 92 82 92',
  ),
  icon(
    'Stitches',
    'stitch sewing line',
    Array.from(
      { length: 6 },
      (_, k) => `M${6 + k * 16} 40L${16 + k * 16} 60M${16 + k * 16} 40L${6 + k * 16} 60`,
    ).join(''),
  ),
  icon(
    'Brushed ring',
    'ring circle mark',
    [44, 42, 40, 37]
      .map((r, k) => `M${at(50, 50, r, 20 + k * 9)}A${r} ${r} 0 1 1 ${at(50, 50, r, -8 + k * 6)}`)
      .join(''),
  ),
];
