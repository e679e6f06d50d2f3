/**
 * A JPEG of four inks (ITU-T T.81): each ink is written as a grey picture by the encoder, and the four are joined as the scans
 * of one, as sequential JPEG allows (A.2.2, B.2.3). No marker says how they are stored, so that 0 is no ink.
 */
import { CODED, DHT, DQT, EOI, jpegParts, SOI, SOS } from '@/core/bytes/jpeg';

/** Grey pixels as a sequential JPEG of one component; quality 1 to 100. */
export type EncodeGrey = (grey: Uint8Array, width: number, height: number, quality: number) => Uint8Array;

const SOF0 = 0xc0;

/**
 * In parts that follow each other.
 * @param inks C, M, Y, K of each pixel, 0 for none
 */
export function fourScans(
  inks: Uint8Array,
  { width, height }: { width: number; height: number },
  quality: number,
  encode: EncodeGrey,
): Uint8Array[] {
  const grey = new Uint8Array(width * height);
  const scans = [0, 1, 2, 3].map((ink) => {
    for (let i = 0; i < grey.length; i++) grey[i] = inks[4 * i + ink]!;
    return partsOf(encode(grey, width, height, quality));
  });
  const frame = Uint8Array.of(
    ...[0xff, SOF0, 0, 8 + 3 * 4, 8],
    ...[height >> 8, height & 255, width >> 8, width & 255, 4],
    ...[1, 2, 3, 4].flatMap((id) => [id, 0x11, 0]),
  );
  return [
    Uint8Array.of(0xff, SOI),
    ...scans[0]!.quantisation,
    frame,
    ...scans.flatMap(({ codes, coded }, i) => [
      ...codes,
      Uint8Array.of(0xff, SOS, 0, 8, 1, i + 1, 0, 0, 63, 0),
      coded,
    ]),
    Uint8Array.of(0xff, EOI),
  ];
}

/** The tables of a JPEG of one scan, and what is coded in it. */
function partsOf(bytes: Uint8Array) {
  const quantisation: Uint8Array[] = [];
  const codes: Uint8Array[] = [];
  for (const { marker, from, end, data } of jpegParts(bytes)) {
    if (marker === DQT) quantisation.push(bytes.subarray(from, end));
    if (marker === DHT) codes.push(bytes.subarray(from, end));
    if (marker === CODED) return { quantisation, codes, coded: data };
  }
  throw new RangeError('A JPEG without a scan.');
}
