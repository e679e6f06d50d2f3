/** The colours of photos, looked up in their small copies while a mosaic is planned. */
import { useEffect, useRef, useState } from 'react';
import type { Size } from '@/core/geometry/box';
import { meanColours, type Lab } from '@/core/mosaic/colours';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { coverScale, firstWindow, keepCovered } from '@/core/piece/material/window';
import { smallBlob } from '@/storage/assets';

/** Pixels a side in which a photo’s mean is taken. */
const SIDE = 16;
const GREY: Lab = [0.6, 0, 0];
/** Milliseconds between looks at what is known so far. */
const SHOW_EVERY = 200;

async function pixels(
  asset: Asset,
  size: Size,
  part?: (whole: Size) => readonly [number, number, number, number],
) {
  const blob = await smallBlob(asset.sha);
  if (!blob) return null;
  const bitmap = await createImageBitmap(blob);
  const canvas = new OffscreenCanvas(size.width, size.height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.imageSmoothingQuality = 'high';
  const [x, y, width, height] = part?.(bitmap) ?? [0, 0, bitmap.width, bitmap.height];
  context.drawImage(bitmap, x, y, width, height, 0, 0, size.width, size.height);
  bitmap.close();
  return context.getImageData(0, 0, size.width, size.height);
}

/** The mean colour of each photo that is known already, by SHA-256. */
export function useMeans(assets: readonly Asset[]): ReadonlyMap<string, Lab> {
  const known = useRef(new Map<string, Lab>());
  const [means, setMeans] = useState<ReadonlyMap<string, Lab>>(new Map());
  useEffect(() => {
    let gone = false;
    void (async () => {
      let shown = performance.now();
      for (const asset of assets) {
        if (gone) return;
        if (known.current.has(asset.sha)) continue;
        const found = await pixels(asset, { width: SIDE, height: SIDE }).catch(() => null);
        // One that cannot be read counts as grey: the others need not wait for it.
        known.current.set(asset.sha, found ? meanColours(found)[0]! : GREY);
        if (performance.now() - shown < SHOW_EVERY) continue;
        shown = performance.now();
        setMeans(new Map(known.current));
      }
      if (!gone) setMeans(new Map(known.current));
    })();
    return () => {
      gone = true;
    };
  }, [assets]);
  return means;
}

/** The colours a picture has in each cell of an area it covers, row by row; null until they are known. */
export function useParts(
  asset: Asset | undefined,
  { width, height }: Size,
  columns: number,
  rows: number,
): readonly Lab[] | null {
  const [parts, setParts] = useState<{ key: string; parts: readonly Lab[] } | null>(null);
  const key = asset ? `${asset.sha} ${width} ${height} ${columns} ${rows}` : '';
  useEffect(() => {
    if (!asset) return;
    let gone = false;
    const seen = (whole: Size) => {
      // What of the picture the area shows, as the page will draw it.
      const upright = uprightSize(asset);
      const scale = coverScale(upright, { width, height }, 0);
      const window = keepCovered(firstWindow(asset), upright, { width, height }, scale);
      const share = { x: width / scale / upright.width, y: height / scale / upright.height };
      return [
        (window.x - share.x / 2) * whole.width,
        (window.y - share.y / 2) * whole.height,
        share.x * whole.width,
        share.y * whole.height,
      ] as const;
    };
    void pixels(asset, { width: 6 * columns, height: 6 * rows }, seen)
      .catch(() => null)
      .then((found) => {
        if (found && !gone) setParts({ key, parts: meanColours(found, columns, rows) });
      });
    return () => {
      gone = true;
    };
  }, [asset, width, height, columns, rows, key]);
  return parts?.key === key ? parts.parts : null;
}
