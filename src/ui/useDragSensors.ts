/** How things of a list are picked up, by a pointer that moves a little or by keys, and what is said of it. */
import {
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DndContextProps,
  type KeyboardCodes,
  type KeyboardCoordinateGetter,
  type UniqueIdentifier,
} from '@dnd-kit/core';
import { hasSortableData, sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import { useMemo } from 'react';

/** A pointer drags once it has moved so many CSS pixels. */
const BY_POINTER = { activationConstraint: { distance: 5 } };

/** Where arrows carry it: to what lies there; from the end of a row on to the next one. */
const byArrows: KeyboardCoordinateGetter = (event, given) => {
  const there = sortableKeyboardCoordinates(event, given);
  const step = { ArrowRight: 1, ArrowLeft: -1 }[event.code];
  const { active, over, droppableRects } = given.context;
  const from = over ?? active;
  if (there || !step || !from || !hasSortableData(from)) return there;
  const { index, items } = from.data.current.sortable;
  const rect = droppableRects.get(items[index + step] ?? '');
  return rect && { x: rect.left, y: rect.top };
};

const BY_KEYS = { coordinateGetter: byArrows };

/**
 * `keyboardCodes` where the usual ones, Space and Enter, mean something else. The same whenever it is asked for: all that can be
 * dragged is drawn anew with what it is dragged by.
 */
export function useDragSensors(keyboardCodes?: KeyboardCodes) {
  const byKeys = useMemo(() => (keyboardCodes ? { ...BY_KEYS, keyboardCodes } : BY_KEYS), [keyboardCodes]);
  return useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(KeyboardSensor, byKeys));
}

/** What a screen reader says while something is carried; `nameOf` calls things by what a person calls them. */
export function dragWords(nameOf: (id: string) => string): NonNullable<DndContextProps['accessibility']> {
  const name = ({ id }: { id: UniqueIdentifier }) => nameOf(String(id));
  return {
    screenReaderInstructions: {
      draggable: 'Space picks it up, arrow keys carry it, Space lays it down, Escape leaves it where it was.',
    },
    announcements: {
      onDragStart: ({ active }) => `${name(active)} is picked up.`,
      onDragOver: ({ active, over }) =>
        over && over.id !== active.id ? `${name(active)} is over ${name(over)}.` : undefined,
      onDragEnd: ({ active, over }) =>
        over && over.id !== active.id
          ? `${name(active)} was laid where ${name(over)} was.`
          : `${name(active)} stays where it was.`,
      onDragCancel: ({ active }) => `${name(active)} stays where it was.`,
    },
  };
}
