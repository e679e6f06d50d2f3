/** A picture's edge and openings, traced in a worker; fetched when the first picture with transparency comes in. */
import type { Size } from '@/core/geometry/box';
import { openings } from '@/core/pixels/regions';
import { trace } from '@/core/pixels/trace';
import { MOST_HOLES } from '@/core/picture/asset';
import { pixelsOf } from '@/workers/facts';

/** Longest side, pixels, of the copy that is traced. */
const TRACE_SIDE = 900;
/** Alpha at which a picture's edge is drawn: half. */
const EDGE = 128;
const SOLID = 250;

/** The outline of what is solid and the openings in it, in upright pixels of the whole file; nothing if all is solid. */
export function edgesOf(bitmap: ImageBitmap, whole: Size): { cut?: string; holes?: string[] } {
  const { data, width, height } = pixelsOf(bitmap, TRACE_SIDE);
  const alpha = new Uint8Array(width * height);
  let solid = true;
  for (let i = 0; i < alpha.length; i++) if ((alpha[i] = data[4 * i + 3]!) < SOLID) solid = false;
  if (solid) return {};
  const scale = whole.width / width;
  const cut = trace({ values: alpha, width, height }, EDGE, scale);
  const holes = openings(data, width, height)
    .slice(0, MOST_HOLES)
    .map((region) => trace(region, EDGE, scale))
    .filter((hole) => hole.length > 0);
  return { ...(cut && cut.length < 200_000 ? { cut } : {}), ...(holes.length ? { holes } : {}) };
}
