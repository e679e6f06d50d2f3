/** The plain design: photos and words on white paper, for any book, and for what a design lacks. */
import type { Box } from '@/core/geometry/box';
import { SKELETONS, type Skeleton, type Slot } from '@/core/book/skeletons';
import { finishOf } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { beginProduct, sidesOf } from '@/core/product';
import { bookIn, COVER, FIRST, type BookProduct } from '@/core/product/book';
import { PLACE } from '@/core/project/frames';
import { newProject, type Project, type Surface } from '@/core/project/model';
import type { Field } from '@/core/living/field';

const SIDE = 864;
const INK = '#25232a';

/** Hundredths of a page in points. */
export const slotBox = ([x, y, width, height]: Slot, page = SIDE): Box => ({
  x: (x * page) / 100,
  y: (y * page) / 100,
  width: (width * page) / 100,
  height: (height * page) / 100,
});

/** A place kept free for a photo, lying flat. */
export const placeIn = (id: string, box: Box): Piece => ({
  id,
  name: 'Place for a photo',
  role: 'photo',
  material: { kind: 'ink', colour: PLACE },
  outline: { kind: 'rectangle', radius: 0 },
  finish: finishOf(0),
  placement: placedAt(box),
});

export interface SlotWords {
  role: 'title' | 'journaling' | 'caption';
  text: string;
  family: string;
  size: number;
  ink: string;
  align?: 'left' | 'centre' | 'right';
  italic?: true;
  /** All of it lives. */
  field?: Field;
}

/** Words in a box that is theirs to fill: they are set as large as it lets them, `size` points at the most. */
export const wordsIn = (id: string, box: Box, words: SlotWords): Piece => {
  const { role, text, family, size, ink, align = 'left', italic, field } = words;
  return {
    id,
    name: role === 'title' ? 'Title' : role === 'caption' ? 'Caption' : 'Words',
    role,
    material: { kind: 'ink', colour: ink },
    outline: {
      ...{ kind: 'glyphs', text, family, size, align, leading: 1.25, wrap: true },
      ...(italic ? { italic } : {}),
      ...(field ? { spans: [{ start: 0, end: text.length, field }] } : {}),
    },
    finish: finishOf(LIFTS.ink),
    placement: placedAt(box),
  };
};

const TITLE = { role: 'title', family: 'crimson-pro', ink: INK } as const;
const SMALL = { family: 'crimson-pro', ink: INK } as const;

function spread({ photos, title, under, captions = [], text }: Skeleton, id: string): Piece[] {
  let count = 0;
  const next = () => `${id}-${(count += 1)}`;
  return [
    ...photos.map((slot) => placeIn(next(), slotBox(slot))),
    ...(title ? [wordsIn(next(), slotBox(title), { ...TITLE, text: 'A chapter', size: 54 })] : []),
    ...(under
      ? [wordsIn(next(), slotBox(under), { ...SMALL, role: 'journaling', text: 'When', size: 19 })]
      : []),
    ...captions.map(({ slot }) =>
      wordsIn(next(), slotBox(slot), { ...SMALL, role: 'caption', text: 'A caption', size: 15 }),
    ),
    ...(text
      ? [
          wordsIn(next(), slotBox(text), {
            ...SMALL,
            role: 'journaling',
            text: 'What there is to tell.',
            size: 20,
          }),
        ]
      : []),
  ];
}

/** A book of 12 x 12 in pages with one spread of each skeleton: a design like those that ship. */
export function plainDesign(): Project {
  const { product } = beginProduct('book', { width: SIDE, height: SIDE }, 'hard');
  const book: BookProduct = { ...bookIn(product)!, spreads: SKELETONS.map((_, i) => `spread-${i + 1}`) };
  return dressed('plain', 'Plain', book, (surface, id) => {
    const skeleton = SKELETONS[book.spreads.indexOf(surface.part ?? '')];
    if (skeleton) return spread(skeleton, id);
    const { width, height } = surface;
    if (surface.part === COVER) {
      const front = { x: width - SIDE * 0.9, width: SIDE * 0.8 };
      return [
        placeIn(`${id}-1`, { ...front, y: height * 0.12, height: height * 0.58 }),
        wordsIn(
          `${id}-2`,
          { ...front, y: height * 0.74, height: height * 0.12 },
          { ...TITLE, text: 'Title', size: 60, align: 'centre', field: { kind: 'title' } },
        ),
        wordsIn(
          `${id}-3`,
          { ...front, y: height * 0.87, height: height * 0.05 },
          { ...SMALL, role: 'journaling', text: 'When', size: 20, align: 'centre' },
        ),
      ];
    }
    if (surface.part === FIRST)
      return [
        wordsIn(`${id}-1`, slotBox([14, 40, 72, 14]), {
          ...TITLE,
          text: 'Title',
          size: 50,
          align: 'centre',
          field: { kind: 'title' },
        }),
        wordsIn(`${id}-2`, slotBox([14, 56, 72, 6]), {
          ...SMALL,
          role: 'journaling',
          text: 'When',
          size: 19,
          align: 'centre',
        }),
      ];
    return [
      wordsIn(`${id}-1`, slotBox([14, 44, 72, 24]), {
        ...SMALL,
        role: 'journaling',
        text: 'Who and when',
        size: 18,
        align: 'centre',
      }),
    ];
  });
}

/** A book whose sides hold what `pile` lays on them. */
export function dressed(
  id: string,
  title: string,
  product: BookProduct,
  pile: (surface: Surface, id: string) => Piece[],
): Project {
  const bare = newProject({ id, title, unit: 'in' }, { product, parts: sidesOf(product)! });
  return {
    ...bare,
    surfaces: bare.surfaces.map((surface) => ({ ...surface, pile: pile(surface, surface.id) })),
  };
}
