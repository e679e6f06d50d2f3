/** What a hand holds lies on a canvas that goes with it: when it is painted, when it is only moved, and where it then lies. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { lift, spread, type Painted } from '@/features/table/stage/paint/layers';

const STAGE = { width: 800, height: 600 };

/** A canvas that notes what is drawn on it, as far as it is asked here. */
function noted() {
  const drawn: { bitmap: unknown; x: number; y: number }[] = [];
  const canvas = {
    ...{
      width: 300,
      height: 150,
      style: {} as Record<string, string>,
      dataset: {} as Record<string, string>,
    },
    getContext: () => ({
      drawImage: (bitmap: unknown, x: number, y: number) => drawn.push({ bitmap, x, y }),
    }),
  };
  /** Where on the stage, in its pixels, each of what was drawn lies now. */
  const place = (scale: number) =>
    /translate\((.*)px, (.*)px\)/
      .exec(canvas.style.transform ?? '')!
      .slice(1)
      .map((at) => Number(at) * scale);
  const lie = (scale: number) => {
    const [x, y] = place(scale);
    return drawn.map((one) => [one.x + x!, one.y + y!]);
  };
  return { canvas: canvas as unknown as HTMLCanvasElement, drawn, lie, place };
}
const piece = (x: number, y: number, width = 60, height = 40): Painted => ({
  bitmap: { width, height } as OffscreenCanvas,
  box: { x, y, width, height },
});
const moved = (all: readonly Painted[], dx: number, dy: number): Painted[] =>
  all.map(({ bitmap, box }) => ({ bitmap, box: { ...box, x: box.x + dx, y: box.y + dy } }));

describe('what a hand holds', () => {
  test('is painted once and then only moved from pixel to pixel; between them it lies exactly, too', () => {
    const far = fc.double({ min: -500, max: 900, noNaN: true });
    const whole = fc.integer({ min: -500, max: 900 });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(far, far), { minLength: 1, maxLength: 4 }),
        fc.array(fc.oneof(fc.tuple(whole, whole), fc.tuple(far, far)), { minLength: 1, maxLength: 5 }),
        fc.constantFrom(1, 1.5, 2),
        (places, ways, scale) => {
          const { canvas, drawn, lie, place } = noted();
          // No wider apart than the stage is.
          const all = places.map(([x, y]) => piece(100 + x / 4, 100 + y / 4));
          expect(lift(canvas, all, STAGE, scale)).toBe(true);
          let [atX, atY] = [0, 0];
          for (const [dx, dy] of ways) {
            const before = drawn.length;
            const now = moved(all, dx, dy);
            expect(lift(canvas, now, STAGE, scale)).toBe(true);
            if (Number.isInteger(dx - atX) && Number.isInteger(dy - atY)) expect(drawn).toHaveLength(before);
            else [atX, atY] = [dx, dy];
            lie(scale)
              .slice(-all.length)
              .forEach(([x, y], i) => {
                expect(Math.abs(x! - now[i]!.box.x)).toBeLessThan(0.011);
                expect(Math.abs(y! - now[i]!.box.y)).toBeLessThan(0.011);
              });
            // On whole pixels of the screen.
            for (const at of place(scale)) expect(Math.abs(at - Math.round(at))).toBeLessThan(1e-9);
          }
        },
      ),
      { numRuns: 50 },
    );
  });

  test('is painted anew if one of them became another, or went another way', () => {
    const { canvas, drawn } = noted();
    const [one, other] = [piece(10, 10), piece(90, 40)];
    lift(canvas, [one, other], STAGE, 1);
    lift(canvas, [moved([one], 5, 5)[0]!, other], STAGE, 1);
    expect(drawn).toHaveLength(4);
    lift(canvas, [piece(15, 15), other], STAGE, 1);
    expect(drawn).toHaveLength(6);
    expect([canvas.width, canvas.height]).toEqual([135, 65]);
  });

  test('is put away when nothing is held, and spread over the stage where it is too large', () => {
    const { canvas } = noted();
    lift(canvas, [piece(10, 10)], STAGE, 2);
    expect(canvas.style).toMatchObject({ width: '30px', height: '20px', transform: 'translate(5px, 5px)' });
    lift(canvas, [], STAGE, 2);
    expect([canvas.width, canvas.height]).toEqual([1, 1]);
    expect(lift(canvas, [piece(0, 0, 3000, 3000)], STAGE, 2)).toBe(false);
    expect(spread(canvas, STAGE, 2)).toBe(true);
    expect([canvas.width, canvas.height]).toEqual([1600, 1200]);
    expect(canvas.style).toMatchObject({ width: '100%', height: '100%', transform: '' });
    expect(spread(canvas, STAGE, 2)).toBe(false);
  });
});
