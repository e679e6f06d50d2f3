import { Path2D } from '@napi-rs/canvas';
import * as b from './bits';
import { borders, keepsakes, mounts, type Keepsakes } from './common';
import { NIGHT_STAMPS } from './engrave/night';
import { FESTIVE } from './icons/festive';
import { inkFinder, inksOf, motifFinder, type HouseKit } from './kit';
import * as g from './papers/geometry';
import * as w from './papers/nature';
import { toile } from './papers/toile';
import * as o from './papers/whole';
import * as t from './tiles';

const m = motifFinder(NIGHT_STAMPS);

const inks = inksOf(
  'Snow #f7f4ee',
  'Frost #c5d5e2',
  'Flame #f3b649',
  'Gilt #cfa347',
  'Lantern #e8863b',
  'Berry #a92f3f',
  'Plum #5c2f55',
  'Holly #6e9a62',
  'Pine #2f5b4a',
  'Smoke #7b7f92',
  'Dusk #47507f',
  'Midnight #1f2a4d',
);
const k = inkFinder(inks);
const c = (name: string) => k(name).colour;
const shape = (i: number) => new Path2D(FESTIVE[i]!.solid!);

const own: Keepsakes = {
  main: k('Dusk'),
  second: k('Berry'),
  pale: k('Snow'),
  deep: k('Midnight'),
  bright: k('Flame'),
  metal: 'Silver',
  motifs: [m('Star lantern'), m('Paper lantern'), m('Fir tree'), m('Balloons'), m('Holly')],
  seed: 1400,
};

export const festive: HouseKit = {
  id: 'lantern-night',
  name: 'Lantern Night',
  description: 'Lanterns, stars and first frost, for every feast after dark.',
  tags: ['festive', 'winter', 'night'],
  inks,
  stamps: NIGHT_STAMPS,
  title: 'great-vibes',
  runs: [own.main.name, own.second.name, own.deep.name],
  titleInk: 'Berry',
  papers: [
    [
      'Lantern parade',
      'lantern light night',
      () =>
        toile({
          ground: k('Dusk'),
          line: k('Midnight'),
          strewn: [
            { motif: m('Paper lantern'), size: 1.9, tone: k('Lantern') },
            { motif: m('Ribbed lantern'), size: 1.9, tone: k('Flame') },
            { motif: m('Star lantern'), size: 1.7, tone: k('Frost') },
          ],
          seed: 51,
          lean: 10,
          between: { ink: k('Flame'), kind: 'stars', count: 60 },
        }),
    ],
    ['Starfield', 'star night sky', () => t.confetti(k('Midnight'), [k('Gilt'), k('Frost'), k('Snow')], 52)],
    [
      'First frost',
      'snowflake winter ice',
      () =>
        toile({
          ground: k('Frost'),
          line: k('Dusk'),
          strewn: [
            { motif: m('Snow crystal'), size: 1.7, tone: k('Snow') },
            { motif: m('Snow crystal'), size: 1.0, tone: k('Snow') },
          ],
          seed: 53,
          lean: 60,
          between: { ink: k('Snow'), kind: 'dots', count: 90 },
        }),
    ],
    [
      'Scarf',
      'plaid check wool',
      () =>
        g.tartan([
          [k('Berry'), 18],
          [k('Plum'), 10],
          [k('Berry'), 3],
          [k('Gilt'), 2],
          [k('Berry'), 3],
          [k('Plum'), 6],
          [k('Pine'), 8],
          [k('Gilt'), 2],
          [k('Berry'), 14],
        ]),
    ],
    ['Wrapping stripe', 'stripe gift paper', () => t.stripe(k('Snow'), k('Berry'), k('Pine'))],
    [
      'Pine wood',
      'tree pine winter',
      () =>
        toile({
          ground: k('Snow'),
          line: k('Pine'),
          strewn: [
            { motif: m('Fir tree'), size: 2.2 },
            { motif: m('Fir tree'), size: 1.5 },
          ],
          seed: 54,
          lean: 3,
        }),
    ],
    ['Party dots', 'dots party spot', () => t.spots(k('Plum'), k('Lantern'))],
    ['Holly check', 'gingham check green', () => t.gingham(k('Snow'), k('Pine'))],
    ['Rooftops', 'chevron zigzag night', () => t.chevron(k('Dusk'), k('Midnight'))],
    [
      'Feast toile',
      'toile gift bell',
      () =>
        toile({
          ground: k('Berry'),
          line: k('Snow'),
          strewn: [
            { motif: m('Bells'), size: 1.8 },
            { motif: m('Gift'), size: 1.6 },
            { motif: m('Bauble'), size: 1.4 },
            { motif: m('Two glasses'), size: 1.7 },
            { motif: m('Candle lantern'), size: 1.7 },
          ],
          seed: 101,
          between: { ink: k('Gilt'), kind: 'stars', count: 50 },
        }),
    ],
    [
      'Holly toile',
      'holly pine winter',
      () =>
        toile({
          ground: k('Snow'),
          line: k('Pine'),
          strewn: [
            { motif: m('Holly'), size: 1.6, tone: k('Holly') },
            { motif: m('Pine and cones'), size: 2 },
          ],
          seed: 102,
          lean: 90,
          between: { ink: k('Berry'), kind: 'dots', count: 80 },
        }),
    ],
    [
      'Marbled night',
      'marble night ink',
      () =>
        w.marble(k('Midnight'), [k('Dusk'), k('Plum'), k('Midnight'), k('Berry'), k('Gilt')], 103, 'swirl'),
    ],
    ['Gilt brocade', 'damask gold woven', () => g.damask(k('Plum'), k('Berry'), k('Gilt'))],
    [
      'Winter quilt',
      'quilt star patch',
      () => g.quilt(k('Snow'), [k('Berry'), k('Pine'), k('Gilt')], 'star'),
    ],
    ['Snow rings', 'indigo stitch dye', () => w.resist(k('Midnight'), k('Frost'), 104, 'rings')],
    ['Before dark', 'ombre dusk sky', () => w.ombre(k('Frost'), k('Dusk'), 105)],
    ['Rolling snow', 'sashiko stitch wave', () => g.sashiko(k('Dusk'), k('Snow'), 'waves')],
    ['Winter sky', 'star chart night', () => o.starChart(k('Midnight'), k('Gilt'), k('Snow'))],
  ],
  card: ['Snow', 'Berry', 'Pine', 'Midnight', 'Flame', 'Plum', 'Frost', 'Holly'],
  words: [
    ['light the lanterns', 'great-vibes'],
    ['let it snow', 'abril-fatface'],
    ['by starlight', 'caveat'],
    ['warm wishes', 'great-vibes'],
    ['happy new year', 'zilla-slab'],
    ['stay up late', 'special-elite'],
  ],
  lettered: { ribbon: 'make a wish', round: ['A NIGHT TO REMEMBER', 'Star lantern'], flourish: 'all aglow' },
  bits: [
    ['Berry button', 'button red sew', 3, () => b.button(0.7, c('Berry'), 501)],
    [
      'Midnight button',
      'button blue sew',
      3,
      () => b.button(0.6, c('Midnight'), 502, 4, 'plastic', c('Gilt')),
    ],
    ['Gilt brad', 'brad gold round', 2, () => b.brad(0.32, '#d6aa4a', 503)],
    ['Star brad', 'brad star gold', 2, () => b.brad(0.5, '#d6aa4a', 504, shape(2))],
    [
      'Velvet ribbon',
      'ribbon red velvet',
      0.5,
      () => b.ribbon(6, 0.7, c('Berry'), c('Gilt'), 'stitched', 505),
    ],
    ['Pine ribbon', 'ribbon green satin', 0.4, () => b.ribbon(5, 0.55, c('Pine'), c('Snow'), 'satin', 506)],
    ['Gift bow', 'bow ribbon red', 4, () => b.bow(2.1, c('Berry'), c('Gilt'), 'satin', 507)],
    ['Gold bow', 'bow ribbon gold', 4, () => b.bow(1.6, c('Gilt'), c('Snow'), 'grosgrain', 508)],
    [
      'Snow washi',
      'washi tape dots',
      0.1,
      () => b.washi(4.2, 0.6, c('Dusk'), c('Snow'), b.PRINTS.dots!, 509),
    ],
    [
      'Candy washi',
      'washi tape stripe',
      0.1,
      () => b.washi(4, 0.45, c('Snow'), c('Berry'), b.PRINTS.slant!, 510),
    ],
    [
      'Gift tag',
      'tag gift label',
      0.6,
      () => b.tag(1.4, 2.5, c('Berry'), c('Snow'), b.PRINTS.dots!, '#d6aa4a', c('Snow'), 511),
    ],
    [
      'Kraft gift tag',
      'tag gift kraft',
      0.6,
      () => b.tag(1.2, 2.2, '#c8a57c', c('Pine'), b.PRINTS.plain!, '#d6aa4a', c('Berry'), 512),
    ],
    ['Felt tree', 'tree felt pine', 2, () => b.felt(1.8, shape(7), c('Pine'), c('Snow'), 513)],
    ['Felt moon', 'moon felt night', 2, () => b.felt(1.4, shape(3), c('Flame'), c('Snow'), 514)],
    ['Wooden star', 'star wood night', 2, () => b.woodShape(1.4, shape(2), '#e0bd8a', '#a87a45', 515)],
    [
      'Card lantern',
      'lantern chipboard light',
      1.5,
      () =>
        b.layered(
          2,
          [
            { path: 'M50 2A9 9 0 1 0 50.01 2ZM50 6A5 5 0 1 1 49.99 6Z', hex: c('Midnight') },
            { path: 'M31 36H69L72 78H28Z', hex: '#fbe3a6' },
            { path: 'M42 60H58V80H42Z', hex: c('Snow') },
            { path: 'M50 43C57 50 56 57 50 58C44 57 43 50 50 43Z', hex: c('Lantern') },
            {
              path: 'M44 14H56L60 21L76 34V41H73L77 76V83L71 91H29L23 83V76L27 41H24V34L40 21ZM33 41L30 76H70L67 41Z',
              hex: c('Midnight'),
            },
            { path: 'M34 31H66V34.5H34ZM33 82H67V85.5H33Z', hex: c('Gilt') },
          ],
          516,
        ),
    ],
    [
      'Card parcel',
      'gift parcel chipboard',
      1.5,
      () =>
        b.layered(
          1.7,
          [
            { path: 'M12 42H88V96H12Z', hex: c('Pine'), print: c('Holly'), pattern: b.PRINTS.dots! },
            { path: 'M43 42H57V96H43Z', hex: c('Berry') },
            { path: 'M7 30H93V47H7Z', hex: c('Holly'), print: c('Pine'), pattern: b.PRINTS.dots! },
            { path: 'M43 30H57V47H43Z', hex: c('Berry') },
            {
              path: 'M50 30C34 32 18 27 20 15C22 4 40 7 50 30ZM50 30C66 32 82 27 80 15C78 4 60 7 50 30ZM43 26C37 25 27 22 28 16C29 11 38 15 43 26ZM57 26C63 25 73 22 72 16C71 11 62 15 57 26Z',
              hex: c('Berry'),
            },
            { path: 'M44 22H56L58 34H42Z', hex: c('Gilt') },
          ],
          517,
        ),
    ],
    [
      'Frost drops',
      'dots enamel glossy',
      1.5,
      () => b.dots([c('Frost'), c('Dusk'), c('Berry'), c('Flame')], 518),
    ],
    [
      'Party bunting',
      'bunting flag party',
      1,
      () =>
        b.bunting(
          5.4,
          [c('Berry'), c('Gilt'), c('Pine'), c('Plum')],
          [b.PRINTS.dots!, b.PRINTS.plain!, b.PRINTS.stripe!],
          c('Snow'),
          519,
        ),
    ],
    ['Winter leaf', 'leaf green winter', 1, () => b.leaf(1.6, c('Pine'), '#86b39f', 520, 4)],
    ['Gold splash', 'splatter gold paint', 0, () => b.splatter(1.9, c('Gilt'), 521)],
    ...keepsakes(own),
  ],
  heroes: ['Card lantern', 'Felt tree', 'Wooden star'],
  frames: [
    [
      'Night mat',
      'frame mat dark',
      () => b.frame(5, 4, [{ x: 0.5, y: 0.5, w: 4, h: 3 }], 'mat', c('Midnight'), c('Gilt'), 522),
    ],
    [
      'Moon window',
      'frame round scallop',
      () =>
        b.frame(
          4,
          4,
          [{ x: 0.6, y: 0.6, w: 2.8, h: 2.8, round: true }],
          'scallop',
          c('Berry'),
          c('Gilt'),
          523,
        ),
    ],
    [
      'Felt pair',
      'frame felt double',
      () =>
        b.frame(
          5.6,
          3.2,
          [
            { x: 0.45, y: 0.45, w: 2.2, h: 2.3 },
            { x: 2.95, y: 0.45, w: 2.2, h: 2.3 },
          ],
          'felt',
          c('Pine'),
          c('Snow'),
          524,
        ),
    ],
    ...mounts(own),
  ],
  edges: [
    ['Snow drift', 'wave', 'Snow'],
    ['Gilt lace', 'lace', 'Gilt'],
    ['Berry scallop', 'scallop', 'Berry'],
    ['Pine needles', 'pinked', 'Pine'],
    ...borders(own),
  ],
  alphabets: [
    { name: 'Gilt', body: 'gilt', hex: '#b98a30', second: '#f0d58a', tall: 0.85 },
    { name: 'Snow puff', body: 'puffy', hex: '#e9eef2', second: '#c9d6e2', tall: 0.8 },
  ],
  pages: [
    ['Lantern night', 'everyone carried one'],
    ['First snow', 'gone by noon'],
    ['The feast', 'all of us at one table'],
    ['Midnight', 'a new year begins'],
    ['Nine lights', 'all along the street'],
    ['Five candles', 'and one wish'],
    ['Under the tree', 'what was found there'],
    ['Our winter', 'from frost to thaw'],
    ['Seven nights', 'a line for each'],
    ['All at one table', 'and who sat where'],
    ['Cards that came', 'from near and far'],
    ['Winter squares', 'a bit of everything'],
  ],
};
