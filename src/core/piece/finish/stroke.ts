/** A line along the cut edge. */
import { number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import type { Path } from '@/core/geometry/path';
import type { Mark, StrokeSide } from '@/core/picture/picture';

export interface Stroke {
  colour: string;
  /** Points, above 0. */
  width: number;
  side: StrokeSide;
}

export const STROKE_SIDES: readonly StrokeSide[] = ['inside', 'on', 'outside'];
export const WIDEST_STROKE = 144;

export const strokeSchema = object({
  colour: string().matches(HEX_COLOUR).required(),
  width: number().moreThan(0).max(WIDEST_STROKE).required(),
  side: string()
    .oneOf([...STROKE_SIDES])
    .required(),
}).noUnknown();

export const strokeMarks = (stroke: Stroke | null, path: Path): Mark[] =>
  stroke ? [{ mark: 'stroke', path, ...stroke }] : [];

/** How far a stroke makes the piece larger, points. */
export const strokeReach = (stroke: Stroke | null): number =>
  !stroke || stroke.side === 'inside' ? 0 : stroke.side === 'on' ? stroke.width / 2 : stroke.width;
