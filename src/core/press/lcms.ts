/** Little CMS, compiled to WebAssembly (package lcms-wasm): of it only what is used. Its numbers are those of lcms2.h. */
export interface Lcms {
  HEAPU8: Uint8Array;
  HEAPF64: Float64Array;
  _malloc(bytes: number): number;
  _free(at: number): void;
  ccall(
    name: string,
    returns: 'number' | null,
    types: readonly 'number'[],
    values: readonly number[],
  ): number;
  cmsCreate_sRGBProfile(): number;
  cmsCreateLab4Profile(white?: number[]): number;
  cmsCloseProfile(profile: number): void;
  cmsCreateTransform(
    ...of: [from: number, as: number, to: number, toAs: number, intent: number, flags: number]
  ): number;
  cmsCreateProofingTransform(
    ...of: [
      ...[from: number, as: number, to: number, toAs: number],
      ...[proofed: number, intent: number, proofingIntent: number, flags: number],
    ]
  ): number;
  cmsDeleteTransform(transform: number): void;
}

/** Begins the library; who asks for it knows where it lies. */
export type OpenLcms = () => Promise<Lcms>;

/** COLORSPACE_SH, EXTRA_SH, CHANNELS_SH and BYTES_SH of lcms2.h. */
const pixel = (space: number, channels: number, bytes: number, extra = 0, float = 0): number =>
  (float << 22) | (space << 16) | (extra << 7) | (channels << 3) | bytes;
const [RGB, CMYK, LAB] = [4, 6, 10];
export const RGB_8 = pixel(RGB, 3, 1);
export const RGBA_8 = pixel(RGB, 3, 1, 1);
export const CMYK_16 = pixel(CMYK, 4, 2);
export const CMYK_8 = pixel(CMYK, 4, 1);
/** Bytes of 0 stand for doubles. */
export const LAB_DOUBLE = pixel(LAB, 3, 0, 0, 1);

export const PERCEPTUAL = 0;
export const RELATIVE = 1;
export const ABSOLUTE = 3;

export const FINE_TABLES = 0x0400;
export const BLACK_POINT = 0x2000;
export const SOFT_PROOFING = 0x4000;

/** Opens profiles from their bytes, 0 for one that cannot be read, and holds the memory they lie in until all are let go. */
export function profilesIn(lcms: Lcms) {
  const held: number[] = [];
  return {
    open(bytes: Uint8Array): number {
      const at = lcms._malloc(bytes.length);
      held.push(at);
      lcms.HEAPU8.set(bytes, at);
      return lcms.ccall('cmsOpenProfileFromMem', 'number', ['number', 'number'], [at, bytes.length]);
    },
    letGo: (): void => held.splice(0).forEach((at) => lcms._free(at)),
  };
}
