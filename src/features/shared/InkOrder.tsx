'use client';
/** Inks as dots that are put in order: dragged, or picked up by Space and moved by the arrows. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { closestCenter, DndContext } from '@dnd-kit/core';
import { arrayMove, rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { dragWords, useDragSensors } from '@/ui/useDragSensors';
import { CSS } from '@dnd-kit/utilities';
import type { NamedInk } from '@/core/supplies/model';

interface Props {
  inks: readonly NamedInk[];
  /** Their numbers in the order in which they are shown. */
  order: readonly number[];
  chosen?: number | undefined;
  onChoose: (ink: number) => void;
  onArrange: (order: readonly number[]) => void;
}

export function InkOrder({ inks, order, chosen, onChoose, onArrange }: Props) {
  const sensors = useDragSensors();
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={dragWords((id) => inks[Number(id) - 1]?.name ?? '')}
      onDragEnd={({ active, over }) => {
        if (over && active.id !== over.id)
          onArrange(
            arrayMove([...order], order.indexOf(Number(active.id) - 1), order.indexOf(Number(over.id) - 1)),
          );
      }}
    >
      <SortableContext items={order.map((i) => i + 1)} strategy={rectSortingStrategy}>
        <Box
          role="group"
          aria-label="Inks in their order"
          data-own-keys
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, maxHeight: 300, overflowY: 'auto', p: 0.5 }}
        >
          {order.map((i) => (
            <Dot key={i} id={i + 1} ink={inks[i]!} chosen={i === chosen} onChoose={() => onChoose(i)} />
          ))}
        </Box>
      </SortableContext>
    </DndContext>
  );
}

interface DotProps {
  id: number;
  ink: NamedInk;
  chosen: boolean;
  onChoose: () => void;
}

function Dot({ id, ink, chosen, onChoose }: DotProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  return (
    <ButtonBase
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      aria-label={ink.retired ? `${ink.name}, put by` : ink.name}
      aria-pressed={chosen}
      title={ink.name}
      onClick={onChoose}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      sx={{
        width: 42,
        height: 42,
        borderRadius: '50%',
        bgcolor: ink.colour,
        border: '1px solid rgba(0,0,0,0.25)',
        outline: chosen ? '2px dashed' : 'none',
        outlineColor: 'primary.main',
        outlineOffset: 2,
        opacity: ink.retired ? 0.35 : 1,
        zIndex: isDragging ? 2 : undefined,
        boxShadow: isDragging ? '0 4px 12px rgba(20,14,8,0.4)' : undefined,
        touchAction: 'none',
      }}
    />
  );
}
