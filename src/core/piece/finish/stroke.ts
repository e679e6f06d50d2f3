/** A line along the cut edge: drawn through, in dashes, or sewn. */
import { number, object, string } from 'yup';
import { HEX_COLOUR, mixed } from '@/core/color/hex';
import { grown, pathOfRings, polygons } from '@/core/geometry/offset';
import type { Point } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import type { Mark, StrokeSide } from '@/core/picture/picture';
import { EDGE_SIDES, onRun, runsOf, type Run } from '@/core/piece/finish/runs';
import { inkSlot } from '@/core/piece/answers';
import type { FinishKind } from '@/core/piece/finish/kind';
import { SHADOW_INK } from '@/core/piece/finish/light';
import { formatLength } from '@/core/units/lengths';
import type { Toward } from '@/core/treatment/treatment';

export interface Stroke {
  colour: string;
  /** Points, above 0. */
  width: number;
  side: StrokeSide;
  /** What it is broken into; drawn through without. */
  broken?: Broken;
}

/** Dashes or stitches: each side of the outline takes a whole number of them. */
export interface Broken {
  into: 'dashes' | 'stitches';
  /** Points, of one, and to the next: as near to these as comes out even. */
  length: number;
  gap: number;
  /** How far from the edge the line runs, points. */
  from: number;
}

export const STROKE_SIDES: readonly StrokeSide[] = ['inside', 'on', 'outside'];
export const WIDEST_STROKE = 144;
/** The longest stitch or gap, and how far from the edge, points. */
export const LONGEST_STITCH = 144;
export const SHORTEST_STITCH = 1;

export const NEW_DASHES: Broken = { into: 'dashes', length: 9, gap: 6, from: 0 };
export const NEW_STITCHES: Broken = { into: 'stitches', length: 9, gap: 4.5, from: 6 };

const strokeSchema = object({
  colour: string().matches(HEX_COLOUR).required(),
  width: number().moreThan(0).max(WIDEST_STROKE).required(),
  side: string()
    .oneOf([...STROKE_SIDES])
    .required(),
  broken: object({
    into: string().oneOf(['dashes', 'stitches']).required(),
    length: number().min(SHORTEST_STITCH).max(LONGEST_STITCH).required(),
    gap: number().min(0).max(LONGEST_STITCH).required(),
    from: number().min(0).max(LONGEST_STITCH).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
}).noUnknown();

/** How far a stroke makes the piece larger, points: what is dashed or sewn does not. */
export const strokeReach = (stroke: Stroke | null): number =>
  !stroke || stroke.broken || stroke.side === 'inside'
    ? 0
    : stroke.side === 'on'
      ? stroke.width / 2
      : stroke.width;

/** The stroke for a piece that became larger or smaller with all that is on it. */
const scaledStroke = (stroke: Stroke, scale: number): Stroke => ({
  ...stroke,
  width: Math.min(WIDEST_STROKE, stroke.width * scale),
  ...(stroke.broken && {
    broken: {
      ...stroke.broken,
      length: Math.min(LONGEST_STITCH, Math.max(SHORTEST_STITCH, stroke.broken.length * scale)),
      gap: Math.min(LONGEST_STITCH, stroke.broken.gap * scale),
      from: Math.min(LONGEST_STITCH, stroke.broken.from * scale),
    },
  }),
});

/** `toward` is where the light comes from, in the piece’s own frame; `strength` how much a shadow takes away. */
export function strokeMarks(stroke: Stroke, path: Path, toward: Toward, strength: number): Mark[] {
  const { broken, ...line } = stroke;
  if (!broken) return [{ mark: 'stroke', path, ...line }];
  return broken.into === 'dashes'
    ? dashes(stroke, broken, path)
    : stitches(stroke, broken, path, toward, strength);
}

/** One dash or stitch: where on its run it begins and ends. */
interface Piecewise {
  run: Run;
  from: number;
  to: number;
}

/** How many there are, for the words beside the fields. */
export const countBroken = (stroke: Stroke, path: Path): number =>
  stroke.broken ? along(stroke, stroke.broken, path).length : 0;

/** The line they lie on, cut up: a whole number on each side, half a gap at its ends. */
function along({ width, side }: Stroke, { length, gap, from }: Broken, path: Path): Piecewise[] {
  const away = side === 'on' ? 0 : (from + width / 2) * (side === 'inside' ? -1 : 1);
  return polygons(grown(path, away, 'mitred')).flatMap((ring) =>
    runsOf(ring, EDGE_SIDES).flatMap((run) => {
      const many = Math.max(1, Math.round(run.length / (length + gap)));
      const pitch = run.length / many;
      const one = (pitch * length) / (length + gap);
      return Array.from({ length: many }, (_, i) => {
        const middle = (i + 0.5) * pitch;
        return { run, from: middle - one / 2, to: middle + one / 2 };
      });
    }),
  );
}

/** How finely a bent one is drawn, points. */
const STEP = 1.5;

/** A band along a run from `from` to `to`, between `low` and `high` beside it. */
function band({ run, from, to }: Piecewise, low: number, high: number): Point[] {
  const steps = Math.max(1, Math.ceil((to - from) / STEP));
  const at = (i: number, v: number) => onRun(run, from + ((to - from) * i) / steps, v);
  return [
    ...Array.from({ length: steps + 1 }, (_, i) => at(i, high)),
    ...Array.from({ length: steps + 1 }, (_, i) => at(steps - i, low)),
  ];
}

function dashes(stroke: Stroke, broken: Broken, path: Path): Mark[] {
  const half = stroke.width / 2;
  const rings = along(stroke, broken, path).map((one) => band(one, -half, half));
  return rings.length ? [{ mark: 'fill', path: pathOfRings(rings), colour: stroke.colour }] : [];
}

/** The band with round ends. */
function thread(one: Piecewise, half: number, centre = 0): Point[] {
  const end = (s: number, way: 1 | -1): Point[] =>
    Array.from({ length: 5 }, (_, i) => {
      const angle = (Math.PI * (i + 1)) / 6;
      return onRun(one.run, s + way * half * Math.sin(angle), centre + way * half * Math.cos(angle));
    });
  const inner = { ...one, from: one.from + half, to: Math.max(one.from + half, one.to - half) };
  const sides = band(inner, centre - half, centre + half);
  const middle = sides.length / 2;
  return [...sides.slice(0, middle), ...end(inner.to, 1), ...sides.slice(middle), ...end(inner.from, -1)];
}

/**
 * Sewn thread: a round strand of two plies that dips into the paper at either end, lit by the page light, with a small
 * shadow of its own.
 */
function stitches(stroke: Stroke, broken: Broken, path: Path, toward: Toward, strength: number): Mark[] {
  const all = along(stroke, broken, path);
  if (!all.length) return [];
  const { width, colour } = stroke;
  const half = width / 2;
  const rings = (of: (one: Piecewise) => Point[]): Path => pathOfRings(all.map(of));
  /** Which side of the strand the light falls on: 1 is outward. */
  const lit = ({ run, from, to }: Piecewise): 1 | -1 => {
    const [a, b] = [onRun(run, (from + to) / 2, 0), onRun(run, (from + to) / 2, 1)];
    return (b.x - a.x) * toward.x + (b.y - a.y) * toward.y >= 0 ? 1 : -1;
  };
  const strand = rings((one) => thread(one, half));
  const flat = Math.hypot(toward.x, toward.y) || 1;
  const fall = 0.32 * width;
  const holes = pathOfRings(
    all.flatMap((one) =>
      [one.from + 0.1 * width, one.to - 0.1 * width].map((s) => dot(one.run, s, 0.42 * width)),
    ),
  );
  const twist = pathOfRings(all.flatMap((one) => plies(one, half, lit(one))));
  return [
    {
      mark: 'shadow',
      path: strand,
      grow: 0,
      offset: { x: (-toward.x / flat) * fall, y: (-toward.y / flat) * fall },
      blur: Math.max(0.15, 0.22 * width),
      colour: SHADOW_INK,
      opacity: Math.min(1, strength * 1.1),
    },
    { mark: 'fill', path: holes, colour: mixed(colour, SHADOW_INK, 0.78) },
    { mark: 'fill', path: strand, colour },
    {
      mark: 'fill',
      path: rings((one) => thread(narrower(one, 0.12 * width), 0.2 * width, -0.26 * width * lit(one))),
      colour: mixed(colour, SHADOW_INK, 0.22),
    },
    {
      mark: 'fill',
      path: rings((one) => thread(narrower(one, 0.2 * width), 0.13 * width, 0.2 * width * lit(one))),
      colour: mixed(colour, '#ffffff', 0.38),
    },
    { mark: 'fill', path: twist, colour: mixed(colour, SHADOW_INK, 0.34) },
  ];
}

const narrower = (one: Piecewise, by: number): Piecewise => ({
  ...one,
  from: one.from + by,
  to: one.to - by,
});

const dot = (run: Run, s: number, radius: number): Point[] =>
  Array.from({ length: 8 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 8;
    return onRun(run, s + radius * Math.sin(angle), radius * Math.cos(angle));
  });

/** Where one ply lies over the other: fine lines aslant across the strand. */
function plies({ run, from, to }: Piecewise, half: number, way: 1 | -1): Point[][] {
  const room = to - from - 2 * half;
  const many = Math.max(0, Math.floor(room / (1.3 * half)));
  return Array.from({ length: many }, (_, i) => {
    const s = from + half + ((i + 0.5) * room) / many;
    const [slant, fine] = [0.55 * half, 0.11 * half];
    const low = -0.82 * half * way;
    return [
      onRun(run, s - slant - fine, low),
      onRun(run, s + slant - fine, -low),
      onRun(run, s + slant + fine, -low),
      onRun(run, s - slant + fine, low),
    ];
  });
}

export const stroke: FinishKind<Stroke> = {
  schema: strokeSchema.nullable().defined(),
  inks: (value) => inkSlot('stroke', value, 'colour'),
  over: (value, { path, toward, light }) => strokeMarks(value, path, toward, light.strength),
  scaled: scaledStroke,
  says: ({ width }, unit) => `stroke ${formatLength(width, unit, true)}`,
};
