/** What suites find before anything asks for it: the browser's database, and how parts are fetched one after another. */
import { IDBKeyRange, indexedDB } from 'fake-indexeddb';

let last = Promise.resolve();
const inTurn = (fetch) => (last = last.then(fetch, fetch));

Object.assign(globalThis, { indexedDB, IDBKeyRange, inTurn });
