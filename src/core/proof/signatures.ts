/** Pages that do not make up whole sheets: a booklet is folded from sheets of four (common practice, no source). */
import { countOf } from '@/core/product';
import { bookIn } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import type { Check } from '@/core/proof/check';

export const SIGNATURES: Check = {
  id: 'signatures',
  look: ({ project, surface }) => {
    const book = bookIn(project.product);
    const pages = countOf(project);
    const step = book ? BINDS[book.binding].step : 1;
    const blank = (step - (pages % step)) % step;
    // Said once, at the cover.
    if (!blank || surface.id !== project.surfaces[0]?.id) return [];
    const says = `It is folded from sheets of ${step} pages, and ${pages} do not fill them: ${blank} ${blank === 1 ? 'page' : 'pages'} would stay blank at the end. Add ${blank / 2 === 1 ? 'a spread' : `${blank / 2} spreads`}, or take one away.`;
    return [{ piece: null, name: 'Pages', warns: true, says, cure: 'show' }];
  },
};
