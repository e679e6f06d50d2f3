/** The collection: photos that others took in every way that programs write them, and drawings that others drew. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import sharp from 'sharp';
import { drawings, filesOf, FOLDER, photos } from './sources';
import { VARIANTS, type Base } from './variants';

export interface Entry {
  /** Unique, with its ending. */
  name: string;
  path: string;
  /** Whether it comes in; otherwise what the refusal must say. */
  comesIn: true | RegExp;
  /** How close its colours must be to what ImageMagick shows, of 255; null where the two may differ by definition. */
  near: number | null;
  /** Its profile reaches beyond sRGB. */
  wide?: true;
}

/** Made anew when how they are made changes. */
const RECIPE = createHash('sha256')
  .update(readFileSync(join(import.meta.dirname, 'variants.ts')))
  .digest('hex')
  .slice(0, 12);

async function baseOf(photo: string, folder: string): Promise<Base> {
  const [png, ppm] = [join(folder, 'base.png'), join(folder, 'base.ppm')];
  const { data, info } = await sharp(photo)
    .rotate()
    .resize(640, 640, { fit: 'inside', withoutEnlargement: true })
    .removeAlpha()
    .toColourspace('srgb')
    .raw()
    .toBuffer({ resolveWithObject: true });
  const of = () => sharp(data, { raw: { width: info.width, height: info.height, channels: 3 } });
  await of().png().toFile(png);
  await writeFile(ppm, Buffer.concat([Buffer.from(`P6 ${info.width} ${info.height} 255\n`), data]));
  return { png, ppm, sharp: of };
}

/** As many entries as asked for, spread over photos and variants; all without. Files that are there already stay. */
export async function collection(most = Infinity, only = /./): Promise<Entry[]> {
  const from = photos();
  const folder = join(FOLDER, 'files', RECIPE);
  const bases = new Map<string, Promise<Base>>();
  const wanted: { entry: Entry; make?: () => Promise<unknown> }[] = [];
  for (const [v, variant] of VARIANTS.entries())
    for (const [p, photo] of from.entries()) {
      // A short collection has each variant once, each of another photo.
      if (Number.isFinite(most) && v % from.length !== p) continue;
      const name = `${variant.name}, ${basename(photo).replace(/\.[^.]*$/, '')}.${variant.ending}`;
      const own = join(folder, String(p));
      const path = join(own, name);
      const { comesIn = true as const, near = 2 } = variant;
      wanted.push({
        entry: { name, path, comesIn, near, ...(variant.wide ? { wide: true } : {}) },
        make: async () => {
          mkdirSync(own, { recursive: true });
          const base = bases.get(photo) ?? baseOf(photo, own);
          bases.set(photo, base);
          await variant.make(await base, path);
        },
      });
    }
  const whole = from.map((path): Entry => ({ name: basename(path), path, comesIn: true, near: 2 }));
  const heic = filesOf('libheif-examples', '.heic').map((path): Entry => ({
    name: basename(path),
    path,
    comesIn: true,
    near: 4,
  }));
  const all: typeof wanted = [
    ...wanted,
    ...[...whole, ...heic].map((entry) => ({ entry })),
    ...drawn().map((entry) => ({ entry })),
  ];
  all.splice(0, all.length, ...all.filter(({ entry }) => only.test(entry.name)));
  const step = Math.max(1, all.length / most);
  const chosen = Array.from({ length: Math.min(all.length, most) }, (_, i) => all[Math.floor(i * step)]!);
  const queue = [...chosen];
  const work = async () => {
    for (let next = queue.shift(); next; next = queue.shift())
      if (!existsSync(next.entry.path)) await next.make?.();
  };
  await Promise.all([work(), work()]);
  return chosen.map(({ entry }) => entry);
}

/** Icons as others drew them, one of a kind and size. */
const drawn = (): Entry[] =>
  drawings()
    .filter((path, i, all) => all.findIndex((other) => basename(other) === basename(path)) === i)
    .map((path) => ({ name: basename(path), path, comesIn: true, near: 6 }));
