/** A project as a print shop gets it: what is told of it, and the pages of each file. */
import type { Ticket, TicketFile } from '@/core/order/ticket';
import { madeBy, orderedAs, waysOut, type Product, type Taken } from '@/core/product';
import type { Size } from '@/core/geometry/box';
import { fromPoints } from '@/core/units/lengths';

export interface JobFile<S> extends Pick<TicketFile, 'name' | 'part' | 'pages' | 'width' | 'height'> {
  taken: Taken<S>[];
}

export interface Job<S> {
  product: Ticket['product'];
  files: JobFile<S>[];
}

interface Side extends Size {
  id: string;
  name: string;
  part?: string;
}

/** Hundredths of a millimetre are told. */
const mm = (points: number): number => Number(fromPoints(points, 'mm').toFixed(2));

/** Null for what no shop makes. */
export function jobOf<S extends Side>(project: { product: Product; surfaces: readonly S[] }): Job<S> | null {
  const ordered = orderedAs(project.product);
  if (!ordered) return null;
  const ways = waysOut(project.product);
  const files = ordered.files.flatMap(({ part, name = part, way, parts }): JobFile<S>[] => {
    const taken = madeBy(
      project,
      ways.find((each) => each.name === way)!,
    ).filter(({ surface }) => !parts || parts(surface.part ?? 'page'));
    const [first] = taken;
    if (!first) return [];
    const { width, height } = first.panel?.box ?? first.surface;
    return [{ name: `${name}.pdf`, part, taken, pages: taken.length, width: mm(width), height: mm(height) }];
  });
  const inside = files.filter(({ part }) => part !== 'cover');
  const [first] = inside;
  if (!first) return null;
  const { width, height } = first;
  return {
    product: {
      ...{ is: ordered.is, width, height, pages: inside.reduce((sum, { pages }) => sum + pages, 0) },
      ...(ordered.made ? { made: ordered.made } : {}),
      ...(ordered.spine ? { spine: mm(ordered.spine) } : {}),
    },
    files,
  };
}
