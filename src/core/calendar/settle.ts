/** Months that follow their page: the edit that makes them show what is so now. */
import { notesOf, type LeapDay } from '@/core/calendar/events';
import { holidayNotes } from '@/core/calendar/holidays';
import { monthAfter, type Weekday } from '@/core/dates/days';
import type { DayNote, MonthMaterial } from '@/core/piece/material/month/model';
import { daysOf } from '@/core/piece/material/month/weeks';
import { calendarIn } from '@/core/product/calendar';
import { monthOn, type Product } from '@/core/product';
import type { Edit } from '@/core/project/edits/edit';
import type { Project, Surface } from '@/core/project/model';

const known = new WeakMap<Surface, readonly string[]>();

/** The pieces of a surface that are months, by id. */
function monthsOn(surface: Surface): readonly string[] {
  let found = known.get(surface);
  if (!found) {
    found = surface.pile.filter(({ material }) => material.kind === 'month').map(({ id }) => id);
    known.set(surface, found);
  }
  return found;
}

/** What a calendar says of all its months; nothing of what is none. */
const settingsOf = (product: Product): { weekStart?: Weekday; leapDay: LeapDay } =>
  calendarIn(product) ?? { leapDay: 'february' };

const joined = new WeakMap<readonly DayNote[], WeakMap<readonly DayNote[], DayNote[]>>();

/** What the days of a month are: holidays first, then what people remember. The same list as long as neither changes. */
function notesFor({ events, holidays }: Project, month: MonthMaterial, leapDay: LeapDay): DayNote[] {
  const own = notesOf(events, month, leapDay, month.perpetual);
  const free = month.perpetual ? [] : holidayNotes(holidays, month);
  if (!free.length) return own;
  const known = joined.get(free) ?? new WeakMap<readonly DayNote[], DayNote[]>();
  joined.set(free, known);
  let all = known.get(own);
  if (!all) known.set(own, (all = [...free, ...own].sort((a, b) => a.day - b.day)));
  return all;
}

/** What the days of a month are, or those of a week, which may lie in two. */
function notesOfAll(project: Project, month: MonthMaterial, leapDay: LeapDay): DayNote[] {
  if (month.week === undefined) return notesFor(project, month, leapDay);
  const days = daysOf(month).map(({ cell }) => cell);
  const months = [...new Map(days.map((day) => [day.month, day])).values()];
  return months.flatMap((of) =>
    notesFor(project, { ...month, year: of.year, month: of.month }, leapDay).filter(({ day }) =>
      days.some((each) => each.month === of.month && each.day === day),
    ),
  );
}

/** The month as it shows what is so: its days, and when it follows, the month it is of. Itself where it does. */
export function settled(material: MonthMaterial, project: Project, surface: Surface): MonthMaterial {
  const { weekStart, leapDay } = settingsOf(project.product);
  const of = monthOn(project, surface);
  const next: Partial<MonthMaterial> = {};
  if (of && material.follows !== undefined) {
    const { language, week, ...page } = of;
    Object.assign(next, monthAfter(page, material.follows), { language }, weekStart ? { weekStart } : {});
    if (week !== undefined && material.week !== undefined) next.week = week;
  }
  next.notes = notesOfAll(project, { ...material, ...next }, leapDay);
  const same = (Object.keys(next) as (keyof MonthMaterial)[]).every(
    (key) => next[key] === material[key] || JSON.stringify(next[key]) === JSON.stringify(material[key]),
  );
  return same ? material : { ...material, ...next };
}

/** Makes all months show what is so now; null if they do. */
export function settle(project: Project): Edit | null {
  const changes = project.surfaces.flatMap((surface) =>
    monthsOn(surface).flatMap((id) => {
      const { material } = surface.pile.find((piece) => piece.id === id)!;
      const to = settled(material as MonthMaterial, project, surface);
      return to === material ? [] : [{ surface: surface.id, id, to }];
    }),
  );
  if (!changes.length) return null;
  return {
    label: 'date months anew',
    apply(draft) {
      for (const { surface, id, to } of changes) {
        const page = draft.surfaces.find((each) => each.id === surface)!;
        page.pile.find((piece) => piece.id === id)!.material = to;
      }
    },
  };
}
