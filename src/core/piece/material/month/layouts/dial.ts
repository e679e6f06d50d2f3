/** The days round a dial, its month in the middle. */
import { daysOf } from '@/core/piece/material/month/weeks';
import type { MonthLayout } from '@/core/piece/material/month/layout';

export const dial: MonthLayout = {
  name: 'Dial',
  says: 'round, the first day at the top',
  lay(month, box) {
    const days = daysOf(month);
    const radius = Math.min(box.width, box.height) / 2;
    const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
    const step = 360 / days.length;
    const wide = (2 * Math.PI * radius * 0.9) / days.length;
    const size = Math.min(wide * 0.8, radius * 0.16) * month.numberScale;
    const head = wide * 0.55 * month.headScale;
    const at = (i: number, share: number) => {
      const angle = ((i * step - 90) * Math.PI) / 180;
      return { x: cx + Math.cos(angle) * radius * share, y: cy + Math.sin(angle) * radius * share };
    };
    return {
      days: days.map(({ cell }, i) => {
        const { x, y } = at(i, 0.9);
        return {
          ...{ cell, notes: null, box: { x: x - wide / 2, y: y - wide / 2, width: wide, height: wide } },
          number: { x, y, at: 'middle', size, turn: i * step },
        };
      }),
      heads:
        month.headLength === 'none'
          ? []
          : days.map(({ weekday }, i) => ({
              weekday,
              spot: { ...at(i, 0.76), at: 'middle', size: head, turn: i * step, room: wide * 0.84 * 0.94 },
            })),
      weeks: [],
      rules: [],
      title: { x: cx, y: cy, at: 'middle', size: radius * 0.2, room: radius * 1.2 },
    };
  },
};
