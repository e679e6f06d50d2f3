/** The inks at hand: the sets in the cupboard, those of the page, and the last ones chosen. */
import { useEffect, useMemo, useState } from 'react';
import { HEX_COLOUR } from '@/core/color/hex';
import { arrangedInks, arrangement } from '@/core/inks/sets';
import { inksOn, type UsedInk } from '@/core/inks/used';
import { toolsFor } from '@/core/page/outlines';
import type { NamedInk, Supply } from '@/core/supplies/model';
import { houseStocked } from '@/features/shared/stock';
import { useRoom, useSession } from '@/features/table/room/context';
import { changeSupply, inkSets, toggleFavouriteInk } from '@/storage/supplies';
import { useNotify } from '@/ui/notices';
import { remember, remembered } from '@/ui/remembered';

/** What every way to choose an ink is given: the ink now, and whom to tell of another. */
export interface InkChoice {
  colour: string;
  onChoose: (colour: string) => void;
}

/** Sets change while pickers are open: each that shows them hears of it. */
const listeners = new Set<() => void>();

/** Tells all that show the sets. */
export const setsChanged = (): void => listeners.forEach((listener) => listener());

/** Puts an ink among the favourites, or takes it out again. */
export async function toggleFavourite(ink: NamedInk): Promise<void> {
  await toggleFavouriteInk(ink, Date.now());
  setsChanged();
}

/** Puts the inks of a set in an order of one's own, or back in the set's for none. */
export async function arrangeSet(set: Supply, order: readonly number[]): Promise<void> {
  const arranged = arrangement(order);
  // An ink may have come into it or gone since it was read.
  await changeSupply(set.id, ({ arranged: _, ...now }) => ({ ...now, ...(arranged ? { arranged } : {}) }));
  setsChanged();
}

/** The sets of the cupboard, favourites first, then shipped ones; empty until they are read. */
export function useInkSets(): readonly Supply[] {
  const notify = useNotify();
  const [sets, setSets] = useState<readonly Supply[]>([]);
  useEffect(() => {
    let gone = false;
    const read = () =>
      void houseStocked()
        .then(inkSets)
        .then(
          (found) => !gone && setSets(found),
          () => notify({ text: 'The ink sets could not be read.', tone: 'error' }),
        );
    read();
    listeners.add(read);
    return () => {
      gone = true;
      listeners.delete(read);
    };
  }, [notify]);
  return sets;
}

/** All inks there are, retired ones too: a colour keeps its name. */
export const inksIn = (sets: readonly Supply[]): NamedInk[] =>
  // Favourites are inks of other sets.
  [...sets].reverse().flatMap(({ inks = [] }) => inks);

/** The inks on offer. */
export const offered = (set: Supply): NamedInk[] => arrangedInks(set).filter(({ retired }) => !retired);

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
    const kept: unknown = JSON.parse(remembered(RECENT) ?? '[]');
    return Array.isArray(kept) ? kept.filter((one) => typeof one === 'string' && HEX_COLOUR.test(one)) : [];
  } catch {
    return [];
  }
}

export function noteRecent(colour: string): void {
  const others = recentInks().filter((one) => one !== colour);
  remember(RECENT, JSON.stringify([colour, ...others].slice(0, MOST_RECENT)));
}
