/** Things that come onto a sheet at once: photos, pages of other projects, pieces of kits; each is a card of its own size. */
import { boxOfPoints, corners, overlaps, type Box, type Size } from '@/core/geometry/box';
import { apply } from '@/core/geometry/matrix';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { freshThing, MOST_THINGS, sheetIn, type Thing } from '@/core/product/sheet';
import { sheetStart } from '@/core/product/sheet/start';
import { panelsOn } from '@/core/product';
import type { Panel } from '@/core/product/product';
import { copiesOf } from '@/core/project/copies';
import type { Edit } from '@/core/project/edits/edit';
import { changeProduct } from '@/core/project/edits/product';
import type { Group, Project, Surface } from '@/core/project/model';
import { SMALLEST_SIDE } from '@/core/units/sizes';

export interface NewThing extends Size {
  pile: readonly Piece[];
  groups: readonly Group[];
  ground?: string;
  light?: Surface['light'];
}

/** How many more things a sheet takes. */
export const roomFor = ({ product, surfaces }: Pick<Project, 'product' | 'surfaces'>): number => {
  const sheet = sheetIn(product);
  return sheet ? MOST_THINGS - sheet.things.length + (justBegun(sheet.things, surfaces) ? 1 : 0) : 0;
};

/** A sheet that was just begun has one card, with nothing on it: the first thing takes it. */
const justBegun = (things: readonly Thing[], [first]: readonly Pick<Surface, 'pile'>[]): boolean =>
  things.length === 1 && !first!.pile.length && !things[0]!.back;

/** As many as there is room for, in their order. */
export const addThings = (label: string, all: readonly NewThing[]): Edit => ({
  label,
  apply(project) {
    const product = sheetIn(project.product);
    if (!product) return;
    const begun = justBegun(product.things, project.surfaces);
    const things: Thing[] = begun ? [] : [...product.things];
    const of = new Map<string, NewThing>();
    for (const [i, thing] of all.slice(0, MOST_THINGS - things.length).entries()) {
      const part = begun && i === 0 ? product.things[0]!.part : freshThing(things.map((each) => each.part));
      things.push({ part, width: limited(thing.width), height: limited(thing.height), count: 1 });
      of.set(part, thing);
    }
    changeProduct({ ...product, things }, '').apply(project);
    for (const surface of project.surfaces) {
      const thing = of.get(surface.part ?? '');
      if (!thing) continue;
      surface.pile.push(...structuredClone(thing.pile as Piece[]));
      surface.groups.push(...structuredClone(thing.groups as Group[]));
      if (thing.ground) surface.ground = thing.ground;
      if (thing.light) surface.light = structuredClone(thing.light);
    }
  },
});

const limited = (side: number): number => Math.max(SMALLEST_SIDE, Math.min(sheetStart.mostSide, side));

/** Why a page of this size is none a sheet takes; null where it is. */
export const notOnSheets = ({ width, height }: Size): string | null =>
  Math.max(width, height) > sheetStart.mostSide
    ? 'larger than a card may be'
    : Math.min(width, height) < SMALLEST_SIDE
      ? 'smaller than a card may be'
      : null;

/** What can be taken of another project: its pages, or the panels of what is folded. */
export const takable = (of: Project): { surface: Surface; panel: Panel }[] =>
  of.surfaces.flatMap((surface) => panelsOn(of, surface).map((panel) => ({ surface, panel })));

/** A page or panel as a thing: what lies on it, moved to its corner and turned to be read. */
export function panelThing(
  { surface, panel }: { surface: Surface; panel: Panel },
  newId: () => string,
): NewThing {
  const { box, turn } = panel;
  const { pieces, groups } = copiesOf(
    surface.pile.filter((piece) => !piece.placement.hidden && overlaps(boundsOf(piece), box)),
    surface,
    newId,
    { x: -box.x, y: -box.y },
  );
  const over = (piece: Piece): Piece => {
    const { x, y, turn: by } = piece.placement;
    return {
      ...piece,
      placement: {
        ...piece.placement,
        x: box.width - x,
        y: box.height - y,
        turn: by > 0 ? by - 180 : by + 180,
      },
    };
  };
  return {
    ...{ width: box.width, height: box.height, groups },
    pile: turn ? pieces.map(over) : pieces,
    ground: surface.ground,
    light: surface.light,
  };
}

const boundsOf = ({ placement }: Piece): Box => {
  const { width, height } = placement;
  const map = placementMatrix(placement);
  return boxOfPoints(
    corners({ x: -width / 2, y: -height / 2, width, height }).map((corner) => apply(map, corner)),
  );
};

/** A piece by itself, on a card as large as it is. */
export function pieceThing(piece: Piece): NewThing {
  const { width, height } = piece.placement;
  return {
    ...{ width, height, groups: [] },
    pile: [{ ...piece, placement: { ...piece.placement, x: limited(width) / 2, y: limited(height) / 2 } }],
  };
}
