'use client';
/** Into which kit, and under which name, something of the page is kept. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import { useEffect, useState } from 'react';
import { tagsFrom } from '@/core/supplies/kit-file';
import type { Kit } from '@/core/supplies/model';
import { fail, type Result } from '@/core/result';
import { isUnnamed, KitChoice, kitMeant, type IntoKit } from '@/features/shared/KitChoice';
import { newId } from '@/features/shared/ids';
import type { Kept } from '@/features/table/acts/keepSupply';
import { openCupboard } from '@/storage/supplies';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

interface Props {
  title: string;
  name: string;
  /** How it may be kept, where there is a choice; the first is proposed. */
  ways?: readonly string[] | undefined;
  /** Hears which of the ways was chosen. */
  onKeep: (kept: Kept, way: number) => Promise<Result<null>>;
  onClose: () => void;
}

const ownKits = (): Promise<readonly Kit[]> =>
  openCupboard().then(
    ({ kits }) => kits.filter(({ house }) => !house),
    () => [],
  );
const proposed = ([first]: readonly Kit[]): IntoKit => (first ? { id: first.id } : { name: 'My kit' });

export function KeepDialog({ title, name: first, ways, onKeep, onClose }: Props) {
  const notify = useNotify();
  // Whoever is quicker than the cupboard means the kit that would be proposed, too.
  const [read] = useState(ownKits);
  const [kits, setKits] = useState<readonly Kit[]>([]);
  const [chosen, setInto] = useState<IntoKit | null>(null);
  const into = chosen ?? proposed(kits);
  const [name, setName] = useState(first);
  const [tags, setTags] = useState('');
  const [way, setWay] = useState(0);
  const [busy, setBusy] = useState(false);
  useEffect(() => void read.then(setKits), [read]);
  const keep = async () => {
    setBusy(true);
    const all = await read;
    const kit = kitMeant(chosen ?? proposed(all), all, newId(), Date.now());
    const kept = await onKeep({ name: name.trim(), tags: tagsFrom(tags), kit }, way).catch((error) =>
      fail(inWords(error, 'It was not kept')),
    );
    setBusy(false);
    if (!kept.ok) return notify({ text: kept.message, tone: 'error' });
    notify({ text: `${name.trim()} lies in ${kit.name} now.` });
    onClose();
  };
  const unnamed = !name.trim() || isUnnamed(into);
  return (
    <Dialog open onClose={() => !busy && onClose()} maxWidth="xs" fullWidth aria-labelledby="keep-title">
      <DialogTitle id="keep-title" variant="h2">
        {title}
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2, pt: '8px !important' }}>
        <TextField
          size="small"
          label="Its name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
        {ways && (
          <RadioGroup aria-label="How it is kept" value={way} onChange={(_, value) => setWay(Number(value))}>
            {ways.map((says, i) => (
              <FormControlLabel key={says} value={i} control={<Radio size="small" />} label={says} />
            ))}
          </RadioGroup>
        )}
        <KitChoice kits={kits} into={into} onChange={setInto} />
        <TextField
          size="small"
          label="Tags, with commas between"
          value={tags}
          onChange={(event) => setTags(event.target.value.slice(0, 400))}
        />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose} disabled={busy}>
          Leave it
        </Button>
        <Button variant="contained" onClick={() => void keep()} disabled={busy || unnamed}>
          {busy ? 'Keeping …' : 'Keep it'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
