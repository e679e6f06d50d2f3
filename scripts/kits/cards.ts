/** Ready-made cards, composed of the house kits' own supplies: every word can be changed, each has a finesse of its own. */
import { acrossFace, asOtherEnd } from '@/core/page/round';
import { beginProduct, otherFace } from '@/core/product';
import { newProject, type Project } from '@/core/project/model';
import { toPoints } from '@/core/units/lengths';
import type { Typesetter } from '@/core/text/typesetter';
import { box, Composer, Material, punched, ROUND, type FindSupply } from './compose';
import { greetings } from './greetings';
import type { HouseKit } from './kit';

/** The two sides; `front` and `right` count from their own panel's corner. */
export interface Sides {
  outside: Composer;
  front: Composer;
  inside: Composer;
  right: Composer;
}

export interface Design {
  title: string;
  tags: string;
  /** Shut, inches. */
  width: number;
  height: number;
  fold: 'left' | 'top';
  compose(on: Sides): void;
  /** The paper on the outside, by name, that goes all the way round. */
  round?: string;
}

const INK = '#2b2a2e';
/** So many cards has a kit. */
const CARDS = 8;

/** Those that only one kit can make. */
const OWN: readonly (Design & { kit: HouseKit['id'] })[] = [
  {
    title: 'Happy birthday',
    tags: 'birthday party wishes',
    kit: 'lantern-night',
    ...{ width: 5, height: 7, fold: 'left' },
    round: 'Wrapping stripe',
    compose({ outside, front, inside, right }) {
      outside.ground('Snow cardstock');
      front
        .thing('Party bunting', 2.5, 0.75, 0, 0.86)
        .words('title', 'Happy\nbirthday', 'great-vibes', 66, '#a92c40', 2.5, 2.35);
      outside.paper('Wrapping stripe', box(5, 4.75, 5, 0.95));
      front
        .thing('Gold bow', 2.5, 5.15, 0, 0.95)
        .thing('Frost drops', 2.5, 3.9, 0, 0.62)
        .words('journaling', 'open when the candles are lit', 'special-elite', 11, INK, 2.5, 6.35);
      inside.ground('Snow cardstock');
      right
        .thing('Card parcel', 2.5, 2.1, -4, 0.72)
        .words('journaling', 'May this be the year\nyou talk about later.', 'caveat', 27, INK, 2.5, 3.9);
    },
  },
  {
    title: 'Thank you',
    tags: 'thanks gratitude',
    kit: 'garden-year',
    ...{ width: 5.5, height: 4.25, fold: 'left' },
    compose({ outside, front, inside, right }) {
      outside.ground('Trellis');
      front
        .paper('Fern cardstock', box(0.42, 0.42, 4.66, 3.41), 0, 'mat')
        .paper('Linen cardstock', box(0.52, 0.52, 4.46, 3.21), 0, 'mat')
        .window('Round window', box(1.75, 0.72, 2, 2), ROUND, '#d9808a')
        .words('title', 'Thank you', 'great-vibes', 46, '#8c3350', 2.75, 3.22);
      inside.ground('Linen cardstock');
      right
        .thing('Green leaf', 1.85, 2.1, -35, 0.55)
        .thing('Fern leaf', 3.65, 2.15, 215, 0.5)
        .thing('Peony flower', 2.75, 1.7, 0, 0.9)
        .words('journaling', 'for everything you grew this year', 'caveat', 21, INK, 2.75, 3.45);
    },
  },
  {
    title: 'With love',
    tags: 'love heart valentine',
    kit: 'kitchen-table',
    ...{ width: 5, height: 7, fold: 'left' },
    compose({ outside, front, inside, right }) {
      outside.ground('Tablecloth');
      front
        .paper('Jam cardstock', box(0.55, 0.75, 3.9, 4.3), 0, 'mat')
        .paper('Flour cardstock', box(0.68, 0.88, 3.64, 4.04), 0, 'mat')
        .window('Heart window', box(1.1, 1.5, 2.8, 2.8), punched('heart'))
        .paper('Flour cardstock', box(0.9, 5.45, 3.2, 0.95), 0, 'mat', punched('banner'))
        .words('title', 'with love', 'caveat', 40, '#b13647', 2.5, 5.9);
      inside.ground('Flour cardstock');
      right
        .paper('Jam cardstock', box(0.6, 0.9, 3.8, 4), 0, 'mat')
        .thing('Doily', 2.5, 2.85, 0, 0.92)
        .thing('Felt heart', 2.5, 2.85, -6, 0.8)
        .words('journaling', 'You are the best part\nof every ordinary day.', 'caveat', 25, INK, 2.5, 5.75);
    },
  },
  {
    title: 'Well done',
    tags: 'congratulations celebrate success',
    kit: 'windward',
    ...{ width: 4.25, height: 5.5, fold: 'left' },
    compose({ outside, front, inside, right }) {
      outside.ground('Kites aloft');
      front
        .paper('Sailcloth cardstock', box(0.55, 0.5, 3.15, 1.35), 0, 'mat')
        .words('title', 'Well done!', 'abril-fatface', 33, '#c4523f', 2.125, 1.06)
        .words('journaling', 'you caught the wind', 'special-elite', 11, INK, 2.125, 1.56);
      outside
        .paper('Swell', box(-0.2, 3.75, 8.9, 2), 0, 'paper', punched('waves'))
        .paper('Lagoon cardstock', box(-0.5, 4.4, 9.5, 1.4), 0, 'paper', punched('waves'));
      const wave = outside.pile.at(-1)!.id;
      front.thing('Wooden boat', 2.1, 3.65, -5, 1.25).last((boat) => ({
        ...boat,
        // In front of the far wave, behind the near one.
        tucks: [{ under: wave, x: 0, y: 0.45 }],
      }));
      inside.ground('Sailcloth cardstock');
      right
        .thing('Card kite', 2.1, 1.6, 12, 0.8)
        .words('journaling', 'Congratulations\nfrom all of us', 'caveat', 26, INK, 2.125, 3.6);
    },
  },
  {
    title: 'Get well soon',
    tags: 'get well recovery',
    kit: 'quiet-hours',
    ...{ width: 5.5, height: 4.25, fold: 'top' },
    round: 'Herringbone',
    compose({ outside, front, inside, right }) {
      outside.ground('Paper cardstock');
      front
        .thing('Sage leaf', 0.8, 0.75, -32, 0.6)
        .thing('Sage leaf', 4.7, 0.75, 212, 0.6)
        .words('title', 'get well soon', 'caveat', 54, '#5f4636', 2.75, 1.45);
      outside.paper('Herringbone', box(0, 4.25 + 2.5, 5.5, 0.85));
      front
        .thing('Linen bow', 2.75, 2.95, 0, 0.78)
        .words('journaling', 'the kettle is on whenever you are', 'special-elite', 10.5, INK, 2.75, 3.85);
      inside.ground('Paper cardstock');
      right.words('journaling', 'Take all the time you need.', 'caveat', 27, INK, 2.75, 1.6);
    },
  },
  {
    title: 'New home',
    tags: 'new home house moving',
    kit: 'lantern-night',
    ...{ width: 5, height: 7, fold: 'left' },
    compose({ outside, front, inside, right }) {
      outside.ground('Starfield');
      outside.paper('Pine cardstock', box(-0.2, 5.55, 10.4, 1.7));
      front
        .thing('Felt moon', 4.05, 1.15, 8, 0.62)
        .paper('Berry cardstock', box(0.75, 1.75, 3.5, 1.35), 0, 'paper', {
          kind: 'path',
          name: 'Roof',
          data: 'M0 40L50 0L100 40Z',
        })
        .paper('Snow cardstock', box(1.05, 3.08, 2.9, 2.75))
        .window('Left window', box(1.4, 3.42, 0.85, 0.85), punched('square'), '#a92c40')
        .window('Right window', box(2.75, 3.42, 0.85, 0.85), punched('square'), '#a92c40')
        .window('Door', box(2.1, 4.62, 0.8, 1.21), punched('oblong'), '#a92c40')
        .words('title', 'Happy new home', 'great-vibes', 40, '#f7f2e6', 2.5, 6.3);
      inside.ground('Snow cardstock');
      right
        .ink('Lamplight', '#f2b544', box(1.05, 3.08, 2.9, 2.75))
        .thing('Wooden star', 1.83, 3.85, 10, 0.42)
        .words('journaling', 'Leave a light on:\nwe are coming to see it.', 'caveat', 26, INK, 2.5, 1.7);
    },
  },
  {
    title: 'With sympathy',
    tags: 'sympathy condolence sorrow',
    kit: 'quiet-hours',
    ...{ width: 4.25, height: 5.5, fold: 'left' },
    compose({ outside, front, inside, right }) {
      outside.ground('Oat cardstock');
      front
        .paper('Paper cardstock', box(0.4, 0.4, 3.45, 4.7), 0, 'mat')
        .window('Oval window', box(1.225, 0.8, 1.8, 2.5), ROUND, '#b9a98c')
        .words('title', 'with sympathy', 'caveat', 36, '#5f4636', 2.125, 4.05)
        .words('journaling', 'thinking of you', 'special-elite', 10.5, INK, 2.125, 4.6);
      inside.ground('Paper cardstock');
      right
        .paper('Feather fall', box(0.9, 0.5, 2.45, 3.1), 0, 'mat')
        .thing('Sage leaf', 2.125, 2.1, -62, 0.95)
        .words('journaling', 'May what you remember\nkeep you company.', 'caveat', 23, INK, 2.125, 4.4);
    },
  },
  {
    title: 'A photo in a window',
    tags: 'frame photo plain any occasion',
    kit: 'windward',
    ...{ width: 5, height: 7, fold: 'left' },
    compose({ outside, front, inside, right }) {
      outside.ground('Windbreak');
      front
        .paper('Lagoon cardstock', box(0.55, 0.6, 3.9, 4.75), 0, 'mat')
        .paper('Sailcloth cardstock', box(0.65, 0.7, 3.7, 4.55), 0, 'mat')
        .window('Photo window', box(1, 1.05, 3, 3.85), punched('oblong'), '#2f8f87')
        .paper('Sailcloth cardstock', box(0.9, 5.75, 3.2, 0.8), 0, 'mat')
        .words('title', 'Who and when', 'abril-fatface', 22, '#24506b', 2.5, 6.15)
        .thing('Brass brad', 1.1, 6.15, 0, 0.6)
        .thing('Brass brad', 3.9, 6.15, 0, 0.6);
      inside.ground('Sailcloth cardstock');
      right
        .place(box(0.85, 0.9, 3.3, 4.15))
        .words('journaling', 'A day worth keeping.', 'caveat', 26, INK, 2.5, 5.95);
    },
  },
];

/** The ready-made cards of a kit, each with the tags it is found by. */
export function readyCards(
  kit: HouseKit,
  supply: FindSupply,
  typesetter: Typesetter,
): { project: Project; tags: string }[] {
  const own = OWN.filter((design) => design.kit === kit.id);
  return [...own, ...greetings(kit).slice(0, CARDS - own.length)].map((design, i) => ({
    project: cardOf(`${kit.id}-card-${i + 1}`, design, supply, typesetter),
    tags: design.tags,
  }));
}

function cardOf(id: string, design: Design, supply: FindSupply, typesetter: Typesetter): Project {
  const { title, fold, compose, round } = design;
  const shut = { width: toPoints(design.width, 'in'), height: toPoints(design.height, 'in') };
  const begun = newProject({ id, title, unit: 'in' }, beginProduct('card', shut, fold));
  const [outer, inner] = begun.surfaces as [Project['surfaces'][0], Project['surfaces'][0]];
  const from = new Material(supply, typesetter);
  // The front and what lies behind it: the right half, or the lower one.
  const panel = fold === 'left' ? { x: shut.width, y: 0 } : { x: 0, y: shut.height };
  const outside = new Composer(from, outer);
  const inside = new Composer(from, inner);
  compose({
    outside,
    inside,
    front: new Composer(from, outer, panel, outside.pile),
    right: new Composer(from, inner, panel, inside.pile),
  });
  const { through } = otherFace(begun, outer)!;
  const across = outside.pile.map((piece) =>
    piece.name === round ? { ...piece, placement: acrossFace(piece.placement, outer), round: 'band' } : piece,
  );
  const band = across.find((piece) => piece.round);
  const project: Project = {
    ...begun,
    surfaces: [
      { ...outer, pile: across },
      {
        ...inner,
        // Beneath what lies inside, on its ground.
        pile: [
          ...inside.pile.slice(0, 1),
          ...(band ? [asOtherEnd(band, { id: from.id() }, through)] : []),
          ...inside.pile.slice(1),
        ],
      },
    ],
  };
  for (const [sha, [asset, compartment]] of from.used) {
    project.assets[sha] = asset;
    project[compartment].push(sha);
  }
  return project;
}
