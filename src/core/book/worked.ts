/** Spreads worked out for just these photos, dressed as a design dresses its own: for when it has no other way for so many. */
import { groundsOf, type BookDesign, type Template } from '@/core/book/design';
import { placeIn } from '@/core/book/plain';
import type { BookPhoto } from '@/core/book/photo';
import type { Box } from '@/core/geometry/box';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import type { BookProduct } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { MOST_PHOTOS, propose } from '@/core/proposals/propose';

/** Kept free at the edges of a page and between photos, as shares of its shorter side. */
const EDGE = 0.085;
const GAP = 0.035;
/** Ways of each division of the photos between the two pages. */
const WAYS = 3;

export const WORKED = 'worked out';

/**
 * Ways to lay photos on a spread, the first ones on its left page, each page filled by an arrangement of its own (`propose`);
 * always the same for the same photos. Photos keep their order.
 */
export function workedOut(design: BookDesign, book: BookProduct, photos: readonly BookPhoto[]): Template[] {
  const n = photos.length;
  const like =
    design.spreads.find(({ chapter, places }) => !chapter && places.length > 1) ?? design.spreads[0];
  if (!like || n < 2 || n > MOST_PHOTOS) return [];
  const { width, height } = book;
  const edge = EDGE * Math.min(width, height);
  const inner = Math.max(edge * 0.7, BINDS[book.binding].gutter + edge * 0.35);
  const area = { width: width - edge - inner, height: height - 2 * edge };
  const gap = GAP * Math.min(width, height);
  const found = (some: readonly BookPhoto[], seed: number): Box[][] =>
    propose({
      shapes: some.map((photo) => photo.width / photo.height),
      faces: some.map(({ faces }) => faces),
      area,
      gap,
      focal: null,
      emphasis: 2,
      seed,
    })
      .slice(0, WAYS)
      .map(({ boxes }) => boxes);
  const dress = dressOf(like);
  const grounds = groundsOf({ pile: like.pile, width: 2 * width, height });
  const halves = [...new Set([Math.ceil(n / 2), Math.floor(n / 2)])];
  return halves.flatMap((half, h) => {
    const [left, right] = [found(photos.slice(0, half), 1), found(photos.slice(half), 2)];
    return Array.from({ length: Math.min(WAYS, left.length, right.length) }, (_, i): Template => {
      const boxes = [
        ...left[i]!.map((box) => ({ ...box, x: box.x + edge, y: box.y + edge })),
        ...right[i]!.map((box) => ({ ...box, x: box.x + width + inner, y: box.y + edge })),
      ];
      const key = `${WORKED} ${h + 1}-${i + 1}`;
      const laid = boxes.map((box, k) => dress(`${key} ${k}`, box));
      return {
        ...{ key, groups: [], ground: like.ground, light: like.light, chapter: false },
        pile: [...grounds, ...laid.flat()],
        places: boxes.map((box, k) => ({ id: laid[k]!.at(-1)!.id, place: { ...box, gutter: null } })),
      };
    });
  });
}

/** How a spread dresses a photo: with its cut, its finish, the mats that lie about it. The place itself comes last. */
function dressOf({ pile, places }: Template): (id: string, box: Box) => Piece[] {
  const sample = pile.find(({ id }) => id === places.at(-1)?.id);
  if (!sample) return (id, box) => [placeIn(id, box)];
  const { x, y, width, height } = sample.placement;
  const mats = pile.filter(
    ({ role, placement }) => role === 'mat' && Math.abs(placement.x - x) < 1 && Math.abs(placement.y - y) < 1,
  );
  return (id, box) => [
    ...mats.map((mat, i): Piece => {
      const by = [(mat.placement.width - width) / 2, (mat.placement.height - height) / 2] as const;
      const around = {
        ...{ x: box.x - by[0], y: box.y - by[1] },
        ...{ width: box.width + 2 * by[0], height: box.height + 2 * by[1] },
      };
      return { ...mat, id: `${id} mat ${i}`, placement: { ...mat.placement, ...placedAt(around) } };
    }),
    { ...placeIn(id, box), outline: sample.outline, finish: sample.finish },
  ];
}
