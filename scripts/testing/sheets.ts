/** The project each sheet is opened over: those of one product alone over one of it, with something of its own and of everything. */
import { beginProduct } from '@/core/product';
import { newProject, type Project } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import type { SheetName } from '@/features/table/session/sheet';
import { TODAY } from './calendars';
import { first } from './first';

/** What is selected of it. */
export const CHOSEN = ['photo', 'ink'];

const OF_PRODUCTS: Partial<Record<SheetName, Project>> = {
  book: made('book'),
  flow: made('book'),
  spreads: made('book'),
  calendar: made('calendar'),
  carry: made('calendar'),
  held: made('card'),
  paper: made('sheet'),
};

function made(kind: Parameters<typeof beginProduct>[0]): Project {
  const size = { width: 504, height: 360 };
  const plain = begun(
    newProject({ id: 'made', title: 'Kites', unit: 'in' }, beginProduct(kind, size, undefined, TODAY)),
  );
  const [side, ...others] = plain.surfaces;
  const pieces = first.surfaces[0]!.pile.filter(({ id }) => CHOSEN.includes(id));
  return {
    ...plain,
    assets: first.assets,
    photos: first.photos,
    looks: first.looks,
    surfaces: [{ ...side!, pile: [...side!.pile, ...pieces], groups: first.surfaces[0]!.groups }, ...others],
  };
}

export const projectFor = (sheet: SheetName): Project => OF_PRODUCTS[sheet] ?? first;
