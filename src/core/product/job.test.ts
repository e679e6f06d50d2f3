/** What a print shop is sent of every product, however it is folded, bound or dated: a ticket that it can read. */
import { expect, test } from '@jest/globals';
import { jobOf } from '@/core/product/job';
import { readTicket } from '@/core/order/ticket';
import { beginProduct, PRODUCTS, type ProductName } from '@/core/product';
import { newProject } from '@/core/project/model';

const SIZES = {
  layout: [864, 864],
  card: [306, 396],
  calendar: [504, 360],
  book: [576, 576],
  sheet: [288, 216],
};
const WAYS = (Object.keys(PRODUCTS) as ProductName[]).flatMap((kind) =>
  (PRODUCTS[kind].ways?.all ?? [{ id: undefined }]).map(({ id }) => [kind, id] as const),
);

test.each(WAYS)('%s %s', (kind, way) => {
  const [width, height] = SIZES[kind] as [number, number];
  const begun = beginProduct(kind, { width, height }, way, { year: 2026, month: 11 });
  const project = newProject({ id: 'p', title: 'Kites', unit: 'mm' }, begun);
  const job = jobOf(project);
  // Things packed on paper are printed at home.
  if (kind === 'sheet') return expect(job).toBeNull();
  const ticket = {
    ...{
      ticket: 1,
      job: '0b8a2d2c-5e0f-4d1f-9a53-6f8f7a2f6d11',
      title: 'Kites',
      customer: 'Ines',
      copies: 1,
    },
    ...{ product: job!.product, condition: 'FOGRA39' },
    files: job!.files.map(({ taken: _, ...file }) => ({ ...file, bytes: 1, sha256: 'a'.repeat(64) })),
  };
  expect(readTicket(ticket)).toEqual({ ok: true, value: ticket });
  for (const { taken, pages, width: w, height: h } of job!.files) {
    expect(taken).toHaveLength(pages);
    for (const { surface, panel } of taken) {
      const size = panel?.box ?? surface;
      expect([size.width, size.height].map((points) => (points * 25.4) / 72)).toEqual([
        expect.closeTo(w, 1),
        expect.closeTo(h, 1),
      ]);
    }
  }
  return undefined;
});
