/** The photo desk: what lies by which occasion, what is alike and blurred, found by words, given stars and chosen by keys. */
import { createHash } from 'node:crypto';
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { Sheets } from '@/features/table/tasks/Sheets';
import type { Asset } from '@/core/picture/asset';
import { seated } from '../../../../../scripts/testing/room';
import { assetOf, photoOf } from '../../../../../scripts/testing/samples';

const photo = (name: string, taken: string, more: Partial<Asset> = {}): Asset =>
  assetOf(new Uint8Array(4), 3000, 2000, {
    ...{ sha: sha(name), name: `${name}.jpg`, taken, likeness: likeness(name), blur: 0 },
    ...more,
  });
/** As unlike each other as pictures are by chance. */
const likeness = (name: string) => createHash('md5').update(name).digest('hex');
const sha = (name: string) => createHash('sha256').update(name).digest('hex');
const PHOTOS = [
  photo('launch', '2026-05-16T11:05:00'),
  photo('all-up', '2026-05-16T12:00:00'),
  photo('shaken', '2026-05-16T12:00:02', { blur: 0.9, likeness: likeness('all-up') }),
  photo('tide', '2026-07-11T09:00:00', { notes: { place: 'North beach', people: ['Olu März'] } }),
  photo('workshop', '2026-03-14T18:00:00'),
];

async function desk() {
  const room = await seated(
    <Sheets />,
    [photoOf('p', PHOTOS[3]!, { x: 20, y: 20, width: 90, height: 60 })],
    [],
    PHOTOS,
  );
  room.does(() => room.store.getState().openSheet('desk'));
  await screen.findByRole('dialog', { name: 'Photo desk' });
  const shown = () =>
    screen.getAllByRole('checkbox').map((one) => one.getAttribute('aria-label')!.split(',')[0]);
  const key = (key: string, more = {}) => fireEvent.keyDown(document.activeElement!, { key, ...more });
  const at = (name: string) =>
    room.when(() => document.activeElement?.getAttribute('aria-label')?.startsWith(name));
  const stars = (name: string) => room.project().assets[sha(name)]!.notes?.stars;
  return { ...room, shown, key, at, stars };
}
const heads = () => screen.getAllByRole('heading', { level: 3 }).map(({ textContent }) => textContent);

test('photos lie by occasion, the earliest first; blurred, alike and waiting ones are counted and shown by a press', async () => {
  const { shown, press } = await desk();
  expect(heads()).toEqual(['Saturday 14 March 2026', 'Saturday 16 May 2026', 'Saturday 11 July 2026']);
  screen.getByText('11:05 to 12:00, 3 photos');
  expect(shown()).toEqual(['workshop', 'launch', 'all-up', 'shaken', 'tide']);
  await press('Blurred 1');
  expect(shown()).toEqual(['shaken']);
  await press('Alike 2');
  expect([heads(), shown()]).toEqual([['Alike 1'], ['all-up', 'shaken']]);
  await press('Waiting 4');
  expect(shown()).not.toContain('tide');
  await press('All 5');
  fireEvent.change(screen.getByRole('textbox', { name: 'Find' }), { target: { value: 'mar nor' } });
  await screen.findByRole('checkbox', { name: /^tide/ });
  expect(shown()).toEqual(['tide']);
});

test('arrows walk, Space and Shift choose, figures give stars; those with enough stars are arranged', async () => {
  const room = await desk();
  const { key, at, stars } = room;
  room.does(() => screen.getByRole('checkbox', { name: /^workshop/ }).focus());
  key('ArrowRight');
  await at('launch');
  key(' ');
  key('ArrowRight', { shiftKey: true });
  await at('all-up');
  key('5');
  screen.getByText('2 chosen');
  expect(room.undo()).toMatch(/stars/);
  key('End');
  await at('tide');
  key(' ', { ctrlKey: true });
  key('3');
  expect(['workshop', 'launch', 'all-up', 'shaken', 'tide'].map(stars)).toEqual([
    undefined,
    3,
    3,
    undefined,
    3,
  ]);
  await room.choose('Stars', '3 or more');
  await room.when(() => room.shown().length < 5);
  expect(room.shown()).toEqual(['launch', 'all-up', 'tide']);
  await room.press('Arrange them');
  await screen.findByText('3 of 5 photos');
});

test('words for one or several, a clock that was slow, put away and back: each is one step', async () => {
  const { press, fill, project, undo, store, does } = await desk();
  await press('Choose all of Saturday 16 May 2026');
  screen.getByText('3 chosen');
  await fill('Where', 'North beach');
  await fill('The clock was slow by', '-1,5');
  await screen.findByText('09:35 to 10:30, 3 photos');
  expect(project().assets[sha('launch')]).toMatchObject({
    taken: '2026-05-16T09:35:00',
    notes: { place: 'North beach' },
  });
  expect(project().assets[sha('workshop')]!.taken).toBe('2026-03-14T18:00:00');
  await press('Put away');
  expect(project().photos).toEqual([sha('tide'), sha('workshop')]);
  expect(undo()).toMatch(/3 photos/);
  does(() => store.getState().undo());
  expect(project().photos).toHaveLength(5);
});
