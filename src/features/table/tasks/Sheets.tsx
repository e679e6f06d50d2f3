'use client';
/** The sheet that is open over the table, fetched when it is first wanted; and what a hand is in the middle of. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { createElement, memo, useEffect, type ComponentType } from 'react';
import { MOST_PIECES } from '@/core/project/schema';
import { MATCHES } from '@/core/project/edits/match';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface, type SheetName } from '@/features/table/session';
import { BOOK_SHEETS } from '@/features/table/tasks/book/sheets';
import { SHEET_SHEETS } from '@/features/table/tasks/sheet/sheets';
import { CUTTER_SHEETS } from '@/features/table/tasks/cutter/sheets';
import { CALENDAR_SHEETS } from '@/features/table/tasks/calendar/sheets';
import { CUTTING_SHEETS } from '@/features/table/tasks/cutting/sheets';
import { PHOTOS_SHEETS } from '@/features/table/tasks/photos/sheets';
import { COLOUR_SHEETS } from '@/features/table/tasks/colour/sheets';
import { PIECES_SHEETS } from '@/features/table/tasks/pieces/sheets';
import { LINES_SHEETS } from '@/features/table/tasks/lines/sheets';
import { LOOKING_SHEETS } from '@/features/table/tasks/looking/sheets';
import { PROOF_SHEETS } from '@/features/table/tasks/proof/sheets';
import { STEPS_SHEETS } from '@/features/table/tasks/steps/sheets';
import { WORDS_SHEETS } from '@/features/table/tasks/words/sheets';
import { useNotify } from '@/ui/notices';
import { fetched } from '@/ui/fetched';

type Sheet = ComponentType<{ onClose: () => void }>;
/** Contributed by task. */
const SHEETS: Record<SheetName, Sheet> = {
  ...CUTTING_SHEETS,
  ...LINES_SHEETS,
  ...PHOTOS_SHEETS,
  ...COLOUR_SHEETS,
  ...PIECES_SHEETS,
  ...LOOKING_SHEETS,
  ...STEPS_SHEETS,
  ...WORDS_SHEETS,
  ...CALENDAR_SHEETS,
  ...BOOK_SHEETS,
  ...SHEET_SHEETS,
  ...CUTTER_SHEETS,
  ...PROOF_SHEETS,
  actions: fetched('All actions', () =>
    import('@/features/table/room/ActionsSheet').then((m) => m.ActionsSheet),
  ),
};

export const Sheets = memo(function Sheets() {
  const { store } = useRoom();
  const sheet = useSession((session) => session.sheet);
  const matching = useSession((session) => session.matching);
  const compared = useSession((session) => session.compared !== null);
  useLockedNotice();
  useRefusalNotice();
  useCrowdedNotice();
  return (
    <>
      {sheet && createElement(SHEETS[sheet], { onClose: () => store.getState().closeSheet() })}
      <Snackbar
        open={matching !== null}
        anchorOrigin={{ vertical: 'top', horizontal: 'center' }}
        sx={{ mt: 6 }}
      >
        <Alert
          severity="info"
          variant="filled"
          action={
            <Button color="inherit" size="small" onClick={() => store.getState().matchFrom(null)}>
              Done
            </Button>
          }
        >
          Press the pieces that shall take over: {matching?.what.map((what) => MATCHES[what]).join(', ')}.
        </Alert>
      </Snackbar>
      <Snackbar open={compared} anchorOrigin={{ vertical: 'top', horizontal: 'center' }} sx={{ mt: 6 }}>
        <Alert severity="info" variant="filled">
          The page as it was before.
        </Alert>
      </Snackbar>
    </>
  );
});

/** A locked page says so when it is touched. */
function useLockedNotice(): void {
  const { store } = useRoom();
  const notify = useNotify();
  const touched = useSession((session) => session.touchedLocked);
  useEffect(() => {
    if (!touched) return;
    const page = shownSurface(store.getState());
    if (page.locked)
      notify({
        text: `${page.name} is locked: nothing on it was changed.`,
        tone: 'info',
        action: { label: 'Unlock it', run: () => act.togglePageLock(store) },
      });
    else notify({ text: 'That page is locked: it was left as it is.', tone: 'info' });
  }, [touched, store, notify]);
}

/** What was asked for by key or verb and could not be done. */
function useRefusalNotice(): void {
  const notify = useNotify();
  const refused = useSession((session) => session.refused);
  useEffect(() => {
    if (refused)
      notify({
        text: refused.why,
        tone: 'info',
        ...(refused.next ? { action: refused.next } : {}),
      });
  }, [refused, notify]);
}

/** From so many pieces on a page every step takes noticeably longer. */
const CROWDED = 1500;

/** Says so once for each page that grows beyond it, or is opened so. */
function useCrowdedNotice(): void {
  const notify = useNotify();
  const name = useSession((session) => shownSurface(session).name);
  const count = useSession((session) =>
    session.tryout ? 0 : Math.floor(shownSurface(session).pile.length / CROWDED) * CROWDED,
  );
  useEffect(() => {
    if (count)
      notify({
        text: `“${name}” holds more than ${count.toLocaleString('en')} pieces: everything takes longer from here on. Up to ${MOST_PIECES.toLocaleString('en')} are possible; join what is finished, or go on upon another page.`,
        tone: 'warning',
      });
  }, [count, name, notify]);
}
