/** Edits of the fonts a project holds. */
import type { Edit } from '@/core/project/edits/edit';
import { MOST_FONTS } from '@/core/project/file';
import type { FontFile } from '@/core/project/model';

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
