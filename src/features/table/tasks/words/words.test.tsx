/** @jest-environment ./scripts/testing/screen.mjs */
/** Words in their panels and sheets: fitted, filled with words, ready-made, replaced, laid in styles. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { About } from '@/features/table/about/About';
import { Overflows } from '@/features/table/stage/marks/Overflows';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated } from '../../../../../scripts/testing/room';
import { wordsOf } from '../../../../../scripts/testing/samples';

const LANTERNS =
  'We carried the lanterns down to the shingle at dusk and waited for the wind to drop. Thirty people whispered until the sea went quiet.';

test('words that do not fit are marked at once, and cured by smaller letters or a taller box', async () => {
  const room = await seated(
    <>
      <Overflows />
      <About />
    </>,
    [wordsOf('w', LANTERNS, 12, 200)],
    ['w'],
  );
  const outline = () => room.piece('w').outline as GlyphsOutline;
  await room.fill('Columns', '2');
  fireEvent.click(screen.getByLabelText('The box keeps its height'));
  expect(outline()).toMatchObject({ fixed: true, columns: { count: 2 } });
  expect(screen.queryByRole('group', { name: 'Words that do not fit' })).toBeNull();
  await room.fill('Letter size', '20');
  expect((await screen.findByRole('group', { name: 'Words that do not fit' })).textContent).toMatch(
    /^\d+ words do not fit/,
  );
  await room.press('Smaller letters');
  expect(screen.queryByRole('group', { name: 'Words that do not fit' })).toBeNull();
  expect(outline().size).toBeLessThan(20);
  const { height } = room.piece('w').placement;
  await room.fill('Letter size', '20');
  await room.press('Taller box');
  expect(screen.queryByRole('group', { name: 'Words that do not fit' })).toBeNull();
  expect(outline().size).toBe(20);
  expect(room.piece('w').placement.height).toBeGreaterThan(height);
});

test('a word is filled with words, counted across and down, in several inks, on paper; it stays a word', async () => {
  const room = await seated(<About />, [wordsOf('w', 'KITE', 150, 400)], ['w']);
  await room.press(/^Material /);
  await room.press('Fill it with words');
  const entries = await screen.findByRole<HTMLTextAreaElement>('textbox', {
    name: 'Words, one entry a line',
  });
  expect(entries.value).toBe('KITE');
  fireEvent.change(entries, { target: { value: 'wind\nsea' } });
  await room.fill('Words across', '10');
  await room.fill('Rows down', '8');
  expect(room.piece('w').material).toMatchObject({ kind: 'words', text: 'wind\nsea', across: 10, down: 8 });
  await room.fill('Words across', '4000');
  await screen.findByText(/^A whole number from 1 to \d+/);
  await room.press('One more ink');
  fireEvent.click(screen.getByLabelText('Paper behind the words'));
  expect(room.piece('w').material).toMatchObject({ inks: { length: 2 } });
  expect(room.piece('w').material).not.toHaveProperty('ground');
  expect(room.piece('w').outline).toMatchObject({ kind: 'glyphs', text: 'KITE' });
  expect(room.piece('w').finish.stroke).toMatchObject({ side: 'outside' });
});

test('a sentiment is found, its blank filled, and laid; one of one’s own is kept beside them and taken out', async () => {
  const room = await seated(<Sheets />, []);
  room.does(() => room.store.getState().openSheet('sentiments'));
  const type = async (name: string, value: string) =>
    fireEvent.change(await screen.findByRole('textbox', { name }), { target: { value } });
  await type('Find', 'happy birthday');
  await room.press('Happy birthday dear {name}');
  await type('Name', 'Ines');
  fireEvent.click(screen.getByRole('radio', { name: 'Playful' }));
  await room.press('Lay it on the page');
  const said = () => room.pile().map(({ outline }) => ('text' in outline ? outline.text : ''));
  expect(said().join(' ').replaceAll('\n', ' ')).toContain('Ines');
  expect(room.undo()).toMatch(/^lay /);
  const laid = room.pile().length;
  await type('Find', 'no such words');
  expect(within(screen.getByRole('list', { name: 'Sentiments found' })).queryAllByRole('listitem')).toEqual(
    [],
  );
  await room.press('Write one of your own');
  await type('Your own words', 'Low water at four, {name}');
  await room.press('Keep it');
  await type('Find', 'low water at four');
  await room.press(/^Take “Low water at four/);
  await room.when(() => !screen.queryByRole('button', { name: /^Take “Low/ }));
  expect(room.pile()).toHaveLength(laid);
});
