/** The browser's store, in Node. */
import 'fake-indexeddb/auto';

// What Dexie throws has no stack, by which the runner tells of errors.
Object.defineProperty(Error.prototype, 'stack', {
  configurable: true,
  get() {
    return `${this.name}: ${this.message}`;
  },
  set(value) {
    Object.defineProperty(this, 'stack', { value, configurable: true, writable: true });
  },
});
