/** Chance for tests that must find what nobody thought of; the same for the same seed. */
import { random } from '@/core/random';

/** Chance, with a taste for the extreme. */
export class Chance {
  private count = 0;
  private readonly roll: () => number;
  constructor(seed: number) {
    this.roll = random(seed);
  }
  below = (n: number): number => Math.floor(this.roll() * n);
  of = <T>(list: readonly T[]): T => list[this.below(list.length)]!;
  some = <T>(list: readonly T[]): T[] => list.filter(() => this.roll() < 0.5);
  id = (): string => `id${++this.count}`;
  bool = (): boolean => this.roll() < 0.5;
  number = (): number =>
    this.of([
      0,
      1,
      0.3,
      -1,
      12,
      1e-9,
      1e6,
      -1e9,
      NaN,
      Infinity,
      this.roll() * 100,
      this.roll(),
      -this.roll() * 50,
    ]);
  text = (): string =>
    this.of([
      '',
      'Kites',
      'wide open sea\nand wind',
      'x'.repeat(25),
      'y'.repeat(500),
      '\u0001\u000b',
      'ש م',
      '🪁',
    ]);
  colour = (): string => this.of(['#9e2b45', '#2f6f68', '#ffffff', 'red', '']);
}
