'use client';
/** Looks: the finish of a piece under a name, given to others, changed once for all that wear it. */
import type { Piece } from '@/core/piece/piece';
import {
  changeLook,
  forgetLook,
  giveLook,
  keepLook,
  lookOf,
  MOST_LOOKS,
  partLook,
  sameFinish,
  wearing,
} from '@/core/project/edits/looks';
import { newId } from '@/features/shared/ids';
import { KeptField } from '@/features/table/parts/KeptField';
import { useSession } from '@/features/table/room/context';

export function LookField({ pieces }: { pieces: readonly Piece[] }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const project = useSession((session) => session.history.project);
  const [piece] = pieces;
  if (!piece) return null;
  const looks = project.looks ?? [];
  const look = lookOf(project, piece);
  return (
    <KeptField
      label="Look"
      what="finish"
      all={looks}
      chosen={look}
      none={looks.length ? 'Its own' : 'None kept yet'}
      differs={look !== undefined && !sameFinish(look.finish, piece.finish)}
      count={look ? wearing(project, look.id).length : 0}
      full={looks.length >= MOST_LOOKS}
      disabled={readOnly}
      onChoose={(one) => perform(one ? giveLook(surfaceId, pieces, one) : partLook(surfaceId, pieces))}
      onKeep={(name) => perform(keepLook(surfaceId, pieces, newId(), name))}
      onChange={(one) => perform(changeLook(one, piece.finish))}
      onForget={(one) => perform(forgetLook(one))}
    />
  );
}
