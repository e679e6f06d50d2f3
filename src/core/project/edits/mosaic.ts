/** A mosaic on a page: photos in cells and a picture seen over them, as one group whose pieces stay adjustable. */
import type { Box } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import type { Blend } from '@/core/picture/blend';
import { finishOf } from '@/core/piece/finish';
import { firstWindow } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { plainName } from '@/core/project/create';
import type { Sheet } from '@/core/mosaic/plan';
import type { Edit } from '@/core/project/edits/edit';
import { renumber } from '@/core/project/edits/page';
import { gather } from '@/core/project/edits/gather';
import { hasPages } from '@/core/product';
import { newSurface, surfaceOf, type Project } from '@/core/project/model';

export interface Mosaic {
  /** Points between cells, and the area they share, on the page. */
  gap: number;
  area: Box;
  photos: readonly Asset[];
  /** Which photo, by its place in the list, in which cell. */
  sheets: readonly Sheet[];
  /** The picture that is seen over all of it. */
  over: { asset: Asset; blend: Blend | null; opacity: number } | null;
}

/** What common practice begins with: a screen blend at about 60 % (no source). */
export const USUAL_BLEND: Blend = 'screen';
export const USUAL_OPACITY = 0.6;

/** Where the cells of a sheet lie, row by row. */
const cellBoxes = ({ gap, area }: Pick<Mosaic, 'gap' | 'area'>, rows: readonly number[]): Box[] => {
  const height = (area.height - (rows.length - 1) * gap) / rows.length;
  return rows.flatMap((columns, row) => {
    const width = (area.width - (columns - 1) * gap) / columns;
    return Array.from({ length: columns }, (_, column) => ({
      x: area.x + column * (width + gap),
      y: area.y + row * (height + gap),
      width,
      height,
    }));
  });
};

const photoIn = (id: string, group: string, asset: Asset, box: Box): Piece => ({
  id,
  name: plainName(asset.name),
  role: 'photo',
  material: { kind: 'photo', asset: asset.sha, window: firstWindow(asset) },
  outline: { kind: 'rectangle', radius: 0 },
  finish: finishOf(0),
  placement: placedAt(box),
  groups: [group],
});

/** Lays a mosaic on top of a page's pile; further sheets become pages after it. */
export const layMosaic = (surfaceId: string, mosaic: Mosaic, newId: () => string): Edit => {
  const sheets = mosaic.sheets.map(({ rows, cells }, sheet) => {
    const group = newId();
    const { over, photos, area } = mosaic;
    const boxes = cellBoxes(mosaic, rows);
    const pile = cells.map((photo, cell) => photoIn(newId(), group, photos[photo]!, boxes[cell]!));
    if (over) {
      const picture = photoIn(newId(), group, over.asset, area);
      const { blend, opacity } = over;
      pile.push({ ...picture, finish: { ...picture.finish, opacity, ...(blend ? { blend } : {}) } });
    }
    return { id: sheet ? newId() : surfaceId, group: { id: group, name: 'Mosaic' }, pile };
  });
  return {
    label: `lay mosaic of ${mosaic.photos.length} photos`,
    apply(project) {
      gather('photos', [...mosaic.photos, ...(mosaic.over ? [mosaic.over.asset] : [])]).apply(project);
      const first = project.surfaces.findIndex(({ id }) => id === surfaceId);
      // Where no page can be added the first sheet is all there is.
      const fits = hasPages(project as Project) ? sheets : sheets.slice(0, 1);
      fits.forEach(({ id, group, pile }, sheet) => {
        if (sheet) {
          const like = surfaceOf(project, surfaceId);
          const page = newSurface(id, `Page ${first + sheet + 1}`, like, project.unit);
          project.surfaces.splice(first + sheet, 0, {
            ...page,
            bleed: { ...like.bleed },
            safe: { ...like.safe },
            light: { ...like.light },
          });
        }
        const surface = surfaceOf(project, id);
        surface.groups.push({ ...group });
        surface.pile.push(...structuredClone(pile));
      });
      project.surfaces.forEach(renumber);
    },
  };
};
