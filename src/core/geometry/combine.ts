/** Outlines joined, cut out of each other, overlapped and divided, on their true curves (Paper.js). Filled by the non-zero rule. */
import paper from 'paper/dist/paper-core';
import { areaOf, pathOfRings, plainArea, polygons } from '@/core/geometry/offset';
import { parsePath, pathData, type Path } from '@/core/geometry/path';

export type Combination = 'join' | 'cut out' | 'overlap' | 'divide';

export interface Combined {
  path: Path;
  /** Pieces of paper it falls into, and holes in them. */
  parts: number;
  holes: number;
}

const scope = new paper.PaperScope();

function shape(path: Path): paper.PathItem {
  scope.setup(new scope.Size(1, 1));
  const item = new scope.CompoundPath(pathData(path, 6));
  item.fillRule = 'nonzero';
  // One winding, no crossings: what later steps count on.
  const one = item.unite(undefined as unknown as paper.PathItem, { insert: false });
  const [made, asked] = [plainArea(pathOf(one)), areaOf(path)];
  if (made !== null && Math.abs(made - asked) <= MOST_OFF * asked) return one;
  // Where rings are wound against each other and all but touch, edges are followed the wrong way: polygons never are.
  return new scope.CompoundPath(pathData(pathOfRings(polygons(path)), 6));
}

const ringsOf = (item: paper.PathItem): paper.Path[] =>
  item.children?.length ? (item.children as paper.Path[]) : item.isEmpty() ? [] : [item as paper.Path];

const pathOf = (item: paper.PathItem): Path => ringsOf(item).flatMap((ring) => parsePath(ring.pathData));

/** Share of its area a path may be off once its curves are divided elsewhere. */
const MOST_OFF = 5e-3;

/** Slivers of less area than this, square points, come of rounding and are dropped. */
const SLIVER = 1e-3;

function told(item: paper.PathItem): Combined {
  const rings = ringsOf(item).filter((ring) => Math.abs(ring.area) > SLIVER);
  const outer = rings.filter(({ clockwise }) => clockwise).length;
  return {
    path: rings.flatMap((ring) => parsePath(ring.pathData)),
    parts: outer,
    holes: rings.length - outer,
  };
}

/**
 * `paths` lie bottom first. Join: all as one. Cut out: the lowest without all above it. Overlap: what lies in all of them.
 * Divide: every area that their edges cut out of all of them, one result each. Results without any area are left out.
 */
export function combine(how: Combination, paths: readonly Path[]): Combined[] {
  const [lowest, ...above] = paths.map(shape);
  if (!lowest) return [];
  const quiet = { insert: false };
  const all = (start: paper.PathItem, step: (a: paper.PathItem, b: paper.PathItem) => paper.PathItem) =>
    above.reduce(step, start);
  const results =
    how === 'join'
      ? [all(lowest, (a, b) => a.unite(b, quiet))]
      : how === 'cut out'
        ? [all(lowest, (a, b) => a.subtract(b, quiet))]
        : how === 'overlap'
          ? [all(lowest, (a, b) => a.intersect(b, quiet))]
          : above.reduce<paper.PathItem[]>(
              (areas, next) => {
                const rest = areas.reduce((left, area) => left.subtract(area, quiet), next);
                return [
                  ...areas.flatMap((area) => [area.subtract(next, quiet), area.intersect(next, quiet)]),
                  rest,
                ];
              },
              [lowest],
            );
  return results.map((item) => told(item.reorient(true, true))).filter(({ parts }) => parts > 0);
}

/** The path's separate parts, each with its own holes. */
export function partsOf(path: Path): Path[] {
  const rings = ringsOf(shape(path).reorient(true, true)).filter((ring) => Math.abs(ring.area) > SLIVER);
  const outer = rings.filter(({ clockwise }) => clockwise);
  return outer.map((ring) => [
    ...parsePath(ring.pathData),
    ...rings
      .filter((hole) => !hole.clockwise && nearestAround(hole, outer) === ring)
      .flatMap((hole) => parsePath(hole.pathData)),
  ]);
}

/** The smallest of the rings that hold a hole. */
function nearestAround(hole: paper.Path, rings: readonly paper.Path[]): paper.Path | undefined {
  const inside = hole.getPointAt(0);
  return rings.filter((ring) => ring.contains(inside)).sort((a, b) => Math.abs(a.area) - Math.abs(b.area))[0];
}
