/** The club's year in sixty photos: who, where, when, and how each is drawn. */
import { JULY_PHOTOS } from './july';
import { MARCH_PHOTOS } from './march';
import { MAY_PHOTOS } from './may';
import { NOVEMBER_PHOTOS } from './november';
import { SEPTEMBER_PHOTOS } from './september';
import type { YearPhoto } from './scenes';

export const YEAR_PHOTOS: readonly YearPhoto[] = [
  ...MARCH_PHOTOS,
  ...MAY_PHOTOS,
  ...JULY_PHOTOS,
  ...SEPTEMBER_PHOTOS,
  ...NOVEMBER_PHOTOS,
];
