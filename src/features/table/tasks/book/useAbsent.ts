/** Photos whose files are gone from this browser: they cannot be seen, and are not laid. */
import { useEffect, useState } from 'react';
import { absentOf } from '@/storage/assets';

const NONE: ReadonlySet<string> = new Set();

export function useAbsent(shas: readonly string[]): ReadonlySet<string> {
  const [absent, setAbsent] = useState(NONE);
  const key = shas.join(' ');
  useEffect(() => {
    let gone = false;
    void absentOf(key ? key.split(' ') : [])
      .then(
        (found) => !gone && setAbsent((before) => (found.length || before.size ? new Set(found) : before)),
      )
      .catch(() => {});
    return () => {
      gone = true;
    };
  }, [key]);
  return absent;
}
