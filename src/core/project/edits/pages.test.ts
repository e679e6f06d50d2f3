/** Pages, edit by edit: put in, taken out, moved, copied with their backs, written on; guides of one page and of all. */
import fc from 'fast-check';
import type { Piece } from '@/core/piece/piece';
import { beginProduct, leafOf } from '@/core/product';
import type { Edit } from '@/core/project/edits/edit';
import * as page from '@/core/project/edits/page';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, undo, undoLabel } from '@/core/project/history';
import { LONGEST_NOTE, newProject, newSurface, type Project, type Surface } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { inkPiece, laid } from '../../../../scripts/testing/samples';

const side = (id: string, name: string, pile: Piece[] = []): Surface => ({
  ...newSurface(id, name, { width: 432, height: 288 }, 'in'),
  pile,
});
const album = (...names: string[]): Project => {
  const base = laid([]);
  return { ...base, surfaces: names.map((name, i) => side(`s${i + 1}`, name)) };
};
const THREE = album('Page 1', 'The pier', 'Page 3');
const done = (project: Project, ...edits: Edit[]) => {
  const made = edits.reduce((history, edit, i) => perform(history, edit, i * 5000), startHistory(project));
  const read = readProject(writeProject(made.project));
  expect(read).toEqual({ ok: true, value: made.project });
  return made;
};
const names = ({ surfaces }: Project) => surfaces.map(({ name }) => name);
const ids = ({ surfaces }: Project) => surfaces.map(({ id }) => id);

describe('in an album', () => {
  test('one is put in after another, or at the end; those nobody named are counted anew, those with a name keep it', () => {
    const second = done(THREE, page.addPage(side('new', 'Page 4'), 's1')).project;
    expect(names(second)).toEqual(['Page 1', 'Page 2', 'The pier', 'Page 4']);
    expect(ids(second)).toEqual(['s1', 'new', 's2', 's3']);
    expect(ids(done(THREE, page.addPage(side('new', 'Page 9'))).project)).toEqual(['s1', 's2', 's3', 'new']);
    expect(ids(done(THREE, page.addPage(side('new', 'Page 9'), 'gone')).project)).toEqual([
      's1',
      's2',
      's3',
      'new',
    ]);
  });

  test('taken out, one stays; what is not there is not taken out', () => {
    const left = done(THREE, page.removePage('s1')).project;
    expect(names(left)).toEqual(['The pier', 'Page 2']);
    const last = done(THREE, page.removePage('s1'), page.removePage('s2'), page.removePage('s3')).project;
    expect(ids(last)).toEqual(['s3']);
    expect(done(THREE, page.removePage('gone')).steps).toEqual([]);
    expect(page.mayGo(last, last.surfaces[0]!)).toBe(false);
  });

  test('moved to any place, they are the same pages in another order, and undo puts them back', () => {
    fc.assert(
      fc.property(fc.constantFrom('s1', 's2', 's3', 'gone'), fc.integer({ min: -3, max: 9 }), (id, to) => {
        const history = done(THREE, page.movePage(id, to));
        expect([...ids(history.project)].sort()).toEqual(['s1', 's2', 's3']);
        if (id !== 'gone') expect(ids(history.project).indexOf(id)).toBe(Math.max(0, Math.min(2, to)));
        expect(undo(history).project).toEqual(THREE);
      }),
    );
  });

  test('what lies on a page becomes what lies on another: its pile, ground and light, and nothing else of it', () => {
    const made = { ...side('x', 'Another', [inkPiece('k')]), ground: '#123456', note: 'not this' };
    const { surfaces } = done(THREE, page.becomePage('s2', made)).project;
    expect(surfaces[1]).toEqual({
      ...THREE.surfaces[1]!,
      pile: made.pile,
      ground: '#123456',
      light: made.light,
    });
    // A copy: what becomes of one does not become of the other.
    expect(surfaces[1]!.pile[0]).not.toBe(made.pile[0]);
  });

  test('copies come onto several at once, each on top of its own', () => {
    const base = {
      ...THREE,
      surfaces: THREE.surfaces.map((each) => ({ ...each, pile: [inkPiece(`on ${each.id}`)] })),
    };
    const copies = new Map([
      ['s1', { pieces: [inkPiece('k1')], groups: [] }],
      [
        's3',
        {
          pieces: [
            { ...inkPiece('k2'), groups: ['g'] },
            { ...inkPiece('k3'), groups: ['g'] },
          ],
          groups: [{ id: 'g', name: 'Kites' }],
        },
      ],
    ]);
    const { surfaces } = done(base, page.layOnPages('copy', copies)).project;
    expect(surfaces.map(({ pile }) => pile.map(({ id }) => id))).toEqual([
      ['on s1', 'k1'],
      ['on s2'],
      ['on s3', 'k2', 'k3'],
    ]);
    expect(surfaces[2]!.groups).toEqual([{ id: 'g', name: 'Kites' }]);
  });
});

describe('in a product', () => {
  const SIZE = { width: 360, height: 252 };
  const made = (kind: 'card' | 'sheet' | 'book') =>
    begun(newProject({ id: 'p', title: 'Kites', unit: 'in' }, beginProduct(kind, SIZE)));

  test('a card’s sides are what they are: none comes and goes', () => {
    const card = made('card');
    expect(card.surfaces.every((each) => !page.mayGo(card, each))).toBe(
      card.surfaces.length > 0 && card.surfaces.length < 2,
    );
  });

  test('on a sheet of cards a copy goes into the row, with what is on its back on the back of its own', () => {
    const sheet = made('sheet');
    const [face] = sheet.surfaces as [Surface];
    const back = leafOf(sheet, face)?.back ?? null;
    const copy = { ...face, id: 'copy', part: 'thing-2', pile: [inkPiece('k')] };
    const history = perform(
      startHistory(sheet),
      page.copyPage(copy, face.id, back && { ...back, pile: [inkPiece('b')] }),
      0,
    );
    const { surfaces, product } = history.project;
    expect(surfaces.some(({ id }) => id === 'copy')).toBe(true);
    expect((product as unknown as { things: unknown[] }).things.length).toBe(2);
    expect(readProject(writeProject(history.project))).toEqual({ ok: true, value: history.project });
    expect(undo(history).project).toEqual(sheet);
  });
});

describe('written on', () => {
  test('a note is kept, cut off where it is too long, and gone where it is empty', () => {
    const noted = done(THREE, page.writeNote('s1', 'Two papers of one kit.')).project;
    expect(noted.surfaces[0]!.note).toBe('Two papers of one kit.');
    expect(
      done(THREE, page.writeNote('s1', 'k'.repeat(LONGEST_NOTE + 9))).project.surfaces[0]!.note,
    ).toHaveLength(LONGEST_NOTE);
    expect(done(noted, page.writeNote('s1', '')).project.surfaces[0]).not.toHaveProperty('note');
  });

  test('typed on it is one step for each page', () => {
    let history = startHistory(THREE);
    for (const [i, note] of ['T', 'Ti', 'Tide'].entries())
      history = perform(history, page.writeNote('s1', note), i * 100);
    expect(history.steps).toHaveLength(1);
    history = perform(history, page.writeNote('s2', 'Ebb'), 400);
    expect(history.steps).toHaveLength(2);
    expect(undoLabel(history)).toBe('write note');
  });
});

test('locked and unlocked; guides are of a page or of all of them', () => {
  const history = done(
    THREE,
    page.lockPage('s2', true),
    page.setGuides('s1', 'draw guide', [{ axis: 'x', at: 20 }]),
    page.setGuides(null, 'draw guide on every page', [{ axis: 'y', at: 40 }]),
    page.lockGuides(true),
  );
  const { surfaces, guides, guidesLocked } = history.project;
  expect(surfaces.map(({ locked }) => Boolean(locked))).toEqual([false, true, false]);
  expect([surfaces[0]!.guides, surfaces[1]!.guides, guides]).toEqual([
    [{ axis: 'x', at: 20 }],
    [],
    [{ axis: 'y', at: 40 }],
  ]);
  expect(guidesLocked).toBe(true);
  expect(undoLabel(history)).toBe('lock guides');
  expect(done(history.project, page.lockGuides(false), page.lockPage('s2', false)).project.guidesLocked).toBe(
    false,
  );
});
