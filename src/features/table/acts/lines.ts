/** Lines drawn by hand: what is drawn with, what comes of a stroke, and lines taken hold of again. */
import { invert, apply, type Point } from '@/core/geometry/matrix';
import { contains } from '@/core/geometry/path';
import { lineShapes, MOST_LINES } from '@/core/piece/outline/lines';
import type { Asset } from '@/core/picture/asset';
import { besideEdge, MOST_TRAILS, type Along } from '@/core/piece/finish/trails';
import { together } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import type { Compartment } from '@/core/project/model';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import {
  addLine,
  beginLines,
  changeLine,
  changeTrails,
  orderLine,
  removeLine,
} from '@/core/project/edits/lines';
import { isDrawn, ontoPlane, widenedBy, type DrawnPiece } from '@/core/project/lines';
import { erasing, type Trail } from '@/core/trail';
import { kept, type Line, type Pressing } from '@/core/trail/line';
import { newId } from '@/features/shared/ids';
import { page, unlocked } from '@/features/table/acts/choosing';
import type { Lining } from '@/features/table/session/lining';
import type { Session, SessionStore } from '@/features/table/session';

/** The piece that lines go on, as long as it is there and may be drawn on. */
export function linesPieceOf(session: Session): DrawnPiece | null {
  const { piece: id } = session.lining;
  const found = page(session).pile.find((piece) => piece.id === id);
  return found && isDrawn(found) && !found.placement.locked && !found.placement.hidden ? found : null;
}

/** The line that is held, and its piece. */
export function heldLine(session: Session): { piece: DrawnPiece; line: Line } | null {
  const piece = linesPieceOf(session);
  const line = piece?.outline.lines.find(({ id }) => id === session.lining.held);
  return piece && line ? { piece, line } : null;
}

export const setLining = (store: SessionStore, change: Partial<Lining>): void =>
  store.getState().line(change);

/** Goes on upon the drawn piece that is selected; upon none where another is. */
export function takeUpLines(store: SessionStore): void {
  const { selection, lining } = store.getState();
  const [chosen] = page(store.getState()).pile.filter(({ id }) => selection.includes(id));
  const piece = selection.length === 1 && chosen && isDrawn(chosen) ? chosen.id : null;
  if (piece !== lining.piece) setLining(store, { piece, held: null });
}

/** What is drawn with from now on; the held line takes it over. */
export function drawWith(store: SessionStore, trail: Trail): void {
  const session = store.getState();
  const held = heldLine(session);
  if (held && !session.readOnly)
    session.perform(changeLine(session.surfaceId, held.piece, held.line.id, { trail }));
  else setLining(store, { hand: trail });
}

/** How much of the tremble is taken out of what is drawn next, or of the held line. */
export function smoothLines(store: SessionStore, smoothing: number): void {
  const session = store.getState();
  const held = heldLine(session);
  if (held && !session.readOnly)
    session.perform(changeLine(session.surfaceId, held.piece, held.line.id, { smoothing }));
  else setLining(store, { smoothing });
}

/** How a stroke was drawn. */
export interface Stroked {
  closed?: boolean;
  /** Corners stay as they are. */
  exact?: boolean;
}

/** A stroke that is finished: a line on the piece that is drawn on, or on a new one. Says why it was not drawn. */
export function drawLine(
  store: SessionStore,
  spots: readonly Pressing[],
  { closed, exact }: Stroked = {},
): string | null {
  const session = store.getState();
  const { lining, surfaceId, readOnly } = session;
  if (readOnly || !spots.length) return null;
  const { hand: trail, smoothing } = lining;
  const last = linesPieceOf(session);
  // A piece that holds as many as a file takes is full: the line begins another.
  const piece = last && last.outline.lines.length < MOST_LINES ? last : null;
  const erases = erasing(trail);
  if (erases && !piece)
    return 'The eraser takes away what was drawn. Select a drawn piece, or draw one first.';
  const common = { smoothing: exact ? 0 : smoothing, ...(closed ? { closed: true as const } : {}) };
  const id = newId();
  if (!piece) {
    const fresh = newId();
    session.perform(beginLines(surfaceId, fresh, { id, ...kept(spots), ...common, trail }), {
      selection: [fresh],
    });
    setLining(store, { piece: fresh, held: null });
    return null;
  }
  const { points, wider } = ontoPlane(piece, spots);
  const there = spots.map((spot, i) => ({ ...spot, ...points[i]! }));
  session.perform(
    addLine(surfaceId, piece.id, { id, ...kept(there), ...common, trail: widenedBy(trail, wider) }),
    { selection: [piece.id] },
  );
  return null;
}

/** What is in the hand, ready for another line: chance falls out otherwise for each, and never again for one. */
export function freshHand(store: SessionStore): Trail {
  const { hand } = store.getState().lining;
  if (!('seed' in hand)) return hand;
  const fresh = { ...hand, seed: seedOf(newId()) };
  setLining(store, { hand: fresh });
  return fresh;
}

const seedOf = (id: string): number => [...id].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 1e9, 7);

/** The next stroke begins a piece of its own. */
export function finishLines(store: SessionStore): void {
  setLining(store, { piece: null, held: null });
  store.getState().select([]);
}

/** Takes hold of the topmost line at a spot of the page, on whichever drawn piece it is; of none where there is none. */
export function holdLineAt(store: SessionStore, spot: Point, tolerance: number): boolean {
  const session = store.getState();
  for (const piece of [...page(session).pile].reverse()) {
    if (!isDrawn(piece) || piece.placement.hidden || piece.placement.locked) continue;
    // A cut lies everywhere it left something: it is held from the list.
    const cuts = new Set(
      piece.outline.lines.filter(({ trail }) => erasing(trail) === 'beyond').map(({ id }) => id),
    );
    const own = apply(invert(placementMatrix(piece.placement)), spot);
    const found = lineShapes(
      piece.outline,
      piece.placement,
      (sha) => session.history.project.assets[sha],
    ).findLast(({ id, path }) => !cuts.has(id) && contains(path, own, tolerance));
    if (!found) continue;
    session.select([piece.id]);
    setLining(store, { piece: piece.id, held: found.id });
    return true;
  }
  setLining(store, { held: null });
  return false;
}

export const holdLine = (store: SessionStore, held: string | null): void => setLining(store, { held });

/** Takes the held line away; says whether one was held. */
export function dropLine(store: SessionStore): boolean {
  const session = store.getState();
  const held = session.sheet === 'lines' ? heldLine(session) : null;
  if (!held || session.readOnly) return false;
  session.perform(removeLine(session.surfaceId, held.piece, held.line.id));
  setLining(store, { held: null });
  return true;
}

export function moveLine(store: SessionStore, lineId: string, by: 1 | -1): void {
  const session = store.getState();
  const piece = linesPieceOf(session);
  if (piece && !session.readOnly) session.perform(orderLine(session.surfaceId, piece, lineId, by));
}

/**
 * Takes a ready line up with the pictures it lays, which lie in the workbox from then on: along the edges of what is
 * selected, or into the hand.
 */
export function takeUpLine(there: SessionStore, trail: Trail, pictures: readonly Gathered[]): void {
  const session = there.getState();
  const pieces = unlocked(session).filter((piece) => !isDrawn(piece));
  const gathering = pictures.map(({ compartment, asset }) => gather(compartment, [asset]));
  if (pieces.length) {
    if (pieces.some(({ finish }) => (finish.trails?.length ?? 0) >= MOST_TRAILS))
      return session.refuse(`Up to ${MOST_TRAILS} things run along one edge: take one off first.`, {
        label: 'Show them',
        run: () => there.getState().lookAtRow('Finish'),
      });
    // Each keeps what runs along it already.
    const edits = pieces.map((piece) =>
      changeTrails(session.surfaceId, [piece], [...(piece.finish.trails ?? []), besideEdge(trail)]),
    );
    const { label } = changeTrails(session.surfaceId, pieces, [besideEdge(trail)]);
    return void session.perform(together(label, [...gathering, ...edits]));
  }
  if (gathering.length) session.perform(together('bring in what a line is drawn with', gathering));
  setLining(there, { hand: structuredClone(trail), held: null, choosing: false });
  there.getState().openSheet('lines');
}

interface Gathered {
  compartment: Compartment;
  asset: Asset;
}

/** What runs along the edges of pieces. */
export function layAlong(store: SessionStore, pieces: readonly Piece[], trails: readonly Along[]): void {
  const { perform, surfaceId, readOnly } = store.getState();
  if (!readOnly) perform(changeTrails(surfaceId, pieces, trails));
}

/** There is no tip in the workbox: it says so, and leads to where they lie. */
export const wantTips = (store: SessionStore): void =>
  store
    .getState()
    .refuse(
      'There is nothing to stamp yet: bring stamps or brush tips into the workbox out of the cupboard.',
      {
        label: 'To the stamps',
        run: () => store.getState().lookInCupboard(['stamp', 'brush']),
      },
    );
