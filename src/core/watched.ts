/** One thing that is so or otherwise, and whoever wants to hear of it. */
export function watched<T>(first: T) {
  let state = first;
  const listeners = new Set<() => void>();
  return {
    now: (): T => state,
    listen: (hear: () => void): (() => void) => {
      listeners.add(hear);
      return () => void listeners.delete(hear);
    },
    /** Heard only where it is another. */
    say(next: T): void {
      if (next === state) return;
      state = next;
      listeners.forEach((hear) => hear());
    },
  };
}
