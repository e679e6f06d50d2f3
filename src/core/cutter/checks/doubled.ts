/** Lines that are cut twice. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { fromPoints } from '@/core/units/lengths';

export const DOUBLED: CutCheck = {
  id: 'doubled',
  look: ({ doubled, settings }) =>
    settings.once
      ? []
      : doubled.flatMap((each, mat) =>
          each.map(({ at, long }) => ({
            mat,
            at,
            name: `Mat ${mat + 1}`,
            says: `${fromPoints(long, 'mm').toFixed(1)} mm of a line lie on another, and would be cut twice.`,
            cure: { says: 'Cut once', set: { once: true } },
          })),
        ),
  clear: 'No line is cut twice.',
};
