'use client';
/** Words lie in the workbox too: a title or journaling, begun by a press or dragged to its spot. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { writeCarried, type Carried } from '@/features/table/workbox/carry';

interface Props {
  readOnly: boolean;
  onLay: (carried: Carried, anchor: HTMLElement) => void;
}

export function WordsCompartment({ readOnly, onLay }: Props) {
  return (
    <Box
      component="section"
      aria-label="Words"
      sx={{
        width: 190,
        flexShrink: 0,
        ml: 1,
        px: 0.75,
        bgcolor: 'table.compartment',
        borderRadius: 1.5,
        display: 'flex',
        flexDirection: 'column',
        justifyContent: 'center',
        gap: 1,
        boxShadow: 'inset 0 2px 5px rgba(60,40,15,0.16)',
      }}
    >
      <WordsButton role="title" sample="Aa" font="great-vibes" disabled={readOnly} onLay={onLay} />
      <WordsButton role="journaling" sample="abc" font="caveat" disabled={readOnly} onLay={onLay} />
    </Box>
  );
}

interface ButtonProps {
  role: 'title' | 'journaling';
  sample: string;
  font: string;
  disabled: boolean;
  onLay: Props['onLay'];
}

function WordsButton({ role, sample, font, disabled, onLay }: ButtonProps) {
  return (
    <Button
      color="inherit"
      disabled={disabled}
      draggable={!disabled}
      onDragStart={(event) => writeCarried(event.dataTransfer, { kind: 'words', role })}
      onClick={(event) => onLay({ kind: 'words', role }, event.currentTarget)}
      sx={{
        justifyContent: 'space-between',
        border: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        height: 46,
        px: 1.5,
        whiteSpace: 'nowrap',
      }}
    >
      <span>Write {role}</span>
      <Box
        component="span"
        aria-hidden="true"
        sx={{
          fontFamily: `"house ${font}"`,
          fontWeight: 400,
          whiteSpace: 'nowrap',
          fontSize: role === 'title' ? 25 : 18,
          color: role === 'title' ? 'primary.main' : 'text.primary',
        }}
      >
        {sample}
      </Box>
    </Button>
  );
}
