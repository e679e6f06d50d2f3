/** A month in every layout: each day once, in its own box, as words that print and can be read. */
import fc from 'fast-check';
import { monthLength, weekdayOf, weeksOf, type Weekday } from '@/core/dates/days';
import { newMonth } from '@/core/piece/material/month/begin';
import { layMonth, setNotes, titleOf, weekdaysOf } from '@/core/piece/material/month/draw';
import { LAYOUT_NAMES, SIXTH, type MonthMaterial } from '@/core/piece/material/month/model';
import { checked } from '@/core/proof';
import { making } from '../../../../../scripts/testing/making';
import { inkPiece, laid, project } from '../../../../../scripts/testing/samples';
import { nodeTypesetter } from '../../../../../scripts/node/platform';

const typesetter = await nodeTypesetter();
const { made, tool } = making();
const of = (change: Partial<MonthMaterial> = {}): MonthMaterial => ({
  ...newMonth({ year: 2026, month: 8 }, 'en-GB'),
  ...change,
});
const piece = (material: MonthMaterial, width = 400, height = 260) => ({
  ...inkPiece('month', 16, 14, width, height),
  material,
});

test.each(LAYOUT_NAMES)('%s: every day of any month has a place of its own within the box', (layout) => {
  fc.assert(
    fc.property(
      fc.record({
        year: fc.integer({ min: 1, max: 9999 }),
        month: fc.integer({ min: 1, max: 12 }),
        weekStart: fc.integer({ min: 1, max: 7 }) as fc.Arbitrary<Weekday>,
        sixth: fc.constantFrom(...SIXTH),
        language: fc.constantFrom('en', 'he', 'de'),
        title: fc.constantFrom('none' as const, 'both' as const),
      }),
      fc.integer({ min: 60, max: 1200 }),
      fc.integer({ min: 60, max: 1200 }),
      (settings, width, height) => {
        const material = of({ ...settings, layout });
        const { days } = layMonth(material, { width, height });
        const own = days.filter(({ cell }) => cell.of === 0);
        expect(own.map(({ cell }) => cell.day)).toEqual(
          Array.from({ length: monthLength(material.year, material.month) }, (_, i) => i + 1),
        );
        // Numbers stand in the box, and no two in one place.
        for (const { number } of own) {
          expect(Math.abs(number.x)).toBeLessThanOrEqual(width / 2 + 1e-6);
          expect(Math.abs(number.y)).toBeLessThanOrEqual(height / 2 + 1e-6);
        }
        expect(new Set(own.map(({ number: { x, y } }) => `${x.toFixed(3)} ${y.toFixed(3)}`)).size).toBe(
          own.length,
        );
      },
    ),
    { numRuns: 30 },
  );
});

test('days stand under their weekday, and the other way round where one reads from the right', () => {
  for (const language of ['en-GB', 'he']) {
    const { days, heads } = layMonth(of({ language }), { width: 700, height: 500 });
    for (const { cell, box } of days) {
      const head = heads.find(({ weekday }) => weekday === weekdayOf(cell.number))!;
      expect(box.x + box.width / 2).toBeCloseTo(head.spot.x);
    }
    const [first, second] = days.filter(({ cell }) => cell.of === 0).slice(2);
    expect(second!.box.x > first!.box.x).toBe(language === 'en-GB');
  }
  // August 2026 from Monday needs six weeks: its last day shares a box, takes a row, or all months have six.
  expect(weeksOf({ year: 2026, month: 8 }, 1)).toHaveLength(6);
  const rows = (material: MonthMaterial) =>
    new Set(layMonth(material, { width: 700, height: 500 }).days.map(({ box }) => Math.round(box.y))).size;
  expect(SIXTH.map((sixth) => rows(of({ sixth, layout: 'large' })))).toEqual([6, 6, 6]);
  const shared = layMonth(of({ sixth: 'split' }), { width: 700, height: 500 }).days.filter(
    ({ cell }) => cell.of === 0 && [24, 31].includes(cell.day),
  );
  expect(shared.map(({ box }) => Math.round(box.x))).toEqual([-350, -350]);
  // Half of one of five rows.
  const [first] = layMonth(of({ sixth: 'split' }), { width: 700, height: 500 }).days;
  expect(shared[0]!.box.height).toBeCloseTo(first!.box.height / 2);
});

test('what days are is set where there is room, counted where there is not, and the check says so', () => {
  const notes = [
    { day: 3, says: 'Ada, 9' },
    ...Array.from({ length: 9 }, (_, i) => ({ day: 12, says: `Guest number ${i + 1}` })),
  ];
  const set = setNotes(of({ notes }), { width: 700, height: 500 }, typesetter);
  expect(set.map(({ place, over }) => [place.cell.day, over > 0])).toEqual([
    [3, false],
    [12, true],
  ]);
  const [, crowded] = set;
  expect(crowded!.over).toBeLessThan(9);
  const { found } = checked(
    laid([piece(of({ notes }), 700, 500)], [], project(1000, 800)),
    laid([piece(of({ notes }), 700, 500)], [], project(1000, 800)).surfaces[0]!,
    typesetter,
  );
  expect(found.map(({ says }) => says)).toContain(
    `What days are finds no room: ${crowded!.over} of 9 on day 12.`,
  );
});

test('it is words in a PDF, in the order they are read (pdftotext)', async () => {
  const material = of({ title: 'both', notes: [{ day: 3, says: 'Ada, 9' }], weekNumbers: true });
  const path = await made(laid([piece(material)], []), { format: 'pdf' }, 'month.pdf');
  const words = tool('pdftotext', '-raw', path, '-').split(/\s+/).filter(Boolean);
  expect(words.slice(0, 9)).toEqual(['August', '2026', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']);
  const days = Array.from({ length: 31 }, (_, i) => String(i + 1));
  expect(days.every((day) => words.includes(day))).toBe(true);
  expect(words.join(' ')).toContain('Ada, 9');
  expect(tool('qpdf', '--check', path)).toMatch(/No syntax or stream encoding errors/);
});

test('it is called as its language has it, or in words of one’s own; of any year it has no weekdays and a leap day', () => {
  expect(titleOf(of({ title: 'both', language: 'de' }))).toBe('August 2026');
  expect(titleOf(of({ title: 'month', language: 'pl' }))).toBe('Sierpień');
  expect(titleOf(of({ title: 'both', language: 'ar-EG' }))).toBe('أغسطس ٢٠٢٦');
  const months = Array.from({ length: 12 }, (_, i) => `M${i + 1}`);
  expect(titleOf(of({ title: 'month', wording: { months } }))).toBe('M8');
  const any = of({ month: 2, year: 2026, perpetual: true, layout: 'column', title: 'both' });
  expect([titleOf(any), weekdaysOf(any)]).toEqual(['February', []]);
  expect(layMonth(any, { width: 200, height: 600 }).days).toHaveLength(29);
});
