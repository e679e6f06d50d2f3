/** Pictures of what was gathered, for lists and for looking closely. */
import { useEffect, useRef, useState } from 'react';
import { smallBlob } from '@/storage/assets';

/** Pictures read beside each other. */
const AT_ONCE = 12;
/** Milliseconds between looks at what was read so far. */
const SHOW_EVERY = 250;
/** Pictures that stay at hand though they are not asked for any more. */
const MOST_KNOWN = 200;

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
      setThumbs((shown) =>
        shown.size === known.current.size && [...shown.keys()].every((sha) => known.current.has(sha))
          ? shown
          : new Map(known.current),
      );
    void (async () => {
      let shown = performance.now();
      const wanted = shas.filter((sha) => !known.current.has(sha));
      for (let at = 0; at < wanted.length; at += AT_ONCE) {
        const blobs = await Promise.all(wanted.slice(at, at + AT_ONCE).map(read));
        if (gone) return;
        blobs.forEach((blob, i) => blob && known.current.set(wanted[at + i]!, URL.createObjectURL(blob)));
        if (performance.now() - shown < SHOW_EVERY) continue;
        shown = performance.now();
        show();
      }
      if (gone) return;
      const asked = new Set(shas);
      const spare = [...known.current.keys()].filter((sha) => !asked.has(sha));
      for (const sha of spare.slice(0, Math.max(0, spare.length - MOST_KNOWN))) {
        URL.revokeObjectURL(known.current.get(sha)!);
        known.current.delete(sha);
      }
      show();
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
