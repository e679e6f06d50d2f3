/** The pointers of the screen, handed to the hand on the stage. */
import { useEffect, useMemo, useRef, type MouseEvent, type PointerEvent } from 'react';
import type { Point } from '@/core/geometry/matrix';
import type { SessionStore } from '@/features/table/session';
import { actSoon } from '@/features/table/stage/frames';
import type { Grip } from '@/features/table/stage/hand/drags';
import { createHand, type Pointer } from '@/features/table/stage/hand/hand';
import { useDragLost } from '@/features/table/stage/hand/useDragLost';

const placeOf = (event: MouseEvent, stage: Element): Point => {
  const box = stage.getBoundingClientRect();
  return { x: event.clientX - box.left, y: event.clientY - box.top };
};

const pointerOf = (event: PointerEvent, stage: Element): Pointer => {
  const { pointerId, pointerType, button, shiftKey, ctrlKey, metaKey, altKey } = event;
  const at = placeOf(event, stage);
  return { id: pointerId, type: pointerType, button, at, shiftKey, ctrlKey, metaKey, altKey };
};

export function useGestures(store: SessionStore, onMoving: (ids: readonly string[]) => void) {
  const space = useSpaceHeld();
  const hand = useMemo(
    () => createHand(store, { onMoving, soon: actSoon, panning: () => space.current }),
    [store, onMoving, space],
  );
  useDragLost(hand.busy, hand.letGo);
  /** Follows the pointer wherever it goes, if it began something. */
  const follow = (event: PointerEvent, begun: boolean) =>
    begun && event.currentTarget.setPointerCapture(event.pointerId);
  return {
    press: (event: PointerEvent) => follow(event, hand.press(pointerOf(event, event.currentTarget))),
    grip(event: PointerEvent, hold: Grip, stage: Element) {
      event.stopPropagation();
      follow(event, hand.grip(pointerOf(event, stage), hold));
    },
    holdGuide(event: PointerEvent, of: string | null, index: number, stage: Element) {
      event.stopPropagation();
      follow(event, hand.holdGuide(pointerOf(event, stage), of, index));
    },
    move: (event: PointerEvent, stage: Element) => hand.move(pointerOf(event, stage)),
    release: (event: PointerEvent, stage: Element) => hand.release(pointerOf(event, stage)),
    lost: (event: PointerEvent) => hand.lost(event.pointerId),
    again: (event: MouseEvent) => hand.again(placeOf(event, event.currentTarget)),
  };
}

/** Whether the space bar is down: the table is then dragged, not what lies on it. */
function useSpaceHeld() {
  const held = useRef(false);
  useEffect(() => {
    const change = (event: KeyboardEvent) => {
      if (event.key !== ' ') return;
      const target = event.target as HTMLElement;
      held.current =
        event.type === 'keydown' && !target.closest('input, textarea, button, a, [role="option"]');
    };
    const lost = () => {
      held.current = false;
    };
    window.addEventListener('keydown', change);
    window.addEventListener('keyup', change);
    window.addEventListener('blur', lost);
    return () => {
      window.removeEventListener('keydown', change);
      window.removeEventListener('keyup', change);
      window.removeEventListener('blur', lost);
    };
  }, []);
  return held;
}
