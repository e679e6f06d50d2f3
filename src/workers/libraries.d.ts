declare module 'libheif-js/libheif-wasm/libheif-bundle.mjs' {
  interface HeifImage {
    get_width(): number;
    get_height(): number;
    /** Takes what is no ImageData just as well. */
    display<Target extends { data: Uint8ClampedArray; width: number; height: number }>(
      target: Target,
      done: (filled: Target | null) => void,
    ): void;
  }
  export interface LibHeif {
    HeifDecoder: new () => { decode(bytes: Uint8Array): HeifImage[] | null };
  }
  export default function load(): LibHeif;
}

declare module 'exifr/dist/full.esm.mjs' {
  const exifr: {
    parse(bytes: Uint8Array, options: object): Promise<Record<string, unknown> | undefined>;
  };
  export default exifr;
}

declare module 'lcms-wasm';
