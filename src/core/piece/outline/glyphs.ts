/** Words: letters set in lines from the box's top left corner. */
import { boolean, number, object, string } from 'yup';
import { translation } from '@/core/geometry/matrix';
import type { Size } from '@/core/geometry/box';
import { transformPath } from '@/core/geometry/path';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { FAMILIES } from '@/core/text/families';
import type { SetText, TextStyle, Typesetter } from '@/core/text/typesetter';

export interface GlyphsOutline extends TextStyle {
  kind: 'glyphs';
  text: string;
  /** Whether lines break at the box's width; if not, the box grows with the words. */
  wrap: boolean;
}

export const SMALLEST_LETTERS = 4;
export const LARGEST_LETTERS = 2000;

export const glyphs: OutlineKind<GlyphsOutline> = {
  kind: 'glyphs',
  name: 'Words',
  schema: object({
    kind: string().oneOf(['glyphs']).required(),
    text: string().max(20_000).defined(),
    family: string()
      .oneOf(FAMILIES.map((family) => family.id))
      .required(),
    size: number().min(SMALLEST_LETTERS).max(LARGEST_LETTERS).required(),
    align: string().oneOf(['left', 'centre', 'right']).required(),
    leading: number().min(0.5).max(4).required(),
    wrap: boolean().required(),
  }).noUnknown(),
  cut: (outline, size, typesetter) => {
    const set = setGlyphs(outline, size, typesetter);
    const toCentre = translation(-size.width / 2, -size.height / 2);
    return {
      path: transformPath(toCentre, typesetter.outline(set)),
      words: set.runs.map((run) => ({
        ...run,
        glyphs: run.glyphs.map((glyph) => ({ ...glyph, x: glyph.x + toCentre[4], y: glyph.y + toCentre[5] })),
      })),
    };
  },
};

/** The words set for a box of this size; origin at the box's top left. */
export const setGlyphs = (
  { text, family, size, align, leading, wrap }: GlyphsOutline,
  box: Size,
  typesetter: Typesetter,
): SetText => typesetter.set(text, { family, size, align, leading }, wrap ? box.width : null);

/** The box the words want: as wide as they are (or as the box, if they break in it), as tall as their lines. */
export function wantedSize(outline: GlyphsOutline, box: Size, typesetter: Typesetter): Size {
  const { width, height } = setGlyphs(outline, box, typesetter).size;
  return { width: outline.wrap ? box.width : Math.max(width, outline.size / 2), height };
}
