/** What lies on one month carried on to others: in the same place, or each time a little different, and over no number. */
import { numbersOn, boxOverlaps, placesAside, SIZES } from '@/core/calendar/aside';
import { lives } from '@/core/text/style';
import { isPicture, materialKind } from '@/core/piece/material';
import { isWritten } from '@/core/piece/outline';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import type { Piece } from '@/core/piece/piece';
import { normalTurn, SMALLEST_PIECE, type Placement } from '@/core/piece/placement/placement';
import { inkSlots } from '@/core/inks/used';
import { copiesOf } from '@/core/project/copies';
import { becomePage } from '@/core/project/edits/page';
import { together, type Edit } from '@/core/project/edits/edit';
import { isBackground } from '@/core/project/edits/pile';
import { holdsOrKeeps, PLACE } from '@/core/project/frames';
import { surfaceOf, type Group, type Project, type Surface } from '@/core/project/model';
import { random } from '@/core/random';
import { calendarIn } from '@/core/product/calendar';
import { monthOn } from '@/core/product';

/** How what is carried differs from month to month. */
export interface Carrying {
  /** 0 just the same, 1 as different as it gets: turned, larger or smaller, mirrored. */
  vary: number;
  /** Pieces change places with each other. */
  shuffle: boolean;
  /** Some are left out, some come twice. */
  count: boolean;
  /** They may lie over the numbers of days. */
  over: boolean;
  seed: number;
}

export const AS_IT_IS: Carrying = { vary: 0, shuffle: false, count: false, over: false, seed: 1 };

/** Degrees a piece may be turned either way, and how much larger or smaller it may be, at most. */
const TURN = 28;
const SIZE = 0.3;
/** The share of pieces left out, and of those that come twice. */
const [LEFT_OUT, TWICE] = [0.22, 0.22];

/** What other things lie on: it may lie anywhere. */
const isGround = ({ role, placement }: Piece, page: Surface): boolean =>
  role === 'paper' ||
  role === 'mat' ||
  role === 'photo' ||
  placement.width >= page.width ||
  placement.height >= page.height;

/** What differs: things laid for their looks. Papers, photos and words stay as they are. */
const differs = ({ role, placement }: Piece, page: Surface): boolean =>
  (role === 'embellishment' || role === 'stamp' || role === 'letter') &&
  !(placement.width >= page.width || placement.height >= page.height);

export interface Carried {
  edit: Edit;
  /** How many pages it is laid on, and how many pieces found no place beside the numbers of days. */
  pages: number;
  left: number;
}

/**
 * Carries pieces of a page to other pages; null if none of those can be changed. What was carried there before from the same
 * pieces is replaced. A month, a living title, a photo's place and the paper under all take the look and the place of those
 * they stand for; photos, dates and days stay. With no pieces named all of the page is carried: papers and things of the
 * others make room for its own.
 */
export function carry(
  project: Project,
  surfaceId: string,
  ids: readonly string[],
  targets: readonly string[],
  how: Carrying,
  newId: () => string,
): Carried | null {
  const from = surfaceOf(project, surfaceId);
  const chosen = ids.length ? from.pile.filter(({ id }) => ids.includes(id)) : from.pile;
  const pages = targets
    .map((id) => surfaceOf(project, id))
    .filter((page) => page.id !== surfaceId && !page.locked);
  if (!chosen.length || !pages.length) return null;
  const whole = chosen.length === from.pile.length;
  let left = 0;
  const edits = pages.map((page, i) => {
    const carriage = { project, from, chosen, page, how: { ...how, seed: how.seed + 101 * (i + 1) } };
    const laid = carriedTo(carriage, newId);
    left += laid.left;
    const { ground, light } = whole ? from : page;
    return becomePage(page.id, { pile: laid.pile, groups: laid.groups, ground, light });
  });
  const label = `carry ${chosen.length === 1 ? chosen[0]!.name.slice(0, 40) : `${chosen.length} pieces`} on`;
  return { edit: together(label, edits), pages: pages.length, left };
}

interface Carriage {
  project: Project;
  from: Surface;
  chosen: readonly Piece[];
  page: Surface;
  how: Carrying;
}

function carriedTo(
  { project, from, chosen, page, how }: Carriage,
  newId: () => string,
): { pile: Piece[]; groups: Group[]; left: number } {
  const roots = new Set(chosen.flatMap(({ id, carried }) => (carried ? [id, carried] : [id])));
  const kept = page.pile.filter(({ id, carried }) => !roots.has(id) && !(carried && roots.has(carried)));
  const pairs = counterparts(from, { ...page, pile: kept });
  const fresh = chosen.filter(({ id }) => !pairs.has(id));
  const { pieces, groups } = copiesOf(fresh, from, newId);
  const copies = new Map(fresh.map(({ id }, i) => [id, { ...pieces[i]!, carried: id }]));
  const inks = inksBetween(project, from, page);
  const varied =
    how.vary || how.shuffle || how.count ? different([...copies.values()], from, how, newId) : null;
  const at = new Map<string, Piece[]>();
  for (const piece of chosen) {
    const there = pairs.get(piece.id);
    if (there) at.set(piece.id, [inked(like(piece, there), inks)]);
    else {
      const copy = copies.get(piece.id)!;
      const all = varied?.get(copy.id) ?? [copy];
      at.set(
        piece.id,
        all.map((each) => inked(without(each, how), inks)),
      );
    }
  }
  const laid = { from, at, pairs, kept };
  const pile = chosen.length === from.pile.length ? wholly(laid) : among(laid);
  const aside = how.over ? { pile, left: 0 } : clearOfNumbers(pile, new Set(roots), from, page);
  const members = new Set(aside.pile.flatMap(({ groups: of = [] }) => of));
  return {
    pile: aside.pile,
    groups: [...page.groups, ...groups].filter(({ id }) => members.has(id)),
    left: aside.left,
  };
}

interface LaidOn {
  from: Surface;
  /** What becomes of each piece that is carried, by its id. */
  at: ReadonlyMap<string, readonly Piece[]>;
  pairs: ReadonlyMap<string, Piece>;
  kept: readonly Piece[];
}

/** A page as another is: of its own stay photos, what is written, and what is held to a day. */
function wholly({ from, at, pairs, kept }: LaidOn): Piece[] {
  const stand = new Set([...pairs.values()].map(({ id }) => id));
  const own = kept.filter(
    (piece) =>
      !stand.has(piece.id) &&
      (piece.held !== undefined || isWritten(piece.outline) || materialKind(piece.material).photos),
  );
  return [...from.pile.flatMap(({ id }) => at.get(id) ?? []), ...own];
}

/** A page with more on it: everything comes to lie over what it lies over where it comes from. */
function among({ from, at, pairs, kept }: LaidOn): Piece[] {
  const named = new Map([...pairs].map(([id, other]) => [other.id, id]));
  // What stands for another stays where it lies in the pile.
  const pile = kept.flatMap((piece) => at.get(named.get(piece.id) ?? '') ?? [piece]);
  let last: string | undefined;
  for (const { id } of from.pile) {
    const other = pairs.get(id);
    const laid = at.get(id);
    if (other) last = other.id;
    else if (laid?.length) {
      const found = last === undefined ? -1 : pile.findIndex((each) => each.id === last);
      pile.splice(found + 1, 0, ...laid);
      last = laid.at(-1)!.id;
    }
  }
  return pile;
}

/** A group whose members differ is none any more; what is not held where it comes from is not held here. */
function without(piece: Piece, how: Carrying): Piece {
  const { groups, held: _, ...rest } = piece;
  return how.count || !groups ? rest : { ...rest, groups };
}

const monthOf = ({ material }: Piece): MonthMaterial | null => (material.kind === 'month' ? material : null);
const isLiving = ({ role, outline }: Piece): boolean =>
  role === 'title' && outline.kind === 'glyphs' && Boolean(outline.spans?.some(lives));

/** Which pieces of another page stand for those of one: its paper, its months, living titles and photos, each in its turn. */
function counterparts(from: Surface, to: Surface): Map<string, Piece> {
  const pairs = new Map<string, Piece>();
  const pair = (of: (piece: Piece, page: Surface) => boolean) => {
    const theirs = to.pile.filter((piece) => of(piece, to));
    from.pile
      .filter((piece) => of(piece, from))
      .forEach(({ id }, i) => theirs[i] && pairs.set(id, theirs[i]));
  };
  pair((piece, page) => page.pile[0] === piece && isBackground(piece, page));
  for (const { material } of from.pile)
    if (material.kind === 'month') pair((piece) => monthOf(piece)?.follows === material.follows);
  pair(isLiving);
  pair(holdsOrKeeps);
  return pairs;
}

/** A piece as it is, in the place of another that keeps what it is of: its month, its photo. */
function like(piece: Piece, there: Piece): Piece {
  const { held: _, carried: __, groups: ___, tucks: ____, ...look } = structuredClone(piece);
  const { id, name, groups } = there;
  const own = monthOf(there);
  const month = monthOf(look);
  const material =
    own && month
      ? { ...month, year: own.year, month: own.month, notes: own.notes, marked: own.marked }
      : holdsOrKeeps(there)
        ? isPicture(there.material) || there.material.kind !== 'ink'
          ? there.material
          : { kind: 'ink' as const, colour: PLACE }
        : look.material;
  return {
    ...look,
    id,
    name: own || holdsOrKeeps(there) ? name : look.name,
    material,
    ...(groups ? { groups } : {}),
  };
}

/** The inks of one month and those that stand for them in another. */
function inksBetween({ product }: Project, from: Surface, to: Surface): Map<string, string> {
  const sets = calendarIn(product)?.inks;
  const [a, b] = [from, to].map((page) => sets?.[(monthOn({ product }, page)?.month ?? 0) - 1]);
  return new Map((a ?? []).flatMap((ink, i) => (b?.[i] ? [[ink, b[i]] as const] : [])));
}

function inked(piece: Piece, inks: ReadonlyMap<string, string>): Piece {
  if (!inks.size) return piece;
  const copy = structuredClone(piece);
  for (const { colour, set } of inkSlots(copy)) {
    const to = inks.get(colour);
    if (to) set(to);
  }
  return copy;
}

/** Each piece a little different: what becomes of it, by its id; nothing of what is left out, two of what comes twice. */
function different(
  pieces: readonly Piece[],
  from: Surface,
  { vary, shuffle, count, seed }: Carrying,
  newId: () => string,
): Map<string, Piece[]> {
  const chance = random(seed);
  const about = () => 2 * chance() - 1;
  const free = pieces.filter((piece) => differs(piece, from));
  const places = free.map(({ placement: { x, y } }) => ({ x, y }));
  if (shuffle)
    for (let i = places.length - 1; i > 0; i--) {
      const j = Math.floor(chance() * (i + 1));
      [places[i], places[j]] = [places[j]!, places[i]!];
    }
  const varied = ({ placement }: Piece, { x, y }: { x: number; y: number }): Placement => {
    const size = 1 + vary * SIZE * about();
    const [width, height] = [placement.width * size, placement.height * size];
    const turn = normalTurn(placement.turn + vary * TURN * about());
    const mirror = vary > 0 && chance() < 0.5 * vary ? !placement.mirror : placement.mirror;
    const stray = vary * 0.25 * Math.min(width, height);
    return {
      ...placement,
      ...{ x: x + stray * about(), y: y + stray * about(), turn, mirror },
      ...{ width: Math.max(SMALLEST_PIECE, width), height: Math.max(SMALLEST_PIECE, height) },
    };
  };
  const all = new Map<string, Piece[]>();
  free.forEach((piece, i) => {
    const at = places[i]!;
    const luck = count && free.length > 1 ? chance() : 1;
    const laid: Piece[] = luck < LEFT_OUT ? [] : [{ ...piece, placement: varied(piece, at) }];
    if (luck >= LEFT_OUT && luck < LEFT_OUT + TWICE) {
      const far = 1.1 * Math.min(piece.placement.width, piece.placement.height);
      const turn = 2 * Math.PI * chance();
      const beside = { x: at.x + far * Math.cos(turn), y: at.y + far * Math.sin(turn) };
      laid.push({ ...piece, id: newId(), placement: varied(piece, beside) });
    }
    all.set(piece.id, laid);
  });
  return all;
}

/** What was carried and lies over a number moves to the nearest place that is free of them; what finds none is left out. */
function clearOfNumbers(
  pile: readonly Piece[],
  roots: ReadonlySet<string>,
  from: Surface,
  page: Surface,
): { pile: Piece[]; left: number } {
  let left = 0;
  const laid = pile.flatMap((piece, i): Piece[] => {
    if (!piece.carried || !roots.has(piece.carried) || isGround(piece, from)) return [piece];
    // What lies under a month does not hide its numbers.
    const numbers = pile.slice(0, i).flatMap(numbersOn);
    if (!numbers.some((number) => boxOverlaps(piece.placement, number))) return [piece];
    for (const placement of placesAside(piece.placement, page, isWritten(piece.outline) ? [1] : SIZES))
      if (!numbers.some((number) => boxOverlaps(placement, number))) return [{ ...piece, placement }];
    left += 1;
    return [];
  });
  return { pile: laid, left };
}
