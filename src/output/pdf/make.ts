/** Pictures to the pages of a PDF, its JPEG files untouched. */
import { ok } from '@/core/result';
import { openSubset } from '@/output/pdf/subset';
import { writePdf } from '@/output/pdf/write';
import { filesOf, letGo, type Maker } from '@/output/stock';

export const makePdf: Maker = async (
  pictures,
  { withBleed, cropMarks, squares, sheets, tiled, press },
  stock,
  progress,
) => {
  const files = filesOf(pictures);
  const parts = new Map<string, Uint8Array[]>();
  const pixels = new Map<string, ImageData>();
  for (const [i, sha] of files.entries()) {
    progress((0.4 * i) / files.length, `Reading ${i + 1} of ${files.length} pictures`);
    if (stock.asset(sha).type === 'image/svg+xml') continue;
    if (stock.asset(sha).type === 'image/jpeg') parts.set(sha, await stock.parts(sha));
    else {
      const { source, width, height } = await stock.decode(sha);
      const { context } = stock.platform.canvas(width, height);
      context.drawImage(source, 0, 0);
      letGo({ source });
      pixels.set(sha, context.getImageData(0, 0, width, height));
    }
  }
  const written = await writePdf(
    pictures,
    pictures[0]!.title,
    {
      withBleed,
      cropMarks,
      ...(squares ? { squares } : {}),
      made: stock.now,
      ...(sheets ? { sheets } : {}),
      ...(tiled ? { tiled } : {}),
      ...(press ? { press: { condition: press, profile: await stock.profile(press) } } : {}),
    },
    {
      platform: stock.platform,
      font: stock.font,
      subset: await openSubset(stock.subsetter),
      asset: stock.asset,
      drawing: stock.drawing,
      parts: (sha) => parts.get(sha)!,
      pixels: (sha) => pixels.get(sha)!,
    },
    (share) => progress(0.4 + 0.6 * share, 'Writing the PDF'),
  );
  return ok(written);
};
