/** Pixels as they will look printed, worked out beside the page. */
import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Condition } from '@/core/press/conditions';
import type { Looked } from '@/core/press/look';
import type { Result } from '@/core/result';
import type { ProofSettings } from '@/features/table/tasks/proof/settings';
import { assetBlob } from '@/storage/assets';
import type { PressRoom } from '@/workers/press.worker';

const PRESS_AT = '/house/press';

export interface Printed extends Omit<Looked, 'pixels'> {
  image: ImageData;
  /** Of which pixels it was made. */
  of: ImageData;
}

/** What was last made stays until the next is there; null before, and as on the screen. */
export function usePress(
  pixels: ImageData | null,
  on: Condition | null,
  { intent, blackPoint, paper, marked }: ProofSettings,
): { printed: Printed | null; problem: string | null } {
  const [id, file] = [on?.id, on?.file];
  const bench = useRef<{ worker: Worker; press: Remote<PressRoom> } | null>(null);
  const [printed, setPrinted] = useState<Printed | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(
    () => () => {
      bench.current?.worker.terminate();
      bench.current = null;
    },
    [],
  );
  useEffect(() => {
    if (!pixels || !id) return;
    let gone = false;
    if (!bench.current) {
      const worker = new Worker(new URL('../../../../workers/press.worker.ts', import.meta.url), {
        type: 'module',
      });
      bench.current = { worker, press: wrap<PressRoom>(worker) };
    }
    const folder = new URL(PRESS_AT, location.href).href;
    const how = { intent, blackPoint, paper, marked, wide: pixels.colorSpace === 'display-p3' };
    const { press } = bench.current;
    const looking = (file ? Promise.resolve(undefined) : assetBlob(id)).then(
      async (own): Promise<Result<Looked>> => {
        if (!file && !own) throw new Error('the profile is not in this browser');
        return await press.look(
          { id, ...(file ? { file } : {}) },
          own ?? null,
          folder,
          pixels.data,
          pixels.width,
          how,
        );
      },
    );
    looking.then(
      (looked) => {
        if (gone) return;
        setProblem(looked.ok ? null : looked.message);
        if (!looked.ok) return;
        const { pixels: made, ...told } = looked.value;
        setPrinted({ ...told, image: new ImageData(made, pixels.width, pixels.height), of: pixels });
      },
      () =>
        !gone && setProblem('The colour profile could not be fetched. The page is shown as on the screen.'),
    );
    return () => {
      gone = true;
    };
  }, [pixels, id, file, intent, blackPoint, paper, marked]);
  return !on ? { printed: null, problem: null } : { printed, problem };
}
