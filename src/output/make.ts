/** A Picture to a finished file: PNG, JPEG, PDF or SVG. The same in a browser's worker and in Node. */
import type { Box, Size } from '@/core/geometry/box';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Mark, Picture, WorkedMark, Worn } from '@/core/picture/picture';
import { fail, ok, type Result } from '@/core/result';
import type { OpenFont } from '@/core/text/shaper';
import { placedWorn, wornPixels, openDrawing, type PlacedDrawing } from '@/output/drawings';
import { openSubset } from '@/output/pdf/subset';
import { writePdf } from '@/output/pdf/write';
import { jpegWithDensity, pngWithDensity } from '@/output/pixels/density';
import { drawPieces, LONGEST_SIDE, sheetOf, workedBitmap, WORKED_PPI } from '@/output/pixels/draw';
import type { Canvas, Drawable, Platform } from '@/output/platform';
import { writeSvg } from '@/output/svg/write';

export type Format = 'png' | 'jpg' | 'pdf' | 'svg';

export interface MakeOptions {
  format: Format;
  /** Pixels per inch of PNG and JPEG. */
  ppi: number;
  withBleed: boolean;
  /** PDF only. */
  cropMarks: boolean;
}

/** What differs between a worker and Node. */
export interface Workshop {
  platform: Platform;
  font(name: string): OpenFont;
  /** The subsetter of fonts, as WebAssembly. */
  subsetter(): Promise<BufferSource>;
  asset(sha: string): Asset;
  /** The file's own bytes. */
  bytes(sha: string): Promise<Uint8Array>;
  /** The file decoded at full size, upright. */
  decode(sha: string): Promise<Drawable>;
  encode(canvas: Canvas, type: 'image/png' | 'image/jpeg', quality: number): Promise<Uint8Array>;
  now: Date;
}

export type Progress = (share: number, doing: string) => void;

const JPEG_QUALITY = 0.93;

export const filesOf = (picture: Picture): string[] => [
  ...new Set(
    picture.pieces.flatMap((piece) =>
      piece.marks.flatMap((mark) => (mark.mark === 'image' ? [mark.asset] : [])),
    ),
  ),
];

export async function make(
  picture: Picture,
  options: MakeOptions,
  shop: Workshop,
  progress: Progress = () => {},
): Promise<Result<Uint8Array[]>> {
  const { picture: stamped, shop: stock } = stampedStock(picture, shop);
  const drawings = await openDrawings(stamped, stock);
  switch (options.format) {
    case 'pdf':
      return ok([await makePdf(stamped, options, stock, drawings, progress)]);
    case 'svg':
      return ok([await makeSvg(stamped, options, stock, drawings, progress)]);
    default:
      return makePixels(stamped, options, stock, drawings, progress);
  }
}

type Drawings = ReadonlyMap<string, PlacedDrawing>;

/** Everything drawn that the picture shows, read, and as it is worn. */
async function openDrawings(picture: Picture, shop: Stock): Promise<Drawings> {
  const drawings = new Map<string, PlacedDrawing>();
  for (const key of filesOf(picture)) {
    const asset = shop.asset(key);
    if (asset.type !== 'image/svg+xml') continue;
    const drawing = openDrawing(asset, await shop.bytes(key));
    const worn = shop.worn(key);
    if (drawing) drawings.set(key, worn ? placedWorn(drawing, worn) : drawing);
  }
  return drawings;
}

/** A workshop that knows files by what they wear, too. */
interface Stock extends Workshop {
  worn(key: string): Worn | undefined;
}

/** The picture with every stamped, toned or dyed file under a name of its own, and a workshop that knows those names. */
function stampedStock(picture: Picture, shop: Workshop): { picture: Picture; shop: Stock } {
  const keys = new Map<string, string>();
  const files = new Map<string, { sha: string; worn: Worn }>();
  const named = (mark: Mark): Mark => {
    if (mark.mark !== 'image' || !(mark.ink || mark.tone || mark.dyes)) return mark;
    const { ink, tone, fit, dyes, ...plain } = mark;
    const worn: Worn = { ink, tone, fit, dyes };
    const says = mark.asset + JSON.stringify(worn);
    const key = keys.get(says) ?? `${mark.asset} ${keys.size + 1}`;
    keys.set(says, key);
    files.set(key, { sha: mark.asset, worn });
    return { ...plain, asset: key };
  };
  const shaOf = (key: string): string => files.get(key)?.sha ?? key;
  const wornOf = (key: string): Worn | undefined => files.get(key)?.worn;
  const decode = async (key: string): Promise<Drawable> => {
    const decoded = await shop.decode(shaOf(key));
    const worn = wornOf(key);
    if (!worn) return decoded;
    const made = wornPixels(decoded, worn, shop.platform);
    if (made.source !== decoded.source) letGo(decoded);
    return made;
  };
  const asWritten = (key: string): 'image/png' | 'image/jpeg' | null => {
    const worn = wornOf(key);
    const { type } = shop.asset(shaOf(key));
    if (!worn || type === 'image/svg+xml') return null;
    // What is stamped or may be clear in places keeps its transparency; a photo stays a photo.
    return worn.ink || type === 'image/png' || type === 'image/webp' ? 'image/png' : 'image/jpeg';
  };
  return {
    picture: {
      ...picture,
      pieces: picture.pieces.map((piece) => ({ ...piece, marks: piece.marks.map(named) })),
    },
    shop: {
      ...shop,
      worn: wornOf,
      decode,
      asset(key) {
        const asset = shop.asset(shaOf(key));
        const type = asWritten(key);
        return type ? { ...asset, ...uprightSize(asset), orientation: 1, type } : asset;
      },
      async bytes(key) {
        const type = asWritten(key);
        if (!type) return shop.bytes(shaOf(key));
        const { source, width, height } = await decode(key);
        const { canvas, context } = shop.platform.canvas(width, height);
        context.drawImage(source, 0, 0);
        return shop.encode(canvas, type, TONED_QUALITY);
      },
    },
  };
}
/** Quality of a JPEG that is written anew because its photo wears a tone. */
const TONED_QUALITY = 0.95;

async function makePixels(
  picture: Picture,
  { format, ppi, withBleed }: MakeOptions,
  shop: Workshop,
  drawings: Drawings,
  progress: Progress,
): Promise<Result<Uint8Array[]>> {
  const sheet = sheetOf(picture, ppi, withBleed);
  const longest = Math.max(sheet.width, sheet.height);
  if (longest > LONGEST_SIDE) {
    const most = Math.floor((ppi * LONGEST_SIDE) / longest / 10) * 10;
    return fail(
      `At ${ppi} ppi this page is ${sheet.width} x ${sheet.height} pixels; a picture file can be made up to ${LONGEST_SIDE} a side. Choose ${most} ppi or less, or make a PDF.`,
    );
  }
  const { canvas, context } = shop.platform.canvas(sheet.width, sheet.height);
  context.fillStyle = picture.ground;
  context.fillRect(0, 0, sheet.width, sheet.height);
  const shelf = new DecodedShelf(picture, shop);
  try {
    for (const [i, piece] of picture.pieces.entries()) {
      progress((0.75 * i) / picture.pieces.length, `Drawing ${i + 1} of ${picture.pieces.length} pieces`);
      const open = await shelf.openFor(i);
      drawPieces(context, [piece], sheet.view, {
        platform: shop.platform,
        font: shop.font,
        image: (key) => open.get(key),
        drawing: (key) => drawings.get(key),
      });
      shelf.closeAfter(i);
    }
  } finally {
    shelf.closeAll();
  }
  progress(0.8, 'Packing the picture');
  const type = format === 'png' ? 'image/png' : 'image/jpeg';
  const bytes = await shop.encode(canvas, type, JPEG_QUALITY);
  return ok(format === 'png' ? pngWithDensity(bytes, ppi) : jpegWithDensity(bytes, ppi));
}

/** A decoded picture holds its pixels until it is told that they are not wanted any more. */
const letGo = ({ source }: Pick<Drawable, 'source'>): void => {
  if ('close' in source) source.close();
};

/** Pieces whose pictures are decoded ahead of the one being drawn. */
const AHEAD = 3;

/** Holds decoded only what the next pieces need: a book's worth would not fit in memory. */
class DecodedShelf {
  private readonly opening = new Map<string, Promise<Drawable & { whole: Size }>>();
  private readonly lastUse = new Map<string, number>();

  constructor(
    private readonly picture: Picture,
    private readonly shop: Workshop,
  ) {
    picture.pieces.forEach((_, i) => this.filesAt(i).forEach((sha) => this.lastUse.set(sha, i)));
  }

  async openFor(index: number): Promise<Map<string, Drawable & { whole: Size }>> {
    for (let i = index; i <= index + AHEAD && i < this.picture.pieces.length; i++)
      for (const sha of this.filesAt(i)) if (!this.opening.has(sha)) this.opening.set(sha, this.decode(sha));
    return new Map(
      await Promise.all(this.filesAt(index).map(async (sha) => [sha, await this.opening.get(sha)!] as const)),
    );
  }

  closeAfter(index: number): void {
    for (const sha of this.filesAt(index)) {
      if (this.lastUse.get(sha) !== index) continue;
      void this.opening.get(sha)?.then(letGo);
      this.opening.delete(sha);
    }
  }

  /** What was decoded ahead, when nothing more is drawn. */
  closeAll(): void {
    for (const decoded of this.opening.values()) void decoded.then(letGo, () => {});
    this.opening.clear();
  }

  /** Files to decode; drawings need none of it. */
  private filesAt(index: number): string[] {
    return this.picture.pieces[index]!.marks.flatMap((mark) =>
      mark.mark === 'image' && this.shop.asset(mark.asset).type !== 'image/svg+xml' ? [mark.asset] : [],
    );
  }

  private async decode(sha: string): Promise<Drawable & { whole: Size }> {
    return { ...(await this.shop.decode(sha)), whole: uprightSize(this.shop.asset(sha)) };
  }
}

async function makePdf(
  picture: Picture,
  { withBleed, cropMarks }: MakeOptions,
  shop: Workshop,
  drawings: Drawings,
  progress: Progress,
): Promise<Uint8Array> {
  const files = filesOf(picture);
  const bytes = new Map<string, Uint8Array>();
  const pixels = new Map<string, ImageData>();
  for (const [i, sha] of files.entries()) {
    progress((0.4 * i) / files.length, `Reading ${i + 1} of ${files.length} pictures`);
    if (shop.asset(sha).type === 'image/svg+xml') continue;
    if (shop.asset(sha).type === 'image/jpeg') bytes.set(sha, await shop.bytes(sha));
    else {
      const { source, width, height } = await shop.decode(sha);
      const { context } = shop.platform.canvas(width, height);
      context.drawImage(source, 0, 0);
      letGo({ source });
      pixels.set(sha, context.getImageData(0, 0, width, height));
    }
  }
  return writePdf(
    [picture],
    picture.title,
    { withBleed, cropMarks, made: shop.now },
    {
      platform: shop.platform,
      font: shop.font,
      subset: await openSubset(await shop.subsetter()),
      asset: shop.asset,
      drawing: (key) => drawings.get(key),
      bytes: (sha) => bytes.get(sha)!,
      pixels: (sha) => pixels.get(sha)!,
    },
    (share) => progress(0.4 + 0.6 * share, 'Writing the PDF'),
  );
}

async function makeSvg(
  picture: Picture,
  { withBleed }: MakeOptions,
  shop: Workshop,
  drawings: Drawings,
  progress: Progress,
): Promise<Uint8Array> {
  const addresses = new Map<string, string>();
  const files = filesOf(picture);
  for (const [i, sha] of files.entries()) {
    progress((0.8 * i) / files.length, `Packing ${i + 1} of ${files.length} pictures`);
    if (!drawings.has(sha)) addresses.set(sha, await address(sha, shop));
  }
  const worked = await packedWorked(picture, shop);
  return new TextEncoder().encode(
    writeSvg(picture, withBleed, {
      asset: shop.asset,
      drawing: (key) => drawings.get(key),
      address: (key) => addresses.get(key)!,
      worked: (mark) => worked.get(mark)!,
    }),
  );
}

/** Every mark that is pixels as a PNG, and where it lies. */
async function packedWorked(picture: Picture, shop: Workshop) {
  const packed = new Map<WorkedMark, Box & { address: string }>();
  for (const mark of picture.pieces.flatMap(({ marks }) => marks)) {
    if (mark.mark !== 'treatment' && mark.mark !== 'colouring') continue;
    const { canvas, x, y, width, height } = workedBitmap(mark, WORKED_PPI / 72, shop.platform);
    const bytes = await shop.encode(canvas, 'image/png', 1);
    packed.set(mark, { x, y, width, height, address: `data:image/png;base64,${base64(bytes)}` });
  }
  return packed;
}

/** A data: URL. HEIC, which few readers know, goes as the JPEG that was made of it. */
async function address(sha: string, shop: Workshop): Promise<string> {
  const { type } = shop.asset(sha);
  if (type !== 'image/heic') return `data:${type};base64,${base64(await shop.bytes(sha))}`;
  const { source, width, height } = await shop.decode(sha);
  const { canvas, context } = shop.platform.canvas(width, height);
  context.drawImage(source, 0, 0);
  letGo({ source });
  return `data:image/jpeg;base64,${base64(await shop.encode(canvas, 'image/jpeg', JPEG_QUALITY))}`;
}

function base64(bytes: Uint8Array): string {
  let text = '';
  // In parts: a call takes only so many arguments. Multiples of three join without padding between them.
  for (let at = 0; at < bytes.length; at += 0x6000)
    text += btoa(String.fromCharCode(...bytes.subarray(at, at + 0x6000)));
  return text;
}
