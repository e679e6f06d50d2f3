/** The fonts that ship, by what their own files say of them; and what each is opened for. */
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { embeddingOf, tablesOf } from '@/core/text/sfnt';
import {
  FACE_FILES,
  FALLBACK_FILES,
  FAMILIES,
  fallbackName,
  fallbacksFor,
  FONT_FILES,
  fontsOf,
  isFamily,
  nearestFace,
  ownFamily,
  PAIRS,
  PLAIN_FAMILY,
  shaOfFamily,
  type Face,
} from '@/core/text/families';
import { openFont, type OpenFont } from '@/core/text/shaper';
import { plainFont } from '@/core/text/woff';
import { fontFile, readNodeFont } from '../../../scripts/node/platform';

const files = [...FONT_FILES, ...FACE_FILES, ...FALLBACK_FILES];
const bytesOf = async (name: string) => plainFont(await readNodeFont(name));
const known = new Map<string, Promise<OpenFont>>();
function opened(name: string): Promise<OpenFont> {
  const font = known.get(name) ?? bytesOf(name).then((bytes) => openFont(name, bytes));
  known.set(name, font);
  return font;
}

/** OS/2 (OpenType 1.9): the weight class, and whether fsSelection says it leans or is bold. */
function cutOf(font: Uint8Array) {
  const { offset } = tablesOf(font).get('OS/2')!;
  const view = new DataView(font.buffer, font.byteOffset + offset);
  const selection = view.getUint16(62);
  return { weight: view.getUint16(4), leans: Boolean(selection & 1) };
}

test.each(files)('%s may be shipped, and lie in documents cut down to the letters in use', async (name) => {
  // What its package says of its licence.
  const { license } = JSON.parse(readFileSync(join(dirname(fontFile(name)), '..', 'package.json'), 'utf8'));
  expect(license).toBe(name.startsWith('special-elite-') ? 'Apache-2.0' : 'OFL-1.1');
  expect(embeddingOf(await bytesOf(name))).toBe('subset');
});

const CUTS: Record<Face, { heavy: boolean; leans: boolean }> = {
  bold: { heavy: true, leans: false },
  italic: { heavy: false, leans: true },
  'bold italic': { heavy: true, leans: true },
};

test.each(FAMILIES)(
  '$name: its plain letters and each of its faces are what they are called',
  async ({ id, fonts, faces }) => {
    const plain = cutOf(await bytesOf(fonts[0]!));
    expect(plain.leans).toBe(false);
    for (const [face, [first]] of Object.entries(faces) as [Face, readonly string[]][]) {
      const { weight, leans } = cutOf(await bytesOf(first!));
      expect({ id, face, heavy: weight > plain.weight, leans }).toEqual({ id, face, ...CUTS[face] });
    }
    // All of them write English, German, French and Spanish.
    const all = await Promise.all(
      [fonts, ...Object.values(faces)].map((some) => Promise.all(some.map(opened))),
    );
    for (const some of all)
      for (const letter of 'ABCXYZabcxyz0123456789.,;:!?&-–’“”éßñçöüœ')
        expect({ id, letter, has: some.some((font) => font.has(letter.codePointAt(0)!)) }).toEqual({
          id,
          letter,
          has: true,
        });
  },
);

test('a face that is not there gives way to the nearest that is: bold before leaning, either before plain', () => {
  for (const { id, faces } of FAMILIES)
    for (const bold of [false, true])
      for (const italic of [false, true]) {
        const found = nearestFace({ family: id, bold, italic });
        const wanted = [
          ...(bold && italic ? ['bold italic'] : []),
          ...(bold ? ['bold'] : []),
          ...(italic ? ['italic'] : []),
        ];
        expect(found).toBe(wanted.find((face) => face in faces) ?? null);
      }
});

test('families that go together are two that are there; one’s own are told by their file', () => {
  const ids = FAMILIES.map(({ id }) => id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(ids).toContain(PLAIN_FAMILY);
  for (const [one, other] of PAIRS)
    expect([ids.includes(one), ids.includes(other), one === other]).toEqual([true, true, false]);
  const sha = '0f'.repeat(32);
  expect([shaOfFamily(ownFamily(sha)), isFamily(ownFamily(sha)), fontsOf(ownFamily(sha))]).toEqual([
    sha,
    true,
    [ownFamily(sha)],
  ]);
  expect([isFamily('own-x'), isFamily('lora'), isFamily(undefined), shaOfFamily('lora')]).toEqual([
    false,
    true,
    true,
    null,
  ]);
});

test('every letter that any font which ships has is found: it is opened for a text that needs it', async () => {
  const plain = await Promise.all(fontsOf(PLAIN_FAMILY).map(opened));
  const missed: string[] = [];
  for (const name of FALLBACK_FILES) {
    const font = await opened(name);
    for (let code = 0x21; code < 0x1ffff; code++) {
      if (!font.has(code) || plain.some((one) => one.has(code))) continue;
      const character = String.fromCodePoint(code);
      // Letters and signs; marks come with a letter, joiners with what they join.
      if (!/[\p{L}\p{N}\p{S}\p{P}]/u.test(character)) continue;
      const any = fallbacksFor(character);
      const found = await Promise.all(any.map(opened));
      if (!found.some((one) => one.has(code)))
        missed.push(`${character} U+${code.toString(16)} of ${fallbackName(name)}`);
    }
  }
  expect(missed).toEqual([]);
}, 60_000);
