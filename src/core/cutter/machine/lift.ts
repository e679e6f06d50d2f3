/** What comes loose once everything is cut: the paper is divided wherever the blade went, and nothing else is known of it. */
import { EndType, FillRule, inflatePathsD, JoinType, differenceD, unionD, type PathsD } from 'clipper2-ts';
import { boxOfPoints, outset, type Size } from '@/core/geometry/box';
import { rectanglePath } from '@/core/geometry/path';
import { inRing, nested, runsOf, type Ring } from '@/core/cutter/rings';
import { toPoints } from '@/core/units/lengths';
import { signedArea } from '@/core/geometry/offset';

/** Half of how wide a cut is: what ends within that of another cut meets it. */
const HALF = toPoints(0.03, 'mm');
/** Crumbs smaller than this, square points, are dust. */
const DUST = 0.5;

export interface Loose {
  /** The outer ring, then its holes. */
  rings: Ring[];
  /** It fell out of something that came loose itself: the middle of an o. */
  fell: boolean;
}

export interface Lifted {
  loose: Loose[];
  /** What stays on the mat. */
  rest: Ring[];
}

export function lifted(cuts: readonly Ring[], size: Size): Lifted {
  if (!cuts.length) return { loose: [], rest: [] };
  const all = outset(boxOfPoints([...cuts.flat(), { x: 0, y: 0 }, { x: size.width, y: size.height }]), 10);
  const kerf = inflatePathsD(cuts as PathsD, HALF, JoinType.Round, EndType.Round, 2, 4, 0.02);
  const paper = runsOf(rectanglePath(all), 1).map(({ points }) => points) as PathsD;
  const faces = nested(differenceD(paper, unionD(kerf, [], FillRule.NonZero, 4), FillRule.NonZero, 4));
  const rest = faces.find(([outer]) => outer!.some(({ x, y }) => x === all.x && y === all.y)) ?? [];
  const loose = faces.filter((face) => face !== rest && signedArea(face[0]!) > DUST);
  return {
    loose: loose.map((rings): Loose => {
      const point = rings[0]![0]!;
      const about = loose.filter(
        (other) => other !== rings && other.slice(1).some((hole) => inRing(hole, point)),
      );
      return { rings, fell: about.length % 2 === 1 };
    }),
    rest,
  };
}
