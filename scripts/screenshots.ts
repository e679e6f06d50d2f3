/** npm run screenshots: one current picture of each main view, from the demo's data, at 1280 x 800. Needs bin/build. */
import { spawn } from 'node:child_process';
import { mkdir } from 'node:fs/promises';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../playwright.config';
import { ROOT } from './node/platform';

const PORT = 3298;
const FOLDER = join(ROOT, 'docs', 'screenshots');

async function shoot(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(900);
  await page.screenshot({ path: join(FOLDER, `${name}.png`) });
  console.log(`docs/screenshots/${name}.png`);
}

async function tour(page: Page): Promise<void> {
  await page.goto(`http://localhost:${PORT}/`);
  const flyIn = page.getByRole('button', { name: 'Open Fly-in on the beach' });
  await flyIn.waitFor({ timeout: 120_000 });
  await shoot(page, 'home');
  await flyIn.click();
  await page.getByTestId('stage').waitFor();
  await page.waitForTimeout(2500);
  const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  const at = (x: number, y: number) => [box.x + (x / 12) * box.width, box.y + (y / 12) * box.height] as const;
  await page.mouse.click(...at(9.6, 6.7));
  await page.getByRole('button', { name: /^Finish / }).click();
  await shoot(page, 'table');
  await page.keyboard.press('Escape');
  await page.mouse.dblclick(...at(4.5, 3.7));
  await page.getByRole('button', { name: /^Material / }).click();
  await page.getByRole('slider', { name: /^Closer/ }).fill('0.35');
  await shoot(page, 'slide');
  for (let i = 0; i < 2; i++) await page.keyboard.press('Control+z');
  await page.getByTestId('stage').click({ position: { x: 60, y: 500 } });
  await page.mouse.dblclick(...at(9, 9.9));
  await page.keyboard.press('Home');
  await page.keyboard.press('Shift+End');
  await shoot(page, 'write');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await shoot(page, 'make');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Dark surroundings' }).click();
  await page.mouse.click(...at(10, 2.8));
  await shoot(page, 'table-dark');
  await page.getByRole('button', { name: 'Light surroundings' }).click();
  await page.goto(`http://localhost:${PORT}/`);
  await page.getByRole('button', { name: 'New layout A4' }).click();
  await page.getByTestId('stage').waitFor();
  await shoot(page, 'empty');
}

await mkdir(FOLDER, { recursive: true });
const server = spawn(
  process.execPath,
  [join(ROOT, 'node_modules/next/dist/bin/next'), 'start', '--port', String(PORT)],
  {
    cwd: ROOT,
    stdio: 'ignore',
    env: { ...process.env, BELLAGRAPH_DEMO: '1' },
  },
);
try {
  await new Promise((done) => setTimeout(done, 2500));
  const browser = await chromium.launch(CHROMIUM);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await tour(page);
  await browser.close();
} finally {
  server.kill();
}
