/** What is kept only because it may be wanted again: up to a budget, the one used longest ago goes first. */

export class Bounded<V> {
  private readonly kept = new Map<string, { value: V; size: number }>();
  private sum = 0;

  /**
   * `budget` and `sizeOf` in the same unit, bytes as a rule; `dropped` hears of each that goes. The newest is kept whatever
   * its size.
   */
  constructor(
    private readonly budget: number,
    private readonly sizeOf: (value: V) => number,
    private readonly dropped: (value: V, key: string) => void = () => {},
  ) {}

  get size(): number {
    return this.sum;
  }

  /** It counts as used by that. */
  get(key: string): V | undefined {
    const found = this.kept.get(key);
    if (!found) return undefined;
    this.kept.delete(key);
    this.kept.set(key, found);
    return found.value;
  }

  set(key: string, value: V): void {
    this.delete(key);
    const size = this.sizeOf(value);
    this.kept.set(key, { value, size });
    this.sum += size;
    for (const [oldest, { value: old }] of this.kept) {
      if (this.sum <= this.budget || oldest === key) break;
      this.delete(oldest);
      this.dropped(old, oldest);
    }
  }

  /** Takes it out; `dropped` does not hear of it. */
  delete(key: string): void {
    const found = this.kept.get(key);
    if (!found) return;
    this.kept.delete(key);
    this.sum -= found.size;
  }
}
