/** What the face of a piece was treated with, one over the other, all lit by the page light. */
import { array, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { apply, invert, linear, type Matrix } from '@/core/geometry/matrix';
import { inkSlot } from '@/core/piece/answers';
import type { FinishKind } from '@/core/piece/finish/kind';
import type { PageLight } from '@/core/piece/finish/light';
import { byKind } from '@/core/schema/choice';
import { TREATMENT_NAMES, treatmentKind, type TreatmentName } from '@/core/treatment/kinds';
import type { Treatment } from '@/core/treatment/paint';
import type { Toward } from '@/core/treatment/treatment';

export const MOST_TREATMENTS = 4;

const treatmentSchema = byKind(
  Object.fromEntries(
    TREATMENT_NAMES.map((name) => [
      name,
      object({
        kind: string().oneOf([name]).required(),
        values: object(
          Object.fromEntries(
            treatmentKind(name).settings.map(({ id, least, most }) => [id, number().min(least).max(most)]),
          ),
        )
          .noUnknown()
          .required(),
        colour: string().matches(HEX_COLOUR),
        seed: number().integer().min(0).max(1e9),
      }).noUnknown(),
    ]),
  ),
  'treatment',
);

/** A treatment as it begins. */
export const newTreatment = (kind: TreatmentName): Treatment => ({ kind, values: {} });

/** Where the page’s light comes from, seen from the piece. */
export function lightFrom(light: PageLight, toPage: Matrix): Toward {
  const [way, up] = [(light.direction * Math.PI) / 180, (light.height * Math.PI) / 180];
  const own = apply(invert(linear(toPage)), { x: Math.sin(way), y: -Math.cos(way) });
  const long = Math.hypot(own.x, own.y) || 1;
  return { x: (own.x / long) * Math.cos(up), y: (own.y / long) * Math.cos(up), z: Math.sin(up) };
}

/** For a piece that became larger or smaller with all that is on it: lengths go along, within their limits. */
const scaledTreatment = (treatment: Treatment, scale: number): Treatment => ({
  ...treatment,
  values: Object.fromEntries(
    treatmentKind(treatment.kind).settings.map(({ id, unit, least, most, first }) => {
      const value = treatment.values[id] ?? first;
      return [id, unit === 'length' ? Math.min(most, Math.max(least, value * scale)) : value];
    }),
  ),
});

export const treatments: FinishKind<Treatment[]> = {
  schema: array(treatmentSchema).min(1).max(MOST_TREATMENTS),
  inks: (list) => list.flatMap((treatment) => inkSlot('treatment', treatment, 'colour')),
  over: (list, { face, toward }) =>
    list.map((treatment) => ({ mark: 'treatment', path: face, treatment, light: toward })),
  scaled: (list, scale) => list.map((treatment) => scaledTreatment(treatment, scale)),
};
