/** The schemas a project passes at every door, and the limits they hold it to. */
import { array, boolean, number, object, string, type AnyObject, type ObjectSchema } from 'yup';
import { FACT_KINDS } from '@/core/living/field';
import { LONGEST_HOLIDAY, LONGEST_RULE, MOST_HOLIDAYS } from '@/core/calendar/holidays';
import { cuttingSchema } from '@/core/piece/cutting';
import { heldSchema } from '@/core/piece/held';
import { EVENT_KINDS, LONGEST_EVENT, MOST_EVENTS } from '@/core/calendar/events';
import { FIRST_YEAR, LAST_YEAR, monthLength } from '@/core/dates/days';
import { HEX_COLOUR } from '@/core/color/hex';
import { EXTENSIONS, MOST_HOLES, MOST_PIXELS, type Asset, type AssetType } from '@/core/picture/asset';
import { finishSchema } from '@/core/piece/finish';
import { HIGHEST_LIFT, lightSchema } from '@/core/piece/finish/lift';
import { MATERIALS } from '@/core/piece/material';
import { SHA256 } from '@/core/piece/material/picture';
import { MOST_FACES } from '@/core/photos/faces';
import { LIKENESS } from '@/core/photos/likeness';
import { notesSchema } from '@/core/photos/notes';
import { LOCAL_TIME } from '@/core/photos/when';
import { LONGEST_PROFILE, MOST_PROFILES } from '@/core/press/conditions';
import { LONGEST_FONT_NAME } from '@/core/text/named';
import { LARGEST_PROFILE } from '@/core/press/profile';
import { isReadablePath } from '@/core/piece/outline/path';
import { OUTLINES } from '@/core/piece/outline';
import { FARTHEST_OUT, MOST_TUCKS, ROLES } from '@/core/piece/piece';
import { FAR, placementSchema } from '@/core/piece/placement/placement';
import { LONGEST_FACT, LONGEST_FACT_NAME, MOST_FACTS } from '@/core/project/edits/facts';
import { LONGEST_LOOK, MOST_LOOKS } from '@/core/project/edits/looks';
import { COMPARTMENTS, LONGEST_NOTE, LONGEST_TITLE, type Project } from '@/core/project/model';
import { STYLE_KEYS, styleFields } from '@/core/text/style';
import { byKind, recordOf } from '@/core/schema/choice';
import { productSchema } from '@/core/product/schemas';
import { LARGEST_SIDE, SMALLEST_SIDE } from '@/core/units/sizes';

export const MOST_PIECES = 5000;
export const MOST_SURFACES = 400;
/** Groups within groups. */
const DEEPEST_GROUP = 12;
export const MOST_GUIDES = 400;
/** Copies one way in rows and columns. */
export const MOST_REPEATED = 500;
const MOST_ASSETS = 20_000;

/** Why a project is more than a file takes, in words; null if it is not. */
export function pastLimits({ surfaces }: Pick<Project, 'surfaces'>): string | null {
  if (surfaces.length > MOST_SURFACES)
    return `A project holds up to ${MOST_SURFACES} pages; that would make ${surfaces.length}. Nothing was changed.`;
  const full = surfaces.find(({ pile }) => pile.length > MOST_PIECES);
  return full
    ? `A page holds up to ${MOST_PIECES} pieces; that would make ${full.pile.length}. Nothing was changed.`
    : null;
}

/** Text styles, and fonts of one's own, that a project keeps. */
export const MOST_STYLES = 200;
export const MOST_FONTS = 200;
/** Bytes of a font file. */
export const LARGEST_FONT = 40_000_000;
/** Letters of an alphabet laid as one group. */
export const MOST_LAID_LETTERS = 200;

const pick = <T extends object, K extends keyof T>(of: T, keys: readonly K[]): Pick<T, K> =>
  Object.fromEntries(keys.map((key) => [key, of[key]])) as Pick<T, K>;

const id = string().min(1).max(80).required();
const shas = array(string().matches(SHA256).required()).max(MOST_ASSETS).required();

const schemasOf = (kinds: Record<string, { schema: ObjectSchema<AnyObject> }>) =>
  Object.fromEntries(Object.entries(kinds).map(([kind, { schema }]) => [kind, schema]));

const within = number().min(-100).max(100).required();
const pieceSchema = object({
  id,
  name: string().max(400).defined(),
  role: string()
    .oneOf([...ROLES])
    .required(),
  material: byKind(schemasOf(MATERIALS), 'material'),
  outline: byKind(schemasOf(OUTLINES), 'cut'),
  finish: finishSchema.required(),
  placement: placementSchema.required(),
  groups: array(id).min(1).max(DEEPEST_GROUP),
  look: string().min(1).max(80),
  round: string().min(1).max(80),
  shared: string().min(1).max(80),
  carried: string().min(1).max(80),
  held: heldSchema.default(undefined).optional(),
  cutter: cuttingSchema.default(undefined).optional(),
  tucks: array(
    object({
      under: id,
      x: within,
      y: within,
      slit: object({
        ...{ ax: within, ay: within, bx: within, by: within },
        out: number().min(0).max(FARTHEST_OUT),
      })
        .noUnknown()
        .default(undefined)
        .optional(),
    })
      .noUnknown()
      .required(),
  )
    .min(1)
    .max(MOST_TUCKS),
})
  .noUnknown()
  .meta({ named: 'piece' });

const far = number().min(-FAR).max(FAR).required();
const guidesSchema = array(
  object({
    axis: string().oneOf(['x', 'y']).required(),
    at: far,
    through: boolean(),
  })
    .noUnknown()
    .required(),
)
  .max(MOST_GUIDES)
  .required()
  .meta({ named: 'guides' });

const count = number().integer().min(1).max(MOST_REPEATED).required();
const lettersSchema = object({
  text: string().max(MOST_LAID_LETTERS).required(),
  alphabet: array(
    object({
      character: string().min(1).max(8).required(),
      assets: array(string().matches(SHA256).required()).min(1).max(40).required(),
    })
      .noUnknown()
      .required(),
  )
    .max(400)
    .required(),
  tallest: number().min(0.1).max(2880).required(),
  height: number().min(1).max(2880).required(),
  room: number().min(-288).max(288).required(),
  family: styleFields.family.optional(),
  hop: number().min(0).max(1).required(),
  lean: number().min(0).max(90).required(),
  seed: number().integer().min(0).max(1e9).required(),
}).noUnknown();

/** How much one copy may differ from the one before. */
export const LEAST_STEP = { scale: 0.5, fade: 0.3 };
export const MOST_STEP = { scale: 1.5 };

const groupSchema = object({
  id,
  name: string().max(400).defined(),
  repeat: object({
    columns: count,
    rows: count,
    gapX: far,
    gapY: far,
    shift: far,
    scale: number().min(LEAST_STEP.scale).max(MOST_STEP.scale),
    turn: number().min(-180).max(180),
    fade: number().min(LEAST_STEP.fade).max(1),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  letters: lettersSchema.default(undefined).optional(),
})
  .noUnknown()
  .meta({ named: 'group' });

const styleSchema = object({
  id,
  name: string().min(1).max(LONGEST_LOOK).required(),
  ...pick(styleFields, STYLE_KEYS),
  ink: string().matches(HEX_COLOUR).required(),
}).noUnknown();

const fontSchema = object({
  sha: string().matches(SHA256).required(),
  name: string().min(1).max(LONGEST_FONT_NAME).required(),
  bytes: number().integer().min(1).max(LARGEST_FONT).required(),
}).noUnknown();

const profileSchema = object({
  sha: string().matches(SHA256).required(),
  name: string().min(1).max(LONGEST_PROFILE).required(),
  bytes: number().integer().min(1).max(LARGEST_PROFILE).required(),
}).noUnknown();

const factSchema = object({
  id,
  name: string().min(1).max(LONGEST_FACT_NAME).required(),
  kind: string()
    .oneOf([...FACT_KINDS])
    .required(),
  value: string().max(LONGEST_FACT).defined(),
}).noUnknown();

const side = number()
  .min(SMALLEST_SIDE - 1e-6)
  .max(LARGEST_SIDE + 1e-6)
  .required();
const eventSchema = object({
  id,
  kind: string().oneOf(Object.keys(EVENT_KINDS)).required(),
  name: string().min(1).max(LONGEST_EVENT).required(),
  month: number().integer().min(1).max(12).required(),
  day: number().integer().min(1).max(31),
  nth: number().integer().oneOf([-1, 1, 2, 3, 4, 5]),
  weekday: number().integer().min(1).max(7),
  year: number().integer().min(FIRST_YEAR).max(LAST_YEAR),
  free: boolean().oneOf([true]),
})
  .noUnknown()
  .test(
    'day',
    '${path} is on no day there is',
    ({ month, day, nth, weekday, year, kind }) =>
      (kind !== 'once' || year !== undefined) &&
      (nth !== undefined && weekday !== undefined
        ? day === undefined
        : day !== undefined && day <= monthLength(LEAP, month)),
  );

const rule = string().min(1).max(LONGEST_RULE).required();
const holidaysSchema = object({
  country: string()
    .matches(/^[A-Z]{2}$/)
    .required(),
  state: string().min(1).max(20),
  days: array(
    object({
      year: number().integer().min(FIRST_YEAR).max(LAST_YEAR).required(),
      month: number().integer().min(1).max(12).required(),
      day: number().integer().min(1).max(31).required(),
      name: string().min(1).max(LONGEST_HOLIDAY).required(),
      rule,
    })
      .noUnknown()
      .required(),
  )
    .max(MOST_HOLIDAYS)
    .required(),
  out: array(rule).max(MOST_HOLIDAYS).required(),
  names: recordOf(
    string().min(1).max(LONGEST_HOLIDAY).required(),
    /^.{1,200}$/,
    (of) => of.length <= LONGEST_RULE,
  ),
}).noUnknown();

/** A year with a 29th of February. */
const LEAP = 2000;

/** The most that is printed beyond a trim, or kept free within it, points. */
const WIDEST_MARGIN = 144;
const margin = number().min(0).max(WIDEST_MARGIN).required();
const sides = object({ top: margin, right: margin, bottom: margin, left: margin }).noUnknown().required();

const surfaceSchema = object({
  id,
  name: string().max(200).required(),
  part: string().min(1).max(40),
  width: side,
  height: side,
  bleed: sides,
  safe: sides,
  ground: string().matches(HEX_COLOUR).required(),
  light: lightSchema.required(),
  pile: array(pieceSchema.required()).max(MOST_PIECES).required(),
  groups: array(groupSchema.required()).max(MOST_PIECES).required(),
  guides: guidesSchema,
  locked: boolean().required(),
  note: string().min(1).max(LONGEST_NOTE),
  laid: object({
    spread: string().min(1).max(40).required(),
    print: string()
      .matches(/^[0-9a-f]{8,64}$/)
      .required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
})
  .noUnknown()
  .meta({ named: 'page' });

const outlineData = string()
  .max(200_000)
  .test('outline', '${path} is not a readable outline', (data) => data === undefined || isReadablePath(data));

const share = number().min(0).max(1).required();
const assetSchema = object({
  sha: string().matches(SHA256).required(),
  type: string()
    .oneOf(Object.keys(EXTENSIONS) as AssetType[])
    .required(),
  name: string().max(400).defined(),
  bytes: number().integer().min(1).required(),
  width: number().integer().min(1).required(),
  height: number().integer().min(1).required(),
  orientation: number().integer().min(1).max(8).required(),
  ppi: number().min(1).max(10_000).required(),
  taken: string().matches(LOCAL_TIME),
  focus: object({ x: number().min(0).max(1).required(), y: number().min(0).max(1).required() })
    .noUnknown()
    .default(undefined)
    .optional(),
  faces: array(object({ x: share, y: share, width: share, height: share }).noUnknown().required()).max(
    MOST_FACES,
  ),
  blur: number().min(0).max(1),
  likeness: string().matches(LIKENESS),
  notes: notesSchema.default(undefined).optional(),
  cut: outlineData,
  holes: array(outlineData.required()).max(MOST_HOLES),
  lift: number().min(0).max(HIGHEST_LIFT),
})
  .noUnknown()
  .test(
    'pixels',
    'a picture is larger than 200 million pixels',
    (asset) => (asset.width ?? 0) * (asset.height ?? 0) <= MOST_PIXELS,
  )
  .meta({ named: 'asset' });

export const projectSchema = object({
  id,
  title: string().max(LONGEST_TITLE).defined(),
  practice: boolean().oneOf([true]),
  product: productSchema,
  unit: string().oneOf(['in', 'mm']).required(),
  surfaces: array(surfaceSchema.required()).min(1).max(MOST_SURFACES).required(),
  guides: guidesSchema,
  guidesLocked: boolean().required(),
  looks: array(
    object({ id, name: string().min(1).max(LONGEST_LOOK).required(), finish: finishSchema.required() })
      .noUnknown()
      .required(),
  )
    .min(1)
    .max(MOST_LOOKS),
  styles: array(styleSchema.required()).min(1).max(MOST_STYLES),
  facts: array(factSchema.required()).min(1).max(MOST_FACTS),
  events: array(eventSchema.required()).min(1).max(MOST_EVENTS),
  holidays: holidaysSchema.default(undefined).optional(),
  fonts: array(fontSchema.required()).min(1).max(MOST_FONTS),
  profiles: array(profileSchema.required()).min(1).max(MOST_PROFILES),
  assets: recordOf(
    assetSchema.required(),
    SHA256,
    (sha, asset) => (asset as Partial<Asset> | null)?.sha === sha,
  ),
  ...Object.fromEntries(COMPARTMENTS.map((name) => [name, shas])),
}).noUnknown();
