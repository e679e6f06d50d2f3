/** Which pages are made, and what their files are called, as people write it. */
import fc from 'fast-check';
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

test('whatever pages are called, each has a file of its own, on machines that take capitals for small letters, too', () => {
  const named = (pattern: string, pages: string[]) => {
    const names = namesBy(pattern, { title: 'Kites', date: '2026-11-28' }, pages);
    if (!names.ok) throw new Error(names.message);
    return names.value;
  };
  expect(named('{name}', ['Tea', 'Tea', 'Tea 2', 'tea'])).toEqual(['Tea', 'Tea 2', 'Tea 2 2', 'tea 3']);
  const name = fc.oneof(
    fc.constantFrom('a', 'A', 'a 2', 'a 2 2', 'b', '..', 'con', 'a/b', 'a:b', '', 'ä', 'Ä'),
    fc.string({ maxLength: 90, unit: 'grapheme' }),
  );
  fc.assert(
    fc.property(
      fc.array(name, { minLength: 1, maxLength: 30 }),
      fc.constantFrom(FIRST_PATTERN, '{name}', '{title} {name}', '{title}', ''),
      (pages, pattern) => {
        const names = named(pattern, pages);
        expect(names).toHaveLength(pages.length);
        expect(new Set(names.map((one) => one.toLowerCase())).size).toBe(names.length);
        for (const one of names) expect(one).toMatch(/^[^\s.\\/:*?"<>|]([^\\/:*?"<>|]*[^.\s\\/:*?"<>|])?$/u);
      },
    ),
  );
});
