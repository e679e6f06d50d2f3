/** Photos whose colours reach beyond sRGB, decoded with all of them, for the page that is proofed. */
import { Bounded } from '@/core/bounded';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { isWide } from '@/core/press/wide';
import { assetsIn } from '@/core/piece/assets';
import type { Project, Surface } from '@/core/project/model';
import type { WidePictures } from '@/features/table/stage/paint/paintPage';
import { jpegFacts } from '@/output/pdf/jpeg';
import { assetBlob } from '@/storage/assets';

/** As large as a proof shows one, pixels. */
const LONGEST = 1600;
const MOST_BYTES = 80e6;
/** A profile lies before the picture: no header is longer. */
const HEADER = 1 << 18;

const decoded = new Bounded<OffscreenCanvas>(MOST_BYTES, ({ width, height }) => 4 * width * height);
/** Whether a file is one of them, by its SHA-256. */
const known = new Map<string, boolean>();

/** Those of a page; null where there is none, and sRGB holds all of it. */
export async function widePicturesOn({ assets }: Project, { pile }: Surface): Promise<WidePictures | null> {
  const shas = [...new Set(pile.flatMap(assetsIn))];
  const here = await Promise.all(shas.map((sha) => wideOf(assets[sha])));
  const found = new Map(here.flatMap((one) => (one ? [one] : [])));
  return found.size ? { take: (sha) => found.get(sha) } : null;
}

async function wideOf(asset: Asset | undefined): Promise<readonly [string, OffscreenCanvas] | null> {
  if (asset?.type !== 'image/jpeg') return null;
  const { sha } = asset;
  if (known.get(sha) === false) return null;
  const held = decoded.get(sha);
  if (held) return [sha, held];
  const blob = await assetBlob(sha);
  if (!blob) return null;
  const wide = known.get(sha) ?? (await isWideFile(blob));
  known.set(sha, wide);
  if (!wide) return null;
  const canvas = await decodedWide(blob, asset).catch(() => null);
  if (!canvas) return null;
  decoded.set(sha, canvas);
  return [sha, canvas];
}

async function isWideFile(file: Blob): Promise<boolean> {
  try {
    const { profile } = jpegFacts(new Uint8Array(await file.slice(0, HEADER).arrayBuffer()));
    return profile !== undefined && isWide(profile);
  } catch {
    return false;
  }
}

/** By an image element: a bitmap made of the file holds what sRGB does. */
async function decodedWide(file: Blob, asset: Asset): Promise<OffscreenCanvas> {
  const address = URL.createObjectURL(file);
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const { width, height } = uprightSize(asset);
    const scale = Math.min(1, LONGEST / Math.max(width, height));
    const canvas = new OffscreenCanvas(Math.round(width * scale), Math.round(height * scale));
    const context = canvas.getContext('2d', { colorSpace: 'display-p3' })!;
    context.imageSmoothingQuality = 'high';
    context.drawImage(image, 0, 0, canvas.width, canvas.height);
    return canvas;
  } finally {
    URL.revokeObjectURL(address);
  }
}
