/** The light over a page. All shadows of the page come from it. */
export interface PageLight {
  /** Where the light comes from, degrees clockwise from the page's top: 315 is from the top left. */
  direction: number;
  /** Degrees above the page: 90 is straight from above. */
  height: number;
  /** Angular radius of the lamp seen from the page, degrees: small is hard, large is soft. */
  softness: number;
  /** How much light a shadow takes away, 0 to 1. */
  strength: number;
}

/** A window to the upper left on a bright day. */
export const DAYLIGHT: PageLight = { direction: 322, height: 36, softness: 16, strength: 0.5 };

/** What shadows are made of: a warm black. */
export const SHADOW_INK = '#1c1410';
