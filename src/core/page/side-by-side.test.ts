import fc from 'fast-check';
import { sideBySide } from '@/core/page/side-by-side';

test('boxes lie side by side: in order, none on another while there is room, the whole in the middle', () => {
  const size = fc.record({
    width: fc.integer({ min: 1, max: 200 }),
    height: fc.integer({ min: 1, max: 60 }),
  });
  fc.assert(
    fc.property(fc.array(size, { minLength: 1, maxLength: 9 }), (boxes) => {
      const area = { width: 400, height: 9 * 60 + 8 * 10 };
      const laid = sideBySide(boxes, area, 10).map(({ x, y }, i) => {
        const { width, height } = boxes[i]!;
        return { left: x - width / 2, top: y - height / 2, right: x + width / 2, bottom: y + height / 2 };
      });
      laid.forEach((a, i) => {
        expect(Math.min(a.left, a.top)).toBeGreaterThanOrEqual(-1e-9);
        expect([a.right <= area.width + 1e-9, a.bottom <= area.height + 1e-9]).toEqual([true, true]);
        for (const b of laid.slice(i + 1))
          expect(
            a.right < b.left || b.right < a.left || a.bottom <= b.top + 1e-9 || b.bottom <= a.top + 1e-9,
          ).toBe(true);
      });
    }),
  );
  // More than there is room for begins at the top and ends at the foot.
  const many = sideBySide(
    Array.from({ length: 20 }, () => ({ width: 300, height: 50 })),
    { width: 400, height: 500 },
    10,
  );
  expect(many[0]!.y).toBeCloseTo(25);
  expect(many[19]!.y).toBeCloseTo(475);
});
