import { Path2D } from '@napi-rs/canvas';
import * as b from './bits';
import { borders, keepsakes, mounts, type Keepsakes } from './common';
import { LITTLE_STAMPS } from './engrave/little';
import { LITTLE } from './icons/little';
import { inkFinder, inksOf, motifFinder, type HouseKit } from './kit';
import * as g from './papers/geometry';
import * as w from './papers/nature';
import { toile } from './papers/toile';
import * as o from './papers/whole';
import * as t from './tiles';

const m = motifFinder(LITTLE_STAMPS);

const inks = inksOf(
  'Milk #fcf8ee',
  'Butter #f6e3a8',
  'Biscuit #d9b98c',
  'Apricot #f0b489',
  'Cheek #e79c97',
  'Raspberry #b8526a',
  'Cloud #dbe4ea',
  'Duck egg #a9cfc8',
  'Pond #5c9a9b',
  'Nap blue #8faacb',
  'Night light #47587e',
  'Cocoa #6d5247',
);
const k = inkFinder(inks);
const c = (name: string) => k(name).colour;
const shape = (i: number) => new Path2D(LITTLE[i]!);

const own: Keepsakes = {
  main: k('Duck egg'),
  second: k('Cheek'),
  pale: k('Milk'),
  deep: k('Night light'),
  bright: k('Butter'),
  metal: 'Brass',
  motifs: [m('Rubber duck'), m('Toy rabbit'), m('Air balloon'), m('Elephant'), m('Teddy bear')],
  seed: 1600,
};

export const little: HouseKit = {
  id: 'little-one',
  name: 'Little One',
  description: 'The first year: knitted things, wooden toys and a night light.',
  tags: ['baby', 'first year', 'family'],
  inks,
  stamps: LITTLE_STAMPS,
  runs: [own.main.name, own.second.name, own.deep.name],
  title: 'great-vibes',
  titleInk: 'Pond',
  papers: [
    [
      'Toy shelf',
      'toy bear rabbit',
      () =>
        toile({
          ground: k('Milk'),
          line: k('Cocoa'),
          strewn: [
            { motif: m('Teddy bear'), size: 2.2, tone: k('Biscuit') },
            { motif: m('Toy rabbit'), size: 1.9, tone: k('Cloud') },
            { motif: m('Building blocks'), size: 1.7, tone: k('Butter') },
            { motif: m('Drum'), size: 1.6, tone: k('Cheek') },
          ],
          seed: 311,
          lean: 14,
          between: { ink: k('Duck egg'), kind: 'dots', count: 70 },
        }),
    ],
    ['Cot stripe', 'stripe soft cotton', () => t.stripe(k('Milk'), k('Duck egg'), k('Butter'))],
    ['Scallop blanket', 'scallop blanket soft', () => t.scallops(k('Milk'), k('Cheek'), k('Apricot'))],
    ['Bib check', 'gingham check bib', () => t.gingham(k('Milk'), k('Nap blue'))],
    ['Big dots', 'dots spot soft', () => t.spots(k('Butter'), k('Milk'))],
    ['Height chart', 'ledger lines number', () => t.ledger(k('Milk'), k('Cloud'), k('Cheek'))],
    [
      'Up and away',
      'balloon sky cloud',
      () =>
        toile({
          ground: k('Cloud'),
          line: k('Night light'),
          strewn: [
            { motif: m('Air balloon'), size: 2.5, tone: k('Milk') },
            { motif: m('Balloons'), size: 2.1, tone: k('Cheek') },
          ],
          seed: 312,
          lean: 10,
          between: { ink: k('Milk'), kind: 'dots', count: 70 },
        }),
    ],
    [
      'Bath time',
      'duck whale bath',
      () =>
        toile({
          ground: k('Duck egg'),
          line: k('Night light'),
          strewn: [
            { motif: m('Rubber duck'), size: 1.7, tone: k('Butter') },
            { motif: m('Whale'), size: 1.9, tone: k('Milk') },
          ],
          seed: 313,
          lean: 12,
          between: { ink: k('Milk'), kind: 'dots', count: 90 },
        }),
    ],
    [
      'Pram rug',
      'plaid check wool',
      () =>
        g.tartan([
          [k('Milk'), 16],
          [k('Cheek'), 8],
          [k('Milk'), 4],
          [k('Duck egg'), 10],
          [k('Milk'), 3],
          [k('Butter'), 3],
          [k('Milk'), 12],
        ]),
    ],
    [
      'Elephant walk',
      'elephant animal toile',
      () =>
        toile({
          ground: k('Apricot'),
          line: k('Cocoa'),
          strewn: [
            { motif: m('Elephant'), size: 2.4, tone: k('Milk') },
            { motif: m('Elephant'), size: 1.5, tone: k('Cloud') },
          ],
          seed: 314,
          lean: 6,
          between: { ink: k('Milk'), kind: 'stars', count: 50 },
        }),
    ],
    [
      'Sleep tight',
      'moon night sleep',
      () =>
        toile({
          ground: k('Night light'),
          line: k('Butter'),
          strewn: [
            { motif: m('Sleepy moon'), size: 2 },
            { motif: m('Mobile'), size: 1.8 },
          ],
          seed: 315,
          lean: 14,
          between: { ink: k('Milk'), kind: 'stars', count: 80 },
        }),
    ],
    [
      'Confetti',
      'confetti party birthday',
      () => t.confetti(k('Milk'), [k('Cheek'), k('Duck egg'), k('Butter'), k('Nap blue')], 316),
    ],
    [
      'Star quilt',
      'quilt star patch',
      () => g.quilt(k('Milk'), [k('Nap blue'), k('Butter'), k('Cloud')], 'star'),
    ],
    ['Christening lace', 'lace white fine', () => g.lace(k('Cheek'), k('Milk'))],
    [
      'Finger paint',
      'watercolour wash soft',
      () => w.dabs(k('Milk'), [k('Apricot'), k('Duck egg'), k('Cheek')], 317),
    ],
    ['Nap time', 'ombre soft blue', () => w.ombre(k('Milk'), k('Nap blue'), 318)],
    ['Toy box', 'wood grain board', () => w.woodgrain(k('Biscuit'), k('Cocoa'), 319)],
    ['Lullaby', 'music stave song', () => g.music(k('Milk'), k('Duck egg'), k('Pond'), 320)],
    ['Born under', 'star chart night', () => o.starChart(k('Night light'), k('Nap blue'), k('Butter'))],
  ],
  card: ['Milk', 'Butter', 'Duck egg', 'Cheek', 'Cloud', 'Apricot', 'Nap blue', 'Night light'],
  words: [
    ['hello, little one', 'great-vibes'],
    ['ten small toes', 'caveat'],
    ['so loved', 'great-vibes'],
    ['first steps', 'zilla-slab'],
    ['fast asleep', 'special-elite'],
    ['one year old', 'abril-fatface'],
  ],
  lettered: { ribbon: 'welcome, you', round: ['MADE WITH LOVE', 'Teddy bear'], flourish: 'sleep tight' },
  bits: [
    ['Milk button', 'button white sew', 3, () => b.button(0.75, '#f2ead8', 701, 4, 'plastic', c('Cheek'))],
    ['Pond button', 'button green sew', 3, () => b.button(0.6, c('Pond'), 702, 2)],
    [
      'Biscuit button',
      'button wood sew',
      3,
      () => b.button(0.68, '#e3c799', 703, 4, 'wood', c('Night light')),
    ],
    [
      'Cot ribbon',
      'ribbon satin blue',
      0.4,
      () => b.ribbon(5.5, 0.55, c('Nap blue'), c('Milk'), 'satin', 704),
    ],
    ['Spotted ribbon', 'ribbon dots pink', 0.4, () => b.ribbon(5, 0.65, c('Cheek'), c('Milk'), 'dots', 705)],
    ['Bonnet bow', 'bow ribbon satin', 4, () => b.bow(1.9, c('Duck egg'), c('Milk'), 'satin', 706)],
    [
      'Dotted washi',
      'washi tape dots',
      0.1,
      () => b.washi(4.2, 0.55, c('Butter'), c('Milk'), b.PRINTS.dots!, 707),
    ],
    [
      'Candy washi',
      'washi tape stripe',
      0.1,
      () => b.washi(3.6, 0.5, c('Milk'), c('Cheek'), b.PRINTS.stripe!, 708),
    ],
    [
      'Cot tag',
      'tag label name',
      0.6,
      () => b.tag(1.5, 2.7, c('Milk'), c('Duck egg'), b.PRINTS.dots!, '#d2ab4c', c('Cheek'), 709),
    ],
    [
      'Knitting wool',
      'string yarn loop',
      1.6,
      () =>
        b.twine(
          3.4,
          1.4,
          'M0.1 0.8C0.6 0.1 1.2 1.3 1.7 0.8C2.3 0.2 1.8 0 1.5 0.5C1.2 1.2 2.6 1.3 3.3 0.5',
          c('Apricot'),
          710,
          0.05,
        ),
    ],
    ['Felt star', 'star felt soft', 1.5, () => b.felt(1.5, shape(0), c('Butter'), c('Cocoa'), 711)],
    ['Wooden moon', 'moon wood night', 2, () => b.woodShape(1.5, shape(1), '#eed5a6', '#c49a62', 712)],
    ['Felt heart', 'heart felt love', 1.5, () => b.felt(1.3, shape(2), c('Cheek'), c('Milk'), 713)],
    [
      'Card hare',
      'hare chipboard rabbit',
      1.5,
      () => b.chipboard(1.6, shape(3), c('Biscuit'), c('Milk'), b.PRINTS.dots!, 714),
    ],
    [
      'Rosette',
      'rosette chipboard first',
      1.5,
      () => b.chipboard(1.7, shape(5), c('Raspberry'), c('Milk'), b.PRINTS.stripe!, 715),
    ],
    [
      'Paper posy',
      'flower paper pink',
      2.5,
      () => b.flower(1.5, c('Cheek'), c('Apricot'), b.brad(0.26, c('Butter'), 716), 7, 717),
    ],
    ['Soft leaf', 'leaf green pale', 1, () => b.leaf(1.5, c('Pond'), c('Milk'), 718)],
    [
      'Little bunting',
      'bunting flag party',
      1,
      () =>
        b.bunting(
          5,
          [c('Duck egg'), c('Cheek'), c('Butter'), c('Nap blue')],
          [b.PRINTS.plain!, b.PRINTS.dots!, b.PRINTS.stripe!],
          c('Milk'),
          719,
        ),
    ],
    [
      'Enamel drops',
      'dots enamel glossy',
      1.5,
      () => b.dots([c('Cheek'), c('Duck egg'), c('Butter'), c('Nap blue')], 720),
    ],
    ['Milk splash', 'splatter paint drop', 0, () => b.splatter(1.8, c('Duck egg'), 721)],
    [
      'Torn storybook',
      'scrap paper torn',
      0.2,
      () => b.scrap(3, 2, c('Milk'), c('Nap blue'), b.PRINTS.ticks!, 722),
    ],
    ...keepsakes(own),
  ],
  heroes: ['Felt star', 'Card hare', 'Wooden moon'],
  frames: [
    [
      'Cot frame',
      'frame wood landscape',
      () => b.frame(5, 4, [{ x: 0.6, y: 0.6, w: 3.8, h: 2.8 }], 'wood', '#ead2a6', '#bb9058', 723),
    ],
    [
      'Felt blanket',
      'frame felt square',
      () => b.frame(4, 4, [{ x: 0.65, y: 0.65, w: 2.7, h: 2.7 }], 'felt', c('Nap blue'), c('Milk'), 724),
    ],
    [
      'Scalloped round',
      'frame round scallop',
      () =>
        b.frame(
          3.8,
          3.8,
          [{ x: 0.6, y: 0.6, w: 2.6, h: 2.6, round: true }],
          'scallop',
          c('Cheek'),
          c('Milk'),
          725,
        ),
    ],
    ...mounts(own),
  ],
  edges: [
    ['Blanket hem', 'scallop', 'Cheek'],
    ['Bib lace', 'lace', 'Milk'],
    ['Bath wave', 'wave', 'Duck egg'],
    ['Pinked butter', 'pinked', 'Butter'],
    ...borders(own),
  ],
  alphabets: [
    { name: 'Nursery felt', body: 'felt', hex: '#8faacb', second: '#fcf8ee', tall: 0.9 },
    { name: 'Bath letters', body: 'puffy', hex: '#f0b489', second: '#e79c97', tall: 0.75 },
  ],
  pages: [
    ['Hello, you', 'the very first days'],
    ['Four seasons', 'and how you grew'],
    ['All yours', 'the whole of our hearts'],
    ['Your story', 'as we tell it'],
    ['Nine months in', 'and nine months out'],
    ['First things', 'five of them this spring'],
    ['Bath time', 'more water out than in'],
    ['The first year', 'month by month'],
    ['Week one', 'what we remember of it'],
    ['All of us', 'and you in the middle'],
    ['Welcome', 'cards that came for you'],
    ['One today', 'cake to the ears'],
  ],
};
