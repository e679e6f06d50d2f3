/** Marks moved within their frame. */
import { translation, compose, type Point } from '@/core/geometry/matrix';
import { transformPath } from '@/core/geometry/path';
import type { Mark, PaintMark, Seen } from '@/core/picture/picture';

/** The marks so far to the right and down, points; those that are cut together still are. */
export function movedMarks(marks: readonly Mark[], { x, y }: Point): Mark[] {
  if (x === 0 && y === 0) return [...marks];
  const map = translation(x, y);
  const areas = new Map<Seen, Seen>();
  const seen = (each: Seen): Seen => {
    let made = areas.get(each);
    if (!made) {
      made = {
        ...each,
        area: transformPath(map, each.area),
        ...(each.less ? { less: paint(each.less) } : {}),
      };
      areas.set(each, made);
    }
    return made;
  };
  const paint = (mark: PaintMark): PaintMark => ({
    ...mark,
    path: transformPath(map, mark.path),
    at: { x: mark.at.x + x, y: mark.at.y + y },
  });
  return marks.map((mark): Mark => ({
    ...moved(mark),
    ...(mark.within ? { within: mark.within.map(seen) } : {}),
  }));

  function moved(mark: Mark): Mark {
    switch (mark.mark) {
      case 'paint':
        return paint(mark);
      case 'stamps':
        return {
          ...mark,
          places: mark.places.map((place) => ({ ...place, map: compose(map, place.map) })),
          bounds: { ...mark.bounds, x: mark.bounds.x + x, y: mark.bounds.y + y },
        };
      case 'image':
        return { ...mark, matrix: compose(map, mark.matrix), clip: transformPath(map, mark.clip) };
      case 'fill':
      case 'shadow':
      case 'stroke':
      case 'treatment':
      case 'colouring':
        return { ...mark, path: transformPath(map, mark.path) };
    }
  }
}
