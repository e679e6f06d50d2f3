/** The program kept for a time without a network, and newer ones, which are offered. */
import { watched } from '@/core/watched';
import { keepHouse } from '@/features/shared/offline/keep';
import { TAKE_OVER } from '@/workers/offline';

export interface ProgramState {
  /** All that is needed without a network is here. */
  kept: boolean;
  /** A newer version waits to be begun. */
  newer: boolean;
}

export const program = watched<ProgramState>({ kept: false, newer: false });
const say = (change: Partial<ProgramState>): void => program.say({ ...program.now(), ...change });

let waiting: ServiceWorker | null = null;

/** Milliseconds after which a newer version is asked for once more, when somebody comes back to the page. */
const ASK_AGAIN = 3_600_000;
/** Milliseconds the page has for itself before anything is fetched for later. */
const FIRST = 1500;

let begun = false;
/** Asks the browser to keep the program. Where it cannot, nothing is lacking but that. */
export function keepProgram(): void {
  if (begun || process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  begun = true;
  setTimeout(() => {
    register().catch((error: unknown) => console.info('The program is not kept for offline:', error));
  }, FIRST);
}

async function register(): Promise<void> {
  const container = navigator.serviceWorker;
  const registration = await container.register('/sw.js', { updateViaCache: 'none' });
  // Where they are turned off there may be none.
  if (!registration) return;
  const offer = (worker: ServiceWorker | null): void => {
    // Without one that is at work, the one that comes is the first.
    if (!worker || !container.controller) return;
    waiting = worker;
    say({ newer: true });
  };
  offer(registration.waiting);
  registration.addEventListener('updatefound', () => {
    const { installing } = registration;
    installing?.addEventListener('statechange', () => installing.state === 'installed' && offer(installing));
  });
  registration.update().catch(() => {});
  let asked = Date.now();
  document.addEventListener('visibilitychange', () => {
    if (document.hidden || Date.now() - asked < ASK_AGAIN) return;
    asked = Date.now();
    registration.update().catch(() => {});
  });
  await container.ready;
  if (await keepHouse()) say({ kept: true });
}

/** Begins the newer version, and this page anew in it; false while other tabs are open, which would be torn away. */
export async function beginNewer(): Promise<boolean> {
  const worker = waiting;
  if (!worker) return true;
  const { port1, port2 } = new MessageChannel();
  const answer = new Promise<boolean>((resolve) => {
    port1.onmessage = ({ data }) => resolve(data === true);
  });
  const changed = new Promise<void>((resolve) =>
    navigator.serviceWorker.addEventListener('controllerchange', () => resolve(), { once: true }),
  );
  worker.postMessage(TAKE_OVER, [port2]);
  const takes = await answer;
  port1.close();
  if (!takes) return false;
  await changed;
  location.reload();
  return true;
}
