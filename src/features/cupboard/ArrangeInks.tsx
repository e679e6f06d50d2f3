'use client';
/** The inks of a set: dragged or stepped into any order, sorted, put back; named, put into families, put by. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { arrayMove } from '@dnd-kit/sortable';
import { IconArrowLeft, IconArrowRight } from '@tabler/icons-react';
import { useState } from 'react';
import { arrangement, familyOf, orderOf, sortedInks, type Sorting } from '@/core/inks/sets';
import type { NamedInk, Supply } from '@/core/supplies/model';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { InkOrder } from '@/features/shared/InkOrder';
import { SmallButton } from '@/ui/SmallButton';
import { TextOnLeaving } from '@/ui/TextOnLeaving';

const SORTINGS: readonly (readonly [Sorting, string])[] = [
  ['own', 'As the set came'],
  ['hue', 'By hue'],
  ['light', 'From light to dark'],
  ['family', 'By family'],
];
/** Inks of a set that are laid out; larger ones are sorted only. */
const MOST_SHOWN = 400;

interface Props {
  supply: Supply;
  cupboard: Cupboard;
  onClose: () => void;
}

export function ArrangeInks({ supply, cupboard, onClose }: Props) {
  const inks = supply.inks ?? [];
  const order = orderOf(supply);
  const [chosen, setChosen] = useState(order[0] ?? 0);
  const change = (to: (before: Supply) => Partial<Supply>) =>
    void cupboard.change([supply], (before) => ({ ...before, ...to(before) }));
  const arrange = (next: (before: Supply) => readonly number[]) =>
    change((before) => ({ arranged: arrangement(next(before)) }));
  const ink = inks[chosen];
  const at = order.indexOf(chosen);
  const step = (by: 1 | -1) =>
    arrange((before) => {
      const now = orderOf(before);
      const from = now.indexOf(chosen);
      return arrayMove(now, from, Math.max(0, Math.min(now.length - 1, from + by)));
    });
  const changeInk = (to: (ink: NamedInk) => NamedInk) =>
    change((before) => ({ inks: (before.inks ?? []).map((each, i) => (i === chosen ? to(each) : each)) }));
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="inks-title">
      <DialogTitle id="inks-title" variant="h2">
        {supply.name}
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Box role="group" aria-label="Sort the inks" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {SORTINGS.map(([by, name]) => (
            <Button
              key={by}
              size="small"
              variant="outlined"
              color="inherit"
              onClick={() => arrange((before) => sortedInks(before.inks ?? [], by))}
            >
              {name}
            </Button>
          ))}
        </Box>
        <InkOrder
          inks={inks}
          order={order.slice(0, MOST_SHOWN)}
          chosen={chosen}
          onChoose={setChosen}
          onArrange={(next) => arrange(() => [...next, ...order.slice(MOST_SHOWN)])}
        />
        {order.length > MOST_SHOWN && (
          <Typography variant="body2">And {order.length - MOST_SHOWN} more, which follow them.</Typography>
        )}
        {ink && (
          <Box
            key={chosen}
            sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr auto', gap: 1.5, alignItems: 'center' }}
          >
            <TextOnLeaving
              label="Name of the ink"
              value={ink.name}
              longest={60}
              onCommit={(name) => name && changeInk((each) => ({ ...each, name }))}
            />
            <TextOnLeaving
              label="Family"
              value={familyOf(ink)}
              longest={60}
              onCommit={(family) =>
                changeInk(({ family: _, ...each }) => (family ? { ...each, family } : each))
              }
            />
            <Box>
              <SmallButton label="Earlier in the set" disabled={at <= 0} onClick={() => step(-1)}>
                <IconArrowLeft size={18} />
              </SmallButton>
              <SmallButton
                label="Later in the set"
                disabled={at < 0 || at === order.length - 1}
                onClick={() => step(1)}
              >
                <IconArrowRight size={18} />
              </SmallButton>
            </Box>
            <FormControlLabel
              sx={{ gridColumn: '1 / -1' }}
              control={
                <Switch
                  checked={Boolean(ink.retired)}
                  onChange={(_, on) =>
                    changeInk(({ retired: __, ...each }) => (on ? { ...each, retired: true } : each))
                  }
                />
              }
              label="Put by: no longer offered, still there where it is used"
            />
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
