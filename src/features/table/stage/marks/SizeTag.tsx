'use client';
/** While a hand resizes one piece: its size, and for a photo how sharply it prints at it. */
import { apply } from '@/core/geometry/matrix';
import { toolsFor } from '@/core/page/outlines';
import { sharpnessInShort, sharpnessOf } from '@/core/proof/sharpness';
import { placementMatrix } from '@/core/piece/placement/placement';
import { formatSize, type Unit } from '@/core/units/lengths';
import { useSession } from '@/features/table/room/context';
import { selectedPieces, settledPieces, type Session } from '@/features/table/session';
import { Said } from '@/features/table/stage/marks/Snaps';

/** The one piece that is being made larger or smaller, as it would be. */
function resizedPiece(session: Session) {
  if (!session.tryout || session.selection.length !== 1) return undefined;
  const [now] = selectedPieces(session);
  const [before] = settledPieces(session, session.selection);
  const same =
    now?.placement.width === before?.placement.width && now?.placement.height === before?.placement.height;
  return now && before && !same ? now : undefined;
}

export function SizeTag({ unit }: { unit: Unit }) {
  const piece = useSession(resizedPiece);
  const view = useSession((session) => session.view);
  const project = useSession(({ history }) => history.project);
  const typesetter = useSession((session) => session.typesetter);
  if (!piece) return null;
  const { placement } = piece;
  const foot = apply(placementMatrix(placement), { x: 0, y: placement.height / 2 });
  const sharpness = sharpnessOf(piece, toolsFor(project, typesetter));
  const words = [formatSize(placement, unit), ...(sharpness ? [sharpnessInShort(sharpness)] : [])].join(', ');
  return (
    <g pointerEvents="none" data-testid="size-tag">
      <Said x={view.x + foot.x * view.zoom} y={view.y + foot.y * view.zoom + 46} words={words} />
    </g>
  );
}
