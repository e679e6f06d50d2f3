/** Edits of where pieces lie. */
import { changePieces, naming, type Edit } from '@/core/project/edits/edit';
import { normalTurn, type Placement } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';

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

/** Resizes written words with their letters: `scale` is the new size over the old. */
export const scaleWords = (surfaceId: string, piece: Piece, to: Placement): Edit => ({
  ...placePiece(surfaceId, piece, 'resize', to),
  apply(project) {
    placePiece(surfaceId, piece, 'resize', to).apply(project);
    changePieces('', surfaceId, [piece.id], ({ outline }) => {
      if (outline.kind === 'glyphs' && piece.outline.kind === 'glyphs')
        outline.size = piece.outline.size * (to.width / piece.placement.width);
    }).apply(project);
  },
});

export const mirrorPieces = (surfaceId: string, pieces: readonly Piece[]): Edit =>
  changePieces(
    `mirror ${naming(pieces)}`,
    surfaceId,
    pieces.map((piece) => piece.id),
    ({ placement }) => {
      placement.mirror = !placement.mirror;
    },
  );

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
