/** Shadows of rectangles in a PDF, as poppler paints them, against the integral of a Gaussian. */
import { execFileSync } from 'node:child_process';
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import sharp from 'sharp';
import { rectanglePath, transformPath } from '@/core/geometry/path';
import { rotation, scaling } from '@/core/geometry/matrix';
import { below, boxOf } from '@/output/pdf/soft-rectangles';
import { making } from '../../scripts/testing/making';
import { inkPiece, project } from '../../scripts/testing/samples';

const { tool, made } = making();

test('the share of a Gaussian below so many deviations (tables of the standard normal distribution)', () => {
  const TABLE = [
    [0, 0.5],
    [0.5, 0.69146],
    [1, 0.84134],
    [1.96, 0.975],
    [-1.96, 0.025],
    [3, 0.99865],
  ] as const;
  for (const [z, share] of TABLE) expect(below(z)).toBeCloseTo(share, 5);
});

test('what lies level is known as a box, and nothing else is', () => {
  const side = fc.double({ min: 1, max: 500, noNaN: true });
  fc.assert(
    fc.property(side, side, fc.integer({ min: 1, max: 89 }), (width, height, turn) => {
      const path = rectanglePath({ x: -width / 3, y: 4, width, height });
      const box = boxOf(path)!;
      expect([box.x, box.y, box.width, box.height]).toEqual(
        [-width / 3, 4, width, height].map((value) => expect.closeTo(value, 9)),
      );
      expect(boxOf(transformPath(scaling(-2), path))).not.toBeNull();
      expect(boxOf(transformPath(rotation((turn * Math.PI) / 180), path))).toBeNull();
      expect(boxOf([...path, ...path])).toBeNull();
    }),
  );
});

test.each([
  { width: 120, height: 80, blur: 3 },
  // Narrower than its own blur: nowhere in full darkness.
  { width: 6, height: 90, blur: 5 },
])('a shadow of $width x $height pt blurred by $blur is as dark as reckoned, to 2 of 255', async (of) => {
  const { width, height, blur } = of;
  const piece = inkPiece('thrower', 150, 60, width, height, {
    // Only its shadow is seen: the piece itself is clear.
    material: { kind: 'ink', colour: '#ffffff' },
    finish: {
      ...{ lift: { height: 0, shadow: false }, stroke: null, opacity: 1 },
      shadows: [{ x: 0, y: 130, blur, strength: 1, colour: '#000000' }],
    },
  });
  const base = project();
  const [surface] = base.surfaces;
  const page = { ...base, surfaces: [{ ...surface!, ground: '#ffffff', pile: [piece] }] };
  const file = await made(page, { format: 'pdf' }, `soft-${width}.pdf`);
  // No picture lies in it: the shadow is two shadings.
  expect(tool('pdfimages', '-list', file).trim().split('\n')).toHaveLength(2);
  const { data, info } = await sharp(execFileSync('pdftoppm', ['-r', '144', '-png', file]))
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const share = (at: number, from: number, size: number) =>
    below((at - from) / blur) - below((at - from - size) / blur);
  for (let y = 182; y < 288; y += 7)
    for (let x = 130; x < 300; x += 7) {
      // A pixel half a point wide is anything from what it is at its one corner to what it is at the other.
      const at = [0, 0.5].flatMap((dx) =>
        [0, 0.5].map((dy) => 255 * (1 - share(x + dx, 150, width) * share(y + dy, 190, height))),
      );
      const seen = data[2 * y * info.width + 2 * x]!;
      expect(seen).toBeGreaterThan(Math.min(...at) - 2);
      expect(seen).toBeLessThan(Math.max(...at) + 2);
    }
});
