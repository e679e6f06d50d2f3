'use client';
/** A numbered series: lines are typed, photos chosen, and the pages are there. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { groundsOf, lookOf, MOST_IN_SERIES, seriesPage, thoughtsIn } from '@/core/book/series';
import type { Asset } from '@/core/picture/asset';
import { panelsOn, rowsOf } from '@/core/product';
import { bookIn } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { copiesOf } from '@/core/project/copies';
import { together } from '@/core/project/edits/edit';
import { addPage } from '@/core/project/edits/page';
import type { Project, Surface } from '@/core/project/model';
import { byTime, waitingPhotos } from '@/core/project/photos';
import type { Typesetter } from '@/core/text/typesetter';
import { newId } from '@/features/shared/ids';
import * as act from '@/features/table/acts';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface, type Session } from '@/features/table/session';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import { Chosen } from '@/ui/Chosen';

const SIDE = 256;

interface Wish {
  text: string;
  down: boolean;
  words: boolean;
  photos: 'time' | 'stars' | 'none';
}

export function SeriesSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const here = useSession(shownSurface);
  const wanted = useSession((session) => session.wanted);
  const typesetter = useSession((session) => session.typesetter);
  const why = useSession(act.NONE_MORE);
  const readOnly = useSession((session) => session.readOnly);
  const [wish, setWish] = useState<Wish>({ text: '', down: false, words: false, photos: 'time' });
  const set = (to: Partial<Wish>) => setWish({ ...wish, ...to });
  const lines = useMemo(() => thoughtsIn(wish.text), [wish.text]);
  const photos = useMemo(() => photosFor(project, wanted, wish.photos), [project, wanted, wish.photos]);
  const pages = useMemo(
    () => seriesPages(store.getState(), here, lines, wish, photos, typesetter),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what lies on other pages makes no difference
    [here, lines, wish, photos, typesetter],
  );
  const [first] = pages;
  const rows = rowsOf(project.product);
  const lay = () => {
    store.getState().perform(
      together(
        `lay a series of ${lines.length}`,
        [...pages].reverse().map((made) => addPage(made, here.id)),
      ),
    );
    if (first) act.toPageAt(store, first.id);
    onClose();
  };
  return (
    <SideSheet title="A numbered series" onClose={onClose}>
      <Box sx={{ display: 'grid', gap: 1.75, pt: 0.5 }}>
        <TextField
          label="A thought a line"
          placeholder={'Ten things about the bay\nIt smells of tar and toast'}
          multiline
          minRows={4}
          maxRows={9}
          value={wish.text}
          disabled={readOnly}
          onChange={(event) => set({ text: event.target.value })}
        />
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
          <Chosen
            label="Counted"
            value={wish.down ? 'down' : 'up'}
            all={[
              ['up', 'Up'],
              ['down', 'Down'],
            ]}
            disabled={readOnly}
            onChoose={(way) => set({ down: way === 'down' })}
          />
          <Chosen
            label="Numbers"
            value={wish.words ? 'words' : 'figures'}
            all={[
              ['figures', 'In figures'],
              ['words', 'In words'],
            ]}
            disabled={readOnly}
            onChoose={(how) => set({ words: how === 'words' })}
          />
        </Box>
        <Chosen
          label="Photos"
          value={wish.photos}
          all={[
            ['time', wanted.length ? 'Those that were chosen' : 'Those that wait, by time'],
            ['stars', 'The most stars first'],
            ['none', 'Places kept free'],
          ]}
          disabled={readOnly}
          onChoose={(which) => set({ photos: which })}
        />
        {first && (
          <PagePicture
            project={project}
            surface={first}
            side={SIDE}
            label="The first page of the series"
            style={{ boxShadow: '0 1px 3px rgba(20,14,8,0.4), 1px 3px 8px rgba(20,14,8,0.2)' }}
          />
        )}
        <Typography role="status" variant="body2">
          {why ??
            inWords(lines.length, photos.length, pages.length, rows?.one ?? 'page', wish.photos === 'none')}
        </Typography>
        <Button variant="contained" disabled={readOnly || why !== null || !pages.length} onClick={lay}>
          {lines.length ? `Lay ${lines.length} ${lines.length === 1 ? 'page' : 'pages'}` : 'Lay the pages'}
        </Button>
      </Box>
    </SideSheet>
  );
}

function photosFor(project: Project, wanted: readonly string[], how: Wish['photos']): Asset[] {
  if (how === 'none') return [];
  const from = wanted.length
    ? byTime(wanted.flatMap((sha) => project.assets[sha] ?? []))
    : waitingPhotos(project);
  return how === 'time' ? from : [...from].sort((a, b) => (b.notes?.stars ?? 0) - (a.notes?.stars ?? 0));
}

/** The surfaces of a series, to lie after the one that is shown: two of its pages on a spread, one on a page. */
function seriesPages(
  session: Session,
  here: Surface,
  lines: readonly string[],
  { down, words }: Wish,
  photos: readonly Asset[],
  typesetter: Typesetter,
): Surface[] {
  const { project } = session.history;
  const book = bookIn(project.product);
  const gutter = book ? BINDS[book.binding].gutter : 0;
  const look = lookOf([here, ...project.surfaces]);
  const series = newId();
  const made: Surface[] = [];
  for (let i = 0; i < lines.length;) {
    const bare = act.pageAfter(
      session,
      made.flatMap(({ part }) => part ?? []),
    );
    const like =
      here.width === bare.width
        ? here
        : (project.surfaces.find(({ laid, width }) => laid && width === bare.width) ?? here);
    const grounds = like.width === bare.width ? copiesOf(groundsOf(like), like, newId).pieces : [];
    const surface: Surface = { ...bare, ground: like.ground, pile: [...grounds] };
    for (const [side, { box }] of panelsOn(project, surface).entries()) {
      if (i >= lines.length) break;
      const where = {
        box,
        gutter: { side: side === 0 && book ? ('right' as const) : ('left' as const), width: gutter },
      };
      surface.pile.push(
        ...seriesPage({ lines, down, words }, i, photos[i] ?? null, where, look, series, typesetter, newId),
      );
      i += 1;
    }
    made.push(surface);
  }
  return made;
}

function inWords(thoughts: number, photos: number, surfaces: number, one: string, free: boolean): string {
  if (!thoughts)
    return `Type a thought a line: each comes on a page of its own, with its number and a photo. Up to ${MOST_IN_SERIES}.`;
  const pages = `${thoughts} ${thoughts === 1 ? 'page' : 'pages'}`;
  const on = one === 'page' ? '' : `, on ${surfaces} ${one}${surfaces === 1 ? '' : 's'}`;
  const lacking = free ? 0 : Math.max(0, thoughts - photos);
  return `${pages}${on}, after this one.${lacking ? ` ${lacking} ${lacking === 1 ? 'has a place kept free: no photo waits for it' : 'have places kept free: no photos wait for them'}.` : ''}`;
}
