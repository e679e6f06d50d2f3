/** How high a piece lies above the page, and the shadow the page light makes of it. */
import { boolean, number, object } from 'yup';
import type { Path } from '@/core/geometry/path';
import { apply, invert, type Matrix } from '@/core/geometry/matrix';
import type { Mark } from '@/core/picture/picture';
import { SHADOW_INK, type PageLight } from '@/core/piece/finish/light';

export const lightSchema = object({
  direction: number().min(0).max(360).required(),
  height: number().min(15).max(90).required(),
  softness: number().min(1).max(40).required(),
  strength: number().min(0).max(1).required(),
}).noUnknown();

export interface Lift {
  /** Thickness above the page, millimetres: ink 0, paper 0.1, cardstock 0.3, chipboard 1.5, button 3. */
  height: number;
  /** Whether it throws a shadow at all. */
  shadow: boolean;
}

export const HIGHEST_LIFT = 20;

/** What materials measure, millimetres (common practice, no source). */
export const LIFTS = { ink: 0, paper: 0.1, photo: 0.25, cardstock: 0.3, chipboard: 1.5, button: 3 } as const;

export const liftSchema = object({
  height: number().min(0).max(HIGHEST_LIFT).required(),
  shadow: boolean().required(),
}).noUnknown();

const POINTS_PER_MM = 72 / 25.4;

/** A shadow's offset length and blur (standard deviation of a Gaussian), points, and its darkness. */
export interface CastShadow {
  offset: number;
  blur: number;
  opacity: number;
}

/**
 * The shadow of an edge `lift` mm high under a lamp at elevation e with angular radius a. By the geometry of shadows
 * the edge's shadow lies h·cot(e) away, and its penumbra is h·(cot(e − a) − cot(e + a)) wide; a Gaussian of a quarter
 * of that width covers it from 2.5 % to 97.5 %. Thin sheets never lie quite flat, so the height that counts grows
 * slower than thickness: h = √(lift · 1 mm). This last step is our own choice.
 */
export function castShadow(lift: number, light: PageLight): CastShadow {
  const edge = Math.sqrt(Math.max(0, lift)) * POINTS_PER_MM;
  const cot = (degrees: number) => 1 / Math.tan((Math.min(90, Math.max(5, degrees)) * Math.PI) / 180);
  const penumbra = cot(light.height - light.softness) - cot(Math.min(90, light.height + light.softness));
  return {
    offset: edge * cot(light.height),
    blur: (edge * penumbra) / 4 + 0.12 * edge,
    opacity: light.strength,
  };
}

/** The thrown shadow, and the darker line where the edge meets the page and sky light does not reach. `grow` is the stroke around. */
export function liftMarks(lift: Lift, light: PageLight, path: Path, grow: number, toPage: Matrix): Mark[] {
  if (!lift.shadow || lift.height <= 0 || light.strength <= 0) return [];
  const { offset, blur, opacity } = castShadow(lift.height, light);
  const away = ((light.direction + 180) * Math.PI) / 180;
  const onPage = { x: Math.sin(away) * offset, y: -Math.cos(away) * offset };
  const [a, b, c, d] = toPage;
  const own = apply(invert([a, b, c, d, 0, 0]), onPage);
  return [
    { mark: 'shadow', path, grow, offset: own, blur, colour: SHADOW_INK, opacity },
    {
      mark: 'shadow',
      path,
      grow,
      offset: { x: own.x * 0.25, y: own.y * 0.25 },
      blur: Math.max(0.3, blur * 0.35),
      colour: SHADOW_INK,
      opacity: opacity * 0.55,
    },
  ];
}
