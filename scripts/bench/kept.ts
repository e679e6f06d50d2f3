/** What keeping costs: many projects at Home, and one step on the fullest page there can be. */
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { MOST_PIECES } from '@/core/project/schema';
import { openedFile } from '../node/files';
import { crowdedFile } from './crowded';

interface Tools {
  withPage<T>(browser: Browser, work: (page: Page) => Promise<T>): Promise<T>;
  openFile(page: Page, file: string): Promise<void>;
  note(name: string, measured: number, floor: number, unit: string, limit: string, met: boolean): void;
}

const PROJECTS = 200;

export async function keeping(
  browser: Browser,
  base: string,
  { withPage, openFile, note }: Tools,
): Promise<void> {
  const { project } = await openedFile(await crowdedFile(150));
  await withPage(browser, async (page) => {
    /** From the moment the room's code runs until all sheets lie there, milliseconds; the middle of five. */
    const listed = async (sheets: number): Promise<number> => {
      const times: number[] = [];
      for (let i = 0; i < 5; i++) {
        await page.reload();
        times.push(
          await page.evaluate(
            (sheets) =>
              new Promise<number>((done) => {
                const look = () => {
                  const there = document.querySelectorAll('main ul > li').length;
                  const told = sheets
                    ? there >= sheets
                    : document.body.innerText.includes('The table is clear');
                  if (told)
                    done(
                      performance.now() -
                        performance.getEntriesByType('navigation')[0]!.toJSON().domInteractive,
                    );
                  else requestAnimationFrame(look);
                };
                look();
              }),
            sheets,
          ),
        );
      }
      return times.sort((a, b) => a - b)[2]!;
    };
    await page.goto(`${base}/`);
    await page.getByText('The table is clear').waitFor();
    const floor = await listed(0);
    await page.evaluate(
      ([project, count]) =>
        new Promise<void>((done, failed) => {
          const open = indexedDB.open('bellagraph');
          open.onsuccess = () => {
            const writing = open.result.transaction(['projects', 'snapshots'], 'readwrite');
            for (let i = 0; i < count; i++) {
              const id = `bench-${i}`;
              const { title, unit, surfaces } = project;
              const { width, height } = surfaces[0]!;
              const card = { id, title, unit, width, height, edited: i, version: 8, snapshotAt: 0, done: 0 };
              writing.objectStore('projects').put({ ...card, files: Object.keys(project.assets) });
              writing.objectStore('snapshots').put({ id, project: { ...project, id } });
            }
            writing.oncomplete = () => (open.result.close(), done());
            writing.onabort = () => failed(writing.error);
          };
        }),
      [project, PROJECTS] as const,
    );
    // What a screen shows of them: the rest follows without holding it up.
    const many = await listed(Math.min(24, PROJECTS));
    note(
      `${PROJECTS} projects of 150 pieces listed at Home`,
      many - floor,
      floor,
      'ms',
      'under 100 ms more than an empty table; floor: that one',
      many - floor < 100,
    );
  });
  const folder = await mkdtemp(join(tmpdir(), 'bench-kept-'));
  const nudged = async (pieces: number): Promise<number> => {
    const path = join(folder, `${pieces}.bellagraph`);
    await writeFile(path, await crowdedFile(pieces));
    return withPage(browser, async (page) => {
      await openFile(page, path);
      await page
        .getByRole('list', { name: 'Pieces, top first' })
        .locator('button[aria-pressed]')
        .first()
        .click();
      await page.getByTestId('stage').focus();
      await page.keyboard.press('ArrowRight');
      await page.waitForTimeout(4000);
      const times: number[] = [];
      for (let i = 0; i < 5; i++) {
        times.push(
          await page.evaluate(
            () =>
              new Promise<number>((done) => {
                const start = performance.now();
                const stage = document.querySelector('[data-testid=stage]')!;
                stage.dispatchEvent(
                  new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true, cancelable: true }),
                );
                requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - start)));
              }),
          ),
        );
        await page.waitForTimeout(1500);
      }
      return times.sort((a, b) => a - b)[2]!;
    });
  };
  const few = await nudged(150);
  const most = await nudged(MOST_PIECES);
  note(
    `One piece of ${MOST_PIECES} nudged, to the screen`,
    most,
    few,
    'ms',
    'under 1000 ms (was 4 to 5 s); floor: one of 150',
    most < 1000,
  );
}
