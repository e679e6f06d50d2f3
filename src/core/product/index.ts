/** Every kind of product, and what a project's own says of its surfaces. Adding one is adding it to these two lists. */
import type { Box, Size } from '@/core/geometry/box';
import type { Matrix } from '@/core/geometry/matrix';
import { book, type BookProduct } from '@/core/product/book';
import { calendar, type CalendarProduct } from '@/core/product/calendar';
import { card, type CardProduct } from '@/core/product/card';
import { foreign, type ForeignProduct } from '@/core/product/foreign';
import { layout, type LayoutProduct } from '@/core/product/layout';
import { sheet, type SheetProduct } from '@/core/product/sheet';
import type { Month } from '@/core/dates/days';
import type { Path } from '@/core/geometry/path';
import type {
  Bound,
  Extra,
  Face,
  Fold,
  Form,
  Ordered,
  OwnCheck,
  Panel,
  Part,
  PartMonth,
  ProductKind,
  Rows,
  WayOut,
} from '@/core/product/product';
import type { Unit } from '@/core/units/lengths';

type Known = LayoutProduct | CardProduct | CalendarProduct | BookProduct | SheetProduct;
export type Product = Known | ForeignProduct;

export const PRODUCTS = { layout, card, calendar, book, sheet } satisfies {
  [K in Known['kind']]: ProductKind<Extract<Product, { kind: K }>>;
};

export type ProductName = Known['kind'];

const kindOf = (product: Product): ProductKind<Product> =>
  (product.kind === 'foreign' ? foreign : PRODUCTS[product.kind]) as never;

/** What is looked at of a project and of its surfaces. */
interface Whole<S extends Made = Made> {
  product: Product;
  surfaces: readonly S[];
}
interface Made extends Size {
  id: string;
  name: string;
  part?: string;
}

/** The month a surface is of, and what months are called in; null where it is of none. */
export function monthOn(
  { product }: Pick<Whole, 'product'>,
  surface: Pick<Made, 'part'>,
): (PartMonth & { language: string }) | null {
  const found = kindOf(product).month?.(product, partOf(surface)) ?? null;
  return found && { ...found, language: languageOf(product) };
}

const partOf = ({ part = 'page' }: Pick<Made, 'part'>): string => part;

export const beginProduct = (
  kind: ProductName,
  size: Size,
  way?: string,
  today?: Month,
): { product: Product; parts: Part[] } => (PRODUCTS[kind] as ProductKind<Product>).begin(size, way, today);

/** A ready-made one as it is begun today; the same where that makes no difference. */
export const asNew = (product: Product, today: Month): Product =>
  kindOf(product).asNew?.(product, today) ?? product;

/** What an empty one is called, and what a person calls such a thing. */
export const untitled = (kind: ProductName): string => PRODUCTS[kind].untitled;

/** What this one is called while nobody named it. */
export const untitledOf = (product: Product): string => kindOf(product).untitled;

/** Which of the products it is; undefined for one that is not known here. */
export const nameOfProduct = ({ kind }: Product): ProductName | undefined =>
  kind === 'foreign' ? undefined : kind;

/** Why a project can only be looked at; null where it can be changed. */
export const onlySeen = ({ product }: Pick<Whole, 'product'>): string | null =>
  kindOf(product).onlySeen?.(product) ?? null;

/** What a file says of a product that is not known here; null of one that is, and of what is no product. */
export function strangeIn(written: unknown): ForeignProduct['written'] | null {
  const { kind, written: within } = (written ?? {}) as { kind?: unknown; written?: unknown };
  if (typeof kind !== 'string') return null;
  if (kind === 'foreign') return strangeIn(within);
  return Object.hasOwn(PRODUCTS, kind) ? null : (written as ForeignProduct['written']);
}

/** What a file says of it. */
export const asWritten = (product: Product): object =>
  product.kind === 'foreign' ? product.written : product;

/** What stands for it on the shelf: a panel of its first surface. */
export const coverOf = <S extends Made>(of: Whole<S>): { surface: S; box: Box; panel: Panel } => {
  const [surface] = of.surfaces as readonly [S];
  const panels = panelsOn(of, surface);
  const panel = panels.find(({ name }) => name === kindOf(of.product).shownFirst) ?? panels[0]!;
  return { surface, box: panel.box, panel };
};

/** Where a surface's page begins on a spread, points: what lies on every page lies by that. */
export const offsetOn = ({ product }: Pick<Whole, 'product'>, surface: Pick<Made, 'part'>): number | null => {
  const kind = kindOf(product);
  return kind.offset ? kind.offset(product, partOf(surface)) : kind.pages ? 0 : null;
};

/** How large it is called: that of what stands for it on the shelf, where the product says nothing else. */
export function sizeOf<S extends Made>(of: Whole<S>): Size {
  const { width, height } = kindOf(of.product).size?.(of.product) ?? coverOf(of).box;
  return { width, height };
}

/** The sides a product must have; null where its pages come and go. */
export const sidesOf = (product: Product): Part[] | null => kindOf(product).sides?.(product) ?? null;

/** Whether its surfaces are pages that may be added, copied, moved and taken away. */
export const hasPages = ({ product }: Pick<Whole, 'product'>): boolean => Boolean(kindOf(product).pages);

/** Which of its sides may be added, copied, moved and taken away; null where none or all may. */
export const rowsOf = (product: Product): Rows<Product> | null => kindOf(product).rows ?? null;

/** Whether a surface may be copied, moved and taken away. */
export const comesAndGoes = ({ product }: Pick<Whole, 'product'>, surface: Pick<Made, 'part'>): boolean =>
  Boolean(kindOf(product).pages ?? kindOf(product).rows?.is(partOf(surface)));

/** The numbers of the pages on a surface, which is the `index`th counted from 0; none where they are not counted. */
export const numbersOn = (
  { product }: Pick<Whole, 'product'>,
  surface: Pick<Made, 'part'>,
  index: number,
): readonly number[] => kindOf(product).numbers?.(product, partOf(surface)) ?? [index + 1];

export const countOf = ({ product, surfaces }: { product: Product; surfaces: readonly unknown[] }): number =>
  kindOf(product).count?.(product) ?? surfaces.length;

export const productSays = ({ product, surfaces }: Whole, unit: Unit): string =>
  kindOf(product).says(product, unit, surfaces[0]!);

/** What may be made with it or left out, and whether it is made now. */
export const extrasOf = (product: Product): (Extra & { on: boolean })[] => {
  const kind = kindOf(product);
  return (kind.extras ?? []).map((extra) => ({ ...extra, on: kind.has?.(product, extra.id) ?? false }));
};

export const withExtra = (product: Product, extra: string, on: boolean): Product =>
  kindOf(product).withExtra?.(product, extra, on) ?? product;

/** Where a surface's paper is cut; null where it is the rectangle it seems. */
export const outlineOn = ({ product }: Pick<Whole, 'product'>, surface: Made): Path | null =>
  kindOf(product).outline?.(product, partOf(surface)) ?? null;

export const foldsOn = ({ product }: Pick<Whole, 'product'>, surface: Made): Fold[] =>
  kindOf(product).folds?.(product, partOf(surface)) ?? [];

/** Where a surface is bound, with what is punched there. */
export const boundOn = ({ product }: Pick<Whole, 'product'>, surface: Pick<Made, 'part'>): Bound[] =>
  kindOf(product).bound?.(product, partOf(surface)) ?? [];

/** Whether it hangs on a wall. */
export const hangs = (product: Product): boolean => kindOf(product).hangs?.(product) ?? false;

/** In reading order. */
export const panelsOn = ({ product }: Pick<Whole, 'product'>, surface: Made): Panel[] => {
  const { name, width, height } = surface;
  return kindOf(product).panels?.(product, partOf(surface)) ?? [{ name, box: { x: 0, y: 0, width, height } }];
};

/** The ways in which it can be made, and what is checked of it beside what is checked of any page. */
export const waysOut = (product: Product): readonly WayOut[] => kindOf(product).waysOut(product);
/** How a print shop makes it; null for what is made at home alone. */
export const orderedAs = (product: Product): Ordered | null => kindOf(product).ordered?.(product) ?? null;

export const ownChecks = (product: Product): readonly OwnCheck[] => kindOf(product).checks ?? [];

/** What comes out as one page of a file: a surface, or one panel of it. */
export interface Taken<S> {
  surface: S;
  panel?: Panel;
}

/** All that comes out of a project in one form. */
export const madeAs = <S extends Made>(of: Whole<S>, form: Form): Taken<S>[] =>
  madeBy(
    of,
    waysOut(of.product).find(({ as }) => as.includes(form))!,
  );

/** All that comes out of it in one of its ways. */
export const madeBy = <S extends Made>(of: Whole<S>, { panels, parts }: WayOut): Taken<S>[] =>
  of.surfaces
    .filter((surface) => parts?.(partOf(surface)) ?? true)
    .flatMap((surface): Taken<S>[] =>
      panels ? panelsOn(of, surface).map((panel) => ({ surface, panel })) : [{ surface }],
    );

/** What a product is of: `2027`; empty for what is of no year. */
export const datedSays = (product: Product): string => kindOf(product).dated?.(product) ?? '';

/** What a project's files are called: its title, and what it is of where that does not say so. */
export function fileTitle({ title, product }: Pick<Whole, 'product'> & { title: string }): string {
  const of = datedSays(product);
  return title.includes(of) ? title : `${title} ${of}`;
}

/** What can be chosen anew of it once it is begun, in a few words; null where nothing can. */
export const settingsSay = (product: Product): string | null => kindOf(product).settings?.(product) ?? null;

/** What a product calls its months in; English where it has no say in it. */
export const languageOf = (product: Product): string => kindOf(product).language?.(product) ?? 'en';

/** The other side of a surface's paper, and the map that takes places of the one to where they come out on the other. */
export function otherFace<S extends Made>(
  { product, surfaces }: Whole<S>,
  surface: Made,
): { surface: S; through: Matrix } | null {
  const part = partOf(surface);
  const leaf = kindOf(product)
    .leaves?.(product)
    .find(({ face, back }) => face === part || back === part);
  const other =
    leaf && surfaces.find((each) => partOf(each) === (leaf.face === part ? leaf.back : leaf.face));
  if (!other) return null;
  const { width, height } = surface;
  return { surface: other, through: leaf.axis === 'x' ? [-1, 0, 0, 1, width, 0] : [1, 0, 0, -1, 0, height] };
}

/** The paper a surface is a side of: the side that is its face, and the one that is its back. */
export function leafOf<S extends Made>(of: Whole<S>, surface: Made): { face: S; back: S } | null {
  const part = partOf(surface);
  const leaf = kindOf(of.product)
    .leaves?.(of.product)
    .find(({ face, back }) => face === part || back === part);
  const side = (name: string | undefined) => of.surfaces.find((each) => partOf(each) === name);
  const [face, back] = [side(leaf?.face), side(leaf?.back)];
  return face && back ? { face, back } : null;
}

/** How it is held in the hand, each panel with the surface it is of; null for what is not. */
export function heldOf<S extends Made>(of: Whole<S>): HeldNow<S> | null {
  const held = kindOf(of.product).held?.(of.product);
  if (!held) return null;
  const panel = ({ part, panel: name }: Face): FaceNow<S> => {
    const surface = of.surfaces.find((each) => partOf(each) === part) ?? of.surfaces[0]!;
    const panels = panelsOn(of, surface);
    return { surface, panel: panels.find((each) => each.name === name) ?? panels[0]! };
  };
  return {
    base: { face: panel(held.base.face), back: panel(held.base.back) },
    leaves: held.leaves.map(({ face, reverse, ...leaf }) => ({
      ...leaf,
      face: panel(face),
      reverse: panel(reverse),
    })),
  };
}

export interface FaceNow<S> {
  surface: S;
  panel: Panel;
}
export interface HeldNow<S> {
  base: { face: FaceNow<S>; back: FaceNow<S> };
  leaves: { face: FaceNow<S>; reverse: FaceNow<S>; edge: 'left' | 'right' | 'top'; behind?: true }[];
}

/** What is seen through openings of a surface once the product is shut: of each panel, another surface, moved by. */
export function behindOn<S extends Made>(
  { product, surfaces }: Whole<S>,
  surface: Made,
): { box: Box; surface: S; dx: number; dy: number }[] {
  const part = partOf(surface);
  const panels = panelsOn({ product }, surface);
  return (kindOf(product).behind?.(product) ?? []).flatMap((behind) => {
    const panel = panels.find(({ name }) => name === behind.panel);
    const other = surfaces.find((each) => partOf(each) === behind.of);
    return behind.part === part && panel && other
      ? [{ box: panel.box, surface: other, dx: behind.dx, dy: behind.dy }]
      : [];
  });
}
