/** Echoes: copies of a piece's outline behind it, each moved by an exact distance, in an ink of its own. */
import { array, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { translation } from '@/core/geometry/matrix';
import { transformPath, type Path } from '@/core/geometry/path';
import type { Mark } from '@/core/picture/picture';
import { inkSlot } from '@/core/piece/answers';
import type { FinishKind } from '@/core/piece/finish/kind';

export interface Echo {
  /** How far it lies from the piece, in the piece's own frame: right and down, points. */
  x: number;
  y: number;
  /** `#rrggbb` */
  colour: string;
  /** Standard deviation of its blur, points; 0 is a clear copy. */
  blur: number;
  /** Width of the line where only its outline is drawn, points; 0 is a full copy. */
  line: number;
}

export const MOST_ECHOES = 8;
export const FARTHEST_ECHO = 288;
export const SOFTEST_ECHO = 72;
export const WIDEST_ECHO_LINE = 72;

const away = number().min(-FARTHEST_ECHO).max(FARTHEST_ECHO).required();
const echoSchema = object({
  x: away,
  y: away,
  colour: string().matches(HEX_COLOUR).required(),
  blur: number().min(0).max(SOFTEST_ECHO).required(),
  line: number().min(0).max(WIDEST_ECHO_LINE).required(),
}).noUnknown();

/** The marks of echoes, the farthest first. A soft copy is drawn as a shadow is. */
export const echoMarks = (echoes: readonly Echo[], path: Path): Mark[] =>
  [...echoes].reverse().map(({ x, y, colour, blur, line }): Mark => {
    if (line > 0)
      return {
        mark: 'stroke',
        path: transformPath(translation(x, y), path),
        colour,
        width: line,
        side: 'on',
      };
    if (blur > 0)
      return {
        mark: 'shadow',
        path,
        grow: 0,
        offset: { x, y },
        blur: Math.max(0.05, blur),
        colour,
        opacity: 1,
      };
    return { mark: 'fill', path: transformPath(translation(x, y), path), colour };
  });

const within = (value: number, most: number) => Math.max(-most, Math.min(most, value));

const scaledEcho = (echo: Echo, scale: number): Echo => ({
  ...echo,
  x: within(echo.x * scale, FARTHEST_ECHO),
  y: within(echo.y * scale, FARTHEST_ECHO),
  blur: within(echo.blur * scale, SOFTEST_ECHO),
  line: within(echo.line * scale, WIDEST_ECHO_LINE),
});

export const echoes: FinishKind<Echo[]> = {
  schema: array(echoSchema.required()).min(1).max(MOST_ECHOES),
  inks: (list) => list.flatMap((echo) => inkSlot('echo', echo, 'colour')),
  under: (list, { path }) => echoMarks(list, path),
  scaled: (list, scale) => list.map((echo) => scaledEcho(echo, scale)),
  says: ({ length }) => (length === 1 ? 'echo' : `${length} echoes`),
};
