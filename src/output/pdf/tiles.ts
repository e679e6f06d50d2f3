/** Pages in tiles: each is drawn once, and shown in part on every sheet. */
import { rectanglePath } from '@/core/geometry/path';
import { NO_SIDES } from '@/core/geometry/sides';
import { tileMarks } from '@/core/packing/tile-marks';
import { tilesOf, type Tiling } from '@/core/packing/tiles';
import { madeOf, type Picture } from '@/core/picture/picture';
import { n } from '@/output/pdf/crop-marks';
import { outline, rectangle } from '@/output/pdf/operators';
import type { Pen } from '@/output/pdf/pen';

/** What is written on each sheet; throws where no sheet could be printed on. */
export async function* tiledOn(pictures: readonly Picture[], tiling: Tiling, pen: Pen) {
  for (const picture of pictures) {
    const tiles = tilesOf(picture.trim, tiling);
    if (!tiles.ok) throw new RangeError(tiles.message);
    pen.start();
    const form = await pen.pictureApart(picture, madeOf({ ...picture, bleed: NO_SIDES }, false));
    for (const tile of tiles.value) {
      const { part, paper, at, scale } = tile;
      const write = () => {
        const [x, y] = [at.x - scale * part.x, at.y - scale * part.y];
        pen.write(`q ${n(scale)} 0 0 ${n(scale)} ${n(x)} ${n(y)} cm`);
        pen.write(`q ${outline(rectanglePath(part))} W n ${pen.show(form)} Q`);
        for (const { box, ink } of tileMarks(tile, tiles.value, tiling))
          pen.write(`${ink === 'white' ? 1 : 0} g ${rectangle(box)} f`);
        pen.write('Q');
      };
      yield { trim: paper, bleed: NO_SIDES, marks: null, write };
    }
  }
}
