/** Twelve pocket cards of each kit, composed of its own supplies: to write on, to fill a pocket, to open a page. */
import { mixed } from '@/core/color/hex';
import { beginProduct, sidesOf } from '@/core/product';
import { sheetIn, type SheetProduct, type Thing } from '@/core/product/sheet';
import { newProject, type Project } from '@/core/project/model';
import { gather } from '@/core/project/edits/gather';
import { together } from '@/core/project/edits/edit';
import { perform, startHistory } from '@/core/project/history';
import { toPoints } from '@/core/units/lengths';
import type { Typesetter } from '@/core/text/typesetter';
import { box, Composer, Material, ROUND, type FindSupply } from './compose';
import type { Outline } from '@/core/piece/outline';
import { inkFinder, type HouseKit } from './kit';
import { bit, called, card, paper, readable } from './pages';

/** What the cards of a kit say. */
interface Said {
  title: string;
  open: string;
  hello: string;
  list: string;
  quote: string;
}

const SAID: Record<string, Said> = {
  windward: {
    title: 'Cards for the coast',
    open: 'By the\nsea',
    hello: 'high tide',
    list: 'packed',
    quote: 'salt on the skin,\nsand in the book',
  },
  'garden-year': {
    title: 'Cards for the garden',
    open: 'In\nbloom',
    hello: 'home grown',
    list: 'sown',
    quote: 'everything comes up\nin its own time',
  },
  'kitchen-table': {
    title: 'Cards for the kitchen',
    open: 'Made\nby hand',
    hello: 'still warm',
    list: 'you need',
    quote: 'there is room\nfor one more chair',
  },
  'quiet-hours': {
    title: 'Cards for quiet days',
    open: 'This\nweek',
    hello: 'today',
    list: 'small joys',
    quote: 'nothing planned,\nall of it good',
  },
  'lantern-night': {
    title: 'Cards for winter nights',
    open: 'Lights\non',
    hello: 'snow day',
    list: 'wishes',
    quote: 'the longest night\nhas the most stars',
  },
  'every-day': {
    title: 'Cards for any day',
    open: 'This\nweek',
    hello: 'right now',
    list: 'to do',
    quote: 'nothing happened,\nand it was lovely',
  },
  'little-one': {
    title: 'Cards for the first year',
    open: 'Hello\nyou',
    hello: 'so small',
    list: 'firsts',
    quote: 'the days are long,\nthe year is short',
  },
};

type Size = readonly [width: number, height: number];
const STANDING: Size = [3, 4];
const LYING: Size = [4, 3];

type Design = (on: Composer, kit: HouseKit, said: Said) => void;

/** Points of a title: script is small for its size. */
const big = (kit: HouseKit, size: number): number =>
  /vibes|caveat/.test(kit.title) ? Math.round(1.35 * size) : size;

/** The thinnest a piece may be, inches. */
const HAIR = 1 / 72;
const TO_TICK: Outline = { kind: 'punch', punch: 'square-frame', settings: { width: 1.1 } };
/** A pale line to write on, from the left to the right. */
const ruled = (on: Composer, colour: string, left: number, right: number, rows: readonly number[]): void =>
  rows.forEach((y) => void on.ink('Line', colour, box(left, y, right - left, HAIR)));
const rows = (from: number, to: number, by: number): number[] =>
  Array.from({ length: Math.floor((to - from) / by + 1e-6) + 1 }, (_, i) => from + i * by);
/** Pale enough on the kit's first card to be written over. */
const line = (kit: HouseKit): string =>
  mixed(readable(kit, 0), inkFinder(kit.inks)(kit.card[0]!).colour, 0.45);
const small = 'special-elite';

const DESIGNS: readonly (readonly [Size, Design])[] = [
  // To open a page; it stands for them all.
  [
    STANDING,
    (on, kit, { open }) => {
      on.ground(paper(kit, 1))
        .paper(card(kit, 2), box(0.3, 0.85, 2.4, 2.3), 0, 'mat')
        .paper(card(kit, 0), box(0.38, 0.93, 2.24, 2.14), 0, 'mat')
        .words('title', open, kit.title, big(kit, 38), readable(kit, 0, kit.titleInk), 1.5, 1.88);
      on.thing(bit(kit, 'bow'), 1.5, 3.3, -4, 0.7);
    },
  ],
  // To write on, beneath a strip.
  [
    LYING,
    (on, kit) => {
      on.ground(card(kit, 0)).paper(paper(kit, 0), box(-0.2, -0.2, 4.4, 0.85));
      ruled(on, line(kit), 0.35, 3.65, rows(1.2, 2.7, 0.3));
      on.thing(bit(kit, 'sew', 0), 3.45, 0.65, 8, 0.8);
    },
  ],
  // For a photo, with a word beneath it.
  [
    STANDING,
    (on, kit, { hello }) =>
      void on
        .ground(card(kit, 0))
        .place(box(0.25, 0.25, 2.5, 2.75))
        .words('title', hello, kit.title, big(kit, 25), readable(kit, 0, kit.titleInk), 1.5, 3.47),
  ],
  // Pattern, with a round to say it.
  [
    LYING,
    (on, kit, { hello }) =>
      void on
        .ground(paper(kit, 2))
        .paper(card(kit, 0), box(0.95, 0.45, 2.1, 2.1), 0, 'mat', ROUND)
        .words('title', hello, kit.title, big(kit, 23), readable(kit, 0, kit.titleInk), 2, 1.5),
  ],
  // A list.
  [
    STANDING,
    (on, kit, { list }) => {
      on.ground(card(kit, 0))
        .paper(card(kit, 2), box(-0.2, -0.2, 3.4, 1.05))
        .words('title', list, kit.title, big(kit, 26), readable(kit, 2, kit.titleInk), 1.5, 0.455);
      const at = rows(1.35, 3.55, 0.44);
      for (const y of at) on.ink('To tick off', line(kit), box(0.3, y + HAIR - 0.19, 0.19, 0.19), 0, TO_TICK);
      ruled(on, line(kit), 0.65, 2.7, at);
    },
  ],
  // A day: where and when.
  [
    LYING,
    (on, kit) => {
      on.ground(card(kit, 0)).paper(paper(kit, 3), box(-0.2, -0.2, 1.45, 3.4));
      for (const [i, says] of ['where', 'when', 'with'].entries()) {
        const y = 0.72 + 0.78 * i;
        on.words('journaling', says, small, 10, readable(kit, 0), 2, y - 0.08).last((piece) => ({
          ...piece,
          placement: { ...piece.placement, x: toPoints(1.5, 'in') + piece.placement.width / 2 },
        }));
        ruled(on, line(kit), 1.5, 3.7, [y + 0.18]);
      }
      on.thing(bit(kit, 'tag'), 0.62, 1.55, -8, 0.6);
    },
  ],
  // Pattern that fills a pocket.
  [
    STANDING,
    (on, kit) => {
      on.ground(paper(kit, 4)).paper(card(kit, 3), box(-0.2, 2.55, 3.4, 0.62));
      on.thing(bit(kit, 'bow'), 1.5, 2.86, 5, 0.85);
    },
  ],
  // A thought.
  [
    LYING,
    (on, kit, { quote }) => {
      on.ground(card(kit, 1))
        .paper(card(kit, 0), box(0.2, 0.2, 3.6, 2.6), 0, 'mat')
        .words('journaling', quote, 'caveat', 23, readable(kit, 0, kit.titleInk), 2, 1.4);
      on.thing(bit(kit, 'sew', 1), 2, 2.38, 0, 0.6);
    },
  ],
  // An engraving, printed in an ink.
  [
    STANDING,
    (on, kit, { hello }) => {
      const { name, size } = kit.stamps[0]!;
      const ink = readable(kit, 0, kit.titleInk);
      on.ground(card(kit, 0))
        .paper(card(kit, 2), box(0.18, 0.18, 2.64, 3.64), 0, 'mat')
        .paper(card(kit, 0), box(0.24, 0.24, 2.52, 3.52), 0, 'mat')
        .thing(name, 1.5, 1.65, 0, 2.1 / size, readable(kit, 0))
        .words('title', hello, kit.title, big(kit, 21), ink, 1.5, 3.3, 0, 2.2);
    },
  ],
  // Three rounds of pattern over a line to write on.
  [
    LYING,
    (on, kit) => {
      on.ground(card(kit, 0));
      for (const [i, sheet] of [1, 3, 12].entries())
        on.paper(card(kit, 2), box(0.32 + 1.16 * i, 0.32, 1.04, 1.04), 0, 'mat', ROUND).paper(
          paper(kit, sheet),
          box(0.38 + 1.16 * i, 0.38, 0.92, 0.92),
          0,
          'mat',
          ROUND,
        );
      ruled(on, line(kit), 0.35, 3.65, rows(1.85, 2.65, 0.4));
    },
  ],
  // A ticket and a stamp of post, as what was kept of a day.
  [
    STANDING,
    (on, kit) => {
      on.ground(paper(kit, 6)).paper(card(kit, 0), box(0.25, 2.1, 2.5, 1.65), 0, 'mat');
      on.thing(called(kit, 'Ticket'), 1.5, 0.95, -6, 0.85);
      on.thing(bit(kit, 'post', 0), 2.2, 2.0, 7, 0.7);
      ruled(on, line(kit), 0.45, 2.55, rows(2.75, 3.45, 0.35));
    },
  ],
  // The best of it, and room to say so.
  [
    LYING,
    (on, kit) => {
      const ink = readable(kit, 0, kit.titleInk);
      on.ground(card(kit, 0))
        .paper(paper(kit, 13), box(2.75, -0.2, 1.5, 3.4))
        .words('title', 'the best bit', kit.title, big(kit, 21), ink, 1.4, 0.5, 0, 2.2);
      ruled(on, line(kit), 0.3, 2.5, rows(1.1, 2.7, 0.32));
      on.thing(kit.heroes[0], 3.4, 1.5, 6, 0.62);
    },
  ],
];

/** The pocket cards of a kit, one of each, as a sheet. */
export function readyPockets(
  kit: HouseKit,
  supply: FindSupply,
  typesetter: Typesetter,
): { project: Project; tags: string }[] {
  const said = SAID[kit.id];
  if (!said) return [];
  const things = DESIGNS.map(([[width, height]], i): Thing => ({
    part: `thing-${i + 1}`,
    width: toPoints(width, 'in'),
    height: toPoints(height, 'in'),
    count: 1,
  }));
  const { product } = beginProduct('sheet', things[0]!, 'letter');
  const sheet: SheetProduct = { ...sheetIn(product)!, things };
  const begun = newProject(
    { id: `${kit.id}-pockets`, title: said.title, unit: 'in' },
    { product: sheet, parts: sidesOf(sheet)! },
  );
  const from = new Material(supply, typesetter);
  const surfaces = begun.surfaces.map((surface, i) => {
    const on = new Composer(from, surface);
    DESIGNS[i]![1](on, kit, said);
    return { ...surface, pile: on.pile };
  });
  const gathered = together(
    'gather',
    [...from.used.values()].map(([asset, compartment]) => gather(compartment, [asset])),
  );
  const { project } = perform(startHistory({ ...begun, surfaces }), gathered, 0);
  return [{ project, tags: 'pocket journal filler title' }];
}
