/** Colours as the four inks of a press, by Little CMS (ICC.1:2022): for files in which all of it is named in inks. */
import {
  BLACK_POINT,
  CMYK_8,
  FINE_TABLES,
  RELATIVE,
  RGBA_8,
  profilesIn,
  type Lcms,
  type OpenLcms,
} from '@/core/press/lcms';
import { pressProfile, profileKey } from '@/core/press/profile';
import { fail, ok, type Result } from '@/core/result';

export interface Inks {
  /**
   * Pixels (RGBA, 8 bits) as C, M, Y, K of each, 0 for none to 255 for all: relative colorimetric, with black point compensation.
   * They are sRGB, or what `own` says, an ICC profile for RGB; one that cannot be read is passed over.
   */
  of(rgba: Uint8ClampedArray, own?: Uint8Array): Uint8Array;
  close(): void;
}

/** Pixels that are worked on at a time: the library has little memory. */
const AT_ONCE = 1 << 16;

/** Opens a CMYK profile; says why it cannot be. */
export async function openInks(profile: Uint8Array, openLcms: OpenLcms): Promise<Result<Inks>> {
  const facts = pressProfile(profile);
  if (!facts.ok) return facts;
  const lcms = await openLcms();
  const profiles = profilesIn(lcms);
  const ink = profiles.open(profile);
  if (!ink) return fail('This colour profile is damaged: it cannot be read.');
  const toInks = (from: number): number =>
    lcms.cmsCreateTransform(from, RGBA_8, ink, CMYK_8, RELATIVE, FINE_TABLES | BLACK_POINT);
  const screen = toInks(lcms.cmsCreate_sRGBProfile());
  if (!screen) return fail('This colour profile does not say how colours become inks.');
  // The photos of one camera have one profile.
  const known = new Map<string, number>();
  const fromOwn = (own: Uint8Array): number => {
    const key = profileKey(own);
    let transform = known.get(key);
    if (transform === undefined) {
      const from = profiles.open(own);
      known.set(key, (transform = (from && toInks(from)) || screen));
    }
    return transform;
  };
  return ok({
    of: (rgba, own) => run(lcms, own ? fromOwn(own) : screen, rgba),
    close() {
      for (const transform of new Set([screen, ...known.values()])) lcms.cmsDeleteTransform(transform);
      lcms.cmsCloseProfile(ink);
      profiles.letGo();
    },
  });
}

function run(lcms: Lcms, transform: number, rgba: Uint8ClampedArray): Uint8Array {
  const count = rgba.length / 4;
  const inks = new Uint8Array(rgba.length);
  const [from, to] = [lcms._malloc(4 * AT_ONCE), lcms._malloc(4 * AT_ONCE)];
  for (let done = 0; done < count; done += AT_ONCE) {
    const many = Math.min(AT_ONCE, count - done);
    lcms.HEAPU8.set(rgba.subarray(4 * done, 4 * (done + many)), from);
    lcms.ccall('cmsDoTransform', null, ['number', 'number', 'number', 'number'], [transform, from, to, many]);
    inks.set(lcms.HEAPU8.subarray(to, to + 4 * many), 4 * done);
  }
  lcms._free(from);
  lcms._free(to);
  return inks;
}
