/** Supplies in other colours: the files made anew, light and shade kept; those they come from stay as they are. */
import { wornDrawing } from '@/core/dye/drawing';
import type { Dye } from '@/core/dye/dye';
import { writeDrawing } from '@/core/drawing/write';
import { fail, ok, type Result } from '@/core/result';
import { asName } from '@/core/text/named';
import { newKit, type Kit, type NamedInk, type Supply } from '@/core/supplies/model';
import { bringIn, describeTrouble } from '@/features/shared/bringIn';
import { newId } from '@/features/shared/ids';
import { readablePictureOf } from '@/features/shared/supplyFiles';
import { openDrawing, wornPixels } from '@/output/drawings';
import { pngWithDensity } from '@/output/pixels/density';
import { browser } from '@/output/platform';

/** All of a picture like an ink. */
export const dyeLike = (ink: string, greysStay: boolean): Dye => ({
  id: 'version',
  name: 'All of it',
  change: { how: 'ink', ink, ...(greysStay ? { greysStay: true as const } : {}) },
  strength: 1,
});

/** The supply in another colour, its file in the store. */
async function dyedSupply(
  supply: Supply,
  ink: NamedInk,
  greysStay: boolean,
  kit: string,
): Promise<Result<Supply>> {
  const found = await readablePictureOf(supply);
  if (!found.ok) return found;
  const { asset, blob } = found.value;
  const dyes = [dyeLike(ink.colour, greysStay)];
  const name = asName(`${supply.name}, ${ink.name}`, 200);
  let file: File;
  if (asset.type === 'image/svg+xml') {
    const drawn = await openDrawing(asset, new Uint8Array(await blob.arrayBuffer()));
    if (!drawn) return fail(`${supply.name} could not be read as a drawing.`);
    file = new File([writeDrawing(wornDrawing(drawn.drawing, { dyes }))], `${name}.svg`, {
      type: 'image/svg+xml',
    });
  } else {
    const bitmap = await createImageBitmap(blob);
    const { source } = wornPixels(
      { source: bitmap, width: bitmap.width, height: bitmap.height },
      { dyes },
      browser,
    );
    bitmap.close();
    const png = await (source as OffscreenCanvas).convertToBlob({ type: 'image/png' });
    const parts = pngWithDensity(new Uint8Array(await png.arrayBuffer()), asset.ppi);
    file = new File(parts as Uint8Array<ArrayBuffer>[], `${name}.png`, { type: 'image/png' });
  }
  const brought = await bringIn([file], new AbortController().signal);
  const [arrived] = brought.arrived;
  if (!arrived) return fail(describeTrouble(brought) ?? `${supply.name} could not be dyed.`);
  const { at: _, thumb: __, used: ___, ...plain } = supply;
  const { ppi, lift } = asset;
  return ok({
    ...plain,
    id: newId(),
    kit,
    name,
    favourite: false,
    added: Date.now(),
    colours: arrived.facts.colours,
    asset: { ...arrived.asset, name, ppi, ...(lift === undefined ? {} : { lift }) },
  });
}

/** A kit of the supplies for each ink, and why any of them could not be made; `counted` hears how many are done. */
export async function dyedKits(
  supplies: readonly Supply[],
  inks: readonly NamedInk[],
  greysStay: boolean,
  from: string,
  counted: (done: number) => void,
): Promise<{ kits: { kit: Kit; supplies: Supply[] }[]; trouble: string[] }> {
  const kits: { kit: Kit; supplies: Supply[] }[] = [];
  const trouble = new Set<string>();
  let done = 0;
  for (const ink of inks) {
    const kit = newKit(newId(), `${from} in ${ink.name}`, Date.now());
    const made: Supply[] = [];
    for (const supply of supplies) {
      const dyed = await dyedSupply(supply, ink, greysStay, kit.id).catch(() => null);
      if (dyed?.ok) made.push({ ...dyed.value, order: made.length });
      else trouble.add(dyed ? dyed.message : `${supply.name} could not be dyed.`);
      counted((done += 1));
    }
    if (made.length) kits.push({ kit, supplies: made });
  }
  return { kits, trouble: [...trouble] };
}
