/** The sheets of a calendar, control by control: what each changes, what it says, what it lets nobody do. */
import { expect, jest, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { MOST_EVENTS } from '@/core/calendar/events';
import { INK_YEARS } from '@/core/calendar/inks';
import { layMonth } from '@/core/piece/material/month/draw';
import { calendarIn, MOST_MONTHS } from '@/core/product/calendar';
import type { Project } from '@/core/project/model';
import { About } from '@/features/table/about/About';
import * as act from '@/features/table/acts';
import { shownSurface, type SheetName } from '@/features/table/session';
import { Sheets } from '@/features/table/tasks/Sheets';
import { ada, calendar, FORMS, monthsIn, wordsIn } from '../../../../../scripts/testing/calendars';
import { seatedAt, sheetAt, type Seated, type SeatedHow } from '../../../../../scripts/testing/room';
import { assetOf, quarters } from '../../../../../scripts/testing/samples';

const opened = (sheet: SheetName, project: Project = calendar(), options?: SeatedHow): Promise<Seated> =>
  sheetAt(<Sheets />, sheet, project, options);
const settings = ({ project }: Seated) => calendarIn(project().product)!;
const names = ({ project }: Seated) => project().surfaces.map(({ name }) => name);
const turn = (name: string) => fireEvent.click(screen.getByRole('switch', { name }));
const shownIn = (name: string) => screen.getByRole('combobox', { name }).textContent;

test('months more and fewer, another first month, weeks from another day: pages and grids go along', async () => {
  const room = await opened('calendar');
  expect(names(room)).toHaveLength(13);
  await room.fill('Months', '3');
  expect(room.undo()).toBe('make it 3 months');
  expect(names(room)).toEqual(['Cover', 'January 2027', 'February 2027', 'March 2027']);
  await room.choose('First month', 'November');
  expect(names(room)).toEqual(['Cover', 'November 2027', 'December 2027', 'January 2028']);
  expect(monthsIn(room.project()).map(({ year, month }) => [year, month])).toEqual([
    ...[
      [2027, 11],
      [2027, 12],
      [2028, 1],
    ],
  ]);
  await room.choose('Weeks begin on', 'Sunday');
  expect([
    shownIn('Weeks begin on'),
    new Set(monthsIn(room.project()).map(({ weekStart }) => weekStart)),
  ]).toEqual([...['Sunday', new Set([7])]]);
  await room.fill('Months', String(MOST_MONTHS + 1));
  screen.getByText(`A whole number from 1 to ${MOST_MONTHS}.`);
  expect(settings(room).months).toBe(3);
  // The page that was looked at is gone: the last of those that are left is shown.
  room.does(() => room.store.getState().turnTo(room.project().surfaces[3]!.id));
  await room.fill('Months', '1');
  expect(shownSurface(room.store.getState()).name).toBe('November 2027');
});

test('called in another language, months and titles are, and weeks begin as there; a cover and notes come and go', async () => {
  const room = await opened('calendar');
  await room.choose('Months are called in', 'Deutsch');
  expect(room.undo()).toBe('change language of the months');
  expect(names(room).slice(1, 4)).toEqual(['Januar 2027', 'Februar 2027', 'März 2027']);
  expect(wordsIn(room.project())).toContain('Dezember 2027');
  expect(settings(room).weekStart).toBe(1);
  await room.choose('Months are called in', 'American English');
  expect([settings(room).weekStart, names(room)[1]]).toEqual([7, 'January 2027']);
  turn('With a cover');
  expect([room.undo(), names(room)[0]]).toEqual(['take away the cover', 'January 2027']);
  turn('With a page for notes');
  expect([room.undo(), names(room).at(-1)]).toEqual(['add a page for notes', 'Notes']);
  turn('With a page for notes');
  turn('With a cover');
  expect([names(room)[0], names(room).at(-1)]).toEqual(['Cover', 'December 2027']);
});

test('bound with something, at an edge: what has no choice of one offers none', async () => {
  const room = await opened('calendar');
  expect(screen.queryByRole('combobox', { name: 'Bound at' })).toBeNull();
  await room.choose('Bound with', /wire/i);
  expect(settings(room).binding).toMatchObject({ at: 'top' });
  expect(room.undo()).toMatch(/^bind with .*wire/);
  await room.choose('Bound at', 'The left');
  expect([room.undo(), settings(room).binding!.at]).toEqual(['bind at the left', 'left']);
  await room.choose('Bound with', /hook/i);
  expect(screen.queryByRole('combobox', { name: 'Bound at' })).toBeNull();
  await room.choose('Bound with', 'Nothing');
  expect([room.undo(), settings(room).binding]).toEqual(['take away the binding', undefined]);
});

test.each(FORMS)('%s: the sheet asks for what this form has, and no more', async (form) => {
  const room = await opened('calendar', calendar(form));
  const offered = ['Year', 'Months', 'Years'].filter((name) => screen.queryByRole('textbox', { name }));
  expect(offered).toEqual(form === 'birthdays' ? [] : ['Year', form === 'year' ? 'Years' : 'Months']);
  const has = (role: 'switch' | 'combobox', name: string) => screen.queryByRole(role, { name }) !== null;
  expect(has('switch', 'With a cover')).toBe(!['tent', 'year'].includes(form));
  expect(has('combobox', 'Bound with')).toBe(!['tent', 'year'].includes(form));
  expect(has('combobox', 'First month')).toBe(form !== 'birthdays');
  if (form === 'year') {
    const before = room.project().surfaces.length;
    await room.fill('Years', '2');
    expect([room.undo(), settings(room).months]).toEqual(['make it 24 months', 24]);
    expect(room.project().surfaces.length).toBe(before + 1);
  }
  if (form === 'week') screen.getByText(/^With it go \d+ grids and \d+ titles\./);
  if (form === 'picture') screen.getByText(/^With it go 12 months and 13 titles\./);
});

test('days of leap years are told of on the day before or after; days to remember are counted with what follows', async () => {
  const leap = { id: 'olu', kind: 'birthday' as const, name: 'Olu', month: 2, day: 29, year: 1988 };
  const room = await opened('calendar', { ...calendar(), events: [leap, ada] });
  screen.getByText(/^With it go 12 months, 13 titles, and 2 days to remember\./);
  room.does(() => act.changeCalendar(room.store, {}, 'settle'));
  const told = (month: number) =>
    monthsIn(room.project())
      .find((each) => each.month === month)!
      .notes.map(({ day, says }) => `${day} ${says}`);
  await room.choose('Born on 29 February, told of on', '1 March in other years');
  expect([told(2), told(3)]).toEqual([[], ['1 Olu, 39']]);
  await room.choose('Born on 29 February, told of on', '28 February in other years');
  expect([told(2), told(3)]).toEqual([['28 Olu, 39'], []]);
});

test('inks are dealt to the months, others in their place; the same button deals none, and what is written stays', async () => {
  const room = await opened('calendar');
  const inks = within(screen.getByRole('group', { name: 'Inks of the months' })).getAllByRole('button');
  expect(inks.map(({ textContent }) => textContent)).toEqual(INK_YEARS.map(({ name }) => name));
  for (const [i, { sets }] of INK_YEARS.entries()) {
    fireEvent.click(screen.getByRole('button', { name: INK_YEARS[i]!.name }));
    expect(screen.getByRole('button', { name: INK_YEARS[i]!.name, pressed: true })).toBeTruthy();
    const worn = monthsIn(room.project()).map((month) => month.inks.free);
    expect(new Set(worn).size).toBeGreaterThan(1);
    expect(settings(room).inks).toEqual(sets);
  }
  expect(inks.filter((button) => button.getAttribute('aria-pressed') === 'true')).toHaveLength(1);
  const worn = monthsIn(room.project());
  fireEvent.click(screen.getByRole('button', { name: INK_YEARS.at(-1)!.name }));
  expect(settings(room).inks).toBeUndefined();
  expect(monthsIn(room.project())).toEqual(worn);
});

test('photos that wait fill the places by their dates; without any it says what to do', async () => {
  const plain = calendar();
  const empty = await opened('calendar', plain);
  screen.getByText('13 places are empty: bring photos in, and they fill them by their dates.');
  expect(
    screen.getByRole<HTMLButtonElement>('button', { name: 'Fill the months with photos' }).disabled,
  ).toBe(true);
  empty.unmount();
  const photos = [3, 8].map((month, i) =>
    assetOf(quarters(60 + i, 40), 600, 400, { taken: `2026-0${month}-12T10:00:00` }),
  );
  const room = await opened('calendar', {
    ...plain,
    assets: Object.fromEntries(photos.map((asset) => [asset.sha, asset])),
    photos: photos.map(({ sha }) => sha),
  });
  screen.getByText('2 wait for 13 places, each goes to the month it was taken in.');
  await room.press('Fill the months with photos');
  const filled = room
    .project()
    .surfaces.filter(({ pile }) => pile.some(({ material }) => material.kind === 'photo'))
    .map(({ name }) => name);
  expect(filled).toEqual(['March 2027', 'August 2027']);
  screen.getByText(/^11 places are empty/);
});

test('lines that cannot be read stay with why, eight of them are told of, the others counted; Ctrl+Enter puts in', async () => {
  const room = await opened('days');
  const lines = screen.getByRole<HTMLTextAreaElement>('textbox', {
    name: 'A name and a date, each on a line',
  });
  const put = screen.getByRole<HTMLButtonElement>('button', { name: 'Put in' });
  expect(put.disabled).toBe(true);
  await room.choose('They are', 'Anniversary');
  const bad = Array.from({ length: 11 }, (_, i) => `Nobody ${i}, 31 June`);
  fireEvent.change(lines, { target: { value: ['Ines and Olu 30 May 1999', ...bad].join('\n') } });
  fireEvent.keyDown(lines, { key: 'Enter' });
  expect(room.project().events).toBeUndefined();
  fireEvent.keyDown(lines, { key: 'Enter', ctrlKey: true });
  expect(room.project().events).toMatchObject([{ kind: 'anniversary', name: 'Ines and Olu', year: 1999 }]);
  expect(lines.value.split('\n')).toEqual(bad);
  expect(screen.getAllByText(/June has 30 days/)).toHaveLength(8);
  screen.getByText('And 3 more lines.');
  screen.getByText('1 day');
});

test('as many days as a project holds: those over stay in the field, with why', async () => {
  const all = Array.from({ length: MOST_EVENTS - 1 }, (_, i) => ({ ...ada, id: `d${i}`, name: `Day ${i}` }));
  const room = await opened('days', { ...calendar(), events: all });
  const lines = screen.getByRole<HTMLTextAreaElement>('textbox', {
    name: 'A name and a date, each on a line',
  });
  fireEvent.change(lines, { target: { value: 'Orla 5 April 2019\nPip 20 June 2015' } });
  await room.press('Put in');
  expect(room.project().events).toHaveLength(MOST_EVENTS);
  expect(lines.value).toBe('Pip 20 June 2015');
  screen.getByText('“Pip 20 June 2015”: a project holds up to 2,000 days.');
});

test('days come from a file and are saved as one; what could not be read is said where it was asked for', async () => {
  const saved: string[] = [];
  jest.spyOn(URL, 'createObjectURL').mockImplementation(() => 'blob:1');
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.push(this.download);
  });
  const room = await opened('days');
  expect(screen.queryByRole('button', { name: 'Save as .ics' })).toBeNull();
  const input = screen.getByLabelText<HTMLInputElement>('File with days');
  const take = (file: File) => {
    Object.defineProperty(input, 'files', { value: [file], configurable: true });
    fireEvent.change(input);
  };
  take(new File(['A letter'], 'letter.ics'));
  await screen.findByText(/^letter\.ics: /);
  const card = [
    'BEGIN:VCARD',
    'VERSION:3.0',
    'N:Sail;Orla;;;',
    'FN:Orla Sail',
    'BDAY:2019-04-05',
    'END:VCARD',
  ];
  take(new File([card.join('\r\n')], 'people.vcf'));
  await screen.findByText('1 day put in from people.vcf.');
  expect(screen.queryByText(/^letter\.ics: /)).toBeNull();
  expect(room.undo()).toBe('put in 1 day');
  within(screen.getByRole('list', { name: 'Days to remember' })).getByText('Orla Sail');
  await room.press('Save as .ics');
  await room.when(() => saved.length);
  expect(saved).toEqual(['Kites 2027.ics']);
});

test('carried on: what goes is said, how it differs is chosen, and there is another chance of the same', async () => {
  const room = await opened('carry');
  const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
  screen.getByText('Turn to a month first: this page is of none.');
  expect(button('To all 12 other months').disabled).toBe(true);
  room.does(() => room.store.getState().turnTo(room.project().surfaces[1]!.id));
  screen.getByText(/^All of January 2027 goes to other months, in place of their papers and things\./);
  room.does(() => act.punchWith(room.store, 'star'));
  screen.getByText(/^What is selected goes where it lies to other months\./);
  const stars = () =>
    room.project().surfaces.map(({ pile }) => pile.filter(({ role }) => role === 'embellishment'));
  await room.press('To the next month');
  expect(
    stars()
      .map(({ length }) => length)
      .slice(0, 4),
  ).toEqual([0, 1, 1, 0]);
  expect(screen.queryByRole('button', { name: /another chance/ })).toBeNull();
  fireEvent.change(screen.getByRole('slider', { name: 'Different' }), { target: { value: 60 } });
  turn('They may lie over numbers');
  await room.press('To all 11 other months');
  const places = () => stars().map((all) => all.map(({ placement: { x, y, turn } }) => [x, y, turn]));
  const once = places();
  expect(once.slice(1).map(({ length }) => length)).toEqual(Array(12).fill(1));
  expect(new Set(once.slice(2).map(String)).size).toBeGreaterThan(6);
  await room.press('The same to all, by another chance');
  expect(places()[1]).toEqual(once[1]);
  expect(places().slice(2)).not.toEqual(once.slice(2));
  room.does(() => act.selectAll(room.store));
  screen.getByText(/^The \d+ selected pieces go where they lie|^The \d+ selected pieces go where it lies/);
});

test('held by another tab, a calendar is looked at: nothing in its sheets can be changed', async () => {
  const sheets: [SheetName, Project][] = [
    ['calendar', { ...calendar(), events: [ada] }],
    ['days', { ...calendar(), events: [ada] }],
    ['carry', calendar()],
  ];
  for (const [sheet, project] of sheets) {
    const room = await opened(sheet, project, { readOnly: true });
    await room.when(() => !screen.queryByText(/^Fetching/));
    const changing = [
      ...screen.queryAllByRole<HTMLInputElement>('textbox'),
      ...screen.queryAllByRole<HTMLInputElement>('switch'),
      ...screen.queryAllByRole<HTMLButtonElement>('button', {
        name: /^(Take out|From a file|Fill|To |The same)|Season|inks/i,
      }),
    ];
    expect(changing.length).toBeGreaterThan(1);
    expect(changing.filter(({ disabled }) => !disabled).map((each) => each.outerHTML.slice(0, 80))).toEqual(
      [],
    );
    for (const list of screen.queryAllByRole('combobox'))
      expect([list.textContent, list.getAttribute('aria-disabled')]).toEqual([list.textContent, 'true']);
    room.unmount();
  }
});

test('on what is no calendar its sheet says so; there is no way to fall through it', async () => {
  const { surfaces, ...rest } = calendar();
  const room = await opened('calendar', {
    ...rest,
    product: { kind: 'layout' },
    surfaces: surfaces.slice(1, 2).map(({ part: _, ...page }) => ({ ...page, pile: [] })),
  } as Project);
  screen.getByText('This is no calendar.');
  expect(room.undo()).toBeNull();
});

test('a piece on a day is held to it or to its weekday of the month, goes with it to another year, and is let go', async () => {
  const room = await seatedAt(<About />, calendar('month'));
  const { store } = room;
  room.does(() => store.getState().turnTo(room.project().surfaces[3]!.id));
  const month = room.pile().find(({ material }) => material.kind === 'month')!;
  const { days } = layMonth(month.material as never, month.placement);
  const tenth = days.find(({ cell }) => cell.day === 10 && cell.of === 0)!.box;
  const at = {
    x: month.placement.x + tenth.x + tenth.width / 2,
    y: month.placement.y + tenth.y + tenth.height / 2,
  };
  room.does(() => act.punchWith(store, 'star'));
  const [id] = store.getState().selection as [string];
  const { x, y } = room.piece(id).placement;
  // Small enough to be meant for one day.
  room.does(() => act.nudge(store, at.x - x, at.y - y));
  room.does(() => store.getState().openRows(new Set(['Place'] as const)));
  const ways = within(await screen.findByRole('group', { name: 'Hold to a day' })).getAllByRole('button');
  expect(ways.map(({ textContent }) => textContent)).toEqual([
    ...['Hold to 10 March', 'Hold to the second Wednesday of March'],
  ]);
  fireEvent.click(ways[1]!);
  screen.getByText('Held to the second Wednesday of March');
  const before = room.piece(id).placement;
  await act.changeCalendar(store, { year: 2028 }, 'date the calendar 2028');
  room.does(() => {});
  // The second Wednesday of March is the 10th in 2027 and the 8th in 2028 (ncal): in the same box of the grid both times.
  const after = room.piece(id).placement;
  expect([after.x, after.y].map(Math.round)).toEqual([before.x, before.y].map(Math.round));
  fireEvent.click(screen.getByRole('button', { name: 'Let go' }));
  expect(room.piece(id).held).toBeUndefined();
  screen.getByRole('group', { name: 'Hold to a day' });
});

test('of a planner, weeks are made like weeks and small months like small months; each keeps its own days', async () => {
  const room = await seatedAt(<About />, calendar('week'));
  const { store } = room;
  const page = room.project().surfaces.find(({ part }) => part === 'week-5')!;
  room.does(() => store.getState().turnTo(page.id));
  const weeks = () => monthsIn(room.project()).filter(({ week }) => week !== undefined);
  const small = () => monthsIn(room.project()).filter(({ week }) => week === undefined);
  const [before, plain] = [weeks().map(({ week }) => week), small()];
  const piece = room.pile().find(({ material }) => material.kind === 'month' && material.week !== undefined)!;
  room.does(() => act.changeMonth(store, piece.id, { ruleWidth: 3 }));
  room.chosen(piece.id);
  room.does(() => store.getState().openRows(new Set(['Material'] as const)));
  await room.press(/^All \d+ other months alike$/);
  expect(weeks().map(({ week }) => week)).toEqual(before);
  expect(new Set(weeks().map(({ ruleWidth }) => ruleWidth))).toEqual(new Set([3]));
  expect(small()).toEqual(plain);
});
