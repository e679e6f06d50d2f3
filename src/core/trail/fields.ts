/** Fields that several kinds of trail share, and the limits they are held to. Lengths in points. */
import { number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { SHA256 } from '@/core/piece/material/picture';
import { CORNER_WAYS } from '@/core/trail/course';

export const FINEST_TRAIL = 0.25;
export const WIDEST_TRAIL = 720;

export const colourField = string().matches(HEX_COLOUR).required();
export const shareField = number().min(0).max(1).required();
export const seedField = number().integer().min(0).max(1e9).required();
export const widthField = number().min(FINEST_TRAIL).max(WIDEST_TRAIL).required();
export const degreesField = number().min(-360).max(360).required();
export const cornersField = string()
  .oneOf([...CORNER_WAYS])
  .required();

/** A picture that is laid along a line. */
export interface Pictured {
  /** SHA-256 of its file. */
  asset: string;
  /** Its height by its width, upright. */
  ratio: number;
}
export const picturedField = object({
  asset: string().matches(SHA256).required(),
  ratio: number().min(0.001).max(1000).required(),
}).noUnknown();

/** A width within the limits. */
export const asWide = (width: number, least = FINEST_TRAIL, most = WIDEST_TRAIL): number =>
  Math.min(most, Math.max(least, width));
