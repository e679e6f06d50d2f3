import { Path2D } from '@napi-rs/canvas';
import * as b from './bits';
import { borders, keepsakes, mounts, type Keepsakes } from './common';
import { GARDEN_STAMPS } from './engrave/garden';
import { GARDEN } from './icons/garden';
import { inkFinder, inksOf, motifFinder, type HouseKit } from './kit';
import * as g from './papers/geometry';
import * as w from './papers/nature';
import { toile } from './papers/toile';
import * as o from './papers/whole';
import * as t from './tiles';

const m = motifFinder(GARDEN_STAMPS);

const inks = inksOf(
  'Linen #f5eee0',
  'Primrose #f4dd8f',
  'Marigold #e8a33c',
  'Petal #f3c9c6',
  'Peony #d9808a',
  'Beetroot #8c3350',
  'Moss #98a36a',
  'Leaf #7f9f5c',
  'Fern #4f7345',
  'Bluebell #7a86b8',
  'Rain #b9cad0',
  'Soil #6b4a35',
);
const k = inkFinder(inks);
const c = (name: string) => k(name).colour;
const shape = (i: number) => new Path2D(GARDEN[i]!.solid!);

const own: Keepsakes = {
  main: k('Leaf'),
  second: k('Peony'),
  pale: k('Linen'),
  deep: k('Beetroot'),
  bright: k('Marigold'),
  metal: 'Copper',
  motifs: [m('Bee'), m('Robin'), m('Butterfly'), m('Watering can'), m('Poppy')],
  seed: 1100,
};

export const garden: HouseKit = {
  id: 'garden-year',
  name: 'Garden Year',
  description: 'From the first seedling to the last leaf: flowers, ferns, felt and yarn.',
  tags: ['garden', 'nature', 'spring'],
  inks,
  stamps: GARDEN_STAMPS,
  title: 'great-vibes',
  runs: [own.main.name, own.second.name, own.deep.name],
  titleInk: 'Beetroot',
  papers: [
    [
      'Cottage border',
      'flower daisy tulip',
      () =>
        toile({
          ground: k('Linen'),
          line: k('Soil'),
          strewn: [
            { motif: m('Open rose'), size: 1.7, tone: k('Petal') },
            { motif: m('Poppy'), size: 1.9, tone: k('Peony') },
            { motif: m('Dahlia'), size: 1.7, tone: k('Primrose') },
            { motif: m('Leafy twig'), size: 1.6, tone: k('Moss') },
          ],
          seed: 21,
          lean: 26,
          between: { ink: k('Moss'), kind: 'dots', count: 34 },
        }),
    ],
    [
      'Fern house',
      'fern leaf green',
      () =>
        toile({
          ground: k('Rain'),
          line: k('Fern'),
          strewn: [
            { motif: m('Fern'), size: 2.8 },
            { motif: m('Ivy'), size: 2, tone: k('Leaf') },
            { motif: m('Leafy twig'), size: 2.2, tone: k('Moss') },
          ],
          seed: 22,
          lean: 70,
        }),
    ],
    ['Petal dots', 'dots pink spot', () => t.spots(k('Petal'), k('Linen'))],
    [
      'Potting shed',
      'plaid check rustic',
      () =>
        g.tartan([
          [k('Linen'), 14],
          [k('Leaf'), 10],
          [k('Linen'), 3],
          [k('Fern'), 5],
          [k('Linen'), 8],
          [k('Peony'), 3],
          [k('Linen'), 14],
        ]),
    ],
    ['Seed rows', 'stripe row ticking', () => t.ticking(k('Linen'), k('Fern'))],
    [
      'Butterflies',
      'butterfly insect summer',
      () =>
        toile({
          ground: k('Primrose'),
          line: k('Soil'),
          strewn: [
            { motif: m('Butterfly'), size: 1.7, tone: k('Marigold') },
            { motif: m('Butterfly'), size: 1.2, tone: k('Linen') },
          ],
          seed: 24,
          lean: 50,
          between: { ink: k('Marigold'), kind: 'dots', count: 70 },
        }),
    ],
    ['Trellis', 'diamond lattice garden', () => t.diamonds(k('Linen'), k('Petal'), k('Fern'))],
    [
      'Bee line',
      'bee insect honey',
      () =>
        toile({
          ground: k('Primrose'),
          line: k('Soil'),
          strewn: [
            { motif: m('Bee'), size: 1.2, tone: k('Marigold') },
            { motif: m('Lavender'), size: 1.7 },
          ],
          seed: 23,
          lean: 60,
          between: { ink: k('Marigold'), kind: 'dashes', count: 90 },
        }),
    ],
    ['Bluebell check', 'gingham check blue', () => t.gingham(k('Linen'), k('Bluebell'))],
    [
      'Rose garden',
      'rose flower large',
      () =>
        toile({
          ground: k('Beetroot'),
          line: k('Soil'),
          strewn: [
            { motif: m('Open rose'), size: 2.8, tone: k('Peony') },
            { motif: m('Dahlia'), size: 2.3, tone: k('Petal') },
            { motif: m('Leafy twig'), size: 2.2, tone: k('Moss') },
            { motif: m('Daisies'), size: 1.8, tone: k('Primrose') },
          ],
          seed: 71,
          lean: 60,
          apart: 4,
          tile: 576,
        }),
    ],
    [
      'Orchard',
      'fruit pear apple',
      () =>
        toile({
          ground: k('Linen'),
          line: k('Fern'),
          strewn: [
            { motif: m('Pear'), size: 1.5, tone: k('Primrose') },
            { motif: m('Apple'), size: 1.4, tone: k('Petal') },
            { motif: m('Strawberry'), size: 1.2, tone: k('Peony') },
            { motif: m('Leafy twig'), size: 1.8 },
          ],
          seed: 72,
          lean: 34,
          between: { ink: k('Leaf'), kind: 'dots', count: 60 },
        }),
    ],
    [
      'Garden toile',
      'toile bird flower',
      () =>
        toile({
          ground: k('Linen'),
          line: k('Bluebell'),
          strewn: [
            { motif: m('Robin'), size: 2 },
            { motif: m('Rose'), size: 2.2 },
            { motif: m('Watering can'), size: 1.8 },
            { motif: m('Snail'), size: 1.2 },
            { motif: m('Tulip'), size: 1.8 },
          ],
          seed: 73,
        }),
    ],
    ['Old brocade', 'damask leaf woven', () => g.damask(k('Petal'), k('Linen'), k('Peony'))],
    [
      'Patchwork star',
      'quilt star patch',
      () => g.quilt(k('Linen'), [k('Peony'), k('Leaf'), k('Primrose')], 'star'),
    ],
    [
      'Rain on leaves',
      'watercolour wash green',
      () => w.wash(k('Linen'), [k('Leaf'), k('Rain'), k('Petal')], 74),
    ],
    ['Hemp leaf', 'sashiko stitch leaf', () => g.sashiko(k('Bluebell'), k('Linen'), 'leaf')],
    ['Potpourri', 'lace crochet pink', () => g.lace(k('Petal'), k('Linen'))],
    [
      'Seed packets',
      'torn paper layers',
      () => o.torn([k('Leaf'), k('Peony'), k('Linen'), k('Marigold')], k('Linen'), 71),
    ],
  ],
  card: ['Linen', 'Petal', 'Fern', 'Marigold', 'Leaf', 'Primrose', 'Bluebell', 'Peony'],
  words: [
    ['in bloom', 'great-vibes'],
    ['home grown', 'zilla-slab'],
    ['first of the season', 'special-elite'],
    ['grown with love', 'caveat'],
    ['dig in', 'abril-fatface'],
    ['a year outdoors', 'great-vibes'],
  ],
  lettered: { ribbon: 'grow a little', round: ['FROM OUR GARDEN', 'Daisies'], flourish: 'sun and rain' },
  bits: [
    [
      'Peony flower',
      'flower paper pink',
      4,
      () => b.flower(1.8, c('Peony'), c('Petal'), b.button(0.4, c('Marigold'), 201), 7, 202),
    ],
    [
      'Bluebell flower',
      'flower paper blue',
      4,
      () => b.flower(1.3, c('Bluebell'), '#a4add3', b.brad(0.28, '#d3ac4e', 203), 6, 204),
    ],
    [
      'Primrose flower',
      'flower paper yellow',
      4,
      () => b.flower(1.1, c('Primrose'), '#fbeeb9', b.button(0.3, c('Soil'), 205, 2), 5, 206),
    ],
    ['Green leaf', 'leaf green summer', 1, () => b.leaf(1.9, c('Leaf'), '#c7d6a6', 207)],
    ['Fern leaf', 'leaf green dark', 1, () => b.leaf(1.5, c('Fern'), '#9dba8c', 208)],
    ['Autumn leaf', 'leaf autumn brown', 1, () => b.leaf(1.8, '#b8742f', '#e9b96f', 209, 5)],
    ['Soil button', 'button wood sew', 3, () => b.button(0.7, '#b98a58', 210, 4, 'wood', c('Fern'))],
    ['Marigold button', 'button round sew', 3, () => b.button(0.6, c('Marigold'), 211)],
    ['Rose bow', 'bow ribbon pink', 4, () => b.bow(2, c('Peony'), c('Linen'), 'satin', 212)],
    ['Fern ribbon', 'ribbon green satin', 0.4, () => b.ribbon(6, 0.55, c('Fern'), c('Linen'), 'satin', 213)],
    [
      'Picnic ribbon',
      'ribbon dots pink',
      0.4,
      () => b.ribbon(5, 0.7, c('Petal'), c('Beetroot'), 'dots', 214, 'plain'),
    ],
    [
      'Seed tape',
      'washi tape ticks',
      0.1,
      () => b.washi(4, 0.55, c('Linen'), c('Leaf'), b.PRINTS.ticks!, 215),
    ],
    [
      'Plant label',
      'tag label plant',
      0.6,
      () => b.tag(1.2, 2.6, c('Linen'), c('Fern'), b.PRINTS.ticks!, '#b9b4a8', '#b79f6e', 216),
    ],
    [
      'Felt butterfly',
      'butterfly felt insect',
      2,
      () => b.felt(1.6, shape(4), c('Bluebell'), c('Linen'), 217),
    ],
    [
      'Felt mushroom',
      'mushroom felt autumn',
      2,
      () =>
        b.felt(
          1.5,
          new Path2D(
            'M6 54C6 22 28 5 50 5C72 5 94 22 94 54C84 58 74 60 63 61C62 74 65 85 70 96H30C35 85 38 74 37 61C26 60 16 58 6 54Z',
          ),
          c('Beetroot'),
          c('Linen'),
          218,
        ),
    ],
    ['Wooden bird', 'bird wood garden', 2, () => b.woodShape(1.5, shape(11), '#dcb684', '#9f7443', 219)],
    [
      'Garden twine',
      'twine string loop',
      1.4,
      () =>
        b.twine(
          3.4,
          1.3,
          'M0.1 0.4C0.8 1.4 1.2 0.1 1.8 0.5C2.3 0.9 1.8 1.2 1.6 0.8C1.5 0.2 2.7 0 3.3 0.9',
          '#a8925c',
          220,
          0.035,
        ),
    ],
    ['Mud splash', 'splatter paint soil', 0, () => b.splatter(1.8, c('Soil'), 221)],
    [
      'Torn seed packet',
      'scrap paper torn',
      0.2,
      () => b.scrap(2.4, 2.8, c('Primrose'), c('Linen'), b.PRINTS.dots!, 222),
    ],
    ...keepsakes(own),
  ],
  heroes: ['Peony flower', 'Primrose flower', 'Green leaf'],
  frames: [
    [
      'Garden mat',
      'frame mat landscape',
      () => b.frame(5, 4, [{ x: 0.5, y: 0.5, w: 4, h: 3 }], 'mat', c('Linen'), c('Fern'), 223),
    ],
    [
      'Felt window',
      'frame felt square',
      () => b.frame(3.6, 3.6, [{ x: 0.55, y: 0.55, w: 2.5, h: 2.5 }], 'felt', c('Leaf'), c('Linen'), 224),
    ],
    [
      'Petal frame',
      'frame round scallop',
      () =>
        b.frame(
          3.8,
          4.6,
          [{ x: 0.65, y: 0.65, w: 2.5, h: 3.3, round: true }],
          'scallop',
          c('Petal'),
          c('Beetroot'),
          225,
        ),
    ],
    ...mounts(own),
  ],
  edges: [
    ['Picket', 'pinked', 'Linen'],
    ['Petal edge', 'scallop', 'Peony'],
    ['Turned earth', 'wave', 'Soil'],
    ['Garden lace', 'lace', 'Fern'],
    ...borders(own),
  ],
  alphabets: [
    { name: 'Garden yarn', body: 'yarn', hex: '#6f9455', second: '#4f7345', tall: 0.85 },
    { name: 'Felt garden', body: 'felt', hex: '#d9808a', second: '#f7efe2', tall: 0.95 },
  ],
  pages: [
    ['In bloom', 'the whole border at once'],
    ['Home grown', 'what came up this year'],
    ['Small things', 'found under the leaves'],
    ['The year outside', 'from spring to frost'],
    ['Everything at once', 'June, from the kitchen door'],
    ['Seed to salad', 'five weeks of it'],
    ['The best corner', 'where the bees go'],
    ['The garden book', 'one whole year'],
    ['Garden diary', 'sun, rain and slugs'],
    ['The long border', 'from end to end'],
    ['Cut flowers', 'and who had them'],
    ['Bed by bed', 'what went where'],
  ],
};
