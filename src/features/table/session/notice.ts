/** What a person has to be told. */
import type { Slice } from '@/features/table/session/slice';

export interface NoticeSlice {
  /** Why the last thing that was asked for was not done; another object each time. */
  refused: { why: string } | null;
  /** When a locked page was last touched, milliseconds since 1970. */
  touchedLocked: number;
  /** Why keeping failed, if it did. */
  trouble: string | null;
  /** What could not be read as it was written when it was opened, a sentence each. */
  mended: readonly string[];

  refuse(why: string): void;
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
    refuse: (why) => set({ refused: { why } }),
    touchLocked: () => set({ touchedLocked: Date.now() }),
    setTrouble: (trouble) => set({ trouble }),
    closeMended: () => set({ mended: [] }),
  });
