'use client';
/** Other colours for whole pictures or for parts of them; each stays adjustable. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconLasso, IconPalette, IconShield } from '@tabler/icons-react';
import { useState } from 'react';
import { MOST_DYES, type Dye, type DyeChange } from '@/core/dye/dye';
import { changeDyes, dyesOf, isDyeable } from '@/core/project/edits/dyes';
import { naming } from '@/core/project/edits/edit';
import { newId } from '@/features/shared/ids';
import { KeepPieces } from '@/features/table/parts/KeepButtons';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces } from '@/features/table/session';
import { DyeControls } from '@/features/table/tasks/colour/DyeControls';
import { DyeList } from '@/features/table/tasks/colour/DyeList';
import { useDrawing } from '@/features/table/tasks/colour/useMarks';
import { SideSheet } from '@/features/table/parts/SideSheet';

/** The ink a dye begins with: far from most, so that one sees what it does. */
const FIRST = '#2f6f8f';

export function RecolourSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const perform = useSession((session) => session.perform);
  const readOnly = useSession((session) => session.readOnly);
  useSession((session) => session.history);
  useSession((session) => session.selection);
  const session = store.getState();
  const pieces = settledPieces(session, session.selection).filter(
    ({ material, placement }) => isDyeable(material) && !placement.locked,
  );
  const [piece, ...others] = pieces;
  const [chosen, setChosen] = useState('');
  /** The part that was just begun is marked at once. */
  const [begun, setBegun] = useState('');
  const drawing = useDrawing(piece);
  const dyes = piece ? dyesOf(piece) : [];
  const dye = dyes.find(({ id }) => id === chosen) ?? dyes.at(-1);
  const disabled = readOnly || !piece;
  const change = (label: string, to: (dyes: readonly Dye[]) => readonly Dye[]) =>
    perform(changeDyes(label, session.surfaceId, pieces, to));
  const add = (label: string, name: string, part: boolean, to: DyeChange) => {
    const id = newId();
    change(label, (before) => [
      ...before,
      {
        id,
        name,
        change: to,
        strength: 1,
        ...(part ? { where: drawing ? { parts: [] } : { strokes: [], area: '' } } : {}),
      },
    ]);
    setChosen(id);
    setBegun(part ? id : '');
  };
  const ink: DyeChange = { how: 'ink', ink: dye?.change.how === 'ink' ? dye.change.ink : FIRST };
  /** The first number no part of this name has. */
  const numbered = (word: string): string => {
    for (let i = 1; ; i++) if (!dyes.some(({ name }) => name === `${word} ${i}`)) return `${word} ${i}`;
  };
  const full = dyes.length >= MOST_DYES;
  return (
    <SideSheet title="Recolour" onClose={onClose}>
      {!piece ? (
        <Typography role="status">
          Select pictures on the page: papers, photos, stamps or embellishments. All of them, or marked parts
          of one, then take other colours.
        </Typography>
      ) : (
        <>
          {dyes.length === 0 && (
            <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
              Dye {others.length ? `these ${pieces.length} pictures` : 'it'} like an ink, light and shade
              kept, or turn
              {others.length ? ' their' : ' its'} hue.
              {others.length ? '' : ' A part is marked with a rough stroke.'} It can be changed at any time.
            </Typography>
          )}
          <DyeList
            dyes={dyes}
            chosen={dye?.id ?? ''}
            disabled={disabled}
            onChoose={(id) => {
              setChosen(id);
              setBegun('');
            }}
            onChange={change}
          />
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, my: 1 }}>
            <Button
              size="small"
              variant="outlined"
              color="inherit"
              disabled={disabled || full}
              startIcon={<IconPalette size={17} />}
              onClick={() => add(`recolour ${naming(pieces)}`, 'All of it', false, ink)}
            >
              All of it
            </Button>
            <Button
              size="small"
              variant="outlined"
              color="inherit"
              disabled={disabled || full || others.length > 0}
              startIcon={<IconLasso size={17} />}
              onClick={() => add('mark a part', numbered('Part'), true, ink)}
            >
              Mark a part
            </Button>
            <Button
              size="small"
              variant="outlined"
              color="inherit"
              disabled={disabled || full || others.length > 0}
              startIcon={<IconShield size={17} />}
              onClick={() => add('protect a part', numbered('Protected'), true, { how: 'protect' })}
            >
              Protect a part
            </Button>
          </Box>
          {dye && (
            <DyeControls
              key={dye.id}
              pieces={pieces}
              dye={dye}
              drawing={drawing}
              disabled={disabled}
              begun={begun === dye.id}
            />
          )}
          {dyes.length > 0 && (
            <Box
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                gap: 0.5,
                mt: 1,
                pt: 1,
                borderTop: 1,
                borderColor: 'divider',
              }}
            >
              <KeepPieces pieces={pieces} />
              <Button
                size="small"
                color="inherit"
                disabled={disabled}
                onClick={() => change('take all recolouring away', () => [])}
              >
                As it was
              </Button>
            </Box>
          )}
        </>
      )}
    </SideSheet>
  );
}
