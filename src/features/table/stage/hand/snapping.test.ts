/** What a drag snaps to and what it says of it; what a press does while others shall take something over. */
import { undoLabel } from '@/core/project/history';
import { setGuides } from '@/core/project/edits/page';
import { click, over, placeOf, table, type Stage } from '../../../../../scripts/testing/stage';
import { inkPiece } from '../../../../../scripts/testing/samples';

const red = inkPiece('red', 100, 100, 60, 60);
const blue = inkPiece('blue', 250, 200, 60, 60);
const middle = ({ placement: { x, y } }: typeof red) => [x, y] as const;

/** A table that snaps, with a drag of blue by so much on its way. */
function dragged(by: readonly [number, number], more: object = {}, before?: (here: Stage) => void): Stage {
  const here = table([red, blue]);
  here.store.getState().setSnapping(true);
  before?.(here);
  const [x, y] = middle(blue);
  here.hand.press(over(x, y));
  for (const part of [0.5, 1]) here.hand.move(over(x + by[0] * part, y + by[1] * part, more));
  return here;
}
const why = ({ store }: Stage) => store.getState().snapped.map(({ axis, what }) => `${axis} ${what}`);

test('edges and middles of other pieces, those of the page and guides: it goes there, and says why', () => {
  const level = dragged([10, -98]);
  expect(placeOf(level, 'blue', true).y).toBeCloseTo(red.placement.y, 6);
  expect(why(level)).toContainEqual(expect.stringMatching(/^y /));
  // The page is 432 points wide.
  const centred = dragged([216 - blue.placement.x + 2, 37]);
  expect(placeOf(centred, 'blue', true).x).toBeCloseTo(216, 6);
  const guided = dragged([62, 37], {}, ({ store }) =>
    store.getState().perform(setGuides(null, 'add guide', [{ axis: 'x', at: 345 }])),
  );
  expect(placeOf(guided, 'blue', true).x).toBeCloseTo(345, 6);
  expect(why(guided).join()).toContain('guide');
  guided.hand.release(over(middle(blue)[0] + 62, middle(blue)[1] + 37));
  expect(guided.store.getState().snapped).toEqual([]);
  expect(placeOf(guided, 'blue').x).toBeCloseTo(345, 6);
});

test.each<[string, object, (here: Stage) => void]>([
  ['while Ctrl is held', { ctrlKey: true }, () => {}],
  ['switched off', {}, ({ store }) => store.getState().setSnapping(false)],
])('not %s', (_, more, before) => {
  const here = dragged([10, -98], more, before);
  expect(placeOf(here, 'blue', true)).toMatchObject({ y: blue.placement.y - 98 });
  expect(why(here)).toEqual([]);
});

test('pieces that are pressed take over what was chosen, each in a step of its own, until it is enough', () => {
  const here = table([{ ...red, placement: { ...red.placement, turn: 12 } }, blue]);
  const { store } = here;
  store.getState().select(['red']);
  store
    .getState()
    .matchFrom({ from: store.getState().history.project.surfaces[0]!.pile[0]!, what: ['turn'] });
  click(here, ...middle(blue));
  expect(placeOf(here, 'blue').turn).toBe(12);
  expect(placeOf(here, 'blue')).toMatchObject({ x: blue.placement.x, width: 60 });
  expect(undoLabel(store.getState().history)).toBe('match angle of embellishment');
  store.getState().matchFrom(null);
  click(here, ...middle(red));
  expect(store.getState().selection).toEqual(['red']);
});
