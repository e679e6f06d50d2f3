/** Days to remember from files and as one, read beside the page: nothing twice, nothing more than there is room for. */
import { expect, jest, test } from '@jest/globals';
import { MOST_EVENTS, type DayEvent } from '@/core/calendar/events';
import { startHistory, undoLabel } from '@/core/project/history';
import * as days from '@/features/table/acts/days';
import { createSession, type SessionStore } from '@/features/table/session';
import { ada, calendar, typesetter } from '../../../../scripts/testing/calendars';

const table = (events: readonly DayEvent[] = []): SessionStore =>
  createSession(startHistory({ ...calendar(), events: [...events] }), typesetter, false);
const eventsOf = (store: SessionStore) => store.getState().history.project.events ?? [];
const file = (name: string, ...lines: string[]) =>
  new File(
    [['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//club//EN', ...lines, 'END:VCALENDAR'].join('\r\n')],
    name,
  );
const birthday = (uid: string, name: string, day: string) => [
  ...['BEGIN:VEVENT', `UID:${uid}`, `DTSTART;VALUE=DATE:${day}`, `SUMMARY:${name}`],
  ...['CATEGORIES:Birthday', 'RRULE:FREQ=YEARLY', 'END:VEVENT'],
];

test('days of a file are put in, in one step; those that were known, or that it holds twice, are not put in again', async () => {
  const store = table();
  const club = file(
    'club.ics',
    ...birthday('1', 'Orla', '20190405'),
    ...birthday('2', 'Pip', '20150620'),
    ...birthday('3', 'Orla', '20190405'),
  );
  expect(await days.daysOfFile(store, club)).toEqual([
    '2 days put in from club.ics.',
    '1 was known already.',
  ]);
  expect(eventsOf(store)).toMatchObject([
    { kind: 'birthday', name: 'Orla', month: 4, day: 5, year: 2019 },
    { kind: 'birthday', name: 'Pip', month: 6, day: 20, year: 2015 },
  ]);
  expect(new Set(eventsOf(store).map(({ id }) => id)).size).toBe(2);
  expect(undoLabel(store.getState().history)).toBe('put in 2 days');
  const { history } = store.getState();
  expect(await days.daysOfFile(store, club)).toEqual([
    '0 days put in from club.ics.',
    '3 were known already.',
  ]);
  expect(store.getState().history).toBe(history);
});

test('as many as there is room for; the rest is counted', async () => {
  const full = Array.from({ length: MOST_EVENTS - 1 }, (_, i): DayEvent => ({
    ...ada,
    id: `d${i}`,
    name: `Day ${i}`,
  }));
  const store = table(full);
  const two = file('two.ics', ...birthday('1', 'Orla', '20190405'), ...birthday('2', 'Pip', '20150620'));
  expect(await days.daysOfFile(store, two)).toEqual([
    '1 day put in from two.ics.',
    `1 found no room: a project holds ${MOST_EVENTS.toLocaleString('en')}.`,
  ]);
  expect(eventsOf(store).at(-1)).toMatchObject({ name: 'Orla' });
  expect(eventsOf(store)).toHaveLength(MOST_EVENTS);
});

test('what is no file of days says so, and nothing is put in', async () => {
  const store = table([ada]);
  const { history } = store.getState();
  const [said, ...more] = await days.daysOfFile(store, new File(['A letter'], 'letter.ics'));
  expect(said).toMatch(/^letter\.ics: /);
  expect(more).toEqual([]);
  expect(store.getState().history).toBe(history);
});

test('saved for other programs, all days come back as they were, with the name of the project', async () => {
  const all: DayEvent[] = [
    ada,
    { id: 'moon', kind: 'once', name: 'Moon kite', month: 9, day: 26, year: 2026 },
    { id: 'wed', kind: 'anniversary', name: 'Ines and Olu', month: 5, day: 30 },
    { id: 'fly', kind: 'yearly', name: 'Fly-in', month: 7, nth: 2, weekday: 6 },
  ];
  const saved: { blob: Blob; name: string }[] = [];
  jest
    .spyOn(URL, 'createObjectURL')
    .mockImplementation((blob) => (saved.push({ blob: blob as Blob, name: '' }), 'blob:1'));
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.at(-1)!.name = this.download;
  });
  await days.saveDays(table(all));
  expect(saved).toHaveLength(1);
  expect([saved[0]!.name, saved[0]!.blob.type]).toEqual(['Kites 2027.ics', 'text/calendar']);
  const fresh = table();
  await days.daysOfFile(fresh, new File([saved[0]!.blob], 'Kites.ics'));
  const bare = (events: readonly DayEvent[]) => events.map(({ id: _, ...event }) => event);
  expect(bare(eventsOf(fresh))).toEqual(bare(all));
});

test('a day that is taken out is named in the step, several are counted', () => {
  const store = table([ada, { ...ada, id: 'b', name: 'Ben' }, { ...ada, id: 'c', name: 'Cleo' }]);
  days.forgetDays(store, eventsOf(store).slice(0, 1));
  expect(undoLabel(store.getState().history)).toBe('take out Ada');
  days.forgetDays(store, eventsOf(store));
  expect(undoLabel(store.getState().history)).toBe('take out 2 days');
  expect(eventsOf(store)).toEqual([]);
});
