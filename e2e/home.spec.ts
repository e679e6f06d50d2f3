import { expect, test } from './test';
import { axe, LAID_OUT } from './axe';
import { DEMO, newPage, notice, openRow, onTable, pageOnScreen, slabs } from './table';

test('no accessibility faults are found by axe, in light and dark', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('Project file').setInputFiles(DEMO.file);
  await expect(notice(page)).toContainText('Opened');
  // In the dark, colours alone are others.
  const inBoth = async () => {
    for (const [colorScheme, rules] of [
      ['dark', ['color-contrast']],
      ['light', LAID_OUT],
    ] as const) {
      await page.emulateMedia({ colorScheme });
      await expect(page.locator('html')).toHaveAttribute('data-scheme', colorScheme);
      expect(await axe(page, rules)).toEqual([]);
    }
  };
  const open = page.getByRole('button', { name: `Open ${DEMO.title}` });
  await expect(open).toBeVisible();
  await inBoth();
  await open.click();
  await onTable(page);
  await slabs(page).nth(8).click();
  for (const row of ['Material', 'Cut', 'Finish'] as const) {
    await openRow(page, row);
    await page.waitForTimeout(250);
  }
  await inBoth();
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await expect(page.getByRole('dialog', { name: /^Make/ })).toBeVisible();
  await inBoth();
  await page.goto('/');
  await page.getByRole('button', { name: 'Card', exact: true }).click();
  await page.getByRole('button', { name: 'Ready-made' }).click();
  // Eight of each kit.
  await expect(page.getByRole('list', { name: 'Ready-made cards' }).getByRole('button')).toHaveCount(56);
  expect(await axe(page, LAID_OUT)).toEqual([]);
});

test('the whole way by keyboard, and nothing is asked of any other machine', async ({ page, baseURL }) => {
  const foreign: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(baseURL!) && !/^(data|blob):/.test(request.url()))
      foreign.push(request.url());
  });
  await page.goto('/');
  // Whatever has the focus shows it (WCAG 2.2, 2.4.7).
  for (let i = 0; i < 12; i++) {
    await page.keyboard.press('Tab');
    const ring = await page.evaluate(() => {
      const at = document.activeElement!;
      const framed = at.closest('.MuiOutlinedInput-root')?.classList.contains('Mui-focused');
      return `${at.textContent || at.getAttribute('aria-label')}: ${framed ? 'solid' : getComputedStyle(at).outlineStyle}`;
    });
    expect(ring).toMatch(/: solid$/);
  }
  await page.getByRole('button', { name: 'New layout 12 x 12 in' }).focus();
  await page.keyboard.press('Enter');
  await onTable(page);
  await page.getByRole('button', { name: /^Tide wash/ }).focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(slabs(page)).toHaveCount(1);
  await page.keyboard.press('Escape');
  await page.getByTestId('stage').click({ position: { x: 30, y: 400 } });
  await page.keyboard.press('t');
  await page.keyboard.type('Wind');
  await page.keyboard.press('Escape');
  await expect(slabs(page)).toHaveCount(2);
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Home');
  await page.keyboard.press('b');
  await expect(page.getByRole('textbox', { name: 'Name of this piece' })).toHaveValue('Tide wash');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('By 1/100 in');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  for (const [key, region] of [
    ['w', 'Workbox'],
    ['p', 'Side panel'],
  ] as const) {
    const panel = page.getByRole(region === 'Workbox' ? 'region' : 'complementary', { name: region });
    await page.keyboard.press(key);
    await expect(panel).toBeHidden();
    await page.keyboard.press(key);
    await expect(panel).toBeVisible();
  }
  expect(foreign).toEqual([]);
});

test('what a key opens has the focus as soon as it is there: what is pressed next is meant for it', async ({
  page,
}) => {
  await newPage(page);
  const { x, y, inch } = await pageOnScreen(page);
  await page.mouse.move(x - 0.4 * inch, y - 0.4 * inch);
  for (const [key, name] of [
    ['q', 'What lies here, top first'],
    ['y', 'Steps'],
    ['i', 'Guides'],
  ] as const) {
    await page.getByTestId('stage').focus();
    // Seen from within: right after it came into the document, before anything else can happen.
    const focused = page.evaluate(
      (label) =>
        new Promise<boolean>((resolve) => {
          const watch = new MutationObserver(() => {
            const opened = document.querySelector(`[role=dialog][aria-label="${label}"]`);
            if (!opened) return;
            watch.disconnect();
            resolve(opened.contains(document.activeElement));
          });
          watch.observe(document.body, { childList: true, subtree: true });
        }),
      name,
    );
    await page.keyboard.press(key);
    expect([name, await focused]).toEqual([name, true]);
    await page.keyboard.press('Escape');
  }
});
