/** Photos dealt to spreads: in order, chapter by chapter, each spread one of a design's, at the least cost there is. */
import { assign } from '@/core/assignment';
import type { Size } from '@/core/geometry/box';
import { ppiIn, seenIn, type BookPhoto, type BookPlace } from '@/core/book/photo';
import { croppedOf } from '@/core/proposals/measures';
import { random } from '@/core/random';

/** One spread of a design, as far as dealing knows it. */
export interface DealtSpread {
  key: string;
  /** It opens a chapter. */
  chapter: boolean;
  places: readonly BookPlace[];
}

export interface DealWish {
  /** In their order. */
  photos: readonly BookPhoto[];
  /** Photos at which a chapter begins, by number, ascending; the first may be one. */
  chapters: readonly number[];
  spreads: readonly DealtSpread[];
  /** One page, points. */
  page: Size;
  /** How many spreads there shall be; null as it comes. */
  wanted: number | null;
  /** Photos that are nearly the same, by number. */
  alike: readonly (readonly number[])[];
  /** Spreads that lie before the first, by key, the last one last: their like does not come again at once. */
  before?: readonly string[];
  /** Another number deals otherwise. */
  seed: number;
}

export interface DealtOut {
  key: string;
  /** The photo in each of its places, by number. */
  photos: number[];
}

/** What costs how much; our own weights. A photo half cropped costs as much as one that is soft. */
const WEIGHTS = {
  cropped: 2,
  /** A face cut, and what matters in the gutter. */
  cut: 12,
  gutter: 6,
  soft: 2.5,
  /** A starred photo that is small, per star above two. */
  small: 1.1,
  /** A place further on than the photo's own turn. */
  turn: 0.12,
  /** Two that are nearly the same on one spread. */
  alike: 2.5,
  /** The same spread again: at once, after one other, after two ... */
  again: [6, 3.2, 2, 1.2, 0.7],
  /** More or fewer photos on a spread than is usual, squared. */
  many: 0.11,
} as const;
const USUAL = 3;
/** Below this it is soft to see (common practice, no source: 150 to 300 ppi). */
const SHARP_PPI = 150;
/** So many ways are kept at every photo, and with a wanted number of spreads at every number near an even pace. */
const KEPT = 48;
const KEPT_COUNTED = 10;
const PACE = 10;

interface Way {
  cost: number;
  /** Photos dealt so far. */
  at: number;
  spreads: number;
  last: Choice | null;
  before: Way | null;
  /** Its last three spreads: two that end alike go on alike, nearly. */
  tail: string;
}
interface Choice {
  key: string;
  photos: number[];
  cost: number;
}

/** Most photos that any of a design's spreads takes. */
export const mostOn = (spreads: readonly DealtSpread[]): number =>
  Math.max(0, ...spreads.map(({ places }) => places.length));

/** What a photo costs in a place: how much of it is lost, whether it is sharp there, whether it is as large as it deserves. */
export function costIn(photo: BookPhoto, place: BookPlace, page: Size): number {
  const cropped = croppedOf(photo.width / photo.height, place);
  const { cut, inGutter } = seenIn(photo, place);
  const soft = Math.max(0, 1 - ppiIn(photo, place) / SHARP_PPI);
  const share = Math.sqrt((place.width * place.height) / (page.width * page.height));
  const stars = Math.max(0, photo.stars - 2);
  return (
    WEIGHTS.cropped * cropped * (1 + 1.5 * cropped) +
    WEIGHTS.cut * cut +
    WEIGHTS.gutter * Number(inGutter) +
    WEIGHTS.soft * soft * (1 + soft) +
    WEIGHTS.small * stars * Math.max(0, 1 - share)
  );
}

/** The best way to put the photos from `from` on into one spread's places: an optimal assignment of all that they cost. */
export function bestIn(
  { photos, page, alike }: Pick<DealWish, 'photos' | 'page' | 'alike'>,
  { key, places }: DealtSpread,
  from: number,
  cost: Cost = (place, i) => costIn(photos[i]!, place, page),
): Choice {
  const n = places.length;
  const costs = new Float64Array(n * n);
  places.forEach((place, p) => {
    for (let i = 0; i < n; i++) costs[p * n + i] = cost(place, from + i) + WEIGHTS.turn * Math.abs(p - i);
  });
  const found = [...assign(costs, n, n)];
  const all = found.reduce((sum, i, p) => sum + costs[p * n + i]!, 0);
  const twins = alike.reduce((sum, group) => {
    const here = group.filter((i) => i >= from && i < from + n).length;
    return sum + Math.max(0, here - 1);
  }, 0);
  return { key, photos: found.map((i) => from + i), cost: all + WEIGHTS.alike * twins };
}

/**
 * The spreads the photos come to: every photo once, in order from spread to spread. A chapter begins a spread, one that opens
 * chapters where the design has one for so many photos. With a wanted number there are just so many; null if they cannot be
 * had of these photos. A beam search: `KEPT` ways at every photo, which is exact for few spreads (deal.test.ts holds it
 * against all there are).
 */
export function deal(wish: DealWish): DealtOut[] | null {
  const { photos, spreads, wanted, seed, before = [] } = wish;
  const n = photos.length;
  if (!n) return wanted ? null : [];
  const liking = likingBy(spreads, seed);
  const begins = new Set(wish.chapters);
  const nextChapter = chapterEnds(n, wish.chapters);
  const cost = remembered(wish);
  const known = new Map<string, Choice>();
  const chosen = (spread: DealtSpread, from: number): Choice => {
    const name = `${spread.key} ${from}`;
    let choice = known.get(name);
    if (!choice) known.set(name, (choice = bestIn(wish, spread, from, cost)));
    return choice;
  };
  const usable = (from: number): DealtSpread[] => {
    const room = nextChapter[from]! - from;
    const fitting = spreads.filter(({ places }) => places.length && places.length <= room);
    const openers = fitting.filter(({ chapter }) => chapter);
    const others = fitting.filter(({ chapter }) => !chapter);
    if (begins.has(from) && openers.length) return openers;
    return others.length ? others : openers;
  };
  const start: Way = { cost: 0, at: 0, spreads: 0, last: null, before: null, tail: '' };
  const ways = new Map<number, Ends>([[0, new Map([[0, [start]]])]]);
  for (let at = 0; at < n; at++) {
    const options = usable(at);
    for (const way of [...(ways.get(at)?.values() ?? [])].flat()) {
      const recent = lastKeys(way, before);
      for (const spread of options) {
        const choice = chosen(spread, at);
        const to = at + spread.places.length;
        if (wanted !== null && !inPace(way.spreads + 1, to, n, wanted)) continue;
        const cost = way.cost + choice.cost + liking(spread.key) + costAfter(spread, recent);
        const tail = `${spread.key} ${recent[0] ?? ''} ${recent[1] ?? ''}`;
        const next = { cost, at: to, spreads: way.spreads + 1, last: choice, before: way, tail };
        keep(ways, next, wanted !== null);
      }
    }
    if (at) ways.delete(at);
  }
  const done = [...(ways.get(n)?.values() ?? [])]
    .flat()
    .filter(({ spreads: count }) => wanted === null || count === wanted);
  const best = done.sort((a, b) => a.cost - b.cost)[0];
  return best ? dealtBy(best) : null;
}

/** What a photo, by number, costs in a place. */
type Cost = (place: BookPlace, photo: number) => number;

/** Places of one size and gutter cost the same: each is reckoned once for each photo. */
function remembered({ photos, page }: DealWish): Cost {
  const known = new Map<BookPlace, Float64Array>();
  const alike = new Map<string, Float64Array>();
  return (place, i) => {
    let costs = known.get(place);
    if (!costs) {
      const { width, height, gutter } = place;
      const name = [width, height, gutter?.from, gutter?.to].map((value) => value?.toFixed(2)).join();
      costs = alike.get(name) ?? new Float64Array(photos.length).fill(NaN);
      alike.set(name, costs);
      known.set(place, costs);
    }
    if (Number.isNaN(costs[i])) costs[i] = costIn(photos[i]!, place, page);
    return costs[i]!;
  };
}

/** How much a seed dislikes each spread: enough to choose otherwise among equals. */
function likingBy(spreads: readonly DealtSpread[], seed: number): (key: string) => number {
  const chance = random(seed);
  const known = new Map(spreads.map(({ key }) => [key, 0.5 * chance()]));
  return (key) => known.get(key)!;
}

/** What a spread costs after those before it, the nearest first, and for how many photos it takes. */
const costAfter = ({ key, places }: DealtSpread, recent: readonly string[]): number => {
  const again = recent.indexOf(key);
  return (again < 0 ? 0 : WEIGHTS.again[again]!) + WEIGHTS.many * (places.length - USUAL) ** 2;
};

/** What spreads cost in all, with the photos in their order put into each as well as can be. */
export function costOfAll(wish: DealWish, keys: readonly string[]): number {
  const liking = likingBy(wish.spreads, wish.seed);
  const recent = [...(wish.before ?? [])].reverse();
  let [cost, at] = [0, 0];
  for (const key of keys) {
    const spread = wish.spreads.find((each) => each.key === key)!;
    cost +=
      bestIn(wish, spread, at).cost + liking(key) + costAfter(spread, recent.slice(0, WEIGHTS.again.length));
    recent.unshift(key);
    at += spread.places.length;
  }
  return cost;
}

function dealtBy(best: Way): DealtOut[] {
  const out: DealtOut[] = [];
  for (let way: Way | null = best; way?.last; way = way.before)
    out.unshift({ key: way.last.key, photos: way.last.photos });
  return out;
}

/** For each photo, where its chapter ends. */
function chapterEnds(n: number, chapters: readonly number[]): number[] {
  const ends = new Array<number>(n);
  let end = n;
  const begins = new Set(chapters);
  for (let i = n - 1; i >= 0; i--) {
    ends[i] = end;
    if (begins.has(i)) end = i;
  }
  return ends;
}

/** With a wanted number, whether so many spreads after so many photos are near an even pace, and the rest can still be dealt. */
function inPace(count: number, at: number, n: number, wanted: number): boolean {
  const left = wanted - count;
  if (at === n) return left === 0;
  return left > 0 && n - at >= left && Math.abs(count - (at / n) * wanted) <= PACE;
}

/** The keys of the spreads just before, the nearest first. */
function lastKeys(way: Way, before: readonly string[]): string[] {
  const keys: string[] = [];
  let at: Way | null = way;
  for (; at?.last && keys.length < WEIGHTS.again.length; at = at.before) keys.push(at.last.key);
  for (let i = before.length - 1; i >= 0 && keys.length < WEIGHTS.again.length; i--) keys.push(before[i]!);
  return keys;
}

/** Ways that end at one photo, by how many spreads they have where that counts. */
type Ends = Map<number, Way[]>;

/** Puts a way among its rivals: the best few, and of those that end in the same spreads the best one. */
function keep(ways: Map<number, Ends>, way: Way, counted: boolean): void {
  const ends = ways.get(way.at) ?? new Map<number, Way[]>();
  ways.set(way.at, ends);
  const of = counted ? way.spreads : 0;
  const rivals = ends.get(of) ?? [];
  ends.set(of, rivals);
  let [same, worst] = [-1, -1];
  for (let i = 0; i < rivals.length && same < 0; i++) {
    if (rivals[i]!.tail === way.tail) same = i;
    if (worst < 0 || rivals[i]!.cost > rivals[worst]!.cost) worst = i;
  }
  if (same >= 0) {
    if (way.cost < rivals[same]!.cost) rivals[same] = way;
  } else if (rivals.length < (counted ? KEPT_COUNTED : KEPT)) rivals.push(way);
  else if (way.cost < rivals[worst]!.cost) rivals[worst] = way;
}
