'use client';
/** A family in the words that are being written, with what can be done with it. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { IconStar, IconStarFilled, IconTrash } from '@tabler/icons-react';
import { memo } from 'react';
import { faceOf } from '@/features/table/tasks/words/faces';
import { SmallButton } from '@/ui/SmallButton';

interface Props {
  id: string;
  name: string;
  /** What it is shown in; its own name where that is empty. */
  sample: string;
  on: boolean;
  disabled: boolean;
  favourite: boolean;
  /** It was brought in, and can be taken out. */
  own: boolean;
  onChoose: (id: string) => void;
  onFavourite: (id: string) => void;
  onTakeOut: (id: string) => void;
}

/** There are many of them: only those that change are drawn anew. */
export const FamilyRow = memo(function FamilyRow(row: Props) {
  const { id, name, sample, on, disabled, favourite, own, onChoose, onFavourite, onTakeOut } = row;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center' }}>
      <ButtonBase
        aria-pressed={on}
        disabled={disabled}
        onMouseDown={(event) => event.preventDefault()}
        onClick={() => onChoose(id)}
        sx={{
          flex: 1,
          minWidth: 0,
          display: 'block',
          textAlign: 'left',
          px: 1,
          py: 0.5,
          borderRadius: 1.5,
          bgcolor: on ? 'action.selected' : undefined,
          '&:hover': { bgcolor: 'action.hover' },
        }}
      >
        <Box
          component="span"
          aria-hidden={sample ? true : undefined}
          sx={{
            display: 'block',
            fontFamily: faceOf(id),
            fontSize: 25,
            lineHeight: 1.25,
            whiteSpace: 'nowrap',
            overflow: 'hidden',
          }}
        >
          {sample || name}
        </Box>
        {sample && (
          <Typography component="span" variant="caption" color="text.secondary">
            {name}
          </Typography>
        )}
      </ButtonBase>
      <SmallButton
        label={favourite ? `${name} is a favourite` : `Make ${name} a favourite`}
        onClick={() => onFavourite(id)}
      >
        {favourite ? <IconStarFilled size={17} /> : <IconStar size={17} />}
      </SmallButton>
      {own && (
        <SmallButton label={`Take ${name} out of this project`} onClick={() => onTakeOut(id)}>
          <IconTrash size={17} />
        </SmallButton>
      )}
    </Box>
  );
});
