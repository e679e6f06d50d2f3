'use client';
/** Over the panel of a practice page: what is to be done next, and what was done already. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconCircle, IconCircleCheckFilled } from '@tabler/icons-react';
import { PRACTICE, practised, type PracticeId } from '@/core/practice/steps';
import { endPractice } from '@/core/project/edits/gather';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownProject, shownSurface, type SessionStore } from '@/features/table/session';
import { commandOf } from '@/features/table/tasks';

/** Takes a photo of the page in hand, if there is one. */
function takePhoto(store: SessionStore): void {
  const photo = shownSurface(store.getState()).pile.findLast(({ material }) => material.kind === 'photo');
  if (photo) store.getState().select([photo.id]);
}

/** Where each step's button leads: to the thing itself. */
const LEADS: Record<PracticeId, (store: SessionStore) => unknown> = {
  photo: (store) => {
    const toFirst = () => {
      const first = document.querySelector<HTMLElement>('ul[aria-label="Photos"] [draggable]');
      first?.focus();
      return first;
    };
    if (toFirst()) return;
    store.getState().toggle('workbox');
    // Once it is drawn.
    requestAnimationFrame(toFirst);
  },
  turn: (store) => {
    takePhoto(store);
    store.getState().lookAtRow('Place');
  },
  mat: takePhoto,
  cut: (store) => {
    if (!store.getState().selection.length) takePhoto(store);
    store.getState().openSheet('punches');
  },
  title: (store) => commandOf('T').run(store, new KeyboardEvent('keydown')),
  thing: (store) => store.getState().lookInCupboard(['embellishment', 'stamp']),
};

export function PracticeCard() {
  const { store } = useRoom();
  const done = useSession((session) => practised(shownProject(session))?.map(Number).join('') ?? null);
  const readOnly = useSession((session) => session.readOnly);
  if (done === null || readOnly) return null;
  const count = [...done].filter((one) => one === '1').length;
  const next = PRACTICE[done.indexOf('0')];
  return (
    <Box
      component="section"
      aria-label="Practice"
      sx={{
        m: 1.25,
        mb: 0.25,
        p: 1.5,
        borderRadius: 2,
        bgcolor: 'background.default',
        border: 1,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.25, mb: 0.5 }}>
        <Typography role="status" sx={{ fontWeight: 600, fontSize: '0.9rem', flex: 1 }}>
          Practice: {count} of {PRACTICE.length} done
        </Typography>
        {PRACTICE.map(({ id, name }, i) => {
          const is = done[i] === '1';
          const Mark = is ? IconCircleCheckFilled : IconCircle;
          return (
            <Box
              key={id}
              component="span"
              title={is ? `${name}: done` : name}
              sx={{ display: 'grid', color: is ? 'secondary.main' : 'text.secondary' }}
            >
              <Mark size={17} aria-hidden="true" />
            </Box>
          );
        })}
      </Box>
      {next ? (
        <>
          <Typography sx={{ fontFamily: 'h3.fontFamily', typography: 'h3' }}>{next.name}</Typography>
          <Typography variant="body2" sx={{ my: 0.5 }}>
            {next.how}
          </Typography>
          <Button
            size="small"
            variant="outlined"
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => LEADS[next.id](store)}
          >
            {next.leads}
          </Button>
        </>
      ) : (
        <>
          <Typography variant="body2" sx={{ mb: 1 }}>
            That is most of what a page is made with. This one is yours now: go on with it, or leave it.
          </Typography>
          <Button size="small" variant="outlined" onClick={() => store.getState().perform(endPractice())}>
            Keep it as a page
          </Button>
        </>
      )}
    </Box>
  );
}
