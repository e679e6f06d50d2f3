/**
 * Phases of the moon: Meeus, Astronomical Algorithms (second edition, 1998), chapter 49, with its periodic terms down to 0.0001
 * day and without the planets' own; within two minutes of the true moment near our time, all told. Dynamical time is taken to
 * universal time by the parabola of Morrison and Stephenson (2004).
 */
import { monthLength, numberOf, type Month } from '@/core/dates/days';

export type Phase = 'new' | 'first' | 'full' | 'last';
const PHASES: readonly Phase[] = ['new', 'first', 'full', 'last'];

const sin = (degrees: number): number => Math.sin((degrees * Math.PI) / 180);
const cos = (degrees: number): number => Math.cos((degrees * Math.PI) / 180);

/** Amplitude of new moon, full moon and quarters, days; multiples of M, M' and F; the power of E. */
type Term = readonly [fresh: number, full: number, m: number, moon: number, f: number, e: number];
const OF_SYZYGIES: readonly Term[] = [
  [-0.4072, -0.40614, 0, 1, 0, 0],
  [0.17241, 0.17302, 1, 0, 0, 1],
  [0.01608, 0.01614, 0, 2, 0, 0],
  [0.01039, 0.01043, 0, 0, 2, 0],
  [0.00739, 0.00734, -1, 1, 0, 1],
  [-0.00514, -0.00515, 1, 1, 0, 1],
  [0.00208, 0.00209, 2, 0, 0, 2],
  [-0.00111, -0.00111, 0, 1, -2, 0],
  [-0.00057, -0.00057, 0, 1, 2, 0],
  [0.00056, 0.00056, 1, 2, 0, 1],
  [-0.00042, -0.00042, 0, 3, 0, 0],
  [0.00042, 0.00042, 1, 0, 2, 1],
  [0.00038, 0.00038, 1, 0, -2, 1],
  [-0.00024, -0.00024, -1, 2, 0, 1],
];
const OF_QUARTERS: readonly Term[] = [
  [-0.62801, 0, 0, 1, 0, 0],
  [0.17172, 0, 1, 0, 0, 1],
  [-0.01183, 0, 1, 1, 0, 1],
  [0.00862, 0, 0, 2, 0, 0],
  [0.00804, 0, 0, 0, 2, 0],
  [0.00454, 0, -1, 1, 0, 1],
  [0.00204, 0, 2, 0, 0, 2],
  [-0.0018, 0, 0, 1, -2, 0],
  [-0.0007, 0, 0, 1, 2, 0],
  [-0.0004, 0, 0, 3, 0, 0],
  [-0.00034, 0, -1, 2, 0, 1],
  [0.00032, 0, 1, 0, 2, 1],
  [0.00032, 0, 1, 0, -2, 1],
  [-0.00028, 0, 2, 1, 0, 2],
  [0.00027, 0, 1, 2, 0, 1],
];

/** Julian date, universal time, of a phase: `k` counts new moons from January 2000, a quarter a phase. */
function momentOf(k: number): number {
  const t = k / 1236.85;
  const which = ((Math.round(k * 4) % 4) + 4) % 4;
  const m = 2.5534 + 29.1053567 * k - 0.0000014 * t ** 2;
  const moon = 201.5643 + 385.81693528 * k + 0.0107582 * t ** 2 + 0.00001238 * t ** 3;
  const f = 160.7108 + 390.67050284 * k - 0.0016118 * t ** 2 - 0.00000227 * t ** 3;
  const node = 124.7746 - 1.56375588 * k + 0.0020672 * t ** 2;
  const e = 1 - 0.002516 * t - 0.0000074 * t ** 2;
  const quarter = which % 2 === 1;
  const terms = (quarter ? OF_QUARTERS : OF_SYZYGIES).reduce(
    (sum, [fresh, full, byM, byMoon, byF, power]) =>
      sum + (which === 2 ? full : fresh) * e ** power * sin(byM * m + byMoon * moon + byF * f),
    -0.00017 * sin(node),
  );
  const w =
    0.00306 - 0.00038 * e * cos(m) + 0.00026 * cos(moon) - 0.00002 * cos(moon - m) + 0.00002 * cos(moon + m);
  const dynamical =
    2451550.09766 +
    29.530588861 * k +
    0.00015437 * t ** 2 -
    0.00000015 * t ** 3 +
    terms +
    (quarter ? (which === 1 ? w : -w) : 0);
  const centuries = (2000 + k / 12.3685 - 1820) / 100;
  return dynamical - (-20 + 32 * centuries ** 2) / 86400;
}

const JULIAN_OF_1970 = 2440587.5;

/** The phases of a month, in their order: the day and the hour, by the clock so many hours ahead of universal time. */
export function phasesIn(
  { year, month }: Month,
  ahead: number,
): { day: number; hour: number; phase: Phase }[] {
  const first = numberOf({ year, month, day: 1 });
  // Two phases before it could be, for certain, of this month.
  const from = Math.floor((first + JULIAN_OF_1970 - 2451550.1) / 29.530588861) * 4 - 3;
  return Array.from({ length: 12 }, (_, i) => (from + i) / 4).flatMap((k) => {
    const at = momentOf(k) - JULIAN_OF_1970 + ahead / 24 - first;
    const day = Math.floor(at) + 1;
    return day >= 1 && day <= monthLength(year, month)
      ? [{ day, hour: (at - day + 1) * 24, phase: PHASES[((Math.round(k * 4) % 4) + 4) % 4]! }]
      : [];
  });
}
