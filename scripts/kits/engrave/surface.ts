/** Forms in relief, as engravings are drawn from: patches in space, x to the right, y down, z towards whoever looks. Inches. */

export type V3 = readonly [number, number, number];
export type Curve3 = (t: number) => V3;
export type Side = 'u0' | 'u1' | 'v0' | 'v1';

/** A pen line on a patch, from `t` 0 to 1; `weight` is its width as a share of a plain contour's. */
export interface Mark {
  at: (t: number) => readonly [u: number, v: number];
  weight?: number;
}

export interface Surface {
  /** The place of (u, v), both 0 to 1. */
  at: (u: number, v: number) => V3;
  /** How finely it is divided for what lies in front of what. */
  steps: readonly [number, number];
  /** What hatching runs along. */
  along: 'u' | 'v';
  /** Darkness of its own, 0 to 1, beside what the light leaves. */
  tone?: number | ((u: number, v: number) => number);
  /** Borders that are drawn. */
  edges?: readonly Side[];
  marks?: readonly Mark[];
  /** Hatching of its own left out: only its contour is drawn. */
  bare?: boolean;
  /** How dense the hatching is, 1 as elsewhere. */
  dense?: number;
  /** Where there is nothing of it. */
  hole?: (u: number, v: number) => boolean;
  /** Its contour's weight, 1 as elsewhere. */
  contour?: number;
}

export const add = (a: V3, b: V3, k = 1): V3 => [a[0] + k * b[0], a[1] + k * b[1], a[2] + k * b[2]];
export const sub = (a: V3, b: V3): V3 => add(a, b, -1);
export const scale = (a: V3, k: number): V3 => [a[0] * k, a[1] * k, a[2] * k];
export const dot = (a: V3, b: V3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: V3, b: V3): V3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const unit = (a: V3): V3 => scale(a, 1 / (Math.hypot(...a) || 1));
const TURN = 2 * Math.PI;
const rad = (degrees: number): number => (degrees * Math.PI) / 180;

/** A turn about x, then y, then z, degrees, and a move. */
export interface Pose {
  x?: number;
  y?: number;
  z?: number;
  by?: V3;
  size?: number;
}

export function posed({ x = 0, y = 0, z = 0, by = [0, 0, 0], size = 1 }: Pose): (p: V3) => V3 {
  const [cx, sx, cy, sy, cz, sz] = [x, y, z].flatMap((a) => [Math.cos(rad(a)), Math.sin(rad(a))]) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return ([px, py, pz]) => {
    const [y1, z1] = [py * cx - pz * sx, py * sx + pz * cx];
    const [x2, z2] = [px * cy + z1 * sy, z1 * cy - px * sy];
    return [size * (x2 * cz - y1 * sz) + by[0], size * (x2 * sz + y1 * cz) + by[1], size * z2 + by[2]];
  };
}

export function moved(surfaces: readonly Surface[], pose: Pose): Surface[] {
  const to = posed(pose);
  return surfaces.map((one) => ({ ...one, at: (u, v) => to(one.at(u, v)) }));
}

/** A smooth curve through points (Catmull & Rom 1974). */
export function through(points: readonly V3[]): Curve3 {
  const p = (i: number) => points[Math.max(0, Math.min(points.length - 1, i))]!;
  return (t) => {
    const s = Math.min(points.length - 1 - 1e-9, Math.max(0, t * (points.length - 1)));
    const i = Math.floor(s);
    const f = s - i;
    const [a, b, c, d] = [p(i - 1), p(i), p(i + 1), p(i + 2)];
    return [0, 1, 2].map(
      (k) =>
        0.5 *
        (2 * b[k]! +
          (c[k]! - a[k]!) * f +
          (2 * a[k]! - 5 * b[k]! + 4 * c[k]! - d[k]!) * f * f +
          (3 * b[k]! - a[k]! - 3 * c[k]! + d[k]!) * f * f * f),
    ) as unknown as V3;
  };
}

/** A smooth run of numbers, by `t` 0 to 1. */
export const ramp = (...values: readonly number[]): ((t: number) => number) => {
  const curve = through(values.map((v): V3 => [v, 0, 0]));
  return (t) => curve(t)[0];
};

/** A tube along a curve; `radius` by `t`. `flat` squeezes it towards the paper. */
export function tube(
  along: Curve3,
  radius: number | ((t: number) => number),
  more: Partial<Surface> & { flat?: number; round?: number } = {},
): Surface {
  const r = typeof radius === 'number' ? () => radius : radius;
  const { flat = 1, round = 18, ...rest } = more;
  return {
    at: (u, v) => {
      const p = along(u);
      const way = unit(sub(along(Math.min(1, u + 1e-3)), along(Math.max(0, u - 1e-3))));
      const up: V3 = Math.abs(way[2]) > 0.95 ? [0, 1, 0] : [0, 0, 1];
      const side = unit(cross(way, up));
      const top = cross(side, way);
      // Off the even: where it turns away never falls on a node of the grid.
      const a = TURN * (v + 0.0137);
      return add(add(p, side, r(u) * Math.cos(a)), top, r(u) * Math.sin(a) * flat);
    },
    steps: [60, round],
    along: 'v',
    ...rest,
  };
}

/** What a curve in (distance from the axis, height down it) makes when it is turned about the y axis. */
export function revolved(
  profile: (t: number) => readonly [r: number, y: number],
  more: Partial<Surface> = {},
): Surface {
  return {
    at: (u, v) => {
      const [r, y] = profile(v);
      const a = TURN * (u + 0.0137);
      return [r * Math.sin(a), y, r * Math.cos(a)];
    },
    steps: [64, 48],
    along: 'u',
    ...more,
  };
}

/** A smooth profile through points. */
export const profileOf = (...points: readonly (readonly [number, number])[]) => {
  const curve = through(points.map(([r, y]): V3 => [r, y, 0]));
  return (t: number): readonly [number, number] => {
    const [r, y] = curve(t);
    return [Math.max(0, r), y];
  };
};

/** Straight from one point to the next. */
export const corners =
  (...points: readonly V3[]): Curve3 =>
  (t) => {
    const s = Math.min(points.length - 1 - 1e-9, Math.max(0, t * (points.length - 1)));
    const i = Math.floor(s);
    return add(points[i]!, sub(points[i + 1]!, points[i]!), s - i);
  };

/** A patch stretched between two curves; `bulge` lifts its middle. */
export function between(a: Curve3, b: Curve3, more: Partial<Surface> & { bulge?: number } = {}): Surface {
  const { bulge = 0, ...rest } = more;
  return {
    at: (u, v) => {
      const [p, q] = [a(u), b(u)];
      const m = add(scale(p, 1 - v), q, v);
      return [m[0], m[1], m[2] + bulge * 4 * v * (1 - v)];
    },
    steps: [40, 16],
    along: 'v',
    edges: ['u0', 'u1', 'v0', 'v1'],
    ...rest,
  };
}

export function ball(centre: V3, radius: V3 | number, more: Partial<Surface> = {}): Surface {
  const r: V3 = typeof radius === 'number' ? [radius, radius, radius] : radius;
  return {
    at: (u, v) => {
      const [a, b] = [TURN * (u + 0.0137), Math.PI * v];
      return [
        centre[0] + r[0] * Math.sin(b) * Math.sin(a),
        centre[1] - r[1] * Math.cos(b),
        centre[2] + r[2] * Math.sin(b) * Math.cos(a),
      ];
    },
    steps: [40, 24],
    along: 'u',
    ...more,
  };
}

export interface Blade {
  /** Its length and the width of its widest place. */
  long: number;
  wide: number;
  /** Half its width along it, as a share of the widest; by default that of a leaf. */
  shape?: (t: number) => number;
  /** How far its tip bends towards the viewer (or away), and its sides fold up about the midrib. */
  bend?: number;
  fold?: number;
  /** It sways to the side. */
  sway?: number;
  /** Waves of its rim, and how high. */
  ruffle?: readonly [count: number, high: number];
  /** Pairs of veins. */
  veins?: number;
  /** How much farther on the rim is than the midrib, as a share of the length. */
  slant?: number;
}

/** The outline of most leaves: round below, pointed above. */
export const LEAF = (t: number): number => Math.sin(Math.PI * t ** 0.75) ** 0.85 * (1 - 0.25 * t);

/** A leaf or a petal: it grows from the origin upwards. */
export function blade(
  { long, wide, shape = LEAF, bend = 0, fold = 0, sway = 0, ruffle = [0, 0], veins = 0, slant = 0.3 }: Blade,
  more: Partial<Surface> = {},
): Surface {
  const marks: Mark[] = [];
  if (veins) {
    marks.push({ at: (t) => [t * 0.97, 0.5], weight: 0.9 });
    for (let i = 0; i < veins; i++)
      for (const side of [-1, 1]) {
        const from = 0.1 + (0.76 * i) / veins;
        // Veins leave the midrib at an angle and bend towards the tip (camptodromous venation).
        marks.push({
          at: (t) => [Math.min(0.97, from + 0.05 * t), 0.5 + side * 0.46 * t],
          weight: 0.45,
        });
      }
  }
  return {
    at: (u, v) => {
      const s = 2 * v - 1;
      // Rows slant towards the tip, as veins do: hatching follows them.
      const t = u + slant * Math.abs(s) * Math.sqrt(u) * (1 - u);
      const half = (wide / 2) * Math.max(0.001, shape(t));
      const x = s * half + sway * t * t;
      const wave = ruffle[1] * Math.sin(TURN * ruffle[0] * t + s) * s * s;
      return [x, -long * t, bend * t * t + fold * Math.abs(s) * half + wave];
    },
    steps: [36, 18],
    along: 'v',
    edges: ['v0', 'v1'],
    marks,
    // Dark beside the midrib and towards the foot; the side away from the light is darker.
    tone: (u, v) => 0.5 * Math.exp(-((2 * v - 1) ** 2) / 0.05) + 0.3 * (1 - u) ** 2 + (v > 0.5 ? 0.22 : 0),
    ...more,
  };
}

/** A thread too thin for a body: one pen line. */
export const wire = (along: Curve3, weight = 0.7): Surface => ({
  at: (u) => along(u),
  steps: [40, 1],
  along: 'u',
  bare: true,
  marks: [{ at: (t) => [t, 0.5], weight }],
});

const part = (x: number): number => x - Math.floor(x);

/** A laid rope: three strands turned round each other, `turns` times. */
export const rope = (along: Curve3, radius: number, turns: number): Surface =>
  tube(along, radius, {
    steps: [120, 12],
    marks: [0, 1, 2].map((k) => ({ at: (t) => [t, part(turns * t + k / 3)] as const, weight: 0.75 })),
    round: 12,
  });

export const ring = (
  centre: V3,
  radius: number,
  thick: number,
  tilt = 0,
  more: Partial<Surface> = {},
): Surface =>
  tube(
    (t) => {
      const a = TURN * t;
      const y = radius * Math.sin(a);
      return [
        centre[0] + radius * Math.cos(a),
        centre[1] + y * Math.cos(rad(tilt)),
        centre[2] + y * Math.sin(rad(tilt)),
      ];
    },
    thick,
    { round: 12, ...more },
  );

/** A flat sheet of three or more corners, from its first one; `tone` as it is wished. */
export const flat = (points: readonly V3[], more: Partial<Surface> & { bulge?: number } = {}): Surface => {
  const half = Math.ceil(points.length / 2);
  const [a, b] = [points.slice(0, half), [...points.slice(half)].reverse()];
  const side = (of: readonly V3[]): Curve3 => (of.length === 1 ? () => of[0]! : corners(...of));
  return between(side(a), side(b.length ? b : a), { steps: [24, 16], ...more });
};

/** A ball half sunk into the paper, for stones, buds, berries. */
export const bead = (x: number, y: number, z: number, r: number, more: Partial<Surface> = {}): Surface =>
  ball([x, y, z], r, { steps: [16, 10], ...more });

/** A motif as it is kept: what it is called, the words it is found by, and what it is made of. */
export interface Motif {
  name: string;
  tags: string;
  /** Inches of its longer side, as stamped. */
  size: number;
  forms: () => Surface[];
  /** Whether it comes as a tone beneath its lines, too. */
  tone?: true;
}
export const motif = (
  name: string,
  tags: string,
  size: number,
  forms: () => Surface[],
  tone?: true,
): Motif => ({
  name,
  tags,
  size,
  forms,
  ...(tone ? { tone } : {}),
});

/** Petals round a middle: so many, each from `from` out, raised by `lift` degrees, the first at `turn`. */
export const whorl = (
  count: number,
  petal: () => Surface,
  {
    from = 0,
    lift = 0,
    turn = 0,
    z = 0,
    of = 360,
  }: { from?: number; lift?: number; turn?: number; z?: number; of?: number } = {},
): Surface[] =>
  Array.from({ length: count }, (_, i) => {
    const out = moved([petal()], { x: -lift, by: [0, -from, 0] });
    return moved(out, { z: turn + (of * i) / count, by: [0, 0, z - 0.004 * (i % 2)] });
  }).flat();

/** A petal of a cup: part of what a profile makes when it is turned, `wide` degrees about `turn`. */
export const cupPetal = (
  profile: (t: number) => readonly [number, number],
  turn: number,
  wide: number,
  shape: (t: number) => number,
  more: Partial<Surface> = {},
): Surface => ({
  at: (u, v) => {
    const [r, y] = profile(u);
    const a = rad(turn + (2 * v - 1) * wide * shape(u));
    return [r * Math.sin(a), y, r * Math.cos(a)];
  },
  steps: [36, 18],
  along: 'u',
  edges: ['v0', 'v1', 'u1'],
  marks: [0.25, 0.5, 0.75].map((v) => ({ at: (t) => [0.1 + 0.8 * t, v] as const, weight: 0.35 })),
  ...more,
});

/** A stem from place to place. */
export const stem = (points: readonly V3[], thick: number, thin = thick): Surface =>
  tube(through(points), ramp(thick, (thick + thin) / 2, thin), { round: 10, steps: [50, 10] });

/** A leaf where it grows, turned by `z` degrees from upright. */
export const leafAt = (
  x: number,
  y: number,
  z: number,
  long: number,
  wide: number,
  more: Partial<Blade> & { by?: number } = {},
): Surface[] =>
  moved(
    [blade({ long, wide, veins: Math.max(3, Math.round(long * 6)), bend: 0.12 * long, fold: 0.2, ...more })],
    { z, by: [x, y, more.by ?? 0] },
  );
