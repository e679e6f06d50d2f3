import { byStretch, foundBy } from '@/features/home/finding';

const NOW = new Date(2026, 10, 27, 9).getTime();
const day = (back: number): number => new Date(2026, 10, 27 - back, 8).getTime();
const PROJECTS = [
  { title: 'Lantern night', edited: day(0) },
  { title: 'Thank you for the string', edited: day(2), product: 'card' as const },
  { title: 'Tide pools', edited: day(6), product: 'layout' as const },
  { title: 'Überfahrt, Fähre', edited: day(7) },
  { title: 'Kites', edited: day(40) },
];
const titles = (found: readonly { title: string }[]) => found.map(({ title }) => title);

test('projects are found by every word of their title, accents and capitals aside, and by what they are', () => {
  const found = (words: string, product: 'card' | 'layout' | null = null) =>
    titles(foundBy(PROJECTS, { words, product }));
  expect(found('STRING thank')).toEqual(['Thank you for the string']);
  expect(found('fahre uber')).toEqual(['Überfahrt, Fähre']);
  expect(found('', 'card')).toEqual(['Thank you for the string']);
  // What does not say is a layout: rows of older times.
  expect(found('', 'layout')).toHaveLength(4);
  expect(found('nothing')).toEqual([]);
  // Letters that are typed as others, either way round.
  const north = [{ title: 'Große Straße' }, { title: 'Ærø, Sjælland' }, { title: 'Łódź' }];
  for (const [words, title] of [
    ['strasse', 'Große Straße'],
    ['GROẞE', 'Große Straße'],
    ['aero sjael', 'Ærø, Sjælland'],
    ['sjælland', 'Ærø, Sjælland'],
    ['lodz', 'Łódź'],
  ] as const)
    expect([words, titles(foundBy(north, { words, product: null }))]).toEqual([words, [title]]);
});

test('they lie by today, the last week and months, the newest first', () => {
  expect(byStretch(PROJECTS, NOW).map(({ stretch, projects }) => [stretch, projects.length])).toEqual([
    ['Today', 1],
    ['In the last week', 2],
    ['November 2026', 1],
    ['October 2026', 1],
  ]);
});
