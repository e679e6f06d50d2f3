/** How words are written: letters, lines, and stretches that differ from the rest. */
import { array, boolean, number, object, string, type ObjectShape } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { DAY_FORMS, FIELD_NAMES, type DayForm, type Field, type FieldName } from '@/core/living/field';
import { FAMILIES, isFamily, OWN_FAMILY } from '@/core/text/families';

/** Languages words are divided in, by BCP 47 tag. */
export const LANGUAGES = { en: 'English', de: 'German', fr: 'French', es: 'Spanish' } as const;
export type Language = keyof typeof LANGUAGES;

export const ALIGNMENTS = ['left', 'centre', 'right', 'justify'] as const;
export type Alignment = (typeof ALIGNMENTS)[number];

/** How letters look. */
export interface Lettering {
  family: string;
  /** Letter size in points. */
  size: number;
  /** Added after each letter, as a share of the letter size; 0 without. */
  tracking?: number;
  /** OpenType features that are switched on, by tag (`swsh`, `ss01`). */
  features?: string[];
  /** In the family's bold letters; plain ones where it has none. */
  bold?: boolean;
  italic?: boolean;
}

/** All that letters have, as `letteringFields` lists it. */
const LETTERING_KEYS = ['family', 'size', 'tracking', 'features', 'bold', 'italic'] as const;

/** How something is lettered, without what else it is. */
export const letteringOf = (from: Lettering): Lettering =>
  Object.fromEntries(
    LETTERING_KEYS.flatMap((key) => (from[key] === undefined ? [] : [[key, from[key]]])),
  ) as unknown as Lettering;

/** All that a way of writing has beside its ink. */
export const STYLE_KEYS = [...LETTERING_KEYS, 'align', 'leading', 'hyphens', 'hanging'] as const;

/** A stretch of a text, `start` to before `end` in UTF-16 units. */
export interface Stretch {
  start: number;
  end: number;
}

/** A stretch that differs from the rest in what it names. */
export interface Span extends Stretch {
  family?: string;
  /** Letter size over that of the rest. */
  scale?: number;
  /** `#rrggbb`; the piece's own material without. */
  ink?: string;
  tracking?: number;
  features?: string[];
  /** False where the rest is. */
  bold?: boolean;
  italic?: boolean;
  /** It lives: what stands there is what this says. */
  field?: Field;
}

/** A stretch that lives, and is lettered as the rest. */
export interface LivingSpan extends Stretch {
  field: Field;
}

export const lives = (span: Span): span is Span & LivingSpan => span.field !== undefined;

export interface Columns {
  count: number;
  /** Between columns, points. */
  gap: number;
}

export interface TextStyle extends Lettering {
  /** Left and right change sides in a paragraph that runs from right to left; justified lines fill their column but for the last. */
  align: Alignment;
  /** Distance between baselines as a multiple of the letter size. */
  leading: number;
  /** Apart from each other and in order. */
  spans?: Span[];
  columns?: Columns;
  /** The language in which words are divided at the end of lines; they stay whole without. */
  hyphens?: Language;
  /** Quotes, dots and hyphens at the ends of lines stand outside the column. */
  hanging?: boolean;
}

/** What a stretch is lettered in: its own, where it has it, or the rest's. */
export const lettersIn = (
  { family, bold, italic }: Pick<Lettering, 'family' | 'bold' | 'italic'>,
  span?: Pick<Span, 'family' | 'bold' | 'italic'>,
): Pick<Lettering, 'family' | 'bold' | 'italic'> => ({
  family: span?.family ?? family,
  bold: span?.bold ?? bold,
  italic: span?.italic ?? italic,
});

export const SMALLEST_LETTERS = 4;
export const LARGEST_LETTERS = 2000;
/** A letter size made larger or smaller, within its limits. */
export const scaledLetters = (size: number, scale: number): number =>
  Math.min(LARGEST_LETTERS, Math.max(SMALLEST_LETTERS, size * scale));
export const LEAST_LEADING = 0.5;
export const MOST_LEADING = 4;
export const LEAST_TRACKING = -0.2;
export const MOST_TRACKING = 2;
export const LEAST_SCALE = 0.1;
export const MOST_SCALE = 10;
export const MOST_COLUMNS = 6;
export const WIDEST_GAP = 720;
const MOST_SPANS = 2000;
/** Characters of one piece of words. */
export const MOST_LETTERS = 20_000;
const MOST_FEATURES = 20;

const family = string()
  .max(80)
  .test('family', '${path} is not a family this version knows', isFamily)
  .meta({
    named: 'family',
    json: { anyOf: [{ enum: FAMILIES.map(({ id }) => id) }, { pattern: OWN_FAMILY.source }] },
  });
const features = array(
  string()
    .matches(/^[a-z0-9]{4}$/)
    .required(),
)
  .min(1)
  .max(MOST_FEATURES)
  .meta({ named: 'features' });
const tracking = number().min(LEAST_TRACKING).max(MOST_TRACKING).meta({ named: 'tracking' });

/** Fields of a schema for letters. */
export const letteringFields = {
  family: family.required(),
  size: number().min(SMALLEST_LETTERS).max(LARGEST_LETTERS).required(),
  tracking,
  features,
  bold: boolean(),
  italic: boolean(),
};

const place = number().integer().min(0).max(MOST_LETTERS).required();

const fieldSchema = object({
  kind: string()
    .oneOf<FieldName>([...FIELD_NAMES])
    .required(),
  fact: string().min(1).max(80),
  as: string().oneOf<DayForm>(Object.keys(DAY_FORMS) as DayForm[]),
  of: string().min(1).max(80),
  down: boolean(),
  words: boolean(),
}).noUnknown();

/** Stretches of a text, apart from each other and in order. */
const stretches = <T extends Stretch>(own: ObjectShape) =>
  array(
    object({ start: place, end: place, ...own })
      .noUnknown()
      .required(),
  )
    .min(1)
    .max(MOST_SPANS)
    .test('order', '${path} lie over each other', (spans) =>
      ((spans ?? []) as T[]).every(
        ({ start, end }, i, all) => start < end && (i === 0 || all[i - 1]!.end <= start),
      ),
    );

/** Of words whose letters are all alike: stretches that live, and nothing else. */
export const livingSpans = stretches<LivingSpan>({ field: fieldSchema.required() });

export const styleFields = {
  ...letteringFields,
  align: string()
    .oneOf([...ALIGNMENTS])
    .required(),
  leading: number().min(LEAST_LEADING).max(MOST_LEADING).required(),
  spans: stretches<Span>({
    family,
    scale: number().min(LEAST_SCALE).max(MOST_SCALE),
    ink: string().matches(HEX_COLOUR),
    tracking,
    features,
    bold: boolean(),
    italic: boolean(),
    field: fieldSchema.default(undefined).optional(),
  }),
  columns: object({
    count: number().integer().min(2).max(MOST_COLUMNS).required(),
    gap: number().min(0).max(WIDEST_GAP).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
  hyphens: string().oneOf(Object.keys(LANGUAGES)),
  hanging: boolean(),
};
