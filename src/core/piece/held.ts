/** The day of a month a piece is held to. */
import { boolean, number, object } from 'yup';
import type { Weekday } from '@/core/dates/days';
import { monthNames, weekdayNames } from '@/core/dates/names';
import type { Box } from '@/core/geometry/box';
import { FAR } from '@/core/piece/placement/placement';

/** The day a piece is held to: the 14th of March, or its second Sunday, -1 the last. */
export interface Held {
  month: number;
  day?: number;
  nth?: number;
  weekday?: Weekday;
  /** It fills the day's box. */
  fills?: true;
  /** Where the day's box lay on the page when the piece was last put in its place, points. */
  box: Box;
}

const far = number().min(-FAR).max(FAR).required();
const side = number().min(0).max(FAR).required();

export const heldSchema = object({
  month: number().integer().min(1).max(12).required(),
  day: number().integer().min(1).max(31),
  nth: number().integer().oneOf([-1, 1, 2, 3, 4, 5]),
  weekday: number().integer().min(1).max(7),
  fills: boolean().oneOf([true]),
  box: object({ x: far, y: far, width: side, height: side }).noUnknown().required(),
}).noUnknown();

/** `14 March`, or `the second Sunday of March`. */
export function heldSays({ month, day, nth, weekday }: Omit<Held, 'box'>): string {
  const name = monthNames('en')[month - 1]!;
  return nth !== undefined && weekday !== undefined
    ? `the ${NTH[nth] ?? ''} ${weekdayNames('en')[weekday - 1]} of ${name}`
    : `${day} ${name}`;
}

export const NTH: Readonly<Record<number, string>> = {
  ...{ 1: 'first', 2: 'second', 3: 'third', 4: 'fourth', 5: 'fifth', [-1]: 'last' },
};
