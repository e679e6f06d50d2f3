/** The few facts of a JPEG's header that a PDF must state to hold the file unchanged (ITU-T T.81, annex B). */
import { isFrame, jpegParts, startsWith } from '@/core/bytes/jpeg';
import { joined } from '@/output/pdf/stream';

export interface JpegFacts {
  width: number;
  height: number;
  /** 1 grey, 3 colour, 4 CMYK. */
  components: number;
  /** Whether an Adobe marker says that CMYK values are stored inverted. */
  inverted: boolean;
  /** The embedded ICC profile, if any (ICC.1:2022, annex B.4), in one piece. */
  profile?: Uint8Array;
}

/** What a header is made of is no longer than this (ITU-T T.81, B.1.1.4). */
const LONGEST_SEGMENT = 2 + 0xffff;

/** The same of a file in parts that follow each other, of which what is long is no part of a header. */
export const factsOf = (parts: readonly Uint8Array[]): JpegFacts =>
  jpegFacts(joined(parts.filter(({ length }) => length <= LONGEST_SEGMENT)));

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
      height: (data[1]! << 8) | data[2]!,
      width: (data[3]! << 8) | data[4]!,
      components,
      inverted: inverted && components === 4,
      profile: profileOf(parts),
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
