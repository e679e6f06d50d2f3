/** The moon, against astronomy-engine (Don Cross, VSOP87 and a lunar theory of its own), to the hour. */
import { SearchMoonQuarter, NextMoonQuarter } from 'astronomy-engine';
import { phasesIn, type Phase } from '@/core/dates/moon';

const NAMES: readonly Phase[] = ['new', 'first', 'full', 'last'];

test.each([1600, 1900, 1969, 2026, 2027, 2100, 2400])(
  'every phase of %i falls in the hour astronomy-engine says, by the clocks of several places',
  (year) => {
    for (const ahead of [0, -5, 5.5]) {
      const ours = Array.from({ length: 12 }, (_, i) => i + 1).flatMap((month) =>
        phasesIn({ year, month }, ahead).map(({ day, hour, phase }) => ({
          phase,
          at: Date.UTC(year, month - 1, day) + (hour - ahead) * 3600e3,
        })),
      );
      const first = Date.UTC(year, 0, 1) - ahead * 3600e3;
      const theirs: { phase: Phase; at: number }[] = [];
      for (
        let next = SearchMoonQuarter(new Date(first));
        next.time.date.getTime() < Date.UTC(year + 1, 0, 1) - ahead * 3600e3;
        next = NextMoonQuarter(next)
      )
        theirs.push({ phase: NAMES[next.quarter]!, at: next.time.date.getTime() });
      expect(ours.map(({ phase }) => phase)).toEqual(theirs.map(({ phase }) => phase));
      ours.forEach(({ at }, i) => expect(Math.abs(at - theirs[i]!.at)).toBeLessThan(30 * 60e3));
    }
  },
);
