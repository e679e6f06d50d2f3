/** What every figure of the bench is made with. */
import type { Browser, Page } from '@playwright/test';

/** Notes a figure beside its floor, measured in the same run. */
export type Note = (
  name: string,
  measured: number,
  floor: number,
  unit: string,
  limit: string,
  met: boolean,
) => void;

/** Does something with a page of its own. */
export type WithPage = <T>(browser: Browser, work: (page: Page) => Promise<T>) => Promise<T>;

export const percentile = (values: readonly number[], share: number): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * share)]!;

/** The best of some runs, milliseconds: the rest is this machine's. */
export async function quickest(times: number, work: () => unknown): Promise<number> {
  let least = Infinity;
  for (let i = 0; i < times; i++) {
    const start = performance.now();
    await work();
    least = Math.min(least, performance.now() - start);
  }
  return least;
}
