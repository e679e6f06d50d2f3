/** Sky and shore: weather, creatures, boats and kites. */
import { mirroredPoints, pen, points, polygon, smooth, around } from '@/core/geometry/pen';
import { count, settable, share, still, type Punch } from '@/core/piece/outline/punches/punch';

const FAMILY = 'Sky and shore';

export const shore: readonly Punch[] = [
  still(
    'Cloud',
    FAMILY,
    pen()
      .from(22, 70)
      .curve(8, 70, 0, 60, 0, 50)
      .curve(0, 38, 9, 30, 20, 30)
      .curve(22, 12, 36, 0, 54, 0)
      .curve(70, 0, 82, 9, 87, 23)
      .curve(92, 20, 97, 19, 102, 20)
      .curve(117, 20, 128, 31, 128, 45)
      .curve(128, 60, 117, 70, 102, 70)
      .close()
      .done(),
  ),
  still(
    'Long cloud',
    FAMILY,
    pen()
      .from(14, 50)
      .curve(4, 50, 0, 43, 0, 37)
      .curve(0, 29, 7, 23, 16, 24)
      .curve(20, 11, 34, 6, 46, 12)
      .curve(54, -2, 82, -5, 92, 12)
      .curve(102, 5, 120, 8, 124, 21)
      .curve(134, 15, 150, 19, 153, 29)
      .curve(165, 28, 172, 35, 170, 42)
      .curve(168, 48, 162, 50, 156, 50)
      .close()
      .done(),
  ),
  settable(
    'Sun',
    FAMILY,
    1,
    [count('count', 'Rays', 16, 6, 40), share('depth', 'Length of the rays', 0.26, 0.08, 0.6)],
    (_, value) => {
      const many = value('count');
      const inner = 1 - value('depth');
      const disc = inner - 0.05;
      const step = 360 / many;
      const rays = Array.from({ length: many }, (__, i) => {
        const [a, b, tip] = [
          around(step * (i - 0.36), inner),
          around(step * (i + 0.36), inner),
          around(step * i, 1),
        ];
        return polygon([a, tip, b]);
      });
      return [...pen().arc(0, 0, disc, disc, 0, 360).close().done(), ...rays.flat()];
    },
  ),
  settable('Moon', FAMILY, 0.7, [share('phase', 'How full', 0.35, 0.05, 0.95)], (_, value) => {
    // Lit on the right: the inner edge is half an ellipse that swells to the left as the moon fills.
    const inner = 1 - 2 * value('phase');
    const line = pen().arc(0, 0, 50, 50, 0, 180);
    return Math.abs(inner) < 0.01
      ? line.close().done()
      : (inner > 0 ? line.arc(0, 0, 50 * inner, 50, 180, 0) : line.arc(0, 0, -50 * inner, 50, 180, 360))
          .close()
          .done();
  }),
  still(
    'Raindrop',
    FAMILY,
    pen()
      .from(30, 0)
      .curve(36, 24, 60, 44, 60, 66)
      .curve(60, 84, 47, 96, 30, 96)
      .curve(13, 96, 0, 84, 0, 66)
      .curve(0, 44, 24, 24, 30, 0)
      .close()
      .done(),
  ),
  still('Lightning', FAMILY, polygon(points(38, 0, 78, 0, 56, 38, 82, 38, 18, 120, 36, 62, 8, 62))),
  settable('Waves', FAMILY, 3, [count('count', 'Waves', 5, 1, 40)], ({ width: w, height: h }, value) => {
    const many = value('count');
    const step = w / many;
    const d = Math.min(step * 0.42, h * 0.6);
    const line = pen().from(0, h).to(0, d);
    for (let i = 0; i < many; i++) {
      const x = i * step;
      line
        .curve(x + step * 0.3, d, x + step * 0.55, d * 0.6, x + step * 0.62, 0)
        .curve(x + step * 0.62, d * 0.5, x + step * 0.75, d, x + step, d);
    }
    return line.to(w, h).close().done();
  }),
  still(
    'Hills',
    FAMILY,
    pen()
      .from(0, 60)
      .curve(18, 36, 34, 22, 50, 22)
      .curve(62, 22, 70, 32, 78, 32)
      .curve(92, 32, 104, 0, 128, 0)
      .curve(148, 0, 160, 26, 180, 40)
      .to(180, 70, 0, 70)
      .close()
      .done(),
  ),
  still('Mountains', FAMILY, polygon(points(0, 80, 34, 34, 46, 46, 82, 0, 112, 42, 124, 30, 164, 80))),
  still('Kite', FAMILY, polygon(points(50, 0, 100, 42, 50, 130, 0, 42))),
  still('Kite with tail', FAMILY, [
    ...polygon(points(70, 0, 112, 34, 72, 96, 30, 36)),
    ...pen()
      .from(71, 95)
      .curve(92, 112, 40, 124, 56, 140)
      .curve(68, 152, 22, 156, 30, 172)
      .to(26, 172)
      .curve(18, 152, 60, 152, 51, 141)
      .curve(34, 124, 84, 112, 69, 95)
      .close()
      .done(),
    ...polygon(points(62, 120, 76, 112, 76, 128, 62, 121)),
    ...polygon(points(62, 121, 48, 127, 50, 110, 62, 120)),
    ...polygon(points(44, 150, 58, 146, 56, 160, 44, 151)),
    ...polygon(points(44, 151, 30, 158, 32, 142, 44, 150)),
  ]),
  still('Sailing boat', FAMILY, [
    ...pen()
      .from(8, 92)
      .to(112, 92)
      .curve(106, 112, 96, 118, 84, 118)
      .to(36, 118)
      .curve(22, 118, 14, 108, 8, 92)
      .close()
      .done(),
    ...pen().from(60, 0).curve(82, 28, 98, 56, 102, 82).to(60, 82).close().done(),
    ...pen().from(52, 18).curve(48, 44, 36, 66, 18, 82).to(52, 82).close().done(),
    ...polygon(points(54.5, 0, 57.5, 0, 57.5, 94, 54.5, 94)),
  ]),
  still('Lighthouse', FAMILY, [
    ...polygon(points(34, 30, 66, 30, 76, 130, 24, 130)),
    ...polygon(points(26, 22, 74, 22, 74, 29, 26, 29)),
    ...polygon(points(36, 10, 64, 10, 64, 21, 36, 21)),
    ...pen().from(32, 9).curve(38, 2, 46, 0, 50, -6).curve(54, 0, 62, 2, 68, 9).close().done(),
    ...polygon(points(14, 131, 86, 131, 92, 140, 8, 140)),
  ]),
  still('Anchor', FAMILY, [
    ...pen().arc(50, 12, 12, 12, 0, 360).close().hole(50, 12, 6).done(),
    ...polygon(points(46, 22, 54, 22, 54, 100, 46, 100)),
    ...polygon(points(28, 34, 72, 34, 72, 42, 28, 42)),
    ...pen()
      .from(0, 66)
      .to(16, 58, 20, 78, 14, 75)
      .curve(18, 92, 32, 100, 50, 102)
      .curve(68, 100, 82, 92, 86, 75)
      .to(80, 78, 84, 58, 100, 66, 94, 70)
      .curve(92, 96, 72, 112, 50, 112)
      .curve(28, 112, 8, 96, 6, 70)
      .close()
      .done(),
  ]),
  still(
    'Fish',
    FAMILY,
    pen()
      .from(0, 30)
      .curve(18, 6, 48, -4, 78, 8)
      .curve(88, 12, 96, 20, 102, 26)
      .to(128, 6)
      .curve(122, 22, 122, 40, 128, 56)
      .to(102, 36)
      .curve(92, 48, 74, 60, 52, 58)
      .curve(30, 56, 12, 46, 0, 30)
      .close()
      .done(),
  ),
  still(
    'Shell',
    FAMILY,
    (() => {
      const ribs = 7;
      const line = pen().from(40, 100).to(4, 50);
      for (let i = 0; i < ribs; i++) {
        const to = around(-78 + (156 * (i + 1)) / ribs, 50, 52, { x: 52, y: 58 });
        line.bulge(to.x, to.y, 0.7);
      }
      return line.to(64, 100, 72, 112, 32, 112).close().done();
    })(),
  ),
  still(
    'Starfish',
    FAMILY,
    smooth(Array.from({ length: 20 }, (_, i) => around(18 * i, [50, 40, 19, 40][i % 4]!))),
  ),
  still(
    'Bird',
    FAMILY,
    pen()
      .from(0, 34)
      .curve(18, 14, 44, 12, 62, 34)
      .curve(80, 6, 108, 2, 130, 16)
      .curve(106, 18, 90, 30, 74, 54)
      .curve(70, 60, 60, 60, 55, 53)
      .curve(42, 34, 24, 28, 0, 34)
      .close()
      .done(),
  ),
  still(
    'Butterfly',
    FAMILY,
    smooth(
      mirroredPoints(
        points(
          60,
          24,
          66,
          18,
          88,
          0,
          114,
          2,
          120,
          20,
          108,
          46,
          80,
          54,
          98,
          64,
          100,
          84,
          84,
          96,
          68,
          86,
          63,
          70,
          60,
          92,
        ),
        60,
      ),
      [0, 6, 12, 18],
    ),
  ),
  still(
    'House',
    FAMILY,
    polygon(points(50, 0, 72, 20, 72, 6, 84, 6, 84, 31, 100, 46, 88, 46, 88, 100, 12, 100, 12, 46, 0, 46)),
  ),
];
