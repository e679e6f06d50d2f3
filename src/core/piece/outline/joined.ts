/** Letters joined to one shape, as a cutter needs them: touching each other or on a bar, dots and accents tied in. */
import { number, object, string } from 'yup';
import { rectanglePath, pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { translation, type Point } from '@/core/geometry/matrix';
import { pathOfRings, polygons, signedArea } from '@/core/geometry/offset';
import { leastGap, profileOf } from '@/core/text/optical';
import { lettersOf } from '@/core/text/runs';
import type { GlyphRun, Typesetter } from '@/core/text/typesetter';

export interface Joined {
  how: 'touch' | 'bar';
  /** Where the bar's middle lies above the baseline, and how thick it is, as shares of the letter size. */
  at: number;
  thick: number;
}

export const joinedSchema = object({
  how: string().oneOf(['touch', 'bar']).required(),
  at: number().min(-0.5).max(1).required(),
  thick: number().min(0.02).max(0.5).required(),
}).noUnknown();

/** How far neighbours reach into each other, as a share of the letter size. */
const OVERLAP = 0.03;
/** How wide a tie to a loose dot is, the same. */
const TIE = 0.06;

/** One outline of all letters; the curves as fine polygons. */
export function joinedPath(runs: readonly GlyphRun[], joined: Joined, typesetter: Typesetter): Path {
  const letters = lettersOf(runs).map((own) => ({
    path: typesetter.outline(own),
    y: own[0]!.glyphs[0]!.y,
    size: own[0]!.size,
  }));
  if (!letters.length) return [];
  const lines = new Map<number, typeof letters>();
  for (const letter of letters) lines.set(letter.y, [...(lines.get(letter.y) ?? []), letter]);
  const size = Math.max(...letters.map((letter) => letter.size));
  const all = [...lines].flatMap(([y, line]) => {
    const paths =
      joined.how === 'touch'
        ? touching(
            line.map(({ path }) => path),
            size,
          )
        : line.map(({ path }) => path);
    if (joined.how === 'touch') return paths;
    const box = pathBounds(paths.flat());
    const thick = joined.thick * size;
    return [
      ...paths,
      rectanglePath({ x: box.x, y: y - joined.at * size - thick / 2, width: box.width, height: thick }),
    ];
  });
  return tied(pathOfRings(polygons(all.flat())), TIE * size);
}

/** Each letter pushed to its neighbour until they overlap a little, whatever room was between them; the middle stays. */
function touching(letters: readonly Path[], size: number): Path[] {
  const whole = pathBounds(letters.flat());
  const profiles = letters.map((path) => profileOf(path, whole.y, whole.y + whole.height));
  let shift = 0;
  const moved = letters.map((path, i) => {
    if (i > 0) {
      const gap = leastGap(profiles[i - 1]!, profiles[i]!);
      // Letters that pass above each other meet box to box.
      const boxes = [pathBounds(letters[i - 1]!), pathBounds(path)] as const;
      shift -= (Number.isFinite(gap) ? gap : boxes[1].x - boxes[0].x - boxes[0].width) + OVERLAP * size;
    }
    return transformPath(translation(shift, 0), path);
  });
  const now = pathBounds(moved.flat());
  const back = translation(whole.x + whole.width / 2 - now.x - now.width / 2, 0);
  return moved.map((path) => transformPath(back, path));
}

/** Shapes that lie loose, such as dots, tied to the nearest other by a bar this wide. */
function tied(path: Path, width: number): Path {
  let rings = polygons(path);
  for (let tries = 0; tries < 60; tries++) {
    const outer = rings.filter((ring) => signedArea(ring) > 0).sort((a, b) => signedArea(a) - signedArea(b));
    if (outer.length < 2) break;
    const [loose, ...others] = outer;
    let best: { from: Point; to: Point; away: number } | null = null;
    for (const other of others)
      for (const to of other)
        for (const from of loose!) {
          const away = Math.hypot(to.x - from.x, to.y - from.y);
          if (!best || away < best.away) best = { from, to, away };
        }
    if (!best) break;
    rings = polygons([...pathOfRings(rings), ...bar(best.from, best.to, width)]);
  }
  return pathOfRings(rings);
}

/** A bar from a point to another and half its width beyond both; clockwise, as outer rings go. */
function bar(from: Point, to: Point, width: number): Path {
  const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [ux, uy] = long > 1e-6 ? [(to.x - from.x) / long, (to.y - from.y) / long] : [1, 0];
  const h = width / 2;
  const corner = (end: Point, along: number, across: number): Point => ({
    x: end.x + ux * along - uy * across,
    y: end.y + uy * along + ux * across,
  });
  const ring = [corner(from, -h, -h), corner(to, h, -h), corner(to, h, h), corner(from, -h, h)];
  return pathOfRings([signedArea(ring) > 0 ? ring : ring.reverse()]);
}
