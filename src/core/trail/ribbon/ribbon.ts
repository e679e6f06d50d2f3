/** Ribbon and tape: a band along a line, folded over where the line turns sharply, its ends cut. */
import { number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { pathOfRings } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import { inkSlot } from '@/core/piece/answers';
import type { Mark, Seen } from '@/core/picture/picture';
import { ENDS, laidShadow, strip, type End } from '@/core/trail/band';
import { crossesField, crossingsOf, type Crosses, type Crossing } from '@/core/trail/crossing';
import { asWide, colourField, picturedField, seedField } from '@/core/trail/fields';
import type { Ground, TrailKind } from '@/core/trail/kind';
import { stretchesOf, type Stretch } from '@/core/trail/ribbon/stretches';
import {
  backOf,
  patterned,
  WEAVES,
  wholeOf,
  woven,
  type Part,
  type RibbonFace,
} from '@/core/trail/ribbon/weave';
import { formatLength } from '@/core/units/lengths';

export interface RibbonTrail extends RibbonFace {
  kind: 'ribbon';
  ends: End;
  /** How it lies where it crosses itself; later over earlier without. */
  crosses?: Crosses;
  seed: number;
}

export const NARROWEST_RIBBON = 1;
export const WIDEST_RIBBON = 432;

export const NEW_RIBBON: RibbonTrail = {
  kind: 'ribbon',
  weave: 'satin',
  colour: '#9e2b45',
  width: 22,
  ends: 'swallow',
  seed: 1,
};

/** How high a ribbon lies, as a share of its width, points at most. */
const high = (width: number) => Math.min(2, 0.05 * width);
/** How much tape covers. */
const TAPE = 0.86;

export const ribbon: TrailKind<RibbonTrail> = {
  kind: 'ribbon',
  name: 'Ribbon',
  ties: true,
  schema: object({
    kind: string().oneOf(['ribbon']).required(),
    weave: string()
      .oneOf([...WEAVES])
      .required(),
    colour: colourField,
    edge: string().matches(HEX_COLOUR),
    pattern: picturedField.default(undefined).optional(),
    width: number().min(NARROWEST_RIBBON).max(WIDEST_RIBBON).required(),
    ends: string()
      .oneOf([...ENDS])
      .required(),
    crosses: crossesField,
    seed: seedField,
  }).noUnknown(),
  inks: (trail) => [...inkSlot('line', trail, 'colour'), ...edgeSlot(trail)],
  says: ({ weave, width }, unit) =>
    `${weave === 'tape' ? 'Tape' : `Ribbon, ${weave}`}, ${formatLength(width, unit, true)}`,
  scaled: (trail, scale) => ({
    ...trail,
    width: asWide(trail.width * scale, NARROWEST_RIBBON, WIDEST_RIBBON),
  }),
  half: ({ width }) => width / 2,
  shape: (trail, courses) =>
    courses.flatMap((course) => stretchesOf(trail, course).flatMap(({ path }) => path)),
  lay: (trail, courses, ground) =>
    courses.flatMap((course) => {
      const stretches = stretchesOf(trail, course);
      return [
        ...stretches.flatMap((stretch) => stretchMarks(trail, stretch, ground)),
        ...crossingsOf(
          stretches.map(({ run }) => run),
          trail.width,
          trail.crosses,
        ).flatMap((crossing) => crossingMarks(trail, stretches, crossing, ground)),
      ];
    }),
};

function stretchMarks(trail: RibbonTrail, stretch: Stretch, ground: Ground): Mark[] {
  const { path, run } = stretch;
  if (!path.length) return [];
  return [
    ...(trail.weave === 'tape' ? [] : laidShadow(path, high(trail.width), ground.toward, ground.strength)),
    ...faceOf(trail, stretch, path, wholeOf(run), ground),
  ];
}

/** A part of a stretch as it is seen within an area, its shadow aside. */
function faceOf(trail: RibbonTrail, stretch: Stretch, area: Path, part: Part, ground: Ground): Mark[] {
  const { colour, weave } = trail;
  const { back, run } = stretch;
  const seen: Seen = { area };
  const light = Math.atan2(ground.toward.y, ground.toward.x);
  return [
    {
      mark: 'fill',
      path: area,
      colour: back ? backOf(trail) : colour,
      ...(weave === 'tape' ? { opacity: TAPE } : {}),
    },
    ...[...patterned(trail, run, ground.asset, part), ...woven(trail, stretch, light, part)].map(
      (mark): Mark => ({ ...mark, within: [seen] }),
    ),
  ];
}

/** Where a ribbon crosses itself, what lies above is drawn once more, with its shadow on what lies below. */
function crossingMarks(
  trail: RibbonTrail,
  stretches: readonly Stretch[],
  { above, below }: Crossing,
  ground: Ground,
): Mark[] {
  const half = trail.width / 2;
  const bandAt = ({ run, from, to }: Crossing['above']) =>
    pathOfRings([strip(stretches[run]!.run, -half, half, from, to)]);
  const [upper, lower] = [bandAt(above), bandAt(below)];
  const face = faceOf(trail, stretches[above.run]!, upper, above, ground);
  const over: Seen = { area: lower };
  // Tape is a little clear: where it lies on itself it is denser.
  if (trail.weave === 'tape')
    return face.map((mark) => ({ ...mark, within: [over, ...(mark.within ?? [])] }));
  const shadow = laidShadow(upper, high(trail.width), ground.toward, ground.strength);
  return [...shadow.map((mark) => ({ ...mark, within: [over] })), ...face];
}

const edgeSlot = (trail: RibbonTrail) =>
  trail.edge === undefined
    ? []
    : [{ part: 'line' as const, colour: trail.edge, set: (next: string) => void (trail.edge = next) }];
