'use client';
/** A numbered series: lines are typed, photos chosen, and the pages are there. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { MOST_IN_SERIES, thoughtsIn } from '@/core/book/series';
import { rowsOf } from '@/core/product';
import { together } from '@/core/project/edits/edit';
import { addPage } from '@/core/project/edits/page';
import * as act from '@/features/table/acts';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';
import { photosFor, seriesPages, type SeriesChosen as Wish } from '@/features/table/tasks/book/series';
import { Chosen } from '@/ui/Chosen';

const SIDE = 256;

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
  const { lines, over, cut } = useMemo(() => thoughtsIn(wish.text), [wish.text]);
  const photos = useMemo(() => photosFor(project, wanted, wish.photos), [project, wanted, wish.photos]);
  const pages = useMemo(
    () => seriesPages(store.getState(), here, lines, wish, photos, typesetter),
    // oxlint-disable-next-line react/exhaustive-deps -- what lies on other pages makes no difference
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
        {over + cut > 0 && (
          <Typography role="status" variant="body2" color="warning.main">
            {[
              ...(over
                ? [`A series has up to ${MOST_IN_SERIES} pages: the last ${over} of these lines find none.`]
                : []),
              ...(cut
                ? [
                    cut === 1
                      ? 'One line is too long, and cut at its end.'
                      : `${cut} lines are too long, and cut at their ends.`,
                  ]
                : []),
            ].join(' ')}
          </Typography>
        )}
        <Button variant="contained" disabled={readOnly || why !== null || !pages.length} onClick={lay}>
          {lines.length ? `Lay ${lines.length} ${lines.length === 1 ? 'page' : 'pages'}` : 'Lay the pages'}
        </Button>
      </Box>
    </SideSheet>
  );
}

function inWords(thoughts: number, photos: number, surfaces: number, one: string, free: boolean): string {
  if (!thoughts)
    return `Type a thought a line: each comes on a page of its own, with its number and a photo. Up to ${MOST_IN_SERIES}.`;
  const pages = `${thoughts} ${thoughts === 1 ? 'page' : 'pages'}`;
  const on = one === 'page' ? '' : `, on ${surfaces} ${one}${surfaces === 1 ? '' : 's'}`;
  const lacking = free ? 0 : Math.max(0, thoughts - photos);
  return `${pages}${on}, after this one.${lacking ? ` ${lacking} ${lacking === 1 ? 'has a place kept free: no photo waits for it' : 'have places kept free: no photos wait for them'}.` : ''}`;
}
