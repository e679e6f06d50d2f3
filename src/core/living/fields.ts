/** What each kind of living words says. */
import { DAY_FORMS, isDay, type Fact, type Field, type FieldName } from '@/core/living/field';
import { inWords } from '@/core/living/numbers';
import { digitsOf, monthName } from '@/core/dates/names';
import { countOf, monthOn, numbersOn, untitledOf, type Product } from '@/core/product';

/** What is looked at of a project, and which of its surfaces the words stand on, counted from 0. */
export interface Where {
  project: {
    title: string;
    product: Product;
    surfaces: readonly { part?: string; width?: number }[];
    facts?: readonly Fact[];
  };
  index: number;
  /** How far right on the surface the words stand, points: they may be on one of several pages. */
  x?: number;
  /** Which of how many of its series it is, from 1 on. */
  counted?: { at: number; of: number };
}

interface FieldKind {
  /** What a person calls it. */
  name: string;
  /** What it says here; null where there is nothing it could say any more. Never empty. */
  says(where: Where, field: Field): string | null;
}

/** Every kind there is. Adding one is adding it here, and its name in field.ts. */
export const FIELDS: Record<FieldName, FieldKind> = {
  page: {
    name: 'Number of this page',
    says({ project, index, x = 0 }) {
      const surface = project.surfaces[index];
      const numbers = surface ? numbersOn(project, surface, index) : [index + 1];
      const at = Math.floor((x / (surface?.width ?? Infinity)) * numbers.length);
      return numbers.length ? String(numbers[Math.max(0, Math.min(numbers.length - 1, at))]) : null;
    },
  },
  pages: { name: 'How many pages there are', says: ({ project }) => String(countOf(project)) },
  title: {
    name: 'Title of the project',
    says: ({ project }) => project.title.trim() || untitledOf(project.product),
  },
  month: {
    name: 'Month of this page',
    says({ project, index }) {
      const found = project.surfaces[index] && monthOn(project, project.surfaces[index]);
      return found ? monthName(found.language, found.month) : null;
    },
  },
  year: {
    name: 'Year of this page',
    says({ project, index }) {
      const found = project.surfaces[index] && monthOn(project, project.surfaces[index]);
      return found ? digitsOf(found.language)(found.year) : null;
    },
  },
  count: {
    name: 'Number in a series',
    says({ counted = { at: 1, of: 1 } }, { down, words }) {
      const count = down ? counted.of - counted.at + 1 : counted.at;
      return words ? inWords(count) : String(count);
    },
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
};

export const fieldSays = (where: Where, field: Field): string | null => FIELDS[field.kind].says(where, field);
