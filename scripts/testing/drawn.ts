/** A drawing as we paint it beside the same as another program does. */
import { execFileSync } from 'node:child_process';
import { createCanvas } from '@napi-rs/canvas';
import sharp from 'sharp';
import { readDrawing } from '@/core/drawing/read';
import { scaling } from '@/core/geometry/matrix';
import { paintDrawing } from '@/output/pixels/marks';
import { node } from '../node/platform';

/** Mean difference of channels (0 to 255) between our painting and librsvg's (`rsvg-convert`), on white. */
export async function unlikeness(file: string, side = 432): Promise<number> {
  const read = readDrawing(file);
  if (!read.ok) throw new Error(read.message);
  const { drawing } = read.value;
  const scale = side / Math.max(drawing.width, drawing.height);
  const [w, h] = [Math.round(drawing.width * scale), Math.round(drawing.height * scale)];
  const canvas = createCanvas(w, h);
  const context = canvas.getContext('2d');
  context.fillStyle = '#fff';
  context.fillRect(0, 0, w, h);
  paintDrawing(context as never, drawing, scaling(scale), node, 1);
  const ours = context.getImageData(0, 0, w, h).data;
  const png = execFileSync('rsvg-convert', ['-w', String(w), '-h', String(h), '-b', 'white'], {
    input: file,
  });
  const theirs = await sharp(png).ensureAlpha().raw().toBuffer();
  let sum = 0;
  for (let i = 0; i < ours.length; i++) sum += Math.abs(ours[i]! - theirs[i]!);
  return sum / ours.length;
}
