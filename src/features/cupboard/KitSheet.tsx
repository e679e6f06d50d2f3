'use client';
/** A kit's name, words, author, licence, tags and cover. */
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { tagOf } from '@/core/supplies/kit-file';
import type { Kit, Supply } from '@/core/supplies/model';

interface Props {
  kit: Kit;
  supplies: readonly Supply[];
  onClose: () => void;
  onKeep: (kit: Kit) => void;
}

const FIELDS = [
  ['name', 'Name', 120],
  ['description', 'What is in it', 2000],
  ['author', 'Made by', 200],
  ['licence', 'Licence: what others may do with it', 500],
] as const;

export function KitSheet({ kit, supplies, onClose, onKeep }: Props) {
  const [draft, setDraft] = useState(kit);
  const named = draft.name.trim().length > 0;
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="kit-title">
      <DialogTitle id="kit-title" variant="h2">
        About this kit
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 2, pt: '8px !important' }}>
        {FIELDS.map(([key, label, longest]) => (
          <TextField
            key={key}
            size="small"
            label={label}
            value={draft[key]}
            multiline={key === 'description'}
            error={key === 'name' && !named}
            helperText={key === 'name' && !named ? 'A kit needs a name.' : undefined}
            slotProps={{ htmlInput: { maxLength: longest } }}
            onChange={(event) => setDraft({ ...draft, [key]: event.target.value })}
          />
        ))}
        <Autocomplete
          multiple
          freeSolo
          size="small"
          options={[] as string[]}
          value={draft.tags}
          onChange={(_, tags) =>
            setDraft({
              ...draft,
              tags: tags.map(tagOf).filter(Boolean),
            })
          }
          renderInput={(params) => <TextField {...params} label="Tags: everything in it is found by them" />}
        />
        <TextField
          select
          size="small"
          label="On the cover"
          value={draft.cover ?? ''}
          onChange={(event) => setDraft({ ...draft, cover: event.target.value || undefined })}
        >
          <MenuItem value="">The first thing in it</MenuItem>
          {supplies.slice(0, 300).map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={!named}
          onClick={() => onKeep({ ...draft, name: draft.name.trim() })}
        >
          Keep
        </Button>
      </DialogActions>
    </Dialog>
  );
}
