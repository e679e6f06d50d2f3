/** Photos that can't go out as they are: re-encoded where they can be decoded, left out where they can't, and told of either way. */
import { uprightSize, type Asset } from '@/core/picture/asset';
import { isCopyable } from '@/output/pdf/jpeg';
import type { Drawable } from '@/output/platform';
import type { CheckedWorkshop, Workshop } from '@/output/stock';

/** What happened to a photo on its way out. */
export interface Told {
  says: string;
  /** The file was made without it. */
  missing: boolean;
}

/** Quality of a photo that is re-encoded, 0 to 1. */
const QUALITY = 0.95;

/** A workshop in which one photo that fails stops nothing. `tell` hears once of each. */
export function withFallbacks(shop: Workshop, tell: (told: Told) => void): CheckedWorkshop {
  const told = new Set<string>();
  const replaced = new Map<string, { asset: Asset; bytes: Uint8Array }>();
  const say = (sha: string, missing: boolean, says: string) => {
    if (told.has(sha)) return;
    told.add(sha);
    tell({ says: `${shop.asset(sha).name} ${says}.`, missing });
  };
  const asset = (sha: string): Asset => replaced.get(sha)?.asset ?? shop.asset(sha);
  const decode = async (sha: string, asStored?: boolean): Promise<Drawable> => {
    try {
      return await shop.decode(sha, asStored);
    } catch {
      say(sha, true, 'can’t be read, so the file was made without it');
      const { canvas } = shop.platform.canvas(1, 1);
      return { source: canvas, width: 1, height: 1, missing: true };
    }
  };
  const parts = async (sha: string): Promise<Uint8Array[]> => {
    const copy = replaced.get(sha);
    if (copy) return [copy.bytes];
    return shop.parts ? shop.parts(sha) : [await shop.bytes(sha)];
  };
  return {
    ...shop,
    asset,
    decode,
    parts,
    bytes: async (sha) => replaced.get(sha)?.bytes ?? shop.bytes(sha),
    async check(sha) {
      if (asset(sha).type !== 'image/jpeg' || replaced.has(sha)) return;
      if (await parts(sha).then(isCopyable, () => false)) return;
      const { source, width, height, missing } = await decode(sha);
      const { canvas, context } = shop.platform.canvas(width, height);
      context.drawImage(source, 0, 0);
      // What is missing stays clear.
      const type = missing ? 'image/png' : 'image/jpeg';
      const bytes = await shop.encode(canvas, type, QUALITY);
      const upright = { ...asset(sha), ...uprightSize(asset(sha)), orientation: 1 };
      replaced.set(sha, { asset: { ...upright, type, bytes: bytes.length }, bytes });
      if (!missing) say(sha, false, 'was re-encoded: its file can’t be copied as it is');
    },
  };
}
