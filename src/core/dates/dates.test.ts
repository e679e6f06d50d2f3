/** Days, weekdays, weeks and names against independent rules, GNU date, JavaScript's own Date, Intl and CLDR. */
import { execFileSync } from 'node:child_process';
import fc from 'fast-check';
import {
  dayOf,
  isDate,
  isoWeekOf,
  monthAfter,
  monthLength,
  monthsBetween,
  nthWeekday,
  numberOf,
  weekdayOf,
  weekdayOn,
  weeksOf,
  type Weekday,
} from '@/core/dates/days';
import { languagesOfDates } from '@/core/dates/languages';
import {
  daysCalled,
  isLanguage,
  monthNames,
  monthsOfIntl,
  runsLeft,
  weekdayNames,
  weekStartOf,
} from '@/core/dates/names';

/** Zeller's congruence (C. Zeller, Acta Mathematica 9, 1886), for the Gregorian calendar; 0 Saturday. */
function zeller(year: number, month: number, day: number): number {
  const [y, m] = month < 3 ? [year - 1, month + 12] : [year, month];
  const [k, j] = [y % 100, Math.floor(y / 100)];
  return (day + Math.floor((13 * (m + 1)) / 5) + k + Math.floor(k / 4) + Math.floor(j / 4) + 5 * j) % 7;
}

test('every day of eight centuries from 1583, and of all to 9999 every 97th, falls on the weekday Zeller and Date say', () => {
  const wrong: number[] = [];
  const date = new Date(0);
  const from = numberOf({ year: 1583, month: 1, day: 1 });
  const to = numberOf({ year: 9999, month: 12, day: 31 });
  // All is the same every 400 years: 146,097 days, of which 97 are no divisor.
  for (let number = from; number <= to; number += number < from + 2 * 146_097 ? 1 : 97) {
    const { year, month, day } = dayOf(number);
    date.setTime(number * 86_400_000);
    const weekday = weekdayOf(number);
    if (
      numberOf({ year, month, day }) !== number ||
      date.getUTCFullYear() !== year ||
      date.getUTCMonth() + 1 !== month ||
      date.getUTCDate() !== day ||
      date.getUTCDay() !== weekday % 7 ||
      zeller(year, month, day) !== (weekday + 1) % 7
    )
      wrong.push(number);
  }
  expect(to - from + 1).toBe(3_074_246);
  expect(wrong).toEqual([]);
  // Before 1583 as if it had always been kept: ISO 8601's year 1 began on a Monday.
  expect(weekdayOn({ year: 1, month: 1, day: 1 })).toBe(1);
});

test('ISO weeks of 400 years are those of GNU date, and 71 of them have 53 weeks', () => {
  const [from, days] = [numberOf({ year: 1900, month: 1, day: 1 }), 146_097];
  const ours: string[] = [];
  const lines: string[] = [];
  const long = new Set<number>();
  for (let i = 0; i < days; i++) {
    const { year, week } = isoWeekOf(from + i);
    if (week === 53) long.add(year);
    ours.push(`${year}-${String(week).padStart(2, '0')}`);
    lines.push(`@${(from + i) * 86_400 + 43_200}`);
  }
  const gnu = execFileSync('date', ['-u', '-f', '-', '+%G-%V'], {
    input: lines.join('\n'),
    encoding: 'utf8',
    maxBuffer: 1 << 24,
  });
  expect(ours.join('\n')).toBe(gnu.trim());
  // Every 400 years 71 have 53 weeks (ISO 8601; from memory).
  expect([...long].filter((year) => year >= 1900 && year < 2300)).toHaveLength(71);
});

test('a month has all its days once, whole weeks, each in the column of its weekday', () => {
  const start = fc.integer({ min: 1, max: 7 }) as fc.Arbitrary<Weekday>;
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9999 }),
      fc.integer({ min: 1, max: 12 }),
      start,
      (year, month, first) => {
        const weeks = weeksOf({ year, month }, first);
        const cells = weeks.flat();
        expect(cells.filter(({ of }) => of === 0).map(({ day }) => day)).toEqual(
          Array.from({ length: monthLength(year, month) }, (_, i) => i + 1),
        );
        expect(cells.every(({ number }, i) => number === cells[0]!.number + i)).toBe(true);
        expect(cells.every(({ number }, i) => (weekdayOf(number) - first + 7) % 7 === i % 7)).toBe(true);
        expect(weeks.every((week) => week.some(({ of }) => of === 0))).toBe(true);
      },
    ),
  );
  // A February of four weeks, and a month that needs six (`cal -m 2 2027`, `cal -m 8 2026`).
  expect(weeksOf({ year: 2027, month: 2 }, 1)).toHaveLength(4);
  expect(weeksOf({ year: 2026, month: 8 }, 1)).toHaveLength(6);
});

test('the nth weekday is one, is there that often, and the last is the last', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1583, max: 9999 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 7 }) as fc.Arbitrary<Weekday>,
      (year, month, weekday) => {
        const all = [1, 2, 3, 4, 5].flatMap((nth) => nthWeekday({ year, month }, nth, weekday) ?? []);
        const expected = Array.from({ length: monthLength(year, month) }, (_, i) => i + 1).filter(
          (day) => weekdayOn({ year, month, day }) === weekday,
        );
        expect(all.map(({ day }) => day)).toEqual(expected);
        expect(nthWeekday({ year, month }, -1, weekday)!.day).toBe(expected.at(-1));
        expect(nthWeekday({ year, month }, -5, weekday)?.day).toBe(expected.at(-5));
      },
    ),
  );
  // Mother's Day of the United States in 2027 is the second Sunday of May, the 9th.
  expect(nthWeekday({ year: 2027, month: 5 }, 2, 7)).toEqual({ year: 2027, month: 5, day: 9 });
});

test('months count on over the years; a day there is not is none', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9000 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: -300, max: 300 }),
      (year, month, by) => {
        const there = monthAfter({ year, month }, by);
        expect(there.month >= 1 && there.month <= 12).toBe(true);
        expect(monthsBetween({ year, month }, there)).toBe(by);
      },
    ),
  );
  const days = [
    [2024, 2, 29],
    [2026, 2, 29],
    [1900, 2, 29],
    [2000, 2, 29],
    [2026, 2, 30],
    [0, 1, 1],
    [2026, 13, 1],
  ];
  expect(days.map(([year, month, day]) => isDate({ year: year!, month: month!, day: day! }))).toEqual([
    ...[true, false, false, true, false, false, false],
  ]);
});

test('names are what Intl has, weeks begin as CLDR says, and what is no language is none', () => {
  for (const language of ['en', 'de', 'fi', 'pl', 'ar', 'he', 'ja', 'tr']) {
    const months = new Intl.DateTimeFormat(language, { month: 'long', timeZone: 'UTC', calendar: 'gregory' });
    expect(monthNames(language)[6]).toBe(months.format(new Date(Date.UTC(1999, 6, 1))));
    expect(new Set(monthNames(language)).size).toBe(12);
    expect(new Set(weekdayNames(language)).size).toBe(7);
  }
  expect(weekdayNames('en', 'short')).toEqual(['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']);
  // CLDR supplemental weekData: 001 begins on Monday, US on Sunday, EG on Saturday.
  expect(['de-DE', 'en-GB', 'en-US', 'ar-EG'].map(weekStartOf)).toEqual([1, 1, 7, 6]);
  expect(['en', 'de-AT', 'xx', 'no such', ''].map(isLanguage)).toEqual([true, true, false, false, false]);
  expect(['ar', 'he', 'fa', 'en', 'ja'].map(runsLeft)).toEqual([true, true, true, false, false]);
});

test('Greek months are called by their names, not “of June”; in dates they are known by both', () => {
  // Common knowledge of the language, from memory.
  const names =
    'Ιανουάριος Φεβρουάριος Μάρτιος Απρίλιος Μάιος Ιούνιος Ιούλιος Αύγουστος Σεπτέμβριος Οκτώβριος Νοέμβριος Δεκέμβριος'; // prettier-ignore
  for (const tag of ['el', 'el-GR', 'el-CY']) expect(monthNames(tag).join(' ')).toBe(names);
  expect(monthsOfIntl('el')[5]).toBe('Ιουνίου');
  expect(['ru', 'de', 'cs'].map((tag) => monthNames(tag)[4])).toEqual(['май', 'Mai', 'květen']);
});

test('from one day to another, as each language writes it', () => {
  const days = (tag: string) => [
    daysCalled(tag, { year: 2027, month: 3, day: 1 }, { year: 2027, month: 3, day: 7 }),
    daysCalled(tag, { year: 2026, month: 12, day: 28 }, { year: 2027, month: 1, day: 3 }),
  ];
  expect(days('en')).toEqual(['1–7 March 2027', '28 December–3 January 2027']);
  // CLDR's interval formats (ICU 72 to 78); months beside a day are “of December” where a language says so.
  expect(days('fr')[0]).toBe('1–7 mars 2027');
  expect(days('ru')[1]).toContain('28 декабря 2026');
  expect(days('cs')[0]).toMatch(/^1\.–7\.\s?3\. 2027$/);
  expect(days('hu')[0]).toBe('2027. március 1–7.');
  // Whatever the language, both days are said and no two weeks are called alike.
  for (const { tag } of languagesOfDates()) {
    const [one, other] = days(tag);
    expect([tag, one === other, Math.min(one!.length, other!.length) > 5]).toEqual([tag, false, true]);
  }
});
