/** A plan laid as a book, in one edit; pages that a hand has been on stay as they are. */
import type { BookDesign, Template } from '@/core/book/design';
import { laidSide, type SideWords } from '@/core/book/lay';
import type { Plan, PlanRoom } from '@/core/book/plan';
import { isByHand, printOf } from '@/core/book/print';
import { dealtSpreads } from '@/core/book/design';
import { assetsIn } from '@/core/piece/assets';
import type { Asset } from '@/core/picture/asset';
import { bookIn, COVER, FIRST, freshSpread, isSpread, LAST, type BookProduct } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { FEWEST_PAGES, MOST_PAGES } from '@/core/product/book/settings';
import { bringFonts } from '@/core/project/edits/fonts';
import { gather } from '@/core/project/edits/gather';
import { changeProduct } from '@/core/project/edits/product';
import type { Edit } from '@/core/project/edits/edit';
import { COMPARTMENTS, type Project, type Surface } from '@/core/project/model';
import { beginsAt } from '@/core/book/order';
import type { Typesetter } from '@/core/text/typesetter';

/** The room a plan is made for: the design's places in this book. */
export function roomFor(design: BookDesign, project: Project): PlanRoom {
  const book = bookIn(project.product)!;
  const places = ({ places: all }: Template) => all.map(({ place }) => place);
  return {
    spreads: dealtSpreads(design),
    ...{ cover: places(design.cover), first: places(design.first), last: places(design.last) },
    page: { width: book.width, height: book.height },
    step: BINDS[book.binding].step,
    ...{ fewest: FEWEST_PAGES, most: MOST_PAGES - 2 * keptSpreads(project).length },
  };
}

/** Spreads that a hand has been on, in their order. */
export const keptSpreads = ({ surfaces }: Pick<Project, 'surfaces'>): Surface[] =>
  surfaces.filter((surface) => isSpread(surface.part ?? '') && isByHand(surface));

/** Photos of pages that are kept as they are: they are not dealt again. */
export const photosKept = (project: Pick<Project, 'surfaces'>): Set<string> =>
  new Set(keptSpreads(project).flatMap(photosOf));

export const photosOf = ({ pile }: Pick<Surface, 'pile'>): string[] =>
  pile.flatMap(({ role, material }) =>
    role === 'photo' && material.kind === 'photo' ? [material.asset] : [],
  );

export interface Laying {
  typesetter: Typesetter;
  newId: () => string;
}

export interface LaidBook {
  product: BookProduct;
  /** What lies on each part that is laid anew. */
  sides: Map<string, Pick<Surface, 'pile' | 'groups' | 'ground' | 'light' | 'laid'>>;
}

/** What a plan comes to, laid; its pages in their order with those that are kept. */
export function laidBook(
  project: Project,
  design: BookDesign,
  plan: Plan,
  photos: ReadonlyMap<string, Asset>,
  laying: Laying,
): LaidBook {
  const book = bookIn(project.product)!;
  const sides: LaidBook['sides'] = new Map();
  const put = (part: string, template: Template, shas: readonly string[], words: SideWords) => {
    const assets = shas.map((sha) => photos.get(sha) ?? null);
    const laid = laidSide(template, assets, words, laying.typesetter, laying.newId);
    sides.set(part, { ...laid, laid: { spread: template.key.slice(0, 40), print: printOf(laid.pile) } });
  };
  const captions = captionsOf(photos);
  const templates = new Map(design.spreads.map((each) => [each.key, each]));
  const kept = keptSpreads(project);
  let known = [...book.spreads];
  const fresh = plan.spreads.map((spread) => {
    const part = freshSpread(known);
    known = [...known, part];
    const chapter = spread.opens === null ? undefined : plan.chapters[spread.opens];
    put(part, templates.get(spread.key)!, spread.photos, {
      title: chapter?.title,
      told: chapter?.under,
      captions,
    });
    return { part, from: beginsAt(spread.photos, photos) };
  });
  const empty = Array.from({ length: plan.empty / 2 }, () => {
    const part = freshSpread(known);
    known = [...known, part];
    sides.set(part, {
      pile: [],
      groups: [],
      ground: design.spreads[0]?.ground ?? '#ffffff',
      light: project.surfaces[0]!.light,
    });
    return part;
  });
  const byHand = (part: string) => {
    const there = project.surfaces.find((surface) => surface.part === part);
    return there !== undefined && isByHand(there);
  };
  const people = plan.people.join(', ');
  const whoAndWhen = [people && `With ${people}.`, plan.when].filter(Boolean).join('\n');
  if (!byHand(COVER))
    put(COVER, design.cover, plan.cover, { title: project.title, told: plan.when, captions });
  if (!byHand(FIRST))
    put(FIRST, design.first, plan.first, { title: project.title, told: plan.when, captions });
  if (!byHand(LAST)) put(LAST, design.last, plan.last, { told: whoAndWhen, captions });
  const between = kept.map((surface) => ({
    part: surface.part!,
    from: beginsAt(photosOf(surface), photos),
    at: book.spreads.indexOf(surface.part!),
  }));
  const order = fresh.map(({ part }) => part);
  for (const { part, from, at } of between) {
    const before = from === null ? -1 : fresh.findIndex((each) => each.from !== null && each.from > from);
    const to =
      before < 0
        ? from === null
          ? Math.min(at, order.length)
          : order.length
        : order.indexOf(fresh[before]!.part);
    order.splice(to, 0, part);
  }
  return { product: { ...book, spreads: [...order, ...empty] }, sides };
}

/** Photos' captions, by SHA-256. */
export const captionsOf = (photos: ReadonlyMap<string, Asset>): Map<string, string> =>
  new Map([...photos].flatMap(([sha, { notes }]) => (notes?.caption ? [[sha, notes.caption]] : [])));

/** Lays it, with what the design brings along that is used, in one step. */
export const layBook = (
  label: string,
  { product: book, sides }: LaidBook,
  design: Pick<BookDesign, 'made'>,
  photos: readonly Asset[] = [],
  /** The design's name in the cupboard, where it is another than before. */
  supply = book.design,
): Edit => ({
  label,
  apply(project) {
    const { design: _, ...bare } = book;
    const product = supply ? { ...bare, design: supply } : bare;
    gather('photos', photos).apply(project);
    const used = new Set([...sides.values()].flatMap(({ pile }) => pile.flatMap(assetsIn)));
    const { made } = design;
    bringFonts(made.fonts ?? []).apply(project);
    for (const name of COMPARTMENTS)
      if (name !== 'photos')
        gather(
          name,
          made[name].flatMap((sha) => (used.has(sha) ? (made.assets[sha] ?? []) : [])),
        ).apply(project);
    for (const sha of used) {
      const asset = made.assets[sha];
      if (asset) project.assets[sha] ??= structuredClone(asset);
    }
    changeProduct(product, label).apply(project);
    for (const surface of project.surfaces) {
      const side = sides.get(surface.part ?? '');
      // What lies on every page goes on lying there.
      const shared = surface.pile.filter((piece) => piece.shared);
      if (side)
        Object.assign(surface, structuredClone(side), { pile: [...structuredClone(side.pile), ...shared] });
    }
  },
});
