/** Work is counted at the machine's own pace: slow machines are asked about, not judged. */
import { expect, test } from '@jest/globals';
import { watchWork, type Pace } from '@/workers/pace';

/** When it was over and when it was told to be slow, ms of the clock; nothing where it was stopped before. */
async function watched(limit: number, pace: Pace, stopAfter: number) {
  const began = performance.now();
  const heard: { over?: number; slow?: number } = {};
  const stop = watchWork(
    {
      limit,
      tick: 5,
      first: 0,
      over: () => (heard.over = performance.now() - began),
      slow: () => (heard.slow = performance.now() - began),
    },
    pace,
  );
  await new Promise((done) => setTimeout(done, stopAfter));
  stop();
  return heard;
}

test('at the usual pace the limit is one by the clock', async () => {
  const { over, slow } = await watched(50, async () => 1, 400);
  expect(over).toBeGreaterThanOrEqual(45);
  expect(slow).toBeUndefined();
});

test('twenty times slower nothing is over, but told of once the limit has passed by the clock', async () => {
  const { over, slow } = await watched(50, async () => 20, 400);
  expect(over).toBeUndefined();
  expect(slow).toBeGreaterThanOrEqual(45);
});

test('what was stopped says nothing any more, even if the pace comes in later', async () => {
  let answer = (_: number) => {};
  const heard = watched(10, () => new Promise((done) => (answer = done)), 40);
  await heard;
  answer(1);
  await new Promise((done) => setTimeout(done, 10));
  expect(await heard).toEqual({});
});

test('a pace that cannot be measured counts as the usual one', async () => {
  expect((await watched(30, () => Promise.reject(new Error('no worker')), 400)).over).toBeDefined();
});
