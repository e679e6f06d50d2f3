/** How a month is set in a box: where each day, each weekday's head and each rule lies. What stands there is drawn in draw.ts. */
import type { Box } from '@/core/geometry/box';
import type { Cell } from '@/core/dates/days';
import type { MonthMaterial } from '@/core/piece/material/month/model';

/** Words at a place: `x` is where they begin, stand about or end, `y` the middle of their capitals. */
export interface Spot {
  x: number;
  y: number;
  at: 'start' | 'middle' | 'end';
  /** Letter size, points. */
  size: number;
  /** Degrees clockwise about the place. */
  turn?: number;
  /** How long words may be here, points: longer ones are set smaller, heads of weekdays all alike. */
  room?: number;
}

export interface DayPlace {
  cell: Cell;
  /** All that belongs to the day: what is held to it lies here. */
  box: Box;
  number: Spot;
  /** Where there is room for what the day is, and how large its letters are; null for none. */
  notes: (Box & { size: number; align: 'left' | 'centre' | 'right' }) | null;
}

export interface Laid {
  days: readonly DayPlace[];
  /** `of` is the column of the week, 0 its first day; or the day of the month where each has a head of its own. */
  heads: readonly { weekday: number; spot: Spot }[];
  weeks: readonly { week: number; spot: Spot }[];
  /** Rules from one point to another. */
  rules: readonly (readonly [number, number, number, number])[];
  /** Where the name of the month stands, in place of above all. */
  title?: Spot;
}

/** All there is to know of one way to set a month. */
export interface MonthLayout {
  /** In a person's words. */
  name: string;
  says: string;
  /** Whether its days stand in weeks, one under the other. */
  weeks?: true;
  lay(month: MonthMaterial, box: Box): Laid;
}
