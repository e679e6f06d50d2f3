'use client';
/** An ink by eye, by number, or out of the ink sets in the cupboard. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { IconPalette } from '@tabler/icons-react';
import { useState } from 'react';
import type { Supply } from '@/core/supplies/model';
import { houseStocked } from '@/features/shared/stock';
import { inkSets } from '@/storage/supplies';
import { ColourField } from '@/ui/ColourField';
import { useNotify } from '@/ui/notices';

interface Props {
  label: string;
  colour: string;
  disabled: boolean;
  onChange: (colour: string) => void;
}

export function InkField({ label, colour, disabled, onChange }: Props) {
  const notify = useNotify();
  const [sets, setSets] = useState<readonly Supply[]>([]);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const named = sets.flatMap(({ inks = [] }) => inks).find((ink) => ink.colour === colour);
  const open = async (at: HTMLElement) => {
    try {
      await houseStocked();
      setSets(await inkSets());
      setAnchor(at);
    } catch {
      notify({ text: 'The ink sets could not be read.', tone: 'error' });
    }
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
      <ColourField
        label={named ? `${label}: ${named.name}` : label}
        colour={colour}
        disabled={disabled}
        onChange={onChange}
      />
      <Button
        color="inherit"
        disabled={disabled}
        aria-haspopup="dialog"
        startIcon={<IconPalette size={18} />}
        onClick={(event) => void open(event.currentTarget)}
        sx={{ height: 38, flexShrink: 0, border: 1, borderColor: 'divider' }}
      >
        Inks
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
        slotProps={{
          paper: { role: 'dialog', 'aria-label': 'Inks', sx: { p: 2, width: 300, maxHeight: 420 } },
        }}
      >
        {sets.map((set) => (
          <Box key={set.id} sx={{ mb: 1.5 }}>
            <Typography component="h3" sx={{ fontWeight: 600, fontSize: '0.95rem', mb: 0.5 }}>
              {set.name}
            </Typography>
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(6, 1fr)', gap: 0.75 }}>
              {set.inks?.map((ink) => (
                <ButtonBase
                  key={ink.name}
                  aria-label={ink.name}
                  aria-pressed={ink.colour === colour}
                  title={ink.name}
                  onClick={() => {
                    onChange(ink.colour);
                    setAnchor(null);
                  }}
                  sx={{
                    height: 34,
                    borderRadius: '50%',
                    bgcolor: ink.colour,
                    border: '1px solid rgba(0,0,0,0.25)',
                    outline: ink.colour === colour ? '2px dashed' : 'none',
                    outlineColor: 'primary.main',
                    outlineOffset: 2,
                  }}
                />
              ))}
            </Box>
          </Box>
        ))}
      </Popover>
    </Box>
  );
}
