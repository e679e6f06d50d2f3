/** The shipped fonts, opened once for the life of the tab: those that words begin in, those they turn out to need, then the rest. */
import { equipped, FIRST_FONTS, needsOf, openTypesetter, type ReadFont } from '@/core/project/needs';
import type { Project } from '@/core/project/model';
import { FONT_FILES, shaOfFamily } from '@/core/text/families';
import { openFont, type OpenFont } from '@/core/text/shaper';
import type { Typesetter } from '@/core/text/typesetter';
import { onceATab } from '@/features/shared/once';
import { assetBlob } from '@/storage/assets';

export const FONTS_AT = '/house/fonts';

export const readFont: ReadFont = async (name) => {
  const sha = shaOfFamily(name);
  if (sha) {
    const own = await assetBlob(sha);
    if (!own) throw new Error(`The font ${name} is not in this browser.`);
    return new Uint8Array(await own.arrayBuffer());
  }
  const answer = await fetch(`${FONTS_AT}/${name}.ttf`);
  if (!answer.ok) throw new Error(`The font ${name} could not be read.`);
  return new Uint8Array(await answer.arrayBuffer());
};

/** Those that words begin in; what failed is tried again when it is next asked for. */
const first = onceATab((): Promise<Typesetter> => openTypesetter(readFont, FIRST_FONTS));

/** Begins to open the fonts that words begin in. */
export const warmFonts = (): void => void first().catch(() => {});

const rest = new Map<string, Promise<OpenFont>>();
const pause = (): Promise<unknown> => new Promise((resolve) => setTimeout(resolve, 4));

/** All shipped fonts that `has` does not know, opened one after the other with room between; what cannot be read is passed over. */
export async function restOfFonts(has: (name: string) => boolean): Promise<OpenFont[]> {
  const opened: OpenFont[] = [];
  for (const name of FONT_FILES) {
    if (has(name)) continue;
    const font = rest.get(name) ?? readFont(name).then((bytes) => openFont(name, bytes));
    rest.set(name, font);
    try {
      opened.push(await font);
    } catch {
      rest.delete(name);
    }
    await pause();
  }
  return opened;
}

/** A typesetter with all a project needs; given one, the same if it has it all. */
export const typesetterFor = async (project: Project, has?: Typesetter): Promise<Typesetter> =>
  equipped(has ?? (await first()), needsOf(project), readFont);
