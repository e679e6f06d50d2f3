/**
 * A dye gives another colour to a picture, or to a part of it. Nothing is baked: a piece carries its dyes in order, its file
 * stays as it is, and each can be changed, switched off or taken away at any time.
 */
import { array, boolean, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { isReadableArea, type KeptArea } from '@/core/dye/area';
import { byField, byKind } from '@/core/schema/choice';

/** Like an ink, light and shade kept (`colour.ts` states how). */
export interface InkChange {
  how: 'ink';
  /** `#rrggbb` */
  ink: string;
  /** Greys, whites and blacks stay as they are: metal, paper, shadows. */
  greysStay?: true;
}

/** By numbers, in OKLCH. */
export interface ShiftChange {
  how: 'shift';
  /** Degrees, -180 to 180. */
  hue: number;
  /** Per cent, -100 (grey) to 100 (twice as strong). */
  saturation: number;
  /** Per cent, -100 (black) to 100 (white). */
  lightness: number;
}

/** No other colour: what it marks is kept from every other dye of the picture, in whatever order they are. */
export interface ProtectChange {
  how: 'protect';
}

/** What gives another colour. */
export type ColourChange = InkChange | ShiftChange;
export type DyeChange = ColourChange | ProtectChange;

/** One stroke that marks a part; it takes in what is alike around it. */
export interface Stroke {
  /** x, y, x, y ... in shares of the upright picture's width and height. */
  points: number[];
  /** How wide, as a share of the picture's longer side. */
  width: number;
  /** How unlike, as weighed distance in OKLab, what is taken in may be; 0 takes just what was painted over. */
  closeness: number;
  /** Takes away from what was marked before. */
  away?: true;
}

/** Where on a picture: what was marked by strokes, and what came of them. */
export interface Marked extends KeptArea {
  strokes: Stroke[];
}

/** Where on a drawing: its parts by number, bottom first. */
export interface Chosen {
  parts: number[];
}

export type Where = Marked | Chosen;

export interface Dye {
  id: string;
  name: string;
  change: DyeChange;
  /** 0 to 1. */
  strength: number;
  /** The whole picture without. */
  where?: Where;
  /** Everything but where it says. */
  outside?: true;
  off?: true;
}

export const MOST_DYES = 50;
export const MOST_STROKES = 400;
const LONGEST_STROKE = 4000;
/** Beyond this closeness everything is alike. */
export const LOOSEST = 0.6;
export const WIDEST_STROKE = 0.25;
export const FARTHEST_EDGE = 0.05;
export const SOFTEST_EDGE = 0.1;

export const isMarked = (where: Where | undefined): where is Marked =>
  where !== undefined && 'strokes' in where;
export const isChosen = (where: Where | undefined): where is Chosen =>
  where !== undefined && 'parts' in where;

/** How far beyond the picture a stroke may be kept, in shares of it: -FAR_OUT to 1 + FAR_OUT. */
const FAR_OUT = 1;

/** A hand's way as a stroke keeps it: on the picture or near it, and no longer than a file takes. */
export function keptPoints(points: readonly number[]): number[] {
  const every = Math.ceil(points.length / (2 * LONGEST_STROKE));
  return points
    .filter((_, i) => Math.floor(i / 2) % every === 0)
    .map((value) => Math.min(1 + FAR_OUT, Math.max(-FAR_OUT, Math.round(value * 1e4) / 1e4)));
}

/** Whether it is anywhere at all. */
const isSomewhere = ({ off, where }: Dye): boolean =>
  !off && !(isMarked(where) && !where.area) && !(isChosen(where) && !where.parts.length);

/** A dye that gives another colour. */
export type ColourDye = Dye & { change: ColourChange };

/** Whether a dye can be seen at all. */
export const isSeen = (dye: Dye): dye is ColourDye =>
  isSomewhere(dye) &&
  dye.strength > 0 &&
  (dye.change.how === 'ink' ||
    (dye.change.how === 'shift' &&
      (dye.change.hue !== 0 || dye.change.saturation !== 0 || dye.change.lightness !== 0)));

/** Whether it keeps other dyes away. */
export const protects = (dye: Dye): boolean =>
  dye.change.how === 'protect' && dye.where !== undefined && isSomewhere(dye);

const yes = boolean().oneOf([true]);
const changeSchema = byKind(
  {
    ink: object({
      how: string().oneOf(['ink']).required(),
      ink: string().matches(HEX_COLOUR).required(),
      greysStay: yes,
    }).noUnknown(),
    shift: object({
      how: string().oneOf(['shift']).required(),
      hue: number().min(-180).max(180).required(),
      saturation: number().min(-100).max(100).required(),
      lightness: number().min(-100).max(100).required(),
    }).noUnknown(),
    protect: object({ how: string().oneOf(['protect']).required() }).noUnknown(),
  },
  'change of colour',
  'how',
);

const strokeSchema = object({
  points: array(
    number()
      .min(-FAR_OUT)
      .max(1 + FAR_OUT)
      .required(),
  )
    .min(2)
    .max(2 * LONGEST_STROKE)
    .required(),
  width: number().min(0).max(WIDEST_STROKE).required(),
  closeness: number().min(0).max(LOOSEST).required(),
  away: yes,
}).noUnknown();

/** Letters a marked area may take in a file: a hundred times what a rough one needs. */
const LONGEST_AREA = 2_000_000;
export const areaSchema = string()
  .max(LONGEST_AREA)
  .defined()
  .test('area', '${path} is not a readable area', (area) => area === undefined || isReadableArea(area))
  .meta({ named: 'area', json: { pattern: '^(\\d+( \\d+)+)?$' } });

const whereSchema = byField(
  'parts',
  object({
    parts: array(number().integer().min(0).max(1e6).required()).max(1e5).required(),
  }).noUnknown(),
  object({
    strokes: array(strokeSchema.required()).max(MOST_STROKES).required(),
    area: areaSchema,
    edge: number().min(-FARTHEST_EDGE).max(FARTHEST_EDGE),
    soften: number().min(0).max(SOFTEST_EDGE),
    filled: yes,
  })
    .noUnknown()
    .default(undefined)
    .optional(),
);

export const dyesSchema = array(
  object({
    id: string().min(1).max(80).required(),
    name: string().max(200).defined(),
    change: changeSchema,
    strength: number().min(0).max(1).required(),
    where: whereSchema,
    outside: yes,
    off: yes,
  })
    .noUnknown()
    .required(),
)
  .min(1)
  .max(MOST_DYES)
  .meta({ named: 'dyes' });
