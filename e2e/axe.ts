/** What axe-core finds wrong by WCAG 2.2 AA, a line each: in what lies open over the page, or in all of it if nothing does. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';

const AXE = readFileSync(join(import.meta.dirname, '..', 'node_modules', 'axe-core', 'axe.min.js'), 'utf8');

interface Axe {
  run(
    context: Document | { include: Element[] },
    options: object,
  ): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
}

/**
 * What hangs on colours and on where things lie. All else axe looks at in suites with a screen, in a fraction of the time:
 * features/table/everything.test.tsx, TableRoom.test.tsx, making.test.tsx, home/Home.test.tsx.
 */
export const LAID_OUT = ['color-contrast', 'scrollable-region-focusable', 'target-size'];

/** `rules` names those that are looked at; all of them without. */
export async function axe(page: Page, rules?: readonly string[]): Promise<string[]> {
  // Half a megabyte: once for each page that is loaded.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  return page.evaluate(async (only) => {
    // What is still fading in has no colour of its own yet, and what lies in it follows a frame later.
    const frame = () => new Promise(requestAnimationFrame);
    const moving = () =>
      document.getAnimations().filter(({ effect }) => effect?.getComputedTiming().endTime !== Infinity);
    await frame();
    for (let fading = moving(); fading.length; fading = moving()) {
      await Promise.allSettled(fading.map(({ finished }) => finished));
      await frame();
    }
    const open = [...document.querySelectorAll('[role=dialog]')].filter((one) => one.checkVisibility());
    const where = open.length ? { include: open } : document;
    const { violations } = await (window as unknown as { axe: Axe }).axe.run(where, {
      runOnly: only ?? ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
      // Nothing else is read, and style sheets need not be fetched for it once more.
      resultTypes: ['violations'],
      preload: false,
    });
    return violations.map(
      ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 400)).join(' | ')}`,
    );
  }, rules);
}
