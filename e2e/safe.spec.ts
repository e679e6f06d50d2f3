/** Nothing is lost: damaged files, a full store, two tabs. */
import { execFileSync } from 'node:child_process';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { expect, test, warm, type Page } from './test';
import {
  bringIn,
  kept,
  layByEnter,
  newPage,
  notice,
  onTable,
  photo,
  photosInBox,
  slabs,
  toHome,
} from './table';

interface StoredAsset {
  name: string;
  orientation: number;
  taken?: string;
  width: number;
  height: number;
}

/** What the browser's store knows of its pictures. */
const assetsIn = (page: Page): Promise<StoredAsset[]> =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        const open = indexedDB.open('bellagraph');
        open.onsuccess = () => {
          const rows = open.result.transaction('assets').objectStore('assets').getAll();
          rows.onsuccess = () => resolve((rows.result as { asset: StoredAsset }[]).map(({ asset }) => asset));
        };
      }),
  );

warm('JPEG, PNG, WebP and HEIC arrive; an Exif turn is honoured', async ({ page }, info) => {
  const { default: sharp } = await import('sharp');
  const small = sharp(photo('fly-in-plum-kite')).resize(300);
  await small.clone().png().toFile(info.outputPath('a.png'));
  await small.clone().webp().toFile(info.outputPath('b.webp'));
  await newPage(page);
  await bringIn(page, [
    info.outputPath('a.png'),
    info.outputPath('b.webp'),
    'e2e/fixtures/kite.heic',
    photo('fly-in-high'),
    photo('from-olus-old-phone'),
  ]);
  await expect(photosInBox(page)).toHaveCount(5);
  const shapes = await photosInBox(page).evaluateAll((items) =>
    items.map((item) => Math.sign(item.clientWidth - item.clientHeight)),
  );
  expect(shapes).toEqual(expect.arrayContaining([0, 0, 1, -1]));
  const facts = await assetsIn(page);
  for (const name of ['fly-in-high.jpg', 'from-olus-old-phone.jpg']) {
    const path = photo(name.replace('.jpg', ''));
    const tags = execFileSync(
      'exiftool',
      ['-n', '-s3', '-Orientation', '-DateTimeOriginal', '-ImageWidth', '-ImageHeight', path],
      { encoding: 'utf8' },
    );
    const [orientation, taken, width, height] = tags.trim().split('\n');
    expect(facts.find((asset) => asset.name === name)).toMatchObject({
      orientation: Number(orientation),
      taken: taken!.replace(':', '-').replace(':', '-').replace(' ', 'T'),
      width: Number(width),
      height: Number(height),
    });
  }
  for (const i of [0, 1, 2, 3]) await layByEnter(photosInBox(page).nth(i));
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('radio', { name: 'JPEG' }).check();
  await page.getByRole('button', { name: 'Make the JPEG' }).click();
  const path = info.outputPath('page.jpg');
  await (await download).saveAs(path);
  expect(await sharp(path).metadata()).toMatchObject({ width: 3675, height: 3675, density: 300 });
});

warm(
  'odd photos arrive as what they show: progressive, 16 bits, four press colours, moving, one pixel, lying of their time',
  async ({ page }, info) => {
    const { default: sharp } = await import('sharp');
    const red = { r: 200, g: 60, b: 40 };
    const flat = (width: number, height: number) =>
      sharp({ create: { width, height, channels: 3, background: red } });
    const to = (name: string) => info.outputPath(name);
    await sharp(photo('fly-in-plum-kite'))
      .resize(2400)
      .jpeg({ progressive: true })
      .toFile(to('progressive.jpg'));
    await flat(300, 200).toColourspace('rgb16').png().toFile(to('sixteen.png'));
    await flat(2400, 1600).withIccProfile('p3').jpeg().toFile(to('wide-gamut.jpg'));
    await flat(300, 200).toColourspace('cmyk').jpeg().toFile(to('press.jpg'));
    await flat(1, 1).png().toFile(to('dot.png'));
    const frames = await Promise.all(
      ['#c83c28', '#2050a0'].map((background) =>
        sharp({ create: { width: 120, height: 90, channels: 3, background } })
          .png()
          .toBuffer(),
      ),
    );
    await sharp(frames, { join: { animated: true } })
      .webp({ loop: 0, delay: [80, 80] })
      .toFile(to('moving.webp'));
    await sharp(photo('from-olus-old-phone')).jpeg().toFile(to('never-set.jpg'));
    execFileSync('exiftool', [
      '-q',
      '-overwrite_original',
      '-EXIF:DateTimeOriginal=1970:01:01 00:00:00',
      '-EXIF:ExifImageWidth=9',
      '-EXIF:ExifImageHeight=9',
      to('never-set.jpg'),
    ]);
    writeFileSync(to('gone.jpg'), readFileSync(photo('tide-pools')));
    await newPage(page);
    const names = [
      'progressive.jpg',
      'sixteen.png',
      'wide-gamut.jpg',
      'press.jpg',
      'dot.png',
      'moving.webp',
      'never-set.jpg',
    ];
    await bringIn(page, [...names.map(to), to('gone.jpg')]);
    rmSync(to('gone.jpg'));
    await expect(notice(page)).toContainText(
      'gone.jpg could not be read: it may have been moved or deleted meanwhile.',
    );
    await expect(notice(page)).toContainText('press.jpg arrived without its press colours (CMYK)');
    await expect(photosInBox(page)).toHaveCount(names.length);
    const facts = await assetsIn(page);
    const of = (name: string) => facts.find((asset) => asset.name === name)!;
    expect(of('moving.webp')).toMatchObject({ width: 120, height: 90 });
    expect(of('dot.png')).toMatchObject({ width: 1, height: 1 });
    expect(of('never-set.jpg')).toMatchObject({ width: 800, height: 600 });
    expect(of('never-set.jpg').taken).toBeUndefined();
    // What is seen is the colour that was meant, whatever the profile's numbers.
    for (const name of ['sixteen.png', 'wide-gamut.jpg']) {
      const seen = await photosInBox(page)
        .and(page.getByRole('button', { name: new RegExp(`^${name.replace(/\..*/, '')}`) }))
        .evaluate(async (button) => {
          const address = /url\("(.*)"\)/.exec(getComputedStyle(button).backgroundImage)![1]!;
          const bitmap = await createImageBitmap(await (await fetch(address)).blob());
          const context = new OffscreenCanvas(4, 4).getContext('2d')!;
          context.drawImage(bitmap, 0, 0, 4, 4);
          return [...context.getImageData(2, 2, 1, 1).data.subarray(0, 3)];
        });
      [red.r, red.g, red.b].forEach((value, c) => expect(Math.abs(seen[c]! - value)).toBeLessThanOrEqual(3));
    }
  },
);

test('a full store in the middle of an import: what was stored stays, the rest is named', async ({
  page,
  context,
  baseURL,
}) => {
  const session = await context.newCDPSession(page);
  const origin = baseURL!;
  await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: 4_500_000 });
  await newPage(page);
  await bringIn(
    page,
    [
      'fly-in-first-launch',
      'fly-in-all-up',
      'fly-in-through-the-grass',
      'tide-pools',
      'lantern-night',
      'workshop-table',
    ].map(photo),
  );
  await expect(notice(page)).toContainText('There is no room left in this browser');
  await expect(notice(page)).toContainText('.jpg');
  const arrived = await photosInBox(page).count();
  expect(arrived).toBeGreaterThan(0);
  expect(arrived).toBeLessThan(6);
  await kept(page);
  await session.send('Storage.overrideQuotaForOrigin', { origin });
  await page.reload();
  await onTable(page);
  await expect(photosInBox(page)).toHaveCount(arrived);
});

warm('a page of 24 x 24 in is made at 300 ppi; making can be cancelled', async ({ page }, info) => {
  await toHome(page);
  await page.getByRole('button', { name: 'Another size …' }).click();
  await page.getByLabel('Width').fill('24');
  await page.getByLabel('Height').fill('24');
  await page.getByRole('button', { name: 'Start with this size' }).click();
  await onTable(page);
  await bringIn(page, photo('tide-pools'));
  await layByEnter(photosInBox(page).first());
  await layByEnter(page.getByRole('button', { name: /^Boathouse boards/ }));
  await page.getByRole('menuitem', { name: 'Cover the page with it' }).click();
  await expect(slabs(page)).toHaveCount(2);
  await page.getByRole('button', { name: 'Make', exact: true }).click();
  await page.getByRole('radio', { name: 'JPEG' }).check();
  await page.getByRole('button', { name: 'Make the JPEG' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Make the JPEG' })).toBeEnabled();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Make the JPEG' }).click();
  const path = info.outputPath('poster.jpg');
  await (await download).saveAs(path);
  const { default: sharp } = await import('sharp');
  expect(await sharp(path).metadata()).toMatchObject({ width: 7275, height: 7275, density: 300 });
});
