'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { COMMANDS } from '@/features/table/tasks';

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

export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const withKeys = COMMANDS.flatMap(({ keys, name, more, group }) =>
    keys ? [{ keys, does: more ? `${name}: ${more}` : name, group }] : [],
  );
  const groups = [...new Set(withKeys.map(({ group }) => group))];
  return (
    <Dialog open={open} onClose={onClose} maxWidth="md" aria-labelledby="keys-title">
      <DialogTitle id="keys-title" variant="h2">
        Keys and how-to
      </DialogTitle>
      <DialogContent sx={{ columns: { xs: 1, sm: 2 }, columnGap: 5 }}>
        {groups.map((group) => (
          <List
            key={group}
            name={group}
            rows={withKeys
              .filter((one) => one.group === group)
              .map(({ keys, does }) => [keys, does] as const)}
          />
        ))}
        <List name="By hand" rows={BY_HAND} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} autoFocus>
          Close
        </Button>
      </DialogActions>
    </Dialog>
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
