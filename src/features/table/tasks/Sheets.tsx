'use client';
/** The sheet that is open over the table, fetched when it is first wanted; and what a hand is in the middle of. */
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { createElement, useEffect, type ComponentType } from 'react';
import { MOST_PIECES } from '@/core/project/schema';
import { MATCHES } from '@/core/project/edits/match';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface, type SheetName } from '@/features/table/session';
import { useNotify } from '@/ui/notices';
import { fetched } from '@/ui/fetched';

type Sheet = ComponentType<{ onClose: () => void }>;
const SHEETS: Record<SheetName, Sheet> = {
  punches: fetched('Punches', () =>
    import('@/features/table/tasks/cutting/PunchesSheet').then((m) => m.PunchesSheet),
  ),
  desk: fetched('The photo desk', () =>
    import('@/features/table/tasks/photos/desk/PhotoDesk').then((m) => m.PhotoDesk),
  ),
  inks: fetched('Inks of this page', () =>
    import('@/features/table/tasks/colour/InksSheet').then((m) => m.InksSheet),
  ),
  recolour: fetched('Recolour', () =>
    import('@/features/table/tasks/colour/RecolourSheet').then((m) => m.RecolourSheet),
  ),
  colourIn: fetched('Colour in', () =>
    import('@/features/table/tasks/colour/ColourInSheet').then((m) => m.ColourInSheet),
  ),
  across: fetched('Colours across pieces', () =>
    import('@/features/table/tasks/colour/AcrossSheet').then((m) => m.AcrossSheet),
  ),
  proposals: fetched('Arrangements', () =>
    import('@/features/table/tasks/photos/ProposalsSheet').then((m) => m.ProposalsSheet),
  ),
  mosaic: fetched('Mosaic', () =>
    import('@/features/table/tasks/photos/MosaicSheet').then((m) => m.MosaicSheet),
  ),
  tone: fetched('Light and tone', () =>
    import('@/features/table/tasks/photos/ToneSheet').then((m) => m.ToneSheet),
  ),
  contact: fetched('Contact sheets', () =>
    import('@/features/table/tasks/photos/ContactSheet').then((m) => m.ContactSheet),
  ),
  draw: fetched('Draw and cut', () =>
    import('@/features/table/tasks/cutting/DrawSheet').then((m) => m.DrawSheet),
  ),
  combine: fetched('Outlines', () =>
    import('@/features/table/tasks/cutting/CombineSheet').then((m) => m.CombineSheet),
  ),
  tuck: fetched('Tuck', () => import('@/features/table/tasks/cutting/TuckSheet').then((m) => m.TuckSheet)),
  template: fetched('Template', () =>
    import('@/features/table/tasks/cutting/TemplateSheet').then((m) => m.TemplateSheet),
  ),
  trace: fetched('Trace', () =>
    import('@/features/table/tasks/cutting/TraceSheet').then((m) => m.TraceSheet),
  ),
  rows: fetched('Rows and columns', () =>
    import('@/features/table/tasks/pieces/RowsSheet').then((m) => m.RowsSheet),
  ),
  guides: fetched('Guides', () =>
    import('@/features/table/tasks/looking/GuidesSheet').then((m) => m.GuidesSheet),
  ),
  steps: fetched('Steps', () => import('@/features/table/tasks/steps/StepsSheet').then((m) => m.StepsSheet)),
  versions: fetched('Versions', () =>
    import('@/features/table/tasks/steps/VersionsSheet').then((m) => m.VersionsSheet),
  ),
  match: fetched('Match', () => import('@/features/table/parts/Choices').then((m) => m.MatchSheet)),
  pages: fetched('Copy to pages', () => import('@/features/table/parts/Choices').then((m) => m.PagesSheet)),
  fonts: fetched('Letters', () =>
    import('@/features/table/tasks/words/FontsSheet').then((m) => m.FontsSheet),
  ),
  sentiments: fetched('Sentiments', () =>
    import('@/features/table/tasks/words/SentimentsSheet').then((m) => m.SentimentsSheet),
  ),
  letters: fetched('Letters of an alphabet', () =>
    import('@/features/table/tasks/words/LettersSheet').then((m) => m.LettersSheet),
  ),
  find: fetched('Find and replace', () =>
    import('@/features/table/tasks/words/FindSheet').then((m) => m.FindSheet),
  ),
  screen: fetched('True size', () =>
    import('@/features/table/tasks/looking/ScreenSheet').then((m) => m.ScreenSheet),
  ),
  actions: fetched('All actions', () =>
    import('@/features/table/room/ActionsSheet').then((m) => m.ActionsSheet),
  ),
};

export function Sheets() {
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
}

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
    if (refused) notify({ text: refused.why, tone: 'info' });
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
