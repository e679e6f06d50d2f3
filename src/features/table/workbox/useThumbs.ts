/** Small pictures of what was gathered, for lists. */
import { useEffect, useRef, useState } from 'react';
import { smallBlob } from '@/storage/assets';

/** Addresses of small pictures out of the store. */
export function useThumbs(shas: readonly string[]): ReadonlyMap<string, string> {
  const [thumbs, setThumbs] = useState<ReadonlyMap<string, string>>(new Map());
  const known = useRef(new Map<string, string>());
  useEffect(() => {
    let gone = false;
    void (async () => {
      let changed = false;
      for (const sha of shas) {
        if (known.current.has(sha)) continue;
        const blob = await smallBlob(sha);
        if (!blob) continue;
        known.current.set(sha, URL.createObjectURL(blob));
        changed = true;
      }
      if (changed && !gone) setThumbs(new Map(known.current));
    })();
    return () => {
      gone = true;
    };
  }, [shas]);
  useEffect(() => {
    const addresses = known.current;
    return () => {
      addresses.forEach((address) => URL.revokeObjectURL(address));
      addresses.clear();
    };
  }, []);
  return thumbs;
}
