/** A month as it begins. */
import type { Month } from '@/core/dates/days';
import { weekStartOf } from '@/core/dates/names';
import type { MonthMaterial } from '@/core/piece/material/month/model';

export const newMonth = (of: Month, language: string, follows?: number): MonthMaterial => ({
  kind: 'month',
  ...of,
  ...(follows === undefined ? {} : { follows }),
  layout: 'boxes',
  weekStart: weekStartOf(language),
  language,
  numbers: { family: 'bitter' },
  heads: { family: 'bitter' },
  ...{ numberScale: 1, headScale: 1, noteScale: 1, titleScale: 1 },
  headLength: 'short',
  title: 'none',
  beside: 'none',
  sixth: 'split',
  ruleWidth: 0.6,
  inks: {
    ...{ numbers: '#25232a', heads: '#5f5a54', title: '#25232a', rules: '#8d867c' },
    ...{ beside: '#b5aea3', free: '#9e2b45', notes: '#2f6f68' },
  },
  free: [7],
  shaded: [],
  marked: [],
  notes: [],
});
