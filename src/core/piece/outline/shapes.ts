/** Ready shapes to cut a piece to, in a unit of our own drawing. A new shape is one line. */
import type { PathOutline } from '@/core/piece/outline/path';

const shape = (name: string, data: string): PathOutline => ({ kind: 'path', name, data });

export const SHAPES: readonly PathOutline[] = [
  shape('Arch', 'M0 120V50C0 22.4 22.4 0 50 0S100 22.4 100 50V120Z'),
  shape('Hexagon', 'M25 0H75L100 43.3L75 86.6H25L0 43.3Z'),
  shape('Tag', 'M0 0H122L150 28V52L122 80H0Z'),
  shape(
    'Heart',
    'M50 90C20 66 0 50 0 28C0 12 12 0 27 0C37 0 46 6 50 15C54 6 63 0 73 0C88 0 100 12 100 28C100 50 80 66 50 90Z',
  ),
  shape('Kite', 'M50 0L100 42L50 130L0 42Z'),
];
