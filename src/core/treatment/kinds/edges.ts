/** What is done to a paper’s edges: chalked, inked with a pad, sanded until its core shows. */
import { clouds } from '@/core/geometry/noise';
import { eachPixel } from '@/core/treatment/field';
import type { TreatmentKind } from '@/core/treatment/treatment';

const reach = { id: 'reach', name: 'How far in', unit: 'length', least: 1, most: 144, first: 14 } as const;
const strength = { id: 'strength', name: 'Strength', unit: 'share', least: 0, most: 1, first: 0.7 } as const;

export const chalked: TreatmentKind = {
  name: 'Chalked edges',
  colour: '#fdfbf6',
  chance: true,
  settings: [{ ...reach, first: 26 }, strength],
  paint(field, { value, colour, seed }, _, out) {
    const deep = field.depth();
    const [far, strong] = [value('reach'), value('strength')];
    eachPixel(field, (i, px, py) => {
      if (deep[i]! > far * 1.6) return;
      const cloud = clouds(px / far, py / far, 3, seed);
      const dust = clouds(px / 0.9, py / 0.9, 2, seed + 9);
      const fade = Math.max(0, 1 - deep[i]! / (far * (0.6 + cloud)));
      out.lay(i, ...colour, strong * fade * fade * (0.45 + 0.9 * dust));
    });
  },
};

export const inked: TreatmentKind = {
  name: 'Inked edges',
  colour: '#5b3a29',
  chance: true,
  settings: [
    reach,
    strength,
    { id: 'rough', name: 'Roughness', unit: 'share', least: 0, most: 1, first: 0.5 },
  ],
  paint(field, { value, colour, seed }, _, out) {
    const deep = field.depth();
    const [far, strong, rough] = [value('reach'), value('strength'), value('rough')];
    eachPixel(field, (i, px, py) => {
      if (deep[i]! > far * 2) return;
      // A pad rubs harder here and there, and streaks over the paper’s tooth.
      const hand = clouds(px / (far * 1.4), py / (far * 1.4), 3, seed);
      const tooth = clouds(px / 1.3, py / 1.3, 2, seed + 5);
      const here = far * (1 + rough * 1.6 * (hand - 0.5));
      const fade = Math.max(0, 1 - deep[i]! / here);
      const alpha = strong * (fade ** 1.7 + 0.5 * Math.max(0, 1 - deep[i]! / (0.14 * far)));
      out.lay(i, ...colour, alpha * (1 - rough * 0.7 * (1 - tooth)));
    });
  },
};

/** The inside of sanded paper. */
const CORE = [0.972, 0.961, 0.933] as const;

export const worn: TreatmentKind = {
  name: 'Worn edges',
  chance: true,
  settings: [
    { ...reach, first: 9 },
    { id: 'amount', name: 'How much', unit: 'share', least: 0, most: 1, first: 0.5 },
  ],
  paint(field, { value, seed }, _, out) {
    const deep = field.depth();
    const [far, amount] = [value('reach'), value('amount')];
    eachPixel(field, (i, px, py) => {
      if (deep[i]! > far) return;
      const scuffs =
        0.62 * clouds(px / (far * 0.9), py / (far * 0.9), 3, seed) +
        0.38 * clouds(px / 1.1, py / 1.1, 2, seed + 7);
      // Nearest the edge nearly all of the face is gone, further in only where it was rubbed hardest.
      const gone = amount * (1.25 - deep[i]! / far) - scuffs * 0.9;
      out.lay(i, ...CORE, gone * 6);
    });
  },
};
