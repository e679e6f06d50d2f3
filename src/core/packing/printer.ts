/** A printer at home: what it leaves white, and how backs come out on it. Lengths in points. */
import { array, number, object, string } from 'yup';
import type { Point } from '@/core/geometry/matrix';
import { evenly, type Sides } from '@/core/geometry/sides';
import type { TurnedOver } from '@/core/packing/sheets';
import { toPoints } from '@/core/units/lengths';

export interface Printer {
  id: string;
  name: string;
  /** At each edge of the paper, as it lies upright. */
  lost: Sides;
  /** How the paper is turned for its other side. */
  over: TurnedOver;
  /** How far what is on the other side comes out from where it should, as seen from the front. */
  off: Point;
}

/** What most printers at home lose, a quarter of an inch (common practice, no source). */
export const USUAL: Printer = {
  ...{ id: 'usual', name: 'A usual printer', lost: evenly(18) },
  ...{ over: 'sideways', off: { x: 0, y: 0 } },
};

export const MOST_PRINTERS = 12;
export const LONGEST_PRINTER = 40;
/** Farther off than this nothing is made good. */
export const MOST_OFF = toPoints(15, 'mm');
export const MOST_LOST = 216;

export interface Printers {
  /** The one that is used, by its id. */
  used: string;
  all: readonly Printer[];
}

const far = number().min(-MOST_OFF).max(MOST_OFF).required();
const lost = number().min(0).max(MOST_LOST).required();
const printersSchema = object({
  used: string().max(40).required(),
  all: array()
    .of(
      object({
        id: string().min(1).max(40).required(),
        name: string().min(1).max(LONGEST_PRINTER).required(),
        lost: object({ top: lost, right: lost, bottom: lost, left: lost }).noUnknown().required(),
        over: string().oneOf(['sideways', 'over']).required(),
        off: object({ x: far, y: far }).noUnknown().required(),
      })
        .noUnknown()
        .required(),
    )
    .min(1)
    .max(MOST_PRINTERS)
    .required(),
}).noUnknown();

/** Throws ValidationError for what are none. */
export const readPrinters = (kept: unknown): Printers =>
  printersSchema.validateSync(kept, { strict: true }) as Printers;

export const printerUsed = ({ used, all }: Printers): Printer => all.find(({ id }) => id === used) ?? all[0]!;
