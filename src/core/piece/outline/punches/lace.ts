/** Lace: doilies, snowflakes, stamps' edges. */
import { around, pen, polygon, points } from '@/core/geometry/pen';
import type { Path } from '@/core/geometry/path';
import { rotation, translation, compose } from '@/core/geometry/matrix';
import { transformPath } from '@/core/geometry/path';
import { count, settable, share, type Punch } from '@/core/piece/outline/punches/punch';
import { evenly, scalloped } from '@/core/piece/outline/punches/rounds';

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

/** Holes along an ellipse, turned so that they cut. */
const holes = (w: number, h: number, far: number, many: number, size: number): Path =>
  evenly((w / 2) * far, (h / 2) * far, many).flatMap(({ x, y }) =>
    pen()
      .hole(x + w / 2, y + h / 2, size)
      .done(),
  );

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
  settable('Doily', FAMILY, 1, [count('count', 'Scallops', 20, 8, 60)], (size, value) => {
    const { width: w, height: h } = size;
    const many = value('count');
    const r = Math.min(w, h) / 2;
    const pitch = (2 * Math.PI * r) / many;
    return [
      ...scalloped(size, many),
      ...holes(w, h, 1 - pitch / r / 1.9, many, pitch * 0.16),
      ...evenly((w / 2) * 0.66, (h / 2) * 0.66, many).flatMap(({ x, y }, i) =>
        petal(x + w / 2, y + h / 2, r * 0.13, pitch * 0.2, (360 * i) / many),
      ),
      ...holes(w, h, 0.58, many, pitch * 0.1),
    ];
  }),
  settable('Rosette doily', FAMILY, 1, [count('count', 'Petals', 12, 6, 32)], (size, value) => {
    const { width: w, height: h } = size;
    const many = value('count');
    const r = Math.min(w, h) / 2;
    const pitch = (2 * Math.PI * r) / many;
    return [
      ...scalloped(size, many),
      ...evenly((w / 2) * 0.34, (h / 2) * 0.34, many).flatMap(({ x, y }, i) =>
        petal(x + w / 2, y + h / 2, r * 0.4, pitch * 0.2, (360 * i) / many),
      ),
      ...holes(w, h, 1 - pitch / r / 3.4, many, pitch * 0.09),
    ];
  }),
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
