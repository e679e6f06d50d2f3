/** Drawing closed outlines by hand: a pen for lines and arcs, rings by angle, and smooth curves through points. */
import type { Path, Segment } from '@/core/geometry/path';
import type { Point } from '@/core/geometry/matrix';

/** A point at `degrees` clockwise from straight up, `rx`, `ry` from the centre. */
export const around = (degrees: number, rx: number, ry = rx, centre: Point = { x: 0, y: 0 }): Point => ({
  x: centre.x + rx * Math.sin((degrees * Math.PI) / 180),
  y: centre.y - ry * Math.cos((degrees * Math.PI) / 180),
});

/** Draws one ring after the other. Lengths in any unit, y down, angles in degrees clockwise from straight up. */
export class Pen {
  private readonly path: Segment[] = [];
  private here: Point = { x: 0, y: 0 };

  from(x: number, y: number): this {
    this.path.push(['M', x, y]);
    this.here = { x, y };
    return this;
  }

  to(...numbers: number[]): this {
    for (let i = 0; i + 1 < numbers.length; i += 2) {
      this.here = { x: numbers[i]!, y: numbers[i + 1]! };
      this.path.push(['L', this.here.x, this.here.y]);
    }
    return this;
  }

  curve(ax: number, ay: number, bx: number, by: number, x: number, y: number): this {
    this.path.push(['C', ax, ay, bx, by, x, y]);
    this.here = { x, y };
    return this;
  }

  /** A curve whose handles both lie two thirds of the way to one control point: a quadratic curve. */
  bend(cx: number, cy: number, x: number, y: number): this {
    const { x: hx, y: hy } = this.here;
    const third = (a: number, b: number) => a + (2 / 3) * (b - a);
    return this.curve(third(hx, cx), third(hy, cy), third(x, cx), third(y, cy), x, y);
  }

  /** Along an ellipse about (cx, cy), by a line to where it starts; turning back if `to` is less than `from`. */
  arc(cx: number, cy: number, rx: number, ry: number, from: number, to: number): this {
    const parts = Math.max(1, Math.ceil(Math.abs(to - from) / 90));
    const step = (to - from) / parts;
    const reach = (4 / 3) * Math.tan((step * Math.PI) / 720);
    const centre = { x: cx, y: cy };
    const start = around(from, rx, ry, centre);
    if (this.path.length === 0 || this.path[this.path.length - 1]![0] === 'Z') this.from(start.x, start.y);
    else if (Math.hypot(start.x - this.here.x, start.y - this.here.y) > 1e-9) this.to(start.x, start.y);
    for (let i = 0; i < parts; i++) {
      const a = from + i * step;
      const [p, q] = [around(a, rx, ry, centre), around(a + step, rx, ry, centre)];
      const [along, back] = [around(a + 90, rx, ry), around(a + step + 90, rx, ry)];
      this.curve(
        p.x + reach * along.x,
        p.y + reach * along.y,
        q.x - reach * back.x,
        q.y - reach * back.y,
        q.x,
        q.y,
      );
    }
    return this;
  }

  /** An arc to a point with the given bulge: its height over half the chord, positive to the left of the way. */
  bulge(x: number, y: number, height: number): this {
    const { x: fx, y: fy } = this.here;
    const half = Math.hypot(x - fx, y - fy) / 2;
    if (half < 1e-9 || Math.abs(height) < 1e-9) return this.to(x, y);
    const h = Math.abs(height) * half;
    const radius = (half * half + h * h) / (2 * h);
    const side = Math.sign(height);
    // The centre lies on the chord's normal, on the other side of the bulge while it is less than a half circle.
    const [ux, uy] = [(x - fx) / (2 * half), (y - fy) / (2 * half)];
    const off = (radius - h) * side;
    const [cx, cy] = [(fx + x) / 2 - uy * off, (fy + y) / 2 + ux * off];
    const angle = (px: number, py: number) => (Math.atan2(px - cx, cy - py) * 180) / Math.PI;
    const start = angle(fx, fy);
    let turn = angle(x, y) - start;
    if (side > 0 && turn <= 0) turn += 360;
    if (side < 0 && turn >= 0) turn -= 360;
    return this.arc(cx, cy, radius, radius, start, start + turn);
  }

  close(): this {
    this.path.push(['Z']);
    return this;
  }

  /** A round hole, or a dot if nothing lies round it: turned the other way than what the pen draws clockwise. */
  hole(cx: number, cy: number, rx: number, ry = rx): this {
    return this.arc(cx, cy, rx, ry, 360, 0).close();
  }

  done(): Path {
    return this.path;
  }
}

export const pen = (): Pen => new Pen();

export const polygon = (points: readonly Point[]): Path => [
  ...points.map(({ x, y }, i): Segment => [i === 0 ? 'M' : 'L', x, y]),
  ['Z'],
];

/**
 * A closed curve through the points: centripetal Catmull-Rom (Yuksel, Schaefer & Keyser 2009), as cubic curves. Points
 * named in `sharp` (by index) keep their corner.
 */
export function smooth(points: readonly Point[], sharp: readonly number[] = []): Path {
  const corner = new Set(sharp);
  const count = points.length;
  const at = (i: number) => points[(i + count) % count]!;
  const gap = (a: Point, b: Point) => Math.sqrt(Math.hypot(b.x - a.x, b.y - a.y)) || 1e-6;
  // The way the curve goes through point i, scaled to a share of the side before and after it.
  const handles = (i: number): [Point, Point] => {
    const [a, b, c] = [at(i - 1), at(i), at(i + 1)];
    if (corner.has((i + count) % count)) return [b, b];
    const [d1, d2] = [gap(a, b), gap(b, c)];
    const tangent = (p: 'x' | 'y') =>
      ((b[p] - a[p]) * d2) / d1 / (d1 + d2) + ((c[p] - b[p]) * d1) / d2 / (d1 + d2);
    const [tx, ty] = [tangent('x'), tangent('y')];
    return [
      { x: b.x - (tx * d1) / 3, y: b.y - (ty * d1) / 3 },
      { x: b.x + (tx * d2) / 3, y: b.y + (ty * d2) / 3 },
    ];
  };
  const path: Segment[] = [['M', at(0).x, at(0).y]];
  for (let i = 0; i < count; i++) {
    const a = handles(i)[1];
    const b = handles(i + 1)[0];
    const end = at(i + 1);
    path.push(['C', a.x, a.y, b.x, b.y, end.x, end.y]);
  }
  return [...path, ['Z']];
}

/** Points from numbers in a row: x, y, x, y ... */
export const points = (...numbers: number[]): Point[] =>
  Array.from({ length: numbers.length / 2 }, (_, i) => ({ x: numbers[2 * i]!, y: numbers[2 * i + 1]! }));

/** The same shape again on the other side of x = `axis`: what goes down the right side comes up the left. */
export const mirroredPoints = (right: readonly Point[], axis = 0): Point[] => [
  ...right,
  ...[...right]
    .reverse()
    .filter(({ x }) => Math.abs(x - axis) > 1e-9)
    .map(({ x, y }) => ({ x: 2 * axis - x, y })),
];
