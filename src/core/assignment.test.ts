/** Against every permutation where they are few, and against the solver of the package munkres-js. */
import fc from 'fast-check';
import munkres from 'munkres-js';
import { assign } from '@/core/assignment';
import { random } from '@/core/random';

const sum = (costs: Float64Array, columns: number, chosen: Iterable<number>): number =>
  [...chosen].reduce((total, column, row) => total + costs[row * columns + column]!, 0);

function* orders(columns: readonly number[], rows: number): Generator<number[]> {
  if (rows === 0) return yield [];
  for (const column of columns)
    for (const rest of orders(
      columns.filter((each) => each !== column),
      rows - 1,
    ))
      yield [column, ...rest];
}

test('no permutation costs less, and no column is taken twice', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 0, max: 2 }),
      fc.nat(1e6),
      (rows, more, seed) => {
        const columns = rows + more;
        const chance = random(seed);
        const costs = Float64Array.from({ length: rows * columns }, () => Math.round(chance() * 40) - 10);
        const chosen = assign(costs, rows, columns);
        expect(new Set(chosen).size).toBe(rows);
        const all = [
          ...orders(
            Array.from({ length: columns }, (_, i) => i),
            rows,
          ),
        ];
        const best = Math.min(...all.map((order) => sum(costs, columns, order)));
        expect(sum(costs, columns, chosen)).toBeCloseTo(best, 9);
      },
    ),
    { numRuns: 75 },
  );
});

test('as good as the package munkres-js on 40 x 40', () => {
  const chance = random(7);
  const costs = Float64Array.from({ length: 1600 }, () => chance());
  const table = Array.from({ length: 40 }, (_, row) => [...costs.slice(40 * row, 40 * row + 40)]);
  const other = munkres(table).map(([, column]) => column);
  expect(sum(costs, 40, assign(costs, 40, 40))).toBeCloseTo(sum(costs, 40, other), 9);
});

test('more rows than columns are refused', () => {
  expect(() => assign(new Float64Array(2), 2, 1)).toThrow(RangeError);
});
