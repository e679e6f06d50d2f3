/** Colour beneath the lines of a stamp, in a finished file. */
import sharp from 'sharp';
import type { Fill } from '@/core/colouring/fills';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { making } from '../../scripts/testing/making';
import { inkPiece, laid } from '../../scripts/testing/samples';

const { register, made } = making();

test('a stamp coloured in: every pixel that was all line is so still, in the very same ink', async () => {
  const lineArt =
    '<svg xmlns="http://www.w3.org/2000/svg" width="1in" height="1in" viewBox="0 0 96 96">' +
    '<g fill="none" stroke="#000" stroke-width="5"><circle cx="40" cy="40" r="30"/><path d="M8 88L50 10L90 88Z"/></g></svg>';
  const drawn = register(Buffer.from(lineArt), 300, 300, { type: 'image/svg+xml' });
  const stamp = (fills?: Fill[]): Piece => ({
    ...inkPiece('stamp', 100, 60, 160, 160),
    material: { kind: 'art', asset: drawn.sha, ink: '#25232a', ...(fills ? { fills } : {}) },
    finish: finishOf(0),
  });
  const pixelsOf = async (piece: Piece, name: string) =>
    sharp(await made(laid([piece], [drawn]), { format: 'png' }, name))
      .removeAlpha()
      .raw()
      .toBuffer();
  const plain = await pixelsOf(stamp(), 'lines.png');
  const touch = { texture: 'pencil' as const, shade: 0.6, light: 315 };
  const coloured = await pixelsOf(
    stamp([
      { ...touch, ink: '#e8c66a', area: '4 4 0 10' },
      { ...touch, ink: '#b3262e', texture: 'flat', area: '4 4 8 8' },
    ]),
    'coloured.png',
  );
  let [lines, spoilt, changed] = [0, 0, 0];
  for (let at = 0; at < plain.length; at += 3) {
    const same = [0, 1, 2].every((c) => plain[at + c] === coloured[at + c]);
    if (!same) changed += 1;
    if (plain[at] !== 0x25 || plain[at + 1] !== 0x23 || plain[at + 2] !== 0x2a) continue;
    lines += 1;
    // A step of one of 255 is how what covers all but a hair is rounded.
    if ([0, 1, 2].some((c) => Math.abs(plain[at + c]! - coloured[at + c]!) > 1)) spoilt += 1;
  }
  expect(lines).toBeGreaterThan(2000);
  expect(changed).toBeGreaterThan(100_000);
  expect(spoilt).toBe(0);
});
