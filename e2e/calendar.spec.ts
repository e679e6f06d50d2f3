/** A calendar from photos and a list of birthdays; dated anew in one field; held days, other languages, by mouse and by keys. */
import { execFileSync } from 'node:child_process';
import { expect, warm as test } from './test';
import { axe } from './axe';
import { bringIn, kept, photo, photosInBox, set, shot, undoOf, toHome } from './table';

const FILES = [
  ...['fly-in-first-launch', 'fly-in-high', 'fly-in-plum-kite', 'fly-in-horizon', 'tide-pools'],
  ...['lighthouse-walk', 'lantern-night', 'workshop-table', 'fly-in-last-light'],
  ...['fly-in-all-up', 'fly-in-ines-and-olu', 'fly-in-through-the-grass'],
].map(photo);

test('a desk calendar of a house design, 12 photos and 9 birthdays in fewer than 25 actions, dated to the year after in one', async ({
  page,
}, info) => {
  let actions = 0;
  const act = async (what: Promise<unknown>) => {
    actions++;
    await what;
  };
  await toHome(page);
  await act(page.getByRole('button', { name: 'Calendar', exact: true }).click());
  await act(page.getByRole('button', { name: 'Ready-made', exact: true }).click());
  await act(page.getByRole('button', { name: /Twelve from the kitchen/ }).click());
  await expect(page.getByRole('list', { name: 'Papers' }).getByRole('button').first()).toBeVisible();
  await act(bringIn(page, FILES));
  await expect(photosInBox(page)).toHaveCount(FILES.length);
  // Where they could go is offered as soon as they are there.
  await act(page.getByRole('button', { name: 'Fill the months', exact: true }).click());
  await expect(undoOf(page, `fill ${FILES.length} places`)).toBeVisible();

  await page.getByTestId('stage').focus();
  await act(page.keyboard.press('Shift+Y'));
  const sheet = page.getByRole('dialog', { name: 'The calendar' });
  await expect(sheet.getByText(/^With it go 12 months and 13 titles/)).toBeVisible();
  await act(sheet.getByRole('button', { name: 'Days to remember' }).click());
  const days = page.getByRole('dialog', { name: 'Days to remember' });
  await act(
    days
      .getByLabel('A name and a date, each on a line')
      .fill(
        'Ada 3 Aug 2018\nOlu 29 Feb 1988\nBo 31 June\nFly-in, last Saturday of May\nWren 6 July\nInes 9 Jan 1991\nMarit 17 June 1956\nTeo 11 Oct 2012\nSuki 24 Nov 2001\nNil 24 Dec 2020',
      ),
  );
  await act(days.getByRole('button', { name: 'Put in' }).click());
  await expect(undoOf(page, 'put in 9 days')).toBeVisible();
  await expect(days.getByText('“Bo 31 June”: June has 30 days.')).toBeVisible();
  await expect(days.getByLabel('A name and a date, each on a line')).toHaveValue('Bo 31 June');
  expect(await axe(page)).toEqual([]);

  // The year after, in one field.
  const january = new Date().getFullYear() + 1;
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Shift+Y');
  await act(set(page, 'Year', String(january + 1)));
  await expect(undoOf(page, `date the calendar ${january + 1}`)).toBeVisible();
  await expect(page.getByRole('button', { name: `August ${january + 1}, begun` })).toBeVisible();
  expect(actions).toBeLessThan(25);
  await shot(page, 'calendar');
  expect(await axe(page)).toEqual([]);
  await sheet.getByRole('button', { name: /^Shut/ }).click();

  const tab = (name: string) => page.getByRole('navigation', { name: 'Pages' }).getByRole('button', { name });
  await tab(`August ${january + 1}`).click();
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Control+p');
  const make = page.getByRole('dialog', { name: /^Make/ });
  await make.getByRole('combobox', { name: 'What is made' }).press('Enter');
  await page.getByRole('option', { name: `August ${january + 1}`, exact: true }).click();
  const download = page.waitForEvent('download');
  await make.getByRole('button', { name: 'Make the PDF' }).click();
  const file = info.outputPath('calendar.pdf');
  await (await download).saveAs(file);
  const words = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
  expect(words).toContain(`August ${january + 1}`);
  expect(words).toMatch(new RegExp(`Ada,\\s+${january + 1 - 2018}\\b`));
  await make.getByRole('button', { name: 'Back to the table' }).click();
  // One step took it there, one takes it back.
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: `August ${january}` })).toBeVisible();

  await kept(page);
});
