/** Ways to look at the table. 100 % is true size: 96 CSS pixels to the inch (CSS Values 4, 6.2). */
import type { Size } from '@/core/geometry/box';
import {
  apply,
  compose,
  invert,
  scaling,
  translation,
  type Matrix,
  type Point,
} from '@/core/geometry/matrix';
import { withBleed, type Sides } from '@/core/geometry/sides';
import { TRUE_SIZE } from '@/features/table/session/screen';
import type { View } from '@/features/table/session';

/** How wide the rulers at the stage's upper and left sides are, CSS pixels. */
export const RULER = 22;

const LEAST = 0.05 * TRUE_SIZE;
const MOST = 16 * TRUE_SIZE;

export const viewMatrix = ({ zoom, x, y }: View): Matrix => compose(translation(x, y), scaling(zoom));
export const toPage = (view: View, point: Point): Point => apply(invert(viewMatrix(view)), point);

/**
 * The page whole and centred, with a margin for rulers, the pages at the left and what hangs off; beside what lies over the stage's left side
 * (`aside`, CSS pixels), as far as there is room.
 */
export function fitted(page: Size & { bleed: Sides }, stage: Size, aside = 0): View {
  const margin = { left: 70, top: RULER + 10, right: 24, bottom: 10 };
  const all = withBleed(page);
  const room = {
    width: Math.max(80, stage.width - margin.left - margin.right),
    height: Math.max(80, stage.height - margin.top - margin.bottom),
  };
  const zoom = clampZoom(Math.min(room.width / all.width, room.height / all.height));
  const middle = margin.left + (room.width - page.width * zoom) / 2;
  const beside = (aside + stage.width - page.width * zoom) / 2;
  const farthest = stage.width - margin.right - (page.width + page.bleed.right) * zoom;
  return steady({
    zoom,
    x: aside ? Math.max(middle, Math.min(beside, farthest)) : middle,
    y: margin.top + (room.height - page.height * zoom) / 2,
  });
}

export const clampZoom = (zoom: number): number => Math.min(MOST, Math.max(LEAST, zoom));

/** Zooms with the point `about` (stage pixels) held still. */
export function zoomed(view: View, zoom: number, about: Point): View {
  const to = clampZoom(zoom);
  const share = to / view.zoom;
  return steady({
    zoom: to,
    x: about.x - (about.x - view.x) * share,
    y: about.y - (about.y - view.y) * share,
  });
}

export const panned = (view: View, dx: number, dy: number): View =>
  steady({ ...view, x: view.x + dx, y: view.y + dy });

/** On whole pixels, so that what was drawn can be used again after a pan. */
const steady = (view: View): View => ({ zoom: view.zoom, x: Math.round(view.x), y: Math.round(view.y) });

const STEPS = [0.05, 0.1, 0.17, 0.25, 0.33, 0.5, 0.67, 0.75, 1, 1.5, 2, 3, 4, 6, 8, 12, 16];

/** The next usual zoom up or down. */
export function nextZoom(zoom: number, direction: 1 | -1): number {
  const now = zoom / TRUE_SIZE;
  const found =
    direction > 0 ? STEPS.find((step) => step > now * 1.02) : STEPS.findLast((step) => step < now * 0.98);
  return (found ?? (direction > 0 ? 16 : 0.05)) * TRUE_SIZE;
}

/** The spacing of ruler marks, points: the finest step of the unit whose marks lie at least `apart` pixels from each other. */
export function rulerStep(
  zoom: number,
  unit: 'in' | 'mm',
  apart: number,
): { step: number; decimals: number } {
  const base = unit === 'in' ? 72 : 72 / 25.4;
  const steps =
    unit === 'in' ? [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4, 6, 12] : [1, 2, 5, 10, 20, 50, 100, 200, 500];
  const found = steps.find((s) => s * base * zoom >= apart) ?? steps[steps.length - 1]!;
  return {
    step: found * base,
    decimals: found >= 1 ? 0 : found >= 0.5 ? 1 : found >= 0.25 ? 2 : found >= 0.125 ? 3 : 4,
  };
}
