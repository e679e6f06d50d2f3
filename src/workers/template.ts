/** A picture's tones, or its outline by a threshold, in a worker. */
import { pathData } from '@/core/geometry/path';
import { outlineOfPicture, type Tracing } from '@/core/pixels/outline';
import { tonesOf } from '@/core/pixels/tones';
import { pixelsOf } from '@/workers/facts';

/** Longest side, pixels, at which tones are told apart: larger pictures are made smaller first. */
const TONES_SIDE = 3600;

export interface ToldTone {
  colour: string;
  share: number;
  areas: number;
  /** Path data in the pixels of the picture as it was looked at. */
  data: string;
}

export interface ToldTones {
  tones: ToldTone[];
  /** How many there were before they were reduced. */
  found: number;
  width: number;
  height: number;
}

export async function templateTones(file: Blob, most: number): Promise<ToldTones> {
  const bitmap = await createImageBitmap(file);
  const { data, width, height } = pixelsOf(bitmap, TONES_SIDE);
  bitmap.close();
  const { tones, found } = tonesOf(data, width, height, most);
  return {
    tones: tones.map(({ path, ...tone }) => ({ ...tone, data: pathData(path, 2) })),
    found,
    width,
    height,
  };
}

export interface Traced {
  /** Path data in the pixels of the picture as it was looked at. */
  data: string;
  parts: number;
  holes: number;
  width: number;
}

/** `smallest` counts pixels of a picture `side` long; it is reckoned for the size that is traced. */
export async function tracePicture(file: Blob, tracing: Tracing, side: number): Promise<Traced> {
  const bitmap = await createImageBitmap(file);
  const { data, width, height } = pixelsOf(bitmap, TONES_SIDE);
  bitmap.close();
  const larger = Math.max(width, height) / side;
  const { path, ...counts } = outlineOfPicture(data, width, height, {
    ...tracing,
    smallest: tracing.smallest * larger * larger,
  });
  return { ...counts, data: pathData(path, 2), width };
}
