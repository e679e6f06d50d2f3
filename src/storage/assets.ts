/** Picture files and their smaller copies in the store. */
import type { Asset } from '@/core/picture/asset';
import { database, type ProxyLevel } from '@/storage/database';

export interface PreparedAsset {
  asset: Asset;
  blob: Blob;
  proxies: Partial<Record<ProxyLevel, Blob>>;
}

/** Keeps a picture with its copies, all or nothing; the same bytes are stored once. */
export const storeAsset = ({ asset, blob, proxies }: PreparedAsset): Promise<void> =>
  database.transaction('rw', database.assets, database.proxies, async () => {
    const stored = Date.now();
    if (await database.assets.update(asset.sha, { stored })) return;
    await database.assets.put({ sha: asset.sha, asset, blob, stored });
    await database.proxies.bulkPut(
      Object.entries(proxies).map(([level, proxy]) => ({
        sha: asset.sha,
        level: level as ProxyLevel,
        blob: proxy,
      })),
    );
  });

/** What is known of a picture that lies in the store already, which is kept anew; undefined if it does not. */
export const keptAgain = (sha: string): Promise<Asset | undefined> =>
  database.transaction('rw', database.assets, async () => {
    const held = await storedAsset(sha);
    if (held) await database.assets.update(sha, { stored: Date.now() });
    return held;
  });

/** Those of some pictures whose files are not here, or no more. */
export const absentOf = async (shas: readonly string[]): Promise<string[]> => {
  const here = new Set(await database.assets.where('sha').anyOf(shas).primaryKeys());
  return shas.filter((sha) => !here.has(sha));
};

/** What is known of a stored picture. */
export const storedAsset = async (sha: string): Promise<Asset | undefined> =>
  (await database.assets.get(sha))?.asset;

/** The file's own bytes. */
export const assetBlob = async (sha: string): Promise<Blob | undefined> =>
  (await database.assets.get(sha))?.blob;

/** A smaller copy, or the file itself where there is none. */
export const proxyBlob = async (sha: string, level: ProxyLevel): Promise<Blob | undefined> =>
  (await database.proxies.get([sha, level]))?.blob;

/** What to show a picture by in small: the small copy, or the file itself where that is small enough. */
export const smallBlob = async (sha: string): Promise<Blob | undefined> =>
  (await proxyBlob(sha, 'thumb')) ?? (await assetBlob(sha));

/** What to show a picture by where it is looked at closely. */
export const screenBlob = async (sha: string): Promise<Blob | undefined> =>
  (await proxyBlob(sha, 'screen')) ?? (await readableBlob(sha));

/** A file browsers can decode at full size: the file itself, or the readable copy made when it came in. */
export const readableBlob = async (sha: string): Promise<Blob | undefined> =>
  (await proxyBlob(sha, 'full')) ?? (await assetBlob(sha));

/** Keeps a file that is no picture, such as a font. */
export const storeFile = (sha: string, blob: Blob): Promise<unknown> =>
  database.assets.put({ sha, blob, stored: Date.now() });

/** Keeps the project file behind a ready-made page, with the small picture it is known by. */
export const storePage = (sha: string, blob: Blob, thumb: Blob | undefined): Promise<unknown> =>
  database.transaction('rw', database.assets, database.proxies, async () => {
    await database.assets.put({ sha, blob, stored: Date.now() });
    if (thumb) await database.proxies.put({ sha, level: 'thumb', blob: thumb });
  });
