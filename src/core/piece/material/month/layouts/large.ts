/** Numbers as large as their boxes let them, nothing else: over a picture. */
import { inTheMiddle, inWeeks } from '@/core/piece/material/month/weeks';
import type { MonthLayout } from '@/core/piece/material/month/layout';

export const large: MonthLayout = {
  name: 'Large',
  says: 'numbers alone, as large as there is room',
  weeks: true,
  lay(month, box) {
    const weeks = inWeeks(month, box);
    const size = month.numberScale * Math.min(weeks.width * 0.78, weeks.height * 1.3);
    return {
      ...{
        days: weeks.places.map(inTheMiddle(size, month)),
        heads: weeks.heads,
        weeks: weeks.weeks,
        rules: [],
      },
    };
  },
};
