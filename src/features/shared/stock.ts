/** The shipped kits go into the cupboard once a tab. */
import { drawn } from '@/features/shared/drawn';
import { onceATab } from '@/features/shared/once';
import { stockHouse, type HouseList } from '@/storage/supplies';

interface Stocking {
  /** What ships, as soon as it is known; null where it is still being drawn. */
  seen: Promise<HouseList | null>;
  /** Whether the cupboard holds others than before, once it holds them. */
  done: Promise<boolean>;
}

const stocking = onceATab(stock, ({ done }) => done);

function stock(): Stocking {
  let look: (list: HouseList | null) => void;
  const seen = new Promise<HouseList | null>((resolve) => {
    look = resolve;
  });
  const done = new Promise<boolean>((resolve, reject) => {
    drawn<HouseList, boolean>(
      '/house/kits.json',
      (list) => {
        look(list);
        return stockHouse(list);
      },
      // Kits that are still being drawn are not waited for: they come when they are there (`useStillDrawn`).
      () => {
        look(null);
        resolve(false);
      },
    ).then(resolve, (error: unknown) => {
      look(null);
      reject(error as Error);
    });
  });
  return { seen, done };
}

/** Whether others were put in than there were. */
export const houseStocked = (): Promise<boolean> => stocking().done;

/** What ships, before it lies in the store: on a first visit nobody waits for that. */
export const houseSeen = (): Promise<HouseList | null> => {
  const now = stocking();
  // Whoever asks for more hears why it failed.
  now.done.catch(() => {});
  return now.seen;
};
