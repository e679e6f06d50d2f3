/** Cutting: to punches, with and out of each other, larger and smaller, apart. */
import { aimed } from '@/features/table/acts/aimed';
import { keepsOutline } from '@/core/piece/outline';
import { toolsFor, cutOf } from '@/core/page/outlines';
import type { Combination } from '@/core/geometry/combine';
import type { Point } from '@/core/geometry/matrix';
import { transformPath, type Path } from '@/core/geometry/path';
import type { Corners } from '@/core/geometry/offset';
import { shapeName, LONGEST_PATH } from '@/core/piece/outline/path';
import { punchOf } from '@/core/piece/outline/punches';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { punchedPiece } from '@/core/project/create';
import { cutToPunch, intoFrame, recut, replaceEach, replacePieces } from '@/core/project/edits/cut';
import { naming } from '@/core/project/edits/edit';
import { changeMaterial } from '@/core/project/edits/make';
import { layPieces } from '@/core/project/edits/pile';
import { isOpening, openingFaults } from '@/core/page/through';
import { otherFace, panelsOn } from '@/core/product';
import { fail, ok, type Result } from '@/core/result';
import { shortened } from '@/core/text/named';
import { newId } from '@/features/shared/ids';
import { isDrawn, roomOfLines } from '@/core/project/lines';
import type { Session, SessionStore } from '@/features/table/session';
import { page, unlocked } from '@/features/table/acts/choosing';
import { freeSpot } from '@/features/table/acts/laying';

/** Madder cardstock: what a punch is punched out of until another material is chosen. */
const CARDSTOCK = '#9e2b45';
/** Points all outlines may have together to be combined. */
const MOST_POINTS = 20_000;

export const cuttable = (session: Session): Piece[] =>
  unlocked(session).filter(({ outline }) => !keepsOutline(outline));

/** What can be cut through: what is drawn as well, which keeps its lines. */
export const cutThrough = (session: Session): Piece[] =>
  unlocked(session).filter((piece) => isDrawn(piece) || !keepsOutline(piece.outline));

/** The area of a piece that a cut divides, on the page: of what is drawn all that it could show. */
export const areaOnPage = (session: Session, piece: Piece): Path =>
  isDrawn(piece)
    ? transformPath(placementMatrix(piece.placement), roomOfLines(piece))
    : onPage(session, piece);

/** Whether anything is left of a piece. */
export const isLeft = (session: Session, piece: Piece): boolean =>
  !isDrawn(piece) || onPage(session, piece).length > 0;

/** Why nothing can be cut out of this paper; null where it can. */
export const NO_OPENINGS = (session: Session): string | null =>
  otherFace(session.history.project, page(session))
    ? null
    : 'Only what has two sides, as a card, has openings.';

/** What a paper that is laid over an opening again is made of. */
const LAID_AGAIN = '#f4efe4';

/** Cuts what is selected out of the paper, or lays paper where openings are; what cannot be cut is said. */
export function toggleOpening(store: SessionStore): void {
  const session = store.getState();
  const why = NO_OPENINGS(session);
  if (why) return session.refuse(why);
  const pieces = unlocked(session);
  const open = pieces.filter(isOpening);
  if (open.length) {
    const laid = changeMaterial(session.surfaceId, open, { kind: 'ink', colour: LAID_AGAIN });
    return void session.perform({ ...laid, label: 'close opening' });
  }
  const surface = page(session);
  const cut = changeMaterial(session.surfaceId, pieces, { kind: 'opening' });
  const tools = toolsFor(session.history.project, session.typesetter);
  const chosen = new Set(pieces.map(({ id }) => id));
  const after = surface.pile.map((piece): Piece =>
    chosen.has(piece.id) ? { ...piece, material: { kind: 'opening' } } : piece,
  );
  const faults = openingFaults(
    { ...surface, pile: after },
    panelsOn(session.history.project, surface),
    tools,
  );
  const [fault] = pieces.flatMap(({ id }) => faults.get(id) ?? []);
  if (fault) return session.refuse(`Nothing was cut out. ${fault}`);
  session.perform({ ...cut, label: `cut ${naming(pieces)} out of the paper` });
}

/** Cuts what is selected to a punch, or lays a new piece of it if nothing is. */
export function punchWith(store: SessionStore, id: string): void {
  const session = store.getState();
  if (session.readOnly) return;
  const pieces = cuttable(session);
  if (pieces.length) return void session.perform(cutToPunch(session.surfaceId, pieces, id));
  const piece = punchedPiece(newId(), punchOf(id), CARDSTOCK, freeSpot(session));
  session.perform(layPieces(session.surfaceId, [piece], [], undefined, 'punch'), { selection: [piece.id] });
}

export const onPage = (session: Session, piece: Piece): Path =>
  transformPath(
    placementMatrix(piece.placement),
    cutOf(piece, toolsFor(session.history.project, session.typesetter)).path,
  );

export const assetFor = (session: Session, { material }: Piece) =>
  'asset' in material ? session.history.project.assets[material.asset] : undefined;

export const tooMany = (paths: readonly Path[]): string | null => {
  const points = paths.reduce((sum, path) => sum + path.length, 0);
  return points > MOST_POINTS
    ? `These outlines have ${points} points together; up to ${MOST_POINTS} can be combined. Nothing was changed.`
    : null;
};

/** Whether an outline has more path data than a project file takes. */
export const tooLong = (pieces: readonly Piece[]): boolean =>
  pieces.some(({ outline }) => outline.kind === 'path' && outline.data.length > LONGEST_PATH);
export const TOO_LONG = 'The outline would have too many corners to be kept. Nothing was changed.';

export interface Told {
  parts: number;
  holes: number;
  /** Two that only nearly touch, how far they are apart and where on the page, points. */
  near: { names: [string, string]; gap: number; at: Point } | null;
}

/** What combining the selected pieces would come to. `closing`: gaps narrower than this (points) are named. */
export async function tellCombined(
  session: Session,
  how: Combination,
  closing: number,
): Promise<Result<Told>> {
  const { combine } = await import('@/core/geometry/combine');
  const { edgesOf, nearestBetween } = await import('@/core/geometry/offset');
  const pieces = unlocked(session);
  const whole = keptWhole(how, pieces);
  if (whole) return fail(whole);
  const paths = pieces.map((piece, i) => (i ? onPage(session, piece) : areaOnPage(session, piece)));
  const refused = tooMany(paths);
  if (refused) return fail(refused);
  const made = combine(how, paths);
  if (!made.length) return fail(NOTHING[how]);
  const parts = made.reduce((sum, each) => sum + each.parts, 0);
  const told = { parts, holes: made.reduce((sum, each) => sum + each.holes, 0), near: null };
  if (how !== 'join' || parts === 1) return ok(told);
  const edges = paths.map(edgesOf);
  let near: Told['near'] = null;
  for (let i = 0; i < paths.length; i++)
    for (let j = i + 1; j < paths.length; j++) {
      const { gap, from, to } = nearestBetween(edges[i]!, edges[j]!, near?.gap ?? closing);
      if (gap > 0 && gap < (near?.gap ?? closing))
        near = {
          names: [pieces[i]!.name, pieces[j]!.name],
          gap,
          at: { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 },
        };
    }
  return ok({ ...told, near });
}

/** Why these cannot be combined so: what is drawn can be cut, but is no outline to join. */
const keptWhole = (how: Combination, pieces: readonly Piece[]): string | null =>
  (how === 'join' || how === 'divide') && pieces.some(isDrawn) ? DRAWN_STAYS : null;

const DRAWN_STAYS =
  'What is drawn keeps its lines: it can be cut with scissors, or by what lies over it. Nothing was changed.';

const NOTHING: Record<Combination, string> = {
  join: 'There is nothing to join.',
  'cut out': 'Nothing would be left: the lowest piece is wholly covered. Nothing was changed.',
  overlap: 'They do not overlap, so nothing would be left. Nothing was changed.',
  divide: 'There is nothing to divide.',
};
const SAID: Record<Combination, string> = {
  join: 'join',
  'cut out': 'cut out of the lowest of',
  overlap: 'keep the overlap of',
  divide: 'divide',
};

/**
 * Combines the selected pieces. One result takes the lowest one's material and place; divided areas each that of the topmost
 * piece that covers them. `closing` (points) closes gaps up to this width when joining; `keep` leaves the upper ones.
 */
export async function combineChosen(
  store: SessionStore,
  how: Combination,
  { closing = 0, keep = false }: { closing?: number; keep?: boolean } = {},
): Promise<Result<number>> {
  const there = aimed(store);
  const { combine, partsOf } = await import('@/core/geometry/combine');
  const { areaOf, closed } = await import('@/core/geometry/offset');
  const session = there.getState();
  const pieces = unlocked(session);
  const [base] = pieces;
  if (!base || pieces.length < 2) return fail('Select two pieces or more.');
  const whole = keptWhole(how, pieces);
  if (whole) return fail(whole);
  const paths = pieces.map((piece, i) => (i ? onPage(session, piece) : areaOnPage(session, piece)));
  const refused = tooMany(paths);
  if (refused) return fail(refused);
  const made = combine(how, paths).map(({ path }) => (closing > 0 ? closed(path, closing) : path));
  if (!made.length) return fail(NOTHING[how]);
  const areas = how === 'divide' ? made.flatMap(partsOf) : made;
  const fresh = areas.map((area, i): Piece => {
    const over =
      how === 'divide'
        ? pieces.findLast((_, at) =>
            combine('overlap', [paths[at]!, area]).some(({ path }) => areaOf(path) > areaOf(area) / 2),
          )!
        : base;
    const piece = { ...over, id: i === 0 ? base.id : newId(), finish: { ...over.finish, edge: undefined } };
    return recut(piece, intoFrame(over, area), shapeName(over.name), assetFor(session, over));
  });
  if (tooLong(fresh)) return fail(TOO_LONG);
  if (!fresh.every((piece) => isLeft(session, piece))) return fail(NOTHING[how]);
  const upper = how === 'cut out' || how === 'overlap' ? pieces.slice(1) : [];
  session.perform(
    replacePieces(
      `${SAID[how]} ${naming(pieces)}`,
      session.surfaceId,
      keep && upper.length ? [base] : pieces,
      fresh,
    ),
    { selection: fresh.map(({ id }) => id) },
  );
  return ok(fresh.length);
}

/** Makes the outlines of the selected pieces larger by a distance (points), or smaller below zero. */
export async function growChosen(store: SessionStore, by: number, corners: Corners): Promise<Result<number>> {
  const there = aimed(store);
  const { grown } = await import('@/core/geometry/offset');
  const session = there.getState();
  const pieces = unlocked(session);
  if (!pieces.length) return fail('Select what is to grow.');
  if (pieces.some(isDrawn)) return fail(DRAWN_STAYS);
  const tools = toolsFor(session.history.project, session.typesetter);
  const refused = tooMany(pieces.map((piece) => cutOf(piece, tools).path));
  if (refused) return fail(refused);
  const fresh: Piece[] = [];
  for (const piece of pieces) {
    const path = grown(cutOf(piece, tools).path, by, corners);
    if (!path.length) return fail(`Nothing would be left of ${piece.name || 'this piece'}.`);
    const plain = { ...piece, finish: { ...piece.finish, edge: undefined } };
    fresh.push(recut(plain, path, shapeName(piece.name), assetFor(session, piece)));
  }
  if (tooLong(fresh)) return fail(TOO_LONG);
  session.perform(
    replaceEach(
      `${by > 0 ? 'grow' : 'shrink'} outline of ${naming(pieces)}`,
      session.surfaceId,
      pieces,
      fresh.map((piece) => [piece]),
    ),
  );
  return ok(fresh.length);
}

/** Breaks a piece of several parts into single ones; says how many. */
export async function breakChosen(store: SessionStore): Promise<Result<number>> {
  const there = aimed(store);
  const { partsOf } = await import('@/core/geometry/combine');
  const session = there.getState();
  const [piece, ...more] = unlocked(session);
  if (!piece || more.length) return fail('Select one piece that has several parts.');
  if (isDrawn(piece)) return fail(DRAWN_STAYS);
  const { path } = cutOf(piece, toolsFor(session.history.project, session.typesetter));
  const refused = tooMany([path]);
  if (refused) return fail(refused);
  const parts = partsOf(path);
  if (parts.length < 2) return fail('It is in one part already.');
  const fresh = parts.map((part, i) =>
    recut(
      {
        ...piece,
        id: i === 0 ? piece.id : newId(),
        name: `${shortened(piece.name, 390)} ${i + 1}`,
        finish: { ...piece.finish, edge: undefined },
      },
      part,
      shapeName(piece.name),
      assetFor(session, piece),
    ),
  );
  if (tooLong(fresh)) return fail(TOO_LONG);
  session.perform(replacePieces(`break ${piece.role} into parts`, session.surfaceId, [piece], fresh), {
    selection: fresh.map(({ id }) => id),
  });
  return ok(fresh.length);
}
