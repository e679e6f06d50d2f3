/** Kits and the whole cupboard as zips to keep elsewhere or give away. See docs/kit-format.md. */
import { BlobReader, BlobWriter, configure, TextReader, ZipWriter } from '@zip.js/zip.js';
import { EXTENSIONS } from '@/core/picture/asset';
import { arrangedInks } from '@/core/inks/sets';
import { pathsFor, writeKit, writeMarks, type KitEntry } from '@/core/supplies/kit-file';
import type { Kit, Supply } from '@/core/supplies/model';
import { download, fileName } from '@/features/shared/download';
import { fileOfSupply } from '@/features/shared/supplyFiles';
import { FILE_ENDING } from '@/storage/file-limits';
import { shippedNames } from '@/storage/supplies';

configure({ useWebWorkers: false });

export interface SavedZip {
  name: string;
  /** Names of supplies whose files could not be found. */
  missing: string[];
}

const endingOf = ({ asset }: Supply): string => (asset ? EXTENSIONS[asset.type] : FILE_ENDING.slice(1));

/** Writes a kit into a zip, under the folder `at`. */
async function addKit(
  zip: ZipWriter<Blob>,
  at: string,
  kit: Kit,
  supplies: readonly Supply[],
): Promise<string[]> {
  const paths = pathsFor(supplies, endingOf);
  const missing: string[] = [];
  const entries: KitEntry[] = [];
  for (const supply of supplies) {
    const { id, kind, name, tags, asset, letters, alphabet, back, inks, trail, favourite } = supply;
    const file = paths.get(id);
    if (file) {
      const blob = await fileOfSupply(supply);
      if (!blob.ok) {
        missing.push(name);
        continue;
      }
      await zip.add(at + file, new BlobReader(blob.value), { level: file.endsWith('.svg') ? 6 : 0 });
    }
    entries.push({
      ...(file ? { file } : {}),
      kind,
      name,
      tags,
      ...(asset ? { ppi: asset.ppi } : {}),
      ...(asset?.lift === undefined ? {} : { lift: asset.lift }),
      ...(letters ? { letters } : {}),
      ...(alphabet ? { alphabet } : {}),
      ...(back && paths.has(back) ? { back: paths.get(back)! } : {}),
      // In the order a person put them.
      ...(inks ? { inks: arrangedInks(supply) } : {}),
      ...(trail ? { trail } : {}),
      ...(favourite ? { favourite } : {}),
    });
  }
  const { name, description, author, licence, tags, cover } = kit;
  const onCover = cover && paths.get(cover);
  await zip.add(
    `${at}kit.json`,
    new TextReader(
      writeKit({
        kit: { name, description, author, licence, tags },
        ...(onCover ? { cover: onCover } : {}),
        supplies: entries,
      }),
    ),
  );
  return missing;
}

/** A kit as a zip in the downloads. */
export async function saveKit(kit: Kit, supplies: readonly Supply[]): Promise<SavedZip> {
  const zip = new ZipWriter(new BlobWriter('application/zip'));
  const missing = await addKit(zip, '', kit, supplies);
  const name = `${fileName(kit.name)}.zip`;
  download(await zip.close(), name);
  return { name, missing };
}

/** Everything of a person's own in one zip: each kit in a folder, and what was made of the shipped supplies. */
export async function saveCupboard(
  kits: readonly Kit[],
  suppliesOf: (kit: Kit) => readonly Supply[],
): Promise<SavedZip> {
  const zip = new ZipWriter(new BlobWriter('application/zip'));
  const missing: string[] = [];
  for (const [i, kit] of kits.filter(({ house }) => !house).entries())
    missing.push(...(await addKit(zip, `${i + 1} ${fileName(kit.name)}/`, kit, suppliesOf(kit))));
  const shipped = kits.filter(({ house }) => house).flatMap(suppliesOf);
  const names = await shippedNames();
  const marks = shipped.map(({ id, favourite, tags, name }) => ({
    ...{ id, favourite, tags },
    ...(name === (names[id] ?? name) ? {} : { name }),
  }));
  await zip.add('cupboard.json', new TextReader(writeMarks(marks)));
  const name = `Cupboard ${new Date().toISOString().slice(0, 10)}.zip`;
  download(await zip.close(), name);
  return { name, missing };
}
