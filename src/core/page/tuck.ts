/**
 * Tucks: where a piece passes under another that lies lower in the pile. Nothing is cut for good: which areas are hidden is
 * found anew from where the pieces lie now, so that it stays true when either is moved.
 */
import { outset, overlaps } from '@/core/geometry/box';
import { apply, compose, invert, type Point } from '@/core/geometry/matrix';
import { common, grown, pathOfRings, polygons, signedArea, without } from '@/core/geometry/offset';
import { contains, pathBounds, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { cutOf, outlineOf, type DrawingTools } from '@/core/page/outlines';
import { marksUnder } from '@/core/piece/finish';
import type { PageLight } from '@/core/piece/finish/light';
import type { Mark } from '@/core/picture/picture';
import type { Piece, Tuck } from '@/core/piece/piece';
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
    return areas.map((area) => ({
      upper,
      lower,
      area,
      middle: insideOf(area),
      tuck: tucks.get(area) ?? null,
    }));
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
  within: Path;
  /** Shadows of what it passes under, each only on the piece. */
  shadows: Mark[];
  /** The areas it passes under, on the page. */
  areas: Path[];
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
      const over = onPage(lower, tools);
      const mine = [...matched(areasOf(own, over), upper, lower).keys()];
      if (!mine.length) continue;
      const area = mine.flat();
      areas.push(...mine);
      // Nor does its shadow fall on what it passes under, close by.
      const near = grown(area, FAR / 4);
      hidden.push(without(pathOfRings(common(near, over)), without(own, area)));
      const around = without(pathOfRings(common(grown(area, FAR), own)), over);
      const lowerLies = placementMatrix(lower.placement);
      const under = compose(toOwn, lowerLies);
      for (const mark of marksUnder(lower.finish, light, cutOf(lower, tools).path, lowerLies, tools.asset)) {
        if (mark.mark !== 'shadow') continue;
        const moved = apply([under[0], under[1], under[2], under[3], 0, 0], mark.offset);
        shadows.push({
          ...mark,
          path: transformPath(under, mark.path),
          offset: moved,
          within: transformPath(toOwn, around),
        });
      }
    }
    if (!hidden.length) return;
    const everywhere = rectanglePath(outset(pathBounds(own), 400));
    result.set(upper.id, {
      within: transformPath(toOwn, without(everywhere, hidden.flat())),
      shadows,
      areas,
    });
  });
  return result;
}
