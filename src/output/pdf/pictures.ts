/** Picture files in a PDF: JPEG as its own bytes, everything else as packed pixels (ISO 32000-1, 8.9). */
import { PDFDict, PDFRawStream, type PDFContext, type PDFRef } from '@cantoo/pdf-lib';
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

/** Packed by the platform's own deflate: ten times as fast as one in JavaScript. */
async function packed(
  context: PDFContext,
  bytes: Uint8Array,
  dict: Record<string, unknown>,
): Promise<PDFRef> {
  const stream = new Blob([bytes as Uint8Array<ArrayBuffer>])
    .stream()
    .pipeThrough(new CompressionStream('deflate'));
  const data = new Uint8Array(await new Response(stream).arrayBuffer());
  return context.register(
    PDFRawStream.of(context.obj({ ...dict, Filter: 'FlateDecode' } as never) as unknown as PDFDict, data),
  );
}

const IMAGE = { Type: 'XObject', Subtype: 'Image', BitsPerComponent: 8 };

/** Upright sRGB pixels (RGBA, 8 bits, not premultiplied) as an image, with a soft mask if any is transparent. */
export async function embedPixels(
  context: PDFContext,
  { data, width, height }: { data: Uint8ClampedArray; width: number; height: number },
): Promise<PDFRef> {
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
  const mask = opaque ? {} : { SMask: await greyMask(context, alpha, width, height) };
  return packed(context, colour, {
    ...IMAGE,
    Width: width,
    Height: height,
    ColorSpace: 'DeviceRGB',
    ...mask,
  });
}

/** A flat colour seen through the transparency of some pixels (RGBA): one pixel of colour, as many of mask as given. */
export async function embedMask(
  context: PDFContext,
  { data, width, height }: { data: Uint8ClampedArray; width: number; height: number },
  rgb: readonly number[],
): Promise<PDFRef> {
  const alpha = new Uint8Array(width * height);
  for (let i = 0, at = 3; i < alpha.length; i++, at += 4) alpha[i] = data[at]!;
  const SMask = await greyMask(context, alpha, width, height);
  const colour = Uint8Array.from(rgb, (v) => Math.round(v * 255));
  return context.register(
    context.flateStream(colour, { ...IMAGE, Width: 1, Height: 1, ColorSpace: 'DeviceRGB', SMask }),
  );
}

const greyMask = (context: PDFContext, alpha: Uint8Array, width: number, height: number): Promise<PDFRef> =>
  packed(context, alpha, {
    ...IMAGE,
    Width: width,
    Height: height,
    ColorSpace: 'DeviceGray',
    Interpolate: true,
  });
