import { Path2D } from '@napi-rs/canvas';
import * as b from './bits';
import { GARDEN } from './icons/garden';
import { inkFinder, inksOf, type HouseKit } from './kit';
import * as t from './tiles';

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
const icons = (...list: number[]) => list.map((i) => GARDEN[i]!);

export const garden: HouseKit = {
  id: 'garden-year',
  name: 'Garden Year',
  description: 'From the first seedling to the last leaf: flowers, ferns, felt and yarn.',
  tags: ['garden', 'nature', 'spring'],
  inks,
  icons: GARDEN,
  title: 'great-vibes',
  titleInk: 'Beetroot',
  papers: [
    [
      'Cottage border',
      'flower daisy tulip',
      t.toss(k('Linen'), [k('Peony'), k('Fern'), k('Marigold')], icons(0, 1, 9, 0), 21),
    ],
    [
      'Fern house',
      'fern leaf green',
      t.toss(k('Rain'), [k('Fern'), k('Leaf'), k('Linen')], icons(2, 3, 2, 3), 22, 64),
    ],
    ['Petal dots', 'dots pink spot', t.spots(k('Petal'), k('Linen'))],
    ['Potting shed', 'plaid check rustic', t.plaid(k('Linen'), k('Leaf'), k('Peony'))],
    ['Seed rows', 'stripe row ticking', t.ticking(k('Linen'), k('Fern'))],
    ['Butterflies', 'butterfly insect summer', t.rows(k('Primrose'), k('Linen'), GARDEN[4]!, 36)],
    ['Trellis', 'diamond lattice garden', t.diamonds(k('Linen'), k('Petal'), k('Fern'))],
    [
      'Bee line',
      'bee insect honey',
      t.toss(k('Primrose'), [k('Soil'), k('Marigold')], icons(5, 0, 5, 8), 23, 44),
    ],
    ['Bluebell check', 'gingham check blue', t.gingham(k('Linen'), k('Bluebell'))],
  ],
  card: ['Linen', 'Petal', 'Fern', 'Marigold'],
  words: [
    ['in bloom', 'great-vibes'],
    ['home grown', 'zilla-slab'],
    ['first of the season', 'special-elite'],
    ['grown with love', 'caveat'],
    ['dig in', 'abril-fatface'],
    ['a year outdoors', 'great-vibes'],
  ],
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
    ['Felt mushroom', 'mushroom felt autumn', 2, () => b.felt(1.4, shape(7), c('Beetroot'), c('Linen'), 218)],
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
  ],
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
  ],
  edges: [
    ['Picket', 'pinked', 'Linen'],
    ['Petal edge', 'scallop', 'Peony'],
    ['Turned earth', 'wave', 'Soil'],
    ['Garden lace', 'lace', 'Fern'],
  ],
  alphabet: { name: 'Garden yarn', body: 'yarn', hex: '#6f9455', second: '#4f7345', tall: 0.85 },
  pages: [
    ['In bloom', 'the whole border at once'],
    ['Home grown', 'what came up this year'],
    ['Small things', 'found under the leaves'],
    ['The year outside', 'from spring to frost'],
  ],
};
