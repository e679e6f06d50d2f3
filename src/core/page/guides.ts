/** Guides spaced evenly over a page. Lengths in points. */
import { apply, type Matrix } from '@/core/geometry/matrix';
import type { Guide, Project, Surface } from '@/core/project/model';
import { otherFace } from '@/core/product';

export interface Spacing {
  /** How many columns, or rows, lie between the margins. */
  count: number;
  /** Air between them. */
  gutter: number;
  margin: number;
}

/** The edges of columns (upright guides) or rows (level ones) over a side of this length, margins included. */
export function spacedGuides(axis: 'x' | 'y', length: number, { count, gutter, margin }: Spacing): Guide[] {
  const each = (length - 2 * margin - (count - 1) * gutter) / count;
  const places = Array.from({ length: count }, (_, i) => {
    const from = margin + i * (each + gutter);
    return [from, from + each];
  }).flat();
  const inside = places.filter((at) => at > 1e-6 && at < length - 1e-6);
  // Without a gutter two edges fall together: one guide does.
  const distinct = inside.filter((at, i) => i === 0 || at - inside[i - 1]! > 1e-6);
  return distinct.map((at) => ({ axis, at }));
}

/** A guide as it is seen on a page, and where it lives: on a page, or on every page for null. */
export interface SeenGuide extends Guide {
  of: string | null;
  /** Its place among the guides of where it lives. */
  index: number;
}

/** Where a line on one side of a paper comes out on the other; there and back is the same. */
const out = (through: Matrix, axis: 'x' | 'y', at: number): number => apply(through, { x: at, y: at })[axis];

/** All guides that are seen on a page: those of every page, its own, and those that go through its paper from the other side. */
export function guidesOn(project: Project, surface: Surface): SeenGuide[] {
  const other = otherFace(project, surface);
  const from = (guides: readonly Guide[], of: string | null) =>
    guides.map((guide, index) => ({ ...guide, of, index }));
  return [
    ...from(project.guides, null),
    ...from(surface.guides, surface.id),
    ...from(other?.surface.guides ?? [], other?.surface.id ?? null).flatMap((guide) =>
      guide.through ? [{ ...guide, at: out(other!.through, guide.axis, guide.at) }] : [],
    ),
  ];
}

/** Where a guide that is seen on a page at a place lies on the side it lives on. */
export function placeWhereItLives(
  project: Project,
  surface: Surface,
  { of, axis }: Pick<SeenGuide, 'of' | 'axis'>,
  at: number,
): number {
  const other = of === null || of === surface.id ? null : otherFace(project, surface);
  return other ? out(other.through, axis, at) : at;
}
