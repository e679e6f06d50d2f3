/** Things that are lit alike are drawn alike: once for each of a few directions of the light, and placed many times. */
import type { Box } from '@/core/geometry/box';
import type { Matrix } from '@/core/geometry/matrix';
import type { Stamp, StampsMark, Tip } from '@/core/picture/picture';
import { stampsMark } from '@/core/trail/tip';

/** So many directions are told apart. */
const LIGHTS = 16;

/** Something that lies turned by `way` (radians): of which sort, and where. */
export interface Lit {
  sort: string;
  way: number;
  map: Matrix;
}

/** What was drawn for one light is the same object wherever it is drawn again: outputs hold it once. */
const drawn = new Map<string, { tip: Tip; box: Box }>();
const MOST_DRAWN = 2000;

/**
 * `make` draws a sort for light from an angle of its own frame (radians clockwise from the right); `of` says all that it
 * depends on.
 */
export function litStamps(
  of: string,
  all: readonly Lit[],
  light: number,
  make: (sort: string, from: number) => { tip: Tip; box: Box },
): StampsMark[] {
  const tips: Tip[] = [];
  const boxes: Box[] = [];
  const known = new Map<string, number>();
  const places = all.map(({ sort, way, map }): Stamp => {
    const steps = Math.round(((light - way) / (2 * Math.PI)) * LIGHTS);
    const bucket = ((steps % LIGHTS) + LIGHTS) % LIGHTS;
    const key = `${bucket} ${sort}`;
    let tip = known.get(key);
    if (tip === undefined) {
      tip = tips.length;
      known.set(key, tip);
      const whole = `${of} ${key}`;
      let made = drawn.get(whole);
      if (!made) {
        if (drawn.size >= MOST_DRAWN) drawn.clear();
        drawn.set(whole, (made = make(sort, (2 * Math.PI * bucket) / LIGHTS)));
      }
      tips.push(made.tip);
      boxes.push(made.box);
    }
    return { tip, map };
  });
  return stampsMark(tips, boxes, places);
}
