/** Silhouettes on a field of 100 x 100 that Every Day’s card, felt and wood are cut to. */
import { ring, starPath } from './pen';

export const EVERYDAY: readonly string[] = [
  // A house with a chimney, its door and window cut out.
  'M50 4L72 23V10H84V33L98 46H88V96H12V46H2ZM42 96H58V66H42ZM26 52V66H38V52ZM62 52V66H74V52Z',
  // A cloud.
  'M24 78C4 78 0 54 18 50C14 30 40 20 50 36C60 18 88 26 84 48C102 52 98 78 78 78Z',
  // An arrow that turns.
  'M10 84V40C10 24 22 16 34 16H62V2L98 28L62 54V40H36C34 40 34 42 34 44V84Z',
  // A speech bubble.
  'M16 10H84Q96 10 96 22V60Q96 72 84 72H50L26 94V72H16Q4 72 4 60V22Q4 10 16 10Z',
  // A sun: a disc in a ring of rays.
  `${starPath(50, 50, 49, 33, 14)}${ring(50, 50, 27)}${ring(50, 50, 22)}`,
];
