/** Photos by time: a gap that is long beside the gaps around it ends one occasion and begins the next. */
import { secondsOf } from '@/core/photos/when';
import type { Asset } from '@/core/picture/asset';

/**
 * How much longer than the gaps around it a gap is that ends an occasion, and how many gaps on either side are looked at:
 * 17 and 10, as in Platt, Czerwinski and Field, “PhotoTOC: automatic clustering for browsing personal photographs” (2003); the
 * two values are from memory.
 */
const LONGER = 17;
const AROUND = 10;
/** No gap shorter than this ends an occasion, and every gap longer than that does, seconds; our own choice. */
const SHORTEST = 30 * 60;
const LONGEST = 9 * 3600;

export interface Occasion<P> {
  /** Local times of the first and the last; absent for those that do not say. */
  from?: string;
  to?: string;
  photos: P[];
}

/** Photos, sorted by time, in their occasions; those that do not say when come last, as one. */
export function occasionsOf<P extends Pick<Asset, 'taken'>>(photos: readonly P[]): Occasion<P>[] {
  const timed = photos.filter(({ taken }) => taken);
  const gaps = timed
    .slice(1)
    .map((photo, i) => Math.max(1, secondsOf(photo.taken!) - secondsOf(timed[i]!.taken!)));
  const logs = gaps.map(Math.log);
  const ends = gaps.map((gap, i) => {
    if (gap < SHORTEST) return false;
    if (gap > LONGEST) return true;
    const near = logs.slice(Math.max(0, i - AROUND), i + AROUND + 1);
    return logs[i]! >= Math.log(LONGER) + near.reduce((sum, log) => sum + log, 0) / near.length;
  });
  const occasions: Occasion<P>[] = [];
  timed.forEach((photo, i) => {
    const current = i > 0 && !ends[i - 1] ? occasions.at(-1) : undefined;
    if (current) {
      current.photos.push(photo);
      current.to = photo.taken;
    } else occasions.push({ from: photo.taken, to: photo.taken, photos: [photo] });
  });
  const untimed = photos.filter(({ taken }) => !taken);
  return untimed.length ? [...occasions, { photos: untimed }] : occasions;
}
