/** Months set in weeks: seven columns, as many rows as it takes. */
import type { Box } from '@/core/geometry/box';
import { isoWeekOf, numberOf, weekdayOf, weekFrom, weeksOf, type Cell } from '@/core/dates/days';
import { runsLeft } from '@/core/dates/names';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import type { DayPlace, Laid } from '@/core/piece/material/month/layout';

export interface Place {
  cell: Cell;
  box: Box;
  /** It shares its box with the day a week before or after it. */
  half?: 'upper' | 'lower';
}

interface Weeks {
  places: Place[];
  /** One day of the week: its size. */
  width: number;
  height: number;
  heads: Laid['heads'];
  weeks: Laid['weeks'];
  /** Where the rows begin. */
  top: number;
  left: number;
  rows: number;
}

/** How tall the row of heads is, as a share of a column's width, for heads of full size. */
const HEAD_ROW = 0.26;

/** The weeks of a month in a box. */
export function inWeeks(month: MonthMaterial, box: Box): Weeks {
  const { weekStart, sixth, headLength, headScale, weekNumbers, language } = month;
  const all = month.week === undefined ? weeksOf(month, weekStart) : [weekOf(month)];
  const split = sixth === 'split' && all.length > 5;
  const least = month.week === undefined ? { six: 6, split: 5, grow: 0 }[sixth] : 1;
  const rows = split ? 5 : Math.max(all.length, least);
  const margin = weekNumbers ? box.width / 16 : 0;
  const rightToLeft = runsLeft(language);
  const left = box.x + (rightToLeft ? 0 : margin);
  const width = (box.width - margin) / 7;
  // In a flat box heads leave the most of it to the days.
  const headSize = headScale * Math.min(width * HEAD_ROW, box.height * 0.09);
  const top = box.y + (headLength === 'none' ? 0 : headSize * 1.5);
  const height = (box.y + box.height - top) / rows;
  const xOf = (column: number) => left + (rightToLeft ? 6 - column : column) * width;
  const places = all.flatMap((week, row): Place[] =>
    week.map((cell, column) => {
      const shared = split && row >= 4 && all[row === 4 ? 5 : 4]![column]!.of === 0 && cell.of === 0;
      const at = { x: xOf(column), y: top + Math.min(row, rows - 1) * height, width, height };
      return {
        cell,
        box: at,
        ...(shared ? { half: row === 4 ? ('upper' as const) : ('lower' as const) } : {}),
      };
    }),
  );
  // Of a week that has no row of its own only the month's days are shown.
  const shown = places.filter(({ cell }, i) => !split || i < 35 || cell.of === 0);
  const middles = Array.from({ length: 7 }, (_, column) => xOf(column) + width / 2);
  return {
    ...{ places: shown, width, height, top, left, rows },
    heads:
      headLength === 'none'
        ? []
        : middles.map((x, column) => ({
            weekday: ((weekStart - 1 + column) % 7) + 1,
            spot: { x, y: box.y + headSize * 0.6, at: 'middle', size: headSize, room: width * 0.94 },
          })),
    weeks: weekNumbers
      ? all.slice(0, rows).map((week, row) => ({
          // A week is called by its Thursday, whatever day it begins with.
          week: isoWeekOf(week.find(({ number }) => weekdayOf(number) === 4)!.number).week,
          spot: {
            x: rightToLeft ? box.x + box.width - margin / 2 : box.x + margin / 2,
            y: top + (row + 0.5) * height,
            at: 'middle',
            size: Math.min(headSize, margin * 0.45),
          },
        }))
      : [],
  };
}

/** The rules between all boxes and round them. */
export function ruled({ left, top, width, height, rows, places }: Weeks): Laid['rules'] {
  const [right, foot] = [left + 7 * width, top + rows * height];
  return [
    ...Array.from({ length: rows + 1 }, (_, i) => [left, top + i * height, right, top + i * height] as const),
    ...Array.from({ length: 8 }, (_, i) => [left + i * width, top, left + i * width, foot] as const),
    ...places.flatMap(({ half, box }) =>
      half === 'lower' ? [[box.x, box.y + box.height, box.x + box.width, box.y] as const] : [],
    ),
  ];
}

/** Numbers in the middle of their boxes; where there is room they stand higher, and what the day is beneath them. */
export const inTheMiddle =
  (size: number, { noteScale }: MonthMaterial) =>
  ({ cell, box, half }: Place): DayPlace => {
    const { x, y, width, height } = box;
    const by = half === 'upper' ? -0.24 : half === 'lower' ? 0.24 : 0;
    const written = Math.min(width * 0.19, height * 0.16) * noteScale;
    const roomy = !half && height - size * 0.8 > 2.4 * written;
    const middle = roomy ? (height - 2.4 * written) / 2 : height * (0.5 + by);
    const under = middle + size * 0.42;
    return {
      ...{ cell, box: half ? halfOf(box, half) : box },
      number: {
        ...{ x: x + width * (0.5 + by), y: y + middle, at: 'middle' },
        size: half ? size * 0.62 : size,
      },
      notes: roomy
        ? { x, y: y + under, width, height: height - under, size: written, align: 'centre' }
        : null,
    };
  };

export const halfOf = ({ x, y, width, height }: Box, half: 'upper' | 'lower'): Box => ({
  ...{ x, y: half === 'upper' ? y : y + height / 2, width, height: height / 2 },
});

/** The week a material shows that shows no more. */
const weekOf = ({ year, month, week = 1 }: MonthMaterial): Cell[] =>
  weekFrom(numberOf({ year, month, day: 1 }) + week - 1);

/** The days of a month one after the other; a perpetual month has a 29th of February. */
export function daysOf(month: MonthMaterial): { cell: Cell; weekday: number }[] {
  if (month.week !== undefined)
    return weekOf(month).map((cell) => ({ cell, weekday: weekdayOf(cell.number) }));
  const of = month.perpetual ? { year: PERPETUAL_YEAR, month: month.month } : month;
  return weeksOf(of, 1)
    .flat()
    .filter((cell) => cell.of === 0)
    .map((cell) => ({ cell, weekday: weekdayOf(cell.number) }));
}

/** A leap year stands for all years. */
export const PERPETUAL_YEAR = 2000;
