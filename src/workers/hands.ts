/**
 * Workers that do one job at a time, begun when there is something to do. A job that is cancelled or skipped, works longer than it
 * may, or whose worker ends by itself is over at once; its worker is let go, and the next job has a new one.
 */
import { wrap, type Remote } from 'comlink';
import { machinePace, watchWork, type Pace } from '@/workers/pace';

export type Why = 'cancelled' | 'skipped' | 'too long' | 'died';

/** Why there is no answer, where that lies not in the job. */
export class JobEnded extends Error {
  constructor(readonly why: Why) {
    super(SAYS[why]);
  }
}

const SAYS: Record<Why, string> = {
  cancelled: 'cancelled',
  skipped: 'skipped',
  'too long': 'it was too much work',
  died: 'out of memory or damaged',
};

export interface Terms {
  /** Milliseconds of work it may take once it is begun, at a usual machine's pace. */
  limit: number;
  signal?: AbortSignal;
  /**
   * Hears that it takes longer than the limit by the clock, as the machine is slow or busy, and how it can be skipped. What it
   * answers with is called when the job is over.
   */
  slow?: (skip: () => void) => () => void;
}

/** Milliseconds of work for a job on a file: ten times what an ordinary one needs. */
export const limitFor = ({ size }: { size: number }): number => 15_000 + size / 500;

interface Hand<Api> {
  api: Remote<Api>;
  worker: Worker;
  /** Hears that the worker ended by itself. */
  died: () => void;
}

export class Hands<Api> {
  private readonly free: Hand<Api>[] = [];
  private busy = 0;
  private readonly waiting: (() => void)[] = [];
  /** Ends what is under way, and what waits for its turn. */
  private readonly ends = new Set<() => void>();

  constructor(
    private readonly begin: () => Worker,
    /** How many there are at the most. */
    private readonly most: number,
    private readonly pace: Pace = machinePace,
  ) {}

  /** What the job answers; rejects with JobEnded where it was ended, and with the job's own error. */
  async do<T>(job: (api: Remote<Api>) => Promise<T>, { limit, signal, slow }: Terms): Promise<T> {
    while (this.busy >= this.most) await this.turn(signal);
    this.busy += 1;
    let hand: Hand<Api> | null = null;
    let end: () => void = () => {};
    try {
      if (signal?.aborted) throw new JobEnded('cancelled');
      const mine = (hand = this.free.pop() ?? this.hire());
      return await new Promise<T>((resolve, reject) => {
        const ended = (why: Why) => () => reject(new JobEnded(why));
        const cancelled = ended('cancelled');
        let told = () => {};
        const unwatch = watchWork(
          {
            limit,
            over: ended('too long'),
            slow: () => {
              told = slow?.(ended('skipped')) ?? told;
            },
          },
          this.pace,
        );
        mine.died = ended('died');
        signal?.addEventListener('abort', cancelled);
        this.ends.add(cancelled);
        end = () => {
          unwatch();
          told();
          signal?.removeEventListener('abort', cancelled);
          this.ends.delete(cancelled);
        };
        job(mine.api).then(resolve, reject);
      });
    } catch (error) {
      if (hand && error instanceof JobEnded) {
        hand.worker.terminate();
        hand = null;
      }
      throw error;
    } finally {
      end();
      if (hand) this.rest(hand);
      this.busy -= 1;
      this.waiting.shift()?.();
    }
  }

  /** Resolves when one of those that are at work is done; rejects at once where nobody waits for it any more. */
  private turn(signal: AbortSignal | undefined): Promise<void> {
    return new Promise((resolve, reject) => {
      const over = () => {
        signal?.removeEventListener('abort', gone);
        this.ends.delete(gone);
      };
      const mine = () => {
        over();
        resolve();
      };
      const gone = () => {
        over();
        this.waiting.splice(this.waiting.indexOf(mine), 1);
        reject(new JobEnded('cancelled'));
      };
      signal?.addEventListener('abort', gone);
      this.ends.add(gone);
      this.waiting.push(mine);
    });
  }

  /** Whatever is under way ends, and nobody waits for more; whoever asks again begins anew. */
  letGo(): void {
    for (const end of this.ends) end();
    for (const { worker } of this.free.splice(0)) worker.terminate();
  }

  private hire(): Hand<Api> {
    const worker = this.begin();
    const hand: Hand<Api> = { worker, api: wrap<Api>(worker), died: () => {} };
    worker.addEventListener('error', () => hand.died());
    return hand;
  }

  /** It waits for the next job; one that ends meanwhile is not asked any more. */
  private rest(hand: Hand<Api>): void {
    hand.died = () => {
      const at = this.free.indexOf(hand);
      if (at >= 0) this.free.splice(at, 1);
    };
    this.free.push(hand);
  }
}
