/** Where a piece lies: its box before turning, its turn and mirror, and whether it is locked or hidden. */
import { boolean, number, object } from 'yup';
import { centredBox, transformBox, type Box } from '@/core/geometry/box';
import {
  apply,
  compose,
  invert,
  rotation,
  scaling,
  translation,
  type Matrix,
  type Point,
} from '@/core/geometry/matrix';

export interface Placement {
  /** The box's centre on the page, points from the trim's top left. */
  x: number;
  y: number;
  width: number;
  height: number;
  /** Degrees clockwise about the centre, above -180 and up to 180. */
  turn: number;
  /** Left and right exchanged, before turning. */
  mirror: boolean;
  locked: boolean;
  hidden: boolean;
}

/** Ten times the largest page, so that nothing is ever lost out of reach. */
export const FAR = 43200;
/** Smallest side of a piece, points. */
export const SMALLEST_PIECE = 1;

export const placementSchema = object({
  x: number().min(-FAR).max(FAR).required(),
  y: number().min(-FAR).max(FAR).required(),
  width: number().min(SMALLEST_PIECE).max(FAR).required(),
  height: number().min(SMALLEST_PIECE).max(FAR).required(),
  turn: number().min(-180).max(180).required(),
  mirror: boolean().required(),
  locked: boolean().required(),
  hidden: boolean().required(),
})
  .noUnknown()
  .meta({ named: 'placement' });

export const placedAt = (box: Box, turn = 0): Placement => ({
  x: box.x + box.width / 2,
  y: box.y + box.height / 2,
  width: box.width,
  height: box.height,
  turn,
  mirror: false,
  locked: false,
  hidden: false,
});

/** The piece's own frame (origin at its centre, unturned) to the page. */
export const placementMatrix = ({ x, y, turn, mirror }: Placement): Matrix =>
  compose(translation(x, y), rotation(turn), scaling(mirror ? -1 : 1, 1));

/** The upright box that holds the turned box, on the page. */
export const extentOf = (placement: Placement): Box =>
  transformBox(placementMatrix(placement), centredBox(placement));

/** Degrees brought into the range above -180 and up to 180. */
export function normalTurn(degrees: number): number {
  const within = ((degrees % 360) + 360) % 360;
  return within > 180 ? within - 360 : within;
}

/** A change of the whole page that keeps shapes: scaled and turned about a point, then moved. */
export interface Similarity {
  about: Point;
  scale: number;
  /** Degrees clockwise. */
  turn: number;
  move: Point;
}

/** The map of a similarity. */
const similarityMatrix = ({ about, scale, turn, move }: Similarity): Matrix =>
  compose(
    translation(about.x + move.x, about.y + move.y),
    rotation(turn),
    scaling(scale),
    translation(-about.x, -about.y),
  );

/** A placement carried along by a similarity: nothing is ever sheared. */
export function carried(placement: Placement, by: Similarity): Placement {
  const { x, y } = apply(similarityMatrix(by), placement);
  return {
    ...placement,
    x,
    y,
    width: Math.max(SMALLEST_PIECE, placement.width * by.scale),
    height: Math.max(SMALLEST_PIECE, placement.height * by.scale),
    turn: normalTurn(placement.turn + by.turn),
  };
}

/** A placement seen in a mirror that stands at `at`: upright (left and right change) or level (top and bottom). */
export function mirrored(placement: Placement, axis: 'x' | 'y', at: number): Placement {
  const { x, y, turn, mirror } = placement;
  return axis === 'x'
    ? { ...placement, x: 2 * at - x, mirror: !mirror, turn: normalTurn(-turn) }
    : { ...placement, y: 2 * at - y, mirror: !mirror, turn: normalTurn(180 - turn) };
}

/** -1, 0 or 1: which side of the box a handle sits on. */
export type Side = -1 | 0 | 1;

/**
 * The placement after the handle at (`sx`, `sy`) was dragged to `to` on the page; the side opposite stays where it is.
 * A corner keeps proportion unless `free`; a side changes one measure only, or both if `whole`. `centred` keeps the middle
 * where it is.
 */
export function resized(
  placement: Placement,
  sx: Side,
  sy: Side,
  to: Point,
  { free = false, whole = false, centred = false } = {},
): Placement {
  const { x, y } = apply(invert(placementMatrix(placement)), to);
  const { width, height } = placement;
  const drawn = (side: Side, at: number, length: number) =>
    side === 0 ? length : Math.max(SMALLEST_PIECE, centred ? 2 * side * at : side * at + length / 2);
  let w = drawn(sx, x, width);
  let h = drawn(sy, y, height);
  if (whole && !free && (sx === 0 || sy === 0)) {
    const scale = Math.max(sx === 0 ? h / height : w / width, SMALLEST_PIECE / Math.min(width, height));
    w = width * scale;
    h = height * scale;
  } else if (sx !== 0 && sy !== 0 && !free) {
    // The nearest point on the diagonal, so that the corner follows the hand in every direction.
    const along = (w * width + h * height) / (width * width + height * height);
    const scale = Math.max(along, SMALLEST_PIECE / Math.min(width, height));
    w = width * scale;
    h = height * scale;
  }
  if (centred) return { ...placement, width: w, height: h };
  const shift = apply(placementMatrix(placement), { x: (sx * (w - width)) / 2, y: (sy * (h - height)) / 2 });
  return { ...placement, x: shift.x, y: shift.y, width: w, height: h };
}
