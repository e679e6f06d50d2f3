/** Workers of a sheet's own: begun when first asked, let go when it is closed. */
import { useEffect, useState } from 'react';
import { Hands } from '@/workers/hands';

/** @param begin the same function every time */
export function useHands<Api>(begin: () => Worker): Hands<Api> {
  const [hands] = useState(() => new Hands<Api>(begin, 1));
  useEffect(() => () => hands.letGo(), [hands]);
  return hands;
}
