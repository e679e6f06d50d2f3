/** Long things that point somewhere: to where the eye goes first, to the title, or out of the page. */
import { apply, type Point } from '@/core/geometry/matrix';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import type { Measure, Over } from '@/core/proof/look-over/measure';

/** So many times as long as it is wide, a thing is a line. */
const LONG = 5;
/** A line that passes nearer than this leads there: of the page's shorter side. */
const PASSES = 0.08;

/** Both ends of a long thing's middle line, on the page. */
function endsOf({ placement }: Piece): [Point, Point] | null {
  const { width, height } = placement;
  if (Math.max(width, height) < LONG * Math.min(width, height)) return null;
  const map = placementMatrix(placement);
  const half = width > height ? { x: width / 2, y: 0 } : { x: 0, y: height / 2 };
  return [apply(map, { x: -half.x, y: -half.y }), apply(map, half)];
}

/** How far a point lies from a line drawn on through two others. */
const fromLine = ([a, b]: [Point, Point], p: Point): number =>
  Math.abs((b.x - a.x) * (a.y - p.y) - (a.x - p.x) * (b.y - a.y)) / Math.hypot(b.x - a.x, b.y - a.y);

function aimsOn({ eye, surface, seen }: Over): { name: string; at: Point }[] {
  const [first] = eye.stops;
  const title = seen.find(({ role }) => role === 'title');
  return [
    ...(title ? [{ name: 'the title', at: { x: title.placement.x, y: title.placement.y } }] : []),
    ...(first
      ? [
          {
            name: 'where the eye goes first',
            at: { x: first.x * surface.width, y: first.y * surface.height },
          },
        ]
      : []),
  ];
}

export const LEADING: Measure = {
  id: 'leading',
  name: 'Lines that lead',
  look(page) {
    const { surface, seen } = page;
    const reach = PASSES * Math.min(surface.width, surface.height);
    const lines = seen.flatMap((piece) => {
      const ends = piece.role === 'title' || piece.role === 'journaling' ? null : endsOf(piece);
      return ends ? [{ piece, ends }] : [];
    });
    if (!lines.length) return null;
    const aims = aimsOn(page);
    const leading = lines.flatMap(({ piece, ends }) => {
      const aim = aims.find(({ at }) => fromLine(ends, at) < reach);
      return aim ? [{ piece, ends, says: `“${piece.name}” to ${aim.name}` }] : [];
    });
    const shown = leading.length ? leading : lines;
    return {
      says: leading.length
        ? `They lead: ${leading.map(({ says }) => says).join(', ')}.`
        : `Of ${lines.length === 1 ? 'one long thing' : `${lines.length} long things`} none leads to the title, or to where the eye goes first.`,
      shows: {
        kind: 'marks',
        marks: shown.flatMap(({ ends, piece }) =>
          ends.map((end, i) => ({ ...end, ...(i ? {} : { says: piece.name }) })),
        ),
      },
    };
  },
};
