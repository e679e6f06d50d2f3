/** What holds a paper on a wall: wire goes through every hole and over its edge, and always something holds it, once. */
import { renderToStaticMarkup } from 'react-dom/server';
import { pathBounds } from '@/core/geometry/path';
import { BINDINGS, boundAlong, type BindingKind } from '@/core/product/calendar/binding';
import type { Bound } from '@/core/product/product';
import { OnWall, wallShadow } from '@/features/table/tasks/proof/OnWall';

const PAGE = { width: 504, height: 360 };
const KINDS = Object.keys(BINDINGS) as BindingKind[];
const EDGES = ['top', 'left', 'bottom'] as const;

function drawn(bound: readonly Bound[], page = PAGE) {
  const markup = renderToStaticMarkup(<OnWall page={page} bound={bound} />);
  const shapes = [...markup.matchAll(/<(rect|circle|path) ([^>]*)>/g)].map(([, shape, attributes]) => ({
    shape,
    of: Object.fromEntries(
      [...attributes!.matchAll(/([\w-]+)="([^"]*)"/g)].map(([, key, value]) => [key, value]),
    ) as Record<string, string>,
  }));
  const boxes = (wanted: (of: Record<string, string>) => boolean) =>
    shapes
      .filter(({ shape, of }) => shape === 'rect' && wanted(of))
      .map(({ of }) => ({
        x: Number(of.x),
        y: Number(of.y),
        width: Number(of.width),
        height: Number(of.height),
      }));
  return {
    holes: boxes((of) => !of.fill!.startsWith('url')),
    loops: boxes((of) => of.fill === 'url(#wall-wire)'),
    nails: shapes
      .filter(({ shape }) => shape === 'circle')
      .map(({ of }) => ({ x: Number(of.cx), y: Number(of.cy) })),
    hooks: shapes.filter(({ shape }) => shape === 'path').length,
  };
}

describe.each(KINDS)('%s', (kind) => {
  test.each(EDGES)(
    'at the %s: every hole of a wire has two loops, from the hole to beyond the edge',
    (edge) => {
      const [bound] = boundAlong(kind, PAGE, edge);
      const { holes, loops } = drawn([bound!]);
      if (bound!.holes.length <= 2) return void expect([holes, loops]).toEqual([[], []]);
      expect(holes).toHaveLength(bound!.holes.length);
      expect(loops).toHaveLength(2 * bound!.holes.length);
      holes.forEach((hole, i) => {
        const { x, y, width, height } = pathBounds(bound!.holes[i]!);
        expect([hole.x, hole.y, hole.width, hole.height]).toEqual([x, y, width, height]);
        for (const loop of loops.slice(2 * i, 2 * i + 2)) {
          const [middle, end] = [
            { x: x + width / 2, y: y + height / 2 },
            { x: loop.x + loop.width, y: loop.y + loop.height },
          ];
          expect(middle.x).toBeGreaterThan(loop.x - 3);
          expect(middle.x).toBeLessThan(end.x + 3);
          const beyond = { top: loop.y < 0, left: loop.x < 0, bottom: end.y > PAGE.height }[edge];
          expect(beyond).toBe(true);
        }
      });
    },
  );

  test.each(EDGES)(
    'at the %s one thing holds it: a hook, nails in its holes, or pins in its corners',
    (edge) => {
      const bound = boundAlong(kind, PAGE, edge);
      const { nails, hooks } = drawn(bound);
      const wired = bound[0]!.holes.length > 2;
      expect(hooks).toBe(wired && edge === 'top' ? 1 : 0);
      if (hooks) expect(nails).toEqual([{ x: PAGE.width / 2, y: -22 }]);
      else if (!wired && edge === 'top')
        expect(nails).toEqual(
          bound[0]!.holes.map((hole) => {
            const { x, y, width, height } = pathBounds(hole);
            return { x: x + width / 2, y: y + height / 2 };
          }),
        );
      else expect(nails.map(({ x }) => x)).toEqual([14, PAGE.width - 14]);
    },
  );
});

test('across a fold the wire stays on the page: from the holes of either side over the fold between them', () => {
  const page = { width: 504, height: 720 };
  const { holes, loops } = drawn(boundAlong('wire', page, 360), page);
  expect(loops).toHaveLength(2 * holes.length);
  for (const { y, height } of loops) {
    expect(y).toBeGreaterThan(0);
    expect(y + height).toBeLessThan(page.height);
    expect(y <= 360 + 1e-6 && y + height >= 360 - 1e-6).toBe(true);
  }
});

test('the edges of leaves beneath are seen, three of them at most', () => {
  const edges = (leaves: number) => wallShadow(leaves).match(/#f6f3ea/g)?.length ?? 0;
  expect([0, 1, 2, 3, 12].map(edges)).toEqual([0, 1, 2, 3, 3]);
});
