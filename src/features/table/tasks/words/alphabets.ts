/** Alphabets at hand, and their letters' pictures as they are wanted. */
import { uprightSize, type Asset } from '@/core/picture/asset';
import { wantedFor } from '@/core/project/letters';
import type { LaidLetters } from '@/core/project/model';
import { openCounters } from '@/core/pixels/counters';
import { ok, type Result } from '@/core/result';
import type { Supply } from '@/core/supplies/model';
import { bringIn } from '@/features/shared/bringIn';
import { houseStocked } from '@/features/shared/stock';
import { fileOfSupply, pictureOf } from '@/features/shared/supplyFiles';
import { alphabets, putSupplies } from '@/storage/supplies';

export interface Alphabet {
  id: string;
  name: string;
  house: boolean;
  letters: Supply[];
}

export async function readAlphabets(): Promise<Alphabet[]> {
  await houseStocked();
  const all = await alphabets();
  return all
    .map(({ kit, alphabet, letters }) => ({
      id: alphabet ? `${kit.id} ${alphabet}` : kit.id,
      name: alphabet ? `${alphabet}, of ${kit.name}` : kit.name,
      house: kit.house,
      letters,
    }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** A kit's file may have an accent apart from its letter. */
const composedOf = (letters: string | undefined) => letters?.normalize('NFC');

/** Characters to pictures, in the kit's order. */
export function entriesOf({ letters }: Alphabet): LaidLetters['alphabet'] {
  const entries = new Map<string, string[]>();
  for (const { letters: called, asset } of [...letters].sort((a, b) => a.order - b.order)) {
    const character = composedOf(called);
    if (character && asset) entries.set(character, [...(entries.get(character) ?? []), asset.sha]);
  }
  return [...entries].map(([character, assets]) => ({ character, assets }));
}

/** How tall its tallest capital or figure is at true size, points; its tallest picture if it has neither. */
export function tallestOf({ letters }: Alphabet): number {
  const among = letters.filter((one) => /^[A-Z0-9]$/.test(one.letters ?? ''));
  const of = among.length ? among : letters;
  return Math.max(
    1,
    ...of.flatMap(({ asset }) => (asset ? (uprightSize(asset).height * 72) / asset.ppi : [])),
  );
}

/** The pictures a text needs, in the store. */
export async function picturesFor({ letters }: Alphabet, text: string): Promise<Result<Asset[]>> {
  const wanted = wantedFor(text);
  const found: Asset[] = [];
  for (const letter of letters) {
    const character = composedOf(letter.letters);
    if (!character || !wanted.has(character)) continue;
    const asset = await pictureOf(letter);
    if (!asset.ok) return asset;
    found.push(asset.value);
  }
  return ok(found);
}

/** Opens closed counters in all letters of an alphabet, kept as new pictures; answers for which characters. */
export async function openAll({ letters }: Alphabet): Promise<string[]> {
  const opened: string[] = [];
  for (const letter of letters) {
    const blob = letter.asset && (await fileOfSupply(letter));
    if (!blob?.ok || letter.asset!.type === 'image/svg+xml') continue;
    const bitmap = await createImageBitmap(blob.value);
    const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
    const context = canvas.getContext('2d', { willReadFrequently: true })!;
    context.drawImage(bitmap, 0, 0);
    bitmap.close();
    const pixels = context.getImageData(0, 0, canvas.width, canvas.height);
    if (!openCounters(pixels.data, canvas.width, canvas.height)) continue;
    context.putImageData(pixels, 0, 0);
    const file = new File([await canvas.convertToBlob({ type: 'image/png' })], letter.asset!.name, {
      type: 'image/png',
    });
    const [asset] = (await bringIn([file], new AbortController().signal)).assets;
    if (!asset) continue;
    const { ppi, lift } = letter.asset!;
    await putSupplies([
      {
        ...letter,
        at: undefined,
        thumb: undefined,
        asset: { ...asset, ppi, ...(lift === undefined ? {} : { lift }) },
      },
    ]);
    opened.push(letter.letters ?? letter.name);
  }
  return opened;
}
