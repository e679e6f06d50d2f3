/** What any kind of material, outline or finish answers for itself, so that nobody else need know which kind it is. */
import type { FamilyFace } from '@/core/text/families';
import type { Language, Span } from '@/core/text/style';
import type { Unit } from '@/core/units/lengths';

/** What an ink may be of a piece. */
export type InkPart =
  | 'face'
  | 'stamp'
  | 'dye'
  | 'part'
  | 'colouring'
  | 'stroke'
  | 'mat'
  | 'treatment'
  | 'trail'
  | 'letters'
  | 'words'
  | 'echo'
  | 'line'
  | 'month';

/** A place that holds an ink, to be read or written. */
export interface InkSlot {
  part: InkPart;
  colour: string;
  /** Which of several mats, the nearest 0. */
  at?: number;
  set(colour: string): void;
}

/** Something written, and how. */
export interface Written {
  text: string;
  letters: FamilyFace & { spans?: readonly Span[] };
  /** In which its words are divided. */
  language?: Language;
  /** Most letters it takes; missing where it says what is known elsewhere, and is not written by hand. */
  most?: number;
  /** Other words in its place, where nothing else need follow them. */
  set?(text: string): void;
}

/** All of it may be missing: a kind without inks has none. */
export interface Answers<T> {
  /** Every place that holds an ink. */
  inks?(of: T): InkSlot[];
  written?(of: T): Written[];
  /** For a piece that became `scale` times as large with all that is on it: real lengths go along, within their limits. */
  scaled?(of: T, scale: number): T;
  /** What it is, in a few words for a person; the kind's name without. */
  says?(of: T, unit: Unit): string | undefined;
}

/** The place where an object holds an ink; none if it has none there. */
export function inkSlot<
  T extends { [K in Key]?: string | undefined },
  Key extends 'colour' | 'ink' | 'ground',
>(part: InkPart, of: T, key: Key, at?: number): InkSlot[] {
  const colour: string | undefined = of[key];
  return colour === undefined
    ? []
    : [{ part, colour, at, set: (next) => void Object.assign(of, { [key]: next }) }];
}

/** The places of a list of inks. */
export const inkSlots = (part: InkPart, colours: string[]): InkSlot[] =>
  colours.map((colour, i) => ({ part, colour, set: (next) => void (colours[i] = next) }));
