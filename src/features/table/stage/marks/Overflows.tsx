'use client';
/** Words that do not fit their box, marked at its foot, with what cures it at hand. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import { IconAlertTriangle, IconArrowAutofitHeight, IconTextResize } from '@tabler/icons-react';
import { useMemo } from 'react';
import { apply, compose } from '@/core/geometry/matrix';
import { wordsOver } from '@/core/piece/outline/glyphs';
import { placementMatrix } from '@/core/piece/placement/placement';
import { fitBox, fitLetters } from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import { RULER, viewMatrix } from '@/features/table/stage/hand/view';

/** How wide the mark is, alone and with its cures. */
const SHUT = 190;
const OPEN = 400;

export function Overflows() {
  const { store } = useRoom();
  const pile = useSession((session) => shownSurface(session).pile);
  const width = useSession((session) => shownSurface(session).width);
  const typesetter = useSession((session) => session.typesetter);
  const view = useSession((session) => session.view);
  const chosen = useSession((session) => (session.selection.length === 1 ? session.selection[0] : null));
  const stage = useSession((session) => session.stage);
  const readOnly = useSession((session) => session.readOnly);
  const found = useMemo(
    () =>
      pile.flatMap(({ id, outline, placement }) => {
        if (outline.kind !== 'glyphs' || !outline.fixed || placement.hidden) return [];
        const over = wordsOver(outline, placement, typesetter);
        return over ? [{ id, over, placement }] : [];
      }),
    [pile, typesetter],
  );
  return (
    <>
      {found.map(({ id, over, placement }) => {
        const foot = apply(compose(viewMatrix(view), placementMatrix(placement)), {
          x: placement.width / 2,
          y: placement.height / 2,
        });
        const wide = chosen === id ? OPEN : SHUT;
        // On the page, where it has room: verbs stand beside it.
        const edge = view.x + width * view.zoom;
        const most = Math.min(stage.width, edge - wide > RULER ? edge : stage.width) - wide - 8;
        return (
          <Paper
            key={id}
            elevation={2}
            role="group"
            aria-label="Words that do not fit"
            onPointerDown={(event) => event.stopPropagation()}
            sx={{
              position: 'absolute',
              left: Math.max(RULER, Math.min(most, foot.x + 12)),
              top: Math.max(RULER, Math.min(stage.height - 44, foot.y - 20)),
              display: 'flex',
              alignItems: 'center',
              borderRadius: 2,
              border: 1,
              borderColor: 'warning.main',
              whiteSpace: 'nowrap',
              zIndex: 1,
            }}
          >
            <Button
              size="small"
              color="inherit"
              startIcon={<IconAlertTriangle size={17} />}
              onClick={() => store.getState().select([id])}
              sx={{ '& .MuiButton-startIcon': { color: 'warning.main' } }}
            >
              {over} {over === 1 ? 'word does' : 'words do'} not fit
            </Button>
            {chosen === id && !readOnly && (
              <Box sx={{ display: 'flex', borderLeft: 1, borderColor: 'divider' }}>
                <Button
                  size="small"
                  color="inherit"
                  startIcon={<IconTextResize size={17} />}
                  onClick={() => fitLetters(store, id)}
                >
                  Smaller letters
                </Button>
                <Button
                  size="small"
                  color="inherit"
                  startIcon={<IconArrowAutofitHeight size={17} />}
                  onClick={() => fitBox(store, id)}
                >
                  Taller box
                </Button>
              </Box>
            )}
          </Paper>
        );
      })}
    </>
  );
}
