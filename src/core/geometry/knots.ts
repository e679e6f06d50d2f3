/**
 * Outlines as they are worked by hand: rings of knots, each with a handle to either side. A handle that lies on its knot
 * leaves the side straight. Nothing here changes what it is given. Lengths in any unit, y down.
 */
import type { Point } from '@/core/geometry/matrix';
import { pathBounds, type Path, type Segment } from '@/core/geometry/path';

export interface Knot extends Point {
  /** The handle toward the knot before, and toward the next. */
  before: Point;
  after: Point;
}
export type Rings = readonly (readonly Knot[])[];

/** A knot of a ring; also the side that goes from it to the next. */
export interface Spot {
  ring: number;
  knot: number;
}

const same = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y) < 1e-6;
const mix = (a: Point, b: Point, t: number): Point => ({
  x: a.x + t * (b.x - a.x),
  y: a.y + t * (b.y - a.y),
});
const plus = (a: Point, b: Point, share = 1): Point => ({ x: a.x + share * b.x, y: a.y + share * b.y });
const minus = (a: Point, b: Point): Point => plus(a, b, -1);
const long = ({ x, y }: Point) => Math.hypot(x, y);
const unit = (p: Point): Point => ({ x: p.x / (long(p) || 1), y: p.y / (long(p) || 1) });

export const sharpKnot = ({ x, y }: Point): Knot => ({ x, y, before: { x, y }, after: { x, y } });

export function knotsOf(path: Path): Rings {
  const rings: Knot[][] = [];
  for (const segment of path) {
    const ring = rings[rings.length - 1];
    if (segment[0] === 'M') rings.push([sharpKnot({ x: segment[1], y: segment[2] })]);
    else if (segment[0] === 'L') ring!.push(sharpKnot({ x: segment[1], y: segment[2] }));
    else if (segment[0] === 'C') {
      const [, ax, ay, bx, by, x, y] = segment;
      ring![ring!.length - 1]!.after = { x: ax, y: ay };
      ring!.push({ x, y, before: { x: bx, y: by }, after: { x, y } });
    }
  }
  // Where the last point is the first again, they are one knot.
  return rings.map((ring) => {
    const [first, last] = [ring[0]!, ring[ring.length - 1]!];
    return ring.length > 1 && same(first, last)
      ? [{ ...first, before: last.before }, ...ring.slice(1, -1)]
      : ring;
  });
}

export const pathOfKnots = (rings: Rings): Path =>
  rings.flatMap((ring): Segment[] => [
    ['M', ring[0]!.x, ring[0]!.y],
    ...ring.map((knot, i): Segment => {
      const next = ring[(i + 1) % ring.length]!;
      const { after } = knot;
      const { before } = next;
      return same(after, knot) && same(before, next)
        ? ['L', next.x, next.y]
        : ['C', after.x, after.y, before.x, before.y, next.x, next.y];
    }),
    ['Z'],
  ]);

/** The knots at the two ends of a side. */
export function sideAt(rings: Rings, { ring, knot }: Spot): [Knot, Knot] {
  const knots = rings[ring]!;
  return [knots[knot]!, knots[(knot + 1) % knots.length]!];
}

const nextSpot = (rings: Rings, { ring, knot }: Spot): Spot => ({
  ring,
  knot: (knot + 1) % rings[ring]!.length,
});

/** The same rings with other knots at some spots. */
const withKnots = (rings: Rings, changes: readonly [Spot, Partial<Knot>][]): Rings =>
  rings.map((ring, r) =>
    changes.some(([spot]) => spot.ring === r)
      ? ring.map((knot, k) => {
          const mine = changes.filter(([spot]) => spot.ring === r && spot.knot === k);
          return mine.length ? Object.assign({}, knot, ...mine.map(([, change]) => change)) : knot;
        })
      : ring,
  );

export const isStraight = (rings: Rings, spot: Spot): boolean => {
  const [a, b] = sideAt(rings, spot);
  return same(a.after, a) && same(b.before, b);
};

/** Whether the outline goes through a knot without a corner: both handles on one line, to within a degree. */
export function isSmooth({ x, y, before, after }: Knot): boolean {
  const [a, b] = [minus({ x, y }, before), minus(after, { x, y })];
  if (long(a) < 1e-6 || long(b) < 1e-6) return false;
  return Math.abs(Math.atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y)) < Math.PI / 180;
}

/** A knot in another place, its handles with it. */
export function movedKnot(rings: Rings, spot: Spot, to: Point): Rings {
  const knot = rings[spot.ring]![spot.knot]!;
  const by = minus(to, knot);
  return withKnots(rings, [
    [spot, { x: to.x, y: to.y, before: plus(knot.before, by), after: plus(knot.after, by) }],
  ]);
}

/** A handle in another place; where the outline was smooth the other one turns with it. */
export function movedHandle(rings: Rings, spot: Spot, which: 'before' | 'after', to: Point): Rings {
  const knot = rings[spot.ring]![spot.knot]!;
  const other = which === 'before' ? 'after' : 'before';
  const away = unit(minus(knot, to));
  const turned = isSmooth(knot) ? { [other]: plus(knot, away, long(minus(knot[other], knot))) } : {};
  return withKnots(rings, [[spot, { [which]: { x: to.x, y: to.y }, ...turned }]]);
}

const onSide = ([a, b]: [Knot, Knot], t: number): Point => {
  const s = 1 - t;
  const [p, q, r, w] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
  return {
    x: p * a.x + q * a.after.x + r * b.before.x + w * b.x,
    y: p * a.y + q * a.after.y + r * b.before.y + w * b.y,
  };
};

/** A straight side's handles, a third of the way from its ends. */
const thirds = ([a, b]: [Knot, Knot]): [Point, Point] => [mix(a, b, 1 / 3), mix(a, b, 2 / 3)];

/**
 * A side bent so that it passes through `to` where it passed `t` (0 to 1): of all handles that do so, those that move least
 * (least squares). Near its ends `t` is held off, as the handles would run away.
 */
export function bent(rings: Rings, spot: Spot, t: number, to: Point): Rings {
  const [a, b] = sideAt(rings, spot);
  const [after, before] = isStraight(rings, spot) ? thirds([a, b]) : [a.after, b.before];
  const at = Math.min(0.85, Math.max(0.15, t));
  const off = minus(
    to,
    onSide(
      [
        { ...a, after },
        { ...b, before },
      ],
      at,
    ),
  );
  const [u, v] = [3 * (1 - at) ** 2 * at, 3 * (1 - at) * at ** 2];
  const share = 1 / (u * u + v * v);
  return withKnots(rings, [
    [spot, { after: plus(after, off, u * share) }],
    [nextSpot(rings, spot), { before: plus(before, off, v * share) }],
  ]);
}

export function straightened(rings: Rings, spot: Spot): Rings {
  const [a, b] = sideAt(rings, spot);
  return withKnots(rings, [
    [spot, { after: { x: a.x, y: a.y } }],
    [nextSpot(rings, spot), { before: { x: b.x, y: b.y } }],
  ]);
}

/** The way through a knot from the one before to the one after. */
function wayThrough(rings: Rings, { ring, knot }: Spot): Point {
  const knots = rings[ring]!;
  return unit(minus(knots[(knot + 1) % knots.length]!, knots[(knot + knots.length - 1) % knots.length]!));
}

/** A straight side made a curve that leaves and arrives as its neighbours suggest. */
export function curved(rings: Rings, spot: Spot): Rings {
  const [a, b] = sideAt(rings, spot);
  const next = nextSpot(rings, spot);
  const third = long(minus(b, a)) / 3;
  return withKnots(rings, [
    [spot, { after: plus(a, wayThrough(rings, spot), third) }],
    [next, { before: plus(b, wayThrough(rings, next), -third) }],
  ]);
}

/** The outline through a knot made smooth, its handles a third of the way to the neighbours. */
export function smoothed(rings: Rings, spot: Spot): Rings {
  const knots = rings[spot.ring]!;
  const knot = knots[spot.knot]!;
  const way = wayThrough(rings, spot);
  const reach = (other: Knot) => long(minus(other, knot)) / 3;
  return withKnots(rings, [
    [
      spot,
      {
        before: plus(knot, way, -reach(knots[(spot.knot + knots.length - 1) % knots.length]!)),
        after: plus(knot, way, reach(knots[(spot.knot + 1) % knots.length]!)),
      },
    ],
  ]);
}

/** A knot made a corner: its own handles are taken in. */
export function sharpened(rings: Rings, spot: Spot): Rings {
  return withKnots(rings, [[spot, sharpKnot(rings[spot.ring]![spot.knot]!)]]);
}

/** A side cut in two at `t` (de Casteljau 1959): the first part, and the second. The outline stays as it is. */
function halves([a, b]: [Knot, Knot], t: number): { after: Point; knot: Knot; before: Point } {
  const [p, q, r] = [mix(a, a.after, t), mix(a.after, b.before, t), mix(b.before, b, t)];
  const [before, after] = [mix(p, q, t), mix(q, r, t)];
  return { after: p, knot: { ...mix(before, after, t), before, after }, before: r };
}

/** One more knot on a side, `t` (0 to 1) along it; the outline stays as it is. */
export function added(rings: Rings, spot: Spot, t: number): Rings {
  const side = sideAt(rings, spot);
  const next = nextSpot(rings, spot);
  const straight = isStraight(rings, spot);
  const { after, knot, before } = halves(side, t);
  const changed = straight
    ? rings
    : withKnots(rings, [
        [spot, { after }],
        [next, { before }],
      ]);
  const fresh = straight ? sharpKnot(onSide(side, t)) : knot;
  return changed.map((ring, r) => (r === spot.ring ? ring.toSpliced(spot.knot + 1, 0, fresh) : ring));
}

/** Without a knot. A ring that would enclose nothing goes as a whole; null if nothing would be left at all. */
export function removed(rings: Rings, spot: Spot): Rings | null {
  const left = rings[spot.ring]!.toSpliced(spot.knot, 1);
  const flat = left.length < 2 || (left.length === 2 && pathIsFlat([left]));
  const rest = flat ? rings.toSpliced(spot.ring, 1) : rings.map((ring, r) => (r === spot.ring ? left : ring));
  return rest.length && !pathIsFlat(rest) ? rest : null;
}

const pathIsFlat = (rings: Rings): boolean => {
  const { width, height } = pathBounds(pathOfKnots(rings));
  return (
    width < 1e-3 ||
    height < 1e-3 ||
    rings.every(
      (ring) =>
        ring.length === 2 &&
        isStraight([ring], { ring: 0, knot: 0 }) &&
        isStraight([ring], { ring: 0, knot: 1 }),
    )
  );
};

/** `t` where a side is `distance` from the knot it begins at (or ends at), along the straight way; half the side at most. */
function along(side: [Knot, Knot], distance: number, fromEnd: boolean): number {
  const [a, b] = side;
  const end = fromEnd ? b : a;
  let [low, high] = [0, 0.5];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (long(minus(onSide(side, fromEnd ? 1 - middle : middle), end)) < distance) low = middle;
    else high = middle;
  }
  return fromEnd ? 1 - low : low;
}

/**
 * A corner rounded: cut off where an arc of `radius` touches both sides, and the arc put there. It takes at most half of
 * each side. By the geometry of a circle in a corner of angle α inside it touches radius / tan(α / 2) from the corner.
 */
export function roundedCorner(rings: Rings, spot: Spot, radius: number): Rings {
  const ring = rings[spot.ring]!;
  const count = ring.length;
  const last: Spot = { ring: spot.ring, knot: (spot.knot + count - 1) % count };
  const knot = ring[spot.knot]!;
  const [coming, going] = [sideAt(rings, last), sideAt(rings, spot)];
  const straight = (side: Spot) => isStraight(rings, side);
  const toward = (from: Point, handle: Point, other: Point) =>
    unit(minus(same(handle, from) ? other : handle, from));
  const [back, on] = [toward(knot, knot.before, coming[0]), toward(knot, knot.after, going[1])];
  const inside = Math.acos(Math.min(1, Math.max(-1, back.x * on.x + back.y * on.y)));
  if (inside > Math.PI - 0.02 || inside < 0.02 || radius <= 0) return rings;
  const wanted = radius / Math.tan(inside / 2);
  const halfway = (side: [Knot, Knot]) => long(minus(onSide(side, 0.5), knot));
  const reach = Math.min(wanted, halfway(coming), halfway(going));
  const split = (side: [Knot, Knot], line: boolean, fromEnd: boolean) => {
    if (!line) return halves(side, along(side, reach, fromEnd));
    const at = plus(knot, fromEnd ? back : on, reach);
    return { after: side[0], knot: sharpKnot(at), before: side[1] };
  };
  const first = split(coming, straight(last), true);
  const second = split(going, straight(spot), false);
  // The two handles of an arc that turns by π − α: 4/3 · tan(turn / 4) radii.
  const arm = (4 / 3) * Math.tan((Math.PI - inside) / 4) * reach * Math.tan(inside / 2);
  const from: Knot = { ...first.knot, after: plus(first.knot, unit(minus(knot, first.knot)), arm) };
  const to: Knot = { ...second.knot, before: plus(second.knot, unit(minus(knot, second.knot)), arm) };
  const changed = withKnots(rings, [
    ...(straight(last) ? [] : ([[last, { after: first.after }]] as [Spot, Partial<Knot>][])),
    ...(straight(spot)
      ? []
      : ([[nextSpot(rings, spot), { before: second.before }]] as [Spot, Partial<Knot>][])),
  ]);
  return changed.map((each, r) => (r === spot.ring ? each.toSpliced(spot.knot, 1, from, to) : each));
}

/** The side nearest to a point: where along it, and how far away. Sampled, then narrowed. */
export function nearestSide(rings: Rings, point: Point): { spot: Spot; t: number; away: number } | null {
  let best: { spot: Spot; t: number; away: number } | null = null;
  const steps = 16;
  rings.forEach((ring, r) =>
    ring.forEach((_, k) => {
      const spot = { ring: r, knot: k };
      const side = sideAt(rings, spot);
      const away = (t: number) => long(minus(onSide(side, t), point));
      for (let i = 0; i <= steps; i++) {
        const here = away(i / steps);
        if (best && here >= best.away) continue;
        let [low, high] = [Math.max(0, (i - 1) / steps), Math.min(1, (i + 1) / steps)];
        for (let round = 0; round < 20; round++) {
          const [p, q] = [low + (high - low) / 3, high - (high - low) / 3];
          if (away(p) < away(q)) high = q;
          else low = p;
        }
        best = { spot, t: (low + high) / 2, away: away((low + high) / 2) };
      }
    }),
  );
  return best;
}
