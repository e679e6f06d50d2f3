/** How far a month of a calendar is: finished when its page is locked, empty while nothing was done to it. */
import { calendarIn } from '@/core/product/calendar';
import { furnished } from '@/core/calendar/furnish';
import { isEmptyPlace } from '@/core/project/frames';
import { sidesOf, type Product } from '@/core/product';
import type { Surface } from '@/core/project/model';

export type PageState = 'finished' | 'begun' | 'empty';

const known = new WeakMap<Surface, PageState>();

/** Null for pages of what is no calendar. */
export function stateOf(product: Product, surface: Surface): PageState | null {
  if (!calendarIn(product)) return null;
  let state = known.get(surface);
  if (!state)
    known.set(
      surface,
      (state = surface.locked ? 'finished' : isUntouched(product, surface) ? 'empty' : 'begun'),
    );
  return state;
}

/** Nothing lies on it but what it began with, and no photo is in its places. */
function isUntouched(product: Product, { id, part, pile }: Surface): boolean {
  const side = sidesOf(product)?.find((each) => each.part === part);
  if (!side) return false;
  const began = furnished(product, side, id);
  return (
    pile.length === began.length &&
    pile.every((piece, i) => piece.id === began[i]!.id && isEmptyPlace(piece) === isEmptyPlace(began[i]!))
  );
}
