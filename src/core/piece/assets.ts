/** Which picture files a piece is made of. By itself, so that those who only list files need know nothing of finishes. */
import type { Piece } from '@/core/piece/piece';

/** SHA-256 of each: its material's, and its mats'. */
export const assetsIn = ({ material, finish }: Pick<Piece, 'material' | 'finish'>): string[] => [
  ...('asset' in material ? [material.asset] : []),
  ...(material.kind === 'photos' ? material.photos.map(({ asset }) => asset) : []),
  ...finishAssets(finish),
];

export const finishAssets = ({ mats = [] }: Piece['finish']): string[] =>
  mats.flatMap(({ material }) => (material.kind === 'paper' ? material.asset : []));
