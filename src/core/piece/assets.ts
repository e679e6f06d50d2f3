/**
 * Which picture files a piece is made of: whatever kind it is, a file is named by a field `asset`. By itself, so that those
 * who only list files need know no kinds.
 */
import type { Piece } from '@/core/piece/piece';

/** SHA-256 of each: its material's, those that run along its lines, and those of what was done to it. */
export const assetsIn = ({
  material,
  outline,
  finish,
}: Pick<Piece, 'material' | 'outline' | 'finish'>): string[] => [
  ...namedIn(material),
  ...namedIn(outline),
  ...finishAssets(finish),
];

export const finishAssets = (finish: Piece['finish']): string[] => namedIn(finish);

/** The files anything names. */
export function namedIn(of: unknown): string[] {
  if (of === null || typeof of !== 'object') return [];
  // Long lists are numbers.
  if (Array.isArray(of)) return typeof of[0] === 'object' ? of.flatMap(namedIn) : [];
  const found: string[] = [];
  for (const [key, value] of Object.entries(of))
    if (key === 'asset' && typeof value === 'string') found.push(value);
    else if (typeof value === 'object') found.push(...namedIn(value));
  return found;
}
