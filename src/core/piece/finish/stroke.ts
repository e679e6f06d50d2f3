/** A line along the cut edge: drawn through, or in dashes. */
import { number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { grown, pathOfRings, polygons } from '@/core/geometry/offset';
import type { Point } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import type { Mark, StrokeSide } from '@/core/picture/picture';
import { EDGE_SIDES, onRun, runsOf, type Run } from '@/core/geometry/runs';
import { inkSlot } from '@/core/piece/answers';
import type { FinishKind } from '@/core/piece/finish/kind';
import { formatLength } from '@/core/units/lengths';

export interface Stroke {
  colour: string;
  /** Points, above 0. */
  width: number;
  side: StrokeSide;
  /** What it is broken into; drawn through without. */
  broken?: Broken;
}

/** Dashes: each side of the outline takes a whole number of them. */
export interface Broken {
  /** Points, of one, and to the next: as near to these as comes out even. */
  length: number;
  gap: number;
  /** How far from the edge the line runs, points. */
  from: number;
}

export const STROKE_SIDES: readonly StrokeSide[] = ['inside', 'on', 'outside'];
export const WIDEST_STROKE = 144;
/** The longest dash or gap, and how far from the edge, points. */
export const LONGEST_DASH = 144;
export const SHORTEST_DASH = 1;

export const NEW_DASHES: Broken = { length: 9, gap: 6, from: 0 };

const strokeSchema = object({
  colour: string().matches(HEX_COLOUR).required(),
  width: number().moreThan(0).max(WIDEST_STROKE).required(),
  side: string()
    .oneOf([...STROKE_SIDES])
    .required(),
  broken: object({
    length: number().min(SHORTEST_DASH).max(LONGEST_DASH).required(),
    gap: number().min(0).max(LONGEST_DASH).required(),
    from: number().min(0).max(LONGEST_DASH).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
}).noUnknown();

/** How far a stroke makes the piece larger, points: what is dashed does not. */
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
      length: Math.min(LONGEST_DASH, Math.max(SHORTEST_DASH, stroke.broken.length * scale)),
      gap: Math.min(LONGEST_DASH, stroke.broken.gap * scale),
      from: Math.min(LONGEST_DASH, stroke.broken.from * scale),
    },
  }),
});

export function strokeMarks(stroke: Stroke, path: Path): Mark[] {
  const { broken, ...line } = stroke;
  return broken ? dashes(stroke, broken, path) : [{ mark: 'stroke', path, ...line }];
}

/** One dash: where on its run it begins and ends. */
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

export const stroke: FinishKind<Stroke> = {
  schema: strokeSchema.nullable().defined(),
  inks: (value) => inkSlot('stroke', value, 'colour'),
  over: (value, { path }) => strokeMarks(value, path),
  scaled: scaledStroke,
  says: ({ width }, unit) => `stroke ${formatLength(width, unit, true)}`,
};
