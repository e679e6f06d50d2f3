/** What was laid by itself, and whether a hand has been on it since. */
import type { Piece } from '@/core/piece/piece';
import { isWritten } from '@/core/piece/outline';
import type { Surface } from '@/core/project/model';

/**
 * What a pile comes to, 16 hexadecimal digits: two runs of FNV-1a (Fowler, Noll, Vo; 32 bits, from memory) over all that was
 * made of it but what says itself anew, such as page numbers and the boxes they take, and what lies on every page.
 */
export function printOf(pile: readonly Piece[]): string {
  const text = JSON.stringify(pile.filter(({ shared }) => !shared).map(made));
  const run = (seed: number): string => {
    let hash = seed >>> 0;
    for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
    return hash.toString(16).padStart(8, '0');
  };
  return run(0x811c9dc5) + run(0x3c6ef372);
}

function made({ id: _, groups: __, tucks: ___, name: ____, outline, placement, ...piece }: Piece): unknown {
  const lives = isWritten(outline) && outline.spans?.some(({ field }) => field);
  const { x, y, width, height, turn, ...rest } = placement;
  const near = [x, y, width, height, turn].map((value) => Math.round(50 * value) / 50);
  // Boxes of words are fitted anew when a font arrives.
  return lives
    ? { ...piece, kind: outline.kind }
    : { ...piece, outline, placement: { ...rest, near: isWritten(outline) ? near.slice(0, 1) : near } };
}

/** How far a side is: finished once it is locked; null for what was laid by itself. */
export type SideState = 'finished' | 'worked on by hand' | 'empty' | null;
export const sideState = (surface: Pick<Surface, 'locked' | 'laid' | 'pile'>): SideState =>
  surface.locked ? 'finished' : isByHand(surface) ? 'worked on by hand' : surface.laid ? null : 'empty';

/** How far a book is; nothing to say of one that was laid by itself. */
export function statesInWords(surfaces: readonly Pick<Surface, 'locked' | 'laid' | 'pile'>[]): string {
  const states = surfaces.map(sideState);
  return (['finished', 'worked on by hand', 'empty'] as const)
    .map((state) => [states.filter((each) => each === state).length, state] as const)
    .filter(([count]) => count > 0)
    .map(([count, state]) => `${count} ${state}`)
    .join(', ');
}

/** A page that was worked on by hand, or locked: it is kept as it is. Empty ones are nobody's work. */
export const isByHand = ({ locked, laid, pile }: Pick<Surface, 'locked' | 'laid' | 'pile'>): boolean =>
  locked || (laid ? printOf(pile) !== laid.print : pile.some(({ shared }) => !shared));
