/** A book that was laid, changed a spread at a time; pages that a hand has been on stay as they are. */
import { alikeIn } from '@/core/book/plan';
import { captionsOf, photosOf, type LaidBook, type Laying } from '@/core/book/flow';
import { bestIn, deal } from '@/core/book/deal';
import { dealtSpreads, type BookDesign, type Template } from '@/core/book/design';
import { laidSide, wordsOn, type SideWords } from '@/core/book/lay';
import { WORKED, workedOut } from '@/core/book/worked';
import { beginsAt } from '@/core/book/order';
import { bookPhoto } from '@/core/book/photo';
import { isByHand, printOf } from '@/core/book/print';
import { secondsOf } from '@/core/photos/when';
import type { Asset } from '@/core/picture/asset';
import { bookIn, freshSpread, isSpread, MOST_SPREADS } from '@/core/product/book';
import type { Project, Surface } from '@/core/project/model';
import { byTime, waitingPhotos } from '@/core/project/photos';
import { fail, ok, type Result } from '@/core/result';

export interface Alive extends Laying {
  project: Project;
  design: BookDesign;
}

/** What comes of a change: a book to be laid (`layBook`). */
export type Changed = Result<LaidBook>;

type Sides = LaidBook['sides'];

const KEPT = (name: string) => `${name} was worked on by hand: it stays as it is.`;

const assetsIn = ({ assets }: Project, shas: readonly string[]): Asset[] =>
  shas.flatMap((sha) => assets[sha] ?? []);

const sideOf = (project: Project, part: string): Surface | undefined =>
  project.surfaces.find((surface) => surface.part === part);

/** Keys of the spreads before one, the last one nearest. */
function keysBefore(project: Project, part: string): string[] {
  const book = bookIn(project.product)!;
  const at = book.spreads.indexOf(part);
  return book.spreads
    .slice(Math.max(0, at - 4), Math.max(0, at))
    .flatMap((each) => sideOf(project, each)?.laid?.spread ?? []);
}

export interface Way {
  template: Template;
  /** As its places are read. */
  photos: Asset[];
  cost: number;
}

/** What the design does not bring itself comes after what it does. */
const AFTER_ITS_OWN = 20;

/**
 * The ways in which so many photos are laid, the best first: the design's own, those that lie just before coming later; then
 * those that are worked out for these photos, but on a spread that opens a chapter.
 */
export function waysFor(
  { design, project }: Alive,
  photos: readonly Asset[],
  part: string,
  chapter: boolean,
): Way[] {
  const book = bookIn(project.product)!;
  const all = design.spreads.filter(({ places }) => places.length === photos.length);
  const fitting = all.filter((template) => template.chapter === chapter);
  const own = fitting.length ? fitting : all;
  const recent = new Set(keysBefore(project, part));
  const dealt = photos.map(bookPhoto);
  const wish = { photos: dealt, page: book, alike: alikeIn(photos) };
  return [...own, ...(chapter ? [] : workedOut(design, book, dealt))]
    .map((template): Way => {
      const { key, places } = template;
      const found = bestIn(wish, { key, chapter, places: places.map(({ place }) => place) }, 0);
      const later = (recent.has(key) ? 3 : 0) + (key.startsWith(WORKED) ? AFTER_ITS_OWN : 0);
      return { template, photos: found.photos.map((i) => photos[i]!), cost: found.cost + later };
    })
    .sort((a, b) => a.cost - b.cost);
}

/** A side laid in one way, with what was said on it before. */
function laidIn(
  { project, typesetter, newId }: Alive,
  way: Pick<Way, 'template' | 'photos'>,
  words: SideWords,
) {
  const known = new Map(Object.entries(project.assets));
  const captions = new Map([...captionsOf(known), ...(words.captions ?? [])]);
  const laid = laidSide(way.template, way.photos, { ...words, captions }, typesetter, newId);
  return { ...laid, laid: { spread: way.template.key.slice(0, 40), print: printOf(laid.pile) } };
}

/** Lays a spread's photos anew, or others in their place; null where no spread of the design takes so many. */
function relaid(alive: Alive, part: string, photos: readonly Asset[]): ReturnType<typeof laidIn> | null {
  const surface = sideOf(alive.project, part);
  const words = surface ? wordsOn(surface) : {};
  const [best] = waysFor(alive, photos, part, Boolean(words.title));
  return best ? laidIn(alive, best, words) : null;
}

const whole = ({ project }: Alive, sides: Sides, spreads?: readonly string[]): Changed => {
  const book = bookIn(project.product)!;
  return ok({ product: spreads ? { ...book, spreads: [...spreads] } : book, sides });
};

/** One spread laid in another way. */
export function laidOtherwise(alive: Alive, part: string, key: string): Changed {
  const surface = sideOf(alive.project, part);
  if (!surface || isByHand(surface)) return fail(KEPT(surface?.name ?? 'This page'));
  const words = wordsOn(surface);
  const photos = byTime(assetsIn(alive.project, photosOf(surface)));
  const way = waysFor(alive, photos, part, Boolean(words.title)).find(({ template }) => template.key === key);
  return way
    ? whole(alive, new Map([[part, laidIn(alive, way, words)]]))
    : fail('The design has no such spread.');
}

/** A photo from one spread to another; both are laid anew. One that is left with none is taken out. */
export function movedPhoto(alive: Alive, sha: string, from: string, to: string): Changed {
  const { project } = alive;
  const [a, b] = [sideOf(project, from), sideOf(project, to)];
  if (!a || !b || a === b) return fail('It lies there already.');
  for (const surface of [a, b]) if (isByHand(surface)) return fail(KEPT(surface.name));
  const there = byTime(assetsIn(project, [...photosOf(b), sha]));
  const here = byTime(
    assetsIn(
      project,
      photosOf(a).filter((one) => one !== sha),
    ),
  );
  const onto = relaid(alive, to, there);
  if (!onto) return fail(`${b.name} takes no more: the design has no spread of ${there.length} photos.`);
  const sides: Sides = new Map([[to, onto]]);
  const book = bookIn(project.product)!;
  if (here.length) {
    const left = relaid(alive, from, here);
    if (!left) return fail(`The design has no spread of ${here.length} photos.`);
    return whole(alive, sides.set(from, left));
  }
  return isSpread(from) && book.spreads.length > 1
    ? whole(
        alive,
        sides,
        book.spreads.filter((part) => part !== from),
      )
    : fail('It is the only photo there is.');
}

/** One photo more on a spread: the next that waits, by its time; else the first of the next spread. */
export function onePhotoMore(alive: Alive, part: string): Changed {
  const { project } = alive;
  const surface = sideOf(project, part);
  if (!surface || isByHand(surface)) return fail(KEPT(surface?.name ?? 'This page'));
  const own = assetsIn(project, photosOf(surface));
  const from = beginsAt(photosOf(surface), new Map(Object.entries(project.assets)));
  const [waits] = byNearness(waitingPhotos(project), from);
  if (waits) {
    const laid = relaid(alive, part, byTime([...own, waits]));
    return laid
      ? whole(alive, new Map([[part, laid]]))
      : fail(`The design has no spread of ${own.length + 1} photos.`);
  }
  const next = neighbour(project, part, 1);
  const first = next && byTime(assetsIn(project, photosOf(next)))[0];
  return first
    ? movedPhoto(alive, first.sha, next.part!, part)
    : fail('No photo waits, and the next spread has none to give.');
}

/** One photo fewer on a spread: its last goes to the next spread, or waits in the workbox where that takes none. */
export function onePhotoFewer(alive: Alive, part: string): Changed {
  const { project } = alive;
  const surface = sideOf(project, part);
  if (!surface || isByHand(surface)) return fail(KEPT(surface?.name ?? 'This page'));
  const own = byTime(assetsIn(project, photosOf(surface)));
  if (own.length < 2) return fail('One photo stays: take the spread away if it shall go, too.');
  const last = own.at(-1)!;
  const next = neighbour(project, part, 1);
  const moved = next && photosOf(next).length ? movedPhoto(alive, last.sha, part, next.part!) : null;
  if (moved?.ok) return moved;
  const laid = relaid(alive, part, own.slice(0, -1));
  return laid
    ? whole(alive, new Map([[part, laid]]))
    : fail(`The design has no spread of ${own.length - 1} photos.`);
}

/** The spread after one, or before it, that may be laid anew. */
function neighbour(project: Project, part: string, by: 1 | -1): Surface | null {
  const { spreads } = bookIn(project.product)!;
  const next = sideOf(project, spreads[spreads.indexOf(part) + by] ?? '');
  return next && !isByHand(next) ? next : null;
}

function byNearness(photos: readonly Asset[], from: number | null): Asset[] {
  if (from === null) return [...photos];
  const far = ({ taken }: Asset) => (taken ? Math.abs(secondsOf(taken) - from) : Infinity);
  return [...photos].sort((a, b) => far(a) - far(b));
}

/** The whole book in another design, each spread with its photos and its words. Only what was laid by itself. */
export function redesigned(alive: Alive): LaidBook {
  const { project, design } = alive;
  const sides: Sides = new Map();
  for (const surface of project.surfaces) {
    const { part = '' } = surface;
    if (!surface.laid || isByHand(surface)) continue;
    const photos = assetsIn(project, photosOf(surface));
    const words = wordsOn(surface);
    if (isSpread(part)) {
      // What was laid already counts as lying before.
      const so = { ...alive, project: withSides(project, sides) };
      const [best] = waysFor(so, byTime(photos), part, Boolean(words.title));
      if (best) sides.set(part, laidIn(alive, best, words));
      continue;
    }
    const template = [design.cover, design.first, design.last].find(({ key }) => key === part);
    if (!template) continue;
    const own = template.places.map((_, i) => photos[i] ?? anyPhoto(project, i));
    sides.set(part, laidIn(alive, { template, photos: own.flatMap((asset) => asset ?? []) }, words));
  }
  return { product: bookIn(project.product)!, sides };
}

const withSides = (project: Project, sides: Sides): Project => ({
  ...project,
  surfaces: project.surfaces.map((surface) => ({ ...surface, ...sides.get(surface.part ?? '') })),
});

/** A photo for a place that none was in before: the most starred. */
const anyPhoto = (project: Project, i: number): Asset | undefined =>
  assetsIn(project, project.photos).sort((a, b) => (b.notes?.stars ?? 0) - (a.notes?.stars ?? 0))[i];

/**
 * Photos more, each to where its time belongs: onto the spread of that time while the design has one for so many, else on
 * spreads of their own after it. Nothing else changes; pages kept by hand get the new ones after them.
 */
export function withMore(alive: Alive, more: readonly Asset[]): Changed {
  const { project, design } = alive;
  const book = bookIn(project.product)!;
  const known = new Map(Object.entries(project.assets));
  const spans = book.spreads.map((part) => {
    const surface = sideOf(project, part);
    const shas = surface ? photosOf(surface) : [];
    return { part, surface, shas, from: beginsAt(shas, known) };
  });
  /** The last spread that begins no later than a time; -1 before all of them. */
  const placeOf = (asset: Asset): number => {
    const time = asset.taken ? secondsOf(asset.taken) : null;
    if (time === null) return spans.length - 1;
    return spans.reduce((found, { from }, i) => (from !== null && from <= time ? i : found), -1);
  };
  const groups = new Map<number, Asset[]>();
  for (const asset of byTime(more)) {
    const at = placeOf(asset);
    groups.set(at, [...(groups.get(at) ?? []), asset]);
  }
  const sides: Sides = new Map();
  let spreads = [...book.spreads];
  for (const [at, photos] of [...groups].sort((a, b) => b[0] - a[0])) {
    const span = spans[at];
    const room = span?.surface && !isByHand(span.surface) && span.shas.length > 0;
    const joined = room
      ? relaid(alive, span.part, byTime([...assetsIn(project, span.shas), ...photos]))
      : null;
    if (span && joined) {
      sides.set(span.part, joined);
      continue;
    }
    const dealt = deal({
      ...{
        photos: photos.map(bookPhoto),
        chapters: [],
        spreads: dealtSpreads(design),
        page: book,
        wanted: null,
      },
      ...{
        alike: alikeIn(photos),
        seed: 1,
        before: span ? [...keysBefore(project, span.part), span.surface?.laid?.spread ?? ''] : [],
      },
    });
    if (!dealt) return fail('The design has no spreads that take them.');
    const fresh = dealt.map(({ key, photos: numbers }) => {
      const part = freshSpread([...spreads, ...book.spreads, ...sides.keys()].filter(isSpread));
      const template = design.spreads.find((each) => each.key === key)!;
      sides.set(part, laidIn(alive, { template, photos: numbers.map((i) => photos[i]!) }, {}));
      return part;
    });
    spreads.splice(at + 1, 0, ...fresh);
    if (spreads.length > MOST_SPREADS)
      return fail(`A book holds up to ${2 * MOST_SPREADS + 2} pages: these photos find no room.`);
    spreads = [...spreads];
  }
  return whole(alive, sides, spreads);
}
