/** Things on a string: beads, pearls, sequins, a paper chain, little lights. */
import { array, number, object, string } from 'yup';
import { mixed } from '@/core/color/hex';
import type { Box } from '@/core/geometry/box';
import { ellipsePath, transformPath, type Path } from '@/core/geometry/path';
import { inkSlots } from '@/core/piece/answers';
import type { FillMark, Mark, Tip } from '@/core/picture/picture';
import { laidShadow, strip } from '@/core/trail/band';
import { pathOfRings } from '@/core/geometry/offset';
import type { Course } from '@/core/trail/course';
import { asWide, colourField } from '@/core/trail/fields';
import type { TrailKind } from '@/core/trail/kind';
import { litStamps } from '@/core/trail/lights';
import { spaced, toldOf, type Place } from '@/core/trail/places';
import { laidAt } from '@/core/trail/tip';
import { formatLength } from '@/core/units/lengths';

interface Threaded {
  name: string;
  says: string;
  /** From one to the next without a gap, and how far it reaches across, in sizes. */
  long: number;
  across: number;
  /** How high it stands, in sizes. */
  high: number;
  /** Threads are seen between them. */
  thread?: true;
  /** Every second one lies otherwise. */
  alternates?: true;
  /** Its outline, of size 1, and all that is drawn of it in light from an angle. */
  outline(odd: boolean): Path;
  draw(colour: string, from: number, odd: boolean): Tip;
}

const SHADE = '#2a1c14';
const round = (x: number, y: number, rx: number, ry = rx): Path =>
  ellipsePath({ x: x - rx, y: y - ry, width: 2 * rx, height: 2 * ry });
const fill = (path: Path, colour: string, opacity?: number): FillMark => ({
  mark: 'fill',
  path,
  colour,
  ...(opacity === undefined ? {} : { opacity }),
});

/** A ball in the light: darker rings outside, lighter ones towards the light, and a spark. */
function ball(colour: string, from: number, gloss: number): Tip {
  const [x, y] = [Math.cos(from), Math.sin(from)];
  const rings = 7;
  return [
    ...Array.from({ length: rings }, (_, i) => {
      const t = i / (rings - 1);
      const off = 0.2 * t;
      const shade =
        t < 0.45
          ? mixed(colour, SHADE, 0.5 * (1 - t / 0.45))
          : mixed(colour, '#ffffff', 0.32 * ((t - 0.45) / 0.55));
      return fill(round(x * off, y * off, 0.5 * (1 - 0.82 * t)), shade);
    }),
    fill(
      round(x * 0.24, y * 0.24, 0.09 + 0.03 * gloss, 0.07 + 0.03 * gloss),
      mixed(colour, '#ffffff', 0.55 + 0.45 * gloss),
    ),
  ];
}

const THINGS = {
  beads: {
    name: 'Beads',
    says: 'Glass beads in a row',
    ...{ long: 0.96, across: 1, high: 0.45, thread: true },
    outline: () => round(0, 0, 0.5),
    draw: (colour, from) => ball(colour, from, 0.9),
  },
  pearls: {
    name: 'Pearls',
    says: 'Soft light on each',
    ...{ long: 0.98, across: 1, high: 0.45, thread: true },
    outline: () => round(0, 0, 0.5),
    draw: (colour, from) => [
      ...ball(mixed(colour, '#ffffff', 0.25), from, 0.35),
      fill(
        round(-0.16 * Math.cos(from), -0.16 * Math.sin(from), 0.26, 0.22),
        mixed(colour, '#ffffff', 0.6),
        0.35,
      ),
    ],
  },
  sequins: {
    name: 'Sequins',
    says: 'Cupped discs that lie over each other',
    ...{ long: 0.62, across: 1, high: 0.16 },
    outline: () => round(0, 0, 0.5),
    draw(colour, from) {
      const [x, y] = [Math.cos(from), Math.sin(from)];
      return [
        fill(round(0, 0, 0.5), mixed(colour, SHADE, 0.42)),
        fill(round(x * 0.02, y * 0.02, 0.47), colour),
        fill(round(x * 0.1, y * 0.1, 0.36), mixed(colour, SHADE, 0.16)),
        fill(round(-x * 0.07, -y * 0.07, 0.3), mixed(colour, '#ffffff', 0.3)),
        fill(round(-x * 0.16, -y * 0.16, 0.12, 0.09), mixed(colour, '#ffffff', 0.75)),
        fill(round(0, 0, 0.07), mixed(colour, SHADE, 0.75)),
      ];
    },
  },
  chain: {
    name: 'Paper chain',
    says: 'Rings of paper, one through the other',
    ...{ long: 0.74, across: 0.72, high: 0.22, alternates: true },
    outline: (odd) => (odd ? round(0, 0, 0.5, 0.13) : linkRing(1, 0.66)),
    draw(colour, from, odd) {
      const lit = mixed(colour, '#ffffff', 0.22);
      // One ring is seen flat, the next from its side.
      if (odd)
        return [
          fill(round(0, 0, 0.5, 0.13), mixed(colour, SHADE, 0.3)),
          fill(round(0, 0.03 * Math.sin(from), 0.47, 0.095), colour),
          fill(round(0, 0.05 * Math.sin(from), 0.36, 0.03), lit),
        ];
      return [
        fill(linkRing(1, 0.66), mixed(colour, SHADE, 0.3)),
        fill(linkRing(0.97, 0.7), colour),
        fill(linkRing(0.9, 0.82), lit),
      ];
    },
  },
  lights: {
    name: 'Little lights',
    says: 'Bulbs on a wire, to either side in turn',
    ...{ long: 1.9, across: 2.1, high: 0.3, thread: true, alternates: true },
    outline: (odd) => bulb(odd, 1),
    draw(colour, from, odd) {
      const way = odd ? 1 : -1;
      const glow = (r: number, opacity: number) =>
        fill(round(0, way * 0.62, r), mixed(colour, '#fff4c8', 0.5), opacity);
      const [x, y] = [Math.cos(from), Math.sin(from)];
      return [
        ...[0.98, 0.86, 0.74, 0.62].map((r, i) => glow(r, 0.07 + 0.03 * i)),
        fill(round(0, way * 0.16, 0.13, 0.2), '#3d4a3f'),
        fill(bulb(odd, 1), mixed(colour, SHADE, 0.25)),
        fill(bulb(odd, 0.9), colour),
        fill(round(0, way * 0.62, 0.2, 0.3), mixed(colour, '#fff4c8', 0.45), 0.8),
        fill(round(x * 0.1, way * 0.62 + y * 0.14, 0.07, 0.11), '#fffdf2', 0.9),
      ];
    },
  },
} satisfies Record<string, Threaded>;

/** A ring of paper seen flat. */
const linkRing = (outer: number, inner: number): Path => [
  ...round(0, 0, 0.5 * outer, 0.36 * outer),
  ...mirrored(round(0, 0, 0.5 * inner, 0.36 * inner)),
];
/** The other way round, so that it is a hole. */
const mirrored = (path: Path): Path => transformPath([-1, 0, 0, 1, 0, 0], path);
const bulb = (odd: boolean, grow: number): Path => round(0, (odd ? 1 : -1) * 0.62, 0.3 * grow, 0.42 * grow);

export type ThingName = keyof typeof THINGS;
export const STRUNG: Record<ThingName, Threaded> = THINGS;
export const STRUNG_NAMES = Object.keys(THINGS) as ThingName[];

export interface StrungTrail {
  kind: 'strung';
  thing: ThingName;
  /** One after the other. */
  colours: string[];
  /** How large each is, points. */
  width: number;
  /** Bare string between one and the next, points. */
  gap: number;
}

export const MOST_COLOURS = 8;
export const SMALLEST_STRUNG = 1;
export const LARGEST_STRUNG = 288;

export const NEW_STRUNG: StrungTrail = {
  kind: 'strung',
  thing: 'beads',
  colours: ['#2f6f68', '#d9b44a', '#b3563a'],
  width: 9,
  gap: 0,
};

const pitchOf = ({ thing, width, gap }: StrungTrail): number => STRUNG[thing].long * width + gap;

const placesOf = (trail: StrungTrail, courses: readonly Course[]): Place[] =>
  courses.flatMap((course) => spaced(course, pitchOf(trail), 'turned', trail.width / 2).places);

const THREAD = '#6b5d4a';

export const strung: TrailKind<StrungTrail> = {
  kind: 'strung',
  name: 'Strung',
  schema: object({
    kind: string().oneOf(['strung']).required(),
    thing: string()
      .oneOf([...STRUNG_NAMES])
      .required(),
    colours: array(colourField).min(1).max(MOST_COLOURS).required(),
    width: number().min(SMALLEST_STRUNG).max(LARGEST_STRUNG).required(),
    gap: number().min(0).max(LARGEST_STRUNG).required(),
  }).noUnknown(),
  inks: ({ colours }) => inkSlots('line', colours),
  says: ({ thing, width }, unit) => `${STRUNG[thing].name}, ${formatLength(width, unit, true)}`,
  scaled: (trail, scale) => ({
    ...trail,
    width: asWide(trail.width * scale, SMALLEST_STRUNG, LARGEST_STRUNG),
    gap: Math.min(LARGEST_STRUNG, trail.gap * scale),
  }),
  half: ({ thing, width }) => (STRUNG[thing].across * width) / 2,
  shape(trail, courses): Path {
    const { outline, alternates } = STRUNG[trail.thing];
    return placesOf(trail, courses).flatMap(({ x, y, way }, i) =>
      transformPath(laidAt(x, y, way, trail.width), outline(alternates === true && i % 2 === 1)),
    );
  },
  lay(trail, courses, { toward, strength, asset }): Mark[] {
    const { thing, colours, width } = trail;
    const { draw, high, thread, alternates } = STRUNG[thing];
    const all = placesOf(trail, courses).map(({ x, y, way }, i) => ({
      sort: `${i % colours.length} ${alternates && i % 2 ? 'odd' : ''}`,
      way,
      map: laidAt(x, y, way, width),
    }));
    const box: Box = { x: -1.7, y: -1.7, width: 3.4, height: 3.4 };
    const half = 0.05 * width;
    return [
      ...laidShadow(strung.shape(trail, courses, asset), high * 0.55 * width, toward, strength),
      ...(thread
        ? [
            {
              mark: 'fill' as const,
              path: pathOfRings(courses.flatMap(({ runs }) => runs.map((run) => strip(run, -half, half)))),
              colour: thing === 'lights' ? '#3d4a3f' : THREAD,
            },
          ]
        : []),
      ...litStamps(`strung ${thing} ${colours.join()}`, all, Math.atan2(toward.y, toward.x), (sort, from) => {
        const [colour, odd] = sort.split(' ');
        return { tip: draw(colours[Number(colour)]!, from, odd === 'odd'), box };
      }),
    ];
  },
  told(trail, courses) {
    const wish = pitchOf(trail);
    const found = courses.map((course) => spaced(course, wish, 'turned', trail.width / 2));
    return toldOf(
      found,
      wish,
      STRUNG[trail.thing].name.toLowerCase(),
      STRUNG[trail.thing].name.toLowerCase(),
    );
  },
};
