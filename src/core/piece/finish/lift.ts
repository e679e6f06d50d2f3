/** How high a piece lies above the page, and the shadow the page light makes of it. */
import { array, boolean, number, object, string } from 'yup';
import { apply, invert, linear, type Matrix, type Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import { flatten, pathBounds, type Path } from '@/core/geometry/path';
import type { Mark, ShadowMark } from '@/core/picture/picture';
import { bentAt, CURL_KINDS, type Curl } from '@/core/treatment/curl';
import { curlValues } from '@/core/treatment/kinds/curled';
import type { Toward } from '@/core/treatment/treatment';
import type { FinishKind } from '@/core/piece/finish/kind';
import { SHADOW_INK, type PageLight } from '@/core/piece/finish/light';

export const lightSchema = object({
  direction: number().min(0).max(360).required(),
  height: number().min(15).max(90).required(),
  softness: number().min(1).max(40).required(),
  strength: number().min(0).max(1).required(),
})
  .noUnknown()
  .meta({ named: 'light' });

export interface Lift {
  /** Thickness above the page, millimetres: ink 0, paper 0.1, cardstock 0.3, chipboard 1.5, button 3. */
  height: number;
  /** Whether it throws a shadow at all. */
  shadow: boolean;
  /** Where it stands up from the page; flat without. */
  curl?: Curl;
}

export const HIGHEST_LIFT = 20;
/** Millimetres a corner or an end may stand up. */
export const HIGHEST_CURL = 20;
export const NEW_CURL: Curl = { kind: 'corners', corners: [false, false, true, false], rise: 5, reach: 0.5 };

/** What materials measure, millimetres (common practice, no source). */
export const LIFTS = { ink: 0, paper: 0.1, photo: 0.25, cardstock: 0.3, chipboard: 1.5, button: 3 } as const;

const liftSchema = object({
  height: number().min(0).max(HIGHEST_LIFT).required(),
  shadow: boolean().required(),
  curl: object({
    kind: string()
      .oneOf([...CURL_KINDS])
      .required(),
    corners: array(boolean().required()).length(4).required(),
    rise: number().min(0.5).max(HIGHEST_CURL).required(),
    reach: number().min(0.1).max(1).required(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
}).noUnknown();

const POINTS_PER_MM = 72 / 25.4;

const cotangent = (degrees: number) => 1 / Math.tan((Math.min(90, Math.max(5, degrees)) * Math.PI) / 180);
/** How wide the half-shade of an edge is, in heights of it. */
const penumbra = ({ height, softness }: PageLight): number =>
  cotangent(height - softness) - cotangent(Math.min(90, height + softness));

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
  return {
    offset: edge * cotangent(light.height),
    blur: (edge * penumbra(light)) / 4 + 0.12 * edge,
    opacity: light.strength,
  };
}

/** The shadow of a sheet that stands up is worked out at this many places of its longer side at least. */
const PLACES = 48;

/**
 * The thrown shadow, and the darker line where the edge meets the page and sky light does not reach. `grow` is the stroke
 * around. Where a sheet stands up each spot of its edge throws its shadow as far away as its own height asks for, and the
 * line beneath draws back from it.
 */
export function liftMarks(lift: Lift, light: PageLight, path: Path, grow: number, toPage: Matrix): Mark[] {
  if (!lift.shadow || lift.height <= 0 || light.strength <= 0) return [];
  const { offset, blur, opacity } = castShadow(lift.height, light);
  const away = ((light.direction + 180) * Math.PI) / 180;
  const own = apply(invert(linear(toPage)), { x: Math.sin(away), y: -Math.cos(away) });
  const moved = (by: number) => ({ x: own.x * by, y: own.y * by });
  const { curl } = lift;
  const thrown: Omit<ShadowMark, 'path' | 'offset' | 'opacity' | 'blur'> = {
    mark: 'shadow',
    grow,
    colour: SHADOW_INK,
  };
  const soft = { ...thrown, path, offset: moved(offset), blur, opacity };
  const tight = {
    ...thrown,
    path,
    offset: moved(offset * 0.25),
    blur: Math.max(0.3, blur * 0.35),
    opacity: opacity * 0.55,
  };
  if (!curl) return [soft, tight];
  const bent = bentAt(curl, pathBounds(path));
  const far = curl.rise * POINTS_PER_MM * cotangent(light.height);
  const drawnBack = curl.rise * POINTS_PER_MM;
  return [
    {
      ...soft,
      path: bentPath(path, (p) => ({
        x: p.x + own.x * far * bent(p.x, p.y),
        y: p.y + own.y * far * bent(p.x, p.y),
      })),
      // As soft as half way up.
      blur: blur + (curl.rise / 2) * POINTS_PER_MM * 0.25 * penumbra(light),
    },
    {
      ...tight,
      path: bentPath(path, (p) => {
        const back = Math.min(0.9, (drawnBack * bent(p.x, p.y)) / (Math.hypot(p.x, p.y) || 1));
        return { x: p.x * (1 - back), y: p.y * (1 - back) };
      }),
    },
  ];
}

/** The face of a sheet that stands up takes the light differently there. */
export function curlMarks({ curl }: Lift, toward: Toward, path: Path): Mark[] {
  if (!curl) return [];
  const { width, height } = pathBounds(path);
  const treatment = { kind: 'curled' as const, values: curlValues(curl, width, height) };
  return [{ mark: 'treatment', path, treatment, light: toward }];
}

/** A path whose every spot is moved by itself. */
function bentPath(path: Path, move: (p: Point) => Point): Path {
  const { width, height } = pathBounds(path);
  const step = Math.max(width, height) / PLACES || 1;
  return pathOfRings(
    flatten(path).map((ring) =>
      ring.flatMap((from, i) => {
        const to = ring[(i + 1) % ring.length]!;
        const pieces = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / step));
        return Array.from({ length: pieces }, (_, k) =>
          move({ x: from.x + ((to.x - from.x) * k) / pieces, y: from.y + ((to.y - from.y) * k) / pieces }),
        );
      }),
    ),
  );
}

export const lift: FinishKind<Lift> = {
  schema: liftSchema.required(),
  shows: ({ shadow, height, curl }) => (shadow && height > 0) || curl !== undefined,
  under: (value, { light, path, reach, toPage }) => liftMarks(value, light, path, reach, toPage),
  over: (value, { toward, path }) => curlMarks(value, toward, path),
  says: ({ height }) =>
    height === 0
      ? 'flat'
      : (Object.entries(LIFTS).find(([, known]) => known === height)?.[0] ?? `lift ${height} mm`),
};
