import { createCanvas, GlobalFonts } from '@napi-rs/canvas';
import { overlaps } from '@/core/geometry/box';
import { partsOf } from '@/core/pixels/parts';
import { lookOf } from '@/core/supplies/look';
import { guessKind } from '@/core/supplies/sort';
import { fontFile } from '../../../scripts/node/platform';

const ROWS = ['ABCDEFGHIJ', 'KLMNOPQRST', 'UVWXYZabcd', 'efghijklmn', 'opqrstuvwx', 'yz!?:;=éÄñ'];
const CELL = 130;

/** A sheet of letters of a shipped family, set on a grid; `ground` undefined is see-through. */
function sheet(family: string, ground?: string) {
  GlobalFonts.registerFromPath(fontFile(`${family}-latin-400-normal`), family);
  const [width, height] = [10 * CELL, ROWS.length * CELL * 1.25];
  const context = createCanvas(width, height).getContext('2d');
  if (ground) {
    context.fillStyle = ground;
    context.fillRect(0, 0, width, height);
  }
  context.fillStyle = '#9e2b45';
  context.font = `84px "${family}"`;
  context.textAlign = 'center';
  ROWS.forEach((row, y) =>
    [...row].forEach((letter, x) => context.fillText(letter, (x + 0.5) * CELL, (y + 0.8) * CELL * 1.25)),
  );
  return { pixels: context.getImageData(0, 0, width, height).data as never, width, height };
}

describe('a sheet of letters', () => {
  for (const [family, ground] of [
    ['bitter', undefined],
    ['abril-fatface', '#ffffff'],
    ['courier-prime', '#e8d9b0'],
    ['nunito-sans', undefined],
  ] as const)
    test(`${family} on ${ground ?? 'a see-through ground'}: each character one part, in reading order`, () => {
      const { pixels, width, height } = sheet(family, ground);
      const { boxes, rows, clear, labels } = partsOf(pixels, width, height);
      expect(clear).toBe(ground === undefined);
      expect({ parts: boxes.length, rows }).toEqual({ parts: 60, rows: 6 });
      boxes.forEach((box, i) => {
        const cell = { x: (i % 10) * CELL, y: Math.floor(i / 10) * CELL * 1.25 + 20 };
        expect(overlaps(box, { ...cell, width: CELL, height: CELL * 1.25 - 20 })).toBe(true);
        expect(Math.floor((box.x + box.width / 2) / CELL)).toBe(i % 10);
      });
      // The counter of the O is ground, not letter.
      const o = boxes[14]!;
      expect(labels[Math.round(o.y + o.height / 2) * width + Math.round(o.x + o.width / 2)]).toBe(-1);
    });

  test('is known for one by the sorter, with its name surely, without it as doubtful', () => {
    const { pixels, width, height } = sheet('bitter');
    const small = createCanvas(200, Math.round((200 * height) / width));
    const whole = createCanvas(width, height);
    const image = whole.getContext('2d').createImageData(width, height);
    image.data.set(pixels);
    whole.getContext('2d').putImageData(image, 0, 0);
    const context = small.getContext('2d');
    context.drawImage(whole, 0, 0, small.width, small.height);
    const look = lookOf(
      context.getImageData(0, 0, small.width, small.height).data as never,
      small.width,
      small.height,
    );
    const asset = { type: 'image/png', width, height, orientation: 1, ppi: 300 } as never;
    const seen = { asset, look, camera: false };
    expect(guessKind({ ...seen, path: 'My alphabet.png' })).toMatchObject({ kind: 'alphabet', sure: 0.85 });
    expect(guessKind({ ...seen, path: 'item 3.png' })).toMatchObject({ kind: 'alphabet', sure: 0.6 });
  });

  test('noise is a texture, not a sheet', () => {
    const pixels = new Uint8ClampedArray(200 * 200 * 4).map((_, i) => (i % 4 === 3 ? 255 : (i * 7919) % 256));
    expect(partsOf(pixels, 200, 200).boxes.length).toBeLessThan(3000);
    expect(lookOf(pixels, 200, 200).set).toBe(0);
  });
});
