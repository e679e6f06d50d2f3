'use client';
/** A function that stays the same one, for parts that are drawn anew only when what they are given changes. */
import { useCallback, useLayoutEffect, useRef } from 'react';

/** Does what the newest of them does. */
export function useSteady<Given extends unknown[]>(
  does: (...given: Given) => void,
): (...given: Given) => void {
  const newest = useRef(does);
  // Before anything can be pressed.
  useLayoutEffect(() => {
    newest.current = does;
  });
  return useCallback((...given) => newest.current(...given), []);
}
