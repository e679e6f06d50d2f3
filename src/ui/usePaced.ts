/** A value that changes often, told no more often than every `pace` milliseconds; 0 tells each at once. */
import { useEffect, useRef, useState } from 'react';

export function usePaced<T>(value: T, pace: number): T {
  const [told, setTold] = useState(value);
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  }, [value]);
  useEffect(() => {
    if (!pace) return;
    const timer = setInterval(() => setTold(latest.current), pace);
    return () => clearInterval(timer);
  }, [pace]);
  // What was told before it was paced is where it goes on from.
  if (!pace && told !== value) setTold(value);
  return pace ? told : value;
}
