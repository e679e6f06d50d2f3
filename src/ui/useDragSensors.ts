/** How things of a list are picked up: by a pointer that moves a little, or by keys. */
import { KeyboardSensor, PointerSensor, useSensor, useSensors, type KeyboardCodes } from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';

/** CSS pixels a pointer moves before it drags. */
const DISTANCE = 5;

/** `keyboardCodes` where the usual ones, Space and Enter, mean something else. */
export const useDragSensors = (keyboardCodes?: KeyboardCodes) =>
  useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DISTANCE } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: sortableKeyboardCoordinates,
      ...(keyboardCodes ? { keyboardCodes } : {}),
    }),
  );
