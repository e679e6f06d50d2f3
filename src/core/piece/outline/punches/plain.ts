/** Plain shapes: what a trimmer and a circle cutter make. */
import { pen } from '@/core/geometry/pen';
import { alsoCalled, anyLength, still, type Punch } from '@/core/piece/outline/punches/punch';

const FAMILY = 'Plain';

export const plain: readonly Punch[] = [
  still('Square', FAMILY, 'M0 0L100 0L100 100L0 100Z'),
  alsoCalled('rectangle box', anyLength(still('Oblong', FAMILY, 'M0 0L150 0L150 100L0 100Z'))),
  alsoCalled('round disc', still('Circle', FAMILY, pen().arc(50, 50, 50, 50, 0, 360).close().done())),
  alsoCalled('ellipse', anyLength(still('Oval', FAMILY, pen().arc(70, 50, 70, 50, 0, 360).close().done()))),
];
