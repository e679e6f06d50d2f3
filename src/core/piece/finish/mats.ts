/** Mats: papers that lie beneath a piece and stand out round it, each its own width; they follow any outline, its holes too. */
import { array, boolean, number, object, string } from 'yup';
import { rotation } from '@/core/geometry/matrix';
import { CORNERS, grown, type Corners } from '@/core/geometry/offset';
import { pathBounds, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { outset } from '@/core/geometry/box';
import type { Mark } from '@/core/picture/picture';
import { inkSlot } from '@/core/piece/answers';
import type { FinishKind } from '@/core/piece/finish/kind';
import { HIGHEST_LIFT, liftMarks } from '@/core/piece/finish/lift';
import { materialKind } from '@/core/piece/material';
import { ink, type InkMaterial } from '@/core/piece/material/ink';
import { paper, type PaperMaterial } from '@/core/piece/material/paper';
import { byKind } from '@/core/schema/choice';

export interface Mat {
  material: InkMaterial | PaperMaterial;
  /** How far it stands out beyond what lies on it, points. */
  width: number;
  /** Millimetres thick. */
  lift: number;
  corners: Corners;
  /** A rectangle whatever lies on it; otherwise it follows the outline. */
  straight: boolean;
  /** Turned a little by hand, degrees clockwise. */
  turn: number;
}

export const MOST_MATS = 8;
export const WIDEST_MAT = 288;
export const NEW_MAT: Mat = {
  material: { kind: 'ink', colour: '#fdfbf6' },
  width: 9,
  lift: 0.3,
  corners: 'mitred',
  straight: false,
  turn: 0,
};

const matSchema = object({
  material: byKind({ ink: ink.schema, paper: paper.schema }, 'material'),
  width: number().min(0).max(WIDEST_MAT).required(),
  lift: number().min(0).max(HIGHEST_LIFT).required(),
  corners: string()
    .oneOf([...CORNERS])
    .required(),
  straight: boolean().required(),
  turn: number().min(-180).max(180).required(),
}).noUnknown();

/** The mats' outlines, the nearest first. */
export function matPaths(mats: readonly Mat[], path: Path): Path[] {
  const shapes: Path[] = [];
  let inner = path;
  for (const { width, corners, straight, turn } of mats) {
    const shape = straight
      ? rectanglePath(outset(pathBounds(inner), width), corners === 'round' ? width : 0)
      : grown(inner, width, corners);
    inner = turn ? transformPath(rotation(turn), shape) : shape;
    shapes.push(inner);
  }
  return shapes;
}

export const mats: FinishKind<Mat[]> = {
  schema: array(matSchema.required()).min(1).max(MOST_MATS),
  inks: (list) =>
    list.flatMap(({ material }, at) =>
      material.kind === 'ink' ? inkSlot('mat', material, 'colour', at) : [],
    ),
  // The page light's shadow falls from each sheet on the next.
  under: (list, { mats: shapes, light, shadow, toPage, tools }) =>
    list
      .map(({ material, lift }, i): Mark[] => {
        const path = shapes[i]!;
        const { width, height } = pathBounds(path);
        return [
          ...liftMarks({ height: lift, shadow }, light, path, 0, toPage),
          ...materialKind(material).fill(material, { size: { width, height }, path, ...tools }),
        ];
      })
      .reverse()
      .flat(),
  scaled: (list, scale) => list.map((mat) => ({ ...mat, width: Math.min(WIDEST_MAT, mat.width * scale) })),
  says: ({ length }) => (length === 1 ? 'mat' : `${length} mats`),
};
