/** Colours over several pieces: run from ink to ink in order, or each a little different by chance. */
import { formatHex, toOklch } from '@/core/color/spaces';
import { alongRun } from '@/core/color/runs';
import { MOST_DYES, type Dye } from '@/core/dye/dye';
import { inkSlots } from '@/core/inks/used';
import { isInk } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { changePieces, type Edit } from '@/core/project/edits/edit';
import { isDyeable } from '@/core/project/edits/dyes';
import { random } from '@/core/random';

export const ORDERS = ['across', 'down', 'pile'] as const;
export type Order = (typeof ORDERS)[number];

/** Ids of the dyes these edits lay on pictures, so that they are laid once. */
const RUN = 'run of inks';
const CHANCE = 'a little different';

/** The dyes with one of this id laid last, in the place of the one that was there. */
function withDye(piece: Piece, dye: Dye): void {
  const { material } = piece;
  if (!isDyeable(material)) return;
  const others = (material.dyes ?? []).filter(({ id }) => id !== dye.id);
  if (others.length < MOST_DYES) material.dyes = [...others, dye];
}

/** Gives a piece an ink: its face's, its stamp's, or a dye over its picture. */
function inkPiece(piece: Piece, colour: string): void {
  const stamp = inkSlots(piece).find(({ part }) => part === 'stamp');
  if (isInk(piece.material)) piece.material = { kind: 'ink', colour };
  else if (stamp) stamp.set(colour);
  else
    withDye(piece, {
      id: RUN,
      name: 'All of it',
      change: { how: 'ink', ink: colour },
      strength: 1,
    });
}

/**
 * Inks that run from the first to the last of `colours` over the pieces: from left to right or top to bottom by their middles,
 * or from the lowest of the pile to the uppermost.
 */
export function runAcross(
  surfaceId: string,
  pieces: readonly Piece[],
  colours: readonly string[],
  order: Order,
): Edit {
  const by = order === 'down' ? 'y' : 'x';
  const rank = order === 'pile' ? [...pieces] : [...pieces].sort((a, b) => a.placement[by] - b.placement[by]);
  const inks = new Map(
    rank.map(({ id }, i) => [id, alongRun(colours, rank.length > 1 ? i / (rank.length - 1) : 0)]),
  );
  return changePieces(
    `run inks over ${pieces.length} pieces`,
    surfaceId,
    pieces.map(({ id }) => id),
    (piece) => inkPiece(piece as Piece, inks.get(piece.id)!),
    'run inks',
  );
}

/** Degrees of hue and shares of lightness and chroma a piece may be off at most. */
const [HUE, LIGHT, CHROMA] = [60, 0.16, 0.4];

/**
 * Makes each piece's inks a little different, all of one piece in the same way; pictures without an ink are dyed. From the
 * pieces as they are given: done again with another seed or amount (0 to 1) it starts from there.
 */
export function differ(surfaceId: string, pieces: readonly Piece[], amount: number, seed: number): Edit {
  const chance = random(seed);
  const offs = new Map(
    pieces.map((piece) => {
      const [hue, light, chroma] = [chance() - 0.5, chance() - 0.5, chance() - 0.5];
      return [
        piece.id,
        {
          hue: 2 * HUE * amount * hue,
          light: 2 * LIGHT * amount * light,
          chroma: 2 * CHROMA * amount * chroma,
          before: inkSlots(piece).map(({ colour }) => colour),
        },
      ];
    }),
  );
  return changePieces(
    `make ${pieces.length} pieces differ`,
    surfaceId,
    pieces.map(({ id }) => id),
    (draft) => {
      const piece = draft as Piece;
      const { hue, light, chroma, before } = offs.get(piece.id)!;
      const slots = inkSlots(piece);
      if (slots.length)
        slots.forEach(({ set }, i) => before[i] !== undefined && set(moved(before[i], hue, light, chroma)));
      else
        withDye(piece, {
          id: CHANCE,
          name: 'A little different',
          change: { how: 'shift', hue, saturation: 100 * chroma, lightness: 100 * light },
          strength: 1,
        });
    },
    'differ',
  );
}

function moved(colour: string, hue: number, light: number, chroma: number): string {
  const { l, c, h = 0 } = toOklch(colour)!;
  return formatHex({
    mode: 'oklch',
    l: Math.min(0.97, Math.max(0.1, l + light)),
    c: c * (1 + chroma),
    h: (h + hue + 360) % 360,
  });
}
