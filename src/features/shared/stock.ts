/** The shipped kits go into the cupboard once a tab, before anything is looked up in it. */
import { stockHouse, type HouseList } from '@/storage/supplies';

let stocking: Promise<void> | undefined;

export const houseStocked = (): Promise<void> =>
  (stocking ??= (async () => {
    const answer = await fetch('/house/kits.json');
    if (answer.ok) await stockHouse((await answer.json()) as HouseList);
  })().catch((error: unknown) => {
    stocking = undefined;
    throw error;
  }));
