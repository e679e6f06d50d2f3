/** What ships with the app and is drawn when it is first built: on a first start the last of it may still be on its way. */

/** How the server answers for what is still being drawn (RFC 9110, 15.6.4: Service Unavailable). */
const STILL_DRAWN = 503;
const ASK_AGAIN = 2000;

/** Lists that are drawn. */
export type DrawnList = '/house/papers.json' | '/house/kits.json' | '/house/list' | '/demo/projects.json';

const waiting = new Set<DrawnList>();
const listeners = new Set<() => void>();
const note = (at: DrawnList, waits: boolean) => {
  if (waits === waiting.has(at)) return;
  if (waits) waiting.add(at);
  else waiting.delete(at);
  listeners.forEach((hear) => hear());
};

/** A list that ships with the app, used as soon as it is drawn; `onWait` hears that it is not. Rejects if it is not there at all. */
export async function drawn<T, U = T>(
  at: DrawnList,
  take: (list: T) => U | Promise<U>,
  onWait?: () => void,
): Promise<U> {
  try {
    for (;;) {
      const answer = await fetch(at);
      if (answer.ok) return await take((await answer.json()) as T);
      if (answer.status !== STILL_DRAWN) throw new Error(`${at} is not there (${answer.status}).`);
      note(at, true);
      onWait?.();
      await new Promise((resolve) => setTimeout(resolve, ASK_AGAIN));
    }
  } finally {
    note(at, false);
  }
}

/** Whether a list that was asked for is still being drawn, and who wants to hear of it. */
export const stillDrawn = {
  now: (at: DrawnList): boolean => waiting.has(at),
  listen: (hear: () => void): (() => void) => {
    listeners.add(hear);
    return () => void listeners.delete(hear);
  },
};
