/** The session, slice by slice: one update for what belongs together, nothing in hand that is not there any more. */
import { startHistory } from '@/core/project/history';
import { lockPage, addPage, removePage } from '@/core/project/edits/page';
import { layPieces, removePieces } from '@/core/project/edits/pile';

import { groupPieces } from '@/core/project/edits/group';
import { lockPieces, movePieces } from '@/core/project/edits/place';
import { retitle } from '@/core/project/edits/gather';
import { writeWords } from '@/core/project/edits/make';
import type { Edit } from '@/core/project/edits/edit';
import { newSurface } from '@/core/project/model';
import { Refused } from '@/core/project/refused';
import {
  createSession,
  selectedPieces,
  shownProject,
  shownSurface,
  type Session,
  type SessionStore,
} from '@/features/table/session';
import { SENT, SHEET_SAYS } from '@/features/table/session/sheet';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { inkPiece, laid, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const WORDS = wordsOf('words', 'Low tide', 18);
const table = (readOnly = false): SessionStore =>
  createSession(startHistory(laid([inkPiece('a'), inkPiece('b', 150), WORDS])), typesetter, readOnly);
const now = (store: SessionStore): Session => store.getState();
const pageOf = (store: SessionStore) => now(store).surfaceId;
const move = (store: SessionStore, id = 'a', by = 9): Edit =>
  movePieces(
    pageOf(store),
    shownSurface(now(store)).pile.filter((piece) => piece.id === id),
    by,
    0,
  );
/** How often it told of something while something is done. */
function told(store: SessionStore, change: () => void): number {
  let times = 0;
  const stop = store.subscribe(() => times++);
  change();
  stop();
  return times;
}

describe('the document', () => {
  test('an edit, what it chooses and what it ends are one update; it is on its way to the store', () => {
    const store = table();
    now(store).wasKept(now(store).history, 77);
    expect(now(store).kept).toBe(77);
    now(store).tryOut(move(store));
    expect(told(store, () => now(store).perform(move(store), { selection: ['b'], entered: null }))).toBe(1);
    expect(now(store)).toMatchObject({ kept: null, tryout: null, selection: ['b'], mode: { kind: 'pick' } });
    expect(now(store).perform(move(store))).toBe(true);
  });
  test('what is refused chooses nothing, changes nothing, and says why', () => {
    const store = table();
    const before = now(store).history;
    const refusing: Edit = {
      label: 'cannot be',
      apply() {
        throw new Refused('There is no room.');
      },
    };
    now(store).select(['a']);
    expect(now(store).perform(refusing, { selection: ['b'] })).toBe(false);
    expect(now(store)).toMatchObject({
      history: before,
      selection: ['a'],
      refused: { why: 'There is no room.' },
    });
    // What breaks is no refusal: it is heard of.
    const broken: Edit = {
      label: 'broken',
      apply() {
        throw new TypeError('x');
      },
    };
    expect(() => now(store).perform(broken)).toThrow(TypeError);
    expect(now(store).history).toBe(before);
  });
  test('a locked page is touched by no edit, tried out or done; others beside it are', () => {
    const store = table();
    now(store).perform(addPage(newSurface('p2', 'Page 2', { width: 100, height: 100 }, 'in')));
    now(store).perform(lockPage(pageOf(store), true));
    const before = now(store).history;
    expect(now(store).perform(move(store))).toBe(false);
    expect(now(store).touchedLocked).toBeGreaterThan(0);
    now(store).tryOut(move(store));
    expect([now(store).tryout, now(store).history]).toEqual([null, before]);
    expect(now(store).perform(layPieces('p2', [inkPiece('c')], []))).toBe(true);
    expect(now(store).perform(lockPage(pageOf(store), false))).toBe(true);
    expect(now(store).perform(move(store))).toBe(true);
  });
  test('held by another tab nothing is changed, undone or tried, and nothing is said', () => {
    const store = table(true);
    const before = now(store).history;
    now(store).tryOut(move(store));
    expect(now(store).perform(move(store), { selection: ['b'] })).toBe(false);
    now(store).amend(retitle('x'));
    for (const go of ['undo', 'redo'] as const) now(store)[go]();
    expect(now(store)).toMatchObject({ history: before, tryout: null, selection: [], refused: null });
  });
  test('a try-out is what is shown while it lasts; what cannot be tried leaves what was shown last', () => {
    const store = table();
    const x = () => shownSurface(now(store)).pile[0]!.placement.x;
    const start = x();
    now(store).tryOut(move(store, 'a', 20));
    expect([x(), now(store).history.done]).toEqual([start + 20, 0]);
    now(store).tryOut({ label: 'x', apply: () => { throw new Refused('no'); } }); // prettier-ignore
    expect(x()).toBe(start + 20);
    now(store).tryOut(null);
    expect([x(), now(store).snapped]).toEqual([start, []]);
  });
  test('compared, the page is seen as it was so many steps ago, for as long as it is held', () => {
    const store = table();
    for (let i = 0; i < 3; i++) now(store).perform(move(store, 'a', 10 * (i + 1)));
    const x = () => shownProject(now(store)).surfaces[0]!.pile[0]!.placement.x;
    const last = x();
    now(store).compare(1);
    const { done } = now(store).history;
    now(store).compare(99);
    expect(x()).toBeLessThan(last);
    expect(now(store).history.done).toBe(done);
    now(store).compare(0);
    expect([x(), now(store).compared]).toEqual([last, null]);
    // With nothing done there is nothing to compare with.
    const fresh = table();
    fresh.getState().compare(1);
    expect(fresh.getState().compared).toBeNull();
  });
});

describe('undone and done again', () => {
  test('what is not there any more is not in hand; groups and pages that went are left', () => {
    const store = table();
    now(store).perform(layPieces(pageOf(store), [inkPiece('new')], []), { selection: ['new', 'a'] });
    now(store).undo();
    expect(now(store).selection).toEqual(['a']);
    now(store).perform(
      groupPieces(pageOf(store), shownSurface(now(store)).pile.slice(0, 2), { id: 'g', name: 'Two' }, null),
      {
        entered: 'g',
      },
    );
    expect(now(store).entered).toBe('g');
    now(store).undo();
    expect(now(store).entered).toBeNull();
    const [first] = now(store).history.project.surfaces;
    now(store).perform(addPage(newSurface('p2', 'Page 2', { width: 100, height: 100 }, 'in')));
    now(store).turnTo('p2');
    now(store).undo();
    expect(pageOf(store)).toBe(first!.id);
  });
  test('words that are written on are written on, the caret where they changed; gone, they are not', () => {
    const store = table();
    const write = (text: string) =>
      now(store).perform(
        writeWords(pageOf(store), shownSurface(now(store)).pile[2]!, { text }, WORDS.placement),
        {
          mode: { kind: 'write', id: 'words', range: [text.length, text.length] },
        },
      );
    write('Low tide at four');
    now(store).undo();
    expect(now(store).mode).toEqual({ kind: 'write', id: 'words', range: [8, 8] });
    now(store).perform(removePieces(pageOf(store), [WORDS]), { selection: [] });
    now(store).undo();
    now(store).setMode({ kind: 'write', id: 'words' });
    now(store).redo();
    expect(now(store).mode).toEqual({ kind: 'pick' });
    // A picture is slid no further: what undo took back may be the cut it lies in.
    now(store).undo();
    now(store).setMode({ kind: 'slide', id: 'a' });
    now(store).redo();
    expect(now(store).mode).toEqual({ kind: 'pick' });
  });
  test('a lock that turns is told of, as nothing of it is seen', () => {
    const store = table();
    now(store).perform(lockPage(pageOf(store), true));
    now(store).undo();
    expect(now(store).refused!.why).toBe('Page 1 is not locked any more: that was a step, too.');
    now(store).redo();
    expect(now(store).refused!.why).toBe('Page 1 is locked: that was a step, too.');
    now(store).undo();
    const pieces = shownSurface(now(store)).pile.slice(0, 2);
    now(store).perform(lockPieces(pageOf(store), pieces, true));
    now(store).undo();
    expect(now(store).refused!.why).toBe('2 pieces are not locked any more: that was a step, too.');
  });
  test('any step is gone to; beyond the ends there is nothing', () => {
    const store = table();
    for (let i = 0; i < 4; i++) now(store).perform(layPieces(pageOf(store), [inkPiece(`n${i}`)], []));
    const count = () => shownSurface(now(store)).pile.length;
    now(store).goTo(1);
    expect([count(), now(store).history.done]).toEqual([4, 1]);
    now(store).goTo(4);
    expect(count()).toBe(7);
    now(store).redo();
    expect(count()).toBe(7);
    now(store).perform(removePage('no such page'));
    expect(count()).toBe(7);
  });
});

describe('what is in hand', () => {
  test('taken hold of, pieces are picked up; another page is turned to with nothing in hand', () => {
    const store = table();
    now(store).setMode({ kind: 'write', id: 'words' });
    now(store).select(['a', 'b']);
    expect(selectedPieces(now(store)).map(({ id }) => id)).toEqual(['a', 'b']);
    expect(now(store).mode).toEqual({ kind: 'pick' });
    now(store).choose({ selection: ['words'], mode: { kind: 'write', id: 'words' } });
    expect(now(store).mode.kind).toBe('write');
    now(store).choose({ entered: 'g' });
    expect([now(store).selection, now(store).mode.kind]).toEqual([['words'], 'write']);
    now(store).choosePages(['p2']);
    now(store).turnTo('p2');
    expect(now(store)).toMatchObject({
      selection: [],
      alongPages: [],
      entered: null,
      mode: { kind: 'pick' },
    });
  });
  test('with the pointer up nothing is held; that there was nothing tells nobody', () => {
    const store = table();
    const box = { x: 0, y: 0, width: 9, height: 9 };
    now(store).hold({ marquee: box });
    now(store).hold({ swaps: { with: [], onto: null } });
    expect(now(store)).toMatchObject({ marquee: box, swaps: { onto: null } });
    expect(told(store, () => now(store).letGo())).toBe(1);
    expect(now(store)).toMatchObject({ marquee: null, swaps: null, drawnGuide: null });
    expect(told(store, () => now(store).letGo())).toBe(0);
    now(store).hover('a');
    now(store).peekAt({ x: 3, y: 4 });
    expect(now(store).hovered).toBe('a');
    now(store).peekAt(null);
    expect(now(store)).toMatchObject({ hovered: null, peeking: null });
  });
});

describe('what lies open', () => {
  test('a sheet begins with what it is opened for; two have the page to themselves', () => {
    const store = table();
    now(store).setMode({ kind: 'write', id: 'words' });
    now(store).openSheet('proposals', ['sha']);
    expect(now(store)).toMatchObject({ sheet: 'proposals', wanted: ['sha'], mode: { kind: 'write' } });
    now(store).openSheet('desk');
    expect(now(store).wanted).toEqual([]);
    now(store).openSheet('draw');
    expect(now(store).mode).toEqual({ kind: 'pick' });
    now(store).closeSheet();
    expect(now(store)).toMatchObject({ sheet: null, wanted: [] });
    for (const says of Object.values(SHEET_SAYS)) expect(says).toMatch(/^[A-Z].{20,}\.$/);
  });
  test('what is typed ahead is what was typed, until it is sent off', () => {
    const store = table();
    for (const key of ['k', 'i', 'x', 'Backspace', 't', 'Enter', 'e', 'Backspace']) now(store).typeAhead(key);
    expect(now(store).ahead).toBe(`kit${SENT}`);
    now(store).openSheet('actions');
    expect(now(store).ahead).toBe('');
  });
  test('shown and put away; the cupboard where it was asked for; rows of the panel, with the panel', () => {
    const store = table();
    now(store).lookInCupboard(['stamp']);
    expect(now(store)).toMatchObject({ supplyKinds: ['stamp'], show: { cupboard: true } });
    now(store).toggle('cupboard');
    expect(now(store)).toMatchObject({ supplyKinds: null, show: { cupboard: false, side: true } });
    now(store).toggle('side');
    now(store).lookAtRow('Finish');
    expect([now(store).show.side, [...now(store).rows!]]).toEqual([true, ['Finish']]);
    now(store).openRows(null);
    expect(now(store).rows).toBeNull();
    now(store).lookAt({ surfaceId: pageOf(store), name: 'Front' }, { zoom: 2, x: 1, y: 1 });
    expect(now(store)).toMatchObject({ panel: { name: 'Front' }, view: { zoom: 2 } });
  });
  test('what is told is another thing each time, and can lead on', () => {
    const store = table();
    let ran = 0;
    now(store).refuse('There is nothing to do.', { label: 'Do it', run: () => void ran++ });
    const first = now(store).refused!;
    first.next!.run();
    now(store).refuse('There is nothing to do.');
    expect([ran, now(store).refused === first, now(store).refused]).toEqual([
      1,
      false,
      { why: 'There is nothing to do.' },
    ]);
    now(store).setTrouble('No room');
    now(store).wasKept(now(store).history, 5);
    expect(now(store)).toMatchObject({ trouble: null, kept: 5 });
    // What was kept meanwhile is not what lies here now.
    const before = now(store).history;
    now(store).perform(move(store));
    now(store).wasKept(before, 6);
    expect(now(store).kept).toBeNull();
  });
});
