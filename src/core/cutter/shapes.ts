/** Items as areas: their outlines followed closely, mended as wished, with the lines of them that are open. */
import { differenceD, FillRule, intersectD, unionD, type PathsD } from 'clipper2-ts';
import { boxOfPoints, type Box } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { pathOfRings, signedArea } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import type { Item, Part } from '@/core/cutter/model';
import { bridged, bridgedOpening, widened } from '@/core/cutter/repair';
import { comesBack, runsOf, type Ring } from '@/core/cutter/rings';
import { toPoints } from '@/core/units/lengths';

/** Curves are followed this closely before lines are simplified. */
export const FINE = toPoints(0.005, 'mm');
const DECIMALS = 4;
/** Less area than this, square points, is a crumb of rounding. */
const CRUMB = 0.05;

export const union = (rings: readonly Ring[]): PathsD =>
  unionD(rings as PathsD, [], FillRule.NonZero, DECIMALS).filter(
    (ring) => Math.abs(signedArea(ring)) > CRUMB,
  );
export const minus = (rings: PathsD, less: PathsD): PathsD =>
  differenceD(rings, less, FillRule.NonZero, DECIMALS);
export const inCommon = (a: PathsD, b: readonly Ring[]): PathsD =>
  intersectD(a, b as PathsD, FillRule.NonZero, DECIMALS);

/** A path as fine rings, whatever of it is open closed. */
export const ringsOf = (path: Path): Ring[] => runsOf(path, FINE).map(({ points }) => points);

export interface Shape {
  item: Item;
  /** Height in the pile. */
  at: number;
  rings: PathsD;
  open: Point[][];
  box: Box;
}

export function shapeOf(item: Item, at: number): Shape {
  const runs = runsOf(item.path, FINE);
  const { bridge, widen, close = false } = item.wishes;
  const stays = (run: (typeof runs)[number]) => !close && item.as !== 'print' && !comesBack(run);
  const open = runs.filter(stays).map(({ points }) => points);
  let rings = union(runs.filter((run) => !stays(run)).map(({ points }) => points));
  if (bridge || widen) {
    let path: Path = pathOfRings(rings);
    if (bridge) path = item.opening ? bridgedOpening(path, bridge) : bridged(path, bridge);
    if (widen) path = widened(path, widen);
    rings = union(ringsOf(path));
  }
  return { item, at, rings, open, box: boxOfPoints(runs.flatMap(({ points }) => points)) };
}

export const partFrom = (
  rings: readonly Ring[],
  of: Pick<Part, 'id' | 'name' | 'pieces' | 'paper' | 'place'>,
): Part => ({ ...of, rings, lines: [], box: boxOfPoints(rings[0]!) });

/** What comes loose of a place, and what is noted of it on the way. */
export interface Found {
  parts: Part[];
  /** Pieces whose outlines are open, by id. */
  open: string[];
  /** Middles that fall out: the part, and the piece whose outline lets it fall. */
  loose: { part: string; piece: string | null }[];
}
