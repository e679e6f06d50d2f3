/** Every sheet over the table: it opens by its key or its name, says what it is for, can be read and hit, and shuts by Escape. */
import { expect, warm as test } from './test';
import { axe, LAID_OUT } from './axe';
import { DEMO, onTable, slabs, toHome } from './table';

/** By their keys, or by their names in the list of all actions; each with its title. */
const OF_A_PHOTO = [
  ['d', 'Punches'],
  ['a', 'Draw and cut'],
  ['f', 'Tuck'],
  ['Trace', 'Trace'],
  ['Template', 'Template'],
  ['Shift+R', 'Recolour'],
  ['Shift+T', 'Light and tone'],
  ['k', 'Match'],
  ['r', 'Rows and columns'],
  ['Copy to other pages', 'Copy to other pages'],
  ['3', 'Paint and thread'],
] as const;
const OF_A_PAGE = [
  ['Shift+D', 'Photo desk'],
  ['Shift+A', 'Arrange photos'],
  ['Shift+M', 'Photo mosaic'],
  ['Contact sheets', 'Contact sheets'],
  ['Shift+I', 'Inks of this page'],
  ['Colours across pieces', 'Colours across pieces'],
  ['x', 'Outlines'],
  ['Shift+H', 'Cutter'],
  ['Deal among papers', 'Deal among papers'],
  ['i', 'Guides'],
  ['y', 'Steps'],
  ['Before and after', 'Before and after'],
  ['Shift+L', 'Letters of an alphabet'],
  ['Shift+Q', 'Sentiments'],
  ['Shift+K', 'Living words'],
  ['Control+f', 'Find and replace'],
  ['Days to remember', 'Days to remember'],
  ['?', 'Keys and how-to'],
] as const;

test('each opens over what is selected for it, and shuts', async ({ page }) => {
  await toHome(page);
  await page.getByLabel('Project file').setInputFiles(DEMO.file);
  await page
    .getByRole('button', { name: `Open ${DEMO.title}` })
    .first()
    .click();
  await onTable(page);
  const wrong: string[] = [];
  const each = async (
    sheets: readonly (readonly [string, string])[],
    select: () => Promise<unknown>,
  ): Promise<void> => {
    await select();
    for (const [how, title] of sheets) {
      await page.getByTestId('stage').focus();
      if (how.length > 1 && !how.includes('+')) {
        await page.keyboard.press('Control+k');
        await page.getByRole('combobox', { name: 'What shall be done?' }).fill(how);
        await page.keyboard.press('Enter');
      } else await page.keyboard.press(how);
      const sheet = page.getByRole('dialog', { name: title });
      await expect(sheet, title).toBeVisible();
      wrong.push(...(await axe(page, LAID_OUT)).map((fault) => `${title}: ${fault}`));
      await page.keyboard.press('Escape');
      await expect(sheet, `${title} is shut`).toBeHidden();
    }
  };
  await each(OF_A_PHOTO, () => slabs(page).filter({ hasText: DEMO.photo }).click());
  await each(OF_A_PAGE, async () => {
    await page.getByTestId('stage').focus();
    await page.keyboard.press('Control+a');
  });
  expect(wrong).toEqual([]);
});
