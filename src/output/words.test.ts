/** Words in every output against tools that are not ours: poppler, qpdf, librsvg by way of sharp. */
import { execFileSync } from 'node:child_process';
import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Piece } from '@/core/piece/piece';
import { FIRST_WORDS } from '@/core/piece/material/words';
import { equipped, needsOf } from '@/core/project/needs';
import { sha256 } from '@/core/sha';
import { ownFamily } from '@/core/text/families';
import { packed } from '../../scripts/node/files';
import { nodeTypesetter, readNodeFont, SUBSETTER } from '../../scripts/node/platform';
import { difference } from '../../scripts/testing/difference';
import { making } from '../../scripts/testing/making';
import { inkPiece, laid, photoOf, quarters, wordsOf } from '../../scripts/testing/samples';
import { openFont } from '@/core/text/shaper';
import { embeddingOf, tablesOf } from '@/core/text/sfnt';
import { lookAtFont, toldOf } from '@/core/text/own';
import { openSubset } from '@/output/pdf/subset';

const { folder, tool, register, made } = making();

/** A page with words in all their forms. */
function page(): ReturnType<typeof laid> {
  const photo = register(quarters(600, 400), 600, 400);
  const journaling: Piece = {
    ...wordsOf(
      'lines',
      'Two columns of what we did at the fly-in, in justified lines with a *red* word',
      11,
      180,
    ),
    placement: { ...wordsOf('x', '').placement, x: 110, y: 60, width: 180, height: 80 },
  };
  if (journaling.outline.kind === 'glyphs')
    Object.assign(journaling.outline, {
      family: 'lora',
      align: 'justify',
      columns: { count: 2, gap: 10 },
      hanging: true,
      spans: [{ start: 4, end: 11, family: 'lobster', scale: 1.3, ink: '#2f6f68' }],
    });
  const ring: Piece = {
    ...inkPiece('ring', 240, 20, 150, 110),
    outline: {
      kind: 'running',
      text: 'around the bay',
      family: 'zilla-slab',
      size: 13,
      base: { kind: 'rectangle', radius: 0 },
      side: 'outside',
      clockwise: true,
      start: 0,
      repeat: true,
      between: ' · ',
      corners: 'break',
      gap: 3,
      line: { width: 1, colour: '#9e2b45' },
    },
    finish: { lift: { height: 0, shadow: false }, stroke: null, opacity: 1 },
  };
  const title = (id: string, x: number, y: number, more: Partial<Piece>): Piece => ({
    ...wordsOf(id, 'KITE', 60, 190),
    outline: {
      kind: 'glyphs',
      text: 'KITE',
      family: 'alfa-slab-one',
      size: 60,
      align: 'left',
      leading: 1.2,
      wrap: false,
    },
    placement: { ...wordsOf(id, '').placement, x, y, width: 190, height: 72 },
    ...more,
  });
  return laid(
    [
      photoOf('behind', photo, { x: 0, y: 150, width: 432, height: 138 }),
      journaling,
      ring,
      title('filled', 110, 190, {
        material: {
          ...FIRST_WORDS,
          kind: 'words',
          text: 'wind\nsea',
          family: 'caveat',
          size: 8,
          inks: ['#9e2b45', '#24506b'],
          ground: '#ffffff',
          turn: 20,
          shift: 0.5,
        },
        finish: {
          lift: { height: 0, shadow: false },
          stroke: { colour: '#25232a', width: 2, side: 'outside' },
          opacity: 1,
        },
      }),
      title('echoed', 320, 190, {
        finish: {
          lift: { height: 0, shadow: false },
          stroke: null,
          opacity: 1,
          echoes: [
            { x: 3, y: 3, colour: '#3a1020', blur: 0, line: 0 },
            { x: 6, y: 6, colour: '#fdfbf6', blur: 0, line: 1 },
            { x: 9, y: 9, colour: '#000000', blur: 3, line: 0 },
          ],
        },
      }),
      title('photos', 215, 250, {
        material: {
          kind: 'photos',
          photos: [{ asset: photo.sha, window: { x: 0.5, y: 0.5, zoom: 1, turn: 0 } }],
        },
      }),
    ],
    [photo],
  );
}

test('PDF and SVG show what PNG shows, and the words come back in order from a file that is sound', async () => {
  const png = await made(page(), { format: 'png' }, 'words.png');
  const pdf = await made(page(), { format: 'pdf' }, 'words.pdf');
  tool('pdftoppm', '-r', '300', '-png', '-singlefile', pdf, join(folder, 'words-poppler'));
  const poppler = await difference(png, join(folder, 'words-poppler.png'));
  expect(poppler.mean).toBeLessThan(1);
  const svg = await made(page(), { format: 'svg' }, 'words.svg');
  // librsvg blurs slowly: a third of the pixels will do.
  const small = await made(page(), { format: 'png', ppi: 96 }, 'words-96.png');
  await sharp(readFileSync(svg), { density: 96, unlimited: true })
    .resize(576, 384, { fit: 'fill' })
    .png()
    .toFile(join(folder, 'words-svg.png'));
  expect((await difference(small, join(folder, 'words-svg.png'))).mean).toBeLessThan(1.5);
  expect(tool('qpdf', '--check', pdf)).toMatch(/No syntax or stream encoding errors/);
  const text = tool('pdftotext', '-raw', pdf, '-').replace(/\s+/g, ' ');
  expect(text).toContain('Two columns of what we did');
  expect(text.replace(/ /g, '')).toContain('aroundthebay·aroundthebay');
  for (const line of tool('pdffonts', pdf).trim().split('\n').slice(2))
    expect(line).toMatch(/BELLAG\+\S+.*Identity-H\s+yes\s+yes\s+yes/);
});

test('the command line renders a project file in the fonts that travel in it', async () => {
  const quill = await readNodeFont('lobster-latin-400-normal');
  const sha = await sha256(quill);
  const words = wordsOf('a', 'Orla', 40, 200);
  if (words.outline.kind === 'glyphs') Object.assign(words.outline, { family: ownFamily(sha) });
  const of = { ...laid([words]), fonts: [{ sha, name: 'Quill', bytes: quill.length }] };
  const path = join(folder, 'own.bellagraph');
  writeFileSync(path, await packed(of, async () => quill));
  const out = join(folder, 'own.pdf');
  // As `npm run render`, already built.
  execFileSync('node', ['.cache/tests/scripts/render.js', path, '--format', 'pdf', '--out', out]);
  expect(tool('pdffonts', out)).toContain(`+own${sha.slice(0, 40)}`);
});

test('fonts are cut down to what is used: the file is a fraction of one with whole fonts, its glyphs the same', async () => {
  const font = await openFont('lora', await readNodeFont('lora-latin-400-normal'));
  const subset = await openSubset(async () => readFileSync(SUBSETTER));
  const used = font.shape('Orla & Tom').map(({ id }) => id);
  const cut = subset(font.bytes, used)!;
  expect(cut.length).toBeLessThan(font.bytes.length / 4);
  const again = await openFont('cut', cut);
  for (const id of used) expect(again.outline(id)).toEqual(font.outline(id));
  expect(tablesOf(cut).has('GSUB')).toBe(false);
  expect(
    statSync(await made(laid([wordsOf('a', 'Orla & Tom')]), { format: 'pdf' }, 'small.pdf')).size,
  ).toBeLessThan(15_000);
});

test('Hebrew, Arabic and emoji come from fonts that are opened when they are met', async () => {
  const of = laid([wordsOf('a', 'kite עפיפון طائرة 🪁', 20, 300)]);
  const needs = needsOf(of);
  expect(needs.fonts.filter((name) => name.startsWith('noto'))).toHaveLength(3);
  const typesetter = await equipped(await nodeTypesetter(), needs, readNodeFont);
  const { outline } = of.surfaces[0]!.pile[0]!;
  if (outline.kind !== 'glyphs') throw new Error('words expected');
  const { runs } = typesetter.set(outline.text, outline, 300);
  expect(new Set(runs.map(({ font }) => font)).size).toBe(4);
  expect(runs.flatMap(({ glyphs }) => glyphs).every(({ id }) => id > 0)).toBe(true);
});

test('letters that share their glyphs come back as what they are: Arabic, whose letters are bodies and dots', async () => {
  // The last has characters for which no font is here: their boxes are printed as they are seen.
  const texts = ['ورقية بالعالم، طائرات في الريح', 'עפיפון', 'पतंग', 'Жёлтый Ωμέγα', '凧凧凧凧凧凧'];
  const of = laid(
    texts.map((text, i) => {
      const piece = wordsOf(`t${i}`, text, 30, 420);
      return { ...piece, placement: { ...piece.placement, x: 216, y: 40 + 60 * i, height: 50 } };
    }),
  );
  const pdf = await made(of, { format: 'pdf' }, 'scripts.pdf');
  const letters = (text: string) =>
    [...text.normalize('NFC')].filter((one) => /[\p{L}\p{M}]/u.test(one)).sort();
  const lines = tool('pdftotext', '-raw', pdf, '-');
  expect(letters(lines)).toEqual(letters(texts.join('')));
  expect(tool('qpdf', '--check', pdf)).toMatch(/No syntax or stream encoding errors/);
  const png = await made(of, { format: 'png' }, 'scripts.png');
  tool('pdftoppm', '-r', '300', '-png', '-singlefile', pdf, join(folder, 'scripts-poppler'));
  expect((await difference(png, join(folder, 'scripts-poppler.png'))).mean).toBeLessThan(0.5);
});

describe('fonts of one’s own', () => {
  const bytes = async () =>
    (await openFont('lora', await readNodeFont('lora-latin-400-normal'))).bytes.slice();
  const look = (file: Uint8Array, name = 'quill.ttf', largest = 1e6) =>
    lookAtFont('own', name, file, largest);
  /** The font with other bits in its OS/2 table's fsType. */
  const allowing = async (bits: number) => {
    const font = await bytes();
    new DataView(font.buffer).setUint16(tablesOf(font).get('OS/2')!.offset + 8, bits);
    return font;
  };

  test('are opened, named by themselves, and told what they lack', async () => {
    const seen = await look(await bytes());
    if (!seen.ok) throw new Error(seen.message);
    expect(seen.value.name).toBe('Lora');
    const subset = await openSubset(async () => readFileSync(SUBSETTER));
    const few = await look(
      subset(
        await bytes(),
        seen.value.font.shape('AB').map(({ id }) => id),
      )!,
    );
    if (!few.ok) throw new Error(few.message);
    expect(few.value.lacks).toContain('C');
    expect(few.value.lacks).not.toContain('A');
    expect(toldOf({ ...seen.value, lacks: ['ß', '€'] })).toEqual([
      'It lacks ß €; those are written in the plain family.',
    ]);
  });

  test('one that would fill the memory is not unpacked; signs alone are told from letters', async () => {
    // A WOFF of one table that says it comes to 1.5 GB, packed in a few bytes.
    const bomb = Buffer.alloc(100);
    bomb.write('wOFF', 0, 'latin1');
    bomb.writeUInt16BE(1, 12);
    bomb.write('glyf', 44, 'latin1');
    bomb.writeUInt32BE(64, 48);
    bomb.writeUInt32BE(36, 52);
    bomb.writeUInt32BE(1.5e9, 56);
    expect(await look(bomb, 'huge.woff')).toEqual({
      ok: false,
      message: 'huge.woff was not opened. It would come to more than 64 MB once it is unpacked.',
    });
    const subset = await openSubset(async () => readFileSync(SUBSETTER));
    const whole = await look(await bytes());
    if (!whole.ok) throw new Error(whole.message);
    const signs = await look(
      subset(
        await bytes(),
        whole.value.font.shape('AB').map(({ id }) => id),
      )!,
    );
    expect([whole.value.few, signs.ok && signs.value.few]).toEqual([false, true]);
  });

  test.each([
    // OpenType 1.9, OS/2 table, fsType.
    [0x0000, 'subset'],
    [0x0004, 'subset'],
    [0x0104, 'whole'],
    [0x0002, 'none'],
    [0x0200, 'none'],
    [0x000a, 'subset'],
  ])('fsType %i: %s', async (bits, embedding) => {
    expect(embeddingOf(await allowing(bits))).toBe(embedding);
  });

  test.each<[string, () => Promise<Uint8Array>, RegExp]>([
    ['empty', async () => new Uint8Array(), /is empty/],
    ['not a font', async () => new TextEncoder().encode('Dear diary, today'), /is not a font/],
    ['cut off', async () => (await bytes()).slice(0, 4000), /is damaged/],
    ['too large', async () => new Uint8Array(1_000_001), /up to 1 MB/],
    ['WOFF2', async () => new TextEncoder().encode('wOF2 and more of it'), /WOFF2/],
    [
      'noise behind a good sign',
      async () => Uint8Array.from({ length: 3000 }, (_, i) => (i < 4 ? [0, 1, 0, 0][i]! : (i * 7919) % 251)),
      /is damaged/,
    ],
  ])('%s: refused with a sentence', async (_, file, message) => {
    const seen = await look(await file());
    expect(seen.ok ? '' : seen.message).toMatch(message);
  });
});
