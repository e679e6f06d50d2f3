/** A month as a material: what it shows and how. What can be done with it is in index.ts. */
import type { Month, Weekday } from '@/core/dates/days';
import type { Lettering } from '@/core/text/style';

/** The ways a month can be set; how each lies is in layouts/. */
export const LAYOUT_NAMES = ['boxes', 'open', 'large', 'row', 'column', 'dial'] as const;
export type LayoutName = (typeof LAYOUT_NAMES)[number];

/** What a day is, in a few words. */
export interface DayNote {
  day: number;
  says: string;
  /** A day off: its number takes the ink of those. */
  free?: true;
}

/** How numbers and heads are lettered; how large they are follows from the box. */
export type MonthLetters = Pick<Lettering, 'family' | 'bold' | 'italic' | 'features'>;

export interface MonthInks {
  numbers: string;
  heads: string;
  title: string;
  rules: string;
  /** Days of the months before and after. */
  beside: string;
  /** Sundays, and whatever else is free. */
  free: string;
  notes: string;
}
export const MONTH_INKS = ['numbers', 'heads', 'title', 'rules', 'beside', 'free', 'notes'] as const;

export const HEAD_LENGTHS = ['none', 'narrow', 'short', 'long'] as const;
export const TITLES = ['none', 'month', 'both'] as const;
export const BESIDE = ['none', 'shown'] as const;
export const SIXTH = ['grow', 'split', 'six'] as const;

export interface MonthMaterial extends Month {
  kind: 'month';
  /** It shows the month so many after that of its page, 0 just that, and is changed with it; `year` and `month` stay without. */
  follows?: number;
  /** It shows one week and no more: its first day, counted from the first of the month, which is 1. */
  week?: number;
  layout: LayoutName;
  weekStart: Weekday;
  /** BCP 47 tag; months and weekdays are called as there. */
  language: string;
  /** Other names, January or Monday first. */
  wording?: { months?: string[]; weekdays?: string[] };
  /** Of any year: no weekdays, a 29th of February. */
  perpetual?: true;
  numbers: MonthLetters;
  heads: MonthLetters;
  /** Sizes, as multiples of what the layout has room for. */
  numberScale: number;
  headScale: number;
  noteScale: number;
  headLength: (typeof HEAD_LENGTHS)[number];
  /** What stands above: nothing, the month, or the month with its year. */
  title: (typeof TITLES)[number];
  titleScale: number;
  /** ISO 8601. */
  weekNumbers?: true;
  /** Days of the months before and after. */
  beside: (typeof BESIDE)[number];
  /** A month that needs six weeks: six rows, or its last days in one box with those a week before; `six` gives every month six rows. */
  sixth: (typeof SIXTH)[number];
  /** Points. */
  ruleWidth: number;
  inks: MonthInks;
  /** Behind everything; nothing if absent. */
  ground?: string;
  /** Weekdays that are free. */
  free: Weekday[];
  /** Phases of the moon are shown, by the clock so many hours ahead of universal time. */
  moon?: number;
  /** Boxes of a weekday that have a colour, or a paper in its place, and days that are marked. */
  shaded: { weekday: Weekday; colour: string; asset?: string }[];
  marked: { day: number; colour: string }[];
  notes: DayNote[];
}

export const LEAST_PART = 0.2;
export const MOST_PART = 2;
export const MOST_NOTES = 2000;
export const LONGEST_NOTE = 120;
export const LONGEST_NAME = 40;
/** Hours ahead of universal time a clock may go. */
export const CLOCKS = { least: -12, most: 14 } as const;
export const WIDEST_RULE = 12;
/** Where the first day of a week may lie that is of a month. */
export const WEEKS = { first: -5, last: 31 } as const;
/** How many months away from its page's a month may be. */
export const FARTHEST = 36;
