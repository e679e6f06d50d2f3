/** Pieces taken off a page to be kept as a supply. */
import { outset, unite, type Box } from '@/core/geometry/box';
import { assetsIn } from '@/core/piece/assets';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { copiesOf } from '@/core/project/copies';
import { newLayout, type Project, type Surface } from '@/core/project/model';
import { isLetteredIn } from '@/core/project/needs';
import { ownFamily } from '@/core/text/families';
import { LARGEST_SIDE, SMALLEST_SIDE } from '@/core/units/sizes';

/**
 * Some pieces as a sheet of their own, as large as they are, with no ground and no shadows beneath them: those come anew
 * wherever the supply is laid. A single piece is turned upright. Throws RangeError for no pieces.
 */
export function sheetOfPieces(surface: Surface, pieces: readonly Piece[]): Surface {
  if (!pieces.length) throw new RangeError('No pieces to keep.');
  const [only] = pieces;
  const upright =
    pieces.length === 1 ? [{ ...only!, placement: { ...only!.placement, turn: 0 } }] : [...pieces];
  const box = upright.map(reach).reduce(unite);
  // What lies lowest throws no shadow on anything; what lies on it does.
  const pile = upright.map((piece, i): Piece => {
    const { placement, finish } = piece;
    return {
      ...piece,
      finish: i === 0 ? { ...finish, lift: { ...finish.lift, shadow: false } } : finish,
      placement: { ...placement, x: placement.x - box.x, y: placement.y - box.y, hidden: false },
    };
  });
  return { ...surface, width: box.width, height: box.height, bleed: 0, safe: 0, ground: 'transparent', pile };
}

/**
 * Some pieces on a sheet of their own, as they were made: what a project file holds that is laid into others. Throws
 * RangeError for no pieces.
 */
export function partsOf(
  project: Project,
  surface: Surface,
  pieces: readonly Piece[],
  newId: () => string,
): Project {
  if (!pieces.length) throw new RangeError('No pieces to keep.');
  const box = pieces.map(reach).reduce(unite);
  const within = (side: number) => Math.min(LARGEST_SIDE, Math.max(SMALLEST_SIDE, side));
  const [width, height] = [within(box.width), within(box.height)];
  const by = { x: (width - box.width) / 2 - box.x, y: (height - box.height) / 2 - box.y };
  const copies = copiesOf(pieces, surface, newId, by);
  const pile = copies.pieces.map((piece) => ({ ...piece, placement: { ...piece.placement, hidden: false } }));
  const { name, light } = surface;
  const sheet: Surface = {
    id: newId(),
    name,
    light,
    ...{ width, height, bleed: 0, safe: 0, ground: '#ffffff', guides: [], locked: false },
    ...{ pile, groups: [...copies.groups] },
  };
  const fonts = (project.fonts ?? []).filter(({ sha }) =>
    pieces.some((piece) => isLetteredIn(piece, ownFamily(sha))),
  );
  const used = [...new Set(pieces.flatMap(assetsIn))].flatMap((sha) => project.assets[sha] ?? []);
  return {
    ...newLayout({ ...sheet, title: project.title, unit: project.unit }),
    id: newId(),
    surfaces: [sheet],
    assets: Object.fromEntries(used.map((asset) => [asset.sha, asset])),
    ...(fonts.length ? { fonts } : {}),
  };
}

const reach = ({ placement, finish }: Piece): Box => outset(extentOf(placement), finish.stroke?.width ?? 0);
