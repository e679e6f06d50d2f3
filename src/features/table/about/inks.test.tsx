/** Where an ink is chosen: by its name, by what goes with it, from the page, mixed; favourites, order and sets of one's own. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { About } from '@/features/table/about/About';
import { houseStocked } from '@/features/shared/stock';
import { inkSets, putSupplies } from '@/storage/supplies';
import { seated } from '../../../../scripts/testing/room';
import { inkPiece } from '../../../../scripts/testing/samples';

async function picker() {
  await houseStocked();
  const room = await seated(
    <About />,
    [inkPiece('a'), inkPiece('b', 200, 30, 60, 40, { material: { kind: 'ink', colour: '#24506b' } })],
    ['a'],
  );
  await room.press(/^Material /);
  await room.press('Ink: choose an ink');
  const dialog = await screen.findByRole('dialog', { name: 'Inks' });
  const ink = () => (room.piece('a').material as { colour: string }).colour;
  const tab = (name: string) => fireEvent.click(within(dialog).getByRole('tab', { name }));
  const group = (name: string | RegExp) =>
    within(within(dialog).getByRole('group', { name })).queryAllByRole('button');
  return { ...room, dialog, ink, tab, group };
}

test('an ink is found by its name, by what goes with it, and on the page; the last ones chosen are at hand', async () => {
  const { dialog, press, ink, tab, group, when } = await picker();
  fireEvent.change(within(dialog).getByRole('textbox', { name: 'Find an ink' }), {
    target: { value: 'kit' },
  });
  await press('Kite red');
  expect(ink()).toBe('#c5503f');
  tab('Partners');
  const [opposite] = group('Opposite');
  fireEvent.click(opposite!);
  expect(ink()).not.toBe('#c5503f');
  tab('Page');
  expect(group('On this page')).toHaveLength(3);
  const recent = group('Chosen last').find((one) => one.getAttribute('aria-label') === 'Kite red full')!;
  fireEvent.click(recent);
  await when(() => ink() === '#c5503f');
});

test('mixed by parts or as CSS says it; nonsense changes nothing; it says whether words in it can be read', async () => {
  const { dialog, press, ink, tab, fill } = await picker();
  tab('Mix');
  await press('RGB');
  fireEvent.change(within(dialog).getByRole('slider', { name: 'Red' }), { target: { value: 0 } });
  expect(ink()).toBe('#002b45');
  await screen.findByText(/On the bare page \d+\.\d to 1: good for words\./);
  await fill('Any CSS colour', 'oklch(0.9 0.05 90)');
  await screen.findByText(/too faint for words/);
  const faint = ink();
  await fill('Any CSS colour', 'expression(1)');
  await screen.findByText('A colour, such as #9e2b45, rgb(158 43 69) or teal.');
  expect(ink()).toBe(faint);
  await press('Wheel');
  fireEvent.keyDown(screen.getByRole('application', { name: /^Colour wheel/ }), { key: 'ArrowUp' });
  expect(ink()).not.toBe(faint);
});

test('a favourite stands among the favourites; what goes together is kept as a set; one put by is offered no more', async () => {
  const { dialog, press, tab, group, when } = await picker();
  await press('Kite red');
  await press('A favourite ink');
  await when(() => group('Favourite inks').length === 1);
  const [set] = (await inkSets()).filter(({ inks }) => inks?.some(({ name }) => name === 'Kite red'));
  tab('Partners');
  await press('Keep Opposite as a set');
  await press('Keep it');
  await screen.findByText(/ lies in .* now\.$/);
  await putSupplies([
    { ...set!, inks: set!.inks!.map((ink) => (ink.name === 'Kite red' ? { ...ink, retired: true } : ink)) },
  ]);
  await press('No favourite any more');
  tab('Sets');
  await when(() => within(dialog).queryAllByRole('button', { name: 'Kite red' }).length === 0);
});
