/**
 * The envelope that fits a card: one blank, cut out, folded round its address side and glued. An eighth of an inch larger
 * than the shut card each way (common practice, no source); how the flaps are cut is our own.
 */
import type { Size } from '@/core/geometry/box';
import type { Path } from '@/core/geometry/path';
import type { Fold, Leaf, Panel, Part } from '@/core/product/product';
import { toPoints } from '@/core/units/lengths';

/** What it is larger by than what it holds, each way, points. */
const EASE = toPoints(1 / 8, 'in');

export const [ENVELOPE, LINING] = ['envelope', 'lining'] as const;
export const ENVELOPE_LEAF: Leaf = { face: ENVELOPE, back: LINING, axis: 'x' };

/** How tall the flap and the back are beside the address side: together they overlap. */
const FLAP = 0.45;
const BACK = 0.7;

interface Blank extends Size {
  /** The address side. */
  x: number;
  y: number;
  /** Glue flaps at both its sides, the flap above it and the back beneath it. */
  side: number;
  flap: number;
  back: number;
}

/** The address side lies long side down, whichever way the card stands. */
function blankFor(shut: Size): Blank {
  const width = Math.max(shut.width, shut.height) + EASE;
  const height = Math.min(shut.width, shut.height) + EASE;
  const side = Math.min(toPoints(0.875, 'in'), width * 0.2);
  return { x: side, y: height * FLAP, width, height, side, flap: height * FLAP, back: height * BACK };
}

const sheetOf = ({ width, height, side, flap, back }: Blank): Size => ({
  width: width + 2 * side,
  height: flap + height + back,
});

export function envelopeParts(shut: Size): Part[] {
  const sheet = sheetOf(blankFor(shut));
  return [
    { part: ENVELOPE, name: 'Envelope', ...sheet },
    { part: LINING, name: 'Lining', ...sheet },
  ];
}

/** The same on both faces: it is as wide to the left as to the right. */
export function envelopeFolds(shut: Size): Fold[] {
  const { x, y, width, height } = blankFor(shut);
  return [
    { axis: 'x', at: x, from: y, to: y + height },
    { axis: 'x', at: x + width, from: y, to: y + height },
    { axis: 'y', at: y, from: x, to: x + width },
    { axis: 'y', at: y + height, from: x, to: x + width },
  ];
}

export function envelopePanels(shut: Size, part: string): Panel[] {
  const { x, y, width, height, side, flap, back } = blankFor(shut);
  const outside = part === ENVELOPE;
  return [
    { name: outside ? 'Address side' : 'Lining', box: { x, y, width, height } },
    // Folded over, what lies on these stands on its head.
    { name: outside ? 'Flap' : 'Flap, lined', box: { x, y: 0, width, height: flap }, turn: 180 },
    {
      name: outside ? 'Back' : 'Back, within',
      box: { x, y: y + height, width, height: back },
      turn: 180,
    },
    { name: 'Left glue flap', box: { x: 0, y, width: side, height } },
    { name: 'Right glue flap', box: { x: x + width, y, width: side, height } },
  ];
}

/** Where the blank is cut: flaps a little narrower towards their ends, so that they fold without catching. */
export function envelopeOutline(shut: Size): Path {
  const { x, y, width, height, side, flap, back } = blankFor(shut);
  const [right, below] = [x + width, y + height];
  const slant = Math.min(width * 0.12, flap * 0.6);
  const ease = toPoints(1 / 16, 'in');
  const glue = Math.min(side * 0.7, height * 0.2);
  const corners: [number, number][] = [
    [x, y],
    [x + slant, 0],
    [right - slant, 0],
    [right, y],
    [right + side, y + glue],
    [right + side, below - glue],
    [right, below],
    [right - ease, below + back],
    [x + ease, below + back],
    [x, below],
    [x - side, below - glue],
    [x - side, y + glue],
  ];
  const [first, ...rest] = corners as [[number, number], ...[number, number][]];
  return [['M', ...first], ...rest.map((to): ['L', number, number] => ['L', ...to]), ['Z']];
}
