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

/** How often what is easily disturbed is measured. */
const ROUNDS = 3;

/** What is measured in some rounds; of each figure the least, as the rest is others', who use this machine too. */
export async function leastOf<Name extends string>(
  round: () => Promise<Record<Name, number>>,
): Promise<Record<Name, number>> {
  const least = await round();
  for (let i = 1; i < ROUNDS; i++) {
    const now = await round();
    for (const name of Object.keys(least) as Name[]) least[name] = Math.min(least[name], now[name]);
  }
  return least;
}

/** Until a notice says so. What asks the whole page again and again would be counted among the page's own work. */
export const told = (page: Page, text: RegExp, timeout = 400_000): Promise<void> =>
  page.evaluate(
    ([source, timeout]) =>
      new Promise<void>((done, failed) => {
        const start = performance.now();
        const look = () => {
          const notices = document.querySelectorAll('[role="alert"], [role="status"]');
          if ([...notices].some(({ textContent }) => new RegExp(source).test(textContent))) done();
          else if (performance.now() - start > timeout) failed(new Error(`nobody told ${source}`));
          else setTimeout(look, 50);
        };
        look();
      }),
    [text.source, timeout] as const,
  );

interface Traced {
  name: string;
  ph: string;
  pid: number;
  tid: number;
  dur?: number;
  tdur?: number;
  args: { name?: string };
}

/**
 * Milliseconds of the longest task of the page's own thread while `work` goes on: its own work, as counted by the thread's clock,
 * and what passed meanwhile, in which other threads had the cores (Chromium's trace, “dur” and “tdur” of its tasks).
 */
export async function longestTask(
  browser: Browser,
  page: Page,
  work: () => Promise<unknown>,
): Promise<{ own: number; passed: number }> {
  await browser.startTracing(page, { categories: ['toplevel', 'devtools.timeline'] });
  await work();
  await page.waitForTimeout(300);
  const { traceEvents } = JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: Traced[] };
  const mains = new Set(
    traceEvents
      .filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  const tasks = traceEvents.filter(
    ({ name, ph, pid, tid }) => ph === 'X' && name.endsWith('RunTask') && mains.has(`${pid} ${tid}`),
  );
  const most = (of: (task: Traced) => number | undefined) =>
    tasks.reduce((longest, task) => Math.max(longest, (of(task) ?? 0) / 1000), 0);
  return { own: most(({ tdur }) => tdur), passed: most(({ dur }) => dur) };
}
