/** A design: a book with free places, whose spreads others are laid out of, fitted to the pages they come to. */
import { overlaps } from '@/core/geometry/box';
import { plainDesign } from '@/core/book/plain';
import type { BookPlace } from '@/core/book/photo';
import type { DealtSpread } from '@/core/book/deal';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { panelsOn } from '@/core/product';
import {
  bookIn,
  COVER,
  FIRST,
  isSpread,
  LAST,
  SPINE_FOR_WORDS,
  spineWidth,
  type BookProduct,
} from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { holdsOrKeeps } from '@/core/project/frames';
import { fittedTo, type Laid } from '@/core/project/fit';
import type { Group, Project, Surface } from '@/core/project/model';
import { inReading } from '@/core/project/photos';
import { toPoints } from '@/core/units/lengths';

/** One side of a design, fitted to the book's paper. */
export interface Template {
  key: string;
  pile: Piece[];
  groups: Group[];
  ground: string;
  light: Surface['light'];
  /** Its places for photos, as they are read. */
  places: { id: string; place: BookPlace }[];
  /** Words of a title stand on it. */
  chapter: boolean;
}

export interface BookDesign {
  name: string;
  cover: Template;
  first: Template;
  last: Template;
  spreads: Template[];
  /** The project it is of: its pictures, fonts and styles. */
  made: Project;
}

/** So near to the fold no face comes, however it is bound, points. */
const BY_THE_FOLD = toPoints(0.15, 'in');

/** A number of photos up to which there is always a spread. */
const MOST = 12;

/**
 * A book that was made, as a design for another: its sides fitted, its spreads those with places. Photos in it count as
 * places. What it lacks is taken from the plain design, on its own ground.
 */
export function designFor(made: Project, book: Project): BookDesign {
  const own = templatesOf(made, book);
  const plain = templatesOf(plainDesign(), book);
  const spreads = own.filter(({ key, places }) => isSpread(key) && places.length > 0);
  const [like] = spreads;
  const { width, height } = bookIn(book.product)!;
  const paper = like ? groundsOf({ pile: like.pile, width: 2 * width, height }) : [];
  const ground = like?.ground ?? '#ffffff';
  const has = new Set(spreads.filter(({ chapter }) => !chapter).map(({ places }) => places.length));
  const lacking = plain
    .filter(
      ({ key, chapter, places }) =>
        isSpread(key) && !chapter && places.length <= MOST && !has.has(places.length),
    )
    .map((each) => ({ ...each, key: `plain ${each.key}`, ground, pile: [...paper, ...each.pile] }));
  const side = (part: string) =>
    own.find(({ key }) => key === part) ?? plain.find(({ key }) => key === part)!;
  return {
    name: made.title,
    cover: side(COVER),
    first: side(FIRST),
    last: side(LAST),
    spreads: [...spreads, ...lacking],
    made,
  };
}

/** What a page lies on: papers that lie flat over most of it, in their order. */
export const groundsOf = ({ pile, width, height }: Pick<Surface, 'pile' | 'width' | 'height'>): Piece[] =>
  pile.filter(
    ({ role, material, finish, placement }) =>
      role === 'paper' &&
      material.kind === 'paper' &&
      finish.lift.height === 0 &&
      placement.width * placement.height > 0.4 * width * height,
  );

function templatesOf(made: Project, book: Project): Template[] {
  const to = bookIn(book.product)!;
  const like = (part: string): Surface | undefined =>
    book.surfaces.find((surface) => (isSpread(part) ? isSpread(surface.part ?? '') : surface.part === part));
  return made.surfaces.flatMap((surface): Template[] => {
    const { part = '' } = surface;
    const target = like(part);
    return target ? [templateOf(surface, laidOn(made, surface), laidOn(book, target), part, to)] : [];
  });
}

const laidOn = (project: Project, surface: Surface): Laid => ({
  width: surface.width,
  height: surface.height,
  bleed: surface.bleed,
  panels: panelsOn(project, surface),
});

function templateOf(surface: Surface, from: Laid, to: Laid, part: string, book: BookProduct): Template {
  const thin = spineWidth(book) < SPINE_FOR_WORDS;
  const spine = to.panels.find(({ name }) => name === 'Spine');
  const shown = surface.pile.filter(({ placement }) => !placement.hidden);
  const pile = fittedTo(shown, from, to).filter(
    ({ outline, placement }) =>
      !(thin && spine && isWritten(outline) && overlaps(spine.box, { ...placement, width: 1, height: 1 })),
  );
  const { ground, light, groups } = surface;
  return {
    ...{ key: part, pile, groups, ground, light },
    places: inReading(pile.filter((piece) => holdsOrKeeps(piece))).map((piece) => ({
      id: piece.id,
      place: placeOf(piece, to, isSpread(part) ? book : null),
    })),
    chapter: isSpread(part) && pile.some(({ role, outline }) => role === 'title' && isWritten(outline)),
  };
}

/** A place as dealing sees it: its size, and what of it the gutter takes. */
function placeOf(piece: Piece, to: Laid, book: BookProduct | null): BookPlace {
  const { placement } = piece;
  const { width, height } = placement;
  if (!book) return { width, height, gutter: null };
  const by = Math.max(BINDS[book.binding].gutter, BY_THE_FOLD);
  const box = extentOf(placement);
  const [from, until] = [to.width / 2 - by, to.width / 2 + by];
  if (box.x >= until || box.x + box.width <= from) return { width, height, gutter: null };
  return { width, height, gutter: { from: from - box.x, to: until - box.x } };
}

/** Its spreads as dealing knows them. */
export const dealtSpreads = ({ spreads }: BookDesign): DealtSpread[] =>
  spreads.map(({ key, chapter, places }) => ({ key, chapter, places: places.map(({ place }) => place) }));
