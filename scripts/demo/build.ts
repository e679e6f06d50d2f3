/** Makes public/demo: the kite club's photos and album pages. Done again only when what makes them changed. */
import { createHash } from 'node:crypto';
import { cp, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createCanvas, loadImage, type Image } from '@napi-rs/canvas';
import { drawCover } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { EXTENSIONS, type Asset } from '@/core/picture/asset';
import { writeDays } from '@/core/calendar/write';
import { blurIn } from '@/core/photos/blur';
import { likenessOf } from '@/core/photos/likeness';
import { focusOf } from '@/core/pixels/focus';
import { readHeader } from '@/core/pixels/header';
import type { Typesetter } from '@/core/text/typesetter';
import type { DemoProject } from '@/features/home/demo';
import { make } from '@/output/make';
import { rowOf } from '@/storage/shelved';
import { nodeTypesetter, nodeWorkshop, ROOT } from '../node/platform';
import { packed } from '../node/files';
import { houseDesign } from '../node/house';
import { fingerprint, folderOf, standing } from '../ready.mjs';
import { clubBook, DESIGN } from './book';
import { handPages } from './hand-pages';
import { kitPages } from './kit-pages';
import { DAYS } from './calendar';
import { demoProjects } from './layouts';
import { practicePage } from './practice';
import { DEMO_PHOTOS, type DemoPhoto } from './photos/photos';
import { YEAR_PHOTOS } from './year/photos';

const FOLDER = folderOf('demo');
const PHOTOS = join(FOLDER, 'photos');
/** As `shoot.ts` drew them. */
const DRAWN = join(ROOT, 'scripts', 'demo', 'photos', 'jpeg');

/** Longest sides, pixels, at which a photo is looked at, as when it is brought in. */
const [CLOSELY, BRIEFLY] = [1600, 128];

type SeenIn = Pick<Asset, 'focus' | 'blur' | 'likeness'>;

/** What is seen in a photo. */
async function lookedAt(image: Image): Promise<SeenIn> {
  const pixels = (longest: number) => {
    const scale = Math.min(1, longest / Math.max(image.width, image.height));
    const [width, height] = [Math.round(image.width * scale), Math.round(image.height * scale)];
    const context = createCanvas(width, height).getContext('2d');
    context.imageSmoothingQuality = 'high';
    context.drawImage(image, 0, 0, width, height);
    return context.getImageData(0, 0, width, height);
  };
  const small = pixels(BRIEFLY);
  const closely = pixels(CLOSELY);
  return {
    focus: await focusOf(small),
    likeness: likenessOf(small),
    blur: blurIn(closely) ?? undefined,
  };
}

/** What was seen in each photo, by its SHA-256: looked for anew only if what looks has changed. Else it stays letter for letter, as whether the demo is ready hangs on it. */
const SEEN = join(ROOT, 'scripts', 'demo', 'photos', 'seen.json');
interface Kept {
  by: string;
  seen: Record<string, SeenIn>;
}
const looks = await fingerprint('src/core/pixels', 'src/core/photos');
const before = JSON.parse(await readFile(SEEN, 'utf8').catch(() => '{}')) as Partial<Kept>;
const kept: Kept = before.by === looks ? (before as Kept) : { by: looks, seen: {} };

async function seenIn(sha: string, image: () => Promise<Image>): Promise<SeenIn> {
  return (kept.seen[sha] ??= await lookedAt(await image()));
}

async function photoAsset(
  { file, taken, notes, orientation = 1 }: DemoPhoto,
  folder = PHOTOS,
): Promise<[Asset, Buffer]> {
  const bytes = await readFile(join(folder, file));
  const header = readHeader(bytes);
  if (!header.ok) throw new Error(`${file} ${header.message}`);
  const { width, height } = header.value;
  const sha = createHash('sha256').update(bytes).digest('hex');
  return [
    {
      sha,
      type: 'image/jpeg',
      name: file,
      bytes: bytes.length,
      ...{ width, height },
      orientation,
      ppi: 300,
      taken,
      ...(await seenIn(sha, () => loadImage(bytes))),
      ...(notes ? { notes } : {}),
    },
    bytes,
  ];
}

/** The year's photos, as they lie beside their script, and the pages and the book that are made of them. */
async function theYear(bytes: Map<string, Uint8Array>, typesetter: Typesetter) {
  const folder = join(ROOT, 'scripts', 'demo', 'year');
  const faces: Record<string, Asset['faces']> = JSON.parse(
    await readFile(join(folder, 'faces.json'), 'utf8'),
  );
  const photos: Asset[] = [];
  for (const photo of YEAR_PHOTOS) {
    const [asset, data] = await photoAsset(photo, join(folder, 'jpeg'));
    photos.push({ ...asset, faces: faces[photo.file] ?? [] });
    bytes.set(asset.sha, data);
  }
  const design = await houseDesign(...DESIGN);
  for (const [sha, data] of design.bytes) bytes.set(sha, data);
  const pages = await kitPages(new Map(photos.map((asset) => [asset.name, asset])), typesetter);
  for (const [sha, data] of pages.bytes) bytes.set(sha, data);
  const hand = await handPages(new Map(photos.map((asset) => [asset.name, asset])), typesetter);
  for (const [sha, data] of hand.bytes) bytes.set(sha, data);
  await shipPractice(photos, bytes);
  const book = clubBook(design.project, design.supply.id, photos, typesetter);
  return { photos: photos.length, projects: [...pages.projects, ...hand.projects, book] };
}

/** The practice page ships with the program, demo or not. */
async function shipPractice(photos: readonly Asset[], bytes: ReadonlyMap<string, Uint8Array>): Promise<void> {
  const page = practicePage(photos);
  const file = await packed(page, async (sha) => bytes.get(sha));
  await writeFile(join(ROOT, 'public', 'house', 'practice.bellagraph'), file);
}

async function build(): Promise<void> {
  const { drawn, mark } = await standing('demo');
  if (drawn) return console.log('The demo is ready.');
  await rm(PHOTOS, { recursive: true, force: true });
  await cp(DRAWN, PHOTOS, { recursive: true });
  const typesetter = await nodeTypesetter();
  const assets = new Map<string, Asset>();
  const bytes = new Map<string, Uint8Array>();
  for (const photo of DEMO_PHOTOS) {
    const [asset, data] = await photoAsset(photo);
    assets.set(photo.file, asset);
    bytes.set(asset.sha, data);
  }
  const house: { id: string; asset: Asset }[] = JSON.parse(
    await readFile(join(ROOT, 'public/house/papers.json'), 'utf8'),
  );
  for (const { id, asset } of house) {
    assets.set(id, asset);
    bytes.set(
      asset.sha,
      await readFile(join(ROOT, 'public/house/papers', `${id}.${EXTENSIONS[asset.type]}`)),
    );
  }
  const { photos: year, projects: ofTheYear } = await theYear(bytes, typesetter);
  const files: DemoProject[] = [];
  const photos = DEMO_PHOTOS.map((photo) => photo.file);
  for (const project of [...demoProjects(assets, photos, typesetter), ...ofTheYear]) {
    const shop = nodeWorkshop(
      (sha) => project.assets[sha]!,
      (sha) => bytes.get(sha)!,
      typesetter,
    );
    const made = await make(
      drawCover(project, toolsFor(project, typesetter)),
      { format: 'jpg', ppi: 60, withBleed: false, cropMarks: false },
      shop,
    );
    if (!made.ok) throw new Error(made.message);
    const file = `${project.id}.bellagraph`;
    const preview = Buffer.concat(made.value);
    await writeFile(join(FOLDER, file), await packed(project, async (sha) => bytes.get(sha), preview));
    const cover = `${project.id}.jpg`;
    await writeFile(join(FOLDER, cover), preview);
    const { id, title, width, height, unit, product } = rowOf(project, 0, 0);
    const { size } = await stat(join(FOLDER, file));
    files.push({ id, title, width, height, unit, product, file, cover, bytes: size });
    console.log(`Project ${file}`);
  }
  console.log(`The year: ${year} photos`);
  // As another program would hand them over.
  await writeFile(
    join(FOLDER, 'saltmarsh-days.ics'),
    writeDays(DAYS, 2027, 'february', new Date(Date.UTC(2026, 10, 1))),
  );
  await writeFile(join(FOLDER, 'projects.json'), JSON.stringify(files));
  await writeFile(SEEN, `${JSON.stringify(kept, null, 2)}\n`);
  await mark();
}

await build();
