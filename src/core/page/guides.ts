/** Guides spaced evenly over a page. Lengths in points. */
import type { Guide } from '@/core/project/model';

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
