import { focusOf } from '@/core/pixels/focus';

/** A grey picture, 180 x 120, with a patch of strong small checks. */
function picture(cx: number, cy: number, half = 14) {
  const [width, height] = [180, 120];
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inside = Math.abs(x - cx) < half && Math.abs(y - cy) < half;
      const check = (Math.floor(x / 3) + Math.floor(y / 3)) % 2;
      const colour = inside ? (check ? [230, 120, 90] : [60, 30, 20]) : [128, 128, 128];
      data.set(colour, 4 * (y * width + x));
    }
  return { data, width, height };
}

test.each([
  [45, 40],
  [140, 85],
  [90, 60],
])('the square lies over what is there, at %d, %d, to half its own side', async (x, y) => {
  const focus = await focusOf(picture(x, y));
  // 72 px is the square; the patch lies wholly inside of it, so the middles are at most 36 - 14 apart (and a step of 8).
  expect(Math.abs(focus.x * 180 - x)).toBeLessThanOrEqual(22 + 8);
  expect(Math.abs(focus.y * 120 - y)).toBeLessThanOrEqual(22 + 8);
});

test('a picture of a few pixels has a middle too', async () => {
  const focus = await focusOf({ data: new Uint8ClampedArray(4).fill(200), width: 1, height: 1 });
  expect(focus.x).toBeGreaterThanOrEqual(0);
  expect(focus.x).toBeLessThanOrEqual(1);
});
