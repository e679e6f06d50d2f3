/** Ruled boxes, the number in a corner, room beneath it for what the day is. */
import { runsLeft } from '@/core/dates/names';
import { halfOf, inWeeks, ruled } from '@/core/piece/material/month/weeks';
import type { DayPlace, MonthLayout } from '@/core/piece/material/month/layout';

export const boxes: MonthLayout = {
  name: 'Boxes',
  says: 'ruled, with room to write in',
  weeks: true,
  lay(month, box) {
    const weeks = inWeeks(month, box);
    const { width, height } = weeks;
    const size = month.numberScale * 0.44 * Math.min(width, height);
    const air = Math.min(width, height) * 0.08;
    const written = month.noteScale * 0.125 * Math.min(width, height);
    const rightToLeft = runsLeft(month.language);
    const days = weeks.places.map(({ cell, box, half }): DayPlace => {
      const own = half ? halfOf(box, half) : box;
      const tall = half ? size * 0.7 : size;
      const low = half === 'lower';
      const start = low !== rightToLeft ? own.x + own.width - air : own.x + air;
      const y = low ? own.y + own.height - air - tall * 0.36 : own.y + air + tall * 0.36;
      const under = own.y + (low ? air : air * 1.5 + tall * 0.78);
      const room = own.y + own.height - under - air - (low ? tall * 0.8 : 0);
      return {
        ...{ cell, box: own },
        number: { x: start, y, at: low !== rightToLeft ? 'end' : 'start', size: tall },
        notes:
          room > 0
            ? {
                x: own.x + air,
                y: under,
                width: own.width - 2 * air,
                height: room,
                size: written,
                align: rightToLeft ? 'right' : 'left',
              }
            : null,
      };
    });
    return { days, heads: weeks.heads, weeks: weeks.weeks, rules: ruled(weeks) };
  },
};
