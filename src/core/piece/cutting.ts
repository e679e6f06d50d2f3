/** What an electronic cutter makes of a piece, where a person said otherwise than its material and outline do. */
import { boolean, number, object, string } from 'yup';

/** What is done along lines, in the order in which it is done: what is cut loose first can be worked no more. */
export const DOINGS = ['draw', 'score', 'cut'] as const;
export type Doing = (typeof DOINGS)[number];
/** What may be asked of a piece: to be worked, or to be printed and left alone. */
export const ASKED = [...DOINGS, 'print'] as const;
export type Asked = (typeof ASKED)[number];

export interface Cutting {
  as?: Asked;
  /** Middles that would fall out are held by two bridges as wide as this, points. */
  bridge?: number;
  /** What is narrower than this is widened to it, points. */
  widen?: number;
  /** An outline that is open is closed by a straight line. */
  close?: true;
}

/** How wide bridges may be, and what is widened; points. */
export const [NARROWEST_BRIDGE, WIDEST_BRIDGE] = [0.5, 36];

const wide = () => number().min(NARROWEST_BRIDGE).max(WIDEST_BRIDGE);
export const cuttingSchema = object({
  as: string().oneOf([...ASKED]),
  bridge: wide(),
  widen: wide(),
  close: boolean().oneOf([true]),
}).noUnknown();
