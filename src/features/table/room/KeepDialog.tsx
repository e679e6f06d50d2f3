'use client';
/** Into which kit, and under which name, something of the page is kept. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useState } from 'react';
import { tagsFrom } from '@/core/supplies/kit-file';
import { newKit, type Kit } from '@/core/supplies/model';
import type { Result } from '@/core/result';
import { newId } from '@/features/shared/ids';
import type { Kept } from '@/features/table/room/keepSupply';
import { openCupboard } from '@/storage/supplies';
import { useNotify } from '@/ui/notices';

interface Props {
  title: string;
  name: string;
  onKeep: (kept: Kept) => Promise<Result<null>>;
  onClose: () => void;
}

const NEW = 'new';

export function KeepDialog({ title, name: first, onKeep, onClose }: Props) {
  const notify = useNotify();
  const [kits, setKits] = useState<readonly Kit[]>([]);
  const [into, setInto] = useState(NEW);
  const [kitName, setKitName] = useState('My kit');
  const [name, setName] = useState(first);
  const [tags, setTags] = useState('');
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    void openCupboard().then(({ kits: all }) => {
      const own = all.filter(({ house }) => !house);
      setKits(own);
      if (own[0]) setInto(own[0].id);
    });
  }, []);
  const keep = async () => {
    setBusy(true);
    const kit = kits.find(({ id }) => id === into) ?? newKit(newId(), kitName.trim(), Date.now());
    const kept = await onKeep({ name: name.trim(), tags: tagsFrom(tags), kit }).catch(() => null);
    setBusy(false);
    if (!kept?.ok)
      return notify({
        text: kept ? kept.message : 'It could not be kept. Nothing was changed.',
        tone: 'error',
      });
    notify({ text: `${name.trim()} lies in ${kit.name} now.` });
    onClose();
  };
  const unnamed = !name.trim() || (into === NEW && !kitName.trim());
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
        <TextField
          select
          size="small"
          label="Put into"
          value={into}
          onChange={(event) => setInto(event.target.value)}
        >
          {kits.map((kit) => (
            <MenuItem key={kit.id} value={kit.id}>
              {kit.name}
            </MenuItem>
          ))}
          <MenuItem value={NEW}>A new kit</MenuItem>
        </TextField>
        {into === NEW && (
          <TextField
            size="small"
            label="The kit’s name"
            value={kitName}
            onChange={(event) => setKitName(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 120 } }}
          />
        )}
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
