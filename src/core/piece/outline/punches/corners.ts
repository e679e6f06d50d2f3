/** Shapes with corners. */
import { around, polygon, points } from '@/core/geometry/pen';
import {
  count,
  fromLeft,
  fromTop,
  length,
  settable,
  share,
  still,
  type Punch,
} from '@/core/piece/outline/punches/punch';

const FAMILY = 'Corners';

export const corners: readonly Punch[] = [
  still('Triangle', FAMILY, polygon(points(50, 0, 100, 86.6, 0, 86.6))),
  still('Right triangle', FAMILY, polygon(points(0, 0, 100, 100, 0, 100))),
  still('Diamond', FAMILY, polygon(points(40, 0, 80, 60, 40, 120, 0, 60))),
  settable('Even corners', FAMILY, 1, [count('count', 'Sides', 5, 3, 24)], ({ width, height }, value) => {
    const many = value('count');
    const ring = Array.from({ length: many }, (_, i) => around((360 * i) / many, 1));
    const xs = ring.map(({ x }) => x);
    const ys = ring.map(({ y }) => y);
    const [left, top] = [Math.min(...xs), Math.min(...ys)];
    const [w, h] = [Math.max(...xs) - left, Math.max(...ys) - top];
    return polygon(ring.map(({ x, y }) => ({ x: ((x - left) / w) * width, y: ((y - top) / h) * height })));
  }),
  still('Hexagon', FAMILY, polygon(points(25, 0, 75, 0, 100, 43.3, 75, 86.6, 25, 86.6, 0, 43.3))),
  still(
    'Octagon',
    FAMILY,
    polygon(points(29.3, 0, 70.7, 0, 100, 29.3, 100, 70.7, 70.7, 100, 29.3, 100, 0, 70.7, 0, 29.3)),
  ),
  settable(
    'Slanted',
    FAMILY,
    1.7,
    [
      length(
        'lean',
        'Lean',
        (s) => Math.min(s.width, s.height) * 0.4,
        fromLeft(() => 0),
      ),
    ],
    ({ width, height }, value) => {
      const lean = Math.min(value('lean'), width * 0.98);
      return polygon(points(lean, 0, width, 0, width - lean, height, 0, height));
    },
  ),
  settable(
    'Trapezium',
    FAMILY,
    1.5,
    [
      length(
        'lean',
        'Slope of the sides',
        (s) => s.width * 0.18,
        fromLeft(() => 0),
      ),
    ],
    ({ width, height }, value) => {
      const lean = Math.min(value('lean'), width * 0.49);
      return polygon(points(lean, 0, width - lean, 0, width, height, 0, height));
    },
  ),
  settable(
    'Chevron',
    FAMILY,
    1.25,
    [
      length(
        'depth',
        'Thickness',
        (s) => s.height * 0.45,
        fromTop(() => 0),
      ),
    ],
    ({ width, height }, value) => {
      const thick = Math.min(height * 0.98, Math.max(1, value('depth')));
      return polygon(
        points(0, 0, width / 2, height - thick, width, 0, width, thick, width / 2, height, 0, thick),
      );
    },
  ),
  settable(
    'Cross',
    FAMILY,
    1,
    [share('arm', 'Width of the arms', 0.36, 0.05, 0.95)],
    ({ width, height }, value) => {
      const [ax, ay] = [(width * (1 - value('arm'))) / 2, (height * (1 - value('arm'))) / 2];
      const [bx, by] = [width - ax, height - ay];
      return polygon(
        points(
          ax,
          0,
          bx,
          0,
          bx,
          ay,
          width,
          ay,
          width,
          by,
          bx,
          by,
          bx,
          height,
          ax,
          height,
          ax,
          by,
          0,
          by,
          0,
          ay,
          ax,
          ay,
        ),
      );
    },
  ),
  settable(
    'Cut corners',
    FAMILY,
    1.3,
    [
      length(
        'corner',
        'Cut from each corner',
        (s) => Math.min(s.width, s.height) * 0.16,
        fromLeft(() => 0),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const c = Math.min(value('corner'), w / 2, h / 2);
      return polygon(points(c, 0, w - c, 0, w, c, w, h - c, w - c, h, c, h, 0, h - c, 0, c));
    },
  ),
];
