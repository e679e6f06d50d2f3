/** What lies on a side of a product as it begins: the months of a calendar, with room for a picture. */
import { digitsOf, monthName, monthNames } from '@/core/dates/names';
import { monthAfter, monthsBetween } from '@/core/dates/days';
import type { Box } from '@/core/geometry/box';
import { finishOf } from '@/core/piece/finish';
import { LIFTS } from '@/core/piece/finish/lift';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import { newMonth } from '@/core/piece/material/month/begin';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { calendar, calendarIn, spanSays, type CalendarProduct } from '@/core/product/calendar';
import { boundOn, panelsOn, type Product } from '@/core/product';
import type { Bound, Part, PartMonth } from '@/core/product/product';
import type { Field } from '@/core/living/field';
import { PLACE } from '@/core/project/frames';
import { SMALLEST_LETTERS, type Span } from '@/core/text/style';

/** Nothing for what begins bare. Ids are those of the side with a number. */
export function furnished(product: Product, part: Part, id: string): Piece[] {
  const calendar = calendarIn(product);
  return calendar ? ofCalendar(calendar, part, id) : [];
}

/** Kept free all round, as a share of the shorter side, and between what lies beside each other. */
const EDGE = 0.075;
const GAP = 0.045;

interface Laying {
  product: CalendarProduct;
  of: PartMonth;
  add(piece: Omit<Piece, 'id'>): void;
}

function ofCalendar(product: CalendarProduct, part: Part, id: string): Piece[] {
  const of = calendar.month!(product, part.part);
  const pile: Piece[] = [];
  const laying: Laying = {
    ...{ product, of: of ?? product },
    add: (piece) => pile.push({ ...piece, id: `${id}-${pile.length + 1}` }),
  };
  const leaves = panelsOn({ product }, { id, ...part }).map(({ box }) =>
    inset(roomIn(box, boundOn({ product }, part))),
  );
  const [inside] = leaves as [Box, ...Box[]];
  if (part.part === 'cover') cover(laying, inside);
  else if (part.part === 'notes') notes(laying, inside);
  else PAGES[product.form](laying, inside, leaves[1] ?? inside);
  return pile;
}

/** What of a leaf its binding leaves. */
function roomIn(leaf: Box, bound: readonly Bound[]): Box {
  return bound.reduce(({ x, y, width, height }, { box }): Box => {
    if (box.y >= y + height || box.y + box.height <= y) return { x, y, width, height };
    if (box.height > box.width) {
      const right = Math.max(x, box.x + box.width);
      return { x: right, y, width: x + width - right, height };
    }
    const above = box.y - leaf.y < leaf.y + leaf.height - box.y - box.height;
    const top = above ? Math.max(y, box.y + box.height) : y;
    const foot = above ? y + height : Math.min(y + height, box.y);
    return { x, y: top, width, height: foot - top };
  }, leaf);
}

const PAGES: Record<CalendarProduct['form'], (laying: Laying, inside: Box, second: Box) => void> = {
  picture(laying, inside) {
    const lying = inside.width > inside.height * 1.15;
    const [picture, rest] = lying ? beside(inside, 0.48) : above(inside, 0.54);
    laying.add(place(picture));
    const [title, days] = above(rest, lying ? 0.15 : 0.17, 0.3);
    laying.add(monthTitle(laying, title));
    laying.add(month(laying, days, { title: 'none', layout: lying ? 'open' : 'boxes' }));
  },
  month(laying, inside) {
    const [title, days] = above(inside, 0.11, 0.3);
    laying.add(monthTitle(laying, title));
    laying.add(month(laying, days, { layout: 'boxes' }));
  },
  folded(laying, picture, inside) {
    laying.add(place(picture));
    const [title, days] = above(inside, 0.14, 0.3);
    laying.add(monthTitle(laying, title));
    laying.add(month(laying, days, { layout: 'boxes' }));
  },
  tent(laying, front, back) {
    const [picture, days] = beside(front, 0.46);
    laying.add(place(picture));
    laying.add(month(laying, days, { layout: 'open', title: 'both' }));
    // The other face stands on its head on the flat paper, so that it is read once that is folded.
    const on = (box: Box): Box => ({
      ...box,
      x: back.x + back.width - (box.x - front.x) - box.width,
      y: back.y + back.height - (box.y - front.y) - box.height,
    });
    laying.add(onItsHead(place(on(picture))));
    if (hasNext(laying)) laying.add(onItsHead(month(laying, on(days), { layout: 'open', title: 'both' }, 1)));
  },
  week(laying, inside) {
    const { week } = laying.of;
    const lying = inside.width > inside.height * 1.15;
    const [side, days] = lying ? beside(inside, 0.34) : above(inside, 0.24, 0.6);
    const [words, small, picture] = lying
      ? [above(side, 0.14, 0.3)[0], above(above(side, 0.14, 0.3)[1], 0.4, 0.6)[0], above(side, 0.5, 0.3)[1]]
      : [above(side, 0.3)[0], beside(above(side, 0.3)[1], 0.4)[0], beside(above(side, 0.3)[1], 0.4)[1]];
    laying.add(place(picture));
    laying.add(monthTitle(laying, words));
    laying.add(month(laying, small, { layout: 'open', headLength: 'narrow', sixth: 'six' }));
    laying.add(
      month(laying, days, { layout: 'column', headLength: 'long', ...(week === undefined ? {} : { week }) }),
    );
  },
  year(laying, inside) {
    const [title, rest] = above(inside, 0.1, 0.4);
    laying.add(words('Year', title, [[digitsOf(laying.product.language)(laying.of.year), { kind: 'year' }]]));
    const across = rest.width > rest.height * 1.15 ? 4 : 3;
    const down = 12 / across;
    const gap = GAP * Math.min(rest.width, rest.height);
    const [width, height] = [
      (rest.width - gap * (across - 1)) / across,
      (rest.height - gap * (down - 1)) / down,
    ];
    for (let i = 0; i < 12; i++) {
      const box = {
        x: rest.x + (i % across) * (width + gap),
        y: rest.y + Math.floor(i / across) * (height + gap),
        ...{ width, height },
      };
      laying.add(
        month(laying, box, { layout: 'open', title: 'month', headLength: 'narrow', sixth: 'six' }, i),
      );
    }
  },
  birthdays(laying, inside) {
    const [title, days] = above(inside, 0.1, 0.2);
    laying.add(monthTitle(laying, title, false));
    laying.add(month(laying, days, { layout: 'column', headLength: 'none', perpetual: true, free: [] }));
  },
};

function cover(laying: Laying, inside: Box): void {
  const [picture, title] = above(inside, 0.78);
  laying.add(place(picture));
  const says = spanSays(laying.product);
  laying.add(
    words(
      'Title',
      title,
      says ? [[digitsOf(laying.product.language)(laying.of.year), { kind: 'year' }]] : [['Days to remember']],
    ),
  );
}

function notes(laying: Laying, inside: Box): void {
  const [title] = above(inside, 0.1, 0.2);
  laying.add(words('Title', title, [['Notes']]));
}

const inset = ({ x, y, width, height }: Box): Box => {
  const by = EDGE * Math.min(width, height);
  return { x: x + by, y: y + by, width: width - 2 * by, height: height - 2 * by };
};

const above = ({ x, y, width, height }: Box, share: number, air = 1): [Box, Box] => {
  const gap = air * GAP * Math.min(width, height);
  const upper = height * share - gap / 2;
  return [
    { x, y, width, height: upper },
    { x, y: y + upper + gap, width, height: height - upper - gap },
  ];
};

const beside = ({ x, y, width, height }: Box, share: number): [Box, Box] => {
  const gap = 1.6 * GAP * Math.min(width, height);
  const left = width * share - gap / 2;
  return [
    { x, y, width: left, height },
    { x: x + left + gap, y, width: width - left - gap, height },
  ];
};

const onItsHead = (piece: Omit<Piece, 'id'>): Omit<Piece, 'id'> => ({
  ...piece,
  placement: { ...piece.placement, turn: 180 },
});

/** Whether the calendar has the month after that of a paper. */
const hasNext = ({ product, of }: Laying): boolean => monthsBetween(product, of) + 1 < product.months;

const place = (box: Box): Omit<Piece, 'id'> => ({
  name: 'Place for a photo',
  role: 'photo',
  material: { kind: 'ink', colour: PLACE },
  outline: { kind: 'rectangle', radius: 0 },
  finish: finishOf(0),
  placement: placedAt(box),
});

function month(
  { product, of }: Laying,
  box: Box,
  change: Partial<MonthMaterial>,
  follows = 0,
): Omit<Piece, 'id'> {
  const material = { ...newMonth(monthAfter(of, follows), product.language, follows), ...change };
  return {
    name: monthNames(product.language)[material.month - 1]!,
    role: 'month',
    material: { ...material, weekStart: product.weekStart },
    outline: { kind: 'rectangle', radius: 0 },
    finish: finishOf(0),
    placement: placedAt(box),
  };
}

const monthTitle = (laying: Laying, box: Box, dated = true): Omit<Piece, 'id'> => {
  const { language } = laying.product;
  const year: Told = dated ? [[' '], [digitsOf(language)(laying.of.year), { kind: 'year' }]] : [];
  return words('Title', box, [[monthName(language, laying.of.month), { kind: 'month' }], ...year]);
};

type Told = readonly (readonly [string, Field?])[];

/** Words in the middle of a box, as large as it is tall; what is a field lives. */
function words(name: string, box: Box, told: Told): Omit<Piece, 'id'> {
  const text = told.map(([says]) => says).join('');
  let at = 0;
  const spans = told.flatMap(([says, field]): Span[] => {
    const start = at;
    at += says.length;
    return field ? [{ start, end: at, field }] : [];
  });
  const fits = Math.min(box.height * 0.66, (box.width / Math.max(4, text.length)) * 1.7);
  const size = Math.max(SMALLEST_LETTERS, fits);
  return {
    name,
    role: 'title',
    material: { kind: 'ink', colour: '#25232a' },
    outline: {
      ...{ kind: 'glyphs', text, family: 'bitter', size, align: 'centre', leading: 1.2, wrap: true },
      ...(spans.length ? { spans } : {}),
    },
    finish: finishOf(LIFTS.ink),
    placement: placedAt({ ...box, y: box.y + (box.height - size * 1.2) / 2, height: size * 1.2 }),
  };
}
