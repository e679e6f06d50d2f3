/**
 * Living words: a stretch of words that says something of its project, and says it anew whenever that changes. What it says
 * stands in the text like any other words, so that everything that reads, finds, sets or prints words need not know of it.
 */
/** Something known of a project that words may say: a name, a place, a day. */
export interface Fact {
  id: string;
  name: string;
  kind: FactKind;
  /** What is said; of a day `yyyy-mm-dd`. Empty while nobody has set it. */
  value: string;
}

export const FACT_KINDS = ['words', 'day'] as const;
export type FactKind = (typeof FACT_KINDS)[number];

/** A day of the calendar, written `yyyy-mm-dd`. */
const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Whether it names a day there is: not the 30th of February. */
export const isDay = (text: string): boolean => {
  const read = new Date(`${text}T00:00:00Z`);
  return DAY.test(text) && !Number.isNaN(read.getTime()) && read.toISOString().startsWith(text);
};

const inEnglish = (options: Intl.DateTimeFormatOptions) => {
  let format: Intl.DateTimeFormat | undefined;
  return (day: string): string =>
    (format ??= new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' })).format(
      new Date(`${day}T00:00:00Z`),
    );
};

const full = inEnglish({ day: 'numeric', month: 'long', year: 'numeric' });
const weekday = inEnglish({ weekday: 'long' });

/** The ways in which a day is written. */
export const DAY_FORMS = {
  full: { says: full },
  weekday: { says: (day: string) => `${weekday(day)} ${full(day)}` },
  month: { says: inEnglish({ month: 'long', year: 'numeric' }) },
  year: { says: inEnglish({ year: 'numeric' }) },
  digits: { says: (day: string) => day.split('-').reverse().map(Number).join('. ') },
} as const;
export type DayForm = keyof typeof DAY_FORMS;

/** What words may say, by name; what each says is in fields.ts. */
export const FIELD_NAMES = ['page', 'pages', 'title', 'month', 'year', 'fact', 'count'] as const;
export type FieldName = (typeof FIELD_NAMES)[number];

export interface Field {
  kind: FieldName;
  /** Which fact, by id. */
  fact?: string;
  /** How a day is written; in full without. */
  as?: DayForm;
  /** Of a series: which one, whether it is counted down, and in words. */
  of?: string;
  down?: boolean;
  words?: boolean;
}
