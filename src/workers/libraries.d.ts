declare module 'libheif-js/libheif-wasm/libheif-bundle.mjs' {
  interface HeifImage {
    get_width(): number;
    get_height(): number;
    display(target: ImageData, done: (filled: ImageData | null) => void): void;
  }
  interface LibHeif {
    HeifDecoder: new () => { decode(bytes: Uint8Array): HeifImage[] };
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
