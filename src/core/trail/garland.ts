/** Garlands: leaves to either side of a stem and flowers upon it, by chance that can be had again. */
import { array, boolean, number, object, string } from 'yup';
import { HEX_COLOUR, mixed } from '@/core/color/hex';
import { outset, type Box } from '@/core/geometry/box';
import { compose, translation, type Matrix } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import { pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { inkSlot } from '@/core/piece/answers';
import type { Mark, Tip } from '@/core/picture/picture';
import { random } from '@/core/random';
import { laidShadow, strip } from '@/core/trail/band';
import { rounded, type Course } from '@/core/trail/course';
import { asWide, picturedField, seedField, shareField, widthField, type Pictured } from '@/core/trail/fields';
import type { TrailKind } from '@/core/trail/kind';
import { litStamps, type Lit } from '@/core/trail/lights';
import { spaced } from '@/core/trail/places';
import { edgeOfTip, laidAt, pictureTip, sizeOfTip } from '@/core/trail/tip';
import { MOST_PICTURES } from '@/core/trail/stamps';

export interface GarlandTrail {
  kind: 'garland';
  /** They grow from the line: upright ones with their lower end on it, long ones with their left. */
  leaves: Pictured[];
  /** They lie upon it. */
  flowers: Pictured[];
  /** The longer side of a leaf and of a flower, points. */
  width: number;
  flower: number;
  /** How close leaves stand, 0 to 1, and how many of the places hold a flower. */
  dense: number;
  bloom: number;
  /** How far leaves open from the way of the line, degrees, and how much they turn to the light, 0 to 1. */
  open: number;
  toLight: number;
  /** Smaller by chance, a share; both ends of an open line grow from small. */
  smaller: number;
  sides: 'both' | 'left' | 'right';
  /** Leaves in one ink; their own colours without. */
  colour?: string;
  /** The stem; none without. */
  stem?: string;
  mirrored?: true;
  seed: number;
}

export const newGarland = (leaves: Pictured[], flowers: Pictured[]): GarlandTrail => ({
  kind: 'garland',
  leaves,
  flowers,
  width: 40,
  flower: 44,
  dense: 0.66,
  bloom: flowers.length ? 0.18 : 0,
  open: 48,
  toLight: 0.2,
  smaller: 0.35,
  sides: 'both',
  stem: '#5d6b45',
  seed: 1,
});

/** The most leaves and flowers along one line. */
const MOST_GROWN = 3000;

interface Grown extends Lit {
  picture: Pictured;
  size: number;
  flower: boolean;
}

/** From one pair of leaves to the next, points. */
const pitchOf = ({ width, dense }: GarlandTrail): number => width * (0.9 - 0.72 * dense);

function grownOn(trail: GarlandTrail, asked: Course, light: number, chance: () => number): Grown[] {
  const { leaves, flowers, width, flower, bloom, open, toLight, smaller, sides } = trail;
  const course = rounded(asked, width / 2);
  const long = course.runs.reduce((sum, { length }) => sum + length, 0);
  const { places } = spaced(course, Math.max(pitchOf(trail), long / MOST_GROWN), 'bent', width / 2);
  const below: Grown[] = [];
  const above: Grown[] = [];
  places.forEach(({ x, y, way, share }, i) => {
    const end = course.closed ? 1 : Math.min(1, 0.45 + 2.4 * Math.min(share, 1 - share));
    const both = sides === 'both' ? [i % 2 ? 1 : -1] : [sides === 'left' ? -1 : 1];
    for (const side of leaves.length ? both : []) {
      const [which, size, lean] = [chance(), chance(), chance()];
      const picture = leaves[Math.floor(which * leaves.length)]!;
      let to = way + (side * (open + 26 * (lean - 0.5)) * Math.PI) / 180;
      const turn = Math.atan2(Math.sin(light - to), Math.cos(light - to));
      to += 0.6 * toLight * turn;
      const scale = end * (1 - smaller * size);
      // Upright pictures stand on their lower end, long ones grow from their left.
      const { width: across, height } = sizeOfTip(picture, width);
      const upright = height >= across;
      const turned = upright ? to + Math.PI / 2 : to;
      const root = upright ? translation(0, -0.46 * height) : translation(0.46 * across, 0);
      const map = compose(laidAt(x, y, turned, scale), mirror(trail, side, upright), root);
      below.push({
        sort: `l${leaves.indexOf(picture)}${side < 0 && trail.mirrored ? 'm' : ''}`,
        way: turned,
        map,
        picture,
        size: width,
        flower: false,
      });
    }
    const [blooms, which, size, turn] = [chance(), chance(), chance(), chance()];
    if (flowers.length && blooms < bloom) {
      const picture = flowers[Math.floor(which * flowers.length)]!;
      const turned = (turn - 0.5) * 1.4;
      above.push({
        sort: `f${flowers.indexOf(picture)}`,
        way: turned,
        map: laidAt(x, y, turned, end * (1 - 0.7 * smaller * size)),
        picture,
        size: flower,
        flower: true,
      });
    }
  });
  return [...below, ...above];
}

const mirror = ({ mirrored }: GarlandTrail, side: number, upright: boolean): Matrix =>
  mirrored && side < 0 ? [upright ? -1 : 1, 0, 0, upright ? 1 : -1, 0, 0] : [1, 0, 0, 1, 0, 0];

const STEM = 0.035;

const stemOf = ({ width }: GarlandTrail, courses: readonly Course[]): Path =>
  pathOfRings(
    courses.flatMap((course) =>
      rounded(course, width / 2).runs.map((run) => strip(run, -STEM * width, STEM * width)),
    ),
  );

function grown(trail: GarlandTrail, courses: readonly Course[], light: number): Grown[] {
  const chance = random(trail.seed);
  return courses.flatMap((course) => grownOn(trail, course, light, chance));
}

export const garland: TrailKind<GarlandTrail> = {
  kind: 'garland',
  name: 'Garland',
  schema: object({
    kind: string().oneOf(['garland']).required(),
    leaves: array(picturedField.required()).max(MOST_PICTURES).required(),
    flowers: array(picturedField.required()).max(MOST_PICTURES).required(),
    width: widthField,
    flower: widthField,
    dense: shareField,
    bloom: shareField,
    open: number().min(0).max(180).required(),
    toLight: shareField,
    smaller: shareField,
    sides: string().oneOf(['both', 'left', 'right']).required(),
    colour: string().matches(HEX_COLOUR),
    stem: string().matches(HEX_COLOUR),
    mirrored: boolean().oneOf([true]),
    seed: seedField,
  }).noUnknown(),
  inks: (trail) => [
    ...inkSlot('line', trail, 'colour'),
    ...(trail.stem === undefined
      ? []
      : [{ part: 'line' as const, colour: trail.stem, set: (next: string) => void (trail.stem = next) }]),
  ],
  says: ({ leaves, flowers }) =>
    `Garland of ${leaves.length ? 'leaves' : ''}${leaves.length && flowers.length ? ' and ' : ''}${flowers.length ? 'flowers' : ''}`,
  scaled: (trail, scale) => ({
    ...trail,
    width: asWide(trail.width * scale),
    flower: asWide(trail.flower * scale),
  }),
  half: ({ width, flower, flowers }) => Math.max(0.75 * width, flowers.length ? flower / 2 : 0),
  told(trail, courses) {
    const all = grown(trail, courses, 0);
    const flowers = all.filter(({ flower }) => flower).length;
    const leaves = all.length - flowers;
    const said = [
      ...(leaves ? [`${leaves} ${leaves === 1 ? 'leaf' : 'leaves'}`] : []),
      ...(flowers ? [`${flowers} ${flowers === 1 ? 'flower' : 'flowers'}`] : []),
    ];
    return said.length ? `${said.join(' and ')}.` : undefined;
  },
  shape(trail, courses, asset): Path {
    const edges = new Map<string, Path>();
    const all = grown(trail, courses, -2.2).flatMap(({ sort, picture, size, map }) => {
      let edge = edges.get(sort);
      if (!edge) edges.set(sort, (edge = edgeOfTip(picture, size, asset)));
      return transformPath(map, edge);
    });
    return [...(trail.stem ? stemOf(trail, courses) : []), ...all];
  },
  lay(trail, courses, { toward, strength, asset }): Mark[] {
    const { stem, colour, width } = trail;
    const light = Math.atan2(toward.y, toward.x);
    const all = grown(trail, courses, light);
    const bySort = new Map(all.map((one) => [one.sort, one]));
    // A picture that is not there yet is drawn otherwise.
    const known = [...trail.leaves, ...trail.flowers].map((one) => Number(asset(one.asset) !== undefined));
    const stems = stem ? stemOf(trail, courses) : [];
    return [
      ...(stem
        ? [
            ...laidShadow(stems, 0.02 * width, toward, strength),
            { mark: 'fill' as const, path: stems, colour: stem },
          ]
        : []),
      ...litStamps(
        `garland ${strength} ${known.join()} ${JSON.stringify(trail)}`,
        all,
        light,
        (sort, from) => {
          const { picture, size, flower } = bySort.get(sort)!;
          const edge = edgeOfTip(picture, size, asset);
          const tip = pictureTip(picture, size, asset, flower ? undefined : colour);
          return { tip: [...beneath(edge, size, from, strength), ...tip], box: roomOf(edge, size) };
        },
      ),
    ];
  },
};

const roomOf = (edge: Path, size: number): Box => outset(pathBounds(edge), 0.06 * size);

/** What one throws on those beneath it: the same outline, moved away from the light, twice and faint. */
const beneath = (edge: Path, size: number, from: number, strength: number): Tip =>
  strength > 0
    ? [0.034, 0.018].map((by) => ({
        mark: 'fill' as const,
        path: transformPath(translation(-by * size * Math.cos(from), -by * size * Math.sin(from)), edge),
        colour: mixed('#1c1410', '#3a2c1e', 0.3),
        opacity: 0.32 * strength,
      }))
    : [];
