/** Stitches: each says where its threads lie in one unit of the line, from 0 to `pitch`, outside above. A new one is a line here. */
import type { Point } from '@/core/geometry/matrix';

export interface Unit {
  /** How long one unit is, points, and how much of it is thread where there are gaps. */
  pitch: number;
  length: number;
  /** How wide the stitch is across the line. */
  height: number;
  /** How thick the thread is. */
  width: number;
  /** How far a slack thread bows, as a share of its length. */
  bow: number;
  /** Every second one may differ, and the first of a side. */
  odd: boolean;
  first: boolean;
}

export interface Sewn {
  /** Lines from hole to hole, the lowest first. */
  threads: Point[][];
  holes: Point[];
}

export interface Stitch {
  name: string;
  says: string;
  /** There is bare paper between one and the next. */
  gaps?: true;
  /** It has arms to one side, of a length across the line. */
  arms?: true;
  /** It has a width across the line. */
  broad?: true;
  /** It lies this close without being asked: in thread widths. */
  dense?: number;
  /** Every second unit differs; the first of a side does. */
  alternates?: true;
  begins?: true;
  /**
   * What is done where two sides of a broad stitch meet: the corner stays free, takes one stitch of its own, or belongs to
   * the end of the side before it.
   */
  corner?: 'free' | 'one' | 'last';
  /** It lies so close that nothing is seen of its holes and ends. */
  close?: true;
  sew(unit: Unit): Sewn;
}

const p = (x: number, y: number): Point => ({ x, y });

/** From one hole to another; slack thread bows a little to its left. */
function thread(a: Point, b: Point, bow: number): Point[] {
  if (bow < 0.005) return [a, b];
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  return Array.from({ length: 9 }, (_, i) => {
    const t = i / 8;
    const off = 4 * t * (1 - t) * bow;
    return p(a.x + t * dx + off * dy, a.y + t * dy - off * dx);
  });
}

/** A smooth line through points (Catmull and Rom 1974), for threads that are laid in loops. */
function through(points: readonly Point[], closed = false): Point[] {
  const at = (i: number) =>
    closed
      ? points[(i + points.length) % points.length]!
      : points[Math.min(points.length - 1, Math.max(0, i))]!;
  const sides = closed ? points.length : points.length - 1;
  const found: Point[] = [];
  for (let i = 0; i < sides; i++) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    for (let k = 0; k < 6; k++) {
      const t = k / 6;
      const of = (x: 'x' | 'y') =>
        0.5 *
        (2 * b[x] +
          (c[x] - a[x]) * t +
          (2 * a[x] - 5 * b[x] + 4 * c[x] - d[x]) * t * t +
          (3 * b[x] - a[x] - 3 * c[x] + d[x]) * t * t * t);
      found.push(p(of('x'), of('y')));
    }
  }
  return [...found, at(sides)];
}

const ALL = {
  running: {
    name: 'Running stitch',
    says: 'Over and under, evenly',
    gaps: true,
    sew: ({ pitch, length, bow }) => {
      const [a, b] = [p((pitch - length) / 2, 0), p((pitch + length) / 2, 0)];
      return { threads: [thread(a, b, bow)], holes: [a, b] };
    },
  },
  back: {
    name: 'Back stitch',
    says: 'One after the other, without a gap',
    sew: ({ pitch, width, bow }) => {
      const [a, b] = [p(0.06 * width, 0), p(pitch - 0.06 * width, 0)];
      return { threads: [thread(a, b, bow)], holes: [p(0, 0), p(pitch, 0)] };
    },
  },
  stem: {
    name: 'Stem stitch',
    says: 'Each beside the end of the last, like a rope',
    begins: true,
    sew: ({ pitch, width, bow, first }) => {
      const [a, b] = [p(first ? 0 : -0.45 * pitch, 0.42 * width), p(pitch, -0.42 * width)];
      return { threads: [thread(a, b, bow)], holes: [b] };
    },
  },
  chain: {
    name: 'Chain stitch',
    says: 'Loop through loop',
    broad: true,
    corner: 'free',
    sew: ({ pitch, height, width }) => {
      const [h, w] = [height / 2, width];
      const far = pitch + 0.7 * w;
      const loop = [
        p(0, -0.3 * w),
        p(0.3 * pitch, -0.5 * h),
        p(0.66 * pitch, -0.66 * h),
        p(far - 0.14 * pitch, -0.5 * h),
        p(far, 0),
        p(far - 0.14 * pitch, 0.5 * h),
        p(0.66 * pitch, 0.66 * h),
        p(0.3 * pitch, 0.5 * h),
        p(0, 0.3 * w),
      ];
      return { threads: [through(loop)], holes: [p(0, 0)] };
    },
  },
  blanket: {
    name: 'Blanket stitch',
    says: 'Along the edge, with an arm inwards at each step',
    arms: true,
    begins: true,
    sew: ({ pitch, height, width, bow, first }) => ({
      threads: [
        thread(
          p(first ? 0.75 * height : 0, first ? 0.75 * height : height),
          p(0, first ? 0 : -0.2 * width),
          bow,
        ),
        thread(p(-0.25 * width, 0), p(pitch + 0.25 * width, 0), bow),
      ],
      holes: [p(first ? 0.75 * height : 0, first ? 0.75 * height : height)],
    }),
  },
  cross: {
    name: 'Cross stitch',
    says: 'One diagonal over the other',
    broad: true,
    gaps: true,
    corner: 'one',
    sew: ({ pitch, length, height, bow }) => {
      const [l, r, h] = [(pitch - length) / 2, (pitch + length) / 2, height / 2];
      const [a, b, c, d] = [p(l, h), p(r, -h), p(l, -h), p(r, h)];
      return { threads: [thread(a, b, bow), thread(c, d, bow)], holes: [a, b, c, d] };
    },
  },
  zigzag: {
    name: 'Zigzag',
    says: 'To and fro across the line',
    broad: true,
    corner: 'free',
    sew: ({ pitch, height, bow }) => {
      const [a, b, c] = [p(0, height / 2), p(pitch / 2, -height / 2), p(pitch, height / 2)];
      return { threads: [thread(a, b, bow), thread(b, c, bow)], holes: [a, b] };
    },
  },
  satin: {
    name: 'Satin stitch',
    says: 'Thread beside thread, a full band',
    broad: true,
    dense: 0.92,
    corner: 'last',
    close: true,
    sew: ({ pitch, height, bow }) => {
      const [a, b] = [p(0, height / 2), p(pitch, -height / 2)];
      return { threads: [thread(a, b, bow * 0.3)], holes: [a, b] };
    },
  },
  feather: {
    name: 'Feather stitch',
    says: 'Open loops to either side in turn',
    broad: true,
    corner: 'free',
    alternates: true,
    sew: ({ pitch, height, odd }) => {
      const side = odd ? 1 : -1;
      const [a, b, c] = [
        p(-0.35 * pitch, (side * height) / 2),
        p(0.85 * pitch, 0.1 * side * height),
        p(-0.15 * pitch, -0.08 * side * height),
      ];
      const arm = through([a, p(0.35 * pitch, 0.36 * side * height), b]);
      const spine = through([c, p(0.4 * pitch, 0.02 * side * height), b]);
      return { threads: [spine, arm], holes: [a, b] };
    },
  },
  knots: {
    name: 'Knots',
    says: 'A small coil at each step',
    dense: 0,
    close: true,
    sew: ({ pitch, width }) => {
      const coil = Array.from({ length: 22 }, (_, i) => {
        const t = i / 21;
        const angle = 0.6 + t * 2 * Math.PI * 1.7;
        const r = width * (1.02 - 0.6 * t);
        return p(pitch / 2 + r * Math.cos(angle), r * Math.sin(angle));
      });
      return { threads: [coil], holes: [] };
    },
  },
} satisfies Record<string, Stitch>;

export type StitchName = keyof typeof ALL;
export const STITCHES: Record<StitchName, Stitch> = ALL;
export const STITCH_NAMES = Object.keys(ALL) as StitchName[];
