/** The design photos flow into: the plain one, or one out of the cupboard, read when it is chosen. */
import { useEffect, useMemo, useState } from 'react';
import { designFor, type BookDesign } from '@/core/book/design';
import { plainDesign } from '@/core/book/plain';
import type { Project } from '@/core/project/model';
import type { Supply } from '@/core/supplies/model';
import { typesetterFor } from '@/features/shared/fonts';
import { fileOfSupply } from '@/features/shared/supplyFiles';
import { useRoom } from '@/features/table/room/context';

export const PLAIN = 'plain';

/** A design read once is at hand as long as the table is open. */
const read = new Map<string, Project>();

export interface DesignNow {
  design: BookDesign | null;
  /** What went wrong, in words. */
  trouble: string | null;
}

/** `supply` is the chosen one; null for the plain design, undefined while it is not known. */
export function useDesign(supply: Supply | null | undefined, project: Project): DesignNow {
  const { store } = useRoom();
  const id = supply === null ? PLAIN : supply?.id;
  const [arrived, setArrived] = useState<{ id: string; made: Project | null; trouble: string | null } | null>(
    null,
  );
  useEffect(() => {
    if (supply === undefined || !id) return;
    let gone = false;
    void (async () => {
      const made = await openDesign(supply).catch((error: Error) => error.message);
      if (gone) return;
      if (typeof made === 'string') return setArrived({ id, made: null, trouble: made });
      // Its letters are set in its own fonts from the first.
      store.getState().equip(await typesetterFor(made, store.getState().typesetter));
      if (!gone) setArrived({ id, made, trouble: null });
    })();
    return () => {
      gone = true;
    };
  }, [supply, id, store]);
  const made = arrived?.id === id ? arrived?.made : null;
  // What pages look like depends on the book alone, not on what lies on them.
  const { product } = project;
  const [first] = project.surfaces;
  const design = useMemo(
    () => (made ? designFor(made, project) : null),
    // oxlint-disable-next-line react/exhaustive-deps -- designFor reads the product and the cover's bleed of it, and nothing that lies on pages
    [made, product, first?.bleed],
  );
  return { design, trouble: arrived?.id === id ? (arrived?.trouble ?? null) : null };
}

/** The project behind a design. Throws with what to tell if it cannot be read. */
export async function openDesign(supply: Supply | null): Promise<Project> {
  const id = supply?.id ?? PLAIN;
  const known = read.get(id);
  if (known) return known;
  const made = supply ? await fetchDesign(supply) : plainDesign();
  read.set(id, made);
  return made;
}

async function fetchDesign(supply: Supply): Promise<Project> {
  const blob = await fileOfSupply(supply);
  const { openParts } = await import('@/features/shared/files');
  const opened = blob.ok ? await openParts(blob.value, supply.name) : blob;
  if (!opened.ok) throw new Error(opened.message);
  return opened.value;
}
