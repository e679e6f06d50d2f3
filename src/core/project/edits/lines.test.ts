/** Lines on their piece, edit by edit: begun, added, changed, ordered, taken away; all else of the piece stays where it is seen. */
import { apply, type Point } from '@/core/geometry/matrix';
import type { LinesOutline } from '@/core/piece/outline/lines';
import type { Piece } from '@/core/piece/piece';
import type { Edit } from '@/core/project/edits/edit';
import * as lines from '@/core/project/edits/lines';
import { isDrawn, linesPiece, planeToPage, type DrawnPiece } from '@/core/project/lines';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, undo, undoLabel } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { newPaint } from '@/core/trail/paint/paint';
import { NEW_CORD } from '@/core/trail/cord';
import type { Line } from '@/core/trail/line';
import type { Trail } from '@/core/trail';
import { lineOf, trailsOf } from '../../../../scripts/testing/lines';
import { assetOf, inkPiece, laid, quarters } from '../../../../scripts/testing/samples';

const asset = assetOf(quarters(66, 46), 66, 46);
const PAGE = laid([]).surfaces[0]!.id;
const PAINT = newPaint('round', '#9e2b45');
const RUBBER: Trail = { ...newPaint('soft', '#000000'), erase: true };
const done = (project: Project, edit: Edit) => {
  const history = perform(startHistory(project), edit, 0);
  expect(readProject(writeProject(history.project))).toEqual({ ok: true, value: history.project });
  return history;
};
const drawn = (...all: Line[]): DrawnPiece => linesPiece('d', all);
const on = (...pieces: Piece[]) => laid(pieces, [asset]);
const pieceIn = (project: Project) => project.surfaces[0]!.pile.find(isDrawn) as DrawnPiece;
const linesIn = (project: Project) => (pieceIn(project).outline as LinesOutline).lines.map(({ id }) => id);
/** Where the first point of a line is seen on the page. */
const seen = (piece: DrawnPiece, id: string): Point => {
  const { at } = piece.outline.lines.find((line) => line.id === id)!;
  return apply(planeToPage(piece), { x: at[0]!, y: at[1]! });
};
const near = (a: Point, b: Point) => expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(1e-6);

test.each(trailsOf(asset.sha).map((trail) => [trail.kind, trail] as const))(
  'a line of %s begins a piece where it was drawn, and is called so',
  (_, trail) => {
    const line = lineOf('l', trail, 90, 120);
    const history = done(on(), lines.beginLines(PAGE, 'd', line));
    near(seen(pieceIn(history.project), 'l'), { x: 90, y: 120 });
    expect(undoLabel(history)).toMatch(/^draw \w/);
    expect(undo(history).project).toEqual(on());
  },
);

describe('one line more', () => {
  test('lies above those that are there, which stay where they are seen, however the piece was moved and turned', () => {
    const piece = drawn(lineOf('a', PAINT, 60, 60));
    const turned = {
      ...piece,
      placement: {
        ...piece.placement,
        x: 210,
        y: 130,
        turn: 35,
        mirror: true,
        width: 2 * piece.placement.width,
      },
    } as DrawnPiece;
    const before = seen(turned, 'a');
    const { project } = done(on(turned), lines.addLine(PAGE, 'd', lineOf('b', NEW_CORD, 300, 10)));
    expect(linesIn(project)).toEqual(['a', 'b']);
    near(seen(pieceIn(project), 'a'), before);
    expect(pieceIn(project).placement).toMatchObject({ turn: 35, mirror: true });
  });

  test('one that rubs out is called so', () => {
    expect(
      undoLabel(done(on(drawn(lineOf('a', PAINT))), lines.addLine(PAGE, 'd', lineOf('x', RUBBER)))),
    ).toBe('erase');
  });
});

test('a line that is changed is changed alone; a slider that is drawn is one step, another setting another', () => {
  const piece = drawn(lineOf('a', PAINT), lineOf('b', PAINT, 60, 90));
  const wider = { ...PAINT, width: 30 };
  const { project } = done(on(piece), lines.changeLine(PAGE, piece, 'b', { trail: wider }));
  const [a, b] = pieceIn(project).outline.lines as [Line, Line];
  expect(a).toEqual(piece.outline.lines[0]);
  expect(b.trail).toEqual(wider);
  near(seen(pieceIn(project), 'a'), seen(piece, 'a'));
  let history = startHistory(on(piece));
  for (const [i, smoothing] of [0.4, 0.5, 0.6].entries())
    history = perform(history, lines.changeLine(PAGE, piece, 'b', { smoothing }), i * 100);
  expect(history.steps).toHaveLength(1);
  expect(perform(history, lines.changeLine(PAGE, piece, 'b', { trail: wider }), 400).steps).toHaveLength(2);
  expect(
    perform(startHistory(on(piece)), lines.changeLine(PAGE, piece, 'gone', { smoothing: 0.9 }), 0).project,
  ).toEqual(on(piece));
});

describe('taken away', () => {
  test('the others stay where they are seen; with the last that paints goes the piece', () => {
    const piece = drawn(lineOf('a', PAINT, 40, 40), lineOf('b', PAINT, 260, 180));
    const { project } = done(on(piece), lines.removeLine(PAGE, piece, 'a'));
    expect(linesIn(project)).toEqual(['b']);
    near(seen(pieceIn(project), 'b'), seen(piece, 'b'));
    const last = done(project, lines.removeLine(PAGE, pieceIn(project), 'b'));
    expect(last.project.surfaces[0]!.pile).toEqual([]);
    expect(undoLabel(last)).toBe('take line away');
  });

  test('a rubber with nothing left to rub out goes along', () => {
    const piece = drawn(lineOf('a', PAINT), lineOf('x', RUBBER));
    expect(done(on(piece), lines.removeLine(PAGE, piece, 'a')).project.surfaces[0]!.pile).toEqual([]);
    expect(linesIn(done(on(piece), lines.removeLine(PAGE, piece, 'x')).project)).toEqual(['a']);
  });
});

test('a line goes one step up or down, and no farther than there are others', () => {
  const piece = drawn(lineOf('a', PAINT), lineOf('b', PAINT), lineOf('c', PAINT));
  const order = (id: string, by: 1 | -1) =>
    linesIn(done(on(piece), lines.orderLine(PAGE, piece, id, by)).project).join('');
  expect([
    order('a', 1),
    order('b', 1),
    order('c', 1),
    order('a', -1),
    order('c', -1),
    order('gone', 1),
  ]).toEqual([...['bac', 'acb', 'abc', 'abc', 'acb', 'abc']]);
});

describe('along edges', () => {
  const along = trailsOf(asset.sha).map((trail) => ({ trail, side: 'inside' as const, from: 4 }));

  test('what runs there is put on all that are chosen, each its own, and taken off by putting on nothing', () => {
    const [a, b, c] = [inkPiece('a'), inkPiece('b', 150), inkPiece('c', 260)];
    const history = done(on(a, b, c), lines.changeTrails(PAGE, [a, b], [along[0]!, along[3]!]));
    const [one, two, three] = history.project.surfaces[0]!.pile;
    expect([one!.finish.trails, two!.finish.trails]).toEqual([
      [along[0], along[3]],
      [along[0], along[3]],
    ]);
    expect(one!.finish.trails).not.toBe(two!.finish.trails);
    expect(three).toEqual(c);
    expect(undoLabel(history)).toMatch(/^change .* along 2 pieces$/);
    const bare = done(history.project, lines.changeTrails(PAGE, [a, b], []));
    expect(bare.project).toEqual(on(a, b, c));
    expect(undoLabel(bare)).toBe('take off what runs along 2 pieces');
  });
});
