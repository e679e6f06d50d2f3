/** What the stand-in shop looks for, check by check: to the tenth of a millimetre, the pixel and the page from which it says so. */
import type { Ticket, TicketFile } from '@/core/order/ticket';
import { MOST_FOUND } from '@/core/order/answers';
import { BLEED, CATALOGUE, GOOD_PPI, LEAST_PPI, PRINTED, TOLERANCE } from '@/standins/shop/catalogue';
import { looked, type JobFile } from '@/standins/shop/checks';
import type { PageRead } from '@/standins/shop/reading';

const evenly = (by: number) => ({ left: by, right: by, top: by, bottom: by });
const page = (change: Partial<PageRead> = {}): PageRead => ({
  ...{ trim: { width: 150, height: 100 }, bleed: evenly(BLEED), blank: false, photographs: [] },
  ...change,
});
const file = (pages: readonly PageRead[], change: Partial<TicketFile> = {}, read: object = {}): JobFile => ({
  ticket: {
    ...{ name: 'pages.pdf', part: 'pages', bytes: 9, sha256: 'a'.repeat(64) },
    ...{ pages: pages.length, width: 150, height: 100 },
    ...change,
  },
  read: { pages: [...pages], condition: 'FOGRA39', points: [], ...read },
});
const ticket = (product: Partial<Ticket['product']> = {}, change: Partial<Ticket> = {}): Ticket => ({
  ...{
    ticket: 1,
    job: 'j',
    title: 'Kites',
    customer: 'Ines Marrow',
    copies: 1,
    condition: 'FOGRA39',
    files: [],
  },
  product: { is: 'sheets', width: 150, height: 100, pages: 1, ...product },
  ...change,
});
const reasons = (order: Ticket, ...files: JobFile[]) =>
  looked(order, files).reasons.map(({ code, says }) => `${code}: ${says}`);
const codes = (order: Ticket, ...files: JobFile[]) => looked(order, files).reasons.map(({ code }) => code);
const many = (count: number, change: Partial<PageRead> = {}) =>
  Array.from({ length: count }, () => page(change));

test('what is right is accepted, with nothing to say', () => {
  expect(looked(ticket(), [file([page()])])).toEqual({ accepted: true, reasons: [], notes: [] });
});

describe('what it prints', () => {
  test.each(Object.entries(PRINTED))(
    '%s: as large and as many as it says, and no more',
    (is, { longest, pages, cover }) => {
      const job = (count: number, side: number) => {
        const size = { width: side, height: 100 };
        const inside = file(many(count, { trim: size }), size);
        const around = { width: 2 * side + 12, height: 100 };
        const outside = file([page({ trim: around })], { name: 'cover.pdf', part: 'cover', ...around });
        return codes(
          ticket({ is: is as 'book', ...size, pages: count }),
          inside,
          ...(cover ? [outside] : []),
        );
      };
      expect(job(pages.least, longest)).toEqual([]);
      expect(job(pages.most, longest + TOLERANCE)).toEqual([]);
      expect(job(pages.least, longest + TOLERANCE + 0.1)).toEqual(['size']);
      expect(job(pages.most + pages.step, 150)).toEqual(['many pages']);
      if (pages.least > 1) expect(job(pages.least - 1, 150)).toEqual(['few pages']);
    },
  );

  test('a book of an odd number of pages is told what would do', () => {
    const inside = file(many(21));
    const cover = file([page({ trim: { width: 320, height: 100 } })], {
      name: 'cover.pdf',
      part: 'cover',
      width: 320,
      height: 100,
    });
    expect(reasons(ticket({ is: 'book', pages: 21 }), inside, cover)).toEqual([
      'few pages: 21 pages: we need a multiple of 2.',
    ]);
  });

  test('under the conditions it has; another is named beside them', () => {
    for (const condition of CATALOGUE.conditions)
      expect(codes(ticket({}, { condition }), file([page()], {}, { condition }))).toEqual([]);
    expect(reasons(ticket({}, { condition: 'GRACoL' }), file([page()], {}, { condition: 'GRACoL' }))).toEqual(
      ['condition: We print under FOGRA39, FOGRA29, CGATS TR 006, not under “GRACoL”.'],
    );
  });
});

describe('whether all of it came', () => {
  test('a book without its cover; pages that are not there, in a file and in all', () => {
    expect(codes(ticket({ is: 'book', pages: 20 }), file(many(20)))).toEqual(['cover']);
    expect(reasons(ticket({ pages: 3 }), file(many(2), { pages: 3 }))).toEqual([
      'count: The ticket says 3 pages; the file has 2.',
      'count: 3 pages are ordered, and the files hold 2.',
    ]);
  });

  test('a cover’s page is none of the pages that are ordered; several files are counted together', () => {
    const halves = [file(many(2)), file(many(2), { name: 'more.pdf' })];
    expect(codes(ticket({ is: 'calendar', pages: 4 }), ...halves)).toEqual([]);
    expect(codes(ticket({ is: 'calendar', pages: 5 }), ...halves)).toEqual(['count']);
  });
});

describe('sizes', () => {
  test.each([
    [150, []],
    [150 + TOLERANCE, []],
    [150 + TOLERANCE + 0.05, ['size']],
    [150 - TOLERANCE - 0.05, ['size']],
  ])('a page %f mm wide where 150 are ordered', (width, found) => {
    expect(codes(ticket(), file([page({ trim: { width, height: 100 } })]))).toEqual(found);
  });

  test('the page is named, counted from one, with both sizes', () => {
    const answer = looked(ticket({ pages: 3 }), [
      file([page(), page({ trim: { width: 140, height: 100 } }), page()]),
    ]);
    expect(answer.reasons).toEqual([
      {
        code: 'size',
        file: 'pages.pdf',
        page: 2,
        says: 'The trimmed page measures 140 x 100 mm; 150 x 100 mm are ordered.',
      },
    ]);
  });

  test('a cover goes round front, spine and back', () => {
    const order = ticket({ is: 'book', pages: 20, spine: 8 });
    const cover = (width: number) =>
      file([page({ trim: { width, height: 100 } })], {
        name: 'cover.pdf',
        part: 'cover',
        width,
        height: 100,
      });
    expect(codes(order, file(many(20)), cover(308))).toEqual([]);
    expect(codes(order, file(many(20)), cover(340))).toEqual([]);
    expect(reasons(order, file(many(20)), cover(300))).toEqual([
      'size: The cover measures 300 x 100 mm; front, spine and back are 308 x 100 mm at least.',
    ]);
  });
});

describe('bleed', () => {
  const says = (bleed: Partial<ReturnType<typeof evenly>>, order = ticket(), at = 1) =>
    looked(order, [
      file(
        many(order.product.pages).map((one, i) =>
          i + 1 === at ? { ...one, bleed: { ...one.bleed, ...bleed } } : one,
        ),
      ),
    ])
      .reasons.filter(({ code }) => code === 'bleed')
      .map(({ says: text, page: on }) => `${on}: ${text.split(';')[0]}`);

  test('at every edge that is cut, to half of what a cut may be off', () => {
    for (const side of ['left', 'right', 'top', 'bottom'] as const) {
      expect(says({ [side]: BLEED - TOLERANCE })).toEqual([]);
      expect(says({ [side]: BLEED - TOLERANCE - 0.05 })).toEqual([`1: The bleed is 2.${side ? '8' : ''} mm`]);
      expect(says({ [side]: 0 })).toEqual(['1: There is no bleed']);
    }
  });

  test('a book’s pages are not cut where they are bound: odd ones at their left, even ones at their right', () => {
    const order = ticket({ is: 'book', pages: 20 });
    expect(says({ left: 0 }, order, 1)).toEqual([]);
    expect(says({ right: 0 }, order, 1)).toEqual(['1: There is no bleed']);
    expect(says({ right: 0 }, order, 2)).toEqual([]);
    expect(says({ left: 0 }, order, 2)).toEqual(['2: There is no bleed']);
    expect(says({ top: 0 }, order, 2)).toHaveLength(1);
  });
});

describe('for the press', () => {
  test('a file that names none, or another, is told; the points of the standard only where it is the right one', () => {
    const faults = {
      points: [{ says: 'Fonts are embedded', fault: 'Lora is not' }, { says: 'It has a title' }],
    };
    expect(reasons(ticket(), file([page()], {}, { condition: null, ...faults }))).toEqual([
      'press: It does not say for which press it was made: we need PDF/X-4 with its output intent.',
    ]);
    expect(reasons(ticket(), file([page()], {}, { condition: 'FOGRA29', ...faults }))).toEqual([
      'press: It was made for FOGRA29, and FOGRA39 is ordered.',
    ]);
    expect(reasons(ticket(), file([page()], {}, faults))).toEqual([
      'pdfx: Not PDF/X-4: “Fonts are embedded”: Lora is not.',
    ]);
  });
});

describe('photographs', () => {
  const at = { x: 10, y: 20, width: 30, height: 40 };
  const found = (ppi: number) => looked(ticket(), [file([page({ photographs: [{ ppi, at }] })])]);
  test.each([
    [LEAST_PPI - 0.1, 1, 0],
    [LEAST_PPI, 0, 1],
    [GOOD_PPI - 0.1, 0, 1],
    [GOOD_PPI, 0, 0],
  ])('of %f pixels per inch: %d reasons, %d notes', (ppi, stops, notes) => {
    expect([found(ppi).reasons.length, found(ppi).notes.length]).toEqual([stops, notes]);
    expect(found(ppi).accepted).toBe(stops === 0);
  });
  test('are shown where they lie', () => {
    expect(found(72).reasons).toEqual([
      {
        ...{ code: 'ppi', file: 'pages.pdf', page: 1, at },
        says: 'A photograph is printed at 72 pixels per inch: below 100 its pixels show.',
      },
    ]);
  });
});

test('an empty page is worth knowing and stops nothing', () => {
  const answer = looked(ticket({ pages: 2 }), [file([page(), page({ blank: true })])]);
  expect(answer).toEqual({
    accepted: true,
    reasons: [],
    notes: [{ code: 'blank', file: 'pages.pdf', page: 2, says: 'Nothing is on this page.' }],
  });
});

test('of very many faults as many are told as an answer may hold, and it is refused all the same', () => {
  const answer = looked(ticket({ is: 'calendar', pages: 60 }), [
    file(
      many(60, {
        trim: { width: 9, height: 9 },
        bleed: evenly(0),
        photographs: [{ ppi: 1, at: { x: 0, y: 0, width: 1, height: 1 } }],
      }),
    ),
  ]);
  expect(answer.accepted).toBe(false);
  expect(answer.reasons).toHaveLength(Math.min(MOST_FOUND, 180));
});
