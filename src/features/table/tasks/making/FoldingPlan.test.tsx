/** The plan of a folded book, held against sheets that are really folded. */
import { expect, test } from '@jest/globals';
import { render, screen, within } from '@testing-library/react';
import { FoldingPlan } from '@/features/table/tasks/making/FoldingPlan';

const PAGE = { width: 360, height: 576 };
const shown = (pages: number, folds: number, nested?: number) => {
  const { container, unmount } = render(
    <FoldingPlan pages={pages} folding={nested ? { folds, nested } : { folds }} page={PAGE} />,
  );
  const figure = within(screen.getByRole('figure', { name: 'Which page goes where' }));
  const says = figure.getAllByRole('img').map((side) => side.getAttribute('aria-label'));
  const more = /and (\d+) more/.exec(container.textContent!)?.[1];
  const turned = [...container.querySelectorAll('text')].flatMap((number) =>
    number.getAttribute('transform')!.endsWith('rotate(180)') ? number.textContent! : [],
  );
  unmount();
  return { says, more, turned };
};

test('eight pages of two sheets laid into each other: outermost first, as a saddle-stitched booklet lies open', () => {
  // Common practice of imposition, no source: on the outside of sheet 1 lie the last page and the first.
  expect(shown(8, 1).says).toEqual([
    'Sheet 1, front: 8, 1',
    'Sheet 1, back: 2, 7',
    'Sheet 2, front: 6, 3',
    'Sheet 2, back: 4, 5',
  ]);
});

test('folded twice the upper row stands on its head, and pages that are wanting stay blank', () => {
  const { says, turned } = shown(6, 2);
  expect(says).toHaveLength(2);
  const pages = says.flatMap((side) => side!.split(': ')[1]!.split(', '));
  expect(pages.filter((page) => page === 'blank')).toHaveLength(2);
  expect(
    pages
      .filter((page) => page !== 'blank')
      .map(Number)
      .sort(),
  ).toEqual([1, 2, 3, 4, 5, 6]);
  const { turned: ofEight } = shown(8, 2);
  expect([turned.length, ofEight.length]).toEqual([4, 4]);
});

test('six sheets are shown; how many more there are is said', () => {
  expect(shown(24, 1)).toMatchObject({ more: undefined, says: { length: 12 } });
  expect(shown(48, 1, 2)).toMatchObject({ more: '6', says: { length: 12 } });
});
