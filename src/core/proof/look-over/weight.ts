/** Where the middle of all visual weight lies: what differs most from the page's ground weighs most. */
import type { Point } from '@/core/geometry/matrix';
import type { Field } from '@/core/proof/look-over/field';
import type { Measure } from '@/core/proof/look-over/measure';
import { formatLength } from '@/core/units/lengths';

/** Nearer to the middle than this share of a side a page is balanced (common practice, no source). */
const BALANCED = 0.05;

/** The middle of what differs from the commonest colour, by how much it differs; shares of width and height. */
export function middleOfWeight({ width, height, lab }: Field): Point | null {
  const ground = commonest(lab);
  let [sum, sx, sy] = [0, 0, 0];
  for (let i = 0; i < width * height; i++) {
    const weight = Math.hypot(
      lab[3 * i]! - ground[0],
      lab[3 * i + 1]! - ground[1],
      lab[3 * i + 2]! - ground[2],
    );
    sum += weight;
    sx += weight * ((i % width) + 0.5);
    sy += weight * (Math.floor(i / width) + 0.5);
  }
  return sum > 1e-6 * width * height ? { x: sx / sum / width, y: sy / sum / height } : null;
}

/** Of colours in steps of an eighth of lightness and a twentieth of each axis, the mean of the fullest step. */
function commonest(lab: Float64Array): [number, number, number] {
  const steps = new Map<string, { count: number; sum: [number, number, number] }>();
  for (let i = 0; i < lab.length; i += 3) {
    const [l, a, b] = [lab[i]!, lab[i + 1]!, lab[i + 2]!];
    const key = `${Math.round(8 * l)} ${Math.round(20 * a)} ${Math.round(20 * b)}`;
    const step = steps.get(key) ?? { count: 0, sum: [0, 0, 0] };
    step.count++;
    step.sum[0] += l;
    step.sum[1] += a;
    step.sum[2] += b;
    steps.set(key, step);
  }
  const { count, sum } = [...steps.values()].reduce((a, b) => (b.count > a.count ? b : a));
  return [sum[0] / count, sum[1] / count, sum[2] / count];
}

export const WEIGHT: Measure = {
  id: 'weight',
  name: 'Balance',
  look({ field, surface: { width, height }, project: { unit } }) {
    const middle = middleOfWeight(field);
    if (!middle) return null;
    const [dx, dy] = [middle.x - 0.5, middle.y - 0.5];
    const off = [
      ...(Math.abs(dx) > BALANCED
        ? [`${formatLength(Math.abs(dx) * width, unit, true)} to the ${dx < 0 ? 'left' : 'right'}`]
        : []),
      ...(Math.abs(dy) > BALANCED
        ? [`${formatLength(Math.abs(dy) * height, unit, true)} ${dy < 0 ? 'above' : 'below'}`]
        : []),
    ];
    return {
      says: off.length
        ? `The middle of its weight lies ${off.join(' and ')} of the page’s middle.`
        : 'The middle of its weight lies near the page’s middle.',
      shows: {
        kind: 'marks',
        marks: [
          { x: middle.x * width, y: middle.y * height, says: 'weight' },
          { x: width / 2, y: height / 2 },
        ],
      },
    };
  },
};
