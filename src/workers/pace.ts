/**
 * How much a worker has worked, told from how long it takes: on a machine that is slow or busy the same work takes longer, and
 * is no fault of the file.
 */
import { wrap } from 'comlink';
import type { Yardstick } from '@/workers/pace.worker';

/** Milliseconds the yardstick takes on the machine that limits were chosen on (two cores of a server, nothing else to do). */
const USUAL = 80;
/** How often work is counted, ms. */
export const TICK = 1000;
/** Work is counted at full pace for so long; the yardstick is asked after that, ms. */
const FIRST = 3000;
/** How long the machine's pace is taken to last, ms. */
const LASTS = 5000;

/** How many times slower than usual the machine is at the moment; 1 where it is as fast or faster. */
export type Pace = () => Promise<number>;

let known: { pace: Promise<number>; at: number } | undefined;

/** One yardstick at a time, whoever asks. */
export const machinePace: Pace = () => {
  const now = Date.now();
  if (known && now - known.at < LASTS) return known.pace;
  const pace = measure();
  known = { pace, at: now };
  // It lasts from when it was measured on.
  void pace.then(() => (known = { pace, at: Date.now() }));
  return pace;
};

async function measure(): Promise<number> {
  const worker = new Worker(new URL('./pace.worker.ts', import.meta.url), { type: 'module' });
  try {
    return Math.max(1, (await wrap<Yardstick>(worker).measured()) / USUAL);
  } finally {
    worker.terminate();
  }
}

export interface Watch {
  /** Milliseconds of work, at the usual pace, after which it is over. */
  limit: number;
  over: () => void;
  /** Hears once that the limit has passed by the clock, but not by what was worked. */
  slow?: () => void;
  /** How often work is counted, and after what time the pace is asked for, ms. */
  tick?: number;
  first?: number;
}

/** Counts work until it is stopped. While a machine sleeps nothing is counted. */
export function watchWork(
  { limit, over, slow, tick = TICK, first = Math.min(FIRST, limit / 5) }: Watch,
  pace: Pace = machinePace,
): () => void {
  let [worked, passed, last, told] = [0, 0, Date.now(), false];
  let stopped = false;
  const count = async () => {
    const now = Date.now();
    const gone = Math.min(now - last, 2 * tick);
    last = now;
    passed += gone;
    worked += gone / (passed < first ? 1 : await pace().catch(() => 1));
    if (stopped) return;
    if (worked >= limit) return over();
    if (passed >= limit && !told) {
      told = true;
      slow?.();
    }
    timer = setTimeout(count, Math.min(tick, limit - worked + 1));
  };
  let timer = setTimeout(count, Math.min(tick, limit));
  return () => {
    stopped = true;
    clearTimeout(timer);
  };
}
