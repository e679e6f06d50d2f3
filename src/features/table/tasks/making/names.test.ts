/** Which pages are made, and what their files are called, as people write it. */
import { expect, test } from '@jest/globals';
import { FIRST_PATTERN, namesBy, pagesWanted } from '@/features/table/tasks/making/names';

test.each([
  ['all', [1, 2, 3, 4, 5]],
  ['', [1, 2, 3, 4, 5]],
  ['3', [3]],
  [' 4-5, 2 – 3, 2', [2, 3, 4, 5]],
])('pages “%s”', (text, pages) => {
  expect(pagesWanted(text, 5)).toEqual({ ok: true, value: pages });
});

test.each([
  ['0', 'There are pages 1 to 5.'],
  ['4-6', 'There are pages 1 to 5.'],
  ['5-4', 'There are pages 1 to 5.'],
  ['two', 'Numbers and ranges, as 2-5, 8; or all.'],
])('what cannot be read of “%s” is said', (text, message) => {
  expect(pagesWanted(text, 5)).toEqual({ ok: false, message });
});

test('files are called by a pattern; no two alike, none as file systems refuse', () => {
  const of = { title: 'A year: kites', date: '2026-11-28' };
  const named = (pattern: string, pages: string[]) => namesBy(pattern, of, pages);
  expect(named(FIRST_PATTERN, ['Front', 'Back'])).toEqual({ ok: true, value: ['1 Front', '2 Back'] });
  expect(named('{date} {title}', ['a', 'b'])).toEqual({
    ok: true,
    value: ['2026-11-28 A year kites', '2026-11-28 A year kites 2'],
  });
  expect(named('{number}', Array.from({ length: 12 }, String))).toMatchObject({
    value: expect.arrayContaining(['01', '12']),
  });
  expect(named('{page}', ['a'])).toEqual({
    ok: false,
    message: '{page} means nothing here; there are {title}, {number}, {name}, {date}.',
  });
});
