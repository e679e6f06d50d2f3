/** The files behind supplies: in the store already, or fetched when a shipped one is first used. */
import type { Asset } from '@/core/picture/asset';
import type { Project } from '@/core/project/model';
import { asNew } from '@/core/product';
import { fail, ok, type Result } from '@/core/result';
import type { Supply } from '@/core/supplies/model';
import { houseStocked } from '@/features/shared/stock';
import { assetBlob, readableBlob, storedAsset } from '@/storage/assets';
import { suppliesAt } from '@/storage/supplies';

async function fetched(at: string, name: string): Promise<Result<Blob>> {
  const answer = await fetch(at).catch(() => null);
  if (!answer)
    return fail(
      `${name} was never fetched, and there is no network just now. Nothing was changed. “Kits for offline” in the cupboard has them all here the next time.`,
    );
  return answer.ok ? ok(await answer.blob()) : fail(`${name} could not be read. Nothing was changed.`);
}

/** What is known of a supply's picture, with its file in the store: named, sized and lifted as the supply says. */
export async function pictureOf({
  asset,
  at,
  name,
}: Pick<Supply, 'asset' | 'at' | 'name'>): Promise<Result<Asset>> {
  if (!asset) return fail(`${name} is not laid by itself.`);
  const { ppi, lift } = asset;
  const known = (found: Asset): Asset => ({ ...found, name, ppi, ...(lift === undefined ? {} : { lift }) });
  const stored = await storedAsset(asset.sha);
  if (stored) return ok(known(stored));
  if (!at) return fail(`The file of ${name} is no longer in this browser. Bring it in again.`);
  const blob = await fetched(at, name);
  if (!blob.ok) return blob;
  const { bringIn, describeTrouble } = await import('@/features/shared/bringIn');
  const brought = await bringIn(
    [new File([blob.value], asset.name, { type: asset.type })],
    new AbortController().signal,
  );
  const [arrived] = brought.assets;
  return arrived
    ? ok(known(arrived))
    : fail(describeTrouble(brought) ?? `${name} could not be read. Nothing was changed.`);
}

/** A supply's picture with a file that browsers can decode at full size. */
export async function readablePictureOf(supply: Supply): Promise<Result<{ asset: Asset; blob: Blob }>> {
  const found = await pictureOf(supply);
  if (!found.ok) return found;
  const blob = await readableBlob(found.value.sha);
  return blob
    ? ok({ asset: found.value, blob })
    : fail(`The file of ${supply.name} is no longer in this browser.`);
}

/** The bytes behind a supply: of its picture, or of its page. */
export async function fileOfSupply(supply: Supply): Promise<Result<Blob>> {
  const { asset, page, at, name, made } = supply;
  const sha = asset?.sha ?? page;
  const kept = sha && (await assetBlob(sha));
  if (kept) return ok(kept);
  if (!at) return fail(`The file of ${name} is no longer in this browser.`);
  const file = await fetched(at, name);
  return file.ok && made?.length ? completed(file.value, supply, made) : file;
}

/** A shipped design with the pictures of its kit that it is made of. */
async function completed(file: Blob, { kit, name }: Supply, made: readonly number[]): Promise<Result<Blob>> {
  let parts = await suppliesAt(kit, made);
  // On a first visit the cupboard is seen before all of it lies in the store.
  if (parts.length < made.length && (await houseStocked())) parts = await suppliesAt(kit, made);
  const files = await Promise.all(parts.map(fileOfSupply));
  const pictures: { asset: Asset; blob: Blob }[] = [];
  for (const [i, blob] of files.entries()) {
    if (!blob.ok) return blob;
    pictures.push({ asset: parts[i]!.asset!, blob: blob.value });
  }
  if (pictures.length < made.length) return fail(`Not all of what ${name} is made of is in the cupboard.`);
  const { withPictures } = await import('@/storage/project-file');
  return ok(await withPictures(file, pictures));
}

/** A ready-made page as a project of its own. */
export async function openPageSupply(supply: Supply, id: string, now: number): Promise<Result<Project>> {
  const blob = await fileOfSupply(supply);
  if (!blob.ok) return blob;
  // What reads files weighs more than the rest: fetched when it is first needed.
  const { openFile } = await import('@/features/shared/files');
  return openFile(new File([blob.value], `${supply.name}.bellagraph`), id, now, {
    change: async (project) => {
      const today = new Date(now);
      const month = { year: today.getFullYear(), month: today.getMonth() + 1 };
      if (asNew(project.product, month) === project.product) return project;
      const [{ begunAnew }, { typesetterFor }] = await Promise.all([
        import('@/core/calendar/follows'),
        import('@/features/shared/fonts'),
      ]);
      return begunAnew(project, month, await typesetterFor(project));
    },
  });
}
