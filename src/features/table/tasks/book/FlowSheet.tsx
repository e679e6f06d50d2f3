'use client';
/** Photos flow into the book: all of it is seen before it is laid, in one step. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { toPageAt } from '@/features/table/acts';
import { WideSheet } from '@/features/table/parts/WideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { FlowStrip } from '@/features/table/tasks/book/FlowStrip';
import { FlowWishes } from '@/features/table/tasks/book/FlowWishes';
import type { How } from '@/features/table/tasks/book/flowing';
import { useFlow } from '@/features/table/tasks/book/useFlow';
import { Chosen } from '@/ui/Chosen';
import { OneOf } from '@/ui/OneOf';

export function FlowSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const flow = useFlow();
  const { book, photos, kept, laid, how, waits, looking } = flow;
  if (!book) return null;
  const lay = () => {
    if (!laid) return;
    const { history, perform } = store.getState();
    // The page that is shown may be no more.
    if (how === 'all') toPageAt(store, history.project.surfaces[0]!.id);
    perform(laid.edit, { selection: [] });
    onClose();
  };
  return (
    <WideSheet
      title={'Let photos flow into the book'}
      columns="296px minmax(0, 1fr)"
      actions={
        <>
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Typography role="status" variant="body2">
              {flow.says.replaceAll('\n', ' ') || (photos.length ? 'Planning the pages …' : '')}
            </Typography>
            {looking !== null && (
              <Typography variant="body2" color="text.secondary">
                Looking for faces, here in your browser: {looking} to go.
              </Typography>
            )}
            {kept.length > 0 && how === 'all' && (
              <Typography variant="body2" color="text.secondary">
                {keptInWords(kept.map(({ name }) => name))}
              </Typography>
            )}
          </Box>
          <Button color="inherit" onClick={onClose}>
            Shut
          </Button>
          <Button
            variant="contained"
            disabled={readOnly || !laid || !photos.length || flow.busy}
            onClick={lay}
          >
            {how === 'more' ? `Lay ${photos.length} more` : 'Lay the book'}
          </Button>
        </>
      }
      onClose={onClose}
    >
      <Box
        sx={{
          ...{ borderRight: 1, borderColor: 'divider', p: 2, overflowY: 'auto', minHeight: 0 },
          ...{ display: 'grid', gap: 1.75, alignContent: 'start' },
        }}
      >
        {waits.length > 0 && (
          <OneOf
            label="What flows in"
            value={how}
            all={[
              ['more', `The ${waits.length} that wait`],
              ['all', 'All anew'],
            ]}
            wide
            onChoose={(next: How) => flow.setHow(next)}
          />
        )}
        <Chosen
          label="Photos"
          value={flow.stars}
          all={[0, 1, 2, 3, 4, 5].map((count) => [count, whichPhotos(count, flow.wanted.length > 0)])}
          disabled={readOnly}
          onChoose={flow.setStars}
        />
        {how === 'all' && (
          <FlowWishes
            {...{ ready: flow.ready, design: flow.id, wish: flow.wish, pages: flow.pages, most: flow.most }}
            {...{ faces: flow.faces, disabled: readOnly }}
            onDesign={flow.setChosen}
            onWish={flow.setWish}
            onFaces={flow.setFaces}
          />
        )}
      </Box>
      <Box
        role="region"
        aria-label="What comes of it"
        tabIndex={0}
        sx={{ minHeight: 0, overflowY: 'auto', p: 2.5, bgcolor: 'table.main', position: 'relative' }}
      >
        {laid && photos.length > 0 && <FlowStrip laid={laid} kept={kept.map(({ id }) => id)} />}
        {flow.busy && (
          <Box sx={{ position: 'absolute', top: 14, right: 18 }}>
            <CircularProgress size={26} aria-label="Planning the pages" />
          </Box>
        )}
        {!photos.length && (
          <Typography sx={{ maxWidth: 460, m: 'auto', mt: 10, textAlign: 'center' }}>
            {flow.project.photos.length
              ? 'No photo is left to flow in: all of them lie on pages that are kept as they are, or have fewer stars.'
              : 'No photos yet. Shut this, drop a folder of them on the workbox below the page, and come back: they are laid by the time they were taken.'}
          </Typography>
        )}
      </Box>
    </WideSheet>
  );
}

const whichPhotos = (stars: number, chosen: boolean): string =>
  stars === 0
    ? chosen
      ? 'Those that were chosen'
      : 'All there are'
    : stars === 5
      ? 'With 5 stars'
      : `With ${stars} ${stars === 1 ? 'star' : 'stars'} or more`;

const MOST_NAMED = 8;
const keptInWords = (names: readonly string[]): string =>
  `Worked on by hand, and kept as they are: ${names
    .slice(0, MOST_NAMED)
    .map((name) => name.replace('Pages ', ''))
    .join(', ')}${names.length > MOST_NAMED ? ' and more' : ''}.`;
