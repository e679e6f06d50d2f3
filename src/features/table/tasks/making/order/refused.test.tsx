/** What a shop could not print, each with its cure. */
import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { bookIn, pagesOf } from '@/core/product/book';
import { withPages } from '@/core/product/book/settings';
import { Refused } from '@/features/table/tasks/making/order/Refused';
import type { OrderRow } from '@/storage/database';
import { book } from '../../../../../../scripts/testing/books';
import { seatedAt } from '../../../../../../scripts/testing/room';

test('a shop that could not bind so few pages: one press gives the pages it lacks', async () => {
  const says = 'It has 12 pages; we make books of 20 to 200 pages.';
  const answer = { accepted: false, reasons: [{ code: 'few pages', says }], notes: [] };
  const row = { shop: 'The shop', state: { order: 'o', stage: 'checked', answer } } as unknown as OrderRow;
  const begun = book();
  const thin = { ...begun, product: withPages(bookIn(begun.product)!, 12) };
  const { press, project, undo } = await seatedAt(
    <Refused row={row} onShown={() => {}} onForget={() => {}} />,
    thin,
  );
  screen.getByText(says);
  await press('Add 8 pages');
  expect(pagesOf(bookIn(project().product)!)).toBe(20);
  expect(undo()).toBe('make it 20 pages');
});
