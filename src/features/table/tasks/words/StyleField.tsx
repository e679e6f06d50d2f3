'use client';
/** Text styles: a way of writing under a name, given to others, changed once for all that is written in it. */
import Box from '@mui/material/Box';
import type { Piece } from '@/core/piece/piece';
import { MOST_STYLES } from '@/core/project/schema';
import { changePieces } from '@/core/project/edits/edit';
import {
  changeStyle,
  differs,
  forgetStyle,
  giveStyle,
  HOUSE_STYLES,
  keepStyle,
  styleOf,
  stylesOf,
  writtenAs,
  writtenIn,
} from '@/core/project/edits/styles';
import { newId } from '@/features/shared/ids';
import { KeptField } from '@/features/table/parts/KeptField';
import { useSession } from '@/features/table/room/context';
import { faceOf } from '@/features/table/tasks/words/faces';

export function StyleField({ piece }: { piece: Piece }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const project = useSession((session) => session.history.project);
  const typesetter = useSession((session) => session.typesetter);
  const styles = stylesOf(project);
  const style = styleOf(project, piece);
  return (
    <KeptField
      label="Text style"
      what="way of writing"
      all={styles}
      chosen={style}
      show={({ name, family }) => (
        <Box component="span" sx={{ fontFamily: faceOf(family), fontSize: 18, lineHeight: 1.3 }}>
          {name}
        </Box>
      )}
      none="Its own"
      differs={style !== undefined && differs(piece, style)}
      count={style ? writtenIn(project, style.id).length : 0}
      full={styles.length >= MOST_STYLES}
      disabled={readOnly}
      forgettable={!HOUSE_STYLES.some(({ id }) => id === style?.id)}
      onChoose={(one) =>
        perform(
          one
            ? giveStyle(surfaceId, [piece], one, typesetter)
            : changePieces('part words from their style', surfaceId, [piece.id], ({ outline }) => {
                if (outline.kind === 'glyphs') delete outline.style;
              }),
        )
      }
      onKeep={(name) => perform(keepStyle(surfaceId, piece, newId(), name))}
      onChange={(one) => {
        const now = writtenAs(piece, one.id, one.name);
        if (now) perform(changeStyle(project, now, typesetter));
      }}
      onForget={(one) => perform(forgetStyle(one))}
    />
  );
}
