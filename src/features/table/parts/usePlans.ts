/** What lies on which sheet of paper, packed anew in the worker whenever what is wished changes. */
import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Plans } from '@/core/packing/sheets';
import type { SheetProduct } from '@/core/product/sheet';
import type { Packer } from '@/workers/packing.worker';

/** The last ones, which stay while others are made; null before the first, and for what is no sheet. */
export function usePlans(product: SheetProduct | null): Plans | null {
  const bench = useRef<{ worker: Worker; packer: Remote<Packer> } | null>(null);
  const [made, setMade] = useState<Plans | null>(null);
  useEffect(
    () => () => {
      bench.current?.worker.terminate();
      bench.current = null;
    },
    [],
  );
  useEffect(() => {
    if (!product) return;
    let gone = false;
    if (!bench.current) {
      const worker = new Worker(new URL('../../../workers/packing.worker.ts', import.meta.url), {
        type: 'module',
      });
      bench.current = { worker, packer: wrap<Packer>(worker) };
    }
    void bench.current.packer.plansOf(product).then((plans) => {
      if (!gone) setMade(plans);
    });
    return () => {
      gone = true;
    };
  }, [product]);
  return product ? made : null;
}
