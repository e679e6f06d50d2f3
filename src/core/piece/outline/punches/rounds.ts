/** Rounds: discs, rings, seals. */
import { around, mirroredPoints, pen, points, smooth } from '@/core/geometry/pen';
import type { Path } from '@/core/geometry/path';
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import {
  anyLength,
  barWidth,
  count,
  fromRight,
  settable,
  share,
  still,
  type Punch,
} from '@/core/piece/outline/punches/punch';

const FAMILY = 'Rounds';

/** `lobes` half circles round an ellipse, their feet on it: a whole number, so that the last meets the first. */
export function scalloped(size: Size, lobes: number): Path {
  const feet = feetOf(size, lobes);
  // The half circles stand out by half a foot's width: the ellipse of feet is that much smaller.
  const line = pen();
  feet.forEach((foot, i) => {
    if (i === 0) line.from(foot.x, foot.y);
    const next = feet[(i + 1) % feet.length]!;
    line.bulge(next.x, next.y, 1);
  });
  return line.close().done();
}

/** Feet of scallops whose half circles just reach the box, evenly spaced along the ellipse. */
export function feetOf({ width, height }: Size, lobes: number): Point[] {
  const half = Math.min(width, height) / 2;
  // A lobe's middle lies r cos(pi/n) from the centre and it stands out r sin(pi/n).
  const angle = Math.PI / lobes;
  const r = half / (Math.cos(angle) + Math.sin(angle));
  const inset = half - r;
  return evenly(width / 2 - inset, height / 2 - inset, lobes).map(({ x, y }) => ({
    x: x + width / 2,
    y: y + height / 2,
  }));
}

/** `many` points on an ellipse about the origin, the same length of edge apart (summed over 720 chords). */
export function evenly(rx: number, ry: number, many: number) {
  const fine = 720;
  const edge = Array.from({ length: fine + 1 }, (_, i) => around((i / fine) * 360, rx, ry));
  const run = [0];
  for (let i = 1; i <= fine; i++)
    run.push(run[i - 1]! + Math.hypot(edge[i]!.x - edge[i - 1]!.x, edge[i]!.y - edge[i - 1]!.y));
  let at = 0;
  return Array.from({ length: many }, (_, i) => {
    const wanted = (run[fine]! * i) / many;
    while (run[at + 1]! < wanted) at++;
    const t = (wanted - run[at]!) / (run[at + 1]! - run[at]! || 1);
    const [a, b] = [edge[at]!, edge[at + 1]!];
    return { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
  });
}

const between = (size: Size, tips: number, depth: number): Path => {
  const [rx, ry] = [size.width / 2, size.height / 2];
  const centre = { x: rx, y: ry };
  const line = pen();
  for (let i = 0; i < 2 * tips; i++) {
    const far = i % 2 === 0 ? 1 : 1 - depth;
    const p = around((180 * i) / tips, rx * far, ry * far, centre);
    if (i === 0) line.from(p.x, p.y);
    else line.to(p.x, p.y);
  }
  return line.close().done();
};

export const rounds: readonly Punch[] = [
  settable(
    'Ring',
    FAMILY,
    1,
    [
      barWidth(
        'Width of the ring',
        (s) => Math.min(s.width, s.height) * 0.16,
        fromRight((s) => s.height / 2),
      ),
    ],
    ({ width, height }, value) => {
      const [rx, ry] = [width / 2, height / 2];
      const inner = Math.min(value('width'), 0.98 * Math.min(rx, ry));
      return pen()
        .arc(rx, ry, rx, ry, 0, 360)
        .close()
        .hole(rx, ry, rx - inner, ry - inner)
        .done();
    },
  ),
  still('Half round', FAMILY, pen().arc(50, 50, 50, 50, -90, 90).close().done()),
  still('Quarter round', FAMILY, pen().from(0, 0).arc(0, 100, 100, 100, 0, 90).to(0, 100).close().done()),
  anyLength(
    settable('Pill', FAMILY, 2.4, [], ({ width, height }) => {
      const r = Math.min(width, height) / 2;
      return width >= height
        ? pen()
            .from(r, 0)
            .arc(width - r, r, r, r, 0, 180)
            .arc(r, r, r, r, 180, 360)
            .close()
            .done()
        : pen()
            .from(0, r)
            .arc(r, r, r, r, -90, 90)
            .arc(r, height - r, r, r, 90, 270)
            .close()
            .done();
    }),
  ),
  settable('Scalloped round', FAMILY, 1, [count('count', 'Scallops', 16, 5, 120)], (size, value) =>
    scalloped(size, value('count')),
  ),
  settable(
    'Seal',
    FAMILY,
    1,
    [count('count', 'Teeth', 28, 6, 120), share('depth', 'Depth', 0.1, 0.02, 0.6)],
    (size, value) => between(size, value('count'), value('depth')),
  ),
  settable(
    'Wavy round',
    FAMILY,
    1,
    [count('count', 'Waves', 12, 4, 60), share('depth', 'Depth', 0.12, 0.02, 0.4)],
    ({ width, height }, value) => {
      const many = value('count') * 4;
      const depth = value('depth');
      return smooth(
        Array.from({ length: many }, (_, i) => {
          const far = 1 - (depth * (1 - Math.cos((Math.PI * i) / 2))) / 2;
          return around((360 * i) / many, (width / 2) * far, (height / 2) * far, {
            x: width / 2,
            y: height / 2,
          });
        }),
      );
    },
  ),
  still('Egg', FAMILY, smooth(mirroredPoints(points(0, 0, 27, 18, 40, 54, 39, 78, 24, 98, 0, 105)))),
  still('Pebble', FAMILY, smooth(points(48, 2, 82, 8, 108, 34, 104, 62, 72, 78, 34, 74, 6, 56, 6, 26))),
  still('Drop', FAMILY, smooth(mirroredPoints(points(0, 0, 16, 34, 31, 62, 33, 84, 20, 104, 0, 111)), [0])),
];
