/** The demo projects: pages of the kite club's album, a card and its calendar, composed by hand. */
import { type Asset } from '@/core/picture/asset';
import { type Finish } from '@/core/piece/finish';
import { NEW_EDGE } from '@/core/piece/finish/edge';
import { LIFTS, NEW_CURL } from '@/core/piece/finish/lift';
import { NEW_MAT } from '@/core/piece/finish/mats';
import { NEW_SHADOW } from '@/core/piece/finish/shadow';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import type { Outline } from '@/core/piece/outline';
import { type Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { beginProduct } from '@/core/product';
import { Album, CIRCLE, RECTANGLE } from './album';
import { clubCalendar } from './calendar';

/** By file name (photos) or paper id. */
type Assets = ReadonlyMap<string, Asset>;

/** The launch, with the day round it. */
function flyInPage(assets: Assets, photos: readonly string[], typesetter: Typesetter): Album {
  return new Album('saltmarsh-fly-in', 'Fly-in on the beach', 12, 12, assets, typesetter)
    .note(
      'The launch is the big photo; the rest of the day runs round it. Water below, gingham for the picnic, and one strip of kraft as the beach between them. The title is written, not stamped.',
    )
    .gather(photos)
    .background('sailcloth-linen')
    .paper('tide-wash', { at: [6, 9.35], size: [12.25, 3.7] }, 'paper', { window: { x: 0.5, y: 0.62 } })
    .paper('picnic-gingham', { at: [6, 7.2], size: [12.25, 1] })
    .paper('dune-kraft', { at: [6, 7.74], size: [12.25, 0.16] })
    .paper('buoy-dots', { at: [4.55, 3.72], size: [8.1, 5.75], turn: -2.6 }, 'mat', {
      lift: LIFTS.cardstock,
      window: { x: 0.485, y: 0.507 },
    })
    .paper('sailcloth-white', { at: [4.55, 3.72], size: [7.36, 5.04], turn: -1.6 }, 'mat', {
      lift: LIFTS.cardstock,
    })
    .photo('fly-in-first-launch.jpg', { at: [4.55, 3.72], size: [7, 4.667], turn: -1.6 })
    .photo(
      'fly-in-high.jpg',
      { at: [10.02, 2.85], size: [2.5, 3.7], turn: 2.2 },
      { border: 0.11, window: { y: 0.46, zoom: 1.1 } },
    )
    .paper('windsock-stripe', { at: [9.55, 6.72], size: [3.7, 3.7] }, 'mat', {
      outline: CIRCLE,
      lift: LIFTS.cardstock,
      window: { turn: 90 },
    })
    .photo('fly-in-plum-kite.jpg', { at: [9.55, 6.72], size: [3.2, 3.2] }, { outline: CIRCLE, border: 0.1 })
    .words('title', '#25232a', [4.35, 8.36], {
      text: 'all hands to the',
      family: 'special-elite',
      size: 27,
      align: 'left',
    })
    .words('title', '#9e2b45', [3.2, 9.85], {
      text: 'Wind',
      family: 'great-vibes',
      size: 168,
      align: 'left',
      leading: 1,
    })
    .paper('sailcloth-white', { at: [9.0, 9.9], size: [4.4, 1.9], turn: 1.2 }, 'paper', {
      lift: LIFTS.cardstock,
    })
    .words('journaling', '#2b2a33', [9.0, 9.88], {
      text: 'Forty-one kites up by noon and only two in the sea. Olu let the red one out to the very end of the line, and it pulled so hard that we had to hold on to each other.',
      family: 'caveat',
      size: 19,
      align: 'left',
      column: 4,
      turn: 1.2,
      leading: 1.12,
    })
    .words('journaling', '#25232a', [9.62, 11.42], {
      text: 'Ines & Olu, Saltmarsh Bay, 16 May 2026',
      family: 'special-elite',
      size: 11.5,
      align: 'right',
    });
}

/** Dark papers, light words. */
function lanternPage(assets: Assets, typesetter: Typesetter): Album {
  return new Album('saltmarsh-lanterns', 'Lantern night', 8, 8, assets, typesetter)
    .note(
      'Dark papers, light words: the lantern photos bring their own light, so that nothing else is bright.',
    )
    .gather(['lantern-night.jpg', 'lighthouse-walk.jpg'])
    .background('boathouse-boards')
    .paper('sailcloth-white', { at: [4, 3.5], size: [7.1, 4.86], turn: 0.8 }, 'mat', {
      lift: LIFTS.cardstock,
    })
    .photo('lantern-night.jpg', { at: [4, 3.5], size: [6.75, 4.5], turn: 0.8 })
    .words('title', '#fbf3dc', [4, 6.62], {
      text: 'Lantern night',
      family: 'great-vibes',
      size: 82,
      align: 'centre',
      leading: 1,
    })
    .words('journaling', '#fbf3dc', [4, 7.5], {
      text: 'The whole club on the slipway, 7 November 2026',
      family: 'special-elite',
      size: 11.5,
      align: 'centre',
    });
}

/** The first page of the tide pools. */
function poolsPage(assets: Assets, typesetter: Typesetter): Album {
  return new Album('saltmarsh-tide-pools', 'Tide pools in July', 8.5, 11, assets, typesetter)
    .note(
      'The pool is the big print, the horizon lies just over its edge. Ledger paper keeps the count; a strip of herringbone holds the left side like a binding.',
    )
    .gather(['tide-pools.jpg', 'fly-in-horizon.jpg', 'fly-in-through-the-grass.jpg'])
    .background('harbourmaster-ledger')
    .paper('harbour-herringbone', { at: [1.1, 5.5], size: [1.7, 11.25] })
    .photo('tide-pools.jpg', { at: [4.75, 3.45], size: [6.3, 4.2], turn: -1 }, { border: 0.12 })
    .photo('fly-in-horizon.jpg', { at: [5.5, 7.55], size: [4.9, 2.75], turn: 1.4 }, { border: 0.12 })
    .words('title', '#2f6f68', [5.5, 9.55], {
      text: 'What the sea left',
      family: 'abril-fatface',
      size: 40,
      align: 'left',
    })
    .words('journaling', '#25232a', [5.5, 10.2], {
      text: 'Three starfish, one very cross crab. Saltmarsh Bay, 11 July 2026',
      family: 'zilla-slab',
      size: 12,
      align: 'left',
    });
}

const thread = (colour: string, from = 7): Finish['trails'] => [
  { trail: { ...NEW_THREAD, colours: [colour] }, side: 'inside', from },
];
const star = (colour: string, seed: number): Partial<Finish> => ({
  lift: { height: LIFTS.button, shadow: true },
  treatments: [
    { kind: 'puffy', values: { depth: 0.4, gloss: 0.2 } },
    { kind: 'inked', values: { reach: 9, strength: 0.5 }, colour, seed },
  ],
});
const punched = (punch: string): Outline => ({ kind: 'punch', punch, settings: {} });

/** Its second page: everything cut, torn and sewn. */
function poolsCut(pools: Album): void {
  pools
    .turn()
    .background('sailcloth-linen')
    .cut(
      'Wave line',
      { paper: 'tide-wash' },
      RECTANGLE,
      { edge: { ...NEW_EDGE, kind: 'torn', size: 42, sides: ['top'], seed: 4, core: 5 } },
      { at: [4.25, 9.1], size: [8.75, 4.1] },
    )
    .cut(
      'Sand strip',
      { paper: 'dune-kraft' },
      RECTANGLE,
      {
        edge: { ...NEW_EDGE, kind: 'scallop', size: 18, sides: ['top'] },
        treatments: [{ kind: 'grain', values: {} }],
      },
      { at: [4.25, 10.55], size: [8.75, 1.1] },
    )
    .cut(
      'Card',
      { paper: 'sailcloth-white' },
      { kind: 'rectangle', radius: 10 },
      {
        // Its upper right corner has come loose.
        lift: {
          height: LIFTS.cardstock,
          shadow: true,
          curl: { ...NEW_CURL, corners: [false, true, false, false], rise: 6, reach: 0.45 },
        },
        trails: thread('#2f6f68'),
        treatments: [{ kind: 'inked', values: { reach: 12, strength: 0.55 }, colour: '#7fa9a3' }],
      },
      { at: [4.3, 3.75], size: [6.6, 5.5], turn: -2 },
    )
    .cut(
      'Tide pools in the round',
      { photo: 'tide-pools.jpg' },
      CIRCLE,
      {
        lift: { height: LIFTS.photo, shadow: true },
        mats: [
          { ...NEW_MAT, width: 7, corners: 'round' },
          { ...NEW_MAT, width: 5, corners: 'round', material: { kind: 'ink', colour: '#2f6f68' } },
        ],
      },
      { at: [4.3, 3.85], size: [4.3, 4.3] },
    )
    .cut(
      'Banner',
      { ink: '#9e2b45' },
      punched('banner'),
      {
        lift: { height: LIFTS.chipboard, shadow: true },
        treatments: [{ kind: 'fabric', values: { size: 1.6, strength: 0.35 } }],
        trails: thread('#f3e3c0', 5),
        shadows: [{ ...NEW_SHADOW, x: -6, strength: 0.25 }],
      },
      { at: [4.2, 6.75], size: [6.4, 1.05], turn: -1.5 },
    )
    .words('title', '#fdfbf6', [4.05, 6.74], {
      text: 'At low water',
      family: 'abril-fatface',
      size: 37,
      align: 'centre',
      turn: -1.5,
    })
    .cut(
      'Pocket',
      { paper: 'buoy-dots' },
      { kind: 'rectangle', radius: 5 },
      { treatments: [{ kind: 'worn', values: { reach: 8 }, seed: 3 }] },
      { at: [5.9, 9.35], size: [3.9, 2.1], turn: 0 },
    )
    .cut(
      'Horizon, slipped in',
      { photo: 'fly-in-horizon.jpg' },
      RECTANGLE,
      {
        lift: { height: LIFTS.photo, shadow: true },
        stroke: { colour: '#fdfbf6', width: 7, side: 'inside' },
      },
      { at: [5.9, 8.7], size: [3, 2.1], turn: 0 },
    )
    .slippedInto('Pocket', 9.05)
    .cut('Sea star', { ink: '#e08a4f' }, punched('star'), star('#9e4a25', 1), {
      at: [1.35, 8.35],
      size: [1.3, 1.24],
      turn: 12,
    })
    .cut('Small sea star', { ink: '#d9b45b' }, punched('star'), star('#8a5a20', 2), {
      at: [2.45, 9.15],
      size: [0.95, 0.9],
      turn: -20,
    })
    .cut('Young sea star', { ink: '#b5526a' }, punched('star'), star('#6a1f33', 5), {
      at: [1.5, 9.65],
      size: [0.7, 0.67],
      turn: 33,
    })
    .words('journaling', '#25232a', [4.25, 10.62], {
      text: 'Olu and Ines, ankle deep until the tide came back. Saltmarsh Bay, 11 July 2026',
      family: 'zilla-slab',
      size: 11.5,
      align: 'centre',
    });
}

/** A card with a window onto the photo inside. */
function thankYou(assets: Assets, typesetter: Typesetter): Album {
  // A card of 5.5 x 4.25 in, folded at the left: its flat sheet is 11 in wide, the front its right half.
  const shut = { width: 5.5 * 72, height: 4.25 * 72 };
  return new Album(
    'saltmarsh-thank-you',
    'Thank you for the string',
    5.5,
    4.25,
    assets,
    typesetter,
    beginProduct('card', shut, 'left'),
  )
    .gather(['fly-in-plum-kite.jpg'])
    .on('Outside')
    .background('sailcloth-white')
    .paper('harbour-herringbone', { at: [5.5, 3.55], size: [11.25, 0.62] }, 'paper', {
      lift: LIFTS.cardstock,
    })
    .cut(
      'Window',
      'opening',
      CIRCLE,
      { stroke: { colour: '#9e2b45', width: 4, side: 'outside' } },
      {
        at: [8.25, 1.62],
        size: [2.5, 2.5],
      },
    )
    .cut(
      'Label',
      { ink: '#fbf3dc' },
      { kind: 'punch', punch: 'oblong', settings: {} },
      {},
      {
        at: [8.25, 3.55],
        size: [2.7, 0.86],
      },
    )
    .words('title', '#9e2b45', [8.25, 3.57], {
      text: 'Thank you',
      family: 'great-vibes',
      size: 42,
      align: 'centre',
      leading: 1,
    })
    .words('journaling', '#25232a', [2.75, 2.12], {
      text: 'Made at the Saltmarsh kite club',
      family: 'special-elite',
      size: 9.5,
      align: 'centre',
    })
    .on('Inside')
    .background('sailcloth-white')
    .photo('fly-in-plum-kite.jpg', { at: [8.25, 1.62], size: [2.9, 2.9] })
    .words('journaling', '#25232a', [8.25, 3.5], {
      text: 'For holding the string\nwhile I ran.  Olu',
      family: 'caveat',
      size: 19,
      align: 'centre',
    })
    .on('Outside');
}

export function demoProjects(assets: Assets, photos: readonly string[], typesetter: Typesetter): Project[] {
  const pools = poolsPage(assets, typesetter);
  poolsCut(pools);
  return [
    pools.project,
    lanternPage(assets, typesetter).project,
    flyInPage(assets, photos, typesetter).project,
    thankYou(assets, typesetter).project,
    clubCalendar(assets, photos),
  ];
}
