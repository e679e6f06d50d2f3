/** The worker in which colours become what a press makes of them: begun when first asked, let go with the sheet. */
import { wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef } from 'react';
import type { Condition } from '@/core/press/conditions';
import { assetBlob } from '@/storage/assets';
import type { Paper, PressRoom } from '@/workers/press.worker';

const PRESS_AT = '/house/press';

/** Asks the press, with the profile of a condition at hand; rejects where that cannot be had. */
export type AskPress = <T>(
  on: Pick<Condition, 'id' | 'file'>,
  ask: (press: Remote<PressRoom>, paper: Paper) => Promise<T>,
) => Promise<T>;

export function usePressRoom(): AskPress {
  const bench = useRef<{ worker: Worker; press: Remote<PressRoom> } | null>(null);
  useEffect(
    () => () => {
      bench.current?.worker.terminate();
      bench.current = null;
    },
    [],
  );
  return useCallback(async ({ id, file }, ask) => {
    if (!bench.current) {
      const worker = new Worker(new URL('../../../../workers/press.worker.ts', import.meta.url), {
        type: 'module',
      });
      bench.current = { worker, press: wrap<PressRoom>(worker) };
    }
    const { press } = bench.current;
    const own = file ? null : await assetBlob(id);
    if (!file && !own) throw new Error('the profile is not in this browser');
    const folder = new URL(PRESS_AT, location.href).href;
    return ask(press, { id, folder, own: own ?? null, ...(file ? { file } : {}) });
  }, []);
}
