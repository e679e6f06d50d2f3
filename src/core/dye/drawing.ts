/** Dyes on drawings: each painted part by itself, exactly, so that a drawing stays one. */
import { rgbOf } from '@/core/color/hex';
import { labOfRgb } from '@/core/color/oklab';
import { strength, type Drawing, type DrawingPart } from '@/core/drawing/drawing';
import { dyedHex } from '@/core/dye/colour';
import { isChosen, isSeen, protects, type Dye } from '@/core/dye/dye';
import { flatten } from '@/core/geometry/path';
import { signedArea } from '@/core/geometry/offset';

/** Square points a part paints, its holes and what lies over it left aside. */
function sizeOf({ path, line, at }: DrawingPart): number {
  const rings = flatten(path, 6);
  const one = line
    ? line.width * rings.reduce((sum, ring) => sum + lengthOf(ring), 0)
    : Math.abs(rings.reduce((sum, ring) => sum + signedArea(ring), 0));
  return one * at.length;
}

const lengthOf = (ring: readonly { x: number; y: number }[]): number =>
  ring.reduce((sum, { x, y }, i) => (i ? sum + Math.hypot(x - ring[i - 1]!.x, y - ring[i - 1]!.y) : 0), 0);

/**
 * The drawing stamped in an ink, if there is one, and dyed; parts that cover nothing are left out. Strokes mark nothing on a
 * drawing: its dyes are of parts, or of all.
 */
export function wornDrawing(
  drawing: Drawing,
  { ink, dyes = [] }: { ink?: string | undefined; dyes?: readonly Dye[] | undefined },
): Drawing {
  const colours = drawing.parts.map(({ colour }) => ink ?? colour);
  const kept = new Set(dyes.filter(protects).flatMap((dye) => partsOf(drawing, dye)));
  for (const dye of dyes) {
    if (!isSeen(dye) || (dye.where && !isChosen(dye.where))) continue;
    const dyed = partsOf(drawing, dye).filter((i) => !kept.has(i));
    const from = dye.change.how === 'ink' ? meanLightness(drawing, colours, dyed) : 0;
    for (const i of dyed) colours[i] = dyedHex(colours[i]!, dye.change, from, dye.strength);
  }
  return {
    ...drawing,
    parts: drawing.parts
      .map((part, i) => ({
        ...part,
        colour: colours[i]!,
        opacity: ink ? part.opacity * strength(part.colour) : part.opacity,
      }))
      .filter(({ opacity }) => opacity > 0.003),
  };
}

/** The parts a dye is of. */
function partsOf({ parts }: Drawing, { where, outside }: Dye): number[] {
  const chosen = isChosen(where) ? new Set(where.parts) : null;
  return parts.flatMap((_, i) => (!chosen || chosen.has(i) !== Boolean(outside) ? [i] : []));
}

/** OKLab lightness of some parts in the mean, by the area each paints. */
function meanLightness(drawing: Drawing, colours: readonly string[], parts: readonly number[]): number {
  let [sum, whole] = [0, 0];
  for (const i of parts) {
    const part = drawing.parts[i]!;
    const size = sizeOf(part) * part.opacity;
    sum += size * labOfRgb(...rgbOf(colours[i]!))[0];
    whole += size;
  }
  return whole ? sum / whole : 0.5;
}
