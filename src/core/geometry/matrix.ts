/** Affine maps of the plane as [a b c d e f]: x' = a x + c y + e, y' = b x + d y + f (the order of PDF and SVG). */
export type Matrix = readonly [number, number, number, number, number, number];
export interface Point {
  x: number;
  y: number;
}

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

export const translation = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y];
export const scaling = (x: number, y = x): Matrix => [x, 0, 0, y, 0, 0];

/** Clockwise on the page (y points down) by `degrees`. */
export function rotation(degrees: number): Matrix {
  const radians = (degrees * Math.PI) / 180;
  const cos = Math.cos(radians);
  const sin = Math.sin(radians);
  return [cos, sin, -sin, cos, 0, 0];
}

/** The map that does the last one first, as matrices are written: `compose(A, B)` is A after B. */
export function compose(...maps: readonly Matrix[]): Matrix {
  return maps.reduce(
    ([a, b, c, d, e, f], [A, B, C, D, E, F]) => [
      a * A + c * B,
      b * A + d * B,
      a * C + c * D,
      b * C + d * D,
      a * E + c * F + e,
      b * E + d * F + f,
    ],
    IDENTITY,
  );
}

/** The map back. Throws RangeError for a map that flattens the plane; pieces never have one. */
export function invert([a, b, c, d, e, f]: Matrix): Matrix {
  const determinant = a * d - b * c;
  if (determinant === 0) throw new RangeError('This map cannot be undone: it flattens the plane.');
  return [
    d / determinant,
    -b / determinant,
    -c / determinant,
    a / determinant,
    (c * f - d * e) / determinant,
    (b * e - a * f) / determinant,
  ];
}

/** The map of directions: turn, scale and mirror without the move. */
export const linear = ([a, b, c, d]: Matrix): Matrix => [a, b, c, d, 0, 0];

export const apply = ([a, b, c, d, e, f]: Matrix, { x, y }: Point): Point => ({
  x: a * x + c * y + e,
  y: b * x + d * y + f,
});

/** How much lengths grow, as the square root of how much areas grow. */
export const growth = ([a, b, c, d]: Matrix): number => Math.sqrt(Math.abs(a * d - b * c));
