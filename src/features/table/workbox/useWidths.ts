/** How wide each compartment is: by what is in it, until a person drags the slats; then as it was dragged. */
import { useState } from 'react';
import { COMPARTMENTS, type Compartment } from '@/core/project/model';
import { remember, remembered } from '@/ui/remembered';

const KEY = 'bellagraph workbox widths';
const LEAST = 0.35;
/** Pixels of a slat's way that make one share, at a comfortable window. */
const PIXELS_A_SHARE = 110;

type Widths = Record<Compartment, number>;

/** Photos and papers have room from the start; the rest grow with what they hold. */
const usual = (count: (name: Compartment) => number): Widths =>
  Object.fromEntries(
    COMPARTMENTS.map((name) => [
      name,
      name === 'photos' ? 3.4 : name === 'papers' ? 2 : Math.min(2.4, 0.8 + 0.4 * count(name)),
    ]),
  ) as Widths;

function stored(): Widths | null {
  try {
    const found = JSON.parse(remembered(KEY) ?? 'null') as Widths | null;
    return found && COMPARTMENTS.every((name) => found[name] >= LEAST) ? found : null;
  } catch {
    return null;
  }
}

export function useWidths(count: (name: Compartment) => number) {
  const [dragged, setDragged] = useState<Widths | null>(stored);
  const widths = dragged ?? usual(count);
  const drag = (left: Compartment, right: Compartment, pixels: number) => {
    const by = Math.max(LEAST - widths[left], Math.min(widths[right] - LEAST, pixels / PIXELS_A_SHARE));
    const next = { ...widths, [left]: widths[left] + by, [right]: widths[right] - by };
    setDragged(next);
    remember(KEY, JSON.stringify(next));
  };
  return { widths, drag };
}
