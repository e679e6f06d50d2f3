import fc from 'fast-check';
import { Bounded } from '@/core/bounded';

test('never more than the budget, and what is there is what was used last', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(8), fc.integer({ min: 1, max: 60 })), { maxLength: 60 }),
      (steps) => {
        const cache = new Bounded<number>(100, (size) => size);
        /** The keys in the order of their last use, with what was kept under them. */
        let model: [string, number][] = [];
        for (const [name, size] of steps) {
          const key = String(name);
          const asked = size % 3 === 0;
          const known = model.find(([one]) => one === key);
          if (asked) expect(cache.get(key)).toBe(known?.[1]);
          else cache.set(key, size);
          if (asked && !known) continue;
          model = [...model.filter(([one]) => one !== key), [key, asked ? known![1] : size]];
          while (model.reduce((sum, [, each]) => sum + each, 0) > 100) model.shift();
          expect(cache.size).toBe(model.reduce((sum, [, each]) => sum + each, 0));
        }
      },
    ),
  );
});

test('the one used longest ago goes, and is told; one larger than all is kept alone', () => {
  const gone: string[] = [];
  const cache = new Bounded<number>(
    10,
    (size) => size,
    (_, key) => gone.push(key),
  );
  cache.set('a', 4);
  cache.set('b', 4);
  cache.get('a');
  cache.set('c', 4);
  expect(gone).toEqual(['b']);
  cache.set('d', 50);
  expect(gone).toEqual(['b', 'a', 'c']);
  expect([cache.get('d'), cache.size]).toEqual([50, 50]);
});
