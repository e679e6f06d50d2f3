/** Picture files in a PDF: JPEG as its own bytes, everything else as packed pixels (ISO 32000-1, 8.9). */
import { PDFRawStream, type PDFContext, type PDFRef } from '@cantoo/pdf-lib';
import { jpegFacts } from '@/output/pdf/jpeg';

/** The JPEG file as an image, not one byte changed. Its stored pixels, before any Exif turn. */
export function embedJpeg(context: PDFContext, bytes: Uint8Array): PDFRef {
  const { width, height, components, inverted, profile } = jpegFacts(bytes);
  const device = { 1: 'DeviceGray', 3: 'DeviceRGB', 4: 'DeviceCMYK' }[components] ?? 'DeviceRGB';
  const space = profile
    ? context.obj([
        'ICCBased',
        context.register(context.flateStream(profile, { N: components, Alternate: device })),
      ])
    : device;
  const dict = context.obj({
    Type: 'XObject',
    Subtype: 'Image',
    Width: width,
    Height: height,
    ColorSpace: space,
    BitsPerComponent: 8,
    Filter: 'DCTDecode',
    ...(inverted ? { Decode: [1, 0, 1, 0, 1, 0, 1, 0] } : {}),
  });
  return context.register(PDFRawStream.of(dict, bytes));
}

/** Upright sRGB pixels (RGBA, 8 bits, not premultiplied) as an image, with a soft mask if any is transparent. */
export function embedPixels(
  context: PDFContext,
  { data, width, height }: { data: Uint8ClampedArray; width: number; height: number },
): PDFRef {
  const count = width * height;
  const colour = new Uint8Array(count * 3);
  const alpha = new Uint8Array(count);
  let opaque = true;
  for (let i = 0; i < count; i++) {
    colour[3 * i] = data[4 * i]!;
    colour[3 * i + 1] = data[4 * i + 1]!;
    colour[3 * i + 2] = data[4 * i + 2]!;
    alpha[i] = data[4 * i + 3]!;
    if (alpha[i] !== 255) opaque = false;
  }
  return context.register(
    context.flateStream(colour, {
      Type: 'XObject',
      Subtype: 'Image',
      Width: width,
      Height: height,
      ColorSpace: 'DeviceRGB',
      BitsPerComponent: 8,
      ...(opaque ? {} : { SMask: greyMask(context, alpha, width, height) }),
    }),
  );
}

/** A flat colour seen through a soft mask: one pixel of colour, as many of mask as given. */
export function embedMask(
  context: PDFContext,
  alpha: Uint8Array,
  width: number,
  height: number,
  rgb: readonly number[],
): PDFRef {
  return context.register(
    context.flateStream(
      Uint8Array.from(rgb, (v) => Math.round(v * 255)),
      {
        Type: 'XObject',
        Subtype: 'Image',
        Width: 1,
        Height: 1,
        ColorSpace: 'DeviceRGB',
        BitsPerComponent: 8,
        SMask: greyMask(context, alpha, width, height),
      },
    ),
  );
}

const greyMask = (context: PDFContext, alpha: Uint8Array, width: number, height: number): PDFRef =>
  context.register(
    context.flateStream(alpha, {
      Type: 'XObject',
      Subtype: 'Image',
      Width: width,
      Height: height,
      ColorSpace: 'DeviceGray',
      BitsPerComponent: 8,
      Interpolate: true,
    }),
  );
