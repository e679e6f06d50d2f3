/**
 * Tucks: where a piece passes under another that lies lower in the pile. Nothing is cut for good: which areas are hidden is
 * found anew from where the pieces lie now, so that it stays true when either is moved.
 */
import { outset, overlaps } from '@/core/geometry/box';
import { apply, compose, invert, linear, type Matrix, type Point } from '@/core/geometry/matrix';
import { common, grown, pathOfRings, polygons, signedArea, without } from '@/core/geometry/offset';
import { contains, pathBounds, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { cutOf, outlineOf, type DrawingTools } from '@/core/page/outlines';
import { marksUnder } from '@/core/piece/finish';
import { SHADOW_INK, type PageLight } from '@/core/piece/finish/light';
import type { Mark, Seen } from '@/core/picture/picture';
import { FARTHEST_OUT, type Piece, type Slit, type Tuck } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';

/** Where two pieces lie over each other: one area of it, on the page. */
export interface Crossing {
  upper: Piece;
  lower: Piece;
  area: Path;
  /** A point inside the area. */
  middle: Point;
  /** The tuck that makes the upper one pass beneath here; null where it passes over. */
  tuck: Tuck | null;
  /** What of the area is beneath: all of it, or what lies beyond a slit. */
  hidden: Path | null;
}

const onPage = (piece: Piece, tools: DrawingTools): Path =>
  transformPath(placementMatrix(piece.placement), outlineOf(piece, tools).path);

/** The areas two outlines have in common, the largest first; crumbs are left out. */
function areasOf(a: Path, b: Path): Path[] {
  const [p, q] = [pathBounds(a), pathBounds(b)];
  if (!overlaps(p, q)) return [];
  const rings = common(a, b);
  const holes = rings.filter((ring) => signedArea(ring) < 0);
  return rings
    .filter((ring) => signedArea(ring) > CRUMB)
    .sort((one, other) => signedArea(other) - signedArea(one))
    .map((ring) => {
      const outer = pathOfRings([ring]);
      return pathOfRings([ring, ...holes.filter((hole) => contains(outer, hole[0]!))]);
    });
}
/** Areas smaller than this, square points, are no crossings. */
const CRUMB = 2;

/** The anchor of a tuck on the page: it is kept in shares of the upper piece's box, and goes along with it. */
const anchorOn = ({ placement }: Piece, { x, y }: Tuck): Point =>
  apply(placementMatrix(placement), { x: x * placement.width, y: y * placement.height });

const distance = (area: Path, point: Point): number =>
  contains(area, point)
    ? 0
    : Math.min(
        ...polygons(area).flatMap((ring) => ring.map((p) => Math.hypot(p.x - point.x, p.y - point.y))),
      );

/** Which of a pair's areas each tuck means: the nearest to its anchor, each area once. */
function matched(areas: readonly Path[], upper: Piece, lower: Piece): Map<Path, Tuck> {
  const found = new Map<Path, Tuck>();
  for (const tuck of upper.tucks ?? []) {
    if (tuck.under !== lower.id) continue;
    const anchor = anchorOn(upper, tuck);
    const free = areas.filter((area) => !found.has(area));
    const [nearest] = [...free].sort((a, b) => distance(a, anchor) - distance(b, anchor));
    if (nearest) found.set(nearest, tuck);
  }
  return found;
}

/** Every place where this piece lies over or under another, from the lowest other up. */
export function crossingsOf(pile: readonly Piece[], id: string, tools: DrawingTools): Crossing[] {
  const at = pile.findIndex((piece) => piece.id === id);
  const piece = pile[at];
  if (!piece) return [];
  const own = onPage(piece, tools);
  return pile.flatMap((other, i): Crossing[] => {
    if (i === at || other.placement.hidden) return [];
    const [upper, lower] = i < at ? [piece, other] : [other, piece];
    const areas = areasOf(own, onPage(other, tools));
    const tucks = matched(areas, upper, lower);
    const found = areas.map((area) => {
      const tuck = tucks.get(area) ?? null;
      const hidden = tuck?.slit ? pathOfRings(common(area, beyondSlit(tuck.slit, lower))) : tuck && area;
      return { upper, lower, area, middle: insideOf(area), tuck, hidden };
    });
    // As one reads, so that a place keeps its number while a piece is moved.
    return found.sort((a, b) => a.middle.x - b.middle.x || a.middle.y - b.middle.y);
  });
}

/** A point well inside an area: the middle of its box if that lies in it, or of its widest stretch along a level line. */
function insideOf(area: Path): Point {
  const { x, y, width, height } = pathBounds(area);
  const middle = { x: x + width / 2, y: y + height / 2 };
  if (contains(area, middle)) return middle;
  let best = { point: middle, wide: 0 };
  for (let line = 1; line < 8; line++) {
    const level = y + (height * line) / 8;
    const strip = common(area, rectanglePath({ x, y: level - 0.01, width, height: 0.02 }));
    for (const ring of strip) {
      const xs = ring.map((p) => p.x);
      const [from, to] = [Math.min(...xs), Math.max(...xs)];
      if (to - from > best.wide) best = { point: { x: (from + to) / 2, y: level }, wide: to - from };
    }
  }
  return best.point;
}

/** The tuck that would make the upper piece pass beneath the lower one at a crossing. */
export function tuckAt({ upper, lower, middle }: Crossing): Tuck {
  const own = apply(invert(placementMatrix(upper.placement)), middle);
  const { width, height } = upper.placement;
  return { under: lower.id, x: own.x / width, y: own.y / height };
}

/** What is hidden of a tucked piece, and the shadows that fall on it where it goes beneath; in its own frame. */
export interface Tucked {
  /** Where the piece's own marks show. */
  seen: Seen;
  /** Shadows of what it passes under, each only on the piece. */
  shadows: Mark[];
  /** The areas it passes under, on the page. */
  areas: Path[];
}

/** A slit’s ends on the page. */
export const slitOnPage = ({ ax, ay, bx, by }: Slit, { placement }: Piece): [Point, Point] => {
  const at = (x: number, y: number) =>
    apply(placementMatrix(placement), { x: x * placement.width, y: y * placement.height });
  return [at(ax, ay), at(bx, by)];
};

/** How far off a slit may end, in shares of the lower piece's box: what a file takes. */
const FARTHEST_SLIT = 100;

/** A slit with its ends at these places of the page. */
export function slitAt({ placement }: Piece, a: Point, b: Point): Slit {
  const back = invert(placementMatrix(placement));
  const [p, q] = [apply(back, a), apply(back, b)];
  const { width, height } = placement;
  const share = (value: number) => Math.max(-FARTHEST_SLIT, Math.min(FARTHEST_SLIT, value));
  return {
    ax: share(p.x / width),
    ay: share(p.y / height),
    bx: share(q.x / width),
    by: share(q.y / height),
  };
}

/** How far beyond a slit its second cut lies on the page, points; null where it has none. */
export const slitsApart = ({ out }: Slit, { placement: { width, height } }: Piece): number | null =>
  out === undefined ? null : out * Math.sqrt(width * height);

/** A slit whose second cut lies so far beyond it, points; with none for null. */
export function slitWithOut({ out: _, ...slit }: Slit, lower: Piece, apart: number | null): Slit {
  if (apart === null) return slit;
  const { width, height } = lower.placement;
  return { ...slit, out: Math.max(0, Math.min(FARTHEST_OUT, apart / Math.sqrt(width * height))) };
}

/** The way along a slit, length 1. */
const wayOf = ([a, b]: [Point, Point]): Point => {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
};

/** Everything on the page beyond a slit, where things lie beneath the paper, as far as the cut they come out of again. */
function beyondSlit(slit: Slit, lower: Piece): Path {
  const ends = slitOnPage(slit, lower);
  const { x, y } = wayOf(ends);
  const [a, b] = ends;
  const far = 1e4;
  const deep = slitsApart(slit, lower) ?? far;
  const from = { x: a.x - far * x, y: a.y - far * y };
  const to = { x: b.x + far * x, y: b.y + far * y };
  return pathOfRings([
    [from, to, { x: to.x - deep * y, y: to.y + deep * x }, { x: from.x - deep * y, y: from.y + deep * x }],
  ]);
}

/** How far a slit is cut beyond what goes through it, points. */
const SLIT_BEYOND = 5;
const SLIT_WIDTH = 0.5;

/** The cuts of a slit, in the upper piece’s frame. */
function slitMarks(area: Path, slit: Slit, lower: Piece, toOwn: Matrix): Mark[] {
  const ends = slitOnPage(slit, lower);
  const way = wayOf(ends);
  const apart = slitsApart(slit, lower);
  const beyond = ({ x, y }: Point): Point => ({ x: x - apart! * way.y, y: y + apart! * way.x });
  return [ends[0], ...(apart === null ? [] : [beyond(ends[0])])].flatMap(
    (from) => cutMark(area, from, way, toOwn) ?? [],
  );
}

/** A cut itself, a little longer than what goes through it is wide; null where it meets nothing. */
function cutMark(area: Path, a: Point, { x, y }: Point, toOwn: Matrix): Mark | null {
  const strip = (from: number, to: number, half: number): Path =>
    pathOfRings([
      [
        [from, -half],
        [to, -half],
        [to, half],
        [from, half],
      ].map(([s, v]) => ({ x: a.x + s! * x - v! * y, y: a.y + s! * y + v! * x })),
    ]);
  const along = common(area, strip(-1e4, 1e4, 0.2)).flatMap((ring) =>
    ring.map((p) => (p.x - a.x) * x + (p.y - a.y) * y),
  );
  if (!along.length) return null;
  const cut = strip(Math.min(...along) - SLIT_BEYOND, Math.max(...along) + SLIT_BEYOND, SLIT_WIDTH / 2);
  return {
    mark: 'shadow',
    path: transformPath(toOwn, cut),
    grow: 0,
    offset: { x: 0, y: 0 },
    blur: 0.3,
    colour: SHADOW_INK,
    opacity: 0.75,
  };
}

/** Shadows reach as far as this beyond a crossing, points, at the most. */
const FAR = 60;

/** What is hidden by tucks on a page, by the tucked piece's id. Costs nothing where nothing is tucked. */
export function tuckedOn(
  pile: readonly Piece[],
  light: PageLight,
  tools: DrawingTools,
): ReadonlyMap<string, Tucked> {
  const result = new Map<string, Tucked>();
  pile.forEach((upper, at) => {
    if (!upper.tucks?.length || upper.placement.hidden) return;
    const own = onPage(upper, tools);
    const lies = placementMatrix(upper.placement);
    const toOwn = invert(lies);
    const hidden: Path[] = [];
    const shadows: Mark[] = [];
    const areas: Path[] = [];
    for (const lower of pile.slice(0, at)) {
      if (lower.placement.hidden || !upper.tucks.some(({ under }) => under === lower.id)) continue;
      const whole = onPage(lower, tools);
      const mine = matched(areasOf(own, whole), upper, lower);
      if (!mine.size) continue;
      const lowerLies = placementMatrix(lower.placement);
      const under = compose(toOwn, lowerLies);
      // Without slits all of it goes under the whole of the lower piece; each slit has a flap of paper of its own.
      const plain = [...mine].filter(([, tuck]) => !tuck.slit).map(([area]) => area);
      const passed: { area: Path; over: Path; edge: Path }[] = plain.length
        ? [{ area: plain.flat(), over: whole, edge: cutOf(lower, tools).path }]
        : [];
      areas.push(...plain);
      for (const [area, { slit }] of mine) {
        if (!slit) continue;
        const flap = pathOfRings(common(whole, beyondSlit(slit, lower)));
        const beneath = pathOfRings(common(area, flap));
        if (!beneath.length) continue;
        passed.push({ area: beneath, over: flap, edge: transformPath(invert(lowerLies), flap) });
        areas.push(beneath);
        shadows.push(...slitMarks(area, slit, lower, toOwn));
      }
      for (const { area, over, edge } of passed) {
        // Nor does its shadow fall on what it passes under, close by.
        const near = grown(area, FAR / 4);
        hidden.push(without(pathOfRings(common(near, over)), without(own, area)));
        const around = without(pathOfRings(common(grown(area, FAR), own)), over);
        for (const mark of marksUnder(
          { ...lower.finish, echoes: undefined },
          light,
          edge,
          lowerLies,
          tools,
        )) {
          if (mark.mark !== 'shadow') continue;
          const moved = apply(linear(under), mark.offset);
          shadows.push({
            ...mark,
            path: transformPath(under, mark.path),
            offset: moved,
            within: [{ area: transformPath(toOwn, around) }],
          });
        }
      }
    }
    if (!hidden.length) return;
    const everywhere = rectanglePath(outset(pathBounds(own), 400));
    result.set(upper.id, {
      seen: { area: transformPath(toOwn, without(everywhere, hidden.flat())), beneath: true },
      shadows,
      areas,
    });
  });
  return result;
}
