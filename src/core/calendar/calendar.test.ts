/** A calendar: what follows from its year, what its days are, and where photos go. */
import fc from 'fast-check';
import { eventSays, fallsOn, notesOf, type DayEvent } from '@/core/calendar/events';
import { dealtByMonth, fillYear } from '@/core/calendar/fill';
import { dayAt, nthOf } from '@/core/calendar/held';
import { heldSays } from '@/core/piece/held';
import { settle } from '@/core/calendar/settle';
import { readDays } from '@/core/calendar/typed';
import { monthAfter } from '@/core/dates/days';
import { saidAnew, sayAnew } from '@/core/living/living';
import { fileTitle, panelsOn, productSays } from '@/core/product';
import { calendarIn } from '@/core/product/calendar';
import { withSettings } from '@/core/product/calendar/settings';
import { holidaysOf } from '@/core/calendar/holiday-data';
import { holdPieces, removeEvents, setEvents, setHolidays } from '@/core/project/edits/events';
import { layPieces } from '@/core/project/edits/pile';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, undo, type History } from '@/core/project/history';
import { assetOf, inkPiece, quarters } from '../../../scripts/testing/samples';
import {
  ada,
  calendar,
  done,
  followed,
  FORMS,
  monthsIn,
  typesetter,
  wordsIn,
} from '../../../scripts/testing/calendars';

test.each(FORMS)('%s: begins whole for the year to come, and is read again as it was written', (form) => {
  for (const size of [
    { width: 504, height: 360 },
    { width: 864, height: 864 },
    { width: 595, height: 842 },
  ]) {
    const of = calendar(form, size);
    expect(readProject(writeProject(of))).toEqual({ ok: true, value: of });
    // All of it is right as it begins: nothing follows.
    expect(settle(of)).toBeNull();
    expect(sayAnew(of, typesetter)).toBeNull();
    // 2027 begins on a Friday: 53 weeks touch it, each with a small month beside it.
    expect(monthsIn(of)).toHaveLength(form === 'week' ? 2 * 53 : 12);
    for (const surface of of.surfaces)
      for (const { placement: p } of surface.pile) {
        expect(p.x - p.width / 2).toBeGreaterThan(surface.safe.left - 1e-6);
        expect(p.x + p.width / 2).toBeLessThan(surface.width - surface.safe.right + 1e-6);
        expect(p.y + p.height / 2).toBeLessThan(surface.height - surface.safe.bottom + 1e-6);
      }
  }
  const of = calendar(form);
  expect(productSays(of, 'in')).toMatch(/^7 x 5 in calendar, /);
  const whole = of.surfaces.at(-1)!;
  expect(panelsOn(of, whole)).toHaveLength(whole.height > 360 ? 2 : 1);
  expect(fileTitle(of)).toBe(form === 'birthdays' ? 'Kites' : 'Kites 2027');
});

test('for any two years: dated there and back it is what it was, in one step each', () => {
  const start = followed(perform(startHistory(calendar()), setEvents([ada]), 0));
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 9998 }), fc.integer({ min: 1, max: 12 }), (year, month) => {
      const there = done(start, { year, month }, 10_000);
      expect(monthsIn(there.project).map((m) => [m.year, m.month])).toEqual(
        Array.from({ length: 12 }, (_, i) => Object.values(monthAfter({ year, month }, i))),
      );
      const back = done(there, { year: 2027, month: 1 }, 20_000);
      expect(back.project).toEqual(start.project);
      expect(undo(there).project).toEqual(start.project);
    }),
    { numRuns: 13 },
  );
});

test('titles, tabs, ages and languages follow; what a person named stays as it was named', () => {
  const start = followed(perform(startHistory(calendar()), setEvents([ada]), 0));
  const named = {
    ...start,
    project: {
      ...start.project,
      surfaces: start.project.surfaces.map((s) => (s.part === 'month-2' ? { ...s, name: 'Snow' } : s)),
    },
  };
  const next = done(named, { year: 2031, language: 'de' }, 9000);
  expect(next.project.surfaces.map(({ name }) => name).slice(0, 4)).toEqual([
    ...['Cover', 'Januar 2031', 'Snow', 'März 2031'],
  ]);
  expect(wordsIn(next.project).slice(0, 3)).toEqual(['2031', 'Januar 2031', 'Februar 2031']);
  expect(monthsIn(next.project)[7]!.notes).toEqual([{ day: 3, says: 'Ada, 13' }]);
  // One month more brings its page with it, whole; a month less takes it away.
  const more = done(next, { months: 13 }, 18_000);
  expect(monthsIn(more.project).at(-1)).toMatchObject({ year: 2032, month: 1, language: 'de' });
  expect(done(more, { months: 12 }, 27_000).project).toEqual(next.project);
  const forgotten = followed(perform(next, removeEvents(['ada'], 'take out Ada'), 36_000));
  expect(monthsIn(forgotten.project)[7]!.notes).toEqual([]);
  expect(saidAnew({ text: 'x', spans: [] }, { project: next.project, index: 0 })).toBeNull();
});

test('years end with what there is: settings out of range are pulled back, a file with them is told of', () => {
  const product = calendarIn(calendar().product)!;
  expect(withSettings(product, { year: 9999, month: 12, months: 24 })).toMatchObject({
    year: 9998,
    month: 1,
  });
  expect(withSettings(product, { year: -5, months: 99 })).toMatchObject({ year: 1, month: 1, months: 24 });
  const torn = readProject(writeProject(calendar()).replace('"months": 12', '"months": 0'));
  expect(torn.ok && !torn.mended).toBe(false);
});

test('days to remember fall where they fall: ages, leap days, nth weekdays, once', () => {
  const leap: DayEvent = { id: 'l', kind: 'birthday', name: 'Olu', month: 2, day: 29, year: 1988 };
  expect([2027, 2028].map((year) => fallsOn(leap, year, 'february'))).toEqual([
    { year: 2027, month: 2, day: 28 },
    { year: 2028, month: 2, day: 29 },
  ]);
  expect(fallsOn(leap, 2027, 'march')).toEqual({ year: 2027, month: 3, day: 1 });
  expect(fallsOn(leap, 1987, 'march')).toBeNull();
  expect([1988, 1989, 2028].map((year) => eventSays(leap, year))).toEqual(['Olu', 'Olu, 1', 'Olu, 40']);
  const may: DayEvent = { id: 'm', kind: 'yearly', name: 'Fly-in', month: 5, nth: -1, weekday: 6 };
  // The last Saturday of May 2027 is the 29th (`cal 5 2027`).
  expect(fallsOn(may, 2027, 'march')?.day).toBe(29);
  const once: DayEvent = { id: 'o', kind: 'once', name: 'Move', month: 5, day: 29, year: 2027 };
  expect(notesOf([may, once, ada], { year: 2027, month: 5 }, 'march').map(({ says }) => says)).toEqual([
    ...['Fly-in', 'Move'],
  ]);
  expect(notesOf([may, once, ada], { year: 2028, month: 5 }, 'march').map(({ says }) => says)).toEqual([
    'Fly-in',
  ]);
  expect(notesOf([ada, leap], { year: 1, month: 2 }, 'march', true)).toEqual([{ day: 29, says: 'Olu' }]);
});

test('holidays fall where others have them: Easter by its own rule, a country’s days named and taken out at will', () => {
  for (let year = 1950; year <= 2100; year++) {
    const [month, day] = easter(year);
    const sunday = holidaysOf('DE', 'BB', year, year).find(({ rule }) => rule === 'easter');
    expect([sunday?.month, sunday?.day]).toEqual([month, day]);
  }
  const days = holidaysOf('DE', 'BY', 2027, 2028);
  expect(days.filter(({ year }) => year === 2027).length).toBe(
    days.filter(({ year }) => year === 2028).length,
  );
  const kept = { country: 'DE', state: 'BY', days, out: ['01-06'], names: { '01-01': 'New Year' } };
  const start = followed(perform(startHistory(calendar()), setHolidays(kept, 'put in'), 0));
  expect(monthsIn(start.project)[0]!.notes).toEqual([{ day: 1, says: 'New Year', free: true }]);
  expect(readProject(writeProject(start.project))).toEqual({ ok: true, value: start.project });
  const none = followed(perform(start, setHolidays(null, 'take out'), 9000));
  expect(monthsIn(none.project)[0]!.notes).toEqual([]);
});

/** The anonymous Gregorian algorithm (J. Meeus, Astronomical Algorithms, chapter 8; from memory): month and day. */
function easter(year: number): [number, number] {
  const [a, b, c] = [year % 19, Math.floor(year / 100), year % 100];
  const g = Math.floor((8 * b + 13) / 25);
  const h = (19 * a + b - Math.floor(b / 4) - g + 15) % 30;
  const l = (32 + 2 * (b % 4) + 2 * Math.floor(c / 4) - h - (c % 4)) % 7;
  const m = Math.floor((a + 11 * h + 19 * l) / 433);
  const month = Math.floor((h + l - 7 * m + 90) / 25);
  return [month, (h + l - 7 * m + 33 * month + 19) % 32];
}

test('names and dates are read as people write them; what cannot be says why and the rest arrives', () => {
  const read = (text: string) => readDays(text, { kind: 'birthday', language: 'de' });
  const ways = [
    'Ada 3 August 2018',
    'Ada, 3. 8. 2018',
    '2018-08-03 Ada',
    'August 3rd, 2018: Ada',
    'Ada – 3. Aug. 2018',
  ];
  for (const way of ways)
    expect(read(way)).toEqual({
      events: [{ kind: 'birthday', name: 'Ada', month: 8, day: 3, year: 2018 }],
      refused: [],
    });
  expect(
    read(
      'Ines and Olu wedding anniversary 14 Jun 2020\nMother’s Day, second Sunday of May\nMärz-Fest 12. März',
    ),
  ).toEqual({
    refused: [],
    events: [
      { kind: 'anniversary', name: 'Ines and Olu', month: 6, day: 14, year: 2020 },
      { kind: 'birthday', name: 'Mother’s Day', month: 5, nth: 2, weekday: 7 },
      { kind: 'birthday', name: 'März-Fest', month: 3, day: 12 },
    ],
  });
  const bad = read('Bo 31 February\nnobody knows\n4 May\nLu 4 May');
  expect(bad.events.map(({ name }) => name)).toEqual(['Lu']);
  expect(bad.refused.map(({ why }) => why)).toEqual([
    ...['February has 29 days', 'no date in it', 'no name beside the date'],
  ]);
  expect(readDays('Move 4 May', { kind: 'once', language: 'en' }).refused[0]!.why).toMatch(/needs a year/);
  expect(readDays('Bo 3/8', { kind: 'birthday', language: 'en', monthFirst: true }).events[0]).toMatchObject({
    month: 3,
    day: 8,
  });
  // Whatever is pasted: a sentence for each line that does not arrive.
  fc.assert(
    fc.property(fc.array(fc.string({ maxLength: 40 })), (lines) => {
      const found = read(lines.join('\n'));
      const whole = lines.flatMap((line) => line.split(/\r?\n/)).filter((line) => line.trim());
      expect(found.events.length + found.refused.length).toBe(whole.length);
    }),
  );
});

test('what is held to a day lies in its box whatever year it is, where it lay in it, and there and back again', () => {
  const start = startHistory(calendar('month', { width: 864, height: 612 }));
  const march = start.project.surfaces.find(({ part }) => part === 'month-3')!;
  const days = march.pile.find(({ material }) => material.kind === 'month')!;
  const spots = [
    { x: days.placement.x - 200, y: days.placement.y + 40 },
    { x: days.placement.x + 90, y: days.placement.y - 60 },
  ];
  const pieces = spots.map((spot, i) => ({ ...inkPiece(`stamp-${i}`, spot.x - 9, spot.y - 9, 18, 18) }));
  const laid = perform(start, layPieces(march.id, pieces, []), 0);
  const held = spots.map((spot, i) => {
    const { year, day, month, box } = dayAt(march, spot)!;
    return { id: `stamp-${i}`, held: i ? { month, box, ...nthOf(year, month, day) } : { month, day, box } };
  });
  const history = perform(laid, holdPieces(march.id, held), 10_000);
  const lying = ({ project }: History) => {
    const page = project.surfaces.find(({ id }) => id === march.id)!;
    return pieces.map(({ id }) => page.pile.find((piece) => piece.id === id)!.placement);
  };
  fc.assert(
    fc.property(fc.integer({ min: 1583, max: 9998 }), (year) => {
      const there = done(history, { year }, 20_000);
      const page = there.project.surfaces.find(({ id }) => id === march.id)!;
      lying(there).forEach((at, i) => {
        const on = dayAt(page, at)!;
        if (i === 0) expect(on.day).toBe((held[0]!.held as { day: number }).day);
        else expect(nthOf(year, 3, on.day)).toEqual(nthOf(2027, 3, dayAt(march, spots[1]!)!.day));
      });
      lying(done(there, { year: 2027 }, 30_000)).forEach((at, i) => {
        expect([at.x, at.y]).toEqual([expect.closeTo(spots[i]!.x, 6), expect.closeTo(spots[i]!.y, 6)]);
      });
    }),
    { numRuns: 20 },
  );
  expect(heldSays({ month: 5, nth: -1, weekday: 6 })).toBe('the last Saturday of May');
  expect(readProject(writeProject(history.project))).toEqual({ ok: true, value: history.project });
});

test('photos go to the month they were taken in, the rest where there is room, the best of two first', () => {
  const of = calendar();
  const photo = (name: string, taken: string, stars?: 1 | 2 | 3) => {
    const asset = { ...assetOf(quarters(60 + name.length, 40), 60, 40), name, taken };
    return { ...asset, sha: name.padEnd(64, '0'), ...(stars ? { notes: { stars } } : {}) };
  };
  const photos = [
    photo('a', '2026-08-03T10:00:00'),
    photo('b', '2026-08-20T10:00:00', 3),
    photo('c', '2019-02-01T10:00:00'),
  ] as unknown as Parameters<typeof dealtByMonth>[1];
  const dealt = dealtByMonth(of, photos).map(({ free, asset }) => [free.month, asset.name]);
  expect(dealt).toEqual([
    [1, 'a'],
    [2, 'c'],
    [8, 'b'],
  ]);
  const { edit, count } = fillYear(of, photos)!;
  expect(count).toBe(3);
  const filled = perform(startHistory(of), edit, 0).project;
  expect(dealtByMonth(filled, photos)).toHaveLength(3);
  expect(readProject(writeProject(filled)).ok).toBe(true);
  expect(fillYear(of, [])).toBeNull();
});
