/** A whole book planned from photos: chapters, spreads, what is left out and why. Nothing is laid yet; it runs in a worker. */
import { chaptersOf, peopleIn, spanInWords, type Chapter } from '@/core/book/chapters';
import { costIn, deal, mostOn, type DealtSpread } from '@/core/book/deal';
import { bookPhoto, ppiIn, type BookPhoto, type BookPlace } from '@/core/book/photo';
import type { Size } from '@/core/geometry/box';
import { alikeGroups } from '@/core/photos/likeness';
import { byTime } from '@/core/project/photos';
import { secondsOf } from '@/core/photos/when';
import { uprightSize, type Asset } from '@/core/picture/asset';

export interface FlowWish {
  /** How many pages; null as it comes. */
  pages: number | null;
  /** Occasions open with a title. */
  chapters: boolean;
  /** Of photos that are nearly the same the best one goes in. */
  oneOfAlike: boolean;
  /** Another number deals otherwise. */
  seed: number;
}

/** What planning looks at of a design and a book. */
export interface PlanRoom {
  spreads: readonly DealtSpread[];
  cover: readonly BookPlace[];
  first: readonly BookPlace[];
  last: readonly BookPlace[];
  page: Size;
  /** Pages come in steps of this. */
  step: number;
  fewest: number;
  most: number;
}

export interface PlannedSpread {
  key: string;
  /** By SHA-256, as its places are read. */
  photos: string[];
  /** The chapter it opens, by number. */
  opens: number | null;
}

export interface Plan {
  cover: string[];
  first: string[];
  last: string[];
  spreads: PlannedSpread[];
  chapters: Chapter[];
  /** From when to when, in words; and who is in them. */
  when: string;
  people: string[];
  /** What is in no spread, and why: nearly the same as another, or more than the pages hold. */
  left: { sha: string; why: 'alike' | 'full' }[];
  /** Photos that print below 150 ppi where they are. */
  soft: string[];
  /** Pages that stay empty at the end. */
  empty: number;
}

/** Below this a print is soft to see (common practice, no source). */
const SOFT_PPI = 150;
/** Photos to a chapter, at the least on the average. */
const PER_CHAPTER = 5;

export function planBook(given: readonly Asset[], room: PlanRoom, wish: FlowWish): Plan {
  const all = byTime(given);
  const left: Plan['left'] = [];
  const out = (shas: ReadonlySet<string>, why: 'alike' | 'full') =>
    left.push(...[...shas].map((sha) => ({ sha, why })));
  let photos = all;
  if (wish.oneOfAlike) {
    const worse = worseOfAlike(photos);
    out(worse, 'alike');
    photos = photos.filter(({ sha }) => !worse.has(sha));
  }
  const spreadsOf = (pages: number) => (pages - 2) / 2;
  const most = spreadsOf(wish.pages ?? room.most);
  const holds = most * mostOn(room.spreads);
  if (photos.length > holds) {
    const cut = leastWanted(photos, photos.length - holds);
    out(cut, 'full');
    photos = photos.filter(({ sha }) => !cut.has(sha));
  }
  // What cannot be dealt to so many pages gives way: first chapters, then those photos that would be missed least.
  let found: ReturnType<typeof dealt> = null;
  let titled = wish.chapters;
  for (let tries = 0; !found && photos.length && tries < 40; tries++) {
    found = dealt(photos, room, wish, titled);
    if (found) break;
    if (titled) titled = false;
    else {
      const cut = leastWanted(photos, Math.max(1, Math.round(photos.length / 40)));
      out(cut, 'full');
      photos = photos.filter(({ sha }) => !cut.has(sha));
    }
  }
  const spreads = found?.spreads ?? [];
  const wanted = wish.pages ?? Math.max(room.fewest, 2 * spreads.length + 2);
  const pages = Math.min(room.most, room.step * Math.ceil(wanted / room.step));
  const best = bestPhotos(photos);
  const take = (places: readonly BookPlace[]) => places.map((place) => bestFor(place, best, room.page));
  return {
    cover: take(room.cover),
    first: take(room.first),
    last: take(room.last),
    spreads,
    chapters: found?.chapters ?? [],
    when: spanInWords(photos),
    people: peopleIn(photos),
    left,
    soft: softIn(spreads, photos, room.spreads),
    empty: Math.max(0, pages - 2 - 2 * spreads.length),
  };
}

function dealt(photos: readonly Asset[], room: PlanRoom, wish: FlowWish, titled: boolean) {
  const wanted = wish.pages === null ? null : Math.min((wish.pages - 2) / 2, photos.length);
  const limit = Math.floor((wanted ?? photos.length / 3) / 2);
  const chapters = titled ? chaptersOf(photos, Math.min(limit, Math.floor(photos.length / PER_CHAPTER))) : [];
  const told = chapters.length > 1 ? chapters : [];
  const begins = told.map((_, i) => told.slice(0, i).reduce((sum, { count }) => sum + count, 0));
  const dealing = photos.map(bookPhoto);
  const found = deal({
    ...{ photos: dealing, chapters: begins, spreads: room.spreads, page: room.page, wanted, seed: wish.seed },
    alike: alikeIn(photos),
  });
  if (!found) return null;
  const spreads = found.map(({ key, photos: numbers }): PlannedSpread => {
    const opens = begins.indexOf(Math.min(...numbers));
    return { key, photos: numbers.map((i) => photos[i]!.sha), opens: opens < 0 ? null : opens };
  });
  return { spreads, chapters: told };
}

/** Groups of photos that are nearly the same, by number. */
export function alikeIn(photos: readonly Asset[]): number[][] {
  const known = photos.flatMap((asset, i) => (asset.likeness ? [{ asset, i }] : []));
  const groups = alikeGroups(
    known.map(({ asset }) => {
      const { width, height } = uprightSize(asset);
      const time = asset.taken ? secondsOf(asset.taken) : null;
      return { likeness: asset.likeness!, shape: width / height, time };
    }),
  );
  return groups.map((group) => group.map((k) => known[k]!.i));
}

/** Photos that are new to a book: those of `waiting` that are nearly the same as none of the `used` ones. */
export function newTo(used: readonly Asset[], waiting: readonly Asset[]): Asset[] {
  const all = [...used, ...waiting];
  const known = new Set(
    alikeIn(all).flatMap((group) =>
      group.some((i) => i < used.length) ? group.map((i) => all[i]!.sha) : [],
    ),
  );
  return waiting.filter(({ sha }) => !known.has(sha));
}

/** Of photos that are nearly the same all but the one with the most stars, the sharpest, the first. */
function worseOfAlike(photos: readonly Asset[]): Set<string> {
  const worth = (i: number) => 10 * (photos[i]!.notes?.stars ?? 0) - (photos[i]!.blur ?? 0);
  return new Set(
    alikeIn(photos).flatMap((group) => {
      const best = group.reduce((a, b) => (worth(b) > worth(a) ? b : a));
      return group.filter((i) => i !== best).map((i) => photos[i]!.sha);
    }),
  );
}

/** So many of those with the fewest stars, the most blurred first; evenly from all of it among equals. */
function leastWanted(photos: readonly Asset[], count: number): Set<string> {
  const spread = (i: number) => ((i * 0.618034) % 1) * 0.05;
  const order = photos
    .map((asset, i) => ({ sha: asset.sha, worth: (asset.notes?.stars ?? 0) - (asset.blur ?? 0) + spread(i) }))
    .sort((a, b) => a.worth - b.worth);
  return new Set(order.slice(0, count).map(({ sha }) => sha));
}

/** The photos that may stand for the book: those with the most stars, or all where nobody gave stars. */
function bestPhotos(photos: readonly Asset[]): BookPhoto[] {
  const most = Math.max(0, ...photos.map(({ notes }) => notes?.stars ?? 0));
  const starred = photos.filter(({ notes }) => (notes?.stars ?? 0) >= Math.max(1, most - 1));
  return (starred.length ? starred : photos).map(bookPhoto);
}

/** The best of them for a place; it is taken from the list as long as others are left. */
function bestFor(place: BookPlace, from: BookPhoto[], page: Size): string {
  if (!from.length) return '';
  const cost = (photo: BookPhoto) => costIn(photo, place, page) - 0.8 * photo.stars + photo.blur;
  const best = from.reduce((a, b) => (cost(b) < cost(a) ? b : a));
  if (from.length > 1) from.splice(from.indexOf(best), 1);
  return best.sha;
}

function softIn(
  spreads: readonly PlannedSpread[],
  photos: readonly Asset[],
  known: readonly DealtSpread[],
): string[] {
  const sizes = new Map(photos.map((asset) => [asset.sha, uprightSize(asset)]));
  return spreads.flatMap(({ key, photos: shas }) => {
    const { places } = known.find((each) => each.key === key)!;
    return shas.filter((sha, i) => ppiIn(sizes.get(sha)!, places[i]!) < SOFT_PPI);
  });
}
