'use client';
/** Words lie in the workbox too: a title or journaling, begun by a press or dragged to its spot. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import { IconAlphabetLatin, IconCalendarUser, IconQuote, IconRotate } from '@tabler/icons-react';
import { memo } from 'react';
import { layCaption, runAlong } from '@/features/table/acts';
import { useRoom } from '@/features/table/room/context';
import type { SessionStore } from '@/features/table/session';
import { writeCarried, type Carried } from '@/features/table/parts/carry';

interface Props {
  readOnly: boolean;
  onLay: (carried: Carried, anchor: HTMLElement) => void;
}

const MORE = [
  {
    name: 'Sentiments and quotes',
    keys: 'Shift Q',
    Icon: IconQuote,
    run: (store: SessionStore) => store.getState().openSheet('sentiments'),
  },
  {
    name: 'Letters of an alphabet',
    keys: 'Shift L',
    Icon: IconAlphabetLatin,
    run: (store: SessionStore) => store.getState().openSheet('letters'),
  },
  { name: 'Words along an outline', keys: 'Shift U', Icon: IconRotate, run: runAlong },
  { name: 'Who and when', keys: 'Shift W', Icon: IconCalendarUser, run: layCaption },
] as const;

export const WordsCompartment = memo(function WordsCompartment({ readOnly, onLay }: Props) {
  const { store } = useRoom();
  return (
    <Box
      component="section"
      aria-label="Words"
      sx={{
        flexShrink: 0,
        ml: 1,
        px: 0.75,
        bgcolor: 'table.compartment',
        borderRadius: 1.5,
        display: 'flex',
        alignItems: 'center',
        gap: 0.5,
        boxShadow: 'inset 0 2px 5px rgba(60,40,15,0.16)',
      }}
    >
      <Box sx={{ display: 'grid', gap: 0.5 }}>
        <WordsButton what="title" sample="Aa" font="great-vibes" disabled={readOnly} onLay={onLay} />
        <WordsButton what="journaling" sample="abc" font="caveat" disabled={readOnly} onLay={onLay} />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(2, 36px)', gap: 0.5 }}>
        {MORE.map(({ name, keys, Icon, run }) => (
          <Tooltip key={name} title={`${name} (${keys})`}>
            <span>
              <IconButton
                color="inherit"
                aria-label={name}
                disabled={readOnly}
                onClick={() => run(store)}
                sx={{
                  border: 1,
                  borderColor: 'divider',
                  bgcolor: 'background.paper',
                  borderRadius: 1.5,
                  p: 0,
                  width: 36,
                  height: 36,
                }}
              >
                <Icon size={19} />
              </IconButton>
            </span>
          </Tooltip>
        ))}
      </Box>
    </Box>
  );
});

interface ButtonProps {
  what: 'title' | 'journaling';
  sample: string;
  font: string;
  disabled: boolean;
  onLay: Props['onLay'];
}

function WordsButton({ what, sample, font, disabled, onLay }: ButtonProps) {
  return (
    <Button
      color="inherit"
      disabled={disabled}
      draggable={!disabled}
      onDragStart={(event) => writeCarried(event.dataTransfer, { kind: 'words', role: what })}
      onClick={(event) => onLay({ kind: 'words', role: what }, event.currentTarget)}
      sx={{
        justifyContent: 'space-between',
        border: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
        height: 36,
        px: 1.25,
        gap: 1.25,
        whiteSpace: 'nowrap',
      }}
    >
      <span>Write {what}</span>
      <Box
        component="span"
        aria-hidden="true"
        sx={{
          fontFamily: `"house ${font}"`,
          fontWeight: 400,
          whiteSpace: 'nowrap',
          fontSize: what === 'title' ? 25 : 18,
          color: what === 'title' ? 'primary.main' : 'text.primary',
        }}
      >
        {sample}
      </Box>
    </Button>
  );
}
