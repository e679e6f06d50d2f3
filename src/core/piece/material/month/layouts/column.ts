/** A day a line, with a rule to write on: birthdays, a family's plans. */
import { runsLeft } from '@/core/dates/names';
import { daysOf } from '@/core/piece/material/month/weeks';
import type { MonthLayout } from '@/core/piece/material/month/layout';

/** How far apart lines to write on lie, points: a little over a quarter of an inch. */
const RULED = 20;

export const column: MonthLayout = {
  name: 'Lines',
  says: 'a day a line, to write on',
  lay(month, box) {
    const days = daysOf(month);
    // In a wide box they stand in two columns: lines too low to write on help nobody.
    const columns = box.width > box.height * 1.1 ? 2 : 1;
    const rows = Math.ceil(days.length / columns);
    const gap = columns > 1 ? box.width * 0.05 : 0;
    const width = (box.width - gap * (columns - 1)) / columns;
    const height = box.height / rows;
    // The tall lines of a week are ruled again, to write on.
    const ruled = month.week === undefined ? 1 : Math.max(1, Math.round(height / RULED));
    const apart = height / ruled;
    const size = Math.min(apart * (ruled > 1 ? 1 : 0.72), width * 0.16) * month.numberScale;
    // On the first of its rules.
    const middle = ruled > 1 ? apart * 0.9 - size * 0.36 : height * 0.55;
    const named = month.headLength !== 'none' && !month.perpetual;
    const rightToLeft = runsLeft(month.language);
    // What is written on a line begins beside the heads, but under them where a line is ruled again.
    const indent = size * (named ? (month.headLength === 'long' && ruled === 1 ? 5.4 : 3.6) : 1.7);
    const lines = days.map((day, i) => {
      const column = Math.floor(i / rows);
      const x = box.x + (rightToLeft ? columns - 1 - column : column) * (width + gap);
      return { ...day, x, y: box.y + (i % rows) * height };
    });
    // From the side on which one begins to read.
    const from = (x: number, by: number) => (rightToLeft ? x + width - by : x + by);
    return {
      days: lines.map(({ cell, x, y }) => ({
        ...{ cell, box: { x, y, width, height } },
        number: { x: from(x, size * 1.25), y: y + middle, at: rightToLeft ? 'start' : 'end', size },
        notes: {
          ...{ x: rightToLeft ? x : x + indent, y: y + (ruled > 1 ? apart * 1.15 : height * 0.16) },
          ...{
            width: width - indent,
            height: ruled > 1 ? height - apart * 1.15 : height * 0.84,
            size: Math.min(apart * 0.5, size) * month.noteScale,
          },
          align: rightToLeft ? 'right' : 'left',
        },
      })),
      heads: named
        ? lines.map(({ weekday, x, y }) => ({
            weekday,
            spot: {
              ...{ x: from(x, size * 1.7), y: y + middle, at: rightToLeft ? 'end' : 'start' },
              ...{ size: size * 0.62 * month.headScale, room: (ruled > 1 ? width : indent) - size * 1.9 },
            },
          }))
        : [],
      weeks: [],
      rules: lines.flatMap(({ x, y }) =>
        Array.from({ length: ruled }, (_, i) => {
          const at = y + (height * (i + 1)) / ruled;
          return [x, at, x + width, at] as const;
        }),
      ),
    };
  },
};
