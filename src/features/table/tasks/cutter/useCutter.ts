/** The bench beside the page that works out mats, writes files and tries them. */
import { useEffect, useState } from 'react';
import type { Place } from '@/core/cutter/model';
import type { Prepared } from '@/core/cutter/prepare';
import type { CutterSettings } from '@/core/cutter/settings';
import { useHands } from '@/features/table/parts/useHands';
import type { CutterBench } from '@/workers/cutter.worker';

const begin = (): Worker =>
  new Worker(new URL('../../../../workers/cutter.worker.ts', import.meta.url), { type: 'module' });

/** Milliseconds that are waited for more changes. */
const MORE = 120;
/** Milliseconds that mats, and each of their files, may take. */
export const LONGEST = 180_000;

/** What goes to the cutter, worked out anew after every change; the last stays until then. */
export function usePrepared(places: readonly Place[], settings: CutterSettings) {
  const hands = useHands<CutterBench>(begin);
  const [made, setMade] = useState<{ of: readonly Place[]; with: CutterSettings; prepared: Prepared } | null>(
    null,
  );
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    const over = new AbortController();
    const timer = setTimeout(() => {
      hands
        .do((cutter) => cutter.prepare(places, settings), { limit: LONGEST, signal: over.signal })
        .then(
          (prepared) => {
            if (over.signal.aborted) return;
            setProblem(null);
            setMade({ of: places, with: settings, prepared });
          },
          (error: Error) =>
            !over.signal.aborted &&
            setProblem(
              `The mats could not be worked out (${error.message}). Nothing of your page was changed.`,
            ),
        );
    }, MORE);
    return () => {
      // What is under way is of no use any more.
      over.abort();
      clearTimeout(timer);
    };
  }, [places, settings, hands]);
  const current = made?.of === places && made.with === settings;
  return { prepared: made?.prepared ?? null, current, problem, hands };
}
