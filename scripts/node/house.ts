/** What ships with the app, on this machine's disk. */
import { readFile } from 'node:fs/promises';
import { join, relative, resolve, sep } from 'node:path';
import { createCanvas, loadImage } from '@napi-rs/canvas';
import type { Asset } from '@/core/picture/asset';
import { edgesOf } from '@/core/pixels/edges';
import { KINDS, type Supply } from '@/core/supplies/model';
import type { HouseList } from '@/storage/supplies';
import { withPictures } from '@/storage/project-file';
import type { FindSupply } from '../kits/compose';
import { pixelsOf } from '../kits/small';
import { openedFile, type FileOnDisk } from './files';
import { ROOT } from './platform';

const read = (at: string): Promise<Buffer> => readFile(join(ROOT, 'public', at));

export interface Shelf {
  find: FindSupply;
  bytes: Map<string, Uint8Array>;
}

/** The things of a kit that are asked for while something is laid of them, each with its edge. Throws where there is none of a name. */
export async function houseShelf(kit: string, lay: (find: FindSupply) => unknown): Promise<Shelf> {
  const { supplies }: HouseList = JSON.parse(String(await read('house/kits.json')));
  const listed = (name: string): Supply & { asset: Asset; at: string } => {
    const found = supplies.find((one) => one.kit === kit && one.name === name && one.asset && one.at);
    if (!found) throw new Error(`No ${name} in ${kit}.`);
    return found as Supply & { asset: Asset; at: string };
  };
  const known = new Map<string, Asset>();
  const find: FindSupply = (name) => {
    const { asset, kind } = listed(name);
    if (!known.has(name)) known.set(name, asset);
    return { asset: known.get(name)!, compartment: KINDS[kind].compartment! };
  };
  // Once to learn what is asked for.
  lay(find);
  const bytes = new Map<string, Uint8Array>();
  for (const [name, asset] of known) {
    const data = new Uint8Array(await read(listed(name).at));
    bytes.set(asset.sha, data);
    const image = await loadImage(Buffer.from(data));
    const canvas = createCanvas(image.width, image.height);
    canvas.getContext('2d').drawImage(image, 0, 0);
    const pixels = pixelsOf(canvas, 900);
    const edges = edgesOf(pixels.data as unknown as Uint8ClampedArray, pixels, asset);
    known.set(name, { ...asset, ...edges });
  }
  return { find, bytes };
}

/** A shipped design, by its kit's id, its name and, where two have it, its kind, with its pictures. Throws if there is none. */
export async function houseDesign(
  kit: string,
  name: string,
  kind?: Supply['kind'],
): Promise<FileOnDisk & { supply: Supply }> {
  const { supplies }: HouseList = JSON.parse(String(await read('house/kits.json')));
  const own = supplies.filter((one) => one.kit === kit);
  const design = own.find((one) => one.name === name && one.page && (!kind || one.kind === kind));
  if (!design) throw new Error(`No ${name} in ${kit}.`);
  return { ...(await openedFile(await wholeDesign(design, own))), supply: design };
}

/** A design's file with the pictures of its kit in it. */
async function wholeDesign({ made = [], at }: Supply, kit: readonly Supply[]): Promise<Uint8Array> {
  const pictures = made.map(async (place) => {
    const { asset, at } = kit.find(({ order }) => order === place)!;
    return { asset: asset!, blob: new Blob([new Uint8Array(await read(at!))]) };
  });
  const file = new Blob([new Uint8Array(await read(at!))]);
  const whole = await withPictures(file, await Promise.all(pictures));
  return new Uint8Array(await whole.arrayBuffer());
}

/** A shipped design by the path of its file, with the pictures of its kit; null for any other file. */
export async function designAt(path: string): Promise<Uint8Array | null> {
  const from = relative(join(ROOT, 'public'), resolve(path)).split(sep).join('/');
  if (!from.startsWith('house/kits/')) return null;
  const { supplies }: HouseList = JSON.parse(String(await read('house/kits.json')));
  const design = supplies.find(({ at, page }) => page && at === `/${from}`);
  return design
    ? wholeDesign(
        design,
        supplies.filter(({ kit }) => kit === design.kit),
      )
    : null;
}
