/** Pictures of what was gathered, for lists and for looking closely. */
import { useEffect, useRef, useState } from 'react';
import { smallBlob } from '@/storage/assets';

/** Milliseconds between looks at what was read so far. */
const SHOW_EVERY = 250;

/** Addresses of pictures out of the store, small ones if nothing else is said; `read` must stay the same function. */
export function useThumbs(
  shas: readonly string[],
  read: (sha: string) => Promise<Blob | undefined> = smallBlob,
): ReadonlyMap<string, string> {
  const [thumbs, setThumbs] = useState<ReadonlyMap<string, string>>(new Map());
  const known = useRef(new Map<string, string>());
  useEffect(() => {
    let gone = false;
    const show = () =>
      setThumbs((shown) => (shown.size === known.current.size ? shown : new Map(known.current)));
    void (async () => {
      let shown = performance.now();
      for (const sha of shas) {
        if (gone) return;
        if (known.current.has(sha)) continue;
        const blob = await read(sha);
        if (!blob) continue;
        known.current.set(sha, URL.createObjectURL(blob));
        if (performance.now() - shown < SHOW_EVERY) continue;
        shown = performance.now();
        show();
      }
      if (!gone) show();
    })();
    return () => {
      gone = true;
    };
  }, [shas, read]);
  useEffect(() => {
    const addresses = known.current;
    return () => {
      addresses.forEach((address) => URL.revokeObjectURL(address));
      addresses.clear();
    };
  }, []);
  return thumbs;
}
