/** Paint: a tip drawn along a line in an ink, or taking away what was painted before. */
import { boolean, object, string } from 'yup';
import type { Box } from '@/core/geometry/box';
import { pathOfRings } from '@/core/geometry/offset';
import { rectanglePath, type Path } from '@/core/geometry/path';
import type { Mark } from '@/core/picture/picture';
import { inkSlot } from '@/core/piece/answers';
import type { Course } from '@/core/trail/course';
import { asWide, colourField, degreesField, seedField, shareField, widthField } from '@/core/trail/fields';
import type { TrailKind } from '@/core/trail/kind';
import { dabsOf, type Dab } from '@/core/trail/paint/dabs';
import { softBounds } from '@/core/trail/paint/soft';
import { sweptRound } from '@/core/trail/paint/swept';
import { PAINT_TIP_NAMES, PAINT_TIPS, type PaintTipName } from '@/core/trail/paint/tips';

export interface PaintTrail {
  kind: 'paint';
  tip: PaintTipName;
  /** `#rrggbb` */
  colour: string;
  /** How wide the tip is, points. */
  width: number;
  /** 0 to 1, of the line as a whole: where it crosses itself it is no darker. */
  opacity: number;
  /** What it means is the tip's: hardness, load, pressure; 0 to 1. */
  hardness: number;
  /** At which angle a flat tip is held, degrees clockwise from level. */
  angle: number;
  /** How long either end grows from nothing, as a share of the line, 0 to 0.5. */
  taper: number;
  seed: number;
  /** It takes away what was drawn before it. */
  erase?: true;
}

/** A tip as it is first taken up. */
export const newPaint = (tip: PaintTipName, colour: string, seed = 1): PaintTrail => ({
  kind: 'paint',
  tip,
  colour,
  width: PAINT_TIPS[tip].width,
  opacity: PAINT_TIPS[tip].opacity,
  hardness: PAINT_TIPS[tip].hardness?.first ?? 0.5,
  angle: -40,
  taper: 0,
  seed,
});

const linesOf = ({ tip, width, taper }: PaintTrail, courses: readonly Course[]): Dab[][] =>
  courses.map((course) => dabsOf(course, { width, taper, thins: PAINT_TIPS[tip].thins }));

const joined = (paths: readonly Path[]): Path => paths.flat();

/** What came of trails, as long as nothing of them changes: a line that is drawn leaves those before it alone. */
const swept = new WeakMap<PaintTrail, { courses: readonly Course[]; area?: Path; marks?: Mark[] }>();
function known(trail: PaintTrail, courses: readonly Course[]) {
  const last = swept.get(trail);
  if (last?.courses.length === courses.length && last.courses.every((course, i) => course === courses[i]))
    return last;
  const fresh: { courses: readonly Course[]; area?: Path; marks?: Mark[] } = { courses };
  swept.set(trail, fresh);
  return fresh;
}

/** The area a tip covers with paint, as an outline: of a soft one, what is more than half covered. */
function areaOf(trail: PaintTrail, courses: readonly Course[]): Path {
  const of = known(trail, courses);
  return (of.area ??= sweptArea(trail, courses));
}

function sweptArea(trail: PaintTrail, courses: readonly Course[]): Path {
  const { sweep } = PAINT_TIPS[trail.tip];
  return joined(
    linesOf(trail, courses).map((dabs) => (sweep ? sweep(dabs, trail.angle) : sweptRound(halved(dabs)))),
  );
}

const halved = (dabs: readonly Dab[]): Dab[] => dabs.map((dab) => ({ ...dab, r: dab.r * 0.82 }));

const isEmpty = ({ width, height }: Box) => !(width > 0) || !(height > 0);

export const paint: TrailKind<PaintTrail> = {
  kind: 'paint',
  name: 'Paint',
  schema: object({
    kind: string().oneOf(['paint']).required(),
    tip: string()
      .oneOf([...PAINT_TIP_NAMES])
      .required(),
    colour: colourField,
    width: widthField,
    opacity: shareField,
    hardness: shareField,
    angle: degreesField,
    taper: shareField.max(0.5),
    seed: seedField,
    erase: boolean().oneOf([true]),
  }).noUnknown(),
  inks: (trail) => (trail.erase ? [] : inkSlot('line', trail, 'colour')),
  says: ({ tip, erase }) => (erase ? `Eraser, ${PAINT_TIPS[tip].name.toLowerCase()}` : PAINT_TIPS[tip].name),
  scaled: (trail, scale) => ({ ...trail, width: asWide(trail.width * scale) }),
  half: ({ width }) => width / 2,
  erases: ({ erase }) => (erase ? 'within' : false),
  shape: areaOf,
  lay(trail, courses): Mark[] {
    const of = known(trail, courses);
    return (of.marks ??= painted(trail, courses));
  },
};

function painted(trail: PaintTrail, courses: readonly Course[]): Mark[] {
  const { soft } = PAINT_TIPS[trail.tip];
  const { colour, opacity, hardness, seed } = trail;
  if (!soft) {
    const path = areaOf(trail, courses);
    return path.length ? [{ mark: 'fill', path, colour, ...(opacity < 1 ? { opacity } : {}) }] : [];
  }
  const stroke = { tip: soft, lines: linesOf(trail, courses), hardness, seed };
  const box = softBounds(stroke);
  return isEmpty(box)
    ? []
    : [{ mark: 'paint', path: rectanglePath(box), colour, opacity, stroke, at: { x: 0, y: 0 } }];
}

/** All but an area: what an eraser with a sharp edge leaves of what is no larger than `within`. */
export function allBut(area: Path, within: Box): Path {
  const { x, y, width, height } = within;
  const frame = [
    { x, y },
    { x, y: y + height },
    { x: x + width, y: y + height },
    { x: x + width, y },
  ];
  return [...pathOfRings([frame]), ...area];
}
