/** What reads files into the workbox and says where each goes: fetched with the first of them. */
import { KINDS } from '@/core/supplies/model';
import { cueOf, guessKind } from '@/core/supplies/sort';
import type { Compartment } from '@/core/project/model';
import type { Arrived } from '@/features/shared/bringIn';

export { bringIn, describeTrouble } from '@/features/shared/bringIn';

/** Where a picture dropped on the table goes: a full one is a photo unless its name says paper. */
export const compartmentOf = (arrived: Arrived): Compartment => {
  const { kind } = guessKind({ ...arrived, look: arrived.facts.look });
  const { compartment = 'bits' } = KINDS[kind];
  const full = arrived.facts.look.clear < 0.01;
  const named = cueOf(arrived.path);
  return full && compartment !== 'stamps' && named !== 'paper' && named !== 'cardstock'
    ? 'photos'
    : compartment;
};

/** `3 photos and 2 frames in the workbox.` */
export function inWords(arrived: readonly Compartment[]): string {
  const counts = new Map<Compartment, number>();
  for (const name of arrived) counts.set(name, (counts.get(name) ?? 0) + 1);
  const parts = [...counts].map(([name, count]) => `${count} ${count === 1 ? name.slice(0, -1) : name}`);
  return `${parts.join(', ').replace(/, ([^,]*)$/, ' and $1')} in the workbox.`;
}
