/** The worker in which colours become what a press makes of them. */
import type { Remote } from 'comlink';
import { useCallback } from 'react';
import type { Condition } from '@/core/press/conditions';
import { useHands } from '@/features/table/parts/useHands';
import { assetBlob } from '@/storage/assets';
import type { Paper, PressRoom } from '@/workers/press.worker';

const PRESS_AT = '/house/press';
/** Milliseconds a page may take, the profile opened first. */
const LONGEST = 60_000;

/** Asks the press, with the profile of a condition at hand; rejects where that cannot be had. */
export type AskPress = <T>(
  on: Pick<Condition, 'id' | 'file'>,
  ask: (press: Remote<PressRoom>, paper: Paper) => Promise<T>,
) => Promise<T>;

const begin = (): Worker =>
  new Worker(new URL('../../../../workers/press.worker.ts', import.meta.url), { type: 'module' });

export function usePressRoom(): AskPress {
  const hands = useHands<PressRoom>(begin);
  return useCallback(
    async ({ id, file }, ask) => {
      const own = file ? null : await assetBlob(id);
      if (!file && !own) throw new Error('the profile is not in this browser');
      const folder = new URL(PRESS_AT, location.href).href;
      const paper = { id, folder, own: own ?? null, ...(file ? { file } : {}) };
      return hands.do((press) => ask(press, paper), { limit: LONGEST });
    },
    [hands],
  );
}
