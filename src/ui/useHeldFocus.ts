/** Keeps the keyboard's focus in a part of the screen whose focused button or field is taken away by what it did. */
import { useLayoutEffect, useRef, type FocusEvent, type RefObject } from 'react';

/**
 * `next` says what is focused then: in the part marked `data-row` that had the focus, if it is still there, else in all of
 * it. Spread the handlers on the element of `frame`.
 */
export function useHeldFocus(
  frame: RefObject<HTMLElement | null>,
  next: (frame: HTMLElement) => HTMLElement | null,
): Record<'onFocus' | 'onBlur', (event: FocusEvent) => void> {
  const within = useRef(false);
  const row = useRef<HTMLElement | null>(null);
  // After every change: nothing else tells that an element with the focus is gone.
  useLayoutEffect(() => {
    const lost = () => within.current && document.activeElement === document.body;
    if (!lost()) return;
    // Not before the key that did it is done: it would press what has the focus next.
    const later = requestAnimationFrame(() => {
      const part = row.current?.isConnected ? row.current : frame.current;
      if (part && lost()) next(part)?.focus({ preventScroll: true });
    });
    return () => cancelAnimationFrame(later);
  });
  return {
    // Menus that hang from here tell of their focus too, but lie elsewhere.
    onFocus: ({ target }) => {
      within.current = frame.current?.contains(target) ?? false;
      row.current = target.closest('[data-row]');
    },
    onBlur: ({ target }) => {
      // One that is being taken away may say so; one that is left for another place has it no longer.
      if (target.isConnected) within.current = false;
    },
  };
}
