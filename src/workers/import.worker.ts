/** A picture file in; its facts and smaller copies out. Decodes, turns upright, hashes; stores nothing. */
import { expose } from 'comlink';
import type { Size } from '@/core/geometry/box';
import { namedSrgb } from '@/core/bytes/chunks';
import { fail, ok, type Result } from '@/core/result';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { blurOf, blurSquares } from '@/core/photos/blur';
import { likenessOf } from '@/core/photos/likeness';
import { shrunk } from '@/core/pixels/shrink';
import { readHeader, stillType, type PictureHeader } from '@/core/pixels/header';
import { sha256 } from '@/core/sha';
import { asName } from '@/core/text/named';
import { PRINT_PPI } from '@/core/units/lengths';
import type { Tracing } from '@/core/pixels/outline';
import type { ReadDrawing } from '@/core/drawing/read';
import {
  decodeHeic,
  decodeReduced,
  drawn,
  encode,
  SCREEN_SIDE,
  looksDrawn,
  screenColours,
  smaller,
  stillOf,
  THUMB_SIDE,
} from '@/workers/decode';
import { factsOf, pixelsOf, type Facts } from '@/workers/facts';
import { fileNotes } from '@/workers/fileNotes';
import type { KitZip, ListedZip } from '@/workers/zip';

export interface Imported {
  asset: Asset;
  /** `screen` and `thumb` are left out where the file itself is small enough. */
  proxies: { thumb?: Blob; screen?: Blob; full?: Blob };
  /** Null of what a project's file brought, as nobody sorts it. */
  facts: Facts | null;
  /** The file holds notes a camera wrote. */
  camera: boolean;
  /** What is to be kept, where that is not the file itself: taken out of a zip, cleaned, or made a still. */
  blob?: Blob;
  /** What was left out of a drawing, in words. */
  dropped: string[];
}

/**
 * Says in words that follow the file's name why it was refused. What is `known` of it already is not looked for once more: its
 * edges, and what matters in it.
 */
async function importPicture(file: Blob, name: string, known?: Asset): Promise<Result<Imported>> {
  return importBytes(new Uint8Array(await file.arrayBuffer()), name, known);
}

/** The zip last opened, known by its file's name, size and date. */
let open: { key: string; zip: KitZip } | undefined;

async function zipOf(file: File): Promise<Result<KitZip>> {
  const key = `${file.name} ${file.size} ${file.lastModified}`;
  if (open?.key === key) return ok(open.zip);
  const opened = await (await import('@/workers/zip')).KitZip.open(file);
  if (opened.ok) open = { key, zip: opened.value };
  return opened;
}

async function listZip(file: File): Promise<Result<ListedZip>> {
  const opened = await zipOf(file);
  return opened.ok ? ok(opened.value.listed) : opened;
}

/** One file out of a zip. */
async function importFromZip(file: File, path: string): Promise<Result<Imported>> {
  const opened = await zipOf(file);
  if (!opened.ok) return opened;
  let bytes: Uint8Array<ArrayBuffer>;
  try {
    bytes = await opened.value.bytes(path);
  } catch {
    return fail('is damaged in the zip');
  }
  const imported = await importBytes(bytes, path.split('/').pop()!);
  if (imported.ok) imported.value.blob ??= new Blob([bytes], { type: imported.value.asset.type });
  return imported;
}

/** A file's bytes out of a zip, as they are: ready-made pages. */
async function bytesFromZip(file: File, path: string): Promise<Result<Blob>> {
  const opened = await zipOf(file);
  if (!opened.ok) return opened;
  return opened.value.bytes(path).then(
    (bytes) => ok(new Blob([bytes])),
    () => fail('is damaged in the zip'),
  );
}

async function importBytes(
  original: Uint8Array<ArrayBuffer>,
  name: string,
  known?: Asset,
): Promise<Result<Imported>> {
  if (looksDrawn(original)) {
    const { readBytes } = await import('@/workers/drawings');
    const drawn = readBytes(original);
    return drawn.ok ? importDrawing(original, name, drawn.value, known) : drawn;
  }
  // What is known by its bytes stays those.
  const still = known ? null : ((await stillOf(original).catch(() => null)) ?? namedSrgb(original));
  const given = readHeader(still ?? original);
  if (!given.ok) return given;
  const { type, ppi, press } = given.value;
  const screened = press ? await screenColours(original).catch(() => null) : null;
  if (press && !screened) return fail('is damaged: the picture in it cannot be decoded');
  const bytes = screened ?? still ?? original;
  const header = screened ? readHeader(screened) : given;
  if (!header.ok) return header;
  const [sha, found] = await Promise.all([sha256(bytes), fileNotes(original)]);
  // A HEIC's turn is done by its decoder, that of a press picture when its colours were changed.
  const orientation = type === 'image/heic' || screened || stillType(original) ? 1 : found.orientation;
  let decoded: Decoded;
  try {
    const tried = await decode(bytes, header.value, orientation);
    if (!tried.ok) return tried;
    decoded = tried.value;
  } catch {
    return fail('is damaged: the picture in it cannot be decoded');
  }
  const asset: Asset = {
    sha,
    type,
    name: asName(name, LONGEST_FILE_NAME) || 'Picture',
    bytes: bytes.length,
    ...decoded.stored,
    orientation,
    ppi: ppi === PRINT_PPI ? (found.ppi ?? ppi) : ppi,
    ...(found.taken ? { taken: found.taken } : {}),
    ...(found.notes ? { notes: found.notes } : {}),
  };
  return ok({
    ...(await finish(asset, decoded.bitmap, known, decoded.full)),
    camera: found.camera,
    ...(screened || still ? { blob: new Blob([bytes], { type }) } : {}),
    dropped: screened ? ['its press colours (CMYK), which were turned into those of the screen'] : [],
  });
}

/** Letters that are kept of a file's name. */
const LONGEST_FILE_NAME = 400;

/** Pixels an inch that a drawing's size is counted in. */
const DRAWING_PPI = 300;

async function importDrawing(
  original: Uint8Array<ArrayBuffer>,
  name: string,
  read: ReadDrawing,
  known?: Asset,
): Promise<Result<Imported>> {
  const { drawing, dropped } = read;
  const { writeDrawing } = await import('@/core/drawing/write');
  const cleaned = dropped.length ? new TextEncoder().encode(writeDrawing(drawing)) : null;
  const bytes = cleaned ?? original;
  const pixels = (points: number) => Math.max(1, Math.round((points * DRAWING_PPI) / 72));
  const asset: Asset = {
    sha: await sha256(bytes),
    type: 'image/svg+xml',
    name: asName(name, LONGEST_FILE_NAME) || 'Picture',
    bytes: bytes.length,
    width: pixels(drawing.width),
    height: pixels(drawing.height),
    orientation: 1,
    ppi: DRAWING_PPI,
  };
  return ok({
    ...(await finish(asset, (await import('@/workers/drawings')).drawBitmap(read), known)),
    camera: false,
    ...(cleaned ? { blob: new Blob([cleaned], { type: asset.type }) } : {}),
    dropped,
  });
}

interface Decoded {
  bitmap: ImageBitmap;
  /** Pixels as stored. */
  stored: { width: number; height: number };
  /** A readable copy of what browsers cannot decode. */
  full?: Blob;
}

async function decode(
  bytes: Uint8Array<ArrayBuffer>,
  header: PictureHeader,
  orientation: number,
): Promise<Result<Decoded>> {
  const { type, width, height } = header;
  const quick = orientation === 1 ? await decodeReduced(bytes, header) : null;
  if (quick) return ok({ bitmap: quick, stored: { width, height } });
  if (type === 'image/heic') {
    const picture = await decodeHeic(bytes);
    if (!picture.ok) return picture;
    const bitmap = picture.value;
    const full = await encode(bitmap, 'image/jpeg', 0.95);
    return ok({ bitmap, stored: { width: bitmap.width, height: bitmap.height }, full });
  }
  const bitmap = await createImageBitmap(new Blob([bytes], { type }));
  const turned = orientation >= 5;
  return ok({
    bitmap,
    stored: {
      width: turned ? bitmap.height : bitmap.width,
      height: turned ? bitmap.width : bitmap.height,
    },
  });
}

/** A file of at most so many pixels a side and bytes is shown in small as it is. */
const SMALL_SIDE = 2 * THUMB_SIDE;
const SMALL_BYTES = 200_000;

/** Smaller copies and what can be seen in them. */
async function finish(
  asset: Asset,
  bitmap: ImageBitmap,
  known?: Asset,
  full?: Blob,
): Promise<Pick<Imported, 'asset' | 'proxies' | 'facts'>> {
  const clear = asset.type !== 'image/jpeg' && asset.type !== 'image/heic';
  const copies = clear ? 'image/webp' : 'image/jpeg';
  // WebP takes twelve times as long to pack, and is no smaller where areas are flat.
  const large = asset.type === 'image/svg+xml' ? 'image/png' : copies;
  const fits = Math.max(bitmap.width, bitmap.height) <= SCREEN_SIDE;
  const screen = fits ? bitmap : await smaller(bitmap, SCREEN_SIDE);
  if (!fits) bitmap.close();
  // A small picture is its own copy for the screen.
  const own =
    fits && asset.orientation === 1 && asset.type !== 'image/heic' && asset.type !== 'image/svg+xml';
  const thumb = await smaller(screen, THUMB_SIDE);
  const small = known ? null : pixelsOf(thumb, THUMB_SIDE);
  const facts = small && factsOf(small);
  const sheet = own && known ? null : drawn(screen);
  const seen = !small
    ? toldOf(known!)
    : {
        ...(asset.type === 'image/svg+xml' ? {} : await seenIn(sheet!, small)),
        ...(clear ? await edgesIn(screen, uprightSize(asset)) : {}),
      };
  const isSmall = own && Math.max(bitmap.width, bitmap.height) <= SMALL_SIDE && asset.bytes <= SMALL_BYTES;
  const proxies = {
    ...(own ? {} : { screen: await sheet!.canvas.convertToBlob({ type: large, quality: 0.86 }) }),
    ...(isSmall ? {} : { thumb: await encode(thumb, copies, 0.82) }),
    ...(full ? { full } : {}),
  };
  screen.close();
  thumb.close();
  return { asset: { ...asset, ...seen }, proxies, facts };
}

/** What is seen in a picture, as it is known. */
const toldOf = ({ focus, blur, likeness, cut, holes }: Asset): Partial<Asset> =>
  Object.fromEntries(
    Object.entries({ focus, blur, likeness, cut, holes }).filter(([, value]) => value !== undefined),
  );

/** Longest side, pixels, of the copy in which what matters is looked for. */
const FOCUS_SIDE = 128;

/** What a photo's copies show of it. */
async function seenIn(
  sheet: OffscreenCanvasRenderingContext2D,
  small: ImageData,
): Promise<Pick<Asset, 'focus' | 'blur' | 'likeness'>> {
  const { focusOf } = await import('@/core/pixels/focus');
  const least = shrunk(small, FOCUS_SIDE);
  const { side, corners } = blurSquares(sheet.canvas);
  const strip = new Uint8ClampedArray(4 * side * side * corners.length);
  corners.forEach(({ x, y }, i) => strip.set(sheet.getImageData(x, y, side, side).data, 4 * side * side * i));
  const blur = blurOf(strip, side);
  return {
    focus: await focusOf(least),
    likeness: likenessOf(least),
    ...(blur === null ? {} : { blur }),
  };
}

/** The same of a picture that came in before it was looked for. */
async function lookAgain(file: Blob): Promise<Pick<Asset, 'focus' | 'blur' | 'likeness'>> {
  const bitmap = await createImageBitmap(file);
  const screen = await smaller(bitmap, SCREEN_SIDE);
  bitmap.close();
  const thumb = await smaller(screen, THUMB_SIDE);
  const seen = await seenIn(drawn(screen), pixelsOf(thumb, THUMB_SIDE));
  screen.close();
  thumb.close();
  return seen;
}

/** Longest side, pixels, of the copy that is traced. */
const TRACE_SIDE = 420;

async function edgesIn(bitmap: ImageBitmap, whole: Size): Promise<Pick<Asset, 'cut' | 'holes'>> {
  const { edgesOf } = await import('@/core/pixels/edges');
  const { data, width, height } = pixelsOf(bitmap, TRACE_SIDE);
  return edgesOf(data, { width, height }, whole);
}

const sheetParts = async (file: Blob) => (await import('@/workers/sheet')).sheetParts(file);
const cutSheet = async (file: Blob, groups: readonly (readonly number[])[], ppi: number) =>
  (await import('@/workers/sheet')).cutSheet(file, groups, ppi);

const templateTones = async (file: Blob, most: number) =>
  (await import('@/workers/template')).templateTones(file, most);

const tracePicture = async (file: Blob, tracing: Tracing, side: number) =>
  (await import('@/workers/template')).tracePicture(file, tracing, side);

const openProject = async (file: Blob) => (await import('@/storage/project-file')).unpackProject(file);

/** What is told of a font before it is taken. */
export interface SeenFont {
  name: string;
  says: string[];
  /** It has few letters: that is asked about first. */
  few: boolean;
  /** Its bytes unpacked. */
  plain: Blob;
}

async function seeFont(file: Blob, fileName: string, sha: string): Promise<Result<SeenFont>> {
  const [{ lookAtFont, toldOf }, { ownFamily }, { LARGEST_FONT }] = await Promise.all([
    import('@/core/text/own'),
    import('@/core/text/families'),
    import('@/core/project/schema'),
  ]);
  const seen = await lookAtFont(
    ownFamily(sha),
    fileName,
    new Uint8Array(await file.arrayBuffer()),
    LARGEST_FONT,
  );
  if (!seen.ok) return seen;
  const { name, font, few } = seen.value;
  return ok({
    name,
    few,
    says: toldOf(seen.value),
    plain: new Blob([font.bytes as Uint8Array<ArrayBuffer>]),
  });
}

const outlinesOf = async (file: Blob, name: string) =>
  (await import('@/core/cutter/read/read')).readOutlines(name, new Uint8Array(await file.arrayBuffer()));

const importer = {
  outlinesOf,
  openProject,
  seeFont,
  importPicture,
  lookAgain,
  listZip,
  importFromZip,
  bytesFromZip,
  sheetParts,
  cutSheet,
  templateTones,
  tracePicture,
};
export type Importer = typeof importer;
expose(importer);
