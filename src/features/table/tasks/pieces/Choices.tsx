'use client';
/** Two short choices: which properties others shall take over, and onto which pages copies shall go. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState, type ReactNode } from 'react';
import { alikeOnAll, MATCHES, matchesOf, type Match } from '@/core/project/edits/match';
import { Purpose } from '@/features/table/parts/Purpose';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces } from '@/features/table/session';

interface ChoicesProps {
  title: string;
  says: ReactNode;
  options: readonly (readonly [string, string])[];
  first: readonly string[];
  does: (chosen: readonly string[]) => string;
  onDo: (chosen: readonly string[]) => void;
  /** Something else that can be done with the same choice. */
  or?: { does: string; onDo: (chosen: readonly string[]) => void } | undefined;
  onClose: () => void;
}

function Choices({ title, says, options, first, does, onDo, or, onClose }: ChoicesProps) {
  const readOnly = useSession((session) => session.readOnly);
  const [chosen, setChosen] = useState<readonly string[]>(first);
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="choices-title">
      <DialogTitle id="choices-title" variant="h2">
        {title}
      </DialogTitle>
      <Purpose pad={3} />
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr' }}>
        <div style={{ gridColumn: '1 / 3', marginBottom: 8 }}>{says}</div>
        {options.map(([id, name]) => (
          <FormControlLabel
            key={id}
            control={
              <Checkbox
                checked={chosen.includes(id)}
                onChange={(_, on) => setChosen(on ? [...chosen, id] : chosen.filter((one) => one !== id))}
              />
            }
            label={name}
          />
        ))}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Leave it
        </Button>
        {or && (
          <Button
            color="inherit"
            variant="outlined"
            disabled={readOnly || !chosen.length}
            onClick={() => {
              onClose();
              or.onDo(chosen);
            }}
          >
            {or.does}
          </Button>
        )}
        <Button
          variant="contained"
          disabled={readOnly || !chosen.length}
          onClick={() => {
            onClose();
            onDo(chosen);
          }}
        >
          {does(chosen)}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** What others shall take over from the selected piece; then they are pressed one by one. */
export function MatchSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const [from] = settledPieces(store.getState(), store.getState().selection);
  if (!from) return null;
  const { surfaces } = store.getState().history.project;
  const alike = alikeOnAll(surfaces, from).reduce((sum, { pieces }) => sum + pieces.length, 0);
  return (
    <Choices
      title={`Match ${from.name || from.role}`}
      says={`What shall other pieces take over from it? Press them one after the other then${alike ? ', or give it to all that are what it is, on every page that is not locked' : ''}.`}
      options={matchesOf(from).map((what) => [what, MATCHES[what]] as const)}
      first={['turn']}
      does={() => 'Press the others'}
      or={
        alike
          ? {
              does: `To all ${alike} like it`,
              onDo: (what) => act.matchAll(store, { from, what: what as Match[] }),
            }
          : undefined
      }
      onDo={(what) => store.getState().matchFrom({ from, what: what as Match[] })}
      onClose={onClose}
    />
  );
}

/** Onto which other pages the selection is copied, in the same place. */
export function PagesSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const surfaces = useSession((session) => session.history.project.surfaces);
  const here = useSession((session) => session.surfaceId);
  const others = surfaces.filter(({ id, locked }) => id !== here && !locked);
  return (
    <Choices
      title="Copy to other pages"
      says={
        others.length
          ? 'The copies lie in the same place on each. Locked pages are left out.'
          : 'There is no other page that is not locked. Add one with the tab at the left.'
      }
      options={others.map(({ id, name }) => [id, name] as const)}
      first={others.map(({ id }) => id)}
      does={(chosen) => `Copy to ${chosen.length} ${chosen.length === 1 ? 'page' : 'pages'}`}
      onDo={(pages) => act.copyToPages(store, pages)}
      onClose={onClose}
    />
  );
}
