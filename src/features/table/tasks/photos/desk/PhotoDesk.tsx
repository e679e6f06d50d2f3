'use client';
/** All photos of the project, spread out by when they were taken: looked over, told apart, given stars and names, chosen from. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import type { Asset } from '@/core/picture/asset';
import { bookIn } from '@/core/product/book';
import { changeNotes, putAway } from '@/core/project/edits/notes';
import { MOST_PHOTOS } from '@/core/proposals/propose';
import { DeskDetail } from '@/features/table/tasks/photos/desk/DeskDetail';
import { DeskGrid, type Choosing } from '@/features/table/tasks/photos/desk/DeskGrid';
import { SHOWN, useDesk, type Desk, type Which, type Wish } from '@/features/table/tasks/photos/desk/useDesk';
import { WideSheet } from '@/features/table/parts/WideSheet';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import type { SheetName } from '@/features/table/session';

const NAMES: Record<Which, string> = {
  all: 'All',
  waiting: 'Waiting',
  used: 'Used',
  blurred: 'Blurred',
  alike: 'Alike',
};

export function PhotoDesk({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const readOnly = useSession((session) => session.readOnly);
  const perform = useSession((session) => session.perform);
  const bound = useSession(({ history }) => bookIn(history.project.product) !== null);
  const [wish, setWish] = useState<Wish>({ which: 'all', stars: 0, words: '' });
  const desk = useDesk(project, useDeferredValue(wish));
  const { shown } = desk;
  const { chosen, setChosen, choose, chooseAll } = useChosen(shown);
  // What is no longer shown is no longer chosen: nothing happens to what one does not see.
  const photos = useMemo(() => shown.filter(({ sha }) => chosen.has(sha)), [shown, chosen]);

  const lay = useCallback(
    (asset: Asset) => {
      onClose();
      act.layPhoto(store, asset);
    },
    [onClose, store],
  );
  const stars = (count: number) => {
    if (!readOnly && photos.length)
      perform(
        changeNotes(
          photos.map(({ sha }) => sha),
          'stars',
          () => count || undefined,
        ),
      );
  };
  /** Opens a sheet that begins with the chosen photos. */
  const goOn = (sheet: SheetName) => {
    store.getState().select([]);
    store.getState().openSheet(
      sheet,
      photos.map(({ sha }) => sha),
    );
  };
  const waiting = photos.filter(({ sha }) => !desk.used.has(sha)).map(({ sha }) => sha);
  return (
    <WideSheet
      title={'Photo desk'}
      head={<Sieve wish={wish} counts={desk.counts} onWish={setWish} />}
      columns="minmax(0, 1fr) 312px"
      actions={
        <>
          <Typography role="status" variant="body2" sx={{ mr: 1, minWidth: 88 }}>
            {photos.length ? `${photos.length} chosen` : 'None chosen'}
          </Typography>
          <Button
            color="inherit"
            disabled={readOnly || !waiting.length}
            onClick={() => {
              perform(putAway(waiting));
              setChosen(new Set());
            }}
          >
            {waiting.length < photos.length && waiting.length > 0
              ? `Put the ${waiting.length} unused away`
              : 'Put away'}
          </Button>
          <Button
            color="inherit"
            disabled={readOnly || photos.length !== 1}
            onClick={() => photos[0] && lay(photos[0])}
          >
            Lay it on the page
          </Button>
          <Box sx={{ flex: 1 }} />
          <Button color="inherit" onClick={onClose}>
            Shut
          </Button>
          {bound && (
            <Button color="inherit" disabled={readOnly || !photos.length} onClick={() => goOn('flow')}>
              Let them flow in
            </Button>
          )}
          <Button color="inherit" disabled={readOnly || photos.length < 2} onClick={() => goOn('mosaic')}>
            A mosaic of them
          </Button>
          <Button
            variant="contained"
            disabled={readOnly || !photos.length || photos.length > MOST_PHOTOS}
            onClick={() => goOn('proposals')}
          >
            Arrange them
          </Button>
        </>
      }
      onClose={onClose}
    >
      <Box sx={{ minHeight: 0, minWidth: 0 }}>
        {shown.length > 0 ? (
          <DeskGrid
            desk={desk}
            chosen={chosen}
            onChoose={choose}
            onChooseAll={chooseAll}
            onTake={readOnly ? () => {} : lay}
            onStars={stars}
          />
        ) : (
          <Typography role="status" color="text.secondary" sx={{ p: 3 }}>
            {nothingInWords(wish, desk)}
          </Typography>
        )}
      </Box>
      <Box
        component="section"
        aria-label="About the chosen photos"
        sx={{ borderLeft: 1, borderColor: 'divider', p: 2, overflowY: 'auto', minHeight: 0 }}
      >
        <DeskDetail
          project={project}
          photos={photos}
          desk={desk}
          disabled={readOnly}
          perform={perform}
          onStars={stars}
        />
      </Box>
    </WideSheet>
  );
}

/** Which photos are chosen: alone, one more, all between, a whole time. */
function useChosen(shown: readonly Asset[]) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const last = useRef<string | null>(null);
  const choose = useCallback(
    (sha: string, how: Choosing) => {
      setChosen((before) => {
        if (how === 'only') return new Set([sha]);
        const next = new Set(before);
        if (how === 'add') {
          if (!next.delete(sha)) next.add(sha);
          return next;
        }
        const [a, b] = [last.current ?? sha, sha].map((one) => shown.findIndex((photo) => photo.sha === one));
        shown.slice(Math.min(a!, b!), Math.max(a!, b!) + 1).forEach((photo) => next.add(photo.sha));
        return next;
      });
      if (how !== 'run') last.current = sha;
    },
    [shown],
  );
  const chooseAll = useCallback(
    (photos: readonly Asset[]) =>
      setChosen((before) => {
        const next = new Set(before);
        const every = photos.every(({ sha }) => next.has(sha));
        for (const { sha } of photos) if (!every || !next.delete(sha)) next.add(sha);
        return next;
      }),
    [],
  );
  return { chosen, setChosen, choose, chooseAll };
}

interface SieveProps {
  wish: Wish;
  counts: Desk['counts'];
  onWish: (wish: Wish) => void;
}

/** Which of them one wants to see. */
function Sieve({ wish, counts, onWish }: SieveProps) {
  return (
    <Box sx={{ display: 'flex', gap: 1.5, px: 3, pb: 1.25, alignItems: 'center', flexWrap: 'wrap' }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label="Which photos"
        value={wish.which}
        onChange={(_, which: Which | null) => which && onWish({ ...wish, which })}
      >
        {SHOWN.map((which) => (
          <ToggleButton key={which} value={which} sx={{ px: 1.5 }}>
            {NAMES[which]} {counts[which]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <TextField
        select
        label="Stars"
        value={wish.stars}
        onChange={(event) => onWish({ ...wish, stars: Number(event.target.value) })}
        sx={{ width: 130 }}
      >
        {[0, 1, 2, 3, 4, 5].map((count) => (
          <MenuItem key={count} value={count}>
            {count === 0 ? 'Any' : count === 5 ? '5' : `${count} or more`}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Find"
        placeholder="who, where, what"
        value={wish.words}
        onChange={(event) => onWish({ ...wish, words: event.target.value })}
        sx={{ width: 230 }}
      />
    </Box>
  );
}

function nothingInWords({ which, stars, words }: Wish, { counts }: Desk): string {
  if (!counts.all)
    return 'No photos yet. Bring some into the workbox, and they lie here by the time they were taken.';
  if (words.trim() || stars) return 'No photo is like that. Take away some of what is asked for above.';
  return {
    all: '',
    waiting: 'All photos are used.',
    used: 'No photo is on a page yet.',
    blurred: 'No photo is blurred.',
    alike: 'No two photos are alike.',
  }[which];
}
