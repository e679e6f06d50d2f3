/** What ships with the app, on this machine's disk. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Supply } from '@/core/supplies/model';
import type { HouseList } from '@/storage/supplies';
import { withPictures } from '@/storage/project-file';
import { openedFile, type FileOnDisk } from './files';
import { ROOT } from './platform';

const read = (at: string): Promise<Buffer> => readFile(join(ROOT, 'public', at));

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
  const pictures = (design.made ?? []).map(async (place) => {
    const { asset, at } = own.find(({ order }) => order === place)!;
    return { asset: asset!, blob: new Blob([new Uint8Array(await read(at!))]) };
  });
  const whole = await withPictures(
    new Blob([new Uint8Array(await read(design.at!))]),
    await Promise.all(pictures),
  );
  return { ...(await openedFile(new Uint8Array(await whole.arrayBuffer()))), supply: design };
}
