/** What lies on the leaves of a calendar as it begins: in every form, size, binding and language. */
import fc from 'fast-check';
import { monthNames } from '@/core/dates/names';
import { monthAfter } from '@/core/dates/days';
import { overlaps, type Box } from '@/core/geometry/box';
import { furnished } from '@/core/calendar/furnish';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { beginProduct, boundOn, panelsOn, sidesOf } from '@/core/product';
import { BINDINGS, type BindingKind } from '@/core/product/calendar/binding';
import { calendarIn, type CalendarProduct } from '@/core/product/calendar';
import { withSettings } from '@/core/product/calendar/settings';
import { FORMS, TODAY } from '../../../scripts/testing/calendars';

const begun = (
  form: (typeof FORMS)[number],
  size = { width: 504, height: 360 },
  change: Partial<CalendarProduct> = {},
) => withSettings(calendarIn(beginProduct('calendar', size, form, TODAY).product)!, change);
const leaves = (product: CalendarProduct) =>
  sidesOf(product)!.map((part, i) => ({ part, pile: furnished(product, part, `s${i}`) }));
const monthsOn = (pile: readonly Piece[]) =>
  pile.flatMap(({ material }) => (material.kind === 'month' ? [material as MonthMaterial] : []));
const textOf = ({ outline }: Piece) => (outline.kind === 'glyphs' ? outline.text : null);
const titles = (pile: readonly Piece[]) => pile.flatMap((piece) => textOf(piece) ?? []);
const holds = (outer: Box, inner: Box) =>
  inner.x > outer.x - 1e-6 &&
  inner.y > outer.y - 1e-6 &&
  inner.x + inner.width < outer.x + outer.width + 1e-6 &&
  inner.y + inner.height < outer.y + outer.height + 1e-6;

const anyCalendar = fc.record({
  form: fc.constantFrom(...FORMS),
  size: fc.record({
    width: fc.integer({ min: 200, max: 1000 }),
    height: fc.integer({ min: 200, max: 1000 }),
  }),
  change: fc.record(
    {
      language: fc.constantFrom('en-GB', 'de', 'el', 'ru', 'fa', 'he', 'ja'),
      cover: fc.boolean(),
      notes: fc.boolean(),
      months: fc.integer({ min: 1, max: 24 }),
      binding: fc.record({
        by: fc.constantFrom(...(Object.keys(BINDINGS) as BindingKind[])),
        at: fc.constantFrom('top' as const, 'left' as const),
      }),
    },
    { requiredKeys: [] },
  ),
});

test('on any leaf of any calendar: each thing lies within it, clear of its binding and of the others', () => {
  fc.assert(
    fc.property(anyCalendar, ({ form, size, change }) => {
      const product = begun(form, size, change);
      for (const { part, pile } of leaves(product).slice(0, 4)) {
        const bound = boundOn({ product }, part);
        const panels = panelsOn({ product }, { id: 's', ...part });
        pile.forEach(({ id, placement }, i) => {
          const box = extentOf(placement);
          expect(id).toMatch(/^s\d+-\d+$/);
          expect(panels.some((panel) => holds(panel.box, box))).toBe(true);
          expect(bound.some((each) => overlaps(each.box, box))).toBe(false);
          const over = pile.slice(i + 1).some((other) => {
            const { x, y, width, height } = extentOf(other.placement);
            return overlaps({ x: x + 0.01, y: y + 0.01, width: width - 0.02, height: height - 0.02 }, box);
          });
          expect(over).toBe(false);
        });
        expect(new Set(pile.map(({ id }) => id)).size).toBe(pile.length);
      }
    }),
    { numRuns: 30 },
  );
});

describe('months', () => {
  test.each(['picture', 'month', 'folded'] as const)(
    '%s: a leaf for each, in their order, titled by what lives',
    (form) => {
      const product = begun(form, undefined, { months: 14, cover: false });
      const all = leaves(product);
      expect(all).toHaveLength(14);
      all.forEach(({ pile }, i) => {
        const { year, month } = monthAfter(product, i);
        expect(monthsOn(pile)).toMatchObject([{ year, month, weekStart: product.weekStart }]);
        expect(titles(pile)).toEqual([`${monthNames('en-GB')[month - 1]} ${year}`]);
        const [title] = pile.filter((piece) => textOf(piece));
        expect(title!.outline).toMatchObject({
          spans: [{ field: { kind: 'month' } }, { field: { kind: 'year' } }],
        });
      });
      expect(all.every(({ pile }) => pile.some(({ name }) => name === 'Place for a photo'))).toBe(
        form !== 'month',
      );
    },
  );

  test('a tent has one on either face, and each once: of an odd number the last paper has one', () => {
    for (const months of [12, 13]) {
      const all = leaves(begun('tent', undefined, { months, cover: false }));
      expect(all.flatMap(({ pile }) => monthsOn(pile).map(({ month }) => month))).toEqual(
        Array.from({ length: months }, (_, i) => (i % 12) + 1),
      );
    }
  });

  test('what lies on a tent’s other face is the first one’s, turned about the middle of the paper', () => {
    const [{ part, pile }] = leaves(begun('tent')) as [ReturnType<typeof leaves>[0]];
    const [front, , back] = pile as [Piece, Piece, Piece];
    expect([front.placement.turn, back.placement.turn]).toEqual([0, 180]);
    expect(back.placement.x).toBeCloseTo(part.width - front.placement.x, 6);
    expect(back.placement.y).toBeCloseTo(part.height - front.placement.y, 6);
    expect([back.placement.width, back.placement.height]).toEqual([
      front.placement.width,
      front.placement.height,
    ]);
  });

  test('a year at a glance has twelve alike, in rows of four lying and of three standing', () => {
    const rows = (size: { width: number; height: number }) => {
      const [{ pile }] = leaves(begun('year', size)) as [ReturnType<typeof leaves>[0]];
      const months = pile.filter(({ role }) => role === 'month');
      expect(months.map(({ material }) => (material as MonthMaterial).month)).toEqual(
        Array.from({ length: 12 }, (_, i) => i + 1),
      );
      const [one] = months;
      for (const { placement } of months) {
        expect(placement.width).toBeCloseTo(one!.placement.width, 6);
        expect(placement.height).toBeCloseTo(one!.placement.height, 6);
      }
      const tops = months.map(({ placement }) => Math.round(placement.y));
      expect(titles(pile)).toEqual(['2027']);
      return tops.filter((top) => top === tops[0]).length;
    };
    expect([rows({ width: 800, height: 500 }), rows({ width: 500, height: 800 })]).toEqual([4, 3]);
  });

  test('a planner’s page has its week large and its month small, and every week once', () => {
    const all = leaves(begun('week', undefined, { months: 2, cover: false }));
    const weeks = all.map(({ pile }) => {
      const [small, large] = monthsOn(pile) as [MonthMaterial, MonthMaterial];
      expect(small.week).toBeUndefined();
      expect([large.layout, small.layout]).toEqual(['column', 'open']);
      return [large.year, large.month, large.week].join(' ');
    });
    expect(new Set(weeks).size).toBe(weeks.length);
    // January and February 2027 reach into nine weeks.
    expect(weeks).toHaveLength(9);
  });

  test('days of any year are of no weekday, and their leaves say no year', () => {
    const all = leaves(begun('birthdays', undefined, { cover: true }));
    const [front, ...months] = all;
    expect(titles(front!.pile)).toEqual(['Days to remember']);
    expect(months).toHaveLength(12);
    for (const { pile } of months) {
      expect(monthsOn(pile)).toMatchObject([{ perpetual: true, free: [], headLength: 'none' }]);
      expect(titles(pile)[0]).not.toMatch(/\d/);
    }
  });
});

describe('beside the months', () => {
  test('a cover has its year and a place for a photo; a page for notes has its word', () => {
    const all = leaves(begun('picture', undefined, { cover: true, notes: true }));
    expect(titles(all[0]!.pile)).toEqual(['2027']);
    expect(all[0]!.pile.map(({ role }) => role)).toEqual(['photo', 'title']);
    expect(titles(all.at(-1)!.pile)).toEqual(['Notes']);
    expect(all).toHaveLength(14);
  });

  test('years are written in the figures of their language', () => {
    const all = leaves(begun('picture', undefined, { language: 'fa', cover: true }));
    expect(titles(all[0]!.pile)).toEqual(['۲۰۲۷']);
    expect(titles(all[1]!.pile)[0]).toContain('۲۰۲۷');
  });

  test('letters are never smaller than words may be, however small the leaf', () => {
    for (const form of FORMS)
      for (const { pile } of leaves(begun(form, { width: 72, height: 72 })))
        for (const { outline } of pile)
          if (outline.kind === 'glyphs') expect(outline.size).toBeGreaterThanOrEqual(4);
  });

  test('what is no calendar begins bare', () => {
    for (const kind of ['layout', 'card', 'book', 'sheet'] as const) {
      const { product, parts } = beginProduct(kind, { width: 400, height: 400 }, undefined, TODAY);
      for (const part of parts) expect(furnished(product, part, 's')).toEqual([]);
    }
  });
});
