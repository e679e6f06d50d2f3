/** What lies in the cupboard: single supplies, and the kits they came in. */
import type { Asset } from '@/core/picture/asset';
import type { ProductName } from '@/core/product';
import type { Compartment } from '@/core/project/model';
import { asName } from '@/core/text/named';
import type { Trail } from '@/core/trail';

/** What a person reads of a kind, and where it lies. */
export interface KindWords {
  one: string;
  many: string;
  /** Where it waits in the workbox; undefined for what is not laid by itself. */
  compartment?: Compartment;
  /** How it comes to the page, in words. */
  arrives: string;
  /** Its folder in a kit's zip. */
  folder: string;
  /** What comes of the project file behind it; undefined for a picture or inks. */
  opens?: 'project' | 'places' | 'pieces';
  /** The product that a ready-made one of these begins. */
  begins?: ProductName;
}

/** Every kind of supply. Adding one is adding it here, and how it is told from others in sort.ts. */
const ALL = {
  photo: {
    folder: 'photos',
    one: 'photo',
    many: 'photos',
    compartment: 'photos',
    arrives: 'as a photo, upright',
  },
  paper: {
    folder: 'papers',
    one: 'paper',
    many: 'papers',
    compartment: 'papers',
    arrives: 'over the page or as a strip',
  },
  cardstock: {
    folder: 'cardstock',
    one: 'cardstock',
    many: 'cardstocks',
    compartment: 'papers',
    arrives: 'over the page or as a strip',
  },
  embellishment: {
    folder: 'embellishments',
    one: 'embellishment',
    many: 'embellishments',
    compartment: 'bits',
    arrives: 'at its true size',
  },
  frame: {
    folder: 'frames',
    one: 'frame',
    many: 'frames',
    compartment: 'frames',
    arrives: 'with room for a photo',
  },
  stamp: {
    folder: 'stamps',
    one: 'stamp',
    many: 'stamps',
    compartment: 'stamps',
    arrives: 'in ink, lying flat',
  },
  alphabet: {
    folder: 'alphabet',
    one: 'letter',
    many: 'letters',
    compartment: 'letters',
    arrives: 'at its true size',
  },
  brush: {
    folder: 'brushes',
    one: 'brush tip',
    many: 'brush tips',
    compartment: 'stamps',
    arrives: 'in ink, lying flat',
  },
  line: {
    folder: 'lines',
    one: 'ready line',
    many: 'ready lines',
    arrives: 'in the hand, or along the edge of what is selected',
  },
  edge: { folder: 'edges', one: 'edge', many: 'edges', compartment: 'bits', arrives: 'at its true size' },
  sketch: {
    folder: 'sketches',
    one: 'sketch',
    many: 'sketches',
    arrives: 'as empty places',
    opens: 'places',
  },
  pieces: {
    folder: 'pieces',
    one: 'kept piece',
    many: 'kept pieces',
    arrives: 'as it was made, every part of it still to be changed',
    opens: 'pieces',
  },
  wordart: {
    folder: 'sentiments',
    one: 'sentiment',
    many: 'sentiments',
    compartment: 'stamps',
    arrives: 'in ink, lying flat',
  },
  inks: { folder: 'inks', one: 'ink set', many: 'ink sets', arrives: 'beside the other inks' },
  page: {
    folder: 'pages',
    one: 'ready-made page',
    many: 'ready-made pages',
    arrives: 'as a project of its own',
    opens: 'project',
    begins: 'layout',
  },
  card: {
    folder: 'cards',
    one: 'ready-made card',
    many: 'ready-made cards',
    arrives: 'as a project of its own',
    opens: 'project',
    begins: 'card',
  },
  calendar: {
    folder: 'calendars',
    one: 'ready-made calendar',
    many: 'ready-made calendars',
    arrives: 'as a project of its own',
    opens: 'project',
    begins: 'calendar',
  },
  book: {
    folder: 'books',
    one: 'book design',
    many: 'book designs',
    arrives: 'as a project of its own, or for photos to flow into',
    opens: 'project',
    begins: 'book',
  },
  sheet: {
    folder: 'sheets',
    one: 'ready-made sheet',
    many: 'ready-made sheets',
    arrives: 'as a project of its own',
    opens: 'project',
    begins: 'sheet',
  },
} satisfies Record<string, KindWords>;

export type SupplyKind = keyof typeof ALL;
export const KINDS: Record<SupplyKind, KindWords> = ALL;
/** What a ready-made one of a product is kept as. */
export const readyKind = (product: ProductName | undefined): SupplyKind =>
  SUPPLY_KINDS.find((kind) => KINDS[kind].begins === product) ?? 'page';

export const SUPPLY_KINDS = Object.keys(ALL) as SupplyKind[];

export interface NamedInk {
  name: string;
  /** `#rrggbb` */
  colour: string;
  /** The family it belongs to, in the set's words. */
  family?: string;
  /** No longer offered; where it is used it stays. */
  retired?: true;
}

export interface Supply {
  id: string;
  kind: SupplyKind;
  name: string;
  tags: string[];
  /** The kit's id. */
  kit: string;
  /** Its place in the kit. */
  order: number;
  /** Milliseconds since 1970. */
  added: number;
  favourite: boolean;
  /** When it was last laid on a page. */
  used?: number;
  /** The picture file; its `ppi` says how large it truly is. */
  asset?: Asset;
  /** Up to three `#rrggbb` that are most of it, most first. */
  colours: string[];
  /** Id of the paper that is printed on its other side. */
  back?: string;
  /** The characters an alphabet's picture stands for: usually one. */
  letters?: string;
  /** Which of its kit's alphabets a letter is of, where the kit has several. */
  alphabet?: string;
  /** In the set's own order. */
  inks?: NamedInk[];
  /** Numbers of its inks in the order a person put them. */
  arranged?: number[];
  /** What a ready line draws with. */
  trail?: Trail;
  /** SHA-256 of the project file behind a ready-made page. */
  page?: string;
  /** Of a shipped design, whose file holds no pictures: the places in its kit of what it is made of. */
  made?: number[];
  /** Where the file of a shipped supply lies until it is first used, as an address of this site. */
  at?: string;
  /** Address of a shipped supply's small picture. */
  thumb?: string;
}

export interface Kit {
  id: string;
  name: string;
  description: string;
  author: string;
  licence: string;
  tags: string[];
  /** Id of the supply shown on its cover. */
  cover?: string;
  added: number;
  /** Came with the app. */
  house: boolean;
}

/** A kit of one's own, empty. */
export const newKit = (id: string, name: string, added: number): Kit => ({
  id,
  name: asName(name, 120),
  description: '',
  author: '',
  licence: '',
  tags: [],
  added,
  house: false,
});

/** Where loose supplies live that belong to no other kit. */
export const LOOSE_KIT = 'loose';

/** The kit of loose supplies among those there are, or a new one. */
export const looseKit = (kits: readonly Kit[], now: number): Kit =>
  kits.find(({ id }) => id === LOOSE_KIT) ?? {
    ...newKit(LOOSE_KIT, 'Loose supplies', now),
    description: 'What belongs to no kit.',
  };
