/** The forms of calendars: what is bound, folded, a week a page, finished. */
import fc from 'fast-check';
import { type DayEvent } from '@/core/calendar/events';
import { fillYear } from '@/core/calendar/fill';
import { dayAt } from '@/core/calendar/held';
import { numberOf, weekdayOf } from '@/core/dates/days';
import { layMonth } from '@/core/piece/material/month/draw';
import { daysOf } from '@/core/piece/material/month/weeks';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import { begunAnew } from '@/core/calendar/follows';
import { stateOf } from '@/core/calendar/state';
import { overlaps } from '@/core/geometry/box';
import { pathBounds } from '@/core/geometry/path';
import { extentOf } from '@/core/piece/placement/placement';
import { boundOn, fileTitle } from '@/core/product';
import { BINDINGS, type BindingKind } from '@/core/product/calendar/binding';
import { checked } from '@/core/proof';
import { calendarIn } from '@/core/product/calendar';
import { holdPieces, setEvents } from '@/core/project/edits/events';
import { layPieces } from '@/core/project/edits/pile';
import { movePieces } from '@/core/project/edits/place';
import { changeProduct } from '@/core/project/edits/product';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory } from '@/core/project/history';
import { type Surface } from '@/core/project/model';
import { assetOf, inkPiece } from '../../../scripts/testing/samples';
import {
  ada,
  calendar,
  done,
  followed,
  FORMS,
  monthsIn,
  TODAY,
  typesetter,
  wordsIn,
} from '../../../scripts/testing/calendars';

test.each(FORMS)(
  '%s: what is bound is kept free, checked, and given back; what one moved stays where it was',
  (form) => {
    const start = startHistory(calendar(form));
    for (const by of Object.keys(BINDINGS) as BindingKind[])
      for (const at of ['top', 'left'] as const) {
        const bound = done(start, { binding: { by, at } }, 9000);
        const { project } = bound;
        for (const surface of project.surfaces) {
          const zones = boundOn(project, surface);
          for (const { holes } of zones) {
            const { x, y, width, height } = pathBounds(holes.flat());
            expect(Math.min(x, y)).toBeGreaterThan(0);
            expect([x + width < surface.width, y + height < surface.height]).toEqual([true, true]);
          }
          const lies = surface.pile.map(({ placement }) => extentOf(placement));
          for (const { box } of zones) expect(lies.some((each) => overlaps(each, box))).toBe(false);
          expect(
            checked(project, surface, typesetter).found.filter(({ check }) => check === 'binding'),
          ).toEqual([]);
        }
        expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
        const { binding: _, ...free } = calendarIn(project.product)!;
        expect(perform(bound, changeProduct(free, 'free'), 18000).project).toEqual(start.project);
      }
    const page = start.project.surfaces.at(-1)!;
    const own = perform(start, movePieces(page.id, [page.pile[0]!], 5, 0), 0);
    const bound = done(own, { binding: { by: 'wire', at: 'top' } }, 9000).project;
    const [moved] = bound.surfaces.at(-1)!.pile;
    expect(moved!.placement).toEqual(own.project.surfaces.at(-1)!.pile[0]!.placement);
  },
);

test('weeks follow one another without a gap; each tells what its days are, and what is held goes to the page its day is on', () => {
  const ines: DayEvent = { id: 'ines', kind: 'birthday', name: 'Ines', month: 3, day: 1, year: 1991 };
  const start = followed(perform(startHistory(calendar('week')), setEvents([ada, ines]), 0));
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9990 }),
      fc.integer({ min: 1, max: 24 }),
      fc.constantFrom(1, 6, 7),
      (year, months, weekStart) => {
        const { project } = done(start, { year, months, weekStart: weekStart as 1 }, 9000);
        const weeks = monthsIn(project).filter(({ week }) => week !== undefined);
        const days = weeks.flatMap((week) => daysOf(week).map(({ cell }) => cell));
        const first = days.findIndex(({ month, day }) => month === 1 && day === 1);
        expect(first).toBeLessThan(7);
        expect(days.slice(first).map(({ number }) => number)).toEqual(
          days.slice(first).map((_, i) => numberOf({ year, month: 1, day: 1 }) + i),
        );
        expect(weekdayOf(days[0]!.number)).toBe(weekStart);
        for (const week of weeks)
          for (const { day, says } of week.notes)
            expect([
              [3, 'Ada'],
              [1, 'Ines'],
            ]).toContainEqual([day, says.replace(/,.*/, '')]);
        expect(readProject(writeProject(project)).ok).toBe(true);
      },
    ),
    { numRuns: 8 },
  );
  const march = start.project.surfaces.find(({ name }) => name.startsWith('1–7 March'))!;
  const week = march.pile.at(-1)!;
  const [first] = layMonth(week.material as MonthMaterial, week.placement).days;
  const at = { x: week.placement.x + first!.box.x + 30, y: week.placement.y + first!.box.y + 9 };
  const stamped = perform(
    start,
    layPieces(march.id, [{ ...inkPiece('s', at.x - 4, at.y - 4, 8, 8), role: 'stamp' }], []),
    9000,
  );
  const { year: _, ...held } = dayAt(
    stamped.project.surfaces.find(({ id }) => id === march.id)!,
    at,
  )!;
  expect([held.month, held.day]).toEqual([3, 1]);
  const kept = followed(perform(stamped, holdPieces(march.id, [{ id: 's', held }]), 18000));
  for (const year of [2028, 2030, 2027]) {
    const { project } = done(kept, { year }, 27000);
    const page = project.surfaces.filter(({ pile }) => pile.some(({ id }) => id === 's'));
    expect(page).toHaveLength(1);
    const piece = page[0]!.pile.find(({ id }) => id === 's')!;
    expect(dayAt(page[0]!, piece.placement)).toMatchObject({ year, month: 3, day: 1 });
  }
});

test('a month laid where the paper is punched is told of; a title with the year goes along, and files are called by it', () => {
  const of = calendar();
  const start = startHistory({ ...of, title: 'Kites 2027' });
  const later = done(start, { year: 2031, binding: { by: 'holes', at: 'left' } }, 0);
  expect([later.project.title, fileTitle(later.project)]).toEqual(['Kites 2031', 'Kites 2031']);
  const page = later.project.surfaces[1]!;
  const month = page.pile.find(({ material }) => material.kind === 'month')!;
  const moved = perform(later, movePieces(page.id, [month], -300, 0), 9000).project;
  expect(checked(moved, moved.surfaces[1]!, typesetter).found).toContainEqual(
    expect.objectContaining({ check: 'binding', piece: expect.objectContaining({ id: month.id }) }),
  );
  // Begun again today, a ready-made one is of the year to come, its words and months too.
  const anew = begunAnew(later.project, TODAY, typesetter);
  expect([anew.title, monthsIn(anew)[0]!.year, wordsIn(anew)[1]]).toEqual([
    'Kites 2027',
    2027,
    'January 2027',
  ]);
});

test('a page is empty while nothing was done to it, finished once it is locked', () => {
  const of = calendar();
  const [, january] = of.surfaces as [Surface, Surface];
  expect(stateOf(of.product, january)).toBe('empty');
  const begun = perform(startHistory(of), layPieces(january.id, [inkPiece('x', 9, 9, 9, 9)], []), 0).project;
  expect(stateOf(of.product, begun.surfaces[1]!)).toBe('begun');
  const filled = perform(
    startHistory(of),
    fillYear(of, [assetOf(new Uint8Array([1]), 40, 30)])!.edit,
    0,
  ).project;
  expect(
    stateOf(
      of.product,
      filled.surfaces.find(({ pile }) => pile.some(({ material }) => material.kind === 'photo'))!,
    ),
  ).toBe('begun');
  expect(stateOf(of.product, { ...january, locked: true })).toBe('finished');
});
