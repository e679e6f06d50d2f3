/** Tucking: which crossings of the selected piece pass over and which beneath. */
import { tuckAt, type Crossing } from '@/core/page/tuck';
import { setTucks } from '@/core/project/edits/pile';
import type { SessionStore } from '@/features/table/room/session';

/** Whether the selected piece passes over the other at a crossing. */
export const passesOver = ({ upper, tuck }: Crossing, id: string): boolean => (upper.id === id) === !tuck;

/** Lets the upper piece pass beneath the other at this crossing, or over it again. */
export function turnCrossing(store: SessionStore, { upper, tuck, ...rest }: Crossing): void {
  const { perform, surfaceId } = store.getState();
  const tucks = upper.tucks ?? [];
  perform(
    setTucks(
      surfaceId,
      upper,
      tuck ? tucks.filter((each) => each !== tuck) : [...tucks, tuckAt({ upper, tuck, ...rest })],
    ),
  );
}
