/** Writes the camera's notes into a JPEG: an Exif 2.32 APP1 segment with orientation and the time it was taken. */
const ASCII = 2;
const SHORT = 3;
const LONG = 4;

interface Entry {
  tag: number;
  type: number;
  value: number | string;
}

/** One image file directory, little-endian, at `start` bytes from the TIFF header; long values follow it. */
function directory(entries: readonly Entry[], start: number): Buffer {
  const table = Buffer.alloc(2 + entries.length * 12 + 4);
  const data: Buffer[] = [];
  let end = start + table.length;
  table.writeUInt16LE(entries.length, 0);
  entries.forEach(({ tag, type, value }, i) => {
    const at = 2 + i * 12;
    const text = typeof value === 'string' ? Buffer.from(`${value}\0`, 'latin1') : null;
    table.writeUInt16LE(tag, at);
    table.writeUInt16LE(type, at + 2);
    table.writeUInt32LE(text ? text.length : 1, at + 4);
    if (text) {
      table.writeUInt32LE(end, at + 8);
      data.push(text);
      end += text.length;
    } else if (type === SHORT) table.writeUInt16LE(value as number, at + 8);
    else table.writeUInt32LE(value as number, at + 8);
  });
  return Buffer.concat([table, ...data]);
}

/** The JPEG with Exif; `taken` as `2026-05-16T11:05:41`, local time. */
export function withExif(jpeg: Buffer, orientation: number, taken: string): Buffer {
  const date = taken.replace(/-/g, ':').replace('T', ' ');
  const first = (pointer: number): Entry[] => [
    { tag: 0x0112, type: SHORT, value: orientation },
    { tag: 0x0132, type: ASCII, value: date },
    { tag: 0x8769, type: LONG, value: pointer },
  ];
  const ifd0 = directory(first(0), 8);
  const pointer = 8 + ifd0.length;
  const exif = directory(
    [
      { tag: 0x9003, type: ASCII, value: date },
      { tag: 0x9004, type: ASCII, value: date },
    ],
    pointer,
  );
  const tiff = Buffer.concat([Buffer.from('II*\0\x08\0\0\0', 'latin1'), directory(first(pointer), 8), exif]);
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff]);
  const head = Buffer.from([0xff, 0xe1, (body.length + 2) >> 8, (body.length + 2) & 255]);
  // Exif wants to be first: a JFIF header after it would be ignored, so it is left out.
  const rest = jpeg[3] === 0xe0 ? 4 + jpeg.readUInt16BE(4) : 2;
  return Buffer.concat([jpeg.subarray(0, 2), head, body, jpeg.subarray(rest)]);
}
