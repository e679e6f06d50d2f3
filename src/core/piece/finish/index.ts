/** What is done to a cut piece. A new finish is a file, a field here, and its marks under or over the material. */
import { array, number, object, string, type AnyObject, type ObjectSchema } from 'yup';
import type { Path } from '@/core/geometry/path';
import { pathBounds } from '@/core/geometry/path';
import type { Matrix } from '@/core/geometry/matrix';
import { BLENDS, type Blend } from '@/core/picture/blend';
import type { Mark } from '@/core/picture/picture';
import { echoMarks, echoSchema, MOST_ECHOES, scaledEcho, type Echo } from '@/core/piece/finish/echo';
import {
  edged,
  edgeSchema,
  LARGEST_EDGE,
  SMALLEST_EDGE,
  WIDEST_CORE,
  type Edge,
} from '@/core/piece/finish/edge';
import { curlMarks, liftMarks, liftSchema, type Lift } from '@/core/piece/finish/lift';
import type { PageLight } from '@/core/piece/finish/light';
import { matPaths, matSchema, MOST_MATS, WIDEST_MAT, type Mat } from '@/core/piece/finish/mats';
import {
  FARTHEST_SHADOW,
  MOST_SHADOWS,
  ownShadowMark,
  ownShadowSchema,
  SOFTEST_SHADOW,
  type OwnShadow,
} from '@/core/piece/finish/shadow';
import {
  strokeMarks,
  strokeReach,
  scaledStroke,
  strokeSchema,
  type Stroke,
} from '@/core/piece/finish/stroke';
import {
  lightFrom,
  MOST_TREATMENTS,
  scaledTreatment,
  treatmentMarks,
  treatmentSchema,
} from '@/core/piece/finish/treatments';
import type { Treatment } from '@/core/treatment/paint';
import { materialKind } from '@/core/piece/material';
import type { Cut } from '@/core/piece/material/kind';

export interface Finish {
  lift: Lift;
  stroke: Stroke | null;
  /** 0 to 1, of the whole piece with its stroke and shadow. */
  opacity: number;
  /** How its edge is worked; plainly cut without. */
  edge?: Edge;
  /** Papers beneath it, the nearest first. */
  mats?: Mat[];
  /** More shadows beside the page light's. */
  shadows?: OwnShadow[];
  /** Copies of its outline behind it, the nearest first. */
  echoes?: Echo[];
  /** What its face was treated with, the lowest first. */
  treatments?: Treatment[];
  /** How its colours meet what lies beneath; they cover without. */
  blend?: Blend;
}

export const finishSchema: ObjectSchema<AnyObject> = object({
  lift: liftSchema.required(),
  stroke: strokeSchema.nullable().defined(),
  opacity: number().min(0).max(1).required(),
  edge: edgeSchema.default(undefined).optional(),
  mats: array(matSchema.required()).min(1).max(MOST_MATS),
  shadows: array(ownShadowSchema.required()).min(1).max(MOST_SHADOWS),
  echoes: array(echoSchema.required()).min(1).max(MOST_ECHOES),
  treatments: array(treatmentSchema).min(1).max(MOST_TREATMENTS),
  blend: string().oneOf([...BLENDS]),
})
  .noUnknown()
  .meta({ named: 'finish' });

export const finishOf = (height: number): Finish => ({
  lift: { height, shadow: height > 0 },
  stroke: null,
  opacity: 1,
});

/** Nothing was done to the piece: no light falls on it and nothing lies round its edge. */
export const isBare = ({ lift, stroke, edge, mats, shadows, echoes, treatments }: Finish): boolean =>
  !(lift.shadow && lift.height > 0) &&
  !lift.curl &&
  !stroke &&
  !edge &&
  !mats &&
  !shadows &&
  !echoes &&
  !treatments;

/** The outline after its edge was worked, and where the material's face ends if bare paper shows beyond it. */
export const worked = ({ edge }: Finish, path: Path): { path: Path; face?: Path } =>
  edge ? edged(edge, path) : { path };

/** What is drawn before the material: shadows, and the mats with theirs. */
export function marksUnder(
  finish: Finish,
  light: PageLight,
  path: Path,
  toPage: Matrix,
  tools: Pick<Cut, 'asset' | 'typesetter'>,
): Mark[] {
  const reach = strokeReach(finish.stroke);
  const mats = finish.mats ?? [];
  const shapes = matPaths(mats, path);
  const lowest = shapes.at(-1);
  // What was laid by hand is thrown by the whole stack; the page light's shadow falls from each sheet on the next.
  const own = (finish.shadows ?? []).map((shadow) =>
    ownShadowMark(shadow, lowest ?? path, lowest ? 0 : reach, toPage),
  );
  const beneath = shapes.map((shape, i): Mark[] => {
    const { material, lift } = mats[i]!;
    const { width, height } = pathBounds(shape);
    return [
      ...liftMarks({ height: lift, shadow: finish.lift.shadow }, light, shape, 0, toPage),
      ...materialKind(material).fill(material, { size: { width, height }, path: shape, ...tools }),
    ];
  });
  return [
    ...own,
    ...beneath.reverse().flat(),
    ...echoMarks(finish.echoes ?? [], path),
    ...liftMarks(finish.lift, light, path, reach, toPage),
  ];
}

/** What is drawn after it: treatments on its face, and the stroke along its edge. */
export const marksOver = (
  { treatments = [], stroke, lift }: Finish,
  light: PageLight,
  { path, face = path }: { path: Path; face?: Path },
  toPage: Matrix,
): Mark[] => [
  ...treatmentMarks(treatments, light, face, toPage),
  ...strokeMarks(stroke, path, lightFrom(light, toPage), light.strength),
  ...curlMarks(lift, lightFrom(light, toPage), path),
];

/** The finish for a piece that became larger or smaller with all that is on it. */
export const scaledFinish = (finish: Finish, scale: number): Finish => {
  const { stroke, edge, mats, shadows, echoes, treatments } = finish;
  return {
    ...finish,
    stroke: stroke && scaledStroke(stroke, scale),
    ...(edge && {
      edge: {
        ...edge,
        size: Math.min(LARGEST_EDGE, Math.max(SMALLEST_EDGE, edge.size * scale)),
        core: Math.min(WIDEST_CORE, edge.core * scale),
      },
    }),
    ...(mats && { mats: mats.map((mat) => ({ ...mat, width: Math.min(WIDEST_MAT, mat.width * scale) })) }),
    ...(echoes && { echoes: echoes.map((echo) => scaledEcho(echo, scale)) }),
    ...(treatments && { treatments: treatments.map((treatment) => scaledTreatment(treatment, scale)) }),
    ...(shadows && {
      shadows: shadows.map((shadow) => ({
        ...shadow,
        x: within(shadow.x * scale, FARTHEST_SHADOW),
        y: within(shadow.y * scale, FARTHEST_SHADOW),
        blur: Math.min(SOFTEST_SHADOW, shadow.blur * scale),
      })),
    }),
  };
};

const within = (value: number, most: number): number => Math.max(-most, Math.min(most, value));
