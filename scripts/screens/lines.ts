/** Lines drawn by hand, for their picture. */
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { ROOT } from '../node/platform';

/** A photo with a wreath round it, and lines drawn beside it. */
export async function drawnLines(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New layout 12 x 12 in' }).click();
  await page.getByTestId('stage').waitFor();
  await page
    .getByTestId('photo-input')
    .setInputFiles(join(ROOT, 'public/demo/photos/fly-in-first-launch.jpg'));
  const photo = page
    .getByRole('list', { name: 'Photos', exact: true })
    .getByRole('button', { name: /Enter lays it on the page/ });
  await photo.first().press('Enter');
  await page.getByRole('button', { name: /^Undo lay photo/ }).waitFor();
  await page.getByTestId('stage').press('d');
  await page.getByRole('button', { name: 'Circle', exact: true }).click();
  await page.keyboard.press('Escape');
  await page.getByTestId('stage').press('c');
  await page.getByRole('searchbox', { name: 'Search the cupboard' }).fill('garden wreath');
  await page.getByRole('option', { name: /^Garden wreath/ }).dblclick();
  await page.getByRole('button', { name: /^Undo change garland/ }).waitFor({ timeout: 60_000 });
  await page.getByTestId('stage').press('Escape');
  await page.getByTestId('stage').press('3');
  const sheet = page.getByRole('dialog', { name: 'Paint and thread' });
  await sheet.waitFor();
  const box = (await page.locator('[data-testid=stage] > div').first().boundingBox())!;
  const at = (x: number, y: number) => [box.x + (x / 12) * box.width, box.y + (y / 12) * box.height] as const;
  const draw = async (y: number, high: number, waves: number, from = 0.8, to = 11.2): Promise<void> => {
    await page.mouse.move(...at(from, y));
    await page.mouse.down();
    for (let i = 1; i <= 70; i++)
      await page.mouse.move(
        ...at(from + ((to - from) * i) / 70, y + high * Math.sin((2 * Math.PI * waves * i) / 70)),
      );
    await page.mouse.up();
    await page.waitForTimeout(300);
  };
  const take = (name: string) => sheet.getByRole('button', { name, exact: true }).first().click();
  const ink = async (colour: string, label = 'Ink') => {
    await sheet.getByRole('textbox', { name: label, exact: true }).fill(colour);
    await sheet.getByRole('textbox', { name: label, exact: true }).press('Enter');
  };
  const wide = async (text: string) => {
    await sheet.getByRole('textbox', { name: 'Width', exact: true }).fill(text);
    await sheet.getByRole('textbox', { name: 'Width', exact: true }).press('Enter');
  };
  await take('Watercolour');
  await ink('#7a86b8');
  await wide('1 in');
  await draw(1.5, 0.25, 1);
  await take('Ribbon');
  await ink('#9e2b45', 'Colour');
  await wide('0.5 in');
  await draw(9.6, 0.3, 1.5);
  await take('Twine');
  await draw(10.6, 0.16, 2);
  await take('Beads');
  await draw(11.3, 0.1, 2);
  await take('Thread');
  await take('Chain stitch');
  await ink('#2f6f68', 'Thread');
  await draw(2.9, 0.2, 2);
  await page.mouse.move(...at(11.6, 6));
  await page.waitForTimeout(800);
}
