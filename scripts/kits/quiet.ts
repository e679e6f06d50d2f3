import { Path2D } from '@napi-rs/canvas';
import * as b from './bits';
import { borders, keepsakes, mounts, type Keepsakes } from './common';
import { QUIET_STAMPS } from './engrave/quiet';
import { SEA } from './engrave/sea';
import { starPath } from './icons/pen';
import { QUIET } from './icons/quiet';
import { inkFinder, inksOf, motifFinder, type HouseKit } from './kit';
import * as g from './papers/geometry';
import * as w from './papers/nature';
import { toile } from './papers/toile';
import * as o from './papers/whole';
import * as t from './tiles';

const m = motifFinder([...QUIET_STAMPS, ...SEA]);

const inks = inksOf(
  'Paper #fbf9f4',
  'Thread #e4d9c4',
  'Linen #ece4d6',
  'Oat #d8cbb6',
  'Kraft #bf9d76',
  'Clay #a77b5f',
  'Walnut #5f4736',
  'Stone #b5b0a8',
  'Slate #6d6f73',
  'Graphite #36363a',
  'Dusk rose #c9a29a',
  'Eucalyptus #93a396',
);
const k = inkFinder(inks);
const c = (name: string) => k(name).colour;
const shape = (i: number) => new Path2D(QUIET[i]!.solid!);

const own: Keepsakes = {
  main: k('Eucalyptus'),
  second: k('Dusk rose'),
  pale: k('Paper'),
  deep: k('Walnut'),
  bright: k('Clay'),
  metal: 'Brass',
  motifs: [m('Key'), m('Owl'), m('Open book'), m('Pocket watch'), m('Moth')],
  seed: 1300,
};

export const quiet: HouseKit = {
  id: 'quiet-hours',
  name: 'Quiet Hours',
  description: 'Kraft, linen and thread: neutrals that let the photos speak.',
  tags: ['neutral', 'everyday', 'simple'],
  inks,
  stamps: QUIET_STAMPS,
  title: 'caveat',
  runs: [own.main.name, own.second.name, own.deep.name],
  titleInk: 'Walnut',
  papers: [
    [
      'Feather fall',
      'feather soft light',
      () =>
        toile({
          ground: k('Linen'),
          line: k('Slate'),
          strewn: [
            { motif: m('Quill feather'), size: 2.2 },
            { motif: m('Quill feather'), size: 1.5 },
          ],
          seed: 41,
          lean: 180,
        }),
    ],
    ['Ledger', 'ledger lines writing', () => t.ledger(k('Paper'), k('Oat'), k('Dusk rose'))],
    ['Graph', 'grid graph square', () => t.grid(k('Paper'), k('Thread'))],
    ['Herringbone', 'herringbone weave tweed', () => t.herringbone(k('Oat'), k('Linen'))],
    ['Pinpricks', 'dots pin fine', () => t.pinDots(k('Kraft'), k('Paper'))],
    ['Mattress ticking', 'stripe ticking linen', () => t.ticking(k('Linen'), k('Slate'))],
    [
      'Sewing box',
      'sewing thread needle',
      () =>
        toile({
          ground: k('Paper'),
          line: k('Walnut'),
          strewn: [
            { motif: m('Ball of wool'), size: 1.7, tone: k('Dusk rose') },
            { motif: m('Spectacles'), size: 1.5 },
            { motif: m('Key'), size: 1.3 },
            { motif: m('Ink and quill'), size: 1.7, tone: k('Eucalyptus') },
          ],
          seed: 42,
          lean: 30,
          between: { ink: k('Clay'), kind: 'dashes', count: 60 },
        }),
    ],
    [
      'Soft plaid',
      'plaid check wool',
      () =>
        g.tartan([
          [k('Paper'), 18],
          [k('Oat'), 8],
          [k('Paper'), 4],
          [k('Eucalyptus'), 10],
          [k('Paper'), 4],
          [k('Slate'), 2],
          [k('Paper'), 14],
        ]),
    ],
    ['Quilted', 'diamond quilt stitch', () => t.diamonds(k('Thread'), k('Linen'), k('Paper'))],
    [
      'Reading room',
      'toile book lamp',
      () =>
        toile({
          ground: k('Graphite'),
          line: k('Thread'),
          strewn: [
            { motif: m('Open book'), size: 1.9 },
            { motif: m('Candle'), size: 1.6 },
            { motif: m('Owl'), size: 1.8 },
            { motif: m('Oil lamp'), size: 1.6 },
            { motif: m('Pocket watch'), size: 1.4 },
          ],
          seed: 91,
          lean: 18,
        }),
    ],
    [
      'Moth light',
      'moth night insect',
      () =>
        toile({
          ground: k('Stone'),
          line: k('Graphite'),
          strewn: [
            { motif: m('Moth'), size: 1.6, tone: k('Paper') },
            { motif: m('Moth'), size: 1.1, tone: k('Thread') },
          ],
          seed: 92,
          lean: 60,
        }),
    ],
    ['Score', 'music notes sheet', () => g.music(k('Paper'), k('Stone'), k('Slate'), 93)],
    ['Faded brocade', 'damask woven leaf', () => g.damask(k('Oat'), k('Linen'), k('Kraft'))],
    [
      'Endpaper',
      'marble book combed',
      () =>
        w.marble(
          k('Paper'),
          [k('Slate'), k('Dusk rose'), k('Eucalyptus'), k('Oat'), k('Paper')],
          94,
          'combed',
        ),
    ],
    ['Study floor', 'wood grain board', () => w.woodgrain(k('Kraft'), k('Walnut'), 95)],
    [
      'Slow water',
      'watercolour wash soft',
      () => w.wash(k('Paper'), [k('Dusk rose'), k('Eucalyptus'), k('Oat')], 96),
    ],
    ['Thread lace', 'lace crochet linen', () => g.lace(k('Thread'), k('Paper'))],
    [
      'Old letters',
      'letter writing hand',
      (typesetter) =>
        o.letters(
          k('Paper'),
          k('Walnut'),
          k('Thread'),
          [
            'it has been raining since you left, and I have read two books.',
            'the clock has stopped again, which suits me.',
            'I found your glove.',
            'write when you can, about anything at all.',
            'the light in the hall is the same.',
          ],
          typesetter,
        ),
    ],
    [
      'Torn edges',
      'torn paper layers',
      () => o.torn([k('Oat'), k('Eucalyptus'), k('Linen'), k('Dusk rose')], k('Paper'), 72),
    ],
  ],
  card: ['Paper', 'Oat', 'Kraft', 'Graphite', 'Dusk rose', 'Eucalyptus', 'Slate', 'Linen'],
  words: [
    ['these days', 'caveat'],
    ['remember this', 'special-elite'],
    ['here & now', 'great-vibes'],
    ['just us', 'abril-fatface'],
    ['so thankful', 'great-vibes'],
    ['still', 'zilla-slab'],
  ],
  lettered: { ribbon: 'a quiet day', round: ['KEPT FOR ALWAYS', 'Key'], flourish: 'in no hurry' },
  bits: [
    ['Horn button', 'button brown sew', 3, () => b.button(0.8, '#7d5f4a', 401)],
    ['Shell button', 'button white sew', 3, () => b.button(0.6, '#efe8dc', 402, 2, 'plastic', c('Clay'))],
    ['Wood button', 'button wood sew', 3, () => b.button(0.7, '#d9b88c', 403, 2, 'wood', c('Paper'))],
    ['Steel brad', 'brad metal round', 2, () => b.brad(0.3, '#a9adb2', 404)],
    ['Staple', 'staple metal fasten', 0.6, () => b.staple('#b9bcc2', 405)],
    [
      'Linen ribbon',
      'ribbon linen cream',
      0.4,
      () => b.ribbon(6, 0.6, c('Thread'), c('Clay'), 'stitched', 406),
    ],
    ['Slate ribbon', 'ribbon grey satin', 0.4, () => b.ribbon(5, 0.5, c('Slate'), c('Paper'), 'satin', 407)],
    ['Linen bow', 'bow ribbon cream', 4, () => b.bow(1.9, c('Thread'), c('Paper'), 'gingham', 408)],
    [
      'Grid washi',
      'washi tape grid',
      0.1,
      () => b.washi(4, 0.6, c('Paper'), c('Stone'), b.PRINTS.grid!, 409),
    ],
    [
      'Kraft washi',
      'washi tape kraft',
      0.1,
      () => b.washi(3.6, 0.5, c('Kraft'), c('Thread'), b.PRINTS.ticks!, 410),
    ],
    [
      'Kraft tag',
      'tag label kraft',
      0.6,
      () => b.tag(1.5, 2.8, '#c8a57c', c('Walnut'), b.PRINTS.plain!, '#a9adb2', c('Paper'), 411),
    ],
    [
      'Small tag',
      'tag label white',
      0.6,
      () => b.tag(1, 1.9, c('Paper'), c('Slate'), b.PRINTS.grid!, '#c9a44a', c('Kraft'), 412),
    ],
    ['Steel clip', 'clip metal paper', 1.2, () => b.clip('#aeb2b8', 413)],
    [
      'Thread loops',
      'thread string loop',
      0.6,
      () =>
        b.twine(
          3.2,
          1.6,
          'M0.1 0.5C0.8 -0.1 1.6 1.6 2.1 0.9C2.5 0.3 1.4 0.1 1.2 0.8C1.1 1.7 2.6 1.5 3.1 0.7',
          c('Clay'),
          414,
          0.014,
        ),
    ],
    ['Paper doily', 'doily lace paper', 0.2, () => b.doily(2.6, '#f8f4ea', 415)],
    ['Sage leaf', 'leaf grey green', 1, () => b.leaf(1.7, c('Eucalyptus'), '#c7d0c6', 416)],
    ['Wooden feather', 'feather wood light', 2, () => b.woodShape(1.7, shape(0), '#dfc196', '#a87c4c', 417)],
    [
      'Card arrow',
      'arrow chipboard mark',
      1.5,
      () => b.chipboard(1.5, shape(1), c('Graphite'), c('Slate'), b.PRINTS.plain!, 418),
    ],
    [
      'Felt star',
      'star felt grey',
      2,
      () => b.felt(1.4, new Path2D(starPath(50, 52, 48, 27, 5)), c('Stone'), c('Paper'), 419),
    ],
    ['Ink splash', 'splatter ink drop', 0, () => b.splatter(1.8, c('Graphite'), 420)],
    [
      'Torn linen',
      'scrap paper torn',
      0.2,
      () => b.scrap(3, 2.2, c('Kraft'), '#d3b48d', b.PRINTS.stripe!, 421),
    ],
    ...keepsakes(own),
  ],
  heroes: ['Felt star', 'Sage leaf', 'Wooden feather'],
  frames: [
    [
      'Gallery mat',
      'frame mat landscape',
      () => b.frame(5.4, 4.4, [{ x: 0.7, y: 0.7, w: 4, h: 3 }], 'mat', c('Paper'), c('Kraft'), 422),
    ],
    [
      'Oak frame',
      'frame wood tall',
      () => b.frame(4.2, 5.2, [{ x: 0.6, y: 0.6, w: 3, h: 4 }], 'wood', '#dcbf94', '#94703f', 423),
    ],
    [
      'Three in a row',
      'frame triple mat',
      () =>
        b.frame(
          7,
          2.9,
          [
            { x: 0.4, y: 0.45, w: 1.9, h: 2 },
            { x: 2.55, y: 0.45, w: 1.9, h: 2 },
            { x: 4.7, y: 0.45, w: 1.9, h: 2 },
          ],
          'mat',
          c('Oat'),
          c('Paper'),
          424,
        ),
    ],
    ...mounts(own),
  ],
  edges: [
    ['Linen hem', 'scallop', 'Thread'],
    ['Pinked kraft', 'pinked', 'Kraft'],
    ['Fine lace', 'lace', 'Paper'],
    ['Drift', 'wave', 'Stone'],
    ...borders(own),
  ],
  alphabets: [
    { name: 'Printed board', body: 'chipboard', hex: '#8fa08c', second: '#e9e4d6', tall: 0.85 },
    { name: 'Wet brush', body: 'watercolour', hex: '#5f7384', second: '#93a7b4', tall: 0.9 },
  ],
  pages: [
    ['These days', 'nothing much, all of it good'],
    ['Just us', 'a Sunday at home'],
    ['Remember this', 'the ordinary light'],
    ['Still here', 'one year on'],
    ['Nine small things', 'kept for no reason'],
    ['A slow week', 'day by day'],
    ['Found in a drawer', 'and put back again'],
    ['These years', 'the first book'],
    ['Notes at night', 'a line for each day'],
    ['One long view', 'from the window'],
    ['Three letters', 'read again'],
    ['Good hours', 'the ones we liked'],
  ],
};
