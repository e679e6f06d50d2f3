'use client';
/** How the book is bound: its pages and paper, and what follows from them. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconLayoutGrid, IconPhotoDown } from '@tabler/icons-react';
import { bookIn, pagesOf, SPINE_FOR_WORDS, spineWidth, type BookProduct } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { BOOK_PAPERS, paperSays, type PaperId } from '@/core/product/book/papers';
import { bound, FEWEST_PAGES, MOST_PAGES, withPages } from '@/core/product/book/settings';
import { BOOK_BINDINGS, type BookBinding } from '@/core/product/book/start';
import { changeProduct } from '@/core/project/edits/product';
import { formatLength } from '@/core/units/lengths';
import { wholeWithin } from '@/features/table/parts/measures';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { useRoom, useSession } from '@/features/table/room/context';
import { toPageAt } from '@/features/table/acts';
import { Chosen } from '@/ui/Chosen';
import { LengthField } from '@/ui/LengthField';
import { Turned } from '@/ui/Turned';

export function BookSheet({ onClose }: { onClose: () => void }) {
  const book = useSession(({ history }) => bookIn(history.project.product));
  return (
    <SideSheet title="The book" onClose={onClose}>
      {book ? <Settings book={book} /> : <Typography>This is no book.</Typography>}
    </SideSheet>
  );
}

function Settings({ book }: { book: BookProduct }) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const unit = useSession(({ history }) => history.project.unit);
  const { binding, paper, flaps = false } = book;
  const pages = pagesOf(book);
  const spine = spineWidth(book);
  const { gutter, board, stitched, step } = BINDS[binding];
  const change = (to: BookProduct, label: string) => {
    const { history, surfaceId, perform, touchLocked } = store.getState();
    const stays = new Set<string | undefined>(to.spreads);
    const { surfaces } = history.project;
    const going = surfaces.filter(({ part }) => book.spreads.includes(part ?? '') && !stays.has(part));
    if (going.some(({ locked }) => locked)) return touchLocked();
    if (going.some(({ id }) => id === surfaceId)) toPageAt(store, surfaces.at(-1)!.id);
    perform(changeProduct(to, label));
  };
  const length = (points: number) => formatLength(points, unit);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '14px 10px' }}>
      <Box sx={{ gridColumn: '1 / -1', display: 'grid' }}>
        <Chosen
          label="Bound"
          value={binding}
          all={(Object.keys(BOOK_BINDINGS) as BookBinding[]).map((id) => [id, BOOK_BINDINGS[id].name])}
          disabled={readOnly}
          onChoose={(next) => change(bound(book, { binding: next }), `bind it: ${BOOK_BINDINGS[next].name}`)}
        />
      </Box>
      <LengthField
        label="Pages"
        disabled={readOnly}
        shown={String(pages)}
        read={wholeWithin(FEWEST_PAGES, MOST_PAGES)}
        onCommit={(count) => {
          const next = withPages(book, count);
          change(next, `make it ${pagesOf(next)} pages`);
        }}
      />
      <Chosen
        label="Paper"
        value={paper}
        all={(Object.keys(BOOK_PAPERS) as PaperId[]).map((id) => [id, paperSays(id)])}
        disabled={readOnly}
        onChoose={(next) => change(bound(book, { paper: next }), `print it on ${BOOK_PAPERS[next].name}`)}
      />
      <Typography variant="body2" color="text.secondary" sx={{ gridColumn: '1 / -1', mt: -0.5 }}>
        Pages come in {step === 4 ? 'fours: a booklet is folded from sheets' : 'twos'}. Fewer take the last
        spreads away, with what lies on them.
      </Typography>
      <Box component="dl" sx={FACTS}>
        <dt>Spine</dt>
        <dd>
          {stitched
            ? 'none: stitched through the fold'
            : `${length(spine)} wide${spine < SPINE_FOR_WORDS ? ': too narrow for words' : ''}`}
        </dd>
        <dt>Gutter</dt>
        <dd>{gutter ? `loses ${length(gutter)} of each page` : 'loses nothing: pages lie flat'}</dd>
        <dt>Cover</dt>
        <dd>
          {board
            ? 'boards, the paper turned in about them'
            : stitched
              ? 'one paper about the pages'
              : 'one paper, glued at the spine'}
        </dd>
      </Box>
      {!board && !stitched && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <Turned
            label="Flaps at the cover"
            on={flaps}
            disabled={readOnly}
            onTurn={(on) => change(bound(book, { flaps: on }), on ? 'add flaps' : 'take flaps away')}
          />
        </Box>
      )}
      <Box sx={{ gridColumn: '1 / -1', display: 'grid', gap: 1, mt: 0.5 }}>
        <Button
          variant="contained"
          disabled={readOnly}
          startIcon={<IconPhotoDown size={18} />}
          onClick={() => store.getState().openSheet('flow')}
        >
          Let photos flow in
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          startIcon={<IconLayoutGrid size={18} />}
          onClick={() => store.getState().openSheet('spreads')}
        >
          All its pages
        </Button>
      </Box>
    </Box>
  );
}

const FACTS = {
  ...{ gridColumn: '1 / -1', m: 0, display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '4px 12px' },
  '& dt': { fontWeight: 600 },
  '& dd': { m: 0 },
} as const;
