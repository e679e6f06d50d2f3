/** Colours as people write them. */
import { modeHwb, modeLab, modeLch, modeP3, useMode as register } from 'culori/fn';
import { formatHex, parseColour } from '@/core/color/spaces';

[modeHwb, modeLab, modeLch, modeP3].forEach((mode) => register(mode as typeof modeLab));

/** No colour is written longer than this. */
const LONGEST = 80;

/**
 * `#rrggbb` of a colour in any notation of CSS Color 4 (its opacity does not count), or of three or six hexadecimal digits;
 * undefined if it is none. What the screen cannot show is cut to what it can.
 */
export function cssColour(text: string): string | undefined {
  const typed = text.trim().slice(0, LONGEST);
  // Digits without the sign are taken as three or six; other numbers of them are a slip of the hand.
  if (/^[0-9a-f]+$/i.test(typed) && typed.length !== 3 && typed.length !== 6) return undefined;
  return formatHex(parseColour(typed));
}
