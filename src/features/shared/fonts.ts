/** The shipped fonts, opened once for the life of the tab. */
import { FONT_FILES } from '@/core/text/families';
import { openFont } from '@/core/text/shaper';
import { createTypesetter, type Typesetter } from '@/core/text/typesetter';

export const FONTS_AT = '/house/fonts';
let opening: Promise<Typesetter> | undefined;

export const openTypesetter = (): Promise<Typesetter> =>
  (opening ??= Promise.all(
    FONT_FILES.map(async (name) => {
      const answer = await fetch(`${FONTS_AT}/${name}.woff`);
      if (!answer.ok) throw new Error(`The font ${name} could not be read.`);
      return openFont(name, new Uint8Array(await answer.arrayBuffer()));
    }),
  ).then(createTypesetter));
