/** What is known of a picture file. Its bytes live elsewhere, named by their SHA-256, and never change. */
import type { Box, Size } from '@/core/geometry/box';
import type { Matrix } from '@/core/geometry/matrix';
import type { PhotoNotes } from '@/core/photos/notes';

export type AssetType = 'image/jpeg' | 'image/png' | 'image/webp' | 'image/heic' | 'image/svg+xml';

export interface Asset {
  /** SHA-256 of the bytes, lower-case hexadecimal. */
  sha: string;
  type: AssetType;
  /** The file's name when it was brought in. */
  name: string;
  bytes: number;
  /** Pixels as stored in the file, before any turn. A drawing counts 300 to the inch. */
  width: number;
  height: number;
  /** How the stored pixels must be turned to be upright: 1 to 8, as in Exif 2.32, table 6 (tag 0x0112). */
  orientation: number;
  /** Pixels per inch the file states, or 300. */
  ppi: number;
  /** Local time the photo was taken, `2026-05-16T14:32:00`, if the file says so. */
  taken?: string;
  /** Where the thing lies that matters, as shares of the upright width and height (`focusOf`); the middle if not known. */
  focus?: { x: number; y: number };
  /** Faces found in it, as shares of the upright width and height, largest first; absent while nobody looked. */
  faces?: Box[];
  /** How blurred its sharpest part is, 0 to 1 (`blurOf`); absent if not known, or if it is plain all over. */
  blur?: number;
  /** What it looks like, for finding others like it (`likenessOf`). */
  likeness?: string;
  /** Who, where and what. */
  notes?: PhotoNotes;
  /** The outline of what is not transparent, as path data in upright pixels; absent for a full rectangle. */
  cut?: string;
  /** The transparent openings a photo can lie behind, as path data in upright pixels, largest first. */
  holes?: string[];
  /** How high the thing in it stands when laid, mm, where that is known. */
  lift?: number;
}

/** Pixels a picture may have: 200 million, about 14000 x 14000. */
export const MOST_PIXELS = 200_000_000;
/** Openings a frame may have. */
export const MOST_HOLES = 60;

export const EXTENSIONS: Record<AssetType, string> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/heic': 'heic',
  'image/svg+xml': 'svg',
};

export const uprightSize = ({ width, height, orientation }: Asset): Size =>
  orientation >= 5 ? { width: height, height: width } : { width, height };

/** Stored pixels to upright pixels, for each Exif orientation (Exif 2.32, figure of tag 0x0112). */
export function uprightMatrix({
  width: w,
  height: h,
  orientation,
}: Pick<Asset, 'width' | 'height' | 'orientation'>): Matrix {
  switch (orientation) {
    case 2:
      return [-1, 0, 0, 1, w, 0];
    case 3:
      return [-1, 0, 0, -1, w, h];
    case 4:
      return [1, 0, 0, -1, 0, h];
    case 5:
      return [0, 1, 1, 0, 0, 0];
    case 6:
      return [0, 1, -1, 0, h, 0];
    case 7:
      return [0, -1, -1, 0, h, w];
    case 8:
      return [0, -1, 1, 0, 0, w];
    default:
      return [1, 0, 0, 1, 0, 0];
  }
}
