/** The sixteen blend modes of W3C Compositing and Blending Level 1, by their standard names; “normal” is none. */
export const BLENDS = [
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
  'hue',
  'saturation',
  'color',
  'luminosity',
] as const;
export type Blend = (typeof BLENDS)[number];
