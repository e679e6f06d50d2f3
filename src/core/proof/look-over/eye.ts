/**
 * Where the eye goes: what is left of a picture when its spectrum keeps its phase alone (Guo, Ma and Zhang, “Spatio-temporal
 * saliency detection using phase spectrum of quaternion Fourier transform”, CVPR 2008, after Hou and Zhang's spectral residual,
 * CVPR 2007), in lightness and both axes of colour. What is unlike the rest of the page stands out.
 */
import type { Point } from '@/core/geometry/matrix';
import type { Field } from '@/core/proof/look-over/field';

export interface Eye {
  width: number;
  height: number;
  /** How much a place draws the eye, 0 to 1. */
  map: Float64Array;
  /** Where it goes first, then, and after that: shares of the page's width and height, and how much each draws it. */
  stops: (Point & { draws: number })[];
}

/** Of the Gaussian it is smoothed by, a share of the field's longer side. */
const SIGMA = 1 / 32;
/** Around a place where the eye has been, it does not come back: of the longer side (inhibition of return). */
const RETURN = 0.17;
const STOPS = 3;

export function eyeOn({ width, height, lab }: Field): Eye {
  const map = new Float64Array(width * height);
  for (let channel = 0; channel < 3; channel++) {
    const plane = Float64Array.from({ length: width * height }, (_, i) => lab[3 * i + channel]!);
    phaseOnly(plane, width, height).forEach((value, i) => (map[i]! += value));
  }
  const smooth = blurred(map, width, height, SIGMA * Math.max(width, height));
  const most = Math.max(...smooth, 1e-12);
  for (let i = 0; i < map.length; i++) map[i] = smooth[i]! / most;
  return { width, height, map, stops: stopsOn(map, width, height) };
}

/** The squared picture of a spectrum of which only the phase is left. */
function phaseOnly(plane: Float64Array, width: number, height: number): Float64Array {
  const spread = Math.max(...plane) - Math.min(...plane);
  if (spread < 1e-6) return new Float64Array(plane.length);
  const { re, im } = transformed(plane, new Float64Array(plane.length), width, height, -1);
  const strength = re.map((value, i) => Math.hypot(value, im[i]!) + 1e-9);
  const back = transformed(
    re.map((value, i) => value / strength[i]!),
    im.map((value, i) => value / strength[i]!),
    width,
    height,
    1,
  );
  return back.re.map((value, i) => value ** 2 + back.im[i]! ** 2);
}

/** The discrete Fourier transform as it is defined, row by row and column by column: the picture is small. */
function transformed(re: Float64Array, im: Float64Array, width: number, height: number, sign: 1 | -1) {
  const rows = lines(re, im, width, height, 1, width, sign);
  return lines(rows.re, rows.im, height, width, width, 1, sign);
}

/** Lines of `length` values that lie `step` apart, `count` of them that begin `next` apart. */
function lines(
  re: Float64Array,
  im: Float64Array,
  length: number,
  count: number,
  step: number,
  next: number,
  sign: 1 | -1,
) {
  const out = { re: new Float64Array(re.length), im: new Float64Array(im.length) };
  const cos = Float64Array.from({ length }, (_, k) => Math.cos((2 * Math.PI * k) / length));
  const sin = Float64Array.from({ length }, (_, k) => sign * Math.sin((2 * Math.PI * k) / length));
  for (let line = 0; line < count; line++)
    for (let k = 0; k < length; k++) {
      let [a, b] = [0, 0];
      for (let j = 0; j < length; j++) {
        const at = line * next + j * step;
        const turn = (j * k) % length;
        a += re[at]! * cos[turn]! - im[at]! * sin[turn]!;
        b += re[at]! * sin[turn]! + im[at]! * cos[turn]!;
      }
      const at = line * next + k * step;
      out.re[at] = a;
      out.im[at] = b;
    }
  return out;
}

/** By a Gaussian, across and then down; beyond an edge lies what lies at it. */
function blurred(values: Float64Array, width: number, height: number, sigma: number): Float64Array {
  const reach = Math.ceil(3 * sigma);
  const weights = Float64Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * sigma ** 2)),
  );
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  const along = (from: Float64Array, length: number, count: number, step: number, next: number) => {
    const out = new Float64Array(from.length);
    for (let line = 0; line < count; line++)
      for (let i = 0; i < length; i++) {
        let sum = 0;
        for (let k = -reach; k <= reach; k++)
          sum += weights[k + reach]! * from[line * next + step * Math.min(length - 1, Math.max(0, i + k))]!;
        out[line * next + step * i] = sum / all;
      }
    return out;
  };
  return along(along(values, width, height, 1, width), height, width, width, 1);
}

function stopsOn(map: Float64Array, width: number, height: number): Eye['stops'] {
  const left = map.slice();
  const stops: Eye['stops'] = [];
  for (let n = 0; n < STOPS; n++) {
    const at = left.reduce((best, value, i) => (value > left[best]! ? i : best), 0);
    if (!(left[at]! > 0.05)) break;
    const [x, y] = [at % width, Math.floor(at / width)];
    stops.push({ x: (x + 0.5) / width, y: (y + 0.5) / height, draws: left[at]! });
    const reach = RETURN * Math.max(width, height);
    for (let i = 0; i < left.length; i++)
      if (Math.hypot((i % width) - x, Math.floor(i / width) - y) < reach) left[i] = 0;
  }
  return stops;
}
