/** A page seen from so far away that only light, dark and colour are left of it. */
import { labOfBytes } from '@/core/color/oklab';
import type { PagePixels } from '@/core/proof/pale';

export interface Field {
  width: number;
  height: number;
  /** OKLab, one after the other for each pixel. */
  lab: Float64Array;
}

/** Pixels of the longer side: as many as those who published it used. */
export const FIELD_SIDE = 64;

/** Each pixel the mean of those it is made from. */
export function fieldOf({ data, width, height }: PagePixels): Field {
  const scale = Math.min(1, FIELD_SIDE / Math.max(width, height));
  const [w, h] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
  const lab = new Float64Array(3 * w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const [x0, x1] = [Math.floor((x * width) / w), Math.max(Math.floor(((x + 1) * width) / w), 1)];
      const [y0, y1] = [Math.floor((y * height) / h), Math.max(Math.floor(((y + 1) * height) / h), 1)];
      let [r, g, b, count] = [0, 0, 0, 0];
      for (let py = y0; py < y1; py++)
        for (let px = x0; px < x1; px++) {
          const at = 4 * (py * width + px);
          r += data[at]!;
          g += data[at + 1]!;
          b += data[at + 2]!;
          count++;
        }
      lab.set(
        labOfBytes(Math.round(r / count), Math.round(g / count), Math.round(b / count)),
        3 * (y * w + x),
      );
    }
  return { width: w, height: h, lab };
}
