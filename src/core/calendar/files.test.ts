/** Calendars and addresses of other programs: the examples of RFC 5545, one by one, and files that are damaged. */
import fc from 'fast-check';
import type { DayEvent, EventKind } from '@/core/calendar/events';
import type { Weekday } from '@/core/dates/days';
import { asName } from '@/core/text/named';
import { writeDays } from '@/core/calendar/write';
import { decodedText } from '@/core/text/decoded';
import { readDaysFile, type FileDays } from '@/core/calendar/files';

const file = (...events: string[]) =>
  `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events.map((event) => `BEGIN:VEVENT\r\n${event}\r\nEND:VEVENT`).join('\r\n')}\r\nEND:VCALENDAR\r\n`;
function read(text: string, from = 1990, to = 2010): FileDays {
  const found = readDaysFile(text, from, to);
  if (!found.ok) throw new Error(found.message);
  return found.value;
}
const days = (text: string, from?: number, to?: number): string[] =>
  read(text, from, to).events.map(({ year, month, day }) => [year, month, day].join('-'));

const sept = (...all: number[]) => all.map((day) => `1997-9-${day}`);
/** RFC 5545, 3.8.5.3, in the order they stand there; what is endless there is read until 2010 and its beginning compared. */
const RFC: readonly [name: string, start: string, rule: string, expected: string[]][] = [
  ['daily for 10 occurrences', '19970902', 'FREQ=DAILY;COUNT=10', sept(2, 3, 4, 5, 6, 7, 8, 9, 10, 11)],
  ['every other day, forever', '19970902', 'FREQ=DAILY;INTERVAL=2', sept(2, 4, 6, 8, 10, 12, 14)],
  [
    'every 10 days, 5 occurrences',
    '19970902',
    'FREQ=DAILY;INTERVAL=10;COUNT=5',
    [...sept(2, 12, 22), '1997-10-2', '1997-10-12'],
  ],
  [
    ...(['weekly for 10 occurrences', '19970902', 'FREQ=WEEKLY;COUNT=10'] as const),
    [...sept(2, 9, 16, 23, 30), '1997-10-7', '1997-10-14', '1997-10-21', '1997-10-28', '1997-11-4'],
  ],
  [
    ...([
      'on Tuesday and Thursday for five weeks',
      '19970902',
      'FREQ=WEEKLY;UNTIL=19971007T000000Z;WKST=SU;BYDAY=TU,TH',
    ] as const),
    [...sept(2, 4, 9, 11, 16, 18, 23, 25, 30), '1997-10-2'],
  ],
  [
    ...(['monthly on the first Friday for 10', '19970905', 'FREQ=MONTHLY;COUNT=10;BYDAY=1FR'] as const),
    [
      '1997-9-5',
      '1997-10-3',
      '1997-11-7',
      '1997-12-5',
      '1998-1-2',
      '1998-2-6',
      '1998-3-6',
      '1998-4-3',
      '1998-5-1',
      '1998-6-5',
    ],
  ],
  [
    ...([
      'every other month on the first and last Sunday',
      '19970907',
      'FREQ=MONTHLY;INTERVAL=2;COUNT=10;BYDAY=1SU,-1SU',
    ] as const),
    [
      '1997-9-7',
      '1997-9-28',
      '1997-11-2',
      '1997-11-30',
      '1998-1-4',
      '1998-1-25',
      '1998-3-1',
      '1998-3-29',
      '1998-5-3',
      '1998-5-31',
    ],
  ],
  [
    ...([
      'on the second-to-last Monday for 6 months',
      '19970922',
      'FREQ=MONTHLY;COUNT=6;BYDAY=-2MO',
    ] as const),
    ['1997-9-22', '1997-10-20', '1997-11-17', '1997-12-22', '1998-1-19', '1998-2-16'],
  ],
  [
    ...(['on the third-to-last day of the month', '19970928', 'FREQ=MONTHLY;BYMONTHDAY=-3'] as const),
    ['1997-9-28', '1997-10-29', '1997-11-28', '1997-12-29', '1998-1-29', '1998-2-26'],
  ],
  [
    ...([
      'on the first and last day of the month',
      '19970930',
      'FREQ=MONTHLY;COUNT=10;BYMONTHDAY=1,-1',
    ] as const),
    [
      '1997-9-30',
      '1997-10-1',
      '1997-10-31',
      '1997-11-1',
      '1997-11-30',
      '1997-12-1',
      '1997-12-31',
      '1998-1-1',
      '1998-1-31',
      '1998-2-1',
    ],
  ],
  [
    ...(['yearly in June and July', '19970610', 'FREQ=YEARLY;COUNT=10;BYMONTH=6,7'] as const),
    [1997, 1998, 1999, 2000, 2001].flatMap((year) => [`${year}-6-10`, `${year}-7-10`]),
  ],
  [
    'every 20th Monday of the year',
    '19970519',
    'FREQ=YEARLY;BYDAY=20MO',
    ['1997-5-19', '1998-5-18', '1999-5-17'],
  ],
  [
    'Monday of week 20',
    '19970512',
    'FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO',
    ['1997-5-12', '1998-5-11', '1999-5-17'],
  ],
  [
    ...([
      'every Friday the 13th',
      '19970902',
      'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13\r\nEXDATE;TZID=America/New_York:19970902T090000',
    ] as const),
    ['1998-2-13', '1998-3-13', '1998-11-13', '1999-8-13', '2000-10-13'],
  ],
  [
    ...([
      'election day',
      '19961105',
      'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8',
    ] as const),
    ['1996-11-5', '2000-11-7', '2004-11-2'],
  ],
];

test.each(RFC)('RFC 5545: %s', (_, start, rule, expected) => {
  const found = days(file(`DTSTART;TZID=America/New_York:${start}T090000\r\nSUMMARY:Tide\r\nRRULE:${rule}`));
  expect(found.slice(0, expected.length)).toEqual(expected);
  if (/COUNT|UNTIL/.test(rule)) expect(found).toHaveLength(expected.length);
});

test('what comes every year comes every year; a stay lasts all its days; the same in words', () => {
  const { events } = read(
    file(
      'DTSTART;VALUE=DATE:20180803\r\nSUMMARY:Ada’s birthday\r\nRRULE:FREQ=YEARLY',
      'DTSTART;VALUE=DATE:20200101\r\nSUMMARY:New Year\r\nRRULE:FREQ=YEARLY',
      'DTSTART;VALUE=DATE:20270529\r\nDTEND;VALUE=DATE:20270531\r\nSUMMARY:Fly-in\\, at the \r\n bay',
    ),
    2027,
    2027,
  );
  expect(events).toEqual([
    { kind: 'birthday', name: 'Ada', month: 8, day: 3, year: 2018 },
    { kind: 'yearly', name: 'New Year', month: 1, day: 1 },
    { kind: 'once', name: 'Fly-in, at the bay', year: 2027, month: 5, day: 29 },
    { kind: 'once', name: 'Fly-in, at the bay', year: 2027, month: 5, day: 30 },
  ]);
});

test('what is written is read again as it was', () => {
  const events: DayEvent[] = [
    { id: 'a', kind: 'birthday', name: 'Ada, the younger', month: 8, day: 3, year: 2018 },
    { id: 'f', kind: 'yearly', name: 'Fly-in', month: 5, nth: -1, weekday: 6 },
    { id: 'c', kind: 'anniversary', name: 'The club; founded', month: 9, day: 12, year: 2009 },
    { id: 'o', kind: 'once', name: 'Moving', month: 3, day: 4, year: 2027 },
    { id: 'x', kind: 'yearly', name: 'New Year', month: 1, day: 1 },
    { id: 'w', kind: 'birthday', name: 'Wren', month: 7, day: 6 },
  ];
  const text = writeDays(events, 2027, 'february', new Date('2026-11-27T10:00:00Z'));
  expect(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
  expect(read(text, 2027, 2027)).toEqual({ events: events.map(({ id: _, ...event }) => event), told: [] });
});

test('any days to remember, written in any year: none is lost, and all are what they were', () => {
  const name = fc.oneof(
    fc.constantFrom(
      'Ada, the younger',
      'Wedding fair',
      'Birthday',
      'Ines; Olu',
      'Kites 🪁 over Žižkov',
      'a\\\\b',
      '“Low, low” tide',
    ),
    fc
      .string({ minLength: 1, maxLength: 90, unit: 'grapheme' })
      .map((text) => asName(text, 100))
      .filter(Boolean),
  );
  const on = fc.oneof(
    fc.constantFrom({ month: 2, day: 29 }, { month: 12, day: 31 }, { month: 1, day: 1 }),
    fc.record({ month: fc.integer({ min: 1, max: 12 }), day: fc.integer({ min: 1, max: 28 }) }),
    fc.record({
      month: fc.integer({ min: 1, max: 12 }),
      nth: fc.constantFrom(-1, 1, 2, 3, 4, 5),
      weekday: fc.integer({ min: 1, max: 7 }) as fc.Arbitrary<Weekday>,
    }),
  );
  const years = fc.option(fc.integer({ min: 1, max: 9990 }), { nil: undefined });
  const event = fc
    .record({
      name,
      on,
      year: years,
      kind: fc.constantFrom<EventKind>('birthday', 'anniversary', 'yearly', 'once'),
    })
    .map(({ on: when, year, kind, ...rest }): Omit<DayEvent, 'id'> => {
      if (kind === 'once')
        return {
          ...rest,
          kind,
          year: year ?? 2027,
          month: when.month,
          day: 'day' in when ? Math.min(28, when.day) : 9,
        };
      const leap = 'day' in when && when.day === 29;
      // Nobody was born on a 29th of February there was not.
      return {
        ...rest,
        kind,
        ...when,
        ...(year === undefined ? {} : { year: leap ? 4 * Math.ceil(year / 400) * 100 - 4 || 4 : year }),
      };
    });
  fc.assert(
    fc.property(fc.array(event, { maxLength: 8 }), fc.integer({ min: 1583, max: 9000 }), (events, year) => {
      const written = writeDays(
        events.map((each, i) => ({ ...each, id: `d${i}` })),
        year,
        'march',
        new Date(0),
      );
      const read = readDaysFile(written, year, year);
      if (!events.length) return expect(read.ok).toBe(false);
      expect(read).toEqual({ ok: true, value: { events, told: [] } });
      return undefined;
    }),
    { numRuns: 100 },
  );
});

test('addresses bring birthdays, with their year or without', () => {
  const card = (name: string, ...lines: string[]) =>
    ['BEGIN:VCARD', 'VERSION:4.0', `FN:${name}`, ...lines, 'END:VCARD'].join('\r\n');
  const text = [
    card('Olu', 'BDAY:19880229'),
    card('Wren', 'BDAY:--0706'),
    card('Ada', 'BDAY;VALUE=date:2018-08-03', 'ANNIVERSARY:20200614'),
    card('Bo', 'BDAY;X-APPLE-OMIT-YEAR=1604:1604-04-21'),
    card('Nobody', 'BDAY:--0230'),
  ].join('\r\n');
  const { events, told } = read(text);
  expect(events.map(({ kind, name, month, day, year }) => [kind, name, month, day, year])).toEqual([
    ['birthday', 'Olu', 2, 29, 1988],
    ['birthday', 'Wren', 7, 6, undefined],
    ['birthday', 'Ada', 8, 3, 2018],
    ['anniversary', 'Ada', 6, 14, 2020],
    ['birthday', 'Bo', 4, 21, undefined],
  ]);
  // There is no 30th of February.
  expect(told).toEqual(['1 entry could not be read.']);
});

test('addresses out of phones: letters as numbers, over several lines, in any encoding they name or do not', () => {
  const card = (...lines: string[]) => ['begin:vcard', 'VERSION:2.1', ...lines, 'end:vcard'].join('\r\n');
  const quoted = 'ENCODING=QUOTED-PRINTABLE';
  const text = [
    card(`N;CHARSET=UTF-8;${quoted}:=4D=C3=BC=6C=6C=65=72;=5A=6F=C3=AB;;;`, 'BDAY:1988-02-29'),
    card(`FN;CHARSET=UTF-8;${quoted}:=53=C3=B8=72=65=6E=20=\r\n=4B=69=65=72=6B=65`, 'BDAY:--07-06'),
    card(`FN;CHARSET=ISO-8859-1;${quoted}:Zo=EB`, 'BDAY:2018-08-03'),
    card('FN;QUOTED-PRINTABLE:Zo=EB', 'BDAY:2018-08-04'),
    card(`FN;CHARSET=NOBODY-1;${quoted}:Zo=C3=AB`, 'BDAY:2018-08-05'),
    // The end of a picture is no line that goes on.
    card('FN:Ada\\nand Bo\\, both', 'PHOTO;ENCODING=BASE64;JPEG:/9j/4AAQSkZJRg==', 'BDAY:2018-08-06'),
    // What looks so and is not said to be is what it is.
    card('FN:A=42', 'BDAY:2018-08-07'),
  ].join('\r\n');
  const { events, told } = read(text);
  expect(told).toEqual([]);
  expect(events.map(({ name, day }) => [name, day])).toEqual([
    ['Zoë Müller', 29],
    ['Søren Kierke', 6],
    ['Zoë', 3],
    ['Zoë', 4],
    ['Zoë', 5],
    ['Ada and Bo, both', 6],
    ['A=42', 7],
  ]);
});

test('a file of any encoding is read in it', () => {
  const text = 'Zoë, Łukasz, 凧 🪁';
  const utf16 = (little: boolean) => {
    const marked = `\ufeff${text}`;
    const units = new DataView(new ArrayBuffer(2 * marked.length));
    for (let i = 0; i < marked.length; i++) units.setUint16(2 * i, marked.charCodeAt(i), little);
    return new Uint8Array(units.buffer);
  };
  const utf8 = new TextEncoder().encode(text);
  for (const bytes of [utf8, Uint8Array.of(0xef, 0xbb, 0xbf, ...utf8), utf16(true), utf16(false)])
    expect(decodedText(bytes)).toBe(text);
  // Node 20 knows no more of Windows-1252 than ISO 8859-1 has; browsers do.
  expect(decodedText(Uint8Array.of(0x5a, 0x6f, 0xeb))).toBe('Zoë');
  // One letter that was cut off makes no other file of it.
  expect(decodedText(utf8.slice(0, -1))).toBe('Zoë, Łukasz, 凧 \ufffd');
  expect(decodedText(new Uint8Array())).toBe('');
});

test('damaged, endless and overlong files: a sentence, and the rest arrives', () => {
  const good = 'DTSTART;VALUE=DATE:20270529\r\nSUMMARY:Fly-in';
  const cut = file(good, good).slice(0, -40);
  expect(read(cut)).toEqual({
    events: [expect.objectContaining({ name: 'Fly-in' })],
    told: ['1 entry could not be read.'],
  });
  const bad = [
    'DTSTART:20270101T000000Z\r\nSUMMARY:Tick\r\nRRULE:FREQ=SECONDLY',
    'DTSTART;VALUE=DATE:20270230\r\nSUMMARY:Never\r\nRRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
    'DTSTART;TZID=Nowhere/None:20270529T120000\r\nSUMMARY:Far',
    `DTSTART;VALUE=DATE:20270529\r\nSUMMARY:Long\r\nDESCRIPTION:${'x'.repeat(10_000_000)}`,
    'SUMMARY:No day',
  ];
  const { events, told } = read(file(...bad, good), 2027, 2027);
  expect(events.map(({ name }) => name)).toEqual(['Far', 'Long', 'Fly-in']);
  expect(told).toEqual(['3 entries could not be read.']);
  const endless = read(file('DTSTART;VALUE=DATE:19000101\r\nSUMMARY:Daily\r\nRRULE:FREQ=DAILY'), 2027, 2027);
  expect(endless.events.length).toBeLessThanOrEqual(365);
  const crowd = read(file(...Array.from({ length: 3000 }, () => good)));
  expect(crowd.events).toHaveLength(2000);
  expect(crowd.told).toEqual(['A project holds 2,000 days: 1,000 more were left out.']);
  expect(readDaysFile('no calendar', 2027, 2027)).toMatchObject({ ok: false });
  expect(readDaysFile('x'.repeat(20_000_001), 2027, 2027)).toMatchObject({ ok: false });
});
