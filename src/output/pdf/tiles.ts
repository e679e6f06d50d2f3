/** Pages in tiles: each is drawn once, and shown in part on every sheet. */
import { rectanglePath } from '@/core/geometry/path';
import { NO_SIDES } from '@/core/geometry/sides';
import { tilesOf, type Tile, type Tiling } from '@/core/packing/tiles';
import { madeOf, type Picture } from '@/core/picture/picture';
import { n } from '@/output/pdf/crop-marks';
import { outline, rectangle, type Pen } from '@/output/pdf/pen';

/** How long the marks are by which the next sheet is laid, points. */
const MARK = 9;

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
        for (const mark of marksOn(tile, tiles.value, tiling))
          pen.write(`1 g ${mark.wide} f 0 g ${mark.fine} f`);
        pen.write('Q');
      };
      yield { trim: paper, bleed: NO_SIDES, marks: null, write };
    }
  }
}

/** Where the next sheets begin, at both ends of their edges: what lies over them hides them again. */
function marksOn({ part, column, row }: Tile, all: readonly Tile[], { overlap }: Tiling) {
  const { x, y, width, height } = part;
  const [right, below] = [x + width - overlap, y + height - overlap];
  const next = all.some((one) => one.row === row && one.column === column + 1);
  const under = all.some((one) => one.column === column && one.row === row + 1);
  const line = (from: [number, number], to: [number, number]) => {
    const grown = (by: number) =>
      rectangle({
        x: from[0] - by,
        y: from[1] - by,
        width: to[0] - from[0] + 2 * by,
        height: to[1] - from[1] + 2 * by,
      });
    return { wide: grown(0.6), fine: grown(0.2) };
  };
  return [
    ...(next
      ? [
          line([right + 1, y], [right + 1, y + MARK]),
          line([right + 1, y + height - MARK], [right + 1, y + height]),
        ]
      : []),
    ...(under
      ? [
          line([x, below + 1], [x + MARK, below + 1]),
          line([x + width - MARK, below + 1], [x + width, below + 1]),
        ]
      : []),
  ];
}
