/** Light and tone of photos: seen at once where they lie, by presses and exact numbers, all of it or in part, and taken back. */
import { beforeAll, expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import sharp from 'sharp';
import type { PhotoMaterial } from '@/core/piece/material/photo';
import { TONE_PAGES, TONE_SETTINGS } from '@/core/tone/settings';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated, shelve } from '../../../../../scripts/testing/room';
import { assetOf, inkPiece, photoOf } from '../../../../../scripts/testing/samples';

const BLUE = { r: 60, g: 110, b: 160 };
const bytes = await sharp({ create: { width: 90, height: 60, channels: 3, background: BLUE } })
  .png()
  .toBuffer();
const photo = assetOf(bytes, 90, 60, { name: 'evening.png' });
beforeAll(() => shelve(photo, bytes));

const at = (x: number) => ({ x, y: 40, width: 90, height: 60 });
async function toned(chosen: readonly string[] = ['one']) {
  const pieces = [photoOf('one', photo, at(20)), photoOf('two', photo, at(200)), inkPiece('ink', 330, 40)];
  const room = await seated(<Sheets />, pieces, chosen, [photo]);
  room.does(() => room.store.getState().openSheet('tone'));
  await screen.findByRole('dialog', { name: 'Light and tone' });
  await room.when(() => !screen.getByRole<HTMLButtonElement>('button', { name: 'By itself' }).disabled);
  const group = (name: string) => within(screen.getByRole('group', { name }));
  return {
    ...room,
    group,
    tone: (id = 'one') => (room.piece(id).material as PhotoMaterial).tone,
    seen: (x = 65) => room.seen(x, 70).slice(0, 3),
    press: (of: string, name: string | RegExp) => fireEvent.click(group(of).getByRole('button', { name })),
    page: (name: string) => room.press(name),
    slide: (name: string | RegExp, value: number) =>
      fireEvent.change(screen.getByRole('slider', { name }), { target: { value } }),
  };
}
const said = () => screen.getByRole('status').textContent;

test('a press changes what is seen on the page, one step for each; how much of it is seen; as it was', async () => {
  const { press, page, seen, tone, undo, slide, store, does } = await toned();
  const plain = seen();
  expect(plain).toEqual([60, 110, 160]);
  expect(screen.getByRole('button', { name: 'As it was' })).toHaveProperty('disabled', true);
  press('All of it', 'lighter');
  expect(undo()).toBe('change light and tone of photo');
  expect(seen()[0]!).toBeGreaterThan(65);
  await page('Old print');
  // What the sky and lips become is asked of a photo without colour alone.
  expect(screen.queryByRole('group', { name: 'Its sky and lips' })).toBeNull();
  press('Without colour', 'black and white');
  const [r, g, b] = seen();
  expect(Math.max(r!, g!, b!) - Math.min(r!, g!, b!)).toBeLessThan(3);
  const grey = g!;
  press('Its sky and lips', 'dark sky');
  expect(seen()[1]!).toBeLessThan(grey);
  press('Browned', 'more');
  expect(seen()[0]!).toBeGreaterThan(seen()[2]! + 5);
  const whole = tone()!;
  slide('How much of it', 0);
  expect(seen()).toEqual(plain);
  expect(tone()).toEqual({ ...whole, strength: 0 });
  slide('How much of it', 50);
  expect(seen()[0]!).toBeGreaterThan(plain[0]!);
  await page('As it was');
  expect([seen(), tone()]).toEqual([plain, undefined]);
  does(() => store.getState().undo());
  expect(tone()).toEqual({ ...whole, strength: 0.5 });
});

test('the exact number is opened, set by keys and said in words; it goes no further than it can', async () => {
  const { press, tone, slide, undo } = await toned();
  press('All of it', 'lighter');
  press('All of it', /Exact number$/);
  const exactly = () => screen.getByRole('slider', { name: 'Exactly' });
  expect(exactly().getAttribute('aria-valuetext')).toBe('0.35, lighter');
  slide('Exactly', -0.4);
  expect(exactly().getAttribute('aria-valuetext')).toBe('-0.4, darker');
  slide('Exactly', 0);
  expect([exactly().getAttribute('aria-valuetext'), tone()?.values ?? {}]).toEqual(['as it is', {}]);
  for (let i = 0; i < 12; i++)
    if (
      !within(screen.getByRole('group', { name: 'All of it' })).getByRole<HTMLButtonElement>('button', {
        name: 'darker',
      }).disabled
    )
      press('All of it', 'darker');
  expect(tone()!.values.exposure).toBe(-2);
  expect(undo()).toBe('change light and tone of photo');
});

test('every setting of every page does something to what is seen, or to how it is printed', async () => {
  const { page, press, tone, store, does } = await toned();
  for (const name of TONE_PAGES) {
    await page(name);
    for (const { id, name: of, ends } of TONE_SETTINGS.filter(
      (one) => one.page === name && one.id !== 'filter',
    )) {
      press(of, ends[1]);
      expect([id, tone()?.values]).toEqual([id, { [id]: expect.any(Number) }]);
      expect(tone()!.values[id]).toBeGreaterThan(0);
      does(() => store.getState().undo());
    }
  }
  expect(tone()).toBeUndefined();
});

test('by itself, for several at once; what is no picture, and what is locked, stays as it is and is said', async () => {
  const room = await toned(['one', 'two', 'ink']);
  await room.page('By itself');
  expect(room.tone('two')).toEqual(room.tone('one'));
  expect(room.tone('one')).toBeDefined();
  expect(said()).toMatch(/lost|plain black|in the white/);
  room.does(() => room.store.getState().undo());
  room.press('Dark beside pale', 'harder');
  expect([room.tone('one'), room.tone('two')].map((tone) => tone!.values.contrast)).toEqual([20, 20]);
  expect(room.piece('ink').material).not.toHaveProperty('tone');
  room.chosen('ink');
  await room.when(() => said() === 'Select one or more photos or papers.');
  expect(screen.getByRole('button', { name: 'By itself' })).toHaveProperty('disabled', true);
});
