'use client';
/** The family in use, written in itself; opens the list of all families. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { IconChevronRight } from '@tabler/icons-react';
import { useEffect } from 'react';
import { familyName } from '@/core/text/families';
import { useRoom, useSession } from '@/features/table/room/context';
import { faceOf, showFaces } from '@/features/table/tasks/words/faces';

export function FamilyButton({ family, disabled }: { family: string; disabled: boolean }) {
  const { store } = useRoom();
  const fonts = useSession((session) => session.history.project.fonts);
  useEffect(() => void showFaces([family]), [family]);
  const name = familyName(family, fonts);
  return (
    <ButtonBase
      disabled={disabled}
      aria-label={`Letters: ${name}. All families`}
      onMouseDown={(event) => event.preventDefault()}
      onClick={() => store.getState().openSheet('fonts')}
      sx={{
        flex: 1,
        minWidth: 0,
        height: 48,
        px: 1.5,
        border: 1,
        borderColor: 'divider',
        borderRadius: 1.5,
        justifyContent: 'space-between',
        '&:hover': { borderColor: 'text.secondary' },
      }}
    >
      <Box
        component="span"
        sx={{
          fontFamily: faceOf(family),
          fontSize: 21,
          lineHeight: 1.2,
          overflow: 'hidden',
          whiteSpace: 'nowrap',
          textOverflow: 'ellipsis',
        }}
      >
        {name}
      </Box>
      <IconChevronRight size={18} />
    </ButtonBase>
  );
}
