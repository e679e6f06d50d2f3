/** RGB spaces, and grey, as ICC profiles (ICC.1:2010, version 4.2), written from their definitions: for files that must say what their RGB is. */

interface RgbSpace {
  name: string;
  /** Under D50, by Bradford. */
  primaries: { rXYZ: readonly number[]; gXYZ: readonly number[]; bXYZ: readonly number[] };
  /** A parametric curve: its type, and its numbers. */
  curve: { type: number; values: readonly number[] };
}

/** IEC 61966-2-1's primaries under D50, by Bradford (Lindbloom's numbers, from memory; checked against Little CMS's own). */
export const SRGB_PRIMARIES = {
  rXYZ: [0.4360747, 0.2225045, 0.0139322],
  gXYZ: [0.3850649, 0.7168786, 0.0971045],
  bXYZ: [0.1430804, 0.0606169, 0.7141733],
} as const;
const D50 = [0.9642, 1, 0.8249] as const;
const ADAPTED = [
  ...[1.0478112, 0.0228866, -0.050127],
  ...[0.0295424, 0.9904844, -0.0170491],
  ...[-0.0092345, 0.0150436, 0.7521316],
];
/** g, a, b, c, d of the curve (parametric curve type 3). */
export const SRGB_CURVE = { type: 3, values: [2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045] };

const word = (text: string): number[] => [...text].map((c) => c.charCodeAt(0));
const int = (value: number): number[] => [
  value >>> 24,
  (value >>> 16) & 255,
  (value >>> 8) & 255,
  value & 255,
];
/** s15Fixed16Number */
const fixed = (value: number): number[] => int(Math.round(value * 65_536));
const text = (says: string): number[] => [
  ...[
    ...word('mluc'),
    ...int(0),
    ...int(1),
    ...int(12),
    ...word('enUS'),
    ...int(2 * says.length),
    ...int(28),
  ],
  ...[...says].flatMap((c) => [0, c.charCodeAt(0)]),
];
const xyz = (values: readonly number[]): number[] => [...word('XYZ '), ...int(0), ...values.flatMap(fixed)];

export const srgbProfile = (): Uint8Array =>
  rgbProfile({ name: 'sRGB', primaries: SRGB_PRIMARIES, curve: SRGB_CURVE });

/** Grey as sRGB's curve has it. */
export const greyProfile = (): Uint8Array =>
  written('GRAY', [...described('Grey as in sRGB'), ['kTRC', parametric(SRGB_CURVE)]]);

const described = (name: string): Tag[] => [
  ['desc', text(name)],
  ['cprt', text('CC0')],
  ['wtpt', xyz(D50)],
];
const parametric = ({ type, values }: RgbSpace['curve']): number[] => [
  ...[...word('para'), ...int(0), 0, type, 0, 0],
  ...values.flatMap(fixed),
];

export function rgbProfile({ name, primaries, curve: shape }: RgbSpace): Uint8Array {
  const curve = parametric(shape);
  return written('RGB ', [
    ...described(name),
    ['chad', [...word('sf32'), ...int(0), ...ADAPTED.flatMap(fixed)]],
    ...Object.entries(primaries).map(([name, values]): Tag => [name, xyz(values)]),
    ...['rTRC', 'gTRC', 'bTRC'].map((name): Tag => [name, curve]),
  ]);
}

type Tag = [name: string, data: number[]];

/** A display profile of this colour space, four letters. */
function written(space: string, tags: readonly Tag[]): Uint8Array {
  const table: number[] = [...int(tags.length)];
  const data: number[] = [];
  const begins = 128 + 4 + 12 * tags.length;
  const known = new Map<number[], number>();
  for (const [name, bytes] of tags) {
    // The three curves are one.
    const at = known.get(bytes) ?? begins + data.length;
    if (!known.has(bytes)) {
      known.set(bytes, at);
      data.push(...bytes, ...Array.from({ length: (4 - (bytes.length % 4)) % 4 }, () => 0));
    }
    table.push(...word(name), ...int(at), ...int(bytes.length));
  }
  const header = [
    ...[...int(begins + data.length), ...int(0), ...int(0x04200000), ...word(`mntr${space}XYZ `)],
    // A day that is always the same: 2026-01-01.
    ...[7, 234, 0, 1, 0, 1, 0, 0, 0, 0, 0, 0],
    ...[...word('acsp'), ...int(0), ...int(0), ...int(0), ...int(0), ...int(0), ...int(0), ...int(0)],
    ...[...D50.flatMap(fixed), ...int(0)],
  ];
  return Uint8Array.from([
    ...header,
    ...Array.from({ length: 128 - header.length }, () => 0),
    ...table,
    ...data,
  ]);
}
