/** What a hand has drawn so far, and the outline or line it comes to. */
import { drawnLine, drawnOutline } from '@/core/geometry/freehand';
import { pathOfKnots, type Knot } from '@/core/geometry/knots';
import { scaling, type Point } from '@/core/geometry/matrix';
import { ellipsePath, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { boxOfPoints, corners, type Box } from '@/core/geometry/box';
import { workedLine } from '@/core/piece/finish/edge';
import type { EdgeKind } from '@/core/piece/finish/profiles';

export type Way = 'freehand' | 'points' | 'box' | 'round' | 'scissors';

export interface Drawing {
  way: Way;
  /** Freehand lines, and corners of a box or of the box round an ellipse, as the pointer went, page points. */
  line: readonly Point[];
  /** Pixels a point took on the screen while it was drawn. */
  zoom: number;
  /** Point by point, on the page. */
  knots: readonly Knot[];
  closed: boolean;
  /** How much of the hand's tremble is taken out, 0 to 1. */
  smoothing: number;
  /** Scissors: straight from where the hand began to where it ended. */
  straight: boolean;
  blade: 'plain' | EdgeKind;
  /** Points from one tooth of the blade to the next. */
  tooth: number;
}

export const NOTHING_DRAWN: Drawing = {
  way: 'freehand',
  line: [],
  zoom: 1,
  knots: [],
  closed: false,
  smoothing: 0.35,
  straight: true,
  blade: 'plain',
  tooth: 18,
};

/** The outline that is drawn, page points; null while it encloses nothing. */
export function drawnPath({ way, line, zoom, knots, closed, smoothing }: Drawing): Path | null {
  if (way === 'points') return closed ? pathOfKnots([knots]) : null;
  if (way === 'box') return line.length === 2 ? rectanglePath(boxOfPoints(line)) : null;
  if (way === 'round') return line.length === 2 ? ellipsePath(boxOfPoints(line)) : null;
  if (way === 'scissors') return null;
  const found = drawnOutline(
    line.map(({ x, y }) => ({ x: x * zoom, y: y * zoom })),
    smoothing,
  );
  return found && transformPath(scaling(1 / zoom), found);
}

/**
 * The line scissors will follow, page points; null while there is none. A straight one goes on until it is out of `through`,
 * so that its blade works it from edge to edge.
 */
export function scissorLine(drawing: Drawing, through: Box | null): Point[] | null {
  const { way, line, zoom, straight, smoothing, blade, tooth } = drawing;
  const [from, to] = [line[0], line[line.length - 1]];
  if (way !== 'scissors' || !from || !to || Math.hypot(to.x - from.x, to.y - from.y) * zoom < 4) return null;
  const pixels = line.map(({ x, y }) => ({ x: x * zoom, y: y * zoom }));
  const cut = straight
    ? lengthened(from, to, through)
    : drawnLine(pixels, smoothing).map(({ x, y }) => ({ x: x / zoom, y: y / zoom }));
  return blade === 'plain' ? cut : workedLine(cut, blade, tooth, 1);
}

/** A straight line whose ends lie on or outside of a box, if it meets the box at all. */
function lengthened(from: Point, to: Point, through: Box | null): Point[] {
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  const way = { x: (to.x - from.x) / long, y: (to.y - from.y) / long };
  const along = (p: Point) => (p.x - from.x) * way.x + (p.y - from.y) * way.y;
  const ends = through ? corners(through).map(along) : [];
  const [start, end] = [Math.min(0, ...ends), Math.max(long, ...ends)];
  const at = (s: number): Point => ({ x: from.x + s * way.x, y: from.y + s * way.y });
  return [at(start), at(end)];
}
