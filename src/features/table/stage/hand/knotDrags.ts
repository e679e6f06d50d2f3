/** What a drag of an outline's point, handle or side comes to. */
import { bent, movedHandle, movedKnot, nearestSide } from '@/core/geometry/knots';
import { apply, invert, type Point } from '@/core/geometry/matrix';
import { placementMatrix } from '@/core/piece/placement/placement';
import { reshaped, reshapeEdit } from '@/features/table/acts';
import type { Session } from '@/features/table/session';
import type { Drag, Grip } from '@/features/table/stage/hand/drags';
import { toPage } from '@/features/table/stage/hand/view';

export type KnotGrip = Extract<Grip, { spot: unknown }>;

/** `from` is where the pointer went down, stage pixels. */
export function knotDrag(session: Session, grip: KnotGrip, from: Point): Drag {
  const now = reshaped(session);
  if (!now) return () => ({ edit: null });
  const { piece, rings } = now;
  const back = invert(placementMatrix(piece.placement));
  const own = (point: Point) => apply(back, toPage(session.view, point));
  const start = own(from);
  const { spot } = grip;
  const knot = rings[spot.ring]![spot.knot]!;
  const t = grip.kind === 'side' ? (nearestSide([sideRing()], start)?.t ?? 0.5) : 0;

  /** The one side as a ring of its own, so that the nearest place is looked for on it alone. */
  function sideRing() {
    const ring = rings[spot.ring]!;
    const next = ring[(spot.knot + 1) % ring.length]!;
    const end = { x: next.x, y: next.y };
    return [knot, { ...next, after: end }];
  }

  return (to) => {
    const here = own(to);
    const by = { x: here.x - start.x, y: here.y - start.y };
    switch (grip.kind) {
      case 'knot':
        return {
          edit: reshapeEdit(
            session,
            piece,
            'move point',
            movedKnot(rings, spot, { x: knot.x + by.x, y: knot.y + by.y }),
          ),
        };
      case 'handle':
        return {
          edit: reshapeEdit(session, piece, 'bend side', movedHandle(rings, spot, grip.which, here)),
        };
      case 'side':
        return { edit: reshapeEdit(session, piece, 'bend side', bent(rings, spot, t, here)) };
    }
  };
}
