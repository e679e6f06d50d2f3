/** The desk's photos in rows: each as high as the others, as wide as its shape, under the heading of what they belong to. */
import type { Asset } from '@/core/picture/asset';
import { shapeOf } from '@/core/project/photos';

/** Photos under a heading. */
export interface Section {
  title: string;
  /** What is said of it beside its title. */
  says: string;
  photos: readonly Asset[];
}

export type DeskRow =
  | { kind: 'heading'; section: Section; from: number }
  | { kind: 'photos'; photos: readonly Asset[]; from: number };

export const HEADING_HEIGHT = 46;
export const PHOTO_HEIGHT = 112;
export const GAP = 8;
/** Widest for its height a photo is shown: panoramas are cropped. */
const WIDEST = 2.4;
const NARROWEST = 0.5;

export const widthOf = (asset: Asset): number =>
  Math.round(PHOTO_HEIGHT * Math.min(WIDEST, Math.max(NARROWEST, shapeOf(asset))));

/** `from` counts the photos before a row, over all sections. */
export function rowsOf(sections: readonly Section[], width: number): DeskRow[] {
  const rows: DeskRow[] = [];
  let from = 0;
  for (const section of sections) {
    rows.push({ kind: 'heading', section, from });
    let row: Asset[] = [];
    let taken = 0;
    for (const asset of section.photos) {
      const wide = widthOf(asset) + GAP;
      if (row.length && taken + wide > width) {
        rows.push({ kind: 'photos', photos: row, from });
        from += row.length;
        [row, taken] = [[], 0];
      }
      row.push(asset);
      taken += wide;
    }
    if (row.length) rows.push({ kind: 'photos', photos: row, from });
    from += row.length;
  }
  return rows;
}
