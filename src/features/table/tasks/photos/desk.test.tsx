/** The photo desk: what lies by which occasion, what is alike and blurred, found by words, given stars and chosen by keys. */
import { createHash } from 'node:crypto';
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { Sheets } from '@/features/table/tasks/Sheets';
import type { Asset } from '@/core/picture/asset';
import { changeNotes } from '@/core/project/edits/notes';
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

test('of one photo all that is known is said: when, where, how large it prints well, what is like it and where it lies', async () => {
  const room = await desk();
  const detail = () => screen.getByRole('dialog', { name: 'Photo desk' }).textContent!;
  expect(detail()).toContain('Press a photo to see it larger');
  fireEvent.click(screen.getByRole('checkbox', { name: /^tide/ }));
  expect(detail()).toContain('11 July 2026, 09:00');
  // 3000 pixels are 10 in at 300 ppi.
  expect(detail()).toContain('3000 x 2000 pixels. Sharp up to 10 x 6.67 in');
  expect(detail()).toContain('On Page 1.');
  fireEvent.click(screen.getByRole('checkbox', { name: /^shaken/ }));
  expect(detail()).toContain('Blurred even where it is sharpest (0.9 of 1).');
  expect(detail()).toContain('1 photo is like it.');
  expect(detail()).toContain('On no page yet.');
  room.does(() =>
    room.store
      .getState()
      .perform(changeNotes([sha('shaken')], 'position', () => ({ north: -33.85678, east: 151.2152 }))),
  );
  expect(detail()).toContain('33.8568° south, 151.2152° east');
});

test('of several it is said what they have in common and what tells them apart; names are for all of them or for none', async () => {
  const room = await desk();
  const { press, project, fill } = room;
  const people = (name: string) => project().assets[sha(name)]!.notes?.people;
  const who = (label: string) => screen.getByRole('combobox', { name: label });
  const names = (label: string, text: string) => {
    fireEvent.change(who(label), { target: { value: text } });
    fireEvent.keyDown(who(label), { key: 'Enter' });
  };
  await press('Choose all of Saturday 16 May 2026');
  screen.getByText('3 wait, 0 used.');
  screen.getByText('The sharpest is launch.');
  names('Who is in all of them', 'Ines; Ada');
  expect(['launch', 'all-up', 'shaken'].map(people)).toEqual(Array(3).fill(['Ines', 'Ada']));
  fireEvent.click(screen.getByRole('checkbox', { name: /^launch/ }));
  names('Who is in it', 'Bo');
  expect(people('launch')).toEqual(['Ines', 'Ada', 'Bo']);
  await fill('Where', 'North beach');
  await press('Choose all of Saturday 16 May 2026');
  expect(room.field('Where').placeholder).toBe('at several places');
  // Bo is in one of them; whoever is in all can be taken out of all.
  expect(screen.queryByText('Bo')).toBeNull();
  fireEvent.keyDown(who('Who is in all of them'), { key: 'Backspace' });
  expect(['launch', 'all-up', 'shaken'].map(people)).toEqual([['Ines', 'Bo'], ['Ines'], ['Ines']]);
});

test('a caption, stars and the time it was taken are one photo’s; a time is forgotten when it is emptied', async () => {
  const room = await desk();
  const { project, undo, stars } = room;
  const launch = () => project().assets[sha('launch')]!;
  fireEvent.click(screen.getByRole('checkbox', { name: /^launch/ }));
  const caption = room.field('Caption');
  fireEvent.focus(caption);
  fireEvent.change(caption, { target: { value: '  The first one up ' } });
  fireEvent.blur(caption);
  expect(launch().notes?.caption).toBe('The first one up');
  fireEvent.click(screen.getByRole('radio', { name: '4 Stars' }));
  expect(stars('launch')).toBe(4);
  const taken = screen.getByLabelText<HTMLInputElement>('Taken');
  const take = (value: string) => {
    fireEvent.change(taken, { target: { value } });
    fireEvent.blur(taken);
  };
  take('2026-05-17T08:30');
  expect(launch().taken).toBe('2026-05-17T08:30:00');
  expect(heads()).toContain('Sunday 17 May 2026');
  const before = undo();
  take('2026-05-17T08:30:00');
  expect(undo()).toBe(before);
  take('');
  expect(launch().taken).toBeUndefined();
  await room.fill('Where', '');
  expect(screen.queryByRole('textbox', { name: 'The clock was slow by' })).toBeNull();
});

test('a clock is put right by hours within a year; what is no number of hours changes nothing', async () => {
  const room = await desk();
  fireEvent.click(screen.getByRole('checkbox', { name: /^launch/ }));
  for (const text of ['noon', '9000', '']) {
    await room.fill('The clock was slow by', text);
    if (text) await screen.findByText('Hours, such as 1 or -7.5; if it was fast, below zero.');
  }
  expect(room.undo()).toBeNull();
  await room.fill('The clock was slow by', '24');
  expect(room.project().assets[sha('launch')]!.taken).toBe('2026-05-17T11:05:00');
});
