/** A print condition at work: what it makes of colours, by Little CMS (ICC.1:2022). Colours that come in are sRGB, 8 bits, or Display P3 where they are said to be wide. */
import { differenceCiede2000, modeLab65, useMode as register } from 'culori/fn';
import {
  ABSOLUTE,
  BLACK_POINT,
  CMYK_16,
  FINE_TABLES,
  LAB_DOUBLE,
  PERCEPTUAL,
  RELATIVE,
  RGB_8,
  RGBA_8,
  SOFT_PROOFING,
  profilesIn,
  type Lcms,
  type OpenLcms,
} from '@/core/press/lcms';
import { p3Profile } from '@/core/press/wide';
import { pressProfile } from '@/core/press/profile';
import { fail, ok, type Result } from '@/core/result';

/** How colours are brought into what a press can print. */
export interface ProofHow {
  /** What can be printed stays as it is, or all is eased in together. */
  intent: 'relative' | 'perceptual';
  /** Black becomes the darkest the press prints, with all between (black point compensation). */
  blackPoint: boolean;
  /** The paper's own white and the press's own black are shown, beside the screen's. */
  paper: boolean;
}

export const FIRST_HOW: ProofHow = { intent: 'relative', blackPoint: true, paper: false };

export interface Printed {
  pixels: Uint8ClampedArray<ArrayBuffer>;
  /** C, M, Y, K of each, 0 to 255. */
  inks: Uint8Array;
}

export interface Press {
  /** Pixels (RGBA): as they will look printed, as clear as they were, and how much of the four inks each takes. */
  printed(rgba: Uint8ClampedArray, how: ProofHow, wide?: boolean): Printed;
  /** How far the nearest printable colour is from each pixel's, CIEDE2000: a byte a pixel, in tenths, 25.5 at the most. */
  beyond(rgba: Uint8ClampedArray, wide?: boolean): Uint8Array;
  close(): void;
}

const INTENTS = { relative: RELATIVE, perceptual: PERCEPTUAL };

/** Pixels that are worked on at a time: the library has little memory. */
const AT_ONCE = 1 << 16;

/** Colours a side of the lattice on which distances are found; between them they are as good as straight. */
const LATTICE = 33;

register(modeLab65);
/** CIEDE2000 of two measured colours; the formula takes CIELAB under any white. */
const difference = differenceCiede2000();

/** Opens a CMYK profile; says why it cannot be. */
export async function openPress(profile: Uint8Array, openLcms: OpenLcms): Promise<Result<Press>> {
  const facts = pressProfile(profile);
  if (!facts.ok) return facts;
  const lcms = await openLcms();
  const profiles = profilesIn(lcms);
  const ink = profiles.open(profile);
  if (!ink) return fail('This colour profile is damaged: it cannot be read.');
  const screen = lcms.cmsCreate_sRGBProfile();
  const transforms = new Map<string, number>();
  const known = (key: string, make: () => number): number => {
    let transform = transforms.get(key);
    if (!transform) transforms.set(key, (transform = make()));
    if (!transform) throw new RangeError('This colour profile lacks what a proof needs.');
    return transform;
  };
  let p3 = 0;
  const given = (wide: boolean): number => (wide ? (p3 ||= profiles.open(p3Profile())) : screen);
  const distances = new Map<boolean, Uint8Array>();

  const press: Press = {
    printed(rgba, { intent, blackPoint, paper }, wide = false) {
      // By way of the inks: tables made for both ways at once would round off where the inks end.
      const there = known(`to inks ${intent} ${blackPoint} ${wide}`, () =>
        lcms.cmsCreateTransform(
          ...([given(wide), RGBA_8, ink, CMYK_16, INTENTS[intent]] as const),
          FINE_TABLES | (blackPoint ? BLACK_POINT : 0),
        ),
      );
      const back = known(`to screen ${paper}`, () =>
        lcms.cmsCreateTransform(ink, CMYK_16, screen, RGBA_8, paper ? ABSOLUTE : RELATIVE, 0),
      );
      return run(lcms, there, back, rgba);
    },
    beyond(rgba, wide = false) {
      const lattice = distances.get(wide) ?? latticeOf(lcms, given(wide), ink);
      distances.set(wide, lattice);
      return interpolated(lattice, rgba);
    },
    close() {
      for (const transform of transforms.values()) lcms.cmsDeleteTransform(transform);
      transforms.clear();
      lcms.cmsCloseProfile(screen);
      lcms.cmsCloseProfile(ink);
      if (p3) lcms.cmsCloseProfile(p3);
      profiles.letGo();
    },
  };
  try {
    press.printed(new Uint8ClampedArray(4), FIRST_HOW);
  } catch {
    return fail('This colour profile lacks what a proof needs: colours to inks, and inks to colours.');
  }
  return ok(press);
}

/** Pixels through both transforms, a part of them at a time. */
function run(lcms: Lcms, there: number, back: number, rgba: Uint8ClampedArray): Printed {
  const count = rgba.length / 4;
  const pixels = new Uint8ClampedArray(rgba.length);
  const inks = new Uint8Array(rgba.length);
  const room = Math.min(count, AT_ONCE);
  const [from, ink, to] = [4, 8, 4].map((bytes) => lcms._malloc(room * bytes)) as [number, number, number];
  for (let done = 0; done < count; done += room) {
    const many = Math.min(room, count - done);
    lcms.HEAPU8.set(rgba.subarray(4 * done, 4 * (done + many)), from);
    transformed(lcms, there, from, ink, many);
    transformed(lcms, back, ink, to, many);
    pixels.set(lcms.HEAPU8.subarray(to, to + 4 * many), 4 * done);
    // Of the sixteen bits of each ink the upper eight.
    for (let i = 0; i < 4 * many; i++) inks[4 * done + i] = lcms.HEAPU8[ink + 2 * i + 1]!;
  }
  for (const at of [from, ink, to]) lcms._free(at);
  for (let i = 3; i < pixels.length; i += 4) pixels[i] = rgba[i]!;
  return { pixels, inks };
}

const transformed = (lcms: Lcms, transform: number, input: number, output: number, many: number) =>
  void lcms.ccall(
    'cmsDoTransform',
    null,
    ['number', 'number', 'number', 'number'],
    [transform, input, output, many],
  );

/** For a lattice of colours, how far each is from what is printed of it, both as they are measured (CIELAB, D50). */
function latticeOf(lcms: Lcms, screen: number, ink: number): Uint8Array {
  const lab = lcms.cmsCreateLab4Profile();
  const seen = lcms.cmsCreateTransform(screen, RGB_8, lab, LAB_DOUBLE, RELATIVE, 0);
  const printed = lcms.cmsCreateProofingTransform(
    ...([screen, RGB_8, lab, LAB_DOUBLE, ink] as const),
    ...([RELATIVE, RELATIVE, SOFT_PROOFING] as const),
  );
  const row = LATTICE * LATTICE;
  const [input, first, second] = [row * 3, row * 24, row * 24].map((bytes) => lcms._malloc(bytes)) as [
    number,
    number,
    number,
  ];
  const distances = new Uint8Array(LATTICE ** 3);
  for (let r = 0; r < LATTICE; r++) {
    for (let i = 0; i < row; i++)
      lcms.HEAPU8.set([r, Math.floor(i / LATTICE), i % LATTICE].map(valueAt), input + 3 * i);
    transformed(lcms, seen, input, first, row);
    transformed(lcms, printed, input, second, row);
    const labAt = (at: number, i: number) => {
      const [l, a, b] = lcms.HEAPF64.subarray(at / 8 + 3 * i, at / 8 + 3 * i + 3);
      return { mode: 'lab65' as const, l: l!, a: a!, b: b! };
    };
    for (let i = 0; i < row; i++)
      distances[r * row + i] = Math.min(255, Math.round(10 * difference(labAt(first, i), labAt(second, i))));
  }
  for (const at of [input, first, second]) lcms._free(at);
  for (const transform of [seen, printed]) lcms.cmsDeleteTransform(transform);
  lcms.cmsCloseProfile(lab);
  return distances;
}

const valueAt = (step: number): number => Math.round((255 * step) / (LATTICE - 1));

/** Distances of pixels from those of a lattice, straight between its colours (trilinear). */
function interpolated(distances: Uint8Array, rgba: Uint8ClampedArray): Uint8Array {
  const out = new Uint8Array(rgba.length / 4);
  const scale = (LATTICE - 1) / 255;
  const most = LATTICE - 2;
  const row = LATTICE;
  const plane = LATTICE * LATTICE;
  // Plain numbers all through, as this runs for every pixel.
  for (let i = 0, from = 0; i < out.length; i++, from += 4) {
    const r = rgba[from]! * scale;
    const g = rgba[from + 1]! * scale;
    const b = rgba[from + 2]! * scale;
    const r0 = r > most ? most : r | 0;
    const g0 = g > most ? most : g | 0;
    const b0 = b > most ? most : b | 0;
    const fg = g - g0;
    const fb = b - b0;
    const at = r0 * plane + g0 * row + b0;
    const under = at + plane;
    const a = distances[at]! * (1 - fb) + distances[at + 1]! * fb;
    const c = distances[at + row]! * (1 - fb) + distances[at + row + 1]! * fb;
    const d = distances[under]! * (1 - fb) + distances[under + 1]! * fb;
    const e = distances[under + row]! * (1 - fb) + distances[under + row + 1]! * fb;
    const near = a * (1 - fg) + c * fg;
    const far = d * (1 - fg) + e * fg;
    out[i] = near + (r - r0) * (far - near) + 0.5;
  }
  return out;
}
