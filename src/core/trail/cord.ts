/** Twine, rope and yarn: plies twisted round each other, one lens after the other. */
import { array, boolean, number, object, string } from 'yup';
import { mixed } from '@/core/color/hex';
import { boxOfPoints } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import type { FillMark, Mark, Seen, Tip } from '@/core/picture/picture';
import { inkSlots } from '@/core/piece/answers';
import { hash } from '@/core/geometry/noise';
import { laidShadow, strip } from '@/core/trail/band';
import type { Course } from '@/core/trail/course';
import { crossesField, crossingsOf, type Crosses } from '@/core/trail/crossing';
import type { Run } from '@/core/geometry/runs';
import { asWide, colourField, seedField } from '@/core/trail/fields';
import type { Ground, TrailKind } from '@/core/trail/kind';
import { litStamps, type Lit } from '@/core/trail/lights';
import { chords } from '@/core/trail/places';
import { laidAt } from '@/core/trail/tip';
import { formatLength } from '@/core/units/lengths';

export interface CordTrail {
  kind: 'cord';
  /** One ply after the other takes the next: one for rope, two for baker's twine. */
  colours: string[];
  /** Points. */
  width: number;
  /** Loose fibres stand off it. */
  fuzzy?: true;
  /** How it lies where it crosses itself; later over earlier without. */
  crosses?: Crosses;
  seed: number;
}

export const THINNEST_CORD = 0.5;
export const THICKEST_CORD = 144;

export const NEW_CORD: CordTrail = { kind: 'cord', colours: ['#b3262e', '#f6efe2'], width: 5, seed: 1 };

/** From one ply to the next, in widths. */
const PITCH = 0.62;

const SHADE = '#2a1c14';

/** One ply seen from above: a lens aslant across the cord. */
function lens(width: number, pitch: number, grow: number): Point[] {
  const half = (width / 2) * grow;
  const [across, wide] = [0.78 * width, (pitch / 2) * 1.16 * grow];
  const points: Point[] = [];
  for (const side of [1, -1] as const)
    for (let i = 0; i <= 8; i++) {
      const v = side > 0 ? -1 + i / 4 : 1 - i / 4;
      const bulge = wide * Math.sqrt(Math.max(0, 1 - 0.55 * v * v)) * side;
      points.push({ x: (across / 2) * Math.sin((v * Math.PI) / 2.2) * 0.9 + bulge, y: v * half });
    }
  return points;
}

function plyMarks(colour: string, width: number, pitch: number, from: number): Tip {
  const fill = (ring: readonly Point[], ink: string): FillMark => ({
    mark: 'fill',
    path: pathOfRings([ring]),
    colour: ink,
  });
  const [lx, ly] = [Math.cos(from), Math.sin(from)];
  const moved = (ring: readonly Point[], by: number): Point[] =>
    ring.map(({ x, y }) => ({ x: x + by * lx * 0.6, y: y + by * ly }));
  return [
    fill(lens(width, pitch, 1), mixed(colour, SHADE, 0.42)),
    fill(moved(lens(width, pitch, 0.88), 0.03 * width), mixed(colour, SHADE, 0.12)),
    fill(moved(lens(width, pitch, 0.66), 0.09 * width), colour),
    fill(moved(lens(width, pitch, 0.3), 0.17 * width), mixed(colour, '#ffffff', 0.34)),
  ];
}

/** Fibres that stand off: fine slivers, the same ones for the same seed. */
function fibres({ width, seed }: CordTrail, course: Course): Point[][] {
  return course.runs.flatMap((run) =>
    chords(run, 1.3 * width).flatMap(({ x, y, way, i }) => {
      if (hash(i, seed) < 0.35) return [];
      const side = hash(i, seed + 1) < 0.5 ? -1 : 1;
      const lean = way + side * (0.35 + 0.5 * hash(i, seed + 2));
      const long = width * (0.55 + 0.6 * hash(i, seed + 3));
      const at = { x: x - side * 0.4 * width * -Math.sin(way), y: y - side * 0.4 * width * Math.cos(way) };
      const tip = { x: at.x + long * Math.cos(-lean + 2 * way), y: at.y - long * Math.sin(lean - 2 * way) };
      const fine = 0.035 * width;
      return [
        [
          { x: at.x - fine * Math.sin(way), y: at.y + fine * Math.cos(way) },
          tip,
          { x: at.x + fine * Math.sin(way), y: at.y - fine * Math.cos(way) },
        ],
      ];
    }),
  );
}

const bodyOf = ({ width }: CordTrail, courses: readonly Course[]): Path =>
  courses.flatMap(({ runs }) =>
    runs.flatMap((run) => pathOfRings([strip(run, -0.46 * width, 0.46 * width)])),
  );

export const cord: TrailKind<CordTrail> = {
  kind: 'cord',
  name: 'Twine',
  ties: true,
  schema: object({
    kind: string().oneOf(['cord']).required(),
    colours: array(colourField).min(1).max(4).required(),
    width: number().min(THINNEST_CORD).max(THICKEST_CORD).required(),
    fuzzy: boolean().oneOf([true]),
    crosses: crossesField,
    seed: seedField,
  }).noUnknown(),
  inks: ({ colours }) => inkSlots('line', colours),
  says: ({ width, colours }, unit) =>
    `${colours.length > 1 ? 'Twine' : 'Rope'}, ${formatLength(width, unit, true)}`,
  scaled: (trail, scale) => ({ ...trail, width: asWide(trail.width * scale, THINNEST_CORD, THICKEST_CORD) }),
  half: ({ width }) => width / 2,
  shape: (trail, courses) => bodyOf(trail, courses),
  lay(trail, courses, ground): Mark[] {
    const { colours, width } = trail;
    const body = bodyOf(trail, courses);
    return [
      ...laidShadow(body, HIGH * width, ground.toward, ground.strength),
      ...(trail.fuzzy
        ? [
            {
              mark: 'fill' as const,
              path: pathOfRings(courses.flatMap((course) => fibres(trail, course))),
              colour: mixed(colours[0]!, '#ffffff', 0.12),
            },
          ]
        : []),
      ...twisted(
        trail,
        body,
        courses.flatMap((course) => course.runs.flatMap((run) => pliesOf(trail, course, run))),
        ground,
      ),
      ...courses.flatMap((course) => crossed(trail, course, ground)),
    ];
  },
};

/** How high it stands, in widths. */
const HIGH = 0.26;

interface Ply extends Lit {
  /** Where it lies along its run, points. */
  at: number;
}

function pliesOf({ colours, width }: CordTrail, { closed }: Course, run: Run): Ply[] {
  const pitch = PITCH * width;
  // Going round, the colours come out even where it meets itself.
  const wish =
    closed && run.closed
      ? run.length / Math.max(1, Math.round(run.length / pitch / colours.length)) / colours.length
      : pitch;
  return chords(run, wish).map(({ x, y, way, length, i, of }) => ({
    sort: String(i % colours.length),
    way,
    at: ((i + 0.5) * run.length) / of,
    map: laidAt(x + (length / 2) * Math.cos(way), y + (length / 2) * Math.sin(way), way, 1),
  }));
}

/** The twist of a cord: what is between its plies, and they. */
function twisted(
  { colours, width }: CordTrail,
  body: Path,
  plies: readonly Ply[],
  { toward }: Ground,
): Mark[] {
  const pitch = PITCH * width;
  return [
    { mark: 'fill', path: body, colour: mixed(colours[0]!, SHADE, 0.5) },
    ...litStamps(`cord ${width} ${colours.join()}`, plies, Math.atan2(toward.y, toward.x), (sort, from) => ({
      tip: plyMarks(colours[Number(sort)]!, width, pitch, from),
      box: boxOfPoints(lens(width, pitch, 1.1)),
    })),
  ];
}

/** Where a cord crosses itself, what lies above is drawn once more, with its shadow on what lies below. */
function crossed(trail: CordTrail, course: Course, ground: Ground): Mark[] {
  const { width } = trail;
  const plies = course.runs.map((run) => pliesOf(trail, course, run));
  const stripAt = ({ run, from, to }: { run: number; from: number; to: number }, wide: number) =>
    pathOfRings([strip(course.runs[run]!, -wide * width, wide * width, from, to)]);
  return crossingsOf(course.runs, width, trail.crosses).flatMap(({ above, below }): Mark[] => {
    const upper = stripAt(above, 0.46);
    const near = plies[above.run]!.filter(({ at }) => at > above.from - width && at < above.to + width);
    const shadow = laidShadow(upper, HIGH * width, ground.toward, ground.strength);
    const part: Seen = { area: stripAt(above, 0.6) };
    return [
      ...shadow.map((mark) => ({ ...mark, within: [{ area: stripAt(below, 0.5) }] })),
      ...twisted(trail, upper, near, ground).map((mark) => ({ ...mark, within: [part] })),
    ];
  });
}
