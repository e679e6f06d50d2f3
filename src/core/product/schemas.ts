/** The door of each product: its settings as a file may have them. By itself, so that Home need not fetch it. */
import { array, boolean, number, object, string, type AnyObject, type ObjectSchema } from 'yup';
import type { ProductName } from '@/core/product';
import { FIRST_YEAR, LAST_YEAR } from '@/core/dates/days';
import { MOST_MONTHS } from '@/core/product/calendar';
import { BINDINGS } from '@/core/product/calendar/binding';
import { CALENDAR_FORMS } from '@/core/product/calendar/start';
import { MOST_SHUT } from '@/core/product/card/start';
import {
  isPrintable,
  LAST_PINNED,
  MOST_BLEED,
  MOST_COUNT,
  MOST_GAP,
  MOST_PINNED,
  MOST_THINGS,
  type SheetProduct,
} from '@/core/product/sheet';
import { sheetStart, STOCKS } from '@/core/product/sheet/start';
import { LONGEST_DESIGN, MOST_SPREADS } from '@/core/product/book';
import { BOOK_PAPERS } from '@/core/product/book/papers';
import { BOOK_BINDINGS, MOST_PAGE } from '@/core/product/book/start';
import { FOLDINGS } from '@/core/product/card/folding';
import { HEX_COLOUR } from '@/core/color/hex';
import { byKind } from '@/core/schema/choice';
import { language } from '@/core/schema/language';
import { LARGEST_SIDE, SMALLEST_SIDE } from '@/core/units/sizes';

const leaf = number()
  .min(SMALLEST_SIDE - 1e-6)
  .max(LARGEST_SIDE + 1e-6)
  .required();

const side = number()
  .min(SMALLEST_SIDE - 1e-6)
  .max(MOST_SHUT + 1e-6)
  .required();

const page = number()
  .min(SMALLEST_SIDE - 1e-6)
  .max(MOST_PAGE + 1e-6)
  .required();

const lost = number().min(0).max(LARGEST_SIDE).required();
const small = number()
  .min(SMALLEST_SIDE - 1e-6)
  .max(sheetStart.mostSide + 1e-6)
  .required();

const SCHEMAS: Record<ProductName, ObjectSchema<AnyObject>> = {
  layout: object({ kind: string().oneOf(['layout']).required() }).noUnknown(),
  card: object({
    kind: string().oneOf(['card']).required(),
    width: side,
    height: side,
    fold: string().oneOf(Object.keys(FOLDINGS)).required(),
    envelope: boolean(),
  }).noUnknown(),
  calendar: object({
    kind: string().oneOf(['calendar']).required(),
    width: leaf,
    height: leaf,
    form: string().oneOf(Object.keys(CALENDAR_FORMS)).required(),
    year: number().integer().min(FIRST_YEAR).max(LAST_YEAR).required(),
    month: number().integer().min(1).max(12).required(),
    months: number().integer().min(1).max(MOST_MONTHS).required(),
    language: language.required(),
    weekStart: number().integer().min(1).max(7).required(),
    cover: boolean(),
    notes: boolean(),
    binding: object({
      by: string().oneOf(Object.keys(BINDINGS)).required(),
      at: string().oneOf(['top', 'left']).required(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
    inks: array(array(string().matches(HEX_COLOUR).required()).length(4).required())
      .length(12)
      .default(undefined)
      .optional(),
    leapDay: string().oneOf(['february', 'march']).required(),
  }).noUnknown(),
  book: object({
    kind: string().oneOf(['book']).required(),
    width: page,
    height: page,
    binding: string().oneOf(Object.keys(BOOK_BINDINGS)).required(),
    paper: string().oneOf(Object.keys(BOOK_PAPERS)).required(),
    spreads: array(
      string()
        .matches(/^spread-[1-9]\d{0,8}$/)
        .required(),
    )
      .min(1)
      .max(MOST_SPREADS)
      .test('once', '${path} names a spread twice', (all) => new Set(all).size === (all?.length ?? 0))
      .required(),
    flaps: boolean(),
    design: string().min(1).max(LONGEST_DESIGN),
  }).noUnknown(),
  sheet: object({
    kind: string().oneOf(['sheet']).required(),
    width: leaf,
    height: leaf,
    lost: object({ top: lost, right: lost, bottom: lost, left: lost }).noUnknown().required(),
    gap: number().min(0).max(MOST_GAP).required(),
    straight: boolean().required(),
    things: array(
      object({
        part: string()
          .matches(/^thing-[1-9]\d{0,8}$/)
          .required(),
        width: small,
        height: small,
        count: number().integer().min(0).max(MOST_COUNT).required(),
        back: boolean().oneOf([true]),
        upright: boolean().oneOf([true]),
        bleed: number().min(0).max(MOST_BLEED),
      })
        .noUnknown()
        .required(),
    )
      .min(1)
      .max(MOST_THINGS)
      .test(
        'once',
        '${path} names a card twice',
        (all) => new Set(all?.map(({ part }) => part)).size === (all?.length ?? 0),
      )
      .required(),
    stock: string().oneOf(Object.keys(STOCKS)),
    pinned: array(
      object({
        part: string()
          .matches(/^thing-[1-9]\d{0,8}$/)
          .required(),
        sheet: number().integer().min(0).max(LAST_PINNED).required(),
        x: number().min(0).max(LARGEST_SIDE).required(),
        y: number().min(0).max(LARGEST_SIDE).required(),
        turned: boolean().oneOf([true]),
      })
        .noUnknown()
        .required(),
    )
      .min(1)
      .max(MOST_PINNED),
  })
    .noUnknown()
    .test('printable', '${path} leaves no paper to print on', (given) => isPrintable(given as SheetProduct)),
};

export const productSchema = byKind(SCHEMAS, 'product');
