import { clouds } from '@/core/geometry/noise';
import { eachPixel } from '@/core/treatment/field';
import type { TreatmentKind } from '@/core/treatment/treatment';

/** Metal leaf: it mirrors a bright window and a dark room, and its creases break the picture up. */
export const foil: TreatmentKind = {
  name: 'Foil',
  colour: '#d9b45b',
  chance: true,
  settings: [
    { id: 'size', name: 'Size of the creases', unit: 'length', least: 2, most: 216, first: 26 },
    { id: 'crease', name: 'Creased', unit: 'share', least: 0, most: 1, first: 0.3 },
    { id: 'shine', name: 'Shine', unit: 'share', least: 0, most: 1, first: 0.7 },
  ],
  paint(field, { value, colour: [r, g, b], seed }, toward, out) {
    const [size, crease, shine] = [value('size'), value('crease'), value('shine')];
    const flat = Math.hypot(toward.x, toward.y) || 1;
    const [wx, wy] = [toward.x / flat, toward.y / flat];
    eachPixel(field, (i, x, y) => {
      const bent = clouds(x / size, y / size, 4, seed) - 0.5;
      // How far across the mirrored room the eye looks: bands along the light’s way, moved by the creases.
      const sweep = (x * wx + y * wy) / (4 * size) + bent * (0.4 + 2 * crease);
      const band = 0.5 + 0.5 * Math.sin(2 * Math.PI * sweep);
      // Metal darkens by deepening its colour, as light that is mirrored twice is coloured twice.
      const deep = 1 + 0.8 * (1 - band);
      out.lay(i, r ** deep, g ** deep, b ** deep, 0.97);
      out.shine(i, shine * 0.8 * band ** 6);
    });
  },
};
