/** How much of a page is calm: where nothing changes much, the eye rests. */
import type { Field } from '@/core/proof/look-over/field';
import type { Measure } from '@/core/proof/look-over/measure';

/** About a place, of the field's pixels to each side; and how much lightness and colour may spread there, OKLab. */
const REACH = 2;
const STILL = 0.035;
/** A page with less air is crowded, one with more may look empty (common practice, no source: a third to two thirds). */
const [LEAST, MOST] = [0.2, 0.75];

/** 1 where it is calm. */
export function calmIn({ width, height, lab }: Field): Float64Array {
  return Float64Array.from({ length: width * height }, (_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    const sums = [0, 0, 0];
    const squares = [0, 0, 0];
    let count = 0;
    for (let py = Math.max(0, y - REACH); py <= Math.min(height - 1, y + REACH); py++)
      for (let px = Math.max(0, x - REACH); px <= Math.min(width - 1, x + REACH); px++, count++)
        for (let c = 0; c < 3; c++) {
          const value = lab[3 * (py * width + px) + c]!;
          sums[c]! += value;
          squares[c]! += value ** 2;
        }
    const spread = sums.reduce((all, sum, c) => all + squares[c]! / count - (sum / count) ** 2, 0);
    return Math.sqrt(Math.max(0, spread)) < STILL ? 1 : 0;
  });
}

export const CALM: Measure = {
  id: 'calm',
  name: 'Air',
  look({ field }) {
    const values = calmIn(field);
    const share = values.reduce((sum, value) => sum + value, 0) / values.length;
    const told =
      share < LEAST ? ': little for the eye to rest on' : share > MOST ? ': there is room for more' : '';
    return {
      says: `${Math.round(100 * share)} % of the page is calm${told}.`,
      shows: { kind: 'map', width: field.width, height: field.height, values },
    };
  },
};
