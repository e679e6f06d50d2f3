/** Lines led by a guide: straight in steps, round about where they began, along an edge corner for corner. */
import fc from 'fast-check';
import { toolsFor } from '@/core/page/outlines';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import type { Pressing } from '@/core/trail/line';
import { circle, EdgeGuide, straight } from '@/features/table/tasks/lines/guided';
import { nodeTypesetter } from '../../../../../scripts/node/platform';
import { drawnPiece } from '../../../../../scripts/testing/lines';
import { assetOf, inkPiece, laid, quarters } from '../../../../../scripts/testing/samples';

const tools = toolsFor(laid([]), await nodeTypesetter());
const at = (x: number, y: number): Pressing => ({ x, y, pressure: 0.5 }) as Pressing;
const number = fc.double({ min: -300, max: 300, noNaN: true });
const flat = (id: string, x: number, y: number, width: number, height: number): Piece => ({
  ...inkPiece(id, x, y, width, height),
  finish: finishOf(0),
});

describe('straight', () => {
  test('from where it began to where the hand is', () => {
    expect(straight(at(1, 2), at(30, 40), false)).toEqual([at(1, 2), at(30, 40)]);
  });

  test('in steps it goes at a multiple of fifteen degrees, to the spot of that line that is nearest to the hand', () => {
    fc.assert(
      fc.property(number, number, number, number, (x, y, dx, dy) => {
        fc.pre(Math.hypot(dx, dy) > 1);
        const [from, to] = straight(at(x, y), at(x + dx, y + dy), true) as [Pressing, Pressing];
        expect(from).toEqual(at(x, y));
        const angle = (Math.atan2(to.y - y, to.x - x) * 180) / Math.PI;
        expect(Math.abs(angle / 15 - Math.round(angle / 15))).toBeLessThan(1e-6);
        // What is left to the hand stands square on the line, and is no more than half a step off it.
        const [ox, oy] = [x + dx - to.x, y + dy - to.y];
        expect(Math.abs(ox * (to.x - x) + oy * (to.y - y))).toBeLessThan(
          1e-6 * dx * dx + 1e-6 * dy * dy + 1e-6,
        );
        expect(Math.hypot(ox, oy)).toBeLessThanOrEqual(
          Math.hypot(dx, dy) * Math.sin((7.5 * Math.PI) / 180) + 1e-9,
        );
      }),
    );
  });
});

describe('round', () => {
  test('all of it is as far from where it began as the hand is, evenly', () => {
    fc.assert(
      fc.property(number, number, number, number, (x, y, dx, dy) => {
        const radius = Math.hypot(dx, dy);
        const ring = circle({ x, y }, { x: x + dx, y: y + dy });
        if (radius < 0.5) return expect(ring).toEqual([{ x, y }]);
        for (const p of ring) expect(Math.hypot(p.x - x, p.y - y)).toBeCloseTo(radius, 6);
        // No eye tells it from a circle: its sides leave it by less than a fortieth of a per cent.
        const [a, b] = ring as [(typeof ring)[0], (typeof ring)[0]];
        expect(radius - Math.hypot((a.x + b.x) / 2 - x, (a.y + b.y) / 2 - y)).toBeLessThan(0.00025 * radius);
      }),
    );
  });
});

describe('along an edge', () => {
  const square = flat('s', 100, 100, 100, 100);
  const led = (pile: readonly Piece[], ...spots: Pressing[]) => {
    const guide = new EdgeGuide(pile, spots[0]!, 12, tools);
    for (const spot of spots.slice(1)) guide.follow(spot);
    return guide;
  };
  const spots = (guide: EdgeGuide) =>
    guide.line().spots.map(({ x, y }) => [Math.round(x * 10) / 10, Math.round(y * 10) / 10]);

  test('it begins on the edge that is near, and not where none is', () => {
    const near = led([square], at(150, 93));
    expect([near.leads, spots(near)]).toEqual([true, [[150, 100]]]);
    const far = led([square], at(150, 80));
    expect([far.leads, far.line()]).toEqual([false, { spots: [], closed: false }]);
    far.follow(at(150, 100));
    expect(far.line().spots).toEqual([]);
  });

  test('of two edges the nearer one leads; what is hidden, or drawn, does not', () => {
    const other = flat('o', 100, 108, 100, 40);
    expect(spots(led([square, other], at(150, 106)))).toEqual([[150, 108]]);
    const hidden = { ...other, placement: { ...other.placement, hidden: true } };
    expect(spots(led([square, hidden], at(150, 106)))).toEqual([[150, 100]]);
    const asset = assetOf(quarters(64, 44), 64, 44);
    expect(led([drawnPiece('d', asset.sha)], at(60, 60)).leads).toBe(false);
  });

  test('followed round a corner, the corner is in the line; the hand need not be on the edge', () => {
    expect(spots(led([square], at(150, 98), at(190, 90), at(208, 140)))).toEqual([
      [150, 100],
      [190, 100],
      [200, 100],
      [200, 140],
    ]);
    // The other way round, too.
    expect(spots(led([square], at(150, 98), at(110, 96), at(95, 140)))).toEqual([
      [150, 100],
      [110, 100],
      [100, 100],
      [100, 140],
    ]);
  });

  test('over where its points begin it goes on the shorter way, not all the way back', () => {
    const guide = led([square], at(110, 100), at(100, 110));
    expect(spots(guide)).toEqual([
      [110, 100],
      [100, 100],
      [100, 110],
    ]);
  });

  test('led all the way round it closes, with just the edge’s own points; what the hand does then is too much', () => {
    const guide = led([square], at(150, 100), at(200, 150), at(150, 200), at(100, 150), at(149, 100));
    const { closed } = guide.line();
    expect(closed).toBe(true);
    expect(spots(guide).sort()).toEqual([
      [100, 100],
      [100, 200],
      [200, 100],
      [200, 200],
    ]);
    guide.follow(at(180, 100));
    expect(guide.line().closed).toBe(true);
  });

  test('wherever a hand wanders, all of the line lies on the edge', () => {
    const turned: Piece = {
      ...square,
      outline: { kind: 'ellipse' },
      placement: { ...square.placement, turn: 30, width: 140 },
    };
    const spot = fc.record({
      x: fc.double({ min: 60, max: 260, noNaN: true }),
      y: fc.double({ min: 60, max: 260, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(spot, { minLength: 1, maxLength: 12 }), (hand) => {
        const guide = new EdgeGuide([turned], at(hand[0]!.x, hand[0]!.y), 500, tools);
        for (const { x, y } of hand.slice(1)) guide.follow(at(x, y));
        for (const { x, y } of guide.line().spots) {
          // Into the ellipse's own frame: turned back about its middle.
          const [c, s] = [Math.cos((-30 * Math.PI) / 180), Math.sin((-30 * Math.PI) / 180)];
          const [dx, dy] = [x - 150, y - 150];
          const [u, v] = [(dx * c - dy * s) / 70, (dx * s + dy * c) / 50];
          expect(Math.abs(Math.hypot(u, v) - 1)).toBeLessThan(0.04);
        }
      }),
      { numRuns: 30 },
    );
  });
});
