'use client';
/** Before something leaves the cupboard: where it is used, and that those pages stay whole. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Supply } from '@/core/supplies/model';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { usesOf } from '@/storage/supplies';

interface Props {
  supplies: readonly Supply[];
  cupboard: Cupboard;
  onClose: () => void;
}

/** Supplies looked up in every project; for more, only the number is told. */
const MOST_LOOKED_UP = 40;

export function TakeOut({ supplies, cupboard, onClose }: Props) {
  const [used, setUsed] = useState<string[] | null>(null);
  useEffect(() => {
    let gone = false;
    void (async () => {
      const lines: string[] = [];
      for (const { asset, name } of supplies.slice(0, MOST_LOOKED_UP)) {
        const uses = asset ? await usesOf(asset.sha) : [];
        if (uses.length)
          lines.push(`${name} lies on ${uses.map(({ title }) => title || 'an untitled page').join(', ')}.`);
      }
      if (!gone) setUsed(lines);
    })();
    return () => {
      gone = true;
      setUsed(null);
    };
  }, [supplies]);
  if (!supplies.length) return null;
  const what = supplies.length === 1 ? supplies[0]!.name : `${supplies.length} supplies`;
  return (
    <Dialog open onClose={onClose} maxWidth="xs" aria-labelledby="leave-title">
      <DialogTitle id="leave-title" variant="h2">
        Take {what} out?
      </DialogTitle>
      <DialogContent>
        {used?.map((line) => (
          <Typography key={line} sx={{ mb: 1 }}>
            {line}
          </Typography>
        ))}
        <Typography>
          {used?.length
            ? 'Those pages keep their copy and stay as they are; it is only no longer in the cupboard.'
            : 'It lies on no page. Bring its file in again whenever you want it back.'}
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose} autoFocus>
          Leave it
        </Button>
        <Button
          variant="contained"
          disabled={used === null}
          onClick={() => void cupboard.remove(supplies.map(({ id }) => id)).then(onClose)}
        >
          Take it out
        </Button>
      </DialogActions>
    </Dialog>
  );
}
