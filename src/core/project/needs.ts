/** Which fonts and languages a project's words need beyond those that are always open. */
import type { Written } from '@/core/piece/answers';
import { materialKind } from '@/core/piece/material';
import { outlineKind } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import type { Project } from '@/core/project/model';
import type { Divide } from '@/core/text/breaks';
import { HOUSE_STYLES } from '@/core/project/edits/styles';
import {
  faceFonts,
  fallbacksFor,
  FONT_FILES,
  fontsOf,
  PLAIN_FAMILY,
  shaOfFamily,
  type FamilyFace,
} from '@/core/text/families';
import { lackingIn, type Lacking } from '@/core/text/lacking';
import { openFont, type OpenFont } from '@/core/text/shaper';
import { lettersIn, type Language } from '@/core/text/style';
import type { Typesetter } from '@/core/text/typesetter';

export interface Needs {
  /** Font files by name. */
  fonts: string[];
  languages: Language[];
}

/** Reads a font file by its name: the shipped ones, and `own-` with the SHA-256 for a person's own. */
export type ReadFont = (name: string) => Promise<Uint8Array>;

const known = new WeakMap<Piece, Needs>();

/** Everything a piece has written on it, and how. */
export const writtenOn = ({ outline, material }: Pick<Piece, 'outline' | 'material'>): Written[] => [
  ...(outlineKind(outline).written?.(outline) ?? []),
  ...(materialKind(material).written?.(material) ?? []),
];

export const textsOf = (piece: Pick<Piece, 'outline' | 'material'>): string[] =>
  writtenOn(piece).map(({ text }) => text);

/** Every way in which something is lettered on a piece. */
export const letteringsOf = (piece: Piece): FamilyFace[] =>
  writtenOn(piece).flatMap(({ letters }) => [
    letters,
    ...(letters.spans ?? []).map((span) => lettersIn(letters, span)),
  ]);

/** Whether anything on a piece is written in a family. */
export const isLetteredIn = (piece: Piece, family: string): boolean =>
  letteringsOf(piece).some((one) => one.family === family);

/** Characters on a piece that the families they are written in do not have. */
export const lackingOf = (piece: Piece, typesetter: Typesetter): Lacking[] =>
  writtenOn(piece).flatMap(({ text, letters }) => lackingIn(text, letters, typesetter));

function needsOfPiece(piece: Piece): Needs {
  const before = known.get(piece);
  if (before) return before;
  const needs: Needs = {
    fonts: [
      ...letteringsOf(piece).flatMap((wanted) =>
        shaOfFamily(wanted.family) ? [wanted.family] : [...fontsOf(wanted.family), ...faceFonts(wanted)],
      ),
      ...textsOf(piece).flatMap(fallbacksFor),
    ],
    languages: writtenOn(piece).flatMap(({ language }) => language ?? []),
  };
  known.set(piece, needs);
  return needs;
}

export function needsOf({ surfaces, styles = [] }: Pick<Project, 'surfaces' | 'styles'>): Needs {
  const all = surfaces.flatMap(({ pile }) => pile.map(needsOfPiece));
  return {
    fonts: [
      ...new Set([...all.flatMap(({ fonts }) => fonts), ...styles.flatMap(({ family }) => fontsOf(family))]),
    ],
    languages: [...new Set(all.flatMap(({ languages }) => languages))],
  };
}

/** The files of the families that words begin in, and of the one that all else is sought in. */
export const FIRST_FONTS: readonly string[] = [
  ...new Set([PLAIN_FAMILY, ...HOUSE_STYLES.map(({ family }) => family)].flatMap(fontsOf)),
];

/** Shipped families, opened: all of them, or these files. */
export async function openTypesetter(
  read: ReadFont,
  names: readonly string[] = FONT_FILES,
): Promise<Typesetter> {
  const fonts = Promise.all(names.map(async (name) => openFont(name, await read(name))));
  // Fetched with the fonts: nothing is set without them.
  const { createTypesetter } = await import('@/core/text/typesetter');
  return createTypesetter(await fonts);
}

/**
 * The typesetter with all that is needed; the same one if nothing was missing. A person's own fonts, faces and fonts of other
 * scripts that cannot be read are passed over; a family that ships is there, or this fails.
 */
export async function equipped(typesetter: Typesetter, needs: Needs, read: ReadFont): Promise<Typesetter> {
  const fonts = needs.fonts.filter((name) => !typesetter.has(name));
  const languages = needs.languages.filter((language) => !typesetter.divides(language));
  if (!fonts.length && !languages.length) return typesetter;
  const opened = await Promise.all(
    fonts.map(async (name): Promise<OpenFont[]> => {
      try {
        return [await openFont(name, await read(name))];
      } catch (error) {
        if (FONT_FILES.includes(name)) throw error;
        return [];
      }
    }),
  );
  const divides = await Promise.all(
    languages.map(async (language): Promise<[Language, Divide]> => {
      const { openDivide } = await import('@/core/text/breaks');
      return [language, await openDivide(language)];
    }),
  );
  // A font that cannot be read is asked for again and again: what has all the rest stays the same.
  return opened.flat().length || divides.length
    ? typesetter.with(opened.flat(), Object.fromEntries(divides))
    : typesetter;
}
