'use client';
/** Two versions of a page side by side: as it was after any step, as it is, or as another page is. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { goTo, type History } from '@/core/project/history';
import type { Project, Surface } from '@/core/project/model';
import { Purpose } from '@/features/table/parts/Purpose';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';

/** Steps back that are looked at first. */
const FIRST_BACK = 10;
/** CSS pixels of each at its longer side: two stand beside each other at 1024. */
const SIDE = 430;
/** Most steps offered by name. */
const OFFERED = 60;

const time = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

interface Version {
  id: string;
  name: string;
  /** Steps done, if it is an earlier state of this page. */
  done?: number;
}

function versionsOf(history: History, surfaceId: string): Version[] {
  const { steps, done, project } = history;
  const now: Version = { id: 'now', name: 'This page now' };
  const pages = project.surfaces
    .filter(({ id }) => id !== surfaceId)
    .map(({ id, name }): Version => ({ id, name }));
  const before = steps
    .slice(Math.max(0, done - OFFERED), done)
    .map(({ label, at }, i, some): Version => {
      const count = done - some.length + i;
      return { id: `before ${count}`, name: `Before “${label}”, ${time.format(at)}`, done: count };
    })
    .reverse();
  return [now, ...pages, ...before];
}

/** What a version shows; undefined if the page was not there yet. */
function shown(
  history: History,
  surfaceId: string,
  version: Version,
): { project: Project; surface: Surface } | undefined {
  const project = version.done === undefined ? history.project : goTo(history, version.done).project;
  const id = version.id === 'now' || version.done !== undefined ? surfaceId : version.id;
  const surface = project.surfaces.find((each) => each.id === id);
  return surface && { project, surface };
}

export function VersionsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const history = useSession((session) => session.history);
  const surfaceId = useSession((session) => session.surfaceId);
  const readOnly = useSession((session) => session.readOnly);
  const versions = useMemo(() => versionsOf(history, surfaceId), [history, surfaceId]);
  const earlier = versions.filter(({ done }) => done !== undefined);
  const [left, setLeft] = useState((earlier[Math.min(FIRST_BACK, earlier.length) - 1] ?? versions[0]!).id);
  const [right, setRight] = useState('now');
  const chosen = (id: string) => versions.find((each) => each.id === id) ?? versions[0]!;
  const beside = chosen(left);
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby="versions-title">
      <DialogTitle id="versions-title" sx={{ pb: 1 }}>
        Before and after
      </DialogTitle>
      <Purpose pad={3} />
      <DialogContent>
        {versions.length < 2 && (
          <Typography sx={{ mb: 1.5 }}>
            Nothing was done yet: what the page was like before shows here once it has changed.
          </Typography>
        )}
        <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(2, minmax(0, ${SIDE}px))`, gap: 2, pt: 1 }}>
          {(
            [
              ['On the left', left, setLeft],
              ['On the right', right, setRight],
            ] as const
          ).map(([label, id, choose]) => {
            const version = chosen(id);
            const seen = shown(history, surfaceId, version);
            return (
              <Box key={label} sx={{ minWidth: 0 }}>
                <TextField
                  select
                  fullWidth
                  label={label}
                  value={version.id}
                  onChange={(event) => choose(event.target.value)}
                  sx={{ mb: 1.5 }}
                >
                  {versions.map((each) => (
                    <MenuItem key={each.id} value={each.id}>
                      {each.name}
                    </MenuItem>
                  ))}
                </TextField>
                {seen ? (
                  <PagePicture
                    {...seen}
                    side={SIDE}
                    label={version.name}
                    style={{ boxShadow: '0 1px 3px rgba(20,14,8,0.4), 2px 4px 12px rgba(20,14,8,0.22)' }}
                  />
                ) : (
                  <Typography color="text.secondary">The page was not there yet.</Typography>
                )}
              </Box>
            );
          })}
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button
          color="inherit"
          disabled={readOnly || beside.done === undefined}
          onClick={() => {
            act.keepVersion(store, beside.done!);
            onClose();
          }}
        >
          Keep the left one as a page
        </Button>
        <Button
          color="inherit"
          disabled={readOnly || beside.done === undefined}
          onClick={() => {
            store.getState().goTo(beside.done!);
            onClose();
          }}
        >
          Go back to the left one
        </Button>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}
