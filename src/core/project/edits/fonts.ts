/** Edits of the fonts a project holds, and of boxes whose words are set in them. */
import type { Size } from '@/core/geometry/box';
import { keptOnOneLine, wantedSize } from '@/core/piece/outline/glyphs';
import { together, type Edit } from '@/core/project/edits/edit';
import { writeWords } from '@/core/project/edits/make';
import { MOST_FONTS } from '@/core/project/schema';
import type { FontFile, Project } from '@/core/project/model';
import { isLetteredIn } from '@/core/project/needs';
import type { Typesetter } from '@/core/text/typesetter';

/** Takes fonts into the project; those it has already stay as they are. */
export const bringFonts = (fonts: readonly FontFile[]): Edit => ({
  label: fonts.length === 1 ? `bring in font “${fonts[0]!.name}”` : `bring in ${fonts.length} fonts`,
  apply(project) {
    const list = (project.fonts ??= []);
    for (const font of fonts)
      if (list.length < MOST_FONTS && !list.some(({ sha }) => sha === font.sha)) list.push({ ...font });
    if (!list.length) delete project.fonts;
  },
});

/** Everything in a project that is written in a family: pieces, and styles that were kept. */
export const writtenInFamily = (
  { surfaces, styles = [] }: Project,
  family: string,
): { pieces: number; styles: number } => ({
  pieces: surfaces.flatMap(({ pile }) => pile.filter((piece) => isLetteredIn(piece, family))).length,
  styles: styles.filter((style) => style.family === family).length,
});

/** Takes a font out of the project. */
export const takeOutFont = ({ sha, name }: FontFile): Edit => ({
  label: `take out font “${name}”`,
  apply(project) {
    const left = (project.fonts ?? []).filter((font) => font.sha !== sha);
    if (left.length) project.fonts = left;
    else delete project.fonts;
  },
});

/**
 * Boxes that grow with their words, which were as large as those were `before` fonts or languages arrived, fitted to how
 * they are set `now`; living words that stood on one line keep to it. Locked pages stay as they are.
 */
export const fitToFonts = (project: Project, before: Typesetter, now: Typesetter): Edit =>
  together(
    'fit box to its words',
    project.surfaces
      .filter(({ locked }) => !locked)
      .flatMap(({ id, pile }) =>
        pile.flatMap((piece) => {
          const { outline, placement } = piece;
          if (outline.kind !== 'glyphs' || outline.fixed) return [];
          const kept = keptOnOneLine(outline, outline, placement, [before, now]);
          if (kept) return [writeWords(id, piece, kept, wantedSize({ ...outline, ...kept }, placement, now))];
          const was = wantedSize(outline, placement, before);
          const wanted = wantedSize(outline, placement, now);
          const fitted = same(was, placement) && !same(wanted, placement);
          return fitted ? [writeWords(id, piece, {}, wanted)] : [];
        }),
      ),
  );

/** To less than what can be seen of a rounded file. */
const same = (a: Size, b: Size): boolean =>
  Math.abs(a.width - b.width) < 0.01 && Math.abs(a.height - b.height) < 0.01;
