/** Edits of where pieces lie. */
import type { Draft } from 'immer';
import { unite } from '@/core/geometry/box';
import { apply, type Point } from '@/core/geometry/matrix';
import { scaledFinish, type Finish } from '@/core/piece/finish';
import { scaledMaterial, type Material } from '@/core/piece/material';
import { scaledOutline, type Outline } from '@/core/piece/outline';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { changePieces, naming, together, type Edit } from '@/core/project/edits/edit';
import {
  carried,
  extentOf,
  mirrored,
  FAR,
  normalTurn,
  placementMatrix,
  SMALLEST_PIECE,
  type Placement,
  type Similarity,
} from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { LARGEST_LETTERS, SMALLEST_LETTERS } from '@/core/text/style';
import type { Typesetter } from '@/core/text/typesetter';

/** Moves pieces by points right and down. */
export const movePieces = (surfaceId: string, pieces: readonly Piece[], dx: number, dy: number): Edit =>
  changePieces(
    `move ${naming(pieces)}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    ({ placement }) => {
      placement.x += dx;
      placement.y += dy;
    },
    'move',
  );

/** Gives one piece a new box and turn; `verb` says what the hand did. */
export const placePiece = (
  surfaceId: string,
  piece: Piece,
  verb: 'move' | 'resize' | 'turn' | 'place',
  to: Partial<Pick<Placement, 'x' | 'y' | 'width' | 'height' | 'turn'>>,
): Edit =>
  changePieces(
    `${verb} ${piece.role}`,
    surfaceId,
    [piece.id],
    ({ placement }) => {
      Object.assign(placement, to);
      placement.turn = normalTurn(placement.turn);
    },
    verb,
  );

/** Words, strokes, rounded corners and all else that has a size of its own takes part in a change of size. */
export function scaleContents(draft: Draft<Piece>, scale: number): void {
  draft.outline = scaledOutline(draft.outline, scale) as Draft<Outline>;
  draft.material = scaledMaterial(draft.material, scale) as Draft<Material>;
  draft.finish = scaledFinish(draft.finish, scale) as Draft<Finish>;
}

/**
 * Scales, turns and moves pieces together. Letters, strokes and rounded corners grow with them if `contents`; words that
 * do not grow keep their box and only go along.
 */
export const carryPieces = (
  surfaceId: string,
  pieces: readonly Piece[],
  verb: 'move' | 'resize' | 'turn',
  by: Similarity,
  contents: boolean,
): Edit => {
  const from = new Map(pieces.map((piece) => [piece.id, piece]));
  return changePieces(
    `${verb} ${naming(pieces)}`,
    surfaceId,
    [...from.keys()],
    (draft) => {
      const { placement, outline } = from.get(draft.id)!;
      const stays = outline.kind === 'glyphs' && !contents;
      const next = carried(placement, by);
      Object.assign(
        draft.placement,
        stays ? { ...next, width: placement.width, height: placement.height } : next,
      );
      if (contents && by.scale !== 1) scaleContents(draft, by.scale);
    },
    verb,
  );
};

/** Moves each piece by its own way (points): what aligning and spacing come to. */
export const moveEach = (
  surfaceId: string,
  pieces: readonly Piece[],
  label: string,
  moves: ReadonlyMap<string, Point & { turn?: number }>,
): Edit =>
  changePieces(
    `${label} ${naming(pieces)}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    ({ id, placement }) => {
      const move = moves.get(id);
      if (!move) return;
      placement.x += move.x;
      placement.y += move.y;
      if (move.turn !== undefined) placement.turn = normalTurn(placement.turn + move.turn);
    },
  );

/** Gives several pieces the same turn. */
export const turnEach = (surfaceId: string, pieces: readonly Piece[], turn: number): Edit =>
  changePieces(
    `turn ${naming(pieces)}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    ({ placement }) => {
      placement.turn = normalTurn(turn);
    },
  );

/** How far words can be scaled with their letters: these stop at the least and the largest letter size, and the box with them. */
const lettersAllow = ({ outline }: Pick<Piece, 'outline'>, scale: number): number =>
  outline.kind === 'glyphs'
    ? Math.min(LARGEST_LETTERS, Math.max(SMALLEST_LETTERS, outline.size * scale)) / outline.size
    : scale;

/** Resizes written words with their letters to the box `to`; where the letters stop, its corner that stayed stays. */
export const scaleWords = (surfaceId: string, piece: Piece, to: Placement): Edit => {
  const wished = to.width / piece.placement.width;
  const scale = lettersAllow(piece, wished);
  // Of the way the middle went, as much as the size: the corner opposite the hand does not move.
  const gone = wished === 1 ? 1 : (scale - 1) / (wished - 1);
  const { x, y, width, height } = piece.placement;
  const stopped =
    scale === wished
      ? to
      : {
          ...to,
          x: x + (to.x - x) * gone,
          y: y + (to.y - y) * gone,
          width: width * scale,
          height: height * scale,
        };
  const place = placePiece(surfaceId, piece, 'resize', stopped);
  return {
    ...place,
    apply(project) {
      place.apply(project);
      changePieces('', surfaceId, [piece.id], (draft) => {
        draft.outline = scaledOutline(piece.outline, scale) as Draft<Outline>;
      }).apply(project);
    },
  };
};

/**
 * A box drawn or typed wider or narrower sets its words in a new column; the letters keep their size. With `tall` it keeps
 * the height it was given from then on. Pieces that are no words are left alone.
 */
export function reflowWords(
  surfaceId: string,
  piece: Piece,
  wished: Placement,
  tall: boolean,
  typesetter: Typesetter,
): Edit | null {
  if (piece.outline.kind !== 'glyphs') return null;
  const most = (length: number) => Math.min(FAR, Math.max(SMALLEST_PIECE, length || SMALLEST_PIECE));
  const to = { ...wished, width: most(wished.width), height: most(wished.height) };
  const outline: GlyphsOutline = { ...piece.outline, wrap: true, ...(tall ? { fixed: true } : {}) };
  const height = Math.max(SMALLEST_PIECE, wantedSize(outline, to, typesetter).height);
  const drop = apply(placementMatrix({ ...to, x: 0, y: 0 }), { x: 0, y: (height - to.height) / 2 });
  const place = placePiece(surfaceId, piece, 'resize', { ...to, x: to.x + drop.x, y: to.y + drop.y, height });
  const rewrapped = changePieces('', surfaceId, [piece.id], (draft) => {
    draft.outline = outline;
  });
  return { ...together(place.label, [place, rewrapped]), merge: place.merge };
}

/** Exchanges left and right (`x`), or top and bottom (`y`), of pieces about the middle of their common box. */
export const mirrorPieces = (surfaceId: string, pieces: readonly Piece[], axis: 'x' | 'y' = 'x'): Edit => {
  const { x, y, width, height } = pieces.map(({ placement }) => extentOf(placement)).reduce(unite);
  return changePieces(
    `${axis === 'x' ? 'mirror' : 'flip'} ${naming(pieces)}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    ({ placement }) => {
      Object.assign(placement, mirrored(placement, axis, axis === 'x' ? x + width / 2 : y + height / 2));
    },
  );
};

export const lockPieces = (surfaceId: string, pieces: readonly Piece[], locked: boolean): Edit =>
  changePieces(
    `${locked ? 'lock' : 'unlock'} ${naming(pieces)}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    ({ placement }) => {
      placement.locked = locked;
    },
  );

export const hidePieces = (surfaceId: string, pieces: readonly Piece[], hidden: boolean): Edit =>
  changePieces(
    `${hidden ? 'hide' : 'show'} ${naming(pieces)}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    ({ placement }) => {
      placement.hidden = hidden;
    },
  );
