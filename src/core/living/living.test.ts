/** Living words stay true, whole, and where they are written. */
import fc from 'fast-check';
import { DAY_FORMS, isDay, type Fact } from '@/core/living/field';
import { fieldSays } from '@/core/living/fields';
import { livingIn, sayAnew } from '@/core/living/living';
import { forgetFact, setFact } from '@/core/project/edits/facts';
import { retitle } from '@/core/project/edits/gather';
import { rewritten } from '@/core/project/edits/make';
import { scaleWords } from '@/core/project/edits/place';
import { addPage, movePage } from '@/core/project/edits/page';
import { amend, perform, startHistory, undo, type History } from '@/core/project/history';
import { findWords, replaceWords } from '@/core/project/finding';
import { newSurface, type Project } from '@/core/project/model';
import { respanned, spanned, writtenAnew } from '@/core/text/spans';
import type { Edit } from '@/core/project/edits/edit';
import { setGlyphs, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Span } from '@/core/text/style';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { runningPiece } from '../../../scripts/testing/first';
import { laid, wordsOf } from '../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const ada: Fact = { id: 'who', name: 'For', kind: 'words', value: 'Ada' };
const day: Fact = { id: 'when', name: 'Day', kind: 'day', value: '2026-05-29' };

function withFields(): Project {
  const words = wordsOf('words', 'Page 1 of 1, for For. 1');
  const spans: Span[] = [
    { start: 5, end: 6, field: { kind: 'page' }, ink: '#2f6f68' },
    { start: 10, end: 11, field: { kind: 'pages' } },
    { start: 17, end: 20, field: { kind: 'fact', fact: 'who' } },
  ];
  return laid([{ ...words, outline: { ...words.outline, wrap: false, spans } as GlyphsOutline }], []);
}
const done = (history: History, edit: Edit, now: number): History => {
  const next = perform(history, edit, now);
  const said = sayAnew(next.project, typesetter);
  return said ? amend(next, said) : next;
};
const fresh = (id: string) => newSurface(id, 'Page 2', { width: 432, height: 288 }, 'in');
const outlineOf = ({ project }: History): GlyphsOutline =>
  project.surfaces.find(({ pile }) => pile.length)!.pile[0]!.outline as GlyphsOutline;

test('numbers of pages, names and days say what is so; one undo takes back what was done and what was said', () => {
  const start = startHistory({ ...withFields(), facts: [{ ...ada, value: '' }] });
  const wide = (history: History) => history.project.surfaces.at(-1)!.pile[0]?.placement.width ?? 0;
  const added = done(start, addPage(fresh('before')), 0);
  expect(outlineOf(added).text).toBe('Page 1 of 2, for For. 1');
  const moved = done(added, movePage('before', 0), 5000);
  expect(outlineOf(moved).text).toBe('Page 2 of 2, for For. 1');
  const named = done(moved, setFact({ ...ada, value: 'Ada and Ines' }), 10_000);
  expect(outlineOf(named).text).toBe('Page 2 of 2, for Ada and Ines. 1');
  expect(outlineOf(named).spans).toMatchObject([
    { ink: '#2f6f68', field: { kind: 'page' } },
    {},
    { start: 17, end: 29 },
  ]);
  expect(wide(named)).toBeGreaterThan(wide(moved));
  expect(undo(named).project).toEqual(moved.project);
  // What is forgotten is said on, as plain words.
  const forgotten = done(named, forgetFact(ada), 15_000);
  expect(outlineOf(forgotten).text).toBe('Page 2 of 2, for Ada and Ines. 1');
  expect(livingIn(forgotten.project).map(({ field, page }) => [field.kind, page])).toEqual([
    ['page', 'Page 2'],
    ['pages', 'Page 2'],
  ]);
});

test('a day is written in each of its ways, a title that is empty says what the project is called', () => {
  const { project } = done(startHistory({ ...withFields(), facts: [day] }), retitle(' '), 0);
  expect(fieldSays({ project, index: 0 }, { kind: 'title' })).toBe('Untitled layout');
  // 29 May 2026 is a Friday: ISO 8601 week 22, day 5 (`date -d 2026-05-29`, GNU coreutils).
  expect(Object.values(DAY_FORMS).map(({ says }) => says(day.value))).toEqual([
    ...['29 May 2026', 'Friday 29 May 2026', 'May 2026', '2026', '29. 5. 2026'],
  ]);
  expect(['2024-02-29', '2026-02-29', '2026-13-01', '26-1-1', ''].map(isDay)).toEqual([
    ...[true, false, false, false, false],
  ]);
});

test('whatever is written beside them, living words are whole or live no more', () => {
  const text = fc.string({ unit: fc.constantFrom('1', '2', ' ', 'a'), maxLength: 10 });
  fc.assert(
    fc.property(text, text, text, text, (head, said, tail, after) => {
      if (!said) return;
      const field = { kind: 'page' } as const;
      const spans: Span[] = [{ start: head.length, end: head.length + said.length, field, scale: 2 }];
      for (const next of [after, head + after + said + tail, head + said + after + tail]) {
        const found = respanned(spans, head + said + tail, next).filter((span) => span.field);
        expect(found.length).toBeLessThan(2);
        for (const { start, end } of found) expect(next.slice(start, end)).toBe(said);
        if (next !== after) expect(found).toHaveLength(1);
      }
    }),
  );
});

test('a look given to half of them is given to all of them; words beside them are replaced, they are not', () => {
  const project = withFields();
  const outline = project.surfaces[0]!.pile[0]!.outline as GlyphsOutline;
  expect(spanned(outline.spans!, 18, 22, { bold: true })).toMatchObject([
    {},
    {},
    { start: 17, end: 20, bold: true, field: { kind: 'fact' } },
    { start: 20, end: 22, bold: true },
  ]);
  const wish = { text: '1', exact: false, whole: false };
  expect(findWords(project, wish).map(({ living }) => living)).toEqual([true, true, false]);
  const after = perform(startHistory(project), replaceWords(project, wish, 'one', typesetter), 0);
  expect(outlineOf(after).text).toBe('Page 1 of 1, for For. one');
  // Along an outline, too.
  const round = runningPiece('round');
  Object.assign(round.outline, {
    text: 'page 1 and 1',
    spans: [{ start: 5, end: 6, field: { kind: 'page' } }],
  });
  const along = done(startHistory(laid([round], [])), addPage(fresh('before')), 0);
  const placed = done(along, movePage('before', 0), 5000);
  expect(outlineOf(placed).text).toBe('page 2 and 1');
  const counted = done(
    placed,
    replaceWords(placed.project, { ...wish, text: 'and' }, '+', typesetter),
    10_000,
  );
  expect(outlineOf(counted)).toMatchObject({ text: 'page 2 + 1', spans: [{ start: 5, end: 6 }] });
  // On both sides of one at once.
  const { text, spans } = writtenAnew(outline.spans!, outline.text, [
    { from: 0, to: 4, by: 'Leaf' },
    { from: 7, to: 9, by: 'out of' },
  ]);
  expect(text).toBe('Leaf 1 out of 1, for For. 1');
  expect(rewritten(outline, { text, spans }).spans!.map(({ start, end }) => text.slice(start, end))).toEqual([
    ...['1', '1', 'For'],
  ]);
});

test('a title that stood on one line stays on it when what it says grows: smaller, but not too small to be a title', () => {
  const words = wordsOf('words', 'For Ada');
  const spans: Span[] = [{ start: 4, end: 7, field: { kind: 'fact', fact: 'who' } }];
  const outline = { ...words.outline, wrap: true, size: 40, spans } as GlyphsOutline;
  const placement = { ...words.placement, width: 240, height: 48 };
  const start = startHistory({ ...laid([{ ...words, outline, placement }], []), facts: [ada] });
  const linesIn = (history: History) =>
    setGlyphs(outlineOf(history), { width: 240, height: 48 }, typesetter).lines.length;
  expect(linesIn(start)).toBe(1);
  const longer = done(start, setFact({ ...ada, value: 'Ada and Theodora' }), 0);
  expect([outlineOf(longer).text, linesIn(longer)]).toEqual(['For Ada and Theodora', 1]);
  // As large as the box lets them, to a hundredth of a point.
  expect(outlineOf(longer).size).toBeLessThan(40);
  expect(
    setGlyphs({ ...outlineOf(longer), size: outlineOf(longer).size + 0.3 }, placement, typesetter).lines,
  ).toHaveLength(2);
  expect(undo(longer).project).toEqual(start.project);
  // The size that was wished comes back with words that find room in it, and goes with one that is chosen.
  expect(outlineOf(longer).wished).toBe(40);
  expect(done(longer, setFact(ada), 9000).project).toEqual(start.project);
  const chosen = rewritten(outlineOf(longer), { size: 24 });
  expect([chosen.size, 'wished' in chosen]).toEqual([24, false]);
  const [page] = longer.project.surfaces;
  const [title] = page!.pile;
  const to = { ...title!.placement, width: title!.placement.width * 2, height: title!.placement.height * 2 };
  const twice = done(longer, scaleWords(page!.id, title!, to), 9000);
  expect(outlineOf(twice).wished).toBe(80);
  expect(outlineOf(done(twice, setFact(ada), 18_000)).size).toBe(80);
  // What would be less than half as large breaks instead, as words do.
  const list = done(
    start,
    setFact({ ...ada, value: 'Ada, Theodora, Ines, Jonas and all who were there' }),
    0,
  );
  expect([outlineOf(list).size, linesIn(list) > 1]).toEqual([40, true]);
  // What already stood on more lines, keeps its letters.
  const more = done(
    list,
    setFact({ ...ada, value: 'Ada, Theodora, Ines, Jonas and all who were there, and you' }),
    9000,
  );
  expect(outlineOf(more).size).toBe(40);
});
