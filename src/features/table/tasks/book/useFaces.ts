/** Faces of photos that nobody looked at yet, found while one chooses; the project knows them from then on. */
import { useEffect, useState } from 'react';
import type { Box } from '@/core/geometry/box';
import type { Asset } from '@/core/picture/asset';
import { knowFaces } from '@/core/project/edits/faces';
import { facesIn } from '@/features/shared/faces';
import { useRoom } from '@/features/table/room/context';
import { screenBlob } from '@/storage/assets';

/** Photos that were looked at in vain: they are not tried again. */
const unreadable = new Set<string>();

/** How many are still to be looked at; null when all are known, or it is off. It `begins` when nothing waits for what it takes. */
export function useFaces(photos: readonly Asset[], on: boolean, begins: boolean): number | null {
  const { store } = useRoom();
  const [looked, setLooked] = useState<{ of: string; left: number } | null>(null);
  const unknown = photos.filter(({ sha, faces }) => !faces && !unreadable.has(sha));
  const key = on ? unknown.map(({ sha }) => sha).join(' ') : '';
  useEffect(() => {
    if (!key || !begins) return;
    let gone = false;
    void (async () => {
      const found = new Map<string, Box[]>();
      const queue = key.split(' ');
      let count = queue.length;
      const work = async () => {
        for (let sha = queue.shift(); sha && !gone; sha = queue.shift()) {
          const blob = await screenBlob(sha).catch(() => undefined);
          const faces = blob && (await facesIn(blob).catch(() => undefined));
          if (faces) found.set(sha, faces);
          else unreadable.add(sha);
          count -= 1;
          if (!gone) setLooked({ of: key, left: count });
        }
      };
      // While one is looked at, the next is read and decoded.
      await Promise.all([work(), work()]);
      // It is no step of its own: nothing is seen of it until something is laid.
      if (found.size) store.getState().amend(knowFaces(found));
    })();
    return () => {
      gone = true;
    };
  }, [key, store, begins]);
  if (!key) return null;
  return looked?.of === key ? looked.left : unknown.length;
}
