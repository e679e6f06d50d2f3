/** A side whose paper has another size now: what lies on it goes with its panel. */
import type { Size } from '@/core/geometry/box';
import type { Panel } from '@/core/product/product';
import { fittedTo } from '@/core/project/fit';
import type { Surface } from '@/core/project/model';

/** Gives a surface (a draft) another size; nothing that lies on it is lost. */
export function refit(surface: Surface, before: readonly Panel[], after: readonly Panel[], to: Size): void {
  const { bleed, width, height, pile } = surface;
  surface.pile = fittedTo(
    pile,
    { width, height, bleed, panels: before },
    { ...to, bleed, panels: after },
    true,
  );
  surface.width = to.width;
  surface.height = to.height;
}
