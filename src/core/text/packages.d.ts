declare module 'bidi-js' {
  interface Bidi {
    /** One level for each UTF-16 unit. */
    getEmbeddingLevels(
      text: string,
      direction?: 'ltr' | 'rtl' | 'auto',
    ): { levels: Uint8Array; paragraphs: { start: number; end: number; level: number }[] };
  }
  export default function bidiFactory(): Bidi;
}

declare module 'linebreak' {
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): { position: number; required: boolean } | null;
  }
}

declare module 'hyphen' {
  /** Patterns by Liang's method, packed. */
  export type Patterns = readonly unknown[];
  export default function createHyphenator(
    patterns: Patterns,
    options?: { hyphenChar?: string; minWordLength?: number },
  ): (text: string) => string;
}

declare module 'hyphen/patterns/*.js' {
  const patterns: import('hyphen').Patterns;
  export default patterns;
}
