'use client';
/** All sides of a book beside each other: chosen, carried to another place, given photos of each other, gone through by keys. */
import Box from '@mui/material/Box';
import {
  closestCenter,
  DndContext,
  pointerWithin,
  type CollisionDetection,
  type DragEndEvent,
} from '@dnd-kit/core';
import { rectSortingStrategy, SortableContext } from '@dnd-kit/sortable';
import { useCallback, useRef, type Dispatch, type KeyboardEvent, type SetStateAction } from 'react';
import { movedPhoto, type Alive, type Changed } from '@/core/book/alive';
import { isSpread } from '@/core/product/book';
import { movePage } from '@/core/project/edits/page';
import type { Project } from '@/core/project/model';
import { useRoom, useSession } from '@/features/table/room/context';
import { SpreadTile } from '@/features/table/tasks/book/SpreadTile';
import { dragWords, useDragSensors } from '@/ui/useDragSensors';

/** Enter opens a spread; Space picks it up. */
const OPENED_BY_ENTER = { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] };

/** A photo goes onto the spread it is over; a spread to the nearest place. */
const meeting: CollisionDetection = (given) =>
  String(given.active.id).startsWith('photo ') ? pointerWithin(given) : closestCenter(given);

interface Props {
  project: Project;
  /** CSS pixels of a spread. */
  side: number;
  chosen: readonly string[];
  onChosen: Dispatch<SetStateAction<readonly string[]>>;
  onChange: (label: string, change: (alive: Alive) => Changed) => void;
  onOpen: (id: string) => void;
}

export function SpreadGrid({ project, side, chosen, onChosen, onChange, onOpen }: Props) {
  const { store } = useRoom();
  const readOnly = useSession((session) => session.readOnly);
  const { surfaces } = project;
  const carried = useRef(false);
  const grid = useRef<HTMLOListElement>(null);
  const sensors = useDragSensors(OPENED_BY_ENTER);
  const choose = useCallback(
    (id: string, more: boolean) =>
      onChosen((before) =>
        more ? (before.includes(id) ? before.filter((one) => one !== id) : [...before, id]) : [id],
      ),
    [onChosen],
  );
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
        ? onChange('move a photo to another spread', (now) => movedPhoto(now, sha, from, to.part!))
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
    onChosen((before) => (event.shiftKey ? [...before.filter((one) => one !== id), id] : [id]));
  };
  return (
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
              onOpen={onOpen}
            />
          ))}
        </Box>
      </SortableContext>
    </DndContext>
  );
}
