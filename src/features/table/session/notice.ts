/** What a person has to be told. */
import type { Slice } from '@/features/table/session/slice';

/** Why something was not done, and what may be done next. */
export interface Refusal {
  why: string;
  next?: { label: string; run: () => void };
}

export interface NoticeSlice {
  /** Why the last thing that was asked for was not done; another object each time. */
  refused: Refusal | null;
  /** When a locked page was last touched, milliseconds since 1970. */
  touchedLocked: number;
  /** Why keeping failed, if it did. */
  trouble: string | null;
  /** What could not be read as it was written when it was opened, a sentence each. */
  mended: readonly string[];

  refuse(why: string, next?: Refusal['next']): void;
  touchLocked(): void;
  setTrouble(why: string): void;
  /** It was read. */
  closeMended(): void;
}

export const noticeSlice =
  (mended: readonly string[]): Slice<NoticeSlice> =>
  (set) => ({
    refused: null,
    touchedLocked: 0,
    trouble: null,
    mended,
    refuse: (why, next) => set({ refused: { why, ...(next ? { next } : {}) } }),
    touchLocked: () => set({ touchedLocked: Date.now() }),
    setTrouble: (trouble) => set({ trouble }),
    closeMended: () => set({ mended: [] }),
  });
