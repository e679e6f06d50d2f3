/** Colours as `#rrggbb` in sRGB (IEC 61966-2-1), the one notation inside the program. */
export const HEX_COLOUR = /^#[0-9a-f]{6}$/;

/** Red, green, blue from 0 to 1. */
export function rgbOf(colour: string): [number, number, number] {
  const value = Number.parseInt(colour.slice(1), 16);
  return [(value >> 16) / 255, ((value >> 8) & 255) / 255, (value & 255) / 255];
}

/** `#rrggbb` of red, green, blue from 0 to 1. */
export const hexOf = (rgb: readonly number[]): string =>
  `#${rgb
    .map((value) =>
      Math.round(255 * value)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;

/** So much of the way from one colour to another, in sRGB as it is stored; 0 to 1. */
export function mixed(from: string, to: string, share: number): string {
  const after = rgbOf(to);
  return hexOf(rgbOf(from).map((value, c) => value + share * (after[c]! - value)));
}
