/** Banners, pennants and tickets. */
import { pen, polygon, points } from '@/core/geometry/pen';
import type { Size } from '@/core/geometry/box';
import {
  count,
  fromBottom,
  fromLeft,
  fromRight,
  length,
  settable,
  share,
  type Punch,
} from '@/core/piece/outline/punches/punch';

const FAMILY = 'Banners and tickets';

const notch = (start: (size: Size) => number) =>
  length(
    'notch',
    'Depth of the notch',
    start,
    fromRight((s) => s.height / 2),
  );
const middle = ({ width }: Size) => width / 2;

/** The box's edge with a row of half circles bitten out of both short sides. */
function bitten({ width: w, height: h }: Size, bites: number) {
  const r = h / (2 * bites + (bites + 1) * 0.9);
  const gap = (h - 2 * r * bites) / (bites + 1);
  // Those of a narrow one do not meet.
  const deep = Math.min(r, w * 0.4);
  const line = pen().from(0, 0).to(w, 0);
  for (let i = 0; i < bites; i++) {
    const y = gap + r + i * (2 * r + gap);
    line.arc(w, y, deep, r, 360, 180);
  }
  line.to(w, h, 0, h);
  for (let i = bites - 1; i >= 0; i--) {
    const y = gap + r + i * (2 * r + gap);
    line.arc(0, y, deep, r, 180, 0);
  }
  return line.close().done();
}

export const banners: readonly Punch[] = [
  settable('Banner', FAMILY, 3.2, [notch((s) => s.height * 0.5)], ({ width: w, height: h }, value) => {
    const d = Math.min(value('notch'), w * 0.9);
    return polygon(points(0, 0, w, 0, w - d, h / 2, w, h, 0, h));
  }),
  settable('Double banner', FAMILY, 3.6, [notch((s) => s.height * 0.5)], ({ width: w, height: h }, value) => {
    const d = Math.min(value('notch'), w * 0.45);
    return polygon(points(0, 0, w, 0, w - d, h / 2, w, h, 0, h, d, h / 2));
  }),
  settable(
    'Hanging banner',
    FAMILY,
    0.6,
    [length('notch', 'Depth of the notch', (s) => s.width * 0.4, fromBottom(middle))],
    ({ width: w, height: h }, value) => {
      const d = Math.min(value('notch'), h * 0.9);
      return polygon(points(0, 0, w, 0, w, h, w / 2, h - d, 0, h));
    },
  ),
  settable(
    'Pointed banner',
    FAMILY,
    0.7,
    [
      length(
        'tail',
        'Length of the point',
        (s) => s.width * 0.35,
        fromBottom(() => 0),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const d = Math.min(value('tail'), h * 0.95);
      return polygon(points(0, 0, w, 0, w, h - d, w / 2, h, 0, h - d));
    },
  ),
  settable('Pennant', FAMILY, 1.6, [], ({ width: w, height: h }) => polygon(points(0, 0, w, h / 2, 0, h))),
  settable('Bunting flag', FAMILY, 0.85, [], ({ width: w, height: h }) =>
    polygon(points(0, 0, w, 0, w / 2, h)),
  ),
  settable(
    'Waving flag',
    FAMILY,
    2,
    [share('depth', 'Height of the wave', 0.14, 0.02, 0.4)],
    ({ width: w, height: h }, value) => {
      const d = h * value('depth');
      return pen()
        .from(0, d)
        .curve(w * 0.25, -d * 0.6, w * 0.36, -d * 0.2, w * 0.5, d * 0.9)
        .curve(w * 0.64, d * 2, w * 0.8, d * 1.6, w, 0)
        .to(w, h - d)
        .curve(w * 0.8, h + d * 0.6, w * 0.64, h + d, w * 0.5, h - d * 0.1)
        .curve(w * 0.36, h - d * 1.2, w * 0.25, h - d * 1.6, 0, h)
        .close()
        .done();
    },
  ),
  settable(
    'Ribbon banner',
    FAMILY,
    4.2,
    [
      length(
        'tail',
        'Length of the tails',
        (s) => s.height * 0.95,
        fromLeft(() => 0),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const t = Math.min(value('tail'), w * 0.3);
      const lower = h * 0.26;
      const v = t * 0.35;
      return polygon(
        points(
          t * 0.72,
          0,
          w - t * 0.72,
          0,
          w - t * 0.72,
          lower,
          w,
          lower,
          w - v,
          lower + (h - lower) / 2,
          w,
          h,
          w - t,
          h,
          w - t,
          h - lower,
          t,
          h - lower,
          t,
          h,
          0,
          h,
          v,
          lower + (h - lower) / 2,
          0,
          lower,
          t * 0.72,
          lower,
        ),
      );
    },
  ),
  settable(
    'Scalloped pennon',
    FAMILY,
    0.8,
    [count('count', 'Scallops', 3, 1, 12)],
    ({ width: w, height: h }, value) => {
      const many = value('count');
      const r = w / (2 * many);
      // A wide one hangs no deeper than it is high.
      const deep = Math.min(r, h * 0.8);
      const line = pen()
        .from(0, 0)
        .to(w, 0, w, h - deep);
      for (let i = many - 1; i >= 0; i--) line.arc((2 * i + 1) * r, h - deep, r, deep, 90, 270);
      return line.close().done();
    },
  ),
  settable(
    'Ticket',
    FAMILY,
    2.1,
    [
      length(
        'corner',
        'Radius of the corners',
        (s) => s.height * 0.16,
        fromLeft(() => 0),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const c = Math.min(value('corner'), w / 2, h / 2);
      return pen()
        .from(c, 0)
        .to(w - c, 0)
        .arc(w, 0, c, c, 270, 180)
        .to(w, h - c)
        .arc(w, h, c, c, 360, 270)
        .to(c, h)
        .arc(0, h, c, c, 90, 0)
        .to(0, c)
        .arc(0, 0, c, c, 180, 90)
        .close()
        .done();
    },
  ),
  settable(
    'Bitten ticket',
    FAMILY,
    2.1,
    [
      length(
        'bite',
        'Size of the bite',
        (s) => s.height * 0.3,
        fromLeft((s) => s.height / 2),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const r = Math.min(value('bite'), w * 0.4, h * 0.45);
      return pen()
        .from(0, 0)
        .to(w, 0)
        .arc(w, h / 2, r, r, 360, 180)
        .to(w, h, 0, h)
        .arc(0, h / 2, r, r, 180, 0)
        .close()
        .done();
    },
  ),
  settable('Stub ticket', FAMILY, 2.2, [count('count', 'Bites a side', 6, 2, 24)], (size, value) =>
    bitten(size, value('count')),
  ),
];
