/** How what is drawn is said in a page's content (ISO 32000-1, 8). */
import { boxOfPoints, corners, outset, type Box } from '@/core/geometry/box';
import type { Matrix } from '@/core/geometry/matrix';
import { pathBounds, type Path } from '@/core/geometry/path';
import type { Blend } from '@/core/picture/blend';
import type { Tip } from '@/core/picture/picture';
import { n } from '@/output/pdf/crop-marks';

export const cm = (map: Matrix): string =>
  `${map
    .map((v) =>
      Number(v.toPrecision(9))
        .toFixed(8)
        .replace(/\.?0+$/, ''),
    )
    .join(' ')} cm`;
export const rectangle = ({ x, y, width, height }: Box): string =>
  [x, y, width, height].map(n).join(' ') + ' re';

/** `color-dodge` is ColorDodge there (ISO 32000-1, table 136). */
export const nameOf = (blend: Blend): string =>
  blend.replace(/(^|-)([a-z])/g, (_, __, letter: string) => letter.toUpperCase());

const OPERATORS = { M: 'm', L: 'l', C: 'c', Z: 'h' } as const;
export const outline = (path: Path): string =>
  path.map(([kind, ...values]) => [...values.map(n), OPERATORS[kind]].join(' ')).join('\n');

/** Where one of thousands lies: to a hundred-thousandth, as far as anything of a tip reaches. */
export const placed = ([a, b, c, d, e, f]: Matrix): string =>
  `${fine(a)} ${fine(b)} ${fine(c)} ${fine(d)} ${fine(e)} ${fine(f)} cm`;
/** Never in powers of ten, which PDF does not read. */
const fine = (v: number): number => (Math.abs(v) < 1e-6 ? 0 : Math.round(v * 1e5) / 1e5);

/** All that is drawn of a tip. */
export const tipRoom = (tip: Tip): Box =>
  outset(
    boxOfPoints(tip.flatMap((mark) => corners(pathBounds(mark.mark === 'fill' ? mark.path : mark.clip)))),
    0.5,
  );
