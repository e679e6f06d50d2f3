/** Workers under terms: cancelled, out of time, dead; none holds up another. */
import { afterEach, expect, test } from '@jest/globals';
import { expose } from 'comlink';
import { MessageChannel } from 'node:worker_threads';
import { Hands, JobEnded, limitFor } from '@/workers/hands';
import type { Pace } from '@/workers/pace';

const api = {
  twice: async (value: number) => 2 * value,
  fails: async () => {
    throw new Error('This file is damaged.');
  },
  hangs: () => new Promise<never>(() => {}),
};

const open: (() => void)[] = [];
afterEach(() => open.splice(0).forEach((close) => close()));

/** Workers that are a channel's other end; `errors` lets one end by itself. */
function staff(most: number, pace: Pace = async () => 1) {
  const begun: { terminated: boolean; dies: () => void }[] = [];
  const begin = () => {
    const { port1, port2 } = new MessageChannel();
    expose(api, port2 as never);
    const listeners: (() => void)[] = [];
    const state = { terminated: false, dies: () => listeners.forEach((listener) => listener()) };
    begun.push(state);
    const close = () => (port1.close(), port2.close());
    open.push(close);
    return Object.assign(port1, {
      terminate: () => ((state.terminated = true), close()),
      addEventListener: (
        (add) => (type: string, listener: () => void) =>
          type === 'error' ? void listeners.push(listener) : add(type as never, listener as never)
      )(port1.addEventListener.bind(port1)),
    }) as never;
  };
  const hands = new Hands<typeof api>(begin, most, pace);
  return { hands, begun };
}

const why = (job: Promise<unknown>) =>
  job.then(
    () => 'done',
    (error: Error) => (error instanceof JobEnded ? error.why : error.message),
  );
const LONG = { limit: 60_000 };

test('one worker does one job after another, and its errors are the job’s own', async () => {
  const { hands, begun } = staff(1);
  expect(await Promise.all([1, 2, 3].map((n) => hands.do((a) => a.twice(n), LONG)))).toEqual([2, 4, 6]);
  expect(await why(hands.do((a) => a.fails(), LONG))).toBe('This file is damaged.');
  expect(await hands.do((a) => a.twice(4), LONG)).toBe(8);
  expect(begun).toHaveLength(1);
  begun[0]!.dies();
  expect(await hands.do((a) => a.twice(5), LONG)).toBe(10);
  expect(begun).toHaveLength(2);
});

test.each(['cancelled', 'too long', 'died'] as const)(
  'a job that hangs and is %s ends at once, its worker with it, and those that wait go on',
  async (how) => {
    const { hands, begun } = staff(1);
    const cancel = new AbortController();
    const hanging = why(
      hands.do((a) => a.hangs(), { limit: how === 'too long' ? 20 : 60_000, signal: cancel.signal }),
    );
    const waiting = hands.do((a) => a.twice(21), LONG);
    await new Promise((done) => setTimeout(done, 5));
    if (how === 'cancelled') cancel.abort();
    if (how === 'died') begun[0]!.dies();
    expect(await hanging).toBe(how);
    expect(await waiting).toBe(42);
    expect(begun.map(({ terminated }) => terminated)).toEqual([true, false]);
  },
);

test('what was cancelled before its turn begins no worker; a larger file may take longer', async () => {
  const { hands, begun } = staff(2);
  expect(await why(hands.do((a) => a.hangs(), { ...LONG, signal: AbortSignal.abort() }))).toBe('cancelled');
  expect(begun).toHaveLength(0);
  expect(limitFor({ size: 200e6 })).toBeGreaterThan(10 * limitFor({ size: 1000 }));
});

test('one that waits for its turn is cancelled at once, whatever is under way; the next one after it has the turn', async () => {
  const { hands } = staff(1);
  const [first, second] = [new AbortController(), new AbortController()];
  const hanging = why(hands.do((a) => a.hangs(), { ...LONG, signal: first.signal }));
  const waiting = why(hands.do((a) => a.twice(1), { ...LONG, signal: second.signal }));
  const after = hands.do((a) => a.twice(2), LONG);
  second.abort();
  expect(await waiting).toBe('cancelled');
  first.abort();
  expect(await hanging).toBe('cancelled');
  expect(await after).toBe(4);
});

test('let go, whatever is under way ends, and what is asked next begins anew', async () => {
  const { hands, begun } = staff(2);
  const hanging = why(hands.do((a) => a.hangs(), LONG));
  await hands.do((a) => a.twice(1), LONG);
  const [other, waiting] = [hands.do((a) => a.hangs(), LONG), hands.do((a) => a.twice(3), LONG)].map(why);
  hands.letGo();
  // Nor is one begun for what waited for its turn.
  expect(await Promise.all([hanging, other, waiting])).toEqual(['cancelled', 'cancelled', 'cancelled']);
  expect(begun.map(({ terminated }) => terminated)).toEqual([true, true]);
  expect(await hands.do((a) => a.twice(21), LONG)).toBe(42);
});

test('on a busy machine a job that passes its limit by the clock is asked about, and can be skipped', async () => {
  const { hands } = staff(1, async () => 1000);
  let back = 0;
  const slow = (skip: () => void) => {
    skip();
    return () => void (back += 1);
  };
  expect(await why(hands.do((a) => a.hangs(), { limit: 30, slow }))).toBe('skipped');
  // The question is taken back with the job.
  expect(back).toBe(1);
  expect(await hands.do((a) => a.twice(4), LONG)).toBe(8);
});
