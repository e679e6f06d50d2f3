/** Chapters of a book, whatever was photographed when: every photo is in one, in its order; none is too short; titles say where and when. */
import fc from 'fast-check';
import { chaptersOf, peopleIn, spanInWords } from '@/core/book/chapters';
import { occasionsOf } from '@/core/photos/occasions';
import { dayInWords, secondsOf, takenInWords } from '@/core/photos/when';
import type { Asset } from '@/core/picture/asset';
import { assetOf } from '../../../scripts/testing/samples';

const HOUR = 3600;
const START = Date.UTC(2026, 4, 16, 8) / 1000;
const iso = (seconds: number): string => new Date(1000 * seconds).toISOString().slice(0, 19);
const photo = (taken?: string, place?: string, people?: string[]): Asset =>
  assetOf(Buffer.from(`${taken} ${place}`), 30, 20, {
    ...(taken ? { taken } : {}),
    notes: { ...(place ? { place } : {}), ...(people ? { people } : {}) },
  });

/** Photos in the order they were taken, those that do not say last; minutes, hours or days apart. */
const anyPhotos = fc
  .tuple(
    fc.array(
      fc.tuple(
        fc.constantFrom(20, 600, 3 * HOUR, 11 * HOUR, 40 * HOUR, 90 * 24 * HOUR),
        fc.double({ min: 0.5, max: 2, noNaN: true }),
        fc.constantFrom(undefined, 'Saltmarsh Bay', 'The boathouse, Saltmarsh'),
      ),
      { maxLength: 40 },
    ),
    fc.nat(4),
  )
  .map(([steps, untimed]) => {
    let at = START;
    return [
      ...steps.map(([gap, times, place]) => photo(iso(Math.round((at += gap * times))), place)),
      ...Array.from({ length: untimed }, () => photo()),
    ];
  });

test('occasions part photos where the time between is long: in their order, none lost, and never within half an hour', () => {
  fc.assert(
    fc.property(anyPhotos, (photos) => {
      const found = occasionsOf(photos);
      expect(found.flatMap((occasion) => occasion.photos)).toEqual(photos);
      found.forEach(({ from, to, photos: [first, ...rest] }, i) => {
        expect(from).toBe(first!.taken);
        expect(to).toBe((rest.at(-1) ?? first)!.taken);
        const before = found[i - 1]?.to;
        if (!before || !from) return;
        const gap = secondsOf(from) - secondsOf(before);
        expect(gap).toBeGreaterThanOrEqual(1800);
      });
      // What lies more than nine hours apart is never one.
      for (const { photos: all } of found)
        all.slice(1).forEach(({ taken }, i) => {
          if (taken) expect(secondsOf(taken) - secondsOf(all[i]!.taken!)).toBeLessThanOrEqual(9 * HOUR);
        });
    }),
  );
});

test('whatever there is: as many photos in chapters as there are, three to a chapter at least, no more chapters than are asked for', () => {
  fc.assert(
    fc.property(anyPhotos, fc.integer({ min: 0, max: 9 }), (photos, most) => {
      const chapters = chaptersOf(photos, most);
      expect(chapters.reduce((sum, { count }) => sum + count, 0)).toBe(photos.length);
      expect(chapters.length).toBeLessThanOrEqual(Math.max(1, most));
      if (chapters.length > 1) for (const { count } of chapters) expect(count).toBeGreaterThanOrEqual(3);
      let from = 0;
      for (const { title, under, count } of chapters) {
        const own = photos.slice(from, (from += count));
        expect(title).not.toBe('');
        const when = spanInWords(own);
        // Where it was, if three in ten say so, and when beneath; else when.
        const places = own.flatMap(({ notes }) => notes?.place?.split(',')[0] ?? []);
        const named = ['Saltmarsh Bay', 'The boathouse'].map(
          (place) => places.filter((one) => one === place).length,
        );
        if (Math.max(...named) >= 0.3 * own.length) {
          expect(named[['Saltmarsh Bay', 'The boathouse'].indexOf(title)]).toBe(Math.max(...named));
          expect(under).toBe(when);
        } else expect([title, under]).toEqual([when || 'And more', '']);
      }
    }),
  );
});

test('of chapters too many those nearest in time are joined', () => {
  const days = [0, 1, 30, 60].flatMap((day) =>
    [0, 1, 2].map((i) => photo(iso(START + day * 24 * HOUR + i * 60))),
  );
  expect(chaptersOf(days, 4).map(({ count }) => count)).toEqual([3, 3, 3, 3]);
  expect(chaptersOf(days, 3).map(({ title, count }) => [title, count])).toEqual([
    ['16–17 May 2026', 6],
    ['15 June 2026', 3],
    ['15 July 2026', 3],
  ]);
  // Too few photos for a chapter join the nearer one.
  const lone = [...days.slice(0, 3), photo(iso(START + 26 * HOUR)), ...days.slice(6)];
  expect(chaptersOf(lone, 9).map(({ count }) => count)).toEqual([4, 3, 3]);
});

test.each([
  [['2026-05-16T23:59:59', '2026-05-16T00:00:00'], '16 May 2026'],
  [['2026-05-16T12:00:00', '2026-05-18T12:00:00'], '16–18 May 2026'],
  [['2026-02-28T12:00:00', '2026-03-01T12:00:00'], 'February – March 2026'],
  [['2026-01-01T00:00:00', '2025-12-31T23:59:59'], 'December 2025 – January 2026'],
  [['2026-05-16T12:00:00', undefined], '16 May 2026'],
  [[undefined], ''],
  [[], ''],
] as const)('from %j to the last: “%s”', (times, says) => {
  expect(spanInWords(times.map((taken) => ({ taken })))).toBe(says);
});

test('a day is named by its weekday (`date -d`, GNU coreutils), a time by its minute', () => {
  expect(dayInWords('2026-05-16T14:32:00')).toBe('Saturday 16 May 2026');
  expect(dayInWords('2000-02-29T00:00:00')).toBe('Tuesday 29 February 2000');
  expect(dayInWords('1899-12-31T23:59:59')).toBe('Sunday 31 December 1899');
  expect(takenInWords('1899-12-31T23:59:59')).toBe('31 December 1899, 23:59');
  expect(takenInWords(undefined)).toBe('');
});

test('everybody is named once, those on most photos first, the others by their names', () => {
  const all = [['Tom', 'Orla'], ['Orla'], ['Ines', 'Orla'], ['Ada'], undefined].map((people) =>
    photo(undefined, undefined, people),
  );
  expect(peopleIn(all)).toEqual(['Orla', 'Ada', 'Ines', 'Tom']);
});
