/** More edits by chance: of what lies beside the pieces (fonts, colour profiles, a page's note), and of the ink of several. */
import { bringFonts } from '@/core/project/edits/fonts';
import { endPractice } from '@/core/project/edits/gather';
import { inkPieces } from '@/core/project/edits/make';
import { writeNote } from '@/core/project/edits/page';
import { bringProfile, takeOutProfile } from '@/core/project/edits/profiles';
import type { Hand } from './hand';

/** One the first project has, and one it has not. */
const [HELD, FRESH] = ['c'.repeat(64), 'd'.repeat(64)];

export const BROUGHT_EDITS = {
  bringFonts: ({ chance }: Hand) =>
    bringFonts([{ sha: 'b'.repeat(64), name: chance.text(), bytes: chance.number() }]),
  bringProfile: ({ chance }: Hand) =>
    bringProfile({ sha: FRESH, name: chance.text(), bytes: chance.number() }),
  endPractice: () => endPractice(),
  inkPieces: ({ s, some, chance }: Hand) => inkPieces(s, some, chance.colour()),
  writeNote: ({ s, chance }: Hand) => writeNote(s, chance.text()),
  takeOutProfile: () => takeOutProfile({ sha: HELD, name: 'Press' }),
};
