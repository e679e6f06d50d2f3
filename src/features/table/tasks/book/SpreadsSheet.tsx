'use client';
/** All pages of the book beside each other: moved, given photos, laid otherwise, locked. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { IconPalette, IconPlus } from '@tabler/icons-react';
import { useCallback, useMemo, useState } from 'react';
import { redesigned, type Alive, type Changed } from '@/core/book/alive';
import { layBook } from '@/core/book/flow';
import { statesInWords } from '@/core/book/print';
import { bookIn, pagesOf } from '@/core/product/book';
import { WideSheet } from '@/features/table/parts/WideSheet';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { AboutSpread } from '@/features/table/tasks/book/AboutSpread';
import { DesignPicker } from '@/features/table/tasks/book/DesignPicker';
import { SpreadGrid } from '@/features/table/tasks/book/SpreadGrid';
import { useAlive, useRedesign } from '@/features/table/tasks/book/useAlive';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { useReadyMade } from '@/features/shared/useReadyMade';

/** CSS pixels of a spread, and how near and far one may step. */
const [SIDE, LEAST, MOST] = [230, 120, 520];
export function SpreadsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const readOnly = useSession((session) => session.readOnly);
  const shown = useSession((session) => session.surfaceId);
  const [side, setSide] = useState(SIDE);
  const [chosen, setChosen] = useState<readonly string[]>([shown]);
  const { alive, trouble } = useAlive(project);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const { surfaces } = project;
  const first = surfaces.find(({ id }) => id === chosen[0]) ?? surfaces[0]!;
  const book = bookIn(project.product);
  const does = useCallback(
    (label: string, change: (alive: Alive) => Changed) => {
      if (!alive || store.getState().readOnly) return;
      const changed = change({ ...alive, project: store.getState().history.project });
      if (changed.ok)
        store.getState().perform(layBook(label, changed.value, alive.design), { selection: [] });
      else store.getState().refuse(changed.message);
    },
    [alive, store],
  );
  const open = useCallback(
    (id: string) => {
      act.toPageAt(store, id);
      onClose();
    },
    [store, onClose],
  );
  if (!book) return null;
  return (
    <WideSheet
      title={`All ${pagesOf(book)} pages`}
      tools={
        <>
          <Box
            sx={{
              width: 190,
              display: 'grid',
              gridTemplateColumns: 'auto 1fr',
              gap: 1.5,
              alignItems: 'center',
            }}
          >
            <LabelledSlider label="Size" min={LEAST} max={MOST} step={10} value={side} onChange={setSide} />
          </Box>
          <Button
            color="inherit"
            disabled={readOnly || !alive}
            startIcon={<IconPalette size={18} />}
            onClick={(event) => setAnchor(event.currentTarget)}
          >
            Another design
          </Button>
          <Button
            color="inherit"
            disabled={readOnly}
            startIcon={<IconPlus size={18} />}
            onClick={() => {
              act.toPageAt(store, first.id);
              act.addPageAfter(store, false);
              setChosen([store.getState().surfaceId]);
            }}
          >
            Add a spread
          </Button>
        </>
      }
      columns="minmax(0, 1fr) 300px"
      actions={
        <>
          <Typography variant="body2" color="text.secondary" sx={{ flex: 1 }}>
            {statesInWords(surfaces)}
          </Typography>
          <Button color="inherit" onClick={onClose}>
            Shut
          </Button>
        </>
      }
      onClose={onClose}
    >
      <Box sx={{ minHeight: 0, overflowY: 'auto', p: 2.5, bgcolor: 'table.main' }}>
        <SpreadGrid
          project={project}
          side={side}
          chosen={chosen}
          onChosen={setChosen}
          onChange={does}
          onOpen={open}
        />
      </Box>
      <Box
        component="section"
        aria-label="About the chosen pages"
        sx={{ borderLeft: 1, borderColor: 'divider', p: 2, overflowY: 'auto', minHeight: 0 }}
      >
        <AboutSpread
          alive={alive}
          trouble={trouble}
          surface={first}
          chosen={surfaces.filter(({ id }) => chosen.includes(id))}
          onChange={does}
          onOpen={open}
          onChoose={setChosen}
        />
      </Box>
      {anchor && <Redesign anchor={anchor} onClose={() => setAnchor(null)} />}
    </WideSheet>
  );
}

/** The book in another design: what was laid by itself is laid anew with the same photos and words. */
function Redesign({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const { store } = useRoom();
  const ready = useReadyMade('book');
  const project = useSession((session) => session.history.project);
  const now = bookIn(project.product)?.design ?? 'plain';
  const wear = useRedesign();
  const all = useMemo(() => ready, [ready]);
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{ paper: { sx: { p: 2, width: 320 } } }}
    >
      <DesignPicker
        ready={all}
        chosen={now}
        onChoose={(id) => {
          onClose();
          const supply = ready?.find((each) => each.supply.id === id)?.supply ?? null;
          void wear(supply, (alive) => {
            const name = supply?.name ?? 'Plain';
            const edit = layBook(`lay the book in “${name}”`, redesigned(alive), alive.design, [], id);
            store.getState().perform(edit, { selection: [] });
          });
        }}
      />
    </Popover>
  );
}
