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

test('the holidays of a country come with its parts; each is called otherwise, taken out, put back', async () => {
  const room = await seatedAt(<Sheets />, calendar());
  room.does(() => room.store.getState().openSheet('days'));
  await screen.findByRole('combobox', { name: 'Holidays of' });
  await room.choose('Holidays of', 'Germany');
  const list = () => within(screen.getByRole('list', { name: 'Holidays' })).getAllByRole('listitem');
  await screen.findByRole('list', { name: 'Holidays' });
  const everywhere = list().length;
  await room.choose('A part of it', 'Bayern');
  await room.when(() => list().length > everywhere);
  expect(room.project().holidays).toMatchObject({ country: 'DE', state: 'BY' });
  const field = (name: RegExp) => screen.getByRole<HTMLInputElement>('textbox', { name });
  // Twelfth Night is one of Bavaria alone.
  const epiphany = field(/^6 January/);
  const first = epiphany.value;
  fireEvent.focus(epiphany);
  fireEvent.change(epiphany, { target: { value: 'Stars at the door' } });
  fireEvent.keyDown(epiphany, { key: 'Enter' });
  expect(room.undo()).toBe(`rename ${first}`);
  expect(JSON.stringify(months(room))).toContain('Stars at the door');
  // What is given up stays as it was; the sheet goes with it.
  fireEvent.change(epiphany, { target: { value: 'Nobody' } });
  fireEvent.keyDown(epiphany, { key: 'Escape' });
  expect(Object.values(room.project().holidays!.names)).toEqual(['Stars at the door']);
  room.does(() => room.store.getState().openSheet('days'));
  await room.when(() => field(/^6 January/).value === 'Stars at the door');
  fireEvent.click(within(list()[0]!).getByRole('button', { name: /^Take out/ }));
  expect(room.project().holidays!.out).toHaveLength(1);
  expect(within(list()[0]!).getByRole<HTMLInputElement>('textbox').disabled).toBe(true);
  await room.press('Put all back');
  expect(room.project().holidays!.out).toEqual([]);
  fireEvent.change(field(/^6 January/), { target: { value: '' } });
  fireEvent.blur(field(/^6 January/));
  expect(room.project().holidays!.names).toEqual({});
  await room.choose('Holidays of', 'No country');
  await room.when(() => !room.project().holidays);
});

test('weekdays on an ink, marked days, the moon by a clock, and names of one’s own; the others stay as they are', async () => {
  const room = await seated(<About />, []);
  room.does(() => act.layMonth(room.store));
  const month = () => months(room)[0]!;
  await room.press(/^Material /);
  await room.choose('Add a weekday', 'Sunday');
  await room.choose('Add a weekday', 'Saturday');
  expect(month().shaded.map(({ weekday }) => weekday)).toEqual([7, 6]);
  await room.press('Sunday as the others');
  expect(month().shaded.map(({ weekday }) => weekday)).toEqual([6]);
  await room.choose('Mark a day', '24');
  await room.choose('Mark a day', '3');
  expect(month().marked.map(({ day }) => day)).toEqual([3, 24]);
  await room.press('Day 24 as the others');
  expect(month().marked.map(({ day }) => day)).toEqual([3]);
  fireEvent.click(screen.getByRole('switch', { name: 'Phases of the moon' }));
  await room.fill('Clock, hours from UTC', '5.75');
  expect(month().moon).toBe(5.75);
  await room.fill('Clock, hours from UTC', '30');
  await screen.findByText('A number from -12 to 14.');
  expect(month().moon).toBe(5.75);
  fireEvent.click(screen.getByRole('switch', { name: 'Phases of the moon' }));
  expect(month()).not.toHaveProperty('moon');
  fireEvent.click(screen.getByRole('switch', { name: "Names of one's own" }));
  const names = await screen.findByRole<HTMLTextAreaElement>('textbox', { name: 'Weekdays, a line each' });
  const write = (text: string) => {
    fireEvent.change(names, { target: { value: text } });
    fireEvent.blur(names);
  };
  write('Wash\nIron\nMend');
  screen.getByText('3 of 7');
  expect(month().wording!.weekdays).toHaveLength(7);
  expect(month().wording!.weekdays).not.toContain('Wash');
  write(' Wash \nIron\nMend\nMarket\nBake\nRow\nRest');
  expect(month().wording!.weekdays).toEqual(['Wash', 'Iron', 'Mend', 'Market', 'Bake', 'Row', 'Rest']);
  expect(screen.queryByText('3 of 7')).toBeNull();
  // What was begun on one month is not written into another.
  write('Wash');
  room.does(() => act.layMonth(room.store));
  const other = months(room).length - 1;
  fireEvent.click(await screen.findByRole('switch', { name: "Names of one's own" }));
  expect(
    (await screen.findByRole<HTMLTextAreaElement>('textbox', { name: 'Weekdays, a line each' })).value,
  ).toBe(months(room)[other]!.wording!.weekdays!.join('\n'));
});
