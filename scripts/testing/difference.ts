/** How unlike two pictures are. */
import { converter, differenceCiede2000 } from 'culori';
import sharp from 'sharp';

/** Mean and largest CIEDE2000 between two pictures of one size, over every third pixel each way. */
export async function difference(a: string, b: string): Promise<{ mean: number; share: number }> {
  const [left, right] = await Promise.all(
    [a, b].map((path) =>
      sharp(path).flatten({ background: '#fff' }).removeAlpha().raw().toBuffer({ resolveWithObject: true }),
    ),
  );
  if (left!.info.width !== right!.info.width || left!.info.height !== right!.info.height)
    throw new RangeError('The two pictures are not of one size.');
  const lab = converter('lab65');
  const delta = differenceCiede2000();
  const colour = (data: Buffer, at: number) =>
    lab({ mode: 'rgb', r: data[at]! / 255, g: data[at + 1]! / 255, b: data[at + 2]! / 255 });
  let sum = 0;
  let count = 0;
  let off = 0;
  for (let y = 0; y < left!.info.height; y += 3)
    for (let x = 0; x < left!.info.width; x += 3) {
      const at = (y * left!.info.width + x) * 3;
      count += 1;
      if (left!.data.readUIntBE(at, 3) === right!.data.readUIntBE(at, 3)) continue;
      const d = delta(colour(left!.data, at), colour(right!.data, at));
      sum += d;
      if (d > 5) off += 1;
    }
  return { mean: sum / count, share: off / count };
}
