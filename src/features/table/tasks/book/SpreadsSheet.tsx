'use client';
/** All pages of the book beside each other: moved, given photos, laid otherwise, locked. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import {
  closestCenter,
  DndContext,
  pointerWithin,
  type CollisionDetection,
  type DragEndEvent,
} from '@dnd-kit/core';
import { rectSortingStrategy, SortableContext } from '@dnd-kit/sortable';
import { IconPalette, IconPlus } from '@tabler/icons-react';
import { useCallback, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { movedPhoto, redesigned, type Alive, type Changed } from '@/core/book/alive';
import { layBook } from '@/core/book/flow';
import { statesInWords } from '@/core/book/print';
import { bookIn, isSpread, pagesOf } from '@/core/product/book';
import { movePage } from '@/core/project/edits/page';
import { WideSheet } from '@/features/table/parts/WideSheet';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { AboutSpread } from '@/features/table/tasks/book/AboutSpread';
import { DesignPicker } from '@/features/table/tasks/book/DesignPicker';
import { SpreadTile } from '@/features/table/tasks/book/SpreadTile';
import { useAlive, useRedesign } from '@/features/table/tasks/book/useAlive';
import { LabelledSlider } from '@/ui/LabelledSlider';
import { dragWords, useDragSensors } from '@/ui/useDragSensors';
import { useReadyMade } from '@/features/shared/useReadyMade';

/** CSS pixels of a spread, and how near and far one may step. */
const [SIDE, LEAST, MOST] = [230, 120, 520];
/** Enter opens a spread; Space picks it up. */
const OPENED_BY_ENTER = { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] };

/** A photo goes onto the spread it is over; a spread to the nearest place. */
const meeting: CollisionDetection = (given) =>
  String(given.active.id).startsWith('photo ') ? pointerWithin(given) : closestCenter(given);

export function SpreadsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const readOnly = useSession((session) => session.readOnly);
  const shown = useSession((session) => session.surfaceId);
  const [side, setSide] = useState(SIDE);
  const carried = useRef(false);
  const [chosen, setChosen] = useState<readonly string[]>([shown]);
  const { alive, trouble } = useAlive(project);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const sensors = useDragSensors(OPENED_BY_ENTER);
  const grid = useRef<HTMLOListElement>(null);
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
  const choose = useCallback((id: string, more: boolean) => {
    setChosen((before) =>
      more ? (before.includes(id) ? before.filter((one) => one !== id) : [...before, id]) : [id],
    );
  }, []);
  const open = useCallback(
    (id: string) => {
      act.toPageAt(store, id);
      onClose();
    },
    [store, onClose],
  );
  if (!book) return null;
  const nameOf = (id: string) => {
    const [kind, sha = ''] = id.split(' ');
    if (kind === 'photo') return `Photo ${project.assets[sha]?.name ?? ''}`;
    return surfaces.find((surface) => surface.id === id)?.name ?? '';
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    carried.current = false;
    if (!over || readOnly) return;
    const [kind, sha, from] = String(active.id).split(' ');
    const to = surfaces.find(({ id }) => id === over.id);
    if (kind === 'photo' && to && sha && from)
      return to.part && isSpread(to.part) && to.part !== from
        ? does('move a photo to another spread', (now) => movedPhoto(now, sha, from, to.part!))
        : undefined;
    const at = surfaces.findIndex(({ id }) => id === over.id);
    if (at >= 0 && active.id !== over.id) store.getState().perform(movePage(String(active.id), at));
  };
  /** Arrow keys go from page to page, as they lie; with Shift more are chosen. */
  const onKeys = (event: KeyboardEvent) => {
    // What was picked up is what they move.
    if (carried.current) return;
    const tiles = [...(grid.current?.querySelectorAll<HTMLElement>('[data-tile]') ?? [])];
    const at = tiles.indexOf(event.target as HTMLElement);
    if (at < 0) return;
    const row = tiles.filter(({ offsetTop }) => offsetTop === tiles[0]!.offsetTop).length;
    const by = { ArrowRight: 1, ArrowLeft: -1, ArrowDown: row, ArrowUp: -row }[event.key];
    const next = by === undefined || event.defaultPrevented ? undefined : tiles[at + by];
    if (!next) return;
    event.preventDefault();
    next.focus();
    next.scrollIntoView({ block: 'nearest' });
    const id = next.dataset.tile!;
    setChosen((before) => (event.shiftKey ? [...before.filter((one) => one !== id), id] : [id]));
  };
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
        <DndContext
          sensors={sensors}
          collisionDetection={meeting}
          accessibility={dragWords(nameOf)}
          onDragStart={() => (carried.current = true)}
          onDragCancel={() => (carried.current = false)}
          onDragEnd={dropped}
        >
          <SortableContext
            items={surfaces.map(({ id }) => id)}
            strategy={rectSortingStrategy}
            disabled={readOnly}
          >
            <Box
              component="ol"
              ref={grid}
              aria-label="Pages of the book"
              onKeyDown={onKeys}
              sx={{
                ...{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: '14px 16px' },
                gridTemplateColumns: `repeat(auto-fill, ${side + 12}px)`,
                justifyContent: 'center',
              }}
            >
              {surfaces.map((surface) => (
                <SpreadTile
                  key={surface.id}
                  project={project}
                  surface={surface}
                  side={side}
                  chosen={chosen.includes(surface.id)}
                  readOnly={readOnly}
                  onChoose={choose}
                  onOpen={open}
                />
              ))}
            </Box>
          </SortableContext>
        </DndContext>
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
