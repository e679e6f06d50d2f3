/** Fonts of one's own that are not here, and characters that no font has. */
import { lackingOf } from '@/core/project/needs';
import { on, type Check } from '@/core/proof/check';
import { familyName, shaOfFamily } from '@/core/text/families';
import { lackingSays } from '@/core/text/lacking';

export const FONTS: Check = {
  id: 'font',
  look: ({ seen, project, typesetter }) =>
    seen.flatMap((piece) => {
      const families = [
        ...('family' in piece.outline ? [piece.outline.family] : []),
        ...('family' in piece.material ? [piece.material.family] : []),
      ];
      const missing = families.find((family) => shaOfFamily(family) && !typesetter.has(family));
      const name = missing && familyName(missing, project.fonts);
      return missing ? [on(piece, `Its font (${name}) is not here: the plain family stands in.`)] : [];
    }),
};

export const LACKING: Check = {
  id: 'lacking',
  look: ({ seen, typesetter }) =>
    seen.flatMap((piece) =>
      lackingSays(lackingOf(piece, typesetter).filter(({ by }) => by === null)).map((says) =>
        on(piece, says),
      ),
    ),
};
