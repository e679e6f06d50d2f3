/** What every kind of product begins with, for Home, which need not know what becomes of it. */
import { bookStart } from '@/core/product/book/start';
import { calendarStart } from '@/core/product/calendar/start';
import { cardStart } from '@/core/product/card/start';
import type { ProductName } from '@/core/product';
import { sheetStart } from '@/core/product/sheet/start';
import { layoutStart } from '@/core/product/layout';
import type { ProductStart } from '@/core/product/product';

export const STARTS: { [K in ProductName]: ProductStart<K> } = {
  layout: layoutStart,
  card: cardStart,
  calendar: calendarStart,
  book: bookStart,
  sheet: sheetStart,
};
export const PRODUCT_NAMES = Object.keys(STARTS) as ProductName[];
