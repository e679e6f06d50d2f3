/** Unpacks WOFF 1.0 (W3C Recommendation, 13 December 2012) to the plain font file HarfBuzz and PDF need. */

const WOFF = 0x774f4646;

/** What a font may come to unpacked, bytes: twice the largest that are in use. */
const MOST_UNPACKED = 64 * 2 ** 20;

export class FontTooLarge extends RangeError {
  constructor() {
    super(`It would come to more than ${MOST_UNPACKED / 2 ** 20} MB once it is unpacked.`);
  }
}

/** A table unpacked (zlib) to the length it states, and never to more. Rejects if it is damaged. */
async function unpacked(packed: Uint8Array, length: number): Promise<Uint8Array> {
  const stream = new Blob([packed as Uint8Array<ArrayBuffer>])
    .stream()
    .pipeThrough(new DecompressionStream('deflate'));
  const out = new Uint8Array(length);
  let at = 0;
  for (const reader = stream.getReader(); ;) {
    const { done, value } = await reader.read();
    if (done) break;
    if (at + value.length > length) throw new RangeError('A table of the font is longer than it says.');
    out.set(value, at);
    at += value.length;
  }
  if (at < length) throw new RangeError('A table of the font is shorter than it says.');
  return out;
}

/** The font as TrueType/OpenType bytes; a font that is not WOFF is given back as it is. Rejects if it is damaged. */
export async function plainFont(font: Uint8Array): Promise<Uint8Array> {
  const from = new DataView(font.buffer, font.byteOffset, font.byteLength);
  if (from.getUint32(0) !== WOFF) return font;
  const count = from.getUint16(12);
  const headerLength = 12 + 16 * count;
  const entries = Array.from({ length: count }, (_, i) => {
    const at = 44 + 20 * i;
    const offset = from.getUint32(at + 4);
    const packed = font.subarray(offset, offset + from.getUint32(at + 8));
    const length = from.getUint32(at + 12);
    return {
      tag: from.getUint32(at),
      checksum: from.getUint32(at + 16),
      packed,
      length,
    };
  });
  if (entries.reduce((sum, { length }) => sum + length, 0) > MOST_UNPACKED) throw new FontTooLarge();
  const tables = await Promise.all(
    entries.map(async ({ packed, length, ...table }) => ({
      ...table,
      bytes: packed.length < length ? await unpacked(packed, length) : packed,
    })),
  );
  const padded = (length: number) => (length + 3) & ~3;
  const out = new Uint8Array(tables.reduce((sum, table) => sum + padded(table.bytes.length), headerLength));
  const to = new DataView(out.buffer);
  const power = Math.floor(Math.log2(count));
  to.setUint32(0, from.getUint32(4));
  to.setUint16(4, count);
  to.setUint16(6, 16 * 2 ** power);
  to.setUint16(8, power);
  to.setUint16(10, 16 * (count - 2 ** power));
  let end = headerLength;
  tables.forEach(({ tag, checksum, bytes }, i) => {
    const at = 12 + 16 * i;
    to.setUint32(at, tag);
    to.setUint32(at + 4, checksum);
    to.setUint32(at + 8, end);
    to.setUint32(at + 12, bytes.length);
    out.set(bytes, end);
    end += padded(bytes.length);
  });
  return out;
}
