/** A plan of the book, made anew in the worker whenever what is wished changes. */
import { wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { BookDesign } from '@/core/book/design';
import { roomFor } from '@/core/book/flow';
import type { FlowWish, Plan } from '@/core/book/plan';
import type { Asset } from '@/core/picture/asset';
import type { Project } from '@/core/project/model';
import type { Planner } from '@/workers/book.worker';

export interface PlanNow {
  /** The last one; it stays while another is made. */
  plan: Plan | null;
  design: BookDesign | null;
  busy: boolean;
  trouble: string | null;
}

/** Changes that follow each other within this are planned as one, milliseconds. */
const AFTER = 60;

export function usePlan(
  design: BookDesign | null,
  project: Project,
  photos: readonly Asset[],
  wish: FlowWish,
): PlanNow {
  const bench = useRef<{ worker: Worker; planner: Remote<Planner> } | null>(null);
  const asked = useMemo(
    () => (design && photos.length ? { design, photos, wish } : null),
    [design, photos, wish],
  );
  const [made, setMade] = useState<{ asked: typeof asked; plan: Plan | null; trouble: string | null }>();
  useEffect(
    () => () => {
      bench.current?.worker.terminate();
      bench.current = null;
    },
    [],
  );
  useEffect(() => {
    if (!asked) return;
    let gone = false;
    const late = setTimeout(() => {
      if (!bench.current) {
        const worker = new Worker(new URL('../../../../workers/book.worker.ts', import.meta.url), {
          type: 'module',
        });
        bench.current = { worker, planner: wrap<Planner>(worker) };
      }
      const { worker, planner } = bench.current;
      const died = new Promise<never>((_, reject) => {
        worker.onerror = () => reject(new Error('died'));
      });
      Promise.race([planner.plan(asked.photos, roomFor(asked.design, project), asked.wish), died])
        .then((plan) => !gone && setMade({ asked, plan, trouble: null }))
        .catch(() => {
          bench.current?.worker.terminate();
          bench.current = null;
          if (!gone)
            setMade({ asked, plan: null, trouble: 'The pages could not be planned. Nothing was changed.' });
        });
    }, AFTER);
    return () => {
      gone = true;
      clearTimeout(late);
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a plan is of the photos and the wish; pages kept are read as it is made
  }, [asked]);
  const current = made?.asked === asked;
  return {
    plan: asked ? (made?.plan ?? null) : null,
    design: made?.asked?.design ?? null,
    busy: asked !== null && !current,
    trouble: current ? (made?.trouble ?? null) : null,
  };
}
