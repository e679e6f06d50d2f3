/** How a cut edge is worked: scallops, perforation, a torn edge. Always a whole number along each side. */
import { array, number, object, string } from 'yup';
import type { Point } from '@/core/geometry/matrix';
import { noise } from '@/core/geometry/noise';
import { common, pathOfRings, polygons, signedArea } from '@/core/geometry/offset';
import { pathBounds, type Path } from '@/core/geometry/path';
import type { FinishKind } from '@/core/piece/finish/kind';
import { EDGE_SIDES, onRun, openRun, runsOf, type EdgeSide, type Run } from '@/core/geometry/runs';
import { PROFILES, type EdgeKind, type Profile } from '@/core/piece/finish/profiles';

export interface Edge {
  kind: EdgeKind;
  /** Points from one scallop, tooth or hole to the next; for a torn edge, how coarse it is. */
  size: number;
  /** Which sides, by where they face before the piece is turned. */
  sides: EdgeSide[];
  /** A torn edge is another one for every number. */
  seed: number;
  /** Points of bare paper that show along a torn edge; 0 for none. */
  core: number;
}

export const SMALLEST_EDGE = 2;
export const LARGEST_EDGE = 432;
export const WIDEST_CORE = 72;

const edgeSchema = object({
  kind: string().oneOf(Object.keys(PROFILES)).required(),
  size: number().min(SMALLEST_EDGE).max(LARGEST_EDGE).required(),
  sides: array(
    string()
      .oneOf([...EDGE_SIDES])
      .required(),
  )
    .min(1)
    .max(4)
    .required(),
  seed: number().integer().min(0).max(1e9).required(),
  core: number().min(0).max(WIDEST_CORE).required(),
}).noUnknown();

/** Points of its white inside that a tear begins with. */
export const FIRST_CORE = 3;

export const NEW_EDGE: Edge = { kind: 'scallop', size: 24, sides: [...EDGE_SIDES], seed: 1, core: 0 };

export interface Edged {
  path: Path;
  /** Where the material still has its face; between it and the path bare paper shows. */
  face?: Path;
}

/** How deep a tear goes, in sizes. */
const TORN_DEPTH = 0.42;
/** As asked for, or as large as leaves the middle of the piece whole. */
function fitting(edge: Edge, path: Path): Edge {
  const profile = PROFILES[edge.kind];
  const { width, height } = pathBounds(path);
  const deepest = Math.min(width, height) * 0.4;
  const depth = profile.kind === 'torn' ? TORN_DEPTH : profile.depth;
  return {
    ...edge,
    size: Math.min(edge.size, deepest / depth),
    core: Math.min(edge.core, deepest / 2),
  };
}

/** The worked outline. Holes keep their edge. */
export function edged(asked: Edge, path: Path): Edged {
  const edge = fitting(asked, path);
  const profile = PROFILES[edge.kind];
  const rings = polygons(path);
  const worked: Point[][] = [];
  const faces: Point[][] = [];
  for (const ring of rings) {
    if (signedArea(ring) <= 0) {
      worked.push(ring);
      faces.push(ring);
      continue;
    }
    const runs = runsOf(ring, edge.sides);
    const total = runs.reduce((sum, { length }) => sum + length, 0);
    let start = 0;
    const outer: Point[] = [];
    const inner: Point[] = [];
    runs.forEach((run, i) => {
      const chosen = edge.sides.includes(run.side);
      const [last, next] = [runs[(i + runs.length - 1) % runs.length]!, runs[(i + 1) % runs.length]!];
      if (!chosen) {
        outer.push(...run.points);
        inner.push(...run.points);
      } else if (profile.kind === 'torn') {
        const [out, face] = torn(run, edge, start, total);
        outer.push(...out);
        inner.push(...face);
      } else {
        const depth = profile.depth * edge.size;
        const trim = (angle: number | null, neighbour: Run) =>
          profile.foot === 'valley' && angle !== null && edge.sides.includes(neighbour.side)
            ? Math.max(0, Math.min(depth / Math.tan(angle / 2), run.length * 0.45))
            : 0;
        outer.push(...repeated(run, profile, edge.size, trim(run.before, last), trim(run.after, next)));
        for (const hole of profile.holes ?? [])
          worked.push(...holesAlong(run, hole, edge.size, trim(run.before, last), trim(run.after, next)));
      }
      start += run.length;
    });
    worked.push(outer);
    faces.push(inner);
  }
  // Where the paper bends more sharply than the edge is deep, the sides' lines cross: what is not paper is cut off again.
  const within = (rings: Point[][]) => pathOfRings(common(pathOfRings(rings), path));
  return {
    path: within(worked),
    ...(profile.kind === 'torn' && edge.core > 0 ? { face: within(faces) } : {}),
  };
}

/** A line worked like an edge, to the right of its way: what scissors with a fancy blade cut. */
export function workedLine(line: readonly Point[], kind: EdgeKind, size: number, seed: number): Point[] {
  const run = openRun(line);
  const profile = PROFILES[kind];
  return profile.kind === 'torn'
    ? torn(run, { ...NEW_EDGE, size, seed }, 0, run.length)[0]
    : repeated(run, profile, size, 0, 0);
}

/** How many of them go round, for the words beside the field. */
export function countAlong(asked: Edge, path: Path): number {
  const edge = fitting(asked, path);
  const profile = PROFILES[edge.kind];
  if (profile.kind === 'torn') return 0;
  return polygons(path)
    .filter((ring) => signedArea(ring) > 0)
    .flatMap((ring) => runsOf(ring, edge.sides))
    .filter(({ side }) => edge.sides.includes(side))
    .reduce((sum, { length }) => sum + Math.max(1, Math.round(length / edge.size)), 0);
}

function repeated(
  run: Run,
  profile: Extract<Profile, { kind: 'repeated' }>,
  size: number,
  from: number,
  to: number,
): Point[] {
  const length = run.length - from - to;
  const many = Math.max(1, Math.round(length / size));
  const pitch = length / many;
  return Array.from({ length: many }, (_, i) =>
    profile.unit.map(({ x, y }) => onRun(run, from + (i + x) * pitch, y * size)),
  ).flat();
}

/** A round hole in each unit, turned so that it cuts. */
function holesAlong(
  run: Run,
  hole: { x: number; y: number; radius: number },
  size: number,
  from: number,
  to: number,
): Point[][] {
  const length = run.length - from - to;
  const many = Math.max(1, Math.round(length / size));
  const pitch = length / many;
  const sides = 20;
  return Array.from({ length: many }, (_, i) => {
    const middle = onRun(run, from + (i + hole.x) * pitch, hole.y * size);
    return Array.from({ length: sides }, (__, k) => ({
      x: middle.x + hole.radius * size * Math.cos((-2 * Math.PI * k) / sides),
      y: middle.y + hole.radius * size * Math.sin((-2 * Math.PI * k) / sides),
    }));
  });
}

/** A torn side, and where its face ends: coarse and fine noise, the same again once round. */
function torn(run: Run, { size, seed, core }: Edge, start: number, total: number): [Point[], Point[]] {
  const coarse = Math.max(2, Math.round(total / size));
  const steps = Math.max(2, Math.ceil(run.length / Math.max(0.6, size / 14)));
  const outer: Point[] = [];
  const inner: Point[] = [];
  for (let i = 0; i <= steps; i++) {
    const s = (run.length * i) / steps;
    const x = ((start + s) / total) * coarse;
    const rough =
      0.5 * noise(x, coarse, seed) +
      0.3 * noise(x * 3, coarse * 3, seed + 1) +
      0.2 * noise(x * 11, coarse * 11, seed + 2);
    const v = -TORN_DEPTH * size * rough;
    const bare =
      core * (0.3 + 0.9 * noise(x * 2, coarse * 2, seed + 3) + 0.25 * noise(x * 9, coarse * 9, seed + 4));
    outer.push(onRun(run, s, v));
    inner.push(onRun(run, s, v - bare));
  }
  return [outer, inner];
}

export const edge: FinishKind<Edge> = {
  schema: edgeSchema.default(undefined).optional(),
  work: edged,
  scaled: (value, scale) => ({
    ...value,
    size: Math.min(LARGEST_EDGE, Math.max(SMALLEST_EDGE, value.size * scale)),
    core: Math.min(WIDEST_CORE, value.core * scale),
  }),
};
