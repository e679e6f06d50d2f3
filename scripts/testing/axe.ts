import { createRequire } from 'node:module';

/** What axe-core finds wrong by WCAG 2.2 AA within a part of the document, a line each; colours are looked at in the browser (e2e/axe.ts). */
export async function axe(part: Element): Promise<string[]> {
  const { run } = createRequire(import.meta.url)('axe-core') as typeof import('axe-core');
  const { violations } = await run(part, {
    runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
    rules: { 'color-contrast': { enabled: false } },
    resultTypes: ['violations'],
    preload: false,
  });
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 400)).join(' | ')}`,
  );
}
