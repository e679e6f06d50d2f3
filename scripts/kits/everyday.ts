import { Path2D } from '@napi-rs/canvas';
import * as b from './bits';
import { borders, keepsakes, mounts, type Keepsakes } from './common';
import { EVERYDAY_STAMPS } from './engrave/everyday';
import { EVERYDAY } from './icons/everyday';
import { inkFinder, inksOf, motifFinder, type HouseKit } from './kit';
import * as g from './papers/geometry';
import * as w from './papers/nature';
import { toile } from './papers/toile';
import * as o from './papers/whole';
import * as t from './tiles';

const m = motifFinder(EVERYDAY_STAMPS);

const inks = inksOf(
  'Page #fbf8ef',
  'Manila #ead9ae',
  'Paper bag #c9a577',
  'Toast #9c6b42',
  'Marmalade #e0913a',
  'Post red #c8463c',
  'Rain #9fb6bf',
  'Biro #2f5fa0',
  'Denim #35506b',
  'Moss #7d8f5a',
  'Pavement #8d8c88',
  'Asphalt #35373b',
);
const k = inkFinder(inks);
const c = (name: string) => k(name).colour;
const shape = (i: number) => new Path2D(EVERYDAY[i]!);

const own: Keepsakes = {
  main: k('Biro'),
  second: k('Post red'),
  pale: k('Page'),
  deep: k('Denim'),
  bright: k('Marmalade'),
  metal: 'Silver',
  motifs: [m('Paper plane'), m('Bicycle'), m('Umbrella'), m('Camera'), m('Pencil')],
  seed: 1500,
};

export const everyday: HouseKit = {
  id: 'every-day',
  name: 'Every Day',
  description: 'A week in a life: receipts, notes, squared paper and the weather.',
  tags: ['everyday', 'week', 'notes'],
  inks,
  stamps: EVERYDAY_STAMPS,
  runs: [own.main.name, own.second.name, own.deep.name],
  title: 'zilla-slab',
  titleInk: 'Biro',
  papers: [
    [
      'Round the block',
      'bicycle umbrella town',
      () =>
        toile({
          ground: k('Page'),
          line: k('Denim'),
          strewn: [
            { motif: m('Bicycle'), size: 2.5, tone: k('Rain') },
            { motif: m('Umbrella'), size: 1.7, tone: k('Post red') },
            { motif: m('Market basket'), size: 1.7, tone: k('Manila') },
          ],
          seed: 211,
          lean: 12,
          between: { ink: k('Rain'), kind: 'dashes', count: 70 },
        }),
    ],
    ['Squared', 'grid squared note', () => t.grid(k('Page'), k('Rain'))],
    ['Shirt stripe', 'stripe shirt cotton', () => t.stripe(k('Page'), k('Biro'), k('Rain'))],
    ['Tea towel', 'gingham check kitchen', () => t.gingham(k('Page'), k('Post red'))],
    ['Receipts', 'ledger lines paper', () => t.ledger(k('Page'), k('Manila'), k('Post red'))],
    ['Dots and errands', 'dots spot list', () => t.pinDots(k('Biro'), k('Page'))],
    [
      'Flat pack',
      'plane paper play',
      () =>
        toile({
          ground: k('Rain'),
          line: k('Denim'),
          strewn: [
            { motif: m('Paper plane'), size: 1.8, tone: k('Page') },
            { motif: m('Paper plane'), size: 1.2, tone: k('Manila') },
          ],
          seed: 212,
          lean: 60,
        }),
    ],
    [
      'Desk drawer',
      'pencil scissors desk',
      () =>
        toile({
          ground: k('Manila'),
          line: k('Asphalt'),
          strewn: [
            { motif: m('Pencil'), size: 1.8, tone: k('Marmalade') },
            { motif: m('Scissors'), size: 1.6 },
            { motif: m('Notebook'), size: 1.4, tone: k('Biro') },
            { motif: m('Light bulb'), size: 1.3, tone: k('Page') },
          ],
          seed: 213,
          lean: 180,
          between: { ink: k('Paper bag'), kind: 'dots', count: 70 },
        }),
    ],
    [
      'Picnic rug',
      'plaid check wool',
      () =>
        g.tartan([
          [k('Denim'), 16],
          [k('Rain'), 6],
          [k('Denim'), 4],
          [k('Moss'), 12],
          [k('Page'), 2],
          [k('Post red'), 4],
          [k('Moss'), 10],
        ]),
    ],
    [
      'Sunday cat',
      'cat sleep home',
      () =>
        toile({
          ground: k('Moss'),
          line: k('Asphalt'),
          strewn: [
            { motif: m('Sleeping cat'), size: 2.2, tone: k('Page') },
            { motif: m('Potted plant'), size: 1.8, tone: k('Manila') },
          ],
          seed: 214,
          lean: 8,
          between: { ink: k('Page'), kind: 'dots', count: 60 },
        }),
    ],
    ['Street plan', 'map contour city', () => w.contours(k('Page'), k('Pavement'), 215, k('Manila'))],
    [
      'Pavement',
      'terrazzo stone floor',
      () => g.terrazzo(k('Page'), [k('Pavement'), k('Manila'), k('Rain'), k('Toast')], 216),
    ],
    [
      'Corner shop',
      'pinwheel quilt patch',
      () => g.quilt(k('Page'), [k('Biro'), k('Marmalade'), k('Rain')], 'pinwheel'),
    ],
    ['Mended denim', 'sashiko stitch mend', () => g.sashiko(k('Denim'), k('Page'), 'circles')],
    ['Table top', 'wood grain board', () => w.woodgrain(k('Paper bag'), k('Toast'), 217)],
    ['Puddles', 'watercolour wash rain', () => w.dabs(k('Page'), [k('Rain'), k('Biro'), k('Manila')], 218)],
    ['Grey morning', 'ombre sky soft', () => w.ombre(k('Page'), k('Rain'), 219)],
    ['Radio tune', 'music stave song', () => g.music(k('Page'), k('Pavement'), k('Asphalt'), 220)],
    [
      'Cuttings',
      'torn paper layers',
      () => o.torn([k('Rain'), k('Manila'), k('Page'), k('Post red')], k('Page'), 73),
    ],
  ],
  card: ['Page', 'Manila', 'Biro', 'Post red', 'Rain', 'Marmalade', 'Denim', 'Moss'],
  words: [
    ['right now', 'zilla-slab'],
    ['an ordinary Tuesday', 'special-elite'],
    ['note to self', 'caveat'],
    ['this & that', 'abril-fatface'],
    ['back in five minutes', 'special-elite'],
    ['the usual, please', 'great-vibes'],
  ],
  lettered: { ribbon: 'done for today', round: ['ANY ORDINARY DAY', 'Camera'], flourish: 'more or less' },
  bits: [
    ['Biro button', 'button blue sew', 3, () => b.button(0.75, c('Biro'), 601)],
    ['Red button', 'button red sew', 3, () => b.button(0.58, c('Post red'), 602, 2, 'plastic', c('Page'))],
    ['Toggle button', 'button wood sew', 3, () => b.button(0.7, '#cfa878', 603, 4, 'wood', c('Denim'))],
    [
      'Denim ribbon',
      'ribbon denim stitched',
      0.4,
      () => b.ribbon(5.5, 0.6, c('Denim'), c('Marmalade'), 'stitched', 604),
    ],
    [
      'Shop ribbon',
      'ribbon gingham red',
      0.4,
      () => b.ribbon(5, 0.7, c('Post red'), c('Page'), 'gingham', 605),
    ],
    ['Parcel bow', 'bow ribbon kraft', 4, () => b.bow(1.8, c('Paper bag'), c('Page'), 'grosgrain', 606)],
    [
      'Grid washi',
      'washi tape grid',
      0.1,
      () => b.washi(4.2, 0.55, c('Page'), c('Biro'), b.PRINTS.grid!, 607),
    ],
    [
      'Hazard washi',
      'washi tape slant',
      0.1,
      () => b.washi(3.6, 0.5, c('Marmalade'), c('Asphalt'), b.PRINTS.slant!, 608),
    ],
    [
      'Price tag',
      'tag label price',
      0.6,
      () => b.tag(1.4, 2.5, c('Manila'), c('Post red'), b.PRINTS.ticks!, '#b9bdc3', c('Page'), 609),
    ],
    ['Paper clip', 'clip metal paper', 1.2, () => b.clip('#b9bdc3', 610)],
    [
      'Loose string',
      'string twine parcel',
      1.6,
      () =>
        b.twine(
          3.4,
          1.4,
          'M0.1 0.9C0.8 0.1 1.2 1.4 1.8 0.7C2.2 0.2 1.6 0.1 1.5 0.6C1.4 1.4 2.7 1.2 3.3 0.4',
          '#c9a577',
          611,
          0.04,
        ),
    ],
    [
      'Card house',
      'house chipboard home',
      1.5,
      () => b.chipboard(1.6, shape(0), c('Post red'), c('Page'), b.PRINTS.check!, 612),
    ],
    ['Felt cloud', 'cloud felt weather', 1.5, () => b.felt(1.7, shape(1), c('Rain'), c('Page'), 613)],
    ['Wooden arrow', 'arrow wood mark', 2, () => b.woodShape(1.6, shape(2), '#e0bd8a', '#a9774a', 614)],
    [
      'Card speech',
      'speech chipboard talk',
      1.5,
      () => b.chipboard(1.6, shape(3), c('Marmalade'), c('Page'), b.PRINTS.ticks!, 615),
    ],
    ['Wooden sun', 'sun wood weather', 2, () => b.woodShape(1.5, shape(4), '#efd19a', '#c08a4c', 616)],
    ['Moss leaf', 'leaf green small', 1, () => b.leaf(1.5, c('Moss'), c('Page'), 617)],
    [
      'Enamel dots',
      'dots enamel glossy',
      1.5,
      () => b.dots([c('Biro'), c('Post red'), c('Marmalade'), c('Moss')], 618),
    ],
    ['Coffee ring', 'ring stain coffee cup', 0, () => b.cupRing(2.6, c('Toast'), 619)],
    [
      'Torn receipt',
      'scrap paper torn',
      0.2,
      () => b.scrap(2, 3, c('Page'), c('Rain'), b.PRINTS.ticks!, 620),
    ],
    ...keepsakes(own),
  ],
  heroes: ['Card house', 'Felt cloud', 'Wooden sun'],
  frames: [
    [
      'Noticeboard frame',
      'frame wood landscape',
      () => b.frame(5, 4, [{ x: 0.55, y: 0.55, w: 3.9, h: 2.9 }], 'wood', '#d8b384', '#93653a', 621),
    ],
    [
      'Four squares',
      'frame window mat',
      () =>
        b.frame(
          4.6,
          4.6,
          [
            { x: 0.45, y: 0.45, w: 1.75, h: 1.75 },
            { x: 2.4, y: 0.45, w: 1.75, h: 1.75 },
            { x: 0.45, y: 2.4, w: 1.75, h: 1.75 },
            { x: 2.4, y: 2.4, w: 1.75, h: 1.75 },
          ],
          'mat',
          c('Page'),
          c('Biro'),
          622,
        ),
    ],
    [
      'Postage frame',
      'frame stamp perforated',
      () =>
        b.frame(
          3.6,
          4.4,
          [{ x: 0.5, y: 0.5, w: 2.6, h: 3.1 }],
          'perforated',
          c('Manila'),
          c('Post red'),
          623,
        ),
    ],
    ...mounts(own),
  ],
  edges: [
    ['Notebook edge', 'perforated', 'Page'],
    ['Awning', 'scallop', 'Post red'],
    ['Pinked denim', 'pinked', 'Denim'],
    ['Puddle', 'wave', 'Rain'],
    ...borders(own),
  ],
  alphabets: [
    { name: 'Shop sign', body: 'enamel', hex: '#c8463c', second: '#fbf1dc', tall: 0.8 },
    { name: 'Card cut', body: 'chipboard', hex: '#e0913a', second: '#fbf1dc', tall: 0.8 },
  ],
  pages: [
    ['This week', 'from Monday on'],
    ['Around here', 'what we saw on the way'],
    ['Home', 'and what it looks like'],
    ['A good day', 'nothing special about it'],
    ['Nine o’clock', 'where everybody was'],
    ['Rain again', 'five days of it'],
    ['In my bag', 'all of it needed'],
    ['The everyday book', 'twelve months of it'],
    ['Seven days', 'a line for each'],
    ['Our street', 'from end to end'],
    ['Post', 'what came through the door'],
    ['Bits of the week', 'cut out and kept'],
  ],
};
