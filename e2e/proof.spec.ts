/** Pages seen before they are paid for: in the colours of a press, leafed through, with what the checks found. */
import { expect, warm as test, type Page } from './test';
import { execFileSync } from 'node:child_process';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { adobeRgb } from '@/core/press/adobe-rgb';
import { bringIn, layByEnter, newPage, photosInBox } from './table';

const proof = (page: Page) => page.getByRole('dialog', { name: 'Proof' });
const shown = (page: Page) => proof(page).getByTestId('proof-page');
const printed = (page: Page) => expect(shown(page)).toHaveAttribute('data-printed', '', { timeout: 20_000 });

/** The colour in the middle of what is shown of the page. */
async function middleOf(page: Page): Promise<number[]> {
  const box = (await shown(page).boundingBox())!;
  const clip = { x: box.x + box.width / 2, y: box.y + box.height / 2, width: 1, height: 1 };
  const shot = await page.screenshot({ clip });
  return page.evaluate(async (data) => {
    const bitmap = await createImageBitmap(
      new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], { type: 'image/png' }),
    );
    const context = new OffscreenCanvas(1, 1).getContext('2d')!;
    context.drawImage(bitmap, 0, 0);
    return [...context.getImageData(0, 0, 1, 1).data.subarray(0, 3)];
  }, shot.toString('base64'));
}

test('a photo in Adobe RGB is proofed with the colours its file holds, which sRGB does not', async ({
  page,
}, info) => {
  const profile = Buffer.from(adobeRgb());
  const [adobe, coated] = [
    info.outputPath('adobe.icc'),
    join('public', 'house', 'press', 'coated-offset.icc'),
  ];
  await writeFile(adobe, profile);
  // A green that sRGB ends before, and a press reaches farther.
  const green = [40, 190, 120];
  const [r, g, b] = green as [number, number, number];
  const plain = await sharp({ create: { width: 900, height: 900, channels: 3, background: { r, g, b } } })
    .jpeg({ quality: 96, chromaSubsampling: '4:4:4' })
    .toBuffer();
  const marker = Buffer.from([0xff, 0xe2, (profile.length + 16) >> 8, (profile.length + 16) & 255]);
  const named = Buffer.concat([marker, Buffer.from('ICC_PROFILE\0\x01\x01', 'latin1'), profile]);
  const file = Buffer.concat([plain.subarray(0, 2), named, plain.subarray(2)]);
  const through = (colour: readonly number[], ...how: string[]) =>
    execFileSync('transicc', ['-n', '-t1', ...how], {
      input: `${colour.join(' ')}\n`,
      encoding: 'utf8',
      stdio: ['pipe', 'pipe', 'ignore'],
    })
      .trim()
      .split(/\s+/)
      .map((value) => Math.min(255, Math.max(0, Number(value))));
  const onPaper = (from: string, colour: readonly number[]) =>
    through(through(colour, `-i${from}`, '-b', `-o${coated}`), `-i${coated}`, '-o*sRGB');
  const asked = onPaper(adobe, green);
  const clipped = onPaper('*sRGB', through(green, `-i${adobe}`, '-o*sRGB'));
  const off = (a: readonly number[], b: readonly number[]) =>
    Math.max(...a.map((v, i) => Math.abs(v - b[i]!)));
  expect(off(asked, clipped)).toBeGreaterThan(15);
  await newPage(page);
  await bringIn(page, { name: 'marram.jpg', mimeType: 'image/jpeg', buffer: file });
  await layByEnter(photosInBox(page).first());
  await page.getByTestId('stage').focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('4');
  await printed(page);
  await expect.poll(async () => off(await middleOf(page), asked)).toBeLessThan(8);
});
