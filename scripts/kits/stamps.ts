/** Words and single letters as stamps: what they are called, and how they are drawn. */
import { pathBounds, pathData, transformPath } from '@/core/geometry/path';
import { translation } from '@/core/geometry/matrix';
import type { Typesetter } from '@/core/text/typesetter';

/** Words as a stamp: outlines of set type, `tall` points. */
export function wordStamp(text: string, family: string, typesetter: Typesetter): string {
  const { runs } = typesetter.set(text, { family, size: 54, align: 'left', leading: 1.2 }, null);
  const outline = typesetter.outline(runs);
  const { x, y, width, height } = pathBounds(outline);
  const margin = 4;
  const d = pathData(transformPath(translation(margin - x, margin - y), outline), 2);
  const [w, h] = [width + 2 * margin, height + 2 * margin];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w.toFixed(2)}pt" height="${h.toFixed(2)}pt" viewBox="0 0 ${w.toFixed(2)} ${h.toFixed(2)}"><path d="${d}" fill="#000000"/></svg>\n`;
}

const MARKS: Record<string, string> = {
  ',': 'comma',
  '.': 'full stop',
  '!': 'exclamation mark',
  '?': 'question mark',
  '&': 'ampersand',
  '-': 'hyphen',
  '’': 'apostrophe',
  '+': 'plus',
  ':': 'colon',
  '/': 'slash',
  ';': 'semicolon',
  '‘': 'opening quote',
  '“': 'opening quotes',
  '”': 'closing quotes',
  '„': 'low quotes',
  '(': 'opening bracket',
  ')': 'closing bracket',
  '*': 'star',
  '=': 'equals',
  '#': 'number sign',
  '%': 'per cent',
  '…': 'dots',
  '¡': 'opening exclamation mark',
  '¿': 'opening question mark',
  '«': 'opening guillemets',
  '»': 'closing guillemets',
  '´': 'acute',
  '`': 'grave',
  ˆ: 'circumflex',
  '¨': 'two dots',
  '˜': 'tilde',
  '˚': 'ring',
  ˇ: 'caron',
  '¸': 'cedilla',
  '˛': 'ogonek',
  '˝': 'double acute',
  '˙': 'dot above',
  '¯': 'macron',
  '˘': 'breve',
  ı: 'dotless i',
};
export const letterName = (set: string, character: string): string =>
  `${set} ${MARKS[character] ?? (/\p{Ll}/u.test(character) ? `small ${character}` : character)}`;
