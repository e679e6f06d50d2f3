/** Gives unit tests the browser's database before anything asks for it. */
import { IDBKeyRange, indexedDB } from 'fake-indexeddb';

Object.assign(globalThis, { indexedDB, IDBKeyRange });
