/** The kits that ship with the app. A new one is a file and a line here. */
import { everyday } from './everyday';
import { festive } from './festive';
import { garden } from './garden';
import type { HouseKit } from './kit';
import { kitchen } from './kitchen';
import { little } from './little';
import { quiet } from './quiet';
import { seaside } from './seaside';

export const HOUSE_KITS: readonly HouseKit[] = [seaside, garden, kitchen, quiet, festive, everyday, little];
