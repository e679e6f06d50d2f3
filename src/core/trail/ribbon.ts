/** Ribbon and tape: a band along a line, folded over where the line turns sharply, its ends cut. */
import { number, object, string } from 'yup';
import { HEX_COLOUR, mixed } from '@/core/color/hex';
import { centredBox } from '@/core/geometry/box';
import { compose, scaling, translation, type Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import { rectanglePath, type Path } from '@/core/geometry/path';
import { onRun, openRun, wayOn, type Run } from '@/core/geometry/runs';
import { inkSlot } from '@/core/piece/answers';
import { uprightSize } from '@/core/picture/asset';
import type { FillMark, Mark, Seen, Tip } from '@/core/picture/picture';
import { bandOf, ENDS, laidShadow, strip, type End } from '@/core/trail/band';
import type { Course } from '@/core/trail/course';
import { asWide, colourField, picturedField, seedField, type Pictured } from '@/core/trail/fields';
import type { Ground, TrailKind } from '@/core/trail/kind';
import { chords } from '@/core/trail/places';
import { laidAt, stampsMark } from '@/core/trail/tip';
import { formatLength } from '@/core/units/lengths';

export const WEAVES = ['satin', 'woven', 'grosgrain', 'tape'] as const;
export type Weave = (typeof WEAVES)[number];

export interface RibbonTrail {
  kind: 'ribbon';
  weave: Weave;
  colour: string;
  /** Its woven edges, where they are of another colour. */
  edge?: string;
  /** A paper that runs along it, at its true size. */
  pattern?: Pictured;
  /** Points. */
  width: number;
  ends: End;
  seed: number;
}

export const NARROWEST_RIBBON = 1;
export const WIDEST_RIBBON = 432;

export const NEW_RIBBON: RibbonTrail = {
  kind: 'ribbon',
  weave: 'satin',
  colour: '#9e2b45',
  width: 22,
  ends: 'swallow',
  seed: 1,
};

const SHADE = '#1c1410';
/** A turn sharper than this within a width of the ribbon is a fold, radians. */
const SHARP = (62 * Math.PI) / 180;

/** A stretch of ribbon between two folds; its back is seen after every other fold. */
interface Stretch {
  run: Run;
  /** The area it covers. */
  path: Path;
  /** Along the folds at its ends: from one edge of the ribbon to the other. */
  folds: [Point, Point][];
  back: boolean;
}

/** Where a line turns sharply: which of its points. */
function sharpTurns(run: Run, width: number): number[] {
  const { points, at } = run;
  const found: { i: number; turn: number }[] = [];
  const reach = Math.max(0.5, width * 0.5);
  let [before, after] = [0, 0];
  for (let i = 1; i + 1 < points.length; i++) {
    while (at[i]! - at[before + 1]! >= reach) before++;
    if (after < i + 1) after = i + 1;
    while (after + 1 < points.length && at[after]! - at[i]! < reach) after++;
    const [a, b, c] = [points[before]!, points[i]!, points[after]!];
    const [ax, ay, bx, by] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
    const turn = Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
    if (turn < SHARP) continue;
    const last = found[found.length - 1];
    if (last && at[i]! - at[last.i]! < 1.2 * width) {
      if (turn > last.turn) found[found.length - 1] = { i, turn };
    } else found.push({ i, turn });
  }
  return found.map(({ i }) => i);
}

const wayBetween = (a: Point, b: Point): Point => {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
};

/** The half of a polygon on one side of a line through `p`, that to which `n` points (Sutherland and Hodgman 1974). */
function halved(ring: readonly Point[], p: Point, n: Point): Point[] {
  const side = (q: Point) => (q.x - p.x) * n.x + (q.y - p.y) * n.y;
  const out: Point[] = [];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const [sa, sb] = [side(a), side(b)];
    if (sa >= 0) out.push(a);
    if (sa >= 0 !== sb >= 0) {
      const t = sa / (sa - sb);
      out.push({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
    }
  });
  return out;
}

/** A ribbon as stretches from fold to fold, in the order they lie on each other. */
function stretchesOf({ width, ends, seed }: RibbonTrail, course: Course): Stretch[] {
  if (course.closed)
    return course.runs.map((run) => ({
      run,
      path: bandOf(run, width, 'straight', seed),
      folds: [],
      back: false,
    }));
  const [run] = course.runs as [Run];
  const turns = sharpTurns(run, width);
  if (!turns.length) return [{ run, path: bandOf(run, width, ends, seed), folds: [], back: false }];
  const cuts = [0, ...turns, run.points.length - 1];
  return cuts.slice(0, -1).map((from, k) => {
    const to = cuts[k + 1]!;
    const part = run.points.slice(from, to + 1);
    const [begins, stops] = [k === 0, k === cuts.length - 2];
    const length = run.at[to]! - run.at[from]!;
    // Straight on beyond a fold, for the fold to cut.
    const first = wayBetween(part[Math.min(part.length - 1, near(run, from, width) - from)]!, part[0]!);
    const last = wayBetween(part[Math.max(0, near(run, to, -width) - from)]!, part[part.length - 1]!);
    const long = [
      ...(begins ? [] : [{ x: part[0]!.x + width * first.x, y: part[0]!.y + width * first.y }]),
      ...part,
      ...(stops
        ? []
        : [{ x: part[part.length - 1]!.x + width * last.x, y: part[part.length - 1]!.y + width * last.y }]),
    ];
    const stretch = openRun(long);
    const folds: [Point, Point][] = [];
    let rings = ringsOf(bandOf(stretch, width, begins && stops ? ends : 'straight', seed));
    if (begins !== stops) rings = ringsOf(oneEnd(stretch, width, ends, seed, begins));
    for (const at of [...(begins ? [] : [from]), ...(stops ? [] : [to])]) {
      const { p, n, u } = foldAt(run, at, width);
      rings = rings.map((ring) => (length > 3 * width ? cutNear(ring, p, n, width) : halved(ring, p, n)));
      const reach = width * 0.72;
      folds.push([
        { x: p.x - u.x * reach, y: p.y - u.y * reach },
        { x: p.x + u.x * reach, y: p.y + u.y * reach },
      ]);
    }
    return { run: stretch, path: pathOfRings(rings), folds, back: k % 2 === 1 };
  });
}

/** The point of a run about a distance after (or before) another. */
function near(run: Run, i: number, by: number): number {
  const wanted = run.at[i]! + by;
  let j = i;
  while (j > 0 && j < run.points.length - 1 && (by > 0 ? run.at[j]! < wanted : run.at[j]! > wanted))
    j += Math.sign(by);
  if (j === i) j = Math.min(run.points.length - 1, Math.max(0, i + Math.sign(by)));
  return j;
}

/** The line a ribbon is folded along where it turns: its way is mirrored in that line. */
function foldAt(run: Run, i: number, width: number) {
  const p = run.points[i]!;
  const before = wayBetween(run.points[near(run, i, -width)]!, p);
  const after = wayBetween(p, run.points[near(run, i, width)]!);
  let u = { x: before.x + after.x, y: before.y + after.y };
  const long = Math.hypot(u.x, u.y);
  u = long < 0.05 ? { x: -before.y, y: before.x } : { x: u.x / long, y: u.y / long };
  let n = { x: -u.y, y: u.x };
  if (n.x * before.x + n.y * before.y > 0) n = { x: -n.x, y: -n.y };
  return { p, n, u };
}

/** Cuts away beyond a fold, but nothing of the ring that lies far from it. */
function cutNear(ring: readonly Point[], p: Point, n: Point, width: number): Point[] {
  const side = (q: Point) => (q.x - p.x) * n.x + (q.y - p.y) * n.y;
  const far = (q: Point) => Math.hypot(q.x - p.x, q.y - p.y) > 2.2 * width;
  const kept: Point[] = [];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const [sa, sb] = [far(a) ? 1 : side(a), far(b) ? 1 : side(b)];
    if (sa >= 0) kept.push(a);
    if (sa >= 0 !== sb >= 0 && !far(a) && !far(b)) {
      const t = sa / (sa - sb);
      kept.push({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
    }
  });
  return kept;
}

/** A band with only one of its ends cut: its first, or its last. */
function oneEnd(run: Run, width: number, end: End, seed: number, first: boolean): Path {
  const both = bandOf(run, width, end, seed);
  const plain = bandOf(run, width, 'straight', seed);
  if (end === 'straight') return plain;
  // The band with its cut end, joined with the half that has none.
  const half = width / 2;
  const other = first
    ? strip(run, -half, half, run.length / 2, run.length)
    : strip(run, -half, half, 0, run.length / 2);
  return [...both, ...pathOfRings([other])];
}

const ringsOf = (path: Path): Point[][] => {
  const rings: Point[][] = [];
  for (const segment of path) {
    if (segment[0] === 'M') rings.push([]);
    if (segment[0] === 'M' || segment[0] === 'L')
      rings[rings.length - 1]!.push({ x: segment[1], y: segment[2] });
  }
  return rings;
};

const fill = (rings: readonly (readonly Point[])[], colour: string, opacity?: number): FillMark[] =>
  rings.length
    ? [{ mark: 'fill', path: pathOfRings(rings), colour, ...(opacity === undefined ? {} : { opacity }) }]
    : [];

/** Pieces right across a stretch of ribbon, one beside the other, each of them `share` of the way to the next. */
function across(run: Run, width: number, pitch: number, share: number): Point[][] {
  const many = Math.max(1, Math.min(4000, Math.round(run.length / pitch)));
  const step = run.length / many;
  const half = width / 2;
  return Array.from({ length: many }, (_, i) => {
    const [from, to] = [i * step, (i + share) * step];
    return [onRun(run, from, half), onRun(run, to, half), onRun(run, to, -half), onRun(run, from, -half)];
  });
}

/** Light that plays on satin: by the way it lies to the light, a few strengths of it. */
function sheen(run: Run, width: number, light: number): FillMark[] {
  const levels = new Map<number, Point[][]>();
  const pieces = across(run, width, Math.max(2, width * 0.2), 1);
  pieces.forEach((quad, i) => {
    const way = wayOn(run, ((i + 0.5) * run.length) / pieces.length);
    const level = Math.round(6 * Math.abs(Math.sin(way - light)) ** 1.5);
    if (level) levels.set(level, [...(levels.get(level) ?? []), quad]);
  });
  return [...levels].flatMap(([level, quads]) => fill(quads, '#ffffff', 0.035 * level));
}

/** The weave of a stretch, drawn within its edges. */
function woven(trail: RibbonTrail, { run, back, folds }: Stretch, light: number): FillMark[] {
  const { weave, colour, edge, width } = trail;
  const half = width / 2;
  const lane = (low: number, high: number) => strip(run, low * half, high * half);
  const rib = Math.max(0.7, width * 0.055);
  const marks: FillMark[] = [];
  if (weave === 'satin' && !back) {
    marks.push(...sheen(run, width, light));
    marks.push(...fill([lane(0.1, 0.46)], '#ffffff', 0.14), ...fill([lane(0.2, 0.34)], '#ffffff', 0.16));
  }
  if (weave === 'satin') marks.push(...fill([lane(-1, -0.72), lane(0.8, 1)], SHADE, 0.1));
  if (weave === 'woven')
    marks.push(
      ...fill(
        [-0.6, -0.3, 0, 0.3, 0.6].map((v) => lane(v - 0.04, v + 0.04)),
        SHADE,
        0.07,
      ),
      ...fill(across(run, width, rib, 0.42), SHADE, 0.05),
    );
  if (weave === 'grosgrain')
    marks.push(
      ...fill(across(run, width, rib, 0.4), SHADE, 0.17),
      ...fill(across(run, width, rib, 0.16), '#ffffff', 0.12),
    );
  if (edge) marks.push(...fill([lane(-1, -0.8), lane(0.8, 1)], edge));
  if (weave !== 'tape')
    marks.push(...fill([lane(-1, -0.94), lane(0.94, 1)], mixed(edge ?? colour, SHADE, 0.35), 0.55));
  // A fold is rounded: it catches the light along its edge and darkens beside it.
  for (const [a, b] of folds) marks.push(...foldMarks(a, b, width));
  return marks;
}

function foldMarks(a: Point, b: Point, width: number): FillMark[] {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const n = { x: (-(b.y - a.y) / long) * width, y: ((b.x - a.x) / long) * width };
  const beside = (by: number): Point[] => [
    { x: a.x - by * n.x, y: a.y - by * n.y },
    { x: b.x - by * n.x, y: b.y - by * n.y },
    { x: b.x + by * n.x, y: b.y + by * n.y },
    { x: a.x + by * n.x, y: a.y + by * n.y },
  ];
  return [
    ...fill([beside(0.2)], SHADE, 0.08),
    ...fill([beside(0.1)], SHADE, 0.1),
    ...fill([beside(0.04)], '#ffffff', 0.22),
  ];
}

/** Slices of a paper along a ribbon, there and back again so that they always meet. */
function patterned({ pattern, width }: RibbonTrail, run: Run, asset: Ground['asset']): Mark[] {
  const file = pattern && asset(pattern.asset);
  if (!file) return [];
  const pixels = uprightSize(file);
  const scale = Math.max(72 / file.ppi, width / pixels.height);
  const wide = pixels.width * scale;
  const many = Math.max(1, Math.min(32, Math.round(wide / Math.max(5, width * 0.35))));
  const slice = wide / many;
  const room = { width: slice * 1.16, height: width * 1.03 };
  const tips = Array.from({ length: many }, (_, i): Tip => {
    const clip = rectanglePath(centredBox(room));
    const matrix = compose(translation(-(i + 0.5) * slice, (-pixels.height * scale) / 2), scaling(scale));
    return [{ mark: 'image', asset: file.sha, matrix, clip }];
  });
  const places = chords(run, slice).map(({ x, y, way, length, i }) => {
    const at = i % (2 * many);
    const back = at >= many;
    const [mx, my] = [x + (length / 2) * Math.cos(way), y + (length / 2) * Math.sin(way)];
    const map = laidAt(mx, my, way, 1);
    return { tip: back ? 2 * many - 1 - at : at, map: back ? compose(map, scaling(-1, 1)) : map };
  });
  return stampsMark(
    tips,
    tips.map(() => centredBox(room)),
    places,
  );
}

/** How high a ribbon lies, as a share of its width, points at most. */
const high = (width: number) => Math.min(2, 0.05 * width);
/** How much tape covers. */
const TAPE = 0.86;

export const ribbon: TrailKind<RibbonTrail> = {
  kind: 'ribbon',
  name: 'Ribbon',
  ties: true,
  schema: object({
    kind: string().oneOf(['ribbon']).required(),
    weave: string()
      .oneOf([...WEAVES])
      .required(),
    colour: colourField,
    edge: string().matches(HEX_COLOUR),
    pattern: picturedField.default(undefined).optional(),
    width: number().min(NARROWEST_RIBBON).max(WIDEST_RIBBON).required(),
    ends: string()
      .oneOf([...ENDS])
      .required(),
    seed: seedField,
  }).noUnknown(),
  inks: (trail) => [...inkSlot('line', trail, 'colour'), ...edgeSlot(trail)],
  says: ({ weave, width }, unit) =>
    `${weave === 'tape' ? 'Tape' : `Ribbon, ${weave}`}, ${formatLength(width, unit, true)}`,
  scaled: (trail, scale) => ({
    ...trail,
    width: asWide(trail.width * scale, NARROWEST_RIBBON, WIDEST_RIBBON),
  }),
  half: ({ width }) => width / 2,
  shape: (trail, courses) =>
    courses.flatMap((course) => stretchesOf(trail, course).flatMap(({ path }) => path)),
  lay(trail, courses, { toward, strength, asset }): Mark[] {
    const { colour, weave, width } = trail;
    const light = Math.atan2(toward.y, toward.x);
    return courses.flatMap((course) =>
      stretchesOf(trail, course).flatMap((stretch): Mark[] => {
        const { path, back, run } = stretch;
        if (!path.length) return [];
        const seen: Seen = { area: path };
        const ground = back ? mixed(colour, SHADE, 0.14) : colour;
        const opacity = weave === 'tape' ? { opacity: TAPE } : {};
        return [
          ...(weave === 'tape' ? [] : laidShadow(path, high(width), toward, strength)),
          { mark: 'fill', path, colour: ground, ...opacity },
          ...[...patterned(trail, run, asset), ...woven(trail, stretch, light)].map((mark): Mark => ({
            ...mark,
            within: [seen],
          })),
        ];
      }),
    );
  },
};

const edgeSlot = (trail: RibbonTrail) =>
  trail.edge === undefined
    ? []
    : [{ part: 'line' as const, colour: trail.edge, set: (next: string) => void (trail.edge = next) }];
