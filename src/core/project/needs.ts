/** Which fonts and languages a project's words need beyond those that are always open. */
import type { Piece } from '@/core/piece/piece';
import type { Project } from '@/core/project/model';
import type { Divide } from '@/core/text/breaks';
import { faceFonts, fallbacksFor, FONT_FILES, shaOfFamily, type FamilyFace } from '@/core/text/families';
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

/** Everything a piece has written on it. */
export const textsOf = ({ outline, material }: Pick<Piece, 'outline' | 'material'>): string[] => [
  ...(outline.kind === 'glyphs' ? [outline.text] : []),
  ...(outline.kind === 'running' ? [outline.text, outline.between] : []),
  ...(material.kind === 'words' ? [material.text] : []),
];

/** Every way in which something is lettered on a piece. */
const letteringsOf = ({ outline, material }: Piece): FamilyFace[] => [
  ...('family' in outline ? [outline] : []),
  ...('family' in material ? [material] : []),
  ...(outline.kind === 'glyphs' ? (outline.spans ?? []).map((span) => lettersIn(outline, span)) : []),
];

/** Whether anything on a piece is written in a family. */
export const isLetteredIn = (piece: Piece, family: string): boolean =>
  letteringsOf(piece).some((one) => one.family === family);

/** Characters on a piece that the families they are written in do not have. */
export const lackingOf = ({ outline, material }: Piece, typesetter: Typesetter): Lacking[] => [
  ...(outline.kind === 'glyphs' ? lackingIn(outline.text, outline, typesetter) : []),
  ...(outline.kind === 'running' ? lackingIn(outline.text + outline.between, outline, typesetter) : []),
  ...(material.kind === 'words' ? lackingIn(material.text, material, typesetter) : []),
];

function needsOfPiece(piece: Piece): Needs {
  const before = known.get(piece);
  if (before) return before;
  const { outline } = piece;
  const needs: Needs = {
    fonts: [
      ...letteringsOf(piece).flatMap((wanted) =>
        shaOfFamily(wanted.family) ? [wanted.family] : faceFonts(wanted),
      ),
      ...textsOf(piece).flatMap(fallbacksFor),
    ],
    languages: outline.kind === 'glyphs' && outline.hyphens ? [outline.hyphens] : [],
  };
  known.set(piece, needs);
  return needs;
}

export function needsOf({ surfaces }: Pick<Project, 'surfaces'>): Needs {
  const all = surfaces.flatMap(({ pile }) => pile.map(needsOfPiece));
  return {
    fonts: [...new Set(all.flatMap(({ fonts }) => fonts))],
    languages: [...new Set(all.flatMap(({ languages }) => languages))],
  };
}

/** The shipped families, opened. */
export async function openTypesetter(read: ReadFont): Promise<Typesetter> {
  const fonts = Promise.all(FONT_FILES.map(async (name) => openFont(name, await read(name))));
  // Fetched with the fonts: nothing is set without them.
  const { createTypesetter } = await import('@/core/text/typesetter');
  return createTypesetter(await fonts);
}

/** The typesetter with all that is needed; the same one if nothing was missing. Fonts that cannot be read are passed over. */
export async function equipped(typesetter: Typesetter, needs: Needs, read: ReadFont): Promise<Typesetter> {
  const fonts = needs.fonts.filter((name) => !typesetter.has(name));
  const languages = needs.languages.filter((language) => !typesetter.divides(language));
  if (!fonts.length && !languages.length) return typesetter;
  const opened = await Promise.all(
    fonts.map(async (name): Promise<OpenFont[]> => {
      try {
        return [await openFont(name, await read(name))];
      } catch {
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
