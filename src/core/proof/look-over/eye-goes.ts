/** Which things the eye goes to, one after the other. */
import { piecesAt } from '@/core/page/pick';
import type { Measure } from '@/core/proof/look-over/measure';

/** With the second place so near to the first, neither is the one (common practice, no source: one focal point a page). */
const ALIKE = 0.92;
const ORDER = ['first', 'then', 'after that'];

export const EYE: Measure = {
  id: 'eye',
  name: 'Where the eye goes',
  look({ eye, surface, seen, tools }) {
    const { width, height, map, stops } = eye;
    if (!stops.length) return { says: 'Nothing on this page draws the eye more than the rest.', shows: null };
    const named = stops.map(({ x, y }) => {
      const [piece] = piecesAt(seen, { x: x * surface.width, y: y * surface.height }, 2, tools);
      return piece ? `“${piece.name}”` : 'the bare page';
    });
    // The same thing twice in a row is one stop.
    const ways = named.filter((name, i) => name !== named[i - 1]);
    const goes = ways.map((name, i) => `${ORDER[i]} to ${name}`).join(', ');
    const [first, second] = stops;
    const rivals = second && named[0] !== named[1] && second.draws > ALIKE * first!.draws;
    return {
      says: `It goes ${goes}.${rivals ? ' The first two draw it about alike: one of them, larger or darker, would lead.' : ''}`,
      shows: { kind: 'map', width, height, values: map },
    };
  },
};
