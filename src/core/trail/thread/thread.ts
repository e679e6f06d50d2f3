/** Thread: stitches as sewn along a line, each side of it a whole number of them, lit by the page light. */
import { array, number, object, string } from 'yup';
import { mixed } from '@/core/color/hex';
import { boxOfPoints, outset, type Box } from '@/core/geometry/box';
import { apply, translation, type Matrix, type Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import { transformPath, type Path } from '@/core/geometry/path';
import { inkSlots } from '@/core/piece/answers';
import type { FillMark, Mark, Tip } from '@/core/picture/picture';
import { SHADOW_INK } from '@/core/piece/finish/light';
import type { Course } from '@/core/trail/course';
import { asWide, colourField, shareField } from '@/core/trail/fields';
import type { TrailKind } from '@/core/trail/kind';
import { wayOn } from '@/core/geometry/runs';
import { litStamps } from '@/core/trail/lights';
import { chords, type Chord } from '@/core/trail/places';
import { strandMarks, strandOutline } from '@/core/trail/thread/strand';
import { STITCH_NAMES, STITCHES, type Sewn, type StitchName, type Unit } from '@/core/trail/thread/stitches';
import { formatLength } from '@/core/units/lengths';

export interface ThreadTrail {
  kind: 'thread';
  stitch: StitchName;
  /** One, or two that are twisted together. */
  colours: string[];
  /** How thick the thread is, points. */
  width: number;
  /** One stitch, and the bare paper to the next, points: as near to these as comes out even. */
  length: number;
  gap: number;
  /** How far it reaches across the line, points, for stitches that do. */
  height: number;
  /** How tight it is drawn, 0 to 1: slack thread bows and stands higher. */
  tension: number;
}

export const THINNEST_THREAD = 0.25;
export const THICKEST_THREAD = 144;
export const SHORTEST_STITCH = 1;
export const LONGEST_STITCH = 144;

export const NEW_THREAD: ThreadTrail = {
  kind: 'thread',
  stitch: 'running',
  colours: ['#9e2b45'],
  width: 2,
  length: 9,
  gap: 4.5,
  height: 9,
  tension: 0.9,
};

const pitchOf = ({ stitch, length, gap, width }: ThreadTrail): number => {
  const { gaps, dense } = STITCHES[stitch];
  if (dense) return dense * width;
  return Math.max(SHORTEST_STITCH, length + (gaps || dense === 0 ? gap : 0));
};

/** A stitch where it lies: the map from its unit to the frame, and which of the units it is. */
interface Laid {
  map: Matrix;
  way: number;
  sort: UnitName;
}

type UnitName = 'each' | 'odd' | 'first';

function laidOn(trail: ThreadTrail, courses: readonly Course[]): Laid[] {
  const pitch = pitchOf(trail);
  const { alternates, begins, corner } = STITCHES[trail.stitch];
  const unitOf = (i: number): UnitName =>
    begins && i === 0 ? 'first' : alternates && i % 2 ? 'odd' : 'each';
  return courses.flatMap(({ runs }) =>
    runs.flatMap((run): Laid[] => {
      const [before, after] = [cornerRoom(trail, run.before), cornerRoom(trail, run.after)];
      const last = corner === 'last' && after ? run.length + after : run.length - after;
      const along = chords(run, pitch, before, last).map((chord: Chord): Laid => {
        const scale = chord.length / pitch;
        return { map: laidAlong(chord, scale), way: chord.way, sort: unitOf(chord.i) };
      });
      if (corner !== 'one' || !before) return along;
      const way = wayOn(run, 0);
      const [at] = run.points as [Point];
      const half = { x: at.x - (pitch / 2) * Math.cos(way), y: at.y - (pitch / 2) * Math.sin(way), way };
      return [{ map: laidAlong(half, 1), way, sort: 'each' }, ...along];
    }),
  );
}

/** Plain code, as it runs for every stitch. */
function laidAlong({ x, y, way }: Point & { way: number }, scale: number): Matrix {
  const [cos, sin] = [Math.cos(way), Math.sin(way)];
  return [cos * scale, sin * scale, -sin, cos, x, y];
}

/** How much of a side is left free at a corner of `inside` radians, so that broad stitches of two sides do not meet. */
function cornerRoom({ stitch, height }: ThreadTrail, inside: number | null): number {
  if (!STITCHES[stitch].corner || inside === null) return 0;
  const angle = inside < Math.PI ? inside : 2 * Math.PI - inside;
  return height / 2 / Math.tan(Math.max(0.35, angle / 2));
}

function sewnIn(trail: ThreadTrail, name: UnitName): Sewn {
  const { length, gap, height, width, tension } = trail;
  const pitch = pitchOf(trail);
  const unit: Unit = {
    pitch,
    length: (pitch * length) / (length + gap),
    height,
    width,
    bow: 0.16 * (1 - tension),
    odd: name === 'odd',
    first: name === 'first',
  };
  return STITCHES[trail.stitch].sew(unit);
}

/** Each unit, and the outlines of its strands. */
function sewnUnits(trail: ThreadTrail): Record<UnitName, Sewn & { rings: Point[][] }> {
  const made = (name: UnitName) => {
    const sewn = sewnIn(trail, name);
    return { ...sewn, rings: sewn.threads.map((points) => strandOutline(points, trail.width)) };
  };
  return { each: made('each'), odd: made('odd'), first: made('first') };
}

/** What the strands of all stitches cover. */
const coveredBy = (all: readonly Laid[], units: ReturnType<typeof sewnUnits>): Path =>
  pathOfRings(
    all.flatMap(({ map, sort }) => units[sort].rings.map((ring) => ring.map((point) => apply(map, point)))),
  );

const dot = ({ x, y }: Point, r: number): Point[] =>
  Array.from({ length: 10 }, (_, i) => ({
    x: x + r * Math.cos((2 * Math.PI * i) / 10),
    y: y + r * Math.sin((2 * Math.PI * i) / 10),
  }));

const boxOfTip = (rings: readonly (readonly Point[])[]): Box =>
  rings.length ? boxOfPoints(rings.flat()) : { x: 0, y: 0, width: 0, height: 0 };

export const thread: TrailKind<ThreadTrail> = {
  kind: 'thread',
  name: 'Thread',
  // Two millimetres within.
  beside: { side: 'inside', from: 5.67 },
  schema: object({
    kind: string().oneOf(['thread']).required(),
    stitch: string()
      .oneOf([...STITCH_NAMES])
      .required(),
    colours: array(colourField).min(1).max(2).required(),
    width: number().min(THINNEST_THREAD).max(THICKEST_THREAD).required(),
    length: number().min(SHORTEST_STITCH).max(LONGEST_STITCH).required(),
    gap: number().min(0).max(LONGEST_STITCH).required(),
    height: number().min(SHORTEST_STITCH).max(LONGEST_STITCH).required(),
    tension: shareField,
  }).noUnknown(),
  inks: ({ colours }) => inkSlots('line', colours),
  says: ({ stitch, width }, unit) => `${STITCHES[stitch].name}, ${formatLength(width, unit, true)} thread`,
  scaled: (trail, scale) => sized(trail, scale),
  half: ({ stitch, height, width }) => ((STITCHES[stitch].broad ? height : 0) + width) / 2,
  shape: (trail, courses): Path => coveredBy(laidOn(trail, courses), sewnUnits(trail)),
  lay(trail, courses, { toward, strength }): Mark[] {
    const all = laidOn(trail, courses);
    if (!all.length) return [];
    const units = sewnUnits(trail);
    const light = Math.atan2(toward.y, toward.x);
    return sewnMarks(trail, all, units, light, strength);
  },
  told(trail, courses) {
    const count = laidOn(trail, courses).length;
    return count
      ? `${count.toLocaleString('en')} stitches, whole on each side.`
      : 'There is no room for them: less from the edge.';
  },
};

/** All lengths of it so many times as large, within their limits. */
function sized(trail: ThreadTrail, scale: number): ThreadTrail {
  const long = (value: number, least: number) => Math.min(LONGEST_STITCH, Math.max(least, value * scale));
  return {
    ...trail,
    width: asWide(trail.width * scale, THINNEST_THREAD, THICKEST_THREAD),
    length: long(trail.length, SHORTEST_STITCH),
    gap: long(trail.gap, 0),
    height: long(trail.height, SHORTEST_STITCH),
  };
}

/** What of stitches is drawn: those that lie alike in the light are drawn once, and placed. */
function sewnMarks(
  trail: ThreadTrail,
  all: readonly Laid[],
  units: ReturnType<typeof sewnUnits>,
  light: number,
  strength: number,
): Mark[] {
  const { colours, width, stitch, gap } = trail;
  const dips = !STITCHES[stitch].close;
  const of = `${strength} ${JSON.stringify(trail)}`;
  const threads = (name: UnitName, from: number): Tip =>
    units[name].threads.flatMap((points) => strandMarks(points, { width, colours, light: from, dips }));
  const under = (name: UnitName, from: number): Tip => beneath(trail, units[name], from, strength);
  const box = (name: UnitName): Box => outset(boxOfTip(units[name].rings), 1.5 * width);
  const marks = (what: string, tip: (name: UnitName, from: number) => Tip) =>
    litStamps(`${what} ${of}`, all, light, (sort, from) => {
      const name = sort as UnitName;
      return { tip: tip(name, from), box: box(name) };
    }).filter(({ tips }) => tips.some(({ length }) => length > 0));
  // Where no shadow reaches the next stitch each is drawn at once with what lies beneath it.
  if (STITCHES[stitch].gaps && gap > width)
    return marks('thread', (name, from) => [...under(name, from), ...threads(name, from)]);
  return [...marks('beneath thread', under), ...marks('thread alone', threads)];
}

/**
 * Beneath the threads: the holes in the paper, and what the strands throw beside them, farther the slacker they lie: the
 * strand moved away from the light, three times, each narrower. It is as soft as that small a shadow looks, and stays a few
 * outlines in print.
 */
function beneath(
  { width, tension, stitch, colours }: ThreadTrail,
  { threads, holes }: Sewn,
  from: number,
  strength: number,
): Tip {
  const fall = 0.34 * width * (1 + 1.6 * (1 - tension));
  const away = translation(-fall * Math.cos(from), -fall * Math.sin(from));
  const thrown = strength > 0 ? [1.7, 1.4, 1.1, 0.8] : [];
  const pierced = STITCHES[stitch].close ? [] : holes;
  return [
    ...thrown.map((wide): FillMark => ({
      mark: 'fill',
      path: transformPath(away, pathOfRings(threads.map((points) => strandOutline(points, wide * width)))),
      colour: SHADOW_INK,
      opacity: Math.min(1, 0.36 * strength),
    })),
    ...pierced.map((hole): FillMark => ({
      mark: 'fill',
      path: pathOfRings([dot(hole, 0.4 * width)]),
      colour: mixed(colours[0]!, SHADOW_INK, 0.8),
    })),
  ];
}
