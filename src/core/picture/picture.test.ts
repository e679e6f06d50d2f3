/** Pictures upright as their cameras say it, held against sharp (libvips); marks moved as one. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import sharp from 'sharp';
import { apply, invert } from '@/core/geometry/matrix';
import { parsePath, pathBounds } from '@/core/geometry/path';
import { uprightMatrix, uprightSize } from '@/core/picture/asset';
import { movedMarks } from '@/core/picture/moved';
import { imagesOf, type Mark } from '@/core/picture/picture';
import { assetOf } from '../../../scripts/testing/samples';

const SIZE = { width: 30, height: 20 };

test('each of the eight turns of Exif lays every corner where libvips lays it', async () => {
  // A picture of four colours, each in its corner.
  const corners = [
    { left: 0, top: 0, colour: '#ff0000' },
    { left: 15, top: 0, colour: '#00ff00' },
    { left: 0, top: 10, colour: '#0000ff' },
    { left: 15, top: 10, colour: '#ffff00' },
  ];
  const parts = await Promise.all(
    corners.map(async ({ left, top, colour }) => ({
      input: await sharp({ create: { width: 15, height: 10, channels: 3, background: colour } })
        .png()
        .toBuffer(),
      ...{ left, top },
    })),
  );
  const stored = await sharp({ create: { ...SIZE, channels: 3, background: '#000' } })
    .composite(parts)
    .png()
    .toBuffer();
  for (let orientation = 1; orientation <= 8; orientation++) {
    const turned = await sharp(await sharp(stored).withMetadata({ orientation }).toBuffer())
      .rotate()
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const upright = uprightSize(assetOf(stored, SIZE.width, SIZE.height, { orientation }));
    expect([orientation, turned.info.width, turned.info.height]).toEqual([
      orientation,
      upright.width,
      upright.height,
    ]);
    for (const { left, top, colour } of corners) {
      const { x, y } = apply(uprightMatrix({ ...SIZE, orientation }), { x: left + 7, y: top + 5 });
      const at = 3 * (Math.floor(y) * turned.info.width + Math.floor(x));
      const seen = [...turned.data.subarray(at, at + 3)];
      expect([orientation, colour, `#${Buffer.from(seen).toString('hex')}`]).toEqual([
        orientation,
        colour,
        colour,
      ]);
    }
  }
});

test('a turn can be taken back: upright pixels lead to those that are stored', () => {
  fc.assert(
    fc.property(
      ...([
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 1, max: 9000 }),
        fc.integer({ min: 1, max: 9000 }),
      ] as const),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (orientation, width, height, across, down) => {
        const map = uprightMatrix({ width, height, orientation });
        const whole = uprightSize({ width, height, orientation } as never);
        const at = apply(map, { x: across * width, y: down * height });
        expect(at.x).toBeGreaterThanOrEqual(-1e-6);
        expect(at.y).toBeGreaterThanOrEqual(-1e-6);
        expect(at.x).toBeLessThanOrEqual(whole.width + 1e-6);
        expect(at.y).toBeLessThanOrEqual(whole.height + 1e-6);
        const back = apply(invert(map), at);
        expect([back.x, back.y]).toEqual([
          expect.closeTo(across * width, 5),
          expect.closeTo(down * height, 5),
        ]);
      },
    ),
  );
});

test('marks are moved as one, with what they are seen in; what two share they share still', () => {
  const asset = assetOf(new Uint8Array(4), 30, 20);
  const area = { area: parsePath('M0 0H40V40H0Z') };
  const path = parsePath('M0 0H10V20H0Z');
  const marks = [
    { mark: 'fill', path, fill: '#24506b', within: [area] },
    { mark: 'image', asset: asset.sha, matrix: [1, 0, 0, 1, 5, 6], clip: path, within: [area] },
  ] as unknown as Mark[];
  fc.assert(
    fc.property(fc.integer({ min: -500, max: 500 }), fc.integer({ min: -500, max: 500 }), (x, y) => {
      const moved = movedMarks(marks, { x, y });
      const [fill, image] = moved as [
        Mark & { path: typeof path },
        Mark & { matrix: number[]; clip: typeof path },
      ];
      expect(pathBounds(fill.path)).toMatchObject({ x, y, width: 10, height: 20 });
      expect(pathBounds(image.clip)).toMatchObject({ x, y });
      expect(image.matrix.slice(4)).toEqual([5 + x, 6 + y]);
      if (x || y) expect(fill.within![0]).toBe(image.within![0]);
      expect(pathBounds(fill.within![0]!.area)).toMatchObject({ x, y, width: 40 });
      expect(movedMarks(moved, { x: -x, y: -y })).toEqual(marks);
    }),
  );
  expect(marks.flatMap((mark) => imagesOf(mark).map((one) => one.asset))).toEqual([asset.sha]);
});
