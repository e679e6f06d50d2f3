/**
 * Living words: a stretch of words that says something of its project, and says it anew whenever that changes. What it says
 * stands in the text like any other words, so that everything that reads, finds, sets or prints words need not know of it.
 */
import { untitled, type Product } from '@/core/product';

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
export const DAY = /^\d{4}-\d{2}-\d{2}$/;

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

/** What is looked at of a project, and which of its surfaces the words stand on, counted from 0. */
export interface Where {
  project: { title: string; product: Product; surfaces: readonly unknown[]; facts?: readonly Fact[] };
  index: number;
}

export interface Field {
  kind: FieldName;
  /** Which fact, by id. */
  fact?: string;
  /** How a day is written; in full without. */
  as?: DayForm;
}

interface FieldKind {
  /** What a person calls it. */
  name: string;
  /** What it says here; null where there is nothing it could say any more. Never empty. */
  says(where: Where, field: Field): string | null;
}

/** Every kind there is. Adding one is adding it here. */
export const FIELDS = {
  page: { name: 'Number of this page', says: ({ index }) => String(index + 1) },
  pages: { name: 'How many pages there are', says: ({ project }) => String(project.surfaces.length) },
  title: {
    name: 'Title of the project',
    says: ({ project }) => project.title.trim() || untitled(project.product.kind),
  },
  fact: {
    name: 'Something known of it',
    says({ project }, { fact, as = 'full' }) {
      const known = project.facts?.find(({ id }) => id === fact);
      if (!known) return null;
      if (!known.value.trim()) return known.name;
      return known.kind === 'day' && isDay(known.value) ? DAY_FORMS[as].says(known.value) : known.value;
    },
  },
} satisfies Record<string, FieldKind>;

export type FieldName = keyof typeof FIELDS;
export const FIELD_NAMES = Object.keys(FIELDS) as FieldName[];

export const fieldSays = (where: Where, field: Field): string | null => FIELDS[field.kind].says(where, field);

/** What a field is called in a list: of a fact, the fact's own name. */
export const nameOfField = ({ facts }: Pick<Where['project'], 'facts'>, field: Field): string =>
  facts?.find(({ id }) => id === field.fact)?.name ?? FIELDS[field.kind].name;
