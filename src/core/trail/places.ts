/** Where things lie along a line: a whole number of them, evenly apart, each turned with the way. */
import { onRun, wayOn, type Run } from '@/core/geometry/runs';
import { rounded, type Course, type CornerWay } from '@/core/trail/course';

/** One place along a course. */
export interface Place {
  x: number;
  y: number;
  /** The way there, radians clockwise from the right. */
  way: number;
  /** How far along the whole course, 0 to 1. */
  share: number;
  /** It lies at one of the ends of an open line, or at a corner. */
  at?: 'first' | 'last' | 'corner';
}

export interface Spaced {
  places: Place[];
  /** From one to the next, points: the mean where sides differ. */
  pitch: number;
}

/** The most places along one course; more become fewer, wider apart. */
export const MOST_PLACES = 20_000;

/**
 * Places `pitch` apart, changed by the least that makes their number whole: on a closed line without corners so that the
 * last is as far from the first as all are from the next; on each side of one with corners (half a pitch from its ends, or with the
 * corners themselves as places); on an open line with one at either end. `radius` is how far corners are bent round.
 */
export function spaced(asked: Course, wish: number, corners: CornerWay, radius: number): Spaced {
  const course = corners === 'bent' ? rounded(asked, radius) : asked;
  const total = course.runs.reduce((sum, { length }) => sum + length, 0);
  if (!(total > 0) || !(wish > 0)) return { places: [], pitch: wish };
  const pitch = Math.max(wish, total / MOST_PLACES);
  const places: Place[] = [];
  let before = 0;
  let gaps = 0;
  for (const run of course.runs) {
    const put = (s: number, at?: Place['at']) => {
      const { x, y } = onRun(run, s, 0);
      places.push({ x, y, way: wayOn(run, s), share: (before + s) / total, ...(at ? { at } : {}) });
    };
    const many = Math.max(1, Math.round(run.length / pitch));
    const step = run.length / many;
    gaps += many;
    if (run.closed) for (let i = 0; i < many; i++) put(i * step);
    else if (!course.closed) {
      if (run.length < pitch / 2) put(run.length / 2);
      else for (let i = 0; i <= many; i++) put(i * step, i === 0 ? 'first' : i === many ? 'last' : undefined);
    } else if (corners === 'own') {
      places.push(cornerPlace(course.runs, run, before / total));
      for (let i = 1; i < many; i++) put(i * step);
    } else for (let i = 0; i < many; i++) put((i + 0.5) * step);
    before += run.length;
  }
  return { places, pitch: total / gaps };
}

/** Where a run begins, half way between the way of the one before it and its own. */
function cornerPlace(runs: readonly Run[], run: Run, share: number): Place {
  const last = runs[(runs.indexOf(run) + runs.length - 1) % runs.length]!;
  const { x, y } = run.points[0]!;
  const [a, b] = [wayOn(last, last.length), wayOn(run, 0)];
  const way = Math.atan2(Math.sin(a) + Math.sin(b), Math.cos(a) + Math.cos(b));
  return { x, y, way, share, at: 'corner' };
}

/** Chords from one place to the next along a run: each as long as the others along the line. */
export interface Chord {
  x: number;
  y: number;
  way: number;
  length: number;
  /** Which of the run, and of how many. */
  i: number;
  of: number;
}

/** A run, or a stretch of it, in a whole number of chords, as near to `wish` as comes out even. */
export function chords(run: Run, wish: number, first = 0, last = run.length): Chord[] {
  const length = last - first;
  if (!(length > 0) || !(wish > 0)) return [];
  const many = Math.max(1, Math.min(MOST_PLACES, Math.round(length / wish)));
  const found: Chord[] = [];
  let from = onRun(run, first, 0);
  for (let i = 0; i < many; i++) {
    const to = onRun(run, first + ((i + 1) * length) / many, 0);
    const [dx, dy] = [to.x - from.x, to.y - from.y];
    found.push({ ...from, way: Math.atan2(dy, dx), length: Math.hypot(dx, dy), i, of: many });
    from = to;
  }
  return found;
}

/** `36 stamps, 0.4 % closer than asked`. */
export function toldOf(
  found: readonly Spaced[],
  wish: number,
  one: string,
  many: string,
): string | undefined {
  const count = found.reduce((sum, { places }) => sum + places.length, 0);
  if (!count) return undefined;
  const [first] = found;
  const off = found.length === 1 && first ? first.pitch / wish - 1 : 0;
  const by = Math.abs(100 * off);
  const said =
    by < 0.05 ? '' : `, ${by.toFixed(1)} % ${off < 0 ? 'closer' : 'wider'} so that they come out whole`;
  return `${count.toLocaleString('en')} ${count === 1 ? one : many}${said}.`;
}
