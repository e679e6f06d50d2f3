/** Inks out of the sets: found by the beginnings of their words, in their own order, by hue, light and family; put in order. */
import { expect, jest, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import type { NamedInk, Supply } from '@/core/supplies/model';
import { FromSets } from '@/features/table/parts/inks/FromSets';
import { setsChanged, useInkSets } from '@/features/table/parts/inks/useInks';
import { database } from '@/storage/database';
import { seated } from '../../../../../scripts/testing/room';

const set = (id: string, name: string, inks: NamedInk[], more: Partial<Supply> = {}): Supply => ({
  ...{ id, name, kind: 'inks', tags: [], kit: 'mine', order: 0, added: 0, favourite: false },
  ...{ colours: [], inks, ...more },
});
const SHORE = set('shore', 'Shore inks', [
  { name: 'Wet sand', colour: '#b08d66', family: 'Sands' },
  { name: 'Deep sea', colour: '#24506b', family: 'Blues' },
  { name: 'Old rope', colour: '#8a7a5c', family: 'Sands', retired: true },
  { name: 'Foam', colour: '#f6f0e0' },
]);
const SUMMER = set('summer', 'Summer inks', [
  { name: 'Sea glass', colour: '#7fb5a3', family: 'Greens' },
  { name: 'Deep sea', colour: '#24506b', family: 'Blues' },
  { name: 'Poppy', colour: '#c0392b' },
]);
const names = (group: string) =>
  within(screen.getByRole('group', { name: group }))
    .getAllByRole('button')
    .map((dot) => dot.getAttribute('aria-label'));
const groups = () => screen.getAllByRole('heading', { level: 3 }).map(({ textContent }) => textContent);
const find = (words: string) =>
  fireEvent.change(screen.getByRole('textbox', { name: 'Find an ink' }), { target: { value: words } });

async function picker(sets: readonly Supply[]) {
  const onChoose = jest.fn();
  const room = await seated(<FromSets sets={sets} colour="#24506b" onChoose={onChoose} />, []);
  return { ...room, onChoose };
}

test('each set in its own order, without what was put by; a press takes an ink, arrows walk along', async () => {
  const { onChoose, press } = await picker([SHORE, SUMMER]);
  expect(groups()).toEqual(['Shore inks', 'Summer inks']);
  expect(names('Shore inks')).toEqual(['Wet sand', 'Deep sea', 'Foam']);
  expect(screen.getAllByRole('button', { name: 'Deep sea', pressed: true })).toHaveLength(2);
  await press('Poppy');
  expect(onChoose.mock.calls).toEqual([['#c0392b']]);
  const [first] = within(screen.getByRole('group', { name: 'Shore inks' })).getAllByRole('button');
  first!.focus();
  for (const [key, at] of [
    ['ArrowRight', 'Deep sea'],
    ['ArrowRight', 'Foam'],
    ['ArrowRight', 'Foam'],
    ['ArrowLeft', 'Deep sea'],
  ] as const) {
    fireEvent.keyDown(document.activeElement!, { key });
    expect(document.activeElement!.getAttribute('aria-label')).toBe(at);
  }
});

test('found by how their words begin, in any order; what is called otherwise is said', async () => {
  await picker([SHORE, SUMMER]);
  find('sea');
  expect([names('Shore inks'), names('Summer inks')]).toEqual([['Deep sea'], ['Sea glass', 'Deep sea']]);
  find('  SEA de ');
  expect([names('Shore inks'), names('Summer inks')]).toEqual([['Deep sea'], ['Deep sea']]);
  find('oam');
  expect(screen.getByRole('status').textContent).toBe('No ink is called that.');
  // Put by is put by.
  find('rope');
  expect(screen.getByRole('status').textContent).toBe('No ink is called that.');
});

test('sorted they are one list with each colour once: by light, by hue, by family', async () => {
  const { choose } = await picker([SHORE, SUMMER]);
  await choose('Order', 'From light to dark');
  expect(names('From light to dark')).toEqual(['Foam', 'Sea glass', 'Wet sand', 'Poppy', 'Deep sea']);
  await choose('Order', 'By hue');
  expect(groups()).toEqual(['By hue']);
  const byHue = names('By hue');
  expect([...byHue].sort()).toEqual(['Deep sea', 'Foam', 'Poppy', 'Sea glass', 'Wet sand']);
  expect(Math.abs(byHue.indexOf('Poppy') - byHue.indexOf('Wet sand'))).toBe(1);
  await choose('Order', 'By family');
  expect(groups()).toEqual(expect.arrayContaining(['Sands', 'Blues', 'Greens']));
  expect(names('Sands')).toEqual(['Wet sand']);
  find('sea');
  expect(groups()).toEqual(expect.arrayContaining(['Blues', 'Greens']));
  expect(groups()).not.toContain('Sands');
  // Sorted, nothing is put in an order of one's own.
  expect(screen.queryByRole('button', { name: 'Put in another order' })).toBeNull();
});

test('of a set of hundreds three hundred are shown, and how many more there are is said', async () => {
  const many = Array.from({ length: 320 }, (_, i) => ({
    name: `Ink ${i}`,
    colour: `#${(i * 50_000).toString(16).padStart(6, '0')}`,
  }));
  await picker([set('many', 'All of them', many)]);
  expect(names('All of them')).toHaveLength(300);
  screen.getByText('And 20 more: find them by name.');
  find('ink 319');
  expect(names('All of them')).toEqual(['Ink 319']);
});

test('an order of one’s own is kept in the cupboard, seen at once wherever sets are shown, and given up again', async () => {
  const own = [2, 0, 3, 1];
  await database.supplies.put({ ...SHORE, arranged: own } as never);
  await database.kits.put({ id: 'mine', name: 'Mine', tags: [], added: 0, house: false } as never);
  function Shown() {
    const sets = useInkSets().filter(({ id }) => id === 'shore');
    return <FromSets sets={sets} colour="#ffffff" onChoose={() => {}} />;
  }
  const room = await seated(<Shown />, []);
  await room.when(() => screen.queryByText('Shore inks'));
  expect(names('Shore inks')).toEqual(['Wet sand', 'Foam', 'Deep sea']);
  await room.press('Put in another order');
  // Those put by keep their places, and are seen while the set is put in order.
  expect(names('Inks in their order')).toEqual(['Old rope, put by', 'Wet sand', 'Foam', 'Deep sea']);
  await room.press('As the set came');
  await room.when(() => names('Inks in their order').join() === 'Wet sand,Deep sea,Old rope, put by,Foam');
  expect(await database.supplies.get('shore')).not.toHaveProperty('arranged');
  expect(screen.getByRole('button', { name: 'As the set came' })).toHaveProperty('disabled', true);
  await room.press('Done');
  expect(names('Shore inks')).toEqual(['Wet sand', 'Deep sea', 'Foam']);
  await database.supplies.update('shore', { name: 'Our shore' });
  room.does(() => setsChanged());
  await room.when(() => screen.queryByText('Our shore'));
});
