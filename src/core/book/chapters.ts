/** Chapters of a book: occasions, with a title of where and when. */
import { occasionsOf } from '@/core/photos/occasions';
import { secondsOf, takenInWords } from '@/core/photos/when';
import type { Asset } from '@/core/picture/asset';

export interface Chapter {
  title: string;
  /** A line beneath it; may be empty. */
  under: string;
  /** How many photos it has. */
  count: number;
}

/** An occasion of fewer photos joins its neighbour. */
const FEWEST = 3;
/** A place is the occasion's own if so many of its photos name it. */
const MOSTLY = 0.3;

/** At most so many chapters; photos sorted by time, those without a time last. */
export function chaptersOf(photos: readonly Asset[], most: number): Chapter[] {
  const groups = occasionsOf(photos).map(({ photos: all }) => [...all]);
  const gap = (i: number): number => {
    const [a, b] = [groups[i]!.at(-1)!.taken, groups[i + 1]![0]!.taken];
    return a && b ? secondsOf(b) - secondsOf(a) : Infinity;
  };
  const join = (i: number) => groups.splice(i, 2, [...groups[i]!, ...groups[i + 1]!]);
  for (;;) {
    const small = groups.findIndex((group) => group.length < FEWEST);
    if (groups.length < 2 || (small < 0 && groups.length <= Math.max(1, most))) break;
    if (small >= 0) {
      const before = small > 0 ? gap(small - 1) : Infinity;
      const after = small < groups.length - 1 ? gap(small) : Infinity;
      join(small === groups.length - 1 || (small > 0 && before <= after) ? small - 1 : small);
    } else {
      let near = 0;
      for (let i = 1; i < groups.length - 1; i++) if (gap(i) < gap(near)) near = i;
      join(near);
    }
  }
  return groups.map((group) => ({ ...titled(group), count: group.length }));
}

function titled(photos: readonly Asset[]): Pick<Chapter, 'title' | 'under'> {
  const counts = new Map<string, number>();
  for (const { notes } of photos) {
    const place = notes?.place?.split(',')[0]!.trim();
    if (place) counts.set(place, (counts.get(place) ?? 0) + 1);
  }
  const [place, count] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
  const when = spanInWords(photos);
  return place && count >= MOSTLY * photos.length
    ? { title: place, under: when }
    : { title: when || 'And more', under: '' };
}

/** When photos were taken, from the first to the last: a day, a month, months; empty if none says so. */
export function spanInWords(photos: readonly Pick<Asset, 'taken'>[]): string {
  const times = photos.flatMap(({ taken }) => taken ?? []).sort();
  const [from, to] = [times[0], times.at(-1)];
  if (!from || !to) return '';
  const [first, last] = [from, to].map((time) => takenInWords(time).replace(/,.*/, '').split(' ')) as [
    string[],
    string[],
  ];
  if (first.join() === last.join()) return first.join(' ');
  if (first[2] !== last[2]) return `${first[1]} ${first[2]} – ${last[1]} ${last[2]}`;
  if (first[1] !== last[1]) return `${first[1]} – ${last[1]} ${last[2]}`;
  return `${first[0]}–${last[0]} ${last[1]} ${last[2]}`;
}

/** Everybody the photos name, those named most first. */
export function peopleIn(photos: readonly Asset[]): string[] {
  const counts = new Map<string, number>();
  for (const { notes } of photos)
    for (const name of notes?.people ?? []) counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).map(([name]) => name);
}
