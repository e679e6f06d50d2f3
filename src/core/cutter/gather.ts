/** What lies on pages, as a cutter sees it: outlines, folds and openings, each with the paper it is of. */
import { boxOfPoints, corners, transformBox, type Size } from '@/core/geometry/box';
import { compose, IDENTITY, translation, type Matrix } from '@/core/geometry/matrix';
import { pathBounds, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import { isOpening, openingOnPage, openingsIn } from '@/core/page/through';
import { matPaths } from '@/core/piece/finish/mats';
import { colourOf, isInk, materialKind, type Material } from '@/core/piece/material';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Fold } from '@/core/picture/picture';
import type { PrintSheet } from '@/core/product/imposition';
import { plainName } from '@/core/project/create';
import type { Project, Surface } from '@/core/project/model';
import type { Asked, Item, Paper, Place } from '@/core/cutter/model';
import { toPoints } from '@/core/units/lengths';

/** Letters set smaller than this are drawn with a pen: no blade cuts them well (common practice, no source). */
const CUT_LETTERS = toPoints(15, 'mm');

/** What a cutter makes of a piece as long as nobody says otherwise. */
export function usually({ outline, material }: Pick<Piece, 'outline' | 'material'>): Asked {
  if (materialKind(material).cutsOut) return 'cut';
  if (isWritten(outline)) return outline.size < CUT_LETTERS ? 'draw' : 'cut';
  const { printed, photos } = materialKind(material);
  return printed || photos ? 'print' : 'cut';
}

export const askedOf = (piece: Piece): Asked => piece.cutter?.as ?? usually(piece);

/** What stands for a paper that is a picture where none can be shown. */
const PICTURED = '#d8d2c6';

function paperOf(material: Material, project: Project): Paper {
  if (isInk(material)) {
    const colour = colourOf(material);
    return { key: colour, name: `Cardstock ${colour}`, colour };
  }
  const asset = 'asset' in material ? project.assets[material.asset] : undefined;
  if (!asset)
    return { key: materialKind(material).name, name: materialKind(material).name, colour: '#ffffff' };
  return { key: asset.sha, name: plainName(asset.name), colour: PICTURED, asset: asset.sha };
}

const foldPath = ({ axis, at, from = 0, to }: Fold, { width, height }: Size): Path =>
  axis === 'x'
    ? [
        ['M', at, from],
        ['L', at, to ?? height],
      ]
    : [
        ['M', from, at],
        ['L', to ?? width, at],
      ];

/** Whether it lies under all of its page, as a whole sheet of paper does: nobody cuts that. */
function underAll(path: Path, { width, height }: Size): boolean {
  const box = pathBounds(path);
  return (
    box.x <= 0.01 && box.y <= 0.01 && box.x + box.width >= width - 0.01 && box.y + box.height >= height - 0.01
  );
}

/** What of a page goes along: these pieces and nothing else; or all on it, but not its paper. */
interface Wanted {
  only?: readonly string[];
  bare?: boolean;
}

/** A page as it lies, with what is cut out of its paper from either side. */
export function placeOf(
  project: Project,
  surface: Surface,
  tools: DrawingTools,
  { only, bare = false }: Wanted = {},
): Place {
  const { width, height, ground, name } = surface;
  const { folds = [], paper = null, other = null } = tools.sides?.(surface) ?? {};
  const wanted = only && new Set(only);
  const shown = surface.pile.filter(({ id, placement }) => !placement.hidden && (!wanted || wanted.has(id)));
  const through = other && !wanted ? openingsIn(other.surface) : [];
  const cut = shown.some(isOpening) || through.length > 0;
  // A page's paper is cut where something is done to it: it is folded, or no rectangle, or has openings.
  const own: Item[] =
    !wanted && !bare && (folds.length || paper || cut)
      ? [
          {
            id: `${surface.id} paper`,
            name: `${name}, its paper`,
            piece: null,
            as: 'cut',
            paper: { key: `ground ${ground}`, name: `Paper of ${name}`, colour: ground },
            path: paper ?? rectanglePath({ x: 0, y: 0, width, height }),
            folds: folds.map((fold) => foldPath(fold, surface)),
            wishes: {},
          },
        ]
      : [];
  const fromBehind = through.map((piece): Item => ({
    ...{ id: piece.id, name: piece.name, piece: piece.id, as: askedOf(piece), opening: true },
    paper: paperOf(piece.material, project),
    path: transformPath(other!.through, openingOnPage(piece, tools)),
    wishes: piece.cutter ?? {},
  }));
  const items = shown.flatMap((piece): Item[] => {
    const map = placementMatrix(piece.placement);
    const { path } = cutOf(piece, tools);
    const asked = askedOf(piece);
    const onPage = transformPath(map, path);
    const whole = !wanted && !isOpening(piece) && underAll(onPage, surface) && !piece.cutter?.as;
    const mats = piece.finish.mats ?? [];
    const lower = matPaths(mats, path).map((outline, i): Item => ({
      id: `${piece.id} mat ${i + 1}`,
      name: `Mat ${mats.length > 1 ? `${i + 1} ` : ''}beneath ${piece.name}`,
      piece: piece.id,
      as: 'cut',
      paper: paperOf(mats[i]!.material, project),
      path: transformPath(map, outline),
      wishes: {},
    }));
    return [
      ...lower.reverse(),
      {
        id: piece.id,
        name: piece.name,
        piece: piece.id,
        as: whole ? 'print' : asked,
        ...(whole ? { whole } : {}),
        paper: paperOf(piece.material, project),
        path: onPage,
        // By itself a window is an outline like every other: there is no paper it is cut out of.
        ...(isOpening(piece) && !wanted ? { opening: true as const } : {}),
        wishes: piece.cutter ?? {},
      },
    ];
  });
  return {
    name,
    size: { width, height },
    items: [...own, ...items, ...fromBehind],
    printed: [{ surface: surface.id, map: IDENTITY }],
  };
}

/** A sheet of paper things are printed on: what is cut is each of them, or what lies `on` it. */
export function placeOnPaper(
  name: string,
  { trim, placed }: PrintSheet,
  pages: readonly Surface[],
  on?: (page: Surface) => readonly Item[],
): Place {
  return {
    name,
    size: trim,
    printed: placed.map(({ page, map }) => ({ surface: pages[page - 1]!.id, map })),
    items: placed.flatMap(({ page, map }, i): Item[] => {
      const of = pages[page - 1]!;
      return (on?.(of) ?? [cardItem(of)]).map((item) => ({
        ...item,
        id: `card ${i + 1} ${item.id}`,
        path: transformPath(map, item.path),
      }));
    }),
  };
}

/** A card as it is trimmed. */
const cardItem = ({ id, name, width, height }: Surface): Item => ({
  ...{ id, name, piece: null, as: 'cut', wishes: {} },
  paper: { key: 'printed', name: 'Printed paper', colour: '#ffffff' },
  path: rectanglePath({ x: 0, y: 0, width, height }),
});

/** All that lies on a place within its own box, moved so that the box begins at its corner: for what is chosen alone. */
export function closeAbout(place: Place): Place {
  const boxes = place.items.map(({ path }) => pathBounds(path));
  if (!boxes.length) return place;
  const { x, y, width, height } = boxOfPoints(boxes.flatMap(corners));
  const map: Matrix = translation(-x, -y);
  return {
    name: place.name,
    size: transformBox(map, { x, y, width, height }),
    items: place.items.map((item) => ({ ...item, path: transformPath(map, item.path) })),
    printed: place.printed.map((each) => ({ ...each, map: compose(map, each.map) })),
  };
}
