/** A project's page in, a finished file out, with progress on the way. Ended from outside to cancel. */
import { expose } from 'comlink';
import type { Taken } from '@/core/product';
import { drawAlone, drawTaken } from '@/core/page/draw';
import type { Size } from '@/core/geometry/box';
import { drawPlan } from '@/core/packing/drawn';
import { testSheet } from '@/core/packing/test-sheet';
import type { Picture } from '@/core/picture/picture';
import { toolsFor } from '@/core/page/outlines';
import { surfaceOf, type Project } from '@/core/project/model';
import { ok, type Result } from '@/core/result';
import { needsOf } from '@/core/project/needs';
import type { Typesetter } from '@/core/text/typesetter';
import { inOneFile, type MakeOptions } from '@/output/formats';
import { make, makeSheets } from '@/output/make';
import type { Told } from '@/output/fallbacks';
import type { Point } from '@/output/pdf/preflight';
import type { Progress, Workshop } from '@/output/stock';
import { browser, uprightBitmap } from '@/output/platform';
import { greyJpegAt, lcmsAt } from '@/workers/beside';
import { bytesAt } from '@/workers/fetched';
import { fontsAt, type Fonts } from '@/workers/fonts';
import { openZip } from '@/workers/zipped';

export interface Order {
  project: Project;
  /** Surfaces or panels of them, each with the name its file has if there are several. */
  taken: readonly (Taken<{ id: string }> & { name: string })[];
  options: MakeOptions;
  /** By SHA-256: the files themselves, and for files browsers cannot decode a readable copy. */
  files: Map<string, { own: Blob; readable: Blob }>;
  now: number;
}

let opening: Fonts | undefined;
let subsetterAt: string;

/** Opens the fonts that lie at `fonts`; asked for ahead of the first order, so that making begins at once. */
async function warm(fonts: string): Promise<void> {
  subsetterAt = `${fonts}/subset.wasm`;
  await (opening ??= fontsAt(fonts)).shipped;
}

const opened = (): Fonts => {
  if (!opening) throw new Error('The fonts have not been opened.');
  return opening;
};

/** What is made, drawn, and what it is made with. */
async function readied({ project, taken, options, files, now }: Order) {
  const typesetter = await opened().for(
    needsOf(project),
    new Map([...files].map(([sha, { own }]) => [sha, own])),
  );
  const tools = toolsFor(project, typesetter);
  const pictures = taken.map(({ surface: { id }, panel }) => {
    const surface = surfaceOf(project, id);
    if (options.only) return drawAlone(surface, options.only, tools);
    return { ...drawTaken({ surface, panel }, tools), title: project.title };
  });
  const pages = [...pictures, ...planPictures(options, typesetter)];
  return { pictures, pages, shop: shopFor(project, files, typesetter, now) };
}

/** A finished file, and what happened to photos that could not go into it as they are. */
export interface MadeFile {
  blob: Blob;
  told: Told[];
}

/** The sides of sheets, each with its paper in points. */
export interface MadeSheets {
  sheets: { paper: Size; blob: Blob }[];
  told: Told[];
}

/** What is told of several pages, each sentence once. */
function gathered() {
  const told: Told[] = [];
  const tell = (one: Told) => {
    if (!told.some(({ says }) => says === one.says)) told.push(one);
  };
  return { told, tell };
}

async function makeFile(order: Order, progress: Progress): Promise<Result<MadeFile>> {
  const { taken, options } = order;
  const { told, tell } = gathered();
  const finished = (made: Result<Blob>): Result<MadeFile> =>
    made.ok ? ok({ blob: made.value, told }) : made;
  const { pictures, pages, shop } = await readied(order);
  const { format } = options;
  if (inOneFile(format, taken.length))
    return finished(blobOf(await make(pages, options, shop, progress, tell), format));
  const zip = openZip();
  for (const [i, picture] of pictures.entries()) {
    const part = (share: number, doing: string) =>
      progress((i + share) / pictures.length, `${doing} (page ${i + 1} of ${pictures.length})`);
    const one = await make(picture, options, shop, part, tell);
    const made = blobOf(one, format);
    if (!made.ok) return made;
    await zip.add(`${taken[i]!.name}.${format}`, made.value);
  }
  return finished(ok(await zip.close()));
}

/** The sides of sheets as pictures, each with its paper in points. */
async function makeSheetPictures(order: Order, progress: Progress): Promise<Result<MadeSheets>> {
  const { pages, shop } = await readied(order);
  const { told, tell } = gathered();
  const made = await makeSheets(pages, order.options, shop, progress, tell);
  if (!made.ok) return made;
  const sheets = made.value.map(({ paper, jpeg }) => ({
    paper,
    blob: new Blob([jpeg as Uint8Array<ArrayBuffer>], { type: TYPES.jpg }),
  }));
  return ok({ sheets, told });
}

/** Where profiles lie, and what works with them. */
const pressFolder = (): string => new URL('../press', subsetterAt).href;

const shopFor = (
  project: Pick<Project, 'assets'>,
  files: Order['files'],
  typesetter: Typesetter,
  now: number,
): Workshop => ({
  platform: browser,
  font: typesetter.font,
  subsetter: async () => (await fetch(subsetterAt)).arrayBuffer(),
  asset: (sha) => project.assets[sha]!,
  bytes: async (sha) => new Uint8Array(await files.get(sha)!.own.arrayBuffer()),
  decode: async (sha, asStored) => {
    const source = await uprightBitmap(files.get(sha)!.readable, project.assets[sha]?.orientation, asStored);
    return { source, width: source.width, height: source.height };
  },
  profile: async ({ id, file }) =>
    file ? bytesAt(`${pressFolder()}/${file}`) : new Uint8Array(await files.get(id)!.own.arrayBuffer()),
  lcms: () => lcmsAt(pressFolder()),
  greyJpeg: () => greyJpegAt(pressFolder()),
  encode: async (canvas, type, quality) => {
    const blob = await (canvas as unknown as OffscreenCanvas).convertToBlob({ type, quality });
    // A browser that cannot write a kind writes another.
    if (blob.type !== type) throw new Error(`this browser writes no ${type.split('/')[1]}`);
    return new Uint8Array(await blob.arrayBuffer());
  },
  now: new Date(now),
});

/** The plans by which sheets are cut apart, drawn. */
const planPictures = ({ sheets }: MakeOptions, typesetter: Typesetter): Picture[] =>
  sheets?.plans
    ? sheets.plans.plans.map((plan, i) => drawPlan(sheets.plans!.paper, plan, `Sheet ${i + 1}`, typesetter))
    : [];

/** The sheet a printer is measured with, printed on both sides. */
async function testSheetOf(paper: Size, now: number): Promise<Result<Blob>> {
  const typesetter = await opened().shipped;
  const options: MakeOptions = { format: 'pdf', ppi: 300, withBleed: false, cropMarks: false };
  const shop = shopFor({ assets: {} }, new Map(), typesetter, now);
  return blobOf(await make(testSheet(paper, typesetter), options, shop), 'pdf');
}

const TYPES = {
  webp: 'image/webp',
  ora: 'image/openraster',
  png: 'image/png',
  jpg: 'image/jpeg',
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
};

const blobOf = (made: Result<Uint8Array[]>, format: MakeOptions['format']): Result<Blob> =>
  made.ok ? ok(new Blob(made.value as Uint8Array<ArrayBuffer>[], { type: TYPES[format] })) : made;

/** A finished file read back and held to what a press asks for. */
async function readBack(file: Blob, asked: Pick<MakeOptions, 'inks'>): Promise<Point[]> {
  const { preflight } = await import('@/output/pdf/preflight');
  return preflight(new Uint8Array(await file.arrayBuffer()), asked);
}

const maker = { warm, makeFile, makeSheetPictures, testSheetOf, readBack };
export type Maker = typeof maker;
expose(maker);
