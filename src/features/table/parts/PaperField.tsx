'use client';
/** What something is made of: cardstock in an ink, or one of the papers at hand. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Asset } from '@/core/picture/asset';
import { plainName } from '@/core/project/create';
import { useSession } from '@/features/table/room/context';
import { shownProject } from '@/features/table/session';
import { usePapers } from '@/features/table/parts/usePapers';
import { useNotify } from '@/ui/notices';

interface Props {
  label: string;
  /** SHA-256 of the paper; null for an ink. */
  paper: string | null;
  disabled: boolean;
  /** What stands for no paper; “Cardstock in an ink” unless told otherwise. */
  none?: string;
  onPaper: (paper: Asset) => void;
  onNone: () => void;
  /** Told while the chosen paper's file is on its way. */
  onWait?: (waiting: boolean) => void;
}

export function PaperField({
  label,
  paper,
  disabled,
  none = 'Cardstock in an ink',
  onPaper,
  onNone,
  onWait,
}: Props) {
  const notify = useNotify();
  const { papers, take } = usePapers();
  const missing = useSession((session) => paper !== null && shownProject(session).assets[paper]);
  const listed = paper === null || papers.some(({ sha }) => sha === paper);
  const choose = async (value: string) => {
    if (value === '') return onNone();
    onWait?.(true);
    const taken = await take(value);
    onWait?.(false);
    if (taken.ok) onPaper(taken.value);
    else notify({ text: taken.message, tone: 'error' });
  };
  return (
    <TextField
      select
      label={label}
      value={paper ?? ''}
      disabled={disabled}
      onChange={(event) => void choose(event.target.value)}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">{none}</MenuItem>
      {!listed && paper !== null && (
        <MenuItem value={paper}>{missing ? plainName(missing.name) : 'A paper not here'}</MenuItem>
      )}
      {papers.map(({ sha, name }) => (
        <MenuItem key={sha} value={sha}>
          {plainName(name)}
        </MenuItem>
      ))}
    </TextField>
  );
}
