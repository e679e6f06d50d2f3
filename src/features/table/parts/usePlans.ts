/** What lies on which sheet of paper, packed anew in the worker whenever what is wished changes. */
import { useEffect, useState } from 'react';
import type { Plans } from '@/core/packing/sheets';
import type { SheetProduct } from '@/core/product/sheet';
import { useHands } from '@/features/table/parts/useHands';
import { useNotify } from '@/ui/notices';
import type { Packer } from '@/workers/packing.worker';

/** Milliseconds the most things on the most sheets may take. */
const LONGEST = 120_000;

const begin = (): Worker =>
  new Worker(new URL('../../../workers/packing.worker.ts', import.meta.url), { type: 'module' });

/** The last ones, which stay while others are made; null before the first, and for what is no sheet. */
export function usePlans(product: SheetProduct | null): Plans | null {
  const hands = useHands<Packer>(begin);
  const notify = useNotify();
  const [made, setMade] = useState<Plans | null>(null);
  useEffect(() => {
    if (!product) return;
    const gone = new AbortController();
    hands
      .do((packer) => packer.plansOf(product), { limit: LONGEST, signal: gone.signal })
      .then(
        (plans) => !gone.signal.aborted && setMade(plans),
        ({ message }: Error) => {
          if (gone.signal.aborted) return;
          notify({
            text: `What lies on which sheet could not be worked out (${message}). What was last found stays, and nothing was changed.`,
            tone: 'error',
          });
        },
      );
    return () => gone.abort();
  }, [hands, notify, product]);
  return product ? made : null;
}
