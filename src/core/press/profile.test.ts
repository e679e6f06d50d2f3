/** What a colour profile says of itself, byte by byte as ICC.1:2022 lays it (7.2 header, 7.3 tags, 10.15 multiLocalizedUnicode). */
import { LONGEST_PROFILE } from '@/core/press/conditions';
import { pressProfile, profileKey } from '@/core/press/profile';

interface Parts {
  space?: string;
  device?: string;
  /** The tag that names it; without, there is none. */
  desc?: Uint8Array;
  /** What its header says of its length, if that is not so. */
  length?: number;
}

const ascii = (text: string) => Uint8Array.from(text, (c) => c.charCodeAt(0));
const wide = (text: string) =>
  Uint8Array.from(text.split('').flatMap((unit) => [unit.charCodeAt(0) >> 8, unit.charCodeAt(0) & 255]));
const number = (value: number) => [24, 16, 8, 0].map((by) => (value >> by) & 255);

function profile({ space = 'CMYK', device = 'prtr', desc, length }: Parts = {}): Uint8Array {
  const bytes = new Uint8Array(128 + 4 + 12 + (desc?.length ?? 0));
  bytes.set(ascii(device), 12);
  bytes.set(ascii(space), 16);
  bytes.set(ascii('acsp'), 36);
  bytes.set(number(desc ? 1 : 0), 128);
  if (desc) {
    bytes.set([...ascii('desc'), ...number(144), ...number(desc.length)], 132);
    bytes.set(desc, 144);
  }
  bytes.set(number(length ?? bytes.length), 0);
  return bytes;
}
/** textDescriptionType of version 2. */
const old = (text: string) =>
  Uint8Array.from([
    ...ascii('desc'),
    0,
    0,
    0,
    0,
    ...number(text.length + 1),
    ...ascii(text),
    0,
    ...number(0),
    ...number(0),
  ]);
/** multiLocalizedUnicodeType, of one language. */
const unicode = (text: string) =>
  Uint8Array.from([
    ...[...ascii('mluc'), 0, 0, 0, 0, ...number(1), ...number(12), ...ascii('enUS')],
    ...[...number(wide(text).length), ...number(28), ...wide(text)],
  ]);
const named = (desc?: Uint8Array) => {
  const read = pressProfile(profile(desc ? { desc } : {}));
  return read.ok ? read.value.name : read.message;
};

test.each([
  ['as version 2 says it', old('Coated, 300 %'), 'Coated, 300 %'],
  ['as version 4 does', unicode('Gestrichen (v2), Größe'), 'Gestrichen (v2), Größe'],
  ['in any letters', unicode('Печать 印刷 🪁'), 'Печать 印刷 🪁'],
  ['in one line, without what nobody sees', unicode('  Coated\n\u202epaper\u0000  '), 'Coated paper'],
  ['empty', unicode(''), 'A colour profile'],
  ['not at all', undefined, 'A colour profile'],
])('its name, %s', (_, desc, name) => expect(named(desc)).toBe(name));

test('a name too long ends with a whole letter; one that lies beyond the file is none', () => {
  const long = named(unicode('🪁'.repeat(200)));
  expect([long.length <= LONGEST_PROFILE, long.isWellFormed(), /^🪁+$/u.test(long)]).toEqual([
    true,
    true,
    true,
  ]);
  const far = profile({ desc: old('Coated') });
  far.set(number(9999), 136);
  expect(pressProfile(far)).toMatchObject({ ok: true, value: { name: 'A colour profile' } });
});

test.each([
  [{ space: 'RGB ' }, /for screens or cameras \(RGB\)\. A press prints with cyan/],
  [{ space: 'GRAY' }, /for greys alone/],
  [{ space: '6CLR' }, /for “6CLR”/],
  [{ device: 'scnr' }, /not one of a press/],
  [{ length: 9999 }, /cut off: its end is missing/],
])('%j is refused in words', (parts, says) =>
  expect(pressProfile(profile(parts))).toMatchObject({ ok: false, message: expect.stringMatching(says) }),
);

test('what is no profile is none; two are told apart by any byte', () => {
  for (const bytes of [new Uint8Array(), ascii('PK\x03\x04'), new Uint8Array(200)])
    expect(pressProfile(bytes)).toMatchObject({ message: 'This file is not a colour profile.' });
  const [one, other] = [profile({ desc: old('Coated') }), profile({ desc: old('Coatee') })];
  expect(profileKey(one)).toBe(profileKey(profile({ desc: old('Coated') })));
  expect(profileKey(one)).not.toBe(profileKey(other));
});
