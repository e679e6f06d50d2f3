/** Pages of the club's album that are composed by hand of single things of a kit: a crowded one, one in pockets, two that are one. */
import { inkFinder } from '../kits/kit';
import { box, Composer, Material, RECTANGLE } from '../kits/compose';
import { HOUSE_KITS } from '../kits/kits';
import { SIDE } from '../kits/pages';
import { isEmptyPlace } from '@/core/project/frames';
import type { Piece } from '@/core/piece/piece';
import type { Asset } from '@/core/picture/asset';
import { newLayout, newSurface, type Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { houseShelf, type Shelf } from '../node/house';
import { inPlace } from './kit-pages';

interface HandPage {
  id: string;
  kit: string;
  title: string;
  /** How many 12 x 12 in pages lie side by side. */
  pages: 1 | 2;
  /** The year's photos, in the order their places are laid. */
  photos: readonly string[];
  notes: readonly string[];
  lay: (on: Composer, ink: (name: string) => string) => void;
}

/** A print with a white rim, a fifth of an inch wide, broader at its foot. */
function print(on: Composer, rim: string, x: number, y: number, w: number, h: number, turn: number): void {
  on.paper(rim, box(x, y, w + 0.3, h + 0.55), turn, 'mat');
  // Turned about the rim's middle, not its own.
  const [a, off] = [(turn * Math.PI) / 180, -0.125];
  const [cx, cy] = [x + w / 2 + 0.15 - off * Math.sin(a), y + h / 2 + 0.275 + off * Math.cos(a)];
  on.place(box(cx - w / 2, cy - h / 2, w, h), turn);
}

const crowded: HandPage = {
  id: 'saltmarsh-picnic',
  kit: 'garden-year',
  title: 'Picnic on the green',
  pages: 1,
  photos: ['may-11-picnic.jpg', 'may-12-wren.jpg', 'may-13-biscuit.jpg', 'may-07-pip.jpg'],
  notes: [
    'Everything out of the Garden Year drawer at once: five papers behind four prints, each a little askew, and two bunches of flowers across from each other. The biggest flower leads in, the small ones repeat its pink. Still to do: ask Wren for the recipe.',
  ],
  lay(on, ink) {
    on.ground('Trellis')
      .thing('Leaf brushstroke', 2.2, 1.2, -6, 1.5)
      .thing('Leaf brushstroke', 9.9, 11.0, 174, 1.5)
      .paper('Rose garden', box(0.55, 0.75, 7.4, 10.6), -2)
      .paper('Bluebell check', box(4.1, 0.6, 7.3, 9.6), 2)
      .thing('Torn strip', 3.6, 10.35, -3, 1.25)
      .thing('Torn strip', 8.3, 10.1, 2, 1.25)
      .paper('Fern cardstock', box(1.5, 1.65, 9, 8.15), -1, 'mat')
      .paper('Petal dots', box(1.65, 1.8, 8.7, 7.85), -1, 'mat')
      .thing('Garden lace', 6, 9.5, -1)
      .thing('Plant label', 10.75, 4.9, 9)
      .thing('Picnic ribbon', 3.3, 6.15, -1, 0.9);
    const rim = 'Linen cardstock';
    print(on, rim, 2.0, 2.15, 4.9, 3.25, -3);
    print(on, rim, 7.1, 1.55, 2.75, 2.75, 5);
    print(on, rim, 1.75, 6.0, 2.6, 2.6, 4);
    print(on, rim, 7.5, 5.0, 2.4, 2.4, -5);
    on.thing('Seed tape', 4.5, 2.2, -5, 0.45)
      .thing('Clothes-peg', 8.55, 1.3, 5, 0.9)
      .thing('Clothes-peg', 9.55, 4.95, -5, 0.8)
      .paper('Leaf cardstock', box(4.2, 6.42, 4.7, 2.3), 1, 'mat')
      .paper(rim, box(4.3, 6.52, 4.5, 2.1), 1, 'mat')
      .words('title', 'Picnic', 'great-vibes', 96, ink('Peony'), 6.5, 7.3, 1)
      .words('journaling', 'on the green, cake first', 'special-elite', 14, ink('Soil'), 6.6, 8.3, 1)
      // Lower left: the large bunch.
      .thing('Green leaf', 1.15, 9.1, 200)
      .thing('Green leaf', 3.3, 10.6, 30, 0.9)
      .thing('Fern leaf', 3.5, 9.45, -18)
      .thing('Fern leaf', 1.0, 10.9, 150)
      .thing('Autumn leaf', 2.0, 8.75, -70, 0.8)
      .thing('Peony flower', 2.15, 9.95, 0, 1.15)
      .thing('Bluebell flower', 3.35, 10.05, 20, 0.9)
      .thing('Primrose flower', 1.2, 10.1, 0)
      .thing('Primrose flower', 2.75, 10.95, 40, 0.7)
      // Upper right: the small one.
      .thing('Green leaf', 10.9, 1.1, -30, 0.8)
      .thing('Fern leaf', 9.35, 0.9, 190, 0.8)
      .thing('Fern leaf', 10.85, 2.35, 70, 0.8)
      .thing('Peony flower', 10.2, 1.45, 30, 0.8)
      .thing('Primrose flower', 10.95, 1.85, 0, 0.75)
      .thing('Bluebell flower', 9.6, 0.95, 0, 0.6)
      .thing('Rose bow', 9.75, 8.75, -8, 0.8)
      .thing('Robin stamp', 10.75, 7.3, 8)
      .thing('Butterfly stamp', 1.2, 4.9, -9)
      .thing('Ticket', 9.3, 9.75, -6)
      .thing('Felt butterfly', 6.95, 5.95, 16, 0.75)
      .thing('Wooden bird', 1.2, 2.3, -6, 0.9)
      .thing('Peony wax seal', 10.9, 10.6, 10, 0.85)
      .thing('Sequins', 5.4, 10.7, 0, 0.9)
      .thing('Half pearls', 6.9, 9.15, -1)
      .thing('Marigold button', 4.55, 8.95)
      .thing('Soil button', 5.2, 9.2, 20, 0.8)
      .thing('Copper safety pin', 3.1, 5.95, -14)
      .thing('Leaf brad', 4.5, 6.72, 0, 0.9)
      .thing('Marigold brad', 8.6, 6.78, 0, 0.9);
  },
};

/** The pockets of a sheet of twelve, 3 x 4 in each, seen between their seams. */
const pocket = (column: number, row: number, across = 1) =>
  box(0.19 + 2.94 * column, 0.2 + 3.9 * row, 2.94 * across - 0.14, 3.76);

const pockets: HandPage = {
  id: 'saltmarsh-pockets',
  kit: 'every-day',
  title: 'The week of the long walk',
  pages: 1,
  photos: [
    'september-01-cottages.jpg',
    'september-03-tam.jpg',
    'september-04-biscuit.jpg',
    'september-02-door.jpg',
    'september-05-lighthouse.jpg',
    'september-06-wren-and-ines.jpg',
  ],
  notes: [
    'A sheet of twelve pockets, two photos across two of them. Cards are cut from the Every Day papers to 3 x 4 in; the red is kept for one thing a row. The coffee is real enough.',
  ],
  lay(on, ink) {
    const round = { kind: 'rectangle' as const, radius: 7 };
    on.ground('Page cardstock')
      .place(pocket(0, 0, 2), 0, round)
      .paper('Street plan', pocket(2, 0), 0, 'paper', round)
      .place(pocket(3, 0), 0, round)
      .paper('Squared', pocket(0, 1), 0, 'paper', round)
      .place(pocket(1, 1), 0, round)
      .place(pocket(2, 1, 2), 0, round)
      .place(pocket(0, 2), 0, round)
      .paper('Manila cardstock', pocket(1, 2), 0, 'paper', round)
      .place(pocket(2, 2, 2), 0, round)
      // To the light: a label on the map.
      .paper('Page cardstock', box(6.32, 1.2, 2.3, 1.5), -2, 'mat')
      .words('title', 'to the light', 'caveat', 34, ink('Biro'), 7.47, 1.72, -2)
      .words('journaling', '& back', 'special-elite', 15, ink('Denim'), 7.5, 2.3, -2)
      .thing('Wooden arrow', 7.5, 3.25, -8, 0.75)
      .thing('Hazard washi', 7.5, 0.62, 3, 0.55)
      // The week's number.
      .words('title', '38', 'zilla-slab', 150, ink('Post red'), 1.6, 5.55)
      .words('journaling', 'the week of the long walk', 'special-elite', 10.5, ink('Denim'), 1.6, 7.0)
      .thing('Enamel dots', 1.6, 7.4, 0, 0.9)
      .thing('Paper clip', 2.55, 4.35, 4)
      // What there is to tell.
      .thing('Coffee ring', 5.05, 11.1, 40, 0.62)
      .words(
        'journaling',
        'Nine miles there,\nback by bus.\nBiscuit swam twice.\nWren sang the bus\ndriver a song.\nSoup for everybody.',
        'caveat',
        23,
        ink('Denim'),
        4.52,
        9.85,
      )
      .thing('Marmalade brushstroke', 4.5, 8.45, -2, 0.75)
      .thing('Red button', 5.45, 8.42, 10)
      .thing('Bicycle stamp', 11.05, 3.25, 8, 0.85)
      .thing('Felt cloud', 10.9, 4.75, -6, 0.8)
      .thing('Post red wax seal', 11.25, 11.15, 12, 0.75);
  },
};

const double: HandPage = {
  id: 'saltmarsh-all-up',
  kit: 'windward',
  title: 'All up',
  pages: 2,
  photos: [
    'may-09-panorama.jpg',
    'may-03-ines-and-olu.jpg',
    'may-08-high.jpg',
    'may-16-everyone.jpg',
    'may-10-plum.jpg',
  ],
  notes: [
    'Two pages that are one: the wide photo, the bunting and the band of kites go over the fold, and each page carries its half of them. Lay one page, copy it to the next, and slide what crosses by twelve inches.',
    'The right half. The band matches at the fold because both papers begin at the same corner.',
  ],
  lay(on, ink) {
    on.paper('Kites aloft', box(-0.2, 6.6, 24.4, 4.1))
      .paper('Kite red cardstock', box(-0.2, 10.62, 24.4, 0.22))
      .paper('Kite red cardstock', box(-0.2, 6.46, 24.4, 0.22))
      .paper('Deep water cardstock', box(4.95, 1.2, 14.1, 4.34), 0, 'mat')
      .paper('Sailcloth cardstock', box(5.1, 1.35, 13.8, 4.04), 0, 'mat')
      .place(box(5.25, 1.5, 13.5, 3.74))
      .thing('Bunting', 8.3, 1.25, -2, 1.25)
      .thing('Bunting', 15.6, 1.25, 2, 1.25)
      .words('title', 'All up', 'great-vibes', 112, ink('Kite red'), 2.65, 2.7, -4)
      .words(
        'journaling',
        'nine kites, one string\nof knots, no wind left\nfor anybody else',
        'special-elite',
        15,
        ink('Deep water'),
        2.6,
        4.55,
      );
    const rim = 'Sailcloth cardstock';
    print(on, rim, 0.9, 6.85, 4.5, 3, -3);
    print(on, rim, 6.3, 6.6, 2.5, 3.5, 3);
    print(on, rim, 13.3, 6.6, 5, 3.33, -2);
    print(on, rim, 19.5, 6.75, 3, 3, 4);
    on.thing('Card kite', 10.35, 8.6, 14, 1.35)
      .thing('Loop of rope', 10.2, 10.25, 20, 0.9)
      .thing('Lighthouse stamp', 5.95, 10.3, -7, 0.9)
      .thing('Luggage tag', 21.3, 3.4, 5)
      .words(
        'journaling',
        'Saltmarsh Bay\nthe sixteenth\nof May',
        'special-elite',
        12,
        ink('Deep water'),
        21.25,
        4.2,
        5,
      )
      .thing('Regatta bow', 19.0, 5.5, -10, 0.85)
      .thing('Kite red wax seal', 18.95, 10.45, 8, 0.9)
      .thing('Gull stamp', 23.0, 10.3, 6, 0.9)
      .thing('Deep water button', 12.85, 10.35)
      .thing('Coral button', 13.5, 10.6, 20)
      .thing('Brass clip', 1.6, 7.05, -3);
  },
};

const PAGES: readonly HandPage[] = [pockets, crowded, double];

/** The pages, and the bytes of what they are made of. `photos` are the year's, by file name. */
export async function handPages(
  photos: ReadonlyMap<string, Asset>,
  typesetter: Typesetter,
): Promise<{ projects: Project[]; bytes: Map<string, Uint8Array> }> {
  const bytes = new Map<string, Uint8Array>();
  const projects: Project[] = [];
  for (const page of PAGES) {
    const shelf = await houseShelf(page.kit, (find) => laid(page, find, typesetter));
    for (const [sha, data] of shelf.bytes) bytes.set(sha, data);
    projects.push(made(page, shelf, photos, typesetter));
  }
  return { projects, bytes };
}

/** All of it on one sheet, as wide as its pages together. */
function laid({ kit, pages, lay }: HandPage, find: Shelf['find'], typesetter: Typesetter) {
  const from = new Material(find, typesetter);
  const on = new Composer(from, { width: pages * SIDE, height: SIDE });
  const inks = inkFinder(HOUSE_KITS.find(({ id }) => id === kit)!.inks);
  if (pages > 1)
    on.paper('Sailcloth cardstock', box(-0.2, -0.2, 12 * pages + 0.4, 12.4), 0, 'paper', RECTANGLE);
  lay(on, (name) => inks(name).colour);
  return { pile: on.pile, used: from.used };
}

function made(
  page: HandPage,
  { find }: Shelf,
  known: ReadonlyMap<string, Asset>,
  typesetter: Typesetter,
): Project {
  const { id, title, pages, photos, notes } = page;
  const { pile, used } = laid(page, find, typesetter);
  const waiting = photos.map((name) => known.get(name)!);
  const whole = pile.map((piece) =>
    isEmptyPlace(piece) ? inPlace(piece, waiting.shift()!, undefined) : piece,
  );
  if (waiting.length) throw new Error(`${title}: ${waiting.length} photos have no place.`);
  const base = newLayout({ id, title, unit: 'in', width: SIDE, height: SIDE });
  const assets = [...used.values()];
  return {
    ...base,
    surfaces: Array.from({ length: pages }, (_, i) => ({
      ...newSurface(`${id}-${i + 1}`, `Page ${i + 1}`, { width: SIDE, height: SIDE }, 'in'),
      ...(notes[i] ? { note: notes[i] } : {}),
      pile: whole.filter((piece) => reaches(piece, i)).map((piece) => moved(piece, i)),
    })),
    assets: Object.fromEntries([
      ...assets.map(([asset]) => [asset.sha, asset] as const),
      ...photos.map((name) => [known.get(name)!.sha, known.get(name)!] as const),
    ]),
    photos: photos.map((name) => known.get(name)!.sha),
    ...Object.fromEntries(
      (['papers', 'stamps', 'bits', 'frames', 'letters'] as const).map((where) => [
        where,
        assets.filter(([, compartment]) => compartment === where).map(([{ sha }]) => sha),
      ]),
    ),
  };
}

/** Whether some of a piece lies on the page that begins `i` pages on. */
function reaches({ placement: { x, width, height, turn } }: Piece, i: number): boolean {
  const a = (turn * Math.PI) / 180;
  const half = (width * Math.abs(Math.cos(a)) + height * Math.abs(Math.sin(a))) / 2;
  return x + half > i * SIDE && x - half < (i + 1) * SIDE;
}

const moved = (piece: Piece, i: number): Piece => ({
  ...piece,
  id: i ? `${piece.id}-${i}` : piece.id,
  placement: { ...piece.placement, x: piece.placement.x - i * SIDE },
});
