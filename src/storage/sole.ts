/**
 * Two versions of the program never write one store. Whoever opens it holds a lock that is shared by tabs of its own build; a
 * tab of another build waits until those have gone (Web Locks API, W3C). Nothing of the store is read or written before.
 */

import { watched } from '@/core/watched';

/** Names this build; the same for all that is compiled at once. */
const BUILD = process.env.BELLAGRAPH_BUILD ?? 'unbuilt';
const PREFIX = 'bellagraph program ';
const DOOR = 'bellagraph door';

/** Whether a tab of another version is in the way. */
export const otherVersion = watched(false);

/** Resolves once no other version has the store, and none can come to it as long as this page lives. */
export async function alone(locks: LockManager | undefined, build = BUILD): Promise<void> {
  // Without a safe context there are none, and no service worker by which versions could meet.
  if (!locks) return;
  for (;;) {
    // One at a time looks who is there, and says that it is.
    const other = await locks.request(DOOR, async () => {
      const { held = [] } = await locks.query();
      const found = held.find(({ name }) => name?.startsWith(PREFIX) && name !== PREFIX + build);
      if (found) return found.name!;
      await new Promise<void>((got) => {
        void locks.request(PREFIX + build, { mode: 'shared' }, () => {
          got();
          return new Promise<never>(() => {});
        });
      });
      return null;
    });
    otherVersion.say(other !== null);
    if (!other) return;
    await locks.request(other, () => {});
  }
}
