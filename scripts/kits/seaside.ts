import { Path2D } from '@napi-rs/canvas';
import * as b from './bits';
import { borders, keepsakes, mounts, type Keepsakes } from './common';
import { SEA } from './engrave/sea';
import { SEASIDE } from './icons/seaside';
import { inkFinder, inksOf, motifFinder, type HouseKit } from './kit';
import * as g from './papers/geometry';
import * as w from './papers/nature';
import { toile } from './papers/toile';
import * as o from './papers/whole';
import * as t from './tiles';

const m = motifFinder(SEA);

const inks = inksOf(
  'Sailcloth #f6f0e0',
  'Dune #dcc6a0',
  'Driftwood #b08d66',
  'Rope #8a6a48',
  'Sea glass #8fc1b5',
  'Lagoon #3f8f8a',
  'Deep water #24506b',
  'Kite red #c5503f',
  'Coral #e08a72',
  'Buoy #e9b44c',
  'Sky #a9cbd9',
  'Harbour #40474d',
);
const k = inkFinder(inks);
const c = (name: string) => k(name).colour;
const shape = (i: number) => new Path2D(SEASIDE[i]!.solid!);

const own: Keepsakes = {
  main: k('Lagoon'),
  second: k('Kite red'),
  pale: k('Sailcloth'),
  deep: k('Deep water'),
  bright: k('Buoy'),
  metal: 'Brass',
  motifs: [m('Anchor'), m('Lighthouse'), m('Gull'), m('Sailboat'), m('Scallop shell')],
  seed: 1000,
};

export const seaside: HouseKit = {
  id: 'windward',
  name: 'Windward',
  description: 'A windy day by the sea: kites, rope, sea glass and sailcloth.',
  tags: ['seaside', 'summer', 'holiday'],
  inks,
  stamps: SEA,
  title: 'abril-fatface',
  runs: [own.main.name, own.second.name, own.deep.name],
  titleInk: 'Kite red',
  papers: [
    [
      'Kites aloft',
      'kite wind sky',
      () =>
        toile({
          ground: k('Sky'),
          line: k('Deep water'),
          strewn: [
            { motif: m('Kite'), size: 2.3, tone: k('Sailcloth') },
            { motif: m('Box kite'), size: 1.6, tone: k('Kite red') },
            { motif: m('Gull'), size: 1.7, tone: k('Sailcloth') },
          ],
          seed: 11,
          lean: 24,
          between: { ink: k('Sailcloth'), kind: 'dots', count: 70 },
        }),
    ],
    ['Deckchair stripe', 'stripe beach summer', () => t.stripe(k('Sailcloth'), k('Kite red'), k('Buoy'))],
    ['Swell', 'wave sea water', () => t.scallops(k('Sailcloth'), k('Lagoon'), k('Sea glass'))],
    ['Signal check', 'gingham check picnic', () => t.gingham(k('Sailcloth'), k('Deep water'))],
    ['Pebble dots', 'dots sand spot', () => t.spots(k('Dune'), k('Sailcloth'))],
    ['Tide tables', 'grid ledger number', () => t.grid(k('Sailcloth'), k('Sky'))],
    [
      'Shell hunt',
      'shell starfish beach',
      () =>
        toile({
          ground: k('Sailcloth'),
          line: k('Rope'),
          strewn: [
            { motif: m('Nautilus'), size: 1.5, tone: k('Coral') },
            { motif: m('Scallop shell'), size: 1.4, tone: k('Dune') },
            { motif: m('Turret shell'), size: 1.5, tone: k('Sea glass') },
            { motif: m('Starfish'), size: 1.2, tone: k('Buoy') },
            { motif: m('Whelk'), size: 1.3, tone: k('Dune') },
          ],
          seed: 12,
          lean: 180,
          between: { ink: k('Driftwood'), kind: 'dots', count: 90 },
        }),
    ],
    [
      'Gulls',
      'gull bird sky',
      () =>
        toile({
          ground: k('Sea glass'),
          line: k('Harbour'),
          strewn: [{ motif: m('Gull'), size: 1.6, tone: k('Sailcloth') }],
          seed: 13,
          lean: 28,
        }),
    ],
    [
      'Windbreak',
      'plaid check beach',
      () =>
        g.tartan([
          [k('Sailcloth'), 16],
          [k('Coral'), 10],
          [k('Sailcloth'), 4],
          [k('Lagoon'), 14],
          [k('Sailcloth'), 3],
          [k('Buoy'), 2],
          [k('Sailcloth'), 12],
        ]),
    ],
    [
      'Harbour toile',
      'toile harbour boat',
      () =>
        toile({
          ground: k('Sailcloth'),
          line: k('Lagoon'),
          strewn: [
            { motif: m('Lighthouse'), size: 2.6 },
            { motif: m('Sailboat'), size: 2 },
            { motif: m('Anchor'), size: 1.6 },
            { motif: m('Fish'), size: 1.5 },
            { motif: m('Compass rose'), size: 1.5 },
          ],
          seed: 61,
          between: { ink: k('Lagoon'), kind: 'dots', count: 60 },
        }),
    ],
    [
      'Rock pool',
      'crab urchin shell',
      () =>
        toile({
          ground: k('Lagoon'),
          line: k('Deep water'),
          strewn: [
            { motif: m('Crab'), size: 1.9, tone: k('Coral') },
            { motif: m('Sea urchin'), size: 1.2, tone: k('Sailcloth') },
            { motif: m('Scallop shell'), size: 1.3, tone: k('Dune') },
            { motif: m('Starfish'), size: 1.3, tone: k('Buoy') },
          ],
          seed: 62,
          lean: 180,
          between: { ink: k('Sea glass'), kind: 'dots', count: 80 },
        }),
    ],
    [
      'Marbled tide',
      'marble water sea',
      () =>
        w.marble(
          k('Sailcloth'),
          [k('Lagoon'), k('Deep water'), k('Sea glass'), k('Sky'), k('Sailcloth')],
          63,
          'combed',
        ),
    ],
    ['Soundings', 'map contour chart', () => w.contours(k('Sailcloth'), k('Lagoon'), 64, k('Sky'))],
    ['Indigo nets', 'indigo stitch dye', () => w.resist(k('Deep water'), k('Sailcloth'), 65, 'diamonds')],
    ['Boardwalk', 'wood grain board', () => w.woodgrain(k('Dune'), k('Rope'), 66)],
    [
      'Washed shore',
      'watercolour wash sand',
      () => w.wash(k('Sailcloth'), [k('Sea glass'), k('Sky'), k('Dune')], 67),
    ],
    ['Morning haze', 'ombre sky soft', () => w.ombre(k('Sailcloth'), k('Sky'), 68)],
    ['Night watch', 'star chart sky', () => o.starChart(k('Deep water'), k('Sea glass'), k('Sailcloth'))],
  ],
  card: ['Sailcloth', 'Dune', 'Lagoon', 'Kite red', 'Sky', 'Coral', 'Deep water', 'Buoy'],
  words: [
    ['hello, wind', 'great-vibes'],
    ['sand in our shoes', 'special-elite'],
    ['salt & sunshine', 'abril-fatface'],
    ['out to sea', 'caveat'],
    ['up, up, up', 'zilla-slab'],
    ['the best day', 'great-vibes'],
  ],
  lettered: { ribbon: 'let it fly', round: ['GONE TO THE SHORE', 'Lighthouse'], flourish: 'fair winds' },
  bits: [
    ['Deep water button', 'button round sew', 3, () => b.button(0.85, c('Deep water'), 101)],
    [
      'Coral button',
      'button round sew',
      3,
      () => b.button(0.6, c('Coral'), 102, 2, 'plastic', c('Sailcloth')),
    ],
    [
      'Driftwood button',
      'button wood sew',
      3,
      () => b.button(0.75, '#d8b88c', 103, 4, 'wood', c('Kite red')),
    ],
    ['Brass brad', 'brad metal round', 2, () => b.brad(0.32, '#c9a44a', 104)],
    [
      'Kite ribbon',
      'ribbon red grosgrain',
      0.4,
      () => b.ribbon(6, 0.6, c('Kite red'), c('Sailcloth'), 'grosgrain', 105),
    ],
    [
      'Signal ribbon',
      'ribbon gingham blue',
      0.4,
      () => b.ribbon(5, 0.75, c('Deep water'), c('Sailcloth'), 'gingham', 106),
    ],
    ['Regatta bow', 'bow ribbon red', 4, () => b.bow(1.9, c('Kite red'), c('Sailcloth'), 'stitched', 107)],
    [
      'Slant washi',
      'washi tape stripe',
      0.1,
      () => b.washi(4.5, 0.6, c('Sailcloth'), c('Lagoon'), b.PRINTS.slant!, 108),
    ],
    [
      'Dotted washi',
      'washi tape dots',
      0.1,
      () => b.washi(3.5, 0.45, c('Buoy'), c('Sailcloth'), b.PRINTS.dots!, 109),
    ],
    [
      'Luggage tag',
      'tag label kraft',
      0.6,
      () => b.tag(1.5, 2.9, '#cfa878', c('Rope'), b.PRINTS.grid!, '#c9a44a', c('Sailcloth'), 110),
    ],
    ['Brass clip', 'clip metal paper', 1.2, () => b.clip('#c9a44a', 111)],
    [
      'Loop of rope',
      'rope string twine',
      1.6,
      () =>
        b.twine(
          3.6,
          1.5,
          'M0.1 0.9C0.7 0.2 1.3 1.3 1.9 0.8C2.4 0.3 1.9 0.1 1.7 0.6C1.6 1.4 2.9 1.2 3.5 0.5',
          '#cdb78d',
          112,
          0.05,
        ),
    ],
    ['Wooden boat', 'boat wood sail', 2, () => b.woodShape(1.6, shape(5), '#e2c394', '#b3854f', 113)],
    [
      'Wooden starfish',
      'starfish wood beach',
      2,
      () => b.woodShape(1.2, shape(7), '#e6cda2', '#bd925c', 114),
    ],
    [
      'Card kite',
      'kite chipboard wind',
      1.5,
      () => b.chipboard(1.7, shape(0), c('Kite red'), c('Buoy'), b.PRINTS.slant!, 115),
    ],
    [
      'Enamel drops',
      'dots enamel glossy',
      1.5,
      () => b.dots([c('Kite red'), c('Deep water'), c('Buoy'), c('Sea glass')], 116),
    ],
    [
      'Bunting',
      'bunting flag party',
      1,
      () =>
        b.bunting(
          5.4,
          [c('Kite red'), c('Deep water'), c('Buoy'), c('Lagoon')],
          [b.PRINTS.plain!, b.PRINTS.dots!, b.PRINTS.stripe!],
          c('Sailcloth'),
          117,
        ),
    ],
    ['Splash', 'splatter paint water', 0, () => b.splatter(2, c('Lagoon'), 118)],
    [
      'Torn chart',
      'scrap paper torn',
      0.2,
      () => b.scrap(3, 2, c('Sailcloth'), c('Sky'), b.PRINTS.grid!, 119),
    ],
    ...keepsakes(own),
  ],
  heroes: ['Card kite', 'Wooden boat', 'Wooden starfish'],
  frames: [
    [
      'Boathouse frame',
      'frame wood landscape',
      () => b.frame(5.2, 4.2, [{ x: 0.6, y: 0.6, w: 4, h: 3 }], 'wood', '#d9bb8e', '#8f6a42', 120),
    ],
    [
      'Porthole',
      'frame round scallop',
      () =>
        b.frame(
          4,
          4,
          [{ x: 0.6, y: 0.6, w: 2.8, h: 2.8, round: true }],
          'scallop',
          c('Deep water'),
          c('Sailcloth'),
          121,
        ),
    ],
    [
      'Two views',
      'frame double mat',
      () =>
        b.frame(
          6.2,
          3.4,
          [
            { x: 0.5, y: 0.5, w: 2.4, h: 2.4 },
            { x: 3.3, y: 0.5, w: 2.4, h: 2.4 },
          ],
          'mat',
          c('Sailcloth'),
          c('Lagoon'),
          122,
        ),
    ],
    ...mounts(own),
  ],
  edges: [
    ['Shoreline', 'wave', 'Lagoon'],
    ['Sail hem', 'scallop', 'Sailcloth'],
    ['Pinked sand', 'pinked', 'Dune'],
    ['Net', 'lace', 'Kite red'],
    ...borders(own),
  ],
  alphabets: [
    { name: 'Deckboard', body: 'wood', hex: '#e0c08f', second: '#a97f4d', tall: 0.9 },
    { name: 'Hull enamel', body: 'enamel', hex: '#24506b', second: '#e9dfc8', tall: 0.8 },
  ],
  pages: [
    ['High wind', 'up all afternoon'],
    ['Low tide', 'what the sea left'],
    ['Sand & salt', 'one long summer day'],
    ['The crossing', 'first time on the boat'],
    ['Nine gulls', 'one afternoon on the cliff'],
    ['Five tides', 'the same beach, all week'],
    ['Found on the strand', 'pockets full of it'],
    ['The summer book', 'by the sea'],
    ['Log of the week', 'what we did, and when'],
    ['Wide horizon', 'from the very top'],
    ['Three cards', 'sent from the shore'],
    ['Rock pools', 'a week of looking down'],
  ],
};
