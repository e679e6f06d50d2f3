/** Papers that water, wood and land draw: washes, marbling, resist, grain, contours; and plain ones with a texture. */
import { random } from '@/core/random';
import { trace } from '@/core/pixels/trace';
import { fbm } from '../../art/noise';
import { fill, sheet, SIDE, stroke, type Ink } from '../tiles';

const n = (v: number): string => String(Math.round(v * 10) / 10);
type P = readonly [number, number];

/** A polygon whose sides are broken again and again, each time by chance about their middles (after Hobbs, watercolour polygons). */
function deformed(points: readonly P[], times: number, far: number, next: () => number): P[] {
  let now = [...points];
  for (let k = 0; k < times; k++)
    now = now.flatMap((p, i) => {
      const q = now[(i + 1) % now.length]!;
      const long = Math.hypot(q[0] - p[0], q[1] - p[1]);
      const t = 0.35 + 0.3 * next();
      const off = (next() + next() + next() - 1.5) * far * long;
      const m: P = [
        p[0] + t * (q[0] - p[0]) - (off * (q[1] - p[1])) / (long || 1),
        p[1] + t * (q[1] - p[1]) + (off * (q[0] - p[0])) / (long || 1),
      ];
      return [p, m];
    });
  return now;
}
const path = (points: readonly P[], dx = 0, dy = 0): string =>
  `M${points.map(([x, y]) => `${n(x + dx)} ${n(y + dy)}`).join('L')}Z`;

/** The same ring, flowing: each corner rounded between the middles of its sides. */
const flowing = (points: readonly P[]): string => {
  const middle = (i: number): string => {
    const [[ax, ay], [bx, by]] = [points[i % points.length]!, points[(i + 1) % points.length]!];
    return `${n((ax + bx) / 2)} ${n((ay + by) / 2)}`;
  };
  return `M${middle(points.length - 1)}${points.map(([x, y], i) => `Q${n(x)} ${n(y)} ${middle(i)}`).join('')}Z`;
};

/** A shape as water leaves it: coats that dried one within the other, and the pigment gathered along its rim. */
function watered(
  ring: readonly P[],
  ink: Ink,
  coats: number,
  strength: number,
  shrink: number,
  next: () => number,
): string {
  const [x, y] = [0, 1].map((k) => ring.reduce((sum, p) => sum + p[k]!, 0) / ring.length) as [number, number];
  const coat = (k: number): string => {
    const f = 1 - shrink * k;
    const [dx, dy] = [shrink * 60 * (next() - 0.5), shrink * 60 * (next() - 0.5)];
    const within = ring.map(([px, py]): P => [x + (px - x) * f + k * dx, y + (py - y) * f + k * dy]);
    return `<path d="${flowing(within)}" ${fill(ink, ` opacity="${strength}"`)}/>`;
  };
  return (
    Array.from({ length: coats }, (_, k) => coat(k)).join('') +
    `<path d="${flowing(ring)}" ${stroke(ink, 4, ' opacity="0.1"')}/>` +
    `<path d="${flowing(ring)}" ${stroke(ink, 1.1, ' opacity="0.3"')}/>`
  );
}

/** Dabs of watercolour in rows, no two alike, set down by a loaded brush. */
export function dabs(ground: Ink, inks: readonly Ink[], seed: number): string {
  const next = random(seed);
  const [across, down] = [8, 9];
  let out = '';
  let last = -1;
  for (let row = 0; row < down; row++)
    for (let column = -1; column <= across; column++) {
      const [x, y] = [
        ((column + 0.5 + (row % 2 ? 0.25 : -0.25) + 0.1 * (next() - 0.5)) * SIDE) / across,
        ((row + 0.5 + 0.1 * (next() - 0.5)) * SIDE) / down,
      ];
      const r = 40 + 7 * next();
      const [flat, turn] = [0.78 + 0.2 * next(), 6.28 * next()];
      const corners = Array.from({ length: 8 }, (_, i): P => {
        const a = (2 * Math.PI * i) / 8;
        return [
          x + r * Math.cos(a) * Math.cos(turn) - r * flat * Math.sin(a) * Math.sin(turn),
          y + r * Math.cos(a) * Math.sin(turn) + r * flat * Math.sin(a) * Math.cos(turn),
        ];
      });
      last = (last + 1 + Math.floor(next() * (inks.length - 1))) % inks.length;
      out += watered(deformed(corners, 1, 0.3, next), inks[last]!, 2, 0.3, 0.06 + 0.06 * next(), next);
    }
  return sheet(ground, SIDE, SIDE, '', out);
}

/** Broad washes laid one below the other while the last was still damp: hills in haze, or a shore. */
export function wash(ground: Ink, inks: readonly Ink[], seed: number): string {
  const next = random(seed);
  const height = fbm(seed, 4);
  const bands = 9;
  let out = '';
  for (let k = 0; k < bands; k++) {
    const ink = inks[k % inks.length]!;
    const [top, swell] = [(k / (bands - 0.5)) * SIDE - 20, 50 + 60 * next()];
    const edge = (shift: number, rough: number): P[] =>
      Array.from({ length: 75 }, (_, i): P => {
        const x = -30 + (i * (SIDE + 60)) / 74;
        return [
          x,
          top +
            shift +
            swell * 2 * (height(x / 330 + 9 * k, 3 * k) - 0.5) +
            rough * (height(x / 26, k + shift) - 0.5),
        ];
      });
    const foot = top + SIDE * (0.24 + 0.16 * next());
    const hem = Array.from({ length: 14 }, (_, i): P => {
      const x = SIDE + 30 - (i * (SIDE + 60)) / 13;
      return [x, foot + 70 * (height(x / 200, 40 + k) - 0.5)];
    });
    for (let coat = 0; coat < 4; coat++)
      out += `<path d="${flowing([...edge(coat * (9 + 12 * next()), 16), ...hem.map(([x, y]): P => [x, y - coat * 44])])}" ${fill(ink, ' opacity="0.13"')}/>`;
    // The pigment that was carried to the rim, and drops that ran ahead of it.
    const rim = edge(0, 16)
      .map(([x, y], i) => `${i ? 'L' : 'M'}${n(x)} ${n(y)}`)
      .join('');
    out += `<path d="${rim}" ${stroke(ink, 5, ' opacity="0.09"')}/><path d="${rim}" ${stroke(ink, 1.2, ' opacity="0.32"')}/>`;
    for (let i = 0; i < 9; i++) {
      const [x, y, r] = [SIDE * next(), top - 10 - 60 * next(), 0.9 + 4 * next() ** 3];
      out += `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" ${fill(ink, ' opacity="0.28"')}/>`;
    }
  }
  return sheet(ground, SIDE, SIDE, '', out);
}

/**
 * Ink dropped on water and combed. A drop of radius r at c moves what lies at p to c + (p - c) sqrt(1 + r²/|p - c|²), so that areas
 * stay as they are; a tine moves it along by z u^|d| (Lu, Jaffer, Jin, Zhao and Mao 2012, Mathematical marbling).
 */
export function marble(
  ground: Ink,
  inks: readonly Ink[],
  seed: number,
  comb: 'stone' | 'combed' | 'swirl',
): string {
  const next = random(seed);
  const drops: { ink: Ink; points: P[] }[] = [];
  const count = comb === 'stone' ? 150 : 104;
  for (let k = 0; k < count; k++) {
    const [cx, cy] = [-40 + next() * (SIDE + 80), -40 + next() * (SIDE + 80)];
    const r = 24 + 74 * next() ** 1.5;
    for (const drop of drops)
      drop.points = drop.points.map(([x, y]): P => {
        const d2 = (x - cx) ** 2 + (y - cy) ** 2 || 1e-6;
        const m = Math.sqrt(1 + (r * r) / d2);
        return [cx + (x - cx) * m, cy + (y - cy) * m];
      });
    const corners = 56;
    drops.push({
      ink: inks[k % inks.length]!,
      points: Array.from({ length: corners }, (_, i): P => {
        const a = (2 * Math.PI * i) / corners;
        return [cx + r * Math.cos(a), cy + r * Math.sin(a)];
      }),
    });
  }
  /** Sides that have become long are divided before they are bent. */
  const finer = (points: readonly P[]): P[] =>
    points.flatMap((p, i) => {
      const q = points[(i + 1) % points.length]!;
      const parts = Math.min(8, Math.max(1, Math.ceil(Math.hypot(q[0] - p[0], q[1] - p[1]) / 9)));
      return Array.from({ length: parts }, (_, k): P => [
        p[0] + ((q[0] - p[0]) * k) / parts,
        p[1] + ((q[1] - p[1]) * k) / parts,
      ]);
    });
  const tine = (at: number, z: number, sharp: number, across: boolean) => {
    const u = 0.5 ** (1 / sharp);
    for (const drop of drops)
      drop.points = finer(drop.points).map(([x, y]): P => {
        const far = z * u ** Math.abs((across ? y : x) - at);
        return across ? [x + far, y] : [x, y + far];
      });
  };
  if (comb === 'combed') for (let i = 0; i < 12; i++) tine(36 + i * 72, (i % 2 ? -1 : 1) * 92, 9, false);
  if (comb === 'swirl')
    for (let i = 0; i < 5; i++) {
      tine(90 + i * 170, (i % 2 ? -1 : 1) * 120, 34, true);
      tine(60 + i * 180, (i % 2 ? 1 : -1) * 90, 40, false);
    }
  const out = drops
    .filter(({ points }) => points.some(([x, y]) => x > 0 && x < SIDE && y > 0 && y < SIDE))
    .map(({ ink, points }) => `<path d="${path(spare(points, 0.5))}" ${fill(ink)}/>`)
    .join('');
  return sheet(ground, SIDE, SIDE, '', out);
}

/** Without the points that lie on the way between their neighbours. */
const spare = (points: readonly P[], off: number): P[] => {
  const out: P[] = [];
  points.forEach((p, i) => {
    const [a, b] = [out.at(-1) ?? points.at(-1)!, points[(i + 1) % points.length]!];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1e-9;
    const far = Math.abs((b[0] - a[0]) * (a[1] - p[1]) - (a[0] - p[0]) * (b[1] - a[1])) / long;
    if (far > off || long > 24) out.push(p);
  });
  return out.length > 3 ? out : [...points];
};

/** Stitched and dyed: light rows where the thread held the dye off, in diamonds, over a ground that took it unevenly. */
export function resist(dye: Ink, light: Ink, seed: number, kind: 'diamonds' | 'rings' | 'rows'): string {
  const next = random(seed);
  const side = 216;
  let clouds = '';
  // Over all of the sheet: what can be seen through may not meet itself where tiles do.
  for (let i = 0; i < 40; i++) {
    const [x, y, r] = [next() * SIDE, next() * SIDE, 50 + 70 * next()];
    const shape = deformed(
      Array.from({ length: 8 }, (_, k): P => {
        const a = (k * Math.PI) / 4;
        return [x + r * Math.cos(a), y + r * Math.sin(a)];
      }),
      2,
      0.3,
      next,
    );
    clouds += `<path d="${path(shape)}" ${fill(i % 2 ? light : dye, ' opacity="0.07"')}/>`;
  }
  let marks = '';
  const stitch = (x: number, y: number, a: number) => {
    const [l, w] = [3.2 + 1.6 * next(), 1.5 + 0.9 * next()];
    const shape = deformed(
      [-1, -0.4, 0.4, 1, 0.4, -0.4].map((t, i): P => {
        const s = i === 0 || i === 3 ? 0 : i < 3 ? 1 : -1;
        return [x + t * l * Math.cos(a) - s * w * Math.sin(a), y + t * l * Math.sin(a) + s * w * Math.cos(a)];
      }),
      1,
      0.2,
      next,
    );
    marks += `<path d="${path(shape)}" ${fill(light, ` opacity="${(0.72 + 0.28 * next()).toFixed(2)}"`)}/>`;
  };
  if (kind === 'rows')
    for (let y = 9; y < side; y += 18)
      for (let x = 6; x < side; x += 12)
        stitch(
          x,
          y + 3 * Math.sin((x / side) * 2 * Math.PI * 3),
          0.3 * Math.cos((x / side) * 2 * Math.PI * 3),
        );
  else if (kind === 'rings')
    for (const [cx, cy] of [
      [54, 54],
      [162, 162],
      [162, 54],
      [54, 162],
    ] as const)
      for (const r of (cx + cy) % 216 === 108 ? [12, 24, 36, 48] : [10, 20, 32, 44])
        for (let i = 0; i < Math.round(r / 1.9); i++) {
          const a = (2 * Math.PI * i) / Math.round(r / 1.9);
          stitch(cx + r * Math.cos(a), cy + r * Math.sin(a), a + Math.PI / 2);
        }
  else
    for (const [cx, cy] of [
      [54, 54],
      [162, 54],
      [54, 162],
      [162, 162],
    ] as const)
      for (const r of [14, 27, 40, 53])
        for (let q = 0; q < 4; q++)
          for (let i = 0; i < Math.round(r / 7); i++) {
            const t = (i + 0.5) / Math.round(r / 7);
            const [x0, y0] = [
              [0, -1],
              [1, 0],
              [0, 1],
              [-1, 0],
            ][q]!;
            const [x1, y1] = [
              [1, 0],
              [0, 1],
              [-1, 0],
              [0, -1],
            ][q]!;
            stitch(
              cx + r * (x0! + t * (x1! - x0!)),
              cy + r * (y0! + t * (y1! - y0!)),
              Math.atan2(y1! - y0!, x1! - x0!),
            );
          }
  return sheet(dye, side, side, marks, clouds);
}

/** One ink that comes up over another, from its foot to its head. */
export function ombre(a: Ink, b: Ink, seed: number): string {
  const next = random(seed);
  const bands = 24;
  const h = SIDE / bands;
  let out = '';
  for (let i = 0; i < bands; i++) {
    const share = (i + 0.5) / bands;
    let d = `M0 ${SIDE}V${n(i * h)}`;
    for (let x = 0; x <= SIDE; x += 36) d += `L${x} ${n(i * h + (next() - 0.5) * h * 1.6)}`;
    // Each band lies over those before it: together they come to the whole.
    const opacity = 1 - (1 - share) / (1 - share + 1 / bands);
    out += `<path d="${d}V${SIDE}Z" ${fill(b, ` opacity="${Math.min(1, opacity).toFixed(4)}"`)}/>`;
  }
  return sheet(a, SIDE, SIDE, '', out);
}

/** Boards with their grain: the same field of years, cut at even heights, with a knot here and there. */
export function woodgrain(ground: Ink, grain: Ink, seed: number, boards = 4): string {
  const next = random(seed);
  const w = SIDE / boards;
  let out = '';
  for (let k = 0; k < boards; k++) {
    const wave = fbm(seed + k, 3);
    const knots = Array.from(
      { length: 2 },
      () => [w * (0.25 + 0.5 * next()), SIDE * next(), 14 + 22 * next()] as const,
    );
    const x0 = k * w;
    let d = '';
    const lines = 22;
    for (let i = 1; i < lines; i++) {
      for (let y = 0; y <= SIDE; y += 18) {
        let x = (w * i) / lines + 9 * (wave(i / 5, y / 150) - 0.5);
        for (const [kx, ky, r] of knots) {
          const dy = (y - ky) / (2.6 * r);
          const side = Math.sign(x - kx) || 1;
          x += side * r * Math.exp(-dy * dy) * Math.exp(-(((x - kx) / (2.2 * r)) ** 2));
        }
        d += `${y === 0 ? 'M' : 'L'}${n(x0 + Math.max(1, Math.min(w - 1, x)))} ${y}`;
      }
    }
    out += `<path d="${d}" ${stroke(grain, 1.1, ' opacity="0.62"')}/>`;
    for (const [kx, ky, r] of knots)
      for (const q of [0.22, 0.42, 0.64])
        out += `<path d="M${n(x0 + kx - r * q)} ${n(ky)}a${n(r * q)} ${n(r * q * 1.9)} 0 1 0 ${n(2 * r * q)} 0a${n(r * q)} ${n(r * q * 1.9)} 0 1 0 ${n(-2 * r * q)} 0Z" ${stroke(grain, 1.3, ' opacity="0.75"')}/>`;
    if (k) out += `<path d="M${n(x0)} 0V${SIDE}" ${stroke(grain, 2.4)}/>`;
  }
  return sheet(ground, SIDE, SIDE, '', out);
}

/** The heights of a land that is nowhere, every fifth line heavier. */
export function contours(ground: Ink, line: Ink, seed: number, wash_?: Ink): string {
  const at = fbm(seed, 4, 0.45);
  const cells = 144;
  const values = new Float32Array(cells * cells);
  for (let y = 0; y < cells; y++)
    for (let x = 0; x < cells; x++)
      values[y * cells + x] = 255 * Math.min(1, Math.max(0, (at(x / 34, y / 34) - 0.2) / 0.6));
  let out = '';
  if (wash_)
    out += `<path d="${trace({ values, width: cells, height: cells }, 130, SIDE / (cells - 1))}" ${fill(wash_)}/>`;
  for (let i = 1; i < 18; i++) {
    const d = trace({ values, width: cells, height: cells }, (255 * i) / 18, SIDE / (cells - 1));
    if (d) out += `<path d="${d}" ${stroke(line, i % 5 === 0 ? 1.7 : 0.8)}/>`;
  }
  return sheet(ground, SIDE, SIDE, '', out);
}

export type Texture = 'linen' | 'ribbed' | 'canvas' | 'felted' | 'brushed';
/** One ink with a texture: matching cardstock. */
export function textured(ink: Ink, texture: Texture, seed: number): string {
  const next = random(seed);
  const side = 144;
  const tones = ['#ffffff', '#2a1c10'];
  let out = '';
  const line = (d: string, tone: number, width: number, opacity: number) =>
    (out += `<path d="${d}" fill="none" stroke="${tones[tone]}" stroke-width="${width}" opacity="${opacity.toFixed(3)}"/>`);
  if (texture === 'linen' || texture === 'canvas') {
    const step = texture === 'linen' ? 1.8 : 4;
    for (let i = 0; i < side / step; i++) {
      const at = n(i * step + step / 2);
      line(`M0 ${at}H${side}`, i % 2, step * 0.55, 0.035 + 0.075 * next());
      line(`M${at} 0V${side}`, (i + 1) % 2, step * 0.55, 0.03 + 0.07 * next());
    }
  } else if (texture === 'ribbed')
    for (let y = 0; y < side; y += 6) {
      line(`M0 ${y + 1.5}H${side}`, 0, 2.4, 0.13);
      line(`M0 ${y + 4.5}H${side}`, 1, 2.2, 0.09);
    }
  else if (texture === 'brushed')
    for (let i = 0; i < 150; i++) {
      const [x, y, l] = [next() * side, next() * side, 30 + 70 * next()];
      for (const dx of [-side, 0])
        line(`M${n(x + dx)} ${n(y)}h${n(l)}`, i % 2, 0.5 + next(), 0.05 + 0.09 * next());
    }
  else
    for (let i = 0; i < 420; i++) {
      const [x, y, a, l] = [next() * side, next() * side, 6.28 * next(), 3 + 6 * next()];
      const [ex, ey, b] = [l * Math.cos(a), l * Math.sin(a), (next() - 0.5) * 4];
      for (const dx of x + l > side ? [-side, 0] : x - l < 0 ? [0, side] : [0])
        for (const dy of y + l > side ? [-side, 0] : y - l < 0 ? [0, side] : [0])
          line(
            `M${n(x + dx)} ${n(y + dy)}q${n(ex / 2 - b)} ${n(ey / 2 + b)} ${n(ex)} ${n(ey)}`,
            i % 2,
            0.6,
            0.07 + 0.09 * next(),
          );
    }
  return sheet(ink, side, side, out);
}
