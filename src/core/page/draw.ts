/** Page to Picture: the only way from the model to anything that can be seen. */
import { boxOfPoints, corners, outset, overlaps, type Box } from '@/core/geometry/box';
import { NO_SIDES, withBleed, type Sides } from '@/core/geometry/sides';
import { pathBounds, rectanglePath, transformPath } from '@/core/geometry/path';
import { apply, translation, compose, IDENTITY } from '@/core/geometry/matrix';
import {
  reachOf,
  type DrawnPiece,
  type FillMark,
  type ImageMark,
  type Mark,
  type Picture,
} from '@/core/picture/picture';
import { cutOf, type DrawingTools } from '@/core/page/outlines';
import { goneOn, meetingOn, type Beneath } from '@/core/page/meeting';
import { cutAway, cutsOf, goneAt, holesOf, isOpening, leftOf, seenThrough } from '@/core/page/through';
import { tuckedOn, type Tucked } from '@/core/page/tuck';
import { isBare, marksOver, marksUnder } from '@/core/piece/finish';
import type { PageLight } from '@/core/piece/finish/light';
import { lightFrom } from '@/core/piece/finish/treatments';
import { evenColour, materialKind, type Material } from '@/core/piece/material';
import { isWritten } from '@/core/piece/outline';
import type { InkedLetters } from '@/core/piece/outline/kind';
import type { Cut } from '@/core/piece/material/kind';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Panel } from '@/core/product/product';
import { coverOf, type Taken } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';

/** The pieces that show, bottom first. Hidden ones are left out. */
export function drawSurface(surface: Surface, tools: DrawingTools): Picture {
  const { folds = [], paper = null } = tools.sides?.(surface) ?? {};
  const cuts = cutsOf(surface, tools);
  const openings = cuts ? [...cuts.own.map(({ path }) => path), ...cuts.other] : [];
  return {
    title: surface.name,
    trim: { width: surface.width, height: surface.height },
    bleed: surface.bleed,
    ground: surface.ground,
    pieces: drawPile(surface, tools),
    ...(folds.length ? { folds } : {}),
    ...(paper ? { paper } : {}),
    ...(openings.length ? { openings } : {}),
  };
}

/** A surface, or one panel of it, as it comes out. */
export const drawTaken = ({ surface, panel }: Taken<Surface>, tools: DrawingTools): Picture =>
  panel ? drawPart(surface, panel, tools) : drawSurface(surface, tools);

/** What of it is printed beyond its trim. */
export const bleedOf = ({ surface, panel }: Taken<Surface>): Sides =>
  panel ? beyondPanel(surface, panel) : surface.bleed;

/** A part of a surface by itself: a panel of what is folded, turned to be read. */
export function drawPart(surface: Surface, panel: Panel, tools: DrawingTools): Picture {
  const { name, box, turn } = panel;
  const { folds: _, paper: __, openings: ___, ...whole } = drawSurface(surface, tools);
  const { x, y, width, height } = box;
  const bleed = beyondPanel(surface, { name, box });
  const seen = withBleed({ width, height, bleed });
  // What lies on other panels alone is none of its business.
  const upright = whole.pieces
    .map((piece) => movedPiece(piece, -x, -y))
    .filter(({ bounds }) => overlaps(bounds, seen));
  const over = (piece: DrawnPiece): DrawnPiece => ({
    ...piece,
    matrix: compose([-1, 0, 0, -1, width, height], piece.matrix),
    bounds: {
      ...piece.bounds,
      x: width - piece.bounds.x - piece.bounds.width,
      y: height - piece.bounds.y - piece.bounds.height,
    },
  });
  return {
    ...{ ...whole, title: name, trim: { width, height }, bleed: beyondPanel(surface, panel) },
    pieces: turn ? upright.map(over) : upright,
  };
}

/** What is printed beyond a panel: the bleed where it ends with its paper, nothing at a fold, where the next one begins. */
function beyondPanel({ width, height, bleed }: Surface, { box, turn }: Panel): Sides {
  const near = (a: number, b: number) => Math.abs(a - b) < 0.01;
  const top = near(box.y, 0) ? bleed.top : 0;
  const right = near(box.x + box.width, width) ? bleed.right : 0;
  const bottom = near(box.y + box.height, height) ? bleed.bottom : 0;
  const left = near(box.x, 0) ? bleed.left : 0;
  return turn ? { top: bottom, right: left, bottom: top, left: right } : { top, right, bottom, left };
}

/** What stands for a whole project: its first page, or the first panel of what is folded. */
export function drawCover(project: Project, tools: DrawingTools): Picture {
  const { surface, panel } = coverOf(project);
  return drawPart(surface, panel, tools);
}

/** A page as a paper by itself: where openings are, one sees through to nothing. */
export function drawClear(surface: Surface, tools: DrawingTools): Picture {
  const { width, height, bleed } = surface;
  const all = withBleed(surface);
  const cuts = cutsOf(surface, tools);
  const ground: DrawnPiece = {
    ...{ id: 'ground', name: '', matrix: IDENTITY, opacity: 1, bounds: all },
    marks: [{ mark: 'fill', path: rectanglePath(all), colour: surface.ground }],
  };
  const left = cuts ? leftOf(goneAt(-1, all, cuts), all, IDENTITY) : null;
  return {
    ...{ title: surface.name, trim: { width, height }, bleed, ground: null },
    pieces: [cutAway(ground, left), ...drawPile(surface, tools, undefined, true)],
  };
}

/** Some pieces as they lie in the pile, by themselves: nothing around them, and no larger than what is drawn of them. */
export function drawAlone(surface: Surface, ids: readonly string[], tools: DrawingTools): Picture {
  const wanted = new Set(ids);
  const pieces = drawPile(surface, tools, ({ id }) => wanted.has(id));
  const { x, y, width, height } = boxOfPoints(pieces.flatMap(({ bounds }) => corners(bounds)));
  return {
    title: pieces.map(({ name }) => name).join(', '),
    trim: { width, height },
    bleed: NO_SIDES,
    ground: null,
    pieces: pieces.map((piece) => movedPiece(piece, -x, -y)),
  };
}

/** A drawn piece elsewhere, points. */
export const movedPiece = (piece: DrawnPiece, dx: number, dy: number): DrawnPiece => ({
  ...piece,
  matrix: compose(translation(dx, dy), piece.matrix),
  bounds: { ...piece.bounds, x: piece.bounds.x + dx, y: piece.bounds.y + dy },
});

function drawPile(
  surface: Surface,
  tools: DrawingTools,
  wanted?: (piece: Piece) => boolean,
  clear = false,
): DrawnPiece[] {
  const { pile, light } = surface;
  const tucked = tuckedOn(pile, light, tools);
  const shown = pile.filter((piece) => !piece.placement.hidden && (!wanted || wanted(piece)));
  const beneath = meetingOn(shown, tools);
  // Pieces by themselves lie on no paper that anything could be cut out of.
  const cuts = wanted ? null : cutsOf(surface, tools);
  const pieces = shown.flatMap((piece) => {
    const drawn = drawPiece(piece, light, tools, {
      tucked: tucked.get(piece.id),
      beneath: beneath.get(piece.id),
    });
    if (!cuts) return [drawn];
    const gone = goneAt(pile.indexOf(piece), drawn.bounds, cuts);
    const left = cutAway(drawn, leftOf(gone, drawn.bounds, drawn.matrix));
    return isOpening(piece) && !clear ? [...drawThrough(piece, surface, tools), left] : [left];
  });
  return cuts && !clear ? [...holesOf(cuts, light), ...pieces] : pieces;
}

/** What is seen through an opening: what lies behind is drawn as it is by itself, nothing seen through that. */
export const drawThrough = (piece: Piece, surface: Surface, tools: DrawingTools): DrawnPiece[] =>
  seenThrough(piece, surface, tools, (behind) => drawPile(behind, { ...tools, sides: undefined }));

/** What others on the page make of a piece. */
export interface Among {
  tucked?: Tucked | undefined;
  beneath?: Beneath | undefined;
}

/** One piece by itself, or as what lies around it leaves it to be seen. */
export function drawPiece(
  piece: Piece,
  light: PageLight,
  tools: DrawingTools,
  { tucked, beneath }: Among = {},
): DrawnPiece {
  const { placement, finish } = piece;
  const matrix = placementMatrix(placement);
  const letters = lettersAlone(piece, tools);
  const whole: readonly Mark[] = letters ? [letters] : marksOf(piece, light, matrix, tools, beneath);
  const marks = tucked
    ? [
        ...whole.map((mark) => ({ ...mark, within: [tucked.seen, ...(mark.within ?? [])] })),
        ...tucked.shadows,
      ]
    : whole;
  return {
    id: piece.id,
    name: piece.name,
    matrix,
    opacity: finish.opacity,
    ...(finish.blend ? { blend: finish.blend } : {}),
    marks,
    // What shows nothing of its own, as an opening, is where its cut is.
    bounds: marks.length
      ? boundsOf(marks, matrix)
      : pathBounds(transformPath(matrix, cutOf(piece, tools).path)),
    words: isWritten(piece.outline) ? piece.outline.text : undefined,
  };
}

/** All that is drawn of a piece, the lowest first. */
function marksOf(
  piece: Piece,
  light: PageLight,
  matrix: DrawnPiece['matrix'],
  tools: DrawingTools,
  beneath: Beneath | undefined,
): Mark[] {
  const { finish, material } = piece;
  const { path, face, inked, more } = cutOf(piece, tools);
  const cut = cutFor(piece, tools, light);
  return [
    ...(beneath ? goneOn(materialKind(material).fill(material, cut), piece, beneath) : []),
    // The edge of an opening throws its shadow into it, not out of it.
    ...(isOpening(piece) ? [] : marksUnder(finish, light, path, matrix, tools)),
    // Torn paper is white inside.
    ...(face ? [{ mark: 'fill' as const, path, colour: BARE }] : []),
    ...(inked ? lettersInOrder(inked, material, cut) : materialKind(material).fill(material, cut)),
    ...(more ?? []),
    ...marksOver(finish, { path, face, light, toPage: matrix, tools }),
  ];
}

/** Words in one ink and nothing done to them, as most are: their outline is not made until somebody asks for it. */
function lettersAlone(piece: Piece, tools: DrawingTools): FillMark | null {
  const { outline, material, finish } = piece;
  const colour = evenColour(material);
  if (colour === undefined || !isWritten(outline) || !isBare(finish)) return null;
  const made = cutOf(piece, tools);
  if (!made.bounds || !made.words || made.inked) return null;
  return {
    mark: 'fill',
    colour,
    words: made.words,
    bounds: made.bounds,
    get path() {
      return made.path;
    },
  };
}

/** Letters in several inks, in the order they are read: so they stand in a PDF. A material that is no ink lies beneath them. */
function lettersInOrder(inked: readonly InkedLetters[], material: Material, cut: Cut): Mark[] {
  const base = evenColour(material);
  return [
    ...(base === undefined ? materialKind(material).fill(material, cut) : []),
    ...inked.flatMap(({ ink = base, path, words }): Mark[] =>
      ink === undefined ? [] : [{ mark: 'fill', colour: ink, path, words }],
    ),
  ];
}

const cutFor = (piece: Piece, tools: DrawingTools, light?: PageLight): Cut => {
  const made = cutOf(piece, tools);
  const { face, plain, soft, words, lines } = made;
  const { typesetter, asset } = tools;
  return {
    ...{ size: piece.placement, soft, words, typesetter, asset },
    get path() {
      return face ?? plain ?? made.path;
    },
    ...(lines && light
      ? {
          drawn: () =>
            lines({
              toward: lightFrom(light, placementMatrix(piece.placement)),
              strength: light.strength,
              asset,
            }),
        }
      : {}),
  };
};

/** How a piece shows its picture: where the picture lies in the piece, and what cuts it; null if it shows none. */
export function pictureOn(piece: Piece, tools: DrawingTools): ImageMark | null {
  const marks = materialKind(piece.material).fill(piece.material, cutFor(piece, tools));
  return marks.find((mark) => mark.mark === 'image') ?? null;
}

function boundsOf(marks: readonly Mark[], matrix: DrawnPiece['matrix']): Box {
  const reached = marks.flatMap((mark) => {
    const { box, by, offset } = reachOf(mark);
    const map = compose(matrix, translation(offset.x, offset.y));
    return corners(outset(box, by)).map((corner) => apply(map, corner));
  });
  return boxOfPoints(reached);
}

/** The inside of torn paper. */
const BARE = '#f8f5ee';
