/** A card for each of some photos, covered by it and beyond its edge. */
import { bookPhoto, seenIn } from '@/core/book/photo';
import { withBleed } from '@/core/geometry/sides';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { addThings } from '@/core/packing/things';
import { plainName } from '@/core/project/create';
import type { Edit } from '@/core/project/edits/edit';
import { bleedWith, type Project, type Surface } from '@/core/project/model';
import { toPoints } from '@/core/units/lengths';

/** As photos are printed: 6 x 4 in, lying or standing (common practice, no source). */
const [LONG, SHORT] = [toPoints(6, 'in'), toPoints(4, 'in')];

/** As many as there is room for in the product, in their order; each is a piece with one of these ids. */
export const photoCards = (photos: readonly Asset[], ids: readonly string[], unit: Project['unit']): Edit =>
  addThings(
    photos.length === 1 ? 'add a photo as a card' : `add ${photos.length} photos as cards`,
    photos.map((asset, i) => {
      const { width, height } = uprightSize(asset);
      const size = height > width ? { width: SHORT, height: LONG } : { width: LONG, height: SHORT };
      return {
        ...size,
        groups: [],
        pile: [covering(ids[i]!, asset, { ...size, bleed: bleedWith(undefined, unit) })],
      };
    }),
  );

function covering(id: string, asset: Asset, surface: Pick<Surface, 'width' | 'height' | 'bleed'>): Piece {
  const box = withBleed(surface);
  const { x, y } = seenIn(bookPhoto(asset), { ...box, gutter: null });
  return {
    ...{ id, name: plainName(asset.name), role: 'photo' },
    material: { kind: 'photo', asset: asset.sha, window: { ...WHOLE, x, y } },
    outline: { kind: 'rectangle', radius: 0 },
    finish: finishOf(0),
    placement: placedAt(box),
  };
}
