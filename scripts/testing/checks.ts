/** What one check says of a page. */
import type { Piece } from '@/core/piece/piece';
import { finishOf } from '@/core/piece/finish';
import type { Project } from '@/core/project/model';
import { checked } from '@/core/proof';
import { nodeTypesetter } from '../node/platform';
import { assetOf, inkPiece, laid, quarters } from './samples';

export const typesetter = await nodeTypesetter();
export const asset = assetOf(quarters(60, 40), 3000, 2000);

/** What one check says of a page: 432 x 288 points, a bleed of 9 (0.125 in), safe to 18 (0.25 in). */
export const said = (check: string, project: Project, page = 0) =>
  checked(project, project.surfaces[page]!, typesetter).found.flatMap((found) =>
    found.check === check ? [`${found.name}: ${found.says}`] : [],
  );
export const tells = (check: string, ...pieces: Piece[]) => said(check, laid(pieces, [asset]));
export const flat = (id: string, x: number, y: number, width: number, height: number): Piece => ({
  ...inkPiece(id, x, y, width, height),
  finish: finishOf(0),
});
