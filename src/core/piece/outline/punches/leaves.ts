/** Leaves and flowers. */
import { around, mirroredPoints, pen, points, smooth } from '@/core/geometry/pen';
import type { Path } from '@/core/geometry/path';
import { count, length, settable, share, still, type Punch } from '@/core/piece/outline/punches/punch';
import { transformPath } from '@/core/geometry/path';
import { compose, rotation, translation } from '@/core/geometry/matrix';

const FAMILY = 'Leaves and flowers';

/** A pointed leaf with its foot at the origin, turned about it. */
const leafAt = (x: number, y: number, long: number, wide: number, turn: number): Path =>
  transformPath(
    compose(translation(x, y), rotation(turn)),
    pen()
      .from(0, 0)
      .curve(-wide * 0.7, -long * 0.2, -wide * 0.6, -long * 0.7, 0, -long)
      .curve(wide * 0.6, -long * 0.7, wide * 0.7, -long * 0.2, 0, 0)
      .close()
      .done(),
  );

/** A stalk as a thin filled sliver. */
const stalk = (x: number, y: number, cx: number, cy: number, tx: number, ty: number, thick: number): Path =>
  pen()
    .from(x - thick, y)
    .bend(cx - thick, cy, tx, ty)
    .bend(cx + thick, cy, x + thick, y)
    .close()
    .done();

export const leaves: readonly Punch[] = [
  still('Leaf', FAMILY, leafAt(0, 0, 100, 62, 0)),
  still('Leaf with stalk', FAMILY, [...leafAt(0, 0, 90, 60, 0), ...stalk(3, 26, 4, 14, 0, -4, 2.4)]),
  still(
    'Round leaf',
    FAMILY,
    smooth(mirroredPoints(points(0, 0, 18, 16, 36, 40, 38, 66, 22, 86, 0, 92)), [0]),
  ),
  still(
    'Oak leaf',
    FAMILY,
    smooth(
      mirroredPoints(
        points(
          0,
          0,
          12,
          6,
          16,
          16,
          11,
          25,
          24,
          27,
          31,
          37,
          26,
          47,
          16,
          51,
          30,
          57,
          33,
          69,
          24,
          77,
          12,
          78,
          8,
          88,
          3,
          96,
          3,
          116,
          0,
          117,
        ),
      ),
    ),
  ),
  still(
    'Maple leaf',
    FAMILY,
    smooth(
      mirroredPoints(
        points(
          0,
          0,
          8,
          16,
          17,
          12,
          14,
          40,
          27,
          28,
          30,
          36,
          48,
          32,
          42,
          48,
          50,
          54,
          26,
          72,
          28,
          82,
          4,
          77,
          3,
          104,
          0,
          105,
        ),
      ),
      [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 23, 24],
    ),
  ),
  still('Sprig', FAMILY, [
    ...stalk(50, 130, 42, 70, 52, 8, 2),
    ...leafAt(52, 22, 34, 20, 4),
    ...leafAt(50, 48, 36, 20, 52),
    ...leafAt(49, 50, 36, 20, -48),
    ...leafAt(48, 78, 38, 21, 56),
    ...leafAt(47, 82, 38, 21, -54),
    ...leafAt(48, 108, 34, 19, 58),
    ...leafAt(48, 112, 34, 19, -58),
  ]),
  still('Fern', FAMILY, [
    ...stalk(40, 150, 36, 80, 42, 4, 1.8),
    ...leafAt(41, 20, 18, 8, 4),
    ...[0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) => {
      const y = 26 + 15 * i;
      const long = 14 + 3 * i;
      return [...leafAt(40.5 - i * 0.3, y, long, 10, 58), ...leafAt(40 - i * 0.3, y + 3, long, 10, -58)];
    }),
  ]),
  settable(
    'Blossom',
    FAMILY,
    1,
    [
      count('count', 'Petals', 5, 3, 16),
      share('depth', 'Depth', 0.45, 0.1, 0.85),
      length('hole', 'Heart, across', () => 0),
    ],
    ({ width: w, height: h }, value) => {
      const many = value('count');
      const inner = 1 - value('depth');
      const line = pen();
      const step = 360 / many;
      const at = (degrees: number, far: number) =>
        around(degrees, (w / 2) * far, (h / 2) * far, { x: w / 2, y: h / 2 });
      for (let i = 0; i < many; i++) {
        const start = at(step * (i - 0.5), inner);
        if (i === 0) line.from(start.x, start.y);
        const swell = 0.98 + 0.22 * value('depth');
        const [a, b, tip] = [
          at(step * (i - 0.5) - step * 0.02, swell),
          at(step * i - step * 0.24, 1.02),
          at(step * i, 1),
        ];
        const [c, d, end] = [
          at(step * i + step * 0.24, 1.02),
          at(step * (i + 0.5) + step * 0.02, swell),
          at(step * (i + 0.5), inner),
        ];
        line.curve(a.x, a.y, b.x, b.y, tip.x, tip.y).curve(c.x, c.y, d.x, d.y, end.x, end.y);
      }
      line.close();
      const across = Math.min(value('hole'), Math.min(w, h) * inner);
      return (across > 0.2 ? line.hole(w / 2, h / 2, across / 2) : line).done();
    },
  ),
  settable('Daisy', FAMILY, 1, [count('count', 'Petals', 12, 6, 32)], (_, value) => {
    const many = value('count');
    const wide = Math.min(46, 300 / many);
    const petals = Array.from({ length: many }, (__, i) =>
      transformPath(
        rotation((360 * i) / many),
        pen()
          .from(-wide * 0.12, -10)
          .curve(-wide * 0.6, -60, -wide * 0.5, -100, 0, -100)
          .curve(wide * 0.5, -100, wide * 0.6, -60, wide * 0.12, -10)
          .close()
          .done(),
      ),
    );
    return [...petals.flat(), ...pen().arc(0, 0, 22, 22, 0, 360).close().done()];
  }),
  still('Tulip', FAMILY, [
    ...smooth(
      mirroredPoints(points(40, 0, 48, 12, 52, 20, 60, 8, 72, 2, 78, 30, 70, 54, 40, 66), 40),
      [0, 2, 4, 10, 12],
    ),
    ...stalk(41, 132, 42, 98, 40, 60, 3),
    ...leafAt(42, 130, 58, 22, 22),
    ...leafAt(40, 130, 58, 22, -24),
  ]),
  still('Clover', FAMILY, [
    ...[0, 120, 240].flatMap((turn) =>
      transformPath(
        compose(translation(50, 50), rotation(turn)),
        pen()
          .from(0, 2)
          .curve(-30, -14, -36, -50, -14, -50)
          .curve(-5, -50, -1, -44, 0, -40)
          .curve(1, -44, 5, -50, 14, -50)
          .curve(36, -50, 30, -14, 0, 2)
          .close()
          .done(),
      ),
    ),
    ...stalk(60, 118, 50, 84, 50, 48, 3),
  ]),
  still(
    'Mushroom',
    FAMILY,
    smooth(mirroredPoints(points(50, 0, 82, 14, 98, 44, 94, 52, 66, 50, 66, 74, 70, 100, 50, 102), 50), []),
  ),
  still('Round tree', FAMILY, [
    ...smooth(
      points(50, 0, 70, 6, 82, 22, 96, 40, 90, 64, 72, 76, 50, 79, 28, 76, 10, 64, 4, 40, 18, 22, 30, 6),
    ),
    ...pen().from(44, 70).to(56, 70, 60, 122, 40, 122).close().done(),
  ]),
  still(
    'Fir',
    FAMILY,
    pen()
      .from(40, 0)
      .to(
        58,
        34,
        51,
        32,
        68,
        64,
        60,
        62,
        80,
        98,
        45,
        94,
        46,
        116,
        34,
        116,
        35,
        94,
        0,
        98,
        20,
        62,
        12,
        64,
        29,
        32,
        22,
        34,
      )
      .close()
      .done(),
  ),
];
