/** What long lists and grids have in common: only rows in sight are drawn, and the focus follows where it is sent. */
import { useVirtualizer, type Virtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useState, type RefObject } from 'react';

type Options = Parameters<typeof useVirtualizer<HTMLElement, Element>>[0];

/** The rows in sight of a list that scrolls in `frame`. */
export function useLongList(
  frame: RefObject<HTMLElement | null>,
  options: Omit<Options, 'getScrollElement'>,
): Virtualizer<HTMLElement, Element> {
  // oxlint-disable-next-line react/incompatible-library -- whoever uses the answers does so at once, nobody keeps them
  return useVirtualizer<HTMLElement, Element>({ ...options, getScrollElement: () => frame.current });
}

/** CSS pixels an element is wide inside, as it is now. */
export function useWidth(frame: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = frame.current!;
    const measure = () => setWidth(element.clientWidth);
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(element);
    return () => watch.disconnect();
  }, [frame]);
  return width;
}

/** Gives the focus to what stands at a place (`data-at`): its row is drawn in the frame after the one that scrolls to it. */
export const focusAt = (frame: RefObject<HTMLElement | null>, index: number): number =>
  requestAnimationFrame(() =>
    requestAnimationFrame(() => frame.current?.querySelector<HTMLElement>(`[data-at="${index}"]`)?.focus()),
  );
