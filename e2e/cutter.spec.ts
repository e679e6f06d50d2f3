/** Files for electronic cutters: outlines in, dealt among papers, checked, cured, tried and saved; by mouse and by keys. */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { expect, warm as test, type Page } from './test';
import { axe } from './axe';
import { shot, toHome } from './table';

/** Three rows of two bars and a clasp that is 0.3 mm wide in its middle, in millimetres. */
const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="120mm" viewBox="0 0 120 120"><g id="cut" fill="none" stroke="#000">
${[0, 40, 80].map((y) => `<rect x="0" y="${y}" width="40" height="25"/>`).join('')}
<rect x="60" y="0" width="40" height="25"/><rect x="60" y="40" width="40" height="25"/>
<path d="M60 80H80V92H90V80H110V105H90V92.3H80V105H60Z"/></g></svg>`;

async function outlines(page: Page, file: string): Promise<void> {
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('Outlines from a file');
  await page.keyboard.press('Enter');
  await page.getByLabel('A file of outlines').setInputFiles(file);
}
const status = (page: Page) => page.getByRole('dialog', { name: 'Cutter' }).getByRole('status').last();

test('outlines cut from three papers: dealt, checked, cured, tried and saved, in under 15 actions', async ({
  page,
}, info) => {
  const file = info.outputPath('bars.svg');
  writeFileSync(file, SVG);
  await toHome(page);
  await page.getByRole('button', { name: /^New layout 8 x 8 in,/ }).click();
  await outlines(page, file);
  const sheet = page.getByRole('dialog', { name: 'Outlines from a file' });
  await expect(sheet.getByRole('status')).toContainText(
    '6 outlines, 4.72 x 4.72 in. The file says its unit.',
  );
  let actions = 0;
  const act = async (done: Promise<unknown>) => {
    actions += 1;
    await done;
  };
  await act(sheet.getByRole('button', { name: 'Lay them' }).click());
  await act(page.keyboard.press('Control+k'));
  await act(page.keyboard.type('Deal among papers'));
  await act(page.keyboard.press('Enter'));
  const deal = page.getByRole('dialog', { name: 'Deal among papers' });
  await expect(deal.getByRole('status')).toHaveText(
    '6 parts, as if the same had been cut from 3 papers at once.',
  );
  expect(await axe(page)).toEqual([]);
  await act(deal.getByRole('button', { name: 'Deal them' }).click());
  await act(page.keyboard.press('Shift+H'));
  const cutter = page.getByRole('dialog', { name: 'Cutter' });
  await act(cutter.getByRole('combobox', { name: 'What goes to it' }).press('Enter'));
  await act(page.getByRole('option', { name: 'This page' }).click());
  await expect(status(page)).toContainText('6 parts of 3 papers on 3 mats');
  const found = cutter.getByRole('list', { name: 'What the checks found' }).getByRole('listitem');
  await expect(found).toHaveText(/It is 0\.30 mm wide here: under 0\.5 mm it tears\./);
  await expect(cutter.getByRole('tab')).toHaveCount(3);
  await act(found.getByRole('button', { name: 'Widen it' }).click());
  await expect(found).toHaveCount(0);
  await expect(cutter.getByText('Nothing is narrower than 0.5 mm.')).toBeVisible();
  await shot(page, 'cutter');
  expect(await axe(page)).toEqual([]);
  await act(cutter.getByRole('button', { name: 'Try this mat' }).click());
  await act(cutter.getByRole('button', { name: 'To the end, and lift' }).click());
  await expect(cutter.getByText(/^2 parts come loose\. \d\.\d\d m worked/)).toBeVisible();
  await shot(page, 'cutter-tried');
  expect(await axe(page)).toEqual([]);
  await act(cutter.getByRole('button', { name: 'Save …' }).click());
  const saved = page.waitForEvent('download');
  const save = page.getByRole('dialog', { name: 'Save for a cutter' });
  await act(save.getByRole('button', { name: 'Save', exact: true }).click());
  expect(actions).toBeLessThan(15);
  const zip = info.outputPath('cut.zip');
  await (await saved).saveAs(zip);
  const names = execFileSync('python3', ['-c', 'import sys,zipfile; z=zipfile.ZipFile(sys.argv[1]); z.extractall(sys.argv[2]); print("\\n".join(z.namelist()))', zip, info.outputPath('cut')], { encoding: 'utf8' }); // prettier-ignore
  expect(names.trim().split('\n')).toHaveLength(3);
  const first = readFileSync(info.outputPath('cut', names.split('\n')[0]!), 'utf8');
  expect(first).toContain('width="12in" height="12in"');
  expect(first.match(/<path /g)).toHaveLength(2);
});
