/** A treatment on a shape, as pixels to be laid over it. */
import { rgbOf } from '@/core/color/hex';
import { fieldOf, type Field } from '@/core/treatment/field';
import { treatmentKind, type PaintedName, type TreatmentName } from '@/core/treatment/kinds';
import { Layer, type Toward } from '@/core/treatment/treatment';

export interface Treatment {
  kind: TreatmentName;
  /** By the ids of the kind’s settings; what is missing is as it begins. */
  values: Partial<Record<string, number>>;
  /** For kinds that have an ink. */
  colour?: string;
  /** For kinds with chance in them. */
  seed?: number;
}

export type Painted = Omit<Treatment, 'kind'> & { kind: PaintedName };

export const valueOf = ({ kind, values }: Pick<Painted, 'kind' | 'values'>, id: string): number => {
  const setting = treatmentKind(kind).settings.find((each) => each.id === id);
  if (!setting) throw new RangeError(`A ${kind} treatment has no ${id}.`);
  return values[id] ?? setting.first;
};

/**
 * `shape` is the piece’s shape filled opaque: RGBA, straight, of which only alpha counts. The result is RGBA, straight, of
 * the same size, clear outside of the shape.
 */
export function paintTreatment(
  treatment: Painted,
  light: Toward,
  shape: Uint8ClampedArray,
  place: Pick<Field, 'width' | 'height' | 'scale' | 'x' | 'y'>,
): Uint8ClampedArray<ArrayBuffer> {
  const kind = treatmentKind(treatment.kind);
  const field = fieldOf(shape, place);
  const out = new Layer(place.width * place.height);
  kind.paint(
    field,
    {
      value: (id) => valueOf(treatment, id),
      colour: rgbOf(treatment.colour ?? kind.colour ?? '#ffffff'),
      seed: treatment.seed ?? 1,
    },
    light,
    out,
  );
  return out.within(field.cover);
}
