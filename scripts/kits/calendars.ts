/** Ready-made calendars, one for each of four kits: twelve months, each with papers, things and inks of its own. */
import { dealInks, INK_YEARS, monthInks, type InkYear } from '@/core/calendar/inks';
import { finishOf } from '@/core/piece/finish';
import { newMonth } from '@/core/piece/material/month/begin';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { beginProduct, monthOn } from '@/core/product';
import { calendarIn } from '@/core/product/calendar';
import { withSettings } from '@/core/product/calendar/settings';
import { changeProduct } from '@/core/project/edits/product';
import { gather } from '@/core/project/edits/gather';
import { together } from '@/core/project/edits/edit';
import { isEmptyPlace } from '@/core/project/frames';
import { perform, startHistory } from '@/core/project/history';
import { newProject, type Project, type Surface } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { monthAfter } from '@/core/dates/days';
import type { Box } from '@/core/geometry/box';
import { toPoints } from '@/core/units/lengths';
import type { Typesetter } from '@/core/text/typesetter';
import { box, Composer, Material, punched, ROUND, type FindSupply } from './compose';
import type { HouseKit } from './kit';

/** What is dressed: a page, what it began with, and what its month is. */
interface Page {
  on: Composer;
  /** Which month it is, 0 for January. */
  i: number;
  inks: readonly string[];
  /** The pieces it began with, laid where one wants them. */
  photo(at: Box, turn?: number, outline?: Piece['outline']): void;
  title(at: Box, size: number, change?: { align?: 'left' | 'centre' }): void;
  month(at: Box, change?: Partial<MonthMaterial>, which?: number): void;
  /** A small month more, before or after that of the page. */
  small(at: Box, after: number): void;
}

interface Design {
  title: string;
  tags: string;
  kit: HouseKit['id'];
  way: string;
  width: number;
  height: number;
  inks: InkYear['id'];
  family: string;
  /** What it is bound with. */
  wire?: true;
  cover(page: Page): void;
  page(page: Page): void;
}

/** Out of a list, over and over. */
const at = <T>(all: readonly T[], i: number): T => all[i % all.length]!;

// ------------------------------------------------------------------------------------------------ the wall, by the sea

/** A month at the shore: its paper, the card about its photo, a stamp, two things. */
const SHORE: readonly (readonly [
  paper: string,
  card: string,
  stamp: string,
  first: string,
  second: string,
])[] = [
  ['Tide tables', 'Lagoon', 'Lighthouse', 'Luggage tag', 'Brass clip'],
  ['Pebble dots', 'Kite red', 'Sailboat', 'Wooden boat', 'Coral button'],
  ['Gulls', 'Dune', 'Gull', 'Loop of rope', 'Driftwood button'],
  ['Kites aloft', 'Kite red', 'Kite', 'Card kite', 'Enamel drops'],
  ['Deckchair stripe', 'Lagoon', 'Windsock', 'Regatta bow', 'Coral button'],
  ['Swell', 'Dune', 'Scallop shell', 'Wooden starfish', 'Deep water button'],
  ['Shell hunt', 'Kite red', 'Sun over sea', 'Wooden boat', 'Brass brad'],
  ['Signal check', 'Dune', 'Bucket and spade', 'Wooden starfish', 'Coral button'],
  ['Windbreak', 'Lagoon', 'Swallow kite', 'Card kite', 'Driftwood button'],
  ['Tide tables', 'Kite red', 'Box kite', 'Loop of rope', 'Brass clip'],
  ['Gulls', 'Lagoon', 'Lighthouse', 'Luggage tag', 'Deep water button'],
  ['Deckchair stripe', 'Dune', 'Starfish', 'Regatta bow', 'Enamel drops'],
];

const shore: Design = {
  title: 'A year of wind',
  tags: 'wall hanging seaside wire',
  kit: 'windward',
  ...{ way: 'folded', width: 11, height: 8.5, inks: 'shore', family: 'abril-fatface', wire: true },
  cover({ on, photo, title }) {
    on.ground('Kites aloft')
      .paper('Deckchair stripe', box(-0.2, 5.6, 11.4, 1.7))
      .paper('Lagoon cardstock', box(1.3, 0.85, 8.4, 5.7), 0, 'mat')
      .paper('Sailcloth cardstock', box(1.42, 0.97, 8.16, 5.46), 0, 'mat');
    photo(box(1.6, 1.15, 7.8, 5.1));
    on.paper('Sailcloth cardstock', box(3.4, 6.35, 4.2, 1.5), 0, 'mat');
    title(box(3.5, 6.5, 4, 1.2), 70);
    on.thing('Card kite', 9.3, 1.7, 14, 1.25)
      .thing('Wooden boat', 1.9, 6.6, -5, 1.3)
      .thing('Brass brad', 3.65, 7.1, 0, 0.8)
      .thing('Brass brad', 7.35, 7.1, 0, 0.8);
  },
  page({ on, i, inks, photo, title, month, small }) {
    const [paper, card, stamp, first, second] = SHORE[i]!;
    on.ground(paper).paper(
      `Sailcloth cardstock`,
      box(-0.2, 8.5, 11.4, 8.7),
      0,
      'paper',
      undefined,
      finishOf(0),
    );
    const turn = at([0, -1.5, 0, 1.2], i);
    const left = i % 2 === 0;
    if (i % 3 === 2) {
      // The photo over all of its width, a strip beneath it.
      on.paper(`${card} cardstock`, box(0.55, 0.95, 9.9, 5.95), turn, 'mat');
      photo(box(0.75, 1.15, 9.5, 5.55), turn);
      on.paper('Dune cardstock', box(-0.2, 6.55, 11.4, 0.62)).thing(
        first,
        left ? 1.7 : 9.3,
        6.5,
        left ? -6 : 8,
        1.2,
      );
      on.thing(second, left ? 3.4 : 7.6, 6.86, 12).thing('Brass brad', left ? 9.9 : 1.1, 6.86, 0, 0.8);
    } else {
      const x = left ? 0.7 : 3.0;
      on.paper(`${card} cardstock`, box(x, 0.75, 7.3, 6.95), turn, 'mat').paper(
        'Sailcloth cardstock',
        box(x + 0.13, 0.88, 7.04, 6.69),
        turn,
        'mat',
      );
      photo(box(x + 0.32, 1.07, 6.66, 6.31), turn);
      const side = left ? 9.35 : 1.65;
      on.paper('Sailcloth cardstock', box(side - 1.05, 1.05, 2.1, 2.1), 0, 'mat', punched('sun'))
        .thing(stamp, side, 2.1, left ? 5 : -5, 0.85, inks[1])
        .thing(first, side + (left ? -0.2 : 0.2), 5.4, left ? 8 : -8, 1.25)
        .thing(second, left ? 8.05 : 2.95, 7.25, 10);
    }
    // Below the fold: the month with its neighbours.
    on.paper(paper, box(-0.2, 8.5, 11.4, 1.05), 0, 'paper', undefined, finishOf(0))
      .paper('Sailcloth cardstock', box(0.55, 9.2, 9.9, 7.35), 0, 'mat')
      .thing(stamp, 1.55, 10.15, -6, 0.72, inks[1]);
    title(box(2.4, 9.6, 5.2, 1.05), 46, { align: 'left' });
    small(box(7.25, 9.5, 1.4, 1.22), -1);
    small(box(8.85, 9.5, 1.4, 1.22), 1);
    month(box(0.95, 10.85, 9.1, 5.45), {
      numbers: { family: 'zilla-slab' },
      heads: { family: 'zilla-slab' },
    });
  },
};

// ------------------------------------------------------------------------------------------------ the desk, by the kettle

const KITCHEN: readonly (readonly [
  paper: string,
  card: string,
  stamp: string,
  thing: string,
  button: string,
])[] = [
  ['Tea towel', 'Enamel', 'Teapot', 'Card cup', 'Enamel button'],
  ['Sprinkles', 'Jam', 'Heart', 'Felt heart', 'Heart brad'],
  ['Recipe card', 'Butter', 'Whisk', 'Jar label', 'Butter button'],
  ['Kitchen tiles', 'Enamel', 'Rolling pin', 'Wooden teapot', 'Copper brad'],
  ['Oilcloth', 'Jam', 'Cupcake', 'Doily', 'Jam button'],
  ['Baking day', 'Butter', 'Lemon slice', 'Card cup', 'Butter button'],
  ['Tablecloth', 'Enamel', 'Jar of jam', 'Felt heart', 'Jam button'],
  ['Tea at four', 'Jam', 'Cup and saucer', 'Wooden teapot', 'Enamel button'],
  ['Air mail', 'Enamel', 'Envelope', 'Card envelope', 'Paper clip'],
  ['Recipe card', 'Jam', 'Wheat', 'Jar label', 'Copper brad'],
  ['Kitchen tiles', 'Butter', 'Biscuit', 'Card cup', 'Enamel button'],
  ['Tablecloth', 'Jam', 'Cupcake', 'Doily', 'Heart brad'],
];

const kitchen: Design = {
  title: 'Twelve from the kitchen',
  tags: 'desk standing kitchen small',
  kit: 'kitchen-table',
  ...{ way: 'picture', width: 7, height: 5, inks: 'garden', family: 'pacifico' },
  cover({ on, photo, title }) {
    on.ground('Tea at four')
      .paper('Jam cardstock', box(0.8, 0.5, 5.4, 3.55), 0, 'mat')
      .paper('Flour cardstock', box(0.9, 0.6, 5.2, 3.35), 0, 'mat');
    photo(box(1.02, 0.72, 4.96, 3.11));
    on.paper('Flour cardstock', box(2.15, 3.55, 2.7, 1.05), 0, 'mat', punched('banner'));
    title(box(2.3, 3.72, 2.4, 0.7), 38);
    on.thing('Card cup', 6.05, 3.95, 8, 0.8)
      .thing('Jam button', 1.05, 3.95)
      .thing('Butter button', 1.5, 4.2, 0, 0.7);
  },
  page({ on, i, inks, photo, title, month }) {
    const [paper, card, stamp, thing, button] = KITCHEN[i]!;
    on.ground(paper);
    const left = i % 2 === 0;
    const turn = at([-2, 1.5, 0], i);
    const x = left ? 0.4 : 3.7;
    on.paper(`${card} cardstock`, box(x, 0.55, 2.9, 3.9), turn, 'mat').paper(
      'Flour cardstock',
      ...([box(x + 0.08, 0.63, 2.74, 3.74), turn, 'mat'] as const),
    );
    photo(box(x + 0.18, 0.73, 2.54, 3.3), turn);
    const c = left ? 3.55 : 0.4;
    on.paper('Flour cardstock', box(c, 0.4, 3.05, 4.2), 0, 'mat').thing(
      at(['Checked washi', 'Mail washi'], i),
      ...([x + 1.45, 0.62, at([-4, 5, 2], i), 0.62] as const),
    );
    title(box(c + 0.15, 0.55, 2.3, 0.55), 21, { align: 'left' });
    on.thing(stamp, c + 2.66, 0.86, at([6, -8, 0], i), 0.42, inks[1]);
    month(box(c + 0.15, 1.18, 2.75, 3.25), {
      layout: 'open',
      ...{ numbers: { family: 'zilla-slab' }, heads: { family: 'zilla-slab' } },
    });
    on.thing(thing, x + (left ? 0.5 : 2.4), 4.15, left ? -8 : 9, 0.62).thing(
      button,
      ...([x + (left ? 2.55 : 0.35), 4.22, 15, 0.8] as const),
    );
  },
};

// ------------------------------------------------------------------------------------------------ the year, in the garden

const GARDEN = [
  ...[
    'Snail',
    'Bird',
    'Seedling',
    'Daisy',
    'Tulip',
    'Bee',
    'Butterfly',
    'Watering can',
    'Carrot',
    'Mushroom',
  ],
  ...['Fern', 'Sprig'],
];
const PETALS = [
  'Peony flower',
  'Primrose flower',
  'Bluebell flower',
  'Green leaf',
  'Fern leaf',
  'Autumn leaf',
];

const garden: Design = {
  title: 'The garden, all year',
  tags: 'year sheet glance garden wall',
  kit: 'garden-year',
  ...{ way: 'year', width: 12, height: 12, inks: 'garden', family: 'great-vibes' },
  cover: () => undefined,
  page({ on, photo, title, month }) {
    on.ground('Trellis')
      .paper('Fern cardstock', box(0.35, 0.35, 11.3, 11.3), 0, 'mat')
      .paper('Linen cardstock', box(0.47, 0.47, 11.06, 11.06), 0, 'mat');
    title(box(3.5, 0.62, 5, 1), 66);
    for (let i = 0; i < 12; i++) {
      const [x, y] = [0.78 + (i % 4) * 2.68, 1.85 + Math.floor(i / 4) * 3.2];
      const set = INK_YEARS.find(({ id }) => id === 'garden')!.sets[i]!;
      on.paper(
        at(['Petal dots', 'Seed rows', 'Bluebell check', 'Butterflies'], i + Math.floor(i / 4)),
        box(x, y, 2.4, 1.22),
        0,
        'mat',
      );
      photo(box(x + 0.09, y + 0.09, 2.22, 1.04));
      month(
        box(x + 0.1, y + 1.3, 2.2, 1.62),
        { headLength: 'narrow', numbers: { family: 'zilla-slab' }, heads: { family: 'zilla-slab' } },
        i,
      );
      on.paper('Linen cardstock', box(x + 1.86, y - 0.22, 0.72, 0.72), 0, 'mat', ROUND).thing(
        GARDEN[i]!,
        ...([x + 2.22, y + 0.14, at([6, -8, 3], i), 0.32, set[1]] as const),
      );
    }
    PETALS.forEach((name, i) => {
      const left = i < 3;
      on.thing(
        name,
        left ? 0.95 + i * 0.85 : 8.95 + (i - 3) * 0.85,
        1.1 + (i % 2 ? 0.12 : -0.05),
        at([-18, 14, -6], i),
        0.62,
      );
    });
  },
};

// ------------------------------------------------------------------------------------------------ birthdays, by lantern light

const NIGHT: readonly (readonly [
  paper: string,
  card: string,
  stamp: string,
  thing: string,
  second: string,
])[] = [
  ['First frost', 'Midnight', 'Snowflake', 'Frost drops', 'Midnight button'],
  ['Party dots', 'Berry', 'Candle', 'Gift bow', 'Berry button'],
  ['Pine wood', 'Pine', 'Bell', 'Wooden star', 'Gilt brad'],
  ['Rooftops', 'Midnight', 'Paper lantern', 'Card lantern', 'Star brad'],
  ['Wrapping stripe', 'Berry', 'Parcel', 'Card parcel', 'Berry button'],
  ['Starfield', 'Midnight', 'Moon', 'Felt moon', 'Star brad'],
  ['Lantern parade', 'Berry', 'Firework', 'Party bunting', 'Gilt brad'],
  ['Party dots', 'Pine', 'Star', 'Wooden star', 'Midnight button'],
  ['Scarf', 'Midnight', 'Lantern', 'Card lantern', 'Gilt brad'],
  ['Rooftops', 'Berry', 'String of lights', 'Felt moon', 'Berry button'],
  ['Starfield', 'Pine', 'Paper lantern', 'Card parcel', 'Star brad'],
  ['Holly check', 'Berry', 'Holly branch', 'Gold bow', 'Berry button'],
];

const night: Design = {
  title: 'Days to raise a lantern',
  tags: 'birthday perpetual letter any year',
  kit: 'lantern-night',
  ...{ way: 'birthdays', width: 8.5, height: 11, inks: 'lamplight', family: 'great-vibes' },
  cover({ on, photo, title }) {
    on.ground('Lantern parade')
      .paper('Midnight cardstock', box(1.2, 1.5, 6.1, 6.1), 0, 'mat', ROUND)
      .paper('Snow cardstock', box(1.35, 1.65, 5.8, 5.8), 0, 'mat', ROUND);
    photo(box(1.6, 1.9, 5.3, 5.3), 0, ROUND);
    on.paper('Snow cardstock', box(0.9, 8.05, 6.7, 1.75), 0, 'mat', punched('banner'));
    title(box(1.1, 8.35, 6.3, 1.1), 50);
    on.thing('Party bunting', 4.25, 0.75, 0, 1.05)
      .thing('Card lantern', 1.3, 7.1, -8, 1.1)
      .thing('Gold bow', 7.1, 7.3, 8, 0.8);
  },
  page({ on, i, inks, photo, title, month }) {
    const [paper, card, stamp, thing, second] = NIGHT[i]!;
    const left = i % 2 === 1;
    on.ground(paper)
      .paper(`${card} cardstock`, box(0.5, 0.5, 7.5, 10), 0, 'mat')
      .paper('Snow cardstock', box(0.62, 0.62, 7.26, 9.76), 0, 'mat');
    const p = left ? 0.95 : 5.05;
    on.paper(`${card} cardstock`, box(p, 0.9, 2.5, 2.5), 0, 'mat', ROUND);
    photo(box(p + 0.13, 1.03, 2.24, 2.24), 0, ROUND);
    title(box(left ? 3.6 : 0.95, 1.2, 3.95, 1.3), 56);
    on.thing(stamp, left ? 5.6 : 2.9, 2.75, at([-6, 8, 0], i), 0.6, inks[1]);
    month(box(0.95, 3.9, 6.6, 6.3), {
      ...{ numberScale: 1.6, noteScale: 1.4, numbers: { family: 'zilla-slab' }, heads: { family: 'caveat' } },
    });
    on.thing(thing, left ? 1.15 : 7.25, 3.05, left ? -10 : 10, 0.6).thing(
      second,
      left ? 3.3 : 5.2,
      0.98,
      0,
      0.9,
    );
  },
};

const DESIGNS: readonly Design[] = [shore, kitchen, garden, night];

/** The ready-made calendars of a kit, each with the tags it is found by. */
export function readyCalendars(
  kit: HouseKit,
  supply: FindSupply,
  typesetter: Typesetter,
): { project: Project; tags: string }[] {
  return DESIGNS.filter((design) => design.kit === kit.id).map((design, i) => ({
    project: calendarOf(`${kit.id}-calendar-${i + 1}`, design, supply, typesetter),
    tags: design.tags,
  }));
}

function calendarOf(id: string, design: Design, supply: FindSupply, typesetter: Typesetter): Project {
  const { title, way, inks, wire } = design;
  const size = { width: toPoints(design.width, 'in'), height: toPoints(design.height, 'in') };
  const year = INK_YEARS.find((each) => each.id === inks)!;
  const bare = begun(
    newProject({ id, title, unit: 'in' }, beginProduct('calendar', size, way, { year: 2026, month: 12 })),
  );
  const bound = wire
    ? perform(
        startHistory(bare),
        changeProduct(
          withSettings(calendarIn(bare.product)!, { binding: { by: 'wire', at: 'top' } }),
          'bind',
        ),
        0,
      ).project
    : bare;
  const dealt = perform(startHistory(bound), dealInks(bound, year)!, 0).project;
  const from = new Material(supply, typesetter);
  const surfaces = dealt.surfaces.map((surface) => dressed(dealt, surface, design, year, from));
  const kept = [...from.used.values()];
  const gathered = perform(
    startHistory({ ...dealt, surfaces }),
    together(
      'gather',
      kept.map(([asset, compartment]) => gather(compartment, [asset])),
    ),
    0,
  );
  return gathered.project;
}

function dressed(project: Project, surface: Surface, design: Design, year: InkYear, from: Material): Surface {
  const of = surface.part === 'cover' ? null : monthOn(project, surface);
  const on = new Composer(from, surface);
  const i = (of?.month ?? 1) - 1;
  const began = [...surface.pile];
  const take = (which: (piece: Piece) => boolean): Piece | undefined => {
    const found = began.findIndex(which);
    return found < 0 ? undefined : began.splice(found, 1)[0];
  };
  const months = surface.pile.filter(({ material }) => material.kind === 'month');
  const page: Page = {
    ...{ on, i, inks: year.sets[i]! },
    photo(at, turn = 0, outline) {
      const piece = take(isEmptyPlace);
      on.place(at, turn, outline);
      // The place it began with is the one that is laid.
      if (piece) on.last((laid) => ({ ...laid, id: piece.id }));
    },
    title(at, size, change = {}) {
      const piece = take(({ role }) => role === 'title');
      if (piece?.outline.kind !== 'glyphs') return;
      const height = size * 1.25;
      on.pile.push({
        ...piece,
        outline: { ...piece.outline, family: design.family, size, leading: 1.2, ...change },
        placement: placedAt({ ...at, y: at.y + (at.height - height) / 2, height }),
      });
    },
    month(at, change = {}, which = 0) {
      const piece = months[which];
      if (piece?.material.kind !== 'month') return;
      on.pile.push({ ...piece, material: { ...piece.material, ...change }, placement: placedAt(at) });
    },
    small(at, after) {
      const piece = months[0];
      if (!of || piece?.material.kind !== 'month') return;
      const { material } = piece;
      const month = newMonth(monthAfter(of, after), material.language, after);
      on.pile.push({
        ...piece,
        id: `${surface.id}-small-${after}`,
        name: 'A small month',
        placement: placedAt(at),
        material: {
          ...month,
          ...{
            layout: 'open',
            title: 'month',
            headLength: 'narrow',
            sixth: 'six',
            weekStart: material.weekStart,
          },
          ...{ numbers: { family: 'zilla-slab' }, heads: { family: 'zilla-slab' } },
          inks: { ...material.inks, ...monthInks(year.sets[month.month - 1]!) },
        },
      });
    },
  };
  if (surface.part === 'cover') design.cover(page);
  else design.page(page);
  return { ...surface, pile: on.pile };
}
