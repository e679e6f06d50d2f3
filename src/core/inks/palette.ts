/** The colours that matter in a picture. */
import { apartSquared as apart, formatHex, toOklab, type OklabPoint as Lab } from '@/core/color/spaces';
import { random } from '@/core/random';

export const FEWEST_COLOURS = 3;
export const MOST_COLOURS = 8;

/** Rounds of the clustering; it settles in fewer. */
const ROUNDS = 24;
/** Pixels that are looked at, about. */
const LOOKED = 6000;

/** How much more a strong colour counts than a grey: what one sees first is seldom what covers most; our own choice. */
const strength = ({ a, b }: Lab): number => 1 + 10 * Math.hypot(a, b);

/**
 * `count` colours of RGBA pixels, those that cover most first, with their shares of what was looked at: k-means (Lloyd 1982) in
 * OKLab over every so many pixels, begun by k-means++ (Arthur and Vassilvitskii 2007) from a seed, strong colours weighted
 * more than greys. Fewer where there are fewer colours; none if all is clear.
 */
export function paletteOf(
  data: Uint8ClampedArray,
  count: number,
  seed = 1,
): { colour: string; share: number }[] {
  const step = 4 * Math.max(1, Math.floor(data.length / 4 / LOOKED));
  const points: Lab[] = [];
  for (let i = 0; i + 3 < data.length; i += step) {
    if (data[i + 3]! < 128) continue;
    const { l, a, b } = toOklab({
      mode: 'rgb',
      r: data[i]! / 255,
      g: data[i + 1]! / 255,
      b: data[i + 2]! / 255,
    })!;
    points.push({ l, a, b });
  }
  if (!points.length) return [];
  const weights = points.map(strength);
  const centres = begun(points, weights, count, random(seed));
  const of = new Uint8Array(points.length);
  for (let round = 0; round < ROUNDS; round++) {
    let moved = false;
    points.forEach((point, i) => {
      let best = 0;
      centres.forEach((centre, k) => {
        if (apart(point, centre) < apart(point, centres[best]!)) best = k;
      });
      if (of[i] !== best) moved = true;
      of[i] = best;
    });
    centres.forEach((centre, k) => {
      let [l, a, b, total] = [0, 0, 0, 0];
      points.forEach((point, i) => {
        if (of[i] !== k) return;
        const weight = weights[i]!;
        l += weight * point.l;
        a += weight * point.a;
        b += weight * point.b;
        total += weight;
      });
      if (total) Object.assign(centre, { l: l / total, a: a / total, b: b / total });
    });
    if (!moved && round > 0) break;
  }
  const counts = centres.map((_, k) => of.reduce((sum, each) => sum + Number(each === k), 0));
  return centres
    .map((centre, k) => ({
      colour: formatHex({ mode: 'oklab', ...centre }),
      share: counts[k]! / points.length,
    }))
    .filter(({ share }) => share > 0)
    .sort((a, b) => b.share - a.share);
}

/** Centres far from each other: each with a chance in proportion to its squared distance from those there are. */
function begun(points: readonly Lab[], weights: readonly number[], count: number, next: () => number): Lab[] {
  const centres = [{ ...points[Math.floor(next() * points.length)]! }];
  while (centres.length < count) {
    const far = points.map(
      (point, i) => weights[i]! * Math.min(...centres.map((centre) => apart(point, centre))),
    );
    const total = far.reduce((sum, each) => sum + each, 0);
    if (total < 1e-9) break;
    let left = next() * total;
    const at = far.findIndex((each) => (left -= each) <= 0);
    centres.push({ ...points[at < 0 ? points.length - 1 : at]! });
  }
  return centres;
}
