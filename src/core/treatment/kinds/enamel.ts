import { dome, light, rim } from '@/core/treatment/relief';
import type { TreatmentKind } from '@/core/treatment/treatment';

/** A poured drop that sets glossy: round at the rim, flat within, with a hard light on its shoulder. */
export const enamel: TreatmentKind = {
  name: 'Glossy enamel',
  settings: [
    { id: 'width', name: 'Width of the rim', unit: 'length', least: 0.5, most: 72, first: 6 },
    { id: 'depth', name: 'Thickness', unit: 'share', least: 0, most: 1, first: 0.5 },
    { id: 'gloss', name: 'Gloss', unit: 'share', least: 0, most: 1, first: 0.75 },
  ],
  paint(field, { value }, toward, out) {
    const width = value('width');
    const heights = rim(field, width, width * value('depth') * 0.8, dome);
    light(field, heights, toward, 0.7, out, { amount: value('gloss'), sharpness: 20 });
  },
};
