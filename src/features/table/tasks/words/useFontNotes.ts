/** Which families a person likes and which were used last; kept in the browser. */
import { useCallback, useState } from 'react';
import { remember, remembered } from '@/ui/remembered';

const KEY = 'bellagraph families';
const MOST_RECENT = 4;

interface Notes {
  favourites: string[];
  recent: string[];
}

function read(): Notes {
  try {
    const kept = JSON.parse(remembered(KEY) ?? '{}') as Partial<Notes>;
    const list = (value: unknown) =>
      Array.isArray(value) ? value.filter((id): id is string => typeof id === 'string') : [];
    return { favourites: list(kept.favourites), recent: list(kept.recent).slice(0, MOST_RECENT) };
  } catch {
    return { favourites: [], recent: [] };
  }
}

export function useFontNotes() {
  const [notes, setNotes] = useState(read);
  const keep = useCallback(
    (change: (before: Notes) => Partial<Notes>) =>
      setNotes((before) => {
        const next = { ...before, ...change(before) };
        remember(KEY, JSON.stringify(next));
        return next;
      }),
    [],
  );
  const toggle = useCallback(
    (id: string) =>
      keep(({ favourites }) => ({
        favourites: favourites.includes(id) ? favourites.filter((one) => one !== id) : [...favourites, id],
      })),
    [keep],
  );
  const note = useCallback(
    (id: string) =>
      keep(({ recent }) => ({ recent: [id, ...recent.filter((one) => one !== id)].slice(0, MOST_RECENT) })),
    [keep],
  );
  return { ...notes, toggle, note };
}
