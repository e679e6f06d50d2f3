'use client';
/** What can be done with the spread that is chosen: more photos or fewer, other ways to lay it, locked, taken away. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import {
  IconArrowsExchange,
  IconLock,
  IconLockOpen,
  IconMinus,
  IconPencil,
  IconPlus,
  IconTrash,
} from '@tabler/icons-react';
import { useMemo } from 'react';
import {
  laidOtherwise,
  onePhotoFewer,
  onePhotoMore,
  waysFor,
  type Alive,
  type Changed,
} from '@/core/book/alive';
import { photosOf } from '@/core/book/flow';
import { laidSide, wordsOn } from '@/core/book/lay';
import { isByHand, statesInWords } from '@/core/book/print';
import { isSpread, withSwapped } from '@/core/product/book';
import { together } from '@/core/project/edits/edit';
import { lockPage, mayGo, removePage } from '@/core/project/edits/page';
import { changeProduct } from '@/core/project/edits/product';
import { byTime } from '@/core/project/photos';
import type { Project, Surface } from '@/core/project/model';
import * as act from '@/features/table/acts';
import { NearPicture } from '@/features/table/parts/NearPicture';
import { SwapPages } from '@/features/table/tasks/book/SwapPages';
import { useRoom, useSession } from '@/features/table/room/context';

interface Props {
  alive: Alive | null;
  trouble: string | null;
  surface: Surface;
  chosen: readonly Surface[];
  onChange: (label: string, change: (alive: Alive) => Changed) => void;
  onOpen: (id: string) => void;
  onChoose: (ids: readonly string[]) => void;
}

/** Ways offered at once, and how large, CSS pixels. */
const OFFERED = 8;
const SIDE = 124;

export function AboutSpread({ alive, trouble, surface, chosen, onChange, onOpen, onChoose }: Props) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const readOnly = useSession((session) => session.readOnly);
  const { part = '', name, locked } = surface;
  const hand = isByHand(surface);
  const count = photosOf(surface).length;
  const spreads = chosen.filter((each) => isSpread(each.part ?? ''));
  const lock = () =>
    store.getState().perform(
      together(
        locked ? 'unlock pages' : 'lock pages',
        chosen.map(({ id }) => lockPage(id, !locked)),
      ),
    );
  const takeAway = () => {
    if (chosen.some((each) => each.locked)) return store.getState().touchLocked();
    const at = project.surfaces.indexOf(surface);
    const next = project.surfaces[at + 1] ?? project.surfaces[0]!;
    const going = spreads.filter((each) => mayGo(project, each));
    if (!going.length || going.length >= project.surfaces.filter((each) => isSpread(each.part ?? '')).length)
      return store.getState().refuse('One spread stays: these are all there are.');
    if (going.some(({ id }) => id === store.getState().surfaceId))
      act.toPageAt(store, project.surfaces[0]!.id);
    store.getState().perform(
      together(
        going.length > 1 ? `take ${going.length} spreads away` : 'take a spread away',
        going.map(({ id }) => removePage(id)),
      ),
    );
    onChoose([next.id]);
  };
  const swap = () => {
    const [a, b] = spreads;
    const swapped = a?.part && b?.part ? withSwapped(project.product, a.part, b.part) : null;
    if (swapped) store.getState().perform(changeProduct(swapped, 'swap 2 spreads'));
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box>
        <Typography variant="h3">{chosen.length > 1 ? `${chosen.length} chosen` : name}</Typography>
        <Typography variant="body2" color="text.secondary">
          {chosen.length > 1
            ? `${statesInWords(chosen) || 'Laid by themselves'}.`
            : locked
              ? 'Locked: finished, it stays as it is.'
              : hand
                ? 'Worked on by hand: whatever flows in, it stays as it is.'
                : surface.laid
                  ? 'Laid by itself. As soon as you change it on the table, it is yours and stays.'
                  : 'Empty. Let photos flow in, or open it and begin.'}
        </Typography>
      </Box>
      {isSpread(part) && chosen.length === 1 && !hand && count > 0 && (
        <>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <Typography sx={{ flex: 1 }}>
              {count} {count === 1 ? 'photo' : 'photos'}
            </Typography>
            <IconButton
              aria-label="One photo fewer"
              title="One photo fewer"
              disabled={readOnly || !alive || count < 2}
              onClick={() => onChange('lay a spread with fewer photos', (now) => onePhotoFewer(now, part))}
            >
              <IconMinus size={20} />
            </IconButton>
            <IconButton
              aria-label="One photo more"
              title="One photo more"
              disabled={readOnly || !alive}
              onClick={() => onChange('lay a spread with more photos', (now) => onePhotoMore(now, part))}
            >
              <IconPlus size={20} />
            </IconButton>
          </Box>
          {alive && (
            <OtherWays
              alive={alive}
              surface={surface}
              disabled={readOnly}
              onTake={(key) => onChange('lay a spread otherwise', (now) => laidOtherwise(now, part, key))}
            />
          )}
        </>
      )}
      {trouble && <Typography variant="body2">{trouble}</Typography>}
      <Box sx={{ display: 'grid', justifyItems: 'start' }}>
        <Button color="inherit" startIcon={<IconPencil size={18} />} onClick={() => onOpen(surface.id)}>
          Open it on the table
        </Button>
        <Button
          color="inherit"
          disabled={readOnly}
          startIcon={locked ? <IconLockOpen size={18} /> : <IconLock size={18} />}
          onClick={lock}
        >
          {locked ? 'Unlock' : 'Lock: finished'}
        </Button>
        {spreads.length === 2 && (
          <Button
            color="inherit"
            disabled={readOnly}
            startIcon={<IconArrowsExchange size={18} />}
            onClick={swap}
          >
            Swap these two
          </Button>
        )}
        {(spreads.length === 1 || spreads.length === 2) && (
          <SwapPages key={spreads.map(({ id }) => id).join(' ')} spreads={spreads} disabled={readOnly} />
        )}
        {spreads.length > 0 && (
          <Button color="inherit" disabled={readOnly} startIcon={<IconTrash size={18} />} onClick={takeAway}>
            Take {spreads.length > 1 ? `these ${spreads.length}` : 'it'} away
          </Button>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary">
        Drag a spread by its name to another place, and a photo onto another spread. Arrow keys go from page
        to page, Enter opens one, Space picks it up to be moved; with Shift several are chosen.
      </Typography>
    </Box>
  );
}

interface WaysProps {
  alive: Alive;
  surface: Surface;
  disabled: boolean;
  onTake: (key: string) => void;
}

/** The same photos in other spreads of the design. */
function OtherWays({ alive, surface, disabled, onTake }: WaysProps) {
  const all = useMemo(() => {
    const { project } = alive;
    const words = wordsOn(surface);
    const photos = byTime(photosOf(surface).flatMap((sha) => project.assets[sha] ?? []));
    return waysFor(alive, photos, surface.part ?? '', Boolean(words.title))
      .filter(({ template }) => template.key !== surface.laid?.spread)
      .slice(0, OFFERED)
      .map(({ template, photos: order }) => {
        const laid = laidSide(template, order, words, alive.typesetter, alive.newId);
        const shown: Surface = { ...surface, ...laid };
        const with_: Project = { ...project, assets: { ...alive.design.made.assets, ...project.assets } };
        return { key: template.key, shown, project: with_ };
      });
  }, [alive, surface]);
  if (!all.length)
    return (
      <Typography variant="body2" color="text.secondary">
        The design lays so many photos in this way alone.
      </Typography>
    );
  return (
    <Box>
      <Typography variant="body2" sx={{ mb: 0.75 }}>
        Other ways to lay them
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        {all.map(({ key, shown, project }, i) => (
          <ButtonBase
            key={key}
            disabled={disabled}
            aria-label={`Lay it in way ${i + 1}`}
            onClick={() => onTake(key)}
            sx={{ boxShadow: '0 1px 2px rgba(20,14,8,0.4), 1px 3px 6px rgba(20,14,8,0.2)' }}
          >
            <NearPicture project={project} surface={shown} side={SIDE} />
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
