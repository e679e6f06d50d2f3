/** The browser's store, in Node. */
import 'fake-indexeddb/auto';

// It would hold on to all that was ever written and read, through all suites of a thread.
const { transaction } = IDBDatabase.prototype;
IDBDatabase.prototype.transaction = function (...asked) {
  const raw = this._rawDatabase;
  raw.transactions = raw.transactions.filter(({ _state }) => _state !== 'finished');
  return transaction.apply(this, asked);
};

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
