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

/** Supplies that are told of one by one; of the rest, the number. */
const MOST_TOLD = 6;

export function TakeOut({ supplies, cupboard, onClose }: Props) {
  /** Which pages each of them lies on; null while that is looked for. */
  const [used, setUsed] = useState<readonly string[] | 'unknown' | null>(null);
  useEffect(() => {
    let gone = false;
    const looked = usesOf(supplies.flatMap(({ asset }) => asset?.sha ?? [])).then((uses) => {
      const lines = supplies.flatMap(({ asset, name }) => {
        const on = asset && uses.get(asset.sha);
        return on
          ? [`${name} lies on ${on.map(({ title }) => title || 'an untitled page').join(', ')}.`]
          : [];
      });
      if (!gone) setUsed(lines);
    });
    looked.catch(() => !gone && setUsed('unknown'));
    return () => {
      gone = true;
      setUsed(null);
    };
  }, [supplies]);
  if (!supplies.length) return null;
  const many = supplies.length > 1;
  const lines = used === 'unknown' ? [] : (used ?? []);
  const more = lines.length - MOST_TOLD;
  const what = many ? `${supplies.length} supplies` : supplies[0]!.name;
  return (
    <Dialog open onClose={onClose} maxWidth="xs" aria-labelledby="leave-title">
      <DialogTitle id="leave-title" variant="h2">
        Take {what} out?
      </DialogTitle>
      <DialogContent>
        {lines.slice(0, MOST_TOLD).map((line, i) => (
          <Typography key={i} sx={{ mb: 1 }}>
            {line}
          </Typography>
        ))}
        {more > 0 && (
          <Typography sx={{ mb: 1 }}>
            {more === 1 ? 'One more of them lies on a page' : `${more} more of them lie on pages`}, too.
          </Typography>
        )}
        <Typography>{outcome(used, many)}</Typography>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose} autoFocus>
          {many ? 'Leave them' : 'Leave it'}
        </Button>
        <Button
          variant="contained"
          disabled={used === null}
          onClick={() => void cupboard.remove(supplies.map(({ id }) => id)).then(onClose)}
        >
          {many ? 'Take them out' : 'Take it out'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** What taking out does, and how to have it back. */
function outcome(used: readonly string[] | 'unknown' | null, many: boolean): string {
  if (!used) return 'Looking for the pages it lies on …';
  if (used === 'unknown')
    return 'Which pages it lies on could not be read just now. Whatever lies on a page stays there as it is.';
  if (used.length)
    return `Those pages keep their copy and stay as they are; ${many ? 'they are' : 'it is'} only no longer in the cupboard.`;
  return many
    ? 'None of them lies on a page. Bring their files in again whenever you want them back.'
    : 'It lies on no page. Bring its file in again whenever you want it back.';
}
