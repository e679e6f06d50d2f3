'use client';
/** Looks: the finish of a piece under a name, given to others, changed once for all that wear it. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconBookmarkPlus, IconTrash } from '@tabler/icons-react';
import { useState } from 'react';
import type { Piece } from '@/core/piece/piece';
import {
  changeLook,
  forgetLook,
  giveLook,
  keepLook,
  LONGEST_LOOK,
  lookOf,
  MOST_LOOKS,
  partLook,
  sameFinish,
  wearing,
} from '@/core/project/edits/looks';
import { newId } from '@/features/shared/ids';
import { useSession } from '@/features/table/room/context';

const NONE = 'none';

export function LookField({ pieces }: { pieces: readonly Piece[] }) {
  const perform = useSession((session) => session.perform);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const project = useSession((session) => session.history.project);
  const [name, setName] = useState<string | null>(null);
  const [piece] = pieces;
  if (!piece) return null;
  const looks = project.looks ?? [];
  const look = lookOf(project, piece);
  const count = look ? wearing(project, look.id).length : 0;
  const differs = look && !sameFinish(look.finish, piece.finish);
  const keep = () => {
    const called = name?.trim();
    if (!called) return;
    perform(keepLook(surfaceId, pieces, newId(), called));
    setName(null);
  };
  return (
    <Box
      component="section"
      aria-label="Look"
      sx={{ gridColumn: '1 / -1', display: 'flex', flexDirection: 'column', gap: 1 }}
    >
      <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
        {name === null ? (
          <TextField
            select
            fullWidth
            label="Look"
            value={look?.id ?? NONE}
            disabled={readOnly || looks.length === 0}
            onChange={({ target: { value } }) => {
              const chosen = looks.find(({ id }) => id === value);
              perform(chosen ? giveLook(surfaceId, pieces, chosen) : partLook(surfaceId, pieces));
            }}
          >
            <MenuItem value={NONE}>{looks.length ? 'Its own' : 'None kept yet'}</MenuItem>
            {looks.map(({ id, name: called }) => (
              <MenuItem key={id} value={id}>
                {called}
              </MenuItem>
            ))}
          </TextField>
        ) : (
          <TextField
            fullWidth
            autoFocus
            label="Name of the look"
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
          <Tooltip title="Keep this finish as a look">
            <span>
              <IconButton
                color="inherit"
                disabled={readOnly || looks.length >= MOST_LOOKS}
                aria-label="Keep this finish as a look"
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
        {look && name === null && (
          <Tooltip title="Forget this look; pieces keep their finish">
            <IconButton
              color="inherit"
              disabled={readOnly}
              aria-label={`Forget look ${look.name}`}
              onClick={() => perform(forgetLook(look))}
            >
              <IconTrash size={18} />
            </IconButton>
          </Tooltip>
        )}
      </Box>
      {differs && (
        <>
          <Typography variant="body2" role="status">
            It differs from “{look.name}” by now.
          </Typography>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button
              size="small"
              variant="outlined"
              disabled={readOnly}
              onClick={() => perform(changeLook(look, piece.finish))}
            >
              {count > 1 ? `Change all ${count}` : 'Change the look'}
            </Button>
            <Button
              size="small"
              color="inherit"
              disabled={readOnly}
              onClick={() => perform(giveLook(surfaceId, pieces, look))}
            >
              Back to the look
            </Button>
          </Box>
        </>
      )}
    </Box>
  );
}
