/** What is printed first is cut out all round. */
import type { PathsD } from 'clipper2-ts';
import { signedArea } from '@/core/geometry/offset';
import { rectanglePath } from '@/core/geometry/path';
import type { Item, Paper, Part, Place } from '@/core/cutter/model';
import { grownRings } from '@/core/cutter/repair';
import { inRing, nested, thinned, type Ring } from '@/core/cutter/rings';
import type { CutterSettings } from '@/core/cutter/settings';
import { inCommon, partFrom, ringsOf, union } from '@/core/cutter/shapes';

const outersOf = (rings: PathsD): PathsD => rings.filter((ring) => signedArea(ring) > 0);

/** So far around, what is so near each other as one, no farther than the paper goes; each by itself where nothing is around. */
export function printedParts(place: Place, index: number, { around: by }: CutterSettings): Part[] {
  const shown = place.items.filter(({ opening, whole }) => !opening && !whole);
  const outlines = shown.map((item) => ({ item, rings: union(ringsOf(item.path)) }));
  const paper: Paper = { key: `printed ${index}`, name: `${place.name}, printed`, colour: '#ffffff' };
  const named = (all: readonly Ring[], of: readonly Item[], i: number): Part =>
    partFrom(all, {
      id: `${index} printed ${i}`,
      name: of.at(-1)?.name ?? place.name,
      pieces: of.flatMap(({ piece }) => (piece ? [piece] : [])),
      ...{ paper, place: index },
    });
  if (by <= 0)
    return outlines.flatMap(({ item, rings }, i) =>
      nested(rings).map((all, k) => named(all, [item], 1000 * i + k)),
    );
  // What is grown so far needs no finer outline than this.
  const coarse = outersOf(union(outlines.flatMap(({ rings }) => rings))).map((ring) =>
    thinned(ring, true, by / 40),
  );
  const sheet = ringsOf(rectanglePath({ x: 0, y: 0, ...place.size }));
  return outersOf(inCommon(grownRings(coarse, by), sheet)).map((ring, i) => {
    const within = outlines.filter(({ rings: [first] }) => first && inRing(ring, first[0]!));
    return named(
      [ring],
      within.map(({ item }) => item),
      i,
    );
  });
}
