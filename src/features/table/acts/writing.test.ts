/** Whatever is written, marked, lettered, listed, made living, undone and redone: words stay whole, and their caret is in them. */
import fc from 'fast-check';
import { fieldSays } from '@/core/living/fields';
import { livingIn } from '@/core/living/living';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { readProject, writeProject } from '@/core/project/file';
import { startHistory } from '@/core/project/history';
import * as act from '@/features/table/acts';
import {
  fitBox,
  fitLetters,
  fitOnPage,
  fixBox,
  giveFamily,
  letter,
  toggleFace,
  toggleList,
  typeOn,
} from '@/features/table/acts/words';
import { putField } from '@/features/table/acts/living';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { fitted } from '@/features/table/stage/hand/view';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { Chance } from '../../../../scripts/testing/chance';
import { inkPiece, laid, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const STAGE = { width: 800, height: 600 };

const TYPED = ['a', 'W', ' ', '\n', 'kite', '🪁', 'é', 'ש', 'ﷺ', '\u200d', '- ', '1. ', '\t', 'fi', '👨‍👩‍👧', ''];
const first = laid([wordsOf('words', 'Low tide,\n🪁 high spirits', 20, 180), inkPiece('ink', 200, 150)]);

function table(): SessionStore {
  const store = createSession(startHistory(first), typesetter, false);
  store.getState().measured(STAGE, fitted(shownSurface(store.getState()), STAGE));
  return store;
}

/** What a hand and a keyboard do to words, by name. */
const DEEDS: Record<string, (store: SessionStore, chance: Chance) => unknown> = {
  begin: (store, chance) => act.startWords(store, chance.of(['title', 'journaling'])),
  paste: (store, chance) =>
    act.layText(store, chance.of(['Pasted\r\nwords', ' \n ', 'x'.repeat(300), 'שלום'])),
  open: (store, chance) => {
    const piece = chance.of(
      shownSurface(store.getState()).pile.filter(({ outline }) => outline.kind === 'glyphs'),
    );
    if (piece) act.writeOn(store, piece);
  },
  end: (store) => act.stopWriting(store),
  mark: (store, chance) => {
    const { mode, setMode } = store.getState();
    const piece = mode.kind === 'write' ? act.wordsOf(store.getState(), mode.id) : null;
    if (mode.kind !== 'write' || !piece) return;
    // A field marks whole letters, never half of one.
    const stops = [...new Intl.Segmenter('en').segment(piece.outline.text)]
      .map(({ index }) => index)
      .concat(piece.outline.text.length);
    const range = [chance.of(stops), chance.of(stops)].sort((a, b) => a - b) as [number, number];
    setMode({ ...mode, range });
  },
  type: (store, chance) => typeOn(store, chance.of(TYPED)),
  letter: (store, chance) =>
    letter(
      store,
      store.getState().selection[0] ?? 'words',
      chance.of([
        { bold: true as const },
        { size: 31 },
        { ink: '#a92c40' },
        { family: 'caveat' },
        { size: 1e6 },
        { size: 0 },
      ]),
    ),
  face: (store, chance) => toggleFace(store, chance.of(['bold', 'italic'])),
  family: (store, chance) => giveFamily(store, chance.of(['lora', 'great-vibes', 'courier-prime'])),
  list: (store, chance) =>
    toggleList(store, store.getState().selection[0] ?? 'words', chance.of(['points', 'numbers'])),
  live: (store, chance) =>
    putField(store, chance.of([{ kind: 'page' }, { kind: 'pages' }, { kind: 'title' }] as const)),
  fitLetters: (store) => fitLetters(store, 'words'),
  fitOnPage: (store) => fitOnPage(store, 'words'),
  fitBox: (store) => fitBox(store, 'words'),
  fix: (store, chance) => fixBox(store, 'words', chance.bool()),
  select: (store, chance) =>
    store.getState().select(chance.some(shownSurface(store.getState()).pile).map(({ id }) => id)),
  undo: (store) => store.getState().undo(),
  redo: (store) => store.getState().redo(),
};

function wrongIn(store: SessionStore): string[] {
  const { history, mode, selection, surfaceId } = store.getState();
  const { pile } = history.project.surfaces.find(({ id }) => id === surfaceId)!;
  const wrong = selection
    .filter((id) => !pile.some((piece) => piece.id === id))
    .map((id) => `${id} is selected and gone`);
  for (const piece of pile) {
    if (piece.outline.kind !== 'glyphs') continue;
    const { text, spans = [] } = piece.outline as GlyphsOutline;
    let end = 0;
    for (const span of spans) {
      if (span.start < end || span.end <= span.start || span.end > text.length)
        wrong.push(`${piece.id}: a stretch from ${span.start} to ${span.end} of ${text.length}`);
      end = span.end;
    }
    // No letter is cut in two.
    if (!text.isWellFormed()) wrong.push(`${piece.id}: half a letter in “${text}”`);
  }
  if (mode.kind === 'write') {
    const piece = act.writtenPiece(store.getState(), mode.id);
    if (!piece) wrong.push('what is written is gone');
    else if (mode.range?.some((at) => at < 0 || at > piece.outline.text.length))
      wrong.push(`the caret is at ${mode.range} of ${piece.outline.text.length}`);
  }
  for (const { surfaceId: on, pieceId, field, start, end: until } of livingIn(history.project)) {
    const index = history.project.surfaces.findIndex(({ id }) => id === on);
    const { outline } = history.project.surfaces[index]!.pile.find(({ id }) => id === pieceId)!;
    const says = (outline as GlyphsOutline).text.slice(start, until);
    const should = fieldSays({ project: history.project, index }, field);
    if (says !== should) wrong.push(`${field.kind} says “${says}”, not “${should}”`);
  }
  return wrong;
}

test('words are whole after whatever was done to them', () => {
  const names = Object.keys(DEEDS);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
      const chance = new Chance(seed);
      const store = table();
      store.getState().select(['words']);
      const done: string[] = [];
      for (let i = 0; i < 40; i++) {
        // Mostly it is written.
        const name = chance.bool() ? chance.of(['type', 'mark', 'open']) : chance.of(names);
        done.push(name);
        DEEDS[name]!(store, chance);
        expect({ done, wrong: wrongIn(store) }).toEqual({ done, wrong: [] });
      }
      const { project } = store.getState().history;
      expect({ done, read: readProject(writeProject(project)) }).toEqual({
        done,
        read: { ok: true, value: project },
      });
      while (store.getState().history.done) store.getState().undo();
      expect(store.getState().history.project).toEqual(first);
    }),
    { numRuns: 20 },
  );
});
