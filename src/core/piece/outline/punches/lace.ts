/** Lace: doilies, snowflakes, stamps' edges. */
import { around, pen, polygon, points } from '@/core/geometry/pen';
import type { Path } from '@/core/geometry/path';
import type { Size } from '@/core/geometry/box';
import { compose, rotation, scaling, translation, type Point } from '@/core/geometry/matrix';
import { transformPath } from '@/core/geometry/path';
import { count, settable, share, type Punch } from '@/core/piece/outline/punches/punch';
import { feetOf, scalloped } from '@/core/piece/outline/punches/rounds';

const FAMILY = 'Lace';

/** Half circles along a box: outward scallops or, with `inward`, bites. A whole number on each side. */
function bordered(w: number, h: number, wanted: number, inward: boolean): Path {
  const across = Math.max(2, Math.round(w / wanted));
  const down = Math.max(2, Math.round(h / wanted));
  if (inward) {
    // Teeth between bites: a stamp's corners are always a tooth.
    const line = pen().from(0, 0);
    const side = (many: number, long: number, lay: (along: number) => [number, number]) => {
      const pitch = long / many;
      const r = pitch * 0.31;
      for (let i = 0; i < many; i++) {
        const [ax, ay] = lay((i + 0.5) * pitch - r);
        const [bx, by] = lay((i + 0.5) * pitch + r);
        line.to(ax, ay).bulge(bx, by, -1);
      }
      line.to(...lay(long));
    };
    side(across, w, (x) => [x, 0]);
    side(down, h, (y) => [w, y]);
    side(across, w, (x) => [w - x, h]);
    side(down, h, (y) => [0, h - y]);
    return line.close().done();
  }
  const [rx, ry] = [w / (2 * (across + 1)), h / (2 * (down + 1))];
  const r = Math.min(rx, ry);
  const [iw, ih] = [w - 2 * r, h - 2 * r];
  const line = pen().from(r, r);
  for (let i = 1; i <= across; i++) line.bulge(r + (iw * i) / across, r, 1);
  for (let i = 1; i <= down; i++) line.bulge(w - r, r + (ih * i) / down, 1);
  for (let i = across - 1; i >= 0; i--) line.bulge(r + (iw * i) / across, h - r, 1);
  for (let i = down - 1; i >= 0; i--) line.bulge(r, r + (ih * i) / down, 1);
  return line.close().done();
}

/** What the holes of a round of scallops are laid by: a hole that lies on a line, or in a lobe, crosses nothing. */
function rayed({ width, height }: Size, many: number) {
  const centre = { x: width / 2, y: height / 2 };
  const feet = feetOf({ width, height }, many);
  /** Half of how far a point lies from the line to another. */
  const room = (to: Point, from: Point): number => {
    const [dx, dy] = [to.x - centre.x, to.y - centre.y];
    return Math.abs(dx * (from.y - to.y) - dy * (from.x - to.x)) / Math.hypot(dx, dy) / 2;
  };
  const at = <T>(of: readonly T[], i: number): T => of[(i + many) % many]!;
  const middles = feet.map(({ x, y }, i) => {
    const next = at(feet, i + 1);
    return { x: (x + next.x) / 2, y: (y + next.y) / 2 };
  });
  // Along the flat sides of an oval what goes to its middle lies close together.
  const between = (of: readonly Point[], i: number, others: readonly Point[], ...ways: number[]) =>
    Math.min(...ways.map((way) => room(at(of, i), at(others, i + way))));
  const rays = feet.map((foot, i) => {
    const next = at(feet, i + 1);
    const lobe = Math.hypot(next.x - foot.x, next.y - foot.y) / 2;
    const [toFoot, toMiddle] = [between(feet, i, feet, -1, 1), between(middles, i, middles, -1, 1)];
    return {
      foot,
      middle: middles[i]!,
      /** How wide what lies on the ways to them may be, about half of it. */
      toFoot: Math.min(lobe, toFoot),
      toMiddle: Math.min(lobe, toMiddle),
      /** How wide a hole in the lobe may be, and one at its foot. */
      inLobe: Math.min(lobe * 0.36, between(middles, i, feet, 0, 1)),
      atFoot: Math.min(lobe * 0.2, between(feet, i, middles, -1, 0)),
    };
  });
  const along = (to: Point, share: number): Point => ({
    x: centre.x + (to.x - centre.x) * share,
    y: centre.y + (to.y - centre.y) * share,
  });
  return {
    rays,
    /** A round hole on the way from the centre to a point. */
    dot(to: Point, share: number, radius: number): Path {
      const { x, y } = along(to, share);
      return pen().hole(x, y, radius).done();
    },
    /** A petal on that way, from one share of it to another. */
    leaf(to: Point, from: number, until: number, wide: number): Path {
      const [dx, dy] = [to.x - centre.x, to.y - centre.y];
      const { x, y } = along(to, from);
      return petal(x, y, Math.hypot(dx, dy) * (until - from), wide, (Math.atan2(dx, -dy) * 180) / Math.PI);
    },
  };
}

/** Scallops with holes laid by them. Few on a long oval would lie on each other: those are drawn in a round, and stretched. */
function doily({ width, height }: Size, many: number, holes: (of: ReturnType<typeof rayed>) => Path): Path {
  const few = many < 10 * Math.max(width / height, height / width);
  const side = Math.min(width, height);
  const box = few ? { width: side, height: side } : { width, height };
  const drawn = [...scalloped(box, many), ...holes(rayed(box, many))];
  return few ? transformPath(scaling(width / side, height / side), drawn) : drawn;
}

const petal = (x: number, y: number, long: number, wide: number, turn: number): Path =>
  // Drawn the other way round: it is a hole.
  transformPath(
    compose(translation(x, y), rotation(turn)),
    pen()
      .from(0, 0)
      .curve(wide, -long * 0.4, wide * 0.6, -long * 0.9, 0, -long)
      .curve(-wide * 0.6, -long * 0.9, -wide, -long * 0.4, 0, 0)
      .close()
      .done(),
  );

export const lace: readonly Punch[] = [
  settable('Doily', FAMILY, 1, [count('count', 'Scallops', 20, 8, 60)], (size, value) =>
    doily(size, value('count'), ({ rays, dot, leaf }) =>
      rays.flatMap(({ foot, middle, toFoot, toMiddle, inLobe }) => [
        ...dot(middle, 1, inLobe),
        ...leaf(foot, 0.68, 0.9, toFoot * 0.5),
        ...dot(middle, 0.62, toMiddle * 0.2),
      ]),
    ),
  ),
  settable('Rosette doily', FAMILY, 1, [count('count', 'Petals', 12, 6, 32)], (size, value) =>
    doily(size, value('count'), ({ rays, dot, leaf }) =>
      rays.flatMap(({ foot, middle, toMiddle, atFoot }) => [
        ...leaf(middle, 0.36, 0.86, toMiddle * 0.55),
        ...dot(foot, 0.84, atFoot),
      ]),
    ),
  ),
  settable(
    'Square doily',
    FAMILY,
    1,
    [count('count', 'Scallops a side', 9, 4, 30)],
    ({ width: w, height: h }, value) => {
      const pitch = Math.min(w, h) / value('count');
      const edge = bordered(w, h, pitch, false);
      const inset = pitch * 0.95;
      const [iw, ih] = [w - 2 * inset, h - 2 * inset];
      const [nx, ny] = [Math.max(2, Math.round(iw / pitch)), Math.max(2, Math.round(ih / pitch))];
      const dots: Path[] = [];
      const dot = (x: number, y: number) =>
        dots.push(
          pen()
            .hole(x, y, pitch * 0.2)
            .done(),
        );
      for (let i = 0; i < nx; i++) {
        dot(inset + (iw * i) / nx, inset);
        dot(inset + (iw * (i + 1)) / nx, h - inset);
      }
      for (let i = 0; i < ny; i++) {
        dot(w - inset, inset + (ih * i) / ny);
        dot(inset, inset + (ih * (i + 1)) / ny);
      }
      return [...edge, ...dots.flat()];
    },
  ),
  settable(
    'Postage stamp',
    FAMILY,
    0.82,
    [count('count', 'Holes along the short side', 9, 3, 60)],
    ({ width: w, height: h }, value) => bordered(w, h, Math.min(w, h) / value('count'), true),
  ),
  settable(
    'Scalloped box',
    FAMILY,
    1.3,
    [count('count', 'Scallops along the short side', 8, 2, 60)],
    ({ width: w, height: h }, value) => bordered(w, h, Math.min(w, h) / (value('count') + 1), false),
  ),
  settable('Snowflake', FAMILY, 0.87, [share('shaft', 'Thickness', 0.5, 0.2, 1)], (_, value) => {
    const t = 2 + 5 * value('shaft');
    const bar = (x: number, y: number, long: number, thick: number, turn: number): Path =>
      transformPath(
        compose(translation(x, y), rotation(turn)),
        polygon(points(-thick, 0, -thick * 0.8, -long, 0, -long - thick, thick * 0.8, -long, thick, 0)),
      );
    const arm = [
      ...bar(0, 0, 50 - t, t, 0),
      ...bar(0, -20, 13, t * 0.7, 60),
      ...bar(0, -20, 13, t * 0.7, -60),
      ...bar(0, -34, 10, t * 0.6, 56),
      ...bar(0, -34, 10, t * 0.6, -56),
    ];
    return [
      ...Array.from({ length: 6 }, (__, i) => transformPath(rotation(60 * i), arm)).flat(),
      ...polygon(Array.from({ length: 6 }, (__, i) => around(60 * i, t * 2))),
    ];
  }),
  settable(
    'Cog',
    FAMILY,
    1,
    [count('count', 'Teeth', 12, 5, 48), share('hole', 'Hole', 0.3, 0, 0.8)],
    ({ width: w, height: h }, value) => {
      const many = value('count');
      const at = (degrees: number, far: number) =>
        around(degrees, (w / 2) * far, (h / 2) * far, { x: w / 2, y: h / 2 });
      const step = 360 / many;
      const depth = Math.min(0.2, 2.2 / many);
      const ring = Array.from({ length: many }, (__, i) => [
        at(step * (i - 0.28), 1 - depth),
        at(step * (i - 0.17), 1),
        at(step * (i + 0.17), 1),
        at(step * (i + 0.28), 1 - depth),
      ]).flat();
      const hub = value('hole') * (1 - depth);
      return [
        ...polygon(ring),
        ...(hub > 0.01
          ? pen()
              .hole(w / 2, h / 2, (w / 2) * hub, (h / 2) * hub)
              .done()
          : []),
      ];
    },
  ),
];
