/** Looks: kept, given, changed for all that wear them, parted from, forgotten; undo gives everything back. */
import { finishOf } from '@/core/piece/finish';
import {
  changeLook,
  forgetLook,
  giveLook,
  keepLook,
  lookOf,
  partLook,
  sameFinish,
  wearing,
} from '@/core/project/edits/looks';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, undo, type History } from '@/core/project/history';
import { assetOf, inkPiece, laid, quarters } from '../../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60), 900, 600);
const glossy = { ...finishOf(1.5), treatments: [{ kind: 'enamel' as const, values: {} }] };
const start = () =>
  startHistory(
    laid(
      [
        inkPiece('a', 0, 0, 40, 40, { finish: glossy }),
        inkPiece('b', 50, 0, 40, 40),
        inkPiece('c', 0, 50, 40, 40),
      ],
      [asset],
    ),
  );
const pile = ({ project }: History) => project.surfaces[0]!.pile;
const page = (history: History) => history.project.surfaces[0]!.id;

function kept() {
  const before = start();
  const withLook = perform(before, keepLook(page(before), [pile(before)[0]!], 'gloss', 'Gloss'), 0);
  const look = withLook.project.looks![0]!;
  return { before, look, history: perform(withLook, giveLook(page(before), [pile(before)[1]!], look), 5000) };
}

test('a finish is kept by name and given to others', () => {
  const { history } = kept();
  expect(wearing(history.project, 'gloss').map(({ id }) => id)).toEqual(['a', 'b']);
  expect(pile(history)[1]!.finish).toEqual(glossy);
  expect(pile(history)[2]!.finish).toEqual(pile(start())[2]!.finish);
});

test('changed once, it changes for all that wear it, and in one step back again', () => {
  const { history, look } = kept();
  const softer = { ...glossy, opacity: 0.5 };
  const changed = perform(history, changeLook(look, softer), 9000);
  expect(pile(changed).map(({ finish }) => finish.opacity)).toEqual([0.5, 0.5, 1]);
  expect(lookOf(changed.project, pile(changed)[0]!)!.finish).toEqual(softer);
  expect(undo(changed).project).toEqual(history.project);
  // A locked page stays as it is.
  const locked = startHistory({
    ...history.project,
    surfaces: history.project.surfaces.map((surface) => ({ ...surface, locked: true })),
  });
  expect(pile(perform(locked, changeLook(look, softer), 0)).map(({ finish }) => finish.opacity)).toEqual([
    1, 1, 1,
  ]);
});

test('who parts from it keeps the finish; forgotten, all keep theirs; the file holds it', () => {
  const { history, look } = kept();
  const parted = perform(history, partLook(page(history), [pile(history)[1]!]), 9000);
  expect(wearing(parted.project, 'gloss').map(({ id }) => id)).toEqual(['a']);
  expect(pile(parted)[1]!.finish).toEqual(glossy);
  const gone = perform(history, forgetLook(look), 9000);
  expect(gone.project.looks).toBeUndefined();
  expect(pile(gone)[0]!.finish).toEqual(glossy);
  expect(readProject(writeProject(history.project))).toEqual({ ok: true, value: history.project });
});

test('finishes are the same by what they say, in whatever order', () => {
  const { lift, ...rest } = glossy;
  expect(sameFinish(glossy, { ...rest, lift })).toBe(true);
  expect(sameFinish(glossy, { ...glossy, blend: 'multiply' })).toBe(false);
});
