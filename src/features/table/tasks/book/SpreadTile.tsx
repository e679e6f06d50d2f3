'use client';
/** One side of the book among all: a press chooses it, two open it; it and the photos on it are dragged. */
import Box from '@mui/material/Box';
import { useDraggable } from '@dnd-kit/core';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { IconHandStop, IconLock } from '@tabler/icons-react';
import { memo, type KeyboardEvent } from 'react';
import { sideState } from '@/core/book/print';
import type { Piece } from '@/core/piece/piece';
import { isSpread } from '@/core/product/book';
import type { Project, Surface } from '@/core/project/model';
import { tileSide } from '@/features/table/tasks/book/tiles';
import { NearPicture } from '@/features/table/parts/NearPicture';

interface Props {
  project: Project;
  surface: Surface;
  side: number;
  chosen: boolean;
  readOnly: boolean;
  onChoose: (id: string, more: boolean) => void;
  onOpen: (id: string) => void;
}

export const SpreadTile = memo(function SpreadTile(props: Props) {
  const { project, surface, side, chosen, readOnly, onChoose, onOpen } = props;
  const { id, name, part = '', locked, width, height } = surface;
  const spread = isSpread(part);
  const {
    attributes,
    listeners,
    setNodeRef,
    setActivatorNodeRef,
    transform,
    transition,
    isDragging,
    isOver,
  } = useSortable({ id, disabled: { draggable: !spread || readOnly, droppable: false } });
  const long = tileSide(surface, project.surfaces, side);
  const scale = long / Math.max(width, height);
  const state = sideState(surface);
  const hand = state === 'worked on by hand';
  return (
    <Box
      component="li"
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition, zIndex: isDragging ? 3 : undefined }}
      sx={{
        ...{ p: 0.75, borderRadius: 2, outline: 2, outlineStyle: 'solid' },
        outlineColor: chosen ? 'primary.main' : isOver && !isDragging ? 'secondary.main' : 'transparent',
        bgcolor: chosen ? 'background.paper' : 'transparent',
      }}
    >
      <Box
        sx={{
          ...{ position: 'relative', width: 'fit-content', mx: 'auto' },
          boxShadow: '0 1px 2px rgba(20,14,8,0.4), 1px 4px 9px rgba(20,14,8,0.25)',
        }}
        onClick={(event) => onChoose(id, event.ctrlKey || event.metaKey || event.shiftKey)}
        onDoubleClick={() => onOpen(id)}
      >
        <NearPicture project={project} surface={surface} side={long} />
        {spread && !hand && !locked && !readOnly && (
          <>
            {surface.pile.map((piece) =>
              piece.role === 'photo' && piece.material.kind === 'photo' ? (
                <PhotoHandle
                  key={piece.id}
                  piece={piece}
                  asset={piece.material.asset}
                  part={part}
                  scale={scale}
                  focusable={chosen}
                />
              ) : null,
            )}
          </>
        )}
      </Box>
      <Box
        component="button"
        type="button"
        ref={setActivatorNodeRef}
        data-tile={id}
        {...attributes}
        {...listeners}
        role={undefined}
        aria-disabled={undefined}
        aria-pressed={chosen}
        aria-label={[name, state].filter(Boolean).join(', ')}
        onClick={(event) => onChoose(id, event.ctrlKey || event.metaKey || event.shiftKey)}
        onDoubleClick={() => onOpen(id)}
        onKeyDown={(event: KeyboardEvent) => {
          if (event.key === 'Enter') {
            event.preventDefault();
            onOpen(id);
          } else listeners?.onKeyDown?.(event);
        }}
        sx={{
          ...{
            display: 'flex',
            width: '100%',
            minHeight: 32,
            alignItems: 'center',
            justifyContent: 'center',
          },
          ...{ gap: 0.5, border: 0, bgcolor: 'transparent', font: 'inherit', fontSize: 14, color: 'inherit' },
          cursor: spread && !readOnly ? 'grab' : 'pointer',
        }}
      >
        {name}
        {locked && <IconLock size={14} aria-hidden="true" />}
        {hand && <IconHandStop size={14} aria-hidden="true" />}
      </Box>
    </Box>
  );
});

interface HandleProps {
  piece: Piece;
  asset: string;
  part: string;
  scale: number;
  focusable: boolean;
}

/** A photo of the small picture, to be taken hold of. */
function PhotoHandle({ piece: { name, placement }, asset, part, scale, focusable }: HandleProps) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: `photo ${asset} ${part}`,
  });
  const { x, y, width, height, turn } = placement;
  return (
    <Box
      component="button"
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      role={undefined}
      tabIndex={focusable ? 0 : -1}
      aria-label={`Photo ${name}: drag it to another spread`}
      title={name}
      style={{
        left: (x - width / 2) * scale,
        top: (y - height / 2) * scale,
        width: width * scale,
        height: height * scale,
        // Hundreds of these would each be a layer to reckon with, turned by nothing.
        transform:
          transform || turn ? `${CSS.Translate.toString(transform) ?? ''} rotate(${turn}deg)` : undefined,
      }}
      sx={{
        ...{
          position: 'absolute',
          p: 0,
          border: 0,
          bgcolor: 'transparent',
          cursor: 'grab',
          touchAction: 'none',
        },
        ...(isDragging ? { bgcolor: 'rgba(47,111,104,0.55)', zIndex: 5 } : {}),
        '&:hover': { boxShadow: 'inset 0 0 0 2px rgba(255,255,255,0.9), inset 0 0 0 3px rgba(37,35,42,0.6)' },
      }}
    />
  );
}
