'use client';
/** The pile as a side view: slabs from top to bottom, thick or thin as they lift, dragged to change their order. */
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { IconEye, IconEyeOff, IconGripVertical, IconLock } from '@tabler/icons-react';
import { memo, useMemo } from 'react';
import { restack } from '@/core/project/edits/pile';
import type { Piece } from '@/core/piece/piece';
import { toggleHidden } from '@/features/table/room/actions';
import { useRoom, useSession } from '@/features/table/room/context';
import { settledPieces, shownSurface } from '@/features/table/room/session';
import { surfaceOf } from '@/core/project/model';

/** What a slab looks like from the side: its ink, or the picture it is made of. */
type Look = (piece: Piece) => string | undefined;

export const Pile = memo(function Pile({ thumbs }: { thumbs: ReadonlyMap<string, string> }) {
  const { store } = useRoom();
  const pile = useSession((session) => surfaceOf(session.history.project, shownSurface(session).id).pile);
  const selection = useSession((session) => session.selection);
  const readOnly = useSession((session) => session.readOnly);
  const topFirst = useMemo(() => [...pile].reverse(), [pile]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const look: Look = ({ material }) => ('asset' in material ? thumbs.get(material.asset) : undefined);

  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const { surfaceId, perform } = store.getState();
    perform(
      restack(
        surfaceId,
        String(active.id),
        pile.findIndex((piece) => piece.id === over.id),
      ),
    );
  };

  return (
    <Box
      component="section"
      aria-label="The pile"
      sx={{ display: 'flex', flexDirection: 'column', minHeight: 176, flex: 1 }}
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
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped} id="pile">
        <SortableContext items={topFirst.map((piece) => piece.id)} strategy={verticalListSortingStrategy}>
          <Box
            component="ol"
            aria-label="Pieces, top first"
            sx={{ m: 0, p: '0 8px 4px', overflowY: 'auto', listStyle: 'none', scrollbarWidth: 'thin' }}
          >
            {topFirst.map((piece) => (
              <Slab
                key={piece.id}
                piece={piece}
                picture={look(piece)}
                selected={selection.includes(piece.id)}
                readOnly={readOnly}
              />
            ))}
          </Box>
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

/** Pixels a slab is thick: ink is a film, a button stands high. */
const thickness = (lift: number): number => Math.round(3 + Math.min(14, Math.sqrt(lift) * 9));

interface SlabProps {
  piece: Piece;
  picture: string | undefined;
  selected: boolean;
  readOnly: boolean;
}

const Slab = memo(function Slab({ piece, picture, selected, readOnly }: SlabProps) {
  const { store } = useRoom();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id: piece.id, disabled: readOnly });
  const { hidden, locked } = piece.placement;
  const colour = piece.material.kind === 'ink' ? piece.material.colour : '#b9a98c';
  const choose = (event: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean }) => {
    const { selection, select } = store.getState();
    const add = event.shiftKey || event.ctrlKey || event.metaKey;
    select(
      add
        ? selection.includes(piece.id)
          ? selection.filter((id) => id !== piece.id)
          : [...selection, piece.id]
        : [piece.id],
    );
  };
  return (
    <Box
      component="li"
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      onPointerEnter={() => store.setState({ hovered: piece.id })}
      onPointerLeave={() => store.setState({ hovered: null })}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 0.5,
        height: 34,
        borderRadius: 1,
        bgcolor: isDragging ? 'background.default' : undefined,
        position: 'relative',
        zIndex: isDragging ? 1 : undefined,
        opacity: hidden ? 0.5 : 1,
        '&:hover': { bgcolor: 'background.default' },
        '& .quiet': { opacity: hidden ? 1 : 0 },
        '&:hover .quiet, &:focus-within .quiet': { opacity: 1 },
      }}
    >
      <Box
        component="button"
        type="button"
        aria-pressed={selected}
        aria-label={`${piece.name}, ${piece.role}${hidden ? ', hidden' : ''}${locked ? ', locked' : ''}`}
        onClick={choose}
        onFocus={() => store.setState({ hovered: piece.id })}
        onBlur={() => store.setState({ hovered: null })}
        sx={{
          flex: 1,
          minWidth: 0,
          display: 'flex',
          alignItems: 'center',
          gap: 1.25,
          height: '100%',
          border: 0,
          bgcolor: 'transparent',
          color: selected ? 'primary.main' : 'text.primary',
          fontWeight: selected ? 600 : 400,
          font: 'inherit',
          fontSize: '0.9rem',
          textAlign: 'left',
          cursor: 'pointer',
          px: 1,
        }}
      >
        <Box
          sx={{
            width: 84,
            flexShrink: 0,
            height: thickness(piece.finish.lift.height),
            bgcolor: colour,
            backgroundImage: picture ? `url(${picture})` : 'none',
            backgroundSize: '100% auto',
            backgroundPosition: 'center 30%',
            borderRadius: '2px',
            border: '1px solid',
            borderColor: 'divider',
            boxShadow: `0 ${1 + Math.round(thickness(piece.finish.lift.height) / 5)}px 2px rgba(30,20,10,0.35)`,
            outline: selected ? '2px dashed var(--mui-palette-primary-main)' : 'none',
            outlineOffset: 3,
          }}
        />
        <Box
          component="span"
          sx={{
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
            fontWeight: selected ? 600 : 400,
          }}
        >
          {piece.name || piece.role}
        </Box>
      </Box>
      {locked && <IconLock size={15} aria-hidden="true" />}
      {!readOnly && (
        <>
          <Tooltip title={hidden ? 'Show' : 'Hide'}>
            <IconButton
              className="quiet"
              size="small"
              sx={{ minWidth: 32, minHeight: 32 }}
              aria-label={`${hidden ? 'Show' : 'Hide'} ${piece.name}`}
              onClick={() => toggleHidden(store, settledPieces(store.getState(), [piece.id]))}
            >
              {hidden ? <IconEyeOff size={17} /> : <IconEye size={17} />}
            </IconButton>
          </Tooltip>
          <Tooltip title="Drag to change the order">
            <Box
              component="span"
              className="quiet"
              ref={setActivatorNodeRef}
              {...attributes}
              {...listeners}
              data-own-arrows
              aria-label={`Change the place of ${piece.name} in the pile`}
              sx={{
                cursor: 'grab',
                width: 24,
                height: 32,
                display: 'grid',
                placeItems: 'center',
                touchAction: 'none',
              }}
            >
              <IconGripVertical size={16} />
            </Box>
          </Tooltip>
        </>
      )}
    </Box>
  );
});
