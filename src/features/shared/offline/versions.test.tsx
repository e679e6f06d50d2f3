/**
 * Newer versions of the program: offered once they wait, begun only where no other tab would be torn away.
 * @alone
 */
import { afterAll, beforeAll, expect, jest, test } from '@jest/globals';
import { waitFor } from '@testing-library/react';
import { beginNewer, keepProgram, program } from '@/features/shared/offline/versions';
import { TAKE_OVER } from '@/workers/offline';

/** A service worker of another version, which takes over where nothing else is open. */
class Other extends EventTarget {
  state = 'installing';
  heard: unknown[] = [];
  constructor(private readonly alone: () => boolean) {
    super();
  }
  postMessage(said: unknown, [port]: MessagePort[]) {
    this.heard.push(said);
    const takes = this.alone();
    port!.postMessage(takes);
    if (takes) setTimeout(() => container.dispatchEvent(new Event('controllerchange')), 5);
  }
  installed() {
    this.state = 'installed';
    this.dispatchEvent(new Event('statechange'));
  }
}

const registration = Object.assign(new EventTarget(), {
  waiting: null as Other | null,
  installing: null as Other | null,
  update: jest.fn(async () => {}),
});
const container = Object.assign(new EventTarget(), {
  controller: null as object | null,
  register: jest.fn(async () => registration),
  ready: Promise.resolve(registration),
});
const { fetch } = globalThis;
beforeAll(() => {
  Object.defineProperty(navigator, 'serviceWorker', { configurable: true, value: container });
  globalThis.fetch = (async () => new Response(null, { status: 404 })) as typeof globalThis.fetch;
});
afterAll(() => {
  jest.useRealTimers();
  globalThis.fetch = fetch;
  Reflect.deleteProperty(navigator, 'serviceWorker');
});

test('the page has its first moments for itself; a version that comes while none is at work is the first, and no newer one', async () => {
  jest.useFakeTimers();
  keepProgram();
  keepProgram();
  jest.advanceTimersByTime(1000);
  expect(container.register).not.toHaveBeenCalled();
  jest.advanceTimersByTime(1000);
  jest.useRealTimers();
  expect(container.register).toHaveBeenCalledTimes(1);
  await waitFor(() => expect(registration.update).toHaveBeenCalled());
  registration.installing = new Other(() => true);
  registration.dispatchEvent(new Event('updatefound'));
  registration.installing.installed();
  expect(program.now().newer).toBe(false);
  // With none that waits there is nothing to begin.
  expect(await beginNewer()).toBe(true);
});

test('once one is at work the next is offered when it is whole; it waits while another tab is open, then takes over', async () => {
  container.controller = {};
  let alone = false;
  const next = new Other(() => alone);
  registration.installing = next;
  registration.dispatchEvent(new Event('updatefound'));
  expect(program.now().newer).toBe(false);
  next.installed();
  expect(program.now().newer).toBe(true);
  expect(await beginNewer()).toBe(false);
  const reload = jest.spyOn(window.location, 'reload').mockImplementation(() => {});
  alone = true;
  expect(await beginNewer()).toBe(true);
  expect(reload).toHaveBeenCalledTimes(1);
  expect(next.heard).toEqual([TAKE_OVER, TAKE_OVER]);
});

test('who comes back after an hour has it asked whether there is a newer one, and not before', () => {
  const [before, now] = [registration.update.mock.calls.length, Date.now()];
  const back = () => document.dispatchEvent(new Event('visibilitychange'));
  const clock = jest.spyOn(Date, 'now');
  clock.mockReturnValue(now + 50 * 60_000);
  back();
  expect(registration.update.mock.calls.length).toBe(before);
  clock.mockReturnValue(now + 61 * 60_000);
  back();
  expect(registration.update.mock.calls.length).toBe(before + 1);
});
