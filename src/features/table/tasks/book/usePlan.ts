/** A plan of the book, made anew in the worker whenever what is wished changes. */
import { useEffect, useMemo, useState } from 'react';
import type { BookDesign } from '@/core/book/design';
import { roomFor } from '@/core/book/flow';
import type { FlowWish, Plan } from '@/core/book/plan';
import type { Asset } from '@/core/picture/asset';
import type { Project } from '@/core/project/model';
import { useHands } from '@/features/table/parts/useHands';
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
/** Milliseconds a plan of the most photos may take. */
const LONGEST = 300_000;

const begin = (): Worker =>
  new Worker(new URL('../../../../workers/book.worker.ts', import.meta.url), { type: 'module' });

export function usePlan(
  design: BookDesign | null,
  project: Project,
  photos: readonly Asset[],
  wish: FlowWish,
): PlanNow {
  const hands = useHands<Planner>(begin);
  const asked = useMemo(
    () => (design && photos.length ? { design, photos, wish } : null),
    [design, photos, wish],
  );
  const [made, setMade] = useState<{ asked: typeof asked; plan: Plan | null; trouble: string | null }>();
  useEffect(() => {
    if (!asked) return;
    const over = new AbortController();
    const late = setTimeout(() => {
      hands
        .do((planner) => planner.plan(asked.photos, roomFor(asked.design, project), asked.wish), {
          limit: LONGEST,
          signal: over.signal,
        })
        .then((plan) => !over.signal.aborted && setMade({ asked, plan, trouble: null }))
        .catch(
          () =>
            !over.signal.aborted &&
            setMade({ asked, plan: null, trouble: 'The pages could not be planned. Nothing was changed.' }),
        );
    }, AFTER);
    return () => {
      over.abort();
      clearTimeout(late);
    };
    // oxlint-disable-next-line react/exhaustive-deps -- a plan is of the photos and the wish; pages kept are read as it is made
  }, [asked]);
  const current = made?.asked === asked;
  return {
    plan: asked ? (made?.plan ?? null) : null,
    design: made?.asked?.design ?? null,
    busy: asked !== null && !current,
    trouble: current ? (made?.trouble ?? null) : null,
  };
}
