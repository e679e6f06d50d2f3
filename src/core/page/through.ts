/**
 * What is cut out of a paper: openings are seen on both of its sides, and through them what lies behind once the product is
 * shut. Which surface that is says the product; here is what is drawn of it.
 */
import { outset, overlaps, type Box } from '@/core/geometry/box';
import { compose, invert, translation, type Matrix } from '@/core/geometry/matrix';
import { common, pathOfRings, without } from '@/core/geometry/offset';
import { pathBounds, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import type { DrawnPiece, Mark, Seen } from '@/core/picture/picture';
import { castShadow } from '@/core/piece/finish/lift';
import { SHADOW_INK, type PageLight } from '@/core/piece/finish/light';
import { materialKind } from '@/core/piece/material';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Surface } from '@/core/project/model';

export const isOpening = ({ material }: Pick<Piece, 'material'>): boolean =>
  Boolean(materialKind(material).cutsOut);

/** The outline of an opening on its page. */
export const openingOnPage = (piece: Piece, tools: DrawingTools): Path =>
  transformPath(placementMatrix(piece.placement), cutOf(piece, tools).path);

/** The openings of a page that are not hidden, the lowest first. */
export const openingsIn = ({ pile }: Surface): Piece[] =>
  pile.filter((piece) => isOpening(piece) && !piece.placement.hidden);

/** What of a page is cut away: where openings beneath which something lies are, each with its place in the pile. */
export interface Cuts {
  /** Openings of this side by their place in the pile, and those of the other side, which cut all of it. */
  own: readonly { at: number; path: Path }[];
  other: readonly Path[];
}

/** Null where nothing is cut out of the paper, as of most. */
export function cutsOf(surface: Surface, tools: DrawingTools): Cuts | null {
  const own = surface.pile.flatMap((piece, at) =>
    isOpening(piece) && !piece.placement.hidden ? [{ at, path: openingOnPage(piece, tools) }] : [],
  );
  const face = tools.sides?.(surface).other;
  const other = face
    ? openingsIn(face.surface).map((piece) => transformPath(face.through, openingOnPage(piece, tools)))
    : [];
  return own.length || other.length ? { own, other } : null;
}

/** Far beyond any page, points. */
const FAR = 6000;
const everywhere = (box: Box): Path => rectanglePath(outset(box, FAR));

/** What is cut away of what lies at a place of the pile, within some bounds. */
export const goneAt = (at: number, bounds: Box, { own, other }: Cuts): Path[] =>
  [...own.flatMap((cut) => (cut.at > at ? [cut.path] : [])), ...other].filter((path) =>
    overlaps(pathBounds(path), bounds),
  );

/** What is left of a piece, in its own frame; null where nothing of it is cut away. */
export function leftOf(gone: readonly Path[], bounds: Box, matrix: Matrix): Seen | null {
  if (!gone.length) return null;
  const left = gone.reduce<Path>((all, path) => without(all, path), everywhere(bounds));
  return { area: transformPath(invert(matrix), left) };
}

/** What the table is made of, where one sees through to it. */
const TABLE = '#b7b4ae';
/** How thick the paper is whose edge throws a shadow into an opening, mm. */
const PAPER = 0.3;

const bare = (id: string, name: string, marks: Mark[], path: Path): DrawnPiece => ({
  id,
  name,
  matrix: [1, 0, 0, 1, 0, 0],
  opacity: 1,
  marks,
  bounds: pathBounds(path),
});

/** The shadow that the edge of an opening throws on what lies behind. */
function edgeShadow(path: Path, height: number, light: PageLight): Mark[] {
  if (height <= 0 || light.strength <= 0) return [];
  const { offset, blur, opacity } = castShadow(height, light);
  const away = ((light.direction + 180) * Math.PI) / 180;
  const frame = rectanglePath(outset(pathBounds(path), 4 * blur + offset + 20));
  return [
    {
      mark: 'shadow',
      path: without(frame, path),
      grow: 0,
      offset: { x: Math.sin(away) * offset, y: -Math.cos(away) * offset },
      blur,
      colour: SHADOW_INK,
      opacity,
      within: [{ area: path }],
    },
  ];
}

/** A drawn piece as far as it is seen within an area of its own frame; all of it for null. */
export const cutAway = (piece: DrawnPiece, seen: Seen | null): DrawnPiece =>
  seen
    ? { ...piece, marks: piece.marks.map((mark) => ({ ...mark, within: [seen, ...(mark.within ?? [])] })) }
    : piece;

/**
 * What is seen through an opening of this side: the surfaces that lie behind it once the product is shut, else the table;
 * with the shadow of its edge. `draw` draws another surface's pile.
 */
export function seenThrough(
  piece: Piece,
  surface: Surface,
  tools: DrawingTools,
  draw: (surface: Surface) => readonly DrawnPiece[],
): DrawnPiece[] {
  const path = openingOnPage(piece, tools);
  const found: DrawnPiece[] = [bare(`${piece.id} table`, '', [{ mark: 'fill', path, colour: TABLE }], path)];
  for (const { box, surface: behind, dx, dy } of tools.sides?.(surface).behind ?? []) {
    const rings = common(path, rectanglePath(box));
    if (!rings.length) continue;
    const part = pathOfRings(rings);
    found.push(bare(`${piece.id} ground`, '', [{ mark: 'fill', path: part, colour: behind.ground }], part));
    const seen = pathBounds(part);
    for (const drawn of draw(behind)) {
      const bounds = { ...drawn.bounds, x: drawn.bounds.x - dx, y: drawn.bounds.y - dy };
      if (!overlaps(bounds, seen)) continue;
      const matrix = compose(translation(-dx, -dy), drawn.matrix);
      found.push({
        ...cutAway({ ...drawn, matrix }, { area: transformPath(invert(matrix), part) }),
        id: `${piece.id} ${drawn.id}`,
        name: '',
        words: undefined,
        bounds,
      });
    }
  }
  const height = piece.finish.lift.shadow ? Math.max(piece.finish.lift.height, PAPER) : 0;
  const shadow = edgeShadow(path, height, surface.light);
  if (shadow.length) found.push(bare(`${piece.id} edge`, '', shadow, path));
  return found;
}

/** Holes that are cut from the other side: one sees the table through them. */
export function holesOf({ other }: Cuts, light: PageLight): DrawnPiece[] {
  return other.map((path, i) =>
    bare(`hole ${i}`, '', [{ mark: 'fill', path, colour: TABLE }, ...edgeShadow(path, PAPER, light)], path),
  );
}

/** Openings of a page that meet each other, or lie over a fold or the paper's edge: what is wrong with each, in words. */
export function openingFaults(
  surface: Surface,
  panels: readonly { name: string; box: Box }[],
  tools: DrawingTools,
): Map<string, string> {
  const faults = new Map<string, string>();
  const cut = openingsIn(surface).map((piece) => ({ piece, path: openingOnPage(piece, tools) }));
  cut.forEach(({ piece, path }, i) => {
    const panel = panels.find(
      ({ box }) => overlaps(box, pathBounds(path)) && common(path, rectanglePath(box)).length,
    );
    const inside = panel && !without(path, rectanglePath(panel.box)).length;
    const other = cut.slice(0, i).find((each) => common(each.path, path).length);
    if (!panel) faults.set(piece.id, 'It lies beside the paper: nothing is cut.');
    else if (!inside) faults.set(piece.id, 'It reaches over a fold or the edge of the paper.');
    else if (other)
      faults.set(piece.id, `It meets the opening “${other.piece.name}”: what is between falls out.`);
  });
  return faults;
}
