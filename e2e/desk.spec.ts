/** The photo desk: photos told apart, given stars and names, chosen from; by mouse and by keyboard. */
import { expect, warm as test } from './test';
import { bringIn, kept, newPage, photo, photosInBox, shot } from './table';

const SEVEN = [
  'fly-in-first-launch',
  'fly-in-first-launch-again',
  'fly-in-all-up',
  'fly-in-all-up-shaken',
  'fly-in-high',
  'tide-pools',
  'workshop-table',
];

test('photos lie by occasion; alike and blurred ones are found, and what is put away stays so', async ({
  page,
}) => {
  await newPage(page);
  await bringIn(page, SEVEN.map(photo));
  await expect(photosInBox(page)).toHaveCount(7);
  await page.getByRole('button', { name: 'Desk' }).click();
  const desk = page.getByRole('dialog', { name: 'Photo desk' });
  const options = desk.getByRole('checkbox');
  await expect(options).toHaveCount(7);
  await expect(desk.getByRole('heading', { level: 3 })).toHaveText([
    'Saturday 14 March 2026',
    'Saturday 16 May 2026',
    'Saturday 11 July 2026',
  ]);
  await expect(desk.getByText('11:05 to 12:24, 5 photos')).toBeVisible();
  await expect(desk.getByRole('button', { name: 'Blurred 1' })).toBeVisible();
  await expect(desk.getByRole('button', { name: 'Alike 4' })).toBeVisible();

  await desk.getByRole('button', { name: 'Alike 4' }).click();
  await expect(desk.getByRole('heading', { level: 3 })).toHaveText(['Alike 1', 'Alike 2']);
  await desk.getByRole('button', { name: 'Choose all of Alike 2' }).click();
  await expect(desk.getByText('The sharpest is fly-in-all-up.')).toBeVisible();
  await expect(desk.getByText('Taken within 3 seconds.')).toBeVisible();
  await page.waitForTimeout(400);
  await shot(page, 'desk-alike');
  await options.filter({ hasText: 'blurred' }).click();
  await desk.getByRole('button', { name: 'Put away' }).click();
  await expect(desk.getByRole('button', { name: 'Alike 2' })).toBeVisible();
  await expect(options).toHaveCount(2);

  await kept(page);
  await page.reload();
  await expect(photosInBox(page)).toHaveCount(6);
  await page.getByRole('button', { name: 'Desk' }).click();
  await expect(desk.getByRole('button', { name: 'Alike 2' })).toBeVisible();
});
