'use client';
/** Arrangements for the photos at hand, computed: each is shown as the page would look, and nothing moves before one is taken. */
import { mostOf } from '@/core/geometry/sides';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
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
import { lookAhead } from '@/core/project/history';
import type { Asset } from '@/core/picture/asset';
import type { Edit } from '@/core/project/edits/edit';
import { fillPlaces } from '@/core/project/edits/photos';
import type { Project } from '@/core/project/model';
import { plainName } from '@/core/project/create';
import { shapeOf } from '@/core/project/photos';
import { FILL_ORDERS, type FillOrder } from '@/core/proposals/fill';
import type { Measures } from '@/core/proposals/measures';
import { MOST_PHOTOS, propose } from '@/core/proposals/propose';
import { formatLength, toPoints, type Unit } from '@/core/units/lengths';
import { measureWithin } from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import { LeftOut, PhotoPicker } from '@/features/table/parts/PhotoPicker';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { LengthField } from '@/ui/LengthField';

const ORDER_NAMES: Record<FillOrder, string> = {
  time: 'In the order they were taken',
  shape: 'Where the least is cropped',
  stars: 'The most stars in the largest places',
};

/** CSS pixels of a proposal at its longer side. */
const SIDE = 138;
/** The same where there are only two to choose from. */
const LARGE_SIDE = 350;

const percent = (share: number): string => `${Math.round(share * 100)} %`;

const croppedInWords = (cropped: number): string =>
  cropped < 0.005 ? 'nothing is cropped' : `${percent(cropped)} of the photos is cropped away`;
const upper = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

/** What is measured, in words. */
export const inWords = (
  { cropped, emphasis, white, offBalance }: Measures,
  count: number,
  focal: string | null,
): string =>
  [
    upper(croppedInWords(cropped)),
    ...(count > 1
      ? [`${focal ?? 'the largest'} is ${emphasis.toFixed(1)} times as large as the others`]
      : []),
    `${percent(white)} of the area stays bare`,
    offBalance < 0.04 ? 'it is in balance' : `it leans ${percent(offBalance)} off the middle`,
  ].join(', ') + '.';

interface Wished {
  photos: readonly act.Arrangeable[];
  area: NonNullable<ReturnType<typeof act.areaFor>> | null;
  focal: number | null;
}

/** Every way there is to lay the photos, with what would come of it. */
function shownFor(
  session: act.Shown,
  places: act.PhotosHere['places'],
  which: act.Where,
  wish: Wished,
  proposals: ReturnType<typeof propose>,
): Shown[] {
  const asProject = (edit: Edit) => lookAhead(session.history.project, edit) ?? session.history.project;
  if (which === 'places')
    return wish.photos.length
      ? FILL_ORDERS.filter(
          (order) => order !== 'stars' || wish.photos.some(({ asset }) => asset.notes?.stars),
        ).map((order) => {
          const assets = wish.photos.map(({ asset }) => asset);
          const { pairs, over, cropped } = act.filling(places, assets, order);
          const edit = fillPlaces(session.surfaceId, pairs);
          return {
            words: `${ORDER_NAMES[order]}: ${croppedInWords(cropped)}.`,
            edit,
            ids: pairs.map(({ place }) => place.id),
            project: asProject(edit),
            over,
          };
        })
      : [];
  return proposals.map(({ boxes, measures }) => {
    const { edit, ids } = act.arrangement(session, wish.photos, boxes, wish.area!);
    const name = wish.focal === null ? null : plainName(wish.photos[wish.focal]!.asset.name);
    return {
      words: inWords(measures, wish.photos.length, name),
      edit,
      ids,
      project: asProject(edit),
      over: [],
    };
  });
}

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
  const wish = useDeferredValue(
    useMemo(
      () => ({ photos, area, gap, focal: index < 0 ? null : index, emphasis, seed }),
      [photos, area, gap, index, emphasis, seed],
    ),
  );
  const proposals = useMemo(
    () =>
      which !== 'places' && wish.area && wish.photos.length <= MOST_PHOTOS
        ? propose({ ...wish, area: wish.area, shapes: wish.photos.map(({ asset }) => shapeOf(asset)) })
        : [],
    [wish, which],
  );
  const shown = useMemo(
    () => shownFor(session, here.places, which, wish, proposals),
    [session, here, which, wish, proposals],
  );
  const at = Math.min(picked, shown.length - 1);
  const best = shown[at];
  const problem = troubleWith();
  function troubleWith(): string | null {
    if (!all.length)
      return which === 'places'
        ? 'Every photo lies on this page already: bring more into the workbox first.'
        : 'No photos yet: bring some into the workbox first.';
    if (!photos.length) return 'Choose the photos first.';
    if (which === 'places') return null;
    if (photos.length > MOST_PHOTOS)
      return `Up to ${MOST_PHOTOS} photos are arranged at once; ${photos.length} are chosen.`;
    if (!area)
      return which === 'free'
        ? 'Nothing of the page is free within this margin.'
        : 'The margin leaves nothing of the page.';
    return !shown.length && wish.photos === photos ? 'The gaps leave no room for the photos.' : null;
  }
  const lay = (chosen: (typeof shown)[number] | undefined) => {
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
            onTake={(i) => lay(shown[i])}
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
        <Button
          variant="contained"
          disabled={readOnly || problem !== null || !best}
          onClick={() => lay(best)}
        >
          Lay them so
        </Button>
      </DialogActions>
    </Dialog>
  );
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

interface ProposalsProps {
  shown: readonly Shown[];
  /** The one that is picked. */
  at: number;
  surfaceId: string;
  large: boolean;
  onPick: (i: number) => void;
  onTake: (i: number) => void;
}

/** Each as the page would look. */
function Proposals({ shown, at, surfaceId, large, onPick, onTake }: ProposalsProps) {
  return (
    <Box
      role="listbox"
      aria-label="Proposals, best first"
      data-own-arrows
      sx={{
        flex: 1,
        overflowY: 'auto',
        display: 'grid',
        gridTemplateColumns: `repeat(${large ? 2 : 4}, minmax(0, 1fr))`,
        alignContent: 'start',
        gap: 1,
        p: 0.5,
      }}
    >
      {shown.map(({ words, project }, i) => (
        <Thumb
          key={i}
          selected={i === at}
          label={`Proposal ${i + 1}: ${words}`}
          onPick={() => onPick(i)}
          onTake={() => onTake(i)}
          onStep={(by) => onPick(Math.max(0, Math.min(shown.length - 1, at + by)))}
        >
          <PagePicture
            project={project}
            surface={project.surfaces.find(({ id }) => id === surfaceId)!}
            side={large ? LARGE_SIDE : SIDE}
            style={{ boxShadow: '0 1px 3px rgba(20,14,8,0.4), 1px 3px 8px rgba(20,14,8,0.2)' }}
          />
        </Thumb>
      ))}
    </Box>
  );
}

/** One way to lay the photos, and what would come of it. */
interface Shown {
  words: string;
  edit: Edit;
  ids: string[];
  project: Project;
  /** Photos that would be left out. */
  over: Asset[];
}

interface ThumbProps {
  selected: boolean;
  label: string;
  onPick: () => void;
  onTake: () => void;
  onStep: (by: number) => void;
  children: React.ReactNode;
}

function Thumb({ selected, label, onPick, onTake, onStep, children }: ThumbProps) {
  return (
    <ButtonBase
      role="option"
      aria-selected={selected}
      aria-label={label}
      tabIndex={selected ? 0 : -1}
      ref={(element: HTMLButtonElement | null) => {
        // The arrows take the focus along.
        if (selected && element?.parentElement?.contains(document.activeElement)) element.focus();
      }}
      onClick={onPick}
      onDoubleClick={onTake}
      onKeyDown={(event) => {
        const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: 4, ArrowUp: -4 }[event.key];
        if (by) {
          event.preventDefault();
          onStep(by);
        }
        if (event.key === 'Enter') {
          event.preventDefault();
          onTake();
        }
      }}
      sx={{
        p: 1,
        borderRadius: 1.5,
        display: 'grid',
        placeItems: 'center',
        outlineOffset: -2,
        border: 2,
        borderColor: selected ? 'primary.main' : 'transparent',
        bgcolor: selected ? 'action.selected' : undefined,
        '&:hover': { bgcolor: 'action.hover' },
      }}
    >
      {children}
    </ButtonBase>
  );
}
