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
const FAR = 43200;
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
}).noUnknown();

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

/** -1, 0 or 1: which side of the box a handle sits on. */
export type Side = -1 | 0 | 1;

/**
 * The placement after the handle at (`sx`, `sy`) was dragged to `to` on the page; the side opposite stays where it is.
 * A corner keeps proportion unless `free`; a side changes one measure only.
 */
export function resized(placement: Placement, sx: Side, sy: Side, to: Point, free = false): Placement {
  const { x, y } = apply(invert(placementMatrix(placement)), to);
  const { width, height } = placement;
  let w = sx === 0 ? width : Math.max(SMALLEST_PIECE, sx * x + width / 2);
  let h = sy === 0 ? height : Math.max(SMALLEST_PIECE, sy * y + height / 2);
  if (sx !== 0 && sy !== 0 && !free) {
    // The nearest point on the diagonal, so that the corner follows the hand in every direction.
    const along = (w * width + h * height) / (width * width + height * height);
    const scale = Math.max(along, SMALLEST_PIECE / Math.min(width, height));
    w = width * scale;
    h = height * scale;
  }
  const shift = apply(placementMatrix(placement), { x: (sx * (w - width)) / 2, y: (sy * (h - height)) / 2 });
  return { ...placement, x: shift.x, y: shift.y, width: w, height: h };
}
