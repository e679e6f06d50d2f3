/** A card for each of some photos, covered by it and beyond its edge. */
import { bookPhoto, seenIn } from '@/core/book/photo';
import { withBleed } from '@/core/geometry/sides';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { freshThing, MOST_THINGS, sheetIn, type Thing } from '@/core/product/sheet';
import { plainName } from '@/core/project/create';
import type { Edit } from '@/core/project/edits/edit';
import { changeProduct } from '@/core/project/edits/product';
import type { Project, Surface } from '@/core/project/model';
import { toPoints } from '@/core/units/lengths';

/** As photos are printed: 6 x 4 in, lying or standing (common practice, no source). */
const [LONG, SHORT] = [toPoints(6, 'in'), toPoints(4, 'in')];

/** As many as there is room for in the product, in their order; each is a piece with one of these ids. */
export const photoCards = (photos: readonly Asset[], ids: readonly string[]): Edit => ({
  label: photos.length === 1 ? 'add a photo as a card' : `add ${photos.length} photos as cards`,
  apply(project) {
    const product = sheetIn(project.product);
    if (!product) return;
    const [first] = project.surfaces;
    // A sheet that was just begun has one card, with nothing on it: the first photo takes it.
    const begun = product.things.length === 1 && !first!.pile.length && !product.things[0]!.back;
    const things: Thing[] = begun ? [] : [...product.things];
    const of = new Map<string, readonly [id: string, asset: Asset]>();
    for (const [i, asset] of photos.slice(0, MOST_THINGS - things.length).entries()) {
      const { width, height } = uprightSize(asset);
      const part = begun && i === 0 ? product.things[0]!.part : freshThing(things.map((thing) => thing.part));
      const standing = height > width;
      things.push({ part, width: standing ? SHORT : LONG, height: standing ? LONG : SHORT, count: 1 });
      of.set(part, [ids[i]!, asset]);
    }
    changeProduct({ ...product, things }, '').apply(project);
    for (const surface of (project as Project).surfaces) {
      const photo = of.get(surface.part ?? '');
      if (photo) surface.pile.push(covering(...photo, surface));
    }
  },
});

function covering(id: string, asset: Asset, surface: Surface): Piece {
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
