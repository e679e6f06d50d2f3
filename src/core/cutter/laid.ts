/** Outlines from a file as shapes: what lies in what is a hole in it. */
import { FillRule, unionD, type PathsD } from 'clipper2-ts';
import { boxOfPoints } from '@/core/geometry/box';
import { translation } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import { transformPath, type Path, type Segment } from '@/core/geometry/path';
import type { Doing } from '@/core/cutter/model';
import type { ReadOutlines } from '@/core/cutter/read/outlines';
import { nested, thinned } from '@/core/cutter/rings';

export interface ReadShape {
  path: Path;
  doing: Doing;
  ink?: string;
}

/** What is left of a line is off by no more than this, points: finer than any blade. */
const FINE = 0.02;

/**
 * All closed outlines of one kind as shapes, each with its holes (even-odd: what is in what turn about), open lines as they
 * are; moved so that all of them begin at the corner.
 */
export function shapesOf({ outlines }: Pick<ReadOutlines, 'outlines'>, asOne: boolean): ReadShape[] {
  const { x, y } = boxOfPoints(outlines.flatMap(({ points }) => points));
  const kinds = new Map<string, ReadOutlines['outlines']>();
  for (const line of outlines) {
    const key = `${line.doing} ${line.ink ?? ''}`;
    kinds.set(key, [...(kinds.get(key) ?? []), line]);
  }
  const home = translation(-x, -y);
  return [...kinds.values()].flatMap((lines): ReadShape[] => {
    const [{ doing, ink }] = lines as [(typeof lines)[number]];
    const closed = lines.filter((line) => line.closed).map(({ points }) => thinned(points, true, FINE));
    const rings = unionD(closed as PathsD, [], FillRule.EvenOdd, 4);
    const open = lines
      .filter((line) => !line.closed)
      .map(({ points }) => thinned(points, false, FINE).map(({ x, y }, i): Segment => [i ? 'L' : 'M', x, y]));
    const all = nested(rings);
    const paths: Path[] = asOne
      ? [[...all.flatMap((each) => pathOfRings(each)), ...open.flat()]]
      : [...all.map((each) => pathOfRings(each)), ...open];
    return paths
      .filter((path) => path.length)
      .map((path) => ({ path: transformPath(home, path), doing, ...(ink ? { ink } : {}) }));
  });
}
