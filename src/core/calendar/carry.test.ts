/** What is carried from month to month: it is there, it differs, it hides no day; and twelve sets of ink. */
import fc from 'fast-check';
import { boxOverlaps } from '@/core/calendar/aside';
import { AS_IT_IS, carry, type Carrying } from '@/core/calendar/carry';
import { dealInks, INK_YEARS } from '@/core/calendar/inks';
import { layMonth } from '@/core/piece/material/month/draw';
import type { Piece } from '@/core/piece/piece';
import { LAYOUT_NAMES, type LayoutName } from '@/core/piece/material/month/model';
import { beginProduct } from '@/core/product';
import { withSettings } from '@/core/product/calendar/settings';
import { calendarIn } from '@/core/product/calendar';
import { changeProduct } from '@/core/project/edits/product';
import { layPieces } from '@/core/project/edits/pile';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, undo } from '@/core/project/history';
import { newProject, type Project, type Surface } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { settle } from '@/core/calendar/settle';
import { contrast } from '@/core/inks/near';
import { inkPiece, wordsOf } from '../../../scripts/testing/samples';

let count = 0;
const newId = () => `n${(count += 1)}`;
const calendar = (way = 'month'): Project =>
  begun(
    newProject(
      { id: 'c', title: 'Kites', unit: 'in' },
      beginProduct('calendar', { width: 612, height: 792 }, way, { year: 2026, month: 11 }),
    ),
  );
const button = (id: string, x: number, y: number, side = 40) => ({
  ...inkPiece(id, x, y, side, side),
  // Whatever is laid for its looks or to be read moves aside.
  role: id === 'b1' ? ('caption' as const) : ('embellishment' as const),
});
/** A calendar with things on January, whose month is set in a layout. */
function decorated(layout: LayoutName, things: readonly (readonly [number, number, number])[]): Project {
  const of = calendar();
  const surfaces = of.surfaces.map((surface) => ({
    ...surface,
    pile: surface.pile.map((piece) =>
      piece.material.kind === 'month' ? { ...piece, material: { ...piece.material, layout } } : piece,
    ),
  }));
  const pieces = things.map(([x, y, side], i) => button(`b${i}`, x, y, side));
  return perform(startHistory({ ...of, surfaces }), layPieces(surfaces[1]!.id, pieces, []), 0).project;
}
const others = ({ surfaces }: Project): string[] => surfaces.slice(2).map(({ id }) => id);
const fresh = (surface: Surface) => surface.pile.filter(({ carried }) => carried);

const how: fc.Arbitrary<Carrying> = fc.record({
  vary: fc.double({ min: 0, max: 1, noNaN: true }),
  shuffle: fc.boolean(),
  count: fc.boolean(),
  over: fc.constant(false),
  seed: fc.integer({ min: 0, max: 1e6 }),
});

/** Where numbers lie now, drawn as they are; not those of any year. */
const numbersNow = ({ material, placement }: Piece) =>
  material.kind !== 'month'
    ? []
    : layMonth(material, placement)
        .days.filter(({ cell }) => cell.of === 0)
        .map(({ number: { x, y, at, size } }) => {
          const left = at === 'start' ? x : at === 'end' ? x - size : x - size / 2;
          return { x: placement.x + left, y: placement.y + y - size * 0.4, width: size, height: size * 0.8 };
        });

test('nothing carried lies over a number, in this year or another; the file is read again; undone in one step', () => {
  const thing = fc.tuple(
    fc.integer({ min: 0, max: 612 }),
    fc.integer({ min: 0, max: 792 }),
    fc.integer({ min: 10, max: 160 }),
  );
  fc.assert(
    fc.property(
      fc.constantFrom(...LAYOUT_NAMES),
      fc.array(thing, { minLength: 1, maxLength: 3 }),
      how,
      fc.integer({ min: 1, max: 9990 }),
      (layout, things, how, year) => {
        const of = decorated(layout, things);
        const ids = things.map((_, i) => `b${i}`);
        const { edit, left } = carry(of, of.surfaces[1]!.id, ids, others(of), how, newId)!;
        const start = startHistory(of);
        const after = perform(start, edit, 0);
        expect(readProject(writeProject(after.project))).toEqual({ ok: true, value: after.project });
        expect(undo(after).project).toEqual(of);
        const laid = after.project.surfaces.slice(2).flatMap(fresh);
        if (!how.count) expect(laid.length + left).toBe(11 * things.length);
        const dated = perform(
          after,
          changeProduct(withSettings(calendarIn(of.product)!, { year }), 'date'),
          9000,
        );
        for (const { project } of [after.project, dated.project].map((project) => {
          const follows = settle(project);
          return follows ? perform(startHistory(project), follows, 0) : { project };
        }))
          for (const surface of project.surfaces.slice(2)) {
            const numbers = surface.pile.flatMap(numbersNow);
            for (const { placement } of fresh(surface))
              expect(numbers.some((number) => boxOverlaps(placement, number))).toBe(false);
          }
      },
    ),
    { numRuns: 12 },
  );
});

test('carried as it is it lies in the same place; carried again it is there once; months differ from each other', () => {
  const of = decorated('boxes', [
    [60, 40, 30],
    [540, 40, 30],
  ]);
  const january = of.surfaces[1]!.id;
  const first = perform(
    startHistory(of),
    carry(of, january, ['b0', 'b1'], others(of), AS_IT_IS, newId)!.edit,
    0,
  );
  for (const surface of first.project.surfaces.slice(2))
    expect(fresh(surface).map(({ placement: { x, y } }) => [x, y])).toEqual([
      [75, 55],
      [555, 55],
    ]);
  const varied = { ...AS_IT_IS, vary: 1, shuffle: true };
  const again = perform(
    first,
    carry(first.project, january, ['b0', 'b1'], others(of), varied, newId)!.edit,
    9000,
  );
  const looks = again.project.surfaces.slice(2).map((surface) => {
    expect(fresh(surface)).toHaveLength(2);
    return fresh(surface).map(({ placement }) => placement);
  });
  expect(new Set(looks.map((look) => JSON.stringify(look))).size).toBe(11);
  // A page that is finished stays as it is.
  const locked = {
    ...of,
    surfaces: of.surfaces.map((each, i) => (i === 4 ? { ...each, locked: true } : each)),
  };
  const { edit, pages } = carry(locked, january, ['b0'], others(of), AS_IT_IS, newId)!;
  expect(pages).toBe(10);
  expect(perform(startHistory(locked), edit, 0).project.surfaces[4]).toEqual(locked.surfaces[4]);
});

test('a title, a month and a place for a photo take look and place; their words, dates and photos stay', () => {
  const of = calendar('picture');
  const january = of.surfaces[1]!;
  const changed = january.pile.map((piece) => ({
    ...piece,
    placement: { ...piece.placement, x: piece.placement.x + 9 },
    ...(piece.material.kind === 'month' ? { material: { ...piece.material, layout: 'dial' as const } } : {}),
  }));
  const start = {
    ...of,
    surfaces: of.surfaces.map((each) => (each === january ? { ...each, pile: changed } : each)),
  };
  const { project } = perform(
    startHistory(start),
    carry(start, january.id, [], others(of), AS_IT_IS, newId)!.edit,
    0,
  );
  for (const [i, surface] of project.surfaces.slice(2).entries()) {
    const before = of.surfaces[i + 2]!;
    expect(surface.pile.map(({ id }) => id)).toEqual(before.pile.map(({ id }) => id));
    expect(surface.pile.map(({ placement: { x } }) => x)).toEqual(changed.map(({ placement: { x } }) => x));
    const [month] = surface.pile.flatMap(({ material }) => (material.kind === 'month' ? [material] : []));
    expect(month).toMatchObject({ layout: 'dial', month: i + 2, year: 2027 });
  }
});

test('a whole page takes the place of another, and nothing of a photo, a word or a held piece there is lost or hidden', () => {
  const of = calendar('picture');
  const [, january, february] = of.surfaces as [Surface, Surface, Surface];
  const paper = { ...inkPiece('sheet', -9, -9, 700, 900), role: 'paper' as const };
  const mat = { ...inkPiece('mat', 50, 50, 400, 400), role: 'mat' as const };
  const box = { x: 1, y: 1, width: 9, height: 9 };
  const mine = [
    { ...inkPiece('old', 20, 20, 600, 700), role: 'paper' as const },
    { ...button('held', 90, 90, 9), held: { month: 2, day: 14, box } },
    wordsOf('mine', 'Our February', 18, 120),
  ];
  const surfaces = of.surfaces.map((each) =>
    each === january
      ? { ...each, pile: [paper, mat, ...each.pile] }
      : each === february
        ? { ...each, pile: [mine[0]!, ...each.pile, mine[1]!, mine[2]!] }
        : each,
  );
  const start = { ...of, surfaces };
  const { edit } = carry(start, january.id, [], others(start), AS_IT_IS, newId)!;
  const there = perform(startHistory(start), edit, 0).project.surfaces[2]!.pile;
  expect(there.map(({ name, role }) => (role === 'paper' || role === 'mat' ? role : name))).toEqual([
    ...['paper', 'mat'],
    ...february.pile.map(({ name }) => name),
    ...[mine[1]!.name, mine[2]!.name],
  ]);
  // Of some pieces, what stands for another stays where it lies in the pile.
  const month = january.pile.find(({ material }) => material.kind === 'month')!;
  const few = carry(start, january.id, [month.id], others(start), AS_IT_IS, newId)!.edit;
  expect(perform(startHistory(start), few, 0).project.surfaces[2]!.pile.map(({ id }) => id)).toEqual(
    start.surfaces[2]!.pile.map(({ id }) => id),
  );
});

test('inks dealt: every set can be read on a pale card; what wore an ink of its month wears the next one, there and carried', () => {
  for (const { sets } of INK_YEARS)
    for (const [dark, main, second] of sets)
      // WCAG 2.2: 4.5 to 1 for words.
      for (const ink of [dark, main, second]) expect(contrast(ink, '#fdf9ef')).toBeGreaterThanOrEqual(4.5);
  const [shore, garden] = INK_YEARS as [(typeof INK_YEARS)[0], (typeof INK_YEARS)[0]];
  const dealt = perform(
    startHistory(decorated('boxes', [[60, 40, 30]])),
    dealInks(calendar(), shore)!,
    0,
  ).project;
  const pile = dealt.surfaces[1]!.pile.map((piece) =>
    piece.id === 'b0' ? { ...piece, material: { kind: 'ink' as const, colour: shore.sets[0]![1] } } : piece,
  );
  const of = { ...dealt, surfaces: dealt.surfaces.map((each, i) => (i === 1 ? { ...each, pile } : each)) };
  const carried = perform(
    startHistory(of),
    carry(of, of.surfaces[1]!.id, ['b0'], others(of), AS_IT_IS, newId)!.edit,
    0,
  );
  const coloursOf = (project: Project) =>
    project.surfaces
      .slice(2)
      .flatMap((surface) => fresh(surface).map(({ material }) => material.kind === 'ink' && material.colour));
  expect(coloursOf(carried.project)).toEqual(shore.sets.slice(1).map(([, main]) => main));
  // A title and a month carried on wear the inks of theirs.
  const whole = carry(of, of.surfaces[1]!.id, [], others(of), AS_IT_IS, newId)!.edit;
  for (const [i, { pile }] of perform(startHistory(of), whole, 0).project.surfaces.slice(2).entries())
    for (const { role, material } of pile) {
      if (role === 'title') expect(material).toEqual({ kind: 'ink', colour: shore.sets[i + 1]![1] });
      if (material.kind === 'month') expect(material.inks.numbers).toBe(shore.sets[i + 1]![0]);
    }
  const next = perform(carried, dealInks(carried.project, garden)!, 9000).project;
  expect(coloursOf(next)).toEqual(garden.sets.slice(1).map(([, main]) => main));
  expect(readProject(writeProject(next))).toEqual({ ok: true, value: next });
});
