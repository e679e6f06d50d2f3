import { Path2D } from '@napi-rs/canvas';
import * as b from './bits';
import { borders, keepsakes, mounts, type Keepsakes } from './common';
import { KITCHEN_STAMPS } from './engrave/kitchen';
import { KITCHEN } from './icons/kitchen';
import { inkFinder, inksOf, motifFinder, type HouseKit } from './kit';
import * as g from './papers/geometry';
import * as w from './papers/nature';
import { toile } from './papers/toile';
import * as o from './papers/whole';
import * as t from './tiles';

const m = motifFinder(KITCHEN_STAMPS);

const inks = inksOf(
  'Flour #faf4e8',
  'Butter #f2d98a',
  'Honey #d99a3a',
  'Crust #b9783f',
  'Cocoa #5f3d2c',
  'Rhubarb #e3919a',
  'Jam #b23a48',
  'Mint #a9cbb7',
  'Sage #7d9a86',
  'Steam #d3dde0',
  'Enamel #3d5f86',
  'Ink pot #2e3440',
);
const k = inkFinder(inks);
const c = (name: string) => k(name).colour;
const shape = (i: number) => new Path2D(KITCHEN[i]!.solid!);

const own: Keepsakes = {
  main: k('Enamel'),
  second: k('Jam'),
  pale: k('Flour'),
  deep: k('Cocoa'),
  bright: k('Honey'),
  metal: 'Copper',
  motifs: [m('Cherries'), m('Teapot'), m('Loaf'), m('Cake on a stand'), m('Lemon')],
  seed: 1200,
};

export const kitchen: HouseKit = {
  id: 'kitchen-table',
  name: 'Kitchen Table',
  description: 'Baking, letters and tea: enamel, gingham, recipe cards and icing.',
  tags: ['kitchen', 'home', 'baking'],
  inks,
  stamps: KITCHEN_STAMPS,
  title: 'zilla-slab',
  runs: [own.main.name, own.second.name, own.deep.name],
  titleInk: 'Jam',
  papers: [
    [
      'Tea at four',
      'tea pot cup',
      () =>
        toile({
          ground: k('Mint'),
          line: k('Ink pot'),
          strewn: [
            { motif: m('Teapot'), size: 1.9, tone: k('Flour') },
            { motif: m('Teacup'), size: 1.6, tone: k('Rhubarb') },
            { motif: m('Cupcake'), size: 1.4, tone: k('Flour') },
          ],
          seed: 31,
          lean: 14,
          between: { ink: k('Flour'), kind: 'dots', count: 70 },
        }),
    ],
    ['Tablecloth', 'gingham check red', () => t.gingham(k('Flour'), k('Jam'))],
    ['Tea towel', 'stripe linen towel', () => t.ticking(k('Flour'), k('Enamel'))],
    ['Recipe card', 'ledger lines recipe', () => t.ledger(k('Flour'), k('Steam'), k('Rhubarb'))],
    [
      'Oilcloth',
      'plaid check cloth',
      () =>
        g.tartan([
          [k('Butter'), 16],
          [k('Flour'), 6],
          [k('Jam'), 3],
          [k('Flour'), 6],
          [k('Butter'), 10],
          [k('Jam'), 8],
          [k('Butter'), 12],
        ]),
    ],
    [
      'Baking day',
      'baking whisk cake',
      () =>
        toile({
          ground: k('Flour'),
          line: k('Cocoa'),
          strewn: [
            { motif: m('Rolling pin'), size: 1.8 },
            { motif: m('Loaf'), size: 1.6, tone: k('Honey') },
            { motif: m('Pretzel'), size: 1.3, tone: k('Crust') },
            { motif: m('Croissant'), size: 1.3, tone: k('Honey') },
            { motif: m('Whisk'), size: 1.6 },
          ],
          seed: 32,
          lean: 60,
          between: { ink: k('Rhubarb'), kind: 'dots', count: 60 },
        }),
    ],
    [
      'Sprinkles',
      'confetti sweet dots',
      () => t.confetti(k('Flour'), [k('Rhubarb'), k('Mint'), k('Honey'), k('Enamel')], 33),
    ],
    ['Air mail', 'letter stripe mail', () => t.stripe(k('Flour'), k('Enamel'), k('Jam'))],
    ['Kitchen tiles', 'tile diamond floor', () => t.diamonds(k('Flour'), k('Steam'), k('Enamel'))],
    [
      'Preserves',
      'jam fruit jar',
      () =>
        toile({
          ground: k('Butter'),
          line: k('Cocoa'),
          strewn: [
            { motif: m('Jam jar'), size: 1.7, tone: k('Rhubarb') },
            { motif: m('Cherries'), size: 1.4, tone: k('Jam') },
            { motif: m('Lemon'), size: 1.6, tone: k('Flour') },
            { motif: m('Pie'), size: 1.7 },
          ],
          seed: 81,
          lean: 14,
          between: { ink: k('Honey'), kind: 'dots', count: 60 },
        }),
    ],
    [
      'Kitchen toile',
      'toile tea bread',
      () =>
        toile({
          ground: k('Flour'),
          line: k('Enamel'),
          strewn: [
            { motif: m('Kettle'), size: 1.9 },
            { motif: m('Loaf'), size: 1.8 },
            { motif: m('Pepper mill'), size: 1.5 },
            { motif: m('Egg in a cup'), size: 1.4 },
            { motif: m('Jug of flowers'), size: 1.9 },
          ],
          seed: 82,
        }),
    ],
    [
      'Terrazzo',
      'terrazzo stone floor',
      () => g.terrazzo(k('Flour'), [k('Rhubarb'), k('Mint'), k('Honey'), k('Enamel')], 83),
    ],
    [
      'Pinwheels',
      'quilt patch wheel',
      () => g.quilt(k('Flour'), [k('Mint'), k('Rhubarb'), k('Butter')], 'pinwheel'),
    ],
    ['Dishcloth', 'sashiko stitch circle', () => g.sashiko(k('Enamel'), k('Flour'), 'circles')],
    ['Chopping board', 'wood grain board', () => w.woodgrain(k('Honey'), k('Crust'), 84, 3)],
    ['Crochet mat', 'lace crochet round', () => g.lace(k('Sage'), k('Flour'))],
    [
      'Marble cake',
      'marble swirl cake',
      () => w.marble(k('Butter'), [k('Cocoa'), k('Butter'), k('Crust'), k('Flour')], 85, 'swirl'),
    ],
    [
      'Dear all',
      'letter writing hand',
      (typesetter) =>
        o.letters(
          k('Flour'),
          k('Enamel'),
          k('Jam'),
          [
            'the jam has set, twelve jars of it, and the kitchen is sticky to the ceiling.',
            'thank you for the flour.',
            'we sat until ten, and nobody washed up.',
            'bring the big pan when you come.',
            'there will be plums by Sunday.',
          ],
          typesetter,
        ),
    ],
  ],
  card: ['Flour', 'Butter', 'Enamel', 'Jam', 'Mint', 'Rhubarb', 'Honey', 'Cocoa'],
  words: [
    ['baked today', 'zilla-slab'],
    ['put the kettle on', 'special-elite'],
    ['with love', 'great-vibes'],
    ['a letter for you', 'caveat'],
    ['one more slice', 'abril-fatface'],
    ['made by hand', 'great-vibes'],
  ],
  lettered: { ribbon: 'eat cake first', round: ['FROM OUR KITCHEN', 'Teapot'], flourish: 'second helpings' },
  bits: [
    ['Jam button', 'button red sew', 3, () => b.button(0.8, c('Jam'), 301)],
    ['Enamel button', 'button blue sew', 3, () => b.button(0.6, c('Enamel'), 302, 2, 'plastic', c('Flour'))],
    ['Butter button', 'button yellow sew', 3, () => b.button(0.5, c('Butter'), 303)],
    ['Copper brad', 'brad metal round', 2, () => b.brad(0.3, '#c07a4a', 304)],
    ['Heart brad', 'brad heart love', 2, () => b.brad(0.45, c('Jam'), 305, shape(11))],
    [
      'Gingham ribbon',
      'ribbon gingham red',
      0.4,
      () => b.ribbon(6, 0.75, c('Jam'), c('Flour'), 'gingham', 306),
    ],
    [
      'Apron string',
      'ribbon blue stitched',
      0.4,
      () => b.ribbon(5, 0.55, c('Enamel'), c('Flour'), 'stitched', 307),
    ],
    ['Cake-box bow', 'bow ribbon mint', 4, () => b.bow(1.9, c('Mint'), c('Flour'), 'grosgrain', 308)],
    [
      'Checked washi',
      'washi tape check',
      0.1,
      () => b.washi(4, 0.6, c('Flour'), c('Rhubarb'), b.PRINTS.check!, 309),
    ],
    [
      'Mail washi',
      'washi tape letter',
      0.1,
      () => b.washi(4.5, 0.45, c('Flour'), c('Enamel'), b.PRINTS.slant!, 310),
    ],
    [
      'Jar label',
      'tag label jam',
      0.6,
      () => b.tag(1.4, 2.3, c('Flour'), c('Jam'), b.PRINTS.ticks!, '#c07a4a', c('Jam'), 311),
    ],
    ['Doily', 'doily lace paper', 0.2, () => b.doily(3, '#fdfaf3', 312)],
    ['Felt heart', 'heart felt love', 2, () => b.felt(1.3, shape(11), c('Jam'), c('Flour'), 313)],
    ['Wooden teapot', 'teapot wood tea', 2, () => b.woodShape(1.7, shape(0), '#deb988', '#a3753f', 314)],
    [
      'Card cup',
      'cup chipboard tea',
      1.5,
      () => b.chipboard(1.5, shape(1), c('Enamel'), c('Flour'), b.PRINTS.dots!, 315),
    ],
    [
      'Card envelope',
      'envelope chipboard letter',
      1.5,
      () =>
        b.layered(
          1.7,
          [
            { path: 'M8 22H92Q95 22 95 25V79Q95 82 92 82H8Q5 82 5 79V25Q5 22 8 22Z', hex: c('Butter') },
            {
              path: 'M5 82L42 50Q50 44 58 50L95 82Z',
              hex: c('Flour'),
              print: c('Butter'),
              pattern: b.PRINTS.ticks!,
            },
            {
              path: 'M5 22H95L57 57Q50 63 43 57Z',
              hex: c('Butter'),
              print: c('Honey'),
              pattern: b.PRINTS.stripe!,
            },
            {
              path: 'M50 64C40 57 40 46 46.5 46Q49 46 50 49Q51 46 53.5 46C60 46 60 57 50 64Z',
              hex: c('Jam'),
            },
          ],
          316,
        ),
    ],
    ['Paper clip', 'clip metal paper', 1.2, () => b.clip('#b9bec4', 317)],
    [
      "Baker's twine",
      'twine string red',
      1.2,
      () =>
        b.twine(
          3.4,
          1.2,
          'M0.1 0.8C0.6 0.1 1 0.3 1.2 0.7C1.4 1.1 0.9 1.1 1 0.7C1.2 0.1 2.4 0.2 3.3 0.7',
          c('Rhubarb'),
          318,
          0.03,
        ),
    ],
    ['Coffee splash', 'splatter coffee drop', 0, () => b.splatter(1.9, '#8a5a36', 319)],
    [
      'Torn recipe',
      'scrap paper recipe',
      0.2,
      () => b.scrap(3, 2.2, c('Flour'), c('Steam'), b.PRINTS.ticks!, 320),
    ],
    ...keepsakes(own),
  ],
  heroes: ['Felt heart', 'Card cup', 'Wooden teapot'],
  frames: [
    [
      'Enamel frame',
      'frame scallop blue',
      () => b.frame(4.6, 3.8, [{ x: 0.6, y: 0.6, w: 3.4, h: 2.6 }], 'scallop', c('Enamel'), c('Flour'), 321),
    ],
    [
      'Postage frame',
      'frame letter perforated',
      () =>
        b.frame(3.2, 3.9, [{ x: 0.38, y: 0.38, w: 2.44, h: 3.14 }], 'perforated', c('Flour'), c('Jam'), 322),
    ],
    [
      'Bread board',
      'frame wood square',
      () => b.frame(4, 4, [{ x: 0.6, y: 0.6, w: 2.8, h: 2.8 }], 'wood', '#deb988', '#9d6f3d', 323),
    ],
    ...mounts(own),
  ],
  edges: [
    ['Pie crust', 'scallop', 'Crust'],
    ['Pinking shears', 'pinked', 'Jam'],
    ['Shelf lace', 'lace', 'Flour'],
    ['Icing', 'wave', 'Rhubarb'],
    ...borders(own),
  ],
  alphabets: [
    { name: 'Icing', body: 'icing', hex: '#d97f8b', second: '#ffffff', tall: 0.85 },
    { name: 'Cork board', body: 'cork', hex: '#c79a63', second: '#8f6234', tall: 0.8 },
  ],
  pages: [
    ['Baked today', 'flour on everything'],
    ['Tea at four', 'and one more slice'],
    ['Dear all', 'letters we kept'],
    ['By hand', 'a recipe worth keeping'],
    ['Nine bakes', 'some of them round'],
    ['Step by step', 'how it went'],
    ['Market day', 'and what became of it'],
    ['Our kitchen', 'recipes and people'],
    ['A week of suppers', 'Monday to Sunday'],
    ['The long table', 'everybody came'],
    ['Letters and jam', 'sent with love'],
    ['Odds and ends', 'all of it eaten'],
  ],
};
