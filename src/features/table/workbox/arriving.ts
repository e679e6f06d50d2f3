/** What reads files into the workbox and says where each goes: fetched with the first of them. */
import { KINDS } from '@/core/supplies/model';
import { cueOf, guessKind } from '@/core/supplies/sort';
import { countsInWords } from '@/core/project/edits/gather';
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
  return `${countsInWords(arrived)} in the workbox.`;
}
