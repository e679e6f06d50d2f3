/** Picture files in a PDF: JPEG as its own bytes, everything else as packed pixels (ISO 32000-1, 8.9). */
import type { PDFRef } from '@cantoo/pdf-lib';
import { greyProfile } from '@/core/press/rgb-profile';
import { profileKey } from '@/core/press/profile';
import type { Colours } from '@/output/pdf/colours';
import { factsOf } from '@/output/pdf/jpeg';
import { streamOf, type Packer } from '@/output/pdf/stream';

/** Colour profiles that lie in the file, by what they are. */
export type Profiles = Map<string, PDFRef>;

/** The photos of one camera have one profile: it is written once. */
function profileOf(
  packer: Packer,
  profile: Uint8Array,
  of: { N: number; Alternate: string },
  profiles: Profiles,
): PDFRef {
  const key = `${of.N} ${profileKey(profile)}`;
  const ref = profiles.get(key) ?? packer.stream(profile, of);
  profiles.set(key, ref);
  return ref;
}

/**
 * The JPEG file as an image, not one byte changed. Its stored pixels, before any Exif turn. `tagged`, greys without a profile
 * are given one: to a press they would be its black ink alone.
 */
export function embedJpeg(
  packer: Packer,
  parts: readonly Uint8Array[],
  profiles: Profiles,
  tagged: boolean,
): PDFRef {
  const { context } = packer;
  const { width, height, components, inverted, profile: own } = factsOf(parts);
  const profile = own ?? (tagged && components === 1 ? greyProfile() : undefined);
  const device = { 1: 'DeviceGray', 3: 'DeviceRGB', 4: 'DeviceCMYK' }[components] ?? 'DeviceRGB';
  const space = profile
    ? context.obj(['ICCBased', profileOf(packer, profile, { N: components, Alternate: device }, profiles)])
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
  return context.register(streamOf(dict, parts, packer.beside));
}

const IMAGE = { Type: 'XObject', Subtype: 'Image', BitsPerComponent: 8 };

/** A JPEG of the press's own inks, in parts that follow each other. */
export const embedInked = (
  packer: Packer,
  { parts, width, height }: { parts: readonly Uint8Array[]; width: number; height: number },
): PDFRef => {
  const { context } = packer;
  const facts = { ...IMAGE, Width: width, Height: height, ColorSpace: 'DeviceCMYK', Filter: 'DCTDecode' };
  return context.register(streamOf(context.obj(facts), parts, packer.beside));
};

/** Upright sRGB pixels (RGBA, 8 bits, not premultiplied) as an image, with a soft mask if any is transparent. */
export async function embedPixels(
  packer: Packer,
  { data, width, height }: { data: Uint8ClampedArray; width: number; height: number },
  colours: Colours,
): Promise<PDFRef> {
  const alpha = new Uint8Array(width * height);
  let opaque = true;
  for (let i = 0; i < alpha.length; i++) {
    alpha[i] = data[4 * i + 3]!;
    if (alpha[i] !== 255) opaque = false;
  }
  const mask = opaque ? {} : { SMask: await embedGrey(packer, alpha, width, height) };
  return packer.pack(colours.pixels(data), {
    ...IMAGE,
    Width: width,
    Height: height,
    ColorSpace: colours.device,
    ...mask,
  });
}

/** A flat colour seen through the transparency of some pixels (RGBA): one pixel of colour, as many of mask as given. */
export async function embedMask(
  packer: Packer,
  { data, width, height }: { data: Uint8ClampedArray; width: number; height: number },
  hex: string,
  colours: Colours,
): Promise<PDFRef> {
  const alpha = new Uint8Array(width * height);
  for (let i = 0, at = 3; i < alpha.length; i++, at += 4) alpha[i] = data[at]!;
  const SMask = await embedGrey(packer, alpha, width, height);
  const colour = Uint8Array.from(colours.values(hex), (v) => Math.round(v * 255));
  return packer.stream(colour, { ...IMAGE, Width: 1, Height: 1, ColorSpace: colours.device, SMask });
}

/** Grey pixels, 8 bits each. */
export const embedGrey = (
  packer: Packer,
  alpha: Uint8Array,
  width: number,
  height: number,
): Promise<PDFRef> =>
  packer.pack(alpha, {
    ...IMAGE,
    Width: width,
    Height: height,
    ColorSpace: 'DeviceGray',
    Interpolate: true,
  });
