/** Pictures to the pages of a PDF, its JPEG files untouched. */
import { openInks, type Inks } from '@/core/press/inks';
import { ok } from '@/core/result';
import { fourScans, type EncodeGrey } from '@/output/pdf/four-scans';
import { factsOf } from '@/output/pdf/jpeg';
import { openSubset } from '@/output/pdf/subset';
import { writePdf } from '@/output/pdf/write';
import type { Drawable } from '@/output/platform';
import { filesOf, letGo, type Maker, type Stock } from '@/output/stock';

export const makePdf: Maker = async (
  pictures,
  { withBleed, cropMarks, squares, sheets, tiled, press, inks: inInks },
  stock,
  progress,
) => {
  const files = filesOf(pictures);
  const profile = press && (await stock.profile(press));
  const opened = profile && inInks ? await openInks(profile, stock.lcms) : undefined;
  if (opened && !opened.ok) return opened;
  const inks = opened?.value;
  const parts = new Map<string, Uint8Array[]>();
  const pixels = new Map<string, ImageData>();
  for (const [i, sha] of files.entries()) {
    const { name, type } = stock.asset(sha);
    progress((0.4 * i) / files.length, `Reading ${name}, ${i + 1} of ${files.length}`);
    if (type === 'image/svg+xml') continue;
    await stock.check(sha);
    if (stock.asset(sha).type === 'image/jpeg') parts.set(sha, await stock.parts(sha));
    else pixels.set(sha, pixelsOf(await stock.decode(sha), stock));
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
      ...(press && profile ? { press: { condition: press, profile } } : {}),
      ...(inks ? { inks } : {}),
    },
    {
      platform: stock.platform,
      font: stock.font,
      subset: await openSubset(stock.subsetter),
      asset: stock.asset,
      drawing: stock.drawing,
      parts: (sha) => parts.get(sha)!,
      pixels: (sha) => pixels.get(sha)!,
      ...(inks ? { inked: inkedBy(inks, (sha) => parts.get(sha)!, stock) } : {}),
    },
    (share) => progress(0.4 + 0.6 * share, 'Writing the PDF'),
  );
  inks?.close();
  return ok(written);
};

function pixelsOf({ source, width, height }: Drawable, { platform }: Stock): ImageData {
  const { context } = platform.canvas(width, height);
  context.drawImage(source, 0, 0);
  letGo({ source });
  return context.getImageData(0, 0, width, height);
}

/** Quality of a photo whose colours are brought into inks, 1 to 100. */
const INKED_QUALITY = 94;

/** Photos in inks, by what their own profiles say of their colours. */
function inkedBy(inks: Inks, partsOf: (sha: string) => Uint8Array[], stock: Stock) {
  let opening: Promise<EncodeGrey> | undefined;
  return async (sha: string) => {
    const { components, profile } = factsOf(partsOf(sha));
    const own = components === 3 ? profile : undefined;
    const pixels = pixelsOf(await stock.decode(sha, Boolean(own)), stock);
    const { width, height } = pixels;
    const encode = await (opening ??= stock.greyJpeg());
    return {
      ...{ width, height },
      parts: fourScans(inks.of(pixels.data, own), pixels, INKED_QUALITY, encode),
    };
  };
}
