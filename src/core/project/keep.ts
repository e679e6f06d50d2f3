/** Pieces taken off a page to be kept as a supply. */
import { outset, unite, type Box } from '@/core/geometry/box';
import { NO_SIDES } from '@/core/geometry/sides';
import { assetsIn, finishAssets } from '@/core/piece/assets';
import type { Piece } from '@/core/piece/piece';
import { extentOf } from '@/core/piece/placement/placement';
import { copiesOf, wholeCopy } from '@/core/project/copies';
import { emptied } from '@/core/project/frames';
import { COMPARTMENTS, newLayout, type Project, type Surface } from '@/core/project/model';
import { beginProduct, hasPages } from '@/core/product';
import { isLetteredIn } from '@/core/project/needs';
import { tidied } from '@/core/project/tree';
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
  return {
    ...surface,
    width: box.width,
    height: box.height,
    bleed: NO_SIDES,
    safe: NO_SIDES,
    ground: 'transparent',
    pile,
  };
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
  // Its look is of this project; the finish it gave stays.
  const pile = copies.pieces.map(({ look: _, ...piece }) => ({
    ...piece,
    placement: { ...piece.placement, hidden: false },
  }));
  const { name, light } = surface;
  const sheet = {
    id: newId(),
    name,
    light,
    ...{ width, height, bleed: NO_SIDES, safe: NO_SIDES, ground: '#ffffff', guides: [], locked: false },
    ...{ pile, groups: [...copies.groups] },
  };
  const { product } = beginProduct('layout', sheet);
  return { ...alone(project, newId(), [sheet]), product };
}

/**
 * A page, or all sides of what is no pages, as a project of its own to begin from: with its photos, or with a free place for
 * each of them.
 */
export function readyMade(project: Project, surface: Surface, newId: () => string, photos: boolean): Project {
  const pages = hasPages(project);
  const sides = pages ? [surface] : project.surfaces;
  const copies = sides.map((side) => wholeCopy(side, newId));
  const nowCalled = new Map(
    sides.flatMap(({ pile }, s) => pile.map(({ id }, i) => [id, copies[s]!.pile[i]!.id] as const)),
  );
  const made = alone(
    project,
    newId(),
    sides.map((side, s) => {
      const { pile: copied, groups } = copies[s]!;
      // What goes round goes round there, too; what was carried is a copy of what it was carried from.
      const held = copied.map(({ carried, ...piece }, i) => {
        const from = carried && nowCalled.get(carried);
        return { ...piece, ...roundOf(side.pile[i]!), ...(from ? { carried: from } : {}) };
      });
      const pile = photos ? held : emptied(held, project.assets);
      const name = pages ? 'Page 1' : side.name;
      return tidied({ ...side, id: newId(), name, locked: false, pile, groups });
    }),
  );
  const has = (sha: string) => Object.hasOwn(made.assets, sha);
  const gathered = COMPARTMENTS.map((name) => [name, project[name].filter(has)]);
  const { styles, looks, guides, guidesLocked } = project;
  return {
    ...made,
    ...Object.fromEntries(gathered),
    ...{ guides, guidesLocked },
    ...(styles && { styles }),
    ...(looks && looks.every(({ finish }) => finishAssets(finish).every(has)) ? { looks } : {}),
  };
}

const roundOf = ({ round }: Piece): Pick<Piece, 'round'> => (round ? { round } : {});

/** A project that holds these pages and what they need of another: its pictures and fonts. */
function alone(project: Project, id: string, surfaces: Surface[]): Project {
  const pile = surfaces.flatMap((surface) => surface.pile);
  const used = [...new Set(pile.flatMap(assetsIn))].flatMap((sha) => project.assets[sha] ?? []);
  const fonts = (project.fonts ?? []).filter(({ sha }) =>
    pile.some((piece) => isLetteredIn(piece, ownFamily(sha))),
  );
  const { title, unit, product, facts } = project;
  return {
    ...newLayout({ ...surfaces[0]!, id, title, unit }),
    product,
    surfaces,
    ...(facts ? { facts } : {}),
    assets: Object.fromEntries(used.map((asset) => [asset.sha, asset])),
    ...(fonts.length ? { fonts } : {}),
  };
}

const reach = ({ placement, finish }: Piece): Box => outset(extentOf(placement), finish.stroke?.width ?? 0);
