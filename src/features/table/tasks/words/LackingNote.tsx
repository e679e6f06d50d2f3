'use client';
/** Says which characters the families in use do not have, and what writes them instead. */
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import type { Piece } from '@/core/piece/piece';
import { lackingOf } from '@/core/project/needs';
import { lackingSays } from '@/core/text/lacking';
import { useSession } from '@/features/table/room/context';

export function LackingNote({ piece }: { piece: Piece }) {
  const typesetter = useSession((session) => session.typesetter);
  const fonts = useSession((session) => session.history.project.fonts);
  const says = useMemo(() => lackingSays(lackingOf(piece, typesetter), fonts), [piece, typesetter, fonts]);
  return says.map((sentence) => (
    <Typography
      key={sentence}
      variant="body2"
      role="status"
      color="text.secondary"
      sx={{ gridColumn: '1 / -1', mt: -0.5 }}
    >
      {sentence}
    </Typography>
  ));
}
