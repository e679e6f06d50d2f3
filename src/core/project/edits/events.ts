/** Edits of the days a project knows: put in, changed, taken out; and of what is held to them. */
import type { Holidays } from '@/core/calendar/holidays';
import type { DayEvent } from '@/core/calendar/events';
import { heldSays, type Held } from '@/core/piece/held';
import type { Edit } from '@/core/project/edits/edit';

/** Puts days in, each in the place of the one with its id or at the end. */
export const setEvents = (events: readonly DayEvent[], label?: string): Edit => ({
  label:
    label ?? (events.length === 1 ? `change ${events[0]!.name || 'a day'}` : `put in ${events.length} days`),
  ...(events.length === 1 ? { merge: `event ${events[0]!.id}` } : {}),
  apply(project) {
    const known = (project.events ??= []);
    const at = new Map(known.map(({ id }, i) => [id, i]));
    for (const event of events) {
      const i = at.get(event.id);
      if (i === undefined) known.push({ ...event });
      else known[i] = { ...event };
    }
  },
});

export const removeEvents = (ids: readonly string[], label: string): Edit => ({
  label,
  apply(project) {
    const gone = new Set(ids);
    const left = (project.events ?? []).filter(({ id }) => !gone.has(id));
    if (left.length) project.events = left;
    else delete project.events;
  },
});

/** Keeps holidays; null keeps none. */
export const setHolidays = (holidays: Holidays | null, label: string): Edit => ({
  label,
  apply(project) {
    if (holidays) project.holidays = structuredClone(holidays);
    else delete project.holidays;
  },
});

/** Holds pieces to days, or lets them go. What fills a box lies in all of it. */
export const holdPieces = (surfaceId: string, pieces: readonly { id: string; held: Held | null }[]): Edit => {
  const [first] = pieces;
  return {
    label: first?.held ? `hold to ${heldSays(first.held)}` : 'let go of the day',
    apply(project) {
      const page = project.surfaces.find(({ id }) => id === surfaceId);
      for (const { id, held } of pieces) {
        const piece = page?.pile.find((each) => each.id === id);
        if (!piece) continue;
        if (!held) {
          delete piece.held;
          continue;
        }
        piece.held = { ...held, box: { ...held.box } };
        if (!held.fills) continue;
        const { x, y, width, height } = held.box;
        Object.assign(piece.placement, { x: x + width / 2, y: y + height / 2, width, height, turn: 0 });
      }
    },
  };
};
