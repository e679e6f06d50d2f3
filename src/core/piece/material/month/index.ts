/** A whole month as a material: its days set in the box of the piece, with what they are. */
import { array, boolean, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import type { InkSlot } from '@/core/piece/answers';
import { FIRST_YEAR, LAST_YEAR } from '@/core/dates/days';
import { language } from '@/core/schema/language';
import { monthMarks, titleOf, weekdaysOf } from '@/core/piece/material/month/draw';
import {
  BESIDE,
  CLOCKS,
  FARTHEST,
  HEAD_LENGTHS,
  LAYOUT_NAMES,
  LEAST_PART,
  LONGEST_NAME,
  LONGEST_NOTE,
  MONTH_INKS,
  MOST_NOTES,
  MOST_PART,
  SIXTH,
  TITLES,
  WEEKS,
  WIDEST_RULE,
  type MonthMaterial,
} from '@/core/piece/material/month/model';
import { SHA256 } from '@/core/piece/material/picture';
import type { MaterialKind } from '@/core/piece/material/kind';
import { letteringFields } from '@/core/text/style';

const part = number().min(LEAST_PART).max(MOST_PART).required();
const ink = string().matches(HEX_COLOUR).required();
const weekday = number().integer().min(1).max(7).required();
const { family, bold, italic, features } = letteringFields;
const letters = object({ family, bold, italic, features }).noUnknown().required();
const oneOf = (all: readonly string[]) =>
  string()
    .oneOf([...all])
    .required();
const names = (count: number) => array(string().min(1).max(LONGEST_NAME).required()).length(count);

export type { MonthMaterial } from '@/core/piece/material/month/model';

export const month: MaterialKind<MonthMaterial> = {
  kind: 'month',
  name: 'A month',
  printed: true,
  schema: object({
    kind: string().oneOf(['month']).required(),
    year: number().integer().min(FIRST_YEAR).max(LAST_YEAR).required(),
    month: number().integer().min(1).max(12).required(),
    follows: number().integer().min(-FARTHEST).max(FARTHEST),
    week: number().integer().min(WEEKS.first).max(WEEKS.last),
    layout: oneOf(LAYOUT_NAMES),
    weekStart: weekday,
    language: language.required(),
    wording: object({ months: names(12), weekdays: names(7) })
      .noUnknown()
      .default(undefined)
      .optional(),
    perpetual: boolean().oneOf([true]),
    numbers: letters,
    heads: letters,
    numberScale: part,
    headScale: part,
    noteScale: part,
    headLength: oneOf(HEAD_LENGTHS),
    title: oneOf(TITLES),
    titleScale: part,
    weekNumbers: boolean().oneOf([true]),
    beside: oneOf(BESIDE),
    sixth: oneOf(SIXTH),
    ruleWidth: number().min(0).max(WIDEST_RULE).required(),
    inks: object(Object.fromEntries(MONTH_INKS.map((name) => [name, ink])))
      .noUnknown()
      .required(),
    ground: string().matches(HEX_COLOUR),
    moon: number().min(CLOCKS.least).max(CLOCKS.most),
    free: array(weekday).max(7).required(),
    shaded: array(
      object({ weekday, colour: ink, asset: string().matches(SHA256) })
        .noUnknown()
        .required(),
    )
      .max(7)
      .required(),
    marked: array(
      object({ day: number().integer().min(1).max(31).required(), colour: ink })
        .noUnknown()
        .required(),
    )
      .max(31)
      .required(),
    notes: array(
      object({
        day: number().integer().min(1).max(31).required(),
        says: string().min(1).max(LONGEST_NOTE).required(),
        free: boolean().oneOf([true]),
      })
        .noUnknown()
        .required(),
    )
      .max(MOST_NOTES)
      .required(),
  }).noUnknown(),
  inks: (material) => [
    ...MONTH_INKS.map((name): InkSlot => ({
      part: 'month',
      colour: material.inks[name],
      set: (colour) => void (material.inks[name] = colour),
    })),
    ...[...material.shaded, ...material.marked].map((box): InkSlot => ({
      part: 'month',
      colour: box.colour,
      set: (colour) => void (box.colour = colour),
    })),
    ...(material.ground
      ? [
          {
            part: 'month' as const,
            colour: material.ground,
            set: (colour: string) => void (material.ground = colour),
          },
        ]
      : []),
  ],
  written: (material) => [
    { text: titleOf(material), letters: material.heads },
    { text: weekdaysOf(material).join(' '), letters: material.heads },
    { text: '0123456789', letters: material.numbers },
    ...material.notes.map(({ says }) => ({ text: says, letters: material.heads })),
  ],
  scaled: (material, scale) => ({
    ...material,
    ruleWidth: Math.min(WIDEST_RULE, material.ruleWidth * scale),
  }),
  says: (material) => titleOf({ ...material, title: 'both' }),
  fill: monthMarks,
};
