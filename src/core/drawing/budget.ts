/**
 * What a drawing may come to, however few bytes say so: elements gone through, uses followed; points of all its parts; points as
 * often as they are painted. Each is some seconds of a slow machine at the most, and ten times what the largest of our own takes.
 */
const MOST_VISITS = 400_000;
const MOST_POINTS = 2_000_000;
const MOST_PAINTED = 12_000_000;

const TOO_MUCH = 'that comes to too much to be opened safely, small as its file is';

export class Budget {
  private visits = 0;
  private points = 0;
  private painted = 0;

  /** Throws RangeError once it is too much. */
  visit(many = 1): void {
    this.visits += many;
    if (this.visits > MOST_VISITS) throw new RangeError(TOO_MUCH);
  }

  /** A part of so many points, painted so often. Throws RangeError once it is too much. */
  paint(points: number, times: number): void {
    this.points += points;
    this.painted += points * times;
    if (this.points > MOST_POINTS || this.painted > MOST_PAINTED) throw new RangeError(TOO_MUCH);
  }
}
