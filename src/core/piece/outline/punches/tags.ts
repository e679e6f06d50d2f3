/** Tags and labels. */
import { pen } from '@/core/geometry/pen';
import type { Pen } from '@/core/geometry/pen';
import type { Size } from '@/core/geometry/box';
import { contains, distanceToEdge } from '@/core/geometry/path';
import { fromLeft, fromRight, length, settable, share, type Punch } from '@/core/piece/outline/punches/punch';

const FAMILY = 'Tags and labels';

const shorter = ({ width, height }: Size) => Math.min(width, height);
const hole = length('hole', 'Hole, across', (s) => Math.min(shorter(s) * 0.16, 18));
/** What is left at least between a hole and the edge, as a share of the way there. */
const RIM = 0.08;
/** A hole, as wide as it is asked for or as there is paper about it. */
function punched(line: Pen, x: number, y: number, across: number): Pen {
  const outline = line.done();
  const room = contains(outline, { x, y }) ? distanceToEdge(outline, { x, y }) * (1 - RIM) : 0;
  const radius = Math.min(across / 2, room);
  return radius > 0.1 ? line.hole(x, y, radius) : line;
}

export const tags: readonly Punch[] = [
  settable(
    'Tag',
    FAMILY,
    1.9,
    [
      length(
        'corner',
        'Cut from the corners',
        (s) => shorter(s) * 0.32,
        fromRight(() => 0),
      ),
      hole,
    ],
    ({ width: w, height: h }, value) => {
      const c = Math.min(value('corner'), h / 2, w * 0.6);
      const across = Math.min(value('hole'), shorter({ width: w, height: h }) * 0.6);
      const line = pen()
        .from(0, 0)
        .to(w - c, 0, w, c, w, h - c, w - c, h, 0, h)
        .close();
      return punched(line, w - Math.max(c * 0.6, across * 1.1), h / 2, across).done();
    },
  ),
  settable(
    'Pointed tag',
    FAMILY,
    1.9,
    [
      length(
        'corner',
        'Length of the point',
        (s) => s.height * 0.42,
        fromRight(() => 0),
      ),
      hole,
    ],
    ({ width: w, height: h }, value) => {
      const c = Math.min(value('corner'), w * 0.8);
      const across = Math.min(value('hole'), h * 0.4);
      const r = Math.min(h * 0.06, (w - c) / 2);
      const line = pen()
        .from(r, 0)
        .to(w - c, 0, w, h / 2, w - c, h, r, h)
        .arc(r, h - r, r, r, 180, 270)
        .to(0, r)
        .arc(r, r, r, r, 270, 360)
        .close();
      return punched(line, w - c * 0.75 - across / 2, h / 2, across).done();
    },
  ),
  settable('Round-ended tag', FAMILY, 2, [hole], ({ width: w, height: h }, value) => {
    const r = Math.min(h / 2, w / 2);
    const across = Math.min(value('hole'), h * 0.5);
    const line = pen()
      .from(0, 0)
      .to(w - r, 0)
      .arc(w - r, h / 2, r, h / 2, 0, 180)
      .to(0, h)
      .close();
    return punched(line, w - r * 0.72, h / 2, across).done();
  }),
  settable(
    'Luggage label',
    FAMILY,
    0.55,
    [
      length(
        'corner',
        'Shoulder',
        (s) => s.width * 0.24,
        fromLeft(() => 0),
      ),
      hole,
    ],
    ({ width: w, height: h }, value) => {
      const r = Math.min(w * 0.07, h / 4);
      const c = Math.min(value('corner'), w * 0.45, (h - r) / 1.5);
      const across = Math.min(value('hole'), w * 0.4);
      const line = pen()
        .from(c, 0)
        .to(w - c, 0)
        .bend(w - c * 0.2, c * 0.3, w, c * 1.5)
        .to(w, h - r)
        .arc(w - r, h - r, r, r, 90, 180)
        .to(r, h)
        .arc(r, h - r, r, r, 180, 270)
        .to(0, c * 1.5)
        .bend(c * 0.2, c * 0.3, c, 0)
        .close();
      return punched(line, w / 2, Math.max(c * 0.7, across * 0.9), across).done();
    },
  ),
  settable('Key tag', FAMILY, 0.8, [hole], ({ width: w, height: h }, value) => {
    const ear = w * 0.17;
    const ry = (h - ear) / 2;
    const cy = h - ry;
    const across = Math.min(value('hole'), ear * 1.5);
    const side = 20;
    const line = pen()
      .arc(w / 2, cy, w / 2, ry, side, 360 - side)
      .bulge(
        w / 2 + (w / 2) * Math.sin((side * Math.PI) / 180),
        cy - ry * Math.cos((side * Math.PI) / 180),
        1.15,
      )
      .close();
    return punched(line, w / 2, ear * 0.95, across).done();
  }),
  settable(
    'Index tab',
    FAMILY,
    1.6,
    [
      length(
        'corner',
        'Radius of the corners',
        (s) => shorter(s) * 0.3,
        fromLeft(() => 0),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const r = Math.min(value('corner'), w / 2, h);
      return pen()
        .from(0, h)
        .to(0, r)
        .arc(r, r, r, r, -90, 0)
        .to(w - r, 0)
        .arc(w - r, r, r, r, 0, 90)
        .to(w, h)
        .close()
        .done();
    },
  ),
  settable(
    'Folder tab',
    FAMILY,
    2.6,
    [
      length(
        'lean',
        'Slope',
        (s) => s.height * 0.5,
        fromLeft(() => 0),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const l = Math.min(value('lean'), w * 0.4);
      return pen()
        .from(0, h)
        .curve(l * 0.5, h, l * 0.5, 0, l, 0)
        .to(w - l, 0)
        .curve(w - l * 0.5, 0, w - l * 0.5, h, w, h)
        .close()
        .done();
    },
  ),
  settable(
    'Bracket label',
    FAMILY,
    1.6,
    [share('depth', 'Depth of the curve', 0.12, 0.03, 0.3)],
    ({ width: w, height: h }, value) => {
      const d = Math.min(w, h) * value('depth');
      const [mx, my] = [w / 2, h / 2];
      return pen()
        .from(d, d)
        .curve(mx * 0.5, d, mx * 0.85, d * 0.8, mx, 0)
        .curve(w - mx * 0.85, d * 0.8, w - mx * 0.5, d, w - d, d)
        .curve(w - d, my * 0.5, w - d * 0.8, my * 0.85, w, my)
        .curve(w - d * 0.8, h - my * 0.85, w - d, h - my * 0.5, w - d, h - d)
        .curve(w - mx * 0.5, h - d, w - mx * 0.85, h - d * 0.8, mx, h)
        .curve(mx * 0.85, h - d * 0.8, mx * 0.5, h - d, d, h - d)
        .curve(d, h - my * 0.5, d * 0.8, h - my * 0.85, 0, my)
        .curve(d * 0.8, my * 0.85, d, my * 0.5, d, d)
        .close()
        .done();
    },
  ),
  settable(
    'Ogee label',
    FAMILY,
    1.6,
    [
      length(
        'corner',
        'Size of the corners',
        (s) => shorter(s) * 0.24,
        fromLeft(() => 0),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const c = Math.min(value('corner'), w * 0.4, h * 0.4);
      // Each corner: in by a hollow, out by a round.
      return pen()
        .from(c, 0)
        .to(w - c, 0)
        .curve(w - c, c * 0.42, w - c * 0.6, c * 0.5, w - c * 0.45, c * 0.55)
        .curve(w - c * 0.3, c * 0.62, w - c * 0.3, c, w, c)
        .to(w, h - c)
        .curve(w - c * 0.3, h - c, w - c * 0.3, h - c * 0.62, w - c * 0.45, h - c * 0.55)
        .curve(w - c * 0.6, h - c * 0.5, w - c, h - c * 0.42, w - c, h)
        .to(c, h)
        .curve(c, h - c * 0.42, c * 0.6, h - c * 0.5, c * 0.45, h - c * 0.55)
        .curve(c * 0.3, h - c * 0.62, c * 0.3, h - c, 0, h - c)
        .to(0, c)
        .curve(c * 0.3, c, c * 0.3, c * 0.62, c * 0.45, c * 0.55)
        .curve(c * 0.6, c * 0.5, c, c * 0.42, c, 0)
        .close()
        .done();
    },
  ),
  settable(
    'Stepped plaque',
    FAMILY,
    1.5,
    [
      length(
        'corner',
        'Step',
        (s) => shorter(s) * 0.12,
        fromLeft(() => 0),
      ),
    ],
    ({ width: w, height: h }, value) => {
      const c = Math.min(value('corner'), w * 0.24, h * 0.24);
      return pen()
        .from(2 * c, 0)
        .to(w - 2 * c, 0, w - 2 * c, c)
        .arc(w - c, c, c, c, 270, 180)
        .to(w - c, 2 * c, w, 2 * c, w, h - 2 * c, w - c, h - 2 * c)
        .arc(w - c, h - c, c, c, 360, 270)
        .to(w - 2 * c, h, 2 * c, h, 2 * c, h - c)
        .arc(c, h - c, c, c, 90, 0)
        .to(0, h - 2 * c, 0, 2 * c, c, 2 * c)
        .arc(c, c, c, c, 180, 90)
        .to(2 * c, 0)
        .close()
        .done();
    },
  ),
  settable(
    'Spool label',
    FAMILY,
    1.7,
    [share('depth', 'Waist', 0.16, 0.02, 0.4)],
    ({ width: w, height: h }, value) => {
      const d = h * value('depth');
      return pen()
        .from(0, 0)
        .bend(w / 2, 2 * d, w, 0)
        .to(w, h)
        .bend(w / 2, h - 2 * d, 0, h)
        .close()
        .done();
    },
  ),
];
