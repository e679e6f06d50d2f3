/** All days in one long row between two rules, each under the letter of its weekday. */
import { daysOf } from '@/core/piece/material/month/weeks';
import { runsLeft } from '@/core/dates/names';
import type { MonthLayout } from '@/core/piece/material/month/layout';

export const row: MonthLayout = {
  name: 'One row',
  says: 'a strip along the foot of a page',
  lay(month, box) {
    const days = daysOf(month);
    const width = box.width / days.length;
    const named = month.headLength !== 'none';
    const split = box.y + box.height * (named ? 0.42 : 0);
    const size = Math.min(width * 0.72, (box.y + box.height - split) * 0.8) * month.numberScale;
    const head = Math.min(width * 0.6, box.height * 0.3) * month.headScale;
    const middles = days.map((_, i) => box.x + (runsLeft(month.language) ? days.length - 1 - i : i) * width);
    return {
      days: days.map(({ cell }, i) => ({
        ...{ cell, notes: null, box: { x: middles[i]!, y: box.y, width, height: box.height } },
        number: {
          ...{ x: middles[i]! + width / 2, y: (split + box.y + box.height) / 2, at: 'middle', size },
        },
      })),
      heads: named
        ? days.map(({ weekday }, i) => ({
            weekday,
            spot: {
              ...{ x: middles[i]! + width / 2, y: box.y + box.height * 0.24, at: 'middle' },
              ...{ size: head, room: width * 0.94 },
            },
          }))
        : [],
      weeks: [],
      rules: [
        [box.x, box.y, box.x + box.width, box.y],
        [box.x, box.y + box.height, box.x + box.width, box.y + box.height],
      ],
    };
  },
};
