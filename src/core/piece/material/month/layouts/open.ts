/** Numbers in open rows beneath one rule: small months, and months over a picture's quiet part. */
import { inTheMiddle, inWeeks } from '@/core/piece/material/month/weeks';
import type { MonthLayout } from '@/core/piece/material/month/layout';

export const open: MonthLayout = {
  name: 'Open',
  says: 'numbers in rows, one rule under the weekdays',
  weeks: true,
  lay(month, box) {
    const weeks = inWeeks(month, box);
    const { width, height, left, top } = weeks;
    const size = month.numberScale * Math.min(width * 0.7, height * 0.95);
    return {
      ...{ days: weeks.places.map(inTheMiddle(size, month)), heads: weeks.heads, weeks: weeks.weeks },
      rules: weeks.heads.length ? [[left, top, left + 7 * width, top]] : [],
    };
  },
};
