/** Pictures to pixels in a file: PNG, JPEG, WebP. */
import { ok } from '@/core/result';
import { adobeRgb, asAdobeRgb } from '@/core/press/adobe-rgb';
import { srgbProfile } from '@/core/press/rgb-profile';
import { jpegWithProfile, jpegWithDensity, pngWithDensity } from '@/output/pixels/density';
import { turning } from '@/output/pixels/flip';
import { rendered } from '@/output/pixels/rendered';
import { animated } from '@/output/pixels/webp';
import type { Canvas, Context, Platform } from '@/output/platform';
import { JPEG_QUALITY, type Maker } from '@/output/stock';

const WHITE = '#ffffff';

export const makePng: Maker = async ([first], options, stock, progress) => {
  const picture = first!;
  const drawn = await rendered(picture, options, picture.ground, stock, (share, doing) =>
    progress(0.75 * share, doing),
  );
  if (!drawn.ok) return drawn;
  progress(0.8, 'Packing the picture');
  const { canvas, context, ppi } = drawn.value;
  const whole = picture.ground === null ? trimmed(canvas, context, stock.platform) : canvas;
  return ok(pngWithDensity(await stock.encode(whole, 'image/png', 1), Math.round(ppi)));
};

export const makeJpeg: Maker = async ([first], options, stock, progress) => {
  const picture = first!;
  const drawn = await rendered(picture, options, picture.ground ?? WHITE, stock, (share, doing) =>
    progress(0.75 * share, doing),
  );
  if (!drawn.ok) return drawn;
  progress(0.8, 'Packing the picture');
  const { canvas, context, ppi } = drawn.value;
  if (options.wide) {
    const pixels = context.getImageData(0, 0, canvas.width, canvas.height);
    asAdobeRgb(pixels.data);
    context.putImageData(pixels, 0, 0);
  }
  const encoded = await stock.encode(canvas, 'image/jpeg', JPEG_QUALITY);
  const profile = options.wide ? adobeRgb() : srgbProfile();
  return ok(jpegWithProfile(jpegWithDensity(encoded, Math.round(ppi)), profile));
};

/** Several pages become one picture that turns them by itself. It says nothing of inches: it is for screens. */
export const makeWebp: Maker = async (pictures, options, stock, progress) => {
  const pages: (Canvas & CanvasImageSource)[] = [];
  for (const [i, picture] of pictures.entries()) {
    const drawn = await rendered(picture, options, picture.ground ?? WHITE, stock, (share, doing) =>
      progress((0.8 * (i + share)) / pictures.length, doing),
    );
    if (!drawn.ok) return drawn;
    pages.push(drawn.value.canvas);
  }
  progress(0.85, 'Packing the picture');
  const packed = (canvas: Canvas) => stock.encode(canvas, 'image/webp', JPEG_QUALITY);
  if (pages.length === 1) return ok([await packed(pages[0]!)]);
  const frames = [];
  for (const { canvas, lasts } of turning(pages, stock.platform))
    frames.push({ webp: await packed(canvas), lasts });
  return ok([animated(pages[0]!, frames)]);
};

/** A picture without the rows and columns at its sides in which there is nothing at all. */
function trimmed(canvas: Canvas & CanvasImageSource, context: Context, platform: Platform): Canvas {
  const { width, height } = canvas;
  const { data } = context.getImageData(0, 0, width, height);
  const reach = { left: width, top: height, right: -1, bottom: -1 };
  for (let y = 0, at = 3; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      if (data[at] === 0) continue;
      reach.left = Math.min(reach.left, x);
      reach.right = Math.max(reach.right, x);
      reach.top = Math.min(reach.top, y);
      reach.bottom = y;
    }
  if (reach.right < 0) return canvas;
  const made = platform.canvas(reach.right - reach.left + 1, reach.bottom - reach.top + 1);
  made.context.drawImage(canvas, -reach.left, -reach.top);
  return made.canvas;
}
