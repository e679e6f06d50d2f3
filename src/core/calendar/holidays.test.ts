/** Holidays that a project keeps: what of them is told of a month, called as a person calls them. */
import { holidayNotes, keptDays, type Holidays } from '@/core/calendar/holidays';

const days = [
  { year: 2027, month: 3, day: 26, name: 'Good Friday', rule: 'easter -2' },
  { year: 2027, month: 3, day: 28, name: 'Easter Sunday', rule: 'easter' },
  { year: 2028, month: 3, day: 28, name: 'Another', rule: 'other' },
  { year: 2027, month: 12, day: 25, name: 'Christmas Day', rule: '12-25' },
];
const of = (change: Partial<Holidays> = {}): Holidays => ({
  country: 'GB',
  days,
  out: [],
  names: {},
  ...change,
});
const told = (holidays: Holidays | undefined, year: number, month: number) =>
  holidayNotes(holidays, { year, month }).map(({ day, says }) => `${day} ${says}`);

test('those of a month of its year, each a day off', () => {
  expect(told(of(), 2027, 3)).toEqual(['26 Good Friday', '28 Easter Sunday']);
  expect(told(of(), 2028, 3)).toEqual(['28 Another']);
  expect(told(of(), 2027, 4)).toEqual([]);
  expect(holidayNotes(of(), { year: 2027, month: 12 })).toEqual([
    { day: 25, says: 'Christmas Day', free: true },
  ]);
  expect(told(undefined, 2027, 3)).toEqual([]);
});

test('what was taken out is not told, in any year; what has another name is called by it', () => {
  const mine = of({ out: ['easter'], names: { 'easter -2': 'Hot cross buns', '12-25': '' } });
  expect(told(mine, 2027, 3)).toEqual(['26 Hot cross buns']);
  expect(keptDays(mine).map(({ name }) => name)).toEqual(['Hot cross buns', 'Another', '']);
  // Nothing an object has by itself is a name.
  const odd = of({ days: [{ year: 2027, month: 1, day: 1, name: 'New Year', rule: 'toString' }] });
  expect(told(odd, 2027, 1)).toEqual(['1 New Year']);
});

test('asked again it is the same list, so that nothing that shows it is drawn anew; another list is another', () => {
  const mine = of();
  expect(holidayNotes(mine, { year: 2027, month: 3 })).toBe(holidayNotes(mine, { year: 2027, month: 3 }));
  expect(holidayNotes(mine, { year: 2027, month: 3 })).not.toBe(holidayNotes(of(), { year: 2027, month: 3 }));
  expect(holidayNotes({ ...mine, out: ['easter'] }, { year: 2027, month: 3 })).toHaveLength(1);
});
