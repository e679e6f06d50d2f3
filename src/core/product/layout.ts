/** Loose pages for an album: the simplest product, each page a paper of its own, of any size. */
import type { ProductKind, ProductStart } from '@/core/product/product';
import { LARGEST_SIDE, LAYOUT_SIZES, nameOfSize } from '@/core/units/sizes';

export interface LayoutProduct {
  kind: 'layout';
}

export const layoutStart: ProductStart<'layout'> = {
  kind: 'layout',
  name: 'Layout',
  untitled: 'Untitled layout',
  sizes: LAYOUT_SIZES,
  mostSide: LARGEST_SIDE,
};

export const layout: ProductKind<LayoutProduct> = {
  ...layoutStart,
  waysOut: () => [{ as: ['pages', 'flat', 'spreads'], name: 'pages' }],
  ordered: () => ({ is: 'sheets', files: [{ part: 'pages', way: 'pages' }] }),
  begin: (size) => ({ product: { kind: 'layout' }, parts: [{ part: 'page', name: 'Page 1', ...size }] }),
  says: (_, unit, { width, height }) => nameOfSize(width, height, unit),
  pages: true,
};
