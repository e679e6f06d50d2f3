/** Choices that belong to this browser rather than to a project, kept from one time to the next. */
import { useState } from 'react';
import { remember, remembered } from '@/ui/remembered';

/** `read` checks what was kept, and throws or answers null where it is not good: then it is `first`. */
export function useKept<T extends object>(
  key: string,
  first: T,
  read: (kept: unknown) => T | null,
): [T, (change: Partial<T>) => void] {
  const [now, setNow] = useState(() => {
    try {
      return read(JSON.parse(remembered(key) ?? 'null')) ?? first;
    } catch {
      return first;
    }
  });
  const change = (some: Partial<T>) => {
    const next = { ...now, ...some };
    setNow(next);
    remember(key, JSON.stringify(next));
  };
  return [now, change];
}
