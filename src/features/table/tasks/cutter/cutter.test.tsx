/** The cutter's panels: what is read in them, and what comes of what is pressed. */
import { expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, within } from '@testing-library/react';
import { toPoints } from '@/core/units/lengths';
import type { Found } from '@/core/cutter/checks';
import { FIRST_SETTINGS, type CutterSettings } from '@/core/cutter/settings';
import { Sheets } from '@/features/table/tasks/Sheets';
import { CutFindings } from '@/features/table/tasks/cutter/CutFindings';
import { HowItIsCut } from '@/features/table/tasks/cutter/HowItIsCut';
import { WhatIsCut } from '@/features/table/tasks/cutter/WhatIsCut';
import { BLUE, itemOf, placeWith, polygon } from '../../../../../scripts/testing/cuts';
import { seated } from '../../../../../scripts/testing/room';
import { inkPiece } from '../../../../../scripts/testing/samples';

const box = polygon([0, 0], [9, 0], [9, 9], [0, 9]);

test('pieces are listed by paper, what is worked first; each, or all of a paper, can be had otherwise; mats follow their piece', () => {
  const asked = jest.fn();
  const places = [
    placeWith([
      itemOf('photo', box, { as: 'print', paper: { key: 'p', name: 'Beach', colour: '#dddddd' } }),
      itemOf('star', box),
      itemOf('moon', box, { as: 'score' }),
      itemOf('moon mat 1', box, { piece: 'moon', paper: BLUE }),
    ]),
  ];
  render(<WhatIsCut places={places} thumbs={new Map()} disabled={false} picked="star" onAsk={asked} />);
  const papers = within(screen.getByRole('list', { name: 'What is cut' })).getAllByText(/^\d (cut|left)/);
  expect(papers.map(({ textContent }) => textContent)).toEqual(['1 cut, 1 scored', '1 cut', '1 left']);
  const all = screen.getByLabelText<HTMLSelectElement>('All 2: what is done with it');
  expect(all.value).toBe('');
  fireEvent.change(all, { target: { value: 'draw' } });
  expect(asked).toHaveBeenLastCalledWith(['star', 'moon'], 'draw');
  fireEvent.change(screen.getByLabelText('moon: what is done with it'), { target: { value: 'print' } });
  expect(asked).toHaveBeenLastCalledWith(['moon'], 'print');
  expect(screen.getByLabelText<HTMLSelectElement>('moon mat 1: what is done with it').disabled).toBe(true);
});

test('findings are numbered, shown where they are, and cured one by one or all that are alike', () => {
  const found = ['a', 'b'].map((piece): Found => ({
    ...{ check: 'bridges', mat: 0, at: { x: 9, y: 9 }, name: piece, says: 'It tears.' },
    cure: { says: 'Widen it', pieces: [piece], change: { widen: 2 } },
  }));
  const other: Found = { check: 'outside', mat: null, at: { x: 0, y: 0 }, name: 'c', says: 'It is larger.' };
  const [show, cure] = [jest.fn(), jest.fn()];
  render(
    <CutFindings
      found={[...found, other]}
      clear={['No line is cut twice.']}
      disabled={false}
      shown={1}
      onShow={show}
      onCure={cure}
    />,
  );
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    '1a: It tears.ShowWiden itAll 2 so',
    '2b: It tears.ShowWiden it',
    '3c: It is larger.',
  ]);
  fireEvent.click(screen.getAllByRole('button', { name: 'Show' })[1]!);
  expect(show).toHaveBeenCalledWith(1);
  fireEvent.click(screen.getAllByRole('button', { name: 'Widen it' })[1]!);
  expect(cure).toHaveBeenLastCalledWith([found[1]!.cure]);
  fireEvent.click(screen.getByRole('button', { name: 'All 2 so' }));
  expect(cure).toHaveBeenLastCalledWith(found.map(({ cure }) => cure));
  screen.getByText('No line is cut twice.');
});

test('lengths are taken as they are typed and held to what a cutter can do; what has no meaning is not asked', () => {
  const changed = jest.fn<(change: Partial<CutterSettings>) => void>();
  const shown = (settings: Partial<CutterSettings>, fixed = false) => (
    <HowItIsCut settings={{ ...FIRST_SETTINGS, ...settings }} unit="mm" fixed={fixed} onChange={changed} />
  );
  const { rerender } = render(shown({}));
  const fill = (label: string, value: string) => {
    const field = screen.getByLabelText(label);
    fireEvent.change(field, { target: { value } });
    fireEvent.keyDown(field, { key: 'Enter' });
  };
  expect(screen.getByLabelText<HTMLInputElement>('Simplify to').value).toBe('0.05');
  fill('Simplify to', '0.1');
  expect(changed.mock.lastCall![0].tolerance).toBeCloseTo(toPoints(0.1, 'mm'), 9);
  fill('Blade trails by', '1/4 in');
  screen.getByText(/^At most 2 mm/);
  fireEvent.click(screen.getByLabelText('Leave out what lies hidden'));
  expect(changed).toHaveBeenLastCalledWith({ hidden: true });
  expect(screen.queryByLabelText('Kept beneath')).toBeNull();
  rerender(shown({ hidden: true }));
  screen.getByLabelText('Kept beneath');
  rerender(shown({ way: 'printed' }));
  screen.getByLabelText('Cut so far around');
  expect(screen.queryByLabelText('Between parts')).toBeNull();
  rerender(shown({ way: 'printed' }, true));
  expect(screen.queryByLabelText('Cut so far around')).toBeNull();
});

test('dealt among papers, the page shows it before it is done; shut, nothing of it is left', async () => {
  const pieces = [0, 100, 200].map((x) => inkPiece(`p${x}`, x, 0, 60, 60));
  const room = await seated(
    <Sheets />,
    pieces,
    pieces.map(({ id }) => id),
  );
  room.does(() => room.store.getState().openSheet('mix'));
  await screen.findByText('3 parts, as if the same had been cut from 3 papers at once.');
  const inks = (of = room.store.getState().tryout) =>
    of?.surfaces[0]!.pile.map(({ material }) => 'colour' in material && material.colour);
  expect(new Set(inks()).size).toBe(1);
  await room.press('Before');
  expect(inks()).toBeUndefined();
  await room.press('Shut Deal among papers');
  expect(room.store.getState().tryout).toBeNull();
  room.does(() => room.store.getState().openSheet('mix'));
  await room.press('Without paper 3');
  await room.press('Deal them');
  expect(room.pile().map(({ material }) => 'colour' in material && material.colour)).toEqual(
    Array(3).fill('#9e2b45'),
  );
  expect(room.undo()).toBe('deal 3 parts among 2 papers');
});

test('in the room a thin bar is found, shown on its mat and widened; the mat is tried to its end; nothing selected is all', async () => {
  const bar = (id: string, x: number, thin: number) =>
    inkPiece(id, x, 20, 144, 144, {
      outline: { kind: 'path', name: id, data: `M0 0H144V144H0ZM20 20V124H${124 - thin}V20Z` },
    });
  const room = await seated(<Sheets />, [bar('frame', 20, 0), bar('thin', 220, -19.2)]);
  room.does(() => room.store.getState().openSheet('cutter'));
  const found = () =>
    within(screen.getByRole('list', { name: 'What the checks found' })).queryAllByRole('listitem');
  await screen.findByText(/^\d parts of 1 paper on 1 mat/);
  await room.when(() => found().length === 1);
  expect(found()[0]!.textContent).toMatch(/It is 0\.\d+ mm wide here: under 0\.5 mm it tears\./);
  await room.press('Widen it');
  await screen.findByText('Nothing is narrower than 0.5 mm.');
  expect(room.piece('thin').cutter).toMatchObject({ widen: expect.any(Number) });
  expect(room.piece('frame').cutter).toBeUndefined();
  await room.press('Try this mat');
  await room.press('To the end, and lift');
  await screen.findByText(/^2 parts come loose, 2 fall out of them\. \d\.\d\d m worked/);
});

test('the middle of a letter hangs on nothing: bridges hold it; a page of nothing says what would be cut', async () => {
  const ring = inkPiece('o', 20, 20, 144, 144, {
    outline: { kind: 'path', name: 'o', data: 'M0 0H144V144H0ZM20 20V124H124V20ZM50 50H94V94H50Z' },
  });
  const room = await seated(<Sheets />, [ring]);
  room.does(() => room.store.getState().openSheet('cutter'));
  await screen.findByText(/hangs? on nothing/);
  await room.press('Hold with bridges');
  await room.when(() => !screen.queryByText(/hangs? on nothing/));
  expect(room.piece('o').cutter).toMatchObject({ bridge: expect.any(Number) });
});

test('outlines come in from a file at the size they have there; what is none is refused in a sentence, and nothing is lost', async () => {
  const room = await seated(<Sheets />, []);
  room.does(() => room.store.getState().openSheet('outlines'));
  const give = async (name: string, content: string) =>
    fireEvent.change(await screen.findByLabelText('A file of outlines'), {
      target: { files: [new File([content], name)] },
    });
  await give('binary.dxf', 'AutoCAD Binary DXF\r\n\x1a\0');
  const refused = await screen.findByRole('alert');
  expect(refused.textContent).toBe(
    '“binary.dxf” is a binary DXF, which is not read: save it as text. Nothing was changed.',
  );
  expect(room.pile()).toEqual([]);
  // HPGL (Hewlett-Packard, Graphics Language Reference): 40 steps to the millimetre, 25.4 mm square.
  await give('square.plt', 'IN;SP1;PU0,0;PD1016,0,1016,1016,0,1016,0,0;PU;');
  await screen.findByText(/^1 outline, /);
  expect(screen.queryByRole('alert')).toBeNull();
  await room.press('Lay them');
  const [laid] = room.pile();
  expect(laid!.placement.width).toBeCloseTo(72, 6);
  expect(laid!.placement.height).toBeCloseTo(72, 6);
  room.does(() => room.store.getState().undo());
  expect(room.pile()).toEqual([]);
});
