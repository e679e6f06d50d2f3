/** What lies on which sheet of paper, packed anew in the worker whenever what is wished changes. */
import { useEffect, useState } from 'react';
import type { Plans } from '@/core/packing/sheets';
import type { SheetProduct } from '@/core/product/sheet';
import { useHands } from '@/features/table/parts/useHands';
import type { Packer } from '@/workers/packing.worker';

/** Milliseconds the most things on the most sheets may take. */
const LONGEST = 120_000;

const begin = (): Worker =>
  new Worker(new URL('../../../workers/packing.worker.ts', import.meta.url), { type: 'module' });

/** The last ones, which stay while others are made; null before the first, and for what is no sheet. */
export function usePlans(product: SheetProduct | null): Plans | null {
  const hands = useHands<Packer>(begin);
  const [made, setMade] = useState<Plans | null>(null);
  useEffect(() => {
    if (!product) return;
    const gone = new AbortController();
    hands
      .do((packer) => packer.plansOf(product), { limit: LONGEST, signal: gone.signal })
      .then(
        (plans) => !gone.signal.aborted && setMade(plans),
        (error: unknown) => {
          // Without a plan the last one stays, as it does while one is made.
          if (!gone.signal.aborted) console.error(error);
        },
      );
    return () => gone.abort();
  }, [hands, product]);
  return product ? made : null;
}
