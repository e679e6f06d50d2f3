/** How browsers take pictures apart and make them, over Node's canvas and sharp, for component tests. */
import { Canvas, createCanvas, ImageData, Path2D } from '@napi-rs/canvas';
import sharp from 'sharp';

// What canvases are made from is not the class that is exported.
Object.assign(Object.getPrototypeOf(createCanvas(1, 1)), {
  async convertToBlob({ type = 'image/png', quality = 0.92 } = {}) {
    const [best, { width, height }] = [Math.round(100 * quality), this];
    if (type === 'image/jpeg') return new Blob([await this.encode('jpeg', best)], { type });
    // The canvas's own take up to ten times as long, as small as they make them.
    const raw = { width, height, channels: 4 };
    const picture = sharp(this.getContext('2d').getImageData(0, 0, width, height).data, { raw });
    const packed =
      type === 'image/png'
        ? picture.png({ compressionLevel: 1, adaptiveFiltering: false })
        : picture.webp({ quality: best, effort: 0 });
    return new Blob([await packed.toBuffer()], { type });
  },
  transferToImageBitmap() {
    return this;
  },
  close() {},
});

/** What a file shows, upright, as large as is asked for; rejects where it is no picture. */
async function decoded(file, { resizeWidth: width, resizeHeight: height }) {
  const upright = sharp(Buffer.from(await file.arrayBuffer())).rotate();
  if (width ?? height)
    upright.resize(width && Math.round(width), height && Math.round(height), {
      fit: width && height ? 'fill' : 'cover',
    });
  const { data, info } = await upright.ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const pixels = new ImageData(new Uint8ClampedArray(data), info.width, info.height);
  return put(createCanvas(info.width, info.height), pixels);
}

function put(canvas, pixels) {
  canvas.getContext('2d').putImageData(pixels, 0, 0);
  return canvas;
}

/** A copy of a file, a canvas or pixels, at the size that is asked for. */
async function createImageBitmap(from, size = {}) {
  if (typeof from.arrayBuffer === 'function') return decoded(from, size);
  const source = from instanceof ImageData ? put(createCanvas(from.width, from.height), from) : from;
  const { resizeWidth, resizeHeight } = size;
  const width = resizeWidth ?? (resizeHeight ? (source.width * resizeHeight) / source.height : source.width);
  const height = resizeHeight ?? (source.height * width) / source.width;
  const canvas = createCanvas(Math.round(width), Math.round(height));
  canvas.getContext('2d').drawImage(source, 0, 0, canvas.width, canvas.height);
  return canvas;
}

export const PICTURES = { OffscreenCanvas: Canvas, ImageData, Path2D, createImageBitmap };
