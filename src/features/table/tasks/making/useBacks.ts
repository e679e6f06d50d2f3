/** How backs come onto the paper of one's own printer, kept in this browser. */
import { useState } from 'react';
import { number, object, string } from 'yup';
import { toPoints } from '@/core/units/lengths';
import type { PaperWishes } from '@/core/packing/on-paper';

const KEY = 'bellagraph backs';
/** Farther off than this nothing is made good, points. */
export const MOST_OFF = toPoints(15, 'mm');
const FIRST: PaperWishes = { over: 'sideways', off: { x: 0, y: 0 }, plan: false };

const far = number().min(-MOST_OFF).max(MOST_OFF).required();
const schema = object({
  over: string().oneOf(['sideways', 'over']).required(),
  off: object({ x: far, y: far }).noUnknown().required(),
}).noUnknown();

function kept(): PaperWishes {
  try {
    return {
      ...FIRST,
      ...schema.validateSync(JSON.parse(localStorage.getItem(KEY) ?? ''), { strict: true }),
    };
  } catch {
    return FIRST;
  }
}

export function useBacks(): [PaperWishes, (change: Partial<PaperWishes>) => void] {
  const [wishes, setWishes] = useState(kept);
  const change = (some: Partial<PaperWishes>) => {
    const next = { ...wishes, ...some };
    setWishes(next);
    try {
      localStorage.setItem(KEY, JSON.stringify({ over: next.over, off: next.off }));
    } catch {
      // A full store keeps it for this time alone.
    }
  };
  return [wishes, change];
}
