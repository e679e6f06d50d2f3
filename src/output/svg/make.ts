/** A Picture to an SVG that holds all it shows. */
import type { Box } from '@/core/geometry/box';
import type { AssetType } from '@/core/picture/asset';
import type { Path } from '@/core/geometry/path';
import { contentOf, isWorked, type Mark, type Picture, type WorkedMark } from '@/core/picture/picture';
import { ok } from '@/core/result';
import { WORKED_PPI, workedBitmap } from '@/output/pixels/worked';
import { filesOf, JPEG_QUALITY, letGo, type Maker, type Stock } from '@/output/stock';
import { writeSvg } from '@/output/svg/write';

export const makeSvg: Maker = async ([first], { withBleed }, stock, progress) => {
  const picture = first!;
  const addresses = new Map<string, string>();
  const files = filesOf([picture]);
  for (const [i, sha] of files.entries()) {
    progress((0.8 * i) / files.length, `Packing ${stock.asset(sha).name}, ${i + 1} of ${files.length}`);
    if (!stock.drawing(sha)) addresses.set(sha, await address(sha, stock));
  }
  const worked = await packedWorked(picture, stock);
  const written = writeSvg(picture, withBleed, {
    asset: stock.asset,
    drawing: stock.drawing,
    address: (key) => addresses.get(key)!,
    worked,
  });
  return ok([new TextEncoder().encode(written)]);
};

/** A mark that is pixels, and what is taken away from one. */
const workedIn = (mark: Mark): WorkedMark[] => [
  ...(isWorked(mark) ? [mark] : []),
  ...(mark.within ?? []).flatMap(({ less }) => (less ? [less] : [])),
];

/** Every mark that is pixels as a PNG, and where it lies. */
async function packedWorked(picture: Picture, shop: Stock) {
  // A mark seen in part is another object with the same path and content.
  const packed = new Map<Path, Map<object, Box & { address: string }>>();
  for (const mark of picture.pieces.flatMap(({ marks }) => marks.flatMap(workedIn))) {
    const { canvas, x, y, width, height } = workedBitmap(mark, WORKED_PPI / 72, shop.platform);
    const bytes = await shop.encode(canvas, 'image/png', 1);
    const found = packed.get(mark.path) ?? new Map<object, Box & { address: string }>();
    packed.set(
      mark.path,
      found.set(contentOf(mark), { x, y, width, height, address: `data:image/png;base64,${base64(bytes)}` }),
    );
  }
  return (mark: WorkedMark) => packed.get(mark.path)!.get(contentOf(mark))!;
}

/** Kinds of picture that few readers of SVG know, and what they are written as: what may be clear keeps that. */
const REWRITTEN: Partial<Record<AssetType, 'image/jpeg' | 'image/png'>> = {
  'image/heic': 'image/jpeg',
  'image/webp': 'image/png',
};

/** A data: URL of a kind every reader shows. */
async function address(sha: string, shop: Stock): Promise<string> {
  await shop.check(sha);
  const { type } = shop.asset(sha);
  const as = REWRITTEN[type];
  if (!as) return `data:${type};base64,${base64(await shop.bytes(sha))}`;
  const { source, width, height } = await shop.decode(sha);
  const { canvas, context } = shop.platform.canvas(width, height);
  context.drawImage(source, 0, 0);
  letGo({ source });
  return `data:${as};base64,${base64(await shop.encode(canvas, as, JPEG_QUALITY))}`;
}

function base64(bytes: Uint8Array): string {
  let text = '';
  // In parts: a call takes only so many arguments. Multiples of three join without padding between them.
  for (let at = 0; at < bytes.length; at += 0x6000)
    text += btoa(String.fromCharCode(...bytes.subarray(at, at + 0x6000)));
  return text;
}
