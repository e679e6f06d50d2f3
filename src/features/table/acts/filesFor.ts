/** The picture files that pages need to be made, with what is seen through them. */
import { assetsIn } from '@/core/piece/assets';
import { behindOn } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import { needsOf } from '@/core/project/needs';
import { shaOfFamily } from '@/core/text/families';
import { fail, ok, type Result } from '@/core/result';
import { assetBlob, readableBlob } from '@/storage/assets';
import type { Order } from '@/workers/make.worker';

/** By SHA-256, with `more` files that are asked for by it; says which is missing. */
export async function filesFor(
  project: Project,
  made: readonly Surface[],
  more: readonly string[] = [],
): Promise<Result<Order['files']>> {
  const files: Order['files'] = new Map();
  const behind = made.flatMap((surface) => behindOn(project, surface).map((each) => each.surface));
  const surfaces = [...new Set([...made, ...behind])];
  const seen = surfaces.flatMap(({ pile }) => pile.filter(({ placement }) => !placement.hidden));
  for (const sha of new Set(seen.flatMap(assetsIn))) {
    const [own, readable] = await Promise.all([assetBlob(sha), readableBlob(sha)]);
    if (!own || !readable)
      return fail(
        `The picture file of “${project.assets[sha]?.name ?? 'one of the pieces'}” is not in this browser. Bring it in again, or take the piece off the page; nothing was made.`,
      );
    files.set(sha, { own, readable });
  }
  for (const [sha, own] of await ownFontsOf({ surfaces })) files.set(sha, { own, readable: own });
  for (const sha of more) {
    const own = await assetBlob(sha);
    if (!own) return fail('The colour profile is not in this browser. Bring it in again; nothing was made.');
    files.set(sha, { own, readable: own });
  }
  return ok(files);
}

/** A person's own fonts that words are set in, by SHA-256, as far as they are in this browser. */
export async function ownFontsOf(of: Pick<Project, 'surfaces'>): Promise<Map<string, Blob>> {
  const shas = needsOf(of).fonts.flatMap((name) => shaOfFamily(name) ?? []);
  const found = await Promise.all(shas.map(async (sha) => [sha, await assetBlob(sha)] as const));
  return new Map(found.flatMap(([sha, own]) => (own ? [[sha, own] as const] : [])));
}

export const makeWorker = (): Worker =>
  new Worker(new URL('../../../workers/make.worker.ts', import.meta.url), { type: 'module' });
