'use client';
/** Something pieces share by its name, such as a look or a text style: chosen, kept, changed once for all, forgotten. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconBookmarkPlus, IconTrash } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import { LONGEST_LOOK } from '@/core/project/edits/looks';

interface Named {
  id: string;
  name: string;
}

interface Props<T extends Named> {
  /** `Look`, `Text style` */
  label: string;
  /** What it holds, after “Keep this”: `finish`, `way of writing`. */
  what: string;
  all: readonly T[];
  chosen: T | undefined;
  /** How a choice is shown in the list. */
  show?: (one: T) => ReactNode;
  /** What pieces have that share none. */
  none: string;
  /** The pieces differ from what they share by now. */
  differs: boolean;
  /** How many pieces share it. */
  count: number;
  full: boolean;
  disabled: boolean;
  forgettable?: boolean;
  onChoose: (one: T | undefined) => void;
  onKeep: (name: string) => void;
  onChange: (one: T) => void;
  onForget: (one: T) => void;
}

const NONE = 'none';

export function KeptField<T extends Named>(props: Props<T>) {
  const { label, what, all, chosen, show, none, differs, count, full, disabled, forgettable = true } = props;
  const [name, setName] = useState<string | null>(null);
  const noun = label.toLowerCase();
  const keep = () => {
    const called = name?.trim();
    if (!called) return;
    props.onKeep(called);
    setName(null);
  };
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{ gridColumn: '1 / -1', display: 'flex', flexDirection: 'column', gap: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
        {name === null ? (
          <TextField
            select
            fullWidth
            label={label}
            value={chosen?.id ?? NONE}
            disabled={disabled || all.length === 0}
            onChange={({ target: { value } }) => props.onChoose(all.find(({ id }) => id === value))}
          >
            <MenuItem value={NONE}>{none}</MenuItem>
            {all.map((one) => (
              <MenuItem key={one.id} value={one.id}>
                {show ? show(one) : one.name}
              </MenuItem>
            ))}
          </TextField>
        ) : (
          <TextField
            fullWidth
            autoFocus
            label={`Name of the ${noun}`}
            value={name}
            slotProps={{ htmlInput: { maxLength: LONGEST_LOOK } }}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter') keep();
              if (event.key === 'Escape') setName(null);
            }}
          />
        )}
        {name === null ? (
          <Tooltip title={`Keep this ${what} as a ${noun}`}>
            <span>
              <IconButton
                color="inherit"
                disabled={disabled || full}
                aria-label={`Keep this ${what} as a ${noun}`}
                onClick={() => setName('')}
              >
                <IconBookmarkPlus size={19} />
              </IconButton>
            </span>
          </Tooltip>
        ) : (
          <Button size="small" disabled={!name.trim()} onClick={keep}>
            Keep
          </Button>
        )}
        {chosen && forgettable && name === null && (
          <Tooltip title={`Forget this ${noun}; pieces keep their ${what}`}>
            <IconButton
              color="inherit"
              disabled={disabled}
              aria-label={`Forget ${noun} ${chosen.name}`}
              onClick={() => props.onForget(chosen)}
            >
              <IconTrash size={18} />
            </IconButton>
          </Tooltip>
        )}
      </Box>
      {chosen && differs && (
        <>
          <Typography variant="body2" role="status">
            It differs from “{chosen.name}” by now.
          </Typography>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button
              size="small"
              variant="outlined"
              disabled={disabled}
              onClick={() => props.onChange(chosen)}
            >
              {count > 1 ? `Change all ${count}` : `Change the ${noun}`}
            </Button>
            <Button size="small" color="inherit" disabled={disabled} onClick={() => props.onChoose(chosen)}>
              Back to the {noun}
            </Button>
          </Box>
        </>
      )}
    </Box>
  );
}
