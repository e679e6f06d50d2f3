/** What is done once in the life of a tab. */
import { expect, test } from '@jest/globals';
import { onceATab, openedAnew } from '@/features/shared/once';

test('it is done once, for whoever asks and whenever; anew in a tab that is opened anew', async () => {
  let times = 0;
  const fetched = onceATab(async (by: string) => `${by} ${(times += 1)}`);
  const [first, second] = [fetched('kite'), fetched('boat')];
  expect(first).toBe(second);
  expect(await Promise.all([first, second, fetched('tide')])).toEqual(['kite 1', 'kite 1', 'kite 1']);
  openedAnew();
  expect([await fetched('boat'), times]).toEqual(['boat 2', 2]);
});

test('what failed is done again when it is next asked for; who asked meanwhile hears that it failed', async () => {
  let fails = true;
  const fetched = onceATab(async () => {
    await null;
    if (fails) throw new Error('no network');
    return 'there';
  });
  const [one, other] = [fetched(), fetched()];
  await expect(one).rejects.toThrow('no network');
  await expect(other).rejects.toThrow('no network');
  fails = false;
  expect(await fetched()).toBe('there');
  fails = true;
  expect(await fetched()).toBe('there');
});

test('what it fails by may be a part of what it answers with', async () => {
  let times = 0;
  const begun = onceATab(
    () => ({
      number: (times += 1),
      done: times === 1 ? Promise.reject(new Error('broken off')) : Promise.resolve(),
    }),
    ({ done }) => done,
  );
  const first = begun();
  expect(begun()).toBe(first);
  await expect(first.done).rejects.toThrow('broken off');
  await null;
  const second = begun();
  expect([first.number, second.number]).toEqual([1, 2]);
  await second.done;
  expect(begun()).toBe(second);
});
