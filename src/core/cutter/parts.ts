/** From what lies on pages to what comes loose: true outlines with what is worked in them, simplified once, at the end. */
import type { Point } from '@/core/geometry/matrix';
import type { Line, Part, Place } from '@/core/cutter/model';
import { paperParts } from '@/core/cutter/papers';
import { printedParts } from '@/core/cutter/printed';
import { thinned } from '@/core/cutter/rings';
import type { CutterSettings } from '@/core/cutter/settings';
import { FINE, type Found } from '@/core/cutter/shapes';

export interface Parts extends Found {
  /** Points of all lines before and after they were simplified. */
  points: { before: number; after: number };
}

/** All that comes loose on some pages, as the settings wish. */
export function partsOf(places: readonly Place[], settings: CutterSettings): Parts {
  const found = places.map((place, index): Found =>
    settings.way === 'printed'
      ? { parts: printedParts(place, index, settings), open: [], loose: [] }
      : paperParts(place, index, settings),
  );
  const tolerance = settings.tolerance - FINE;
  let [before, after] = [0, 0];
  const simpler = (points: readonly Point[], closed: boolean): Point[] => {
    const less = thinned(points, closed, tolerance);
    before += points.length;
    after += less.length;
    return less;
  };
  const parts = found.flatMap(({ parts }) =>
    parts.map((part): Part => {
      const rings = part.rings.map((ring) => simpler(ring, true));
      const worked = part.lines.map((line) => ({ ...line, points: simpler(line.points, line.closed) }));
      const cut = rings.map((points): Line => ({ doing: 'cut', points, closed: true }));
      return { ...part, rings, lines: [...worked, ...cut] };
    }),
  );
  return {
    parts,
    points: { before, after },
    open: found.flatMap(({ open }) => open),
    loose: found.flatMap(({ loose }) => loose),
  };
}
