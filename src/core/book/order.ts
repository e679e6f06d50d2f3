/** When a page begins. */
import { secondsOf } from '@/core/photos/when';
import type { Asset } from '@/core/picture/asset';

/** The earliest time of some photos, seconds; null if none says so. */
export function beginsAt(shas: readonly string[], photos: ReadonlyMap<string, Asset>): number | null {
  const times = shas.flatMap((sha) => {
    const taken = photos.get(sha)?.taken;
    return taken ? [secondsOf(taken)] : [];
  });
  return times.length ? Math.min(...times) : null;
}
