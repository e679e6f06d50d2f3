/** Arches, shields and frames. */
import { pen, polygon, points, mirroredPoints, smooth } from '@/core/geometry/pen';
import {
  barWidth,
  fromTop,
  length,
  settable,
  share,
  still,
  type Punch,
} from '@/core/piece/outline/punches/punch';

const FAMILY = 'Arches and frames';

const rise = (start: number) =>
  length(
    'rise',
    'Rise',
    (s) => Math.min(s.width * start, s.height * 0.9),
    fromTop(() => 0),
  );

export const arches: readonly Punch[] = [
  settable('Arch', FAMILY, 0.75, [rise(0.5)], ({ width: w, height: h }, value) => {
    const r = Math.min(value('rise'), h);
    return pen()
      .from(0, h)
      .to(0, r)
      .arc(w / 2, r, w / 2, r, -90, 90)
      .to(w, h)
      .close()
      .done();
  }),
  settable('Pointed arch', FAMILY, 0.7, [rise(0.7)], ({ width: w, height: h }, value) => {
    const r = Math.min(value('rise'), h);
    return pen()
      .from(0, h)
      .to(0, r)
      .curve(0, r * 0.55, w * 0.22, r * 0.16, w / 2, 0)
      .curve(w * 0.78, r * 0.16, w, r * 0.55, w, r)
      .to(w, h)
      .close()
      .done();
  }),
  settable('Double arch', FAMILY, 0.8, [], ({ width: w, height: h }) => {
    const r = Math.min(w / 2, h / 2);
    return pen()
      .from(0, h - r)
      .to(0, r)
      .arc(w / 2, r, w / 2, r, -90, 90)
      .to(w, h - r)
      .arc(w / 2, h - r, w / 2, r, 90, 270)
      .close()
      .done();
  }),
  settable('Shouldered arch', FAMILY, 0.8, [rise(0.45)], ({ width: w, height: h }, value) => {
    const r = Math.min(value('rise'), h * 0.9);
    const s = w * 0.14;
    return pen()
      .from(0, h)
      .to(0, r, s, r)
      .arc(w / 2, r, w / 2 - s, r, -90, 90)
      .to(w, r, w, h)
      .close()
      .done();
  }),
  settable(
    'Window frame',
    FAMILY,
    0.8,
    [barWidth('Width of the bars', (s) => Math.min(s.width, s.height) * 0.08)],
    ({ width: w, height: h }, value) => {
      const b = Math.min(value('width'), w * 0.2, h * 0.2);
      const [cw, ch] = [(w - 3 * b) / 2, (h - 3 * b) / 2];
      const pane = (x: number, y: number) => polygon(points(x, y, x, y + ch, x + cw, y + ch, x + cw, y));
      return [
        ...polygon(points(0, 0, w, 0, w, h, 0, h)),
        ...pane(b, b),
        ...pane(2 * b + cw, b),
        ...pane(b, 2 * b + ch),
        ...pane(2 * b + cw, 2 * b + ch),
      ];
    },
  ),
  settable(
    'Square frame',
    FAMILY,
    1,
    [
      barWidth(
        'Width of the frame',
        (s) => Math.min(s.width, s.height) * 0.14,
        fromTop((s) => s.width / 2),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const b = Math.min(value('width'), w * 0.49, h * 0.49);
      return [
        ...polygon(points(0, 0, w, 0, w, h, 0, h)),
        ...polygon(points(b, b, b, h - b, w - b, h - b, w - b, b)),
      ];
    },
  ),
  settable(
    'Instant photo frame',
    FAMILY,
    0.83,
    [barWidth('Width of the sides', (s) => s.width * 0.06)],
    ({ width: w, height: h }, value) => {
      const b = Math.min(value('width'), w * 0.3, h * 0.2);
      const foot = Math.max(b, h - b - (w - 2 * b));
      return [
        ...polygon(points(0, 0, w, 0, w, h, 0, h)),
        ...polygon(
          points(b, b, b, h - Math.min(foot, h * 0.4), w - b, h - Math.min(foot, h * 0.4), w - b, b),
        ),
      ];
    },
  ),
  settable(
    'Filmstrip',
    FAMILY,
    3,
    [length('hole', 'Size of the holes', (s) => s.height * 0.1)],
    ({ width: w, height: h }, value) => {
      const d = Math.max(1, Math.min(value('hole'), h * 0.2, w * 0.4));
      const many = Math.max(2, Math.round(w / (d * 1.9)));
      const step = w / many;
      const path = [...polygon(points(0, 0, w, 0, w, h, 0, h))];
      for (let i = 0; i < many; i++)
        for (const y of [d * 0.6, h - d * 1.6]) {
          const x = (i + 0.5) * step - d / 2;
          path.push(...polygon(points(x, y, x, y + d, x + d, y + d, x + d, y)));
        }
      return path;
    },
  ),
  still(
    'Shield',
    FAMILY,
    pen()
      .from(50, 0)
      .curve(64, 8, 84, 10, 100, 8)
      .curve(102, 60, 92, 96, 50, 120)
      .curve(8, 96, -2, 60, 0, 8)
      .curve(16, 10, 36, 8, 50, 0)
      .close()
      .done(),
  ),
  still(
    'Crest',
    FAMILY,
    smooth(
      mirroredPoints(points(50, 6, 72, 0, 82, 8, 100, 10, 94, 30, 100, 56, 88, 86, 50, 118), 50),
      [0, 3, 7, 11],
    ),
  ),
  settable(
    'Quatrefoil',
    FAMILY,
    1,
    [share('depth', 'Depth', 0.5, 0.1, 0.9)],
    ({ width: w, height: h }, value) => {
      const d = 0.3 + 0.2 * (1 - value('depth'));
      const [ax, ay] = [w * (0.5 - d / 1.6), h * (0.5 - d / 1.6)];
      return pen()
        .from(ax, ay)
        .curve(ax - w * 0.02, -ay * 0.32, w - ax + w * 0.02, -ay * 0.32, w - ax, ay)
        .curve(w + ax * 0.32, ay - h * 0.02, w + ax * 0.32, h - ay + h * 0.02, w - ax, h - ay)
        .curve(w - ax + w * 0.02, h + ay * 0.32, ax - w * 0.02, h + ay * 0.32, ax, h - ay)
        .curve(-ax * 0.32, h - ay + h * 0.02, -ax * 0.32, ay - h * 0.02, ax, ay)
        .close()
        .done();
    },
  ),
];
