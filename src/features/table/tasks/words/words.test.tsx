/** Words in their panels and sheets: fitted, filled with words, ready-made, replaced, laid in styles. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { FIRST_WORDS } from '@/core/piece/material/words';
import { lockPage } from '@/core/project/edits/page';
import type { Piece } from '@/core/piece/piece';
import { About } from '@/features/table/about/About';
import * as act from '@/features/table/acts';
import { Overflows } from '@/features/table/stage/marks/Overflows';
import { Sheets } from '@/features/table/tasks/Sheets';
import { storeAsset } from '@/storage/assets';
import { changeSentiments, ownSentiments } from '@/storage/sentiments';
import { alphabets } from '@/storage/supplies';
import { quickly, seated } from '../../../../../scripts/testing/room';
import { assetOf, inkPiece, quarters, wordsOf } from '../../../../../scripts/testing/samples';
import { emptyStore, fullStore } from '../../../../../scripts/testing/store';

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

test('what another tab wrote into the sentiments meanwhile stays; what was not kept stays where it is written', async () => {
  await emptyStore();
  const room = await seated(<Sheets />, []);
  room.does(() => room.store.getState().openSheet('sentiments'));
  const write = async (text: string) => {
    await room.press('Write one of your own');
    fireEvent.change(await screen.findByRole('textbox', { name: 'Your own words' }), {
      target: { value: text },
    });
    await room.press('Keep it');
  };
  await write('Low water at four');
  await room.when(() => !screen.queryByRole('textbox', { name: 'Your own words' }));
  await changeSentiments((now) => [...now, { id: 'theirs', occasion: 'home', text: 'High water at ten' }]);
  await write('Wind from the north');
  await room.when(() => !screen.queryByRole('textbox', { name: 'Your own words' }));
  const texts = async () => (await ownSentiments()).map(({ text }) => text);
  expect(await texts()).toEqual(['Wind from the north', 'Low water at four', 'High water at ten']);
  fullStore();
  await write('Fog');
  await screen.findByText('That could not be kept. Nothing was changed.');
  expect(room.field('Your own words').value).toBe('Fog');
  await emptyStore();
});

/** The sheet of letters, with all pictures of all alphabets in the store. */
async function letters(chosen: readonly string[] = []) {
  const room = await seated(<Sheets />, [inkPiece('a')], chosen);
  room.does(() => room.store.getState().openSheet('letters'));
  const words = await screen.findByRole<HTMLTextAreaElement>('textbox', { name: 'Words' });
  await room.when(() => screen.getByRole('combobox', { name: 'Alphabet' }).textContent!.includes('pieces'));
  for (const { letters: all } of await alphabets())
    for (const { asset } of all) await storeAsset({ asset: asset!, blob: new Blob(), proxies: {} });
  const type = (value: string) => fireEvent.change(words, { target: { value } });
  const spelt = () =>
    room
      .pile()
      .filter(({ role }) => role === 'letter')
      .map(({ name }) => name)
      .join('');
  const laid = async (value: string) => {
    type(value);
    await room.press('Lay the letters');
    await room.when(() => spelt() === value);
  };
  return { ...room, words, type, spelt, laid };
}

test('words are laid in letters of an alphabet, retyped, made to dance; what it has not is said', async () => {
  const { type, press, when, pile, fill, field, undo, choose } = await letters();
  type('KITEЖ');
  await screen.findByText('Not in this alphabet: Ж. They are left out.');
  await press('Lay the letters');
  await when(() => pile().length === 5);
  expect(undo()).toBe('lay letters “KITEЖ”');
  type('KITÉ');
  await when(() => pile().length === 6);
  const turns = () => pile().map(({ placement }) => placement.y);
  const straight = turns();
  fireEvent.change(screen.getByRole('slider', { name: 'Up and down' }), { target: { value: 0.4 } });
  await when(() => turns().join() !== straight.join());
  const danced = turns();
  await press('Let them dance anew');
  await when(() => turns().join() !== danced.join());
  const tall = () => Math.max(...pile().map(({ placement }) => placement.height));
  const before = tall();
  await fill('Height of letters', '2');
  await when(() => tall() > 1.9 * before);
  expect(field('Height of letters').value).toBe('2');
  type('KЖ');
  await when(() => pile().length === 2);
  await choose('Write them in', 'Lora');
  await when(() => pile().length === 3);
  screen.getByText('Not in this alphabet: Ж. They are written.');
  expect(pile().at(-1)!.outline).toMatchObject({ kind: 'glyphs', text: 'Ж', family: 'lora' });
});

test('however quickly letters are typed and set, none is lost; they can all be taken out of the field', async () => {
  const { type, words, fill, spelt, when, laid, undo, store, does, pile } = await letters();
  await laid('TIDE');
  // Each key finds what the one before it wrote, though that is not laid yet.
  for (const letter of 'LINE') type(words.value + letter);
  await fill('Room between', '0.5');
  expect(words.value).toBe('TIDELINE');
  await when(() => spelt() === 'TIDELINE');
  expect(pile().at(-1)!.placement.x - pile().at(-2)!.placement.x).toBeGreaterThan(36);
  type('');
  expect(words.value).toBe('');
  type('SEA');
  await when(() => spelt() === 'SEA');
  type('');
  does(() => store.getState().undo());
  // What was typed first waits to be laid again.
  expect([words.value, undo(), spelt()]).toEqual(['TIDE', null, '']);
});

test('on a page that is locked nothing is laid: the field says what lies there, and it stays selected', async () => {
  const { store, does, type, words, when, laid, spelt, undo } = await letters();
  await laid('TIDE');
  const { selection, surfaceId } = store.getState();
  does(() => store.getState().perform(lockPage(surfaceId, true)));
  type('TIDES');
  await when(() => words.value === 'TIDE');
  expect([spelt(), store.getState().selection]).toEqual(['TIDE', selection]);
  expect(undo()).toBe('lock page');
  does(() => store.getState().undo());
  type('TIDES');
  await when(() => spelt() === 'TIDES');
});

test('another alphabet is laid for all of them; what is fetched goes to the letters it was meant for', async () => {
  const { choose, spelt, when, laid, chosen, pile, store, project, type, words } = await letters();
  await laid('ONE');
  const first = pile().filter(({ role }) => role === 'letter');
  const assets = () => pile().flatMap(({ material }) => ('asset' in material ? material.asset : []));
  const before = assets();
  const [other] = (await alphabets()).filter(({ alphabet }) => alphabet).slice(-1);
  await choose('Alphabet', new RegExp(`^${other!.alphabet}, of ${other!.kit.name}`));
  await when(() => assets().every((sha) => !before.includes(sha)));
  expect(spelt()).toBe('ONE');
  chosen();
  await laid2('SIX');
  type('SEVEN');
  // The other group is selected while these are on their way.
  const group = project().surfaces[0]!.groups[0]!;
  chosen(...pile().flatMap(({ id, groups }) => (groups?.includes(group.id) ? id : [])));
  await when(() => spelt() === 'ONESEVEN');
  expect([words.value, store.getState().selection.length, first.length]).toEqual(['ONE', 3, 3]);

  async function laid2(value: string) {
    type(value);
    fireEvent.click(screen.getByRole('button', { name: 'Lay the letters' }));
    await when(() => spelt() === `ONE${value}`);
  }
});

test('a way of writing is changed once for all that is written in it; what differs says so; Undo takes it back', async () => {
  const title = (id: string): Piece => {
    const words = wordsOf(id, id, 78, 300);
    return {
      ...words,
      outline: { ...words.outline, family: 'great-vibes', style: 'title' } as GlyphsOutline,
    };
  };
  const room = await seated(<About />, [title('one'), title('two')], ['one']);
  const sizes = () => room.pile().map(({ outline }) => (outline as GlyphsOutline).size);
  await screen.findByRole('combobox', { name: 'Text style' });
  await room.fill('Letter size', '60');
  expect(sizes()).toEqual([60, 78]);
  await room.press(/^Change (the text style|all 2)/);
  expect(sizes()).toEqual([60, 60]);
  await room.choose('Text style', 'Its own');
  await room.fill('Letter size', '40');
  expect(sizes()).toEqual([40, 60]);
  for (let i = 0; i < 4; i++) room.does(() => room.store.getState().undo());
  expect(sizes()).toEqual([78, 78]);
});

test('photos lie behind a word, one a letter, and say how sharp they print', async () => {
  const asset = assetOf(quarters(90, 60), 900, 600, { name: 'launch.jpg' });
  const word = { ...wordsOf('w', 'AB', 150, 300) };
  const room = await seated(<About />, [word], ['w'], [asset]);
  await room.press(/^Material /);
  await room.press('Photos behind it');
  await room.press('launch');
  await room.press('One a letter');
  expect(room.piece('w').material).toMatchObject({ kind: 'photos', photos: [{ asset: asset.sha }] });
  await screen.findByText('1 photo, one a letter.');
  expect((await screen.findByTestId('sharpness')).textContent).toMatch(/ppi/);
  await room.press('Slide them in their letters');
  expect(room.store.getState().mode.kind).toBe('slide');
});

test('words run along an outline, as often as is said, from where they begin; an echo lies behind a word', async () => {
  const room = await seated(
    <About />,
    [inkPiece('card', 60, 40, 300, 200), wordsOf('w', 'Salt & string', 40)],
    ['card'],
  );
  room.does(() => act.runAlong(room.store));
  const running = () => room.pile().at(-1)!;
  expect(running().outline.kind).toBe('running');
  fireEvent.change(await screen.findByRole('textbox', { name: 'Words' }), {
    target: { value: 'wind and tide' },
  });
  await room.fill('How often', '4');
  await screen.findByText(/4 times round/);
  expect(running().outline).toMatchObject({ text: 'wind and tide' });
  room.chosen('w');
  await room.press(/^Finish /);
  await room.press('Add an echo');
  expect(room.field('Echo 1, right').value).toBe('0.04');
  expect(room.piece('w').finish.echoes).toHaveLength(1);
});

test('what is typed in the panel stands in its field at once, also while the words are being written on the page', async () => {
  const filled: Piece = {
    ...inkPiece('filled', 60, 40, 300, 200),
    material: { ...FIRST_WORDS, family: 'caveat', size: 12, text: 'tide' },
  };
  const room = await seated(
    <About />,
    [inkPiece('card', 60, 40, 300, 200), filled, wordsOf('w', 'Salt', 40)],
    ['card'],
  );
  room.does(() => act.runAlong(room.store));
  const [ring] = room.store.getState().selection;
  const typed = async (id: string, label: string, open?: string) => {
    room.chosen(id);
    if (open) await room.press(open);
    room.does(() => room.store.getState().setMode({ kind: 'write', id }));
    const field = await screen.findByRole<HTMLTextAreaElement>('textbox', { name: label });
    // Each key adds to what the field shows by then.
    await quickly(
      ...[...' and'].map((key) => () => {
        fireEvent.change(field, { target: { value: field.value + key } });
      }),
    );
    room.does(() => room.store.getState().setMode({ kind: 'pick' }));
    return field.value;
  };
  expect(await typed(ring!, 'Words')).toMatch(/.+ and$/);
  expect(await typed('w', 'The words alone, spelling marked', 'Check the spelling')).toBe('Salt and');
  room.does(() => room.store.getState().openRows(new Set(['Material'] as const)));
  expect(await typed('filled', 'Words, one entry a line')).toBe('tide and');
});

test('what is known is said wherever it stands, and follows when it changes', async () => {
  const room = await seated(<Sheets />, [wordsOf('w', 'For ')], ['w']);
  room.does(() => room.store.getState().openSheet('living'));
  await screen.findByText(/Put them at the end of the words that are selected\./);
  await room.press('A name');
  const says = (value: string) => {
    const field = screen.getByRole('textbox', { name: 'Says' });
    fireEvent.change(field, { target: { value } });
    fireEvent.keyDown(field, { key: 'Enter' });
  };
  says('Ada');
  await room.press('Put: Name');
  const words = () => (room.piece('w').outline as GlyphsOutline).text;
  expect(words()).toMatch(/^For ?Ada$/);
  says('Ines');
  expect(words()).toMatch(/^For ?Ines$/);
});
