/** Locks as tabs of a browser share them (Web Locks API, W3C), for tests: held until what was asked for is done. */
export class Locks {
  #held = [];
  #waiting = [];

  async request(name, how, act) {
    if (!act) [how, act] = [{}, how];
    const { mode = 'exclusive', ifAvailable = false } = how;
    const free = () =>
      !this.#held.some((lock) => lock.name === name && (mode === 'exclusive' || lock.mode === 'exclusive'));
    if (ifAvailable && !free()) return act(null);
    while (!free()) await new Promise((resolve) => this.#waiting.push(resolve));
    const lock = { name, mode };
    this.#held.push(lock);
    try {
      return await act(lock);
    } finally {
      this.#held.splice(this.#held.indexOf(lock), 1);
      this.#waiting.splice(0).forEach((wake) => wake());
    }
  }

  query = async () => ({ held: [...this.#held], pending: [] });
}
