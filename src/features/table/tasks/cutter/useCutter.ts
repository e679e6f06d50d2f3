/** The bench beside the page that works out mats, writes files and tries them. */
import { wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Place } from '@/core/cutter/model';
import type { Prepared } from '@/core/cutter/prepare';
import type { CutterSettings } from '@/core/cutter/settings';
import type { CutterBench } from '@/workers/cutter.worker';

interface Bench {
  worker: Worker;
  cutter: Remote<CutterBench>;
  failed: Promise<never>;
}

function opened(): Bench {
  const worker = new Worker(new URL('../../../../workers/cutter.worker.ts', import.meta.url), {
    type: 'module',
  });
  const failed = new Promise<never>((_, reject) =>
    worker.addEventListener('error', () => reject(new Error('the worker stopped'))),
  );
  failed.catch(() => {});
  return { worker, cutter: wrap<CutterBench>(worker), failed };
}

/** Milliseconds that are waited for more changes. */
const MORE = 120;

/** What goes to the cutter, worked out anew after every change; the last stays until then. */
export function usePrepared(places: readonly Place[], settings: CutterSettings) {
  const bench = useRef<Bench | null>(null);
  const [made, setMade] = useState<{ of: readonly Place[]; with: CutterSettings; prepared: Prepared } | null>(
    null,
  );
  const [problem, setProblem] = useState<string | null>(null);
  const busy = useRef(false);
  const ready = useCallback(() => (bench.current ??= opened()), []);
  const stop = useCallback(() => {
    bench.current?.worker.terminate();
    bench.current = null;
    busy.current = false;
  }, []);
  useEffect(() => stop, [stop]);
  useEffect(() => {
    let gone = false;
    const timer = setTimeout(() => {
      // What is under way is of no use any more.
      if (busy.current) stop();
      busy.current = true;
      const { cutter, failed } = ready();
      void Promise.race([cutter.prepare(places, settings), failed]).then(
        (prepared) => {
          if (gone) return;
          busy.current = false;
          setProblem(null);
          setMade({ of: places, with: settings, prepared });
        },
        (error: Error) => {
          if (gone) return;
          stop();
          setProblem(
            `The mats could not be worked out (${error.message}). Nothing of your page was changed.`,
          );
        },
      );
    }, MORE);
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [places, settings, ready, stop]);
  const current = made?.of === places && made.with === settings;
  return { prepared: made?.prepared ?? null, current, problem, ready };
}
