/** What runs along an edge and what a piece lies in: strokes and dashes, blends, letters in one piece, the bound edge. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { BLENDS } from '@/core/picture/blend';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { partsOf } from '@/core/geometry/combine';
import { cutOf, toolsFor } from '@/core/page/outlines';
import { boundOn } from '@/core/product';
import { About } from '@/features/table/about/About';
import { BoundEdge } from '@/features/table/stage/marks/BoundEdge';
import { shownSurface } from '@/features/table/session';
import { book } from '../../../../scripts/testing/books';
import { seated, seatedAt, type Seated } from '../../../../scripts/testing/room';
import { inkPiece, wordsOf } from '../../../../scripts/testing/samples';

/** Opens a row of the panel. */
const open = async (row: string) => {
  const head = screen.getByRole('button', { name: new RegExp(`^${row} `) });
  if (head.getAttribute('aria-expanded') !== 'true') fireEvent.click(head);
};

test('a stroke is a line, becomes dashes that are counted, goes to the edge it is wished on, and is taken off', async () => {
  const room = await seated(
    <About />,
    [inkPiece('a', 40, 40, 180, 120), inkPiece('b', 250, 40, 90, 90)],
    ['a', 'b'],
  );
  const strokes = () => [room.piece('a').finish.stroke, room.piece('b').finish.stroke];
  await open('Finish');
  await room.choose('Stroke along the edge', 'A line');
  expect(room.undo()).toBe('change stroke of 2 pieces');
  expect(strokes()).toEqual(Array(2).fill({ colour: '#fdfbf6', width: 6, side: 'outside' }));
  await room.fill('Line width', '3 pt');
  await room.choose('Side', 'On the edge');
  expect(strokes()).toEqual(Array(2).fill({ colour: '#fdfbf6', width: 3, side: 'on' }));
  await room.choose('Stroke along the edge', 'Dashes');
  expect(strokes()[0]).toMatchObject({ width: 2, side: 'inside', broken: expect.anything() });
  const counted = () =>
    Number(/^(\d+) dashes, whole on each side/.exec(screen.getByText(/dashes, whole/).textContent!)![1]);
  const many = counted();
  await room.fill('Length of a dash', '24 pt');
  expect(counted()).toBeLessThan(many);
  await room.fill('From the edge', '59 pt');
  expect(strokes()[1]!.broken).toMatchObject({ length: 24, from: 59 });
  await room.choose('Side', 'On the edge');
  expect(screen.queryByRole('textbox', { name: 'From the edge' })).toBeNull();
  // Without its dashes it is the line it was.
  await room.choose('Stroke along the edge', 'A line');
  expect(strokes()[0]).toEqual({ colour: '#fdfbf6', width: 2, side: 'on' });
  await room.choose('Stroke along the edge', 'None');
  expect(strokes().filter(Boolean)).toEqual([]);
});

test('dashes further in than there is room say so', async () => {
  const room = await seated(<About />, [inkPiece('a', 40, 40, 30, 20)], ['a']);
  await open('Finish');
  await room.choose('Stroke along the edge', 'Dashes');
  await room.fill('From the edge', '18 pt');
  expect(screen.getByText('There is no room for them: less from the edge.')).toBeTruthy();
});

test('every published blend is offered in words, each with a sample of the place; one is taken by all that is selected', async () => {
  const room = await seated(<About />, [inkPiece('a'), inkPiece('b', 120, 30)], ['a', 'b']);
  await open('Finish');
  const field = await screen.findByRole('combobox', { name: 'Blend with what lies beneath' });
  expect(field.textContent).toBe('Normal: it covers');
  fireEvent.mouseDown(field);
  const options = within(screen.getByRole('listbox')).getAllByRole('option');
  expect(options).toHaveLength(BLENDS.length + 1);
  for (const option of options) expect(option.querySelector('canvas')).toBeTruthy();
  expect(options.map((option) => option.textContent)).toContain('Colour burn');
  fireEvent.click(options.find((option) => option.textContent === 'Multiply')!);
  expect([room.piece('a').finish.blend, room.piece('b').finish.blend]).toEqual(['multiply', 'multiply']);
  await room.choose('Blend with what lies beneath', 'Normal: it covers');
  expect('blend' in room.piece('a').finish && room.piece('a').finish.blend).toBeFalsy();
});

test('letters are cut as one piece, touching or on a bar that is raised and made thicker, and apart again', async () => {
  const room = await seated(<About />, [wordsOf('w', 'KITE', 80, 400)], ['w']);
  const outline = () => room.piece('w').outline as GlyphsOutline;
  const parts = () => {
    const { history, typesetter } = room.store.getState();
    return partsOf(cutOf(room.piece('w'), toolsFor(history.project, typesetter)).path).length;
  };
  const apart = parts();
  expect(apart).toBeGreaterThan(1);
  await open('Cut');
  const how = await screen.findByRole('group', { name: 'In one piece, for a cutter' });
  const choose = (name: string) => fireEvent.click(within(how).getByRole('button', { name }));
  choose('On a bar');
  expect(outline().joined).toEqual({ how: 'bar', at: 0, thick: 0.08 });
  expect(parts()).toBe(1);
  fireEvent.change(screen.getByRole('slider', { name: 'Bar, how thick' }), { target: { value: '0.3' } });
  fireEvent.change(screen.getByRole('slider', { name: 'Bar, how high' }), { target: { value: '0.2' } });
  expect(outline().joined).toEqual({ how: 'bar', at: 0.2, thick: 0.3 });
  expect(screen.getByText('30 %')).toBeTruthy();
  choose('Touching');
  expect(outline().joined!.how).toBe('touch');
  expect(parts()).toBeLessThan(apart);
  expect(screen.queryByRole('slider', { name: 'Bar, how thick' })).toBeNull();
  choose('Apart');
  expect(outline().joined).toBeUndefined();
  expect(parts()).toBe(apart);
});

test('where a page is bound is shown where it lies on the stage, with what is punched there', async () => {
  const project = book('spiral');
  const room: Seated = await seatedAt(
    <svg>
      <BoundEdge />
    </svg>,
    project,
  );
  room.does(() => room.store.getState().turnTo(project.surfaces.at(-1)!.id));
  const { view } = room.store.getState();
  const bound = boundOn(project, shownSurface(room.store.getState()));
  expect(bound.length).toBeGreaterThan(0);
  const [shown, ...more] = screen.getByTestId('bound').querySelectorAll('g');
  expect(more).toHaveLength(bound.length - 1);
  const rect = shown!.querySelector('rect')!;
  const [{ box }] = bound as [(typeof bound)[number]];
  for (const [name, value] of [
    ['x', view.x + box.x * view.zoom],
    ['width', box.width * view.zoom],
    ['height', box.height * view.zoom],
  ] as const)
    expect(Number(rect.getAttribute(name))).toBeCloseTo(value, 6);
});
