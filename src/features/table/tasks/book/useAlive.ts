/** A book with its design at hand, so that single spreads of it can be laid anew. */
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Alive } from '@/core/book/alive';
import { designFor } from '@/core/book/design';
import { bookIn } from '@/core/product/book';
import type { Project } from '@/core/project/model';
import type { Supply } from '@/core/supplies/model';
import { typesetterFor } from '@/features/shared/fonts';
import { newId } from '@/features/shared/ids';
import { useRoom, useSession } from '@/features/table/room/context';
import { openDesign, PLAIN, useDesign } from '@/features/table/tasks/book/useDesign';
import { houseStocked } from '@/features/shared/stock';
import { supplyById } from '@/storage/supplies';

/** Null until its design is read; what is no longer in the cupboard gives way to the plain design, and is told. */
export function useAlive(project: Project): { alive: Alive | null; trouble: string | null } {
  const id = bookIn(project.product)?.design;
  const [found, setFound] = useState<{ id: string; supply: Supply | null } | null>(null);
  useEffect(() => {
    if (!id || id === PLAIN) return;
    let gone = false;
    // What ships with the app may not be listed yet.
    void houseStocked()
      .catch(() => {})
      .then(() => supplyById(id))
      .then((supply) => !gone && setFound({ id, supply: supply ?? null }));
    return () => {
      gone = true;
    };
  }, [id]);
  const plain = !id || id === PLAIN;
  const supply = plain ? null : found?.id === id ? found.supply : undefined;
  const { design, trouble } = useDesign(supply, project);
  const typesetter = useSession((session) => session.typesetter);
  const alive = useMemo(
    () => (design ? { project, design, typesetter, newId } : null),
    [project, design, typesetter],
  );
  const lost = !plain && found?.id === id && !found.supply;
  return {
    alive,
    trouble: trouble ?? (lost ? 'Its design is no longer in the cupboard: spreads are laid plainly.' : null),
  };
}

/** Hands the book over with another design once that is read; tells if it cannot be. */
export function useRedesign(): (supply: Supply | null, then: (alive: Alive) => void) => Promise<void> {
  const { store } = useRoom();
  return useCallback(
    async (supply, then) => {
      const made = await openDesign(supply).catch((error: Error) => error.message);
      if (typeof made === 'string') return store.getState().refuse(made);
      store.getState().equip(await typesetterFor(made, store.getState().typesetter));
      const { history, typesetter, readOnly } = store.getState();
      if (readOnly) return;
      const { project } = history;
      then({ project, design: designFor(made, project), typesetter, newId });
    },
    [store],
  );
}
