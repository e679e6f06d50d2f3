/** Which way text runs (Unicode Standard Annex #9, by bidi-js), and the order in which its stretches stand on a line. */
import bidiFactory from 'bidi-js';

let bidi: ReturnType<typeof bidiFactory> | undefined;

/** Whether any character can make text run from right to left: Hebrew, Arabic and their kin, and marks that say so. */
const TURNS =
  /[\u0590-\u08ff\u200f\u202a-\u202e\u2066-\u2069\ufb1d-\ufdff\ufe70-\ufefc\ud802\ud803\ud83a\ud83b]/;

export interface Levels {
  /** Of the paragraph: odd where it runs from right to left. */
  base: number;
  /** For each UTF-16 unit; odd ones run from right to left. */
  of(at: number): number;
}

const LEFT_TO_RIGHT: Levels = { base: 0, of: () => 0 };

/** Embedding levels of one paragraph (rules P2 to I2). */
export function levelsOf(paragraph: string): Levels {
  if (!TURNS.test(paragraph)) return LEFT_TO_RIGHT;
  const { levels, paragraphs } = (bidi ??= bidiFactory()).getEmbeddingLevels(paragraph);
  return { base: paragraphs[0]?.level ?? 0, of: (at) => levels[at]! };
}

/** Stretches of one line, given in reading order, in the order they stand from left to right (rule L2). */
export function inVisualOrder<T extends { level: number }>(stretches: readonly T[]): T[] {
  const order = [...stretches];
  const levels = order.map(({ level }) => level);
  const highest = Math.max(0, ...levels);
  const lowestOdd = Math.min(...levels.filter((level) => level % 2 === 1), Infinity);
  for (let level = highest; level >= lowestOdd; level--)
    for (let from = 0; from < order.length; from++) {
      if (order[from]!.level < level) continue;
      let to = from;
      while (to + 1 < order.length && order[to + 1]!.level >= level) to++;
      order.splice(from, to - from + 1, ...order.slice(from, to + 1).reverse());
      from = to;
    }
  return order;
}
