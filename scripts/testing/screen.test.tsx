/** The screen of the suites is one in what they hang on. */
import { expect, test } from '@jest/globals';
import { bringIn } from '@/features/shared/bringIn';
import { database } from '@/storage/database';
import { atRest } from './store';

test('a canvas that nothing was painted on is drawn as nothing, and stays an element', () => {
  const [empty, onto] = [document.createElement('canvas'), document.createElement('canvas')];
  document.body.append(empty, onto);
  Object.assign(empty, { width: 8, height: 8 });
  const context = onto.getContext('2d')!;
  context.drawImage(empty, 0, 0);
  expect([...context.getImageData(0, 0, 1, 1).data]).toEqual([0, 0, 0, 0]);
  expect(empty).toBeInstanceOf(HTMLCanvasElement);
  expect(document.body.querySelectorAll('canvas')).toHaveLength(2);
  // What is painted on it from then on is drawn.
  empty.getContext('2d')!.fillRect(0, 0, 8, 8);
  context.drawImage(empty, 0, 0);
  expect([...context.getImageData(0, 0, 1, 1).data]).toEqual([0, 0, 0, 255]);
});

test('at rest is what was begun once it is written, though nobody waits for it', async () => {
  const drawing = '<svg xmlns="http://www.w3.org/2000/svg" width="2in" height="1in"><circle r="20"/></svg>';
  void bringIn([new File([drawing], 'late.svg')], new AbortController().signal);
  await atRest();
  expect(await database.assets.count()).toBe(1);
});
