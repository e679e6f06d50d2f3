/** The few facts of a JPEG's header that a PDF must state to hold the file unchanged (ITU-T T.81, annex B). */
import { isFrame, jpegParts, startsWith } from '@/core/bytes/jpeg';
import { joined } from '@/core/bytes/joined';

export interface JpegFacts {
  width: number;
  height: number;
  /** The frame's marker: 0xC0 baseline, 0xC1 extended, 0xC2 progressive, others by T.81, table B.1. */
  process: number;
  /** Bits a sample. */
  bits: number;
  /** 1 grey, 3 colour, 4 CMYK. */
  components: number;
  /** Whether an Adobe marker says that CMYK values are stored inverted. */
  inverted: boolean;
  /** The embedded ICC profile (ICC.1:2022, annex B.4), in one piece, if it is one and is for as many components. */
  profile?: Uint8Array;
}

/** What a header is made of is no longer than this (ITU-T T.81, B.1.1.4). */
const LONGEST_SEGMENT = 2 + 0xffff;

/** The same of a file in parts that follow each other: one, or each segment by itself, of which the long ones are coded data. */
export const factsOf = (parts: readonly Uint8Array[]): JpegFacts =>
  jpegFacts(parts.length === 1 ? parts[0]! : joined(parts.filter(({ length }) => length <= LONGEST_SEGMENT)));

/** Whether readers of PDF decode the file as it is: 8 bits, baseline or progressive, 1, 3 or 4 components (ISO 32000-1, 7.4.8). */
export function isCopyable(parts: readonly Uint8Array[]): boolean {
  try {
    const { process, bits, components, width, height } = factsOf(parts);
    return process <= 0xc2 && bits === 8 && [1, 3, 4].includes(components) && width > 0 && height > 0;
  } catch {
    return false;
  }
}

/** Throws RangeError if no frame header is found. */
export function jpegFacts(bytes: Uint8Array): JpegFacts {
  const parts: ProfilePart[] = [];
  let inverted = false;
  for (const { marker, data } of jpegParts(bytes)) {
    if (marker === 0xe2 && startsWith(data, 'ICC_PROFILE\0'))
      parts.push({ number: data[12]!, of: data[13]!, data: data.subarray(14) });
    if (marker === 0xee && startsWith(data, 'Adobe')) inverted = true;
    if (!isFrame(marker)) continue;
    if (data.length < 6) throw new RangeError('A JPEG whose frame header is cut off.');
    const components = data[5]!;
    return {
      process: marker,
      bits: data[0]!,
      height: (data[1]! << 8) | data[2]!,
      width: (data[3]! << 8) | data[4]!,
      components,
      inverted: inverted && components === 4,
      profile: fitting(profileOf(parts), components),
    };
  }
  throw new RangeError('A JPEG without a picture.');
}

interface ProfilePart {
  /** Counted from 1, and how many there are. */
  number: number;
  of: number;
  data: Uint8Array;
}

/** All of its parts in their order; nothing where one is missing or there twice. */
function profileOf(parts: readonly ProfilePart[]): Uint8Array | undefined {
  const ordered = [...parts].sort((a, b) => a.number - b.number);
  const complete = ordered.every(({ number, of }, i) => number === i + 1 && of === parts.length);
  return parts.length && complete ? joined(ordered.map(({ data }) => data)) : undefined;
}

/** The colour spaces of profiles by the components they are for (ICC.1:2022, 7.2.6). */
const SPACES: Record<number, string> = { 1: 'GRAY', 3: 'RGB ', 4: 'CMYK' };
const PROFILE_HEADER = 128;

/** A profile that readers can use for these components. Browsers pass over any other, so a file must not hold it either. */
function fitting(profile: Uint8Array | undefined, components: number): Uint8Array | undefined {
  if (!profile || profile.length < PROFILE_HEADER + 4) return undefined;
  const word = (at: number) => String.fromCharCode(...profile.subarray(at, at + 4));
  const length = new DataView(profile.buffer, profile.byteOffset).getUint32(0);
  const whole = length >= PROFILE_HEADER && length <= profile.length && word(36) === 'acsp';
  return whole && word(16) === SPACES[components] ? profile : undefined;
}
