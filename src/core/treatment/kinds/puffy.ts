import { cushion } from '@/core/treatment/cushion';
import { light } from '@/core/treatment/relief';
import type { TreatmentKind } from '@/core/treatment/treatment';

/** Foam under a thin skin: round all over, highest in the middle of each part. */
export const puffy: TreatmentKind = {
  name: 'Puffy',
  settings: [
    { id: 'depth', name: 'Fullness', unit: 'share', least: 0, most: 1, first: 0.45 },
    { id: 'gloss', name: 'Gloss', unit: 'share', least: 0, most: 1, first: 0.35 },
  ],
  paint(field, { value }, toward, out) {
    const { cover, width, height, scale } = field;
    const heights = cushion(cover, width, height);
    const full = value('depth') / scale;
    for (let i = 0; i < heights.length; i++) heights[i]! *= full;
    light(field, heights, toward, 0.85, out, { amount: 0.8 * value('gloss'), sharpness: 22 });
  },
};
