/** A Picture to a finished file. The same in a browser's worker and in Node. */
import type { Picture } from '@/core/picture/picture';
import type { Result } from '@/core/result';
import type { Format, MakeOptions } from '@/output/formats';
import { makeOra } from '@/output/ora/make';
import { makePdf } from '@/output/pdf/make';
import { makeJpeg, makePng, makeWebp } from '@/output/pixels/make';
import { sheetPictures, type SheetPicture } from '@/output/pixels/sheets';
import { unnoted, unnotedParts } from '@/output/notes';
import { withFallbacks, type Told } from '@/output/fallbacks';
import { stockFor, type Maker, type Progress, type Workshop } from '@/output/stock';
import { makeSvg } from '@/output/svg/make';

/** How each format is made, a line each. */
const MAKERS: Record<Format, Maker> = {
  pdf: makePdf,
  jpg: makeJpeg,
  png: makePng,
  webp: makeWebp,
  ora: makeOra,
  svg: makeSvg,
};

/** Where photos were taken, when and with what, leaves only if it is asked for. */
const withoutNotes = (shop: Workshop): Workshop => ({
  ...shop,
  bytes: async (sha) => unnoted(await shop.bytes(sha)),
  parts: async (sha) => unnotedParts(await shop.bytes(sha)),
});

/** Several pictures become pages of one file where it can hold them; else the first is made. `tell` hears of photos that did not go out as they are. */
export async function make(
  of: Picture | readonly Picture[],
  options: MakeOptions,
  shop: Workshop,
  progress: Progress = () => {},
  tell: (told: Told) => void = () => {},
): Promise<Result<Uint8Array[]>> {
  const { pictures, stock } = await stockFor(
    'pieces' in of ? [of] : of,
    withFallbacks(options.notes ? shop : withoutNotes(shop), tell),
  );
  return MAKERS[options.format](pictures, options, stock, progress);
}

/** The sides of sheets as pictures, for a browser's own print. */
export async function makeSheets(
  pictures: readonly Picture[],
  options: MakeOptions,
  shop: Workshop,
  progress: Progress = () => {},
  tell: (told: Told) => void = () => {},
): Promise<Result<SheetPicture[]>> {
  const { pictures: named, stock } = await stockFor(pictures, withFallbacks(shop, tell));
  return sheetPictures(named, options, stock, progress);
}
