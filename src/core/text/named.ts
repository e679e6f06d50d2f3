/** Names that come with files, as they are stored: what is shown of them, and nothing else. */

import { letterRound } from '@/core/text/letters';

/** Letters of a font's name. */
export const LONGEST_FONT_NAME = 120;

/**
 * What nobody sees, or what turns the letters after it round: control characters (Cc), marks that order both ways of writing
 * (Unicode Standard Annex 9, 2.1 to 2.5), and other invisible ones, but for the joiners that scripts and emoji are made with.
 */
const UNSEEN =
  /[\p{Cc}\u00ad\u061c\u180e\u200b\u200e\u200f\u202a-\u202e\u2060-\u206f\ufeff\ufff9-\ufffb\u{e0001}]/gu;
const LINE_ENDS = /[\s\u0085\u2028\u2029]+/gu;

/** The beginning of a text, no more than `longest` UTF-16 units; no half of a letter at its end, if there is a whole one. */
export const shortened = (text: string, longest: number): string =>
  text.slice(0, letterRound(text, longest)[0] || longest).replace(/[\ud800-\udbff]$/, '');

/** One line of no more than `longest` letters (UTF-16 units), composed (Unicode NFC); no half of a letter at its end. Empty where nothing is left. */
export const asName = (text: string, longest: number): string =>
  shortened(
    text
      .toWellFormed()
      .normalize('NFC')
      .replace(LINE_ENDS, ' ')
      .replace(UNSEEN, '')
      .replaceAll('\ufffd', '')
      .replace(/ {2,}/g, ' ')
      .trim(),
    longest,
  ).trim();

/** How a file is called in a sentence: the last part of its path, as it is shown. */
export const calledFile = (path: string): string => asName(path.split('/').pop()!, 400) || 'A file';
