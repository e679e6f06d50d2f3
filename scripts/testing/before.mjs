/** What suites find before anything asks for it: the browser's database, and how parts are fetched one after another. */
import { IDBKeyRange, indexedDB } from 'fake-indexeddb';

let last = Promise.resolve();
const inTurn = (fetch) => (last = last.then(fetch, fetch));

Object.assign(globalThis, { indexedDB, IDBKeyRange, inTurn });

/**
 * On a screen React runs as it is built for its users, in half the time; but that build has no `act`, by which tests let it come
 * to rest. What it puts off is held here, so that it can be done at once.
 */
async function reactAtRest() {
  const soon = new Set();
  const held = (later) => (task) => {
    const once = () => soon.delete(once) && task();
    soon.add(once);
    later(once);
  };
  const own = { queueMicrotask, setImmediate };
  Object.assign(globalThis, { queueMicrotask: held(queueMicrotask), setImmediate: held(setImmediate) });
  const { default: React } = await import('react');
  const { flushSync } = (await import('react-dom')).default;
  await import('react-dom/client');
  Object.assign(globalThis, own);
  const rest = () => {
    for (const task of soon) task();
  };
  React.act = (change) => {
    const result = flushSync(change);
    rest();
    const settled = Promise.resolve(result).then((value) => (rest(), value));
    return { then: (...done) => void settled.then(...done) };
  };
}
if (globalThis.document) await reactAtRest();
