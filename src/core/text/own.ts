/** Fonts a person brings in: looked at before they are used, and what can be said of them. */
import { asName, LONGEST_FONT_NAME } from '@/core/text/named';
import { openFont, type OpenFont } from '@/core/text/shaper';
import { tablesOf } from '@/core/text/sfnt';
import { FontTooLarge, plainFont } from '@/core/text/woff';
import { fail, ok, type Result } from '@/core/result';

/** What most words of English, German, French and Spanish are written with, beside the letters of English. */
const USUAL = 'ÄÖÜäöüßÀÂÇÉÈÊËÎÏÔÙÛàâçéèêëîïôùûÑÁÍÓÚñáíóúœŒ¿¡“”‘’–—…&€';
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789.,;:!?-';

export interface OwnFont {
  font: OpenFont;
  name: string;
  /** Usual characters it has no letter for. */
  lacks: string[];
  /** Most of the letters and figures of English are among those. */
  few: boolean;
}

const SIGNS: Record<string, 'font' | string> = {
  '\0\x01\0\0': 'font',
  true: 'font',
  OTTO: 'font',
  wOFF: 'font',
  wOF2: 'This is a WOFF2 file. Bring the TTF, OTF or WOFF file of the font.',
  ttcf: 'This file holds several fonts in one. Bring a single TTF, OTF or WOFF file.',
};

/** Opens a font file a person chose, or says in words why it cannot be used. */
export async function lookAtFont(
  name: string,
  fileName: string,
  file: Uint8Array,
  largest: number,
): Promise<Result<OwnFont>> {
  if (!file.length) return fail(`${fileName} is empty.`);
  if (file.length > largest)
    return fail(
      `${fileName} has ${Math.round(file.length / 1e6)} MB; a font may have up to ${largest / 1e6} MB.`,
    );
  const sign = SIGNS[String.fromCharCode(...file.subarray(0, 4))];
  if (!sign) return fail(`${fileName} is not a font. Fonts come as TTF, OTF or WOFF.`);
  if (sign !== 'font') return fail(sign);
  const damaged = fail(`${fileName} is damaged: its letters cannot be read. Nothing was changed.`);
  try {
    const bytes = await plainFont(file);
    const tables = tablesOf(bytes);
    if (!tables.has('cmap') || !tables.has('head') || !tables.has('hhea')) return damaged;
    if (!tables.has('glyf') && !tables.has('CFF ') && !tables.has('CFF2'))
      return fail(
        `${fileName} holds only pictures of its letters, in fixed sizes. They cannot be cut or printed sharp.`,
      );
    const font = await openFont(name, bytes);
    if (!font.characters) return damaged;
    const lacks = [...LETTERS, ...USUAL].filter((character) => !font.has(character.codePointAt(0)!));
    // A letter that is there must have a shape.
    const drawn = [...LETTERS].find((letter) => font.has(letter.codePointAt(0)!));
    if (drawn) font.outline(font.shape(drawn)[0]!.id);
    const few = [...LETTERS].filter((letter) => lacks.includes(letter)).length > LETTERS.length / 2;
    return ok({
      font,
      name:
        asName(font.family, LONGEST_FONT_NAME) ||
        asName(fileName.replace(/\.[^.]+$/, ''), LONGEST_FONT_NAME) ||
        'Font',
      lacks,
      few,
    });
  } catch (error) {
    return error instanceof FontTooLarge ? fail(`${fileName} was not opened. ${error.message}`) : damaged;
  }
}

/** What a person should know of a font before using it, one sentence each. */
export function toldOf({ font, lacks }: OwnFont): string[] {
  return [
    ...(font.embedding === 'none'
      ? [
          'Its maker does not allow it inside documents: in a PDF its words are drawn as shapes and cannot be searched.',
        ]
      : []),
    ...(font.embedding === 'whole'
      ? ['Its maker wants it whole in documents: PDF files become larger.']
      : []),
    ...(font.variable ? ['It is a variable font; its letters are used as they are to begin with.'] : []),
    ...(lacks.length
      ? [
          `It lacks ${lacks.slice(0, 12).join(' ')}${lacks.length > 12 ? ` and ${lacks.length - 12} more` : ''}; those are written in the plain family.`,
        ]
      : []),
  ];
}
