/** A day a line, with a rule to write on: birthdays, a family's plans. */
import { runsLeft } from '@/core/dates/names';
import { daysOf } from '@/core/piece/material/month/weeks';
import type { MonthLayout } from '@/core/piece/material/month/layout';

export const column: MonthLayout = {
  name: 'Lines',
  says: 'a day a line, to write on',
  lay(month, box) {
    const days = daysOf(month);
    const height = box.height / days.length;
    const size = height * 0.72 * month.numberScale;
    const named = month.headLength !== 'none' && !month.perpetual;
    const rightToLeft = runsLeft(month.language);
    // From the side on which one begins to read.
    const from = (by: number) => (rightToLeft ? box.x + box.width - by : box.x + by);
    const indent = size * (named ? 3.6 : 1.7);
    return {
      days: days.map(({ cell }, i) => {
        const y = box.y + i * height;
        const room = { y: y + height * 0.16, width: box.width - indent, height: height * 0.84 };
        return {
          ...{ cell, box: { x: box.x, y, width: box.width, height } },
          number: { x: from(size * 1.25), y: y + height * 0.55, at: rightToLeft ? 'start' : 'end', size },
          notes: {
            ...room,
            x: rightToLeft ? box.x : box.x + indent,
            size: height * 0.5 * month.noteScale,
            align: rightToLeft ? 'right' : 'left',
          },
        };
      }),
      heads: named
        ? days.map(({ weekday }, i) => ({
            weekday,
            spot: {
              ...{ x: from(size * 1.7), y: box.y + (i + 0.55) * height, at: rightToLeft ? 'end' : 'start' },
              size: size * 0.62 * month.headScale,
            },
          }))
        : [],
      weeks: [],
      rules: days.map((_, i) => {
        const y = box.y + (i + 1) * height;
        return [box.x, y, box.x + box.width, y] as const;
      }),
    };
  },
};
