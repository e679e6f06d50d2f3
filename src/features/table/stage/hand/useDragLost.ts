/** What ends a drag without its being meant: Escape, or a window that loses the focus. Pointers that are lost tell so themselves. */
import { useEffect, useRef } from 'react';

/** Calls `back` when that happens while `held` answers that something is dragged. */
export function useDragLost(held: () => boolean, back: () => void): void {
  const latest = useRef({ held, back });
  useEffect(() => {
    latest.current = { held, back };
  });
  useEffect(() => {
    const blur = () => {
      if (latest.current.held()) latest.current.back();
    };
    const key = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !latest.current.held()) return;
      event.preventDefault();
      event.stopPropagation();
      latest.current.back();
    };
    window.addEventListener('blur', blur);
    window.addEventListener('keydown', key, true);
    return () => {
      window.removeEventListener('blur', blur);
      window.removeEventListener('keydown', key, true);
    };
  }, []);
}
