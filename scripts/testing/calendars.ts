/** Calendars for tests, and what is done to them with all that follows. */
import type { DayEvent } from '@/core/calendar/events';
import { withFollows } from '@/core/calendar/follows';
import type { Month } from '@/core/dates/days';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import { beginProduct } from '@/core/product';
import { calendarIn, type CalendarProduct } from '@/core/product/calendar';
import { withSettings } from '@/core/product/calendar/settings';
import { CALENDAR_FORMS } from '@/core/product/calendar/start';
import { changeProduct } from '@/core/project/edits/product';
import { perform, type History } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { nodeTypesetter } from '../node/platform';

export const typesetter = await nodeTypesetter();
export const FORMS = Object.keys(CALENDAR_FORMS) as (keyof typeof CALENDAR_FORMS)[];
export const TODAY: Month = { year: 2026, month: 11 };
export const calendar = (way = 'picture', size = { width: 504, height: 360 }): Project =>
  begun(newProject({ id: 'c', title: 'Kites', unit: 'in' }, beginProduct('calendar', size, way, TODAY)));
export const ada: DayEvent = { id: 'ada', kind: 'birthday', name: 'Ada', month: 8, day: 3, year: 2018 };

/** An edit with all that follows from it, as one step. */
export function done(history: History, to: Partial<CalendarProduct>, now: number): History {
  const product = withSettings(calendarIn(history.project.product)!, to);
  return followed(perform(history, changeProduct(product, 'date'), now));
}
export const followed = (next: History): History => withFollows(next, typesetter);

export const monthsIn = ({ surfaces }: Project): MonthMaterial[] =>
  surfaces.flatMap(({ pile }) =>
    pile.flatMap(({ material }) => (material.kind === 'month' ? [material] : [])),
  );
export const wordsIn = ({ surfaces }: Project): string[] =>
  surfaces.flatMap(({ pile }) =>
    pile.flatMap(({ outline }) => (outline.kind === 'glyphs' ? [outline.text] : [])),
  );
