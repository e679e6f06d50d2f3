/** Hearts and stars. */
import type { Point } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import { around, mirroredPoints, pen, points, polygon, smooth } from '@/core/geometry/pen';
import { count, settable, share, still, type Punch } from '@/core/piece/outline/punches/punch';

const FAMILY = 'Hearts and stars';

const ring = (tips: number, depth: number) =>
  Array.from({ length: 2 * tips }, (_, i) => around((180 * i) / tips, i % 2 === 0 ? 1 : 1 - depth));

/**
 * A smooth curve through the corners of a star (Catmull-Rom), which goes through each straight across. From a deep valley it
 * would swing beyond the tips beside it and cross itself: it keeps within them.
 */
function softStar(tips: number, depth: number): Path {
  const half = Math.PI / tips;
  const [tip, valley] = [((1 - depth) * Math.sin(half)) / 3, Math.sin(half) / 3];
  const reach = [tip, Math.min(valley, 2.4 * tip)];
  const line = pen();
  const corners = ring(tips, depth);
  const beside = (i: number, way: 1 | -1): Point => {
    const { x, y } = corners[i % corners.length]!;
    const across = (way * reach[i % 2]!) / Math.hypot(x, y);
    return { x: x - y * across, y: y + x * across };
  };
  line.from(corners[0]!.x, corners[0]!.y);
  corners.forEach((_, i) => {
    const [a, b, to] = [beside(i, 1), beside(i + 1, -1), corners[(i + 1) % corners.length]!];
    line.curve(a.x, a.y, b.x, b.y, to.x, to.y);
  });
  return line.close().done();
}

export const stars: readonly Punch[] = [
  still(
    'Heart',
    FAMILY,
    pen()
      .from(50, 90)
      .curve(20, 66, 0, 50, 0, 28)
      .curve(0, 12, 12, 0, 27, 0)
      .curve(37, 0, 46, 6, 50, 15)
      .curve(54, 6, 63, 0, 73, 0)
      .curve(88, 0, 100, 12, 100, 28)
      .curve(100, 50, 80, 66, 50, 90)
      .close()
      .done(),
  ),
  still(
    'Slim heart',
    FAMILY,
    pen()
      .from(40, 112)
      .curve(22, 82, 0, 62, 0, 30)
      .curve(0, 12, 9, 0, 21, 0)
      .curve(30, 0, 37, 8, 40, 22)
      .curve(43, 8, 50, 0, 59, 0)
      .curve(71, 0, 80, 12, 80, 30)
      .curve(80, 62, 58, 82, 40, 112)
      .close()
      .done(),
  ),
  still(
    'Folk heart',
    FAMILY,
    pen()
      .from(54, 100)
      .curve(30, 88, -4, 62, 0, 30)
      .curve(3, 8, 32, -10, 50, 20)
      .curve(62, -6, 96, -4, 104, 22)
      .curve(112, 54, 84, 92, 54, 100)
      .close()
      .done(),
  ),
  settable(
    'Star',
    FAMILY,
    1.05,
    [count('points', 'Points', 5, 3, 40), share('depth', 'Depth', 0.56, 0.05, 0.95)],
    (_, value) => polygon(ring(value('points'), value('depth'))),
  ),
  settable(
    'Soft star',
    FAMILY,
    1.05,
    [count('points', 'Points', 5, 3, 24), share('depth', 'Depth', 0.42, 0.05, 0.9)],
    (_, value) => softStar(value('points'), value('depth')),
  ),
  settable(
    'Sparkle',
    FAMILY,
    0.8,
    [share('depth', 'Slimness', 0.8, 0.3, 0.97)],
    ({ width: w, height: h }, value) => {
      const [mx, my] = [w / 2, h / 2];
      const k = 1 - value('depth');
      const [ax, ay] = [mx * k, my * k];
      return pen()
        .from(mx, 0)
        .curve(mx + ax * 0.5, my - ay * 1.6, mx + ax * 1.6, my - ay * 0.5, w, my)
        .curve(mx + ax * 1.6, my + ay * 0.5, mx + ax * 0.5, my + ay * 1.6, mx, h)
        .curve(mx - ax * 0.5, my + ay * 1.6, mx - ax * 1.6, my + ay * 0.5, 0, my)
        .curve(mx - ax * 1.6, my - ay * 0.5, mx - ax * 0.5, my - ay * 1.6, mx, 0)
        .close()
        .done();
    },
  ),
  settable(
    'Burst',
    FAMILY,
    1.2,
    [count('points', 'Points', 14, 6, 60), share('depth', 'Depth', 0.3, 0.05, 0.8)],
    (_, value) =>
      // Long and short points by turns.
      polygon(
        Array.from({ length: 2 * value('points') }, (__, i) =>
          around(
            (180 * i) / value('points'),
            i % 2 === 1 ? 1 - value('depth') : i % 4 === 0 ? 1 : 1 - value('depth') / 3,
          ),
        ),
      ),
  ),
  still('Shooting star', FAMILY, [
    ...polygon(
      Array.from({ length: 10 }, (_, i) =>
        around(36 * i + 12, i % 2 ? 13 : 30, undefined, { x: 108, y: 34 }),
      ),
    ),
    ...pen().from(80, 30).bend(34, 36, 0, 76).bend(40, 52, 82, 45).close().done(),
    ...pen().from(90, 54).bend(56, 66, 34, 92).bend(66, 78, 99, 60).close().done(),
  ]),
  still(
    'Crown',
    FAMILY,
    smooth(mirroredPoints(points(50, 0, 62, 34, 84, 12, 96, 2, 92, 62, 50, 68), 50), [0, 1, 3, 4, 6, 7, 9]),
  ),
];
