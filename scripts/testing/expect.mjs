/**
 * `expect`, quicker where it holds: Jest makes some hundred functions and a trace of the stack for each thing that is
 * expected, most of which is so. What is not so, or is asked for in another way, is asked of Jest's own, which says why.
 */
import { isDeepStrictEqual } from 'node:util';

const { expect } = globalThis;

const numbers = (is) => (a, b) => typeof a === 'number' && typeof b === 'number' && is(a, b);
/** Each true only if Jest's own would not complain; false says nothing. */
const HOLDS = {
  toBe: Object.is,
  toEqual: isDeepStrictEqual,
  toBeNull: (a) => a === null,
  toBeUndefined: (a) => a === undefined,
  toBeGreaterThan: numbers((a, b) => a > b),
  toBeGreaterThanOrEqual: numbers((a, b) => a >= b),
  toBeLessThan: numbers((a, b) => a < b),
  toBeLessThanOrEqual: numbers((a, b) => a <= b),
  toBeCloseTo: (a, b, digits = 2) => numbers((x, y) => Math.abs(x - y) < 10 ** -digits / 2)(a, b),
  toHaveLength: (a, long) => Array.isArray(a) && a.length === long,
  toMatch: (a, wanted) => typeof a === 'string' && typeof wanted === 'string' && a.includes(wanted),
};

class Expected {
  constructor(actual) {
    this.actual = actual;
  }
  get not() {
    return expect(this.actual).not;
  }
  get resolves() {
    return expect(this.actual).resolves;
  }
  get rejects() {
    return expect(this.actual).rejects;
  }
}

for (const name of Object.keys(expect(0)))
  if (!(name in Expected.prototype))
    Expected.prototype[name] = function (...given) {
      if (!HOLDS[name]?.(this.actual, ...given)) return expect(this.actual)[name](...given);
    };

globalThis.expect = Object.assign((actual) => new Expected(actual), expect);
