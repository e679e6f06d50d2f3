/** Inks that run into each other, from side to side or from the middle out. */
import { array, boolean, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { alongRun, stepsOfRun } from '@/core/color/runs';
import type { Size } from '@/core/geometry/box';
import type { Blended } from '@/core/picture/picture';
import { inkSlots } from '@/core/piece/answers';
import type { MaterialKind } from '@/core/piece/material/kind';

export interface GradientMaterial {
  kind: 'gradient';
  /** Two to four `#rrggbb`, at even distances. */
  colours: string[];
  /** Which way it runs, degrees clockwise: 0 from left to right, 90 from top to bottom. */
  turn: number;
  /** From the middle out. */
  round?: true;
}

export const MOST_STOPS = 4;
/** Straight pieces of colour from one ink to the next. */
const BETWEEN = 8;

/** Where it runs in a box of this size, its middle at the origin: from edge to edge, or to the corners. */
function wayOf(
  { width, height }: Size,
  { turn, round }: GradientMaterial,
): Pick<Blended, 'from' | 'to' | 'round'> {
  if (round) return { from: { x: 0, y: 0 }, to: { x: Math.hypot(width, height) / 2, y: 0 }, round };
  const radians = (turn * Math.PI) / 180;
  const [x, y] = [Math.cos(radians), Math.sin(radians)];
  const reach = (Math.abs(x) * width + Math.abs(y) * height) / 2;
  return { from: { x: -x * reach, y: -y * reach }, to: { x: x * reach, y: y * reach } };
}

export const gradient: MaterialKind<GradientMaterial> = {
  kind: 'gradient',
  covers: () => true,
  name: 'Inks running into each other',
  schema: object({
    kind: string().oneOf(['gradient']).required(),
    colours: array(string().matches(HEX_COLOUR).required()).min(2).max(MOST_STOPS).required(),
    turn: number().min(-180).max(180).required(),
    round: boolean().oneOf([true]),
  }).noUnknown(),
  flat: ({ colours }) => alongRun(colours, 0.5),
  inks: ({ colours }) => inkSlots('face', colours),
  says: ({ colours }) => `${colours.length} inks`,
  fill: (material, { path, words, size }) => [
    {
      mark: 'fill',
      path,
      colour: alongRun(material.colours, 0.5),
      blended: { colours: stepsOfRun(material.colours, BETWEEN), ...wayOf(size, material) },
      words,
    },
  ],
};
