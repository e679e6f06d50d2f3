/** Arrows and speech. */
import { pen, polygon, points } from '@/core/geometry/pen';
import type { Size } from '@/core/geometry/box';
import {
  fromRight,
  fromTop,
  length,
  settable,
  share,
  still,
  type Punch,
} from '@/core/piece/outline/punches/punch';

const FAMILY = 'Arrows and speech';

const head = length(
  'head',
  'Length of the head',
  (s) => Math.min(s.height * 0.6, s.width * 0.6),
  fromRight(() => 0),
);
const shaft = share('shaft', 'Thickness of the shaft', 0.42, 0.05, 1);
const tail = share('tail', 'Place of the tail', 0.3, 0, 1);
const tailLength = length('rise', 'Length of the tail', (s) => s.height * 0.22, {
  at: (s, value) => ({ x: s.width / 2, y: s.height - value }),
  value: (s, { y }) => s.height - y,
});

function withTail({ width: w, height: h }: Size, value: (id: 'tail' | 'rise') => number) {
  const foot = Math.min(value('rise'), h * 0.6);
  const wide = Math.min(w * 0.14, 40);
  const x = w * 0.1 + value('tail') * (w * 0.8 - wide);
  return { body: h - foot, x, wide, lean: (value('tail') - 0.5) * wide };
}

export const arrows: readonly Punch[] = [
  settable('Arrow', FAMILY, 2, [head, shaft], ({ width: w, height: h }, value) => {
    const l = Math.min(value('head'), w * 0.95);
    const t = (h * (1 - value('shaft'))) / 2;
    return polygon(points(0, t, w - l, t, w - l, 0, w, h / 2, w - l, h, w - l, h - t, 0, h - t));
  }),
  settable('Double arrow', FAMILY, 2.4, [head, shaft], ({ width: w, height: h }, value) => {
    const l = Math.min(value('head'), w * 0.48);
    const t = (h * (1 - value('shaft'))) / 2;
    return polygon(
      points(0, h / 2, l, 0, l, t, w - l, t, w - l, 0, w, h / 2, w - l, h, w - l, h - t, l, h - t, l, h),
    );
  }),
  settable('Pointer', FAMILY, 2, [head], ({ width: w, height: h }, value) => {
    const l = Math.min(value('head'), w * 0.95);
    return polygon(points(0, 0, w - l, 0, w, h / 2, w - l, h, 0, h));
  }),
  settable('Fletched arrow', FAMILY, 2.4, [head, shaft], ({ width: w, height: h }, value) => {
    const l = Math.min(value('head'), w * 0.6);
    const t = (h * (1 - value('shaft') * 0.5)) / 2;
    const b = l * 0.3;
    return polygon(
      points(
        b,
        t,
        w - l + b,
        t,
        w - l,
        0,
        w,
        h / 2,
        w - l,
        h,
        w - l + b,
        h - t,
        b,
        h - t,
        0,
        h * 0.94,
        b * 0.7,
        h / 2,
        0,
        h * 0.06,
      ),
    );
  }),
  still(
    'Curved arrow',
    FAMILY,
    pen()
      .from(0, 100)
      .curve(2, 52, 36, 22, 84, 22)
      .to(84, 0, 130, 37, 84, 74, 84, 50)
      .curve(52, 50, 30, 66, 26, 100)
      .close()
      .done(),
  ),
  still(
    'Loop arrow',
    FAMILY,
    pen()
      .from(0, 84)
      .curve(30, 92, 60, 78, 66, 44)
      .curve(70, 14, 40, -2, 30, 20)
      .curve(20, 44, 50, 62, 82, 54)
      .curve(100, 50, 112, 44, 124, 34)
      .to(116, 24, 150, 18, 138, 52, 131, 43)
      .curve(116, 56, 100, 62, 84, 65)
      .curve(42, 73, 4, 50, 18, 14)
      .curve(34, -20, 86, -2, 78, 46)
      .curve(70, 88, 34, 104, 0, 95)
      .close()
      .done(),
  ),
  settable('Round speech', FAMILY, 1.4, [tail, tailLength], (size, value) => {
    const { width: w } = size;
    const { body, x, wide, lean } = withTail(size, value);
    const angle = (px: number) =>
      (Math.asin(Math.max(-0.98, Math.min(0.98, (px - w / 2) / (w / 2)))) * 180) / Math.PI;
    const [right, left] = [180 - angle(x + wide), 180 - angle(x)];
    return pen()
      .arc(w / 2, body / 2, w / 2, body / 2, left, right + 360)
      .to(x + wide / 2 + lean * 1.6, size.height)
      .close()
      .done();
  }),
  settable(
    'Square speech',
    FAMILY,
    1.5,
    [
      length(
        'corner',
        'Radius of the corners',
        (s) => Math.min(s.width, s.height) * 0.1,
        fromTop(() => 0),
      ),
      tail,
      tailLength,
    ],
    (size, value) => {
      const { width: w, height: h } = size;
      const { body, x, wide, lean } = withTail(size, value);
      const r = Math.min(value('corner'), w * 0.1, body / 2);
      return pen()
        .from(r, 0)
        .to(w - r, 0)
        .arc(w - r, r, r, r, 0, 90)
        .to(w, body - r)
        .arc(w - r, body - r, r, r, 90, 180)
        .to(x + wide, body, x + wide / 2 + lean * 1.6, h, x, body, r, body)
        .arc(r, body - r, r, r, 180, 270)
        .to(0, r)
        .arc(r, r, r, r, 270, 360)
        .close()
        .done();
    },
  ),
  still('Thought', FAMILY, [
    ...pen()
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
    ...pen().arc(32, 84, 9, 8, 0, 360).close().done(),
    ...pen().arc(17, 99, 5.5, 5, 0, 360).close().done(),
  ]),
  still(
    'Exclaiming',
    FAMILY,
    polygon(
      points(
        62,
        0,
        72,
        20,
        92,
        6,
        94,
        26,
        124,
        20,
        112,
        38,
        136,
        46,
        114,
        56,
        126,
        76,
        100,
        68,
        92,
        82,
        76,
        70,
        46,
        106,
        50,
        72,
        34,
        82,
        32,
        66,
        8,
        72,
        20,
        54,
        0,
        44,
        22,
        36,
        10,
        18,
        36,
        24,
        42,
        6,
        54,
        20,
      ),
    ),
  ),
  still(
    'Hand pointing',
    FAMILY,
    pen()
      .from(0, 34)
      .to(26, 30)
      .curve(36, 18, 48, 10, 58, 10)
      .curve(66, 10, 68, 16, 62, 22)
      .to(122, 22)
      .curve(134, 22, 134, 38, 122, 38)
      .to(86, 38)
      .curve(96, 40, 96, 52, 86, 54)
      .curve(92, 57, 91, 68, 82, 69)
      .curve(86, 74, 83, 83, 74, 83)
      .to(40, 83)
      .curve(34, 83, 30, 79, 26, 76)
      .to(0, 78)
      .close()
      .done(),
  ),
];
