/** Papers that are laid out with compass and ruler: quilts, sashiko, damask, tartan, chips of stone, lace. */
import { random } from '@/core/random';
import { fill, sheet, SIDE, stroke, type Ink } from '../tiles';

const n = (v: number): string => String(Math.round(v * 100) / 100);
const poly = (points: readonly (readonly [number, number])[]): string =>
  `M${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`;

/** Running stitches along a way: `on` of thread, then `off` beneath the cloth, a whole number of them. */
function sewn(way: (t: number) => readonly [number, number], long: number, on: number, off: number): string {
  const count = Math.max(1, Math.round(long / (on + off)));
  const share = on / (on + off);
  return Array.from({ length: count }, (_, i) => {
    const from = (i + (1 - share) / 2) / count;
    const to = (i + (1 + share) / 2) / count;
    const [a, m, b] = [way(from), way((from + to) / 2), way(to)];
    // A curve through the middle: its control lies as far again.
    const c = [2 * m[0] - (a[0] + b[0]) / 2, 2 * m[1] - (a[1] + b[1]) / 2] as const;
    return `M${n(a[0])} ${n(a[1])}Q${n(c[0])} ${n(c[1])} ${n(b[0])} ${n(b[1])}`;
  }).join('');
}
const straight = (x0: number, y0: number, x1: number, y1: number, on: number, off: number): string =>
  sewn((t) => [x0 + (x1 - x0) * t, y0 + (y1 - y0) * t], Math.hypot(x1 - x0, y1 - y0), on, off);
const arc = (cx: number, cy: number, r: number, from: number, to: number, on: number, off: number): string =>
  sewn(
    (t) => [cx + r * Math.cos(from + (to - from) * t), cy + r * Math.sin(from + (to - from) * t)],
    r * Math.abs(to - from),
    on,
    off,
  );

/** Blocks of half squares and quarters, as they are pieced: a star of eight points, a pinwheel, flying geese. */
export function quilt(a: Ink, inks: readonly Ink[], kind: 'star' | 'pinwheel' | 'geese'): string {
  const u = 36;
  const out: string[] = [];
  const put = (ink: Ink, ...points: (readonly [number, number])[]) =>
    out.push(`<path d="${poly(points.map(([x, y]) => [x * u, y * u]))}" ${fill(ink)}/>`);
  const ink = (i: number): Ink => inks[i % inks.length]!;
  if (kind === 'star') {
    // Sawtooth star: a square in the middle, eight points about it, in a grid of four.
    const block = (x: number, y: number, k: number) => {
      put(ink(k), [x + 1, y + 1], [x + 3, y + 1], [x + 3, y + 3], [x + 1, y + 3]);
      for (let q = 0; q < 4; q++) {
        const turn = ([px, py]: readonly [number, number]): readonly [number, number] => {
          let [dx, dy] = [px - 2, py - 2];
          for (let i = 0; i < q; i++) [dx, dy] = [-dy, dx];
          return [x + 2 + dx, y + 2 + dy];
        };
        put(ink(k + 1), turn([1, 1]), turn([1, 0]), turn([2, 1]));
        put(ink(k + 1), turn([3, 1]), turn([3, 0]), turn([2, 1]));
        put(ink(k + 2), turn([0, 0]), turn([1, 0]), turn([1, 1]), turn([0, 1]));
      }
      put(ink(k + 1), [x + 1.5, y + 1.5], [x + 2.5, y + 1.5], [x + 2.5, y + 2.5], [x + 1.5, y + 2.5]);
    };
    block(0, 0, 0);
    block(4, 0, 1);
    block(0, 4, 2);
    block(4, 4, 0);
    return sheet(a, 8 * u, 8 * u, out.join('') + stitches(8 * u, u, a));
  }
  if (kind === 'pinwheel') {
    for (const [x, y, k] of [
      [0, 0, 0],
      [2, 0, 1],
      [0, 2, 2],
      [2, 2, 0],
    ] as const) {
      put(ink(k), [x, y], [x + 1, y], [x + 1, y + 1]);
      put(ink(k), [x + 2, y], [x + 2, y + 1], [x + 1, y + 1]);
      put(ink(k), [x + 2, y + 2], [x + 1, y + 2], [x + 1, y + 1]);
      put(ink(k), [x, y + 2], [x, y + 1], [x + 1, y + 1]);
    }
    return sheet(a, 4 * u, 4 * u, out.join('') + stitches(4 * u, u, a));
  }
  for (let row = 0; row < 4; row++)
    for (let column = 0; column < 2; column++) {
      const [x, y] = [column * 3, row];
      put(ink(row + column), [x, y + 1], [x + 1, y], [x + 2, y + 1]);
    }
  for (const x of [2, 5]) put(ink(2), [x, 0], [x + 1, 0], [x + 1, 4], [x, 4]);
  return sheet(a, 6 * u, 4 * u, out.join('') + stitches(6 * u, u, a, 4 * u));
}

/** Quilting stitches beside the seams. */
const stitches = (w: number, step: number, ink: Ink, h = w): string => {
  let d = '';
  for (let x = 4; x < w; x += step) d += straight(x, 0, x, h, 3, 2.4);
  for (let y = 4; y < h; y += step) d += straight(0, y, w, y, 3, 2.4);
  return `<path d="${d}" ${stroke(ink, 0.7, ' opacity="0.75"')}/>`;
};

/** Running stitches in three traditional nets: hemp leaf, circles that meet, waves. */
export function sashiko(ground: Ink, thread: Ink, kind: 'leaf' | 'circles' | 'waves'): string {
  const [on, off] = [5.4, 2.6];
  const full = 2 * Math.PI;
  if (kind === 'circles') {
    const r = 36;
    const d = [
      [0, 0],
      [2, 0],
      [0, 2],
      [2, 2],
      [1, 1],
    ]
      .map(([x, y]) => arc(x! * r, y! * r, r, 0, full, on, off))
      .join('');
    return sheet(ground, 2 * r, 2 * r, `<path d="${d}" ${stroke(thread, 1.5)}/>`);
  }
  if (kind === 'waves') {
    const r = 24;
    // Each scale is seen from its top down to the two before it, half a radius lower.
    const seenTo = (k: number): number => {
      let a = 0;
      while (a < Math.PI / 2 + 0.6) {
        const [x, y] = [k * r * Math.sin(a), -k * r * Math.cos(a)];
        if (Math.hypot(x - r, y - r / 2) < r || Math.hypot(x, y - r) < r) break;
        a += 0.01;
      }
      return a;
    };
    let d = '';
    for (let row = -2; row <= 3; row++)
      for (const column of [-1, 0, 1, 2, 3])
        for (const k of [1, 0.7, 0.4]) {
          if ((row + column) % 2) continue;
          const a = seenTo(k);
          d += arc(column * r, (row * r) / 2 + r / 2, k * r, -Math.PI / 2 - a, -Math.PI / 2 + a, 4, 2.2);
        }
    return sheet(ground, 2 * r, r, `<path d="${d}" ${stroke(thread, 1.3)}/>`);
  }
  // Hemp leaf: hexagons of side s whose points all meet.
  const s = 40;
  const h = (s * Math.sqrt(3)) / 2;
  const lines = new Map<string, string>();
  const line = (x0: number, y0: number, x1: number, y1: number) => {
    const ends = [`${n(x0)} ${n(y0)}`, `${n(x1)} ${n(y1)}`].sort().join(' ');
    if (!lines.has(ends)) lines.set(ends, straight(x0, y0, x1, y1, on, off));
  };
  const star = (cx: number, cy: number) => {
    for (let k = 0; k < 6; k++) {
      const [a, b] = [(Math.PI * k) / 3, (Math.PI * (k + 1)) / 3];
      const [ax, ay] = [cx + s * Math.cos(a), cy + s * Math.sin(a)];
      const [bx, by] = [cx + s * Math.cos(b), cy + s * Math.sin(b)];
      const [gx, gy] = [(cx + ax + bx) / 3, (cy + ay + by) / 3];
      line(cx, cy, ax, ay);
      line(ax, ay, bx, by);
      line(cx, cy, gx, gy);
      line(ax, ay, gx, gy);
      line(bx, by, gx, gy);
    }
  };
  for (let i = -1; i <= 3; i++)
    for (let j = -1; j <= 3; j++) star(i * 1.5 * s, (j + (i % 2 ? 0.5 : 0)) * 2 * h);
  return sheet(ground, 3 * s, 2 * h, `<path d="${[...lines.values()].join('')}" ${stroke(thread, 1.3)}/>`);
}

/** A sett: so many threads of each ink, to and fro, in twill. */
export function tartan(sett: readonly (readonly [Ink, number])[], thread = 1.5): string {
  const there = [...sett, ...[...sett].slice(1, -1).reverse()];
  const whole = there.reduce((sum, [, count]) => sum + count, 0) * thread;
  let at = 0;
  let warp = '';
  let weft = '';
  // Threads run from edge to edge of the sheet: pieces of one would show where they meet.
  for (const [ink, count] of there) {
    const w = count * thread;
    warp += `<rect x="${n(at)}" width="${n(w)}" height="${SIDE}" ${fill(ink)}/>`;
    const each = Array.from({ length: Math.ceil((SIDE - at) / whole) }, (_, i) => at + i * whole);
    weft += `<path d="${each.map((y) => `M0 ${n(y)}h${SIDE}v${n(w)}h-${SIDE}Z`).join('')}" ${fill(ink, ' opacity="0.52"')}/>`;
    at += w;
  }
  // Twill: the diagonal that two over and two under make.
  const step = whole / Math.round(whole / 6);
  const twill = (shift: number): string => {
    let d = '';
    for (let x = shift - SIDE; x < SIDE; x += step) {
      const [from, to] = [Math.max(0, -x), Math.min(SIDE, SIDE - x)];
      d += `M${n(x + from)} ${n(SIDE - from)}L${n(x + to)} ${n(SIDE - to)}`;
    }
    return d;
  };
  return sheet(
    sett[0]![0],
    whole,
    SIDE,
    warp,
    `${weft}<path d="${twill(0)}" fill="none" stroke="#ffffff" stroke-width="1.1" opacity="0.16"/><path d="${twill(step / 2)}" fill="none" stroke="#1c140c" stroke-width="1.1" opacity="0.1"/>`,
  );
}

/** Chips of stone, convex, of several sizes, none on another. */
export function terrazzo(ground: Ink, inks: readonly Ink[], seed: number): string {
  const next = random(seed);
  const side = 216;
  const kept: { x: number; y: number; r: number }[] = [];
  let out = '';
  for (let i = 0; i < 2600; i++) {
    const r = i < 300 ? 9 + 7 * next() : i < 1200 ? 4 + 4 * next() : 1.2 + 1.8 * next();
    const [x, y] = [next() * side, next() * side];
    const close = kept.some((one) => {
      const dx = Math.abs(one.x - x);
      const dy = Math.abs(one.y - y);
      return Math.hypot(Math.min(dx, side - dx), Math.min(dy, side - dy)) < one.r + r + 1.5;
    });
    if (close) continue;
    kept.push({ x, y, r });
    const corners = 4 + Math.floor(3 * next());
    const turn = 6.28 * next();
    const flat = 0.6 + 0.4 * next();
    const shape = Array.from({ length: corners }, (_, k) => {
      const a = turn + ((k + 0.35 * next()) * 6.28) / corners;
      return [r * Math.cos(a), r * flat * Math.sin(a)] as const;
    });
    const ink = inks[Math.floor(next() * inks.length)]!;
    for (const dx of [-side, 0, side])
      for (const dy of [-side, 0, side])
        if (x + dx + r > 0 && x + dx - r < side && y + dy + r > 0 && y + dy - r < side)
          out += `<path d="${poly(shape.map(([px, py]) => [x + dx + px, y + dy + py]))}" ${fill(ink)}/>`;
  }
  return sheet(ground, side, side, out);
}

/** A woven ornament in a net of ogees: leaves and a bud, mirrored about their axis. */
export function damask(ground: Ink, a: Ink, b: Ink): string {
  const [w, h] = [144, 216];
  const leaf = (x: number, y: number, long: number, wide: number, turn: number): string => {
    const r = (turn * Math.PI) / 180;
    const at = (px: number, py: number): string =>
      `${n(x + px * Math.cos(r) - py * Math.sin(r))} ${n(y + px * Math.sin(r) + py * Math.cos(r))}`;
    return `M${at(0, 0)}C${at(wide, -0.28 * long)} ${at(wide * 0.9, -0.75 * long)} ${at(0, -long)}C${at(-wide * 0.45, -0.72 * long)} ${at(-wide * 0.9, -0.3 * long)} ${at(0, 0)}Z`;
  };
  const half: readonly (readonly [number, number, number, number, number])[] = [
    [0, 40, 46, 15, 26],
    [0, 40, 40, 12, 62],
    [0, 44, 34, 10, 98],
    [14, 8, 30, 9, 44],
    [10, -6, 30, 9, 18],
    [26, 24, 26, 8, 84],
    [30, 12, 20, 7, 40],
    [0, 64, 26, 8, 140],
  ];
  const mirrored = (x: number, y: number): string => {
    const one = half.map(([px, py, long, wide, turn]) => leaf(x + px, y + py, long, wide, turn)).join('');
    const other = half.map(([px, py, long, wide, turn]) => leaf(x - px, y + py, long, -wide, -turn)).join('');
    return (
      `<path d="${one}${other}${leaf(x, y - 4, 52, 13, 0)}${leaf(x, y - 4, 52, -13, 0)}" ${fill(a)}/>` +
      `<path d="${leaf(x, y - 12, 30, 6, 0)}${leaf(x, y - 12, 30, -6, 0)}M${x - 5} ${y + 46}a5 5 0 1 0 10 0a5 5 0 1 0 -10 0Z" ${fill(b)}/>`
    );
  };
  const net = (x: number, y: number): string =>
    `M${x} ${y - h / 2}C${x + w * 0.62} ${y - h * 0.28} ${x + w * 0.3} ${y - h * 0.12} ${x + w / 2} ${y}C${x + w * 0.3} ${y + h * 0.12} ${x + w * 0.62} ${y + h * 0.28} ${x} ${y + h / 2}` +
    `M${x} ${y - h / 2}C${x - w * 0.62} ${y - h * 0.28} ${x - w * 0.3} ${y - h * 0.12} ${x - w / 2} ${y}C${x - w * 0.3} ${y + h * 0.12} ${x - w * 0.62} ${y + h * 0.28} ${x} ${y + h / 2}`;
  const centres: readonly (readonly [number, number])[] = [
    [w / 2, h / 2],
    [0, 0],
    [w, 0],
    [0, h],
    [w, h],
  ];
  return sheet(
    ground,
    w,
    h,
    `<path d="${centres.map(([x, y]) => net(x, y)).join('')}" ${stroke(a, 3.4)}/>` +
      `<path d="${centres.map(([x, y]) => net(x, y)).join('')}" ${stroke(b, 1)}/>` +
      centres.map(([x, y]) => mirrored(x, y - 8)).join(''),
  );
}

/** Rounds of crochet that meet, with their picots. */
export function lace(ground: Ink, thread: Ink): string {
  const r = 36;
  const round = (cx: number, cy: number): string => {
    let d = '';
    const circle = (q: number) =>
      (d += `M${n(cx - q)} ${n(cy)}a${n(q)} ${n(q)} 0 1 0 ${n(2 * q)} 0a${n(q)} ${n(q)} 0 1 0 ${n(-2 * q)} 0`);
    circle(4);
    circle(9);
    circle(30);
    for (let i = 0; i < 16; i++) {
      const a = (Math.PI * i) / 8;
      const [c, s] = [Math.cos(a), Math.sin(a)];
      const [c2, s2] = [Math.cos(a + Math.PI / 16), Math.sin(a + Math.PI / 16)];
      d += `M${n(cx + 9 * c)} ${n(cy + 9 * s)}Q${n(cx + 24 * c2)} ${n(cy + 24 * s2)} ${n(cx + 9 * Math.cos(a + Math.PI / 8))} ${n(cy + 9 * Math.sin(a + Math.PI / 8))}`;
      d += `M${n(cx + 19 * c2)} ${n(cy + 19 * s2)}L${n(cx + 30 * c2)} ${n(cy + 30 * s2)}`;
      d += `M${n(cx + 30 * c)} ${n(cy + 30 * s)}Q${n(cx + 39 * c2)} ${n(cy + 39 * s2)} ${n(cx + 30 * Math.cos(a + Math.PI / 8))} ${n(cy + 30 * Math.sin(a + Math.PI / 8))}`;
    }
    return d;
  };
  const knot = (cx: number, cy: number): string =>
    `M${n(cx - 6)} ${n(cy)}a6 6 0 1 0 12 0a6 6 0 1 0 -12 0M${n(cx - 11)} ${n(cy)}H${n(cx - 6)}M${n(cx + 6)} ${n(cy)}H${n(cx + 11)}M${n(cx)} ${n(cy - 11)}V${n(cy - 6)}M${n(cx)} ${n(cy + 6)}V${n(cy + 11)}`;
  const d =
    round(r, r) +
    [
      [0, 0],
      [2 * r, 0],
      [0, 2 * r],
      [2 * r, 2 * r],
    ]
      .map(([x, y]) => knot(x!, y!))
      .join('');
  return sheet(ground, 2 * r, 2 * r, `<path d="${d}" ${stroke(thread, 1.5)}/>`);
}

/** Staves with notes of nobody's tune. */
export function music(ground: Ink, line: Ink, note: Ink, seed: number): string {
  const next = random(seed);
  let staves = '';
  let heads = '';
  let stems = '';
  for (let row = 0; row < 9; row++) {
    const y = 34 + row * 96;
    for (let k = 0; k < 5; k++) staves += `M40 ${y + k * 7}H${SIDE - 40}`;
    for (const x of [40, 236, 432, 628, SIDE - 40]) staves += `M${x} ${y}V${y + 28}`;
    let before: { x: number; y: number } | null = null;
    for (let x = 62; x < SIDE - 60; x += 22 + 18 * Math.floor(2.4 * next())) {
      const step = Math.round(10 * next()) - 1;
      const cy = y + 28 - 3.5 * step;
      heads += `M${n(x - 4.4)} ${n(cy + 1)}C${n(x - 4)} ${n(cy - 3.6)} ${n(x + 4)} ${n(cy - 4.4)} ${n(x + 4.4)} ${n(cy - 1)}C${n(x + 4)} ${n(cy + 3.6)} ${n(x - 4)} ${n(cy + 4.4)} ${n(x - 4.4)} ${n(cy + 1)}Z`;
      const up = step < 4;
      const [sx, sy] = [x + (up ? 4 : -4), cy + (up ? -24 : 24)];
      stems += `M${n(sx)} ${n(cy)}V${n(sy)}`;
      if (before && next() < 0.4) {
        heads += poly([
          [before.x, before.y],
          [sx, sy],
          [sx, sy + 4],
          [before.x, before.y + 4],
        ]);
        before = null;
      } else before = up ? { x: sx, y: sy } : null;
    }
  }
  return sheet(
    ground,
    SIDE,
    SIDE,
    '',
    `<path d="${staves}" ${stroke(line, 0.8)}/><path d="${heads}" ${fill(note)}/><path d="${stems}" ${stroke(note, 1.2)}/>`,
  );
}
