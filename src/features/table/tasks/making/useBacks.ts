/** How backs come onto the paper of one's own printer, kept in this browser. */
import { boolean, number, object, string } from 'yup';
import { toPoints } from '@/core/units/lengths';
import type { PaperWishes } from '@/core/packing/on-paper';
import { useKept } from '@/ui/useKept';

/** Farther off than this nothing is made good, points. */
export const MOST_OFF = toPoints(15, 'mm');
const FIRST: PaperWishes = { over: 'sideways', off: { x: 0, y: 0 }, plan: false };

const far = number().min(-MOST_OFF).max(MOST_OFF).required();
const schema = object({
  over: string().oneOf(['sideways', 'over']).required(),
  off: object({ x: far, y: far }).noUnknown().required(),
  plan: boolean(),
}).noUnknown();

/** Whether a plan is wanted is asked each time. */
const read = (kept: unknown): PaperWishes => ({
  ...FIRST,
  ...schema.validateSync(kept, { strict: true }),
  plan: false,
});

export const useBacks = () => useKept('bellagraph backs', FIRST, read);
