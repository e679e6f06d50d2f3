/** Families as the browser shows them in lists; the page itself is drawn from the font files. */
import { shaOfFamily } from '@/core/text/families';
import { readFont } from '@/features/shared/fonts';

/** The CSS family of one of our families. */
export const faceOf = (family: string): string => `"house ${family}"`;

const loaded = new Set<string>();

/** Lets the browser show families of a person's own. */
export async function showFaces(families: readonly string[]): Promise<void> {
  await Promise.all(
    families
      .filter((family) => shaOfFamily(family) && !loaded.has(family))
      .map(async (family) => {
        loaded.add(family);
        try {
          const face = new FontFace(`house ${family}`, (await readFont(family)) as Uint8Array<ArrayBuffer>);
          document.fonts.add(await face.load());
        } catch {
          loaded.delete(family);
        }
      }),
  );
}
