/** Edits of the days a project knows: put in, changed, taken out. */
import type { DayEvent } from '@/core/calendar/events';
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
