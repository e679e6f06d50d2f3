/** Tucking: which crossings of the selected piece pass over and which beneath. */
import { apply, invert, type Point } from '@/core/geometry/matrix';
import { polygons } from '@/core/geometry/offset';
import { pathBounds, transformPath } from '@/core/geometry/path';
import { slitAt, slitOnPage, slitsApart, slitWithOut, tuckAt, type Crossing } from '@/core/page/tuck';
import type { Slit, Tuck } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Edit } from '@/core/project/edits/edit';
import { setTucks } from '@/core/project/edits/pile';
import type { SessionStore } from '@/features/table/session';

/** Whether the selected piece passes over the other at a crossing. */
export const passesOver = ({ upper, tuck }: Crossing, id: string): boolean => (upper.id === id) === !tuck;

export type Passes = 'over' | 'under' | 'slit';

export const passesHow = (crossing: Crossing, id: string): Passes =>
  crossing.tuck?.slit ? 'slit' : passesOver(crossing, id) ? 'over' : 'under';

/** How much of what goes into a new slit is beneath. */
const FIRST_HIDDEN = 0.3;

/** Lets the upper piece pass beneath the other at this crossing, or over it again. */
export function turnCrossing(store: SessionStore, crossing: Crossing): void {
  const [id] = store.getState().selection;
  if (id) passCrossing(store, crossing, passesOver(crossing, id) ? 'under' : 'over');
}

/** Lets the selected piece pass over, under, or through a slit of what lies beneath. */
export function passCrossing(store: SessionStore, crossing: Crossing, how: Passes): void {
  const { perform, surfaceId, selection } = store.getState();
  const { upper, tuck } = crossing;
  const others = (upper.tucks ?? []).filter((each) => each !== tuck);
  // Seen from the lower piece, “over” is what the upper one calls “under”.
  const beneath = how === 'slit' || (how === 'under') === (upper.id === selection[0]);
  const fresh: Tuck = { ...tuckAt(crossing), ...(how === 'slit' ? { slit: firstSlit(crossing) } : {}) };
  perform(setTucks(surfaceId, upper, beneath ? [...others, fresh] : others));
}

/** All places where the selected piece meets another, at once: over it or under it everywhere. */
export function passEverywhere(
  store: SessionStore,
  crossings: readonly Crossing[],
  how: 'over' | 'under',
): void {
  const { perform, surfaceId, selection } = store.getState();
  const [first] = crossings;
  if (!first) return;
  const { upper } = first;
  const these = new Set(crossings.map(({ tuck }) => tuck));
  const others = (upper.tucks ?? []).filter((each) => !these.has(each));
  const beneath = (how === 'under') === (upper.id === selection[0]);
  perform(setTucks(surfaceId, upper, beneath ? [...others, ...crossings.map(tuckAt)] : others));
}

/** Across the crossing as the upper piece is turned, so that the lower part of what lies there, or its right, is beneath. */
function firstSlit({ upper, lower, area }: Crossing): Slit {
  const lies = placementMatrix(upper.placement);
  const { x, y, width, height } = pathBounds(transformPath(invert(lies), area));
  const level = y + height * (1 - FIRST_HIDDEN);
  const upright = x + width * (1 - FIRST_HIDDEN);
  // A ribbon goes through a slit across it.
  const across = width > 1.5 * height;
  const ends = (
    across
      ? [
          { x: upright, y: y + height },
          { x: upright, y },
        ]
      : [
          { x, y: level },
          { x: x + width, y: level },
        ]
  ).map((end) => apply(lies, end));
  const [a, b] = upper.placement.mirror ? ends.reverse() : ends;
  return slitAt(lower, a!, b!);
}

/** How far from the middle of what crosses its area reaches beyond a slit and before it, points. */
function acrossSlit({ area, middle }: Crossing, [a, b]: [Point, Point]): [number, number] {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const reach = polygons(area)
    .flat()
    .map((p) => ((p.x - middle.x) * -(b.y - a.y) + (p.y - middle.y) * (b.x - a.x)) / long);
  return [Math.min(...reach), Math.max(...reach)];
}

/** Lets what goes through a slit come out again through a second one so far beyond (points), or stay beneath. */
export function comeOut(store: SessionStore, crossing: Crossing, apart: number | null): void {
  const { perform, surfaceId } = store.getState();
  const { lower, tuck } = crossing;
  if (!tuck?.slit) return;
  const slit = slitWithOut(tuck.slit, lower, apart);
  perform(changeSlit(surfaceId, crossing, slit, apart === null ? 'take off second slit' : 'second slit'));
}

/** Two slits where there was one: the middle third of what crosses lies between them. */
export function cutSecond(store: SessionStore, crossing: Crossing): void {
  const now = slitLies(crossing);
  if (!now) return;
  const [from, to] = acrossSlit(crossing, now.ends);
  const third = (to - from) / 3;
  const { perform, surfaceId } = store.getState();
  const [a, b] = endsOf(crossing, now, { angle: now.angle, away: from + third });
  const slit = slitWithOut(slitAt(crossing.lower, a, b), crossing.lower, third);
  perform(changeSlit(surfaceId, crossing, slit, 'second slit'));
}

export interface SlitLies {
  /** Degrees clockwise on the page from level. */
  angle: number;
  /** How far it lies from the middle of what crosses, toward the hidden side, points. */
  away: number;
  ends: [Point, Point];
  /** How far beyond it the second slit lies, points; null without. */
  apart: number | null;
}

export function slitLies({ lower, middle, tuck }: Crossing): SlitLies | null {
  if (!tuck?.slit) return null;
  const ends = slitOnPage(tuck.slit, lower);
  const [a, b] = ends;
  const angle = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const away = ((a.x - middle.x) * -(b.y - a.y) + (a.y - middle.y) * (b.x - a.x)) / long;
  return { angle, away, ends, apart: slitsApart(tuck.slit, lower) };
}

/** The edit that puts a crossing’s slit between two places of the page. */
export const slitEdit = (surfaceId: string, crossing: Crossing, a: Point, b: Point): Edit => {
  const { lower } = crossing;
  const apart = slitLies(crossing)?.apart ?? null;
  return changeSlit(surfaceId, crossing, slitWithOut(slitAt(lower, a, b), lower, apart), 'move slit');
};

const changeSlit = (surfaceId: string, { upper, tuck }: Crossing, slit: Slit, label: string): Edit => ({
  ...setTucks(
    surfaceId,
    upper,
    (upper.tucks ?? []).map((each) => (each === tuck ? { ...each, slit } : each)),
  ),
  label,
});

/** Turns a slit about its middle to an angle, and lays it so far from the middle of what crosses. */
export function laySlit(store: SessionStore, crossing: Crossing, to: { angle: number; away: number }): void {
  const now = slitLies(crossing);
  if (!now) return;
  const { perform, surfaceId } = store.getState();
  perform(slitEdit(surfaceId, crossing, ...endsOf(crossing, now, to)));
}

/** The ends of a slit, as long as it is now, at another angle and so far from the middle of what crosses. */
function endsOf(
  { middle: { x, y } }: Crossing,
  { ends: [a, b] }: SlitLies,
  { angle, away }: { angle: number; away: number },
): [Point, Point] {
  const half = Math.hypot(b.x - a.x, b.y - a.y) / 2;
  const [cos, sin] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
  const middle = { x: x - away * sin, y: y + away * cos };
  return [
    { x: middle.x - half * cos, y: middle.y - half * sin },
    { x: middle.x + half * cos, y: middle.y + half * sin },
  ];
}
