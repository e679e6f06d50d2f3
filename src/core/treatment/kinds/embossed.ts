import { bevel, light, rim } from '@/core/treatment/relief';
import type { TreatmentKind } from '@/core/treatment/treatment';

const settings = [
  { id: 'width', name: 'Width of the rim', unit: 'length', least: 0.5, most: 72, first: 4 },
  { id: 'depth', name: 'Depth', unit: 'share', least: 0, most: 1, first: 0.5 },
] as const;

/** Pressed from behind: the face stands out within a rounded rim; or pressed from the front, with the light the other way. */
const pressed = (name: string, way: 1 | -1): TreatmentKind => ({
  name,
  settings,
  paint(field, { value }, toward, out) {
    const width = value('width');
    light(field, rim(field, width, way * width * value('depth'), bevel), toward, 1, out);
  },
});

export const embossed = pressed('Embossed', 1);
export const debossed = pressed('Debossed', -1);
