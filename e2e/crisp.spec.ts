/** What Chromium makes of edges at an angle, against their areas and against what Node makes of the same page. */
import { expect, warm as test, type Page } from './test';
import { writeFileSync } from 'node:fs';
import sharp from 'sharp';
import type { Project } from '@/core/project/model';
import { packed } from '../scripts/node/files';
import { allowedError, crispPage, edgeErrors } from '../scripts/testing/crisp';
import { difference } from '../scripts/testing/difference';
import { withExif } from '../scripts/demo/photos/exif';
import { making } from '../scripts/testing/making';
import { laid, photoOf, quarters } from '../scripts/testing/samples';
import { drag, laySquares, newPage, onTable, pageOnScreen, toHome } from './table';

/** Writes a project to a file and opens it, as a person does who was given one. */
async function openOnTable(
  page: Page,
  project: Project,
  files: ReadonlyMap<string, Buffer>,
  path: string,
): Promise<void> {
  writeFileSync(path, await packed(project, async (sha) => files.get(sha)!));
  await toHome(page);
  await page.getByLabel('Project file').setInputFiles(path);
  // What came last stands first.
  await page
    .getByRole('button', { name: /^Open A sample/ })
    .first()
    .click();
  await onTable(page);
}

/** The page as a PNG of 96 ppi without bleed, made by the dialog; where it was saved. */
async function madePng(page: Page, path: string): Promise<string> {
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await page.getByRole('radio', { name: 'PNG' }).check();
  await page.getByRole('switch', { name: /With bleed/ }).uncheck();
  const resolution = page.getByRole('textbox', { name: 'Resolution' });
  await resolution.fill('96');
  await resolution.press('Tab');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Make the PNG' }).click();
  await (await download).saveAs(path);
  return path;
}

test('a picture made here is as crisp as its outlines, and the same as one made without a browser', async ({
  page,
}, info) => {
  const { files, register, made } = making();
  const project = crispPage(register);
  await openOnTable(page, project, files, info.outputPath('crisp.bellagraph'));
  const here = await madePng(page, info.outputPath('here.png'));
  const errors = await edgeErrors(here, project, 96);
  expect([...errors].filter(([name, error]) => error > allowedError(name))).toEqual([]);
  expect(errors.size).toBe(48);
  const { mean, share } = await difference(
    here,
    await made(project, { format: 'png', ppi: 96 }, 'there.png'),
  );
  expect(mean).toBeLessThan(0.3);
  expect(share).toBe(0);
});

test('a photo that its camera turned is upright in a picture made here', async ({ page }, info) => {
  const { files, register, made } = making();
  const shot = register(withExif(quarters(900, 600), 6, '2026-05-16T11:05:41'), 900, 600, { orientation: 6 });
  const project = laid([photoOf('turned', shot, { x: 100, y: 20, width: 160, height: 240 })], [shot]);
  await openOnTable(page, project, files, info.outputPath('turned.bellagraph'));
  const here = await madePng(page, info.outputPath('here.png'));
  const { mean, share } = await difference(
    here,
    await made(project, { format: 'png', ppi: 96 }, 'there.png'),
  );
  expect(mean).toBeLessThan(0.3);
  expect(share).toBe(0);
});

test('a piece that snaps between two pixels stays where it was seen when the hand lets go', async ({
  page,
}) => {
  await newPage(page);
  await laySquares(page, [['Red', 2, 2]], RED_SPOT);
  const { x, y, inch } = await pageOnScreen(page);
  /** The middle of the red spot where it will lie, CSS pixels: frame and guide are elsewhere. */
  const middle = async () => {
    const clip = {
      x: Math.round(x - 0.4 * inch),
      y: Math.round(y + (7.545 - 6 - 0.4) * inch),
      width: Math.round(0.35 * inch),
      height: Math.round(0.35 * inch),
    };
    const { data, info } = await sharp(await page.screenshot({ clip }))
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    let [sum, across, down] = [0, 0, 0];
    for (let i = 0; i < info.width * info.height; i++) {
      const weight = Math.max(0, 217 - data[3 * i + 2]!);
      sum += weight;
      across += weight * (i % info.width);
      down += weight * Math.floor(i / info.width);
    }
    return [across / sum, down / sum] as const;
  };
  let held: readonly number[] = [];
  await drag(page, [2.5, 2.5], [5.95, 7.545], async () => {
    await expect(page.getByTestId('snaps').getByText('page middle')).toBeVisible();
    held = await middle();
  });
  await expect(page.getByRole('button', { name: /^Undo move/ })).toBeVisible();
  // Drawn anew for certain.
  for (const key of ['+', '0']) {
    await page.keyboard.press(key);
    await page.waitForTimeout(250);
  }
  const [left, top] = await middle();
  // What a photo made smaller is off by between two phases of the screen's grid; a piece that moved is off by half a pixel.
  expect(Math.abs(left - held[0]!)).toBeLessThan(0.2);
  expect(Math.abs(top - held[1]!)).toBeLessThan(0.2);
});

/** A blue square with a red spot towards its upper left corner. */
const RED_SPOT = sharp({ create: { width: 300, height: 300, channels: 3, background: '#8fb4d9' } }).composite(
  [{ input: { create: { width: 50, height: 50, channels: 3, background: '#f00' } }, left: 60, top: 60 }],
);
