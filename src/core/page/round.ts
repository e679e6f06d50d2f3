/**
 * Ribbons and strips that go round a folded paper: across all of a face, and behind it at the same height. The two ends are
 * kept in step; where they end on the other side nobody need care.
 */
import { apply, type Matrix } from '@/core/geometry/matrix';
import { withBleed } from '@/core/geometry/sides';
import { normalTurn, type Placement } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import type { Surface } from '@/core/project/model';

/** A placement made as long as it takes to run off both edges of a face, along its longer side; its middle line stays. */
export function acrossFace(
  placement: Placement,
  face: Pick<Surface, 'width' | 'height' | 'bleed'>,
): Placement {
  const { x, y, width, height, turn } = placement;
  const along = width >= height ? turn : turn + 90;
  const thick = Math.min(width, height);
  const [ux, uy] = [Math.cos((along * Math.PI) / 180), Math.sin((along * Math.PI) / 180)];
  // Towards the edges it runs at: left and right, or top and bottom for what stands upright.
  const level = Math.abs(ux) >= Math.abs(uy);
  const all = withBleed(face);
  const [u, v, at, first, side] = level ? [ux, uy, x, all.x, all.width] : [uy, ux, y, all.y, all.height];
  // Its corners, too, lie beyond the edge.
  const beyond = (thick / 2) * Math.abs(v);
  const [from, to] = [(first - beyond - at) / u, (first + side + beyond - at) / u];
  const long = Math.abs(to - from);
  const middle = (from + to) / 2;
  return {
    ...placement,
    ...{ x: x + ux * middle, y: y + uy * middle },
    ...(width >= height ? { width: long } : { height: long }),
  };
}

/** Where the other end lies, on the other side of the paper: just behind, its right side out there too. */
export function behind(placement: Placement, through: Matrix): Placement {
  const { x, y } = apply(through, placement);
  const turn = through[0] < 0 ? -placement.turn : 180 - placement.turn;
  return { ...placement, x, y, turn: normalTurn(turn) };
}

/** One end as the other one is: its material, cut, finish and place, at its own height of its own pile. */
export function asOtherEnd(of: Piece, end: Pick<Piece, 'id' | 'groups' | 'tucks'>, through: Matrix): Piece {
  const { groups: _, tucks: __, ...rest } = of;
  return {
    ...rest,
    id: end.id,
    placement: behind(of.placement, through),
    ...(end.groups ? { groups: end.groups } : {}),
    ...(end.tucks ? { tucks: end.tucks } : {}),
  };
}
