/** How many papers, inks and typefaces a page is made with. */
import { evenColour } from '@/core/piece/material';
import { assetsIn } from '@/core/piece/assets';
import { isWritten } from '@/core/piece/outline';
import { letteringsOf } from '@/core/project/needs';
import type { Measure } from '@/core/proof/look-over/measure';

/** More than these look like many hands (common practice, no source). */
const MOST = { papers: 5, inks: 5, typefaces: 3 };

const counted = (count: number, one: string, many = `${one}s`): string =>
  count === 0 ? `no ${one}` : `${count} ${count === 1 ? one : many}`;

export const COUNTS: Measure = {
  id: 'counts',
  name: 'Papers, inks, typefaces',
  look({ seen }) {
    if (!seen.length) return null;
    const papers = new Set(
      seen.filter(({ role }) => role === 'paper' || role === 'mat').flatMap((piece) => assetsIn(piece)),
    );
    const inks = new Set(seen.flatMap(({ material }) => evenColour(material)?.toLowerCase() ?? []));
    const typefaces = new Set(
      seen
        .filter(({ outline }) => isWritten(outline))
        .flatMap((piece) => letteringsOf(piece).map(({ family }) => family)),
    );
    const many = [
      ...(papers.size > MOST.papers ? ['papers'] : []),
      ...(inks.size > MOST.inks ? ['inks'] : []),
      ...(typefaces.size > MOST.typefaces ? ['typefaces'] : []),
    ];
    const all = [
      counted(papers.size, 'paper'),
      counted(inks.size, 'ink'),
      counted(typefaces.size, 'typeface'),
    ];
    return {
      says: `${all[0]![0]!.toUpperCase()}${all.join(', ').slice(1)}.${many.length ? ` Fewer ${many.join(' and ')}, each used again, hold a page together.` : ''}`,
      shows: null,
    };
  },
};
