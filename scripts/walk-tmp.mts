import { chromium } from '@playwright/test';
import { newPage, bringIn, photo } from '../e2e/table';
const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.setDefaultTimeout(8000);
page.on('pageerror', (e) => console.log('ERR', e.message));
page.on('console', (m) => m.type() === 'error' && console.log('console', m.text()));
const shot = (n: string) => page.screenshot({ path: `/tmp/w/${n}.png` });
const leave = async () => {
  await page.getByTestId('stage').focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Escape');
};
const step = async (n: string, f: () => Promise<unknown>) => {
  try {
    await f();
  } catch (e) {
    console.log('FAIL', n, (e as Error).message.slice(0, 400));
    await shot('fail-' + n);
  }
};
const row = async (n: string) => {
  const r = page.locator('button[aria-expanded]').filter({ hasText: new RegExp('^' + n + ' ') });
  if ((await r.getAttribute('aria-expanded')) !== 'true') await r.click();
  await page.waitForTimeout(350);
};
const set = async (label: string, v: string) => {
  const f = page.getByRole('textbox', { name: label, exact: true });
  await f.fill(v);
  await f.press('Enter');
  await page.waitForTimeout(200);
};
await newPage(page, '12 x 12 in', 'http://localhost:3211');
await step('letters', async () => {
  await page.keyboard.press('Shift+L');
  await page.waitForTimeout(1500);
  const d = page.getByRole('dialog', { name: 'Letters of an alphabet' });
  await d.getByRole('textbox', { name: 'Words' }).fill('Kite Øy');
  await page.waitForTimeout(300);
  await d.getByRole('button', { name: 'Lay the letters' }).click();
  await page.waitForTimeout(2500);
  await shot('f-letters');
  await d.getByRole('textbox', { name: 'Words' }).fill('Kites');
  await page.waitForTimeout(1500);
  await d
    .getByLabel(/Up and down/)
    .focus()
    .catch(() => {});
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(1000);
  await shot('g-letters2');
  await page.keyboard.press('Escape');
});
await leave();
await step('caption', async () => {
  await bringIn(page, [photo('lanterns-on-the-beach'), photo('kites-over-the-bay')].filter(Boolean));
  await page.waitForTimeout(2500);
});
await step('rect', async () => {
  await page.getByRole('list', { name: 'Papers' }).getByRole('button').first().focus();
  await page.keyboard.press('Enter');
  await page.waitForTimeout(500);
  await page.getByRole('menuitem').nth(1).click();
  await page.waitForTimeout(600);
  await row('Place');
  await set('Width', '6');
  await set('Height', '4');
  await set('From left', '3');
  await set('From top', '6');
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Shift+U');
  await page.waitForTimeout(600);
  await page.getByRole('textbox', { name: 'Words', exact: true }).fill('salt and wind and string');
  await set('Letter size', '24');
  await page.waitForTimeout(400);
  await leave();
  await shot('h-rect');
});
await step('caption2', async () => {
  await page.keyboard.press('Shift+W');
  await page.waitForTimeout(600);
  await shot('i-caption');
  await leave();
});
await step('find', async () => {
  await page.keyboard.press('Control+f');
  await page.waitForTimeout(700);
  const d = page.getByRole('dialog', { name: 'Find and replace' });
  await d.getByLabel('Find in all pages').fill('and');
  await d.getByLabel('Put in its place').fill('or');
  await page.waitForTimeout(300);
  await shot('j-find');
});
await browser.close();
