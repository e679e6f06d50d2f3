/** Embellishments that lie together, and how many: odd groups sit easier (common practice, no source). */
import { unite, type Box } from '@/core/geometry/box';
import { transformBox, centredBox, outset, overlaps } from '@/core/geometry/box';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Measure } from '@/core/proof/look-over/measure';

/** What lies nearer than this lies together, points: a quarter of an inch. */
const NEAR = 18;
/** What is larger than this share of the page is no small thing. */
const SMALL = 0.12;
/** More things than this are no groups any more. */
const MOST = 200;

export const GROUPS: Measure = {
  id: 'groups',
  name: 'Groups',
  look({ seen, surface }) {
    const boxes = seen
      .filter(({ role }) => role === 'embellishment' || role === 'stamp')
      .map(({ placement }) => transformBox(placementMatrix(placement), centredBox(placement)))
      .filter(({ width, height }) => width * height < SMALL * surface.width * surface.height);
    if (!boxes.length || boxes.length > MOST) return null;
    const groups: { box: Box; parts: Box[] }[] = [];
    for (const box of boxes) {
      const near = groups.filter(({ parts }) => parts.some((part) => overlaps(outset(part, NEAR), box)));
      const parts = [...near.flatMap((group) => group.parts), box];
      for (const group of near) groups.splice(groups.indexOf(group), 1);
      groups.push({ box: parts.reduce(unite), parts });
    }
    const sizes = groups.map(({ parts }) => parts.length).sort((a, b) => b - a);
    const even = sizes.filter((size) => size % 2 === 0);
    const said =
      sizes.length === 1 ? `One group of ${sizes[0]}` : `${sizes.length} groups, of ${sizes.join(', ')}`;
    return {
      says: `${said}.${even.length ? ` ${even.length === 1 ? `That of ${even[0]}` : 'Those of even number'} would sit easier with one more or one fewer.` : ''}`,
      shows: {
        kind: 'boxes',
        boxes: groups.map(({ box, parts }) => ({ ...box, says: String(parts.length) })),
      },
    };
  },
};
