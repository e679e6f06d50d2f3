/** What lies on one paper, laid on another: it keeps its place as a share of its panel, what reached an edge reaches it. */
import fc from 'fast-check';
import { withBleed, evenly } from '@/core/geometry/sides';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Outline } from '@/core/piece/outline';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { fittedTo, type Laid } from '@/core/project/fit';
import type { Panel } from '@/core/product/product';
import { inkPiece, wordsOf } from '../../../scripts/testing/samples';

const page = (width: number, height: number): Laid => ({
  ...{ width, height, bleed: evenly(9) },
  panels: [{ name: 'Page', box: { x: 0, y: 0, width, height } }],
});
/** Back, spine and front of a cover, as a book is bound. */
const cover = (width: number, height: number, spine: number, names = ['Back', 'Spine', 'Front']): Laid => {
  const at = [0, width, width + spine];
  const wide = [width, spine, width];
  return {
    ...{ width: 2 * width + spine, height, bleed: evenly(9) },
    panels: names.map((name, i): Panel => ({ name, box: { x: at[i]!, y: 0, width: wide[i]!, height } })),
  };
};
const at = (x: number, y: number, width: number, height: number, more: Partial<Piece> = {}): Piece => ({
  ...inkPiece('a', x, y, width, height),
  finish: finishOf(0),
  ...more,
});
const round: Partial<Piece> = { outline: { kind: 'ellipse' } as Outline };
const boxOf = ({ placement: { x, y, width, height } }: Piece) => [x - width / 2, y - height / 2, width, height].map((v) => Math.round(v * 100) / 100); // prettier-ignore
const fitted = (piece: Piece, from: Laid, to: Laid, keep?: boolean) => fittedTo([piece], from, to, keep)[0];

const anyPiece = fc
  .record({
    x: fc.integer({ min: -40, max: 400 }),
    y: fc.integer({ min: -40, max: 260 }),
    width: fc.integer({ min: 8, max: 480 }),
    height: fc.integer({ min: 8, max: 320 }),
    turn: fc.constantFrom(0, 0, 12, 90, -90, 45, 170),
    kind: fc.constantFrom('rectangle', 'ellipse', 'words'),
  })
  .map(({ x, y, width, height, turn, kind }): Piece => {
    const piece =
      kind === 'words'
        ? wordsOf('w', 'Kites', 18, width)
        : at(x, y, width, height, kind === 'ellipse' ? round : {});
    return {
      ...piece,
      placement: { ...piece.placement, x: x + width / 2, y: y + height / 2, width, height, turn },
    };
  });
const anySize = fc.record({
  width: fc.integer({ min: 200, max: 900 }),
  height: fc.integer({ min: 200, max: 900 }),
});

test('on paper of its own size everything stays as it is', () => {
  fc.assert(
    fc.property(anyPiece, (piece) => {
      const [now] = fittedTo([piece], page(432, 288), page(432, 288));
      expect(boxOf(now!)).toEqual(boxOf(piece));
      expect([now!.outline, now!.finish, now!.placement.turn]).toEqual([
        piece.outline,
        piece.finish,
        piece.placement.turn,
      ]);
    }),
  );
});

test('on any paper nothing is lost; middles keep their share of the page where no edge was reached; round things stay round', () => {
  fc.assert(
    fc.property(anyPiece, anySize, (piece, to) => {
      const now = fitted(piece, page(432, 288), page(to.width, to.height))!;
      const { x, y, width, height } = piece.placement;
      const inside = x - width / 2 > -7 && x + width / 2 < 439 && y - height / 2 > -7 && y + height / 2 < 295;
      if (inside || piece.placement.turn !== 0 || piece.outline.kind !== 'rectangle') {
        expect(now.placement.x / to.width).toBeCloseTo(x / 432, 6);
        expect(now.placement.y / to.height).toBeCloseTo(y / 288, 6);
      }
      if (piece.outline.kind === 'ellipse' && width < 0.95 * 288)
        expect(now.placement.width / now.placement.height).toBeCloseTo(width / height, 6);
      expect(Math.min(now.placement.width, now.placement.height)).toBeGreaterThan(0);
    }),
    { numRuns: 150 },
  );
});

test('twice as large, all of it is twice as large: letters, lines and lifts with it', () => {
  fc.assert(
    fc.property(anyPiece, (piece) => {
      const lined = {
        ...piece,
        finish: { ...piece.finish, stroke: { colour: '#000000', width: 3, side: 'on' as const } },
      };
      const now = fitted(lined, page(432, 288), page(864, 576))!;
      const { x, y, width, height } = piece.placement;
      // What reached the edge of the bleed reaches it there, which is no farther out.
      const reached =
        x - width / 2 < -6 || y - height / 2 < -6 || x + width / 2 > 438 || y + height / 2 > 294;
      if (!reached) expect(boxOf(now)).toEqual(boxOf(piece).map((v) => Math.round(v * 200) / 100));
      expect(now.finish.stroke!.width).toBeCloseTo(6);
      if (piece.outline.kind === 'glyphs') expect((now.outline as GlyphsOutline).size).toBe(36);
    }),
  );
});

test('what the page lies on covers paper and bleed of any size, its picture with it', () => {
  const from = page(432, 288);
  const paper: Piece = {
    ...at(-9, -9, 450, 306),
    role: 'paper',
    material: { kind: 'paper', asset: 'a'.repeat(64), window: WHOLE },
  };
  for (const to of [page(300, 900), page(600, 600), page(144, 72)]) {
    const all = withBleed(to);
    expect(boxOf(fitted(paper, from, to)!)).toEqual([all.x, all.y, all.width, all.height]);
  }
});

describe('on wider paper', () => {
  const [from, to] = [page(400, 300), page(800, 300)];
  test('what is cut straight gives way across, what is round or leans keeps its shape about its middle', () => {
    expect(boxOf(fitted(at(100, 100, 80, 60), from, to)!)).toEqual([200, 100, 160, 60]);
    expect(boxOf(fitted(at(100, 100, 80, 60, round), from, to)!)).toEqual([240, 100, 80, 60]);
    const leaning = at(100, 100, 80, 60);
    leaning.placement.turn = 30;
    expect(boxOf(fitted(leaning, from, to)!)).toEqual([240, 100, 80, 60]);
    // Nearly straight, and on its side: there its height gives way.
    const onSide = at(100, 100, 80, 60);
    onSide.placement.turn = 90;
    expect(boxOf(fitted(onSide, from, to)!)).toEqual([240, 70, 80, 120]);
    const nearly = at(100, 100, 80, 60);
    nearly.placement.turn = -8;
    expect(fitted(nearly, from, to)!.placement).toMatchObject({ width: 160, height: 60, turn: -8 });
  });
  test('words that break get a wider box and keep their size; those that do not are as they were', () => {
    const words = (wrap: boolean): Piece => {
      const piece = wordsOf('w', 'Kites over the bay', 18, 120);
      return { ...piece, outline: { ...piece.outline, wrap } as GlyphsOutline };
    };
    const [broken, whole] = [true, false].map((wrap) => fitted(words(wrap), from, to)!);
    expect([broken!.placement.width, (broken!.outline as GlyphsOutline).size]).toEqual([240, 18]);
    expect([whole!.placement.width, (whole!.outline as GlyphsOutline).size]).toEqual([120, 18]);
  });
  test('what reached an edge and its bleed reaches it; what ended before it does not', () => {
    expect(boxOf(fitted(at(-9, 100, 109, 50), from, to)!)).toEqual([-18, 100, 218, 50]);
    expect(boxOf(fitted(at(300, 250, 109, 59), from, page(200, 150))!)).toEqual([150, 125, 59, 34]);
    expect(boxOf(fitted(at(10, -9, 100, 50), from, page(400, 150))!)).toEqual([10, -9, 100, 29.5]);
    expect(boxOf(fitted(at(2, 100, 100, 50), from, to)!)).toEqual([4, 100, 200, 50]);
  });
});

describe('on a cover whose spine changes', () => {
  const [from, to] = [cover(200, 300, 20), cover(200, 300, 60)];
  test('front and back stay as they are, moved by the spine; what is on the spine stays in its middle, no larger', () => {
    const all = [
      at(50, 50, 80, 60, { id: 'back' }),
      at(202, 100, 16, 100, { id: 'spine' }),
      at(270, 50, 80, 60, { id: 'front' }),
    ];
    const [back, spine, front] = fittedTo(all, from, to).map(boxOf);
    expect(back).toEqual([50, 50, 80, 60]);
    expect(spine).toEqual([222, 100, 16, 100]);
    expect(front).toEqual([310, 50, 80, 60]);
  });
  test('what goes right across all of it is as wide as all of it is', () => {
    expect(boxOf(fitted(at(4, 100, 412, 40), from, to)!)[2]).toBeCloseTo((412 * 460) / 420, 1);
  });
  test('panels are known by their names, else by their place; on one that is not there it is left out, or lies at the edge', () => {
    const swapped = cover(200, 300, 20, ['Front', 'Spine', 'Back']);
    expect(boxOf(fitted(at(50, 50, 80, 60), from, swapped)!)).toEqual([270, 50, 80, 60]);
    const called = cover(200, 300, 20, ['Left', 'Middle', 'Right']);
    expect(boxOf(fitted(at(50, 50, 80, 60), from, called)!)).toEqual([50, 50, 80, 60]);
    expect(fittedTo([at(50, 50, 80, 60)], from, page(200, 300))).toEqual([]);
    const [kept] = fittedTo([at(50, 50, 80, 60)], from, page(200, 300), true);
    expect(kept!.placement.x).toBeCloseTo((90 / 420) * 200);
    // Beside the paper it belongs to the panel it lies next to.
    expect(boxOf(fitted(at(-90, 50, 40, 60), from, to)!)[0]).toBe(-90);
    expect(boxOf(fitted(at(430, 50, 40, 60), from, to)!)[0]).toBe(470);
  });
});
