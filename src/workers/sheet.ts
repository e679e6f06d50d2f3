/** A sheet of letters or bits cut apart, in a worker: each part a PNG of its own. */
import { boxOfPoints, corners, outset, unite, type Box } from '@/core/geometry/box';
import { trace } from '@/core/pixels/trace';
import { coverageOf, partsOf, type Parts } from '@/core/pixels/parts';
import { pngWithDensity } from '@/output/pixels/density';
import { pixelsOf } from '@/workers/facts';

/** Longest side, pixels, of the copy on which the parts are told apart. */
const PARTS_SIDE = 1400;

/** The cut runs a little inside the line of equal parts, so that no rim of ground comes along. */
const LINE = 160;

export interface SheetParts {
  /** Where each part lies, as shares of the sheet's width and height, in reading order. */
  boxes: Box[];
}

async function told(file: Blob): Promise<{ bitmap: ImageBitmap; parts: Parts }> {
  const bitmap = await createImageBitmap(file);
  const { data, width, height } = pixelsOf(bitmap, PARTS_SIDE);
  return { bitmap, parts: partsOf(data, width, height) };
}

export async function sheetParts(file: Blob): Promise<SheetParts> {
  const { bitmap, parts } = await told(file);
  bitmap.close();
  const { boxes, width, height } = parts;
  return {
    boxes: boxes.map((box) => ({
      x: box.x / width,
      y: box.y / height,
      width: box.width / width,
      height: box.height / height,
    })),
  };
}

/** Cuts the wanted parts out at full size; each group of numbers becomes one picture of `ppi` pixels to the inch. */
export async function cutSheet(
  file: Blob,
  groups: readonly (readonly number[])[],
  ppi: number,
): Promise<Blob[]> {
  const { bitmap, parts } = await told(file);
  const scale = bitmap.width / parts.width;
  const pictures: Blob[] = [];
  for (const group of groups) {
    const box = within(outset(group.map((i) => parts.boxes[i]!).reduce(unite), 4), parts);
    const outline = new Path2D(trace(coverageOf(parts, new Set(group), box), LINE, scale));
    const canvas = new OffscreenCanvas(Math.round(box.width * scale), Math.round(box.height * scale));
    const context = canvas.getContext('2d')!;
    context.drawImage(bitmap, -box.x * scale, -box.y * scale);
    // Cut by filling: a clip leaves steps along edges that lie at an angle.
    context.globalCompositeOperation = 'destination-in';
    context.fill(outline);
    const png = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer());
    pictures.push(new Blob(pngWithDensity(png, ppi) as Uint8Array<ArrayBuffer>[], { type: 'image/png' }));
  }
  bitmap.close();
  return pictures;
}

const within = (box: Box, { width, height }: Parts): Box => {
  const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value));
  return boxOfPoints(corners(box).map(({ x, y }) => ({ x: clamp(x, width), y: clamp(y, height) })));
};
