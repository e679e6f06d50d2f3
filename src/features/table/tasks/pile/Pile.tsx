'use client';
/** The pile as a side view: slabs from top to bottom, thick or thin as they lift, dragged to change their order. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { dragWords, useDragSensors } from '@/ui/useDragSensors';
import { memo, useCallback, useDeferredValue, useMemo, useRef, useState, type ComponentProps } from 'react';
import { layBeside } from '@/core/project/edits/group';
import { treeOf } from '@/core/project/tree';
import { dropAt, isChosen, nameOfNode, rowsOf, type PileRow } from '@/features/table/tasks/pile/rows';
import { PileList } from '@/features/table/tasks/pile/PileList';
import type { Slab } from '@/features/table/tasks/pile/Slab';
import { useRoom, useSession } from '@/features/table/room/context';
import { surfaceOf } from '@/core/project/model';

/** Height of the pile's head with its foot, and of a slab, CSS pixels. */
const [HEAD, SLAB] = [56, 34];

type SlabProps = ComponentProps<typeof Slab>;

export const Pile = memo(function Pile({ thumbs }: { thumbs: ReadonlyMap<string, string> }) {
  const { store } = useRoom();
  // The page comes first: the slabs follow when it is painted.
  const { pile, groups } = useDeferredValue(
    useSession((session) => surfaceOf(session.history.project, session.surfaceId)),
  );
  const entered = useSession((session) => session.entered);
  const [unfolded, setUnfolded] = useState<ReadonlySet<string>>(new Set());
  const anchor = useRef<string | null>(null);
  const readOnly = useSession(
    (session) => session.readOnly || surfaceOf(session.history.project, session.surfaceId).locked,
  );
  // The group that is open on the page is unfolded here too, with all it lies in.
  const open = useMemo(() => {
    if (entered === null) return unfolded;
    const path = pile.find((piece) => piece.groups?.includes(entered))?.groups ?? [];
    return new Set([...unfolded, ...path.slice(0, path.indexOf(entered) + 1)]);
  }, [unfolded, entered, pile]);
  const rows = useMemo(() => rowsOf(treeOf({ pile, groups }), open), [pile, groups, open]);
  const ids = useMemo(() => rows.map(({ node }) => node.id), [rows]);
  const byId = useMemo(() => new Map(pile.map((piece) => [piece.id, piece])), [pile]);
  const toggle = useCallback(
    (id: string) =>
      setUnfolded((now) => {
        const next = new Set(now);
        if (!next.delete(id)) next.add(id);
        return next;
      }),
    [],
  );
  /** Shift takes a run, Ctrl single ones; what lies in a group can be taken without opening it on the page. */
  const choose = useCallback<SlabProps['onChoose']>(
    (row, { shiftKey, ctrlKey, metaKey }) => {
      const now = store.getState().selection;
      const inside = row.depth ? (byId.get(row.ids[0]!)?.groups?.[row.depth - 1] ?? null) : null;
      const at = (id: string | null) => rows.findIndex(({ node }) => node.id === id);
      // What was selected on the page, by writing or by copying begins a run as well.
      const pressed = rows[at(anchor.current)];
      const first = pressed && isChosen(pressed, now) ? pressed : rows.find((one) => isChosen(one, now));
      if (shiftKey && first) {
        const [from, to] = [at(first.node.id), at(row.node.id)].sort((a, b) => a - b) as [number, number];
        const run = new Set(rows.slice(Math.max(0, from), to + 1).flatMap(({ ids }) => ids));
        return store.getState().select([...run]);
      }
      anchor.current = row.node.id;
      if (!ctrlKey && !metaKey)
        return store.getState().choose({ selection: row.ids, entered: inside, mode: { kind: 'pick' } });
      const without = now.filter((id) => !row.ids.includes(id));
      store.getState().select(without.length < now.length ? without : [...now, ...row.ids]);
    },
    [store, rows, byId],
  );
  const sensors = useDragSensors();
  const pictureOf = ({ node }: PileRow): string | undefined =>
    node.kind === 'piece' && 'asset' in node.piece.material
      ? thumbs.get(node.piece.material.asset)
      : undefined;

  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const { surfaceId, selection, perform } = store.getState();
    const [from, onto] = [String(active.id), String(over.id)];
    const held = rows.find(({ node }) => node.id === from)!;
    // One of several that are selected takes the others along.
    const many = isChosen(held, selection)
      ? rows.filter((row) => row.depth === held.depth && isChosen(row, selection))
      : [held];
    const moved = many.map(({ node }) => node.id);
    if (!moved.includes(onto)) perform(layBeside(surfaceId, moved, dropAt(rows, open, from, onto), onto));
  };

  return (
    <Box
      component="section"
      aria-label="The pile"
      data-part
      sx={{ display: 'flex', flexDirection: 'column', flex: '1 0 0' }}
      // Six slabs are in sight whatever stands above them.
      style={{ minHeight: HEAD + SLAB * Math.max(2, Math.min(6, rows.length)) }}
    >
      <Box
        sx={{
          display: 'flex',
          alignItems: 'baseline',
          px: 2,
          pt: 1.25,
          pb: 0.5,
          borderTop: 1,
          borderColor: 'divider',
        }}
      >
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          The pile
        </Typography>
        <Typography variant="caption" color="text.secondary">
          {pile.length === 0 ? '' : `${pile.length} ${pile.length === 1 ? 'piece' : 'pieces'}, top first`}
        </Typography>
      </Box>
      {pile.length === 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ px: 2, py: 0.5 }}>
          Nothing lies on the page yet. What you lay down is piled here, the topmost first.
        </Typography>
      )}
      <DndContext
        id="pile"
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={dragWords((id) => {
          const row = rows.find(({ node }) => node.id === id);
          return row ? nameOfNode(row.node) : '';
        })}
        onDragEnd={dropped}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <PileList
            rows={rows}
            open={open}
            pictureOf={pictureOf}
            readOnly={readOnly}
            onChoose={choose}
            onToggle={toggle}
          />
        </SortableContext>
      </DndContext>
      {pile.length > 0 && (
        <Box
          aria-hidden="true"
          sx={{
            mx: 2,
            mb: 1.5,
            height: 5,
            bgcolor: 'text.secondary',
            opacity: 0.55,
            borderRadius: 0.5,
            flexShrink: 0,
          }}
        />
      )}
    </Box>
  );
});
