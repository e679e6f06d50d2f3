/** The sRGB curve of IEC 61966-2-1, and what a colour weighs in light. */

/** Encoded, 0 to 1, to linear light, 0 to 1. */
export const toLinear = (c: number): number => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
/** Linear light, 0 to 1, to encoded, 0 to 1. */
export const toEncoded = (c: number): number => (c <= 0.0031308 ? c * 12.92 : 1.055 * c ** (1 / 2.4) - 0.055);

/** Shares of red, green and blue in luma, Rec. ITU-R BT.709. */
export const LUMA = [0.2126, 0.7152, 0.0722] as const;
