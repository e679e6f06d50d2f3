'use client';
/** Says where words that grew reach beyond the page, and brings them back. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { toolsFor } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import { cutOff } from '@/core/proof/cut-off';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/session';

export function BeyondNote({ piece }: { piece: Piece }) {
  const { store } = useRoom();
  const says = useSession((session) => {
    const project = shownProject(session);
    const tools = toolsFor(project, session.typesetter);
    return cutOff(piece, { surface: shownSurface(session), tools }, project.unit);
  });
  const readOnly = useSession((session) => session.readOnly);
  return (
    <Box role="status" sx={{ gridColumn: '1 / -1', display: says ? 'block' : 'none', mt: -0.5 }}>
      {says && (
        <>
          <Typography variant="body2" sx={{ color: 'warning.main' }}>
            {says}
          </Typography>
          {piece.outline.kind === 'glyphs' && (
            <Button
              size="small"
              color="inherit"
              disabled={readOnly || piece.placement.locked}
              onClick={() =>
                act.fitOnPage(store, piece.id) ||
                store.getState().refuse('Not even the smallest letters fit on the page: part the words.')
              }
            >
              Fit the words on the page
            </Button>
          )}
        </>
      )}
    </Box>
  );
}
