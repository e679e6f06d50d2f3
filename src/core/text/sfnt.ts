/** The table directory of TrueType and OpenType files (OpenType 1.9, “Organization of an OpenType Font”). */

/** Where tables lie, by tag. Throws RangeError for bytes that are no font. */
export function tablesOf(font: Uint8Array): Map<string, { offset: number; length: number }> {
  const view = new DataView(font.buffer, font.byteOffset, font.byteLength);
  const tables = new Map<string, { offset: number; length: number }>();
  const count = view.getUint16(4);
  for (let i = 0, at = 12; i < count; i++, at += 16) {
    const offset = view.getUint32(at + 8);
    const length = view.getUint32(at + 12);
    if (offset + length > font.length) throw new RangeError('A table of the font is cut off.');
    tables.set(String.fromCharCode(...font.subarray(at, at + 4)), { offset, length });
  }
  return tables;
}

/** How a font may go into a document: only the letters used, as a whole, or not at all (OS/2 table, fsType). */
export type Embedding = 'subset' | 'whole' | 'none';

const RESTRICTED = 0x0002;
const PREVIEW = 0x0004;
const EDITABLE = 0x0008;
const NO_SUBSETTING = 0x0100;
const BITMAPS_ONLY = 0x0200;

export function embeddingOf(font: Uint8Array): Embedding {
  const os2 = tablesOf(font).get('OS/2');
  // Without the table nothing is forbidden.
  if (!os2 || os2.length < 10) return 'subset';
  const bits = new DataView(font.buffer, font.byteOffset).getUint16(os2.offset + 8);
  // Where several permissions are named, the least restrictive one holds.
  if (bits & BITMAPS_ONLY || (bits & RESTRICTED && !(bits & (PREVIEW | EDITABLE)))) return 'none';
  return bits & NO_SUBSETTING ? 'whole' : 'subset';
}
