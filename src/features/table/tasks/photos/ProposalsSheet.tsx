'use client';
/** Arrangements for the photos at hand, computed: each is shown as the page would look, and nothing moves before one is taken. */
import { mostOf } from '@/core/geometry/sides';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconArrowsShuffle } from '@tabler/icons-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { MOST_PHOTOS } from '@/core/proposals/propose';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { Purpose } from '@/features/table/parts/Purpose';
import { measureWithin } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { LeftOut, PhotoPicker } from '@/features/table/parts/PhotoPicker';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { LengthField } from '@/ui/LengthField';
import { Proposals } from '@/features/table/tasks/photos/Proposals';
import { proposedFor, shownFor, type Wish } from '@/features/table/tasks/photos/proposed';

export function ProposalsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const session = useSession(
    useShallow(({ history, surfaceId, selection }): act.Shown => ({ history, surfaceId, selection })),
  );
  const [wanted] = useState(() => store.getState().wanted);
  const here = useMemo(() => act.photosHere(session, wanted), [session, wanted]);
  const { unit } = session.history.project;
  const readOnly = useSession((each) => each.readOnly);
  const [which, setWhich] = useState<act.Where>(() => act.firstWhere(session, here));
  const all = useMemo(
    () => [...(which === 'places' ? [] : here.onPage), ...here.waiting, ...here.elsewhere],
    [here, which],
  );
  const [taken, setTaken] = useState<ReadonlySet<string>>(() => act.firstTaken(session, here, wanted));
  const [focal, setFocal] = useState<string | null>(null);
  const [emphasis, setEmphasis] = useState(3);
  const [margin, setMargin] = useState(() => Math.max(mostOf(act.page(session).safe), toPoints(0.5, 'in')));
  const [gap, setGap] = useState(toPoints(0.125, 'in'));
  const [seed, setSeed] = useState(1);
  const [picked, setPicked] = useState(0);

  const photos = useMemo(() => all.filter((photo) => taken.has(act.keyOf(photo))), [all, taken]);
  const area = useMemo(() => act.areaFor(session, which, margin), [session, which, margin]);
  const index = photos.findIndex((photo) => act.keyOf(photo) === focal);
  const wished = useMemo(
    (): Wish => ({ which, photos, area, gap, focal: index < 0 ? null : index, emphasis, seed }),
    [which, photos, area, gap, index, emphasis, seed],
  );
  const wish = useDeferredValue(wished);
  const proposals = useMemo(() => proposedFor(wish), [wish]);
  const shown = useMemo(
    () => shownFor(session, here.places, wish, proposals),
    [session, here, wish, proposals],
  );
  const at = Math.min(picked, shown.length - 1);
  const best = shown[at];
  const problem = troubleWith({
    which,
    ...{ all: all.length, photos: photos.length, area: Boolean(area) },
    none: !shown.length && wish === wished,
  });
  const lay = (i: number) => {
    // What was wished last is laid, though it may not be drawn yet.
    const now = wish === wished ? shown : shownFor(session, here.places, wished, proposedFor(wished));
    const chosen = now[Math.min(i, now.length - 1)];
    if (!chosen) return;
    onClose();
    store.getState().perform(chosen.edit, { selection: chosen.ids });
  };
  const change =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      setPicked(0);
    };
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="proposals-title">
      <DialogTitle id="proposals-title" variant="h2" sx={{ pb: 1 }}>
        Arrange photos
      </DialogTitle>
      <Purpose pad={3} />
      <DialogContent
        sx={{ display: 'grid', gridTemplateColumns: '280px 1fr', gap: 3, overflow: 'hidden', height: 560 }}
      >
        <Box sx={{ overflowY: 'auto', pr: 1, pt: 0.5 }}>
          <PhotoPicker
            photos={all}
            taken={taken}
            onTaken={change(setTaken)}
            focal={focal}
            onFocal={which === 'places' ? undefined : change(setFocal)}
            staying={which === 'places' ? [] : here.staying}
          />
          {which !== 'places' && index >= 0 && photos.length > 1 && (
            <Box sx={{ mt: 1.5 }}>
              <LabelledSlider
                label={`The starred one ${emphasis} times as large`}
                min={1}
                max={8}
                step={0.5}
                value={emphasis}
                onChange={change(setEmphasis)}
              />
            </Box>
          )}
          <WhereTheyGo
            {...{ which, unit, margin, gap }}
            places={here.places.length}
            onWhere={change(setWhich)}
            onMargin={change(setMargin)}
            onGap={change(setGap)}
          />
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0 }}>
          <Proposals
            shown={shown}
            at={at}
            surfaceId={session.surfaceId}
            large={which === 'places'}
            onPick={setPicked}
            onTake={lay}
          />
          <Typography role="status" variant="body2" sx={{ minHeight: 30, pt: 1 }}>
            {problem ?? best?.words}
          </Typography>
          {problem === null && best && best.over.length > 0 && <LeftOut assets={best.over} />}
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button
          color="inherit"
          startIcon={<IconArrowsShuffle size={18} />}
          onClick={() => change(setSeed)(seed + 1)}
          disabled={problem !== null || which === 'places'}
        >
          Try others
        </Button>
        <Button color="inherit" onClick={() => store.getState().openSheet('mosaic')}>
          A mosaic instead
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button color="inherit" onClick={onClose}>
          Leave them
        </Button>
        <Button variant="contained" disabled={readOnly || problem !== null || !best} onClick={() => lay(at)}>
          Lay them so
        </Button>
      </DialogActions>
    </Dialog>
  );
}

interface Wished {
  which: act.Where;
  /** How many photos there are, and how many are chosen. */
  all: number;
  photos: number;
  /** Whether there is any room on the page. */
  area: boolean;
  /** Nothing was found, though it was looked for. */
  none: boolean;
}

/** Why nothing can be shown; null where something is, or is on its way. */
function troubleWith({ which, all, photos, area, none }: Wished): string | null {
  if (!all)
    return which === 'places'
      ? 'Every photo lies on this page already: bring more into the workbox first.'
      : 'No photos yet: bring some into the workbox first.';
  if (!photos) return 'Choose the photos first.';
  if (which === 'places') return null;
  if (photos > MOST_PHOTOS) return `Up to ${MOST_PHOTOS} photos are arranged at once; ${photos} are chosen.`;
  if (!area)
    return which === 'free'
      ? 'Nothing of the page is free within this margin.'
      : 'The margin leaves nothing of the page.';
  return none ? 'The gaps leave no room for the photos.' : null;
}

interface WhereProps {
  which: act.Where;
  /** Empty places there are on the page. */
  places: number;
  margin: number;
  gap: number;
  unit: Unit;
  onWhere: (which: act.Where) => void;
  onMargin: (margin: number) => void;
  onGap: (gap: number) => void;
}

/** Into which part of the page, and with how much air. */
function WhereTheyGo({ which, places, margin, gap, unit, onWhere, onMargin, onGap }: WhereProps) {
  const length = measureWithin(unit, 0, toPoints(6, 'in'));
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px 8px', mt: 2 }}>
      <TextField
        select
        label="Where"
        value={which}
        onChange={(event) => onWhere(event.target.value as typeof which)}
        sx={{ gridColumn: '1 / -1' }}
      >
        <MenuItem value="page">All over the page</MenuItem>
        <MenuItem value="free">Where nothing else lies</MenuItem>
        {places > 0 && (
          <MenuItem value="places">
            {places === 1 ? 'Into the empty place' : `Into the ${places} empty places`}
          </MenuItem>
        )}
      </TextField>
      {which !== 'places' && (
        <>
          <LengthField
            label="Margin"
            unit={unit}
            shown={formatLength(margin, unit)}
            read={length}
            onCommit={onMargin}
          />
          <LengthField
            label="Gap"
            unit={unit}
            shown={formatLength(gap, unit)}
            read={length}
            onCommit={onGap}
          />
        </>
      )}
    </Box>
  );
}
