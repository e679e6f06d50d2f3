/** Taking a property over from one piece to others. */
import { changePieces, naming, type Edit } from '@/core/project/edits/edit';
import { dyesOf, isDyeable } from '@/core/project/edits/dyes';
import { setTone } from '@/core/project/edits/tone';
import { inkSlots } from '@/core/inks/used';
import { colourOf, evenColour, isInk, isPicture } from '@/core/piece/material';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import type { Surface } from '@/core/project/model';

/** What can be taken over, in words, by key. */
export const MATCHES = {
  size: 'size',
  width: 'width',
  height: 'height',
  turn: 'angle',
  x: 'place across',
  y: 'place down',
  finish: 'finish',
  lift: 'lift',
  ink: 'ink',
  tone: 'light and tone',
  dyes: 'recolouring',
  words: 'text style',
} as const;
export type Match = keyof typeof MATCHES;

/** The ink a piece shows: of an inked outline, or of a stamp. */
const inkOf = (piece: Piece): string | undefined =>
  isInk(piece.material) ? colourOf(piece.material) : stampOf(piece)?.colour;

const stampOf = (piece: Piece) => inkSlots(piece).find(({ part }) => part === 'stamp');

/** What this piece has that others could take over. */
export const matchesOf = (piece: Piece): Match[] =>
  (Object.keys(MATCHES) as Match[]).filter((what) =>
    what === 'ink'
      ? inkOf(piece) !== undefined
      : what === 'tone'
        ? isPicture(piece.material)
        : what === 'dyes'
          ? isRecoloured(piece)
          : what === 'words'
            ? piece.outline.kind === 'glyphs'
            : what === 'size'
              ? piece.outline.kind !== 'glyphs'
              : true,
  );

/** Words that say by themselves what is so, such as page numbers. */
const lives = ({ outline }: Piece): boolean =>
  isWritten(outline) && Boolean(outline.spans?.some(({ field }) => field));

/** The others that are what this one is, captions or titles or photos, on all pages that are not locked. */
export const alikeOnAll = (
  surfaces: readonly Surface[],
  from: Piece,
): { surfaceId: string; pieces: Piece[] }[] =>
  surfaces
    .filter(({ locked }) => !locked)
    .map(({ id, pile }) => ({
      surfaceId: id,
      pieces: pile.filter(
        (piece) =>
          piece.id !== from.id &&
          piece.role === from.role &&
          isWritten(piece.outline) === isWritten(from.outline) &&
          lives(piece) === lives(from) &&
          !piece.placement.locked,
      ),
    }))
    .filter(({ pieces }) => pieces.length > 0);

/**
 * Gives pieces a property of another. What a piece cannot have is passed over: an ink by a photo, a text style by a button.
 * A size keeps the middle, and proportions where only one side is given; words are never resized by it. A text style is
 * given by `writeWords`, which knows how large the words become.
 */
export const matchPieces = (
  surfaceId: string,
  from: Piece,
  pieces: readonly Piece[],
  what: Exclude<Match, 'words'>,
): Edit =>
  changePieces(
    `match ${MATCHES[what]} of ${naming(pieces)}`,
    surfaceId,
    pieces.map(({ id }) => id),
    (draft) => {
      const { placement, finish, material, outline } = draft;
      const source = from.placement;
      switch (what) {
        case 'x':
        case 'y':
        case 'turn':
          placement[what] = source[what];
          break;
        case 'size':
          if (outline.kind !== 'glyphs')
            Object.assign(placement, { width: source.width, height: source.height });
          break;
        case 'width':
        case 'height': {
          if (outline.kind === 'glyphs') break;
          const scale = source[what] / placement[what];
          placement.width *= scale;
          placement.height *= scale;
          break;
        }
        case 'finish':
          draft.finish = structuredClone(from.finish);
          break;
        case 'lift':
          finish.lift = structuredClone(from.finish.lift);
          break;
        case 'tone':
          if (isPicture(material) && isPicture(from.material)) setTone(material, from.material.tone);
          break;
        case 'dyes':
          takeDyes(draft as Piece, from);
          break;
        case 'ink': {
          const ink = inkOf(from);
          if (ink && evenColour(material)) draft.material = { kind: 'ink', colour: ink };
          else if (ink) stampOf(draft as Piece)?.set(ink);
          break;
        }
      }
    },
  );

/** All recolouring where both show the same picture; else what is not of a marked part. */
function takeDyes({ material }: Piece, from: Piece): void {
  if (!isDyeable(material) || !isDyeable(from.material)) return;
  const same = material.asset === from.material.asset;
  const dyes = dyesOf(from).filter(({ where }) => same || !where);
  if (dyes.length) material.dyes = [...dyes];
  else delete material.dyes;
  if (!same || material.kind !== 'art' || from.material.kind !== 'art') return;
  if (from.material.fills) material.fills = [...from.material.fills];
  else delete material.fills;
}

const isRecoloured = (piece: Piece): boolean =>
  dyesOf(piece).length > 0 || (piece.material.kind === 'art' && piece.material.fills !== undefined);
