/** The inks at hand: the sets in the cupboard, those of the page, and the last ones chosen. */
import { useEffect, useMemo, useState } from 'react';
import { HEX_COLOUR } from '@/core/color/hex';
import { inksOn, type UsedInk } from '@/core/inks/used';
import { toolsFor } from '@/core/page/outlines';
import type { NamedInk, Supply } from '@/core/supplies/model';
import { houseStocked } from '@/features/shared/stock';
import { useRoom, useSession } from '@/features/table/room/context';
import { inkSets } from '@/storage/supplies';
import { useNotify } from '@/ui/notices';

/** Empty until they are read. */
export function useInkSets(): readonly Supply[] {
  const notify = useNotify();
  const [sets, setSets] = useState<readonly Supply[]>([]);
  useEffect(() => {
    let gone = false;
    void houseStocked()
      .then(inkSets)
      .then(
        (found) => !gone && setSets(found),
        () => notify({ text: 'The ink sets could not be read.', tone: 'error' }),
      );
    return () => {
      gone = true;
    };
  }, [notify]);
  return sets;
}

export const inksIn = (sets: readonly Supply[]): NamedInk[] => sets.flatMap(({ inks = [] }) => inks);

/** The inks of the page that is shown, most first. */
export function usePageInks(): readonly UsedInk[] {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project);
  const surfaceId = useSession((session) => session.surfaceId);
  return useMemo(() => {
    const surface = project.surfaces.find(({ id }) => id === surfaceId);
    return surface ? inksOn(surface, toolsFor(project, store.getState().typesetter)) : [];
  }, [project, surfaceId, store]);
}

const RECENT = 'bellagraph recent inks';
const MOST_RECENT = 14;

/** The last inks chosen, the newest first; none if this browser keeps nothing. */
export function recentInks(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(RECENT) ?? '[]');
    return Array.isArray(kept) ? kept.filter((one) => typeof one === 'string' && HEX_COLOUR.test(one)) : [];
  } catch {
    return [];
  }
}

export function noteRecent(colour: string): void {
  try {
    const others = recentInks().filter((one) => one !== colour);
    localStorage.setItem(RECENT, JSON.stringify([colour, ...others].slice(0, MOST_RECENT)));
  } catch {
    // Without a store there are no recent inks; nothing else depends on them.
  }
}
