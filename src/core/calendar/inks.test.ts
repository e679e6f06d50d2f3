/** Twelve sets of ink: readable on white by WCAG 2.2’s own formula, dealt to their months, and given back. */
import { INK_YEARS, dealInks, monthInks, type InkYear } from '@/core/calendar/inks';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import { perform, startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { readProject, writeProject } from '@/core/project/file';
import { lockPage } from '@/core/project/edits/page';
import { layPieces } from '@/core/project/edits/pile';
import { calendar, FORMS } from '../../../scripts/testing/calendars';
import { inkPiece, laid } from '../../../scripts/testing/samples';

/** Contrast on white (WCAG 2.2, relative luminance and contrast ratio). */
function contrast(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const value = parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 1.05 / (0.2126 * r + 0.7152 * g + 0.0722 * b + 0.05);
}

describe.each(INK_YEARS)('$name', ({ sets }) => {
  test('has a set for each month, no two alike', () => {
    expect(sets).toHaveLength(12);
    expect(new Set(sets.map((set) => set.join())).size).toBe(12);
    for (const set of sets) for (const ink of set) expect(ink).toMatch(/^#[0-9a-f]{6}$/);
  });

  test('numbers, titles and what days are can be read on white; rules are seen and stand back', () => {
    sets.forEach(([dark, main, second, soft], month) => {
      expect([month, contrast(dark) >= 7]).toEqual([month, true]);
      expect([month, contrast(main) >= 4.5]).toEqual([month, true]);
      expect([month, contrast(second) >= 4.5]).toEqual([month, true]);
      expect([month, contrast(soft) > 1.4 && contrast(soft) < 3]).toEqual([month, true]);
    });
  });
});

const monthsOf = ({ surfaces }: Project) =>
  surfaces.flatMap(({ pile }) =>
    pile.flatMap(({ material }) => (material.kind === 'month' ? [material as MonthMaterial] : [])),
  );
const titlesOf = ({ surfaces }: Project) =>
  surfaces.map(({ pile }) =>
    pile.flatMap(({ role, material }) =>
      role === 'title' && material.kind === 'ink' ? [material.colour] : [],
    ),
  );
const deal = (project: Project, year: InkYear | null) => {
  const edit = dealInks(project, year)!;
  const dealt = perform(startHistory(project), edit, 0).project;
  expect(readProject(writeProject(dealt))).toEqual({ ok: true, value: dealt });
  return dealt;
};
const [SHORE, GARDEN] = INK_YEARS as [InkYear, InkYear];

test.each(FORMS)('%s: every month is written in its own, wherever it lies', (form) => {
  for (const material of monthsOf(deal(calendar(form), SHORE)))
    expect(material.inks).toMatchObject(monthInks(SHORE.sets[material.month - 1]!));
});

test('titles that live wear the main ink of their month; another year of inks takes its place', () => {
  const shore = deal(calendar('month'), SHORE);
  // The cover is of its first month.
  expect(titlesOf(shore)).toEqual([SHORE.sets[0]!, ...SHORE.sets].map(([, main]) => [main]));
  const garden = deal(shore, GARDEN);
  expect(titlesOf(garden)).toEqual([GARDEN.sets[0]!, ...GARDEN.sets].map(([, main]) => [main]));
  expect((garden.product as { inks?: string[][] }).inks).toEqual(GARDEN.sets.map((set) => [...set]));
});

test('what wore an ink of the set before wears the one in its place; what had an ink of its own keeps it', () => {
  const shore = deal(calendar('month'), SHORE);
  const page = shore.surfaces[5]!;
  const inked = (id: string, colour: string) => ({
    ...inkPiece(id),
    material: { kind: 'ink' as const, colour },
  });
  const worn = perform(
    startHistory(shore),
    layPieces(page.id, [
      inked('soft', SHORE.sets[4]![3]),
      inked('second', SHORE.sets[4]![2]),
      inked('own', '#0a0b0c'),
    ]),
    0,
  ).project;
  const colours = (project: Project) =>
    Object.fromEntries(
      project.surfaces[5]!.pile.flatMap(({ id, material }) =>
        material.kind === 'ink' ? [[id, material.colour]] : [],
      ),
    );
  expect(colours(deal(worn, GARDEN))).toMatchObject({
    soft: GARDEN.sets[4]![3],
    second: GARDEN.sets[4]![2],
    own: '#0a0b0c',
  });
});

test('dealt none, what is written stays as it is, and the next year finds nothing to take the place of', () => {
  const shore = deal(calendar('month'), SHORE);
  const none = deal(shore, null);
  expect(none.product).not.toHaveProperty('inks');
  expect(none.surfaces).toEqual(shore.surfaces);
});

test('a locked month keeps what it has', () => {
  const plain = calendar('month');
  const locked = perform(startHistory(plain), lockPage(plain.surfaces[2]!.id, true), 0).project;
  const dealt = deal(locked, SHORE);
  expect(dealt.surfaces[2]).toEqual(locked.surfaces[2]);
  expect(titlesOf(dealt)[4]).toEqual([SHORE.sets[3]![1]]);
});

test('of what is no calendar there are no months to deal to', () => {
  expect(dealInks(laid([inkPiece('a')]), SHORE)).toBeNull();
});
