/** Keeps the keyboard's focus in a part of the screen whose focused button or field is taken away by what it did. */
import { useLayoutEffect, useRef, type FocusEvent, type RefObject } from 'react';

/** `next` says what is focused then. Spread the handlers on the element of `frame`. */
export function useHeldFocus(
  frame: RefObject<HTMLElement | null>,
  next: (frame: HTMLElement) => HTMLElement | null,
): { onFocus: () => void; onBlur: (event: FocusEvent) => void } {
  const within = useRef(false);
  // After every change: nothing else tells that an element with the focus is gone.
  useLayoutEffect(() => {
    if (within.current && frame.current && document.activeElement === document.body)
      next(frame.current)?.focus({ preventScroll: true });
  });
  return {
    onFocus: () => (within.current = true),
    onBlur: (event) => {
      // One that is being taken away may say so; one that is left for another place has it no longer.
      if ((event.target as HTMLElement).isConnected) within.current = false;
    },
  };
}
