/** Where on the table lies what a shop found in a file, and what one press does about it. */
import { apply, invert } from '@/core/geometry/matrix';
import { assetsIn } from '@/core/piece/assets';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import type { Found } from '@/core/order/answers';
import { bookIn, pagesOf } from '@/core/product/book';
import { withPages } from '@/core/product/book/settings';
import { jobOf } from '@/core/product/job';
import { changeProduct } from '@/core/project/edits/product';
import type { Surface } from '@/core/project/model';
import { toPoints } from '@/core/units/lengths';
import type { Session, SessionStore } from '@/features/table/session';

interface Place {
  surface: Surface;
  /** The picture that lies there; null where it is the page as a whole. */
  piece: Piece | null;
}

type At = Pick<Session, 'history'>;

/** Null for what is found in no page that is there. */
export function placeOf({ history }: At, { file, page, at }: Found): Place | null {
  const files = jobOf(history.project)?.files ?? [];
  const taken = page && files.find(({ name }) => name === file)?.taken[page - 1];
  if (!taken) return null;
  const { surface, panel } = taken;
  if (!at) return { surface, piece: null };
  const [x, y] = [toPoints(at.x + at.width / 2, 'mm'), toPoints(at.y + at.height / 2, 'mm')];
  const box = panel?.box ?? { x: 0, y: 0, ...surface };
  const point = panel?.turn
    ? { x: box.x + box.width - x, y: box.y + box.height - y }
    : { x: box.x + x, y: box.y + y };
  const piece = surface.pile.findLast((piece) => {
    const { placement } = piece;
    if (placement.hidden || !assetsIn(piece).length) return false;
    const own = apply(invert(placementMatrix(placement)), point);
    return Math.abs(own.x) <= placement.width / 2 && Math.abs(own.y) <= placement.height / 2;
  });
  return { surface, piece: piece ?? null };
}

interface Cure {
  says: string;
  run(store: SessionStore): void;
}

/** Fewest pages a shop that asks for more is given: the next book that is bound everywhere (common practice, no source). */
const ENOUGH_PAGES = 20;

/** Null for what only a person can mend. */
export function cureFor({ history }: At, { code }: Found): Cure | null {
  const book = bookIn(history.project.product);
  if (code !== 'few pages' || !book) return null;
  const next = withPages(book, Math.max(ENOUGH_PAGES, pagesOf(book)));
  if (pagesOf(next) === pagesOf(book)) return null;
  const more = pagesOf(next) - pagesOf(book);
  return {
    says: `Add ${more} pages`,
    run: (store) => store.getState().perform(changeProduct(next, `make it ${pagesOf(next)} pages`)),
  };
}
