/** The kinds of files a page can be made into: what each is for, and what can be chosen. How each is made is in make.ts. */

interface FormatKind {
  name: string;
  /** What for, in a person's words. */
  use: string;
  /** Whether it is pixels, and a resolution can be chosen. */
  pixels: boolean;
  /** Whether it can carry crop marks. */
  cropMarks: boolean;
}

export const FORMATS = {
  pdf: {
    name: 'PDF',
    use: 'For a print shop: photos untouched, words as words',
    pixels: false,
    cropMarks: true,
  },
  jpg: { name: 'JPEG', use: 'For photo labs and for sharing', pixels: true, cropMarks: false },
  png: { name: 'PNG', use: 'Without any loss, for further work', pixels: true, cropMarks: false },
  svg: { name: 'SVG', use: 'Drawn outlines, for other programs', pixels: false, cropMarks: false },
} satisfies Record<string, FormatKind>;

/** Also the ending of the file's name. */
export type Format = keyof typeof FORMATS;

export const isFormat = (name: string): name is Format => Object.hasOwn(FORMATS, name);

export interface MakeOptions {
  format: Format;
  /** Pixels per inch, where it is pixels. */
  ppi: number;
  withBleed: boolean;
  /** Where it can carry them. */
  cropMarks: boolean;
}
