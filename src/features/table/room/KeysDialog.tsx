'use client';
/** Help: what the table can do, found by a person's own words and done from there; every key; what a hand does. */

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useRoom } from '@/features/table/room/context';
import { COMMANDS, commandsFor } from '@/features/table/tasks';
import { GROUPS, obey, type Command } from '@/features/table/tasks/command';

const BY_HAND: readonly (readonly [string, string])[] = [
  ['Click again', 'The piece beneath: peek goes one deeper'],
  ['Shift click', 'Add to what is selected, or take away'],
  ['Double click', 'Open a group, slide a photo in its place, or write on'],
  ['Drag the bare table', 'A frame round things; with Alt only what lies wholly inside'],
  ['Space and drag', 'Move the view; so does a finger, and the wheel'],
  [
    'Drag from a ruler',
    'A guide on every page; with Alt on this one, with Shift through its paper. Its tab moves it, off the ruler it goes',
  ],
  ['Drag with Shift', 'Straight across or down; a corner: another shape'],
  ['Drag with Ctrl', 'Nothing snaps'],
  ['Drag a corner with Alt', 'The middle stays where it is'],
  ['Wheel while sliding', 'The photo closer or further in its place'],
  ['Drag the loop', 'Turn; with Shift by 15 degrees'],
  ['Ctrl wheel', 'Closer or further away'],
];

const LISTED = COMMANDS.filter(({ listed }) => listed !== false);

/** Every key, by group. */
const KEYS = GROUPS.map(
  (group) =>
    [
      group,
      COMMANDS.flatMap((one) =>
        one.group === group && one.keys
          ? [[one.keys, one.more ? `${one.name}: ${one.more}` : one.name] as const]
          : [],
      ),
    ] as const,
);

export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { store } = useRoom();
  const [words, setWords] = useState('');
  const found = words.trim() ? commandsFor(words, LISTED) : null;
  const run = (command: Command) => {
    onClose();
    // The dialog gives the focus back first: what is opened may take it.
    setTimeout(() => obey(command, store, new KeyboardEvent('keydown')));
  };
  return (
    <Dialog open={open} onClose={onClose} maxWidth="md" fullWidth aria-labelledby="keys-title">
      <DialogTitle id="keys-title" variant="h2">
        Keys and how-to
      </DialogTitle>
      <Box sx={{ px: 3, pb: 2, pt: 0.5 }}>
        <TextField
          fullWidth
          autoFocus
          type="search"
          label="What would you like to do?"
          placeholder="cut out, transparent, month, heading …"
          value={words}
          onChange={(event) => setWords(event.target.value.slice(0, 80))}
          onKeyDown={(event) => event.key === 'Enter' && found?.[0] && run(found[0])}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      </Box>
      {/* What scrolls can be reached by keys. */}
      <DialogContent dividers tabIndex={0} sx={{ height: '60vh' }}>
        {found ? (
          <Found commands={found} onRun={run} />
        ) : (
          <Box sx={{ columns: { xs: 1, sm: 2 }, columnGap: 5 }}>
            {KEYS.map(([group, rows]) => (
              <List key={group} name={group} rows={rows} />
            ))}
            <List name="By hand" rows={BY_HAND} />
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

/** What was found, each pressed to do it. */
function Found({ commands, onRun }: { commands: readonly Command[]; onRun: (command: Command) => void }) {
  const { store } = useRoom();
  if (!commands.length)
    return (
      <Typography role="status" color="text.secondary">
        Nothing is called so here. Try one word of it, or what it is for: “round”, “print”, “date”.
      </Typography>
    );
  return (
    <Box component="ul" aria-label="What leads there" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {commands.map((command) => {
        const why = command.needs?.(store.getState()) ?? null;
        return (
          <li key={command.name}>
            <ButtonBase
              onClick={() => onRun(command)}
              sx={{
                display: 'flex',
                width: '100%',
                gap: 2,
                px: 1.5,
                py: 0.75,
                borderRadius: 1.5,
                textAlign: 'left',
                fontFamily: 'inherit',
                '&:hover': { bgcolor: 'action.hover' },
              }}
            >
              <Box component="span" sx={{ flex: 1, lineHeight: 1.35 }}>
                <b>{command.name}</b>
                <Box component="span" sx={{ display: 'block', fontSize: '0.9rem', color: 'text.secondary' }}>
                  {why ?? command.more}
                </Box>
              </Box>
              <Box component="kbd" sx={{ fontFamily: 'inherit', color: 'text.secondary' }}>
                {command.keys}
              </Box>
            </ButtonBase>
          </li>
        );
      })}
    </Box>
  );
}

function List({ name, rows }: { name: string; rows: readonly (readonly [string, string])[] }) {
  return (
    <Box sx={{ breakInside: 'avoid', mb: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {name}
      </Typography>
      <Box
        component="dl"
        sx={{ m: 0, display: 'grid', gridTemplateColumns: '116px 1fr', rowGap: 0.5, fontSize: '0.95rem' }}
      >
        {rows.map(([keys, does]) => (
          <Box key={keys} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ fontWeight: 600 }}>
              {keys}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {does}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
