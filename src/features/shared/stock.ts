/** The shipped kits go into the cupboard once a tab, before anything is looked up in it. */
import { drawn } from '@/features/shared/drawn';
import { stockHouse, type HouseList } from '@/storage/supplies';

let stocking: Promise<void> | undefined;

/** Kits that are still being drawn are not waited for: they come when they are there (`useStillDrawn`). */
export const houseStocked = (): Promise<void> =>
  (stocking ??= new Promise<void>((resolve, reject) => {
    drawn<HouseList, void>('/house/kits.json', stockHouse, resolve).then(resolve, (error: unknown) => {
      stocking = undefined;
      reject(error as Error);
    });
  }));
