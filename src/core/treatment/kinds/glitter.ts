import { hash } from '@/core/geometry/noise';
import { eachPixel } from '@/core/treatment/field';
import type { TreatmentKind } from '@/core/treatment/treatment';

/** Flakes strewn in glue: each lies at its own angle, and those that mirror the lamp flash. */
export const glitter: TreatmentKind = {
  name: 'Glitter',
  colour: '#e3b34a',
  chance: true,
  settings: [
    { id: 'size', name: 'Size of a flake', unit: 'length', least: 0.4, most: 9, first: 1.4 },
    { id: 'cover', name: 'How thickly strewn', unit: 'share', least: 0, most: 1, first: 0.85 },
    { id: 'sparkle', name: 'Sparkle', unit: 'share', least: 0, most: 1, first: 0.6 },
  ],
  paint(field, { value, colour: [r, g, b], seed }, toward, out) {
    const [size, strewn, sparkle] = [value('size'), value('cover'), value('sparkle')];
    const half = { x: toward.x, y: toward.y, z: toward.z + 1 };
    const long = Math.hypot(half.x, half.y, half.z) || 1;
    eachPixel(field, (i, x, y) => {
      // The flake whose middle is nearest: one in each cell, anywhere in it (Worley 1996).
      const [px, py] = [x / size, y / size];
      const [cx, cy] = [Math.floor(px), Math.floor(py)];
      let [least, flake] = [9, 0];
      for (let j = -1; j <= 1; j++)
        for (let k = -1; k <= 1; k++) {
          const cell = (cx + k) * 73856093 + (cy + j) * 19349663;
          const dx = cx + k + hash(cell, seed) - px;
          const dy = cy + j + hash(cell, seed + 1) - py;
          const away = dx * dx + dy * dy;
          if (away < least) {
            least = away;
            flake = cell;
          }
        }
      if (hash(flake, seed + 2) >= strewn) return;
      const [tilt, way] = [0.55 * hash(flake, seed + 3), 2 * Math.PI * hash(flake, seed + 4)];
      const [nx, ny, nz] = [Math.sin(tilt) * Math.cos(way), Math.sin(tilt) * Math.sin(way), Math.cos(tilt)];
      const mirrored = Math.max(0, nx * half.x + ny * half.y + nz * half.z) / long;
      const lit = 0.55 + 0.65 * Math.max(0, nx * toward.x + ny * toward.y + nz * toward.z);
      const tone = lit * (0.75 + 0.5 * hash(flake, seed + 5));
      out.lay(i, Math.min(1, r * tone), Math.min(1, g * tone), Math.min(1, b * tone), 0.94);
      out.shine(i, sparkle * 1.6 * mirrored ** 60);
    });
  },
};
