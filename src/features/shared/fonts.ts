/** The shipped fonts, opened once for the life of the tab, and those that words turn out to need. */
import { equipped, needsOf, openTypesetter, type ReadFont } from '@/core/project/needs';
import type { Project } from '@/core/project/model';
import { shaOfFamily } from '@/core/text/families';
import type { Typesetter } from '@/core/text/typesetter';
import { assetBlob } from '@/storage/assets';

export const FONTS_AT = '/house/fonts';
let opening: Promise<Typesetter> | undefined;

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

/** The shipped fonts; what failed is tried again when it is next asked for. */
function shipped(): Promise<Typesetter> {
  const now = (opening ??= openTypesetter(readFont));
  now.catch(() => {
    if (opening === now) opening = undefined;
  });
  return now;
}

/** Begins to open the shipped fonts. */
export const warmFonts = (): void => void shipped().catch(() => {});

/** A typesetter with all a project needs; given one, the same if it has it all. */
export const typesetterFor = async (project: Project, has?: Typesetter): Promise<Typesetter> =>
  equipped(has ?? (await shipped()), needsOf(project), readFont);
