/** Faces that are cut, covered, or lie where the paper is bound. */
import { apply, type Point } from '@/core/geometry/matrix';
import { contains, pathBounds, rectanglePath, transformPath } from '@/core/geometry/path';
import { within, type Box } from '@/core/geometry/box';
import { cutOf } from '@/core/page/outlines';
import { shownOn } from '@/core/page/shown';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { windowMatrix } from '@/core/piece/material/window';
import { placementMatrix } from '@/core/piece/placement/placement';
import { uprightSize } from '@/core/picture/asset';
import { boundOn, foldsOn } from '@/core/product';
import { on, type Check, type Looked } from '@/core/proof/check';

/** Points of a face that are looked at, a side; and how many of them may be lost before it is told, as a share. */
const POINTS = 7;
const LOST = 0.12;
/** What is so clear hides nothing. */
const CLEAR = 0.4;

export const FACES: Check = {
  id: 'faces',
  look: (page) =>
    page.seen.flatMap((piece, i) => {
      const says = facesOn(piece, page).map((face) => lostIn(face, piece, page.seen.slice(i + 1), page));
      const [first] = says.filter((each) => each !== null);
      return first ? [on(piece, first)] : [];
    }),
};

/** For each face of the photos behind a piece's cut, points of it on the page. */
function facesOn(piece: Piece, { tools }: Looked): Point[][] {
  return shownOn(piece, tools).flatMap((shown) => {
    const faces = shown?.asset.faces ?? [];
    if (!shown || !faces.length) return [];
    const whole = uprightSize(shown.asset);
    const own = windowMatrix(shown.window, whole, shown.box, shown.scale);
    const middle = { x: shown.box.x + shown.box.width / 2, y: shown.box.y + shown.box.height / 2 };
    const page = placementMatrix(piece.placement);
    return faces.map(({ x, y, width, height }) =>
      Array.from({ length: POINTS * POINTS }, (_, k) => {
        const at = {
          x: (x + (width * ((k % POINTS) + 0.5)) / POINTS) * whole.width,
          y: (y + (height * (Math.floor(k / POINTS) + 0.5)) / POINTS) * whole.height,
        };
        const inBox = apply(own, at);
        return apply(page, { x: inBox.x + middle.x, y: inBox.y + middle.y });
      }),
    );
  });
}

/** What has become of a face, in words; null if it is whole, or is wholly out of sight by intent. */
function lostIn(
  face: readonly Point[],
  piece: Piece,
  above: readonly Piece[],
  looked: Looked,
): string | null {
  const { project, surface, tools } = looked;
  const cut = transformPath(placementMatrix(piece.placement), cutOf(piece, tools).path);
  const page: Box = { x: 0, y: 0, width: surface.width, height: surface.height };
  const share = (lost: (point: Point) => boolean) => face.filter(lost).length / face.length;
  const out = share((point) => !contains(cut, point) || !within(page, point));
  if (out > LOST && out < 1) return 'A face is cut: slide the photo in its place, or make the place larger.';
  if (out === 1) return null;
  const covers = above.filter(
    ({ finish, placement }) =>
      finish.opacity > CLEAR && !placement.hidden && (finish.blend ?? 'normal') === 'normal',
  );
  const paths = covers.map((each) => {
    const { path } = cutOf(each, tools);
    // Words over a face hide it between their letters, too.
    const whole = isWritten(each.outline) && path.length ? rectanglePath(pathBounds(path)) : path;
    return { name: each.name, path: transformPath(placementMatrix(each.placement), whole) };
  });
  const covered = share((point) => paths.some(({ path }) => contains(path, point)));
  if (covered > LOST) {
    const by = paths.find(({ path }) => face.some((point) => contains(path, point)))!;
    return `A face is covered by “${by.name}”.`;
  }
  const bound = boundOn(project, surface);
  const folds = foldsOn(project, surface);
  const lost = share((point) => bound.some(({ box }) => within(box, point)));
  const split = folds.some(
    ({ axis, at }) => face.some((p) => p[axis] < at) && face.some((p) => p[axis] > at),
  );
  return lost > LOST || split ? 'A face lies in the gutter: move the photo, or slide it in its place.' : null;
}
