/** Photos that flow into a book. */
import { designFor } from '@/core/book/design';
import { photosOf, roomFor } from '@/core/book/flow';
import { laidSide } from '@/core/book/lay';
import { plainDesign } from '@/core/book/plain';
import { newTo, planBook } from '@/core/book/plan';
import { chaptersOf, spanInWords } from '@/core/book/chapters';
import { isByHand } from '@/core/book/print';
import { bookIn, pagesOf, type BookProduct } from '@/core/product/book';
import { readProject, writeProject } from '@/core/project/file';
import { undo } from '@/core/project/history';
import { type Project } from '@/core/project/model';
import type { Asset } from '@/core/picture/asset';
import { book, flowed, newId, photos, spreadsOf, typesetter, WISH } from '../../../scripts/testing/books';

const productOf = ({ product }: Pick<Project, 'product'>): BookProduct => bookIn(product)!;

describe('photos flow in', () => {
  const allOf = (project: Project) => spreadsOf(project).flatMap(photosOf);

  test('60 photos on 24 pages: each once, in order, chapters titled, one step, read again the same', () => {
    const sixty = photos(60, 5);
    const { history } = flowed(sixty, { pages: 24 });
    const { project } = history;
    expect(pagesOf(productOf(project))).toBe(24);
    expect([...allOf(project)].sort()).toEqual(sixty.map(({ sha }) => sha).sort());
    const first = spreadsOf(project).map((surface) => photosOf(surface).sort()[0]!);
    expect(first).toEqual([...first].sort());
    expect(project.surfaces.every((surface) => !isByHand(surface))).toBe(true);
    expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
    expect(undo(history).project.surfaces.every(({ pile }) => pile.length === 0)).toBe(true);
  });

  const plan = (given: readonly Asset[], wish = {}) => {
    const project = book();
    return planBook(given, roomFor(designFor(plainDesign(), project), project), { ...WISH, ...wish });
  };

  test('whatever comes, a sensible book comes of it', () => {
    expect(plan([]).spreads).toEqual([]);
    expect(plan(photos(1))).toMatchObject({ spreads: [{ photos: [expect.any(String)] }], empty: 0 });
    const moment = photos(500, 2, { taken: '2026-05-16T10:00:00' });
    expect(plan(moment).spreads.flatMap((spread) => spread.photos)).toHaveLength(500);
    expect(plan(moment).chapters).toEqual([]);
    const undated = photos(30, 3, { taken: undefined });
    expect(plan(undated)).toMatchObject({ when: '', chapters: [], left: [] });
    const wide = photos(12, 4, { width: 6000, height: 1000 });
    expect(plan(wide).spreads.flatMap((spread) => spread.photos)).toHaveLength(12);
    const small = photos(4, 5, { width: 200, height: 150 });
    expect(plan(small).soft).toHaveLength(4);
    // More than so many pages hold are left out, and said.
    const few = plan(photos(100, 6), { pages: 8 });
    expect(few.spreads).toHaveLength(3);
    expect(few.left.every(({ why }) => why === 'full')).toBe(true);
    expect(few.left.length + few.spreads.flatMap((spread) => spread.photos).length).toBe(100);
    // Fewer than the pages want: the rest stay empty, and that is said, too.
    expect(plan(photos(3, 7), { pages: 20 })).toMatchObject({ empty: 12, left: [] });
  });

  test('of photos that are nearly the same the starred one goes in', () => {
    const [a, b, ...rest] = photos(8, 9);
    const likeness = 'f0'.repeat(16);
    const twins = [
      a!,
      { ...b!, width: a!.width, height: a!.height, taken: a!.taken, notes: { stars: 4 } },
    ].map((asset) => ({ ...asset, likeness }));
    const { left } = plan([...twins, ...rest]);
    expect(left).toEqual([{ sha: a!.notes?.stars === 5 ? b!.sha : a!.sha, why: 'alike' }]);
    expect(plan([...twins, ...rest], { oneOfAlike: false }).left).toEqual([]);
    // What was left out so does not wait to be laid after all.
    expect(newTo([twins[0]!, ...rest.slice(1)], [twins[1]!, rest[0]!])).toEqual([rest[0]]);
  });

  test('chapters are called by where and when', () => {
    const at = (taken: string, place?: string) =>
      ({ ...photos(1)[0]!, taken, notes: place ? { place } : undefined }) as Asset;
    const days = [
      ...[9, 10, 11].map((hour) =>
        at(`2026-03-14T${String(hour).padStart(2, '0')}:00:00`, 'The boathouse, Saltmarsh'),
      ),
      ...[9, 10, 11, 12].map((hour) => at(`2026-05-16T${String(hour).padStart(2, '0')}:00:00`)),
    ];
    expect(chaptersOf(days, 9)).toEqual([
      { title: 'The boathouse', under: '14 March 2026', count: 3 },
      { title: '16 May 2026', under: '', count: 4 },
    ]);
    expect(chaptersOf(days, 1)).toHaveLength(1);
    expect(spanInWords(days)).toBe('March – May 2026');
  });

  test('a title without a line beneath it stands in the middle of the room of both', () => {
    const { spreads } = designFor(plainDesign(), book());
    const template = spreads.find(({ chapter }) => chapter)!;
    const [head, line] = ['title', 'journaling'].map(
      (role) => template.pile.find((piece) => piece.role === role)!.placement,
    );
    const middleOf = (words: { title: string; told?: string }) => {
      const { pile } = laidSide(template, [], words, typesetter, newId);
      return pile.find(({ role }) => role === 'title')!.placement.y;
    };
    expect(middleOf({ title: 'The boathouse', told: 'March' })).toBeCloseTo(head!.y, 6);
    const [top, foot] = [head!.y - head!.height / 2, line!.y + line!.height / 2];
    expect(middleOf({ title: '14 March' })).toBeCloseTo((top + foot) / 2, 6);
  });
});
