/** Stamps: pictures laid along a line, again and again: a chain of tips, a vine, or one stamp by itself. */
import { array, boolean, number, object, string } from 'yup';
import { centredBox } from '@/core/geometry/box';
import { transformPath, type Path } from '@/core/geometry/path';
import { inkSlot } from '@/core/piece/answers';
import type { Stamp } from '@/core/picture/picture';
import { random } from '@/core/random';
import type { Course, CornerWay } from '@/core/trail/course';
import {
  asWide,
  colourField,
  cornersField,
  degreesField,
  picturedField,
  seedField,
  shareField,
  widthField,
  type Pictured,
} from '@/core/trail/fields';
import type { TrailKind } from '@/core/trail/kind';
import { spaced, toldOf, type Place } from '@/core/trail/places';
import { edgeOfTip, laidAt, pictureTip, sizeOfTip, stampsMark } from '@/core/trail/tip';

export interface StampsTrail {
  kind: 'stamps';
  /** What is stamped, one after the other or by chance. */
  pictures: Pictured[];
  /** What stands at the ends of an open line, and at corners, in their place. */
  first?: Pictured;
  last?: Pictured;
  corner?: Pictured;
  order: 'turn' | 'chance';
  /** `#rrggbb`: what is dark in a picture covers in this ink. */
  colour: string;
  /** Pictures keep the colours they have. */
  own?: true;
  /** The longer side of a stamp, points. */
  width: number;
  /** From one to the next, as a share of how long a stamp is along the line. */
  spacing: number;
  /** Each turns with the way of the line. */
  turns: boolean;
  /** Degrees clockwise each is turned by. */
  angle: number;
  corners: CornerWay;
  /** By chance: how far beside the line (in sizes), how much smaller (a share), how far turned (degrees). */
  scatter: number;
  smaller: number;
  turned: number;
  /** How long either end grows from nothing, as a share of the line. */
  taper: number;
  /** How much each stamp covers, 0 to 1. */
  flow: number;
  seed: number;
}

export const MOST_PICTURES = 24;
export const LEAST_SPACING = 0.05;
export const MOST_SPACING = 20;

/** How a picture is stamped to begin with; a kit may say otherwise. */
export const newStamps = (pictures: Pictured[], colour: string, width: number): StampsTrail => ({
  kind: 'stamps',
  pictures,
  order: 'turn',
  colour,
  width: asWide(width),
  spacing: 1,
  turns: true,
  angle: 0,
  corners: 'turned',
  scatter: 0,
  smaller: 0,
  turned: 0,
  taper: 0,
  flow: 1,
  seed: 1,
});

/** All pictures of a trail, and where in the list those of its ends and corners are. */
function picturesOf({ pictures, first, last, corner }: StampsTrail) {
  const list = [...pictures, ...[first, last, corner].flatMap((one) => (one ? [one] : []))];
  const at = (one: Pictured | undefined) => (one ? list.indexOf(one) : -1);
  return { list, at: { first: at(first), last: at(last), corner: at(corner) } };
}

/** How far apart they shall be, by how long they are along the line. */
const pitchOf = ({ spacing, pictures, width }: StampsTrail): number =>
  (spacing * pictures.reduce((sum, one) => sum + sizeOfTip(one, width).width, 0)) / pictures.length;

function laid(trail: StampsTrail, courses: readonly Course[]) {
  const { list, at } = picturesOf(trail);
  const pitch = pitchOf(trail);
  const chance = random(trail.seed);
  const places: Stamp[] = [];
  for (const course of courses) {
    const { places: found } = spaced(course, pitch, cornersOf(trail), trail.width / 2);
    found.forEach((place, i) => places.push(stamp(trail, place, i, course.closed, at, chance)));
  }
  return { list, places };
}

/** Room for a thing at corners is only left where there is one. */
const cornersOf = ({ corners, corner }: StampsTrail): CornerWay =>
  corners === 'own' && !corner ? 'turned' : corners;

function stamp(
  trail: StampsTrail,
  { x, y, way, share, at: where }: Place,
  i: number,
  closed: boolean,
  ends: Record<'first' | 'last' | 'corner', number>,
  chance: () => number,
): Stamp {
  const { pictures, order, turns, angle, scatter, smaller, turned, taper, width, flow } = trail;
  const [which, beside, size, turn] = [chance(), chance(), chance(), chance()];
  const special = where ? ends[where] : -1;
  const tip =
    special >= 0 ? special : order === 'chance' ? Math.floor(which * pictures.length) : i % pictures.length;
  const plain = special >= 0;
  const off = plain ? 0 : (2 * beside - 1) * scatter * width;
  const end = taper > 0 && !closed ? Math.min(1, Math.max(0.1, Math.min(share, 1 - share) / taper)) : 1;
  const turnedBy = ((angle + (plain ? 0 : (2 * turn - 1) * turned)) * Math.PI) / 180;
  return {
    tip,
    map: laidAt(
      x + off * Math.sin(way),
      y - off * Math.cos(way),
      (turns ? way : 0) + turnedBy,
      end * (plain ? 1 : 1 - smaller * size),
    ),
    ...(flow < 1 ? { opacity: flow } : {}),
  };
}

export const stamps: TrailKind<StampsTrail> = {
  kind: 'stamps',
  name: 'Stamps',
  schema: object({
    kind: string().oneOf(['stamps']).required(),
    pictures: array(picturedField.required()).min(1).max(MOST_PICTURES).required(),
    first: picturedField.default(undefined).optional(),
    last: picturedField.default(undefined).optional(),
    corner: picturedField.default(undefined).optional(),
    order: string().oneOf(['turn', 'chance']).required(),
    colour: colourField,
    own: boolean().oneOf([true]),
    width: widthField,
    spacing: number().min(LEAST_SPACING).max(MOST_SPACING).required(),
    turns: boolean().required(),
    angle: degreesField,
    corners: cornersField,
    scatter: number().min(0).max(5).required(),
    smaller: shareField,
    turned: number().min(0).max(180).required(),
    taper: shareField.max(0.5),
    flow: shareField,
    seed: seedField,
  }).noUnknown(),
  inks: (trail) => (trail.own ? [] : inkSlot('line', trail, 'colour')),
  says: ({ pictures }) => (pictures.length > 1 ? `Stamps, ${pictures.length} in turn` : 'Stamps'),
  scaled: (trail, scale) => ({ ...trail, width: asWide(trail.width * scale) }),
  half: ({ width }) => width / 2,
  shape(trail, courses, asset): Path {
    const { list, places } = laid(trail, courses);
    const edges = list.map((one) => edgeOfTip(one, trail.width, asset));
    return places.flatMap(({ tip, map }) => transformPath(map, edges[tip]!));
  },
  lay(trail, courses, { asset }) {
    const { list, places } = laid(trail, courses);
    const { own, colour, width } = trail;
    return stampsMark(
      list.map((one) => pictureTip(one, width, asset, own ? undefined : colour)),
      list.map((one) => centredBox(sizeOfTip(one, width))),
      places,
    );
  },
  told(trail, courses) {
    const wish = pitchOf(trail);
    const found = courses.map((course) => spaced(course, wish, cornersOf(trail), trail.width / 2));
    return toldOf(found, wish, 'stamp', 'stamps');
  },
};
