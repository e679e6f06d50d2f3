/** Ready-made book designs, one for each kit: a spread for every number of photos, each with its papers and things. */
import { dressed } from '@/core/book/plain';
import { SKELETONS, type Slot } from '@/core/book/skeletons';
import { beginProduct, panelsOn } from '@/core/product';
import { bookIn, COVER, FIRST, type BookProduct } from '@/core/product/book';
import { gather } from '@/core/project/edits/gather';
import { together } from '@/core/project/edits/edit';
import { perform, startHistory } from '@/core/project/history';
import type { Piece } from '@/core/piece/piece';
import { extentOf, placedAt } from '@/core/piece/placement/placement';
import { corners, overlaps, within, type Box } from '@/core/geometry/box';
import { contrast } from '@/core/inks/near';
import { withBleed } from '@/core/geometry/sides';
import type { Project, Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { toPoints } from '@/core/units/lengths';
import { Composer, Material, type FindSupply } from '../compose';
import { inkFinder, type HouseKit } from '../kit';
import { inches, PAGE, words, type BookDress, type Side } from './design';
import { slotBox } from '@/core/book/plain';
import { garden } from './garden';
import { kitchen } from './kitchen';
import { lantern } from './lantern';
import { quiet } from './quiet';
import { windward } from './windward';

const DRESSES: readonly BookDress[] = [windward, garden, kitchen, quiet, lantern];
const SIDE = toPoints(PAGE, 'in');
/** Hundredths of a page that the figures of a page number take. */
const FIGURES = 4;
/** Contrast that small words need (WCAG 2.2, 1.4.3). */
const READABLE = 4.5;

export function readyBooks(
  kit: HouseKit,
  supply: FindSupply,
  typesetter: Typesetter,
): { project: Project; tags: string }[] {
  return DRESSES.filter((dress) => dress.kit === kit.id).map((dress) => ({
    project: bookOf(kit, dress, supply, typesetter),
    tags: dress.tags,
  }));
}

function bookOf(kit: HouseKit, dress: BookDress, supply: FindSupply, typesetter: Typesetter): Project {
  const skeletons = SKELETONS.filter(({ id }) => !dress.without?.includes(id));
  const { product } = beginProduct('book', { width: SIDE, height: SIDE }, 'hard');
  const book: BookProduct = { ...bookIn(product)!, spreads: skeletons.map((_, i) => `spread-${i + 1}`) };
  const from = new Material(supply, typesetter);
  const ink = (name: string): string => inkFinder(kit.inks)(name).colour;
  const title = { role: 'title', family: dress.title_.family, ink: ink(dress.title_.ink) } as const;
  const text = { ...dress.text, ink: ink(dress.text.ink) };
  const project = dressed(`${kit.id}-book`, dress.title, book, (surface) => {
    const at = book.spreads.indexOf(surface.part ?? '');
    if (at >= 0) return spread(surface, at);
    return surface.part === COVER ? cover(surface) : alone(surface);
  });

  function spread(surface: Surface, i: number) {
    const skeleton = skeletons[i]!;
    const on = new Composer(from, surface);
    const photos = skeleton.photos.map((slot) => inches(slotBox(slot, SIDE)));
    const side: Side = { on, i, skeleton, photos };
    dress.ground(side);
    photos.forEach((at, k) => {
      dress.mat(side, at, k);
      const { outline, turn, finish } = dress.place(side, k);
      on.place(slotBox(skeleton.photos[k]!, SIDE), turn, outline);
      if (finish) on.last((piece) => ({ ...piece, finish: { ...piece.finish, ...finish } }));
    });
    dress.things(side);
    const { title: head, under, captions = [], text: told } = skeleton;
    if (head) words(on, head, { ...title, text: 'A chapter', size: 62 });
    if (under) words(on, under, { ...text, role: 'journaling', text: 'When', size: 26 });
    for (const { slot } of captions)
      words(on, slot, { ...text, role: 'caption', text: 'A caption', size: 18 });
    if (told) words(on, told, { ...text, role: 'journaling', text: 'What there is to tell.', size: 24 });
    number([5, 95, 14, 3], 'left');
    number([181, 95, 14, 3], 'right');
    return on.pile;

    /** A page number, where it can be read: on plain paper, with nothing over it. */
    function number(slot: Slot, align: 'left' | 'right') {
      const [x, y, width, height] = slot;
      const seen: Slot = [align === 'left' ? x : x + width - FIGURES, y, FIGURES, height];
      if (!readOn(on.pile, slotBox(seen, SIDE))) return;
      words(on, slot, { ...text, role: 'caption', text: '1', size: 14, align, field: { kind: 'page' } });
      on.last((piece) => ({ ...piece, name: 'Page number' }));
    }
  }

  /** Whether the text's ink is read there: on a card of another colour, not on a pattern or over an edge. */
  function readOn(pile: readonly Piece[], spot: Box): boolean {
    const beneath = pile.findLast(({ placement }) => overlaps(extentOf(placement), spot));
    if (!beneath) return true;
    const card = / cardstock$/.test(beneath.name) && beneath.name.replace(/ cardstock$/, '');
    const whole = corners(spot).every((corner) => within(extentOf(beneath.placement), corner));
    return Boolean(card) && whole && contrast(text.ink, ink(card as string)) >= READABLE;
  }

  function cover(surface: Surface) {
    const panels = panelsOn({ product: book }, surface);
    const named = (name: string) => panels.find((panel) => panel.name === name)!.box;
    const front = named('Front');
    const on = new Composer(from, surface, { x: front.x, y: front.y });
    const { photo, title: head, under } = dress.front;
    const side: Side = { on, i: 0, skeleton: null, photos: [inches(slotBox(photo, SIDE))] };
    dress.ground({ ...side, on: new Composer(from, surface, undefined, on.pile) });
    // What reaches over all of it is as wide as what is printed.
    const printed = withBleed(surface);
    on.pile.forEach((piece, k) => (on.pile[k] = overAll(piece, printed)));
    dress.mat(side, side.photos[0]!, 0);
    const { outline, finish } = dress.place(side, 0);
    on.place(slotBox(photo, SIDE), 0, outline);
    if (finish) on.last((piece) => ({ ...piece, finish: { ...piece.finish, ...finish } }));
    dress.cover(side);
    const centre = { align: 'centre' } as const;
    const shift = (slot: readonly [number, number, number, number]) => slot;
    words(on, shift(head), { ...title, ...centre, text: dress.title, size: 64, field: { kind: 'title' } });
    onFront(on, front.x, front.y);
    words(on, shift(under), { ...text, ...centre, role: 'journaling', text: 'When', size: 26 });
    onFront(on, front.x, front.y);
    // Read from its foot to its head as it stands on a shelf, top to the right.
    const spine = named('Spine');
    words(on, [0, 0, 60, 2.4], {
      ...title,
      // So small, it is written as dark as what is told.
      ink: text.ink,
      ...centre,
      text: dress.title,
      size: 17,
      field: { kind: 'title' },
    });
    on.last((piece) => ({
      ...piece,
      placement: { ...piece.placement, x: spine.x + spine.width / 2, y: spine.height / 2, turn: 90 },
    }));
    return on.pile;
  }

  function alone(surface: Surface) {
    const on = new Composer(from, surface);
    const first = surface.part === FIRST;
    const side: Side = { on, i: first ? 0 : 1, skeleton: null, photos: [] };
    dress.alone(side);
    const centre = { align: 'centre' } as const;
    if (first) {
      words(on, [16, 36, 68, 20], {
        ...title,
        ...centre,
        text: dress.title,
        size: 58,
        field: { kind: 'title' },
      });
      words(on, [16, 58, 68, 6], { ...text, ...centre, role: 'journaling', text: 'When', size: 26 });
    } else
      words(on, [18, 42, 64, 22], { ...text, ...centre, role: 'journaling', text: 'Who and when', size: 24 });
    return on.pile;
  }

  const gathered = together(
    'gather',
    [...from.used.values()].map(([asset, compartment]) => gather(compartment, [asset])),
  );
  return perform(startHistory(project), gathered, 0).project;
}

/** A paper that goes beyond the cover ends where that does. */
function overAll(piece: Piece, printed: Box): Piece {
  const { x, y, width, height } = piece.placement;
  const [left, top] = [Math.max(printed.x, x - width / 2), Math.max(printed.y, y - height / 2)];
  const right = Math.min(printed.x + printed.width, x + width / 2);
  const bottom = Math.min(printed.y + printed.height, y + height / 2);
  const box = { x: left, y: top, width: right - left, height: bottom - top };
  return { ...piece, placement: { ...piece.placement, ...placedAt(box) } };
}

/** What was laid last goes to the cover's front. */
const onFront = (on: Composer, x: number, y: number): void =>
  void on.last((piece) => ({
    ...piece,
    placement: { ...piece.placement, x: piece.placement.x + x, y: piece.placement.y + y },
  }));
