/** Pages looked at as they will be printed. */
import { opens, type Command } from '@/features/table/tasks/command';

export const PROOF: readonly Command[] = [
  opens('Looking', '4', 'Proof', 'proof', {
    more: 'Pages as they will be printed, in the press’s colours, with what the checks found',
  }),
];
