/** The colours of photos, looked up in their small copies while a mosaic is planned. */
import { useEffect, useRef, useState } from 'react';
import type { Size } from '@/core/geometry/box';
import { meanColours, type Lab } from '@/core/mosaic/colours';
import { uprightSize, type Asset } from '@/core/picture/asset';
import { coverScale, firstWindow, keepCovered } from '@/core/piece/material/window';
import type { Drawable } from '@/output/platform';
import { useRoom } from '@/features/table/room/context';

/** Pixels a side in which a photo’s mean is taken. */
const SIDE = 16;
const GREY: Lab = [0.6, 0, 0];
/** Photos that are decoded beside each other: the browser does it on other cores. */
const AT_ONCE = 50;

/** Made once: a mosaic looks at hundreds of photos. */
let desk: OffscreenCanvasRenderingContext2D | undefined;

/** A picture's part, as pixels of another size. */
function bitmapPixels(
  bitmap: CanvasImageSource,
  { width, height }: Size,
  [x, y, w, h]: readonly [number, number, number, number],
): ImageData {
  desk ??= new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true })!;
  if (desk.canvas.width !== width || desk.canvas.height !== height)
    Object.assign(desk.canvas, { width, height });
  desk.clearRect(0, 0, width, height);
  desk.imageSmoothingQuality = 'high';
  desk.drawImage(bitmap, x, y, w, h, 0, 0, width, height);
  return desk.getImageData(0, 0, width, height);
}

/** A small copy of a picture, `side` pixels at its longer side at most. */
export function smallPixels({ source, width, height }: Drawable, side: number): ImageData {
  const scale = Math.min(1, side / Math.max(width, height));
  const to = (length: number) => Math.max(1, Math.round(length * scale));
  return bitmapPixels(source, { width: to(width), height: to(height) }, [0, 0, width, height]);
}

/** The mean colour of each photo that is known already, by SHA-256. */
export function useMeans(assets: readonly Asset[]): ReadonlyMap<string, Lab> {
  const { shelf } = useRoom();
  const known = useRef(new Map<string, Lab>());
  const [means, setMeans] = useState<ReadonlyMap<string, Lab>>(new Map());
  useEffect(() => {
    let gone = false;
    void (async () => {
      const wanted = assets.filter(({ sha }) => !known.current.has(sha));
      for (let at = 0; at < wanted.length && !gone; at += AT_ONCE)
        await Promise.all(
          wanted.slice(at, at + AT_ONCE).map(async (asset) => {
            const bitmap = await shelf.small(asset.sha).catch(() => undefined);
            // One that cannot be read counts as grey: the others need not wait for it.
            known.current.set(
              asset.sha,
              bitmap
                ? meanColours(
                    bitmapPixels(bitmap, { width: SIDE, height: SIDE }, [0, 0, bitmap.width, bitmap.height]),
                  )[0]!
                : GREY,
            );
          }),
        );
      if (!gone) setMeans(new Map(known.current));
    })();
    return () => {
      gone = true;
    };
  }, [assets, shelf]);
  return means;
}

/** The colours a picture has in each cell of an area it covers, row by row; null until they are known. */
export function useParts(
  asset: Asset | undefined,
  { width, height }: Size,
  columns: number,
  rows: number,
): readonly Lab[] | null {
  const { shelf } = useRoom();
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
    void shelf
      .small(asset.sha)
      .catch(() => undefined)
      .then((bitmap) => {
        if (!bitmap || gone) return;
        const found = bitmapPixels(bitmap, { width: 6 * columns, height: 6 * rows }, seen(bitmap));
        setParts({ key, parts: meanColours(found, columns, rows) });
      });
    return () => {
      gone = true;
    };
  }, [asset, width, height, columns, rows, key, shelf]);
  return parts?.key === key ? parts.parts : null;
}
