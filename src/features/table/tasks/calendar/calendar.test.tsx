/** A calendar's sheets and a month's panel: days put in line by line, dated anew in one field, set otherwise. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { calendarIn } from '@/core/product/calendar';
import { About } from '@/features/table/about/About';
import * as act from '@/features/table/acts';
import { Sheets } from '@/features/table/tasks/Sheets';
import { calendar, monthsIn, wordsIn } from '../../../../../scripts/testing/calendars';
import { seated, seatedAt } from '../../../../../scripts/testing/room';

const months = ({ project }: { project(): Parameters<typeof monthsIn>[0] }) => monthsIn(project());

test('names and dates, each on a line: what cannot be read stays, with why; a day is taken out again', async () => {
  const room = await seatedAt(<Sheets />, calendar());
  room.does(() => room.store.getState().openSheet('days'));
  const lines = await screen.findByRole<HTMLTextAreaElement>('textbox', {
    name: 'A name and a date, each on a line',
  });
  fireEvent.change(lines, {
    target: { value: 'Ada 3 Aug 2018\nOlu 29 Feb 1988\nBo 31 June\nFly-in, last Saturday of May' },
  });
  await room.press('Put in');
  expect(room.undo()).toBe('put in 3 days');
  screen.getByText('“Bo 31 June”: June has 30 days.');
  expect(lines.value).toBe('Bo 31 June');
  const days = within(screen.getByRole('list', { name: 'Days to remember' })).getAllByRole('listitem');
  expect(days.map(({ textContent }) => textContent)).toEqual([
    'OluBirthday, 29 February, since 1988',
    expect.stringMatching(/^Fly-in.*last Saturday of May/),
    'AdaBirthday, 3 August, since 2018',
  ]);
  await room.press('Take out Olu');
  expect(room.undo()).toBe('take out Olu');
  expect(room.project().events!.map(({ name }) => name)).not.toContain('Olu');
});

test('the year after, in one field: every month and title goes along, and comes back in one step', async () => {
  const room = await seatedAt(<Sheets />, calendar());
  room.does(() => room.store.getState().openSheet('calendar'));
  await screen.findByRole('dialog', { name: 'The calendar' });
  const { year } = calendarIn(room.project().product)!;
  const before = wordsIn(room.project());
  await room.fill('Year', String(year + 1));
  expect(room.undo()).toBe(`date the calendar ${year + 1}`);
  expect(new Set(months(room).map((month) => month.year))).toContain(year + 1);
  await room.fill('Year', 'next');
  await screen.findByText(/^A whole number from 1 to \d+/);
  room.does(() => room.store.getState().undo());
  expect(wordsIn(room.project())).toEqual(before);
});

test('a month on any page is set in another way, of another month and year, alone or with all others', async () => {
  const room = await seated(<About />, []);
  room.does(() => act.layMonth(room.store));
  expect(room.undo()).toBe('lay month');
  const month = () => months(room)[0]!;
  await room.press(/^Material /);
  await room.choose('Days are set in', /^Dial/);
  expect(month().layout).toBe('dial');
  await room.choose('Month', 'May');
  await room.fill('Year', '2027');
  expect(month()).toMatchObject({ month: 5, year: 2027 });
  await room.choose('Above it', 'Name and year');
  expect(month().title).toBe('both');
  expect(screen.getByRole<HTMLButtonElement>('button', { name: /other months? alike/ }).disabled).toBe(true);
  await room.press('The month after, small');
  expect(months(room).map(({ month }) => month)).toEqual([5, 6]);
});
