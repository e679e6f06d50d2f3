/** The fonts that ship, opened beside the page, and those that a project's words need with them. */
import { equipped, FIRST_FONTS, openTypesetter, type Needs, type ReadFont } from '@/core/project/needs';
import { shaOfFamily } from '@/core/text/families';
import type { Typesetter } from '@/core/text/typesetter';
import { bytesAt } from '@/workers/fetched';

export interface Fonts {
  /** Those that words begin in. */
  shipped: Promise<Typesetter>;
  /** With what words need; `own` are files of a person's fonts, by SHA-256. What was once opened stays so. */
  for(needs: Needs, own: ReadonlyMap<string, Blob>): Promise<Typesetter>;
}

export function fontsAt(folder: string): Fonts {
  const read: ReadFont = (name) => bytesAt(`${folder}/${name}.ttf`);
  const shipped = openTypesetter(read, FIRST_FONTS);
  let last = shipped;
  return {
    shipped,
    async for(needs, own) {
      const now = await equipped(await last, needs, async (name) => {
        const file = own.get(shaOfFamily(name) ?? '');
        return file ? new Uint8Array(await file.arrayBuffer()) : read(name);
      });
      last = Promise.resolve(now);
      return now;
    },
  };
}
