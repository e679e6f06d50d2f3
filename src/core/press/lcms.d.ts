/** Of the library only what is used: Little CMS, compiled to WebAssembly. */
declare module 'lcms-wasm' {
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
      from: number,
      as: number,
      to: number,
      toAs: number,
      intent: number,
      flags: number,
    ): number;
    cmsCreateProofingTransform(
      ...of: [
        from: number,
        as: number,
        to: number,
        toAs: number,
        proofed: number,
        intent: number,
        proofingIntent: number,
        flags: number,
      ]
    ): number;
    cmsDeleteTransform(transform: number): void;
  }
  export function instantiate(of?: {
    wasmBinary?: ArrayBuffer | Uint8Array;
    print?: () => void;
  }): Promise<Lcms>;
  export const TYPE_RGBA_8: number;
  export const TYPE_RGB_8: number;
  export const TYPE_CMYK_8: number;
  export const TYPE_CMYK_16: number;
  export const TYPE_Lab_DBL: number;
  export const INTENT_PERCEPTUAL: number;
  export const INTENT_RELATIVE_COLORIMETRIC: number;
  export const INTENT_ABSOLUTE_COLORIMETRIC: number;
  export const cmsFLAGS_BLACKPOINTCOMPENSATION: number;
  export const cmsFLAGS_SOFTPROOFING: number;
  export const cmsFLAGS_HIGHRESPRECALC: number;
}
