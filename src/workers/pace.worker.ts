/** The yardstick: a fixed amount of arithmetic beside the work that is measured, which gets as much of the processor as that does. */
import { expose } from 'comlink';

const STEPS = 60_000_000;

/** Milliseconds it takes at the moment. */
function measured(): number {
  const from = performance.now();
  let mixed = 1;
  for (let i = 0; i < STEPS; i++) mixed = (Math.imul(mixed, 1664525) + 1013904223) | 0;
  // What comes of it is looked at, or it need not be worked out at all.
  return mixed === 0 ? 0 : performance.now() - from;
}

const yardstick = { measured };
export type Yardstick = typeof yardstick;
expose(yardstick);
