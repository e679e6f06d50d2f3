/** The segments of a JPEG file (ITU-T T.81, annex B), for everything that reads one without decoding it. */
import { partsFrom, type Part } from '@/core/bytes/parts';

export const [SOI, EOI, SOS, DQT, DHT, COMMENT] = [0xd8, 0xd9, 0xda, 0xdb, 0xc4, 0xfe] as const;
/** In place of a marker: the coded picture data that follows a scan's header, restart markers included. */
export const CODED = 0;

export interface JpegPart extends Part {
  /** The second byte of the marker, or `CODED`. */
  marker: number;
  /** What the segment holds, without marker and length. */
  data: Uint8Array;
}

/** Frame headers: the marker says by which process the picture is coded (T.81, table B.1). */
export const isFrame = (marker: number): boolean =>
  marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;

/** Neither a stuffed byte, nor a fill byte, nor a restart inside a scan. */
const isMarker = (byte: number): boolean => byte !== 0 && byte !== 0xff && !(byte >= 0xd0 && byte <= 0xd7);
/** Markers without a length: TEM, and the beginning and the end of a picture. */
const standsAlone = (marker: number): boolean => marker === 0x01 || marker === SOI || marker === EOI;

/**
 * Segment after segment, to the end of the first picture or to where the file is cut off. Bytes between segments that belong to
 * none are passed over, as decoders do. Throws RangeError for a segment without a length.
 */
export function jpegParts(bytes: Uint8Array): Generator<JpegPart, void> {
  let [inScan, ended] = [false, false];
  return partsFrom(2, bytes.length, (at): JpegPart | null => {
    if (ended) return null;
    const from = markerFrom(bytes, at);
    if (inScan && from > at) {
      inScan = false;
      return { marker: CODED, from: at, data: bytes.subarray(at, from), end: from };
    }
    if (from + 2 > bytes.length) return null;
    const marker = bytes[from + 1]!;
    ended = marker === EOI;
    if (standsAlone(marker)) return { marker, from, data: bytes.subarray(from + 2, from + 2), end: from + 2 };
    if (from + 4 > bytes.length) return null;
    const length = (bytes[from + 2]! << 8) | bytes[from + 3]!;
    if (length < 2) throw new RangeError('The JPEG is damaged: a segment of it has no length.');
    const end = from + 2 + length;
    if (end > bytes.length) return null;
    inScan = marker === SOS;
    return { marker, from, data: bytes.subarray(from + 4, end), end };
  });
}

/** Where the next marker begins; the end of the file if there is none. Uses the platform's own search: photos are millions of bytes. */
function markerFrom(bytes: Uint8Array, from: number): number {
  for (let at = bytes.indexOf(0xff, from); at >= 0; at = bytes.indexOf(0xff, at + 1))
    if (at + 1 < bytes.length && isMarker(bytes[at + 1]!)) return at;
  return bytes.length;
}

/** Whether a segment begins with these characters. */
export const startsWith = (data: Uint8Array, name: string): boolean =>
  [...name].every((character, i) => data[i] === character.charCodeAt(0));
